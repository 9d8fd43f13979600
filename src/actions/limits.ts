"use server";
import Joi from "joi";
import { adjustCeiling, takeProposedCeiling, recordCalmPose } from "../steps/calibrate";
import { endLimit } from "../steps/correct";
import { withRecord } from "../steps/with-record";
import { addLimit } from "../data/repos/client.repo";
import { adjustmentSchema } from "../schemas/assess.schema";
import { calmPoseSchema, liftSchema, newLimitSchema } from "../schemas/limit.schema";
import { takeStep } from "./step";
import type { StepResult } from "../core/outcome";

/** Its id is made where the form is: sent twice, it is one limit. */
export async function addLimitAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("add-limit", stepId, newLimitSchema, input, ({ scope }, em, { id, ...limit }) =>
    withRecord(scope, em, clientId, async ({ limits }) => {
      if (!limits.some((each) => each.id === id)) await addLimit(scope, em, clientId, limit, id);
      return { ok: true };
    }),
  );
}

/** Lifted by whoever may, or entered by mistake. */
export async function liftLimitAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("lift-limit", stepId, liftSchema, input, ({ scope, today }, em, { limitId, ...lift }) =>
    endLimit(scope, em, clientId, limitId, { ...lift, day: today }),
  );
}

export async function recordCalmPoseAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("calm-pose", stepId, calmPoseSchema, input, ({ scope, today }, em, pose) =>
    recordCalmPose(scope, em, clientId, { ...pose, day: today }),
  );
}

export async function takeProposedCeilingAction(clientId: string, stepId: unknown): Promise<StepResult> {
  return takeStep("take-proposed-ceiling", stepId, Joi.any(), null, ({ scope, today }, em) =>
    takeProposedCeiling(scope, em, clientId, today),
  );
}

/** A ceiling made tighter at will, or looser with a reason. */
export async function adjustCeilingAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("adjust-ceiling", stepId, adjustmentSchema, input, ({ scope, today }, em, adjustment) =>
    adjustCeiling(scope, em, clientId, adjustment, today),
  );
}

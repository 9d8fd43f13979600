"use server";
import Joi from "joi";
import { raiseCeiling, recordCalmPose } from "../data/loop/calibrate";
import { refuse, withRecord } from "../data/loop/load";
import { addLimit, liftLimit } from "../data/repos/client.repo";
import { calmPoseSchema, liftSchema, newLimitSchema } from "../schemas/limit.schema";
import { type StepResult, takeStep } from "./step";

export async function addLimitAction(clientId: string, input: unknown): Promise<StepResult> {
  return takeStep("add-limit", newLimitSchema, input, ({ scope }, em, limit) =>
    withRecord(scope, em, clientId, async () => {
      await addLimit(scope, em, clientId, limit);
      return { ok: true };
    }),
  );
}

export async function liftLimitAction(clientId: string, input: unknown): Promise<StepResult> {
  return takeStep("lift-limit", liftSchema, input, ({ scope, today }, em, { limitId, ...lift }) =>
    withRecord(scope, em, clientId, async ({ limits }) => {
      if (!limits.some(({ id, lift: already }) => id === limitId && !already)) return refuse({ code: "no-such-client" });
      await liftLimit(scope, em, limitId, { ...lift, day: today });
      return { ok: true };
    }),
  );
}

export async function recordCalmPoseAction(clientId: string, input: unknown): Promise<StepResult> {
  return takeStep("calm-pose", calmPoseSchema, input, ({ scope, today }, em, pose) =>
    recordCalmPose(scope, em, clientId, { ...pose, id: crypto.randomUUID(), day: today }),
  );
}

export async function raiseCeilingAction(clientId: string): Promise<StepResult> {
  return takeStep("raise-ceiling", Joi.any(), null, ({ scope, today }, em) => raiseCeiling(scope, em, clientId, today));
}

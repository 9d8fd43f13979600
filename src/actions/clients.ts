"use server";
import Joi from "joi";
import { redirect } from "next/navigation";
import { choosePosture, recordMeasure } from "../steps/calibrate";
import { clearWarning, correctComplaint, correctDetails, erase, takeInClient } from "../steps/correct";
import { withRecord } from "../steps/with-record";
import { refuse, type StepResult } from "../core/outcome";
import { setDailyHeight } from "../data/repos/client.repo";
import { newMeasureSchema, postureChoiceSchema } from "../schemas/body.schema";
import { complaintChangeSchema, dailyHeightSchema, detailsSchema, newClientSchema } from "../schemas/client.schema";
import { clearanceSchema } from "../schemas/limit.schema";
import { take, takeStep } from "./step";

export async function addClientAction(input: unknown, stepId: unknown): Promise<StepResult<{ clientId: string }>> {
  return takeStep(
    "add-client",
    stepId,
    newClientSchema,
    input,
    ({ scope, today }, em, { heightM, massKg, complaints, nothingHurts, ...profile }) =>
      takeInClient(scope, em, profile, complaints, { day: today, heightM, massKg }, nothingHurts === true),
  );
}

/** Details corrected, or the client put away; the old ones are kept. */
export async function correctDetailsAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("details", stepId, detailsSchema, input, ({ scope }, em, details) => correctDetails(scope, em, details));
}

/** What hurts: added, corrected or ended. */
export async function correctComplaintAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("complaint", stepId, complaintChangeSchema, input, ({ scope, today }, em, { complaint, isEnded }) =>
    correctComplaint(scope, em, clientId, complaint, isEnded ? today : null),
  );
}

/** Every trace of one client, on request. Nothing is left to look at, so the list is shown next. */
export async function eraseClientAction(clientId: string, stepId: unknown): Promise<StepResult> {
  const erased = await take("erase", stepId, Joi.any(), null, ({ scope }, em) => erase(scope, em, clientId));
  if (erased.ok) redirect(`/clients?erased=${erased.factCount}`);
  return erased;
}

/** A body measured again, with what follows from it for posture and ceilings. */
export async function recordMeasureAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("measure", stepId, newMeasureSchema, input, ({ scope, today }, em, measure) =>
    recordMeasure(scope, em, clientId, { ...measure, day: today }),
  );
}

/** By which rule the shin is taken to move. */
export async function choosePostureAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("posture", stepId, postureChoiceSchema, input, ({ scope, today }, em, { posture }) =>
    choosePosture(scope, em, clientId, posture, today),
  );
}

/** A seat or step of the client's own day, or its taking away. */
export async function setDailyHeightAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("daily-height", stepId, dailyHeightSchema, input, ({ scope, today }, em, height) =>
    withRecord(scope, em, clientId, async () => {
      await setDailyHeight(scope, em, clientId, height, today);
      return { ok: true };
    }),
  );
}

/** A clinician's clearance of one warning sign; of what cannot be read a lead says that it may be left out. */
export async function clearWarningAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("clearance", stepId, clearanceSchema, input, async ({ scope, today, role, trainerName }, em, clearance) => {
    const isLeads = clearance.role === "lead";
    if (isLeads && role !== "lead") return refuse({ code: "only-a-lead" });
    return clearWarning(scope, em, clientId, { ...clearance, by: isLeads ? trainerName : clearance.by, day: today });
  });
}

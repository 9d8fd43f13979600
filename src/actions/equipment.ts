"use server";
import { addBand, addCushion } from "../data/repos/studio.repo";
import { bandSchema, cushionSchema } from "../schemas/studio.schema";
import { type StepResult, takeStep } from "./step";

/** A band of the studio's, as it was just pulled. */
export async function addBandAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("band", stepId, bandSchema, input, async ({ scope, today }, em, band) => {
    await addBand(scope, em, band, today);
    return { ok: true };
  });
}

/** The studio's cushion, as it was just measured. */
export async function addCushionAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("cushion", stepId, cushionSchema, input, async ({ scope, today }, em, { thicknessM }) => {
    await addCushion(scope, em, thicknessM, today);
    return { ok: true };
  });
}

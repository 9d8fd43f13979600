"use server";
import { addBand } from "../data/repos/client.repo";
import { bandSchema } from "../schemas/band.schema";
import { type StepResult, takeStep } from "./step";

/** A band of the studio's, as it was just pulled. */
export async function addBandAction(input: unknown): Promise<StepResult> {
  return takeStep("band", bandSchema, input, async ({ scope, today }, em, band) => {
    await addBand(scope, em, band, today);
    return { ok: true };
  });
}

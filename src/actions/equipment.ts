"use server";
import { refuse, type StepResult } from "../core/outcome";
import { loadRecord } from "../data/repos/record.repo";
import { addBand, addCushion, setKitList } from "../data/repos/studio.repo";
import { kitListSchema } from "../schemas/kit.schema";
import { bandSchema, cushionSchema } from "../schemas/studio.schema";
import { takeStep } from "./step";

/** A band of the studio's, as it was just pulled. */
export async function addBandAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("band", stepId, bandSchema, input, async ({ scope, today }, em, band) => {
    await addBand(scope, em, band, today);
    return { ok: true };
  });
}

/** What a place has now: the studio, or a client's home. */
export async function setKitAction(clientId: string | null, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("kit", stepId, kitListSchema, input, async ({ scope, today }, em, { items }) => {
    if (clientId !== null && !(await loadRecord(scope, em, clientId))) return refuse({ code: "no-such-client" });
    await setKitList(scope, em, clientId, items, today);
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

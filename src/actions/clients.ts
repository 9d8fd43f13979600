"use server";
import { choosePosture, recordMeasure } from "../data/loop/calibrate";
import { addClearance, addClient, setDailyHeight } from "../data/repos/client.repo";
import { withRecord } from "../data/loop/load";
import { newMeasureSchema, postureChoiceSchema } from "../schemas/body.schema";
import { clearanceSchema, dailyHeightSchema, newClientSchema } from "../schemas/client.schema";
import { type StepResult, takeStep } from "./step";

export async function addClientAction(input: unknown): Promise<StepResult<{ clientId: string }>> {
  return takeStep("add-client", newClientSchema, input, async ({ scope, today }, em, { heightM, massKg, ...profile }) => {
    const id = crypto.randomUUID();
    await addClient(scope, em, { id, ...profile }, { day: today, heightM, massKg });
    return { ok: true, clientId: id };
  });
}

/** A body measured again, with what follows from it for posture and ceilings. */
export async function recordMeasureAction(clientId: string, input: unknown): Promise<StepResult> {
  return takeStep("measure", newMeasureSchema, input, ({ scope, today }, em, measure) =>
    recordMeasure(scope, em, clientId, { ...measure, day: today }),
  );
}

/** By which rule the shin is taken to move. */
export async function choosePostureAction(clientId: string, input: unknown): Promise<StepResult> {
  return takeStep("posture", postureChoiceSchema, input, ({ scope, today }, em, { posture }) =>
    choosePosture(scope, em, clientId, posture, today),
  );
}

/** A seat or step of the client's own day, or its taking away. */
export async function setDailyHeightAction(clientId: string, input: unknown): Promise<StepResult> {
  return takeStep("daily-height", dailyHeightSchema, input, ({ scope, today }, em, height) =>
    withRecord(scope, em, clientId, async () => {
      await setDailyHeight(scope, em, clientId, height, today);
      return { ok: true };
    }),
  );
}

export async function recordClearanceAction(clientId: string, input: unknown): Promise<StepResult> {
  return takeStep("clearance", clearanceSchema, input, ({ scope, today }, em, clearance) =>
    withRecord(scope, em, clientId, async () => {
      await addClearance(scope, em, clientId, { ...clearance, day: today });
      return { ok: true };
    }),
  );
}

"use server";
import { addClearance, addClient } from "../data/repos/client.repo";
import { withRecord } from "../data/loop/load";
import { clearanceSchema, newClientSchema } from "../schemas/client.schema";
import { type StepResult, takeStep } from "./step";

export async function addClientAction(input: unknown): Promise<StepResult<{ clientId: string }>> {
  return takeStep("add-client", newClientSchema, input, async ({ scope, today }, em, { heightM, massKg, ...profile }) => {
    const id = crypto.randomUUID();
    await addClient(scope, em, { id, ...profile }, { day: today, heightM, massKg });
    return { ok: true, clientId: id };
  });
}

export async function recordClearanceAction(clientId: string, input: unknown): Promise<StepResult> {
  return takeStep("clearance", clearanceSchema, input, ({ scope, today }, em, clearance) =>
    withRecord(scope, em, clientId, async () => {
      await addClearance(scope, em, clientId, { ...clearance, day: today });
      return { ok: true };
    }),
  );
}

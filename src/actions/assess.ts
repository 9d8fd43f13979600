"use server";
import { keepFinding } from "../data/loop/assess";
import { newFindingSchema } from "../schemas/assess.schema";
import { type StepResult, takeStep } from "./step";

/** One result of one protocol: sent twice with one id, it is one. */
export async function keepFindingAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("finding", stepId, newFindingSchema, input, ({ scope, today }, em, { isConfirmed, ...finding }) =>
    keepFinding(scope, em, clientId, finding, isConfirmed, today),
  );
}

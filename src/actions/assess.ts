"use server";
import { keepCalmSeat, keepFinding, logCalmSet } from "../steps/assess";
import { calmSeatSchema, calmSetSchema, newFindingSchema } from "../schemas/assess.schema";
import { takeStep } from "./step";
import type { StepResult } from "../core/outcome";

/** One result of one protocol: sent twice with one id, it is one. */
export async function keepFindingAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("finding", stepId, newFindingSchema, input, ({ scope, today }, em, { isConfirmed, ...finding }) =>
    keepFinding(scope, em, clientId, finding, isConfirmed, today),
  );
}

/** The lowest calm seat, and the ceiling it sets. */
export async function keepCalmSeatAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("calm-seat", stepId, calmSeatSchema, input, ({ scope, today }, em, seat) =>
    keepCalmSeat(scope, em, clientId, seat, today),
  );
}

/** The calm seat logged as a first set. */
export async function logCalmSetAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("calm-set", stepId, calmSetSchema, input, ({ scope, today }, em, set) =>
    logCalmSet(scope, em, clientId, set, today, new Date()),
  );
}

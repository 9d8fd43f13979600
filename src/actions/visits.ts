"use server";
import { changeVisits } from "../data/repos/visit.repo";
import { visitChangesSchema } from "../schemas/visit.schema";
import { takeStep } from "./step";
import type { StepResult } from "../core/outcome";

/** Visits typed, moved, ended or read from a calendar. */
export async function changeVisitsAction(input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("visits", stepId, visitChangesSchema, input, ({ scope }, em, changes) => changeVisits(scope, em, changes));
}

"use server";
import { keepTrainingPlan } from "../steps/training-plan";
import { trainingPlanSchema } from "../schemas/training-plan.schema";
import { takeStep } from "./step";
import type { StepResult } from "../core/outcome";

/** A client's programme: session, days and all. */
export async function keepTrainingPlanAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("training-plan", stepId, trainingPlanSchema, input, ({ scope, today }, em, plan) =>
    keepTrainingPlan(scope, em, clientId, plan, today),
  );
}

"use server";
import { chooseSchool } from "../steps/school";
import { newSchoolSchema } from "../schemas/school.schema";
import { takeStep } from "./step";
import type { StepResult } from "../core/outcome";

export async function chooseSchoolAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("choose-school", stepId, newSchoolSchema, input, ({ scope, today, trainerName }, em, choice) =>
    chooseSchool(scope, em, clientId, choice, trainerName, today),
  );
}

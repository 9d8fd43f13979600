"use server";
import { chooseSchool } from "../data/loop/school";
import { newSchoolSchema } from "../schemas/school.schema";
import { type StepResult, takeStep } from "./step";

export async function chooseSchoolAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("choose-school", stepId, newSchoolSchema, input, ({ scope, today, trainerName }, em, choice) =>
    chooseSchool(scope, em, clientId, choice, trainerName, today),
  );
}

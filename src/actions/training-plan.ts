"use server";
import { setCalendarLink } from "../data/repos/calendar-link.repo";
import { calendarSecretSchema } from "../schemas/calendar-link.schema";
import { keepTrainingPlan } from "../data/loop/training-plan";
import { trainingPlanSchema } from "../schemas/training-plan.schema";
import { type StepResult, takeStep } from "./step";

/** A client's programme: session, days and all. */
export async function keepTrainingPlanAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("training-plan", stepId, trainingPlanSchema, input, ({ scope, today }, em, plan) =>
    keepTrainingPlan(scope, em, clientId, plan, today),
  );
}

/** The link by which a calendar follows the programme: a new one ends the one before, none ends it. */
export async function setCalendarLinkAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("calendar-link", stepId, calendarSecretSchema, input, ({ scope }, em, { secret }) =>
    setCalendarLink(scope, em, clientId, secret),
  );
}

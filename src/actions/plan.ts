"use server";
import { correctSession } from "../steps/correct";
import { answerMorning } from "../steps/morning";
import { decideHolds, decideItem, keepRung, openProgramme, openSession, rememberSetUp } from "../steps/plan";
import { sessionCorrectionSchema } from "../schemas/floor.schema";
import {
  decisionChoiceSchema,
  holdsChoiceSchema,
  morningSchema,
  programmeChoiceSchema,
  rungChoiceSchema,
  sessionChoiceSchema,
  setUpChoiceSchema,
} from "../schemas/plan.schema";
import { takeStep } from "./step";
import type { StepResult } from "../core/outcome";

export async function keepRungAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("keep-rung", stepId, rungChoiceSchema, input, ({ scope, today }, em, choice) =>
    keepRung(scope, em, clientId, choice, today),
  );
}

/** What was put by hand on the floor, as the set-up to begin from next time. */
export async function rememberSetUpAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("remember-set-up", stepId, setUpChoiceSchema, input, ({ scope, today }, em, choice) =>
    rememberSetUp(scope, em, clientId, choice, today),
  );
}

export async function openSessionAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult<{ sessionId: string }>> {
  return takeStep("open-session", stepId, sessionChoiceSchema, input, ({ scope, today }, em, { prescriptionIds }) =>
    openSession(scope, em, clientId, today, prescriptionIds),
  );
}

/** Today's session of the programme, without what was left out. */
export async function openProgrammeAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult<{ sessionId: string }>> {
  return takeStep("open-programme", stepId, programmeChoiceSchema, input, ({ scope, today }, em, { leftOut }) =>
    openProgramme(scope, em, clientId, today, leftOut),
  );
}

export async function answerMorningAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("morning", stepId, morningSchema, input, ({ scope, today }, em, morning) =>
    answerMorning(scope, em, clientId, morning, today),
  );
}

export async function decideAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult<{ isSuperseded: boolean }>> {
  return takeStep("decide", stepId, decisionChoiceSchema, input, ({ scope, today }, em, choice) =>
    decideItem(scope, em, clientId, choice, today),
  );
}

/** One tap for every exercise of a session that the rules hold. */
export async function decideHoldsAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("decide-holds", stepId, holdsChoiceSchema, input, ({ scope, today }, em, { sessionId }) =>
    decideHolds(scope, em, clientId, sessionId, today),
  );
}

/** A set of any day put right, or a session ended too early gone on with. */
export async function correctSessionAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("correct-session", stepId, sessionCorrectionSchema, input, ({ scope }, em, { sessionId, body }) =>
    correctSession(scope, em, clientId, sessionId, body, new Date()),
  );
}

"use server";
import Joi from "joi";
import { DEFAULT_KIT } from "../core";
import { answerMorning } from "../data/loop/morning";
import { decideSession, keepRung, openSession } from "../data/loop/plan";
import { decisionChoiceSchema, morningSchema, rungChoiceSchema } from "../schemas/plan.schema";
import { type StepResult, takeStep } from "./step";

export async function keepRungAction(clientId: string, input: unknown): Promise<StepResult> {
  return takeStep("keep-rung", rungChoiceSchema, input, ({ scope, today }, em, choice) =>
    keepRung(scope, em, clientId, choice, today, DEFAULT_KIT),
  );
}

export async function openSessionAction(clientId: string): Promise<StepResult<{ sessionId: string }>> {
  return takeStep("open-session", Joi.any(), null, ({ scope, today }, em) => openSession(scope, em, clientId, today));
}

export async function answerMorningAction(clientId: string, input: unknown): Promise<StepResult> {
  return takeStep("morning", morningSchema, input, ({ scope, today }, em, morning) => answerMorning(scope, em, clientId, morning, today));
}

export async function decideAction(clientId: string, input: unknown): Promise<StepResult> {
  return takeStep("decide", decisionChoiceSchema, input, ({ scope, today }, em, choice) =>
    decideSession(scope, em, clientId, choice, today, DEFAULT_KIT),
  );
}

"use server";
import { answerScreen, setRuleAside } from "../steps/screen";
import { ruleAsideSchema, screenPartSchema } from "../schemas/screen.schema";
import { takeStep } from "./step";
import type { StepResult } from "../core/outcome";

/** One question before training answered, or more. */
export async function answerScreenAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("screen", stepId, screenPartSchema, input, ({ scope, today }, em, { signs, back, ...part }) => {
    const dated = { ...(signs ? { signs: { ...signs, day: today } } : {}), ...(back ? { back: { ...back, day: today } } : {}) };
    return answerScreen(scope, em, clientId, { ...part, ...dated }, today);
  });
}

/** A rule set aside for one client, with the reason. */
export async function setRuleAsideAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("rule-aside", stepId, ruleAsideSchema, input, ({ scope, today, trainerName }, em, { limitId, reason }) =>
    setRuleAside(scope, em, clientId, { limitId, by: trainerName, reason }, today),
  );
}

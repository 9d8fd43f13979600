"use server";
import { avoidedWords } from "../core/session/sheet";
import { refuse, type StepResult } from "../core/outcome";
import { keepSummary } from "../data/repos/summary.repo";
import { summarySchema } from "../schemas/summary.schema";
import { takeStep } from "./step";

/** A letter kept as it was edited; what goes to a client neither judges nor promises. */
export async function keepSummaryAction(clientId: string, input: unknown, stepId: unknown): Promise<StepResult> {
  return takeStep("letter", stepId, summarySchema, input, async ({ scope, today, trainerName }, em, letter) => {
    const avoided = letter.audience === "client" ? letter.sections.flatMap(({ words }) => avoidedWords(words)) : [];
    if (avoided.length > 0) return refuse({ code: "message", wrong: { code: "avoided", words: avoided } });
    return keepSummary(scope, em, clientId, { ...letter, day: today, by: trainerName });
  });
}

import { limitState } from "../src/core/limits/limit";
import type { Issue } from "../src/core/reasons";
import { carefulFrom, clocksOf, dayProblem, ruleLimits, rulesOn, screenGate } from "../src/core/screen/screen";
import type { ScreenInput } from "../src/schemas/screen.schema";

export const screenIssues = ({ answers, today }: ScreenInput): Issue[] =>
  (answers.conditions ?? []).flatMap((condition, i) => {
    const code = dayProblem(condition, today);
    return code ? [{ path: `answers.conditions.${i}.day`, code }] : [];
  });

/** The command is told no findings: what a measure would end still runs. */
const NOT_MEASURED = (): boolean => false;

export const runScreen = ({ answers, today }: ScreenInput): object => ({
  gate: screenGate(answers, today),
  limits: ruleLimits(answers, NOT_MEASURED).map((limit) => ({ ...limit, state: limitState(limit, today) })),
  rules: rulesOn(answers, today),
  careful: carefulFrom(answers),
  clocks: clocksOf(answers, today),
});

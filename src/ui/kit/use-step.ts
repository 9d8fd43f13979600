"use client";
import { unstable_rethrow } from "next/navigation";
import { useContext, useRef, useState, useTransition } from "react";
import { v4 as newUuid } from "uuid";
import type { StepResult } from "../../core/outcome";
import type { UnitSystem } from "../../core/units";
import { SignInHere } from "./sign-in-here";
import { problemText } from "../../words/studio/problem";

const AGAIN_AFTER_MS = [1000, 2000, 4000, 8000];
const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

const isSignedOut = (result: StepResult): result is Exclude<StepResult, { ok: true }> =>
  !result.ok && "refusal" in result && result.refusal.code === "signed-out";

/**
 * Sends one step to the server; says what went wrong and leaves everything entered where it was. A step keeps its id
 * until it is answered: an answer that was lost is asked for again, and nothing happens twice.
 */
export function useStep(units: UnitSystem = "metric"): {
  take: <T extends object>(
    action: (stepId: string) => Promise<StepResult<T>>,
    onTaken?: (result: { ok: true } & T) => void,
    /** A refusal that is asked about rather than said: true where it was. */
    onRefused?: (result: Exclude<StepResult, { ok: true }>) => boolean,
  ) => void;
  isTaking: boolean;
  problem: string | null;
} {
  const stepId = useRef<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [isTaking, start] = useTransition();
  const signInHere = useContext(SignInHere);
  return {
    isTaking,
    problem,
    take: (action, onTaken, onRefused) =>
      start(async () => {
        setProblem(null);
        const id = (stepId.current ??= newUuid());
        for (const waitMs of [...AGAIN_AFTER_MS, null]) {
          const result = await action(id).catch((error: unknown) => {
            unstable_rethrow(error); // where the studio sends us next
            return null;
          });
          if (result !== null && isSignedOut(result)) {
            setProblem(problemText(result, units));
            if (!(await signInHere())) return;
            setProblem(null);
            continue; // the same step, for the same person
          }
          if (result !== null) {
            stepId.current = null;
            if (result.ok) onTaken?.(result);
            else setProblem(onRefused?.(result) ? null : problemText(result, units));
            return;
          }
          if (waitMs === null) break;
          setProblem("Not confirmed yet, sending again. Nothing you entered is lost.");
          await pause(waitMs);
        }
        setProblem("Not confirmed: the studio does not answer. Nothing you entered is lost; sending it once more counts once.");
      }),
  };
}

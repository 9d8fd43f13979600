"use client";
import { unstable_rethrow } from "next/navigation";
import { useState, useTransition } from "react";
import type { StepResult } from "../../actions/step";
import { problemText } from "../text/problem-text";

/** Sends one step to the server; says what went wrong and leaves everything entered where it was. */
export function useStep(): {
  take: <T extends object>(action: () => Promise<StepResult<T>>, onTaken?: (result: { ok: true } & T) => void) => void;
  isTaking: boolean;
  problem: string | null;
} {
  const [problem, setProblem] = useState<string | null>(null);
  const [isTaking, start] = useTransition();
  return {
    isTaking,
    problem,
    take: (action, onTaken) =>
      start(async () => {
        setProblem(null);
        const result = await action().catch((error: unknown) => {
          unstable_rethrow(error); // where the studio sends us next
          return null;
        });
        if (result === null) setProblem("The server did not answer. Nothing you entered is lost; try again.");
        else if (result.ok) onTaken?.(result);
        else setProblem(problemText(result));
      }),
  };
}

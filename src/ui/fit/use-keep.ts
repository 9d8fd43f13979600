"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { keepRungAction } from "../../actions/plan";
import type { UnitSystem } from "../../core/units";
import { useStep } from "../kit/use-step";
import { problemText } from "../../words/studio/problem";
import type { Fit } from "./use-fit";

/** Keep: the rung and dose become the plan. What the rules would not do by themselves asks why; a limit or a warning sign refuses. */
export function useKeep({ clientId, isStopped, units }: { clientId: string; isStopped: boolean; units: UnitSystem }, fit: Fit) {
  const router = useRouter();
  const [asked, setAsked] = useState<string | null>(null);
  const [note, setNote] = useState("");
  const { take, isTaking, problem } = useStep(units);
  const send = (): void => {
    const { variation, setting, dose, context } = fit;
    const choice = { variationId: variation.id, side: context.subject.leadSide, setting, dose, note };
    take(
      (stepId) => keepRungAction(clientId, choice, stepId),
      () => {
        setAsked(null);
        router.push(`/clients/${clientId}/floor`);
      },
      (result) => {
        const isAsked = "refusal" in result && result.refusal.code.endsWith("-needs-note");
        if (isAsked) setAsked(problemText(result, units));
        return isAsked;
      },
    );
  };
  const keep = (): void => {
    if (!isStopped && !isTaking && fit.isReady) send();
  };
  const canKeep = fit.isReady && !fit.judgement.blocked && !isStopped;
  return { keep, send, asked, setAsked, note, setNote, problem, isSaving: isTaking, canKeep };
}

"use client";
import { useDeferredValue, useEffect, useMemo, useState } from "react";
import { wrap } from "comlink";
import {
  type Candidate,
  type Dose,
  type FitContext,
  hardestWithin,
  judge,
  type Judgement,
  type LeverId,
  type Move,
  nextStep,
  type Place,
  type Setting,
  stairAround,
  startSetting,
  type Step,
  type Tread,
  type Variation,
  variationById,
  withLever,
} from "../../core";
import type { FitWorker } from "../../workers/fit.worker";

export interface Plan {
  variationId: string;
  setting: Setting;
  dose: Dose;
}

const STAIR = { down: 2, up: 6 };

/** Candidates from the worker, searched anew when the share under the leg changes; null until the first answer. */
function useCandidates(context: FitContext, shareFraction: number | undefined): Candidate[] | null {
  const [candidates, setCandidates] = useState<Candidate[] | null>(null);
  useEffect(() => {
    const worker = new Worker(new URL("../../workers/fit.worker.ts", import.meta.url), { type: "module" });
    let isCurrent = true;
    const known = shareFraction === undefined ? {} : { shareFraction };
    void wrap<FitWorker>(worker)
      .search(context, known)
      .then((found) => isCurrent && setCandidates(found));
    return () => {
      isCurrent = false;
      worker.terminate();
    };
  }, [context, shareFraction]);
  return candidates;
}

export interface Fit {
  /** False only while a client without a plan waits for the first search. */
  isReady: boolean;
  candidates: Candidate[] | null;
  variation: Variation;
  setting: Setting;
  judgement: Judgement;
  dose: Dose;
  stair: readonly Tread[];
  steps: Record<Move, Step | null>;
  pick: (variationId: string) => void;
  setLever: (lever: LeverId, value: number) => void;
  /** A variation in a set-up, as the stair names them. */
  goTo: (place: Place) => void;
  /** The set-up the stair is drawn for: it may lag a drag by a frame. */
  settled: Place;
  /** Where each lever meets the tightest ceiling, the others as they stand; null where it never does. */
  leverCeilings: readonly (number | null)[];
  /** Takes the next step from wherever the levers stand now, however fast the keys come. */
  go: (move: Move) => void;
  setDose: (dose: Dose) => void;
}

/** The state of the Fit screen: what is picked and set. Everything else is computed from it on every change. */
export function useFit(context: FitContext, plan: Plan | null): Fit {
  const [settings, setSettings] = useState<Record<string, Setting>>(plan ? { [plan.variationId]: plan.setting } : {});
  const [doses, setDoses] = useState<Record<string, Dose>>(plan ? { [plan.variationId]: plan.dose } : {});
  const [pickedId, setPickedId] = useState<string | null>(plan?.variationId ?? null);
  const [shareFraction, setShare] = useState<number | undefined>(plan?.setting.shareFraction);
  const candidates = useCandidates(context, shareFraction);

  const variation = variationById(pickedId ?? candidates?.[0]?.variationId ?? "raised-sit-to-stand");
  const setting =
    settings[variation.id] ?? candidates?.find(({ variationId }) => variationId === variation.id)?.setting ?? startSetting(variation);
  const judgement = useMemo(() => judge(context, variation, setting), [context, variation, setting]);
  const settled = useDeferredValue(setting); // the stair may lag a drag by a frame
  const stair = useMemo(() => stairAround(context, variation, settled, STAIR), [context, variation, settled]);
  const here = useMemo(() => ({ variationId: variation.id, setting: settled }), [variation.id, settled]);
  const steps = useMemo(
    () => ({ ease: nextStep(context, variation, settled, "ease"), build: nextStep(context, variation, settled, "build") }),
    [context, variation, settled],
  );

  const leverCeilings = useMemo(
    () => variation.levers.map((range) => (context.ceilings.length === 0 ? null : hardestWithin(context, variation, settled, range, 1))),
    [context, variation, settled],
  );

  const setSetting = (next: Setting): void => {
    setPickedId(variation.id);
    setSettings((all) => ({ ...all, [variation.id]: next }));
  };
  return {
    isReady: pickedId !== null || candidates !== null,
    candidates,
    variation,
    setting,
    judgement,
    dose: doses[variation.id] ?? variation.dose,
    stair,
    steps,
    pick: setPickedId,
    goTo: (place) => {
      setPickedId(place.variationId);
      setSettings((all) => ({ ...all, [place.variationId]: place.setting }));
      if (place.setting.shareFraction !== undefined) setShare(place.setting.shareFraction);
    },
    settled: here,
    leverCeilings,
    go: (move) => {
      setPickedId(variation.id);
      setSettings((all) => ({
        ...all,
        [variation.id]: nextStep(context, variation, all[variation.id] ?? setting, move)?.setting ?? all[variation.id] ?? setting,
      }));
    },
    setLever: (lever, value) => {
      setSetting(withLever(setting, lever, value));
      if (lever === "shareFraction") setShare(value);
    },
    setDose: (dose) => setDoses((all) => ({ ...all, [variation.id]: dose })),
  };
}

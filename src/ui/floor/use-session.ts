"use client";
import { useEffect, useMemo, useRef, useState } from "react";
import { v4 as newUuid } from "uuid";
import {
  type CheckInChoice,
  type Dose,
  EASE_ORDER,
  easedSetting,
  type FitContext,
  type FloorEvent,
  type FloorSet,
  nextStep,
  type PerformedSet,
  type Setting,
  type Step,
  type Variation,
  variationById,
} from "../../core";
import { type FloorLog, useFloorEvents } from "./use-floor-events";
import { useRestLeftS } from "./use-rest";
import { type Tempo, useTempo } from "./use-tempo";

export interface FloorPlan {
  sessionId: string;
  itemId: string;
  variationId: string;
  setting: Setting;
  dose: Dose;
}

export interface FloorSession {
  log: FloorLog;
  tempo: Tempo;
  variation: Variation;
  /** The set-up now, after any easing. */
  setting: Setting;
  easeStep: Step | null;
  /** Faults seen in the set under way, or in the last one during rest. */
  faults: readonly string[];
  restLeftS: number | null;
  isWaiting: boolean;
  wait: () => void;
  lastSet: FloorSet | undefined;
  allSetsDone: boolean;
  checkIn: (painScore: number, newSwelling: boolean, choice: CheckInChoice) => void;
  tapPain: (painScore: number) => void;
  endSet: (endedBy: PerformedSet["endedBy"]) => void;
  correctRepetitions: (by: 1 | -1) => void;
  sayTank: (leftInTank: number) => void;
  toggleFault: (fault: string) => void;
  ease: () => void;
  undoEase: () => void;
  withdrawWarning: () => void;
  voidLast: () => void;
  end: () => void;
}

/** One session on the floor: every tap becomes an event, and everything shown is what the events add up to. */
export function useSession(plan: FloorPlan, context: FitContext, known: readonly FloorEvent[], isMuted: boolean): FloorSession {
  const { sessionId, itemId, dose } = plan;
  const log = useFloorEvents(sessionId, known);
  const tempo = useTempo(sessionId, dose, isMuted);
  const [seen, setSeen] = useState<readonly string[]>([]);
  const [isWaiting, setWaiting] = useState(false);
  const variation = variationById(plan.variationId);
  const { state, append, latest } = log;
  const setting = useMemo(() => easedSetting(plan.setting, itemId, state.eases), [plan.setting, itemId, state.eases]);
  const easeStep = useMemo(() => nextStep(context, variation, setting, "ease", EASE_ORDER), [context, variation, setting]);
  const lastSet = state.sets.at(-1);
  const allSetsDone = state.sets.length >= dose.setCount;
  const isIdle = tempo.status === "idle";
  const restLeftS = useRestLeftS(isIdle && !allSetsDone && lastSet ? lastSet.endedAt : null, dose.restS);

  // Rest that runs out while one is looking starts the next set: one tap a set.
  const wasResting = useRef(false);
  const { start } = tempo;
  useEffect(() => {
    if (restLeftS !== null && restLeftS > 0) wasResting.current = true;
    else if (restLeftS === 0 && wasResting.current && !isWaiting && isIdle && state.endedAt === null) {
      wasResting.current = false;
      start();
    }
  }, [restLeftS, isWaiting, isIdle, state.endedAt, start]);

  const isSetOpen = useRef(false);
  useEffect(() => {
    isSetOpen.current = !isIdle;
  }, [isIdle]);

  const saveSet = (painScore: number | null, endedBy: PerformedSet["endedBy"]): void => {
    isSetOpen.current = false; // before any render: a second tap corrects, it does not add
    append({ kind: "set-ended", setId: newUuid(), itemId, setting, repetitions: tempo.repetitions, painScore, faults: [...seen], endedBy });
    tempo.clear();
    setSeen([]);
    setWaiting(false);
  };
  const correct = (change: {
    repetitions?: number;
    painScore?: number;
    leftInTank?: number;
    faults?: string[];
    endedBy?: PerformedSet["endedBy"];
  }): void => {
    const last = latest().sets.at(-1);
    if (last) append({ kind: "set-corrected", setId: last.id, change });
  };
  const ease = (): void => {
    if (isSetOpen.current) saveSet(null, "pain-tap");
    if (easeStep) append({ kind: "eased", itemId, lever: easeStep.lever, from: easeStep.from, to: easeStep.to });
  };

  return {
    log,
    tempo,
    variation,
    setting,
    easeStep,
    faults: isIdle ? (lastSet?.faults ?? []) : seen,
    restLeftS,
    isWaiting,
    wait: () => setWaiting(true),
    lastSet,
    allSetsDone,
    checkIn: (painScore, newSwelling, choice) => {
      append({ kind: "checked-in", painScore, newSwelling, choice });
      if (choice === "ease-all") ease();
      if (choice === "stop") append({ kind: "session-ended" });
    },
    tapPain: (painScore) => (isSetOpen.current ? saveSet(painScore, "pain-tap") : correct({ painScore })),
    endSet: (endedBy) => {
      if (isSetOpen.current) saveSet(null, endedBy);
      else correct({ endedBy });
      if (endedBy === "warning-sign") append({ kind: "warning-sign", sign: "on-the-floor" });
    },
    correctRepetitions: (by) => {
      const last = latest().sets.at(-1);
      if (last) correct({ repetitions: Math.max(0, last.repetitions + by) });
    },
    sayTank: (leftInTank) => correct({ leftInTank }),
    toggleFault: (fault) => {
      const toggled = (list: readonly string[]): string[] =>
        list.includes(fault) ? list.filter((other) => other !== fault) : [...list, fault];
      if (isSetOpen.current) setSeen(toggled);
      else correct({ faults: toggled(latest().sets.at(-1)?.faults ?? []) });
    },
    ease,
    undoEase: () => {
      const last = latest().eases.at(-1);
      if (last) append({ kind: "ease-undone", easedEventId: last.eventId });
    },
    withdrawWarning: () => {
      append({ kind: "warning-withdrawn" });
      if (latest().sets.at(-1)?.endedBy === "warning-sign") correct({ endedBy: "pain-tap" });
    },
    voidLast: () => {
      const last = latest().sets.at(-1);
      if (last) append({ kind: "set-voided", setId: last.id });
    },
    end: () => append({ kind: "session-ended" }),
  };
}

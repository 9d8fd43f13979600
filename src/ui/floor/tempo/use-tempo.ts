"use client";
import { useCallback, useEffect, useMemo, useReducer, useRef, useState, useSyncExternalStore } from "react";
import type { Dose, Variation } from "../../../core/catalogue/variation";
import { steadyMs } from "../../../outbox/clock";
import { COUNT_IN_S, toSchedule } from "../../../core/dose/beats";
import { repetitionS, tempoMoment, type TempoMoment } from "../../../core/dose/dose";
import { useBeside } from "../session/beside";
import { Tones } from "./tones";

/** The set under way, kept over a reload. `stoppedS` is set while it is stopped. */
interface Running {
  itemId: string;
  startedAtMs: number;
  stoppedS: number | null;
}

const keyOf = (sessionId: string): string => `ponderis-running-${sessionId}`;

const watchers = new Set<() => void>();
const watch = (onChange: () => void): (() => void) => {
  watchers.add(onChange);
  return () => watchers.delete(onChange);
};
/** What this tab keeps of the set under way; none until the page has been drawn as the server drew it. */
function useRunning(sessionId: string): Running | null {
  const kept = useSyncExternalStore(
    watch,
    () => sessionStorage.getItem(keyOf(sessionId)),
    () => null,
  );
  return useMemo(() => (kept === null ? null : (JSON.parse(kept) as Running)), [kept]);
}

const LOOK_EVERY_MS = 100;
const goalS = (dose: Dose): number => dose.repetitionsHigh * repetitionS(dose);
const isOver = (dose: Dose, startedAtMs: number): boolean => (steadyMs() - startedAtMs) / 1000 >= goalS(dose) - 0.05;

/** How far a set is. */
export interface Reading {
  moment: TempoMoment;
  repetitions: number;
  /** Seconds of the set so far. */
  workedS: number;
  /** Seconds still counted before the first repetition. */
  countInS: number;
}

function readingOf(running: Running | null, isDone: boolean, dose: Dose, startsBy: Variation["startsBy"]): Reading {
  const sinceS = running === null ? 0 : isDone ? goalS(dose) : (running.stoppedS ?? (steadyMs() - running.startedAtMs) / 1000);
  const elapsedS = Math.min(goalS(dose), Math.max(0, sinceS));
  const moment = tempoMoment(dose, startsBy, Math.min(elapsedS, goalS(dose) - 1e-6));
  return {
    moment,
    repetitions: elapsedS >= goalS(dose) ? dose.repetitionsHigh : moment.repetitions,
    workedS: Math.round(elapsedS),
    countInS: running?.stoppedS === null && sinceS < 0 ? Math.ceil(-sinceS) : 0,
  };
}

export interface Tempo {
  status: "idle" | "running" | "stopped" | "done";
  /** The item whose set is under way. */
  itemId: string | null;
  /** How far the set is now. What shows it asks on every frame, and redraws itself alone: `useReading`. */
  read: () => Reading;
  /** Counted in by three, or at once where somebody counted already. */
  start: (countInS?: number) => void;
  stop: () => void;
  clear: () => void;
  /** One tone of the count before a set that starts by itself. */
  count: () => void;
}

/** How far the set is, frame by frame while it runs. */
export function useReading({ status, read }: Pick<Tempo, "status" | "read">): Reading {
  const [, redraw] = useReducer((frames: number) => frames + 1, 0);
  useEffect(() => {
    if (status !== "running") return;
    let frame = requestAnimationFrame(function tick() {
      redraw();
      frame = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(frame);
  }, [status]);
  return read();
}

/** Counts a set by its tempo, by sight and by sound. It is done at the top of the repetition range. */
export function useTempo(sessionId: string, itemId: string, dose: Dose, startsBy: Variation["startsBy"], isMuted: boolean): Tempo {
  const running = useRunning(sessionId);
  const [isDone, setDone] = useState(false);
  const tones = useRef(new Tones());
  const { voice } = useBeside();
  const isRunning = running !== null && running.stoppedS === null && !isDone;

  const keep = useCallback(
    (next: Running | null) => {
      if (next) sessionStorage.setItem(keyOf(sessionId), JSON.stringify(next));
      else sessionStorage.removeItem(keyOf(sessionId));
      setDone(false);
      for (const onChange of watchers) onChange();
    },
    [sessionId],
  );
  const startedAtMs = isRunning ? running.startedAtMs : null;
  const lengthS = goalS(dose);
  useEffect(() => {
    if (startedAtMs === null) return;
    const end = setTimeout(() => setDone(true), startedAtMs + lengthS * 1000 - steadyMs());
    return () => clearTimeout(end);
  }, [startedAtMs, lengthS]);
  useEffect(() => {
    if (startedAtMs === null || isMuted) return;
    const ear = tones.current;
    let putUntilS = (steadyMs() - startedAtMs) / 1000; // whatever lies before was heard, or missed while muted
    const ahead = (): void => {
      const clocks = { elapsedS: (steadyMs() - startedAtMs) / 1000, audioS: ear.nowS() };
      const put = toSchedule(dose, startsBy, clocks, putUntilS);
      putUntilS = put.putUntilS;
      for (const { kind, atAudioS } of put.tones) ear.put(kind, atAudioS, voice);
    };
    ahead();
    const timer = setInterval(ahead, LOOK_EVERY_MS);
    return () => {
      clearInterval(timer);
      // the last tone is heard out where the set came to its end by itself
      if (!isOver(dose, startedAtMs)) ear.silence();
    };
  }, [startedAtMs, isMuted, dose, startsBy, voice]);
  const count = useCallback(() => {
    if (!isMuted) tones.current.put("count", 0, voice);
  }, [isMuted, voice]);

  const read = useCallback(() => readingOf(running, isDone, dose, startsBy), [running, isDone, dose, startsBy]);
  return {
    status: running === null ? "idle" : isDone ? "done" : running.stoppedS === null ? "running" : "stopped",
    itemId: running?.itemId ?? null,
    read,
    start: (countInS = COUNT_IN_S) =>
      // going on after a stop is not counted in: the set stands where it stopped
      keep({ itemId, startedAtMs: steadyMs() + (running ? -(running.stoppedS ?? 0) : countInS) * 1000, stoppedS: null }),
    stop: () => isRunning && keep({ ...running, stoppedS: Math.max(0, (steadyMs() - running.startedAtMs) / 1000) }),
    clear: () => keep(null),
    count,
  };
}

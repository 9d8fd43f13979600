"use client";
import { useCallback, useEffect, useRef, useState } from "react";
import type { Dose, Variation } from "../../core/catalogue/variation";
import { steadyMs } from "../outbox/clock";
import { COUNT_IN_S, toSchedule } from "../../core/dose/beats";
import { repetitionS, tempoMoment, type TempoMoment } from "../../core/dose/dose";
import { useBeside } from "./beside";
import { Tones } from "./tones";

/** The set under way, kept over a reload. `stoppedS` is set while it is stopped. */
interface Running {
  itemId: string;
  startedAtMs: number;
  stoppedS: number | null;
}

const keyOf = (sessionId: string): string => `ponderis-running-${sessionId}`;

function readRunning(sessionId: string): Running | null {
  const kept = sessionStorage.getItem(keyOf(sessionId));
  return kept ? (JSON.parse(kept) as Running) : null;
}

const LOOK_EVERY_MS = 100;
const isOver = (dose: Dose, startedAtMs: number): boolean =>
  (steadyMs() - startedAtMs) / 1000 >= dose.repetitionsHigh * repetitionS(dose) - 0.05;

export interface Tempo {
  status: "idle" | "running" | "stopped" | "done";
  /** The item whose set is under way. */
  itemId: string | null;
  moment: TempoMoment;
  repetitions: number;
  /** Seconds of the set so far. */
  workedS: number;
  /** Seconds still counted before the first repetition. */
  countInS: number;
  /** Counted in by three, or at once where somebody counted already. */
  start: (countInS?: number) => void;
  stop: () => void;
  clear: () => void;
  /** One tone of the count before a set that starts by itself. */
  count: () => void;
}

/** Counts a set by its tempo, by sight and by sound. It is done at the top of the repetition range. */
export function useTempo(sessionId: string, itemId: string, dose: Dose, startsBy: Variation["startsBy"], isMuted: boolean): Tempo {
  const [running, setRunning] = useState<Running | null>(null);
  const [nowMs, setNowMs] = useState(0);
  const tones = useRef(new Tones());
  const { voice } = useBeside();
  const goalS = dose.repetitionsHigh * repetitionS(dose);
  const sinceS = running === null ? 0 : (running.stoppedS ?? (nowMs - running.startedAtMs) / 1000);
  const elapsedS = Math.min(goalS, Math.max(0, sinceS));
  const isDone = running !== null && elapsedS >= goalS;
  const isRunning = running !== null && running.stoppedS === null && !isDone;
  const moment = tempoMoment(dose, startsBy, Math.min(elapsedS, goalS - 1e-6));

  const keep = useCallback(
    (next: Running | null) => {
      if (next) sessionStorage.setItem(keyOf(sessionId), JSON.stringify(next));
      else sessionStorage.removeItem(keyOf(sessionId));
      setNowMs(steadyMs());
      setRunning(next);
    },
    [sessionId],
  );
  useEffect(() => {
    const kept = readRunning(sessionId);
    if (kept) keep(kept);
  }, [sessionId, keep]);
  useEffect(() => {
    if (!isRunning) return;
    let frame = requestAnimationFrame(function tick() {
      setNowMs(steadyMs());
      frame = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(frame);
  }, [isRunning]);
  const startedAtMs = isRunning ? running.startedAtMs : null;
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

  return {
    status: running === null ? "idle" : isDone ? "done" : running.stoppedS === null ? "running" : "stopped",
    itemId: running?.itemId ?? null,
    moment,
    repetitions: isDone ? dose.repetitionsHigh : moment.repetitions,
    workedS: Math.round(elapsedS),
    countInS: isRunning && sinceS < 0 ? Math.ceil(-sinceS) : 0,
    start: (countInS = COUNT_IN_S) =>
      // going on after a stop is not counted in: the set stands where it stopped
      keep({ itemId, startedAtMs: steadyMs() + (running ? -(running.stoppedS ?? 0) : countInS) * 1000, stoppedS: null }),
    stop: () => running && running.stoppedS === null && keep({ ...running, stoppedS: elapsedS }),
    clear: () => keep(null),
    count,
  };
}

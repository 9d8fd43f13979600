"use client";
import { useCallback, useEffect, useRef, useState } from "react";
import type { Dose, Variation } from "../../core/catalogue/variation";
import { steadyMs } from "../outbox/clock";
import { repetitionS, tempoMoment, type TempoMoment } from "../../core/dose/dose";

const PITCH_HZ = { lower: 392, pause: 330, rise: 587, end: 784, count: 494 } as const;

/** Short tones for the phases. The audio context is made on the first tap, as browsers ask. */
class Tones {
  private context: AudioContext | null = null;

  play(kind: keyof typeof PITCH_HZ, lengthS = 0.14): void {
    this.context ??= new AudioContext();
    const { currentTime, destination } = this.context;
    const oscillator = this.context.createOscillator();
    const gain = this.context.createGain();
    oscillator.frequency.value = PITCH_HZ[kind];
    gain.gain.setValueAtTime(0.18, currentTime);
    gain.gain.exponentialRampToValueAtTime(0.001, currentTime + lengthS);
    oscillator.connect(gain).connect(destination);
    oscillator.start();
    oscillator.stop(currentTime + lengthS);
  }
}

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

export interface Tempo {
  status: "idle" | "running" | "stopped" | "done";
  /** The item whose set is under way. */
  itemId: string | null;
  moment: TempoMoment;
  repetitions: number;
  /** Seconds of the set so far. */
  workedS: number;
  start: () => void;
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
  const lastPhase = useRef("");
  const goalS = dose.repetitionsHigh * repetitionS(dose);
  const elapsedS = running === null ? 0 : Math.min(goalS, running.stoppedS ?? Math.max(0, (nowMs - running.startedAtMs) / 1000));
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
  useEffect(() => {
    const phase = isDone ? "end" : isRunning ? `${moment.repetitions} ${moment.phase}` : "";
    if (phase === lastPhase.current) return;
    lastPhase.current = phase;
    if (phase === "" || isMuted) return;
    if (isDone) tones.current.play("end", 0.5);
    else tones.current.play(moment.phase);
  });
  const count = useCallback(() => {
    if (!isMuted) tones.current.play("count");
  }, [isMuted]);

  return {
    status: running === null ? "idle" : isDone ? "done" : running.stoppedS === null ? "running" : "stopped",
    itemId: running?.itemId ?? null,
    moment,
    repetitions: isDone ? dose.repetitionsHigh : moment.repetitions,
    workedS: Math.round(elapsedS),
    start: () => keep({ itemId, startedAtMs: steadyMs() - (running?.stoppedS ?? 0) * 1000, stoppedS: null }),
    stop: () => running && running.stoppedS === null && keep({ ...running, stoppedS: elapsedS }),
    clear: () => keep(null),
    count,
  };
}

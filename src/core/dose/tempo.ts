import type { Dose, Variation } from "../catalogue/variation";
import { repetitionS } from "./dose";

type Tempo = Dose["tempo"];

/** Tempos by the names the trade gives them, in the order the movement runs. Source: handbook D3. */
export const TEMPO_PRESETS = ["5-3-1", "3-2", "2-3", "3-1-2", "hold 3 release 3"] as const;

/**
 * A tempo as it is said: three counts are the first phase, the pause and the way back; two have no pause. Squats and
 * hinges begin by lowering, bridges and steps by rising. A hold is where the movement ends. Null for anything else.
 */
export function tempoFrom(said: string, startsBy: Variation["startsBy"]): Tempo | null {
  const hold = /^hold (\d+) release (\d+)$/.exec(said.trim().toLowerCase());
  if (hold) return { riseS: 1, pauseS: Number(hold[1]), lowerS: Number(hold[2]) };
  const counts = /^\d+(-\d+){1,2}$/.test(said.trim()) ? said.trim().split("-").map(Number) : null;
  if (!counts) return null;
  const [there = 0, middle = 0, back] = counts;
  const [firstS, pauseS, lastS] = back === undefined ? [there, 0, middle] : [there, middle, back];
  return startsBy === "lower" ? { lowerS: firstS, pauseS, riseS: lastS } : { riseS: firstS, pauseS, lowerS: lastS };
}

/** Seconds under tension of one set: 5-3-1 five times is 45. */
export const tensionS = (tempo: Tempo, repetitions: number): number => repetitions * repetitionS({ tempo });
/** A timed set as repetitions, whole ones only, and back. */
export const repetitionsIn = (tempo: Tempo, setS: number): number => Math.floor(setS / Math.max(1, repetitionS({ tempo })) + 1e-9);

import type { Dose, TempoPhase, Variation } from "../catalogue/variation";
import { phasesOf, repetitionS } from "./dose";

/** Seconds that are counted before a set. */
export const COUNT_IN_S = 3;

/** A tone of a set: seconds from its first repetition, below nothing while it is counted in. */
export interface Beat {
  atS: number;
  kind: TempoPhase | "count" | "end";
}

/** Beats of a set with `fromS` <= at < `toS`, in order: the count, each phase that has a length, and the end. */
export function beatsBetween(
  dose: Pick<Dose, "tempo" | "repetitionsHigh">,
  startsBy: Variation["startsBy"],
  fromS: number,
  toS: number,
): Beat[] {
  const [eachS, goalS] = [repetitionS(dose), dose.repetitionsHigh * repetitionS(dose)];
  const beats: Beat[] = Array.from({ length: COUNT_IN_S }, (_, i) => ({ atS: i - COUNT_IN_S, kind: "count" }));
  const first = Math.max(0, Math.floor(fromS / eachS));
  for (let n = first; n < dose.repetitionsHigh && n * eachS < toS; n++) {
    let atS = n * eachS;
    for (const { phase, lengthS } of phasesOf(dose, startsBy)) {
      if (lengthS > 0) beats.push({ atS, kind: phase });
      atS += lengthS;
    }
  }
  beats.push({ atS: goalS, kind: "end" });
  return beats.filter(({ atS }) => atS >= fromS && atS < toS);
}

/** Where a clock for the ear stands beside the one of the set. */
interface Clocks {
  /** Seconds into the set now. */
  elapsedS: number;
  /** The audio clock now, seconds. */
  audioS: number;
}
/** How far ahead tones are put: longer than a busy page is likely to be away. */
const LOOK_AHEAD_S = 1.2;
/** Tones to put on the audio clock now, and up to where they then stand: nothing is put twice, nothing is left out. */
export function toSchedule(
  dose: Pick<Dose, "tempo" | "repetitionsHigh">,
  startsBy: Variation["startsBy"],
  { elapsedS, audioS }: Clocks,
  putUntilS: number,
): { tones: { atAudioS: number; kind: Beat["kind"] }[]; putUntilS: number } {
  const untilS = Math.max(putUntilS, elapsedS + LOOK_AHEAD_S);
  const tones = beatsBetween(dose, startsBy, putUntilS, untilS).map(({ atS, kind }) => ({
    atAudioS: audioS + Math.max(0, atS - elapsedS), // one that is late is heard at once
    kind,
  }));
  return { tones, putUntilS: untilS };
}

import type { Dose } from "../catalogue/variation";

export const DOSE_LIMITS = {
  setCount: { min: 1, max: 6 },
  repetitions: { min: 1, max: 40 },
  tempoS: { min: 0, max: 10 },
  riseS: { min: 1, max: 10 },
  restS: { min: 0, max: 300 },
} as const;

/** Seconds one repetition takes: lower, pause, rise. */
export const repetitionS = ({ tempo }: Dose): number => tempo.lowerS + tempo.pauseS + tempo.riseS;

/** Seconds of work and rest at the top of the repetition range; no rest after the last set. */
export const doseS = (dose: Dose): number => dose.setCount * dose.repetitionsHigh * repetitionS(dose) + (dose.setCount - 1) * dose.restS;

/** Where in a repetition a running set is. */
export interface TempoMoment {
  /** Completed repetitions. */
  repetitions: number;
  phase: "lower" | "pause" | "rise";
  /** Seconds left of this phase, rounded up as one counts aloud. */
  leftS: number;
  /** Part of this phase that is over. */
  phaseFraction: number;
}

/** The moment `elapsedS` seconds into a set. Phases of no length are skipped. */
export function tempoMoment(dose: Dose, elapsedS: number): TempoMoment {
  const { lowerS, pauseS } = dose.tempo;
  const lengthS = repetitionS(dose);
  const repetitions = Math.floor(elapsedS / lengthS);
  const insideS = elapsedS - repetitions * lengthS;
  const bounds = [
    { phase: "lower", fromS: 0, toS: lowerS },
    { phase: "pause", fromS: lowerS, toS: lowerS + pauseS },
    { phase: "rise", fromS: lowerS + pauseS, toS: lengthS },
  ] as const;
  const now = bounds.find(({ toS }) => insideS < toS) ?? bounds[2];
  return {
    repetitions,
    phase: now.phase,
    leftS: Math.ceil(now.toS - insideS),
    phaseFraction: (insideS - now.fromS) / (now.toS - now.fromS),
  };
}

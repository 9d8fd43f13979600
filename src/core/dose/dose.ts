import type { Dose, TempoPhase, Variation } from "../catalogue/variation";

export const DOSE_LIMITS = {
  setCount: { min: 1, max: 6 },
  repetitions: { min: 1, max: 40 },
  tempoS: { min: 0, max: 10 },
  riseS: { min: 1, max: 10 },
  restS: { min: 0, max: 300 },
} as const;

/** A pause of this long is a hold, and goes by its own figures. */
export const HOLD_FROM_S = 5;

/** Seconds one repetition takes: lower, pause, rise. */
export const repetitionS = ({ tempo }: Pick<Dose, "tempo">): number => tempo.lowerS + tempo.pauseS + tempo.riseS;

/** One long repetition is no repetition: it goes by its seconds. */
export const isTimed = (dose: Pick<Dose, "tempo" | "repetitionsHigh" | "counts">): boolean =>
  !dose.counts && dose.repetitionsHigh === 1 && repetitionS(dose) >= HOLD_FROM_S;

/** Seconds of work and rest at the top of the repetition range; no rest after the last set. */
export const doseS = (dose: Dose): number => dose.setCount * dose.repetitionsHigh * repetitionS(dose) + (dose.setCount - 1) * dose.restS;

/** One light set, as few repetitions as the row goes down to: what "try" is. */
export const tryDose = (dose: Dose): Dose => ({ ...dose, setCount: 1, repetitionsHigh: dose.repetitionsLow });

/** The phases of one repetition in the order they are done: squats and hinges lower first, bridges and steps rise first. */
export function phasesOf({ tempo }: Pick<Dose, "tempo">, startsBy: Variation["startsBy"]): { phase: TempoPhase; lengthS: number }[] {
  const [lower, pause, rise] = [
    { phase: "lower", lengthS: tempo.lowerS },
    { phase: "pause", lengthS: tempo.pauseS },
    { phase: "rise", lengthS: tempo.riseS },
  ] as const;
  return startsBy === "lower" ? [lower, pause, rise] : [rise, pause, lower];
}

/** Where in a repetition a running set is. */
export interface TempoMoment {
  /** Completed repetitions. */
  repetitions: number;
  phase: TempoPhase;
  /** Seconds left of this phase, rounded up as one counts aloud. */
  leftS: number;
  /** Part of this phase that is over. */
  phaseFraction: number;
}

/** The moment `elapsedS` seconds into a set. Phases of no length are skipped. */
export function tempoMoment(dose: Pick<Dose, "tempo">, startsBy: Variation["startsBy"], elapsedS: number): TempoMoment {
  const lengthS = repetitionS(dose);
  const repetitions = Math.floor(elapsedS / lengthS);
  const insideS = elapsedS - repetitions * lengthS;
  let [fromS, now] = [0, phasesOf(dose, startsBy).findLast((each) => each.lengthS > 0)];
  for (const each of phasesOf(dose, startsBy)) {
    now = each;
    if (insideS < fromS + each.lengthS) break;
    fromS += each.lengthS;
  }
  if (!now) throw new RangeError("a tempo without length");
  const leftS = fromS + now.lengthS - insideS;
  return { repetitions, phase: now.phase, leftS: Math.ceil(leftS), phaseFraction: (insideS - fromS) / now.lengthS };
}

import type { Dose, TempoPhase, Variation } from "../catalogue/variation";
import type { Setting } from "../templates/lever";

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

/** How many of the sets follow at once, lighter: never the first. */
export const dropCount = ({ setCount, drops }: Pick<Dose, "setCount" | "drops">): number =>
  Math.max(0, Math.min(setCount - 1, drops?.values.length ?? 0));
/** The setting of the set that comes after so many: of a drop set its lighter load, and never more than what it has come to. */
export function settingOfSet({ setCount, drops }: Pick<Dose, "setCount" | "drops">, setting: Setting, setsDone: number): Setting {
  const value = drops?.values[setsDone - (setCount - dropCount({ setCount, drops }))];
  return drops && value !== undefined ? { ...setting, [drops.lever]: Math.min(setting[drops.lever] ?? value, value) } : setting;
}

/** How many rests a dose has: none after its last set, and none before a drop. */
export const restCount = (dose: Pick<Dose, "setCount" | "drops">): number => dose.setCount - 1 - dropCount(dose);
/** Seconds of work and rest at the top of the repetition range. */
export const doseS = (dose: Dose): number => dose.setCount * dose.repetitionsHigh * repetitionS(dose) + restCount(dose) * dose.restS;

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
  if (!(lengthS > 0)) throw new RangeError("a tempo without length");
  let [fromS, now] = [0, { phase: startsBy as TempoPhase, lengthS }];
  for (const each of phasesOf(dose, startsBy)) {
    now = each;
    if (insideS < fromS + each.lengthS) break;
    fromS += each.lengthS;
  }
  const leftS = fromS + now.lengthS - insideS;
  return { repetitions, phase: now.phase, leftS: Math.ceil(leftS), phaseFraction: (insideS - fromS) / now.lengthS };
}

/** Slow at both ends, as a body moves. */
const smooth = (part: number): number => (1 - Math.cos(Math.PI * part)) / 2;

/** Where along its movement a repetition is at a moment of its tempo, 0 to 1: 1 is where the levers set it. */
export function placeInMovement(
  isLow: boolean,
  startsBy: Variation["startsBy"],
  { phase, phaseFraction }: Pick<TempoMoment, "phase" | "phaseFraction">,
): number {
  const downFraction = { lower: smooth(phaseFraction), pause: startsBy === "lower" ? 1 : 0, rise: 1 - smooth(phaseFraction) }[phase];
  return isLow ? downFraction : 1 - downFraction;
}

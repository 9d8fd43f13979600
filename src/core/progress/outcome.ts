import type { Dose } from "../catalogue/variation";
import { dropCount, isTimed, repetitionS } from "../dose/dose";
import { isOverNumber, STOP_FROM_SCORE, type PerformedSet } from "../floor/events";
import type { Day } from "../day";
import { isKnownTo, type Reading } from "../known";
import type { MorningClass } from "./morning";
import type { DecisionReason, Uncounted } from "./decision-reason";

/** One session at one rung, and the morning after it. */
export interface SessionOutcome {
  day: Day;
  sets: readonly PerformedSet[];
  /** Something was eased or stopped on the floor: not this rung all through. */
  eased: boolean;
  /** Why it counts for nothing, however well it went. */
  uncounted: Uncounted | null;
  morning: Reading<AnsweredMorning>;
}
/** The next morning, as somebody told it. */
export interface AnsweredMorning {
  class: MorningClass;
  newSwelling: boolean;
  /** Muscles were sore: expected after something new, and held. */
  soreMuscles: boolean;
}

export const TANK_MARGIN = 2;
/** Work by the clock: a fifth of it more, as two repetitions are of ten; no more is ever asked for. ◊ */
const TIME_MARGIN = { fraction: 0.2, mostS: 20 } as const;
export const timeMarginS = (dose: Pick<Dose, "tempo">): number =>
  Math.min(TIME_MARGIN.mostS, Math.ceil(TIME_MARGIN.fraction * repetitionS(dose)));

/** A muscle that works hurts up to here; over it nobody knows what it was. ◊ */
const MUSCLE_UP_TO_SCORE = 5;

type Setback = { reason: DecisionReason; by: "stop" | "one" | "two" };

/** Why the last session calls for stopping or easing, most urgent first, or null. NaN falls on the safe side. */
export function setback({ sets, morning }: SessionOutcome, limitScore: number): Setback | null {
  const ended = (end: PerformedSet["endedBy"]): boolean => sets.some((set) => set.endedBy === end);
  if (ended("warning-sign")) return { reason: { code: "warning-sign", signs: ["other-sign"] }, by: "stop" };
  if (ended("spreading")) return { reason: { code: "spreading-pain" }, by: "stop" };
  if (ended("belly")) return { reason: { code: "belly-pressure" }, by: "stop" };
  if (ended("sharp")) return { reason: { code: "sharp-pain" }, by: "two" };
  if (isKnownTo(morning, ({ newSwelling }) => newSwelling)) return { reason: { code: "new-swelling" }, by: "two" };
  if (isKnownTo(morning, (told) => told.class === "flare")) return { reason: { code: "flare" }, by: "two" };
  const over = sets.find((set) => isOverNumber(set, limitScore));
  if (!over && ended("joint")) return { reason: { code: "joint-pressure" }, by: "one" };
  if (!over) return null;
  const worst = Math.max(...sets.map((set) => (isOverNumber(set, limitScore) ? (set.painScore ?? NaN) : -Infinity)));
  return { reason: { code: "pain-over-number", painScore: worst, limitScore }, by: worst < STOP_FROM_SCORE ? "one" : "two" };
}
const isMuscleOver = ({ painKind, painScore }: PerformedSet): boolean =>
  painKind === "muscle-work" && painScore !== null && !(painScore <= MUSCLE_UP_TO_SCORE);

/** Whether a dose was done as it was written: every set, pain within the number in each, nothing that ended it early. */
export function isAsPrescribed(
  { sets, eased, uncounted }: Pick<SessionOutcome, "sets" | "eased" | "uncounted">,
  dose: Dose,
  limitScore: number,
): boolean {
  const isGood = (set: PerformedSet): boolean =>
    set.endedBy === "pain-tap" &&
    set.painScore !== null &&
    !isOverNumber(set, limitScore) &&
    !isMuscleOver(set) &&
    set.repetitions >= dose.repetitionsLow;
  return !eased && uncounted === null && sets.length >= dose.setCount && sets.every(isGood);
}

/** The first thing that keeps a session from counting toward a build, or null when it counts. */
export function shortfall({ sets, morning, eased, uncounted }: SessionOutcome, dose: Dose): DecisionReason | null {
  if (!morning.isKnown) return { code: "morning-missing" };
  if (morning.value.class !== "calm") return { code: "noticed" };
  if (morning.value.soreMuscles) return { code: "sore-muscles" };
  if (eased) return { code: "eased-on-the-floor" };
  if (uncounted) return { code: uncounted };
  if (sets.length < dose.setCount) return { code: "sets-short", setCount: sets.length, targetSetCount: dose.setCount };
  const unsaid = sets.findIndex(({ painScore }) => painScore === null);
  if (unsaid >= 0) return { code: "pain-not-recorded", setNumber: unsaid + 1 };
  const muscle = sets.find(isMuscleOver);
  if (muscle) return { code: "muscle-pain", painScore: muscle.painScore ?? NaN };
  const tooFew = amountShort(sets, dose);
  if (tooFew) return tooFew;
  const faults = [...new Set(sets.flatMap(faultsOf))];
  if (faults.length > 0) return { code: "form-not-clean", faults };
  return tankShort(sets.at(-1), dose);
}

/** The first set that fell short: of its repetitions, of its seconds by the clock, or with its drops together of the total. */
function amountShort(sets: readonly PerformedSet[], dose: Dose): DecisionReason | null {
  const goal = dose.repetitionsHigh;
  const drops = dropCount(dose);
  const [fromAt, toAt] = drops > 0 ? [dose.setCount - 1 - drops, dose.setCount] : [Infinity, Infinity]; // one more set afterwards stands for itself
  const shortAt = sets.findIndex((set, i) => !(i >= fromAt && i < toAt) && !(set.repetitions >= goal));
  const short = sets[shortAt];
  if (short && isTimed(dose)) return { code: "time-short", setNumber: shortAt + 1, workedS: short.workedS ?? 0, goalS: repetitionS(dose) };
  if (short) return { code: "repetitions-short", setNumber: shortAt + 1, repetitions: short.repetitions, goal };
  const dropped = sets.slice(fromAt, toAt);
  const repetitions = dropped.reduce((sum, set) => sum + set.repetitions, 0);
  if (repetitions >= goal * dropped.length) return null;
  return { code: "repetitions-short", setNumber: toAt, repetitions, goal: goal * dropped.length, ofDrops: true };
}

/** What was left after the last set, where it is too little or was not said. */
function tankShort(last: PerformedSet | undefined, dose: Dose): DecisionReason | null {
  const left = last?.leftInTank ?? null;
  if (isTimed(dose)) {
    const neededS = timeMarginS(dose);
    return left !== null && left >= neededS ? null : { code: "could-go-on-short", leftS: left, neededS };
  }
  const needed = dose.repetitionsHigh + TANK_MARGIN;
  if (last && left !== null && last.repetitions + left >= needed) return null;
  return { code: "tank-short", repetitions: last?.repetitions ?? 0, leftInTank: left, needed };
}

const END_FAULTS: Partial<Record<PerformedSet["endedBy"], string>> = { "form-lost": "form-lost", cramp: "cramp" };
/** Faults seen, and whatever else was not clean in a set. */
const faultsOf = ({ faults, endedBy, belly }: PerformedSet): string[] => [
  ...faults,
  ...(END_FAULTS[endedBy] ? [END_FAULTS[endedBy]] : []),
  ...(belly === "ridge" ? ["belly-ridge"] : []),
];

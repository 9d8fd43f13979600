import { type Day, daysBetween } from "../day";
import { oncePer } from "../once";

/** A dose on one channel and side, and how the morning after answered. */
export interface ToldDose {
  day: Day;
  /** What it asked, in the channel's unit. */
  demand: number;
  /** Repetitions of that side, all sets together. */
  repetitions: number;
  response: "calm" | "noticed" | "flare";
}

/** What is believed of the most a joint takes calmly: a weight for each of a grid of values. */
export interface Tolerance {
  /** In the channel's unit, ascending, even in their logarithm. */
  values: readonly number[];
  /** Sum 1. */
  weights: readonly number[];
  asOf: Day;
}

/**
 * Our own model, marked so. A dose is felt as log(demand / tolerance) plus a part of log(repetitions / usual); what is
 * noticed begins a little above the tolerance, a flare further up, both with logistic spread. The prior is the calibrated
 * ceiling, known to about a fifth; belief widens with time, for joints change.
 */
const MODEL = {
  priorSd: 0.2,
  /** Of the logarithm, in a week without a dose. */
  driftSdPerWeek: 0.035,
  /** Of what was believed before it: a settled answer leaves nearly all, one that was not takes a tenth of its weight. ◊ */
  keepsAfterCalm: 0.99,
  keepsAfterBad: 0.9,
  repetitionsUsual: 24,
  repetitionsPower: 0.15,
  noticedAt: 0.06,
  flareAt: 0.2,
  spread: 0.05,
  /** A morning may be bad for another reason, whatever was done. */
  otherCause: 0.03,
} as const;
const [REACH, POINTS, HALVINGS] = [0.9, 181, 14];

/** The grid keeps its values while belief in them changes. */
const logsOf = oncePer((values: readonly number[]) => values.map(Math.log));
/** How far over its usual dose this is felt, in logarithms, before the tolerance is taken from it. */
const feltOver = (demand: number, repetitions: number): number =>
  Math.log(demand) + MODEL.repetitionsPower * Math.log(Math.max(1, repetitions) / MODEL.repetitionsUsual);
const FLARE_LATER = Math.exp((MODEL.noticedAt - MODEL.flareAt) / MODEL.spread);
/** Chances of something noticed or worse and of a flare after a dose felt as this; one exponential for both, as it is asked so often. */
function chancesOf(x: number): { bad: number; flare: number } {
  const odds = Math.exp((x - MODEL.noticedAt) / MODEL.spread);
  return { bad: 1 - 1 / (1 + odds), flare: 1 - 1 / (1 + odds * FLARE_LATER) };
}
/** The same, where a morning may be bad for another reason, too: calm, noticed and flare make one. */
function chanceOf(response: ToldDose["response"], { bad, flare }: { bad: number; flare: number }): number {
  const { otherCause } = MODEL;
  if (response === "calm") return (1 - otherCause) * (1 - bad);
  if (response === "flare") return (1 - otherCause) * flare + otherCause / 3;
  return (1 - otherCause) * (bad - flare) + (2 / 3) * otherCause;
}

const normalized = (weights: readonly number[]): number[] => {
  const sum = weights.reduce((all, weight) => all + weight, 0);
  return weights.map((weight) => weight / sum);
};
/** What the calibrated ceiling alone says. */
export function priorTolerance(ceilingValue: number, asOf: Day): Tolerance {
  const us = Array.from({ length: POINTS }, (_, i) => -REACH + (2 * REACH * i) / (POINTS - 1));
  return {
    values: us.map((u) => ceilingValue * Math.exp(u)),
    weights: normalized(us.map((u) => Math.exp(-((u / MODEL.priorSd) ** 2) / 2))),
    asOf,
  };
}
/** The same belief some days later: a little wider. */
function later({ values, weights, asOf }: Tolerance, day: Day): Tolerance {
  const days = Math.max(0, daysBetween(asOf, day));
  if (days === 0) return { values, weights, asOf };
  const step = (2 * REACH) / (POINTS - 1);
  const sd = (MODEL.driftSdPerWeek * Math.sqrt(days / 7)) / step;
  const half = Math.max(1, Math.ceil(3 * sd));
  const kernel = Array.from({ length: 2 * half + 1 }, (_, i) => Math.exp(-(((i - half) / sd) ** 2) / 2));
  // loops, for this is asked hundreds of times for one page; past either end the last weight goes on
  const wide = [...Array<number>(half).fill(weights[0] ?? 0), ...weights, ...Array<number>(half).fill(weights[POINTS - 1] ?? 0)];
  const spread = new Array<number>(POINTS);
  for (let i = 0; i < POINTS; i++) {
    let sum = 0;
    for (let k = 0; k <= 2 * half; k++) sum += kernel[k]! * wide[i + k]!;
    spread[i] = sum;
  }
  return { values, weights: normalized(spread), asOf: day };
}

/** What is believed after these doses, taken by their day; on the day asked for. A dose of nothing says nothing. */
export function toleranceFrom(ceiling: { calibrated: number; fromDay: Day }, doses: readonly ToldDose[], today: Day): Tolerance {
  const known = doses.filter(({ day, demand }) => day <= today && demand > 0).toSorted((a, b) => a.day.localeCompare(b.day));
  const start = known[0] && known[0].day < ceiling.fromDay ? known[0].day : ceiling.fromDay;
  return later(
    known.reduce((belief, dose) => learn(belief, dose), priorTolerance(ceiling.calibrated, start)),
    today,
  );
}
/** One answered dose more; what was believed before it counts a little less with each, so that the latest answers weigh most. */
export function learn(
  belief: Tolerance,
  { day, demand, repetitions, response }: ToldDose,
  keeps: number = response === "calm" ? MODEL.keepsAfterCalm : MODEL.keepsAfterBad,
): Tolerance {
  const then = later(belief, day);
  const over = feltOver(demand, repetitions);
  const weights = logsOf(then.values).map((log, i) => then.weights[i]! ** keeps * chanceOf(response, chancesOf(over - log)));
  return { ...then, weights: normalized(weights) };
}

/** The value below which so much of the belief lies. */
export function quantile({ values, weights }: Tolerance, fraction: number): number {
  let sum = 0;
  for (const [i, value] of values.entries()) {
    sum += weights[i] ?? 0;
    if (sum >= fraction) return value;
  }
  return values.at(-1) ?? NaN;
}

/** What a dose would be answered with, over all that is believed: it never gets calmer by asking more. */
export function answerTo({ values, weights }: Tolerance, demand: number, repetitions: number): Record<ToldDose["response"], number> {
  const [over, logs] = [feltOver(demand, repetitions), logsOf(values)];
  let [all, calm, flare] = [0, 0, 0]; // a loop, for a page asks this tens of thousands of times
  for (let i = 0; i < logs.length; i++) {
    const chances = chancesOf(over - logs[i]!);
    const weight = weights[i]!;
    all += weight;
    calm += weight * chanceOf("calm", chances);
    flare += weight * chanceOf("flare", chances);
  }
  return { calm, noticed: all - calm - flare, flare }; // the three make one
}

/** What may be risked of a morning after a dose at the ceiling. Ours, the trainer's to change by hand. */
export interface Risk {
  flare: number;
  /** Of a morning that is not calm, flares among them. */
  noticed: number;
}
export const RISK: Risk = { flare: 0.05, noticed: 0.2 };
/** The most that may be asked within the risk. */
export function withinRisk(tolerance: Tolerance, risk: Risk = RISK, repetitions: number = MODEL.repetitionsUsual): number {
  const isWithin = (demand: number): boolean => {
    const { noticed, flare } = answerTo(tolerance, demand, repetitions);
    return flare <= risk.flare && noticed + flare <= risk.noticed;
  };
  let [low, high] = [(tolerance.values[0] ?? 0) / 4, tolerance.values.at(-1) ?? 0];
  if (!isWithin(low)) return 0;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (isWithin(middle)) low = middle;
    else high = middle;
  }
  return low;
}

/** Why a ceiling stays: too little is known, nothing speaks for it, a limit binds; or the present is not quiet. */
export type KeepReason = "few-doses" | "as-it-is" | "limit" | "last-not-settled" | "not-near" | "swelling" | "away";
export type ToleranceProposal = { move: "keep"; why: KeepReason } | { move: "raise" | "lower"; value: number; doseCount: number };
const [FEWEST_DOSES, RAISE_FROM, LOWER_FROM, MOST_RAISE, MOST_LOWER] = [4, 1.04, 0.96, 1.1, 0.8];
/** So much of the ceiling is near it; so many of the last doses must have come there, each settled. ◊ */
const [NEAR_FRACTION, NEAR_DOSES] = [0.9, 2];
/** What is known today besides the doses: swelling this morning, or a time away. */
export type Unquiet = "swelling" | "away";
interface ProposalAsked {
  limitValue?: number;
  risk?: Risk;
  /** Null: looked for, and nothing is known of. */
  unquiet: Unquiet | null;
  /** The day the present ceiling began: what came before it does not raise it once more. */
  sinceDay: Day;
}
/**
 * A ceiling up or down by what is believed after its doses, the last of them last. Up only from a quiet present: four doses on, the
 * last settled, the settled ones since the last bad one near the ceiling, nothing swollen and no time away; at most a tenth,
 * and never past a limit. Down at most a fifth, and at once after what told of too much.
 */
export function proposedCeiling(
  ceilingValue: number,
  belief: Tolerance,
  doses: readonly Pick<ToldDose, "day" | "response" | "demand">[],
  { limitValue = Infinity, risk = RISK, unquiet, sinceDay }: ProposalAsked,
): ToleranceProposal {
  const safe = withinRisk(belief, risk);
  const isBad = doses.some(({ response }) => response !== "calm");
  if (doses.length < FEWEST_DOSES && !isBad) return { move: "keep", why: "few-doses" };
  const ratio = safe / ceilingValue;
  if (ratio <= LOWER_FROM && isBad) return { move: "lower", value: Math.max(safe, MOST_LOWER * ceilingValue), doseCount: doses.length };
  if (!(ratio >= RAISE_FROM) || doses.length < FEWEST_DOSES) return { move: "keep", why: "as-it-is" };
  if (unquiet !== null) return { move: "keep", why: unquiet };
  const settled = doses.slice(doses.findLastIndex(({ response }) => response !== "calm") + 1);
  if (settled.length === 0) return { move: "keep", why: "last-not-settled" };
  if (settled.filter(({ day, demand }) => day >= sinceDay && demand >= NEAR_FRACTION * ceilingValue).length < NEAR_DOSES)
    return { move: "keep", why: "not-near" };
  const value = Math.min(safe, MOST_RAISE * ceilingValue, limitValue);
  return value > ceilingValue ? { move: "raise", value, doseCount: doses.length } : { move: "keep", why: "limit" };
}

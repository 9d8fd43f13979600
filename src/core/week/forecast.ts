import { uniformInt } from "pure-rand/distribution/uniformInt";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import type { MorningClass } from "../progress/morning";

/** What the way to a goal is simulated from. */
export interface ForecastAsked {
  /** Builds between here and the goal. */
  stepCount: number;
  sessionsPerWeek: number;
  /** Good sessions in a row that a build takes, by the school. */
  sessionsToBuild: number;
  /** How the mornings answered so far. */
  mornings: Readonly<Record<MorningClass, number>>;
  /** Sessions missed of a hundred planned. */
  missedPercent: number;
  /** Settled sessions that the repetitions take from the bottom of their range to its top, before each build. */
  climbSessions?: number;
  seed: number;
}
export interface Forecast {
  /** Weeks, to a tenth, that eight of ten ways lie between; null where most do not get there within the horizon. */
  lowWeeks: number | null;
  highWeeks: number | null;
  middleWeeks: number | null;
  /** Part of the ways that get there within the horizon. */
  reachedFraction: number;
}
export const HORIZON_WEEKS = 104;
const WAYS = 600;
const FINELY = 1_000_000;
/** Nothing was answered yet: as if so many had been, settled two of three. How they really answer is not known better than that. ◊ */
export const PRIOR: Readonly<Record<MorningClass, number>> = { calm: 4, noticed: 1.5, flare: 0.5 };
/** How often each answer comes, in parts of one. */
export type Rates = Readonly<Record<MorningClass, number>>;

/** Chance from 0 to 1, neither of them. */
export type Uniform = () => number;
export function uniformFrom(seed: number): Uniform {
  const generator = xoroshiro128plus(seed);
  return () => (uniformInt(generator, 0, FINELY - 1) + 0.5) / FINELY;
}
const normalFrom = (uniform: Uniform): number => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
/** A gamma-distributed number of shape `a`. Source: Marsaglia and Tsang 2000, with their step for a shape under 1. */
function gammaFrom(a: number, uniform: Uniform): number {
  if (a < 1) return gammaFrom(a + 1, uniform) * uniform() ** (1 / a);
  const d = a - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const x = normalFrom(uniform);
    const v = (1 + c * x) ** 3;
    if (v > 0 && Math.log(uniform()) < x ** 2 / 2 + d - d * v + d * Math.log(v)) return d * v;
  }
}
/** Rates as they may be after what was answered: a Dirichlet distribution, so that few mornings leave much open. */
export function ratesFrom(mornings: Readonly<Record<MorningClass, number>>, uniform: Uniform): Rates {
  const of = (kind: MorningClass): number => gammaFrom(mornings[kind] + PRIOR[kind], uniform);
  const [calm, noticed, flare] = [of("calm"), of("noticed"), of("flare")];
  const all = calm + noticed + flare;
  return { calm: calm / all, noticed: noticed / all, flare: flare / all };
}

type Way = Pick<ForecastAsked, "stepCount" | "sessionsPerWeek" | "sessionsToBuild" | "missedPercent" | "climbSessions">;
/**
 * Weeks of one way at known rates: repetitions climb first, then so many settled sessions running build a step; a noticed
 * morning holds, a flare takes one step back and its repetitions with it.
 */
export function weeksOfWay(
  { stepCount, sessionsPerWeek, sessionsToBuild, missedPercent, climbSessions = 0 }: Way,
  rates: Rates,
  uniform: Uniform,
): number {
  let [step, good, climbed] = [0, 0, 0];
  for (let session = 1; session <= HORIZON_WEEKS * sessionsPerWeek; session++) {
    if (uniform() * 100 < missedPercent) continue;
    const answer = uniform();
    if (answer < rates.calm) {
      if (climbed < climbSessions) climbed++;
      else good++;
    } else if (answer < rates.calm + rates.noticed) good = 0;
    else [step, good, climbed] = [Math.max(0, step - 1), 0, 0];
    if (good >= sessionsToBuild) [step, good, climbed] = [step + 1, 0, 0];
    if (step >= stepCount) return session / sessionsPerWeek;
  }
  return Infinity;
}

/** An honest range of weeks to a goal: over what this client's rates may be, and over chance. The same seed says the same. */
export function forecast(asked: ForecastAsked): Forecast {
  if (asked.stepCount <= 0) return { lowWeeks: 0, middleWeeks: 0, highWeeks: 0, reachedFraction: 1 };
  const uniform = uniformFrom(asked.seed);
  const weeks = Array.from({ length: WAYS }, () => weeksOfWay(asked, ratesFrom(asked.mornings, uniform), uniform)).toSorted(
    (a, b) => a - b,
  );
  const at = (part: number, round: (weeks: number) => number): number | null => {
    const value = weeks[Math.round(part * (WAYS - 1))] ?? Infinity;
    return Number.isFinite(value) ? round(value * 10) / 10 : null;
  };
  const highWeeks = at(0.9, Math.ceil);
  return {
    // without a latest, eight of ten lie after an earliest
    lowWeeks: at(highWeeks === null ? 0.2 : 0.1, Math.floor),
    middleWeeks: at(0.5, Math.round),
    highWeeks,
    reachedFraction: weeks.filter((each) => Number.isFinite(each)).length / WAYS,
  };
}

/** Even parts given back a week, so that nothing is held after five: 50, 40, 30 % of body weight. Source: handbook D5 and E, up (d); ◊ the five. */
export const FADE_WEEKS = 5;
/** Support given back week by week, even parts to nothing: 50, 40, 30 %. A week that hurt repeats the share before it. */
export function fadePlan(
  startFraction: number,
  weeks: number,
  painfulWeeks: readonly number[] = [],
): { week: number; supportFraction: number; paused: boolean }[] {
  const plan: { week: number; supportFraction: number; paused: boolean }[] = [];
  let given = 0;
  const partOf = startFraction / weeks;
  for (let week = 1; given < weeks && week <= weeks + painfulWeeks.length + 1; week++) {
    const paused = painfulWeeks.includes(week - 1);
    if (!paused && week > 1) given++;
    plan.push({ week, supportFraction: Math.max(0, startFraction - given * partOf), paused });
  }
  return plan;
}

/** How much of the way to a knee-forward step is done. Source: the goals of handbook D4, 75: six inches and half the body's mass. */
export const kneeForwardStepDone = (heightM: number, loadKg: number, massKg: number): number =>
  (Math.min(1, heightM / 0.15) + Math.min(1, loadKg / (0.5 * massKg))) / 2;
/** Any other goal by its own measure, from where it began to where it leads. */
export const wayDone = (from: number, now: number, to: number): number =>
  to === from ? 1 : Math.min(1, Math.max(0, (now - from) / (to - from)));

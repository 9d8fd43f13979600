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
  seed: number;
}
export interface Forecast {
  /** Weeks that eight of ten ways lie between; null where most do not get there within the horizon. */
  lowWeeks: number | null;
  highWeeks: number | null;
  middleWeeks: number | null;
  /** Part of the ways that get there within the horizon. */
  reachedFraction: number;
}
export const HORIZON_WEEKS = 104;
const WAYS = 400;
const FINELY = 1_000_000;
/** Nothing was answered yet: as if so many had been, calm two of three. ◊ */
const PRIOR: Readonly<Record<MorningClass, number>> = { calm: 4, noticed: 1.5, flare: 0.5 };

/** Weeks of one way: a calm session counts towards a build, a noticed one holds, a flare takes one step back. */
function oneWay({ stepCount, sessionsPerWeek, sessionsToBuild, mornings, missedPercent }: ForecastAsked, chance: () => number): number {
  const of = (kind: MorningClass): number => mornings[kind] + PRIOR[kind];
  const all = of("calm") + of("noticed") + of("flare");
  let [step, good] = [0, 0];
  for (let session = 1; session <= HORIZON_WEEKS * sessionsPerWeek; session++) {
    if (chance() * 100 < missedPercent) continue;
    const answer = chance() * all;
    if (answer < of("calm")) good++;
    else if (answer < of("calm") + of("noticed")) good = 0;
    else [step, good] = [Math.max(0, step - 1), 0];
    if (good >= sessionsToBuild) [step, good] = [step + 1, 0];
    if (step >= stepCount) return session / sessionsPerWeek;
  }
  return Infinity;
}

/** An honest range of weeks to a goal, by this client's own mornings and the school's rule. The same seed says the same. */
export function forecast(asked: ForecastAsked): Forecast {
  if (asked.stepCount <= 0) return { lowWeeks: 0, middleWeeks: 0, highWeeks: 0, reachedFraction: 1 };
  const generator = xoroshiro128plus(asked.seed);
  const chance = (): number => uniformInt(generator, 0, FINELY - 1) / FINELY;
  const weeks = Array.from({ length: WAYS }, () => oneWay(asked, chance)).toSorted((a, b) => a - b);
  const at = (part: number): number | null => {
    const value = weeks[Math.floor(part * (WAYS - 1))] ?? Infinity;
    return Number.isFinite(value) ? Math.ceil(value) : null;
  };
  return {
    lowWeeks: at(0.1),
    middleWeeks: at(0.5),
    highWeeks: at(0.9),
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

/** Load, repetitions and effort by their published formulas. Any unit of load: what comes out is in the same. */

/** One-repetition maximum from a load and repetitions to failure; source beside each. All are best at ten or fewer. */
export const ONE_REP_MAX = {
  /** Epley 1985. */
  epley: (load: number, r: number) => load * (1 + r / 30),
  /** Brzycki 1993: nothing from 37 on. */
  brzycki: (load: number, r: number) => (load * 36) / (37 - r),
  /** Lombardi 1989. */
  lombardi: (load: number, r: number) => load * r ** 0.1,
  /** O'Conner 1989. */
  oconner: (load: number, r: number) => load * (1 + 0.025 * r),
  /** Wathen 1994. */
  wathen: (load: number, r: number) => (100 * load) / (48.8 + 53.8 * Math.exp(-0.075 * r)),
  /** Mayhew 1992. */
  mayhew: (load: number, r: number) => (100 * load) / (52.2 + 41.9 * Math.exp(-0.055 * r)),
  /** Lander 1985: nothing from 37.9 on. */
  lander: (load: number, r: number) => (100 * load) / (101.3 - 2.67123 * r),
} as const;
export type OneRepMaxFormula = keyof typeof ONE_REP_MAX;
export const ONE_REP_MAX_FORMULAS = Object.keys(ONE_REP_MAX) as OneRepMaxFormula[];
/** Whole repetitions that every formula answers for. */
export const REPETITIONS_TO_FAILURE = { min: 1, max: 36 } as const;

/** Per cent of a one-repetition maximum by repetitions to failure. Source: NSCA Essentials, 2000; 13 and 14 are not tabulated. */
const PERCENT_OF_MAX: Readonly<Record<number, number>> = {
  1: 100,
  2: 95,
  3: 93,
  4: 90,
  5: 87,
  6: 85,
  7: 83,
  8: 80,
  9: 77,
  10: 75,
  11: 70,
  12: 67,
  15: 65,
};
/** The load for so many repetitions with some in reserve, which count as done; null where the table has no such row. */
export function loadFor(oneRepMax: number, repetitions: number, inReserve = 0): { value: number; percent: number } | null {
  const percent = PERCENT_OF_MAX[repetitions + inReserve];
  return percent === undefined ? null : { value: (oneRepMax * percent) / 100, percent };
}

/** Repetitions in reserve by how hard a set was, 1 to 10 in halves. Source: Zourdos 2016. Null where the scale names none. */
export function inReserve(rpe: number): { low: number; high: number } | null {
  if (rpe >= 7) return { low: Math.floor(10 - rpe), high: Math.ceil(10 - rpe) };
  return rpe >= 5 && rpe <= 6 ? { low: 4, high: 6 } : null;
}

/** Two over the goal in the last set of two workouts in a row. Source: NSCA Essentials, the two-for-two rule. */
export const twoForTwo = (goal: number, lastSets: readonly number[]): boolean =>
  lastSets.length >= 2 && lastSets.slice(-2).every((count) => count >= goal + 2);

/** The published step up of a load. Source: ACSM 2009, 2 to 10 %. */
export const LOAD_WINDOW = { leastFraction: 0.02, mostFraction: 0.1 } as const;
/** Loads the window allows, and whether the next increment lies in it: its size in per cent. Without one, whether anything does. */
export function loadWindow(
  load: number,
  increment?: number,
): { low: number; high: number; stepAllowed: boolean; stepPercent: number | null } {
  const step = increment === undefined ? null : increment / load;
  return {
    low: load * (1 + LOAD_WINDOW.leastFraction),
    high: load * (1 + LOAD_WINDOW.mostFraction),
    stepAllowed: step === null || step <= LOAD_WINDOW.mostFraction + 1e-9,
    stepPercent: step === null ? null : step * 100,
  };
}

/** Seven days of session load. Source: Foster 2001; the standard deviation is of the sample (n − 1). Even loads have no monotony. */
export function sessionLoad(daily: readonly number[]): {
  weekly: number;
  mean: number;
  sd: number;
  monotony: number | null;
  strain: number | null;
} {
  const weekly = daily.reduce((sum, load) => sum + load, 0);
  const mean = weekly / daily.length;
  const sd = Math.sqrt(daily.reduce((sum, load) => sum + (load - mean) ** 2, 0) / (daily.length - 1));
  const monotony = sd > 0 ? mean / sd : null;
  return { weekly, mean, sd, monotony, strain: monotony === null ? null : weekly * monotony };
}

/**
 * Strength by a set that was logged, for its trend alone: at most ten repetitions with three or fewer left, counted as
 * done. Source: Epley 1985 on Zourdos 2016. Null for any other set: nobody is tested for a maximum.
 */
export function strengthFrom(load: number, repetitions: number, left: number): number | null {
  const toFailure = repetitions + left;
  if (!(load > 0) || left > 3 || toFailure > 10 || repetitions < 1) return null;
  return toFailure === 1 ? load : ONE_REP_MAX.epley(load, toFailure);
}

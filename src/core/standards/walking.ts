import type { Sex } from "../body/body";

/** Usual pace by decade, m/s: men, women. Source: Bohannon & Williams Andrews 2011. */
const PACE: readonly { fromAge: number; mps: Readonly<Record<Sex, number>> }[] = [
  { fromAge: 20, mps: { male: 1.358, female: 1.341 } },
  { fromAge: 30, mps: { male: 1.433, female: 1.337 } },
  { fromAge: 40, mps: { male: 1.434, female: 1.39 } },
  { fromAge: 50, mps: { male: 1.433, female: 1.313 } },
  { fromAge: 60, mps: { male: 1.339, female: 1.241 } },
  { fromAge: 70, mps: { male: 1.262, female: 1.132 } },
  { fromAge: 80, mps: { male: 0.968, female: 0.943 } },
];
export const WALKING_AGES = [20, 99] as const;

/** Mean walking speed at the usual pace, m/s; null where no cell is published. */
export function usualPace({ age, sex }: { age: number; sex: Sex }): number | null {
  const [from, to] = WALKING_AGES;
  return age >= from && age < to + 1 ? (PACE.findLast(({ fromAge }) => age >= fromAge)?.mps[sex] ?? null) : null;
}

/** Slowest time that is not worse than average for rising, walking 3 m, turning and sitting down, s. Source: Bohannon 2006 (timed up and go). */
const UP_AND_GO: readonly { fromAge: number; mostS: number }[] = [
  { fromAge: 60, mostS: 9 },
  { fromAge: 70, mostS: 10.2 },
  { fromAge: 80, mostS: 12.7 },
];
export const upAndGoAverageMostS = (age: number): number | null =>
  age >= 60 && age < 100 ? (UP_AND_GO.findLast(({ fromAge }) => age >= fromAge)?.mostS ?? null) : null;
/** From here on a faller's time. Source: CDC STEADI 2017. */
export const UP_AND_GO_FALLS_S = 12;

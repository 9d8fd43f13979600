/** A motion that is measured lying or sitting, without load. */
export const MOTIONS = ["hip-flexion", "hip-extension", "hip-abduction", "hip-internal", "hip-external", "knee-flexion"] as const;
export type Motion = (typeof MOTIONS)[number];

type Cell = readonly [meanDeg: number, sdDeg: number];
/** Mean and standard deviation, degrees, by age from 25, 40 and 60. Source: Roach & Miles 1991. */
const ROWS: Readonly<Record<Motion, readonly [Cell, Cell, Cell]>> = {
  "hip-flexion": [
    [122, 12],
    [120, 14],
    [118, 13],
  ],
  "hip-extension": [
    [22, 8],
    [18, 7],
    [17, 8],
  ],
  "hip-abduction": [
    [44, 11],
    [42, 11],
    [39, 12],
  ],
  "hip-internal": [
    [33, 7],
    [31, 8],
    [30, 7],
  ],
  "hip-external": [
    [34, 8],
    [32, 8],
    [29, 9],
  ],
  "knee-flexion": [
    [134, 9],
    [132, 11],
    [131, 11],
  ],
};
export const MOTION_AGES = [25, 74] as const;
const FROM_AGES = [25, 40, 60] as const;

/** What is usual at an age; null where no cell is published: under 25 and over 74. */
export function rangeOfMotion(motion: Motion, age: number): { meanDeg: number; sdDeg: number; fromAge: number; toAge: number } | null {
  const [from, to] = MOTION_AGES;
  if (!(age >= from && age < to + 1)) return null;
  const row = FROM_AGES.findLastIndex((fromAge) => age >= fromAge) as 0 | 1 | 2;
  const [meanDeg, sdDeg] = ROWS[motion][row];
  return { meanDeg, sdDeg, fromAge: FROM_AGES[row], toAge: (FROM_AGES[row + 1] ?? to + 1) - 1 };
}
/** Bend that stairs foot over foot and a low seat ask for. Source: Rowe 2000. */
export const USEFUL_KNEE_FLEXION_DEG = 110;

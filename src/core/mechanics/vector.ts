/** Metres; x toward the toes, y up, from the lead foot's support under its ankle. */
export type Point = readonly [xM: number, yM: number];

/** A force on the client and where it acts. */
export interface Force {
  at: Point;
  fxN: number;
  fyN: number;
}

export const along = (from: Point, to: Point, fraction: number): Point => [
  from[0] + fraction * (to[0] - from[0]),
  from[1] + fraction * (to[1] - from[1]),
];

/** Moment of one force about a point, Nm, counter-clockwise positive. */
export const momentNm = ({ at, fxN, fyN }: Force, about: Point): number => (at[0] - about[0]) * fyN - (at[1] - about[1]) * fxN;

export function sumMomentNm(forces: readonly Force[], about: Point): number {
  let sumNm = 0;
  for (const force of forces) sumNm += momentNm(force, about);
  return sumNm;
}

export const weight = (at: Point, massKg: number, gravityMps2: number): Force => ({ at, fxN: 0, fyN: -massKg * gravityMps2 });

import { degFromRad } from "../units";

/** A point of a picture: x to the right, y down, in any unit of length. */
export interface PicturePoint {
  x: number;
  y: number;
}
export const PHOTO_POINTS = ["ankle", "knee", "hip", "shoulder", "heel", "toe"] as const;
export type PhotoPoint = (typeof PHOTO_POINTS)[number];

export interface PhotoAngles {
  /** Shin forward of upright, towards where the client looks. */
  shankLeanDeg: number;
  kneeFlexionDeg: number;
  /** Thigh above level: 0 is a level thigh. */
  thighAboveLevelDeg: number;
  trunkLeanDeg: number | null;
  hipFlexionDeg: number | null;
  /** The foot from level: the heel up is above 0. */
  footLineDeg: number | null;
}

/** Forward of upright along a line from below to above, for somebody who looks to the right; degrees. */
const leanDeg = (below: PicturePoint, above: PicturePoint): number => degFromRad(Math.atan2(above.x - below.x, below.y - above.y));

/** How far the heel stands above the toe along the foot of somebody who looks to the right; degrees. */
const footLineDeg = (heel: PicturePoint, toe: PicturePoint): number => degFromRad(Math.atan2(toe.y - heel.y, toe.x - heel.x));

/**
 * Joint angles from a side picture that was held level: three taps give shin and knee, a fourth the trunk, two more the
 * line of the foot. Which way the
 * client looks follows from the knee: it is in front of ankle and hip. Null where two points are the same.
 */
export function anglesFrom(points: Partial<Record<PhotoPoint, PicturePoint>>): PhotoAngles | null {
  const { ankle, knee, hip, shoulder, heel, toe } = points;
  if (!ankle || !knee || !hip || isSame(ankle, knee) || isSame(knee, hip)) return null;
  const looksLeft = knee.x < (ankle.x + hip.x) / 2;
  const facing = ({ x, y }: PicturePoint): PicturePoint => (looksLeft ? { x: -x, y } : { x, y });
  const [a, k, h] = [facing(ankle), facing(knee), facing(hip)];
  const shankLeanDeg = leanDeg(a, k);
  const thighLeanDeg = leanDeg(k, h); // backward of upright while the knee is bent
  const trunkLeanDeg = shoulder && !isSame(shoulder, hip) ? leanDeg(h, facing(shoulder)) : null;
  return {
    shankLeanDeg,
    kneeFlexionDeg: shankLeanDeg - thighLeanDeg,
    thighAboveLevelDeg: 90 + thighLeanDeg,
    trunkLeanDeg,
    hipFlexionDeg: trunkLeanDeg === null ? null : trunkLeanDeg - thighLeanDeg,
    footLineDeg: heel && toe && !isSame(heel, toe) ? footLineDeg(facing(heel), facing(toe)) : null,
  };
}
const isSame = (a: PicturePoint, b: PicturePoint): boolean => Math.hypot(a.x - b.x, a.y - b.y) < 1e-9;

import type { Body } from "../body/body";
import { kneeSeatHeightM } from "../mechanics/depth";
import { brent } from "../numeric/roots";
import { standing } from "./hands";
import type { Subject } from "./template";

/** Nearly straight, and as deep as a guard rail allows: between these a seat's height means something for a body. */
const TALLEST_KNEE_DEG = 12;
const LOWEST_KNEE_DEG = 125;
const LOWEST_SEAT_M = 0.2;

/** Seat height at which the knee is bent so far, on this body by its own posture rule. */
export const seatAtKneeM = (subject: Subject, kneeFlexionDeg: number): number =>
  kneeSeatHeightM(subject.body, standing(subject, {}), kneeFlexionDeg);

export const seatRangeM = (subject: Subject): readonly [number, number] => [
  Math.max(LOWEST_SEAT_M, seatAtKneeM(subject, LOWEST_KNEE_DEG)),
  seatAtKneeM(subject, TALLEST_KNEE_DEG),
];

/** Lengths that a variation's levers can be told by. */
export const BODY_PARTS = {
  stature: ({ heightM }: Body): number => heightM,
  "knee-height": ({ ankleHeightM, shankM }: Body): number => ankleHeightM + shankM,
  "hip-height": ({ ankleHeightM, shankM, thighM }: Body): number => ankleHeightM + shankM + thighM,
  shank: ({ shankM }: Body): number => shankM,
  foot: ({ footM }: Body): number => footM,
} as const;
export type BodyPart = keyof typeof BODY_PARTS;

/** Knee bend on a seat of a height: the other way round; null outside what means something for this body. */
export function kneeAtSeatDeg(subject: Subject, seatHeightM: number): number | null {
  const [lowestM, tallestM] = seatRangeM(subject);
  if (seatHeightM < lowestM - 1e-9 || seatHeightM > tallestM + 1e-9) return null;
  return brent((kneeDeg) => seatAtKneeM(subject, kneeDeg) - seatHeightM, TALLEST_KNEE_DEG - 1, LOWEST_KNEE_DEG + 1);
}

/** Cushions of one thickness on a chair so that the knee bends no further than wanted; none where the chair is high enough. */
export const cushionsFor = (chairM: number, cushionM: number, wantedSeatM: number): number =>
  Math.max(0, Math.ceil((wantedSeatM - chairM) / cushionM - 1e-6));

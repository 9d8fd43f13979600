import type { Body } from "../body/body";
import { kneeSeatHeightM } from "../mechanics/depth";
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

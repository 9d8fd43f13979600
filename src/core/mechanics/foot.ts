import type { Body } from "../body/body";
import { BALL_FRACTION } from "../body/segments.data";
import { cosDeg, sinDeg } from "../units";
import type { StandingSetting } from "./standing.types";
import type { Point } from "./vector";

/** A point of the foot in the side view, relative to the ankle: `aheadM` along the sole, `downM` below it, heel pitched up (E3). */
function footPoint(aheadM: number, downM: number, pitchDeg: number): Point {
  const [sin, cos] = [sinDeg(pitchDeg), cosDeg(pitchDeg)];
  return [aheadM * cos - downM * sin, -aheadM * sin - downM * cos];
}

/** A point of the sole, `fraction` of foot length from the heel. */
export const solePoint = (body: Body, fraction: number, pitchDeg: number): Point =>
  footPoint(fraction * body.footM - body.heelBehindAnkleM, body.ankleHeightM, pitchDeg);

/** Centre of mass of the foot: along the sole, half the ankle height up. */
export const footComPoint = (body: Body, pitchDeg: number): Point =>
  footPoint(body.footComFraction * body.footM - body.heelBehindAnkleM, body.ankleHeightM / 2, pitchDeg);

export const footPitchDeg = ({ heelRaiseDeg, wedgeDeg }: StandingSetting): number => (heelRaiseDeg > 0 ? heelRaiseDeg : wedgeDeg);

export const pressureFraction = ({ heelRaiseDeg, pressureFraction: f }: StandingSetting): number => (heelRaiseDeg > 0 ? BALL_FRACTION : f);

/** Ankle height over its support with the heel raised onto the ball, or flat. */
export const ankleOnFootM = (body: Body, heelDeg: number): number =>
  heelDeg > 0 ? -solePoint(body, BALL_FRACTION, heelDeg)[1] : body.ankleHeightM;

/** Ankle height over its support on a full wedge or with the heels raised. */
export function ankleAboveSupportM(body: Body, { heelRaiseDeg, wedgeDeg }: StandingSetting): number {
  if (heelRaiseDeg > 0) return ankleOnFootM(body, heelRaiseDeg);
  return -Math.min(solePoint(body, 1, wedgeDeg)[1], solePoint(body, 0, wedgeDeg)[1]);
}

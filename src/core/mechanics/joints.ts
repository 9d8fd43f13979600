import type { Body } from "../body/body";
import { GRAVITY_MPS2 } from "../units";
import { footComPoint } from "./foot";
import { kneecapLoad } from "./kneecap";
import type { Leg } from "./leg";
import type { LegDemand, LegGeometry } from "./standing.types";
import { along, type Force, type Point, weight } from "./vector";

const BACK_EXTENSOR_ARM_M = 0.055;
const ABDOMINAL_ARM_M = 0.08;
const KNEE_FLEXOR_ARM_M = 0.03;

/** Weights of one leg's segments, foot first. */
export function legWeights(body: Body, leg: LegGeometry): readonly [Force, Force, Force] {
  const footCom = footComPoint(body, leg.footPitchDeg);
  return [
    weight([leg.ankle[0] + footCom[0], leg.ankle[1] + footCom[1]], body.footKg, GRAVITY_MPS2),
    weight(along(leg.knee, leg.ankle, body.shankComFraction), body.shankKg, GRAVITY_MPS2),
    weight(along(leg.hip, leg.knee, body.thighComFraction), body.thighKg, GRAVITY_MPS2),
  ];
}

export const newLegDemand = (): LegDemand => ({
  shareFraction: NaN,
  groundFxN: NaN,
  groundFyN: NaN,
  ankleMomentNm: NaN,
  kneeMomentNm: NaN,
  hipMomentNm: NaN,
  quadricepsN: NaN,
  kneecapForceN: NaN,
  kneecapStressMPa: NaN,
  kneeContactBw: NaN,
});

/**
 * External moments of one leg from everything distal to each joint (docs/equations.md E8), for a ground force at
 * (`pressureXM`, `pressureYM`). Flexing is positive at knee and hip, dorsiflexing at the ankle; newton metres, this leg.
 */
export function writeLegMoments(
  demand: LegDemand,
  body: Body,
  leg: Leg,
  pressureXM: number,
  pressureYM: number,
  fxN: number,
  fyN: number,
): void {
  const footN = body.footKg * GRAVITY_MPS2;
  const shankN = body.shankKg * GRAVITY_MPS2;
  const thighN = body.thighKg * GRAVITY_MPS2;
  const footX = leg.ankleXM + leg.footComXM;
  const shankX = leg.kneeXM + body.shankComFraction * (leg.ankleXM - leg.kneeXM);
  const thighX = leg.hipXM + body.thighComFraction * (leg.kneeXM - leg.hipXM);
  demand.groundFxN = fxN;
  demand.groundFyN = fyN;
  demand.ankleMomentNm = (pressureXM - leg.ankleXM) * fyN - (pressureYM - leg.ankleYM) * fxN - leg.footComXM * footN;
  demand.kneeMomentNm =
    (footX - leg.kneeXM) * footN + (shankX - leg.kneeXM) * shankN - (pressureXM - leg.kneeXM) * fyN + (pressureYM - leg.kneeYM) * fxN;
  demand.hipMomentNm =
    (pressureXM - leg.hipXM) * fyN -
    (pressureYM - leg.hipYM) * fxN -
    (footX - leg.hipXM) * footN -
    (shankX - leg.hipXM) * shankN -
    (thighX - leg.hipXM) * thighN;
}

/** What the knee's moment means for its tissues (E9 to E11, and the contact index); reads the moments written before. */
export function writeKneeTissue(demand: LegDemand, body: Body, leg: Leg): void {
  const { kneeMomentNm } = demand;
  const bendDeg = leg.kneeFlexionDeg;
  const kneecap = kneecapLoad(kneeMomentNm, bendDeg);
  demand.quadricepsN = kneecap.quadricepsN;
  demand.kneecapForceN = kneecap.contactN;
  demand.kneecapStressMPa = kneecap.stressMPa;
  const carriedN = demand.groundFyN - (body.footKg + body.shankKg) * GRAVITY_MPS2;
  const axialN = demand.groundFxN * leg.sinShank + carriedN * leg.cosShank;
  const muscleN = kneeMomentNm > 0 ? kneeMomentNm / ((49 - 0.14 * Math.min(bendDeg, 120)) / 1000) : -kneeMomentNm / KNEE_FLEXOR_ARM_M;
  demand.kneeContactBw = (axialN + muscleN) / (body.massKg * GRAVITY_MPS2);
}

/** The demands of one leg under a known ground force, as a value of its own. */
export function legDemand(
  body: Body,
  leg: Leg,
  pressure: Point,
  { fxN, fyN, shareFraction }: { fxN: number; fyN: number; shareFraction: number },
): LegDemand {
  const demand = newLegDemand();
  demand.shareFraction = shareFraction;
  writeLegMoments(demand, body, leg, pressure[0], pressure[1], fxN, fyN);
  writeKneeTissue(demand, body, leg);
  return demand;
}

export interface LowBack {
  momentNm: number;
  compressionN: number;
  shearN: number;
}

/**
 * Low back from what acts above L5/S1 (E12): flexing moment about it, and the sum of forces turned into the trunk's own
 * axis. Shear is an index only: the true tilt of the disc is not known.
 */
export function writeLowBack(out: LowBack, flexingNm: number, fxN: number, fyN: number, sinTrunk: number, cosTrunk: number): void {
  const muscleN = flexingNm >= 0 ? flexingNm / BACK_EXTENSOR_ARM_M : -flexingNm / ABDOMINAL_ARM_M;
  out.momentNm = flexingNm;
  out.compressionN = -(fxN * sinTrunk + fyN * cosTrunk) + muscleN;
  out.shearN = fxN * cosTrunk - fyN * sinTrunk;
}

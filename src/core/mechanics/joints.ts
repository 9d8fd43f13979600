import type { Body } from "../body/body";
import { cosDeg, GRAVITY_MPS2, sinDeg } from "../units";
import { kneecapLoad } from "./kneecap";
import { footComPoint } from "./legs";
import type { LegDemand, LegGeometry } from "./standing.types";
import type { UpperBody } from "./upper-body";
import { along, type Force, momentNm, type Point, sumMomentNm, weight } from "./vector";

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

/**
 * External moments of one leg from everything distal to each joint (docs/equations.md E8), and the knee's tissue loads.
 * Flexing moments are positive at knee and hip, dorsiflexing at the ankle; newton metres for this one leg.
 */
export function legDemand(
  body: Body,
  leg: LegGeometry,
  pressure: Point,
  ground: { fxN: number; fyN: number; shareFraction: number },
): LegDemand {
  const [foot, shank, thigh] = legWeights(body, leg);
  const reaction: Force = { at: pressure, fxN: ground.fxN, fyN: ground.fyN };
  const kneeMomentNm = -sumMomentNm([reaction, foot, shank], leg.knee);
  const { quadricepsN, contactN, stressMPa } = kneecapLoad(kneeMomentNm, leg.kneeFlexionDeg);
  const [sin, cos] = [sinDeg(leg.shankLeanDeg), cosDeg(leg.shankLeanDeg)];
  const axialN = reaction.fxN * sin + (reaction.fyN + foot.fyN + shank.fyN) * cos;
  const muscleN =
    kneeMomentNm > 0 ? kneeMomentNm / ((49 - 0.14 * Math.min(leg.kneeFlexionDeg, 120)) / 1000) : -kneeMomentNm / KNEE_FLEXOR_ARM_M;
  return {
    shareFraction: ground.shareFraction,
    groundFxN: ground.fxN,
    groundFyN: ground.fyN,
    ankleMomentNm: sumMomentNm([reaction, foot], leg.ankle),
    kneeMomentNm,
    hipMomentNm: sumMomentNm([reaction, foot, shank, thigh], leg.hip),
    quadricepsN,
    kneecapForceN: contactN,
    kneecapStressMPa: stressMPa,
    kneeContactBw: (axialN + muscleN) / (body.massKg * GRAVITY_MPS2),
  };
}

/** Flexing moment, compression and shear at L5/S1 from the forces above it (E12). Shear is an index only. */
export function lowBackDemand(upper: Pick<UpperBody, "aboveL5" | "l5" | "up" | "front">): {
  momentNm: number;
  compressionN: number;
  shearN: number;
} {
  let flexingNm = 0;
  let fx = 0;
  let fy = 0;
  for (const force of upper.aboveL5) {
    flexingNm -= momentNm(force, upper.l5);
    fx += force.fxN;
    fy += force.fyN;
  }
  const muscleN = flexingNm >= 0 ? flexingNm / BACK_EXTENSOR_ARM_M : -flexingNm / ABDOMINAL_ARM_M;
  return {
    momentNm: flexingNm,
    compressionN: -(fx * upper.up[0] + fy * upper.up[1]) + muscleN,
    shearN: fx * upper.front[0] + fy * upper.front[1],
  };
}

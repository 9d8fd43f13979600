import type { Body } from "../body/body";
import { BALL_FRACTION } from "../body/segments.data";
import { cosDeg, GRAVITY_MPS2 as G, sinDeg } from "../units";
import { kneecapLoad } from "./kneecap";
import { footComPoint, solePoint } from "./foot";

/** Single-joint helpers as plain levers (docs/equations.md E20). One leg, newton metres, unless said. */
const ANKLE_WEIGHT_FRACTION = 0.95; // of the shank, from the knee
const ACHILLES_ARM_M = 0.05;
const ABDUCTOR_ARM_M = 0.052;
const HIP_HALF_WIDTH_FRACTION = 0.05; // of stature

/** Hip moment of a straight leg held at an angle above horizontal, with an ankle weight. */
export function straightLegRaiseNm(body: Body, angleDeg: number, ankleWeightKg = 0): number {
  const { thighM: t, shankM: s } = body;
  const sum =
    body.thighKg * body.thighComFraction * t +
    body.shankKg * (t + body.shankComFraction * s) +
    body.footKg * (t + s + body.ankleHeightM / 2) +
    ankleWeightKg * (t + ANKLE_WEIGHT_FRACTION * s);
  return G * sum * cosDeg(angleDeg);
}

/** Hip moment of a side-lying raise: the leg's own, and a band's. */
export const sideLyingAbductionNm = (
  body: Body,
  angleDeg: number,
  band: { tensionN: number; armM: number; angleToLegDeg: number },
  ankleWeightKg = 0,
): number => straightLegRaiseNm(body, angleDeg, ankleWeightKg) + band.tensionN * band.armM * sinDeg(band.angleToLegDeg);

/** Hip moment of a seated abduction against a band round the thigh. */
export const seatedAbductionNm = (body: Body, tensionN: number, armM = 0.9 * body.thighM, angleToThighDeg = 90): number =>
  tensionN * armM * sinDeg(angleToThighDeg);

/** Knee moment of a terminal extension against a band behind the knee, the pressure point kept. */
export const terminalExtensionNm = (body: Body, tensionN: number, shankLeanDeg = 0): number =>
  tensionN * (body.ankleHeightM + body.shankM * cosDeg(shankLeanDeg));

/** Calf raise: ankle moment and Achilles force of one leg. Load and upward help are totals, before the share. */
export function calfRaise(
  body: Body,
  heelDeg: number,
  shareFraction: number,
  loadKg = 0,
  upwardN = 0,
): { ankleMomentNm: number; achillesN: number } {
  const groundN = shareFraction * ((body.massKg + loadKg) * G - upwardN);
  const ankleMomentNm = groundN * solePoint(body, BALL_FRACTION, heelDeg)[0] - body.footKg * G * footComPoint(body, heelDeg)[0];
  return { ankleMomentNm, achillesN: ankleMomentNm / ACHILLES_ARM_M };
}

/** Seated extension, moving or held: gravity is always included; a cuff pulls at right angles to the shank. */
export function kneeExtension(body: Body, kneeFlexionDeg: number, ankleWeightKg: number, cuffN = 0, cuffArmM = 0.9 * body.shankM) {
  const { shankM: s } = body;
  const gravityNm =
    G *
    (body.shankKg * body.shankComFraction * s + body.footKg * (s + body.ankleHeightM / 2) + ankleWeightKg * ANKLE_WEIGHT_FRACTION * s) *
    cosDeg(kneeFlexionDeg);
  const kneeMomentNm = gravityNm + cuffN * cuffArmM;
  return { kneeMomentNm, ...kneecapLoad(kneeMomentNm, kneeFlexionDeg) };
}

/** Frontal hip in single stance: abductor moment and force, hip contact, with a stick in either hand. */
export function frontalHip(body: Body, stickN = 0, stickHand: "opposite" | "same" = "opposite", handOutM = 0.35) {
  const halfM = HIP_HALF_WIDTH_FRACTION * body.heightM;
  const aboveKg = body.massKg - (body.footKg + body.shankKg + body.thighKg);
  const aboveN = aboveKg * G;
  const stickNm = stickHand === "opposite" ? -stickN * (halfM + handOutM) : stickN * (handOutM - halfM);
  const abductorMomentNm = aboveN * ((halfM * body.massKg) / aboveKg) + stickNm;
  const abductorN = Math.max(0, abductorMomentNm) / ABDUCTOR_ARM_M;
  return { abductorMomentNm, abductorN, hipContactN: abductorN + aboveN - stickN };
}

/** How much more than slow a movement asks: 1 + (pi²/2) range / (g t²). Ballistic tempos are not for this model. */
export const tempoFactor = (rangeM: number, seconds: number): number => 1 + ((Math.PI ** 2 / 2) * rangeM) / (G * seconds ** 2);

/** A straight body leaning back on a strap, heels as pivot. Heights along the body; negative tension pulls the wrong way. */
export function strapLean(body: Body, leanDeg: number, comHeightM: number, handleHeightM: number, directionDeg: number) {
  const weightN = body.massKg * G;
  const [handX, handY] = [-handleHeightM * sinDeg(leanDeg), handleHeightM * cosDeg(leanDeg)];
  const comX = -comHeightM * sinDeg(leanDeg);
  const tensionN = (weightN * comX) / (handX * sinDeg(directionDeg) - handY * cosDeg(directionDeg));
  const upwardN = tensionN * sinDeg(directionDeg);
  return { tensionN, upwardFraction: upwardN / weightN, feetN: weightN - upwardN };
}

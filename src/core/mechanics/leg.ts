import type { Body } from "../body/body";
import { cosDeg, degFromRad, GRAVITY_MPS2, radFromDeg, sinDeg } from "../units";
import { footComPoint } from "./foot";
import type { LegGeometry } from "./standing.types";
import type { Point } from "./vector";

const REACH_SLACK_M = 1e-9;

/**
 * One leg as plain numbers, overwritten from pose to pose: what the solver works on, so that a pose costs no allocation.
 * Metres from the pose's origin; `geometryOf` makes the value that leaves this folder.
 */
export interface Leg {
  kneeFlexionDeg: number;
  shankLeanDeg: number;
  footPitchDeg: number;
  /** Centre of mass of the foot, from the ankle. */
  footComXM: number;
  footComYM: number;
  sinShank: number;
  cosShank: number;
  sinKnee: number;
  cosKnee: number;
  ankleXM: number;
  ankleYM: number;
  kneeXM: number;
  kneeYM: number;
  hipXM: number;
  hipYM: number;
}

/** A leg with its foot pitched; everything else is still to be placed. */
export function newLeg(body: Body, footPitchDeg: number): Leg {
  const [footComXM, footComYM] = footComPoint(body, footPitchDeg);
  return {
    kneeFlexionDeg: NaN,
    shankLeanDeg: NaN,
    footPitchDeg,
    footComXM,
    footComYM,
    sinShank: NaN,
    cosShank: NaN,
    sinKnee: NaN,
    cosKnee: NaN,
    ankleXM: 0,
    ankleYM: NaN,
    kneeXM: NaN,
    kneeYM: NaN,
    hipXM: NaN,
    hipYM: NaN,
  };
}

/** Knee and hip over a placed ankle, from the sine and cosine of shin lean and knee bend (docs/equations.md E2). */
export function raiseLeg(body: Body, leg: Leg, sinShank: number, cosShank: number, sinKnee: number, cosKnee: number): void {
  leg.sinShank = sinShank;
  leg.cosShank = cosShank;
  leg.sinKnee = sinKnee;
  leg.cosKnee = cosKnee;
  leg.kneeXM = leg.ankleXM + body.shankM * sinShank;
  leg.kneeYM = leg.ankleYM + body.shankM * cosShank;
  // the thigh leans back by knee bend less shin lean
  leg.hipXM = leg.kneeXM - body.thighM * (sinKnee * cosShank - cosKnee * sinShank);
  leg.hipYM = leg.kneeYM + body.thighM * (cosKnee * cosShank + sinKnee * sinShank);
}

/** The same from angles. */
export function placeLeg(body: Body, leg: Leg, kneeFlexionDeg: number, shankLeanDeg: number): void {
  const shank = radFromDeg(shankLeanDeg);
  const knee = radFromDeg(kneeFlexionDeg);
  leg.kneeFlexionDeg = kneeFlexionDeg;
  leg.shankLeanDeg = shankLeanDeg;
  raiseLeg(body, leg, Math.sin(shank), Math.cos(shank), Math.sin(knee), Math.cos(knee));
}

/**
 * A leg from ankle to hip by two-link inverse kinematics, knee forward (docs/equations.md E16). False out of reach.
 * Angles by name are left to `readAngles`: a search asks for places only.
 */
export function spanLeg(body: Body, leg: Leg, ankleXM: number, ankleYM: number, hipXM: number, hipYM: number): boolean {
  const { shankM: s, thighM: t } = body;
  const dx = hipXM - ankleXM;
  const dy = hipYM - ankleYM;
  const squared = dx * dx + dy * dy;
  const distanceM = Math.sqrt(squared);
  if (!(distanceM <= s + t + REACH_SLACK_M && distanceM >= Math.abs(s - t))) return false;
  const cosKnee = Math.min(1, Math.max(-1, (squared - s * s - t * t) / (2 * s * t)));
  const sinKnee = Math.sqrt(1 - cosKnee * cosKnee);
  // the shin leans ahead of the line to the hip by the angle whose sine and cosine these are
  const ahead = (t * sinKnee) / distanceM;
  const beside = (s + t * cosKnee) / distanceM;
  leg.sinShank = (dx * beside + dy * ahead) / distanceM;
  leg.cosShank = (dy * beside - dx * ahead) / distanceM;
  leg.sinKnee = sinKnee;
  leg.cosKnee = cosKnee;
  leg.ankleXM = ankleXM;
  leg.ankleYM = ankleYM;
  leg.kneeXM = ankleXM + s * leg.sinShank;
  leg.kneeYM = ankleYM + s * leg.cosShank;
  leg.hipXM = hipXM;
  leg.hipYM = hipYM;
  return true;
}

/** Names the angles of a leg that was placed by its points. */
export function readAngles(leg: Leg): void {
  leg.kneeFlexionDeg = degFromRad(Math.atan2(leg.sinKnee, leg.cosKnee));
  leg.shankLeanDeg = degFromRad(Math.atan2(leg.sinShank, leg.cosShank));
}

/** A leg hanging from the hip: thigh forward of vertical, knee bent, foot at right angles to the shin. */
export function hangLeg(body: Body, leg: Leg, hipXM: number, hipYM: number, thighDeg: number, kneeFlexionDeg: number): void {
  const shankDeg = kneeFlexionDeg - thighDeg;
  const footCom = footComPoint(body, shankDeg);
  leg.kneeFlexionDeg = kneeFlexionDeg;
  leg.shankLeanDeg = shankDeg;
  leg.footPitchDeg = shankDeg;
  leg.footComXM = footCom[0];
  leg.footComYM = footCom[1];
  leg.sinShank = sinDeg(shankDeg);
  leg.cosShank = cosDeg(shankDeg);
  leg.hipXM = hipXM;
  leg.hipYM = hipYM;
  leg.kneeXM = hipXM + body.thighM * sinDeg(thighDeg);
  leg.kneeYM = hipYM - body.thighM * cosDeg(thighDeg);
  leg.ankleXM = leg.kneeXM - body.shankM * leg.sinShank;
  leg.ankleYM = leg.kneeYM - body.shankM * leg.cosShank;
}

/** Weight of one leg. */
export const legWeightN = (body: Body): number => (body.footKg + body.shankKg + body.thighKg) * GRAVITY_MPS2;

/** Moment of one leg's weight about a point at `xM`, counter-clockwise +. */
export function legWeightMomentNm(body: Body, leg: Leg, xM: number): number {
  const shankX = leg.kneeXM + body.shankComFraction * (leg.ankleXM - leg.kneeXM);
  const thighX = leg.hipXM + body.thighComFraction * (leg.kneeXM - leg.hipXM);
  const footKgm = body.footKg * (leg.ankleXM + leg.footComXM - xM);
  return -GRAVITY_MPS2 * (footKgm + body.shankKg * (shankX - xM) + body.thighKg * (thighX - xM));
}

export function geometryOf(leg: Leg): LegGeometry {
  const { kneeFlexionDeg, shankLeanDeg, footPitchDeg } = leg;
  const ankle: Point = [leg.ankleXM, leg.ankleYM];
  const knee: Point = [leg.kneeXM, leg.kneeYM];
  const hip: Point = [leg.hipXM, leg.hipYM];
  return { kneeFlexionDeg, shankLeanDeg, thighLeanDeg: kneeFlexionDeg - shankLeanDeg, footPitchDeg, ankle, knee, hip };
}

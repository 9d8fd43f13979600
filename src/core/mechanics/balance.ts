import type { Body } from "../body/body";
import { BALL_FRACTION } from "../body/segments.data";
import { brent, rootsByScan } from "../solve/roots";
import { degFromRad } from "../units";
import { legWeights } from "./joints";
import { hipHeightGivenM, legAtHipHeight, legGeometry, pressurePoint, shankSolveRangeDeg } from "./legs";
import type { LegGeometry, PoseFailure, StandingSetting } from "./standing.types";
import { type UpperBody, upperBody } from "./upper-body";
import { type Point, sumMomentNm } from "./vector";

const TRUNK_MIN_DEG = -30;
const TRUNK_MAX_DEG = 110;
const TRUNK_SCAN_STEPS = 28;
const SHANK_SCAN_STEPS = 30;
const PRESSURE_MIN = 0.05;
const PRESSURE_MAX = 0.95;

/** A balanced body: where the legs and trunk are, where the pressure is, and the assist that was solved. */
export interface Balanced {
  leg: LegGeometry;
  trunkLeanDeg: number;
  pressure: Point;
  solvedN: number;
}

const upperMomentNm = (upper: UpperBody, about: Point): number => sumMomentNm(upper.aboveL5, about) + sumMomentNm(upper.belowL5, about);
const legsMomentNm = (body: Body, leg: LegGeometry, about: Point): number => 2 * sumMomentNm(legWeights(body, leg), about);
const nearestZero = (roots: readonly number[]): number | undefined =>
  roots.reduce<number | undefined>((best, x) => (best === undefined || Math.abs(x) < Math.abs(best) ? x : best), undefined);

/**
 * Trunk lean that brings all weight over the pressure point (E7). Every term is linear in sine and cosine of the
 * lean, so three evaluations give it in closed form; a strap to a fixed anchor is not, and is scanned.
 */
export function balanceTrunk(body: Body, setting: StandingSetting, leg: LegGeometry, pressure: Point): Balanced | PoseFailure {
  const legsNm = legsMomentNm(body, leg, pressure);
  const residualNm = (trunkDeg: number): number => legsNm + upperMomentNm(upperBody(body, setting, leg.hip, trunkDeg), pressure);
  let roots: number[];
  if (setting.assists.some(({ force }) => force.kind === "anchor")) {
    roots = rootsByScan(residualNm, TRUNK_MIN_DEG, TRUNK_MAX_DEG, TRUNK_SCAN_STEPS);
  } else {
    const [r0, r90, r180] = [residualNm(0), residualNm(90), residualNm(180)];
    const constant = (r0 + r180) / 2;
    const cosine = (r0 - r180) / 2;
    const sine = r90 - constant;
    const spread = degFromRad(Math.acos(-constant / Math.hypot(sine, cosine)));
    const middle = degFromRad(Math.atan2(sine, cosine));
    roots = [middle - spread, middle + spread]
      .map((lean) => lean - 360 * Math.round(lean / 360))
      .filter((lean) => lean >= TRUNK_MIN_DEG && lean <= TRUNK_MAX_DEG); // NaN (no root) fails both
  }
  const trunkLeanDeg = nearestZero(roots);
  if (trunkLeanDeg === undefined) return residualNm((TRUNK_MIN_DEG + TRUNK_MAX_DEG) / 2) > 0 ? "falls-backward" : "falls-forward";
  return { leg, trunkLeanDeg, pressure, solvedN: 0 };
}

/** Shin lean that balances a kept trunk; a given hip height is held and the knee follows. */
export function balanceShank(
  body: Body,
  setting: StandingSetting,
  kneeDeg: number,
  trunkLeanDeg: number,
  fraction: number,
): Balanced | PoseFailure {
  const hipHeightM = hipHeightGivenM(body, setting);
  const legAt = (shankDeg: number): LegGeometry =>
    hipHeightM === null ? legGeometry(body, setting, kneeDeg, shankDeg) : legAtHipHeight(body, setting, hipHeightM, shankDeg);
  const residualNm = (shankDeg: number): number => {
    const leg = legAt(shankDeg);
    const about = pressurePoint(body, leg, fraction);
    return legsMomentNm(body, leg, about) + upperMomentNm(upperBody(body, setting, leg.hip, trunkLeanDeg), about);
  };
  const [low, high] = shankSolveRangeDeg(setting);
  const shankDeg = nearestZero(rootsByScan(residualNm, low, high, SHANK_SCAN_STEPS));
  if (shankDeg === undefined) {
    const nodes = Array.from({ length: SHANK_SCAN_STEPS + 1 }, (_, i) => residualNm(low + ((high - low) * i) / SHANK_SCAN_STEPS));
    const reached = nodes.filter((value) => Number.isFinite(value));
    if (reached.length === 0) return "trail-unreachable";
    return reached.every((value) => value > 0) ? "falls-backward" : "falls-forward";
  }
  const leg = legAt(shankDeg);
  return { leg, trunkLeanDeg, pressure: pressurePoint(body, leg, fraction), solvedN: 0 };
}

/** Size of the one open assist that balances a kept shin and trunk: the residual is linear in it. */
export function balanceAssist(
  body: Body,
  setting: StandingSetting,
  leg: LegGeometry,
  pressure: Point,
  trunkLeanDeg: number,
): Balanced | PoseFailure {
  const legsNm = legsMomentNm(body, leg, pressure);
  const residualNm = (assistN: number): number =>
    legsNm + upperMomentNm(upperBody(body, setting, leg.hip, trunkLeanDeg, assistN), pressure);
  const at0Nm = residualNm(0);
  const slopeM = residualNm(1) - at0Nm;
  if (!(Math.abs(slopeM) >= 1e-9)) return "assist-no-lever";
  const solvedN = -at0Nm / slopeM;
  return solvedN < 0 ? "assist-wrong-way" : { leg, trunkLeanDeg, pressure, solvedN };
}

/** Pressure point along the sole that balances a kept shin and trunk. */
export function balancePressure(body: Body, setting: StandingSetting, leg: LegGeometry, trunkLeanDeg: number): Balanced | PoseFailure {
  const upper = upperBody(body, setting, leg.hip, trunkLeanDeg);
  const residualNm = (fraction: number): number => {
    const about = pressurePoint(body, leg, fraction);
    return legsMomentNm(body, leg, about) + upperMomentNm(upper, about);
  };
  const low = setting.heelRaiseDeg > 0 ? BALL_FRACTION : PRESSURE_MIN;
  const atLowNm = residualNm(low);
  if (!(atLowNm * residualNm(PRESSURE_MAX) <= 0)) return atLowNm > 0 ? "falls-backward" : "falls-forward";
  return { leg, trunkLeanDeg, pressure: pressurePoint(body, leg, brent(residualNm, low, PRESSURE_MAX)), solvedN: 0 };
}

import type { Body } from "../body/body";
import { BALL_FRACTION } from "../body/segments.data";
import { brent, rootsByScan } from "../solve/roots";
import { degFromRad } from "../units";
import { hipHeightGivenM, legAtHipHeight, legGeometry, pressurePoint, shankSolveRangeDeg } from "./legs";
import { stanceOf } from "./stance";
import type { LegGeometry, PoseFailure, StandingSetting } from "./standing.types";
import { upperBody } from "./upper-body";
import { type Point, sumMomentNm } from "./vector";

const TRUNK_MIN_DEG = -30;
const TRUNK_MAX_DEG = 110;
const TRUNK_SCAN_STEPS = 28;
const SHANK_SCAN_STEPS = 30;
const PRESSURE_MIN = 0.05;
const PRESSURE_MAX = 0.95;

/** A balanced body: where the legs and trunk are, where the pressure is, and what was solved. */
export interface Balanced {
  leg: LegGeometry;
  trunkLeanDeg: number;
  pressure: Point;
  solvedN: number;
  shareFraction: number;
}

const nearestZero = (roots: readonly number[]): number | undefined =>
  roots.reduce<number | undefined>((best, x) => (best === undefined || Math.abs(x) < Math.abs(best) ? x : best), undefined);

/** Part of the ground force under the lead leg: all of it when the other hangs free. */
export const leadShare = ({ trail, leadShareFraction }: StandingSetting): number => (trail.kind === "free" ? 1 : leadShareFraction);

interface Sums {
  momentNm: number;
  fyN: number;
  trailX: number | null;
}

/** Moment about the pressure point and vertical force of everything but the ground; null where the trail leg cannot reach. */
function sumsOf(body: Body, setting: StandingSetting, lead: LegGeometry, pressure: Point, trunkDeg: number, solvedN: number): Sums | null {
  const stance = stanceOf(body, setting, lead, pressure, trunkDeg);
  if (!stance) return null;
  const upper = upperBody(body, setting, lead.hip, trunkDeg, solvedN);
  let fyN = 0;
  for (const forces of [stance.weights, upper.aboveL5, upper.belowL5]) for (const force of forces) fyN += force.fyN;
  const momentNm = sumMomentNm(stance.weights, pressure) + sumMomentNm(upper.aboveL5, pressure) + sumMomentNm(upper.belowL5, pressure);
  return { momentNm, fyN, trailX: stance.isTrailLoaded ? stance.trailPressure[0] : null };
}

/** What is out of balance about the pressure point: positive falls backward (docs/equations.md E7). NaN out of reach. */
function residualNm(body: Body, setting: StandingSetting, lead: LegGeometry, pressure: Point, trunkDeg: number, solvedN = 0): number {
  const sums = sumsOf(body, setting, lead, pressure, trunkDeg, solvedN);
  if (!sums) return NaN;
  const { momentNm, fyN, trailX } = sums;
  return trailX === null ? momentNm : momentNm + (trailX - pressure[0]) * (1 - leadShare(setting)) * -fyN;
}

const held = (setting: StandingSetting, leg: LegGeometry, trunkLeanDeg: number, pressure: Point, solvedN = 0): Balanced => ({
  leg,
  trunkLeanDeg,
  pressure,
  solvedN,
  shareFraction: leadShare(setting),
});

/**
 * Trunk lean that brings all weight over the pressure point. Every term is linear in sine and cosine of the lean, so
 * three evaluations give it in closed form; a strap to a fixed anchor is not, and is scanned.
 */
export function balanceTrunk(body: Body, setting: StandingSetting, leg: LegGeometry, pressure: Point): Balanced | PoseFailure {
  const residual = (trunkDeg: number): number => residualNm(body, setting, leg, pressure, trunkDeg);
  const [r0, r90, r180] = [residual(0), residual(90), residual(180)];
  if (Number.isNaN(r0)) return "trail-unreachable";
  let roots: number[];
  if (setting.assists.some(({ force }) => force.kind === "anchor")) {
    roots = rootsByScan(residual, TRUNK_MIN_DEG, TRUNK_MAX_DEG, TRUNK_SCAN_STEPS);
  } else {
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
  if (trunkLeanDeg === undefined) return residual((TRUNK_MIN_DEG + TRUNK_MAX_DEG) / 2) > 0 ? "falls-backward" : "falls-forward";
  return held(setting, leg, trunkLeanDeg, pressure);
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
  const residual = (shankDeg: number): number => {
    const leg = legAt(shankDeg);
    return residualNm(body, setting, leg, pressurePoint(body, leg, fraction), trunkLeanDeg);
  };
  const [low, high] = shankSolveRangeDeg(setting);
  const shankDeg = nearestZero(rootsByScan(residual, low, high, SHANK_SCAN_STEPS));
  if (shankDeg === undefined) {
    const nodes = Array.from({ length: SHANK_SCAN_STEPS + 1 }, (_, i) => residual(low + ((high - low) * i) / SHANK_SCAN_STEPS));
    const reached = nodes.filter((value) => Number.isFinite(value));
    if (reached.length === 0) return "trail-unreachable";
    return reached.every((value) => value > 0) ? "falls-backward" : "falls-forward";
  }
  const leg = legAt(shankDeg);
  return held(setting, leg, trunkLeanDeg, pressurePoint(body, leg, fraction));
}

/** Size of the one open assist that balances a kept shin and trunk: the residual is linear in it. */
export function balanceAssist(
  body: Body,
  setting: StandingSetting,
  leg: LegGeometry,
  pressure: Point,
  trunkLeanDeg: number,
): Balanced | PoseFailure {
  const residual = (assistN: number): number => residualNm(body, setting, leg, pressure, trunkLeanDeg, assistN);
  const at0Nm = residual(0);
  if (Number.isNaN(at0Nm)) return "trail-unreachable";
  const slopeM = residual(1) - at0Nm;
  if (!(Math.abs(slopeM) >= 1e-9)) return "assist-no-lever";
  const solvedN = -at0Nm / slopeM;
  return solvedN < 0 ? "assist-wrong-way" : held(setting, leg, trunkLeanDeg, pressure, solvedN);
}

/** Pressure point along the sole that balances a kept shin and trunk. */
export function balancePressure(body: Body, setting: StandingSetting, leg: LegGeometry, trunkLeanDeg: number): Balanced | PoseFailure {
  const residual = (fraction: number): number => residualNm(body, setting, leg, pressurePoint(body, leg, fraction), trunkLeanDeg);
  const low = setting.heelRaiseDeg > 0 ? BALL_FRACTION : PRESSURE_MIN;
  const atLowNm = residual(low);
  if (Number.isNaN(atLowNm)) return "trail-unreachable";
  if (!(atLowNm * residual(PRESSURE_MAX) <= 0)) return atLowNm > 0 ? "falls-backward" : "falls-forward";
  return held(setting, leg, trunkLeanDeg, pressurePoint(body, leg, brent(residual, low, PRESSURE_MAX)));
}

/** Share of weight on the lead foot that balances a kept shin and trunk over two feet. */
export function balanceShare(
  body: Body,
  setting: StandingSetting,
  leg: LegGeometry,
  pressure: Point,
  trunkLeanDeg: number,
): Balanced | PoseFailure {
  if (setting.trail.kind !== "ground" && setting.trail.kind !== "reach") return "share-needs-two-feet";
  const sums = sumsOf(body, setting, leg, pressure, trunkLeanDeg, 0);
  if (sums?.trailX == null) return "trail-unreachable";
  const shareFraction = 1 - sums.momentNm / ((sums.trailX - pressure[0]) * sums.fyN);
  if (!(shareFraction >= 0 && shareFraction <= 1)) return "share-outside-0-1";
  return { leg, trunkLeanDeg, pressure, solvedN: 0, shareFraction };
}

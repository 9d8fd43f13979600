import { BALL_FRACTION } from "../body/segments.data";
import { brent, nearestZero, rootNearZero, sinusoidRootsDeg } from "../numeric/roots";
import { cosDeg, degFromRad, radFromDeg, sinDeg } from "../units";
import { hipHeightGivenM, shankLeanDeg, shankSolveRangeDeg } from "./depth";
import { solePoint } from "./foot";
import { legWeightMomentNm, placeLeg, raiseLeg } from "./leg";
import { placeTrail, type Prepared } from "./prepared";
import type { Depth, PoseFailure } from "./standing.types";
import { type UpperForces, writeUpperForces } from "./upper-body";

const TRUNK_MIN_DEG = -30;
const TRUNK_MAX_DEG = 110;
const TRUNK_SCAN_STEPS = 28;
const SHANK_SCAN_STEPS = 30;
const PRESSURE_MIN = 0.05;
const PRESSURE_MAX = 0.95;

const upper: UpperForces = { fxN: 0, fyN: 0, hipMomentNm: 0 };

/** Moment of the standing legs' weight about the pressure point. */
function legsMomentNm({ body, lead, trail, isTrailLoaded, setting, pressureXM }: Prepared): number {
  const leadNm = legWeightMomentNm(body, lead, pressureXM);
  if (setting.trail.kind === "same") return 2 * leadNm;
  return isTrailLoaded ? leadNm + legWeightMomentNm(body, trail, pressureXM) : leadNm;
}

/** Moment of everything but the ground about the pressure point; leaves the upper body's forces in `upper`. */
function aboutPressureNm(p: Prepared, legsNm: number, sin: number, cos: number, solvedN: number): number {
  const { hipXM, hipYM } = p.lead;
  writeUpperForces(upper, p.upper, "all", sin, cos, hipXM, hipYM, solvedN);
  return legsNm + upper.hipMomentNm + (hipXM - p.pressureXM) * upper.fyN - (hipYM - p.pressureYM) * upper.fxN;
}

/** What is out of balance about the pressure point: positive falls backward (docs/equations.md E7). */
function unbalancedNm(p: Prepared, legsNm: number, sin: number, cos: number, solvedN: number): number {
  const aboutNm = aboutPressureNm(p, legsNm, sin, cos, solvedN);
  if (!p.isTrailLoaded) return aboutNm;
  return aboutNm + (p.trailXM - p.pressureXM) * (1 - p.shareFraction) * (p.standingN - upper.fyN);
}

function setTrunk(p: Prepared, trunkLeanDeg: number): void {
  p.trunkLeanDeg = trunkLeanDeg;
  p.sinTrunk = sinDeg(trunkLeanDeg);
  p.cosTrunk = cosDeg(trunkLeanDeg);
}

function setPressure(p: Prepared, soleXM: number, soleYM: number): void {
  p.pressureXM = p.lead.ankleXM + soleXM;
  p.pressureYM = p.lead.ankleYM + soleYM;
}

/** Legs under the shin rule, pressure where the setting has it, the other foot placed. */
function standLegs(p: Prepared, kneeDeg: number): boolean {
  placeLeg(p.body, p.lead, kneeDeg, shankLeanDeg(p.body, p.setting, kneeDeg));
  setPressure(p, p.soleXM, p.soleYM);
  return placeTrail(p);
}

/**
 * Trunk lean that brings all weight over the pressure point. Every term is linear in sine and cosine of the lean, so
 * three values give it in closed form; a strap to a fixed anchor is not, and is scanned.
 */
function balanceTrunk(p: Prepared, kneeDeg: number): PoseFailure | null {
  if (!standLegs(p, kneeDeg)) return "trail-unreachable";
  const legsNm = legsMomentNm(p);
  const at = (sin: number, cos: number): number => unbalancedNm(p, legsNm, sin, cos, 0);
  const atLean = (leanDeg: number): number => at(sinDeg(leanDeg), cosDeg(leanDeg));
  const leanDeg = p.upper.isAnchored
    ? rootNearZero(atLean, TRUNK_MIN_DEG, TRUNK_MAX_DEG, TRUNK_SCAN_STEPS)
    : nearestZero(sinusoidRootsDeg(at, TRUNK_MIN_DEG, TRUNK_MAX_DEG));
  if (leanDeg === undefined) return atLean((TRUNK_MIN_DEG + TRUNK_MAX_DEG) / 2) > 0 ? "falls-backward" : "falls-forward";
  setTrunk(p, leanDeg);
  return null;
}

/**
 * Shin lean that balances a kept trunk. With the knee kept it is linear in sine and cosine of the shin's lean; a kept
 * hip height (the knee follows) and a foot standing elsewhere are not, and are scanned.
 */
function balanceShank(p: Prepared, kneeDeg: number, depth: Depth, trunkLeanDeg: number): PoseFailure | null {
  const { body, lead } = p;
  setTrunk(p, trunkLeanDeg);
  const hipHeightM = hipHeightGivenM(body, depth);
  const [sinKnee, cosKnee] = [Math.sin(radFromDeg(kneeDeg)), Math.cos(radFromDeg(kneeDeg))];
  const balanceNm = (): number => {
    setPressure(p, p.soleXM, p.soleYM);
    return placeTrail(p) ? unbalancedNm(p, legsMomentNm(p), p.sinTrunk, p.cosTrunk, 0) : NaN;
  };
  const at = (sinShank: number, cosShank: number): number => {
    raiseLeg(body, lead, sinShank, cosShank, sinKnee, cosKnee);
    return balanceNm();
  };
  const atShank = (shankDeg: number): number => {
    if (hipHeightM === null) return at(sinDeg(shankDeg), cosDeg(shankDeg));
    placeLeg(body, lead, kneeAtHeightDeg(p, hipHeightM, shankDeg), shankDeg);
    return balanceNm();
  };
  const [low, high] = shankSolveRangeDeg(p.setting);
  const isSinusoid = hipHeightM === null && !p.isTrailLoaded && !p.upper.isAnchored;
  const shankDeg = isSinusoid ? nearestZero(sinusoidRootsDeg(at, low, high)) : rootNearZero(atShank, low, high, SHANK_SCAN_STEPS);
  if (shankDeg === undefined) return whyNoShank(atShank, low, high);
  placeLeg(body, lead, hipHeightM === null ? kneeDeg : kneeAtHeightDeg(p, hipHeightM, shankDeg), shankDeg);
  balanceNm();
  return null;
}

/** Knee bend with the hip height held and the shin given: the thigh follows. NaN where it cannot reach. */
function kneeAtHeightDeg({ body, ankleM }: Prepared, hipHeightM: number, shankDeg: number): number {
  const risenM = hipHeightM - ankleM - body.shankM * cosDeg(shankDeg);
  return degFromRad(Math.acos(risenM / body.thighM)) + shankDeg;
}

function whyNoShank(atShank: (shankDeg: number) => number, low: number, high: number): PoseFailure {
  const values = Array.from({ length: SHANK_SCAN_STEPS + 1 }, (_, i) => atShank(low + ((high - low) * i) / SHANK_SCAN_STEPS));
  const reached = values.filter((value) => Number.isFinite(value));
  if (reached.length === 0) return "trail-unreachable";
  return reached.every((value) => value > 0) ? "falls-backward" : "falls-forward";
}

/** Size of the one open assist that balances a kept shin and trunk: the balance is linear in it. */
function balanceAssist(p: Prepared, kneeDeg: number, trunkLeanDeg: number): PoseFailure | null {
  if (!standLegs(p, kneeDeg)) return "trail-unreachable";
  setTrunk(p, trunkLeanDeg);
  const legsNm = legsMomentNm(p);
  const at0Nm = unbalancedNm(p, legsNm, p.sinTrunk, p.cosTrunk, 0);
  const slopeM = unbalancedNm(p, legsNm, p.sinTrunk, p.cosTrunk, 1) - at0Nm;
  if (!(Math.abs(slopeM) >= 1e-9)) return "assist-no-lever";
  const solvedN = -at0Nm / slopeM;
  if (!(solvedN >= 0)) return "assist-wrong-way";
  p.solvedN = solvedN;
  return null;
}

/** Pressure point along the sole that balances a kept shin and trunk. */
function balancePressure(p: Prepared, kneeDeg: number, trunkLeanDeg: number): PoseFailure | null {
  if (!standLegs(p, kneeDeg)) return "trail-unreachable";
  setTrunk(p, trunkLeanDeg);
  const at = (fraction: number): number => {
    const sole = solePoint(p.body, fraction, p.lead.footPitchDeg);
    setPressure(p, sole[0], sole[1]);
    return unbalancedNm(p, legsMomentNm(p), p.sinTrunk, p.cosTrunk, 0);
  };
  const low = p.setting.heelRaiseDeg > 0 ? BALL_FRACTION : PRESSURE_MIN;
  const atLowNm = at(low);
  if (!(atLowNm * at(PRESSURE_MAX) <= 0)) return atLowNm > 0 ? "falls-backward" : "falls-forward";
  at(brent(at, low, PRESSURE_MAX));
  return null;
}

/** Share of weight on the lead foot that balances a kept shin and trunk over two feet. */
function balanceShare(p: Prepared, kneeDeg: number, trunkLeanDeg: number): PoseFailure | null {
  if (!p.isTrailLoaded) return "share-needs-two-feet";
  if (!standLegs(p, kneeDeg)) return "trail-unreachable";
  setTrunk(p, trunkLeanDeg);
  const aboutNm = aboutPressureNm(p, legsMomentNm(p), p.sinTrunk, p.cosTrunk, 0);
  const shareFraction = 1 - aboutNm / ((p.trailXM - p.pressureXM) * (upper.fyN - p.standingN));
  if (!(shareFraction >= 0 && shareFraction <= 1)) return "share-outside-0-1";
  p.shareFraction = shareFraction;
  return null;
}

/** Brings a prepared set-up into balance at one knee bend, by whichever quantity gives way. */
export function balance(p: Prepared, kneeDeg: number, depth: Depth): PoseFailure | null {
  const { balance: wanted } = p.setting;
  switch (wanted.solve) {
    case "trunk":
      return balanceTrunk(p, kneeDeg);
    case "shank":
      return balanceShank(p, kneeDeg, depth, wanted.trunkLeanDeg);
    case "assist":
      return balanceAssist(p, kneeDeg, wanted.trunkLeanDeg);
    case "pressure":
      return balancePressure(p, kneeDeg, wanted.trunkLeanDeg);
    case "share":
      return balanceShare(p, kneeDeg, wanted.trunkLeanDeg);
  }
}

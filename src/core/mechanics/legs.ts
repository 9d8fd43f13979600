import type { Body } from "../body/body";
import { BALL_FRACTION } from "../body/segments.data";
import { brent } from "../solve/roots";
import { cosDeg, degFromRad, sinDeg } from "../units";
import type { LegGeometry, PoseFailure, ShankRule, StandingSetting } from "./standing.types";
import type { Point } from "./vector";

export const KNEE_FLEXION_MAX_DEG = 150;
const SHANK_SOLVE_MAX_DEG = 45;

/** A point of the sole relative to the ankle, `fraction` of foot length from the heel, foot pitched heel-up (E3). */
export function solePoint(body: Body, fraction: number, pitchDeg: number): Point {
  const aheadM = fraction * body.footM - body.heelBehindAnkleM;
  const [sin, cos] = [sinDeg(pitchDeg), cosDeg(pitchDeg)];
  return [aheadM * cos - body.ankleHeightM * sin, -aheadM * sin - body.ankleHeightM * cos];
}

/** Centre of mass of the foot relative to the ankle: along the sole, half the ankle height up. */
export function footComPoint(body: Body, pitchDeg: number): Point {
  const aheadM = body.footComFraction * body.footM - body.heelBehindAnkleM;
  const [sin, cos] = [sinDeg(pitchDeg), cosDeg(pitchDeg)];
  return [aheadM * cos - (body.ankleHeightM / 2) * sin, -aheadM * sin - (body.ankleHeightM / 2) * cos];
}

export const footPitchDeg = ({ heelRaiseDeg, wedgeDeg }: StandingSetting): number => (heelRaiseDeg > 0 ? heelRaiseDeg : wedgeDeg);

export const pressureFraction = ({ heelRaiseDeg, pressureFraction: f }: StandingSetting): number => (heelRaiseDeg > 0 ? BALL_FRACTION : f);

/** Ankle height over its support with the heel raised onto the ball, or flat. */
export const ankleOnFootM = (body: Body, heelDeg: number): number =>
  heelDeg > 0 ? -solePoint(body, BALL_FRACTION, heelDeg)[1] : body.ankleHeightM;

function ankleAboveSupportM(body: Body, setting: StandingSetting): number {
  const { heelRaiseDeg, wedgeDeg } = setting;
  if (heelRaiseDeg > 0) return -solePoint(body, BALL_FRACTION, heelRaiseDeg)[1];
  return -Math.min(solePoint(body, 1, wedgeDeg)[1], solePoint(body, 0, wedgeDeg)[1]);
}

function ruleLeanDeg(body: Body, rule: ShankRule, kneeFlexionDeg: number): number {
  switch (rule.kind) {
    case "linear":
      return rule.atStraightDeg + rule.perKneeDegree * kneeFlexionDeg;
    case "fixed":
      return rule.shankLeanDeg;
    case "midfoot": {
      const natural = 4 + 0.29 * kneeFlexionDeg;
      return Math.min(natural, degFromRad(Math.asin((0.5 * body.footM - body.heelBehindAnkleM) / body.shankM)));
    }
  }
}

const shankLimitDeg = ({ dorsiflexionMaxDeg, wedgeDeg }: StandingSetting): number => dorsiflexionMaxDeg + wedgeDeg;

/** The shin lean the rule gives at this bend, cut by the ankle's range. */
export function shankLeanDeg(body: Body, setting: StandingSetting, kneeFlexionDeg: number): number {
  return Math.min(ruleLeanDeg(body, setting.shankRule, kneeFlexionDeg), shankLimitDeg(setting));
}

export function isDorsiflexionLimited(body: Body, setting: StandingSetting, kneeFlexionDeg: number): boolean {
  const { shankRule } = setting;
  if (shankRule.kind === "midfoot" || (shankRule.kind === "linear" && shankRule.cutSilently)) return false;
  return ruleLeanDeg(body, shankRule, kneeFlexionDeg) > shankLimitDeg(setting);
}

export const shankSolveRangeDeg = (setting: StandingSetting): readonly [number, number] => [
  -30,
  Math.min(SHANK_SOLVE_MAX_DEG, shankLimitDeg(setting)),
];

export function hipHeightGivenM(body: Body, { depth }: StandingSetting): number | null {
  if (depth.by === "hip-height") return depth.hipHeightM;
  if (depth.by === "seat-height") return depth.seatHeightM + body.hipAboveSeatM;
  if (depth.by === "step") {
    const reachM = (body.shankM + body.thighM) * cosDeg(depth.trailLeanDeg);
    return ankleOnFootM(body, depth.trailHeelDeg) + reachM - depth.stepHeightM;
  }
  return null;
}

/** Knee bend that puts the hip at the given height under the shin rule (E5), or the bend that was asked for. */
export function kneeFlexionDegOf(body: Body, setting: StandingSetting): number | PoseFailure {
  const hipHeightM = hipHeightGivenM(body, setting);
  if (hipHeightM === null) {
    const { kneeFlexionDeg } = setting.depth as { kneeFlexionDeg: number };
    return kneeFlexionDeg >= 0 && kneeFlexionDeg <= KNEE_FLEXION_MAX_DEG ? kneeFlexionDeg : "knee-out-of-range";
  }
  const ankleM = ankleAboveSupportM(body, setting);
  const excessM = (kneeDeg: number): number => {
    const shankDeg = shankLeanDeg(body, setting, kneeDeg);
    return ankleM + body.shankM * cosDeg(shankDeg) + body.thighM * cosDeg(kneeDeg - shankDeg) - hipHeightM;
  };
  if (!(excessM(0) * excessM(KNEE_FLEXION_MAX_DEG) <= 0)) return "hip-height-unreachable";
  return brent(excessM, 0, KNEE_FLEXION_MAX_DEG);
}

/** Joint positions of a leg from knee bend and shin lean. */
export function legGeometry(body: Body, setting: StandingSetting, kneeDeg: number, shankDeg: number): LegGeometry {
  const thighDeg = kneeDeg - shankDeg;
  const ankle: Point = [0, ankleAboveSupportM(body, setting)];
  const knee: Point = [ankle[0] + body.shankM * sinDeg(shankDeg), ankle[1] + body.shankM * cosDeg(shankDeg)];
  const hip: Point = [knee[0] - body.thighM * sinDeg(thighDeg), knee[1] + body.thighM * cosDeg(thighDeg)];
  return { kneeFlexionDeg: kneeDeg, shankLeanDeg: shankDeg, thighLeanDeg: thighDeg, footPitchDeg: footPitchDeg(setting), ankle, knee, hip };
}

/** The same with the hip height held: the shin is given, the thigh follows. NaN where the thigh cannot reach. */
export function legAtHipHeight(body: Body, setting: StandingSetting, hipHeightM: number, shankDeg: number): LegGeometry {
  const risenM = hipHeightM - ankleAboveSupportM(body, setting) - body.shankM * cosDeg(shankDeg);
  return legGeometry(body, setting, degFromRad(Math.acos(risenM / body.thighM)) + shankDeg, shankDeg);
}

export const pressurePoint = (body: Body, leg: LegGeometry, fraction: number): Point => {
  const sole = solePoint(body, fraction, leg.footPitchDeg);
  return [leg.ankle[0] + sole[0], leg.ankle[1] + sole[1]];
};

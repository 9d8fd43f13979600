import type { Body } from "../body/body";
import { brent } from "../numeric/roots";
import { cosDeg, degFromRad, radFromDeg } from "../units";
import { ankleOnFootM } from "./foot";
import type { Depth, PoseFailure, ShankRule, StandingSetting } from "./standing.types";

const KNEE_FLEXION_MAX_DEG = 150;
const SHANK_SOLVE_MIN_DEG = -30;
const SHANK_SOLVE_MAX_DEG = 45;

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

/** The shin lean the rule gives at this bend, cut by the ankle's range (E4). */
export function shankLeanDeg(body: Body, setting: StandingSetting, kneeFlexionDeg: number): number {
  return Math.min(ruleLeanDeg(body, setting.shankRule, kneeFlexionDeg), shankLimitDeg(setting));
}

export function isDorsiflexionLimited(body: Body, setting: StandingSetting, kneeFlexionDeg: number): boolean {
  const { shankRule } = setting;
  if (shankRule.kind === "midfoot" || (shankRule.kind === "linear" && shankRule.cutSilently)) return false;
  return ruleLeanDeg(body, shankRule, kneeFlexionDeg) > shankLimitDeg(setting);
}

export const shankSolveRangeDeg = (setting: StandingSetting): readonly [number, number] => [
  SHANK_SOLVE_MIN_DEG,
  Math.min(SHANK_SOLVE_MAX_DEG, shankLimitDeg(setting)),
];

/** Hip height over the lead support that a depth fixes, or null where it fixes the knee. */
export function hipHeightGivenM(body: Body, depth: Depth): number | null {
  if (depth.by === "hip-height") return depth.hipHeightM;
  if (depth.by === "seat-height") return depth.seatHeightM + body.hipAboveSeatM;
  if (depth.by === "step") {
    const reachM = (body.shankM + body.thighM) * cosDeg(depth.trailLeanDeg);
    return ankleOnFootM(body, depth.trailHeelDeg) + reachM - depth.stepHeightM;
  }
  return null;
}

/** Knee bend that puts the hip at the given height under the shin rule (E5), or the bend that was asked for. */
export function kneeFlexionDegOf(body: Body, setting: StandingSetting, depth: Depth, ankleM: number): number | PoseFailure {
  if (depth.by === "knee-flexion") {
    const { kneeFlexionDeg } = depth;
    return kneeFlexionDeg >= 0 && kneeFlexionDeg <= KNEE_FLEXION_MAX_DEG ? kneeFlexionDeg : "knee-out-of-range";
  }
  const hipHeightM = hipHeightGivenM(body, depth) ?? NaN;
  const excessM = (kneeDeg: number): number => {
    const shankDeg = shankLeanDeg(body, setting, kneeDeg);
    const thighDeg = kneeDeg - shankDeg;
    return ankleM + body.shankM * Math.cos(radFromDeg(shankDeg)) + body.thighM * Math.cos(radFromDeg(thighDeg)) - hipHeightM;
  };
  if (!(excessM(0) * excessM(KNEE_FLEXION_MAX_DEG) <= 0)) return "hip-height-unreachable";
  return brent(excessM, 0, KNEE_FLEXION_MAX_DEG);
}

/** Height of the seat that a client sits on with the knee bent so far: the inverse of `kneeFlexionDegOf` (E5). */
export function kneeSeatHeightM(body: Body, setting: StandingSetting, kneeFlexionDeg: number): number {
  const shankDeg = shankLeanDeg(body, setting, kneeFlexionDeg);
  return body.ankleHeightM + body.shankM * cosDeg(shankDeg) + body.thighM * cosDeg(kneeFlexionDeg - shankDeg) - body.hipAboveSeatM;
}

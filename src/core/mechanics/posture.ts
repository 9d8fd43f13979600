import { type Body } from "../body/body";
import { standingPose } from "./standing";
import { SHANK_RULES, type ShankRule, STANDING_DEFAULTS, type StandingSetting } from "./standing.types";
import type { Trust } from "./channels";

/** How this client's shin is taken to move: a named rule, or the pose that was measured. */
export type PostureRule =
  | { kind: "named"; name: keyof typeof SHANK_RULES }
  | { kind: "measured"; kneeFlexionDeg: number; shankLeanDeg: number; pressureFraction: number };

/** What a trainer can say about it: a name, or that the calm pose measured it. */
export type PostureChoice = keyof typeof SHANK_RULES | "measured";
export const POSTURE_CHOICES = ["measured", ...(Object.keys(SHANK_RULES) as (keyof typeof SHANK_RULES)[])] as const;

export const DEFAULT_POSTURE: PostureRule = { kind: "named", name: "natural" };
const STANDING_SHANK_DEG = 4;
/** Within this much knee bend of the measured pose the rule counts as measured. */
const MEASURED_REACH_DEG = 15;

/** shin(K) = 4 + (s0 - 4) K / K0 through the measured pose (docs/equations.md E4). */
export function shankRuleOf(rule: PostureRule): ShankRule {
  if (rule.kind === "named") return SHANK_RULES[rule.name];
  return {
    kind: "linear",
    atStraightDeg: STANDING_SHANK_DEG,
    perKneeDegree: (rule.shankLeanDeg - STANDING_SHANK_DEG) / rule.kneeFlexionDeg,
  };
}

export const pressureFractionOf = (rule: PostureRule): number =>
  rule.kind === "measured" ? rule.pressureFraction : STANDING_DEFAULTS.pressureFraction;

export function postureTrust(rule: PostureRule, kneeFlexionDeg: number): Trust {
  if (rule.kind === "named") return "B";
  return Math.abs(kneeFlexionDeg - rule.kneeFlexionDeg) <= MEASURED_REACH_DEG ? "A-" : "B";
}

export type MeasuredPosture = { ok: true; rule: PostureRule } | { ok: false; reason: "measure-again" | "seat-out-of-reach" };

/**
 * The posture rule of a calm pose with a measured shin. Where the trunk was measured too, the pressure point that
 * balances the three is solved once and kept; outside the sole the measurement cannot be right.
 */
export function postureFromCalmPose(
  body: Body,
  setting: StandingSetting,
  measured: { shankLeanDeg: number; trunkLeanDeg: number | null },
): MeasuredPosture {
  const { shankLeanDeg, trunkLeanDeg } = measured;
  const fixed: StandingSetting = { ...setting, shankRule: { kind: "fixed", shankLeanDeg }, balance: { solve: "trunk" } };
  if (trunkLeanDeg === null) {
    const pose = standingPose(body, fixed);
    if (!pose.ok) return { ok: false, reason: pose.reason === "hip-height-unreachable" ? "seat-out-of-reach" : "measure-again" };
    const { kneeFlexionDeg } = pose;
    return { ok: true, rule: { kind: "measured", kneeFlexionDeg, shankLeanDeg, pressureFraction: STANDING_DEFAULTS.pressureFraction } };
  }
  const pose = standingPose(body, { ...fixed, balance: { solve: "pressure", trunkLeanDeg } });
  if (!pose.ok) return { ok: false, reason: pose.reason === "hip-height-unreachable" ? "seat-out-of-reach" : "measure-again" };
  const pressureFraction = (pose.pressure[0] + body.heelBehindAnkleM) / body.footM;
  return { ok: true, rule: { kind: "measured", kneeFlexionDeg: pose.kneeFlexionDeg, shankLeanDeg, pressureFraction } };
}

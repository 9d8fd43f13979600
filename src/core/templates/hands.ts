import type { Body } from "../body/body";
import { leastTrust, type Trust } from "../mechanics/channels";
import { postureTrust, pressureFractionOf, shankRuleOf } from "../mechanics/posture";
import { standingPose } from "../mechanics/standing";
import { type Load, STANDING_DEFAULTS, type StandingPose, type StandingSetting } from "../mechanics/standing.types";
import { CLIMB_SHARES, SPARED_SHARE } from "./lever";
import type { SceneProp } from "./scene";
import type { Subject } from "./template";

/** Elbows bent on a pole held close: the hand hangs this far below the shoulder. */
const POLE_BELOW_SHOULDER_M = 0.4;
/** A support further ahead of the ankle than this only ranks. */
export const SUPPORT_NEAR_M = 0.35;
export const HANG = { kind: "hang", forwardM: 0 } as const;

/** A standing setting under the client's own posture rule. */
export const standing = ({ posture }: Subject, more: Partial<StandingSetting>): StandingSetting => ({
  ...STANDING_DEFAULTS,
  shankRule: shankRuleOf(posture),
  pressureFraction: pressureFractionOf(posture),
  ...more,
});
export const toKnee = (kneeFlexionDeg: number) => ({ by: "knee-flexion" as const, kneeFlexionDeg });
export const weightAt = (at: Load["at"], massKg: number): Load[] => (massKg > 0 ? [{ massKg, at }] : []);

/** Hands on a pole or rail, pushed down or pulled; hanging where they do nothing. */
export const onPole = (pushN: number, xM: number, pullN = 0): Pick<StandingSetting, "arms" | "assists"> =>
  pushN > 0 || pullN > 0
    ? {
        arms: { kind: "pole", xM, belowShoulderM: POLE_BELOW_SHOULDER_M },
        assists: [{ at: "hands", force: { kind: "components", fxN: pullN, fyN: pushN } }],
      }
    : { arms: HANG, assists: [] };
export const poleScene = (handForceN: number, xM: number): SceneProp[] => (handForceN > 0 ? [{ kind: "pole", xM }] : []);
export const toesXM = ({ footM, heelBehindAnkleM }: Body): number => footM - heelBehindAnkleM;

/** The headline on two level feet: the share as it was measured, or what either leg may carry. */
export const onBothFeet = (
  setting: StandingSetting,
  shareFraction: number | undefined,
): { heads: [StandingSetting]; isEitherLeg: boolean } => ({
  heads: [{ ...setting, leadShareFraction: shareFraction ?? SPARED_SHARE }],
  isEitherLeg: shareFraction === undefined,
});
/** The same for climbing: the usual share leads, and its ends bound it. */
export function overClimb(setting: StandingSetting, shareFraction: number | undefined): { head: StandingSetting; ends: StandingSetting[] } {
  const at = (leadShareFraction: number): StandingSetting => ({ ...setting, leadShareFraction });
  const [least, usual, all] = CLIMB_SHARES;
  return shareFraction === undefined ? { head: at(usual), ends: [at(least), at(all)] } : { head: at(shareFraction), ends: [] };
}

/**
 * What hands may be used for, around each headline (docs/equations.md E13): the shin kept, the trunk kept, or both kept
 * while the pressure under the foot moves. Where the trunk is kept by the set-up itself, the first is the new one.
 */
export function handBounds(body: Body, heads: readonly StandingSetting[]): StandingSetting[] {
  return heads.flatMap((head): StandingSetting[] => {
    if (head.assists.length === 0) return [];
    const base = standingPose(body, { ...head, assists: [] });
    if (!base.ok) return [];
    const { trunkLeanDeg, shankLeanDeg, kneeFlexionDeg } = base;
    const shankRule = { kind: "fixed", shankLeanDeg } as const;
    const keepPose: StandingSetting = {
      ...head,
      depth: toKnee(kneeFlexionDeg),
      shankRule,
      balance: { solve: "pressure", trunkLeanDeg },
    };
    return head.balance.solve === "trunk"
      ? [{ ...head, balance: { solve: "shank", trunkLeanDeg } }, keepPose]
      : [{ ...head, depth: toKnee(kneeFlexionDeg), shankRule, balance: { solve: "trunk" } }, keepPose];
  });
}

/** Trust of a standing pose's forces: the posture's at that bend, an estimate at best where hands carry. */
export const standingTrust =
  ({ posture }: Subject, heldN: number, best: Trust = "A") =>
  (kneeFlexionDeg: number): Trust =>
    leastTrust(leastTrust(postureTrust(posture, kneeFlexionDeg), best), heldN > 0 ? "B" : "A");

export const seatUnder = (heightM: number, { hip }: StandingPose): SceneProp => ({ kind: "seat", heightM, underXM: hip[0] });

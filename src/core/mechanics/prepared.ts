import type { Body } from "../body/body";
import { BALL_FRACTION } from "../body/segments.data";
import { cosDeg } from "../units";
import { ankleAboveSupportM, ankleOnFootM, footPitchDeg, pressureFraction, solePoint } from "./foot";
import { type LowBack, newLegDemand } from "./joints";
import { type Leg, legWeightN, newLeg, spanLeg } from "./leg";
import type { LegDemand, PoseWarning, StandingSetting } from "./standing.types";
import { upperBody, type UpperBody } from "./upper-body";

const REACH_SLACK_M = 1e-9;

/**
 * A standing set-up made ready: everything that does not depend on how deep the pose is, and the numbers that each pose
 * overwrites. Made once for a lever's whole range, it lets a pose be solved without allocating anything.
 */
export interface Prepared {
  readonly body: Body;
  readonly setting: StandingSetting;
  readonly upper: UpperBody;
  /** Height of the lead ankle over its support. */
  readonly ankleM: number;
  /** Lead pressure point, from the ankle. */
  readonly soleXM: number;
  readonly soleYM: number;
  /** Where the other foot's sole carries, from its ankle. */
  readonly trailSoleXM: number;
  readonly trailSoleYM: number;
  readonly trailAnkleM: number;
  /** The other foot stands on something apart from the lead foot. */
  readonly isTrailLoaded: boolean;
  /** Weight of the legs that stand; one that hangs belongs to the upper body. */
  readonly standingN: number;

  readonly lead: Leg;
  readonly trail: Leg;
  pressureXM: number;
  pressureYM: number;
  trailXM: number;
  trailYM: number;
  trunkLeanDeg: number;
  sinTrunk: number;
  cosTrunk: number;
  shareFraction: number;
  solvedN: number;
  /** Knee bend that was asked for, before a solved shin changes it. */
  askedKneeDeg: number;
  braceN: number;
  braceWarning: PoseWarning | null;
  sumFxN: number;
  sumFyN: number;
  readonly leadDemand: LegDemand;
  readonly trailDemand: LegDemand;
  readonly lowBack: LowBack;
}

/** Part of the ground force under the lead leg: all of it when the other hangs free. */
const leadShare = ({ trail, leadShareFraction }: StandingSetting): number => (trail.kind === "free" ? 1 : leadShareFraction);

export function prepareStanding(body: Body, setting: StandingSetting): Prepared {
  const { trail } = setting;
  const pitchDeg = footPitchDeg(setting);
  const sole = solePoint(body, pressureFraction(setting), pitchDeg);
  const trailHeelDeg = trail.kind === "ground" || trail.kind === "reach" ? trail.heelDeg : pitchDeg;
  const flatFraction = trail.kind === "ground" ? trail.pressureFraction : 0.5;
  const trailSole = solePoint(body, trailHeelDeg > 0 ? BALL_FRACTION : flatFraction, trailHeelDeg);
  const lead = newLeg(body, pitchDeg);
  return {
    body,
    setting,
    upper: upperBody(body, setting),
    ankleM: ankleAboveSupportM(body, setting),
    soleXM: sole[0],
    soleYM: sole[1],
    trailSoleXM: trailSole[0],
    trailSoleYM: trailSole[1],
    trailAnkleM: ankleOnFootM(body, trailHeelDeg),
    isTrailLoaded: trail.kind === "ground" || trail.kind === "reach",
    standingN: legWeightN(body) * (trail.kind === "free" ? 1 : 2),
    lead,
    trail: trail.kind === "same" ? lead : newLeg(body, trailHeelDeg),
    pressureXM: NaN,
    pressureYM: NaN,
    trailXM: NaN,
    trailYM: NaN,
    trunkLeanDeg: NaN,
    sinTrunk: NaN,
    cosTrunk: NaN,
    shareFraction: leadShare(setting),
    solvedN: 0,
    askedKneeDeg: NaN,
    braceN: 0,
    braceWarning: null,
    sumFxN: NaN,
    sumFyN: NaN,
    leadDemand: newLegDemand(),
    trailDemand: newLegDemand(),
    lowBack: { momentNm: NaN, compressionN: NaN, shearN: NaN },
  };
}

/** Puts the other foot where it stands and bends its leg to the lead hip (E16). False where it cannot reach. */
export function placeTrail(p: Prepared): boolean {
  const { body, lead, trail } = p;
  const stance = p.setting.trail;
  if (stance.kind === "ground") {
    p.trailXM = -stance.backM;
    p.trailYM = stance.levelM;
    return spanLeg(body, trail, p.trailXM - p.trailSoleXM, p.trailYM - p.trailSoleYM, lead.hipXM, lead.hipYM);
  }
  if (stance.kind === "reach") {
    const { shankM: s, thighM: t } = body;
    const ankleY = stance.levelM + p.trailAnkleM;
    const downM = lead.hipYM - ankleY;
    const acrossSquared = s * s + t * t + 2 * s * t * cosDeg(stance.kneeFlexionDeg) - downM * downM;
    if (!(acrossSquared >= -REACH_SLACK_M)) return false;
    const ankleX = lead.hipXM + stance.direction * Math.sqrt(Math.max(0, acrossSquared));
    p.trailXM = ankleX + p.trailSoleXM;
    p.trailYM = ankleY + p.trailSoleYM;
    return spanLeg(body, trail, ankleX, ankleY, lead.hipXM, lead.hipYM);
  }
  return true;
}

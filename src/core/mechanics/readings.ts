import { GRAVITY_MPS2 } from "../units";
import type { BridgePose, BridgeSetting } from "./bridge";
import type { FitChannelId, RankChannelId, SidedChannelId, WholeChannelId } from "./channels";
import type { LegPressPose } from "./leg-press";
import type { Prepared } from "./prepared";
import type { LegDemand, Load, StandingPose, StandingSetting } from "./standing.types";

/** Everything a pose asks, channel by channel: for the working leg, the other one, and the whole body. */
export interface Readings {
  lead: Partial<Record<SidedChannelId, number>>;
  /** Null where it does the same as the working leg. */
  trail: Partial<Record<SidedChannelId, number>> | null;
  whole: Partial<Record<WholeChannelId, number>>;
  ranks: Record<RankChannelId, number>;
}

/** One channel off one leg's demands and angles, or off the low back. */
function fitValue(
  channel: FitChannelId,
  demand: LegDemand,
  leg: Pick<LegAngles, "kneeFlexionDeg" | "shankLeanDeg">,
  backN: number,
): number {
  switch (channel) {
    case "kneecapStress":
      return demand.kneecapStressMPa;
    case "kneeMoment":
      return demand.kneeMomentNm;
    case "hipMoment":
      return demand.hipMomentNm;
    case "lowBackCompression":
      return backN;
    case "kneeFlexion":
      return leg.kneeFlexionDeg;
    case "shankLean":
      return leg.shankLeanDeg;
  }
}

/** One channel of a standing pose, for a leg where it has a side. */
export const standingValue = (pose: StandingPose, channel: FitChannelId, leg: "lead" | "trail"): number =>
  fitValue(channel, pose[leg], leg === "lead" ? pose : pose.trailLeg, pose.lowBackCompressionN);

/** The same of a prepared set-up, as last solved. */
export const preparedValue = (p: Prepared, channel: FitChannelId, leg: "lead" | "trail"): number =>
  leg === "lead"
    ? fitValue(channel, p.leadDemand, p.lead, p.lowBack.compressionN)
    : fitValue(channel, p.trailDemand, p.trail, p.lowBack.compressionN);

interface LegAngles {
  kneeFlexionDeg: number;
  shankLeanDeg: number;
  thighLeanDeg: number;
  footPitchDeg: number;
}
const legReadings = (leg: LegAngles, demand: LegDemand, trunkLeanDeg: number): Readings["lead"] => ({
  kneeFlexion: leg.kneeFlexionDeg,
  hipFlexion: leg.thighLeanDeg + trunkLeanDeg,
  dorsiflexion: leg.shankLeanDeg - leg.footPitchDeg,
  shankLean: leg.shankLeanDeg,
  kneecapStress: demand.kneecapStressMPa,
  kneecapForce: demand.kneecapForceN,
  kneeMoment: demand.kneeMomentNm,
  hipMoment: demand.hipMomentNm,
  ankleMoment: demand.ankleMomentNm,
  kneeContact: demand.kneeContactBw,
});

const newtonsAt = (loads: readonly Load[], places: readonly Load["at"][]): number =>
  loads.reduce((sum, { at, massKg }) => (places.includes(at) ? sum + massKg * GRAVITY_MPS2 : sum), 0);

/** How hard it is to stay up: fewer feet, one of them elsewhere, or up on the balls, and one less with something to hold. */
function balanceRank({ trail, assists, heelRaiseDeg }: StandingSetting): number {
  const feet = { same: 2, ground: 3, reach: 3, free: 4 }[trail.kind];
  return Math.max(1, Math.min(4, feet + (heelRaiseDeg > 0 ? 1 : 0)) - (assists.length > 0 ? 1 : 0));
}

function impactRank({ trail }: StandingSetting): number {
  if (trail.kind !== "reach") return 0;
  return trail.direction === 1 ? 2 : 1;
}

export function standingReadings(pose: StandingPose, setting: StandingSetting): Readings {
  const heldUpN = pose.assistForces.reduce((sum, { fyN }, i) => (setting.assists[i]?.at === "pelvis" ? sum : sum + Math.max(0, fyN)), 0);
  const handsN = pose.assistForces.reduce(
    (sum, { fxN, fyN }, i) => (setting.assists[i]?.at === "hands" ? sum + Math.hypot(fxN, fyN) : sum),
    newtonsAt(setting.loads, ["hands"]),
  );
  return {
    lead: legReadings(pose, pose.lead, pose.trunkLeanDeg),
    trail: setting.trail.kind === "same" ? null : legReadings(pose.trailLeg, pose.trail, pose.trunkLeanDeg),
    whole: {
      trunkLean: pose.trunkLeanDeg,
      bellyRoom: 180 - pose.hipFlexionDeg,
      lowBackCompression: pose.lowBackCompressionN,
      lowBackMoment: pose.lowBackMomentNm,
      lowBackShear: pose.lowBackShearN,
      spineLoad: Math.max(0, newtonsAt(setting.loads, ["hands", "back", "vest"]) - heldUpN),
      handWeight: handsN,
      friction: pose.frictionNeeded,
    },
    ranks: { balanceDemand: balanceRank(setting), impact: impactRank(setting) },
  };
}

/** With the shoulders this high the trunk is propped, not lying. */
const PROPPED_FROM_M = 0.25;

/** `setS` is how long one set lasts: the time lying on the back. */
export function bridgeReadings(pose: BridgePose, setting: BridgeSetting, setS: number): Readings {
  return {
    lead: legReadings(pose, pose.lead, pose.trunkLeanDeg),
    trail: setting.trail.kind === "same" ? null : legReadings(pose.trailLeg, pose.trail, pose.trunkLeanDeg),
    whole: {
      bellyRoom: 180 - pose.hipFlexionDeg,
      lowBackCompression: pose.lowBackCompressionN,
      lowBackMoment: pose.lowBackMomentNm,
      lowBackShear: pose.lowBackShearN,
      spineLoad: newtonsAt(setting.loads, ["vest", "back"]),
      handWeight: 0,
      friction: pose.frictionNeeded,
      lyingTime: setting.benchHeightM < PROPPED_FROM_M ? setS : 0,
    },
    ranks: { balanceDemand: 0, impact: 0 },
  };
}

export function legPressReadings(pose: LegPressPose): Readings {
  return {
    lead: {
      kneeFlexion: pose.kneeFlexionDeg,
      hipFlexion: pose.hipFlexionDeg,
      dorsiflexion: pose.dorsiflexionDeg,
      kneecapStress: pose.kneecapStressMPa,
      kneecapForce: pose.kneecapForceN,
      kneeMoment: pose.kneeMomentNm,
      hipMoment: pose.hipMomentNm,
      ankleMoment: pose.ankleMomentNm,
    },
    trail: null,
    whole: { bellyRoom: 180 - pose.hipFlexionDeg, spineLoad: 0, handWeight: 0 },
    ranks: { balanceDemand: 0, impact: 0 },
  };
}

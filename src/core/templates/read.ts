import type { Body } from "../body/body";
import { type BridgePose, bridgePose, type BridgeSetting } from "../mechanics/bridge";
import { CHANNELS, type NumberChannelId, type RankChannelId } from "../mechanics/channels";
import { isDorsiflexionLimited } from "../mechanics/depth";
import { rankedStressMPa } from "../mechanics/kneecap";
import { type LegPressPose, legPress, type LegPressSetting } from "../mechanics/leg-press";
import { prepareStanding, type Prepared } from "../mechanics/prepared";
import { solveStanding } from "../mechanics/standing";
import type { Depth, LegDemand, Load, StandingSetting } from "../mechanics/standing.types";
import { GRAVITY_MPS2 } from "../units";
import type { LeverSetUp } from "./set-up";

/** One pose, ready to be asked: a channel's value for a leg, NaN where it means nothing there. */
export interface Reading {
  ok: true;
  value: (channel: NumberChannelId, leg: "lead" | "trail") => number;
  kneeDeg: (leg: "lead" | "trail") => number;
  ranks: Partial<Record<RankChannelId, number>>;
  /** The ankle's range stops the shin here: a lower seat changes nothing at the knee. */
  isAnkleLimited: boolean;
}
export type ReadResult = Reading | { ok: false; reason: string };

/** No knee bends or straightens further than this; a pose that needs it is none. */
const KNEE_RANGE_DEG = { min: -5, max: 155 } as const;
const isKnee = (kneeDeg: number): boolean => kneeDeg >= KNEE_RANGE_DEG.min && kneeDeg <= KNEE_RANGE_DEG.max;
const NO_KNEE = { ok: false, reason: "knee-out-of-range" } as const;

const newtonsAt = (loads: readonly { at: string; massKg: number }[], places: readonly Load["at"][]): number =>
  loads.reduce((sum, { at, massKg }) => ((places as readonly string[]).includes(at) ? sum + massKg * GRAVITY_MPS2 : sum), 0);

interface Leg {
  kneeFlexionDeg: number;
  shankLeanDeg: number;
  footPitchDeg: number;
}

/** What a leg's demands and angles say of the channels that every leg has. */
function legValue(channel: NumberChannelId, leg: Leg, demand: LegDemand, trunkLeanDeg: number, bodyN: number): number {
  switch (channel) {
    case "kneeFlexion":
      return leg.kneeFlexionDeg;
    case "hipFlexion":
      return leg.kneeFlexionDeg - leg.shankLeanDeg + trunkLeanDeg;
    case "dorsiflexion":
      return leg.shankLeanDeg - leg.footPitchDeg;
    case "shankLean":
      return leg.shankLeanDeg;
    case "kneecapStress":
      return rankedStressMPa(demand.kneeMomentNm, leg.kneeFlexionDeg);
    case "kneecapForce":
      return demand.kneecapForceN;
    case "kneeMoment":
      return demand.kneeMomentNm;
    case "hipMoment":
      return demand.hipMomentNm;
    case "ankleMoment":
      return demand.ankleMomentNm;
    case "kneeContact":
      return demand.kneeContactBw;
    case "legWeight":
      return demand.groundFyN / bodyN;
    default:
      return NaN;
  }
}

/** How hard it is to stay up: fewer feet, one of them elsewhere, or up on the balls, and one less with something to hold. */
function balanceRank({ trail, assists, heelRaiseDeg }: StandingSetting): number {
  const feet = { same: 2, ground: 3, reach: 3, free: 4 }[trail.kind];
  return Math.max(1, Math.min(4, feet + (heelRaiseDeg > 0 ? 1 : 0)) - (assists.length > 0 ? 1 : 0));
}
/** A foot set down is light; one that comes down in front of a step lands. */
const impactRank = ({ trail }: StandingSetting): number => (trail.kind !== "reach" ? 0 : trail.direction === 1 ? 2 : 1);

/** What is held and what carries, from the set-up alone: upward help lifts load off the spine, all of it goes through the hands. */
function heldN({ setting, solvedN }: Prepared): { hands: number; up: number } {
  let [hands, up] = [newtonsAt(setting.loads, ["hands"]), 0];
  for (const { at, force } of setting.assists) {
    const sizeN = force.kind === "components" ? Math.hypot(force.fxN, force.fyN) : (force.magnitudeN ?? solvedN);
    if (at === "hands") hands += sizeN;
    const upN =
      force.kind === "components" ? force.fyN : force.kind === "angle" ? sizeN * Math.sin((force.directionDeg * Math.PI) / 180) : 0;
    if (at !== "pelvis") up += Math.max(0, upN);
  }
  return { hands, up };
}

function standingValue(p: Prepared, channel: NumberChannelId, leg: "lead" | "trail"): number {
  const bodyN = p.body.massKg * GRAVITY_MPS2;
  switch (channel) {
    case "trunkLean":
      return p.trunkLeanDeg;
    case "bellyRoom":
      return 180 - (p.lead.kneeFlexionDeg - p.lead.shankLeanDeg + p.trunkLeanDeg);
    case "lowBackCompression":
      return p.lowBack.compressionN;
    case "lowBackMoment":
      return p.lowBack.momentNm;
    case "lowBackShear":
      return p.lowBack.shearN;
    case "spineLoad":
      return Math.max(0, newtonsAt(p.setting.loads, ["hands", "back", "vest"]) - heldN(p).up);
    case "handWeight":
      return heldN(p).hands;
    case "friction":
      return Math.max(slip(p.leadDemand), slip(p.trailDemand));
    default:
      return leg === "lead"
        ? legValue(channel, p.lead, p.leadDemand, p.trunkLeanDeg, bodyN)
        : legValue(channel, p.trail, p.trailDemand, p.trunkLeanDeg, bodyN);
  }
}
const slip = ({ groundFxN, groundFyN }: LegDemand): number => (groundFyN > 0 ? Math.abs(groundFxN) / Math.max(1, groundFyN) : 0);

/** A standing set-up made ready once; `read` solves it at a depth, and the reading holds until the next one. */
export class StandingReader {
  private readonly p: Prepared;
  private readonly reading: Reading;

  constructor(
    private readonly body: Body,
    private readonly setting: StandingSetting,
  ) {
    const p = prepareStanding(body, setting);
    this.p = p;
    this.reading = {
      ok: true,
      value: (channel, leg) => standingValue(p, channel, leg),
      kneeDeg: (leg) => (leg === "lead" ? p.lead : p.trail).kneeFlexionDeg,
      ranks: { balanceDemand: balanceRank(setting), impact: impactRank(setting) },
      isAnkleLimited: false,
    };
  }

  read(depth: Depth): ReadResult {
    const { p, body, setting, reading } = this;
    const failure = solveStanding(p, depth);
    if (failure) return { ok: false, reason: failure };
    if (!isKnee(p.lead.kneeFlexionDeg) || !isKnee(p.trail.kneeFlexionDeg)) return NO_KNEE;
    reading.isAnkleLimited = setting.balance.solve === "trunk" && isDorsiflexionLimited(body, setting, p.askedKneeDeg);
    return reading;
  }
}

/** `setS` is how long one set lies on the back. */
export function readBridge(body: Body, setting: BridgeSetting, setS: number): ReadResult {
  const pose = bridgePose(body, setting);
  if (!pose.ok) return { ok: false, reason: pose.reason };
  if (!isKnee(pose.kneeFlexionDeg) || !isKnee(pose.trailLeg.kneeFlexionDeg)) return NO_KNEE;
  const bodyN = body.massKg * GRAVITY_MPS2;
  return {
    ok: true,
    value: (channel, leg) => bridgeValue(pose, setting, setS, bodyN, channel, leg),
    kneeDeg: (leg) => (leg === "lead" ? pose : pose.trailLeg).kneeFlexionDeg,
    ranks: { balanceDemand: 0, impact: 0 },
    isAnkleLimited: false,
  };
}

function bridgeValue(
  pose: BridgePose,
  setting: BridgeSetting,
  setS: number,
  bodyN: number,
  channel: NumberChannelId,
  leg: "lead" | "trail",
): number {
  switch (channel) {
    case "bellyRoom":
      return 180 - pose.hipFlexionDeg;
    case "lowBackCompression":
      return pose.lowBackCompressionN;
    case "lowBackMoment":
      return pose.lowBackMomentNm;
    case "lowBackShear":
      return pose.lowBackShearN;
    case "spineLoad":
      return newtonsAt(setting.loads, ["vest", "back"]);
    case "handWeight":
      return 0;
    case "friction":
      return pose.frictionNeeded;
    case "lyingTime":
      return setS;
    default:
      return leg === "lead"
        ? legValue(channel, pose, pose.lead, pose.trunkLeanDeg, bodyN)
        : legValue(channel, pose.trailLeg, pose.trail, pose.trunkLeanDeg, bodyN);
  }
}

export function readPress(body: Body, setting: LegPressSetting): ReadResult {
  const lead = legPress(body, setting);
  const trail = legPress(body, { ...setting, shareFraction: 1 - setting.shareFraction });
  if (!lead.ok || !trail.ok) return { ok: false, reason: "foot-unreachable" };
  if (!isKnee(lead.kneeFlexionDeg)) return NO_KNEE;
  return {
    ok: true,
    value: (channel, leg) => pressValue(leg === "lead" ? lead : trail, channel, body.massKg * GRAVITY_MPS2),
    kneeDeg: () => lead.kneeFlexionDeg,
    ranks: { balanceDemand: 0, impact: 0 },
    isAnkleLimited: false,
  };
}

function pressValue(pose: LegPressPose, channel: NumberChannelId, bodyN: number): number {
  switch (channel) {
    case "kneeFlexion":
      return pose.kneeFlexionDeg;
    case "hipFlexion":
      return pose.hipFlexionDeg;
    case "bellyRoom":
      return 180 - pose.hipFlexionDeg;
    case "dorsiflexion":
      return pose.dorsiflexionDeg;
    case "kneecapStress":
      return rankedStressMPa(pose.kneeMomentNm, pose.kneeFlexionDeg);
    case "kneecapForce":
      return pose.kneecapForceN;
    case "kneeMoment":
      return pose.kneeMomentNm;
    case "hipMoment":
      return pose.hipMomentNm;
    case "ankleMoment":
      return pose.ankleMomentNm;
    case "legWeight":
      return pose.plateN / bodyN;
    case "spineLoad":
    case "handWeight":
      return 0;
    default:
      return NaN;
  }
}

/** Of a helper: what its formula says of the working leg; the other one rests, or does the same. */
export function readLever({ asks, whole, ranks, drawn, isEven }: LeverSetUp): Reading {
  const values: Partial<Record<NumberChannelId, number>> = { spineLoad: 0, handWeight: 0, lyingTime: 0, ...whole };
  const own: Partial<Record<NumberChannelId, number>> = asks;
  const atRest = (channel: NumberChannelId): number => {
    if (own[channel] === undefined) return NaN;
    if (CHANNELS[channel].reads !== "angle") return 0;
    return channel === "kneeFlexion" ? (drawn.trail?.kneeDeg ?? NaN) : NaN;
  };
  return {
    ok: true,
    value: (channel, leg) => values[channel] ?? (leg === "lead" || isEven ? (own[channel] ?? NaN) : atRest(channel)),
    kneeDeg: () => asks.kneeFlexion ?? 0,
    ranks: { balanceDemand: 0, impact: 0, ...ranks },
    isAnkleLimited: false,
  };
}

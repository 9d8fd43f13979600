import type { Body } from "../body/body";
import type { BandTable } from "../mechanics/band";
import { assistBounds } from "../mechanics/assist-bounds";
import { bridgePose, type BridgePose, type BridgeSetting } from "../mechanics/bridge";
import {
  CHANNELS,
  type ChannelId,
  leastTrust,
  type NumberChannelId,
  type PartTrust,
  type RankChannelId,
  type Refusal,
  refusalOf,
  type TemplateKind,
  type Trust,
  trustUnder,
} from "../mechanics/channels";
import { legPress, type LegPressSetting } from "../mechanics/leg-press";
import type { PostureRule } from "../mechanics/posture";
import { bridgeReadings, legPressReadings, type Readings, standingReadings } from "../mechanics/readings";
import { standingPose } from "../mechanics/standing";
import type { LegGeometry, StandingPose, StandingSetting } from "../mechanics/standing.types";
import type { Point } from "../mechanics/vector";
import { cosDeg, sinDeg } from "../units";
import type { SceneProp } from "./scene";

/** Whose body, and how it moves. */
export interface Who {
  body: Body;
  posture: PostureRule;
  /** The band in hand, as it was measured; a middling one stands in, and says so, until one is. */
  band?: BandTable | null;
}

/** Any template's pose in one shape: what is drawn, and every channel with its unit and trust. */
export interface ModelPose {
  ok: true;
  kind: TemplateKind;
  /** The body as this pose sees it: with the legs apart its legs look shorter from the side. */
  body: Body;
  lead: LegGeometry;
  /** The other leg where it is not the same as this one. */
  trail: LegGeometry | null;
  trunkLeanDeg: number;
  shoulder: Point;
  /** Null where the arms rest and are not drawn. */
  hand: Point | null;
  /** Null where nothing presses on the sole. */
  pressure: Point | null;
  centreOfMassXM: number | null;
  /** How far the pose's frame is turned in the room, counter-clockwise; nothing unless the floor is a plate. */
  turnedDeg: number;
  scene: SceneProp[];
  channels: ChannelRow[];
  warnings: readonly string[];
}
export type ModelResult = ModelPose | { ok: false; reason: string };

export interface ValueRange {
  low: number;
  head: number;
  high: number;
}
/** One line of what a pose asks. A rank is a place in an order and carries no number. */
export type ChannelRow =
  | { reads: "number"; channel: NumberChannelId; lead: ValueRange; trail: ValueRange | null; trust: Trust; refused: Refusal | null }
  | { reads: "rank"; channel: RankChannelId; rank: number; trust: "C" };

const isRank = (id: ChannelId): id is RankChannelId => CHANNELS[id].reads === "rank";

/** Every channel that means something in this template, with the range over the poses that bound it. */
export function channelRows(kind: TemplateKind, head: Readings, bounds: readonly Readings[], template: Trust | PartTrust): ChannelRow[] {
  const pick = (readings: Readings, id: NumberChannelId, leg: "lead" | "trail"): number | undefined => {
    const { lead, trail, whole } = readings;
    const sides: Partial<Record<NumberChannelId, number>> | null = leg === "lead" ? { ...lead, ...whole } : trail;
    return sides?.[id];
  };
  const rangeOf = (id: NumberChannelId, leg: "lead" | "trail"): ValueRange | null => {
    const value = pick(head, id, leg);
    if (value === undefined) return null;
    const all = [value, ...bounds.map((bound) => pick(bound, id, leg) ?? value)];
    return { low: Math.min(...all), head: value, high: Math.max(...all) };
  };
  return (Object.keys(CHANNELS) as ChannelId[]).flatMap((id): ChannelRow[] => {
    if (!(CHANNELS[id].appliesTo as readonly TemplateKind[]).includes(kind)) return [];
    if (isRank(id)) return [{ reads: "rank", channel: id, rank: head.ranks[id], trust: "C" }];
    const lead = rangeOf(id, "lead");
    if (!lead) return [];
    const refused = refusalOf(id, head.lead.kneeFlexion ?? NaN);
    return [{ reads: "number", channel: id, lead, trail: rangeOf(id, "trail"), trust: refused ? "C" : trustUnder(id, template), refused }];
  });
}

const forcesOf = (pose: StandingPose): SceneProp[] =>
  pose.assistForces.map(({ at, fxN, fyN }): SceneProp => ({ kind: "force", at, fxN, fyN }));

const isFound = (pose: { ok: boolean }): pose is StandingPose => pose.ok;

/** The headline pose and those that bound it: bracing of a split stance, or what the hands' support is taken to do. */
function boundedPoses(body: Body, setting: StandingSetting): { head: ReturnType<typeof standingPose>; bounds: StandingPose[] } {
  if (setting.trail.kind === "ground") {
    const at = (fraction: number) => standingPose(body, { ...setting, brace: { kind: "least", fraction } });
    return { head: at(0.5), bounds: [at(0), at(1)].filter(isFound) };
  }
  const isHeld = setting.assists.some(({ force }) => force.kind === "components" || force.magnitudeN !== null);
  if (!isHeld || setting.balance.solve !== "trunk") return { head: standingPose(body, setting), bounds: [] };
  const { keepShin, keepTrunk, keepPose } = assistBounds(body, setting, setting.assists);
  return { head: keepShin, bounds: [keepTrunk, keepPose].filter(isFound) };
}

/** A standing template's pose; `scene` is what stands around it, seen from the pose found. */
export function standingModel(
  body: Body,
  setting: StandingSetting,
  trust: Trust | PartTrust | ((pose: StandingPose) => Trust),
  scene: (pose: StandingPose) => SceneProp[] = () => [],
): ModelResult {
  const { head: pose, bounds } = boundedPoses(body, setting);
  if (!pose.ok) return { ok: false, reason: pose.reason };
  const read = (bound: StandingPose): Readings => standingReadings(bound, setting);
  const templateTrust = typeof trust === "function" ? trust(pose) : trust;
  const isEstimate = pose.assistN > 0 && typeof templateTrust === "string";
  const loads = setting.loads.flatMap(({ at, massKg }): SceneProp[] => {
    if (!(massKg > 0)) return [];
    return [{ kind: "load", massKg, at: at === "hands" ? pose.hand : at === "hips" ? pose.hip : pose.shoulder }];
  });
  return {
    ok: true,
    kind: "standing",
    body,
    lead: pose,
    trail: setting.trail.kind === "same" ? null : pose.trailLeg,
    trunkLeanDeg: pose.trunkLeanDeg,
    shoulder: pose.shoulder,
    hand: pose.hand,
    pressure: pose.pressure,
    centreOfMassXM: pose.centreOfMassXM,
    turnedDeg: 0,
    scene: [...scene(pose), ...loads, ...forcesOf(pose)],
    channels: channelRows("standing", read(pose), bounds.map(read), isEstimate ? leastTrust(templateTrust, "B") : templateTrust),
    warnings: pose.warnings,
  };
}

/** Foot push and drag that a bridge cannot be known without: the range shown around none. */
const DRAG_N = 60;

export function bridgeModel(body: Body, setting: BridgeSetting, setS: number, scene: (pose: BridgePose) => SceneProp[]): ModelResult {
  const pose = bridgePose(body, setting);
  if (!pose.ok) return { ok: false, reason: pose.reason };
  const isFixed = setting.foot.kind === "ball"; // a ball rolls: nothing is left open
  const at = (forceN: number) => bridgePose(body, { ...setting, footDrag: { kind: "force", forceN } });
  const around = setting.footDrag.kind === "held" ? [at(-3 * DRAG_N)] : [at(-DRAG_N), at(DRAG_N)];
  const bounds = isFixed ? [] : around.filter((bound): bound is BridgePose => bound.ok);
  const read = (bridge: BridgePose): Readings => bridgeReadings(bridge, setting, setS);
  const loads = setting.loads.flatMap(({ massKg }): SceneProp[] => (massKg > 0 ? [{ kind: "load", massKg, at: pose.hip }] : []));
  return {
    ok: true,
    kind: "bridge",
    body,
    lead: pose,
    trail: setting.trail.kind === "same" ? null : pose.trailLeg,
    trunkLeanDeg: pose.trunkLeanDeg,
    shoulder: shoulderOver(body, pose.hip, pose.trunkLeanDeg),
    hand: null,
    pressure: pose.pressure,
    centreOfMassXM: null,
    turnedDeg: 0,
    scene: [...scene(pose), ...loads],
    channels: channelRows("bridge", read(pose), bounds.map(read), "B"),
    warnings: pose.warnings,
  };
}

/** Of a pad, behind the middle of the trunk. */
const PAD_BEHIND_M = 0.14;

export function legPressModel(body: Body, setting: LegPressSetting): ModelResult {
  const pose = legPress(body, setting);
  if (!pose.ok) return { ok: false, reason: pose.reason };
  const trunkLeanDeg = pose.hipFlexionDeg - pose.thighLeanDeg;
  const behind = ([x, y]: Point): Point => [x - PAD_BEHIND_M * cosDeg(trunkLeanDeg), y + PAD_BEHIND_M * sinDeg(trunkLeanDeg)];
  return {
    ok: true,
    kind: "leg-press",
    body,
    lead: pose,
    trail: null,
    trunkLeanDeg,
    shoulder: shoulderOver(body, pose.hip, trunkLeanDeg),
    hand: null,
    pressure: pose.pressure,
    centreOfMassXM: null,
    turnedDeg: setting.inclineDeg + 90,
    scene: [
      { kind: "plate", at: pose.ankle },
      { kind: "pad", from: behind(pose.hip), to: behind(shoulderOver(body, pose.hip, trunkLeanDeg)) },
      { kind: "force", at: pose.pressure, fxN: 0, fyN: pose.plateN },
    ],
    channels: channelRows("leg-press", legPressReadings(pose), [], "B"),
    warnings: [],
  };
}

export const shoulderOver = (body: Body, hip: Point, trunkLeanDeg: number): Point => [
  hip[0] + body.trunkM * sinDeg(trunkLeanDeg),
  hip[1] + body.trunkM * cosDeg(trunkLeanDeg),
];

/** The joint nearest to what set-ups usually ask of it: whose angle a drawing shows where no ceiling says otherwise. */
export function tightestJoint({ kind, channels, body }: ModelPose): ShownJoint {
  let [shown, most]: [ShownJoint, number] = ["knee", 0];
  for (const row of channels) {
    const joint = row.reads === "number" ? JOINT_OF[row.channel] : undefined;
    if (row.reads !== "number" || !joint || row.refused) continue;
    if (joint === "low-back" && kind !== "standing") continue; // its angle is the trunk's lean, which means nothing lying down
    const { typical } = CHANNELS[row.channel];
    if (!typical) continue;
    const share = Math.abs(row.lead.head) / (typical.p95 * (typical.perKg ? body.massKg : 1));
    if (share > most) [shown, most] = [joint, share];
  }
  return shown;
}
export type ShownJoint = "knee" | "hip" | "ankle" | "low-back";
export const JOINT_OF: Readonly<Partial<Record<NumberChannelId, ShownJoint>>> = {
  kneecapStress: "knee",
  kneeMoment: "knee",
  hipMoment: "hip",
  ankleMoment: "ankle",
  lowBackCompression: "low-back",
};

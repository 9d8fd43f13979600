import type { Body } from "../body/body";
import { bridgePose, type BridgePose, type BridgeSetting } from "../mechanics/bridge";
import { leastTrust, type Trust } from "../mechanics/channels";
import { KNEECAP_VALID_TO_DEG } from "../mechanics/kneecap";
import { standingPose } from "../mechanics/standing";
import type { LegDemand, LegGeometry, StandingPose, StandingSetting } from "../mechanics/standing.types";
import type { Point } from "../mechanics/vector";
import { cosDeg, sinDeg } from "../units";

/** Any template's pose in one shape, for showing it: what is drawn, and every channel with its unit and trust. */
export interface ModelPose {
  ok: true;
  lead: LegGeometry;
  /** The other leg where it is not the same as this one. */
  trail: LegGeometry | null;
  trunkLeanDeg: number;
  shoulder: Point;
  /** Null where the arms rest and are not drawn. */
  hand: Point | null;
  pressure: Point;
  centreOfMassXM: number | null;
  channels: ModelChannel[];
  warnings: readonly string[];
}
export type ModelResult = ModelPose | { ok: false; reason: string };

export type ModelChannelId =
  | "kneeFlexion"
  | "hipFlexion"
  | "dorsiflexion"
  | "trunkThigh"
  | "trunkLean"
  | "kneeMoment"
  | "hipMoment"
  | "kneecapStress"
  | "kneeContact"
  | "trailKneeMoment"
  | "trailHipMoment"
  | "lowBackMoment"
  | "lowBackCompression"
  | "lowBackShear"
  | "friction";

export interface ModelChannel {
  id: ModelChannelId;
  unit: "deg" | "Nm" | "MPa" | "BW" | "N" | "";
  low: number;
  head: number;
  high: number;
  trust: Trust;
  /** Why the number must not be ranked on. */
  refused: "kneecap-past-90" | "knee-near-straight" | null;
}

const NEAR_STRAIGHT_DEG = 20;

interface Read {
  lead: LegDemand;
  trail: LegDemand | null;
  kneeFlexionDeg: number;
  hipFlexionDeg: number;
  dorsiflexionDeg: number;
  trunkLeanDeg: number;
  lowBackMomentNm: number;
  lowBackCompressionN: number;
  lowBackShearN: number;
  frictionNeeded: number;
}

/** Every channel of a pose, with the range over the poses that bound it; `trust` is the template's own. */
function channelsOf(head: Read, bounds: readonly Read[], trust: Trust): ModelChannel[] {
  const posture: Trust = trust === "C" ? "B" : trust; // what is rough there are the forces, not the angles
  const rows: [ModelChannelId, ModelChannel["unit"], Trust, (read: Read) => number | undefined][] = [
    ["kneeFlexion", "deg", "A", (r) => r.kneeFlexionDeg],
    ["hipFlexion", "deg", posture, (r) => r.hipFlexionDeg],
    ["dorsiflexion", "deg", posture, (r) => r.dorsiflexionDeg],
    ["trunkThigh", "deg", posture, (r) => 180 - r.hipFlexionDeg],
    ["trunkLean", "deg", posture, (r) => r.trunkLeanDeg],
    ["kneeMoment", "Nm", trust, (r) => r.lead.kneeMomentNm],
    ["hipMoment", "Nm", trust, (r) => r.lead.hipMomentNm],
    ["kneecapStress", "MPa", leastTrust(trust, "B"), (r) => r.lead.kneecapStressMPa],
    ["kneeContact", "BW", leastTrust(trust, "B"), (r) => r.lead.kneeContactBw],
    ["trailKneeMoment", "Nm", trust, (r) => r.trail?.kneeMomentNm],
    ["trailHipMoment", "Nm", trust, (r) => r.trail?.hipMomentNm],
    ["lowBackMoment", "Nm", "B", (r) => r.lowBackMomentNm],
    ["lowBackCompression", "N", "B", (r) => r.lowBackCompressionN],
    ["lowBackShear", "N", "C", (r) => r.lowBackShearN],
    ["friction", "", posture, (r) => r.frictionNeeded],
  ];
  return rows.flatMap(([id, unit, rowTrust, pick]) => {
    const value = pick(head);
    if (value === undefined) return [];
    const values = [value, ...bounds.map((bound) => pick(bound) ?? value)];
    const refused =
      id === "kneecapStress" && head.kneeFlexionDeg > KNEECAP_VALID_TO_DEG
        ? ("kneecap-past-90" as const)
        : id === "kneeContact" && head.kneeFlexionDeg < NEAR_STRAIGHT_DEG
          ? ("knee-near-straight" as const)
          : null;
    return [
      { id, unit, low: Math.min(...values), head: value, high: Math.max(...values), trust: refused ? ("C" as const) : rowTrust, refused },
    ];
  });
}

const readStanding = (pose: StandingPose, isSame: boolean): Read => ({ ...pose, trail: isSame ? null : pose.trail });

/** A standing template's pose. Split stances come as the range between no bracing and the least, half-way as headline. */
export function standingModel(body: Body, setting: StandingSetting, trust: Trust): ModelResult {
  const isSplit = setting.trail.kind === "ground";
  const at = (fraction: number) => standingPose(body, isSplit ? { ...setting, brace: { kind: "least", fraction } } : setting);
  const pose = at(0.5);
  if (!pose.ok) return { ok: false, reason: pose.reason };
  const isSame = setting.trail.kind === "same";
  const bounds = isSplit ? [at(0), at(1)].filter((bound): bound is StandingPose => bound.ok) : [];
  return {
    ok: true,
    lead: pose,
    trail: isSame ? null : pose.trailLeg,
    trunkLeanDeg: pose.trunkLeanDeg,
    shoulder: pose.shoulder,
    hand: pose.hand,
    pressure: pose.pressure,
    centreOfMassXM: pose.centreOfMassXM,
    channels: channelsOf(
      readStanding(pose, isSame),
      bounds.map((bound) => readStanding(bound, isSame)),
      trust,
    ),
    warnings: pose.warnings,
  };
}

/** Foot push and drag that a bridge cannot be known without: the range shown around none. */
const DRAG_N = 60;

export function bridgeModel(body: Body, setting: BridgeSetting): ModelResult {
  const at = (forceN: number) => bridgePose(body, { ...setting, footDrag: { kind: "force", forceN } });
  const pose = at(0);
  if (!pose.ok) return { ok: false, reason: pose.reason };
  const isSame = setting.trail.kind === "same";
  const read = (bridge: BridgePose): Read => ({ ...bridge, dorsiflexionDeg: bridge.shankLeanDeg, trail: isSame ? null : bridge.trail });
  const bounds = [at(-DRAG_N), at(DRAG_N)].filter((bound): bound is BridgePose => bound.ok);
  const up = [sinDeg(pose.trunkLeanDeg), cosDeg(pose.trunkLeanDeg)] as const;
  return {
    ok: true,
    lead: pose,
    trail: isSame ? null : pose.trailLeg,
    trunkLeanDeg: pose.trunkLeanDeg,
    shoulder: [pose.hip[0] + body.trunkM * up[0], pose.hip[1] + body.trunkM * up[1]],
    hand: null,
    pressure: pose.pressure,
    centreOfMassXM: null,
    channels: channelsOf(read(pose), bounds.map(read), "B"),
    warnings: pose.warnings,
  };
}

import type { Body } from "../body/body";
import { bridgePose } from "../mechanics/bridge";
import { CHANNELS, type Demand, type NumberChannelId, type TemplateKind } from "../mechanics/channels";
import { geometryOf, hangLeg, newLeg } from "../mechanics/leg";
import { legPress } from "../mechanics/leg-press";
import { standingPose } from "../mechanics/standing";
import type { LegGeometry, StandingPose } from "../mechanics/standing.types";
import type { Point } from "../mechanics/vector";
import { cosDeg, sinDeg } from "../units";
import { type Form, parametersOf, templateOf, valuesOf } from "./form";
import { shoulderOver } from "./helper-figure";
import type { Setting } from "./lever";
import type { SceneProp } from "./scene";
import type { BridgeSetUp, LeverSetUp, PressSetUp, StandingSetUp } from "./set-up";
import type { Subject } from "./template";

/** Any template's pose in one shape, for drawing: where every joint is, and what stands around the body. */
export interface Pose {
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
  warnings: readonly string[];
}
export type PoseResult = Pose | { ok: false; reason: string };

function standingFigure({ body, heads, scene, notes }: StandingSetUp): PoseResult {
  const [setting] = heads;
  if (!setting) return { ok: false, reason: "no-pose" };
  const pose = standingPose(body, setting);
  if (!pose.ok) return { ok: false, reason: pose.reason };
  const loads = setting.loads.flatMap(({ at, massKg }): SceneProp[] =>
    massKg > 0 ? [{ kind: "load", massKg, at: at === "hands" ? pose.hand : at === "hips" ? pose.hip : pose.shoulder }] : [],
  );
  const forces = pose.assistForces.map(({ at, fxN, fyN }): SceneProp => ({ kind: "force", at, fxN, fyN }));
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
    scene: [...scene(pose), ...loads, ...forces],
    warnings: [...pose.warnings, ...notes],
  };
}

function bridgeFigure({ body, heads, scene }: BridgeSetUp): PoseResult {
  const [setting] = heads;
  if (!setting) return { ok: false, reason: "no-pose" };
  const pose = bridgePose(body, setting);
  if (!pose.ok) return { ok: false, reason: pose.reason };
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
    warnings: pose.warnings,
  };
}

/** Of a pad, behind the middle of the trunk. */
const PAD_BEHIND_M = 0.14;
/** Past it the pelvis rolls off the pad. */
const HIP_RANGE_DEG = 125;

function pressFigure({ body, heads }: PressSetUp): PoseResult {
  const [setting] = heads;
  const pose = setting && legPress(body, setting);
  if (!setting || !pose?.ok) return { ok: false, reason: "foot-unreachable" };
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
    warnings: pose.hipFlexionDeg > HIP_RANGE_DEG ? ["hip-limit"] : [],
  };
}

function leverFigure({ body, drawn }: LeverSetUp): PoseResult {
  const { hip, trunkLeanDeg, lead, trail, hand, pressure, scene } = drawn;
  const legAt = ({ thighDeg, kneeDeg, footPitchDeg }: LeverSetUp["drawn"]["lead"]): LegGeometry => {
    const leg = newLeg(body, 0);
    hangLeg(body, leg, hip[0], hip[1], thighDeg, kneeDeg);
    const geometry = geometryOf(leg);
    return footPitchDeg === undefined ? geometry : { ...geometry, footPitchDeg };
  };
  const leg = legAt(lead);
  const shoulder = shoulderOver(body, hip, trunkLeanDeg);
  return {
    ok: true,
    kind: "lever",
    body,
    lead: leg,
    trail: trail ? legAt(trail) : null,
    trunkLeanDeg,
    shoulder,
    hand: hand ? hand(shoulder) : null,
    pressure: pressure ?? null,
    centreOfMassXM: null,
    turnedDeg: 0,
    scene: scene ? scene(leg, shoulder) : [],
    warnings: [],
  };
}

/** The figure of a form in one set-up, at a place of its movement: 1 is where the levers set it. */
export function poseOf(subject: Subject, form: Form, setting: Setting, at = 1): PoseResult {
  const template = templateOf(form);
  const values = valuesOf(subject, form, setting);
  const setUp = template.set(subject, parametersOf(form), values)(at);
  switch (setUp.by) {
    case "impossible":
      return { ok: false, reason: setUp.reason };
    case "standing":
      return standingFigure(at < 1 ? onTheWay(setUp, at) : setUp);
    case "bridge":
      return bridgeFigure(setUp);
    case "leg-press":
      return pressFigure(setUp);
    case "lever":
      return leverFigure(setUp);
    case "none":
      return { ok: false, reason: "not-in-the-model" };
  }
}

/** A foot that comes up beside the other: the thigh this far forward, the knee bent. For drawing alone. ◊ */
const FOOT_UP = { thighDeg: 15, kneeFlexionDeg: 35 } as const;

/** The same standing set-up with part of its knee bend; on a step the other foot comes up meanwhile. What is set up anew on the way is as it is. */
function onTheWay(setUp: StandingSetUp, at: number): StandingSetUp {
  const [setting] = setUp.heads;
  const onStep = setting?.depth.by === "step" ? setting.depth : null;
  const end = setting && (setUp.isDepth || onStep) ? standingPose(setUp.body, setting) : null;
  if (!setting || !end?.ok) return setUp;
  const depth = { by: "knee-flexion", kneeFlexionDeg: end.kneeFlexionDeg * at } as const;
  if (onStep === null || setting.trail.kind !== "reach") return { ...setUp, heads: [{ ...setting, depth }] };
  const thighDeg = setting.trail.direction * onStep.trailLeanDeg * at + FOOT_UP.thighDeg * (1 - at);
  const trail = { kind: "free", thighDeg, kneeFlexionDeg: FOOT_UP.kneeFlexionDeg * (1 - at) } as const;
  return { ...setUp, heads: [{ ...setting, depth, trail }] };
}

/** The standing pose behind a form, where its template has one: what a calm pose's shin is measured on. */
export function standingOf(
  subject: Subject,
  form: Form,
  setting: Setting,
): { body: Body; setting: StandingSetUp["heads"][number]; pose: StandingPose } | null {
  const setUp = templateOf(form).set(subject, parametersOf(form), valuesOf(subject, form, setting))(1);
  if (setUp.by !== "standing") return null;
  const [head] = setUp.heads;
  const pose = head && standingPose(setUp.body, head);
  return head && pose?.ok ? { body: setUp.body, setting: head, pose } : null;
}

export type ShownJoint = "knee" | "hip" | "ankle" | "low-back";
export const JOINT_OF: Readonly<Partial<Record<NumberChannelId, ShownJoint>>> = {
  kneecapStress: "knee",
  kneeMoment: "knee",
  hipMoment: "hip",
  hipFlexion: "hip",
  ankleMoment: "ankle",
  lowBackCompression: "low-back",
  trunkLean: "low-back",
};

/** The joint nearest to what set-ups usually ask of it: whose angle a drawing shows where no ceiling says otherwise. */
export function tightestJoint({ kind, body }: Pose, demands: readonly Demand[]): ShownJoint {
  let [shown, most]: [ShownJoint, number] = ["knee", 0];
  for (const { channel, head, refused } of demands) {
    const joint = JOINT_OF[channel];
    const { typical, reads } = CHANNELS[channel];
    if (!joint || refused || !typical || reads === "angle") continue;
    if (joint === "low-back" && kind !== "standing") continue; // its angle is the trunk's lean, which means nothing lying down
    const share = Math.abs(head) / (typical.p95 * (typical.perKg ? body.massKg : 1));
    if (share > most) [shown, most] = [joint, share];
  }
  return shown;
}

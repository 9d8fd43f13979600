import type { SceneProp } from "../../core/templates/scene";
import type { Pose, PoseResult } from "../../core/templates/pose";
import { type FigurePose, figureShape, type Spot, spot } from "./drawing";

/** What a drawing of a whole movement must hold, and where one takes hold of it. Centimetres, y down; no markup here. */
const MARGIN = 16;
const BELOW_FLOOR = 12;
/** A body lying down is drawn no larger than this tall a frame lets it be, so that words keep their size. */
const LEAST_HEIGHT = 130;

export const figureOf = (pose: Pose): FigurePose => ({ ...pose, leg: pose.lead, hand: pose.hand ?? pose.shoulder });

/** How far below the frame's zero the floor lies: under a step, that is. */
export const floorYOf = (scene: readonly SceneProp[]): number => {
  const step = scene.find((prop) => prop.kind === "step");
  return step ? step.heightM * 100 : 0;
};

/** Points of the thing that a drawing must not cut off. */
function reachOf(prop: SceneProp): Spot[] {
  switch (prop.kind) {
    case "seat":
      return [[prop.underXM * 100 - 62, -prop.heightM * 100]]; // its height is written beside it
    case "block":
      return [
        [(prop.atXM - prop.widthM / 2) * 100, -prop.topM * 100],
        [(prop.atXM + prop.widthM / 2) * 100, -prop.topM * 100],
      ];
    case "ball":
      return [
        [(prop.at[0] - prop.radiusM) * 100, -(prop.at[1] + prop.radiusM) * 100],
        [(prop.at[0] + prop.radiusM) * 100, -prop.at[1] * 100],
      ];
    case "wall":
      return [[prop.xM * 100 + (prop.xM > 0 ? 12 : -12), 0]];
    case "pole":
      return [[prop.xM * 100 + 30, -125]];
    case "strap":
    case "band":
      return [spot(prop.from), spot(prop.to)];
    case "load":
      return [[prop.at[0] * 100 + 34, -prop.at[1] * 100]];
    case "force":
      return [[prop.at[0] * 100 + 62, -prop.at[1] * 100]]; // its kilograms are written beside it
    case "step":
      return [
        [-12, prop.heightM * 100],
        [36, prop.heightM * 100],
      ];
    case "plate":
      return [
        [prop.at[0] * 100 - 18, -prop.at[1] * 100 + 12],
        [prop.at[0] * 100 + 34, -prop.at[1] * 100 + 12],
      ];
    case "pad":
      return [spot(prop.from), spot(prop.to)];
    case "wedge":
      return [];
  }
}

const turnedBy = ([x, y]: Spot, deg: number): Spot => {
  const rad = (-deg * Math.PI) / 180; // y points down
  return [x * Math.cos(rad) - y * Math.sin(rad), x * Math.sin(rad) + y * Math.cos(rad)];
};

function pointsOf(pose: Pose): Spot[] {
  const shape = figureShape(pose.body, figureOf(pose));
  const { head, joints } = shape;
  const legs = [pose.lead, ...(pose.trail ? [pose.trail] : [])].flatMap(({ ankle, knee, hip }) => [ankle, knee, hip].map(spot));
  const crown: Spot[] = [
    [head.at[0] - head.radius, head.at[1] - head.radius],
    [head.at[0] + head.radius, head.at[1] + head.radius],
  ];
  const feet: Spot[] = legs.map(([x, y]) => [x + 16, y]);
  const all = [...legs, ...feet, ...crown, joints.shoulder, joints.hand, ...pose.scene.flatMap(reachOf)];
  return all.map((point) => turnedBy(point, pose.turnedDeg));
}

export interface Frame {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** The frame that holds the whole movement, so that the picture does not jump while it plays. */
export function frameOf(ends: readonly PoseResult[], now: Pose): Frame {
  const found = [...ends.filter((pose): pose is Pose => pose.ok), now];
  const points = found.flatMap(pointsOf);
  const floorY = Math.max(...found.map(({ scene }) => floorYOf(scene)));
  const bottom = now.turnedDeg === 0 ? floorY + BELOW_FLOOR : Math.max(...points.map(([, y]) => y)) + MARGIN;
  return {
    left: Math.min(...points.map(([x]) => x)) - MARGIN,
    right: Math.max(...points.map(([x]) => x)) + MARGIN,
    top: Math.min(bottom - LEAST_HEIGHT, Math.min(...points.map(([, y]) => y)) - MARGIN),
    bottom,
  };
}

type Joint = "hip" | "knee" | "ankle" | "shoulder" | "hand";
const JOINTS: readonly Joint[] = ["hip", "ankle", "hand", "shoulder", "knee"];

/** The joint that the movement lifts or lowers most: the place to take hold of it. Null where nothing rises or falls. */
export function gripOf(ends: readonly PoseResult[], movement: { from: number; to: number }): { joint: Joint; perUnitUp: number } | null {
  const [first, last] = [ends[0], ends.at(-1)];
  if (!first?.ok || !last?.ok || first.turnedDeg !== 0) return null;
  const [a, b] = [figureShape(first.body, figureOf(first)).joints, figureShape(last.body, figureOf(last)).joints];
  let best: { joint: Joint; up: number } | null = null;
  for (const joint of JOINTS) {
    const up = a[joint][1] - b[joint][1];
    if (!best || Math.abs(up) > (joint === "hand" ? 3 : 1.6) * Math.abs(best.up)) best = { joint, up }; // the hip unless another moves much more
  }
  return best && Math.abs(best.up) > 3 ? { joint: best.joint, perUnitUp: (movement.to - movement.from) / best.up } : null;
}

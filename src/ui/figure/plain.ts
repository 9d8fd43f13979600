import type { Variation } from "../../core/catalogue/variation";
import type { Setting } from "../../core/templates/lever";
import { poseOf } from "../../core/templates/pose";
import type { Subject } from "../../core/templates/template";
import { figureShape, legShape, type Spot } from "./drawing";
import { figureOf, floorYOf } from "./frame";
import { jointsOf, type Posed } from "./posed";
import { posedOf } from "./row-poses.data";

/** A figure as plain strokes, for paper: black on white, no words in it. Drawing units, y down. */
export interface PlainFigure {
  strokes: { from: Spot; to: Spot; width: number; isBehind?: boolean }[];
  head: { at: Spot; radius: number };
  /** Seats, steps and blocks. */
  boxes: { x: number; y: number; width: number; height: number }[];
  floorY: number;
}

function fromPosed(posed: Posed): PlainFigure {
  const { hip, shoulder, head, elbow, hand, leg, other } = jointsOf(posed);
  const stroke = (from: Spot, to: Spot, width: number) => ({ from, to, width });
  const behind = other
    ? [stroke(hip, other.knee, 13), stroke(other.knee, other.ankle, 10), stroke(other.ankle, other.toe, 7)].map((each) => ({
        ...each,
        isBehind: true,
      }))
    : [];
  const floorY =
    Math.max(...[leg.ankle, leg.toe, hip, leg.knee, shoulder, ...(other ? [other.ankle, other.toe] : [])].map(([, y]) => y)) + 8;
  return {
    strokes: [
      ...behind,
      stroke(hip, leg.knee, 15),
      stroke(leg.knee, leg.ankle, 11),
      stroke(leg.ankle, leg.toe, 8),
      stroke(hip, shoulder, 20),
      stroke(shoulder, elbow, 7),
      stroke(elbow, hand, 7),
    ],
    head: { at: head, radius: 12 },
    boxes: posed.props?.includes("chair") ? [{ x: hip[0] - 34, y: hip[1] + 10, width: 44, height: 7 }] : [],
    floorY,
  };
}

/** The client's own figure in this set-up, or the drawn pose where the model has none; null where there is neither. */
export function plainFigure(subject: Subject, row: Variation, setting: Setting): PlainFigure | null {
  const posed = posedOf(row);
  if (posed) return fromPosed(posed);
  const pose = poseOf(subject, row, setting);
  if (!pose.ok) return null;
  const shape = figureShape(pose.body, figureOf(pose));
  const trail = pose.trail ? legShape(pose.body, pose.trail) : null;
  const { ankle } = shape.joints;
  const toe: Spot = [ankle[0] + 17, ankle[1] + 5];
  const boxes = pose.scene.flatMap((prop) => {
    if (prop.kind === "seat") return [{ x: prop.underXM * 100 - 30, y: -prop.heightM * 100, width: 42, height: 6 }];
    if (prop.kind === "step") return [{ x: -14, y: 4, width: 46, height: prop.heightM * 100 }];
    if (prop.kind === "block")
      return [{ x: (prop.atXM - prop.widthM / 2) * 100, y: -prop.topM * 100, width: prop.widthM * 100, height: 6 }];
    return [];
  });
  return {
    strokes: [
      ...(trail ? [trail.thigh, trail.shank].map((limb) => ({ ...limb, isBehind: true })) : []),
      shape.thigh,
      shape.shank,
      { from: [ankle[0] - 5, ankle[1] + 5], to: toe, width: 7 },
      shape.trunk,
      ...(pose.hand ? [shape.upperArm, shape.forearm] : []),
    ],
    head: shape.head,
    boxes,
    floorY: Math.max(floorYOf(pose.scene), 0) + 7,
  };
}
/** What of the drawing plane a figure takes up, with a margin. */
export function boxOf({ strokes, head, boxes, floorY }: PlainFigure): { x: number; y: number; width: number; height: number } {
  const xs = [...strokes.flatMap(({ from, to }) => [from[0], to[0]]), head.at[0], ...boxes.flatMap(({ x, width }) => [x, x + width])];
  const ys = [...strokes.flatMap(({ from, to }) => [from[1], to[1]]), head.at[1] - head.radius, floorY];
  const [x, y] = [Math.min(...xs) - 16, Math.min(...ys) - 12];
  return { x, y, width: Math.max(...xs) + 16 - x, height: Math.max(...ys) + 6 - y };
}

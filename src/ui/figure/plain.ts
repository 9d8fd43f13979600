import type { Variation } from "../../core/catalogue/variation";
import type { Setting } from "../../core/templates/lever";
import { movementOf } from "../../core/templates/movement";
import { type Pose, poseOf } from "../../core/templates/pose";
import type { Subject } from "../../core/templates/template";
import { figureShape, legShape, type Spot } from "./drawing";
import { figureOf, floorYOf } from "./frame";
import { jointsOf, type Posed } from "./posed";
import type { PlainFigure } from "./plain-drawn";
import { posedOf } from "./row-poses.data";

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

function fromPose(pose: Pose): PlainFigure {
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

/** The client's own figure in this set-up, or the drawn pose where the model has none; null where there is neither. */
export function plainFigure(subject: Subject, row: Variation, setting: Setting): PlainFigure | null {
  const posed = posedOf(row);
  if (posed) return fromPosed(posed);
  const pose = poseOf(subject, row, setting);
  return pose.ok ? fromPose(pose) : null;
}

/** The same along a repetition, from where it begins to where the levers set it; a drawn pose stands still. */
export function plainFrames(
  subject: Subject,
  row: Variation,
  setting: Setting,
  count: number,
): { frames: PlainFigure[]; isLowAtEnd: boolean } {
  const movement = posedOf(row) ? null : movementOf(subject, row, setting);
  const still = plainFigure(subject, row, setting);
  if (!movement) return { frames: still ? [still] : [], isLowAtEnd: true };
  const frames = Array.from({ length: count }, (_, i) => fromPose(movement.at(i / (count - 1))));
  return { frames, isLowAtEnd: movement.isLowAtEnd };
}

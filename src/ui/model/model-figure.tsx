"use client";
import { useMemo } from "react";
import { type ModelPose, type ModelTemplate, type SceneProp, tightestJoint, type Who } from "../../core";
import { BalanceLine, JointAngle, OtherLeg, Silhouette } from "../figure/body-parts";
import { type FigurePose, figureShape, jointMark, legShape, type Spot, spot } from "../figure/drawing";
import { LeverHandle } from "../figure/lever-handle";
import { Floor, Scene } from "../figure/scene";
import { modelLeverText } from "../text/model-text";
import { angleText, type UnitSystem } from "../text/quantity-text";
import { color, font } from "../theme/tokens";

const MARGIN = 16;

const figureOf = (pose: ModelPose): FigurePose => ({ ...pose, leg: pose.lead, hand: pose.hand ?? pose.shoulder });

/** How far below the frame's zero the floor lies: under a step, that is. */
const floorYOf = (scene: readonly SceneProp[]): number => {
  const step = scene.find((prop) => prop.kind === "step");
  return step ? step.heightM * 100 : 0;
};

/** Points of the thing that a drawing must not cut off. */
function reachOf(prop: SceneProp): Spot[] {
  switch (prop.kind) {
    case "seat":
      return [[prop.underXM * 100 - 32, -prop.heightM * 100]];
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
    case "force":
      return [[prop.at[0] * 100 + 34, -prop.at[1] * 100]];
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

function pointsOf(pose: ModelPose): Spot[] {
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

/** The frame that holds the whole movement, so that the picture does not jump while it plays. */
function useFrame(template: ModelTemplate, who: Who, values: Record<string, number>, now: ModelPose) {
  const { lever, from, to } = template.movement;
  const others = JSON.stringify({ ...values, [lever]: null });
  const ends = useMemo(
    () =>
      [from, (from + to) / 2, to].map((value) => template.pose(who, { ...(JSON.parse(others) as Record<string, number>), [lever]: value })),
    [template, who, others, lever, from, to],
  );
  const found = [...ends.filter((pose): pose is ModelPose => pose.ok), now];
  const points = found.flatMap(pointsOf);
  const [left, right] = [Math.min(...points.map(([x]) => x)) - MARGIN, Math.max(...points.map(([x]) => x)) + MARGIN];
  const floorY = Math.max(...found.map(({ scene }) => floorYOf(scene)));
  const top = Math.min(...points.map(([, y]) => y)) - MARGIN;
  const bottom = now.turnedDeg === 0 ? floorY + 12 : Math.max(...points.map(([, y]) => y)) + MARGIN;
  return { left, right, top, bottom, ends };
}

type Joint = "hip" | "knee" | "ankle" | "shoulder" | "hand";
const JOINTS: readonly Joint[] = ["hip", "ankle", "hand", "shoulder", "knee"];

/** The joint that the movement lifts or lowers most: the place to take hold of it. Null where nothing rises or falls. */
function grip(ends: readonly { ok: boolean }[], movement: { from: number; to: number }): { joint: Joint; perUnitUp: number } | null {
  const [first, last] = [ends[0], ends.at(-1)] as (ModelPose | undefined)[];
  if (!first?.ok || !last?.ok || first.turnedDeg !== 0) return null;
  const [a, b] = [figureShape(first.body, figureOf(first)).joints, figureShape(last.body, figureOf(last)).joints];
  let best: { joint: Joint; up: number } | null = null;
  for (const joint of JOINTS) {
    const up = a[joint][1] - b[joint][1];
    if (!best || Math.abs(up) > 1.6 * Math.abs(best.up)) best = { joint, up }; // the hip unless another moves much more
  }
  return best && Math.abs(best.up) > 3 ? { joint: best.joint, perUnitUp: (movement.to - movement.from) / best.up } : null;
}

/** Any template's pose to scale: body, what it stands in, forces, and the angle at the joint most asked of. Held by the joint that moves. */
export function ModelFigure(props: {
  who: Who;
  pose: ModelPose;
  template: ModelTemplate;
  values: Record<string, number>;
  units: UnitSystem;
  onMove: (value: number) => void;
}) {
  const { who, pose, template, values, units, onMove } = props;
  const { left, right, top, bottom, ends } = useFrame(template, who, values, pose);
  const figure = figureOf(pose);
  const isOnWedge = pose.scene.some(({ kind }) => kind === "wedge");
  const shape = figureShape(pose.body, figure, isOnWedge);
  const joint = tightestJoint(pose);
  const held = grip(ends, template.movement);
  const lever = template.levers.find(({ id }) => id === template.movement.lever);
  const at = held && shape.joints[held.joint];
  const around = { floorY: floorYOf(pose.scene), topY: top, units, turnedDeg: pose.turnedDeg };
  const isTurned = pose.turnedDeg !== 0;
  return (
    <svg
      viewBox={`${left} ${top} ${right - left} ${bottom - top}`}
      width="100%"
      height="100%"
      preserveAspectRatio="xMidYMax meet"
      role="group"
      aria-label={`${template.name}, ${joint.replace("-", " ")} ${angleText(jointMark(figure, joint).angleDeg)}`}
      fontFamily={font.text}
    >
      {!isTurned && <Floor y={around.floorY} />}
      <g {...(isTurned ? { transform: `rotate(${-pose.turnedDeg})` } : {})}>
        <Scene scene={pose.scene} layer="behind" {...around} />
        {pose.trail && <OtherLeg leg={legShape(pose.body, pose.trail)} />}
        <Silhouette shape={shape} hasArms={pose.hand !== null} />
        <BalanceLine shape={shape} />
        {shape.pressure && <circle cx={shape.pressure[0]} cy={shape.pressure[1] + 2} r={2.2} fill={color.moss} />}
        <Scene scene={pose.scene} layer="front" {...around} />
        {!isTurned && <JointAngle pose={figure} joint={joint} />}
      </g>
      {held && at && lever && (
        <LeverHandle
          label={lever.name}
          value={values[lever.id] ?? lever.start}
          valueText={modelLeverText(lever, values[lever.id] ?? lever.start, units)}
          min={lever.min}
          max={lever.max}
          increment={lever.step}
          perUnitUp={held.perUnitUp}
          onChange={onMove}
          at={{ x: at[0] - 12, y: at[1] - 12, width: 24, height: 24 }}
        >
          <circle cx={at[0]} cy={at[1]} r={4.4} fill={color.brass} stroke={color.paper} strokeWidth={1.4} />
        </LeverHandle>
      )}
    </svg>
  );
}

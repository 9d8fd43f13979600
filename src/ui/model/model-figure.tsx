"use client";
import { useMemo } from "react";
import { type ModelPose, type ModelResult, type ModelTemplate, tightestJoint, type Who } from "../../core";
import { BalanceLine, JointAngle, OtherLeg, Silhouette } from "../figure/body-parts";
import { figureShape, jointMark, legShape } from "../figure/drawing";
import { LeverHandle } from "../figure/lever-handle";
import { Floor, Scene } from "../figure/scene";
import { modelLeverText } from "../text/model-text";
import { angleText, type UnitSystem } from "../text/quantity-text";
import { color, font } from "../theme/tokens";
import { figureOf, floorYOf, frameOf, gripOf } from "./model-frame";

/** Poses at the start, middle and end of the movement, the other levers as they stand. */
function useEnds(template: ModelTemplate, who: Who, values: Record<string, number>): readonly ModelResult[] {
  const { lever, from, to } = template.movement;
  const others = JSON.stringify({ ...values, [lever]: null });
  return useMemo(
    () =>
      [from, (from + to) / 2, to].map((value) => template.pose(who, { ...(JSON.parse(others) as Record<string, number>), [lever]: value })),
    [template, who, others, lever, from, to],
  );
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
  const ends = useEnds(template, who, values);
  const { left, right, top, bottom } = frameOf(ends, pose);
  const figure = figureOf(pose);
  const isOnWedge = pose.scene.some(({ kind }) => kind === "wedge");
  const shape = figureShape(pose.body, figure, isOnWedge);
  const joint = tightestJoint(pose);
  const held = gripOf(ends, template.movement);
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

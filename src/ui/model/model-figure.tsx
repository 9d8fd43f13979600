"use client";
import { type Body, type ModelPose, type ModelTemplate } from "../../core";
import { angleText } from "../text/quantity-text";
import { color, font } from "../theme/tokens";
import { figureShape, legShape, spot } from "../figure/drawing";
import { Bone, Seat, Silhouette } from "../figure/figure";

const LEFT = -140;
const WIDTH = 250;
const BELOW = 34;

/** Any template's pose to scale: both legs, seat, step or bench, the pressure point and the angle at the working knee. */
export function ModelFigure({
  body,
  pose,
  template,
  values,
}: {
  body: Body;
  pose: ModelPose;
  template: ModelTemplate;
  values: Record<string, number>;
}) {
  const scene = template.scene(values);
  const shape = figureShape(body, { ...pose, leg: pose.lead, hand: pose.hand ?? pose.shoulder, centreOfMassXM: pose.centreOfMassXM ?? 0 });
  const other = pose.trail && legShape(body, pose.trail);
  const height = body.heightM * 100 + BELOW;
  const [knee, hip] = [shape.joints.knee, shape.joints.hip];
  const stepY = (scene.stepM ?? 0) * 100;
  const shoulder = spot(pose.shoulder);
  return (
    <svg
      viewBox={`${LEFT} ${-height + BELOW} ${WIDTH} ${height}`}
      width="100%"
      height="100%"
      role="img"
      aria-label={`${template.name}, knee ${angleText(pose.lead.kneeFlexionDeg)}`}
      fontFamily={font.text}
    >
      <rect x={-500} y={stepY} width={1000} height={80} fill="#dfe7e6" />
      <line x1={-500} x2={500} y1={stepY} y2={stepY} stroke="#8fa3ab" strokeWidth={0.8} />
      {scene.stepM !== undefined && <rect x={-12} y={0} width={52} height={stepY} fill={color.woodLight} stroke={color.wood} />}
      {scene.seatM !== undefined && <Seat topY={-scene.seatM * 100} hipX={hip[0]} />}
      {scene.benchM !== undefined && scene.benchM > 0.02 && (
        <rect
          x={shoulder[0] - 26}
          y={-scene.benchM * 100}
          width={40}
          height={scene.benchM * 100}
          fill={color.woodLight}
          stroke={color.wood}
        />
      )}
      {other && (
        <g opacity={0.55}>
          <path d={other.foot} fill="#5f7480" />
          <Bone {...other.shank} fill="#5f7480" />
          <Bone {...other.thigh} fill="#5f7480" />
        </g>
      )}
      <Silhouette shape={shape} />
      {pose.centreOfMassXM !== null && (
        <line
          x1={shape.centreX}
          x2={shape.centreX}
          y1={0}
          y2={shoulder[1] - 14}
          stroke={color.inkSoft}
          strokeWidth={0.8}
          strokeDasharray="1.4 2"
        />
      )}
      <circle cx={shape.pressure[0]} cy={shape.pressure[1] + 2} r={2.2} fill={color.moss} />
      <path d={shape.kneeArc} fill="none" stroke={color.brass} strokeWidth={1.5} />
      <circle cx={knee[0]} cy={knee[1]} r={4.4} fill={color.paper} stroke={color.brass} strokeWidth={2} />
      <text x={knee[0] + 12} y={knee[1] + 4} fontSize={11} fontWeight={700} fill={color.brass} fontFamily={font.head}>
        {angleText(pose.lead.kneeFlexionDeg)}
      </text>
    </svg>
  );
}

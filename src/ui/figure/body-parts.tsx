"use client";
import type { ShownJoint } from "../../core/templates/pose";
import { angleText } from "../../words/basics/quantity";
import { color, font } from "../theme/tokens";
import { type FigurePose, type FigureShape, jointMark, type LegShape, type Limb } from "./drawing";

/** Text of 15 px at the size the figure has on Fit. */
export const SMALL = 7.1;
/** Words over a drawing keep a rim of paper, so that they read on a dark limb too. */
export const HALO = { stroke: color.paper, strokeWidth: 2.2, paintOrder: "stroke", strokeLinejoin: "round" } as const;
const OTHER_LEG = "#8b9ca5";

const Bone = ({ from, to, width, fill }: Limb & { fill: string }) => (
  <line x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} stroke={fill} strokeWidth={width} strokeLinecap="round" />
);

/** The leg on the far side, in a lighter tone. */
export function OtherLeg({ leg }: { leg: LegShape }) {
  return (
    <g pointerEvents="none">
      <path d={leg.foot} fill={OTHER_LEG} />
      <Bone {...leg.shank} fill={OTHER_LEG} />
      <Bone {...leg.thigh} fill={OTHER_LEG} />
    </g>
  );
}

export function Silhouette({ shape, hasArms = true }: { shape: FigureShape; hasArms?: boolean }) {
  const { head, joints } = shape;
  const line = [joints.ankle, joints.knee, joints.hip, joints.shoulder, head.at].map((p) => p.join(",")).join(" ");
  return (
    <g pointerEvents="none">
      <path d={shape.foot} fill={color.marine} />
      <Bone {...shape.shank} fill={color.marine} />
      <Bone {...shape.thigh} fill="#1d4159" />
      <Bone {...shape.trunk} fill={color.marine} />
      <circle cx={head.at[0]} cy={head.at[1]} r={head.radius} fill={color.marine} />
      {hasArms && <Bone {...shape.upperArm} fill="#2f556e" />}
      {hasArms && <Bone {...shape.forearm} fill="#2f556e" />}
      <polyline points={line} fill="none" stroke="#b9c8cf" strokeWidth={1} strokeDasharray="2 2.4" />
    </g>
  );
}

export function Ghost({ shape, label }: { shape: FigureShape; label: string }) {
  const { ankle, knee, hip, shoulder } = shape.joints;
  const line = [ankle, knee, hip, shoulder].map((p) => p.join(",")).join(" ");
  const { at, radius } = shape.head;
  const isLying = Math.abs(shoulder[1] - hip[1]) < Math.abs(shoulder[0] - hip[0]); // beside the head there is no room then
  return (
    <g stroke="#8fa3ab" fill="none" strokeWidth={1.4} strokeDasharray="3 3" pointerEvents="none">
      <polyline points={line} />
      <circle cx={at[0]} cy={at[1]} r={radius} />
      <text
        x={at[0] - radius - (isLying ? 0 : 3)}
        y={isLying ? 10 : at[1]} // lying down, there is room under the floor
        textAnchor={isLying ? "start" : "end"}
        fontSize={SMALL}
        stroke="none"
        fill={color.inkSoft}
      >
        {label}
      </text>
    </g>
  );
}

/** The angle at the joint that is nearest its ceiling, with a word under it. `labelX` keeps it clear of what stands there. */
export function JointAngle({ pose, joint, labelX, note }: { pose: FigurePose; joint: ShownJoint; labelX?: number; note?: string }) {
  const { at, arc, angleDeg } = jointMark(pose, joint);
  const isKnee = joint === "knee"; // the others are told behind the body, clear of arms and supports
  const x = labelX ?? at[0] + (isKnee ? 12 : -9);
  const y = at[1] + (isKnee ? 13 : 3);
  const anchor = isKnee ? "start" : "end";
  return (
    <g pointerEvents="none">
      <path d={arc} fill="none" stroke={color.brass} strokeWidth={1.5} />
      <circle cx={at[0]} cy={at[1]} r={4.4} fill={color.paper} stroke={color.brass} strokeWidth={2} />
      <text x={x} y={y} textAnchor={anchor} fontSize={9.6} fontWeight={700} fill={color.brass} fontFamily={font.head} {...HALO}>
        {angleText(angleDeg)}
      </text>
      {note && (
        <text x={x} y={y + 8} textAnchor={anchor} fontSize={SMALL} fill={color.inkSoft} {...HALO}>
          {note}
        </text>
      )}
    </g>
  );
}

/** The line all weight acts along, over the pressure under the foot. */
export function BalanceLine({ shape, words }: { shape: FigureShape; words?: string }) {
  if (shape.centreX === null) return null;
  return (
    <g stroke={color.inkSoft} strokeWidth={0.8} pointerEvents="none">
      <line x1={shape.centreX} x2={shape.centreX} y1={0} y2={shape.joints.shoulder[1] - 14} strokeDasharray="1.4 2" />
      {words && shape.pressure && (
        <text x={shape.pressure[0]} y={8.5} fontSize={SMALL} textAnchor="middle" stroke="none" fill={color.inkSoft}>
          {words}
        </text>
      )}
    </g>
  );
}

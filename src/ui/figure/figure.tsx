"use client";
import { kgfFromN, type Setting, type StandingPose, type Variation, type Body, type LeverId, rangeOf } from "../../core";
import { angleText, handText, lengthText, massText, type UnitSystem } from "../text/quantity-text";
import { color, font } from "../theme/tokens";
import { figurePose, figureShape, type FigureShape, type Limb, supportX } from "./drawing";
import { LeverHandle } from "./lever-handle";

const LEFT = -88;
const WIDTH = 196;
const BELOW = 12;
/** Text of 15 px at the size the figure has on Fit. */
const SMALL = 7.1;

export interface FigureProps {
  body: Body;
  pose: StandingPose;
  variation: Variation;
  setting: Setting;
  units: UnitSystem;
  /** The pose last trained, drawn faintly behind. */
  ghost?: { pose: StandingPose; label: string } | null;
  /** Said under the knee's angle. */
  kneeNote?: string;
  increments?: Readonly<Record<LeverId, number>>;
  onLever?: (lever: LeverId, value: number) => void;
}

export const Bone = ({ from, to, width, fill }: Limb & { fill: string }) => (
  <line x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} stroke={fill} strokeWidth={width} strokeLinecap="round" />
);

export function Silhouette({ shape }: { shape: FigureShape }) {
  const { head, joints } = shape;
  const line = [joints.ankle, joints.knee, joints.hip, joints.shoulder, head.at].map((p) => p.join(",")).join(" ");
  return (
    <g pointerEvents="none">
      <path d={shape.foot} fill={color.marine} />
      <Bone {...shape.shank} fill={color.marine} />
      <Bone {...shape.thigh} fill="#1d4159" />
      <Bone {...shape.trunk} fill={color.marine} />
      <circle cx={head.at[0]} cy={head.at[1]} r={head.radius} fill={color.marine} />
      <Bone {...shape.upperArm} fill="#2f556e" />
      <Bone {...shape.forearm} fill="#2f556e" />
      <polyline points={line} fill="none" stroke="#b9c8cf" strokeWidth={1} strokeDasharray="2 2.4" />
    </g>
  );
}

function Ghost({ shape, label }: { shape: FigureShape; label: string }) {
  const { ankle, knee, hip, shoulder } = shape.joints;
  const line = [ankle, knee, hip, shoulder].map((p) => p.join(",")).join(" ");
  return (
    <g stroke="#8fa3ab" fill="none" strokeWidth={1.4} strokeDasharray="3 3" pointerEvents="none">
      <polyline points={line} />
      <circle cx={shape.head.at[0]} cy={shape.head.at[1]} r={shape.head.radius} />
      <text
        x={shape.head.at[0] - shape.head.radius - 3}
        y={shape.head.at[1]}
        textAnchor="end"
        fontSize={SMALL}
        stroke="none"
        fill={color.inkSoft}
      >
        {label}
      </text>
    </g>
  );
}

export function Seat({ topY, hipX }: { topY: number; hipX: number }) {
  const [left, right] = [hipX - 30, hipX + 8];
  return (
    <g>
      <rect x={left + 3} y={topY + 6} width={3.5} height={-topY - 6} fill={color.wood} />
      <rect x={right - 6.5} y={topY + 6} width={3.5} height={-topY - 6} fill={color.wood} />
      <rect x={left} y={topY} width={right - left} height={4} rx={1.5} fill={color.woodLight} stroke={color.wood} strokeWidth={0.5} />
      <rect x={left} y={topY + 4} width={right - left} height={3} fill={color.wood} />
    </g>
  );
}

function Support({ x, variation, handY }: { x: number; variation: Variation; handY: number }) {
  const { support } = variation.template;
  if (!support) return null;
  if (support.kind === "pole")
    return <line x1={x} y1={0} x2={x} y2={Math.min(handY - 18, -112)} stroke={color.brass} strokeWidth={2.6} strokeLinecap="round" />;
  const topY = -support.heightM * 100;
  return (
    <g fill={color.wood}>
      <rect x={x - 5} y={topY} width={40} height={4} rx={1} />
      <rect x={x + 2} y={topY + 4} width={30} height={-topY - 4} fill={color.woodLight} />
    </g>
  );
}

const LOAD_SPOT = { hands: "hand", back: "shoulder" } as const;

function LoadMark({ shape, variation, loadKg, units }: { shape: FigureShape; variation: Variation; loadKg: number; units: UnitSystem }) {
  const { loadAt } = variation.template;
  if (!loadAt || !(loadKg > 0)) return null;
  const [x, y] = shape.joints[LOAD_SPOT[loadAt]];
  const radius = 4 + Math.min(9, Math.sqrt(loadKg) * 1.3);
  const shift = loadAt === "back" ? -7 : 0;
  return (
    <g>
      <circle cx={x + shift} cy={y} r={radius} fill={color.brass} stroke={color.paper} strokeWidth={1} />
      <text x={x + shift + radius + 3} y={y + 2} fontSize={SMALL} fontWeight={700} fill={color.brass}>
        {massText(loadKg, units)}
      </text>
    </g>
  );
}

function HandArrow({ x, y, forceN, units, word }: { x: number; y: number; forceN: number; units: UnitSystem; word: string }) {
  const length = 8 + kgfFromN(forceN) * 1.3;
  return (
    <g>
      <path
        d={`M${x} ${y} V${y - length + 3} M${x - 4} ${y - length + 5} L${x} ${y - length} L${x + 4} ${y - length + 5}`}
        stroke={color.moss}
        strokeWidth={2.4}
        fill="none"
      />
      <text x={x + 7} y={y - length / 2} fontSize={8.4} fontWeight={700} fill={color.moss} fontFamily={font.head}>
        {forceN > 0 ? handText(forceN, units) : "hands free"}
      </text>
      <text x={x + 7} y={y - length / 2 + 8} fontSize={SMALL} fill={color.inkSoft}>
        {word}
      </text>
    </g>
  );
}

/** The client to scale in the chosen set-up: body, seat, support, load, forces, balance line, and last time's pose. */
export function Figure({ body, pose, variation, setting, units, ghost, kneeNote, increments, onLever }: FigureProps) {
  const shape = figureShape(body, figurePose(pose));
  const height = body.heightM * 87 + BELOW;
  const { seatHeightM, handForceN, kneeFlexionDeg, loadKg = 0 } = setting;
  const { hip, knee, hand } = shape.joints;
  const support = supportX(pose, variation);
  const seatY = seatHeightM === undefined ? null : -seatHeightM * 100;
  const seatLeft = hip[0] - 30;
  const handle = (lever: LeverId, value: number, perUnitUp: number, valueText: string) => {
    const range = rangeOf(variation, lever);
    if (!onLever || !increments || !range) return null;
    return {
      lever,
      value,
      perUnitUp,
      valueText,
      min: range.min,
      max: range.max,
      increment: increments[lever],
      onChange: (next: number) => onLever(lever, next),
    };
  };
  const seatHandle = seatHeightM === undefined ? null : handle("seatHeightM", seatHeightM, 0.01, lengthText(seatHeightM, units));
  const handHandle = handForceN === undefined ? null : handle("handForceN", handForceN, 9.81 / 1.3, handText(handForceN, units));
  const bendHandle = kneeFlexionDeg === undefined ? null : handle("kneeFlexionDeg", kneeFlexionDeg, -1.4, angleText(kneeFlexionDeg));
  const arrowX = (support ?? hand[0]) + 16;
  const kneeLabelX = Math.max(knee[0], support ?? knee[0]) + 10;
  const arrow =
    handForceN === undefined ? null : <HandArrow x={arrowX} y={hand[1] - 2} forceN={handForceN} units={units} word="straight down" />;
  return (
    <svg
      viewBox={`${LEFT} ${-height + BELOW} ${WIDTH} ${height}`}
      width="100%"
      height="100%"
      role="group"
      aria-label={`${variation.name}: knee bent ${angleText(pose.kneeFlexionDeg)}, shin ${angleText(pose.shankLeanDeg)} forward, trunk ${angleText(pose.trunkLeanDeg)} forward`}
      fontFamily={font.text}
      overflow="visible"
    >
      <rect x={-500} y={0} width={1000} height={60} fill="#dfe7e6" />
      <line x1={-500} x2={500} y1={0} y2={0} stroke="#8fa3ab" strokeWidth={0.8} />
      {ghost && <Ghost shape={figureShape(body, figurePose(ghost.pose))} label={ghost.label} />}
      {seatY !== null && (
        <g stroke={color.inkSoft} strokeWidth={0.7}>
          <path d={`M${seatLeft - 12} 0 V${seatY} M${seatLeft - 15} ${seatY} h6 M${seatLeft - 15} 0 h6`} fill="none" />
          <text x={seatLeft - 17} y={seatY / 2 + 2} textAnchor="end" fontSize={SMALL} stroke="none" fill={color.ink}>
            {lengthText(seatHeightM ?? 0, units)}
          </text>
        </g>
      )}
      {seatY !== null &&
        (seatHandle ? (
          <LeverHandle {...seatHandle} at={{ x: seatLeft - 2, y: seatY - 3, width: 42, height: 3 - seatY }}>
            <Seat topY={seatY} hipX={hip[0]} />
          </LeverHandle>
        ) : (
          <Seat topY={seatY} hipX={hip[0]} />
        ))}
      {support !== null && <Support x={support} variation={variation} handY={hand[1]} />}
      <Silhouette shape={shape} />
      <g stroke={color.inkSoft} strokeWidth={0.8}>
        <line x1={shape.centreX} x2={shape.centreX} y1={0} y2={shape.joints.shoulder[1] - 14} strokeDasharray="1.4 2" />
        <text x={shape.pressure[0]} y={8.5} fontSize={SMALL} textAnchor="middle" stroke="none" fill={color.inkSoft}>
          weight over {shape.centreX > shape.pressure[0] + 1 || shape.centreX < shape.pressure[0] - 1 ? "feet and hands" : "mid-foot"}
        </text>
      </g>
      <LoadMark shape={shape} variation={variation} loadKg={loadKg} units={units} />
      <path d={shape.kneeArc} fill="none" stroke={color.brass} strokeWidth={1.5} />
      <circle cx={knee[0]} cy={knee[1]} r={4.4} fill={color.paper} stroke={color.brass} strokeWidth={2} />
      <text x={kneeLabelX} y={knee[1] + 13} fontSize={9.6} fontWeight={700} fill={color.brass} fontFamily={font.head}>
        {angleText(pose.kneeFlexionDeg)}
      </text>
      {kneeNote && (
        <text x={kneeLabelX} y={knee[1] + 21} fontSize={SMALL} fill={color.inkSoft}>
          {kneeNote}
        </text>
      )}
      {arrow &&
        (handHandle ? (
          <LeverHandle {...handHandle} at={{ x: arrowX - 8, y: hand[1] - 42, width: 62, height: 44 }}>
            {arrow}
          </LeverHandle>
        ) : (
          arrow
        ))}
      {bendHandle && (
        <LeverHandle {...bendHandle} at={{ x: hip[0] - 12, y: hip[1] - 12, width: 24, height: 24 }}>
          <circle cx={hip[0]} cy={hip[1]} r={4} fill={color.paper} stroke={color.brass} strokeWidth={2} />
        </LeverHandle>
      )}
    </svg>
  );
}

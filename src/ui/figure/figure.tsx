"use client";
import { useMemo } from "react";
import type { Demand } from "../../core/mechanics/channels";
import { type Form, leversOf, movedBy } from "../../core/templates/form";
import { type LeverId, LEVERS, type Setting, withLever } from "../../core/templates/lever";
import { type Pose, poseOf, type PoseResult, type ShownJoint, tightestJoint } from "../../core/templates/pose";
import type { Subject } from "../../core/templates/template";
import { nFromKgf, type UnitSystem } from "../../core/units";
import { leverName, leverValueText } from "../../words/basics/lever";
import { angleText, lengthText } from "../../words/basics/quantity";
import { color, font } from "../theme/tokens";
import { BalanceLine, Ghost, JointAngle, OtherLeg, Silhouette, SMALL } from "./body-parts";
import { figureShape, jointMark, legShape } from "./drawing";
import { figureOf, floorYOf, frameOf, gripOf } from "./frame";
import { LeverHandle } from "./lever-handle";
import { Floor, ForceArrow, Scene, SEAT_BEHIND } from "./scene";

export interface FigureProps {
  subject: Subject;
  form: Form;
  name: string;
  setting: Setting;
  pose: Pose;
  demands: readonly Demand[];
  units: UnitSystem;
  /** The pose last trained, drawn faintly behind. */
  ghost?: { pose: Pose; label: string } | null;
  /** The joint whose angle is drawn: the one nearest its ceiling; else the one most asked of. */
  joint?: ShownJoint;
  /** Said under the knee's angle. */
  kneeNote?: string;
  /** The movement lever from where it begins to its end; its own range otherwise. */
  plays?: readonly [from: number, to: number];
  /** Poses that the frame holds as well, so that it stands still while the body moves. */
  alsoHolds?: readonly PoseResult[];
  increments: Readonly<Record<LeverId, number>>;
  onLever?: (lever: LeverId, value: number) => void;
}

/** Poses at both ends and the middle of the movement's lever, the others as they stand: what the frame must hold. */
function useEnds({ subject, form, setting, plays }: FigureProps): {
  ends: readonly PoseResult[];
  from: number;
  to: number;
  lever: LeverId;
} {
  const lever = movedBy(form);
  const others = JSON.stringify({ ...setting, [lever]: null });
  return useMemo(() => {
    const row = leversOf(subject, form).find((range) => range.lever === lever);
    const [from, to] = plays ?? (LEVERS[lever].harder === "less" ? [row?.max ?? 0, row?.min ?? 1] : [row?.min ?? 0, row?.max ?? 1]);
    const at = (value: number): PoseResult => poseOf(subject, form, withLever(JSON.parse(others) as Setting, lever, value));
    return { ends: [from, (from + to) / 2, to].map(at), from, to, lever };
  }, [subject, form, others, lever, plays]);
}

/** A seat's height beside it. */
function SeatHeight({ x, heightM, units }: { x: number; heightM: number; units: UnitSystem }) {
  const y = -heightM * 100;
  return (
    <g stroke={color.inkSoft} strokeWidth={0.7}>
      <path d={`M${x - 12} 0 V${y} M${x - 15} ${y} h6 M${x - 15} 0 h6`} fill="none" />
      <text x={x - 17} y={y / 2 + 2} textAnchor="end" fontSize={SMALL} stroke="none" fill={color.ink}>
        {lengthText(heightM, units)}
      </text>
    </g>
  );
}

/** The body to scale in any set-up: what it stands in, forces, balance, last time's pose; its levers held where they are. */
export function Figure(props: FigureProps) {
  const { subject, form, name, setting, pose, demands, units, ghost, kneeNote, increments, onLever } = props;
  const { ends, from, to, lever: movement } = useEnds(props);
  const { left, right, top, bottom } = frameOf([...ends, ...(props.alsoHolds ?? [])], pose);
  const figure = figureOf(pose);
  const isOnWedge = pose.scene.some(({ kind }) => kind === "wedge");
  const shape = figureShape(pose.body, figure, isOnWedge);
  const joint = props.joint ?? tightestJoint(pose, demands);
  const around = { floorY: floorYOf(pose.scene), topY: top, units, turnedDeg: pose.turnedDeg };
  const isTurned = pose.turnedDeg !== 0;
  const seat = pose.scene.find((prop) => prop.kind === "seat");
  const isSeatHeld = movement === "seatHeightM" && seat !== undefined;
  const isHand = (prop: Pose["scene"][number]): boolean => prop.kind === "force" && setting.handForceN !== undefined && pose.hand !== null;
  const scene = pose.scene.filter((prop) => prop.kind !== "seat" && !isHand(prop));
  const handle = (lever: LeverId, perUnitUp: number) => {
    const row = onLever && leversOf(subject, form).find((range) => range.lever === lever);
    const value = setting[lever];
    if (!row || !onLever || value === undefined) return null;
    const { min, max } = row;
    const valueText = leverValueText(lever, value, units);
    return {
      label: leverName(lever),
      value,
      valueText,
      min,
      max,
      perUnitUp,
      increment: increments[lever],
      onChange: (next: number) => onLever(lever, next),
    };
  };
  const held = gripOf(ends, { from, to });
  const grip = held && !isSeatHeld ? { at: shape.joints[held.joint], handle: handle(movement, held.perUnitUp) } : null;
  const seatHandle = isSeatHeld ? handle("seatHeightM", 0.01) : null;
  const handHandle = setting.handForceN === undefined ? null : handle("handForceN", nFromKgf(1) / 1.3);
  const arrowAt = [shape.joints.hand[0] + 16, shape.joints.hand[1] - 2] as const;
  const seatLeft = (seat?.underXM ?? 0) * 100 - SEAT_BEHIND;
  const seatDrawn = seat && <Scene scene={[seat]} layer="behind" {...around} />;
  const arrow = setting.handForceN !== undefined && pose.hand !== null && (
    <ForceArrow at={arrowAt} fxN={0} fyN={setting.handForceN} units={units} word={setting.handForceN > 0 ? "straight down" : ""} />
  );
  return (
    <svg
      viewBox={`${left} ${top} ${right - left} ${bottom - top}`}
      width="100%"
      height="100%"
      preserveAspectRatio="xMidYMax meet"
      role="group"
      aria-label={`${name}, ${joint.replace("-", " ")} ${angleText(jointMark(figure, joint).angleDeg)}`}
      fontFamily={font.text}
    >
      {!isTurned && <Floor y={around.floorY} />}
      {ghost && !isTurned && <Ghost shape={figureShape(ghost.pose.body, figureOf(ghost.pose))} label={ghost.label} />}
      {seat && <SeatHeight x={seatLeft} heightM={seat.heightM} units={units} />}
      {seat && seatHandle ? (
        <LeverHandle {...seatHandle} at={{ x: seatLeft - 2, y: -seat.heightM * 100 - 3, width: 42, height: seat.heightM * 100 + 3 }}>
          {seatDrawn}
        </LeverHandle>
      ) : (
        seatDrawn
      )}
      <g {...(isTurned ? { transform: `rotate(${-pose.turnedDeg})` } : {})}>
        <Scene scene={scene} layer="behind" {...around} />
        {pose.trail && <OtherLeg leg={legShape(pose.body, pose.trail)} />}
        <Silhouette shape={shape} hasArms={pose.hand !== null} />
        <BalanceLine shape={shape} />
        {shape.pressure && <circle cx={shape.pressure[0]} cy={shape.pressure[1] + 2} r={2.2} fill={color.moss} />}
        <Scene scene={scene} layer="front" {...around} />
        {!isTurned && <JointAngle pose={figure} joint={joint} {...(joint === "knee" && kneeNote ? { note: kneeNote } : {})} />}
      </g>
      {arrow &&
        (handHandle ? (
          <LeverHandle {...handHandle} at={{ x: arrowAt[0] - 8, y: arrowAt[1] - 40, width: 62, height: 44 }}>
            {arrow}
          </LeverHandle>
        ) : (
          arrow
        ))}
      {grip?.handle && (
        <LeverHandle {...grip.handle} at={{ x: grip.at[0] - 12, y: grip.at[1] - 12, width: 24, height: 24 }}>
          <circle cx={grip.at[0]} cy={grip.at[1]} r={4.4} fill={color.brass} stroke={color.paper} strokeWidth={1.4} />
        </LeverHandle>
      )}
    </svg>
  );
}

"use client";
import {
  type Body,
  JOINT_OF,
  type LeverId,
  type LoadChannelId,
  rangeOf,
  type SceneProp,
  type Setting,
  type StandingPose,
  type Variation,
  variationScene,
} from "../../core";
import { leverName } from "../text/lever-text";
import { angleText, handText, lengthText, type UnitSystem } from "../text/quantity-text";
import { color, font } from "../theme/tokens";
import { BalanceLine, Ghost, JointAngle, Silhouette, SMALL } from "./body-parts";
import { figurePose, figureShape, spot } from "./drawing";
import { LeverHandle } from "./lever-handle";
import { Floor, ForceArrow, LoadMark, Scene, SEAT_BEHIND } from "./scene";

const LEFT = -88;
const WIDTH = 196;
const BELOW = 12;

export interface FigureProps {
  body: Body;
  pose: StandingPose;
  variation: Variation;
  setting: Setting;
  units: UnitSystem;
  /** The pose last trained, drawn faintly behind. */
  ghost?: { pose: StandingPose; label: string } | null;
  /** The channel nearest its ceiling: its joint's angle is the one that is drawn. */
  tightest?: LoadChannelId;
  /** Said under the knee's angle. */
  kneeNote?: string;
  increments?: Readonly<Record<LeverId, number>>;
  onLever?: (lever: LeverId, value: number) => void;
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

/** The client to scale in the chosen set-up: body, seat, support, load, forces, balance line, and last time's pose. */
export function Figure({ body, pose, variation, setting, units, ghost, tightest, kneeNote, increments, onLever }: FigureProps) {
  const shape = figureShape(body, figurePose(pose));
  const height = body.heightM * 87 + BELOW;
  const { seatHeightM, handForceN, kneeFlexionDeg, loadKg = 0 } = setting;
  const { hip, knee, hand, shoulder } = shape.joints;
  const scene = variationScene(body, variation, setting, pose);
  const of = (isSeat: boolean): SceneProp[] => scene.filter(({ kind }) => (kind === "seat") === isSeat);
  const seatY = seatHeightM === undefined ? null : -seatHeightM * 100;
  const seatLeft = hip[0] - SEAT_BEHIND;
  const handle = (lever: LeverId, value: number, perUnitUp: number, valueText: string) => {
    const range = rangeOf(variation, lever);
    if (!onLever || !increments || !range) return null;
    const { min, max } = range;
    const onChange = (next: number): void => onLever(lever, next);
    return { label: leverName(lever), value, perUnitUp, valueText, min, max, increment: increments[lever], onChange };
  };
  const seatHandle = seatHeightM === undefined ? null : handle("seatHeightM", seatHeightM, 0.01, lengthText(seatHeightM, units));
  const handHandle = handForceN === undefined ? null : handle("handForceN", handForceN, 9.81 / 1.3, handText(handForceN, units));
  const bendHandle = kneeFlexionDeg === undefined ? null : handle("kneeFlexionDeg", kneeFlexionDeg, -1.4, angleText(kneeFlexionDeg));
  const isHeld = variation.template.support !== null;
  const arrowX = hand[0] + 16;
  const joint = (tightest && JOINT_OF[tightest]) ?? "knee";
  const seat = <Scene scene={of(true)} layer="behind" floorY={0} topY={-height} units={units} />;
  const arrow =
    handForceN === undefined ? null : (
      <ForceArrow at={[arrowX, hand[1] - 2]} fxN={0} fyN={handForceN} units={units} word={isHeld ? "straight down" : ""} />
    );
  const { loadAt } = variation.template;
  const centre = shape.centreX ?? 0;
  const pressureX = shape.pressure?.[0] ?? 0;
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
      <Floor y={0} />
      {ghost && <Ghost shape={figureShape(body, figurePose(ghost.pose))} label={ghost.label} />}
      {seatHeightM !== undefined && <SeatHeight x={seatLeft} heightM={seatHeightM} units={units} />}
      {seatHandle && seatY !== null ? (
        <LeverHandle {...seatHandle} at={{ x: seatLeft - 2, y: seatY - 3, width: 42, height: 3 - seatY }}>
          {seat}
        </LeverHandle>
      ) : (
        seat
      )}
      <Scene scene={of(false)} layer="behind" floorY={0} topY={-height} units={units} />
      <Silhouette shape={shape} />
      <BalanceLine shape={shape} words={`weight over ${Math.abs(centre - pressureX) > 1 ? "feet and hands" : "mid-foot"}`} />
      {loadAt && loadKg > 0 && <LoadMark at={loadAt === "back" ? [shoulder[0] - 7, shoulder[1]] : hand} massKg={loadKg} units={units} />}
      <JointAngle
        pose={figurePose(pose)}
        joint={joint}
        {...(joint === "knee" ? { labelX: Math.max(knee[0], isHeld ? spot(pose.hand)[0] : knee[0]) + 10 } : {})}
        {...(joint === "knee" && kneeNote ? { note: kneeNote } : {})}
      />
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

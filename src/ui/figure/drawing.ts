import type { Body } from "../../core/body/body";
import { BALL_FRACTION } from "../../core/body/segments.data";
import { solePoint } from "../../core/mechanics/foot";
import type { LegGeometry } from "../../core/mechanics/standing.types";
import type { Point } from "../../core/mechanics/vector";
import type { ShownJoint } from "../../core/templates/pose";
import { cosDeg, sinDeg } from "../../core/units";

/** The figure's geometry in drawing units: centimetres, y down, origin under the ankle. No markup here. */
export type Spot = readonly [x: number, y: number];
export interface Limb {
  from: Spot;
  to: Spot;
  width: number;
}

const CM = 100;
export const spot = ([x, y]: Point): Spot => [x * CM, -y * CM];

export interface FigureShape extends LegShape {
  head: { at: Spot; radius: number };
  trunk: Limb;
  upperArm: Limb;
  forearm: Limb;
  joints: { hip: Spot; knee: Spot; ankle: Spot; shoulder: Spot; hand: Spot; elbow: Spot };
  pressure: Spot | null;
  centreX: number | null;
}

/** Elbow of a two-link arm that bends away from the trunk's front; a straight arm where the hand is at full reach. */
function elbowPoint(shoulder: Point, hand: Point, upperM: number, foreM: number): Point {
  const [dx, dy] = [hand[0] - shoulder[0], hand[1] - shoulder[1]];
  const distance = Math.min(Math.hypot(dx, dy), upperM + foreM - 1e-6) || 1e-6;
  const along = (upperM ** 2 - foreM ** 2 + distance ** 2) / (2 * distance);
  const out = Math.sqrt(Math.max(0, upperM ** 2 - along ** 2));
  const [ux, uy] = [dx / Math.hypot(dx, dy || 1e-9), dy / (Math.hypot(dx, dy) || 1e-9)];
  return [shoulder[0] + along * ux + out * uy, shoulder[1] + along * uy - out * ux];
}

/** Whether a foot stands on its ball, heel raised: its toes then lie flat. One that hangs is square to the shin. */
const isOnBall = ({ footPitchDeg, shankLeanDeg }: LegGeometry): boolean => footPitchDeg > 0 && Math.abs(footPitchDeg - shankLeanDeg) > 1e-6;

function footPath(body: Body, leg: LegGeometry, isOnWedge: boolean): string {
  const { ankle, footPitchDeg } = leg;
  const on = (fraction: number): Spot => {
    const sole = solePoint(body, fraction, footPitchDeg);
    return spot([ankle[0] + sole[0], ankle[1] + sole[1]]);
  };
  const [a, h, t] = [spot(ankle), on(0), on(1)];
  const [ux, uy] = [(t[0] - h[0]) / Math.hypot(t[0] - h[0], t[1] - h[1]), (t[1] - h[1]) / Math.hypot(t[0] - h[0], t[1] - h[1])];
  const at = (along: number, up: number, from: Spot): string => `${from[0] + along * ux + up * uy} ${from[1] + along * uy - up * ux}`;
  if (isOnBall(leg) && !isOnWedge) {
    const ball = on(BALL_FRACTION);
    const toe = (1 - BALL_FRACTION) * body.footM * CM;
    return `M${at(-1.5, 0.3, h)} L${ball.join(" ")} h${toe} q1 -3.4 -4 -3.8 L${ball[0]} ${ball[1] - 5} L${at(4, 1.5, a)} L${at(-4.5, 1, a)} Z`;
  }
  return `M${at(-1.5, 0.3, h)} L${at(0, 0.3, t)} Q${at(1, 4, t)} ${at(-5, 4.6, t)} L${at(4, 1.5, a)} L${at(-4.5, 1, a)} Z`;
}

export interface LegShape {
  thigh: Limb;
  shank: Limb;
  foot: string;
}

export function legShape(body: Body, leg: LegGeometry, isOnWedge = false): LegShape {
  const size = body.heightM / 1.7;
  const [hip, knee, ankle] = [spot(leg.hip), spot(leg.knee), spot(leg.ankle)];
  return {
    thigh: { from: hip, to: knee, width: 16 * size },
    shank: { from: knee, to: ankle, width: 11 * size },
    foot: footPath(body, leg, isOnWedge),
  };
}

export interface JointMark {
  at: Spot;
  arc: string;
  angleDeg: number;
}

/** An arc about a joint from one direction to another, both leans from straight down, degrees. */
function arcAbout(at: Spot, radius: number, fromDeg: number, toDeg: number): string {
  const on = (leanDeg: number): Spot => [at[0] + radius * sinDeg(leanDeg), at[1] + radius * cosDeg(leanDeg)];
  const [start, end] = [on(fromDeg), on(toDeg)];
  return `M${start[0]} ${start[1]} A${radius} ${radius} 0 ${Math.abs(toDeg - fromDeg) > 180 ? 1 : 0} ${toDeg < fromDeg ? 1 : 0} ${end[0]} ${end[1]}`;
}

/** Where a joint's angle is drawn, and the angle: between the bone above it, carried on, and the bone below. */
export function jointMark({ leg, trunkLeanDeg }: FigurePose, joint: ShownJoint): JointMark {
  const { shankLeanDeg, thighLeanDeg, footPitchDeg, kneeFlexionDeg } = leg;
  const [hip, knee, ankle] = [spot(leg.hip), spot(leg.knee), spot(leg.ankle)];
  switch (joint) {
    case "knee":
      return { at: knee, arc: arcAbout(knee, 17, thighLeanDeg, -shankLeanDeg), angleDeg: kneeFlexionDeg };
    case "hip":
      return { at: hip, arc: arcAbout(hip, 20, -trunkLeanDeg, thighLeanDeg), angleDeg: thighLeanDeg + trunkLeanDeg };
    case "ankle":
      return { at: ankle, arc: arcAbout(ankle, 13, 180, 180 - shankLeanDeg + footPitchDeg), angleDeg: shankLeanDeg - footPitchDeg };
    case "low-back":
      return { at: hip, arc: arcAbout(hip, 30, 180, 180 - trunkLeanDeg), angleDeg: trunkLeanDeg };
  }
}

/** What a figure is drawn from: any template's pose has this much. */
export interface FigurePose {
  leg: LegGeometry;
  trunkLeanDeg: number;
  shoulder: Point;
  hand: Point;
  pressure: Point | null;
  centreOfMassXM: number | null;
}

export function figureShape(body: Body, pose: FigurePose, isOnWedge = false): FigureShape {
  const size = body.heightM / 1.7;
  const { leg } = pose;
  const elbow = elbowPoint(pose.shoulder, pose.hand, 0.186 * body.heightM, 0.2 * body.heightM);
  const [hip, knee, ankle] = [spot(leg.hip), spot(leg.knee), spot(leg.ankle)];
  const [shoulder, hand] = [spot(pose.shoulder), spot(pose.hand)];
  const headLeanDeg = pose.trunkLeanDeg * 0.75; // eyes forward: the neck gives back part of the trunk's lean
  const headM = 0.125 * body.heightM;
  const head = spot([pose.shoulder[0] + headM * sinDeg(headLeanDeg), pose.shoulder[1] + headM * cosDeg(headLeanDeg)]);
  return {
    ...legShape(body, leg, isOnWedge),
    head: { at: head, radius: 10.2 * size },
    trunk: { from: hip, to: shoulder, width: 21 * size },
    upperArm: { from: shoulder, to: spot(elbow), width: 9 * size },
    forearm: { from: spot(elbow), to: hand, width: 8 * size },
    joints: { hip, knee, ankle, shoulder, hand, elbow: spot(elbow) },
    pressure: pose.pressure && spot(pose.pressure),
    centreX: pose.centreOfMassXM === null ? null : pose.centreOfMassXM * CM,
  };
}

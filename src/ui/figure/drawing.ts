import { type Body, cosDeg, type LegGeometry, type Point, sinDeg, solePoint, type StandingPose, type Variation } from "../../core";

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
  pressure: Spot;
  centreX: number;
  kneeArc: string;
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

function footPath(body: Body, { ankle, footPitchDeg }: LegGeometry): string {
  const on = (fraction: number): Spot => {
    const sole = solePoint(body, fraction, footPitchDeg);
    return spot([ankle[0] + sole[0], ankle[1] + sole[1]]);
  };
  const [a, h, t] = [spot(ankle), on(0), on(1)];
  const [ux, uy] = [(t[0] - h[0]) / Math.hypot(t[0] - h[0], t[1] - h[1]), (t[1] - h[1]) / Math.hypot(t[0] - h[0], t[1] - h[1])];
  const at = (along: number, up: number, from: Spot): string => `${from[0] + along * ux + up * uy} ${from[1] + along * uy - up * ux}`;
  return `M${at(-1.5, 0.3, h)} L${at(0, 0.3, t)} Q${at(1, 4, t)} ${at(-5, 4.6, t)} L${at(4, 1.5, a)} L${at(-4.5, 1, a)} Z`;
}

export interface LegShape {
  thigh: Limb;
  shank: Limb;
  foot: string;
}

export function legShape(body: Body, leg: LegGeometry): LegShape {
  const size = body.heightM / 1.7;
  const [hip, knee, ankle] = [spot(leg.hip), spot(leg.knee), spot(leg.ankle)];
  return {
    thigh: { from: hip, to: knee, width: 16 * size },
    shank: { from: knee, to: ankle, width: 11 * size },
    foot: footPath(body, leg),
  };
}

/** The arc of the knee's bend: from the thigh's line carried on past the knee to the shank. */
function kneeArc({ knee, shankLeanDeg, thighLeanDeg }: LegGeometry): string {
  const radius = 17;
  const [x, y] = spot(knee);
  const down = (leanDeg: number, sign: 1 | -1): Spot => [x - sign * radius * sinDeg(leanDeg), y + radius * cosDeg(leanDeg)];
  const shank = down(shankLeanDeg, 1);
  const thigh: Spot = [x + radius * sinDeg(thighLeanDeg), y + radius * cosDeg(thighLeanDeg)];
  return `M${thigh[0]} ${thigh[1]} A${radius} ${radius} 0 0 1 ${shank[0]} ${shank[1]}`;
}

/** What a figure is drawn from: any template's pose has this much. */
export interface FigurePose {
  leg: LegGeometry;
  trunkLeanDeg: number;
  shoulder: Point;
  hand: Point;
  pressure: Point;
  centreOfMassXM: number;
}

export const figurePose = (pose: StandingPose): FigurePose => ({ ...pose, leg: pose });

export function figureShape(body: Body, pose: FigurePose): FigureShape {
  const size = body.heightM / 1.7;
  const { leg } = pose;
  const elbow = elbowPoint(pose.shoulder, pose.hand, 0.186 * body.heightM, 0.2 * body.heightM);
  const [hip, knee, ankle] = [spot(leg.hip), spot(leg.knee), spot(leg.ankle)];
  const [shoulder, hand] = [spot(pose.shoulder), spot(pose.hand)];
  const headLeanDeg = pose.trunkLeanDeg * 0.75; // eyes forward: the neck gives back part of the trunk's lean
  const headM = 0.125 * body.heightM;
  const head = spot([pose.shoulder[0] + headM * sinDeg(headLeanDeg), pose.shoulder[1] + headM * cosDeg(headLeanDeg)]);
  return {
    ...legShape(body, leg),
    head: { at: head, radius: 10.2 * size },
    trunk: { from: hip, to: shoulder, width: 21 * size },
    upperArm: { from: shoulder, to: spot(elbow), width: 9 * size },
    forearm: { from: spot(elbow), to: hand, width: 8 * size },
    joints: { hip, knee, ankle, shoulder, hand, elbow: spot(elbow) },
    pressure: spot(pose.pressure),
    centreX: pose.centreOfMassXM * CM,
    kneeArc: kneeArc(leg),
  };
}

/** Where the support stands, or null without one. */
export function supportX(pose: StandingPose, { template }: Variation): number | null {
  return template.support ? pose.hand[0] * CM : null;
}

import type { Body } from "../body/body";
import { cosDeg, GRAVITY_MPS2, sinDeg } from "../units";
import type { Arms, Assist, StandingSetting } from "./standing.types";
import { along, type Force, type Point, weight } from "./vector";

/** The upper body at one trunk lean: points, weights and loads, and which of them act above L5/S1. */
export interface UpperBody {
  shoulder: Point;
  hand: Point;
  l5: Point;
  /** Unit vectors up the trunk and to its front. */
  up: Point;
  front: Point;
  aboveL5: Force[];
  belowL5: Force[];
  assists: Force[];
}

function handPoint(body: Body, arms: Arms, hip: Point, shoulder: Point, onTrunk: (upM: number, frontM: number) => Point): Point {
  const { armReachM: reachM, heightM } = body;
  switch (arms.kind) {
    case "hang":
      return [shoulder[0] + arms.forwardM, shoulder[1] - Math.sqrt(Math.max(0, reachM ** 2 - arms.forwardM ** 2))];
    case "forward":
      return [shoulder[0] + reachM, shoulder[1]];
    case "overhead":
      return onTrunk(body.trunkM + reachM, 0);
    case "crossed":
      return onTrunk(body.trunkM - 0.12 * heightM, 0.1 * heightM);
    case "goblet":
      return onTrunk(body.trunkM - 0.1 * heightM, 0.14 * heightM);
    case "point":
      return arms.at;
    case "pole":
      return [arms.xM, shoulder[1] - arms.belowShoulderM];
    case "hip":
      return [hip[0] + arms.forwardM, hip[1] + arms.upM];
  }
}

function assistForce({ force }: Assist, at: Point, solvedN: number): Force {
  if (force.kind === "components") return { at, fxN: force.fxN, fyN: force.fyN };
  const magnitudeN = force.magnitudeN ?? solvedN;
  if (force.kind === "angle") return { at, fxN: magnitudeN * cosDeg(force.directionDeg), fyN: magnitudeN * sinDeg(force.directionDeg) };
  const [dx, dy] = [force.anchor[0] - at[0], force.anchor[1] - at[1]];
  const distanceM = Math.hypot(dx, dy);
  return { at, fxN: (magnitudeN * dx) / distanceM, fyN: (magnitudeN * dy) / distanceM };
}

/** Upper-body points and forces (E6). `solvedN` is the magnitude of the one assist left open, if any. */
export function upperBody(body: Body, setting: StandingSetting, hip: Point, trunkLeanDeg: number, solvedN = 0): UpperBody {
  const [sin, cos] = [sinDeg(trunkLeanDeg), cosDeg(trunkLeanDeg)];
  const onTrunk = (upM: number, frontM: number): Point => [hip[0] + upM * sin + frontM * cos, hip[1] + upM * cos - frontM * sin];
  const shoulder = onTrunk(body.trunkM, 0);
  const hand = handPoint(body, setting.arms, hip, shoulder, onTrunk);
  const aboveL5: Force[] = [
    weight(onTrunk(body.upperComM, 0), body.upperKg, GRAVITY_MPS2),
    weight(along(shoulder, hand, body.armsComFraction), body.armsKg, GRAVITY_MPS2),
  ];
  if (body.bellyKg > 0) aboveL5.push(weight(onTrunk(body.bellyAlongM, body.bellyForwardM), body.bellyKg, GRAVITY_MPS2));
  const belowL5: Force[] = [weight(onTrunk(body.pelvisComM, 0), body.pelvisKg, GRAVITY_MPS2)];
  const loadPoint = {
    hands: hand,
    back: onTrunk(body.trunkM + 0.02 * body.heightM, -0.03 * body.heightM),
    vest: onTrunk(0.18 * body.heightM, 0),
    hips: onTrunk(0, 0.06 * body.heightM),
  };
  for (const load of setting.loads) {
    (load.at === "hips" ? belowL5 : aboveL5).push(weight(loadPoint[load.at], load.massKg, GRAVITY_MPS2));
  }
  const assistPoint = {
    hands: hand,
    wall: onTrunk(0.13 * body.heightM, -0.06 * body.heightM),
    chest: onTrunk(0.24 * body.heightM, 0),
    pelvis: hip,
  };
  const assists = setting.assists.map((assist) => assistForce(assist, assistPoint[assist.at], solvedN));
  assists.forEach((force, i) => (setting.assists[i]?.at === "pelvis" ? belowL5 : aboveL5).push(force));
  return { shoulder, hand, l5: onTrunk(body.l5M, 0), up: [sin, cos], front: [cos, -sin], aboveL5, belowL5, assists };
}

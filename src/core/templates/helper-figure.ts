import type { Body } from "../body/body";
import type { LegGeometry } from "../mechanics/standing.types";
import type { Point } from "../mechanics/vector";
import { cosDeg, sinDeg } from "../units";
import type { SceneProp } from "./scene";

/** Where a helper's figure stands, sits or lies. Metres. */
export const LYING_HIP_M = 0.1;
export const standingHip = (body: Body): Point => [0, body.ankleHeightM + body.shankM + body.thighM];
export const seatM = (body: Body): number => body.ankleHeightM + body.shankM - body.hipAboveSeatM;
export const seatedHipM = (body: Body): number => seatM(body) + body.hipAboveSeatM;
export const ankleLoad = ({ ankle }: LegGeometry, massKg: number): SceneProp[] => (massKg > 0 ? [{ kind: "load", at: ankle, massKg }] : []);
export const shoulderOver = (body: Body, hip: Point, trunkLeanDeg: number): Point => [
  hip[0] + body.trunkM * sinDeg(trunkLeanDeg),
  hip[1] + body.trunkM * cosDeg(trunkLeanDeg),
];

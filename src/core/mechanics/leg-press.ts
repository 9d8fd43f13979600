import type { Body } from "../body/body";
import { cosDeg, sinDeg } from "../units";
import { legWeights } from "./joints";
import { kneecapLoad } from "./kneecap";
import { solePoint } from "./foot";
import type { LegGeometry } from "./standing.types";
import { geometryOf, newLeg, readAngles, spanLeg } from "./leg";
import { type Force, type Point, sumMomentNm } from "./vector";

/** One leg on a leg press. The plate is the floor and gravity is turned; friction along the plate is neglected. */
export interface LegPressSetting {
  kneeFlexionDeg: number;
  /** Force of the sled along its track, as a scale reads it, both legs together. */
  sledN: number;
  /** Push direction above horizontal. */
  inclineDeg: number;
  /** Hip toward the heel side of the plate: feet high on the plate. */
  offsetM: number;
  pressureFraction: number;
  shareFraction: number;
  /** Angle between sled and trunk. */
  trunkDeg: number;
}

export const LEG_PRESS_DEFAULTS = { offsetM: 0, pressureFraction: 0.5, shareFraction: 0.5, trunkDeg: 120 } as const;

export interface LegPressPose extends LegGeometry {
  ok: true;
  hipFlexionDeg: number;
  dorsiflexionDeg: number;
  ankleMomentNm: number;
  kneeMomentNm: number;
  hipMomentNm: number;
  quadricepsN: number;
  kneecapForceN: number;
  kneecapStressMPa: number;
  plateN: number;
  pressure: Point;
  /** Straight distance from ankle to hip. */
  reachM: number;
}
export type LegPressResult = LegPressPose | { ok: false; reason: "foot-unreachable" };

/** External moments of one leg on a leg press (docs/equations.md E19). */
export function legPress(body: Body, setting: LegPressSetting): LegPressResult {
  const { kneeFlexionDeg, offsetM, inclineDeg } = setting;
  const { shankM: s, thighM: t } = body;
  const reachM = Math.sqrt(s ** 2 + t ** 2 + 2 * s * t * cosDeg(kneeFlexionDeg));
  if (!(Math.abs(offsetM) < reachM)) return { ok: false, reason: "foot-unreachable" };
  const placed = newLeg(body, 0);
  const hipYM = body.ankleHeightM + Math.sqrt(reachM ** 2 - offsetM ** 2);
  if (!spanLeg(body, placed, 0, body.ankleHeightM, -offsetM, hipYM)) return { ok: false, reason: "foot-unreachable" };
  readAngles(placed);
  const leg = geometryOf(placed);
  // the plate faces the sled's path, so gravity leans: -cos along it, +sin into it
  const turned = ({ at, fyN }: Force): Force => ({ at, fxN: fyN * cosDeg(inclineDeg), fyN: -fyN * sinDeg(inclineDeg) });
  const [foot, shank, thigh] = legWeights(body, leg).map(turned) as [Force, Force, Force];
  const plateN = setting.sledN * setting.shareFraction;
  const sole = solePoint(body, setting.pressureFraction, 0);
  const plate: Force = { at: [leg.ankle[0] + sole[0], leg.ankle[1] + sole[1]], fxN: 0, fyN: plateN };
  const kneeMomentNm = -sumMomentNm([plate, foot, shank], leg.knee);
  const { quadricepsN, contactN, stressMPa } = kneecapLoad(kneeMomentNm, leg.kneeFlexionDeg);
  return {
    ok: true,
    ...leg,
    hipFlexionDeg: leg.thighLeanDeg + 180 - setting.trunkDeg,
    dorsiflexionDeg: leg.shankLeanDeg,
    ankleMomentNm: sumMomentNm([plate, foot], leg.ankle),
    kneeMomentNm,
    hipMomentNm: sumMomentNm([plate, foot, shank, thigh], leg.hip),
    quadricepsN,
    kneecapForceN: contactN,
    kneecapStressMPa: stressMPa,
    plateN,
    pressure: plate.at,
    reachM,
  };
}

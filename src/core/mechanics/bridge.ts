import type { Body } from "../body/body";
import { rootsByScan } from "../solve/roots";
import { cosDeg, degFromRad, GRAVITY_MPS2, sinDeg } from "../units";
import { legDemand, legWeights, lowBackDemand } from "./joints";
import { KNEECAP_VALID_TO_DEG } from "./kneecap";
import { pressurePoint } from "./legs";
import { hangingLeg } from "./stance";
import type { LegDemand, LegGeometry } from "./standing.types";
import { type Force, type Point, sumMomentNm, weight } from "./vector";

const CONTACT_UP_FRACTION = 0.25; // of stature, hip to shoulder contact along the trunk
const CONTACT_BEHIND_FRACTION = 0.06;
const HIPS_CLEAR_FRACTION = 0.045;
const FRICTION_MAX = 0.6;
const SHANK_LOW_DEG = -60;
const SHANK_HIGH_DEG = 45;
const SHANK_STEPS = 105;

/** A bridge or hip thrust: shoulders on the floor or a bench, feet on the floor, head toward -x. */
export interface BridgeSetting {
  /** 0 is straight, + hips lower. */
  hipFlexionDeg: number;
  /** Fixed by the knee bend at the top (hip straight) or by the distance from ankle to shoulder contact. */
  placed: { by: "knee-at-top"; kneeFlexionDeg: number } | { by: "separation"; separationM: number };
  benchHeightM: number;
  pressureFraction: number;
  leadShareFraction: number;
  /** Horizontal force of both feet, world x: - pushes the feet away, + drags the heels. */
  footDrag: { kind: "zero" | "least" } | { kind: "force"; forceN: number };
  loads: readonly { massKg: number; at: "hips" | "vest" | "back" }[];
  trail: { kind: "same" } | { kind: "free"; thighDeg: number | "inline"; kneeFlexionDeg: number };
}

export const BRIDGE_DEFAULTS: Omit<BridgeSetting, "hipFlexionDeg" | "placed"> = {
  benchHeightM: 0,
  pressureFraction: 0.3,
  leadShareFraction: 0.5,
  footDrag: { kind: "zero" },
  loads: [],
  trail: { kind: "same" },
};

export type BridgeFailure = "bridge-unreachable" | "hips-on-floor" | "support-would-pull";
export type BridgeWarning = "kneecap-extrapolated" | "slips";

export interface BridgePose extends LegGeometry {
  ok: true;
  warnings: BridgeWarning[];
  hipFlexionDeg: number;
  trunkLeanDeg: number;
  hipHeightM: number;
  pressure: Point;
  shoulderContact: Point;
  lead: LegDemand;
  trail: LegDemand;
  trailLeg: LegGeometry;
  shoulderN: number;
  lowBackMomentNm: number;
  lowBackCompressionN: number;
  lowBackShearN: number;
  frictionNeeded: number;
  residual: number;
}
export type BridgeResult = BridgePose | { ok: false; reason: BridgeFailure; warnings: BridgeWarning[] };

/** Knee to shoulder contact with the thigh upright: rigid for one hip flexion (docs/equations.md E18). */
function kneeToContact(body: Body, hipFlexionDeg: number): Point {
  const along = CONTACT_UP_FRACTION * body.heightM;
  const behind = CONTACT_BEHIND_FRACTION * body.heightM;
  const [sin, cos] = [sinDeg(hipFlexionDeg), cosDeg(hipFlexionDeg)];
  return [along * sin - behind * cos, body.thighM + along * cos + behind * sin];
}

const turned = ([x, y]: Point, angleDeg: number): Point => [
  x * cosDeg(angleDeg) - y * sinDeg(angleDeg),
  x * sinDeg(angleDeg) + y * cosDeg(angleDeg),
];
const wrapped = (angleDeg: number): number => angleDeg - 360 * Math.round(angleDeg / 360);

function separationM(body: Body, { placed, benchHeightM }: BridgeSetting): number | null {
  if (placed.by === "separation") return placed.separationM;
  const straight = kneeToContact(body, 0);
  const contact = (shankDeg: number): Point => {
    const [x, y] = turned(straight, placed.kneeFlexionDeg - shankDeg);
    return [body.shankM * sinDeg(shankDeg) + x, body.ankleHeightM + body.shankM * cosDeg(shankDeg) + y];
  };
  const roots = rootsByScan((shankDeg) => contact(shankDeg)[1] - benchHeightM, SHANK_LOW_DEG, SHANK_HIGH_DEG, SHANK_STEPS);
  const found = roots.map((shankDeg) => -contact(shankDeg)[0]).filter((value) => value > 0);
  return found[0] ?? null;
}

/** The working leg between the foot and the shoulder contact: two circles, knee above. */
function workingLeg(body: Body, setting: BridgeSetting, contact: Point): LegGeometry | null {
  const ankle: Point = [0, body.ankleHeightM];
  const rigid = kneeToContact(body, setting.hipFlexionDeg);
  const rigidM = Math.hypot(...rigid);
  const [dx, dy] = [contact[0] - ankle[0], contact[1] - ankle[1]];
  const distanceM = Math.hypot(dx, dy);
  const along = (body.shankM ** 2 - rigidM ** 2 + distanceM ** 2) / (2 * distanceM);
  const acrossSquared = body.shankM ** 2 - along ** 2;
  if (!(acrossSquared >= 0)) return null;
  const across = Math.sqrt(acrossSquared);
  const knees = [1, -1].map((side): Point => [
    ankle[0] + (along * dx - side * across * dy) / distanceM,
    ankle[1] + (along * dy + side * across * dx) / distanceM,
  ]);
  const knee = knees.reduce((a, b) => (b[1] > a[1] ? b : a));
  const shankLeanDeg = degFromRad(Math.atan2(knee[0] - ankle[0], knee[1] - ankle[1]));
  const angleOf = ([x, y]: Point): number => degFromRad(Math.atan2(y, x));
  const thighLeanDeg = wrapped(angleOf([contact[0] - knee[0], contact[1] - knee[1]]) - angleOf(rigid));
  const [hx, hy] = turned([0, body.thighM], thighLeanDeg);
  return {
    kneeFlexionDeg: shankLeanDeg + thighLeanDeg,
    shankLeanDeg,
    thighLeanDeg,
    footPitchDeg: 0,
    ankle,
    knee,
    hip: [knee[0] + hx, knee[1] + hy],
  };
}

interface Trunk {
  up: Point;
  front: Point;
  l5: Point;
  aboveL5: Force[];
  belowL5: Force[];
}

/** The trunk without the arms: they rest on the support. */
function trunkForces(body: Body, hip: Point, trunkLeanDeg: number, loads: BridgeSetting["loads"]): Trunk {
  const [sin, cos] = [sinDeg(trunkLeanDeg), cosDeg(trunkLeanDeg)];
  const on = (upM: number, frontM: number): Point => [hip[0] + upM * sin + frontM * cos, hip[1] + upM * cos - frontM * sin];
  const aboveL5 = [weight(on(body.upperComM, 0), body.upperKg, GRAVITY_MPS2)];
  if (body.bellyKg > 0) aboveL5.push(weight(on(body.bellyAlongM, body.bellyForwardM), body.bellyKg, GRAVITY_MPS2));
  const belowL5 = [weight(on(body.pelvisComM, 0), body.pelvisKg, GRAVITY_MPS2)];
  const place = {
    hips: on(0, 0.06 * body.heightM),
    vest: on(0.18 * body.heightM, 0),
    back: on(body.trunkM + 0.02 * body.heightM, -0.03 * body.heightM),
  };
  for (const { massKg, at } of loads) (at === "hips" ? belowL5 : aboveL5).push(weight(place[at], massKg, GRAVITY_MPS2));
  return { up: [sin, cos], front: [cos, -sin], l5: on(body.l5M, 0), aboveL5, belowL5 };
}

/**
 * Bridge or hip thrust (docs/equations.md E18): pose from the hip angle, foot and shoulder forces from equilibrium.
 * How far the feet push or drag is not in the geometry: zero unless told.
 */
export function bridgePose(body: Body, setting: BridgeSetting): BridgeResult {
  const fail = (reason: BridgeFailure): BridgeResult => ({ ok: false, reason, warnings: [] });
  const sepM = separationM(body, setting);
  if (sepM === null) return fail("bridge-unreachable");
  const contact: Point = [-sepM, setting.benchHeightM];
  const leg = workingLeg(body, setting, contact);
  if (!leg) return fail("bridge-unreachable");
  if (!(leg.hip[1] >= HIPS_CLEAR_FRACTION * body.heightM)) return fail("hips-on-floor");
  const trunkLeanDeg = setting.hipFlexionDeg - leg.thighLeanDeg;
  const { trail } = setting;
  const isFree = trail.kind === "free";
  const trailLeg = isFree
    ? hangingLeg(body, leg.hip, trail.thighDeg === "inline" ? leg.thighLeanDeg : trail.thighDeg, trail.kneeFlexionDeg)
    : leg;
  const trunk = trunkForces(body, leg.hip, trunkLeanDeg, setting.loads);
  const pressure = pressurePoint(body, leg, setting.pressureFraction);
  const forces = [...legWeights(body, leg), ...legWeights(body, trailLeg), ...trunk.aboveL5, ...trunk.belowL5];
  const aboutNm = sumMomentNm(forces, contact);
  const sumFyN = forces.reduce((sum, { fyN }) => sum + fyN, 0);
  const share = isFree ? 1 : setting.leadShareFraction;
  const footFyN = (fxN: number): number => -(aboutNm - (pressure[1] - contact[1]) * fxN) / (pressure[0] - contact[0]);
  const leadAt = (fxN: number): LegDemand =>
    legDemand(body, leg, pressure, { fxN: fxN * share, fyN: footFyN(fxN) * share, shareFraction: share });
  const fxN = setting.footDrag.kind === "force" ? setting.footDrag.forceN : setting.footDrag.kind === "least" ? leastDragN(leadAt) : 0;
  const fyN = footFyN(fxN);
  const shoulderN = -sumFyN - fyN;
  if (!(fyN >= 0 && shoulderN >= 0)) return fail("support-would-pull");
  const shoulder: Force = { at: contact, fxN: -fxN, fyN: shoulderN };
  const lowBack = lowBackDemand({ ...trunk, aboveL5: [...trunk.aboveL5, shoulder] });
  const foot: Force = { at: pressure, fxN, fyN };
  const frictionNeeded = Math.abs(fxN) / Math.max(1, fyN);
  const warnings: BridgeWarning[] = [];
  if (leg.kneeFlexionDeg > KNEECAP_VALID_TO_DEG) warnings.push("kneecap-extrapolated");
  if (frictionNeeded > FRICTION_MAX) warnings.push("slips");
  const trailShare = 1 - share;
  return {
    ok: true,
    warnings,
    ...leg,
    hipFlexionDeg: setting.hipFlexionDeg,
    trunkLeanDeg,
    hipHeightM: leg.hip[1],
    pressure,
    shoulderContact: contact,
    lead: leadAt(fxN),
    trail: legDemand(body, trailLeg, isFree ? trailLeg.ankle : pressure, {
      fxN: fxN * trailShare,
      fyN: fyN * trailShare,
      shareFraction: trailShare,
    }),
    trailLeg,
    shoulderN,
    lowBackMomentNm: lowBack.momentNm,
    lowBackCompressionN: lowBack.compressionN,
    lowBackShearN: lowBack.shearN,
    frictionNeeded,
    residual: Math.abs(sumMomentNm([...forces, foot, shoulder], leg.hip)),
  };
}

/** The drag that makes the working knee's and hip's squares least; both are linear in it. */
function leastDragN(leadAt: (fxN: number) => LegDemand): number {
  const [at0, at1] = [leadAt(0), leadAt(1)];
  const [knee, hip] = [at1.kneeMomentNm - at0.kneeMomentNm, at1.hipMomentNm - at0.hipMomentNm];
  return -(at0.kneeMomentNm * knee + at0.hipMomentNm * hip) / (knee ** 2 + hip ** 2);
}

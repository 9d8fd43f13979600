import type { Body } from "../body/body";
import { sinusoidRootsDeg } from "../numeric/roots";
import { cosDeg, degFromRad, GRAVITY_MPS2, sinDeg } from "../units";
import { solePoint } from "./foot";
import { legDemand, legWeights, type LowBack, writeLowBack } from "./joints";
import { KNEECAP_VALID_TO_DEG } from "./channels";
import { geometryOf, hangLeg, type Leg, newLeg, placeLeg, readAngles, spanLeg } from "./leg";
import type { LegDemand, LegGeometry } from "./standing.types";
import { along, type Force, type Point, sumMomentNm, weight } from "./vector";

const CONTACT_UP_FRACTION = 0.25; // of stature, hip to shoulder contact along the trunk
const CONTACT_BEHIND_FRACTION = 0.06;
const HIPS_CLEAR_FRACTION = 0.045;
const FRICTION_MAX = 0.6;
const SHANK_LOW_DEG = -60;
const SHANK_LOW_OFF_FLOOR_DEG = -115; // heels on a ball: the shin lies almost flat
const SHANK_HIGH_DEG = 45;

/** A bridge or hip thrust: shoulders on the floor or a bench, feet on the floor, head toward -x. */
export interface BridgeSetting {
  /** 0 is straight, + hips lower. */
  hipFlexionDeg: number;
  /** Fixed by the knee bend at the top (hip straight) or by the distance from ankle to shoulder contact. */
  placed: { by: "knee-at-top"; kneeFlexionDeg: number } | { by: "separation"; separationM: number };
  benchHeightM: number;
  foot: BridgeFoot;
  pressureFraction: number;
  leadShareFraction: number;
  /** Horizontal force of both feet, world x: - pushes the feet away, + drags the heels. `held` is the least push that keeps them on a wall. */
  footDrag: { kind: "zero" | "least" | "held" } | { kind: "force"; forceN: number };
  loads: readonly { massKg: number; at: "hips" | "vest" | "back" }[];
  trail: BridgeTrail;
}

/** What the working foot is on. Heights of the ankle above the floor, metres. A ball rolls, so it takes no horizontal force. */
export type BridgeFoot = { kind: "floor" } | { kind: "ball" | "wall"; ankleHeightM: number };
export type BridgeTrail =
  | { kind: "same" }
  /** The same foot, further from the shoulders, on the same support. */
  | { kind: "staggered"; furtherM: number }
  | { kind: "free"; thighDeg: number | "inline"; kneeFlexionDeg: number };

export const BRIDGE_DEFAULTS: Omit<BridgeSetting, "hipFlexionDeg" | "placed"> = {
  benchHeightM: 0,
  foot: { kind: "floor" },
  pressureFraction: 0.3,
  leadShareFraction: 0.5,
  footDrag: { kind: "zero" },
  loads: [],
  trail: { kind: "same" },
};

export type BridgeFailure = "bridge-unreachable" | "hips-on-floor" | "support-would-pull" | "trail-unreachable";
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
  trailPressure: Point;
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
  const upM = CONTACT_UP_FRACTION * body.heightM;
  const behind = CONTACT_BEHIND_FRACTION * body.heightM;
  const [sin, cos] = [sinDeg(hipFlexionDeg), cosDeg(hipFlexionDeg)];
  return [upM * sin - behind * cos, body.thighM + upM * cos + behind * sin];
}

const turned = ([x, y]: Point, angleDeg: number): Point => [
  x * cosDeg(angleDeg) - y * sinDeg(angleDeg),
  x * sinDeg(angleDeg) + y * cosDeg(angleDeg),
];
const wrapped = (angleDeg: number): number => angleDeg - 360 * Math.round(angleDeg / 360);

const ankleHeightM = (body: Body, { foot }: BridgeSetting): number => (foot.kind === "floor" ? body.ankleHeightM : foot.ankleHeightM);

function separationM(body: Body, setting: BridgeSetting): number | null {
  const { placed, benchHeightM } = setting;
  const ankleM = ankleHeightM(body, setting);
  if (placed.by === "separation") return placed.separationM;
  const [x, y] = turned(kneeToContact(body, 0), placed.kneeFlexionDeg);
  // the contact over the ankle, by sine and cosine of the shin's lean
  const acrossM = (sin: number, cos: number): number => body.shankM * sin + x * cos + y * sin;
  const upM = (sin: number, cos: number): number => ankleM + body.shankM * cos + y * cos - x * sin;
  const lowDeg = setting.foot.kind === "floor" ? SHANK_LOW_DEG : SHANK_LOW_OFF_FLOOR_DEG;
  const roots = sinusoidRootsDeg((sin, cos) => upM(sin, cos) - benchHeightM, lowDeg, SHANK_HIGH_DEG);
  return roots.map((shankDeg) => -acrossM(sinDeg(shankDeg), cosDeg(shankDeg))).find((value) => value > 0) ?? null;
}

/** Flat on the floor, square to the shin on a ball, toes up on a wall. */
function footPitchDeg({ foot }: BridgeSetting, shankDeg: number): number {
  if (foot.kind === "floor") return 0;
  return foot.kind === "ball" ? shankDeg : -90;
}

/** Where a foot carries: under its sole, or on a ball under the ankle. */
function footPressure(body: Body, { foot, pressureFraction }: BridgeSetting, leg: Leg): Point {
  if (foot.kind === "ball") return [leg.ankleXM, leg.ankleYM - body.ankleHeightM];
  const sole = solePoint(body, pressureFraction, leg.footPitchDeg);
  return [leg.ankleXM + sole[0], leg.ankleYM + sole[1]];
}

/** The other leg and where it carries; null out of reach. */
function otherLeg(body: Body, setting: BridgeSetting, lead: Leg): { leg: Leg; pressure: Point } | null {
  const { trail } = setting;
  if (trail.kind === "same") return { leg: lead, pressure: footPressure(body, setting, lead) };
  if (trail.kind === "free") {
    const leg = newLeg(body, 0);
    const thighDeg = trail.thighDeg === "inline" ? lead.kneeFlexionDeg - lead.shankLeanDeg : trail.thighDeg;
    hangLeg(body, leg, lead.hipXM, lead.hipYM, thighDeg, trail.kneeFlexionDeg);
    return { leg, pressure: [leg.ankleXM, leg.ankleYM] };
  }
  const leg = newLeg(body, lead.footPitchDeg);
  if (!spanLeg(body, leg, lead.ankleXM + trail.furtherM, lead.ankleYM, lead.hipXM, lead.hipYM)) return null;
  readAngles(leg);
  return { leg, pressure: footPressure(body, setting, leg) };
}

/** The working leg between the foot and the shoulder contact: two circles, knee above. */
function workingLeg(body: Body, setting: BridgeSetting, contact: Point): Leg | null {
  const [ankleX, ankleY] = [0, ankleHeightM(body, setting)];
  const rigid = kneeToContact(body, setting.hipFlexionDeg);
  const rigidM = Math.hypot(...rigid);
  const [dx, dy] = [contact[0] - ankleX, contact[1] - ankleY];
  const distanceM = Math.hypot(dx, dy);
  const lengthwise = (body.shankM ** 2 - rigidM ** 2 + distanceM ** 2) / (2 * distanceM);
  const acrossSquared = body.shankM ** 2 - lengthwise ** 2;
  if (!(acrossSquared >= 0)) return null;
  const side = dx > 0 ? 1 : -1; // of the line to the contact: the knee is above it
  const across = side * Math.sqrt(acrossSquared);
  const [kneeX, kneeY] = [ankleX + (lengthwise * dx - across * dy) / distanceM, ankleY + (lengthwise * dy + across * dx) / distanceM];
  const shankDeg = degFromRad(Math.atan2(kneeX - ankleX, kneeY - ankleY));
  const angleOf = ([x, y]: Point): number => degFromRad(Math.atan2(y, x));
  const thighDeg = wrapped(angleOf([contact[0] - kneeX, contact[1] - kneeY]) - angleOf(rigid));
  const leg = newLeg(body, footPitchDeg(setting, shankDeg));
  leg.ankleYM = ankleY;
  placeLeg(body, leg, shankDeg + thighDeg, shankDeg);
  return leg;
}

interface Trunk {
  up: Point;
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
  return { up: [sin, cos], l5: on(body.l5M, 0), aboveL5, belowL5 };
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
  const working = workingLeg(body, setting, contact);
  if (!working) return fail("bridge-unreachable");
  if (!(working.hipYM >= HIPS_CLEAR_FRACTION * body.heightM)) return fail("hips-on-floor");
  const other = otherLeg(body, setting, working);
  if (!other) return fail("trail-unreachable");
  const [leg, trailLeg] = [geometryOf(working), geometryOf(other.leg)];
  const trunkLeanDeg = setting.hipFlexionDeg - leg.thighLeanDeg;
  const trunk = trunkForces(body, leg.hip, trunkLeanDeg, setting.loads);
  const share = setting.trail.kind === "free" ? 1 : setting.leadShareFraction;
  const pressure = footPressure(body, setting, working);
  const middle = along(other.pressure, pressure, share); // of what both feet carry
  const forces = [...legWeights(body, leg), ...legWeights(body, trailLeg), ...trunk.aboveL5, ...trunk.belowL5];
  const aboutNm = sumMomentNm(forces, contact);
  const footFyN = (fxN: number): number => -(aboutNm - (middle[1] - contact[1]) * fxN) / (middle[0] - contact[0]);
  const leadAt = (fxN: number): LegDemand =>
    legDemand(body, working, pressure, { fxN: fxN * share, fyN: footFyN(fxN) * share, shareFraction: share });
  const fxN = footDragN(setting, footFyN, leadAt);
  const fyN = footFyN(fxN);
  const shoulderN = -forces.reduce((sum, force) => sum + force.fyN, 0) - fyN;
  if (!(fyN >= 0 && shoulderN >= 0)) return fail("support-would-pull");
  const shoulder: Force = { at: contact, fxN: -fxN, fyN: shoulderN };
  const lowBack = lowBackOf([...trunk.aboveL5, shoulder], trunk);
  const isWall = setting.foot.kind === "wall";
  const frictionNeeded = isWall ? fyN / Math.max(1, -fxN) : Math.abs(fxN) / Math.max(1, fyN);
  const warnings: BridgeWarning[] = [];
  if (leg.kneeFlexionDeg > KNEECAP_VALID_TO_DEG) warnings.push("kneecap-extrapolated");
  if (frictionNeeded > FRICTION_MAX + 1e-9) warnings.push("slips");
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
    trail: legDemand(body, other.leg, other.pressure, { fxN: fxN * trailShare, fyN: fyN * trailShare, shareFraction: trailShare }),
    trailLeg: setting.trail.kind === "same" ? leg : trailLeg,
    trailPressure: other.pressure,
    shoulderN,
    lowBackMomentNm: lowBack.momentNm,
    lowBackCompressionN: lowBack.compressionN,
    lowBackShearN: lowBack.shearN,
    frictionNeeded,
    residual: Math.abs(sumMomentNm([...forces, { at: middle, fxN, fyN }, shoulder], leg.hip)),
  };
}

/** Low back from the top: the trunk's own weight and the shoulders' contact. */
function lowBackOf(aboveL5: readonly Force[], { l5, up }: Trunk): LowBack {
  const lowBack: LowBack = { momentNm: NaN, compressionN: NaN, shearN: NaN };
  const sum = (pick: (force: Force) => number): number => aboveL5.reduce((total, force) => total + pick(force), 0);
  const [fxN, fyN] = [sum((force) => force.fxN), sum((force) => force.fyN)];
  writeLowBack(lowBack, -sumMomentNm(aboveL5, l5), fxN, fyN, up[0], up[1]);
  return lowBack;
}

function footDragN(setting: BridgeSetting, footFyN: (fxN: number) => number, leadAt: (fxN: number) => LegDemand): number {
  const { footDrag } = setting;
  switch (footDrag.kind) {
    case "zero":
      return 0;
    case "force":
      return footDrag.forceN;
    case "least":
      return leastDragN(leadAt);
    case "held": {
      // the push that friction on the wall just holds: what the feet carry is linear in it
      const at0N = footFyN(0);
      return -at0N / (FRICTION_MAX + footFyN(1) - at0N);
    }
  }
}

/** The drag that makes the working knee's and hip's squares least; both are linear in it. */
function leastDragN(leadAt: (fxN: number) => LegDemand): number {
  const [at0, at1] = [leadAt(0), leadAt(1)];
  const [knee, hip] = [at1.kneeMomentNm - at0.kneeMomentNm, at1.hipMomentNm - at0.hipMomentNm];
  return -(at0.kneeMomentNm * knee + at0.hipMomentNm * hip) / (knee ** 2 + hip ** 2);
}

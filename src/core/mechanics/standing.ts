import type { Body } from "../body/body";
import { GRAVITY_MPS2 } from "../units";
import { balance } from "./balance";
import { setBrace, writeMoments } from "./brace";
import { isDorsiflexionLimited, kneeFlexionDegOf } from "./depth";
import { solePoint } from "./foot";
import { writeKneeTissue, writeLowBack } from "./joints";
import { KNEECAP_VALID_TO_DEG } from "./channels";
import { geometryOf, hangLeg, legWeightMomentNm, readAngles } from "./leg";
import { prepareStanding, type Prepared } from "./prepared";
import type { Depth, LegDemand, PoseFailure, PoseWarning, StandingResult, StandingSetting } from "./standing.types";
import { pointX, pointY, type UpperForces, writeAssist, writeUpperForces } from "./upper-body";
import type { Force, Point } from "./vector";

const REACH_SLACK = 1.001;
const ANGLE_SLACK_DEG = 1e-9;
const GROUND_MIN_FRACTION = 0.02;

const upper: UpperForces = { fxN: 0, fyN: 0, hipMomentNm: 0 };

/** Why the set of assists cannot be used with this balance, or null. */
function assistProblem({ assists, balance: { solve } }: StandingSetting): PoseFailure | null {
  const openCount = assists.filter(({ force }) => force.kind !== "components" && force.magnitudeN === null).length;
  if (solve === "assist") return openCount === 1 ? null : openCount === 0 ? "no-assist-to-solve" : "assist-unspecified";
  return openCount > 0 ? "assist-unspecified" : null;
}

/** Puts a prepared set-up into its pose at one depth, in balance: where everything is, before what is asked of it. */
export function placeStanding(p: Prepared, depth: Depth): PoseFailure | null {
  const kneeDeg = kneeFlexionDegOf(p.body, p.setting, depth, p.ankleM);
  if (typeof kneeDeg === "string") return kneeDeg;
  p.askedKneeDeg = kneeDeg;
  p.lead.ankleYM = p.ankleM;
  return balance(p, kneeDeg, depth);
}

/**
 * Solves a prepared set-up at one depth: legs, trunk and every joint demand are written into `p`, nothing is allocated
 * (docs/equations.md E3 to E12, E16, E17). Returns why there is no such pose, or null.
 */
export function solveStanding(p: Prepared, depth: Depth): PoseFailure | null {
  const { body, lead, setting } = p;
  const failure = placeStanding(p, depth);
  if (failure) return failure;
  writeUpperForces(upper, p.upper, "all", p.sinTrunk, p.cosTrunk, lead.hipXM, lead.hipYM, p.solvedN);
  p.sumFxN = upper.fxN;
  p.sumFyN = upper.fyN - p.standingN;
  if (!(-p.sumFyN > GROUND_MIN_FRACTION * body.massKg * GRAVITY_MPS2)) return "assist-overload";
  const { trail } = setting;
  if (p.isTrailLoaded) readAngles(p.trail);
  if (trail.kind === "free") {
    hangLeg(body, p.trail, lead.hipXM, lead.hipYM, trail.thighDeg === "inline" ? -p.trunkLeanDeg : trail.thighDeg, trail.kneeFlexionDeg);
    p.trailXM = p.trail.ankleXM;
    p.trailYM = p.trail.ankleYM;
  }
  if (trail.kind === "same") {
    p.trailXM = p.pressureXM;
    p.trailYM = p.pressureYM;
  }
  setBrace(p);
  writeMoments(p, p.braceN);
  writeKneeTissue(p.leadDemand, body, lead);
  writeKneeTissue(p.trailDemand, body, p.trail);
  writeUpperForces(upper, p.upper, "above", p.sinTrunk, p.cosTrunk, lead.hipXM, lead.hipYM, p.solvedN);
  const l5X = body.l5M * p.sinTrunk; // from the hip
  const l5Y = body.l5M * p.cosTrunk;
  const flexingNm = l5X * upper.fyN - l5Y * upper.fxN - upper.hipMomentNm;
  writeLowBack(p.lowBack, flexingNm, upper.fxN, upper.fyN, p.sinTrunk, p.cosTrunk);
  return null;
}

const slip = ({ groundFxN, groundFyN }: LegDemand): number => (groundFyN > 0 ? Math.abs(groundFxN) / Math.max(1, groundFyN) : 0);

function warningsOf(p: Prepared, dorsiflexionDeg: number, hipFlexionDeg: number, frictionNeeded: number): PoseWarning[] {
  const { setting, lead, trail } = p;
  const warnings: PoseWarning[] = [];
  const add = (warning: PoseWarning, isTrue: boolean): void => void (isTrue && warnings.push(warning));
  const mostDeg = setting.dorsiflexionMaxDeg + ANGLE_SLACK_DEG;
  add("ankle-limit", dorsiflexionDeg > mostDeg);
  add("trail-ankle-limit", setting.trail.kind === "ground" && trail.shankLeanDeg - trail.footPitchDeg > mostDeg);
  add("hip-limit", hipFlexionDeg > setting.hipFlexionMaxDeg);
  add("kneecap-extrapolated", lead.kneeFlexionDeg > KNEECAP_VALID_TO_DEG);
  const [shoulder, hand] = [trunkPointAt(p, p.upper.shoulder), trunkPointAt(p, p.upper.hand)];
  add("hands-out-of-reach", Math.hypot(hand[0] - shoulder[0], hand[1] - shoulder[1]) > REACH_SLACK * p.body.armReachM);
  add("slips", frictionNeeded > setting.frictionMax);
  return warnings;
}

/** Where a point that goes with the trunk is, in the pose that was solved last. */
export const trunkPointAt = ({ lead, sinTrunk, cosTrunk }: Prepared, point: Prepared["upper"]["hand"]): Point => [
  lead.hipXM + pointX(point, sinTrunk, cosTrunk, lead.hipXM),
  lead.hipYM + pointY(point, sinTrunk, cosTrunk, lead.hipYM),
];

function assistForces(p: Prepared): Force[] {
  const { hipXM, hipYM } = p.lead;
  return p.upper.assists.map((assist) => {
    writeAssist(upper, assist, p.sinTrunk, p.cosTrunk, hipXM, hipYM, p.solvedN);
    return { at: trunkPointAt(p, assist.at), fxN: upper.fxN, fyN: upper.fyN };
  });
}

/** Moment of everything, ground included, about the lead ankle: nothing, in equilibrium. */
function residualNm(p: Prepared): number {
  const { body, lead, leadDemand, trailDemand, setting } = p;
  writeUpperForces(upper, p.upper, "all", p.sinTrunk, p.cosTrunk, lead.hipXM, lead.hipYM, p.solvedN);
  const { ankleXM: x, ankleYM: y } = lead;
  const upperNm = upper.hipMomentNm + (lead.hipXM - x) * upper.fyN - (lead.hipYM - y) * upper.fxN;
  const trailNm = setting.trail.kind === "free" ? 0 : legWeightMomentNm(body, p.trail, x); // a hanging leg is in the upper body's sums
  const groundNm = (p.pressureXM - x) * leadDemand.groundFyN - (p.pressureYM - y) * leadDemand.groundFxN;
  const trailGroundNm = (p.trailXM - x) * trailDemand.groundFyN - (p.trailYM - y) * trailDemand.groundFxN;
  return Math.abs(upperNm + legWeightMomentNm(body, lead, x) + trailNm + groundNm + trailGroundNm);
}

/** Horizontal place of the centre of mass of body and loads. */
function centreOfMassXM(p: Prepared): number {
  const { body, lead, upper: ready, setting } = p;
  const { weights } = ready;
  const hipNm =
    weights.momentNm +
    weights.momentSinNm * p.sinTrunk +
    weights.momentCosNm * p.cosTrunk +
    weights.momentPerHipXN * lead.hipXM +
    weights.fyN * lead.hipXM;
  const trailNm = setting.trail.kind === "free" ? 0 : legWeightMomentNm(body, p.trail, 0);
  return (hipNm + legWeightMomentNm(body, lead, 0) + trailNm) / (weights.fyN - p.standingN);
}

/**
 * A standing pose: angles, points, external joint moments per leg and low-back demand
 * (docs/equations.md E3 to E12, E16, E17). Quasi-static, sagittal plane; x forward, y up, metres, newtons, degrees.
 * A pose that cannot be reached or balanced comes back as `{ok: false, reason}`, never as NaN.
 */
export function standingPose(body: Body, setting: StandingSetting): StandingResult {
  const problem = assistProblem(setting);
  if (problem) return { ok: false, reason: problem, warnings: [] };
  const p = prepareStanding(body, setting);
  const failure = solveStanding(p, setting.depth);
  // the rule's own lean is what is compared, also where the shin is then solved
  const limited: PoseWarning[] = isDorsiflexionLimited(body, setting, p.askedKneeDeg) ? ["dorsiflexion-limited"] : [];
  if (failure) return { ok: false, reason: failure, warnings: limited };
  const leg = geometryOf(p.lead);
  const dorsiflexionDeg = leg.shankLeanDeg - leg.footPitchDeg;
  const hipFlexionDeg = leg.thighLeanDeg + p.trunkLeanDeg;
  const frictionNeeded = Math.max(slip(p.leadDemand), slip(p.trailDemand));
  const [heel, toe] = [solePoint(body, 0, leg.footPitchDeg), solePoint(body, 1, leg.footPitchDeg)];
  const assists = assistForces(p);
  return {
    ok: true,
    warnings: [...limited, ...warningsOf(p, dorsiflexionDeg, hipFlexionDeg, frictionNeeded), ...(p.braceWarning ? [p.braceWarning] : [])],
    ...leg,
    hipFlexionDeg,
    dorsiflexionDeg,
    trunkLeanDeg: p.trunkLeanDeg,
    hipHeightM: leg.hip[1],
    pressure: [p.pressureXM, p.pressureYM],
    heel: [leg.ankle[0] + heel[0], leg.ankle[1] + heel[1]],
    toe: [leg.ankle[0] + toe[0], leg.ankle[1] + toe[1]],
    shoulder: trunkPointAt(p, p.upper.shoulder),
    hand: trunkPointAt(p, p.upper.hand),
    lead: p.leadDemand,
    trail: p.trailDemand,
    trailLeg: setting.trail.kind === "same" ? leg : geometryOf(p.trail),
    trailPressure: [p.trailXM, p.trailYM],
    lowBackMomentNm: p.lowBack.momentNm,
    lowBackCompressionN: p.lowBack.compressionN,
    lowBackShearN: p.lowBack.shearN,
    assistN: assists.reduce((sum, { fxN, fyN }) => sum + Math.hypot(fxN, fyN), 0),
    assistUpFraction: assists.reduce((sum, { fyN }) => sum + fyN, 0) / (body.massKg * GRAVITY_MPS2),
    frictionNeeded,
    centreOfMassXM: centreOfMassXM(p),
    residual: residualNm(p),
    assistForces: assists,
  };
}

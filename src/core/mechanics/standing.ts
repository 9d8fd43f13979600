import type { Body } from "../body/body";
import { GRAVITY_MPS2 } from "../units";
import { balanceAssist, type Balanced, balancePressure, balanceShank, balanceShare, balanceTrunk } from "./balance";
import { braceForce, footDemand, type Footing } from "./brace";
import { lowBackDemand } from "./joints";
import { KNEECAP_VALID_TO_DEG } from "./kneecap";
import { isDorsiflexionLimited, kneeFlexionDegOf, legGeometry, pressureFraction, pressurePoint, shankLeanDeg, solePoint } from "./legs";
import { stanceOf } from "./stance";
import type { LegDemand, PoseFailure, PoseWarning, StandingResult, StandingSetting } from "./standing.types";
import { upperBody } from "./upper-body";
import { type Force, type Point, sumMomentNm } from "./vector";

const REACH_SLACK = 1.001;
const ANGLE_SLACK_DEG = 1e-9;
const GROUND_MIN_FRACTION = 0.02;

const ground = (at: Point, { groundFxN, groundFyN }: LegDemand): Force => ({ at, fxN: groundFxN, fyN: groundFyN });

/** Why the set of assists cannot be used with this balance, or null. */
function assistProblem({ assists, balance }: StandingSetting): PoseFailure | null {
  const openCount = assists.filter(({ force }) => force.kind !== "components" && force.magnitudeN === null).length;
  if (balance.solve === "assist") return openCount === 1 ? null : openCount === 0 ? "no-assist-to-solve" : "assist-unspecified";
  return openCount > 0 ? "assist-unspecified" : null;
}

function balanced(body: Body, setting: StandingSetting, kneeDeg: number): Balanced | PoseFailure {
  const fraction = pressureFraction(setting);
  const { balance } = setting;
  if (balance.solve === "shank") return balanceShank(body, setting, kneeDeg, balance.trunkLeanDeg, fraction);
  const leg = legGeometry(body, setting, kneeDeg, shankLeanDeg(body, setting, kneeDeg));
  if (balance.solve === "pressure") return balancePressure(body, setting, leg, balance.trunkLeanDeg);
  const pressure = pressurePoint(body, leg, fraction);
  if (balance.solve === "share") return balanceShare(body, setting, leg, pressure, balance.trunkLeanDeg);
  return balance.solve === "assist"
    ? balanceAssist(body, setting, leg, pressure, balance.trunkLeanDeg)
    : balanceTrunk(body, setting, leg, pressure);
}

/**
 * A standing pose: angles, points, external joint moments per leg and low-back demand
 * (docs/equations.md E3 to E12, E16, E17). Quasi-static, sagittal plane; x forward, y up, metres, newtons, degrees.
 * A pose that cannot be reached or balanced comes back as `{ok: false, reason}`, never as NaN.
 */
export function standingPose(body: Body, setting: StandingSetting): StandingResult {
  const warnings: PoseWarning[] = [];
  const fail = (reason: PoseFailure): StandingResult => ({ ok: false, reason, warnings });
  const problem = assistProblem(setting);
  if (problem) return fail(problem);
  const kneeDeg = kneeFlexionDegOf(body, setting);
  if (typeof kneeDeg === "string") return fail(kneeDeg);
  if (isDorsiflexionLimited(body, setting, kneeDeg)) warnings.push("dorsiflexion-limited");
  const state = balanced(body, setting, kneeDeg);
  if (typeof state === "string") return fail(state);

  const { leg, trunkLeanDeg, pressure, solvedN, shareFraction } = state;
  const stance = stanceOf(body, setting, leg, pressure, trunkLeanDeg);
  if (!stance) return fail("trail-unreachable");
  const upper = upperBody(body, setting, leg.hip, trunkLeanDeg, solvedN);
  const forces: Force[] = [...stance.weights, ...upper.aboveL5, ...upper.belowL5];
  const sumFxN = forces.reduce((sum, { fxN }) => sum + fxN, 0);
  const sumFyN = forces.reduce((sum, { fyN }) => sum + fyN, 0);
  const bodyWeightN = body.massKg * GRAVITY_MPS2;
  if (!(-sumFyN > GROUND_MIN_FRACTION * bodyWeightN)) return fail("assist-overload");

  const isSame = setting.trail.kind === "same";
  const lead: Footing = { leg, pressure, shareFraction, fxN: -sumFxN * (isSame ? shareFraction : 1), fyN: -sumFyN * shareFraction };
  const trailShare = setting.trail.kind === "free" ? 0 : 1 - shareFraction;
  const trail: Footing = {
    leg: stance.trail,
    pressure: stance.trailPressure,
    shareFraction: trailShare,
    fxN: isSame ? -sumFxN * trailShare : 0,
    fyN: -sumFyN * trailShare,
  };
  const { braceN, warning: braceWarning } = braceForce(body, setting, lead, trail);
  const [leadDemand, trailDemand] = [footDemand(body, lead, braceN), footDemand(body, trail, -braceN)];
  const dorsiflexionDeg = leg.shankLeanDeg - leg.footPitchDeg;
  const hipFlexionDeg = leg.thighLeanDeg + trunkLeanDeg;
  const slip = ({ groundFxN, groundFyN }: LegDemand): number => (groundFyN > 0 ? Math.abs(groundFxN) / Math.max(1, groundFyN) : 0);
  const frictionNeeded = Math.max(slip(leadDemand), slip(trailDemand));
  if (dorsiflexionDeg > setting.dorsiflexionMaxDeg + ANGLE_SLACK_DEG) warnings.push("ankle-limit");
  if (
    setting.trail.kind === "ground" &&
    stance.trail.shankLeanDeg - stance.trail.footPitchDeg > setting.dorsiflexionMaxDeg + ANGLE_SLACK_DEG
  )
    warnings.push("trail-ankle-limit");
  if (hipFlexionDeg > setting.hipFlexionMaxDeg) warnings.push("hip-limit");
  if (leg.kneeFlexionDeg > KNEECAP_VALID_TO_DEG) warnings.push("kneecap-extrapolated");
  if (Math.hypot(upper.hand[0] - upper.shoulder[0], upper.hand[1] - upper.shoulder[1]) > REACH_SLACK * body.armReachM)
    warnings.push("hands-out-of-reach");
  if (frictionNeeded > setting.frictionMax) warnings.push("slips");

  if (braceWarning) warnings.push(braceWarning);
  const lowBack = lowBackDemand(upper);
  const [heel, toe] = [solePoint(body, 0, leg.footPitchDeg), solePoint(body, 1, leg.footPitchDeg)];
  const weights = forces.filter((force) => !upper.assists.includes(force));
  const weightSumN = weights.reduce((sum, { fyN }) => sum + fyN, 0);
  return {
    ok: true,
    warnings,
    ...leg,
    hipFlexionDeg,
    dorsiflexionDeg,
    trunkLeanDeg,
    hipHeightM: leg.hip[1],
    pressure,
    heel: [leg.ankle[0] + heel[0], leg.ankle[1] + heel[1]],
    toe: [leg.ankle[0] + toe[0], leg.ankle[1] + toe[1]],
    shoulder: upper.shoulder,
    hand: upper.hand,
    lead: leadDemand,
    trail: trailDemand,
    trailLeg: stance.trail,
    trailPressure: stance.trailPressure,
    lowBackMomentNm: lowBack.momentNm,
    lowBackCompressionN: lowBack.compressionN,
    lowBackShearN: lowBack.shearN,
    assistN: upper.assists.reduce((sum, { fxN, fyN }) => sum + Math.hypot(fxN, fyN), 0),
    assistUpFraction: upper.assists.reduce((sum, { fyN }) => sum + fyN, 0) / bodyWeightN,
    frictionNeeded,
    centreOfMassXM: weights.reduce((sum, { at, fyN }) => sum + at[0] * fyN, 0) / weightSumN,
    residual: Math.abs(sumMomentNm([...forces, ground(pressure, leadDemand), ground(stance.trailPressure, trailDemand)], leg.ankle)),
    assistForces: upper.assists,
  };
}

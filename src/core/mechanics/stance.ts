import type { Body } from "../body/body";
import { BALL_FRACTION } from "../body/segments.data";
import { cosDeg, degFromRad, sinDeg } from "../units";
import { legWeights } from "./joints";
import { ankleOnFootM, pressurePoint, solePoint } from "./legs";
import type { LegGeometry, StandingSetting } from "./standing.types";
import type { Force, Point } from "./vector";

const REACH_SLACK_M = 1e-9;

/** Both legs of a pose: where the other one is, what they weigh, and where it carries load, if it does. */
export interface Stance {
  trail: LegGeometry;
  trailPressure: Point;
  /** Whether the other foot stands on something apart from the lead foot. */
  isTrailLoaded: boolean;
  weights: Force[];
}

/** A leg from ankle to hip by two-link inverse kinematics, knee forward (docs/equations.md E16). Null out of reach. */
export function legBetween(body: Body, ankle: Point, hip: Point, footPitchDeg: number): LegGeometry | null {
  const [dx, dy] = [hip[0] - ankle[0], hip[1] - ankle[1]];
  const { shankM: s, thighM: t } = body;
  const distanceM = Math.hypot(dx, dy);
  if (!(distanceM <= s + t + REACH_SLACK_M) || !(distanceM >= Math.abs(s - t))) return null;
  const cosKnee = Math.min(1, Math.max(-1, (distanceM ** 2 - s ** 2 - t ** 2) / (2 * s * t)));
  const kneeDeg = degFromRad(Math.acos(cosKnee));
  const shankDeg = degFromRad(Math.atan2(dx, dy) + Math.atan2(t * sinDeg(kneeDeg), s + t * cosKnee));
  const knee: Point = [ankle[0] + s * sinDeg(shankDeg), ankle[1] + s * cosDeg(shankDeg)];
  return { kneeFlexionDeg: kneeDeg, shankLeanDeg: shankDeg, thighLeanDeg: kneeDeg - shankDeg, footPitchDeg, ankle, knee, hip };
}

/** A leg hanging from the hip: thigh forward of vertical, knee bent, foot at right angles to the shin. */
export function hangingLeg(body: Body, hip: Point, thighDeg: number, kneeFlexionDeg: number): LegGeometry {
  const shankDeg = kneeFlexionDeg - thighDeg;
  const knee: Point = [hip[0] + body.thighM * sinDeg(thighDeg), hip[1] - body.thighM * cosDeg(thighDeg)];
  const ankle: Point = [knee[0] - body.shankM * sinDeg(shankDeg), knee[1] - body.shankM * cosDeg(shankDeg)];
  return { kneeFlexionDeg, shankLeanDeg: shankDeg, thighLeanDeg: thighDeg, footPitchDeg: shankDeg, ankle, knee, hip };
}

function groundedLeg(body: Body, hip: Point, trail: Extract<StandingSetting["trail"], { kind: "ground" }>): [LegGeometry, Point] | null {
  const contact: Point = [-trail.backM, trail.levelM];
  const sole = solePoint(body, trail.heelDeg > 0 ? BALL_FRACTION : trail.pressureFraction, trail.heelDeg);
  const leg = legBetween(body, [contact[0] - sole[0], contact[1] - sole[1]], hip, trail.heelDeg);
  return leg && [leg, contact];
}

function reachingLeg(body: Body, hip: Point, trail: Extract<StandingSetting["trail"], { kind: "reach" }>): [LegGeometry, Point] | null {
  const { shankM: s, thighM: t } = body;
  const ankleY = trail.levelM + ankleOnFootM(body, trail.heelDeg);
  const acrossSquared = s ** 2 + t ** 2 + 2 * s * t * cosDeg(trail.kneeFlexionDeg) - (hip[1] - ankleY) ** 2;
  if (!(acrossSquared >= -REACH_SLACK_M)) return null;
  const ankle: Point = [hip[0] + trail.direction * Math.sqrt(Math.max(0, acrossSquared)), ankleY];
  const leg = legBetween(body, ankle, hip, trail.heelDeg);
  return leg && [leg, pressurePoint(body, leg, trail.heelDeg > 0 ? BALL_FRACTION : 0.5)];
}

/** The other leg of a standing pose at one trunk lean, or null where it cannot reach. */
export function stanceOf(body: Body, { trail }: StandingSetting, lead: LegGeometry, pressure: Point, trunkLeanDeg: number): Stance | null {
  const leadWeights = legWeights(body, lead);
  if (trail.kind === "same")
    return { trail: lead, trailPressure: pressure, isTrailLoaded: false, weights: [...leadWeights, ...leadWeights] };
  if (trail.kind === "free") {
    const leg = hangingLeg(body, lead.hip, trail.thighDeg === "inline" ? -trunkLeanDeg : trail.thighDeg, trail.kneeFlexionDeg);
    return { trail: leg, trailPressure: leg.ankle, isTrailLoaded: false, weights: [...leadWeights, ...legWeights(body, leg)] };
  }
  const found = trail.kind === "ground" ? groundedLeg(body, lead.hip, trail) : reachingLeg(body, lead.hip, trail);
  if (!found) return null;
  const [leg, contact] = found;
  return { trail: leg, trailPressure: contact, isTrailLoaded: true, weights: [...leadWeights, ...legWeights(body, leg)] };
}

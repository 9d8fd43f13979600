import type { Body } from "../body/body";
import { legDemand } from "./joints";
import type { Brace, LegDemand, LegGeometry, PoseWarning, StandingSetting } from "./standing.types";
import type { Point } from "./vector";

/** One foot on the ground: its leg, pressure point and force before bracing. */
export interface Footing {
  leg: LegGeometry;
  pressure: Point;
  fxN: number;
  fyN: number;
  shareFraction: number;
}

const SAME_HEIGHT_M = 1e-9;

export const footDemand = (body: Body, { leg, pressure, fxN, fyN, shareFraction }: Footing, braceN: number): LegDemand =>
  legDemand(body, leg, pressure, { fxN: fxN + braceN, fyN, shareFraction });

/** The bracing that makes the squares of both legs' knee and hip moments least; each is linear in it (E17). */
function leastBraceN(body: Body, lead: Footing, trail: Footing): number {
  const moments = (braceN: number): number[] =>
    [footDemand(body, lead, braceN), footDemand(body, trail, -braceN)].flatMap(({ kneeMomentNm, hipMomentNm }) => [
      kneeMomentNm,
      hipMomentNm,
    ]);
  const at0 = moments(0);
  const slope = moments(1).map((value, i) => value - (at0[i] ?? NaN));
  const across = slope.reduce((sum, c, i) => sum + c * (at0[i] ?? NaN), 0);
  return -across / slope.reduce((sum, c) => sum + c * c, 0);
}

function wantedN(body: Body, brace: Exclude<Brace, { kind: "vertical" }>, lead: Footing, trail: Footing): number {
  return brace.kind === "force" ? brace.forceN : brace.fraction * leastBraceN(body, lead, trail);
}

/** The bracing between two loaded feet, cut by friction; none between feet at different heights. */
export function braceForce(
  body: Body,
  { brace, trail: { kind }, frictionMax }: StandingSetting,
  lead: Footing,
  trail: Footing,
): { braceN: number; warning: PoseWarning | null } {
  if (brace.kind === "vertical" || (kind !== "ground" && kind !== "reach")) return { braceN: 0, warning: null };
  if (Math.abs(lead.pressure[1] - trail.pressure[1]) > SAME_HEIGHT_M) return { braceN: 0, warning: "brace-ignored" };
  const wanted = wantedN(body, brace, lead, trail);
  const mostN = frictionMax * Math.max(0, Math.min(lead.fyN, trail.fyN));
  return Math.abs(wanted) > mostN
    ? { braceN: Math.sign(wanted) * mostN, warning: "brace-friction-limited" }
    : { braceN: wanted, warning: null };
}

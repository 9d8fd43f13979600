import { writeLegMoments } from "./joints";
import type { Prepared } from "./prepared";

const SAME_HEIGHT_M = 1e-9;

/** Moments of both legs with a bracing force: pushed forward under the lead foot, back under the other. */
export function writeMoments(p: Prepared, braceN: number): void {
  const { body, lead, trail, setting, sumFxN, sumFyN, shareFraction } = p;
  const isSame = setting.trail.kind === "same";
  const trailShare = setting.trail.kind === "free" ? 0 : 1 - shareFraction;
  const trailX = isSame ? p.pressureXM : p.trailXM;
  const trailY = isSame ? p.pressureYM : p.trailYM;
  p.leadDemand.shareFraction = shareFraction;
  p.trailDemand.shareFraction = trailShare;
  writeLegMoments(
    p.leadDemand,
    body,
    lead,
    p.pressureXM,
    p.pressureYM,
    -sumFxN * (isSame ? shareFraction : 1) + braceN,
    -sumFyN * shareFraction,
  );
  writeLegMoments(p.trailDemand, body, trail, trailX, trailY, (isSame ? -sumFxN * trailShare : 0) - braceN, -sumFyN * trailShare);
}

/** The bracing that makes the squares of both legs' knee and hip moments least; each is linear in it (E17). */
function leastBraceN(p: Prepared): number {
  const { leadDemand, trailDemand } = p;
  writeMoments(p, 0);
  const [leadKnee, leadHip] = [leadDemand.kneeMomentNm, leadDemand.hipMomentNm];
  const [trailKnee, trailHip] = [trailDemand.kneeMomentNm, trailDemand.hipMomentNm];
  writeMoments(p, 1);
  const [dLeadKnee, dLeadHip] = [leadDemand.kneeMomentNm - leadKnee, leadDemand.hipMomentNm - leadHip];
  const [dTrailKnee, dTrailHip] = [trailDemand.kneeMomentNm - trailKnee, trailDemand.hipMomentNm - trailHip];
  const across = leadKnee * dLeadKnee + leadHip * dLeadHip + trailKnee * dTrailKnee + trailHip * dTrailHip;
  return -across / (dLeadKnee ** 2 + dLeadHip ** 2 + dTrailKnee ** 2 + dTrailHip ** 2);
}

/** Sets the bracing between two loaded feet, cut by friction; none between feet at different heights. */
export function setBrace(p: Prepared): void {
  const { brace, frictionMax } = p.setting;
  p.braceN = 0;
  p.braceWarning = null;
  if (brace.kind === "vertical" || !p.isTrailLoaded) return;
  if (Math.abs(p.pressureYM - p.trailYM) > SAME_HEIGHT_M) {
    p.braceWarning = "brace-ignored";
    return;
  }
  const wantedN = brace.kind === "force" ? brace.forceN : brace.fraction * leastBraceN(p);
  const leastFyN = -p.sumFyN * Math.min(p.shareFraction, 1 - p.shareFraction);
  const mostN = frictionMax * Math.max(0, leastFyN);
  const isCut = Math.abs(wantedN) > mostN;
  p.braceN = isCut ? Math.sign(wantedN) * mostN : wantedN;
  if (isCut) p.braceWarning = "brace-friction-limited";
}

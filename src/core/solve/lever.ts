import { type LeverId, type LeverRange, LEVERS, type Setting, type Variation } from "../catalogue/variation";
import { depthOf, type Subject, standingSettingOf } from "../fit/demand";
import { leverValues, withLever } from "../fit/levers";
import { SAME_BETWEEN_FRACTION } from "../fit/route";
import { RISER_MIN_FRACTION } from "../fit/stair";
import type { ChannelSide, FitChannelId } from "../mechanics/channels";
import { prepareStanding } from "../mechanics/prepared";
import { preparedValue } from "../mechanics/readings";
import { solveStanding } from "../mechanics/standing";
import type { PoseFailure } from "../mechanics/standing.types";
import { inverse, type InverseResult } from "./inverse";

/** One channel on one side: what a lever is solved for. */
export interface Watched {
  channel: FitChannelId;
  side: ChannelSide;
}

/** Which leg of a pose a side is: the side to watch leads, and what has no side is read with it. */
const legOf = ({ leadSide }: Subject, side: ChannelSide): "lead" | "trail" => (side === "both" || side === leadSide ? "lead" : "trail");

/** The exact setting that gives a demand, and of those on hand the one that comes nearest without asking more; null where none does. */
export type LeverSolution = InverseResult & { snapped: number | null };

/** Solves a curve for a demand (docs/equations.md E14) and snaps it to the values on hand, always on the safe side. */
export function solveCurve(
  demandAt: (value: number) => number,
  { low, high }: { low: number; high: number },
  target: number,
  onHand: readonly number[],
): LeverSolution {
  const result = inverse(demandAt, low, high, target);
  let snapped: number | null = null;
  let most = -Infinity;
  for (const value of onHand) {
    const demand = demandAt(value);
    if (!(demand <= target && demand > most)) continue;
    [snapped, most] = [value, demand];
  }
  return { ...result, snapped };
}

/**
 * Headline demand of one channel along one lever, NaN where there is no pose. A depth keeps everything else prepared, so
 * that a pose on the way costs about a microsecond.
 */
export function leverCurve(
  subject: Subject,
  variation: Variation,
  setting: Setting,
  lever: LeverId,
  watched: Watched,
): (value: number) => number {
  const { channel, side } = watched;
  const leg = legOf(subject, side);
  const isDepth = LEVERS[lever].kind === "range";
  const prepare = (value: number) => prepareStanding(subject.body, standingSettingOf(subject, variation, withLever(setting, lever, value)));
  const kept = prepare(setting[lever] ?? 0);
  return (value) => {
    const prepared = isDepth ? kept : prepare(value);
    return solveStanding(prepared, depthOf(withLever(setting, lever, value))) === null ? preparedValue(prepared, channel, leg) : NaN;
  };
}

/** Which value of one lever gives a wanted demand, and its safe neighbour on hand. */
export function solveLever(
  subject: Subject,
  variation: Variation,
  setting: Setting,
  range: Omit<LeverRange, "start">,
  watched: Watched,
  target: number,
  increment: number,
): LeverSolution {
  const { lever, min, max } = range;
  const curve = leverCurve(subject, variation, setting, lever, watched);
  return solveCurve(curve, { low: min, high: max }, target, leverValues({ ...range, start: min }, increment));
}

/** Two demands as one: how far apart they are, and whether that is any difference at all. */
export type Match =
  { ok: true; target: number; solution: LeverSolution; isAboutTheSame: boolean } | { ok: false; reason: PoseFailure | "no-demand" };

/** The setting of one variation that asks as much of a channel as another does: equal demand. */
export function matchDemand(
  subject: Subject,
  from: { variation: Variation; setting: Setting },
  to: { variation: Variation; setting: Setting; range: Omit<LeverRange, "start">; increment: number },
  watched: Watched,
): Match {
  const prepared = prepareStanding(subject.body, standingSettingOf(subject, from.variation, from.setting));
  const failure = solveStanding(prepared, depthOf(from.setting));
  if (failure) return { ok: false, reason: failure };
  const target = preparedValue(prepared, watched.channel, legOf(subject, watched.side));
  if (!(target > 0)) return { ok: false, reason: "no-demand" };
  const solution = solveLever(subject, to.variation, to.setting, to.range, watched, target, to.increment);
  const { lever } = to.range;
  const now = leverCurve(subject, to.variation, to.setting, lever, watched)(to.setting[lever] ?? NaN);
  const same = from.variation.id === to.variation.id ? RISER_MIN_FRACTION : SAME_BETWEEN_FRACTION;
  return { ok: true, target, solution, isAboutTheSame: Math.abs(now / target - 1) < same };
}

import { type LeverRange, type Setting, type Variation } from "../catalogue/variation";
import { demandOf, type Subject } from "../fit/demand";
import { leverValues, withLever } from "../fit/levers";
import { SAME_BETWEEN_FRACTION } from "../fit/route";
import { RISER_MIN_FRACTION } from "../fit/stair";
import type { ChannelSide, FitChannelId } from "../mechanics/channels";
import type { PoseFailure } from "../mechanics/standing.types";
import { inverse, type InverseResult } from "./inverse";

/** One channel on one side: what a lever is solved for. */
export interface Watched {
  channel: FitChannelId;
  side: ChannelSide;
}

/** The exact setting that gives a demand, and the nearest on the equipment's grid that asks no more; null where none does. */
export type LeverSolution = InverseResult & { snapped: number | null };

/** Headline demand of one channel in a set-up, NaN where there is no pose. */
export function demandAt(subject: Subject, variation: Variation, setting: Setting, { channel, side }: Watched): number {
  const demand = demandOf(subject, variation, setting);
  return demand.ok ? (demand.channels.find((d) => d.channel === channel && d.side === side)?.head ?? NaN) : NaN;
}

/** Which value of one lever gives a wanted demand (docs/equations.md E14), and its safe neighbour on hand. */
export function solveLever(
  subject: Subject,
  variation: Variation,
  setting: Setting,
  range: Omit<LeverRange, "start">,
  watched: Watched,
  target: number,
  increment: number,
): LeverSolution {
  const at = (value: number): number => demandAt(subject, variation, withLever(setting, range.lever, value), watched);
  const result = inverse(at, range.min, range.max, target);
  const easiestFirst = leverValues({ ...range, start: range.min }, increment);
  const fitting = easiestFirst.filter((value) => at(value) <= target);
  return { ...result, snapped: fitting.at(-1) ?? null };
}

export type Match =
  { ok: true; target: number; solution: LeverSolution; isAboutTheSame: boolean } | { ok: false; reason: PoseFailure | "no-demand" };

/** The setting of one variation that asks as much of a channel as another does: equal demand. */
export function matchDemand(
  subject: Subject,
  from: { variation: Variation; setting: Setting },
  to: { variation: Variation; setting: Setting; range: Omit<LeverRange, "start">; increment: number },
  watched: Watched,
): Match {
  const demand = demandOf(subject, from.variation, from.setting);
  if (!demand.ok) return { ok: false, reason: demand.reason };
  const target = demandAt(subject, from.variation, from.setting, watched);
  if (!(target > 0)) return { ok: false, reason: "no-demand" };
  const solution = solveLever(subject, to.variation, to.setting, to.range, watched, target, to.increment);
  const now = demandAt(subject, to.variation, to.setting, watched);
  const same = from.variation.id === to.variation.id ? RISER_MIN_FRACTION : SAME_BETWEEN_FRACTION;
  return { ok: true, target, solution, isAboutTheSame: Math.abs(now / target - 1) < same };
}

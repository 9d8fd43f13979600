import type { ChannelSide, NumberChannelId } from "../mechanics/channels";
import { inverse, type InverseResult } from "../numeric/inverse";
import { ask, AT_THE_POSE, demandOn, HEADLINE, type Wanted } from "../templates/ask";
import type { Form, OwnRange } from "../templates/form";
import { type Setting, withLever } from "../templates/lever";
import type { Subject } from "../templates/template";
import { leverValues } from "../kit/on-hand";

/** One channel on one side: what a lever is solved for. */
export interface SolvedFor {
  channel: NumberChannelId;
  side: ChannelSide;
}
/** The exact setting that gives a demand, and of those on hand the one that comes nearest without asking more; null where none does. */
export type LeverSolution = InverseResult & { snapped: number | null };

/** Headline demand of one channel in one set-up, NaN where there is no pose, no such channel, or its value is refused. */
export function headlineOf(subject: Subject, form: Form, setting: Setting, { channel, side }: SolvedFor, along: boolean): number {
  const wanted: Wanted = along ? { ...HEADLINE, channels: [channel] } : { ...AT_THE_POSE, range: false, channels: [channel] };
  const demand = demandOn(ask(subject, form, setting, wanted), channel, side);
  if (!demand.isKnown) return NaN;
  const { refused, head } = demand.value;
  return !refused || refused === "kneecap-past-90" ? head : NaN;
}

/** Which value of one lever gives a wanted demand (docs/equations.md E14), and its neighbour on hand, always on the safe side. */
export function solveLever(
  subject: Subject,
  form: Form,
  setting: Setting,
  range: Omit<OwnRange, "start">,
  solvedFor: SolvedFor,
  target: number,
  increment: number,
  along = true,
): LeverSolution {
  const at = (value: number): number => headlineOf(subject, form, withLever(setting, range.lever, value), solvedFor, along);
  const result = inverse(at, range.min, range.max, target);
  let [snapped, most]: [number | null, number] = [null, -Infinity];
  for (const value of leverValues(range, increment)) {
    const demand = at(value);
    if (!(demand <= target && demand > most)) continue;
    [snapped, most] = [value, demand];
  }
  return { ...result, snapped };
}

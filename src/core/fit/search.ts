import { type LeverId, type LeverRange, type Setting, startSetting, type Variation } from "../catalogue/variation";
import { type CandidateState, type FitContext, type Judgement, judge } from "./candidate";
import { countHolding, isWithin, leverValues, rangeOf, snapSetting, withLever } from "./levers";

/** What would open a closed variation. */
export type Opening =
  | { kind: "settings"; levers: Partial<Record<LeverId, number>> }
  | { kind: "limit-ends"; limitId: string }
  | { kind: "ceiling-rises"; useFraction: number }
  | { kind: "equipment" };

export interface Candidate extends Judgement {
  variationId: string;
  setting: Setting;
  opening: Opening | null;
}

/**
 * The hardest value of one lever that stays within `useFraction` of the tightest ceiling and inside every limit. Asks
 * for a handful of poses: demand rises along a lever's hard direction, and seats out of reach lie at its easy end.
 * Null when no value does.
 */
export function hardestWithin(
  context: FitContext,
  variation: Variation,
  setting: Setting,
  range: LeverRange,
  useFraction: number,
): number | null {
  const all = leverValues(range, context.increments[range.lever]);
  const at = (value: number): Judgement => judge(context, variation, withLever(setting, range.lever, value), "headline");
  const tooHigh = (value: number): boolean => {
    const [reason] = at(value).reasons;
    return reason.code === "pose-impossible" && reason.reason === "hip-height-unreachable";
  };
  const reachable = range.lever === "seatHeightM" ? all.slice(countHolding(all, tooHigh)) : all;
  return reachable[countHolding(reachable, (value) => isWithin(at(value), useFraction)) - 1] ?? null;
}

/** Levers a fit may move on its own: depth first, then hands, then load. The share is the client's, not ours. */
const SOLVED_LEVERS: readonly LeverId[] = ["seatHeightM", "kneeFlexionDeg", "handForceN", "loadKg"];

/**
 * Settings nearest to the target use: depth is moved alone first; where even its easiest end asks too much, more hand
 * and then less load are tried at that end.
 */
function solveSetting(context: FitContext, variation: Variation, start: Setting, useFraction: number): { setting: Setting; met: boolean } {
  let setting = start;
  for (const lever of SOLVED_LEVERS) {
    const range = rangeOf(variation, lever);
    if (!range) continue;
    const solved = hardestWithin(context, variation, setting, range, useFraction);
    if (solved !== null) return { setting: withLever(setting, lever, solved), met: true };
    setting = withLever(setting, lever, easiestReachable(context, variation, setting, range));
  }
  return { setting, met: false };
}

function easiestReachable(context: FitContext, variation: Variation, setting: Setting, range: LeverRange): number {
  const values = leverValues(range, context.increments[range.lever]);
  return (
    values.find((value) => judge(context, variation, withLever(setting, range.lever, value), "headline").pose !== null) ??
    values[0] ??
    range.start
  );
}

function openingOf(context: FitContext, variation: Variation, judgement: Judgement, start: Setting): Opening | null {
  if (judgement.state !== "closed") return null;
  const [reason] = judgement.reasons;
  if (reason.code === "equipment-missing") return { kind: "equipment" };
  if (reason.code === "load-on-back-limited") return { kind: "limit-ends", limitId: reason.limitId };
  const { setting, met } = solveSetting(context, variation, start, 1);
  if (met) {
    const changed = variation.levers.filter(({ lever }) => setting[lever] !== start[lever]);
    return { kind: "settings", levers: Object.fromEntries(changed.map(({ lever }) => [lever, setting[lever]])) };
  }
  if (reason.code === "knee-bend-over-limit" || reason.code === "shin-over-limit") return { kind: "limit-ends", limitId: reason.limitId };
  return judgement.tightest ? { kind: "ceiling-rises", useFraction: judgement.tightest.head } : null;
}

/** One variation fitted to one client: levers solved to the target use, then judged. */
export function fitVariation(context: FitContext, variation: Variation, known: Setting = {}): Candidate {
  const share = context.ceilings[0]?.share.fraction;
  const begun = { ...startSetting(variation), ...(share === undefined ? {} : { shareFraction: share }), ...known };
  const start = snapSetting(variation, begun, context.increments);
  const { setting } = solveSetting(context, variation, start, context.targetUseFraction);
  const solved = context.ceilings.length === 0 ? easiestAllowed(context, variation, start) : setting;
  const judgement = judge(context, variation, solved);
  return { ...judgement, variationId: variation.id, setting: solved, opening: openingOf(context, variation, judgement, start) };
}

/** Without a ceiling nothing can be solved: where the row starts, or the nearest easier depth inside the limits. */
function easiestAllowed(context: FitContext, variation: Variation, start: Setting): Setting {
  if (!judge(context, variation, start, "headline").blocked) return start;
  return solveSetting(context, variation, start, Infinity).setting;
}

const STATE_RANK: Record<CandidateState, number> = { open: 0, try: 1, closed: 2 };

/**
 * The whole list for one client, ranked: open before try before closed; nearest the target use first, and where uses
 * are about the same (or there are none) by the handbook's ladder.
 */
export function fitCatalogue(context: FitContext, variations: readonly Variation[], known: Setting = {}): Candidate[] {
  const place = new Map(variations.map(({ id, ladderPlace }) => [id, ladderPlace]));
  const distance = ({ tightest }: Candidate): number =>
    tightest ? Math.round(Math.abs(tightest.head - context.targetUseFraction) * 20) : 0;
  return variations
    .map((variation) => fitVariation(context, variation, known))
    .sort(
      (a, b) =>
        STATE_RANK[a.state] - STATE_RANK[b.state] ||
        distance(a) - distance(b) ||
        (place.get(b.variationId) ?? 0) - (place.get(a.variationId) ?? 0),
    );
}

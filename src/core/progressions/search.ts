import { traitsOfRow } from "../catalogue/traits";
import type { Equipment } from "../kit/equipment";
import type { Variation } from "../catalogue/variation";
import { isHarder, leversOf, type OwnRange, rangeOf, startSetting } from "../templates/form";
import { type LeverId, LEVERS, type Setting, withLever } from "../templates/lever";
import type { FitContext } from "../judge/context";
import { type Glance, glance, judge, type Judgement, type Look } from "../judge/judge";
import type { FitReason } from "../judge/fit-reason";
import { countHolding } from "../numeric/count-holding";
import { snapSetting, valuesOn } from "../kit/on-hand";

/** Whether a set-up is inside every limit and rail, and its headline use at most `useFraction`. */
export const isWithin = ({ blocked, closing, tightest }: Glance, useFraction: number): boolean =>
  !blocked &&
  !closing.some(({ code }) => code === "guard-rail" || code === "counterweight") &&
  (tightest === null || tightest.head <= useFraction);

/** What would open a closed variation. */
export type Opening =
  | { kind: "settings"; levers: Setting }
  | { kind: "limit-ends"; limitId: string }
  | { kind: "ceiling-rises"; useFraction: number }
  /** Nothing is missing where only no size of it fits. */
  | { kind: "equipment"; missing: readonly Equipment[] };

export interface Candidate extends Judgement {
  variationId: string;
  setting: Setting;
  opening: Opening | null;
}
/** One row for one client, each set-up of it read once: a second target comes by where the first was looked for. */
interface Row {
  context: FitContext;
  variation: Variation;
  /** Over the whole range: what a judgement will say. */
  glanceAt: (setting: Setting) => Glance;
  /** At the headline: quicker, and never stricter. */
  quickAt: (setting: Setting) => Glance;
  /** At the headline of the last pose: quicker still. */
  endAt: (setting: Setting) => Glance;
}
function rowOf(context: FitContext, variation: Variation): Row {
  const remembered = (look: Look) => {
    const known = new Map<string, Glance>();
    return (setting: Setting): Glance => {
      const key = variation.levers.map(({ lever }) => setting[lever]).join(" ");
      const found = known.get(key) ?? glance(context, variation, setting, look);
      known.set(key, found);
      return found;
    };
  };
  return { context, variation, glanceAt: remembered("whole"), quickAt: remembered("headline"), endAt: remembered("end") };
}

const passesQuick = ({ endAt, quickAt }: Row, setting: Setting, useFraction: number): boolean =>
  isWithin(endAt(setting), useFraction) && isWithin(quickAt(setting), useFraction);
/** Whether a set-up holds over its whole range: asked of the quickest look first, and further only where that lets it. */
const passes = (row: Row, setting: Setting, useFraction: number): boolean =>
  passesQuick(row, setting, useFraction) && isWithin(row.glanceAt(setting), useFraction);

/**
 * The hardest value of one lever that stays within `useFraction` of the tightest ceiling and inside every limit and
 * rail. Asks for a handful of poses: demand rises along a lever's hard direction. Null when no value does.
 */
export const hardestWithin = (
  context: FitContext,
  variation: Variation,
  setting: Setting,
  range: OwnRange,
  useFraction: number,
): number | null => hardestOf(rowOf(context, variation), setting, range, useFraction);

function hardestOf(row: Row, setting: Setting, range: OwnRange, useFraction: number): number | null {
  const values = allowedOn(row.context, row.variation, range);
  const at = (value: number): Setting => withLever(setting, range.lever, value);
  const holdsQuick = (value: number): boolean => passesQuick(row, at(value), useFraction);
  const holds = (value: number): boolean => passes(row, at(value), useFraction);
  // the headline narrows it down; what it passes is looked at whole, and so is what lies below
  const quick = values.slice(0, countHolding(values, holdsQuick));
  const last = quick.at(-1);
  if (last !== undefined && holds(last)) return last;
  const whole = quick[countHolding(quick, holds) - 1];
  if (whole !== undefined) return whole;
  // what is over a ceiling at its easy end gets no easier; a limit may bind there and let go further on
  const easiest = values.find((value) => row.endAt(at(value)).isPossible);
  const use = easiest === undefined ? null : row.quickAt(at(easiest)).tightest;
  const isOver = easiest === undefined || (use !== null && !(use.head <= useFraction));
  return isOver ? null : hardestAmong(values, holds);
}
/** Of so many places the hardest that holds, and whatever goes on from it. */
const PLACES = 12;
function hardestAmong(values: readonly number[], holds: (value: number) => boolean): number | null {
  const step = Math.max(1, Math.ceil(values.length / PLACES));
  for (let i = values.length - 1; i >= 0; i -= step) {
    if (!holds(values[i] ?? NaN)) continue;
    let last = i;
    while (last + 1 < values.length && holds(values[last + 1] ?? NaN)) last++;
    return values[last] ?? null;
  }
  return null;
}

/** What a search may try: a load never above what was calm in this pattern, or where the row starts. */
function allowedOn(context: FitContext, variation: Variation, range: OwnRange): readonly number[] {
  const values = valuesOn(context, variation, range);
  if (LEVERS[range.lever].kind !== "load") return values;
  const most = Math.max(range.start, context.calmLoads[variation.pattern]?.[range.lever] ?? 0);
  return values.filter((value) => value <= most + 1e-9);
}

/** Levers a fit may move on its own: depth first, then hands, then load. The share is the client's, not ours. */
const solvedLevers = (variation: Variation): LeverId[] => {
  const ids = variation.levers.map(({ lever }) => lever);
  const of = (kind: "range" | "support" | "load"): LeverId[] => ids.filter((lever) => LEVERS[lever].kind === kind && LEVERS[lever].harder);
  return [...of("range"), ...of("support"), ...of("load")];
};

/**
 * Settings nearest to the target use: depth is moved alone first; where even its easiest end asks too much, more hand
 * and then less load are tried at that end.
 */
function solveSetting(row: Row, start: Setting, useFraction: number): { setting: Setting; met: boolean } {
  const { context, variation } = row;
  let setting = start;
  for (const lever of solvedLevers(variation)) {
    const range = rangeOf(context.subject, variation, lever);
    if (!range) continue;
    const solved = hardestOf(row, setting, range, useFraction);
    if (solved !== null) return { setting: withLever(setting, lever, humbly(context, variation, setting, range, solved)), met: true };
    setting = withLever(setting, lever, easiestPossible(row, setting, range));
  }
  return { setting, met: false };
}

/** At the hard end of its range nothing measured has stopped the lever: then it stays where it stood. */
function humbly(context: FitContext, variation: Variation, setting: Setting, range: OwnRange, solved: number): number {
  const now = setting[range.lever] ?? range.start;
  const isGoverned = valuesOn(context, variation, range).at(-1) !== solved;
  return !isGoverned && isHarder(range.lever, solved, now) ? now : solved;
}

/** The easiest value that keeps inside limits and rails; where none does, the easiest that can be done at all. */
function easiestPossible({ context, variation, glanceAt }: Row, setting: Setting, range: OwnRange): number {
  const values = valuesOn(context, variation, range);
  const at = (value: number): Glance => glanceAt(withLever(setting, range.lever, value));
  const first = values.findIndex((value) => at(value).isPossible);
  const [easiest] = values.slice(first);
  if (first < 0 || easiest === undefined) return values[0] ?? range.start;
  const { blocked, closing } = at(easiest);
  if (blocked || !closing.some(({ code }) => code === "guard-rail" || code === "counterweight")) return easiest; // no value leads out of a limit
  return values.slice(first).find((value) => isWithin(at(value), Infinity)) ?? easiest;
}

/** A limit that is passed by just as much at both ends of a lever and in its middle: this lever does not move what it counts. */
function isBeyondReach({ endAt }: Row, places: readonly Setting[]): boolean {
  const passedBy = [0, places.length >> 1, places.length - 1].map((i) => {
    const place = places[i];
    return place ? endAt(place).closing.flatMap((reason) => (reason.code === "over-limit" ? [reason] : [])) : [];
  });
  const [first = [], ...others] = passedBy;
  return first.some(({ limitId, value }) =>
    others.every((each) => each.some((other) => other.limitId === limitId && Math.abs(other.value - value) < 1e-9)),
  );
}

/**
 * Where depth, hands and load in turn lead nowhere, one lever alone may, of whatever kind: the nearest place it can stand at
 * that passes. How the weight is shared is the client's to say, and is only told.
 */
function byOneLever(row: Row, setting: Setting, isTried: (lever: LeverId) => boolean): Setting | null {
  const { context, variation } = row;
  for (const range of leversOf(context.subject, variation)) {
    if (!isTried(range.lever)) continue;
    const now = setting[range.lever] ?? range.start;
    const values = allowedOn(context, variation, range);
    const at = (value: number): Setting => withLever(setting, range.lever, value);
    if (isBeyondReach(row, values.map(at))) continue;
    const step = Math.max(1, Math.ceil(values.length / (2 * PLACES)));
    const found = values
      .filter((_, i) => i % step === 0 || i === values.length - 1)
      .toSorted((a, b) => Math.abs(a - now) - Math.abs(b - now))
      .find((value) => passes(row, at(value), 1));
    if (found !== undefined) return at(found);
  }
  return null;
}
const isShare = (lever: LeverId): boolean => lever === "shareFraction";
const isOurs = (lever: LeverId): boolean => !isShare(lever);

/** Settings at the target use; where none is, as easy as it goes; where that is closed, under every ceiling, or by one lever more. */
function solvedSetting(row: Row, start: Setting): Setting {
  const atTarget = solveSetting(row, start, row.context.targetUseFraction);
  if (atTarget.met || isWithin(row.glanceAt(atTarget.setting), 1)) return atTarget.setting;
  const under = solveSetting(row, start, 1);
  if (under.met) return under.setting;
  return byOneLever(row, atTarget.setting, isOurs) ?? byOneLever(row, start, isOurs) ?? atTarget.setting;
}

function openingOf(row: Row, judgement: Judgement, setting: Setting, start: Setting): Opening | null {
  if (judgement.state !== "closed") return null;
  const [reason] = judgement.reasons;
  if (reason.code === "equipment-missing") return { kind: "equipment", missing: reason.equipment };
  if (reason.code === "not-assembled") return { kind: "equipment", missing: [] };
  if (reason.code === "never" || reason.code === "not-for") return { kind: "limit-ends", limitId: reason.limitId };
  const solved = solveSetting(row, start, 1);
  const opens = solved.met ? solved.setting : (byOneLever(row, setting, isShare) ?? byOneLever(row, start, isShare));
  if (opens) {
    const changed = Object.entries(opens).filter(([lever, value]) => value !== start[lever as LeverId]);
    return { kind: "settings", levers: Object.fromEntries(changed) };
  }
  if (reason.code === "over-limit" || reason.code === "room-short") return { kind: "limit-ends", limitId: reason.limitId };
  return judgement.tightest && judgement.tightest.head > 1 ? { kind: "ceiling-rises", useFraction: judgement.tightest.head } : null;
}

/** Where nothing has been measured there is nothing to solve: the easy end of what moves, no load, hands where the row has them. */
function easiestSetting(row: Row, start: Setting): Setting {
  const { context, variation, glanceAt } = row;
  let setting = start;
  for (const lever of solvedLevers(variation)) {
    const range = rangeOf(context.subject, variation, lever);
    if (!range || LEVERS[lever].kind === "support") continue;
    if (LEVERS[lever].kind === "load") setting = withLever(setting, lever, valuesOn(context, variation, range)[0] ?? range.min);
    else if (glanceAt(setting).blocked) setting = solveSetting(row, setting, Infinity).setting;
  }
  return setting;
}

/** Closed whatever the levers say: nothing is solved for it. */
function closesWhole(reason: FitReason, variation: Variation): boolean {
  switch (reason.code) {
    case "not-for":
    case "kept-out":
    case "retired":
      return true;
    case "never":
      return traitsOfRow(variation).includes(reason.what);
    default:
      return false;
  }
}

/** Two level feet bear as the scales showed: the share that set the ceiling is the share it is held against. */
function measuredShare({ ownShare = {}, subject: { leadSide } }: FitContext, { template, levers }: Variation): Setting {
  const share = ownShare[leadSide];
  return share !== undefined && template === "two-feet" && levers.some(({ lever }) => lever === "shareFraction")
    ? { shareFraction: share }
    : {};
}

/** One variation fitted to one client: levers solved to the target use, then judged over the whole range. */
export function fitVariation(context: FitContext, variation: Variation, known: Setting = {}): Candidate {
  const own = Object.fromEntries(Object.entries(known).filter(([lever]) => variation.levers.some((row) => row.lever === lever)));
  const start = snapSetting(context, variation, {
    ...startSetting(context.subject, variation),
    ...measuredShare(context, variation),
    ...own,
  });
  const row = rowOf(context, variation);
  const at = (setting: Setting): Candidate => {
    const judgement = judge(context, variation, setting, "closing");
    return { ...judgement, variationId: variation.id, setting, opening: openingOf(row, judgement, setting, start) };
  };
  if (variation.template === "no-model") return at(start);
  const atStart = row.quickAt(start);
  if (atStart.closing.some((reason) => closesWhole(reason, variation))) return at(start);
  const isMeasured = atStart.tightest !== null;
  return at(isMeasured ? solvedSetting(row, start) : easiestSetting(row, start));
}

/** Where each lever meets the tightest ceiling, the others as they stand; null where it never does. */
export const leverCeilings = (context: FitContext, variation: Variation, setting: Setting): (number | null)[] =>
  leversOf(context.subject, variation).map((range) =>
    context.ceilings.length === 0 ? null : hardestWithin(context, variation, setting, range, 1),
  );

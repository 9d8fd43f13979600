import { variationById } from "../catalogue/catalogue";
import { traitsOfRow } from "../catalogue/traits";
import type { Equipment } from "../catalogue/equipment";
import type { Pattern, Variation } from "../catalogue/variation";
import { isHarder, leversOf, type OwnRange, rangeOf, startSetting } from "../templates/form";
import { type LeverId, LEVERS, type Setting, withLever } from "../templates/lever";
import type { FitContext } from "./context";
import { type Glance, glance, judge, type Judgement } from "./judge";
import type { CandidateState, FitReason } from "./fit-reason";
import { countHolding, isWithin, snapSetting, valuesOn } from "./on-hand";

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
  /** Why it stands where it stands in a list; only where one was made. */
  standing?: Standing;
}
/** What a row is ranked by, in this order, among those of the same state. */
export interface Standing {
  /** -1 was calm before; above nothing, how much further it goes than anything calm. */
  novelty: number;
  isNewLoad: boolean;
  /** Use less the target; NaN where nothing was measured. */
  fromTarget: number;
  leadsToOwnDay: boolean;
  kitCount: number;
}

/** One row for one client, each set-up of it read once: a second target comes by where the first was looked for. */
interface Row {
  context: FitContext;
  variation: Variation;
  /** Over the whole range: what a judgement will say. */
  glanceAt: (setting: Setting) => Glance;
  /** At the headline: quicker, and never stricter. */
  quickAt: (setting: Setting) => Glance;
}
function rowOf(context: FitContext, variation: Variation): Row {
  const remembered = (at: "whole" | "headline") => {
    const known = new Map<string, Glance>();
    return (setting: Setting): Glance => {
      const key = variation.levers.map(({ lever }) => setting[lever]).join(" ");
      const found = known.get(key) ?? glance(context, variation, setting, at);
      known.set(key, found);
      return found;
    };
  };
  return { context, variation, glanceAt: remembered("whole"), quickAt: remembered("headline") };
}

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
  const holds = (value: number, at: Row["glanceAt"]): boolean => isWithin(at(withLever(setting, range.lever, value)), useFraction);
  // the headline narrows it down; what it passes is looked at whole, and so is what lies below
  const quick = values.slice(
    0,
    countHolding(values, (value) => holds(value, row.quickAt)),
  );
  const last = quick.at(-1);
  if (last !== undefined && holds(last, row.glanceAt)) return last;
  const whole = quick[countHolding(quick, (value) => holds(value, row.glanceAt)) - 1];
  if (whole !== undefined) return whole;
  // what is over a ceiling at its easy end gets no easier; a limit may bind there and let go further on
  const easiest = values.map((value) => row.quickAt(withLever(setting, range.lever, value))).find(({ isPossible }) => isPossible);
  const isOver = !easiest || (easiest.tightest !== null && !(easiest.tightest.head <= useFraction));
  return isOver ? null : hardestAmong(values, (value) => holds(value, row.glanceAt));
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

function openingOf(row: Row, judgement: Judgement, start: Setting): Opening | null {
  if (judgement.state !== "closed") return null;
  const [reason] = judgement.reasons;
  if (reason.code === "equipment-missing") return { kind: "equipment", missing: reason.equipment };
  if (reason.code === "not-assembled") return { kind: "equipment", missing: [] };
  if (reason.code === "never" || reason.code === "not-for") return { kind: "limit-ends", limitId: reason.limitId };
  const { setting, met } = solveSetting(row, start, 1);
  if (met) {
    const changed = Object.entries(setting).filter(([lever, value]) => value !== start[lever as LeverId]);
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
    return { ...judgement, variationId: variation.id, setting, opening: openingOf(row, judgement, start) };
  };
  if (variation.template === "no-model") return at(start);
  const atStart = row.quickAt(start);
  if (atStart.closing.some((reason) => closesWhole(reason, variation))) return at(start);
  const isMeasured = atStart.tightest !== null;
  return at(isMeasured ? solveSetting(row, start, context.targetUseFraction).setting : easiestSetting(row, start));
}

const STATE_RANK: Record<CandidateState, number> = { open: 0, try: 1, "not-measured": 2, closed: 3 };
const isLoaded = (setting: Setting): boolean =>
  Object.entries(setting).some(([lever, value]) => LEVERS[lever as LeverId].kind === "load" && value > 0);

/** What anybody may be asked of knee, back or balance before anything was calm, by a row's tags. */
const USUAL_RANK = 1;
/** What was calm before is nearer than anything new. */
const CONTINUES = -1;
/** How much further a row goes than whatever was calm so far: nobody's first is deep on one leg. */
function noveltyIn({ calmRows }: FitContext): (variation: Variation) => number {
  const known = calmRows.map((id) => variationById(id).tags);
  const most = (of: "knee" | "back" | "balance"): number => Math.max(USUAL_RANK, ...known.map((tags) => tags[of]));
  const [knee, back, balance] = [most("knee"), most("back"), most("balance")];
  const calmLegs = (pattern: Pattern): number =>
    Math.max(0, ...calmRows.map(variationById).flatMap((row) => (row.pattern === pattern ? [ON_LEGS[row.tags.legs]] : [])));
  return ({ id, pattern, tags }) =>
    calmRows.includes(id)
      ? CONTINUES
      : Math.max(0, tags.knee - knee) +
        Math.max(0, tags.back - back) +
        Math.max(0, tags.balance - balance) +
        (pattern === "helper" ? 0 : Math.max(0, ON_LEGS[tags.legs] - calmLegs(pattern)));
}
/** How much one leg bears alone: two legs come before one in a pattern that nobody did yet. */
const ON_LEGS: Readonly<Record<Variation["tags"]["legs"], number>> = { two: 0, any: 0, split: 1, one: 2 };
/** In twentieths of the ceiling: further from the target than any use. */
const UNREAD_DISTANCE = 40;

/**
 * The whole list for one client, ranked: open before try before not measured before closed. What goes least beyond
 * anything calm first, then nearest the target use, a load that was never calm last; where uses are about the same, what
 * the client's own day asks, then what takes least to set up, then by the handbook's ladder; what nobody measured, unloaded before loaded and easiest first.
 */
export function fitCatalogue(context: FitContext, variations: readonly Variation[], known: Setting = {}): Candidate[] {
  const noveltyOf = noveltyIn(context);
  return variations
    .map((variation) => {
      const candidate = fitVariation(context, variation, known);
      const { state, setting, tightest } = candidate;
      const standing: Standing = {
        novelty: noveltyOf(variation),
        isNewLoad: isNewLoad(context, variation, setting),
        fromTarget: tightest ? tightest.head - context.targetUseFraction : NaN,
        leadsToOwnDay: leadsToOwnDay(context, variation),
        kitCount: variation.equipment.length,
      };
      const { novelty, fromTarget } = standing;
      const distance = tightest ? Math.round(Math.abs(fromTarget) * 20) : UNREAD_DISTANCE;
      const isMeasured = state !== "not-measured";
      const rank = isMeasured
        ? [
            STATE_RANK[state],
            novelty,
            Number(standing.isNewLoad),
            distance,
            Number(!standing.leadsToOwnDay),
            standing.kitCount,
            -variation.ladderPlace,
          ]
        : [STATE_RANK[state], Number(isLoaded(setting)), novelty, variation.ladderPlace];
      return { candidate: { ...candidate, standing }, rank };
    })
    .sort((a, b) => compared(a.rank, b.rank))
    .map(({ candidate }) => candidate);
}
/** Whether it is what the client's own day asks: rising from a seat, or climbing a step. */
const leadsToOwnDay = ({ ownDay = [] }: FitContext, { parameters }: Variation): boolean =>
  (ownDay.includes("seat") && parameters["depth"] === "seat") || (ownDay.includes("step") && parameters["direction"] === "up");
/** Whether a load was never calm in this row's pattern. */
const isNewLoad = ({ calmLoads }: FitContext, { pattern }: Variation, setting: Setting): boolean =>
  (Object.entries(setting) as [LeverId, number][]).some(
    ([lever, value]) => LEVERS[lever].kind === "load" && value > (calmLoads[pattern]?.[lever] ?? 0),
  );
/** The first place at which two ranks differ decides. */
function compared(a: readonly number[], b: readonly number[]): number {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return (a[i] ?? 0) - (b[i] ?? 0);
  return 0;
}

/** What is proposed before anything is picked: the first of the list that the model can draw and weigh, else the first. */
export const firstOf = (candidates: readonly Candidate[]): Candidate | undefined =>
  candidates.find(({ variationId, state }) => state !== "closed" && variationById(variationId).template !== "no-model") ?? candidates[0];

/** One set-up for this client, and the other rows that are the same here. */
export interface Shown {
  candidate: Candidate;
  also: readonly string[];
}
/** Rows that come to the very same set-up and state are shown once, under the one in hand, the studio's own, or the first of them. */
export function shownOnce(candidates: readonly Candidate[], inHandId: string): Shown[] {
  const keyOf = ({ variationId, setting, state }: Candidate): string => {
    const { template, parameters } = variationById(variationId);
    const levers = Object.entries(setting).map(([lever, value]) => `${lever} ${value.toFixed(4)}`);
    return template === "no-model" ? variationId : [state, template, JSON.stringify(parameters), ...levers.toSorted()].join(" ");
  };
  const groups = new Map<string, Candidate[]>();
  for (const candidate of candidates) groups.set(keyOf(candidate), [...(groups.get(keyOf(candidate)) ?? []), candidate]);
  return [...groups.values()].flatMap((group) => {
    const candidate =
      group.find(({ variationId }) => variationId === inHandId) ??
      group.find(({ variationId }) => variationById(variationId).basedOn) ??
      group[0];
    return candidate ? [{ candidate, also: group.filter((each) => each !== candidate).map(({ variationId }) => variationId) }] : [];
  });
}

/** Where each lever meets the tightest ceiling, the others as they stand; null where it never does. */
export const leverCeilings = (context: FitContext, variation: Variation, setting: Setting): (number | null)[] =>
  leversOf(context.subject, variation).map((range) =>
    context.ceilings.length === 0 ? null : hardestWithin(context, variation, setting, range, 1),
  );

import { variationById } from "../catalogue/catalogue";
import type { Pattern, Variation } from "../catalogue/variation";
import { type LeverId, LEVERS, type Setting } from "../templates/lever";
import type { FitContext } from "../judge/context";
import type { CandidateState } from "../judge/fit-reason";
import { type Candidate, fitVariation } from "./search";

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
export function fitCatalogue(context: FitContext, variations: readonly Variation[], known: Setting = {}): Listed[] {
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

/** A candidate, and why it stands where it stands; a row that is looked at alone stands nowhere. */
export interface Listed extends Candidate {
  standing?: Standing;
}

/** One set-up for this client, and the other rows that are the same here. */
export interface Shown {
  candidate: Listed;
  also: readonly string[];
}
/** Rows that come to the very same set-up and state are shown once, under the one in hand, the studio's own, or the first of them. */
export function shownOnce(candidates: readonly Listed[], inHandId: string): Shown[] {
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

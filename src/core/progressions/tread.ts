import { variationById } from "../catalogue/catalogue";
import { type ChannelSide, LOAD_CHANNELS, type NumberChannelId } from "../mechanics/channels";
import { postureTrust } from "../mechanics/posture";
import { onceByName, oncePer } from "../once";
import { rangeOf } from "../templates/form";
import { type LeverId, type LeverKind, type Setting, withLever } from "../templates/lever";
import type { FitContext, Place } from "../judge/context";
import { type Glance, glance, judge, type Judgement } from "../judge/judge";

/** Easing gives back what is quickest to give: load, then range, then hands. */
export const EASE_ORDER: readonly LeverKind[] = ["load", "range", "support"];
/** Between variations whose posture is assumed, a smaller difference than this is none. */
export const SAME_BETWEEN_FRACTION = 0.2;

export interface LeverChange {
  lever: LeverId;
  from: number;
  to: number;
}
/** What a step changes: one lever, with what is given back for it; the row; or the number of sets. */
export interface Change {
  levers: readonly LeverChange[];
  fromVariationId: string | null;
  sets: { from: number; to: number } | null;
  /** In how many of the sets the levers move; in all of them where it is not said. */
  mixed?: { setCount: number; of: number };
}
/** A step under 5 % is still a step, called small; over the school's largest it is too big to be taken by itself. */
export type RiserSize = "even" | "small" | "too-big" | "about-the-same";

/** One tread of a stair, and the single change that leads to it from the one below. */
export interface Tread extends Place {
  change: Change | null;
  /** Relative change of the watched demand; null at the foot, and where there is nothing to compare. */
  riserFraction: number | null;
  size: RiserSize | null;
  channel: NumberChannelId | null;
  judgement: Judgement;
}

/** The demand that risers are measured on: the tightest ceiling's, or the largest that a joint is asked. */
export interface Watched {
  channel: NumberChannelId;
  side: ChannelSide;
}
/** The tightest ceiling's channel first; then the joint that is asked most, for a lever that does not reach the first. */
export function watchesOf({ tightest, demands }: Judgement): Watched[] {
  const asked = demands.filter(({ channel, head }) => (LOAD_CHANNELS as readonly NumberChannelId[]).includes(channel) && head > 0);
  const most = asked.find(({ channel }) => channel === "kneeMoment") ?? asked.find(({ channel }) => channel === "hipMoment") ?? asked[0];
  const hip = asked.find(({ channel }) => channel === "hipMoment");
  const first = tightest && tightest.demand.head > 0 ? tightest : null;
  return [first, most, hip].flatMap((each) => (each ? [{ channel: each.channel, side: each.side }] : []));
}
export const watchedOf = (judgement: Judgement): Watched | null => watchesOf(judgement)[0] ?? null;
export const askedOn = ({ demands }: Pick<Glance, "demands">, watched: Watched | null): number =>
  demands.find((demand) => demand.channel === watched?.channel && demand.side === watched.side)?.head ?? NaN;

export const placeWith = ({ variationId, setting }: Place, { lever, to }: { lever: LeverId; to: number }): Place => ({
  variationId,
  setting: withLever(setting, lever, to),
});
/** One place is looked at again and again while a step from it is sought: it is judged once for a context. */
export const judgePlace = (context: FitContext, place: Place): Judgement =>
  judgedIn(context)(placeKey(place), () => judge(context, variationById(place.variationId), place.setting, "closing"));
const MOST_KEPT = 400;
const judgedIn = oncePer((_: FitContext) => onceByName<Judgement>(MOST_KEPT));
const placeKey = ({ variationId, setting }: Place): string => `${variationId} ${JSON.stringify(setting)}`;
/** What it asks at the headline; what closes it is a judgement's to say. */
export const glanceAt = (context: FitContext, { variationId, setting }: Place): Glance =>
  glance(context, variationById(variationId), setting, "headline");

/** The foot of a stair: a place as it stands. */
export const footAt = (context: FitContext, place: Place): Tread => ({
  ...place,
  change: null,
  riserFraction: null,
  size: null,
  channel: null,
  judgement: judgePlace(context, place),
});

/** Names a riser's size; across variations with an assumed posture a difference under 20 % is none. */
export function sizeOf({ school }: FitContext, riser: number, isCrossing: boolean): RiserSize {
  if (isCrossing && Math.abs(riser) < SAME_BETWEEN_FRACTION && riser <= school.largestRiserFraction) return "about-the-same";
  if (riser > school.largestRiserFraction + 1e-9) return "too-big";
  return Math.abs(riser) < school.smallRiserFraction - 1e-9 ? "small" : "even";
}

/** A tread from the one below by one change, judged in full. */
export function treadAfter(context: FitContext, below: Tread, place: Place, change: Change, watched: Watched | null): Tread {
  const judgement = judgePlace(context, place);
  const riser = askedOn(judgement, watched) / askedOn(below.judgement, watched) - 1;
  const kneeDeg = judgement.demands.find(({ channel }) => channel === "kneeFlexion")?.head ?? NaN;
  const isAssumed = change.fromVariationId !== null && postureTrust(context.subject.posture, kneeDeg) !== "A-";
  const isKnown = Number.isFinite(riser);
  return {
    ...place,
    change,
    judgement,
    channel: watched?.channel ?? null,
    riserFraction: isKnown ? riser : null,
    size: isKnown ? sizeOf(context, riser, isAssumed) : null,
  };
}

export const byLevers = (...levers: LeverChange[]): Change => ({ levers, fromVariationId: null, sets: null });
export const byVariation = (fromVariationId: string): Change => ({ levers: [], fromVariationId, sets: null });

/** What differs between two settings of one variation, lever by lever. */
export const changesBetween = (from: Setting, to: Setting): LeverChange[] =>
  (Object.keys({ ...from, ...to }) as LeverId[]).flatMap((lever) => {
    const [a, b] = [from[lever], to[lever]];
    return a === undefined || b === undefined || Math.abs(a - b) < 1e-9 ? [] : [{ lever, from: a, to: b }];
  });

export const rangeAt = ({ subject }: FitContext, { variationId }: Place, lever: LeverId) =>
  rangeOf(subject, variationById(variationId), lever);

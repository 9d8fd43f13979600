import { variationById } from "../catalogue/catalogue";
import type { Dose, Mixed } from "../catalogue/variation";
import { isHarder } from "../templates/form";
import { harderOf, type LeverId, type LeverKind, LEVERS } from "../templates/lever";
import type { FitContext, Place } from "../judge/context";
import {
  askedOn,
  byLevers,
  byVariation,
  type Change,
  changesBetween,
  EASE_ORDER,
  footAt,
  glanceAt,
  type LeverChange,
  placeWith,
  rangeAt,
  type Tread,
  treadAfter,
  type Watched,
  watchedOf,
  watchesOf,
} from "./tread";
import { RAIL_CHANNELS, type RailChannelId, railOf } from "../limits/rails";
import type { Judgement } from "../judge/judge";
import { type FitReason, STATES, stateOf } from "../judge/fit-reason";
import { SLACK } from "../judge/use";
import { valuesOn } from "../kit/on-hand";
import { fitVariation } from "./search";

export type Move = "ease" | "build";

/** A step never moves a lever further than this many felt changes: past that it hardly reaches the joint in question. */
const MOST_FELT = 2;
const isPossible = ({ isPossible: possible }: { isPossible: boolean }): boolean => possible;

/** Values of a lever beyond where it stands, the nearest first. */
function path(context: FitContext, place: Place, lever: LeverId, move: Move): number[] {
  const [range, now] = [rangeAt(context, place, lever), place.setting[lever]];
  if (!range || now === undefined || harderOf(lever) === null) return [];
  const values = valuesOn(context, variationById(place.variationId), range);
  return move === "build"
    ? values.filter((value) => isHarder(lever, value, now))
    : values.filter((value) => isHarder(lever, now, value)).reverse();
}

/**
 * The smallest change of one lever that makes a riser of the wanted size: the first that reaches 5 %, or the last before
 * a jump that is too big. Null where the lever works the other way here, or has nothing left.
 */
function buildBy(context: FitContext, below: Tread, lever: LeverId, watched: Watched): Tread | null {
  const { smallRiserFraction, largestRiserFraction } = context.school;
  const now = below.setting[lever] ?? NaN;
  const before = askedOn(below.judgement, watched);
  let [found, riser]: [number | null, number] = [null, 0];
  for (const to of path(context, below, lever, "build")) {
    if (Math.abs(to - now) > MOST_FELT * context.kit.felt[lever] + 1e-9 && found !== null) break;
    const judgement = glanceAt(context, placeWith(below, { lever, to }));
    if (!isPossible(judgement)) break;
    const next = askedOn(judgement, watched) / before - 1;
    if (!(next > 1e-9)) {
      if (next < -1e-9) break; // this lever works the other way here
      continue;
    }
    if (next > largestRiserFraction + 1e-9 && found !== null) break; // the smaller step before it
    [found, riser] = [to, next];
    if (riser >= smallRiserFraction - 1e-9) break;
  }
  if (found === null) return null;
  return treadAfter(context, below, placeWith(below, { lever, to: found }), byLevers({ lever, from: now, to: found }), watched);
}

/** Support whose smallest removal is too big a jump: height or load is given back with it, in the same step. */
function withGivenBack(context: FitContext, below: Tread, step: Tread, watched: Watched): Tread | null {
  const [taken] = step.change?.levers ?? [];
  if (!taken || LEVERS[taken.lever].kind !== "support") return null;
  for (const { lever } of variationById(below.variationId).levers) {
    if (LEVERS[lever].kind !== "range") continue;
    for (const to of path(context, below, lever, "ease")) {
      const place = placeWith(placeWith(below, taken), { lever, to });
      const riser = askedOn(glanceAt(context, place), watched) / askedOn(below.judgement, watched) - 1;
      if (!(riser <= context.school.largestRiserFraction)) continue;
      const given: LeverChange = { lever, from: below.setting[lever] ?? NaN, to };
      return treadAfter(context, below, place, byLevers(taken, given), watched);
    }
  }
  return null;
}

/**
 * The next step up: one lever in the school's order. Support is freed first even where that is a small step; a lever
 * whose least step is too big a jump is passed over unless it is the only one, and then it says so.
 */
export function nextBuild(context: FitContext, place: Place, order: readonly LeverKind[] = context.school.buildOrder): Tread | null {
  const below = footAt(context, place);
  if (!below.judgement.isPossible) return null;
  for (const watched of watchesOf(below.judgement)) {
    const step = buildOn(context, below, watched, order);
    if (step) return step;
  }
  return null;
}

function buildOn(context: FitContext, below: Tread, watched: Watched, order: readonly LeverKind[]): Tread | null {
  let [small, tooBig]: [Tread | null, Tread | null] = [null, null];
  for (const kind of order)
    for (const { lever } of variationById(below.variationId).levers) {
      if (LEVERS[lever].kind !== kind) continue;
      const step = buildBy(context, below, lever, watched);
      if (!step) continue;
      if (step.size === "even" || (kind === "support" && step.size === "small")) return step;
      const softened = step.size === "too-big" ? withGivenBack(context, below, step, watched) : null;
      if (softened) return softened;
      if (step.size === "small") small ??= step;
      else tooBig ??= step;
    }
  return small ?? tooBig;
}

/** What closes a place, its missing equipment aside: that hurts nobody. */
export const closesBy = ({ reasons }: Pick<Judgement, "reasons">): FitReason | null =>
  reasons.find((reason) => stateOf(reason) === "closed" && reason.code !== "equipment-missing") ?? null;
/**
 * Whether a place may answer pain: nothing closes it, it stands no worse than the one before, and it asks no more of any
 * joint that limits, nor bends past a guard rail further than before, over the whole of what either may come to.
 */
export function isEaseTo(context: FitContext, from: Judgement, to: Tread): boolean {
  const { judgement, variationId } = to;
  if (judgement.blocked || !judgement.isPossible || closesBy(judgement)) return false;
  if (STATES.indexOf(judgement.state) > STATES.indexOf(from.state)) return false;
  const no = (than: number, value: number): boolean => value <= than * (1 + SLACK) + SLACK;
  const isEasier = from.uses.every(({ ceilingId, head, high }) => {
    const now = judgement.uses.find((use) => use.ceilingId === ceilingId);
    return now
      ? no(head, now.head) && no(high, now.high)
      : !judgement.reasons.some((each) => "ceilingId" in each && each.ceilingId === ceilingId);
  });
  const { template } = variationById(variationId);
  const highest = (of: Judgement, channel: RailChannelId): number =>
    Math.max(0, ...of.demands.filter((each) => each.channel === channel).map(({ high }) => high));
  const isInside = RAIL_CHANNELS.every((channel) =>
    no(Math.max(railOf(template, channel, context.ownRange), highest(from, channel)), highest(judgement, channel)),
  );
  return isEasier && isInside;
}

/**
 * The nearest easier value of one lever that a client feels and the room can set up, and that takes at least 5 % off
 * what is asked; the finest such step where `isFelt` is false.
 */
function easeBy(context: FitContext, above: Tread, lever: LeverId, watched: Watched | null, isFelt: boolean): Tread | null {
  const now = above.setting[lever] ?? NaN;
  const before = askedOn(above.judgement, watched);
  for (const to of path(context, above, lever, "ease")) {
    if (isFelt && Math.abs(to - now) < context.kit.felt[lever] - 1e-9) continue;
    const judgement = glanceAt(context, placeWith(above, { lever, to }));
    if (!isPossible(judgement)) return null;
    const riser = askedOn(judgement, watched) / before - 1;
    if (riser > 1e-9) return null; // this lever works the other way here
    if (watched && !(riser <= -context.school.smallRiserFraction + 1e-9)) continue;
    const tread = treadAfter(context, above, placeWith(above, { lever, to }), byLevers({ lever, from: now, to }), watched);
    if (!isFelt || isEaseTo(context, above.judgement, tread)) return tread;
  }
  return null;
}

/** One step down by a lever: load first, then range, then hands. */
export function easeByLever(context: FitContext, place: Place, isFelt = true): Tread | null {
  const above = footAt(context, place);
  if (!above.judgement.isPossible) return null;
  const watches = watchesOf(above.judgement);
  for (const watched of watches.length > 0 ? watches : [null])
    for (const kind of EASE_ORDER)
      for (const { lever } of variationById(place.variationId).levers) {
        const step = LEVERS[lever].kind === kind ? easeBy(context, above, lever, watched, isFelt) : null;
        if (step) return step;
      }
  return null;
}

/** The easier neighbour on the ladder that asks least, where it asks clearly less and nothing closes it. */
const JOINT_TAGS = ["knee", "back", "balance"] as const;
function easeByNeighbour(context: FitContext, place: Place): Tread | null {
  const above = footAt(context, place);
  const watched = watchedOf(above.judgement);
  const before = askedOn(above.judgement, watched);
  const { easier, tags } = variationById(place.variationId);
  const found = easier.flatMap((id): Tread[] => {
    const variation = variationById(id);
    const { setting } = fitVariation({ ...context, targetUseFraction: context.targetUseFraction / 2 }, variation);
    const tread = treadAfter(context, above, { variationId: id, setting }, byVariation(place.variationId), watched);
    const asked = askedOn(tread.judgement, watched);
    // where the model compares nothing, no tag may say that it asks more
    const isEasier = Number.isFinite(before)
      ? asked <= before * (1 - context.school.smallRiserFraction)
      : JOINT_TAGS.every((tag) => variation.tags[tag] <= tags[tag]);
    return isEasier && tread.judgement.state !== "closed" && isEaseTo(context, above.judgement, tread) ? [tread] : [];
  });
  return found.toSorted((a, b) => askedOn(a.judgement, watched) - askedOn(b.judgement, watched))[0] ?? null;
}

/** Where a step leads: a set-up, and how much of it. */
export interface Stepped {
  tread: Tread;
  dose: Dose;
}

/**
 * One ease that can be felt: harder sets given up, else a lever, else an easier neighbour; where the joint can be asked no
 * less, one set fewer. Null when nothing easier is left: rest this pattern today, and ask.
 */
export function easeOnce(context: FitContext, place: Place, { mixed, ...dose }: Dose): Stepped | null {
  if (mixed) {
    const change: Change = { ...byLevers(...changesBetween(mixed.setting, place.setting)), mixed: { setCount: 0, of: dose.setCount } };
    return { tread: { ...footAt(context, place), change }, dose };
  }
  const tread = easeByLever(context, place) ?? easeByNeighbour(context, place);
  return tread ? { tread, dose } : fewerSets(context, place, dose);
}
/** The same place with one set fewer; null where there is only one, or where the place itself is closed. */
export function fewerSets(context: FitContext, place: Place, { mixed: _, ...dose }: Dose): Stepped | null {
  const here = footAt(context, place);
  if (dose.setCount <= 1 || !isAllowed(here)) return null;
  const setCount = dose.setCount - 1;
  const change: Change = { levers: [], fromVariationId: null, sets: { from: dose.setCount, to: setCount } };
  return { tread: { ...here, change }, dose: { ...dose, setCount } };
}

/** Two eases as one proposal: after sharp pain or a flare. The second may be missing; the first may not. */
export function easeTwice(context: FitContext, place: Place, dose: Dose, first = easeOnce(context, place, dose)): Stepped | null {
  const second = first && easeOnce(context, first.tread, first.dose);
  if (!first || !second) return first;
  const isSameRow = second.tread.variationId === place.variationId;
  const fewer = second.dose.setCount < dose.setCount ? { from: dose.setCount, to: second.dose.setCount } : null;
  const change: Change = {
    levers: isSameRow ? changesBetween(place.setting, second.tread.setting) : [],
    fromVariationId: isSameRow ? null : place.variationId,
    sets: fewer,
  };
  const above = footAt(context, place);
  return { tread: treadAfter(context, above, second.tread, change, watchedOf(above.judgement)), dose: second.dose };
}

/** The harder setting in so many of the sets, or in all of them: then it is the rung. Its riser is the mean over the sets. */
function mix(context: FitContext, place: Place, { mixed: _, ...dose }: Dose, { setting, setCount }: Mixed): Stepped {
  const below = footAt(context, place);
  const change = byLevers(...changesBetween(place.setting, setting));
  const above = treadAfter(context, below, { variationId: place.variationId, setting }, change, watchedOf(below.judgement));
  const riserFraction = above.riserFraction === null ? null : above.riserFraction / dose.setCount;
  const tread: Tread = { ...above, riserFraction, size: "even" };
  if (setCount >= dose.setCount) return { tread, dose };
  const partly = { ...tread, setting: place.setting, change: { ...change, mixed: { setCount, of: dose.setCount } } };
  return { tread: partly, dose: { ...dose, mixed: { setting, setCount } } };
}

/**
 * The next step up of a rung and its dose: sets that an ease or a try took away come back first, one at a time. A step
 * that is too big for every set at once is taken in one of them, where the mean over the sets stays within the school's
 * largest, and in one more each time it is earned again.
 */
export function buildOnce(context: FitContext, place: Place, dose: Dose): Stepped | null {
  const usual = variationById(place.variationId).dose;
  if (dose.mixed) return mix(context, place, dose, { ...dose.mixed, setCount: dose.mixed.setCount + 1 });
  if (dose.setCount < usual.setCount) {
    const setCount = dose.setCount + 1;
    const change: Change = { levers: [], fromVariationId: null, sets: { from: dose.setCount, to: setCount } };
    const repetitionsHigh = Math.max(dose.repetitionsHigh, usual.repetitionsHigh);
    return { tread: { ...footAt(context, place), change }, dose: { ...dose, setCount, repetitionsHigh } };
  }
  const tread = nextBuild(context, place);
  const mean = (tread?.riserFraction ?? Infinity) / dose.setCount;
  const isMixed = tread?.size === "too-big" && tread.judgement.state === "open" && mean <= context.school.largestRiserFraction;
  if (tread && isMixed) return mix(context, place, dose, { setting: tread.setting, setCount: 1 });
  return tread && { tread, dose };
}

const MOST_EASES = 24;
/** Whether limits, ceilings and guard rails let a place be trained at all today. */
const isAllowed = ({ judgement }: Tread): boolean => closesBy(judgement) === null;

/** From a place that is now forbidden, the nearest easier one that is not; null where easing does not lead out. */
export function easeUntilAllowed(context: FitContext, place: Place, dose: Dose): Stepped | null {
  if (dose.mixed) {
    const plain = easeOnce(context, place, dose); // it may be the harder sets alone that are forbidden
    return plain && (isAllowed(plain.tread) ? plain : easeUntilAllowed(context, place, plain.dose));
  }
  const start = footAt(context, place);
  let here: Tread = start;
  for (let i = 0; i < MOST_EASES && !isAllowed(here); i++) {
    const next: Tread | null = easeByLever(context, here, false) ?? easeByNeighbour(context, here);
    if (!next) return null;
    here = next;
  }
  if (!isAllowed(here)) return null;
  const isSameRow = here.variationId === place.variationId;
  const change: Change = {
    levers: isSameRow ? changesBetween(place.setting, here.setting) : [],
    fromVariationId: isSameRow ? null : place.variationId,
    sets: null,
  };
  return { tread: treadAfter(context, start, here, change, watchedOf(start.judgement)), dose };
}

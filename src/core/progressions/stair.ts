import { variationById } from "../catalogue/catalogue";
import type { Variation } from "../catalogue/variation";
import { isHarder, leversOf, startSetting } from "../templates/form";
import { harderOf, type LeverId, type LeverKind, LEVERS, type Setting, withLever } from "../templates/lever";
import type { FitContext, Place } from "../judge/context";
import { countHolding } from "../numeric/count-holding";
import { valuesOn } from "../kit/on-hand";
import { easeByLever, nextBuild } from "./step";
import {
  askedOn,
  byLevers,
  byVariation,
  footAt,
  glanceAt,
  placeWith,
  rangeAt,
  type Tread,
  treadAfter,
  type Watched,
  watchedOf,
} from "./tread";

/** A riser about in the middle of what is worth a step and what is too big a jump. */
const RISER_AIM_FRACTION = 0.08;
/** About how many builds of a usual size lie between a ceiling and what is asked of it. */
export const buildsAway = (useFraction: number): number =>
  Math.max(1, Math.ceil(Math.log(useFraction) / Math.log(1 + RISER_AIM_FRACTION) - 1e-9));
const MOST_TREADS = 60;

/**
 * The stair around a rung: `down` treads below it, and up to `up` above, ending with the first that is past a ceiling
 * or a limit, so that both see what comes after. The rung itself is the one without a change at index `current`.
 */
export function stairAround(context: FitContext, place: Place, size: { down: number; up: number }): { treads: Tread[]; current: number } {
  const here = footAt(context, place);
  const treads: Tread[] = [here];
  for (let i = 0; i < size.down; i++) {
    const above = treads[0];
    const step = above && easeByLever(context, above, false);
    const [moved] = step?.change?.levers ?? [];
    if (!above || !step || !moved || step.riserFraction === null) break;
    const back = { lever: moved.lever, from: moved.to, to: moved.from };
    treads[0] = { ...above, change: byLevers(back), riserFraction: 1 / (1 + step.riserFraction) - 1, size: "even", channel: step.channel };
    treads.unshift({ ...step, change: null, riserFraction: null, size: null });
  }
  const current = treads.length - 1;
  for (let i = 0; i < size.up; i++) {
    const below = treads.at(-1);
    if (!below || (below.judgement.state === "closed" && i > 0)) break;
    const step = nextBuild(context, below);
    if (!step) break;
    treads.push(step);
  }
  return { treads, current };
}

/** A stair to a goal, over as many variations as the ladder has between. */
export interface Route {
  treads: Tread[];
  /** The channel that every riser is measured on. */
  channel: Watched["channel"] | null;
  reachesGoal: boolean;
}

interface Way {
  context: FitContext;
  watched: Watched | null;
  order: readonly LeverKind[];
}
const asked = ({ context, watched }: Way, place: Place): number => askedOn(glanceAt(context, place), watched);

/** Rungs of the ladder from one variation to another, easiest first; straight there where the ladder has no way. */
function ladder(fromId: string, goalId: string): string[] {
  const cameFrom = new Map<string, string | null>([[fromId, null]]);
  const queue = [fromId];
  for (let id = queue.shift(); id !== undefined && id !== goalId; id = queue.shift())
    for (const next of variationById(id).harder)
      if (!cameFrom.has(next)) {
        cameFrom.set(next, id);
        queue.push(next);
      }
  if (!cameFrom.has(goalId)) return fromId === goalId ? [fromId] : [fromId, goalId];
  const found: string[] = [];
  for (let id: string | null = goalId; id !== null; id = cameFrom.get(id) ?? null) found.unshift(id);
  return found;
}

/** Values of a lever from where it stands to where it must get, each nearer; the last is exact, on hand or not. */
function between(context: FitContext, place: Place, lever: LeverId, to: number): number[] {
  const [range, from] = [rangeAt(context, place, lever), place.setting[lever] ?? NaN];
  if (!range) return [];
  const [low, high] = [Math.min(from, to), Math.max(from, to)];
  const on = valuesOn(context, variationById(place.variationId), range).filter((value) => value > low + 1e-9 && value < high - 1e-9);
  return [...on.sort((a, b) => (to > from ? a - b : b - a)), to];
}

/** The move of one lever toward the goal that comes nearest to the wanted demand. */
function nearestMove(way: Way, below: Tread, lever: LeverId, to: number, wanted: number): Tread | null {
  const values = between(way.context, below, lever, to);
  const demandAt = (value: number): number => asked(way, placeWith(below, { lever, to: value }));
  const under = countHolding(values, (value) => demandAt(value) <= wanted);
  const near = [values[under - 1], values[under]].filter((value) => value !== undefined);
  const error = (value: number): number => Math.abs(Math.log(demandAt(value) / wanted));
  const best = near.toSorted((a, b) => error(a) - error(b))[0];
  if (best === undefined) return null;
  const change = byLevers({ lever, from: below.setting[lever] ?? NaN, to: best });
  return treadAfter(way.context, below, placeWith(below, { lever, to: best }), change, way.watched);
}

/** The first lever in the school's order whose nearest move is an even riser; failing that one too small, then any. */
function firstEven(way: Way, below: Tread, goal: Setting, levers: readonly LeverId[], wanted: number): Tread | null {
  const rest = levers.filter((lever) => !way.order.includes(LEVERS[lever].kind));
  const inOrder = [...way.order.flatMap((kind) => levers.filter((lever) => LEVERS[lever].kind === kind)), ...rest];
  const moves = inOrder.flatMap((lever) => nearestMove(way, below, lever, goal[lever] ?? NaN, wanted) ?? []);
  return moves.find(({ size }) => size === "even") ?? moves.find(({ size }) => size !== "too-big") ?? moves[0] ?? null;
}

const differing = (below: Place, goal: Setting): LeverId[] =>
  variationById(below.variationId)
    .levers.map(({ lever }) => lever)
    .filter((lever) => Math.abs((goal[lever] ?? NaN) - (below.setting[lever] ?? NaN)) > 1e-9);

/** The next tread toward a setting of the same variation: one lever, in the school's order, a riser like the others. */
function towards(way: Way, below: Tread, goal: Setting): Tread | null {
  const open = differing(below, goal);
  if (open.length === 0) return null;
  const now = askedOn(below.judgement, way.watched);
  const left = Math.log(asked(way, { variationId: below.variationId, setting: { ...below.setting, ...goal } }) / now);
  const stepCount = Math.max(1, Math.round(left / Math.log(1 + RISER_AIM_FRACTION)));
  const wanted = now * Math.exp(Math.max(left / stepCount, Math.log(1 + way.context.school.smallRiserFraction)));
  return firstEven(way, below, goal, open, Number.isFinite(wanted) ? wanted : Infinity);
}

/** One even riser up within a variation, each lever toward its hard end; the share stays. Null where nothing harder is left. */
function climb(way: Way, below: Tread): Tread | null {
  const { subject } = way.context;
  const variation = variationById(below.variationId);
  const ranges = leversOf(subject, variation).filter(({ lever }) => lever !== "shareFraction" && harderOf(lever));
  const hardest = Object.fromEntries(
    ranges.map((range) => [range.lever, valuesOn(way.context, variation, range).at(-1) ?? range.start]),
  ) as Setting;
  const open = differing(below, { ...below.setting, ...hardest });
  const step = firstEven(way, below, hardest, open, askedOn(below.judgement, way.watched) * (1 + RISER_AIM_FRACTION));
  return step && (step.riserFraction ?? 0) > 0 ? step : null;
}

/** A set-up of another variation that asks about as much: its easiest end, brought up one lever after the other. */
function entrance(way: Way, variation: Variation, share: Setting, goal: Setting, wanted: number): Place {
  const ranges = leversOf(way.context.subject, variation).filter(({ lever }) => lever !== "shareFraction" && harderOf(lever));
  let setting: Setting = { ...startSetting(way.context.subject, variation), ...share };
  for (const range of ranges) setting = withLever(setting, range.lever, valuesOn(way.context, variation, range)[0] ?? range.start);
  for (const range of ranges) {
    const most = goal[range.lever];
    const values = valuesOn(way.context, variation, range).filter((value) => most === undefined || !isHarder(range.lever, value, most));
    const fits = (value: number): boolean => {
      const judgement = glanceAt(way.context, { variationId: variation.id, setting: withLever(setting, range.lever, value) });
      return !judgement.isPossible || askedOn(judgement, way.watched) <= wanted; // a seat out of reach is only too high
    };
    const last = values[countHolding(values, fits) - 1];
    if (last !== undefined) setting = withLever(setting, range.lever, last);
  }
  return { variationId: variation.id, setting };
}

/** The goal's own set-up in its variation, or where the next rung of the ladder begins about as hard as here. */
function crossing(way: Way, below: Tread, nextId: string, goal: Place): Tread {
  const { largestRiserFraction } = way.context.school;
  const { shareFraction } = below.setting;
  const share = shareFraction === undefined ? {} : { shareFraction };
  const now = askedOn(below.judgement, way.watched);
  // into the goal's own variation by an even part of what is left, so that no sliver remains
  const left = nextId === goal.variationId ? Math.log(asked(way, goal) / now) : NaN;
  const parts = Math.max(1, Math.ceil(left / Math.log(1 + largestRiserFraction)));
  const wanted = left > 0 ? now * Math.exp(left / parts) + 1e-9 : now * (1 + largestRiserFraction);
  const most = nextId === goal.variationId ? goal.setting : {};
  const place = entrance(way, variationById(nextId), share, most, wanted);
  return treadAfter(way.context, below, place, byVariation(below.variationId), way.watched);
}

/**
 * The whole stair from here to a goal (docs/equations.md E24): one change a tread, levers in a school's order by the
 * increments on hand, risers as even as those allow, over as many variations as the ladder has between. A tread says
 * where no even riser exists.
 */
export function stairToGoal(context: FitContext, from: Place, goal: Place, order: readonly LeverKind[] = context.school.buildOrder): Route {
  const foot = footAt(context, from);
  const way: Way = { context, watched: watchedOf(foot.judgement), order };
  const treads = [foot];
  for (const nextId of ladder(from.variationId, goal.variationId).slice(1)) {
    let below = treads.at(-1) ?? foot;
    // climb in this variation until the next one's easiest is no big jump any more
    for (;;) {
      const over = crossing(way, below, nextId, goal);
      const isJump = (over.riserFraction ?? 0) > context.school.largestRiserFraction;
      const step = isJump && treads.length < MOST_TREADS ? climb(way, below) : null;
      below = step ?? over;
      treads.push(below);
      if (!step) break;
    }
  }
  while (treads.length < MOST_TREADS) {
    const next = towards(way, treads.at(-1) ?? foot, goal.setting);
    if (!next) return { treads, channel: way.watched?.channel ?? null, reachesGoal: true };
    treads.push(next);
  }
  return { treads, channel: way.watched?.channel ?? null, reachesGoal: false };
}

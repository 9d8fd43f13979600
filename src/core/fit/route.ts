import { variationById } from "../catalogue/catalogue";
import { LEVERS, type LeverId, type LeverKind, type LeverRange, type Setting, startSetting, type Variation } from "../catalogue/variation";
import type { ChannelSide, LoadChannelId } from "../mechanics/channels";
import { postureTrust } from "../mechanics/posture";
import { type FitContext, type Judgement, judge } from "./candidate";
import { countHolding, leverValues, rangeOf, withLever } from "./levers";
import { BUILD_ORDER, RISER_MAX_FRACTION, RISER_MIN_FRACTION } from "./stair";

/** Between variations whose posture is assumed, a smaller difference than this is none. */
export const SAME_BETWEEN_FRACTION = 0.2;
/** A riser about in the middle of what is worth a step and what is too big a jump. */
const RISER_AIM_FRACTION = 0.08;
const MOST_TREADS = 60;

/** A variation in one set-up: where a stair begins or ends. */
export interface Place {
  variationId: string;
  setting: Setting;
}

/** One tread on the way to a goal, and the single change that leads to it from the one below. */
export interface RouteTread extends Place {
  change: { kind: "lever"; lever: LeverId; from: number; to: number } | { kind: "variation"; fromId: string } | null;
  /** Relative change of the watched demand; null at the foot, and where there is no pose to compare. */
  riserFraction: number | null;
  /** Under 5 % (20 % between variations with an assumed posture) there is no difference; over 12 % it is too big a jump. */
  flag: "about-the-same" | "too-big" | null;
  judgement: Judgement;
}

export interface Route {
  treads: RouteTread[];
  /** The channel that every riser is measured on. */
  channel: LoadChannelId;
  reachesGoal: boolean;
}

interface Watch {
  context: FitContext;
  channel: LoadChannelId;
  side: ChannelSide;
  order: readonly LeverKind[];
}

/** Demand on the watched channel, NaN where there is no pose. */
const asked = ({ channel, side }: Watch, { demands }: Judgement): number =>
  demands.find((d) => d.channel === channel && d.side === side)?.head ?? NaN;

const at = ({ context }: Watch, { variationId, setting }: Place): Judgement =>
  judge(context, variationById(variationId), setting, "headline");

/** What the stair is measured on: the tightest ceiling's channel, or the lead knee; knee moment where the goal is too deep for the kneecap. */
function watchFor(context: FitContext, from: Place, goal: Place, order: readonly LeverKind[]): Watch {
  const here = judge(context, variationById(from.variationId), from.setting, "headline");
  const there = judge(context, variationById(goal.variationId), goal.setting, "headline");
  const { channel, side } = here.tightest ?? { channel: "kneeMoment" as const, side: context.subject.leadSide };
  const isRefused = [here, there].some(({ demands }) => demands.some((d) => d.channel === channel && d.side === side && d.refused));
  return { context, channel: isRefused ? "kneeMoment" : channel, side, order };
}

function treadAfter(watch: Watch, below: RouteTread, place: Place, change: RouteTread["change"]): RouteTread {
  const judgement = judge(watch.context, variationById(place.variationId), place.setting);
  const riser = asked(watch, judgement) / asked(watch, below.judgement) - 1;
  const isMeasured = postureTrust(watch.context.subject.posture, judgement.pose?.kneeFlexionDeg ?? NaN) === "A-";
  const same = change?.kind === "variation" && !isMeasured ? SAME_BETWEEN_FRACTION : RISER_MIN_FRACTION;
  const flag = Math.abs(riser) < same ? "about-the-same" : riser > RISER_MAX_FRACTION ? "too-big" : null;
  return { ...place, change, judgement, riserFraction: Number.isFinite(riser) ? riser : null, flag };
}

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
  const path: string[] = [];
  for (let id: string | null = goalId; id !== null; id = cameFrom.get(id) ?? null) path.unshift(id);
  return path;
}

const isHarder = (lever: LeverId, a: number, b: number): boolean => (LEVERS[lever].harder === "more" ? a > b + 1e-9 : a < b - 1e-9);

/** Values of a lever from where it stands to where it must get, each nearer; the last is exact, on the grid or not. */
function wayOf(context: FitContext, variation: Variation, lever: LeverId, from: number, to: number): number[] {
  const range = rangeOf(variation, lever);
  if (!range) return [];
  const [low, high] = [Math.min(from, to), Math.max(from, to)];
  const between = leverValues(range, context.increments[lever])
    .filter((value) => value > low + 1e-9 && value < high - 1e-9)
    .sort((a, b) => (to > from ? a - b : b - a));
  return [...between, to];
}

/** The move of one lever toward the goal that comes nearest to the wanted demand. */
function nearestMove(watch: Watch, below: RouteTread, lever: LeverId, to: number, wanted: number): RouteTread | null {
  const variation = variationById(below.variationId);
  const from = below.setting[lever] ?? NaN;
  const way = wayOf(watch.context, variation, lever, from, to);
  const place = (value: number): Place => ({ variationId: variation.id, setting: withLever(below.setting, lever, value) });
  const demandAt = (value: number): number => asked(watch, at(watch, place(value)));
  const under = countHolding(way, (value) => demandAt(value) <= wanted);
  const near = [way[under - 1], way[under]].filter((value) => value !== undefined);
  const error = (value: number): number => Math.abs(Math.log(demandAt(value) / wanted));
  const best = near.toSorted((a, b) => error(a) - error(b))[0];
  return best === undefined ? null : treadAfter(watch, below, place(best), { kind: "lever", lever, from, to: best });
}

/** The next tread toward a setting of the same variation: one lever, in the school's order, a riser like the others. */
function towards(watch: Watch, below: RouteTread, goal: Setting): RouteTread | null {
  const open = variationById(below.variationId).levers.filter(
    ({ lever }) => Math.abs((goal[lever] ?? NaN) - (below.setting[lever] ?? NaN)) > 1e-9,
  );
  if (open.length === 0) return null;
  const now = asked(watch, below.judgement);
  const left = Math.log(asked(watch, at(watch, { variationId: below.variationId, setting: goal })) / now);
  const stepCount = Math.max(1, Math.round(left / Math.log(1 + RISER_AIM_FRACTION)));
  const wanted = now * Math.exp(Math.max(left / stepCount, Math.log(1 + RISER_MIN_FRACTION)));
  return firstEven(watch, below, goal, open, wanted);
}

/** The first lever in the school's order whose nearest move is an even riser; failing that one too small, then any. */
function firstEven(watch: Watch, below: RouteTread, goal: Setting, open: readonly LeverRange[], wanted: number): RouteTread | null {
  const rest = open.filter(({ lever }) => !watch.order.includes(LEVERS[lever].kind));
  const inOrder = [...watch.order.flatMap((kind) => open.filter(({ lever }) => LEVERS[lever].kind === kind)), ...rest];
  const moves = inOrder.flatMap(({ lever }) => {
    const move = nearestMove(watch, below, lever, goal[lever] ?? NaN, wanted);
    return move ? [move] : [];
  });
  return moves.find(({ flag }) => flag === null) ?? moves.find(({ flag }) => flag === "about-the-same") ?? moves[0] ?? null;
}

/** One even riser up within a variation, each lever toward its hard end; the share stays. Null where nothing harder is left. */
function climb(watch: Watch, below: RouteTread): RouteTread | null {
  const levers = variationById(below.variationId).levers.filter(({ lever }) => lever !== "shareFraction");
  const hardest = Object.fromEntries(
    levers.map((range) => [range.lever, leverValues(range, watch.context.increments[range.lever]).at(-1)]),
  );
  const open = levers.filter(({ lever }) => Math.abs((hardest[lever] ?? NaN) - (below.setting[lever] ?? NaN)) > 1e-9);
  const step = firstEven(watch, below, hardest, open, asked(watch, below.judgement) * (1 + RISER_AIM_FRACTION));
  return step && (step.riserFraction ?? 0) > 0 ? step : null;
}

/** A set-up of another variation that asks about as much: its easiest end, brought up one lever after the other. */
function entrance(watch: Watch, variation: Variation, share: Setting, goal: Setting, wanted: number): Place {
  let setting: Setting = { ...startSetting(variation), ...share };
  const levers = variation.levers.filter(({ lever }) => lever !== "shareFraction");
  for (const range of levers)
    setting = withLever(setting, range.lever, leverValues(range, watch.context.increments[range.lever])[0] ?? range.start);
  for (const range of levers) {
    const most = goal[range.lever];
    const values = leverValues(range, watch.context.increments[range.lever]).filter(
      (value) => most === undefined || !isHarder(range.lever, value, most),
    );
    const fits = (value: number): boolean => {
      const judgement = at(watch, { variationId: variation.id, setting: withLever(setting, range.lever, value) });
      return judgement.pose === null || asked(watch, judgement) <= wanted; // a seat out of reach is only too high
    };
    const last = values[countHolding(values, fits) - 1];
    if (last !== undefined) setting = withLever(setting, range.lever, last);
  }
  return { variationId: variation.id, setting };
}

/** The goal's own set-up in its variation, or where the next rung of the ladder begins about as hard as here. */
function crossing(watch: Watch, below: RouteTread, nextId: string, goal: Place): RouteTread {
  const { shareFraction } = below.setting;
  const share = shareFraction === undefined ? {} : { shareFraction };
  const now = asked(watch, below.judgement);
  // into the goal's own variation by an even part of what is left, so that no sliver remains
  const left = nextId === goal.variationId ? Math.log(asked(watch, at(watch, goal)) / now) : NaN;
  const parts = Math.max(1, Math.ceil(left / Math.log(1 + RISER_MAX_FRACTION)));
  const wanted = left > 0 ? now * Math.exp(left / parts) + 1e-9 : now * (1 + RISER_MAX_FRACTION);
  const most = nextId === goal.variationId ? goal.setting : {};
  const place = entrance(watch, variationById(nextId), share, most, wanted);
  return treadAfter(watch, below, place, { kind: "variation", fromId: below.variationId });
}

/**
 * The whole stair from here to a goal (docs/equations.md E24): one change a tread, levers in a school's order by the
 * increments on hand, risers as even as those allow, over as many variations as the ladder has between. A tread is
 * flagged where no even riser exists.
 */
export function stairToGoal(context: FitContext, from: Place, goal: Place, order: readonly LeverKind[] = BUILD_ORDER): Route {
  const watch = watchFor(context, from, goal, order);
  const foot: RouteTread = {
    ...from,
    change: null,
    riserFraction: null,
    flag: null,
    judgement: judge(context, variationById(from.variationId), from.setting),
  };
  const treads = [foot];
  const way = ladder(from.variationId, goal.variationId);
  for (const nextId of way.slice(1)) {
    let below = treads.at(-1) ?? foot;
    // climb in this variation until the next one's easiest is no big jump any more
    for (;;) {
      const over = crossing(watch, below, nextId, goal);
      const step = (over.riserFraction ?? 0) > RISER_MAX_FRACTION && treads.length < MOST_TREADS ? climb(watch, below) : null;
      below = step ?? over;
      treads.push(below);
      if (!step) break;
    }
  }
  while (treads.length < MOST_TREADS) {
    const next = towards(watch, treads.at(-1) ?? foot, goal.setting);
    if (!next) return { treads, channel: watch.channel, reachesGoal: true };
    treads.push(next);
  }
  return { treads, channel: watch.channel, reachesGoal: false };
}

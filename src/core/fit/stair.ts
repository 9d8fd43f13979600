import { LEVERS, type LeverId, type LeverKind, type Setting, type Variation } from "../catalogue/variation";
import { GRAVITY_MPS2 } from "../units";
import type { LoadChannelId } from "../mechanics/channels";
import { type FitContext, type Judgement, judge } from "./candidate";
import { leverValues, rangeOf, withLever } from "./levers";

/** Below this a change at a kept posture is "about the same"; above the other it is too big a jump (a school's number). */
export const RISER_MIN_FRACTION = 0.05;
export const RISER_MAX_FRACTION = 0.12;
/** What is built first; easing goes the other way round, load before depth before hands. */
export const BUILD_ORDER: readonly LeverKind[] = ["support", "range", "load"];
export const EASE_ORDER: readonly LeverKind[] = ["load", "range", "support"];

/** A step never moves a lever further than this: past it the lever hardly reaches the joint in question (a school's numbers). */
const STEP_MAX: Readonly<Record<LeverId, number>> = {
  seatHeightM: 0.04,
  kneeFlexionDeg: 15,
  handForceN: 4 * GRAVITY_MPS2,
  loadKg: 5,
  shareFraction: 0.05,
};

export type Move = "ease" | "build";

/** One change of one lever, and how much more or less the watched channel is asked. */
export interface Step {
  move: Move;
  lever: LeverId;
  from: number;
  to: number;
  setting: Setting;
  channel: LoadChannelId;
  /** Relative change of demand; negative when easing. */
  riserFraction: number;
  tooBig: boolean;
  judgement: Judgement;
}

/** Demand that steps are measured by: the tightest ceiling's channel, or the lead knee where there is none. */
function watched({ tightest, demands }: Judgement): { channel: LoadChannelId; value: number } | null {
  if (tightest) return { channel: tightest.channel, value: tightest.demand.head };
  const knee = demands.find(({ channel }) => channel === "kneeMoment");
  return knee ? { channel: "kneeMoment", value: knee.head } : null;
}

function valueIn(judgement: Judgement, channel: LoadChannelId): number | null {
  const { tightest, demands } = judgement;
  const same = demands.find((d) => d.channel === channel && (!tightest || tightest.channel !== channel || d.side === tightest.side));
  return same && !same.refused ? same.head : null;
}

/** The smallest change of one lever that is a riser at all, or null when its range holds none. */
function stepOfLever(
  context: FitContext,
  variation: Variation,
  from: Judgement,
  setting: Setting,
  move: Move,
  lever: LeverId,
): Step | null {
  const range = rangeOf(variation, lever);
  const now = setting[lever];
  const base = watched(from);
  if (!range || now === undefined || !base || !(base.value > 0)) return null;
  const values = leverValues(range, context.increments[lever]); // easiest first
  const harder = (value: number): boolean => (LEVERS[lever].harder === "more" ? value > now + 1e-9 : value < now - 1e-9);
  const easier = (value: number): boolean => value !== now && !harder(value) && Math.abs(value - now) > 1e-9;
  const path = move === "build" ? values.filter(harder) : values.filter(easier).reverse();
  for (const to of path) {
    if (Math.abs(to - now) > STEP_MAX[lever] + 1e-9) return null;
    const next = withLever(setting, lever, to);
    const judgement = judge(context, variation, next);
    const value = judgement.pose === null ? null : (valueIn(judgement, base.channel) ?? standInValue(judgement));
    const before = value !== null && valueIn(judgement, base.channel) === null ? standInValue(from) : base.value;
    if (value === null || before === null) return null;
    const riserFraction = value / before - 1;
    if (Math.abs(riserFraction) < RISER_MIN_FRACTION) continue;
    if (riserFraction > 0 !== (move === "build")) return null; // this lever works the other way here
    const channel = valueIn(judgement, base.channel) === null ? "kneeMoment" : base.channel;
    return {
      move,
      lever,
      from: now,
      to,
      setting: next,
      channel,
      riserFraction,
      tooBig: Math.abs(riserFraction) > RISER_MAX_FRACTION,
      judgement,
    };
  }
  return null;
}

/** Past 90 degrees of bend kneecap stress is refused, so both ends of the step are read on the knee moment. */
function standInValue({ demands, tightest }: Judgement): number | null {
  const side = tightest?.side;
  return demands.find((d) => d.channel === "kneeMoment" && (side === undefined || d.side === side || side === "both"))?.head ?? null;
}

/**
 * The next step up or down: one lever, by the fewest increments that make a riser, in the school's order. A lever
 * whose least step is too big a jump is passed over unless it is the only one, and then it is flagged.
 */
export function nextStep(
  context: FitContext,
  variation: Variation,
  setting: Setting,
  move: Move,
  order?: readonly LeverKind[],
): Step | null {
  const from = judge(context, variation, setting);
  if (from.pose === null) return null;
  let fallback: Step | null = null;
  for (const kind of order ?? (move === "build" ? BUILD_ORDER : EASE_ORDER)) {
    for (const { lever } of variation.levers) {
      if (LEVERS[lever].kind !== kind) continue;
      const step = stepOfLever(context, variation, from, setting, move, lever);
      if (!step) continue;
      if (!step.tooBig) return step;
      fallback ??= step;
    }
  }
  return fallback;
}

export interface Tread {
  setting: Setting;
  /** The step that leads here from the tread below, or null at the foot of the stair. */
  step: { lever: LeverId; from: number; to: number; riserFraction: number; tooBig: boolean } | null;
  judgement: Judgement;
  isCurrent: boolean;
}

const treadFrom = (step: Step): Tread["step"] => ({
  lever: step.lever,
  from: step.from,
  to: step.to,
  riserFraction: step.riserFraction,
  tooBig: step.tooBig,
});

/**
 * The stair around a rung: `down` treads below it, and up to `up` above, ending with the first that is past a ceiling
 * or a limit, so that both see what comes after.
 */
export function stairAround(context: FitContext, variation: Variation, setting: Setting, size: { down: number; up: number }): Tread[] {
  const treads: Tread[] = [{ setting, step: null, judgement: judge(context, variation, setting), isCurrent: true }];
  for (let i = 0; i < size.down; i++) {
    const above = treads[0];
    const step = above && nextStep(context, variation, above.setting, "ease");
    if (!above || !step) break;
    above.step = { ...treadFrom(step)!, from: step.to, to: step.from, riserFraction: 1 / (1 + step.riserFraction) - 1 };
    treads.unshift({ setting: step.setting, step: null, judgement: step.judgement, isCurrent: false });
  }
  for (let i = 0; i < size.up; i++) {
    const below = treads.at(-1);
    if (!below || (below.judgement.state === "closed" && !below.isCurrent)) break;
    const step = nextStep(context, variation, below.setting, "build");
    if (!step) break;
    treads.push({ setting: step.setting, step: treadFrom(step), judgement: step.judgement, isCurrent: false });
  }
  return treads;
}

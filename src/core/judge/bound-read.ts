import { type Bends, BENDS, BENDS_OF_KIND, DRILLS, type Span } from "../catalogue/bends.data";
import { ruledAs } from "../catalogue/traits";
import type { Variation } from "../catalogue/variation";
import type { LimitChannelId } from "../limits/limit";
import { type ChannelSide, type Demand, isLeast, type NumberChannelId } from "../mechanics/channels";
import { known, NOT_MEASURED, type Reading } from "../known";
import type { Asked } from "../templates/ask";
import { templateOf } from "../templates/form";
import type { Setting } from "../templates/lever";
import { GRAVITY_MPS2 } from "../units";

/** What a limit can be held against. */
export type BoundChannel = LimitChannelId | "bellyRoom";
/** The most and least a set-up may come to on a limit's channel. */
export type Bound = Pick<Demand, "low" | "high" | "side">;

const STRAIGHT_DEG = 180;
const spanOn = (channel: BoundChannel, { kneeDeg, hipDeg, trunkDeg, shinDeg, footFraction }: Bends): Span | undefined => {
  switch (channel) {
    case "kneeFlexion":
      return kneeDeg;
    case "hipFlexion":
      return hipDeg;
    case "trunkLean":
      return trunkDeg;
    case "shankLean":
      return shinDeg;
    case "legWeight":
      return footFraction;
    case "bellyRoom":
      return hipDeg && [STRAIGHT_DEG - hipDeg[1], STRAIGHT_DEG - hipDeg[0]];
    case "spineLoad":
    case "handWeight":
      return undefined;
  }
};

/** Things whose weight the row's own lever says; what hangs from a machine or a band it does not. */
const CARRIED = ["dumbbell", "barbell", "hex-bar"];
/** What is held and carried, in newtons: by the load lever where the row has one, nothing where it holds nothing. */
function heldN({ equipment, levers }: Variation, { loadKg }: Setting, bends: Bends | undefined): Span | undefined {
  const hasLever = levers.some(({ lever }) => lever === "loadKg");
  if (bends?.hands !== "load-alone" || (equipment.some((each) => CARRIED.includes(each)) && !hasLever)) return undefined;
  const heldN = (hasLever ? (loadKg ?? NaN) : 0) * GRAVITY_MPS2;
  return Number.isFinite(heldN) ? [heldN, heldN] : undefined;
}

/** By the row's own set-up, whatever the model reads: what is held comes on top of the weight on a foot. */
function bySetUp(variation: Variation, setting: Setting, channel: BoundChannel, massKg: number): Span | undefined {
  const own = BENDS[ruledAs(variation)];
  if (channel === "spineLoad" || channel === "handWeight") return heldN(variation, setting, own);
  const ofKind = BENDS_OF_KIND[templateOf(variation).kind];
  const span = (own && spanOn(channel, own)) ?? (ofKind && spanOn(channel, ofKind));
  if (channel !== "legWeight" || !span) return span;
  const hasLoad = variation.levers.some(({ lever }) => lever === "loadKg");
  if (hasLoad && setting.loadKg === undefined) return undefined; // a load nobody said is not none
  const heavier = 1 + (hasLoad ? (setting.loadKg ?? NaN) : 0) / massKg;
  return [span[0], span[1] * heavier];
}

/** Where the trunk's own bend is not read, the hip's bend says what is left between thigh and belly. */
const roomLeftBy = (hip: Demand | undefined): Bound | undefined =>
  hip && { low: STRAIGHT_DEG - hip.high, high: STRAIGHT_DEG - hip.low, side: "both" };

/**
 * What one set-up comes to on a limit's channel, on the side the limit names: by the model, by the row's set-up, by the wider
 * where both say; never a tag, for a joint that bears little bends all the same.
 */
export function boundRead(
  variation: Variation,
  setting: Setting,
  asked: Extract<Asked, { ok: true }>,
  channel: BoundChannel,
  side: ChannelSide,
  massKg: number,
): Reading<Bound> {
  const on = (of: NumberChannelId): Demand | undefined =>
    asked.demands
      .filter((each) => each.channel === of && (side === "both" || each.side === "both" || each.side === side))
      .toSorted((a, b) => (isLeast(of) ? a.low - b.low : b.high - a.high))[0];
  const worst = on(channel) ?? (channel === "bellyRoom" ? roomLeftBy(on("hipFlexion")) : undefined);
  const said = bySetUp(variation, setting, channel, massKg);
  if (!worst) return said ? known({ low: said[0], high: said[1], side }) : NOT_MEASURED;
  const { low, high } = worst;
  return known(said ? { low: Math.min(low, said[0]), high: Math.max(high, said[1]), side: worst.side } : { low, high, side: worst.side });
}

/** Whether a row is a drill of that very range: it stops at the client's own end. */
export const isDrillOf = (variation: Variation, channel: BoundChannel): boolean => DRILLS[ruledAs(variation)]?.includes(channel) === true;

import type { ChannelSide } from "../mechanics/channels";
import type { Trained } from "../catalogue/variation";

/** What kind of pain it was, in the words a client has for it. */
export const PAIN_KINDS = ["muscle-work", "strain", "ache", "sharp"] as const;
export type PainKind = (typeof PAIN_KINDS)[number];
/** Where on a body it is shown; front and back are separate outlines. */
export const BODY_PLACES = [
  "shoulder",
  "belly",
  "groin",
  "front-thigh",
  "kneecap",
  "inner-knee",
  "outer-knee",
  "shin",
  "ankle",
  "upper-back",
  "low-back",
  "buttock",
  "side-hip",
  "back-thigh",
  "behind-knee",
  "calf",
  "heel",
] as const;
export type BodyPlace = (typeof BODY_PLACES)[number];
/** Where in a repetition it hurts. */
export const MOMENTS = ["bottom", "middle", "top"] as const;
export type Moment = (typeof MOMENTS)[number];
/** How a belly looked in a set, where a condition asks: flat, or a ridge along its middle. */
export const BELLIES = ["flat", "ridge"] as const;
export type Belly = (typeof BELLIES)[number];

/** How the weight stood on the scales in a set: the share of the working leg, and what the hands took. */
export interface FootShare {
  shareFraction: number;
  handsKg: number;
  /** Pretended, not weighed: nothing is concluded from it. */
  isStandIn?: true;
}

/** What may be told of a set beside its number; null where nobody said. */
export interface Told {
  painKind: PainKind | null;
  painPlace: { place: BodyPlace; side: ChannelSide } | null;
  hurtsAt: Moment | null;
  feltIn: Trained | "elsewhere" | null;
  belly: Belly | null;
  /** Of the faults seen, those that came in the last third: strength or fatigue, not understanding. */
  lateFaults: readonly string[];
  foot: FootShare | null;
}
export const UNTOLD: Told = { painKind: null, painPlace: null, hurtsAt: null, feltIn: null, belly: null, lateFaults: [], foot: null };

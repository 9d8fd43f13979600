import type { Variation } from "../../core/catalogue/variation";
import type { SetEnd } from "../../core/floor/events";
import type { View } from "../../core/floor/picture";
import type { BuildRefusal, HandRule } from "../../core/progress/on-floor";
import type { Hint } from "../../core/floor/hint";
import type { BodyPlace, Moment, PainKind, Told } from "../../core/floor/told";
import type { ChannelSide } from "../../core/mechanics/channels";
import { unreachable } from "../../core/reasons";
import { trainedName } from "../basics/catalogue";
import { leverName } from "../basics/lever";

/** Why a set ended, as a heading; a tap on the number needs none. */
export const END_NAMES: Readonly<Record<SetEnd, string>> = {
  "pain-tap": "Pain over the agreed number",
  sharp: "Sharp pain",
  spreading: "Pain spreading down the leg",
  belly: "Pressure in the belly or pelvis",
  joint: "Pressure in the joint",
  cramp: "A cramp",
  "form-lost": "Form lost",
  "warning-sign": "Warning sign",
};
export const viewText: Readonly<Record<View, string>> = { front: "from the front", side: "from the side", behind: "from behind" };
export const KIND_NAMES: Readonly<Record<PainKind, string>> = {
  "muscle-work": "muscle at work",
  strain: "strain",
  ache: "ache",
  sharp: "sharp",
};
export const MOMENT_NAMES: Readonly<Record<Moment, string>> = { bottom: "at the bottom", middle: "half-way", top: "at the top" };
const PLACES: Readonly<Record<BodyPlace, string>> = {
  shoulder: "shoulder",
  belly: "belly",
  groin: "groin",
  "front-thigh": "front of the thigh",
  kneecap: "kneecap",
  "inner-knee": "inner knee",
  "outer-knee": "outer knee",
  shin: "shin",
  ankle: "ankle",
  "upper-back": "upper back",
  "low-back": "low back",
  buttock: "buttock",
  "side-hip": "side of the hip",
  "back-thigh": "back of the thigh",
  "behind-knee": "behind the knee",
  calf: "calf",
  heel: "heel",
};
export const placeName = (place: BodyPlace, side: ChannelSide): string => (side === "both" ? PLACES[place] : `${side} ${PLACES[place]}`);
export const feltName = (felt: NonNullable<Told["feltIn"]>): string => (felt === "elsewhere" ? "somewhere else" : trainedName(felt));

/** "ache, right kneecap, at the bottom": what was told of a set beside its number; empty where nothing was. */
export function toldText({ painKind, painPlace, hurtsAt, feltIn, belly, lateFaults, foot }: Told): string {
  return [
    painKind && KIND_NAMES[painKind],
    painPlace && placeName(painPlace.place, painPlace.side),
    hurtsAt && MOMENT_NAMES[hurtsAt],
    feltIn && `felt in ${feltName(feltIn)}`,
    belly && (belly === "flat" ? "belly flat" : "a ridge along the belly"),
    lateFaults.length > 0 && "late in the set",
    foot && `${Math.round(100 * foot.shareFraction)}% on this leg`,
    foot && foot.handsKg >= 1 && `hands ${Math.round(foot.handsKg)} kg`,
    foot?.isStandIn && "pretended by the stand-in",
  ]
    .filter(Boolean)
    .join(", ");
}

/** What follows for the next set. */
export function hintText(hint: Hint, variation: Pick<Variation, "name">): string {
  switch (hint.code) {
    case "ease-by":
      return hint.lever
        ? `Hurts ${MOMENT_NAMES[hint.moment]}: ${leverName(hint.lever).toLowerCase()} first, to the easier side.`
        : `Hurts ${MOMENT_NAMES[hint.moment]}: stop short of it, and slower.`;
    case "felt-right":
      return "Felt where it belongs.";
    case "felt-elsewhere":
      return `Felt elsewhere than ${variation.name.toLowerCase()} is for: unload, ${hint.cue ? `say “${hint.cue}”` : "slow down"}, and compare two versions.`;
    case "belly-ridge":
      return "A ridge along the belly: breathe out on the effort, less range or an easier row; it does not count as clean.";
    default:
      return unreachable(hint);
  }
}

export const BUILD_REFUSALS: Readonly<Record<BuildRefusal, string>> = {
  warning: "A warning sign stands open.",
  "built-before": "Something was made harder today already: once a session is enough.",
  "not-as-planned": "The check-in did not say as planned.",
  "it-hurt": "A set of it hurt today.",
};

/** What a change to a harder place takes, as a sentence; nothing where it is free. */
export function handRuleText(rule: HandRule): string {
  if (rule.code === "free") return "";
  if (rule.code === "refused")
    return rule.why === "limit" ? "A limit closes this, or this body cannot be held like that." : `Not today. ${BUILD_REFUSALS[rule.why]}`;
  const { why } = rule;
  switch (why) {
    case "second-lever":
      return "Two levers to the harder side at once: only with a reason.";
    case "not-open":
      return "This is not open today: only with a reason.";
    case "too-big":
      return "A step over the school's largest: only with a reason.";
    case "not-earned":
      return "Not earned yet by the rule: only with a reason.";
    default:
      return unreachable(why);
  }
}

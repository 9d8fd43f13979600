import { type FitReason, type LeverId, type Limit, type Opening, type PoseFailure, type Use, unreachable } from "../../core";
import { jointText } from "./channel-text";
import { equipmentText, leverValueText } from "./lever-text";
import { limitRuleText } from "./limit-text";
import { angleText, percentRangeText, percentText, type UnitSystem } from "./quantity-text";

export function poseFailureText(reason: PoseFailure): string {
  switch (reason) {
    case "hip-height-unreachable":
      return "the seat is higher or lower than this client's hips can be";
    case "knee-out-of-range":
      return "the knee does not bend that far";
    case "trail-unreachable":
      return "the other foot does not reach";
    case "falls-backward":
      return "this falls backward: more weight in front, a higher seat or a hand to hold is needed";
    case "falls-forward":
      return "this falls forward";
    case "assist-overload":
      return "the hands would carry more than the whole body";
    case "share-outside-0-1":
    case "share-needs-two-feet":
      return "the weight cannot be shared between the feet like that";
    case "assist-wrong-way":
    case "assist-no-lever":
    case "no-assist-to-solve":
    case "assist-unspecified":
      return "the hand support does not help in that direction";
    default:
      return unreachable(reason);
  }
}

const loadText = (use: Use): string => `${jointText(use.channel, use.side)} is asked ${percentRangeText(use.low, use.high)} of its ceiling`;

const ownerOf = (limits: readonly Limit[], limitId: string): string => limits.find(({ id }) => id === limitId)?.owner.name ?? "a limit";

/** One reason, as a sentence for the trainer. */
export function fitReasonText(reason: FitReason, limits: readonly Limit[]): string {
  switch (reason.code) {
    case "pose-impossible":
      return `Not possible in this set-up: ${poseFailureText(reason.reason)}.`;
    case "knee-bend-over-limit":
      return `The knee would bend to ${angleText(reason.kneeFlexionDeg)}; ${ownerOf(limits, reason.limitId)} allows ${angleText(reason.maxDeg)}.`;
    case "shin-over-limit":
      return `The shin would lean ${angleText(reason.shankLeanDeg)} forward; ${ownerOf(limits, reason.limitId)} allows ${angleText(reason.maxDeg)}.`;
    case "load-on-back-limited":
      return `No load on the back: ${ownerOf(limits, reason.limitId)}.`;
    case "equipment-missing":
      return `Not on hand: ${equipmentText(reason.equipment)}.`;
    case "over-ceiling":
      return `Over the ceiling: ${loadText(reason.use)}, at its least.`;
    case "straddles-ceiling":
      return `It depends on how it is done: ${loadText(reason.use)}. One light set first: did the shin stay put?`;
    case "under-ceilings":
      return `Under every ceiling: ${loadText(reason.use)}.`;
    case "no-ceiling":
      return "No ceiling yet: measure one calm seat to see how much of it this asks.";
    case "kneecap-past-90":
      return `At ${angleText(reason.kneeFlexionDeg)} of bend kneecap figures are not to be trusted: the knee's moment stands in.`;
    case "own-words-limit":
      return `Keep in mind: ${reason.text}.`;
    default:
      return unreachable(reason);
  }
}

/** What would open a closed variation, short enough for its card. */
export function openingText(opening: Opening, limits: readonly Limit[], units: UnitSystem): string {
  switch (opening.kind) {
    case "settings":
      return `opens at ${Object.entries(opening.levers)
        .map(([lever, value]) => leverPhrase(lever as LeverId, value, units))
        .join(", with ")}`;
    case "limit-ends": {
      const limit = limits.find(({ id }) => id === opening.limitId);
      return limit
        ? `opens when ${limit.owner.name} lifts: ${limitRuleText(limit.rule, limit.side).toLowerCase()}`
        : "opens when its limit is lifted";
    }
    case "ceiling-rises":
      return `opens when the ceiling has risen by ${percentText(opening.useFraction - 1)}`;
    case "equipment":
      return "opens with the equipment";
    default:
      return unreachable(opening);
  }
}

function leverPhrase(lever: LeverId, value: number, units: UnitSystem): string {
  const text = leverValueText(lever, value, units);
  switch (lever) {
    case "seatHeightM":
      return `seat ${text}`;
    case "kneeFlexionDeg":
      return `${text} of bend`;
    case "handForceN":
      return `${text} through the hands`;
    case "loadKg":
      return `at most ${text}`;
    case "shareFraction":
      return `${text} of the weight`;
    default:
      return unreachable(lever);
  }
}

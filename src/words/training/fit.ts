import { isMeasuredLimit } from "../../core/assess/range-limits";
import type { UnitSystem } from "../../core/units";
import { variationByCode } from "../../core/catalogue/catalogue";
import type { FitReason } from "../../core/judge/fit-reason";
import type { Standing } from "../../core/progressions/list";
import type { Opening } from "../../core/progressions/search";
import { buildsAway } from "../../core/progressions/stair";
import type { Use } from "../../core/judge/use";
import type { Limit } from "../../core/limits/limit";
import { unreachable } from "../../core/reasons";
import type { LeverId } from "../../core/templates/lever";
import { dayText } from "../basics/day";
import { channelName, jointText, sideText } from "../basics/channel";
import { equipmentText, kitName, leverPhrase } from "../basics/lever";
import { conditionText } from "../client/screen";
import { limitAmountText, limitChannelName, limitRuleText, ownerText, siteName, traitName } from "../client/limit";
import { capital } from "../basics/words";
import { axisName, positionName } from "./school";
import { angleText, massText, percentRangeText, percentText } from "../basics/quantity";

const POSE_FAILURES: Readonly<Record<string, string>> = {
  "hip-height-unreachable": "the hips cannot be at that height",
  "knee-out-of-range": "no knee bends that far",
  "trail-unreachable": "the other foot does not reach",
  "falls-backward": "this falls backward: more weight in front, a higher seat or a hand to hold is needed",
  "falls-forward": "this falls forward",
  "assist-overload": "the support would carry the whole body",
  "share-outside-0-1": "one foot would have to pull up",
  "share-needs-two-feet": "the weight cannot be shared between the feet like that",
  "assist-wrong-way": "the support would have to push the other way",
  "assist-no-lever": "that support cannot hold the balance",
  "handle-out-of-reach": "the hands do not reach the handle",
  "bridge-unreachable": "feet and shoulders are too far apart",
  "hips-on-floor": "the hips rest on the floor",
  "support-would-pull": "a foot or the shoulders would have to be held down",
  "foot-unreachable": "the foot does not reach the plate",
  "not-in-the-model": "this one is not in the body model",
  "source-missing": "the calm pose it came from is not known any more",
  "nothing-asked": "the calm pose asks nothing of it",
};
/** Why there is no such pose, in words. */
export const poseFailureText = (reason: string): string => POSE_FAILURES[reason] ?? "this body cannot be held like that";

const loadText = (use: Use): string => `${jointText(use.channel, use.side)} is asked ${percentRangeText(use.low, use.high)} of its ceiling`;
const ownerIn = (limit: Limit | undefined): string => (limit ? ownerText(limit) : "a limit");
const ownerOf = (limits: readonly Limit[], limitId: string): string => ownerIn(limits.find(({ id }) => id === limitId));

const TRIALS: Readonly<Record<Extract<FitReason, { code: "ladder-and-trial" }>["because"], string>> = {
  "asks-little": "Not in the body model, and it asks little of what hurts: one light set first.",
  "easier-was-calm": "Not in the body model; the easier one below it was calm: one light set first.",
  "nothing-hurts": "Nothing hurts, so nothing was measured: one light set first, and the morning after it.",
  "place-unknown": "Where it hurts has no name here, so what loads it is not known: one light set first.",
  "taken-instead": "Not in the body model; the trade takes it instead of what is closed: one light set first.",
};

/** What to take instead of a closed row, by name. */
const namesOf = (codes: readonly string[]): string[] => codes.flatMap((code) => variationByCode(code)?.name.toLowerCase() ?? []);
const insteadText = (codes: readonly string[]): string => {
  const names = namesOf(codes);
  return names.length > 0 ? ` Instead: ${names.join(", ")}.` : "";
};

/** One reason, as a sentence for the trainer. */
export function fitReasonText(reason: FitReason, limits: readonly Limit[], units: UnitSystem = "metric"): string {
  switch (reason.code) {
    case "pose-impossible":
      return `Not possible in this set-up: ${poseFailureText(reason.reason)}.`;
    case "over-limit": {
      const { channel, side, value, most } = reason;
      const what = `${sideText(side)} ${limitChannelName[channel]}`.trim();
      return `${capital(what)} would come to ${limitAmountText(channel, value, units)}; ${ownerOf(limits, reason.limitId)} allows ${limitAmountText(channel, most, units)}.`;
    }
    case "room-short":
      return `Room for the belly would come to ${angleText(reason.valueDeg)}; ${ownerOf(limits, reason.limitId)} asks for ${angleText(reason.leastDeg)}.`;
    case "never":
      return `No ${traitName[reason.what]}: ${ownerOf(limits, reason.limitId)}.`;
    case "not-for":
      return `Not for this client now: ${ownerOf(limits, reason.limitId)}.${insteadText(reason.instead)}`;
    case "school":
      return `Left out by the school: ${axisName(reason.axisId).toLowerCase()}, ${positionName(reason.axisId, reason.positionId)}. By hand, with a reason.${insteadText(reason.instead)}`;
    case "limit-unread":
      return `Not in the body model, so whether ${ownerOf(limits, reason.limitId)} would allow it cannot be read. Ask.`;
    case "retired":
      return "No longer in the catalogue: choose another.";
    case "kept-out":
      return "Known, and kept out of what this trade's clients do.";
    case "equipment-missing":
      return `Not on hand: ${equipmentText(reason.equipment)}.`;
    case "not-assembled":
      return `Nothing here comes to ${leverPhrase(reason.lever, reason.value, units)}.`;
    case "stand-in":
      return `The ${kitName(reason.of)} is not here: the ${kitName(reason.instead)} does.`;
    case "guard-rail":
      return reason.channel === "lowBackCompression"
        ? `The low back would be pressed with ${Math.round(reason.value)} N; nothing over ${reason.most} N is proposed. By hand, with a reason.`
        : `${channelName(reason.channel)} would come to ${angleText(reason.value)}; nothing past ${angleText(reason.most)} is proposed until this client's own range says more. By hand, with a reason.`;
    case "counterweight":
      return `Without the ${massText(reason.loadKg, units)} this would fall over: a load is not used as a counterweight.`;
    case "over-ceiling":
      return `Over the ceiling: ${loadText(reason.use)}, at its least.`;
    case "straddles-ceiling":
      return `It depends on how it is done: ${loadText(reason.use)}. One light set first: did the shin stay put?`;
    case "under-ceilings":
      return `Under every ceiling: ${loadText(reason.use)}.`;
    case "no-ceiling":
      return "Not measured: no ceiling yet. Measure one calm seat on Assess to see how much of it this asks.";
    case "not-in-the-model":
      return "Not measured: this one is not in the body model. The ladder and one light set choose.";
    case "calm-before":
      return "It was done as prescribed here, and the morning was calm.";
    case "ladder-and-trial":
      return TRIALS[reason.because];
    case "complaint-unmeasured":
      return `Not measured: nothing here speaks for the ${`${sideText(reason.side)} ${siteName[reason.site]}`.trim()}. Measure a calm pose for it on Assess or under Limits.`;
    case "condition-unmeasured":
      return `Not measured: ${conditionText(reason.condition).toLowerCase()} asks for a measure of the ${`${sideText(reason.side)} ${siteName[reason.site]}`.trim()}${reason.side === "both" ? ", on each side" : ""}. Measure a calm pose for it on Assess or under Limits.`;
    case "spared":
      return `It loads the ${`${sideText(reason.side)} ${siteName[reason.site]}`.trim()}, which hurts: left out until that is calm. By hand, with a reason.`;
    case "ceiling-unread":
      return `Not measured: this set-up does not tell what it asks of the ${jointText(reason.channel, reason.side)}.`;
    case "ceiling-unusable":
      return `Not measured: the ceiling of the ${jointText(reason.channel, reason.side)} cannot be compared today. Measure its calm pose again.`;
    case "kneecap-past-90":
      return "Past 90° of bend kneecap figures are not to be trusted: the knee's moment stands in, so that deeper never reads easier.";
    case "ankle-at-its-limit":
      return "The ankle is at its limit: from here lower changes little at the knee. Hip and back take the rest; a heel wedge or more support changes it.";
    case "back-over-action":
      return `Mind the low back: ${Math.round(reason.value)} N is over the 3,400 N at which lifting guidance asks for care.`;
    case "own-words-limit":
      return `Keep in mind: ${reason.text}.`;
    default:
      return unreachable(reason);
  }
}

/** Why a row stands where it stands in the list, and what would move it up. */
export function standingText({ novelty, isNewLoad, fromTarget, leadsToOwnDay, kitCount }: Standing): string {
  const said = [
    novelty < 0
      ? "it was calm before"
      : novelty === 0
        ? "it goes no further than what was calm"
        : "it goes further than anything that was calm",
    ...(isNewLoad ? ["its load was never calm here"] : []),
    ...(Number.isNaN(fromTarget)
      ? []
      : [
          Math.abs(fromTarget) < 0.025
            ? "its use is at the target"
            : `its use is ${percentText(Math.abs(fromTarget))} ${fromTarget > 0 ? "over" : "under"} the target`,
        ]),
    ...(leadsToOwnDay ? ["the client's own day asks it"] : []),
    kitCount === 0 ? "it needs nothing set up" : `it needs ${kitCount} ${kitCount === 1 ? "thing" : "things"} set up`,
  ];
  const up = novelty > 0 ? " One calm morning after it moves it up." : isNewLoad ? " Less load moves it up." : "";
  return `Its place in the list: ${said.join("; ")}.${up}`;
}

/** "about four builds away" */
export function buildsText(useFraction: number): string {
  const count = buildsAway(useFraction);
  return `about ${count === 1 ? "one build" : `${count} builds`} away`;
}

/** What would end a limit. */
export function endText(limit: Limit): string {
  if (limit.rule.kind === "rows") return "another answer under Screen, or the measure that the rule waits for";
  if (isMeasuredLimit(limit)) return "more range measured";
  return `${ownerText(limit)} lifting it${limit.untilDay ? `, or ${dayText(limit.untilDay)}` : ""}`;
}

/** The other side of a reason: what would have to change for it to be otherwise. Null for what only asks to be kept in mind. */
export function otherwiseText(reason: FitReason, limits: readonly Limit[]): string | null {
  const lifted = (limitId: string): string => {
    const limit = limits.find(({ id }) => id === limitId);
    return limit ? endText(limit) : "that limit lifted";
  };
  switch (reason.code) {
    case "over-limit":
    case "room-short":
    case "never":
    case "not-for":
      return `Otherwise with ${lifted(reason.limitId)}.`;
    case "limit-unread":
      return `Otherwise with a word from ${ownerOf(limits, reason.limitId)} on this exercise.`;
    case "school":
      return "Otherwise with another position on the School page, or by hand with a reason.";
    case "equipment-missing":
      return `Otherwise with ${equipmentText(reason.equipment)} in the room, or what does instead.`;
    case "not-assembled":
      return "Otherwise with another size on the Equipment page.";
    case "guard-rail":
      return "Otherwise with this client's own range measured, or a deeper one done calmly; by hand, with a reason.";
    case "counterweight":
      return "Otherwise in a pose that stands without the load: a higher seat, or a hand to hold.";
    case "over-ceiling":
      return `Otherwise ${buildsText(reason.use.low)}: when the ceiling of the ${jointText(reason.use.channel, reason.use.side)} has risen by ${percentText(reason.use.low - 1)}.`;
    case "straddles-ceiling":
      return "Otherwise with the weight under each foot and the shin measured: that narrows the range. Or with one light set that is calm the next morning.";
    case "under-ceilings":
      return `It would close if the ceiling fell by more than ${percentText(Math.max(0, 1 - reason.use.high))}: a morning that says too much lowers it.`;
    case "spared":
      return "Otherwise once the complaint has ended, or this one was done calmly.";
    case "calm-before":
      return "It would close with a flare after it, or a limit on it.";
    case "no-ceiling":
    case "complaint-unmeasured":
    case "condition-unmeasured":
    case "ceiling-unusable":
      return "Otherwise with a calm pose measured for it.";
    case "ceiling-unread":
      return "Otherwise with the easier row below it done calmly.";
    case "not-in-the-model":
      return "Otherwise once the easier row below it was calm.";
    case "ladder-and-trial":
      return "It opens with one set as prescribed and a calm morning; it closes with sharp pain or a flare.";
    case "pose-impossible":
      return "Otherwise with another set-up of its levers.";
    case "retired":
    case "kept-out":
    case "stand-in":
    case "kneecap-past-90":
    case "ankle-at-its-limit":
    case "back-over-action":
    case "own-words-limit":
      return null;
    default:
      return unreachable(reason);
  }
}

/** What would open a closed variation, short enough for its card. */
export function openingText(opening: Opening, limits: readonly Limit[], units: UnitSystem): string {
  switch (opening.kind) {
    case "settings":
      return `opens at ${(Object.entries(opening.levers) as [LeverId, number][]).map(([lever, value]) => leverPhrase(lever, value, units)).join(", with ")}`;
    case "limit-ends": {
      const limit = limits.find(({ id }) => id === opening.limitId);
      if (!limit) return "opens when its limit is lifted";
      if (limit.rule.kind === "rows") return `left out by rule; instead: ${namesOf(limit.rule.instead).slice(0, 3).join(", ")}`;
      const what = limitRuleText(limit.rule, limit.side, units).toLowerCase();
      return isMeasuredLimit(limit)
        ? `opens when more is measured: ${what} so far`
        : `opens when this is lifted: ${what}, ${ownerText(limit)}`;
    }
    case "ceiling-rises":
      return `${buildsText(opening.useFraction)}: the ceiling has to rise by ${percentText(opening.useFraction - 1)}`;
    case "equipment":
      return opening.missing.length > 0 ? `needs ${equipmentText(opening.missing)}` : "needs another size of what is here";
    default:
      return unreachable(opening);
  }
}

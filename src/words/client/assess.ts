import type { Advice } from "../../core/assess/advice";
import type { Change, Retest, SidesApart } from "../../core/assess/finding";
import type { Norm, Place } from "../../core/assess/norm";
import type { Closed, Picked } from "../../core/assess/pick";
import type { Protocol, SetUpKey } from "../../core/assess/protocols.data";
import { SHIN_DEG_PER_TOE_M } from "../../core/standards/measurement";
import { unreachable } from "../../core/reasons";
import { inFromM, type UnitSystem } from "../../core/units";
import { dayText } from "../basics/day";
import { siteName, traitName } from "./limit";
import { capital } from "../basics/words";
import { angleText, lengthText, massText, percentText, thicknessText } from "../basics/quantity";
import { optionText } from "../basics/protocol";
import { conditionText, sourceText } from "./screen";

export const setUpName: Readonly<Record<SetUpKey, string>> = {
  seatHeightM: "Seat height",
  stepHeightM: "Step height",
  loadKg: "Weight carried",
  distanceM: "Distance",
  standIn: "Stand-in",
};
export const setUpText = (key: SetUpKey, value: number, units: UnitSystem): string => {
  if (key === "standIn") return "not measured";
  if (key === "loadKg") return massText(value, units);
  return key === "distanceM" ? distanceText(value, units) : lengthText(value, units);
};
const distanceText = (valueM: number, units: UnitSystem): string =>
  units === "metric" ? `${Number(valueM.toFixed(2))} m` : `${(inFromM(valueM) / 12).toFixed(1)} ft`;

/** A value of a protocol in the client's units. */
export function findingText(protocol: Protocol, value: number, units: UnitSystem): string {
  switch (protocol.quantity) {
    case "count":
      return String(value);
    case "seconds":
      return `${Number(value.toFixed(1))} s`;
    case "degrees":
      return angleText(value);
    case "metres":
      return protocol.id === "shin-forward"
        ? `${thicknessText(value, units)}, about ${angleText(value * SHIN_DEG_PER_TOE_M)}`
        : thicknessText(value, units);
    case "speed":
      return units === "metric" ? `${value.toFixed(2)} m/s` : `${(inFromM(value) / 12).toFixed(1)} ft/s`;
    case "score":
      return `${value} of ${protocol.max}`;
    case "fingers":
      return value === 1 ? "1 finger" : `${value} fingers`;
    case "share":
      return percentText(value);
    case "choice":
      return optionText(protocol.options?.[value] ?? "");
    default:
      return unreachable(protocol.quantity);
  }
}

const OF: Readonly<Record<Norm["of"], string>> = {
  "middle-half": "the middle half",
  "one-deviation": "the mean, one deviation either way,",
  average: "the average, at its upper end,",
  mean: "the mean",
  grades: "a good one",
  trade: "what the trade expects",
};
/** "Within the published range of women of 61." Never passed or failed. */
export function placeText(place: Place, norm: Norm, { age, sex }: { age: number; sex: "female" | "male" }): string {
  if (norm.of === "grades") return place === "within" ? "In the published grade “good”." : "Above the published grade “good”.";
  const whom = norm.of === "trade" ? "what the trade expects" : `the published range of ${sex === "female" ? "women" : "men"} of ${age}`;
  if (norm.of === "average")
    return place === "above"
      ? `Slower than the published average of people of ${age}.`
      : `Within the published average of people of ${age}.`;
  if (norm.of === "mean")
    return `${place === "below" ? "Below" : place === "above" ? "Above" : "At"} the published mean of ${sex === "female" ? "women" : "men"} of ${age}.`;
  return `${place === "within" ? "Within" : place === "below" ? "Below" : "Above"} ${whom}.`;
}
/** An end of a published band: no finer than the measure itself. */
export const endText = (protocol: Protocol, value: number, units: UnitSystem): string =>
  protocol.quantity === "count" || protocol.quantity === "score" ? String(Math.round(value)) : findingText(protocol, value, units);

export function normText(protocol: Protocol, { low, high, of, source }: Norm, units: UnitSystem): string {
  const say = (value: number): string => endText(protocol, value, units);
  const range = low === null ? `up to ${say(high ?? 0)}` : high === null || high === low ? say(low) : `${say(low)} to ${say(high)}`;
  return `${range}: ${OF[of]} in ${sourceText(source === "trade" ? { kind: "trade" } : { kind: "published", id: source })}`;
}

/** What has changed since the last time, and whether it is more than the measurement's own error. */
export function changeText(change: Change, protocol: Protocol, units: UnitSystem): string {
  const since = `since ${dayText(change.before.day)}`;
  if (change.kind === "other-set-up") return `Measured differently ${dayText(change.before.day)}: not compared.`;
  const size = findingText(
    { ...protocol, quantity: protocol.quantity === "score" ? "count" : protocol.quantity },
    Math.abs(change.difference),
    units,
  );
  const much =
    change.difference === 0 ? `The same as ${dayText(change.before.day)}` : `${size} ${change.difference > 0 ? "more" : "less"} ${since}`;
  switch (change.kind) {
    case "within-error":
      return `${much}: within the measurement's own error of ${findingText(protocol, protocol.change?.least ?? 0, units)}.`;
    case "error-unknown":
      return `${much}. How much of that is the measurement's own error is not published.`;
    case "real": {
      const { source, least } = protocol.change ?? { source: { kind: "own" as const }, least: 0 };
      const word = change.isBetter === null ? "a real change" : change.isBetter ? "really better" : "really worse";
      return `${much}: ${word}, more than the error of ${findingText(protocol, least, units)} (${sourceText(source)}).`;
    }
    default:
      return unreachable(change);
  }
}

/** Why it is one of the five. */
export function pickedText({ because, isOverdue }: Picked): string {
  const why = ((): string => {
    switch (because.kind) {
      case "condition":
        return conditionText(because.id).toLowerCase();
      case "site":
        return `${siteName[because.id]} hurts`;
      case "age":
        return `from ${because.from} years on`;
      case "task":
        return because.id === "step" ? "a stair is part of the day" : "a seat is part of the day";
      default:
        return unreachable(because);
    }
  })();
  return isOverdue ? `${why}; due again` : why;
}
export function closedText(closed: Closed): string {
  switch (closed.by) {
    case "gate":
      return "Not before the questions under Screen are answered.";
    case "limit":
      return `Not today: no ${closed.limit.rule.kind === "never" ? traitName[closed.limit.rule.what] : "such thing"}.`;
    case "phase": {
      const from = closed.untilDay ? `from ${dayText(closed.untilDay)} on` : "once the day of the surgery is known, and long enough ago";
      return `The whole weight on one leg ${from}: ${conditionText(closed.condition).toLowerCase()} (◊ our own reasoning).`;
    }
    default:
      return unreachable(closed);
  }
}

export const retestText = ({ dueDay, isOverdue }: Retest): string => `${isOverdue ? "was due" : "due"} ${dayText(dueDay)}`;

/** What the measures say together, in a sentence. */
export function adviceText(advice: Advice): string {
  switch (advice.code) {
    case "straight-and-bend-first": {
      const bend = advice.bendDeg === null ? "bend not measured" : `bends to ${angleText(advice.bendDeg)} of 110°`;
      const short = advice.shortDeg === null ? "straightening not measured" : `${angleText(advice.shortDeg)} short of straight`;
      return `${capital(advice.side)} replaced knee: ${bend}, ${short}. Straightening and bend come before depth and load.`;
    }
    case "hip-causes-tuck":
      return `The ${advice.side} hip bends to ${angleText(advice.hipDeg)}, the pelvis tucks at ${angleText(advice.tuckDeg)}: the hip runs out first. Its drill, then measure the depth again.`;
    case "ankle-causes-tuck":
      return `The ${advice.side} shin comes ${angleText(advice.shinDeg)} forward: a short ankle tips the pelvis. Its drill or a heel wedge, then measure the depth again.`;
    case "coin-heel-raise-first":
      return `The ${advice.side} foot rolls in: heel raises on a coin before tiptoe and barefoot work.`;
    case "bend-sensitive":
      return "Bending makes the back worse: train away from bending for now, and cap depth where the pelvis tucks.";
    case "arch-sensitive":
      return "Arching makes the back worse: thrusts and extensions stop short of it.";
    case "spreads":
      return `Pain spread below the buttock ${dayText(advice.day)}: a physician looks first.`;
    case "side-short":
      return `${capital(advice.side)} side: ${advice.fingers} ${advice.fingers === 1 ? "finger" : "fingers"} between rib and hip bone, 3½ to 4 are usual. Ask whoever treats the back.`;
    case "trunk-ratio":
      return `${TRUNK[advice.flag] ?? advice.flag} ${advice.ratio.toFixed(2)}: out of the published balance. Something to talk about, no norm past 60.`;
    case "fall-risk":
      return `${Number(advice.seconds.toFixed(1))} s for up and go: from 12 s on falls are likelier. Holds within reach, and a word with the doctor.`;
    case "carry-fades":
      return `With the weight on the ${advice.side} the trunk tilts more late than early: shorter carries, or lighter.`;
    case "lower-step":
      return `${capital(advice.side)} step-down ${advice.score} of 6: a lower step until it is steadier.`;
    case "cue":
      return `“${optionText(advice.cue)}” felt lighter: use those words.`;
    default:
      return unreachable(advice);
  }
}
const TRUNK: Readonly<Record<string, string>> = {
  flexionToExtension: "Front to back",
  rightToExtension: "Right side to back",
  leftToExtension: "Left side to back",
  rightToLeft: "Right side to left",
};

/** "9 against 12: 25% less on the right" */
export function apartText({ deficitFraction, worse }: Pick<SidesApart, "deficitFraction" | "worse">): string {
  if (worse === null) return "both sides the same";
  return deficitFraction === null ? `worse on the ${worse}` : `${percentText(deficitFraction)} short on the ${worse}`;
}

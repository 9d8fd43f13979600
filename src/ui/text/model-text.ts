import {
  type ChannelId,
  type ChannelRow,
  CHANNELS,
  kgfFromN,
  lbFromKg,
  type ModelLever,
  type NumberChannel,
  type NumberChannelId,
  unreachable,
  type ValueRange,
} from "../../core";
import { angleText, handText, lengthText, massText, percentText, secondsText, type UnitSystem } from "./quantity-text";

const NAMES: Readonly<Record<ChannelId, string>> = {
  kneeFlexion: "Knee bend",
  hipFlexion: "Hip bend",
  dorsiflexion: "Ankle bend",
  shankLean: "Shin forward",
  trunkLean: "Trunk forward",
  bellyRoom: "Room for the belly",
  kneecapStress: "Kneecap stress",
  kneecapForce: "Kneecap force",
  kneeMoment: "Knee moment",
  hipMoment: "Hip moment",
  ankleMoment: "Ankle moment",
  hipSideMoment: "Side-hip moment",
  hipContact: "Hip contact",
  achillesForce: "Achilles force",
  kneeContact: "Knee contact",
  lowBackCompression: "Low-back compression",
  lowBackMoment: "Low-back moment",
  lowBackShear: "Low-back shear",
  spineLoad: "Load through the spine",
  handWeight: "Weight through the hands",
  friction: "Friction needed",
  lyingTime: "Lying on the back, a set",
  balanceDemand: "Balance",
  impact: "Impact",
};
export const modelChannelName = (id: ChannelId): string => NAMES[id];

const noMinusZero = (value: number, digits: number): string => value.toFixed(digits).replace(/^-(0(?:\.0+)?)$/, "$1");

/** A channel's number, rounded as it is told, and what stands after it. */
function parts(channel: NumberChannelId, value: number, units: UnitSystem): [number: string, unit: string] {
  const { unit }: NumberChannel = CHANNELS[channel];
  if (AS_WEIGHT.includes(channel)) {
    const kg = kgfFromN(value);
    return units === "metric" ? [noMinusZero(kg, kg < 10 ? 1 : 0), " kg"] : [noMinusZero(lbFromKg(kg), 0), " lb"];
  }
  switch (unit) {
    case "deg":
      return [noMinusZero(value, 0), "°"];
    case "s":
      return [noMinusZero(value, 0), " s"];
    case "MPa":
      return [noMinusZero(value, 1), " MPa"];
    case "BW":
      return [noMinusZero(value, 1), " × body"];
    case "":
      return [noMinusZero(value, 2), ""];
    case "Nm":
    case "N":
      return [noMinusZero(value, 0), ` ${unit}`];
    default:
      return unreachable(unit);
  }
}

/** Forces that a hand or floor scale reads are told in its units; these and times are none when they are nothing. */
const AS_WEIGHT: readonly NumberChannelId[] = ["spineLoad", "handWeight"];
const MAY_BE_NONE: readonly NumberChannelId[] = [...AS_WEIGHT, "lyingTime"];

/** A channel's value with its unit; rough ones only as a range, refused ones not at all. */
export function rangeValueText(
  { channel, trust, refused }: Extract<ChannelRow, { reads: "number" }>,
  range: ValueRange,
  units: UnitSystem,
): string {
  if (refused === "kneecap-past-90") return "no figure past 90°";
  if (refused === "knee-near-straight") return "no figure near straight";
  if (MAY_BE_NONE.includes(channel) && range.high === 0) return "none";
  const [head, unit] = parts(channel, range.head, units);
  const [low, high] = [parts(channel, range.low, units)[0], parts(channel, range.high, units)[0]];
  if (low === high) return trust === "C" ? `about ${head}${unit}` : `${head}${unit}`;
  return trust === "C" ? `${low} to ${high}${unit}` : `${head}${unit} (${low} to ${high})`;
}

/** What set-ups usually ask of this channel, or null where nothing is usual. */
export function typicalText(channel: NumberChannelId, massKg: number): string | null {
  const { typical, unit }: NumberChannel = CHANNELS[channel];
  if (!typical) return null;
  const scale = typical.perKg ? massKg : 1;
  const digits = unit === "BW" || unit === "MPa" || unit === "" ? 1 : 0;
  return `${noMinusZero(typical.p5 * scale, digits)} to ${noMinusZero(typical.p95 * scale, digits)}`;
}

export function modelLeverText({ kind }: ModelLever, value: number, units: UnitSystem): string {
  switch (kind) {
    case "length":
      return lengthText(value, units);
    case "angle":
      return angleText(value);
    case "mass":
      return massText(value, units);
    case "force":
      return handText(value, units);
    case "share":
      return percentText(value);
    case "time":
      return secondsText(value);
    default:
      return unreachable(kind);
  }
}

/** Why a template has no pose, in words. */
export function modelFailureText(reason: string): string {
  return MODEL_FAILURES[reason] ?? "this body cannot be held like that";
}

const MODEL_FAILURES: Readonly<Record<string, string>> = {
  "falls-backward": "this falls backward",
  "falls-forward": "this falls forward",
  "hip-height-unreachable": "the hips cannot be at that height",
  "knee-out-of-range": "no knee bends that far",
  "trail-unreachable": "the other foot does not reach",
  "assist-wrong-way": "the support would have to push the other way",
  "assist-no-lever": "that support cannot hold the balance",
  "assist-overload": "the support would carry the whole body",
  "share-outside-0-1": "one foot would have to pull up",
  "handle-out-of-reach": "the hands do not reach the handle",
  "bridge-unreachable": "feet and shoulders are too far apart",
  "hips-on-floor": "the hips rest on the floor",
  "support-would-pull": "a foot or the shoulders would have to be held down",
  "foot-unreachable": "the foot does not reach the plate",
};

const WARNINGS: Readonly<Record<string, string>> = {
  "dorsiflexion-limited": "the ankle's range stops the shin",
  "ankle-limit": "past the ankle's range",
  "trail-ankle-limit": "past the rear ankle's range",
  "hip-limit": "past the usual range of the hip",
  "kneecap-extrapolated": "past 90° the kneecap's tables end",
  "hands-out-of-reach": "the hands do not reach that far",
  "band-unmeasured": "no band measured yet: a middling one stands in",
  "band-extrapolated": "stretched beyond the lengths it was measured at",
  slips: "a foot would slip on a usual floor",
  "brace-ignored": "feet at different heights: no bracing taken",
  "brace-friction-limited": "bracing is cut by the floor's grip",
};
export const modelWarningText = (code: string): string => WARNINGS[code] ?? code;

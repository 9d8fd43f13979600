import { type ModelChannel, type ModelChannelId, type ModelLever, unreachable } from "../../core";
import { angleText, handText, lengthText, massText, percentText, type UnitSystem } from "./quantity-text";

const NAMES: Readonly<Record<ModelChannelId, string>> = {
  kneeFlexion: "Knee bend",
  hipFlexion: "Hip bend",
  dorsiflexion: "Ankle bend",
  trunkThigh: "Room for the belly",
  trunkLean: "Trunk forward",
  kneeMoment: "Knee moment",
  hipMoment: "Hip moment",
  kneecapStress: "Kneecap stress",
  kneeContact: "Knee contact",
  trailKneeMoment: "Other knee moment",
  trailHipMoment: "Other hip moment",
  lowBackMoment: "Low-back moment",
  lowBackCompression: "Low-back compression",
  lowBackShear: "Low-back shear",
  friction: "Friction needed",
};
export const modelChannelName = (id: ModelChannelId): string => NAMES[id];

/** A channel's value with its unit; rough ones only as a range, refused ones not at all. */
export function modelValueText({ unit, low, head, high, trust, refused }: ModelChannel): string {
  if (refused === "kneecap-past-90") return "no figure past 90°";
  if (refused === "knee-near-straight") return "no figure near straight";
  const digits = unit === "MPa" || unit === "BW" ? 1 : unit === "" ? 2 : 0;
  const symbol = unit === "deg" ? "°" : unit === "BW" ? " × body" : unit === "" ? "" : ` ${unit}`;
  const text = (value: number): string => value.toFixed(digits).replace(/^-(0(?:\.0+)?)$/, "$1");
  const isRange = text(low) !== text(high);
  if (trust === "C" && isRange) return `${text(low)} to ${text(high)}${symbol}`;
  return isRange ? `${text(head)}${symbol} (${text(low)} to ${text(high)})` : `${text(head)}${symbol}`;
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
    default:
      return unreachable(kind);
  }
}

/** Why a template has no pose, in words. */
export function modelFailureText(reason: string): string {
  return MODEL_FAILURES[reason] ?? "this body cannot be held like that";
}

const MODEL_FAILURES: Readonly<Record<string, string>> = {
  "falls-backward": "she would fall backward",
  "falls-forward": "she would fall forward",
  "hip-height-unreachable": "the hips cannot be at that height",
  "trail-unreachable": "the other foot does not reach",
  "bridge-unreachable": "feet and shoulders are too far apart",
  "hips-on-floor": "the hips rest on the floor",
  "support-would-pull": "a foot or the shoulders would have to be held down",
};

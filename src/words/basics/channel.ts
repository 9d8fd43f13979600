import {
  type ChannelId,
  type ChannelSide,
  CHANNELS,
  type Demand,
  type NumberChannel,
  type NumberChannelId,
  type Trust,
} from "../../core/mechanics/channels";
import { unreachable } from "../../core/reasons";
import { kgfFromN, lbFromKg, type UnitSystem } from "../../core/units";

/** A channel as a joint or a bend of the client's, and as the quantity that the model page shows. */
const NAMES: Readonly<Record<ChannelId, readonly [joint: string, quantity: string]>> = {
  kneeFlexion: ["Knee bend", "Knee bend"],
  hipFlexion: ["Hip bend", "Hip bend"],
  dorsiflexion: ["Ankle bend", "Ankle bend"],
  shankLean: ["Shin forward", "Shin forward"],
  trunkLean: ["Trunk lean", "Trunk forward"],
  bellyRoom: ["Belly room", "Room for the belly"],
  kneecapStress: ["Kneecap", "Kneecap stress"],
  kneecapForce: ["Kneecap", "Kneecap force"],
  kneeMoment: ["Knee", "Knee moment"],
  hipMoment: ["Hip", "Hip moment"],
  ankleMoment: ["Ankle", "Ankle moment"],
  hipSideMoment: ["Side hip", "Side-hip moment"],
  hipContact: ["Hip contact", "Hip contact"],
  achillesForce: ["Achilles", "Achilles force"],
  kneeContact: ["Knee contact", "Knee contact"],
  lowBackCompression: ["Low back", "Low-back compression"],
  lowBackMoment: ["Low back", "Low-back moment"],
  lowBackShear: ["Low back", "Low-back shear"],
  legWeight: ["Weight on the leg", "Weight on the leg"],
  spineLoad: ["Load on the spine", "Load through the spine"],
  handWeight: ["Weight in the hands", "Weight through the hands"],
  friction: ["Friction", "Friction needed"],
  lyingTime: ["Lying", "Lying on the back, a set"],
  balanceDemand: ["Balance", "Balance"],
  impact: ["Impact", "Impact"],
};
export const channelName = (channel: ChannelId): string => NAMES[channel][0];
export const quantityName = (channel: ChannelId): string => NAMES[channel][1];

export const sideText = (side: ChannelSide): string => (side === "both" ? "" : side);
/** "right kneecap" */
export const jointText = (channel: ChannelId, side: ChannelSide): string =>
  `${sideText(side)} ${channelName(channel).toLowerCase()}`.trim();

export function trustText(trust: Trust): string {
  switch (trust) {
    case "A":
    case "A-":
      return "measured";
    case "B":
      return "estimated";
    case "C":
      return "rough";
    default:
      return unreachable(trust);
  }
}

const noMinusZero = (value: number, digits: number): string => value.toFixed(digits).replace(/^-(0(?:\.0+)?)$/, "$1");
/** Forces that a hand or floor scale reads are told in its units; these and times are none when they are nothing. */
const AS_WEIGHT: readonly NumberChannelId[] = ["spineLoad", "handWeight"];
const MAY_BE_NONE: readonly NumberChannelId[] = [...AS_WEIGHT, "lyingTime"];

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

/** A demand with its unit; rough ones only as a range, refused ones not at all. */
export function demandText({ channel, low, head, high, trust, refused }: Omit<Demand, "side">, units: UnitSystem): string {
  if (refused === "kneecap-past-90") return "no figure past 90°";
  if (refused === "knee-near-straight") return "no figure near straight";
  if (MAY_BE_NONE.includes(channel) && high === 0) return "none";
  const [value, unit] = parts(channel, head, units);
  const [least, most] = [parts(channel, low, units)[0], parts(channel, high, units)[0]];
  if (least === most) return trust === "C" ? `about ${value}${unit}` : `${value}${unit}`;
  return trust === "C" ? `${least} to ${most}${unit}` : `${value}${unit} (${least} to ${most})`;
}
/** One value of a channel, as it stands. */
export const channelValueText = (channel: NumberChannelId, value: number, units: UnitSystem): string =>
  parts(channel, value, units).join("");

/** What set-ups usually ask of this channel, or null where nothing is usual. */
export function typicalText(channel: NumberChannelId, massKg: number): string | null {
  const { typical, unit }: NumberChannel = CHANNELS[channel];
  if (!typical) return null;
  const scale = typical.perKg ? massKg : 1;
  const digits = unit === "BW" || unit === "MPa" || unit === "" ? 1 : 0;
  return `${noMinusZero(typical.p5 * scale, digits)} to ${noMinusZero(typical.p95 * scale, digits)}`;
}

const POSE_WARNINGS: Readonly<Record<string, string>> = {
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
export const poseWarningText = (code: string): string => POSE_WARNINGS[code] ?? code;

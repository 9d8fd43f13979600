export type Side = "left" | "right";
/** `both` is the whole body: the low back has no side. */
export type ChannelSide = Side | "both";
export const otherSide = (side: Side): Side => (side === "left" ? "right" : "left");

/**
 * How far a value can be trusted: A use the number, A- with a measured posture, B as a ratio to the client's own
 * calm pose, C only as a range or a direction.
 */
export type Trust = "A" | "A-" | "B" | "C";
const TRUST_ORDER: readonly Trust[] = ["A", "A-", "B", "C"];
export const leastTrust = (a: Trust, b: Trust): Trust => (TRUST_ORDER.indexOf(a) > TRUST_ORDER.indexOf(b) ? a : b);

/** What kind of set-up a pose is of; some channels mean nothing in some of them. */
export type TemplateKind = "standing" | "bridge" | "leg-press" | "lever" | "none";

interface AnyChannel {
  sided: boolean;
  /** Set-ups it means something in. */
  appliesTo: readonly TemplateKind[];
  /** Best trust the model has for it; an assumed posture or a hand force lowers it further. */
  bestTrust: Trust;
}
/** A quantity. `angle` ones are geometry; a `comparison` says more or less between set-ups and never how much. */
export interface NumberChannel extends AnyChannel {
  reads: "angle" | "force" | "comparison";
  unit: "deg" | "Nm" | "N" | "MPa" | "BW" | "s" | "";
  /** Which end of a movement asks most: room is worst where it is least. */
  worst?: "least";
  /** p5 and p95 over catalogue poses and bodies, in `unit` or, where `perKg`, in `unit` per kg of body mass. */
  typical: { p5: number; p95: number; perKg: boolean } | null;
}
/** A place in an order, named from least to most: no unit, no arithmetic. */
export interface RankChannel extends AnyChannel {
  reads: "rank";
  sided: false;
  ranks: readonly string[];
}
export type Channel = NumberChannel | RankChannel;

const EVERY = ["standing", "bridge", "leg-press", "lever"] as const;
const ON_FEET = ["standing", "bridge"] as const;
const LEG = ["standing", "bridge", "leg-press"] as const;
const perKg = (p5: number, p95: number) => ({ p5, p95, perKg: true });
const plain = (p5: number, p95: number) => ({ p5, p95, perKg: false });

/** Every channel, in the order it is shown. Typical ranges: 560 catalogue poses on 7 bodies (docs/equations.md, channels). */
export const CHANNELS = {
  kneeFlexion: { reads: "angle", unit: "deg", sided: true, appliesTo: EVERY, bestTrust: "A", typical: plain(0, 110) },
  hipFlexion: { reads: "angle", unit: "deg", sided: true, appliesTo: EVERY, bestTrust: "A", typical: plain(0, 111) },
  dorsiflexion: { reads: "angle", unit: "deg", sided: true, appliesTo: LEG, bestTrust: "A", typical: plain(-24, 30) },
  shankLean: { reads: "angle", unit: "deg", sided: true, appliesTo: LEG, bestTrust: "A-", typical: plain(0, 30) },
  trunkLean: { reads: "angle", unit: "deg", sided: false, appliesTo: ["standing"], bestTrust: "A", typical: plain(0, 60) },
  bellyRoom: { reads: "angle", unit: "deg", worst: "least", sided: false, appliesTo: LEG, bestTrust: "A", typical: plain(68, 180) },
  kneecapStress: { reads: "force", unit: "MPa", sided: true, appliesTo: EVERY, bestTrust: "B", typical: plain(0, 13.6) },
  kneecapForce: { reads: "force", unit: "N", sided: true, appliesTo: EVERY, bestTrust: "B", typical: null },
  kneeMoment: { reads: "force", unit: "Nm", sided: true, appliesTo: EVERY, bestTrust: "A-", typical: perKg(0, 0.85) },
  hipMoment: { reads: "force", unit: "Nm", sided: true, appliesTo: EVERY, bestTrust: "A-", typical: perKg(0.34, 1.6) },
  ankleMoment: { reads: "force", unit: "Nm", sided: true, appliesTo: EVERY, bestTrust: "A-", typical: perKg(0.01, 0.7) },
  hipSideMoment: { reads: "force", unit: "Nm", sided: true, appliesTo: ["lever"], bestTrust: "B", typical: null },
  hipContact: { reads: "force", unit: "BW", sided: true, appliesTo: ["lever"], bestTrust: "B", typical: null },
  achillesForce: { reads: "force", unit: "N", sided: true, appliesTo: ["lever"], bestTrust: "A", typical: null },
  kneeContact: { reads: "force", unit: "BW", sided: true, appliesTo: ON_FEET, bestTrust: "B", typical: plain(0.5, 3.3) },
  lowBackCompression: { reads: "force", unit: "N", sided: false, appliesTo: ON_FEET, bestTrust: "B", typical: plain(690, 3030) },
  lowBackMoment: { reads: "force", unit: "Nm", sided: false, appliesTo: ON_FEET, bestTrust: "B", typical: plain(24, 161) },
  lowBackShear: { reads: "comparison", unit: "N", sided: false, appliesTo: ON_FEET, bestTrust: "C", typical: plain(74, 451) },
  legWeight: { reads: "force", unit: "BW", sided: true, appliesTo: LEG, bestTrust: "B", typical: null },
  spineLoad: { reads: "force", unit: "N", sided: false, appliesTo: EVERY, bestTrust: "A", typical: null },
  handWeight: { reads: "force", unit: "N", sided: false, appliesTo: EVERY, bestTrust: "A", typical: null },
  friction: { reads: "comparison", unit: "", sided: false, appliesTo: ON_FEET, bestTrust: "B", typical: plain(0, 0.5) },
  lyingTime: { reads: "force", unit: "s", sided: false, appliesTo: ["bridge", "lever"], bestTrust: "A", typical: null },
  balanceDemand: {
    reads: "rank",
    sided: false,
    appliesTo: EVERY,
    bestTrust: "C",
    ranks: ["none: lying or seated", "little: two feet and a hold", "some: two feet", "more: one foot ahead or above", "most: one foot"],
  },
  impact: {
    reads: "rank",
    sided: false,
    appliesTo: EVERY,
    bestTrust: "C",
    ranks: ["none: the feet stay down", "light: a foot is set down", "some: a foot lands"],
  },
} as const satisfies Record<string, Channel>;
export type ChannelId = keyof typeof CHANNELS;
export type RankChannelId = { [K in ChannelId]: (typeof CHANNELS)[K]["reads"] extends "rank" ? K : never }[ChannelId];
export type NumberChannelId = Exclude<ChannelId, RankChannelId>;
export type SidedChannelId = { [K in ChannelId]: (typeof CHANNELS)[K]["sided"] extends true ? K : never }[ChannelId];
export type WholeChannelId = Exclude<NumberChannelId, SidedChannelId>;

/** The joint demands shown beside a figure, in the order they are shown. */
export const LOAD_CHANNELS = [
  "kneecapStress",
  "kneeMoment",
  "hipMoment",
  "lowBackCompression",
] as const satisfies readonly NumberChannelId[];

/** What a ceiling can be set on: joint demands, and the bends that a back or hip is capped on whatever the force. */
export const CEILING_CHANNELS = [...LOAD_CHANNELS, "hipFlexion", "trunkLean"] as const satisfies readonly NumberChannelId[];
export type CeilingChannelId = (typeof CEILING_CHANNELS)[number];

export const isRank = (id: ChannelId): id is RankChannelId => CHANNELS[id].reads === "rank";
/** Every channel that is a number, in the order it is shown. */
export const NUMBER_CHANNELS = (Object.keys(CHANNELS) as ChannelId[]).filter((id): id is NumberChannelId => !isRank(id));
/** Those that mean something in one kind of set-up. */
const appliesIn = (kind: TemplateKind): NumberChannelId[] =>
  NUMBER_CHANNELS.filter((id) => (CHANNELS[id].appliesTo as readonly TemplateKind[]).includes(kind));
export const CHANNELS_OF: Readonly<Record<TemplateKind, readonly NumberChannelId[]>> = {
  standing: appliesIn("standing"),
  bridge: appliesIn("bridge"),
  "leg-press": appliesIn("leg-press"),
  lever: appliesIn("lever"),
  none: [],
};
export const isLeast = (id: NumberChannelId): boolean => (CHANNELS[id] as NumberChannel).worst === "least";

/** Below this bend contact at the knee hangs on a small moment and is not to be shown. */
const KNEE_CONTACT_FROM_DEG = 20;
/** Past this bend the kneecap's tissue tables are extrapolated: never rank on them there. */
export const KNEECAP_VALID_TO_DEG = 90;
/** Why a value must be neither shown nor ranked on. */
export type Refusal = "kneecap-past-90" | "knee-near-straight";

export function refusalOf(channel: NumberChannelId, kneeFlexionDeg: number): Refusal | null {
  if ((channel === "kneecapStress" || channel === "kneecapForce") && kneeFlexionDeg > KNEECAP_VALID_TO_DEG) return "kneecap-past-90";
  return channel === "kneeContact" && kneeFlexionDeg < KNEE_CONTACT_FROM_DEG ? "knee-near-straight" : null;
}

/** Where the feet brace against each other, what is rough is in the legs; the back above them is as sure as the posture. */
export interface PartTrust {
  legs: Trust;
  back: Trust;
}
const BACK_CHANNELS: readonly NumberChannelId[] = ["lowBackCompression", "lowBackMoment"];

/**
 * Trust of a channel in a pose whose forces have `forces`: its own best, lowered by it. Knee bend is geometry alone, and
 * what is held, and for how long, is simply known; where only forces are rough, angles are still estimates.
 */
export function trustUnder(channel: NumberChannelId, under: Trust | PartTrust): Trust {
  const { reads, bestTrust } = CHANNELS[channel];
  const forces = typeof under === "string" ? under : BACK_CHANNELS.includes(channel) ? under.back : under.legs;
  if (channel === "kneeFlexion" || (bestTrust === "A" && reads === "force")) return bestTrust;
  return leastTrust(bestTrust, reads === "angle" && forces === "C" ? "B" : forces);
}

/**
 * What is asked of one channel on one side, at its worst along the movement: the headline under the client's posture
 * rule, and the range the model leaves open. Past 90 degrees of bend the kneecap's value is its stand-in (E11): good for
 * comparing, not for showing.
 */
export interface Demand {
  channel: NumberChannelId;
  side: ChannelSide;
  low: number;
  head: number;
  high: number;
  trust: Trust;
  refused?: Refusal;
}

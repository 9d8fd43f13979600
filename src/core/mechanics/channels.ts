import type { StandingPose } from "./standing.types";

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

export type ChannelId = "kneecapStress" | "kneeMoment" | "hipMoment" | "lowBackCompression" | "kneeFlexion" | "shankLean";

export interface Channel {
  unit: "MPa" | "Nm" | "N" | "deg";
  sided: boolean;
  /** Best trust the model has for it; an assumed posture or a hand force lowers it further. */
  bestTrust: Trust;
  /** p5 and p95 over catalogue poses and bodies, in `unit` or, where `perKg`, in `unit` per kg of body mass. */
  typical: { p5: number; p95: number; perKg: boolean };
}

/** Typical ranges: 560 catalogue poses on 7 bodies (docs/equations.md, channels). */
export const CHANNELS = {
  kneecapStress: { unit: "MPa", sided: true, bestTrust: "B", typical: { p5: 0, p95: 13.6, perKg: false } },
  kneeMoment: { unit: "Nm", sided: true, bestTrust: "A-", typical: { p5: 0, p95: 0.85, perKg: true } },
  hipMoment: { unit: "Nm", sided: true, bestTrust: "A-", typical: { p5: 0.34, p95: 1.6, perKg: true } },
  lowBackCompression: { unit: "N", sided: false, bestTrust: "B", typical: { p5: 690, p95: 3030, perKg: false } },
  kneeFlexion: { unit: "deg", sided: true, bestTrust: "A", typical: { p5: 0, p95: 110, perKg: false } },
  shankLean: { unit: "deg", sided: true, bestTrust: "A-", typical: { p5: 0, p95: 30, perKg: false } },
} as const satisfies Record<ChannelId, Channel>;

/** The joint demands a ceiling can be set on, in the order they are shown. */
export const LOAD_CHANNELS = ["kneecapStress", "kneeMoment", "hipMoment", "lowBackCompression"] as const satisfies readonly ChannelId[];
export type LoadChannelId = (typeof LOAD_CHANNELS)[number];

/** One channel's value in a pose; `leg` picks the leg for channels that have a side. */
export function channelValue(pose: StandingPose, channel: ChannelId, leg: "lead" | "trail"): number {
  switch (channel) {
    case "kneecapStress":
      return pose[leg].kneecapStressMPa;
    case "kneeMoment":
      return pose[leg].kneeMomentNm;
    case "hipMoment":
      return pose[leg].hipMomentNm;
    case "lowBackCompression":
      return pose.lowBackCompressionN;
    case "kneeFlexion":
      return pose.kneeFlexionDeg;
    case "shankLean":
      return pose.shankLeanDeg;
  }
}

/** A demand on one joint: the headline under the client's posture rule, and the range the model leaves open. */
export interface ChannelDemand {
  channel: ChannelId;
  side: ChannelSide;
  low: number;
  head: number;
  high: number;
  trust: Trust;
  /** Why the value must not be ranked on, if so. */
  refused?: "kneecap-past-90";
}

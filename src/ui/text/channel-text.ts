import { type ChannelDemand, type FitChannelId, CHANNELS, type ChannelSide, type Trust, unreachable } from "../../core";

export function channelName(channel: FitChannelId): string {
  switch (channel) {
    case "kneecapStress":
      return "Kneecap";
    case "kneeMoment":
      return "Knee";
    case "hipMoment":
      return "Hip";
    case "lowBackCompression":
      return "Low back";
    case "kneeFlexion":
      return "Knee bend";
    case "shankLean":
      return "Shin forward";
    default:
      return unreachable(channel);
  }
}

export const sideText = (side: ChannelSide): string => (side === "both" ? "" : side);
/** "right kneecap" */
export const jointText = (channel: FitChannelId, side: ChannelSide): string =>
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

/** The model's own figure with its unit, for behind "why". */
export function demandText({ channel, low, head, high }: Pick<ChannelDemand, "channel" | "low" | "head" | "high">): string {
  const { unit } = CHANNELS[channel];
  const digits = unit === "MPa" ? 1 : 0;
  const symbol = unit === "deg" ? "°" : ` ${unit}`;
  const range = high - low > 0.5 * 10 ** -digits ? ` (${low.toFixed(digits)} to ${high.toFixed(digits)})` : "";
  return `${head.toFixed(digits)}${symbol}${range}`;
}

import type { ChannelDemand, LoadChannelId } from "../mechanics/channels";
import type { Ceiling } from "../limits/ceiling";

/** Demand over ceiling for one channel and side: a fraction, with the range the model leaves. */
export interface Use {
  ceilingId: string;
  channel: LoadChannelId;
  side: ChannelDemand["side"];
  demand: ChannelDemand;
  ceilingValue: number;
  low: number;
  head: number;
  high: number;
  /** Knee moment speaking for kneecap stress, because the knee is bent past 90 degrees. */
  standsIn: boolean;
}

const find = (demands: readonly ChannelDemand[], { channel, side }: Ceiling): ChannelDemand | undefined =>
  demands.find((d) => d.channel === channel && d.side === side);

/**
 * Uses of every ceiling that applies to this pose. A kneecap ceiling is not used past 90 degrees of bend; its knee
 * moment stands in there, or wherever the calm pose itself was too deep to have one.
 */
export function usesOf(demands: readonly ChannelDemand[], ceilings: readonly Ceiling[]): Use[] {
  const kneecapCounts = (side: ChannelDemand["side"]): boolean =>
    ceilings.some((c) => c.channel === "kneecapStress" && c.side === side && find(demands, c)?.refused === undefined);
  return ceilings.flatMap((ceiling) => {
    const demand = find(demands, ceiling);
    if (!demand || demand.refused) return [];
    const standsIn = ceiling.standsInFor !== null;
    if (standsIn && kneecapCounts(ceiling.side)) return [];
    const { channel, side, value } = ceiling;
    return [
      {
        ceilingId: ceiling.id,
        channel,
        side,
        demand,
        ceilingValue: value,
        low: demand.low / value,
        head: demand.head / value,
        high: demand.high / value,
        standsIn,
      },
    ];
  });
}

/** The use nearest to (or furthest past) its ceiling, by headline. */
export const tightest = (uses: readonly Use[]): Use | null =>
  uses.reduce<Use | null>((worst, use) => (worst === null || use.head > worst.head ? use : worst), null);

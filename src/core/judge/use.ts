import type { Ceiling } from "../limits/ceiling";
import { CHANNELS, type CeilingChannelId, type ChannelSide, type Demand, type TemplateKind } from "../mechanics/channels";

/** What floating point may miss by. */
export const SLACK = 1e-6;

/** Demand over ceiling for one channel and side: a fraction, with the range the model leaves. */
export interface Use {
  ceilingId: string;
  channel: CeilingChannelId;
  side: ChannelSide;
  demand: Demand;
  ceilingValue: number;
  low: number;
  head: number;
  high: number;
  /** The knee's moment speaking for the kneecap, because the knee is bent past 90 degrees. */
  standsIn: boolean;
}

/** Whether a ceiling could mean anything in a kind of set-up: a trunk's lean means nothing lying down. */
const appliesTo = ({ channel }: Pick<Ceiling, "channel">, kind: TemplateKind): boolean =>
  channel !== "trunkLean" || (CHANNELS.trunkLean.appliesTo as readonly TemplateKind[]).includes(kind);

/** Uses of every ceiling, and the ceilings that this set-up should answer and does not: never dropped in silence. */
export function usesOf(demands: readonly Demand[], ceilings: readonly Ceiling[], kind: TemplateKind): { uses: Use[]; unread: Ceiling[] } {
  const [uses, unread]: [Use[], Ceiling[]] = [[], []];
  for (const ceiling of ceilings) {
    const { id, channel, side, value } = ceiling;
    const demand = demands.find((each) => each.channel === channel && each.side === side);
    if (!demand || !(value > 0)) {
      if (appliesTo(ceiling, kind)) unread.push(ceiling);
      continue;
    }
    const share = (asked: number): number => Math.max(0, asked) / value; // below nothing the other side of the joint works
    const [low, head, high] = [share(demand.low), share(demand.head), share(demand.high)];
    uses.push({
      ceilingId: id,
      channel,
      side,
      demand,
      ceilingValue: value,
      low,
      head,
      high,
      standsIn: demand.refused === "kneecap-past-90",
    });
  }
  return { uses, unread };
}

/** The use nearest to (or furthest past) its ceiling, by headline. */
export const tightest = (uses: readonly Use[]): Use | null =>
  uses.reduce<Use | null>((worst, use) => (worst === null || use.head > worst.head ? use : worst), null);

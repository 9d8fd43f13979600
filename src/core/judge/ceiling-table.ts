import { isMeasuredLimit } from "../assess/range-limits";
import type { Ceiling } from "../limits/ceiling";
import { isBinding, type Limit, LIMIT_CHANNELS, type LimitState, limitState } from "../limits/limit";
import { backRailN, RAIL_CHANNELS, type RailChannelId, railOf } from "../limits/rails";
import { CEILING_CHANNELS, CHANNELS, type ChannelSide, NUMBER_CHANNELS, type NumberChannelId } from "../mechanics/channels";
import type { FitContext } from "./context";

/** Where a bound comes from. A rail bounds what is proposed and no more. */
export type BoundSource =
  | { kind: "limit" | "measured"; limit: Limit; state: LimitState }
  | { kind: "ceiling"; ceiling: Ceiling; isProvisional: boolean }
  | { kind: "rail" };
export interface Bound {
  /** In the channel's unit. */
  value: number;
  source: BoundSource;
}
/** Measured on this client; assumed in part, or not yet answered by a calm morning; only the usual caution. */
export type Confidence = "measured" | "provisional" | "said" | "rail";

/** Everything that bounds one channel on one side today, strictest first: the first one binds. */
export interface CeilingRow {
  channel: NumberChannelId;
  side: ChannelSide;
  bounds: readonly [Bound, ...Bound[]];
  /** Ceilings of it that nothing can be compared with today: until they are measured again nothing that asks of it is open. */
  unusable: FitContext["unusable"];
}

/** The channels a row can be of, in the order they are shown. */
const ROWS: readonly NumberChannelId[] = NUMBER_CHANNELS.filter((id) =>
  ([...CEILING_CHANNELS, ...LIMIT_CHANNELS] as readonly NumberChannelId[]).includes(id),
);
const isRail = (channel: NumberChannelId): channel is RailChannelId => (RAIL_CHANNELS as readonly NumberChannelId[]).includes(channel);

/** How sure the binding bound is. */
export function confidenceOf({ source }: Bound): Confidence {
  switch (source.kind) {
    case "measured":
      return "measured";
    case "limit":
      return "said";
    case "ceiling":
      return source.isProvisional || !source.ceiling.isShareMeasured ? "provisional" : "measured";
    case "rail":
      return "rail";
  }
}

/**
 * Each channel and side with everything that bounds it today; where two disagree the safer comes first. Rows that only a
 * guard rail bounds are left out unless asked for.
 */
export function ceilingTable(
  context: Pick<FitContext, "limits" | "ceilings" | "unusable" | "ownRange" | "careful" | "today">,
  provisional: readonly string[],
  withRailsAlone = false,
): CeilingRow[] {
  const { limits, ceilings, unusable, today } = context;
  return ROWS.flatMap((channel) =>
    (CHANNELS[channel].sided ? (["left", "right"] as const) : (["both"] as const)).flatMap((side): CeilingRow[] => {
      const isOf = (of: { side: ChannelSide }): boolean => of.side === side || of.side === "both";
      const bounds: Bound[] = [
        ...limits.flatMap((limit): Bound[] =>
          limit.rule.kind === "most" && limit.rule.channel === channel && isOf(limit) && isBinding(limit, today)
            ? [
                {
                  value: limit.rule.most,
                  source: { kind: isMeasuredLimit(limit) ? "measured" : "limit", limit, state: limitState(limit, today) },
                },
              ]
            : [],
        ),
        ...ceilings.flatMap((ceiling): Bound[] =>
          ceiling.channel === channel && isOf(ceiling)
            ? [{ value: ceiling.value, source: { kind: "ceiling", ceiling, isProvisional: provisional.includes(ceiling.id) } }]
            : [],
        ),
        ...railBounds(context, channel),
      ];
      const [first, ...others] = bounds.toSorted((a, b) => a.value - b.value);
      const lost = unusable.filter(({ ceiling }) => ceiling.channel === channel && isOf(ceiling));
      if (!first || (lost.length === 0 && !withRailsAlone && bounds.every(({ source }) => source.kind === "rail"))) return [];
      return [{ channel, side, bounds: [first, ...others], unusable: lost }];
    }),
  );
}

/** What a proposal stops at whatever is known, and for the low back what care asks. */
function railBounds({ ownRange, careful }: Pick<FitContext, "ownRange" | "careful">, channel: NumberChannelId): Bound[] {
  const rail = { kind: "rail" } as const;
  if (channel === "lowBackCompression") return [{ value: backRailN(careful), source: rail }];
  return isRail(channel) ? [{ value: railOf("two-feet", channel, ownRange), source: rail }] : [];
}

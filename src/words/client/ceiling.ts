import type { Bound, CeilingRow, Confidence } from "../../core/judge/ceiling-table";
import type { Day } from "../../core/day";
import { type Limit, LIMIT_CHANNELS, type LimitChannelId } from "../../core/limits/limit";
import type { NumberChannelId } from "../../core/mechanics/channels";
import type { CeilingFact } from "../../core/record/facts/record";
import { unreachable } from "../../core/reasons";
import type { UnitSystem } from "../../core/units";
import { channelValueText } from "../basics/channel";
import { dayText } from "../basics/day";
import { limitAmountText, ownerText } from "./limit";
import { percentText } from "../basics/quantity";

const isLimitChannel = (channel: NumberChannelId): channel is LimitChannelId =>
  (LIMIT_CHANNELS as readonly NumberChannelId[]).includes(channel);

/** The number of a bound in the client's units. */
export const boundValueText = ({ channel }: Pick<CeilingRow, "channel">, { value }: Bound, units: UnitSystem): string =>
  isLimitChannel(channel) ? limitAmountText(channel, value, units) : channelValueText(channel, value, units);

const limitSource = (limit: Limit, isAsk: boolean): string => {
  const until = limit.untilDay ? `, until ${dayText(limit.untilDay)}` : "";
  return isAsk ? `${ownerText(limit)}${until}: past its date, ask who lifted it` : `${ownerText(limit)}${until}`;
};

/** Where a bound comes from, with its day. */
export function boundText({ source }: Bound, today: Day): string {
  switch (source.kind) {
    case "limit":
      return limitSource(source.limit, source.state === "ask");
    case "measured":
      return `${ownerText(source.limit)}, ${dayText(source.limit.fromDay)}`;
    case "ceiling": {
      const { source: from, fromDay } = source.ceiling;
      const what = { "calm-pose": "a calm pose", history: "calm mornings near it", trainer: "moved by the trainer" }[from.kind];
      const still = source.isProvisional ? ", provisional until a calm morning" : "";
      return `from ${what}, ${fromDay === today ? "today" : dayText(fromDay)}${still}`.replace("from moved", "moved");
    }
    case "rail":
      return "the usual caution: nothing further is proposed";
    default:
      return unreachable(source);
  }
}

const CONFIDENCE: Readonly<Record<Confidence, string>> = {
  measured: "measured",
  provisional: "provisional: in part assumed, or not yet answered by a morning",
  said: "as it was said",
  rail: "nothing of this client's own",
};
export const confidenceText = (confidence: Confidence): string => CONFIDENCE[confidence];

/** One step of a ceiling's history. */
export function moveText(move: CeilingFact, before: CeilingFact | null): string {
  const { source, fromDay, raisedBy, reason } = move;
  const why = reason === "" ? "" : `: ${reason}`;
  if (source.kind === "calm-pose" || !before) return `${dayText(fromDay)}, set from a calm pose`;
  const by = raisedBy / before.raisedBy - 1;
  const size = percentText(Math.abs(by));
  return `${dayText(fromDay)}, ${by >= 0 ? "raised" : "tightened"} by ${size}${source.kind === "history" ? ", earned by calm mornings" : `, by the trainer${why}`}`;
}

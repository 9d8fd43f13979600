"use client";
import type { UnitSystem } from "../../core/units";
import styled from "styled-components";
import {
  type ChannelSide,
  CHANNELS,
  type Demand,
  type NumberChannelId,
  otherSide,
  type RankChannelId,
  type Side,
} from "../../core/mechanics/channels";
import type { Asked } from "../../core/templates/ask";
import { Soft } from "../kit/layout";
import { demandText, quantityName, trustText, typicalText } from "../../words/basics/channel";
import { color } from "../theme/tokens";

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  td,
  th {
    padding: 3px 5px;
    border-top: 1px solid ${color.fog};
    text-align: left;
    vertical-align: top;
    font-variant-numeric: tabular-nums;
  }
`;

/** What a row is good for: a number, a ratio or a direction. */
const trustWords = ({ channel, trust }: Demand): string =>
  CHANNELS[channel].reads === "comparison" ? `only compares (${trust})` : `${trustText(trust)} (${trust})`;

/** Every channel of a pose with its unit, its range, what set-ups usually ask, and how far to trust it. */
export function ChannelTable({
  asked,
  leadSide,
  massKg,
  units,
}: {
  asked: Extract<Asked, { ok: true }>;
  leadSide: Side;
  massKg: number;
  units: UnitSystem;
}) {
  const { demands, ranks } = asked;
  const on = (channel: NumberChannelId, side: ChannelSide): Demand | undefined =>
    demands.find((demand) => demand.channel === channel && demand.side === side);
  const channels = [...new Set(demands.map(({ channel }) => channel))];
  const differs = (channel: NumberChannelId): boolean => {
    const [a, b] = [on(channel, leadSide), on(channel, otherSide(leadSide))];
    return a !== undefined && b !== undefined && (Math.abs(a.head - b.head) > 1e-6 || Math.abs(a.high - b.high) > 1e-6);
  };
  const hasOther = channels.some(differs);
  return (
    <Table aria-label="What it asks">
      <thead>
        <tr>
          <th scope="col">Channel</th>
          <th scope="col">{hasOther ? "Working leg" : "Here"}</th>
          <th scope="col">{hasOther ? "Other leg" : "Usually"}</th>
          <th scope="col">Trust</th>
        </tr>
      </thead>
      <tbody>
        {channels.map((channel) => {
          const lead = on(channel, leadSide) ?? on(channel, "both");
          const trail = on(channel, otherSide(leadSide));
          if (!lead) return null;
          return (
            <tr key={channel}>
              <td>{quantityName(channel)}</td>
              <td>{demandText(lead, units)}</td>
              <td>{hasOther ? trail ? demandText(trail, units) : <Soft>–</Soft> : <Soft>{typicalText(channel, massKg)}</Soft>}</td>
              <td>{trustWords(lead)}</td>
            </tr>
          );
        })}
        {(Object.entries(ranks) as [RankChannelId, number][]).map(([channel, rank]) => (
          <tr key={channel}>
            <td>{quantityName(channel)}</td>
            <td colSpan={2}>{CHANNELS[channel].ranks[rank]}</td>
            <td>only ranks</td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

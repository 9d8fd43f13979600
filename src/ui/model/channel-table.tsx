"use client";
import styled from "styled-components";
import { CHANNELS, type ChannelRow, type ModelPose } from "../../core";
import { Soft } from "../kit/layout";
import { modelChannelName, rangeValueText, typicalText } from "../text/model-text";
import { trustText } from "../text/channel-text";
import type { UnitSystem } from "../text/quantity-text";
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

/** What a row is good for: a number, a ratio, a direction or a place in an order. */
function Trust({ row }: { row: ChannelRow }) {
  if (row.reads === "rank") return <>only ranks</>;
  if (CHANNELS[row.channel].reads === "comparison") return <>only compares ({row.trust})</>;
  return (
    <>
      {trustText(row.trust)} ({row.trust})
    </>
  );
}

/** Every channel of a pose with its unit, its range, what set-ups usually ask, and how far to trust it. */
export function ChannelTable({ pose, units }: { pose: ModelPose; units: UnitSystem }) {
  const hasOther = pose.channels.some((row) => row.reads === "number" && row.trail !== null);
  return (
    <Table aria-label="What it asks">
      <thead>
        <tr>
          <th scope="col">Channel</th>
          <th scope="col">{hasOther ? "Working leg" : "Here"}</th>
          {hasOther && <th scope="col">Other leg</th>}
          {!hasOther && <th scope="col">Usually</th>}
          <th scope="col">Trust</th>
        </tr>
      </thead>
      <tbody>
        {pose.channels.map((row) => {
          const typical = row.reads === "number" ? typicalText(row.channel, pose.body.massKg) : null;
          return (
            <tr key={row.channel}>
              <td>{modelChannelName(row.channel)}</td>
              {row.reads === "rank" ? (
                <td colSpan={2}>{CHANNELS[row.channel].ranks[row.rank]}</td>
              ) : (
                <>
                  <td>{rangeValueText(row, row.lead, units)}</td>
                  {hasOther && <td>{row.trail ? rangeValueText(row, row.trail, units) : <Soft>–</Soft>}</td>}
                  {!hasOther && (
                    <td>
                      <Soft>{typical}</Soft>
                    </td>
                  )}
                </>
              )}
              <td>
                <Trust row={row} />
              </td>
            </tr>
          );
        })}
      </tbody>
    </Table>
  );
}

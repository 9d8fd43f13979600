"use client";
import styled from "styled-components";
import type { UnitSystem } from "../../core/units";
import { Card, Soft, Stack, Title } from "../kit/layout";
import type { RungFact } from "../../core/record/facts/record";
import { Link } from "../kit/link";
import { apartText, findingText } from "../../words/client/assess";
import { dayText } from "../../words/basics/day";
import { itemName } from "../../words/basics/item";
import { settingText } from "../../words/basics/lever";
import { protocolName } from "../../words/basics/protocol";
import { inSentence } from "../../words/basics/words";
import { color } from "../theme/tokens";
import type { LookingBack } from "./looking-back";

const Sides = styled.table`
  font-variant-numeric: tabular-nums;
  th,
  td {
    padding: 2px 18px 2px 0;
    font-weight: 400;
    text-align: left;
  }
  thead th {
    color: ${color.inkSoft};
  }
`;

function climbedText(ups: number, downs: number): string {
  const steps = (count: number): string => (count === 1 ? "1 step" : `${count} steps`);
  if (ups === 0) return downs === 0 ? "" : `${steps(downs)} back, `;
  return `${steps(ups)} up, ${downs === 0 ? "" : `${downs} back, `}`;
}

/** "Box squat, right: seat 73 cm → seat 65 cm", or from one row to another. */
function climbText(from: RungFact, to: RungFact, units: UnitSystem): string {
  const [then, now] = [settingText(from.setting, units), settingText(to.setting, units)];
  if (from.variationId === to.variationId) return `${itemName(to)}: ${then} → ${now}`;
  return `${itemName(from)}${then && `, ${then}`} → ${inSentence(itemName(to))}${now && `, ${now}`}`;
}

/** What the sessions came to: what worked, what hurt, where form went, what stands still. */
export function LookingBackCard({ clientId, back, units }: { clientId: string; back: LookingBack; units: UnitSystem }) {
  const { sessions, flares, worked, climbed, apart, painBy, faults, planned, plateaus } = back;
  return (
    <Card aria-label="What it came to">
      <Stack $gap={10}>
        <Title>What it came to</Title>
        <p>
          <strong>{flares === 0 ? "No flare" : flares === 1 ? "1 flare" : `${flares} flares`}</strong> in {sessions} sessions;{" "}
          {planned.done} sets done of {planned.sets} planned.
        </p>
        {plateaus.map(({ name, holds }) => (
          <p key={name}>
            <strong>{holds} holds running:</strong> {name}. Look for the cause, not for more.{" "}
            <Link href={`/clients/${clientId}/assess`}>Measure again</Link>
          </p>
        ))}
        {climbed.length > 0 && (
          <div>
            <strong>Stair climbed</strong>
            <ul>
              {climbed.map(({ from, to, ups, downs }) => (
                <li key={to.id}>
                  {climbText(from, to, units)}{" "}
                  <Soft>
                    {climbedText(ups, downs)}since {dayText(from.day)}
                  </Soft>
                </li>
              ))}
            </ul>
          </div>
        )}
        {worked.length > 0 && (
          <div>
            <strong>More than the measure’s own error</strong>
            <ul>
              {worked.map(({ protocol, side, before, now, isBetter }) => (
                <li key={`${protocol.id} ${side}`}>
                  {protocolName(protocol.id)}
                  {side === "both" ? "" : `, ${side}`}: {findingText(protocol, before.value, units)} →{" "}
                  {findingText(protocol, now.value, units)}
                  {isBetter === null ? "" : isBetter ? ", better" : ", worse"} <Soft>since {dayText(before.day)}</Soft>
                </li>
              ))}
            </ul>
          </div>
        )}
        {apart.length > 0 && (
          <div>
            <strong>Left and right</strong>
            <Sides>
              <thead>
                <tr>
                  <th scope="col">Measured</th>
                  <th scope="col">Left</th>
                  <th scope="col">Right</th>
                  <th scope="col">Apart</th>
                </tr>
              </thead>
              <tbody>
                {apart.map(({ protocol, first, now }) => (
                  <tr key={protocol.id}>
                    <th scope="row">{protocolName(protocol.id)}</th>
                    <td>{findingText(protocol, now.left.value, units)}</td>
                    <td>{findingText(protocol, now.right.value, units)}</td>
                    <td>
                      {apartText(now)}
                      {first && <Soft> (it was {apartText(first)})</Soft>}
                    </td>
                  </tr>
                ))}
              </tbody>
            </Sides>
          </div>
        )}
        {painBy.length > 0 && (
          <div>
            <strong>Pain by exercise</strong>
            <ul>
              {painBy.map(({ name, sets, median, highest, sharp }) => (
                <li key={name}>
                  {name}: usually {median}, highest {highest}{" "}
                  <Soft>
                    in {sets} sets{sharp > 0 ? `, sharp ${sharp} times` : ""}
                  </Soft>
                </li>
              ))}
            </ul>
          </div>
        )}
        {faults.length > 0 && (
          <div>
            <strong>Where form went</strong>
            <ul>
              {faults.map(({ name, sign, setNumber, count, of }) => (
                <li key={`${name} ${sign} ${setNumber}`}>
                  {sign}, {name.toLowerCase()}, set {setNumber}: {count} of {of}
                </li>
              ))}
            </ul>
          </div>
        )}
      </Stack>
    </Card>
  );
}

"use client";
import Link from "next/link";
import type { UnitSystem } from "../../core/units";
import { Card, Soft, Stack, Title } from "../kit/layout";
import { findingText } from "../text/assess-text";
import { dayText } from "../text/day-text";
import { protocolName } from "../text/protocol-text";
import type { LookingBack } from "./looking-back";

/** What the sessions came to: what worked, what hurt, where form went, what stands still. */
export function LookingBackCard({ clientId, back, units }: { clientId: string; back: LookingBack; units: UnitSystem }) {
  const { sessions, flares, worked, painBy, faults, planned, plateaus } = back;
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

"use client";
import { useState } from "react";
import styled from "styled-components";
import type { Day } from "../../core/day";
import type { NeedGroup } from "../../core/studio/needs";
import type { UnitSystem } from "../../core/units";
import type { Coming, Visit } from "../../core/week/visit";
import { TextButton } from "../kit/button";
import { Card, Columns, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { Ask } from "../kit/why";
import { dayText, longDayText } from "../../words/basics/day";
import { minutesText } from "../../words/training/visit";
import { NewDeviceNotice } from "./new-device-notice";
import { NeedsCard } from "./needs-card";
import { ReadCalendar } from "./read-calendar";
import { TodayLine } from "./today-line";
import type { Told, TodayRow, Waiting } from "./today-rows";
import { useKeptFloors } from "./use-kept-floors";
import { VisitForm } from "./visit-form";
import { WeekBars } from "./week-bars";

const Lines = styled.ul`
  display: grid;
  gap: 10px;
  margin: 10px 0 14px;
`;

export interface TodayProps {
  rows: readonly TodayRow[];
  /** By client; each arrives when it is read. */
  told: Readonly<Record<string, Promise<Told | null>>>;
  /** Everybody who is not put away, by name. */
  clients: readonly { id: string; name: string }[];
  groups: readonly NeedGroup[];
  waiting: Readonly<Record<string, Promise<Waiting | null>>>;
  visits: readonly Visit[];
  /** Of this week. */
  comings: readonly Coming[];
  /** The first after today. */
  later: Coming | null;
  /** Signed in on since this person last said whose they are. */
  newDevices: readonly { userAgent: string; firstAt: string }[];
  studioName: string;
  timeZone: string;
  today: Day;
  units: UnitSystem;
}

/** Who comes when and what each needs first; beside it what asks for an eye before they come. */
export function TodayScreen({
  rows,
  told,
  clients,
  groups,
  waiting,
  visits,
  comings,
  later,
  newDevices,
  studioName,
  timeZone,
  today,
  units,
}: TodayProps) {
  const [isAdding, setAdding] = useState(false);
  const ids = rows.map(({ line }) => line.id);
  const kept = useKeptFloors(ids);
  const next = rows.find(({ line, needs }) => line.sessionToday !== "trained" && needs[0]?.code !== "warning");
  const minutes = rows.reduce((sum, { coming }) => sum + (coming?.minutes ?? 0), 0);
  const nameOf = (clientId: string): string => clients.find(({ id }) => id === clientId)?.name ?? "";
  return (
    <Page>
      <NewDeviceNotice devices={newDevices} />
      <Row style={{ justifyContent: "space-between" }}>
        <Row>
          <h1 style={{ fontSize: 24 }}>Today</h1>
          <Soft>
            {longDayText(today)}, {studioName}
          </Soft>
        </Row>
        <Soft role="status">
          {rows.length > 0 &&
            `${rows.length} today${minutes > 0 ? `, ${minutesText(minutes)}` : ""}. ${kept.length === rows.length ? "All of today is on this tablet, connection or none." : `${kept.length} of ${rows.length} on this tablet without a connection.`}`}
        </Soft>
      </Row>
      <Columns $template="minmax(0, 1fr) 356px" style={{ marginTop: 8 }}>
        <section aria-label="Who comes today">
          {clients.length === 0 ? (
            <Card aria-label="To begin" style={{ marginTop: 10 }}>
              <Stack>
                <Title>To begin</Title>
                <ol>
                  <li>
                    <Link href="/equipment">Say what stands in the room</Link>: seats, steps, poles, bands and weights decide what can be
                    set up.
                  </li>
                  <li>
                    <Link href="/clients/new">Add the first client</Link>: a name, a body, what hurts.
                  </li>
                  <li>
                    <Link href="/studio">Invite whoever works here too</Link>, or read an archive of another studio.
                  </li>
                </ol>
              </Stack>
            </Card>
          ) : (
            rows.length === 0 && <p style={{ margin: "18px 0" }}>Nobody is down for today.</p>
          )}
          <Lines>
            {rows.map((row) => (
              <TodayLine
                key={`${row.line.id} ${row.coming?.at ?? ""}`}
                row={row}
                told={told[row.line.id]}
                visit={visits.find(({ id }) => id === row.coming?.visitId)}
                isNext={row === next}
                today={today}
                units={units}
              />
            ))}
          </Lines>
          <Row $gap={18}>
            <Soft>
              {later
                ? `Next after today: ${dayText(later.day)} ${later.at}, ${nameOf(later.clientId)}.`
                : "Nobody is down for the next weeks."}
            </Soft>
            <TextButton onPress={() => setAdding(true)}>Add a visit</TextButton>
            <ReadCalendar clients={clients} visits={visits} timeZone={timeZone} />
            <Link href="/clients">All clients</Link>
          </Row>
        </section>
        <Stack>
          <NeedsCard groups={groups} waiting={waiting} today={today} units={units} />
          <WeekBars comings={comings} today={today} />
        </Stack>
      </Columns>
      <Ask title="Add a visit" isOpen={isAdding} onClose={() => setAdding(false)}>
        <VisitForm clients={clients} today={today} onDone={() => setAdding(false)} />
      </Ask>
    </Page>
  );
}

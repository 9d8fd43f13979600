"use client";
import Link from "next/link";
import { type Day, type MorningClass, type SessionFact } from "../../core";
import { Card, Columns, Page, Soft, Stack, Title } from "../kit/layout";
import { agoText, longDayText } from "../text/day-text";
import { DecisionCard, type DecisionCardProps } from "./decision-card";
import { MorningForm } from "./morning-form";

export interface WaitingMorning {
  session: SessionFact;
  response: { class: MorningClass; painScore: number; usualScore: number; newSwelling: boolean } | null;
  deciding: Omit<DecisionCardProps, "clientId" | "sessionId" | "limits" | "units"> | null;
}

const CLASS_TEXT: Record<MorningClass, string> = { calm: "Calm", noticed: "Noticed", flare: "Flare" };

function SessionCard({ session, today }: { session: SessionFact; today: Day }) {
  return (
    <Card aria-label="What was done">
      <Title>
        {longDayText(session.day)}, {agoText(session.day, today)}
      </Title>
      <ul style={{ marginTop: 8 }}>
        {session.sets.map(({ id, repetitions, painScore, leftInTank, faults, endedBy }, i) => (
          <li key={id}>
            Set {i + 1}: {repetitions} repetitions, pain {painScore ?? "not said"}
            {leftInTank === null ? "" : `, ${leftInTank} left in the tank`}
            {faults.length > 0 ? `, ${faults.map((fault) => fault.replaceAll("-", " ")).join(", ")}` : ""}
            {endedBy === "pain-tap" ? "" : `, ended: ${endedBy.replace("-", " ")}`}
          </li>
        ))}
      </ul>
      {session.eases.length > 0 && <p>Eased on the floor.</p>}
    </Card>
  );
}

/** The morning after: how the joint answered, and what follows. */
export function MorningScreen(props: {
  clientId: string;
  waiting: WaitingMorning | null;
  limitScore: number;
  today: Day;
  limits: DecisionCardProps["limits"];
  units: DecisionCardProps["units"];
}) {
  const { clientId, waiting, limitScore, today, limits, units } = props;
  if (!waiting)
    return (
      <Page>
        <Card style={{ maxWidth: 640, margin: "12px auto" }}>
          <Stack>
            <Title>No morning is waiting</Title>
            <p>Every session so far has been decided.</p>
            <Link href={`/clients/${clientId}/review`}>Look back on Review</Link>
          </Stack>
        </Card>
      </Page>
    );
  const { session, response, deciding } = waiting;
  const isTooEarly = session.day >= today;
  return (
    <Page>
      <Columns $template="1fr 1fr">
        <Stack>
          <SessionCard session={session} today={today} />
          <Card aria-label="Morning after">
            <Title>The morning after</Title>
            {response ? (
              <p style={{ marginTop: 8 }}>
                <strong>{CLASS_TEXT[response.class]}.</strong> Pain {response.painScore}, usual {response.usualScore}
                {response.newSwelling ? ", more swollen than usual" : ""}.
              </p>
            ) : isTooEarly ? (
              <p style={{ marginTop: 8 }}>It can be told from tomorrow on.</p>
            ) : (
              <div style={{ marginTop: 12 }}>
                <MorningForm clientId={clientId} sessionId={session.id} limitScore={limitScore} />
              </div>
            )}
          </Card>
        </Stack>
        {deciding && !isTooEarly ? (
          <DecisionCard clientId={clientId} sessionId={session.id} limits={limits} units={units} {...deciding} />
        ) : (
          <Soft>The decision follows the morning.</Soft>
        )}
      </Columns>
    </Page>
  );
}

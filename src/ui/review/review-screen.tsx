"use client";
import type { UnitSystem } from "../../core/units";
import dynamic from "next/dynamic";
import { useState } from "react";
import styled from "styled-components";
import type { Pattern } from "../../core/catalogue/variation";
import type { Complaint } from "../../core/limits/complaint";
import type { Limit } from "../../core/limits/limit";
import type { LeverId } from "../../core/templates/lever";
import { PatternTabs } from "../fit/pattern-tabs";
import { Button } from "../kit/button";
import { Card, Columns, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { dayText } from "../text/day-text";
import { decisionReasonText, moveText, responseText } from "../text/decision-text";
import { changeText, leverName, leverValueText } from "../text/lever-text";
import { color } from "../theme/tokens";
import { CorrectSession } from "./correct-session";
import { PicturesCard, type PictureShown } from "./pictures-card";
import type { CorrectableSession, DecidedOn, KeptByHand, ReviewRow } from "./review-rows";

const ReviewChart = dynamic(() => import("./review-chart"), { ssr: false, loading: () => <div style={{ height: 330 }} /> });

const Scroll = styled.div`
  max-height: 420px;
  overflow: auto;
`;
const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-variant-numeric: tabular-nums;
  th,
  td {
    padding: 6px 8px;
    border-top: 1px solid ${color.fog};
    text-align: left;
  }
  thead th {
    position: sticky;
    top: 0;
    background: ${color.paper};
    color: ${color.inkSoft};
  }
`;
const Decided = styled.li`
  display: grid;
  grid-template-columns: 64px 56px minmax(0, 1fr);
  gap: 10px;
  padding: 8px 0;
  border-top: 1px solid ${color.fog};
`;

interface Trend {
  pattern: Pattern;
  rows: readonly ReviewRow[];
  lever: LeverId | null;
}
export interface ReviewScreenProps {
  clientId: string;
  trends: readonly Trend[];
  decisions: readonly DecidedOn[];
  kept: readonly KeptByHand[];
  sessions: readonly CorrectableSession[];
  complaints: readonly Complaint[];
  limits: readonly Limit[];
  pictures: readonly PictureShown[];
  units: UnitSystem;
}

function DecisionLine({ decision, name, limits, units }: DecidedOn & { limits: readonly Limit[]; units: UnitSystem }) {
  const { day, move, overruled, reasons, change, note } = decision;
  const [main] = reasons;
  return (
    <Decided>
      <Soft>{dayText(day)}</Soft>
      <strong>{moveText(move)}</strong>
      <span>
        {name && <Soft>{name}. </Soft>}
        {change && <strong>{changeText(change, "another row", units)}. </strong>}
        {main && decisionReasonText(main, limits, units)}
        {overruled && ` The rules said ${moveText(overruled).toLowerCase()}; you decided otherwise: ${note}`}
      </span>
    </Decided>
  );
}

function SessionTable({ trend: { rows, lever }, units }: { trend: Trend; units: UnitSystem }) {
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col">{lever ? leverName(lever) : "Setting"}</th>
          <th scope="col">Use</th>
          <th scope="col">Reps</th>
          <th scope="col">Pain</th>
          <th scope="col">Morning</th>
        </tr>
      </thead>
      <tbody>
        {rows.toReversed().map((row, i) => (
          <tr key={i}>
            <td>{dayText(row.day)}</td>
            <td>{row.lever ? leverValueText(row.lever.id, row.lever.value, units) : row.variationName}</td>
            <td>{row.usePercent === null ? "" : `${row.usePercent}%`}</td>
            <td>{row.repetitions}</td>
            <td>{row.painDuring ?? "?"}</td>
            <td>{row.response ? responseText[row.response].split(" ")[0] : "not known"}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

/** Decisions of the gate and rungs kept by hand, on one line of time. */
function DecisionList({ decisions, kept, limits, units }: Pick<ReviewScreenProps, "decisions" | "kept" | "limits" | "units">) {
  const lines = [
    ...decisions.map(({ decision, name }) => ({
      day: decision.day,
      node: <DecisionLine key={decision.id} decision={decision} name={name} limits={limits} units={units} />,
    })),
    ...kept.map(({ id, day, name, note }) => ({
      day,
      node: (
        <Decided key={id}>
          <Soft>{dayText(day)}</Soft>
          <strong>By hand</strong>
          <span>
            <strong>{name}, kept past the rules. </strong>
            {note}
          </span>
        </Decided>
      ),
    })),
  ];
  return <ul>{lines.toSorted((a, b) => b.day.localeCompare(a.day)).map(({ node }) => node)}</ul>;
}

/** What was done, how the joint answered, and what was decided and why. */
export function ReviewScreen(props: ReviewScreenProps) {
  const { clientId, trends, sessions, complaints, units } = props;
  const [picked, setPicked] = useState<Pattern | null>(null);
  const [isCorrecting, setCorrecting] = useState(false);
  const trend = trends.find(({ pattern }) => pattern === picked) ?? trends[0];
  if (!trend)
    return (
      <Page>
        <Card style={{ maxWidth: 640, margin: "12px auto" }}>
          <Title>Nothing to look back on yet</Title>
          <p>After the first session it starts here.</p>
        </Card>
      </Page>
    );
  const { lever, rows, pattern } = trend;
  return (
    <Page>
      <Stack>
        <Card aria-label="Pain, use and setting over time">
          <Row style={{ justifyContent: "space-between" }}>
            <Row>
              <Title>Pain, use and setting</Title>
              <a href={`/api/clients/${clientId}/log`}>Sessions as CSV</a>
              <a href={`/api/export/${clientId}`}>All of it as JSON</a>
              <a href={`/clients/${clientId}/letter`}>Letter</a>
            </Row>
            {trends.length > 1 && <PatternTabs pattern={pattern} patterns={trends.map((each) => each.pattern)} onPick={setPicked} />}
          </Row>
          <Soft>each session with the morning after; the dashed green line is the setting, lower is harder for seat and hands</Soft>
          <ReviewChart rows={rows} lever={lever} units={units} />
        </Card>
        <Columns $template="1fr 1fr">
          <Card aria-label="Decisions">
            <Title>Decisions and why</Title>
            <Scroll tabIndex={0} role="region" aria-label="Decisions, newest first">
              <DecisionList {...props} />
            </Scroll>
          </Card>
          <Card aria-label="Sessions">
            <Row style={{ justifyContent: "space-between" }}>
              <Title>Sessions</Title>
              <Button onPress={() => setCorrecting(true)}>Correct a session</Button>
            </Row>
            <Scroll tabIndex={0} role="region" aria-label="Sessions, newest first">
              <SessionTable trend={trend} units={units} />
            </Scroll>
          </Card>
        </Columns>
        <PicturesCard clientId={clientId} pictures={props.pictures} />
      </Stack>
      <CorrectSession
        clientId={clientId}
        sessions={sessions}
        complaints={complaints}
        isOpen={isCorrecting}
        onClose={() => setCorrecting(false)}
      />
    </Page>
  );
}

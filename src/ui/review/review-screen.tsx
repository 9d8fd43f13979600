"use client";
import type { UnitSystem } from "../../core/units";
import dynamic from "next/dynamic";
import { useState } from "react";
import styled from "styled-components";
import type { Pattern } from "../../core/catalogue/variation";
import type { Complaint } from "../../core/limits/complaint";
import type { Limit } from "../../core/limits/limit";
import type { ResponseFact } from "../../core/record/facts/record";
import type { LeverId } from "../../core/templates/lever";
import { PatternTabs } from "../fit/pattern-tabs";
import { Button } from "../kit/button";
import { Card, Columns, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { dayText } from "../../words/basics/day";
import { decisionReasonText, moveText, responseText } from "../../words/training/decision";
import { changeText, leverName, leverValueText } from "../../words/basics/lever";
import { capital } from "../../words/basics/words";
import { color } from "../theme/tokens";
import { END_NAMES } from "../../words/training/floor";
import { Ask } from "../kit/why";
import type { LookingBack } from "./looking-back";
import { LookingBackCard } from "./looking-back-card";
import type { TimeLine } from "./time-line";
import { CorrectSession } from "./correct-session";
import { PicturesCard, type PictureShown } from "./pictures-card";
import type { CorrectableSession, DecidedOn, KeptByHand, ReviewRow } from "./review-rows";

const TrackStack = dynamic(() => import("./track-stack"), { ssr: false, loading: () => <div style={{ height: 420 }} /> });

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
  line: TimeLine;
  rows: readonly ReviewRow[];
  lever: LeverId | null;
}
export interface ReviewScreenProps {
  clientId: string;
  trends: readonly Trend[];
  decisions: readonly DecidedOn[];
  kept: readonly KeptByHand[];
  back: LookingBack;
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

/** One session as it was: its sets, and the morning after. */
function OpenedSession({ session: { items, response } }: { session: CorrectableSession }) {
  return (
    <Stack>
      {items
        .filter(({ sets }) => sets.length > 0)
        .map(({ id, name, sets }) => (
          <div key={id}>
            <strong>{name}</strong>
            <ul>
              {sets.map((set, i) => (
                <li key={set.id}>
                  Set {i + 1}: {set.repetitions} repetitions, pain {set.painScore ?? "not said"}
                  {set.leftInTank === null ? "" : `, ${set.leftInTank} left in the tank`}
                  {set.endedBy === "pain-tap" ? "" : `, ended: ${END_NAMES[set.endedBy].toLowerCase()}`}
                </li>
              ))}
            </ul>
          </div>
        ))}
      <p>{response ? morningAfterText(response) : "The morning after is not known."}</p>
    </Stack>
  );
}

function morningAfterText({ painScore, class: answer }: ResponseFact): string {
  return painScore === null ? `${capital(responseText[answer])} next morning.` : `Pain ${painScore} next morning, ${responseText[answer]}.`;
}

/** What was done, how the joint answered, and what was decided and why. */
export function ReviewScreen(props: ReviewScreenProps) {
  const { clientId, trends, sessions, complaints, units } = props;
  const [picked, setPicked] = useState<Pattern | null>(null);
  const [isCorrecting, setCorrecting] = useState(false);
  const [openedId, setOpened] = useState<string | null>(null);
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
  const { pattern } = trend;
  const opened = sessions.find(({ id }) => id === openedId);
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
          <TrackStack line={trend.line} limits={props.limits} units={units} onOpen={setOpened} />
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
        <LookingBackCard clientId={clientId} back={props.back} units={units} />
        <PicturesCard clientId={clientId} pictures={props.pictures} />
      </Stack>
      <Ask title={opened ? `Session of ${dayText(opened.day)}` : ""} isOpen={opened !== undefined} onClose={() => setOpened(null)}>
        {opened && <OpenedSession session={opened} />}
      </Ask>
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

"use client";
import dynamic from "next/dynamic";
import styled from "styled-components";
import type { DecisionFact, LeverId, Limit } from "../../core";
import { Card, Columns, Page, Soft, Stack, Title } from "../kit/layout";
import { dayText } from "../text/day-text";
import { decisionReasonText, moveText, responseText } from "../text/decision-text";
import { leverName, leverValueText, stepText } from "../text/lever-text";
import type { UnitSystem } from "../text/quantity-text";
import { color } from "../theme/tokens";
import type { ReviewRow } from "./review-rows";

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

export interface ReviewScreenProps {
  rows: readonly ReviewRow[];
  lever: LeverId | null;
  decisions: readonly DecisionFact[];
  limits: readonly Limit[];
  units: UnitSystem;
}

function DecisionLine({ decision, limits, units }: { decision: DecisionFact; limits: readonly Limit[]; units: UnitSystem }) {
  const { day, move, overruled, reasons, step, note } = decision;
  const [main] = reasons;
  return (
    <Decided>
      <Soft>{dayText(day)}</Soft>
      <strong>{moveText(move)}</strong>
      <span>
        {step && <strong>{stepText(step.lever, step.from, step.to, units)}. </strong>}
        {main && decisionReasonText(main, limits, units)}
        {overruled && ` The rules said ${moveText(overruled).toLowerCase()}; you decided otherwise: ${note}`}
      </span>
    </Decided>
  );
}

/** What was done, how the joint answered, and what was decided and why. */
export function ReviewScreen({ rows, lever, decisions, limits, units }: ReviewScreenProps) {
  if (rows.length === 0)
    return (
      <Page>
        <Card style={{ maxWidth: 640, margin: "12px auto" }}>
          <Title>Nothing to look back on yet</Title>
          <p>After the first session it starts here.</p>
        </Card>
      </Page>
    );
  return (
    <Page>
      <Stack>
        <Card aria-label="Pain, use and setting over time">
          <Title>Pain, use and {lever ? leverName(lever).toLowerCase() : "setting"}</Title>
          <Soft>each session with the morning after; the dashed green line is the setting, lower is harder for seat and hands</Soft>
          <ReviewChart rows={rows} lever={lever} units={units} />
        </Card>
        <Columns $template="1fr 1fr">
          <Card aria-label="Decisions">
            <Title>Decisions and why</Title>
            <Scroll tabIndex={0} role="region" aria-label="Decisions, newest first">
              <ul>
                {decisions.toReversed().map((decision) => (
                  <DecisionLine key={decision.id} decision={decision} limits={limits} units={units} />
                ))}
              </ul>
            </Scroll>
          </Card>
          <Card aria-label="Sessions">
            <Title>Sessions</Title>
            <Scroll tabIndex={0} role="region" aria-label="Sessions, newest first">
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
                  {rows.toReversed().map((row) => (
                    <tr key={row.day}>
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
            </Scroll>
          </Card>
        </Columns>
      </Stack>
    </Page>
  );
}

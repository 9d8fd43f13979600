"use client";
import { useEffect, useState } from "react";
import styled from "styled-components";
import { variationById } from "../../core/catalogue/catalogue";
import type { SchoolsCompared, Taken, UnderSchool } from "../../core/progressions/compare";
import type { FitContext } from "../../core/judge/context";
import type { School } from "../../core/approach/approach";
import type { UnitSystem } from "../../core/units";
import { askWorker } from "../fit/fit-worker";
import { Card, Notice, Soft, Title } from "../kit/layout";
import { patternName } from "../../words/basics/catalogue";
import { fitReasonText } from "../../words/training/fit";
import { changeText, settingText } from "../../words/basics/lever";
import { color } from "../theme/tokens";

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  th,
  td {
    padding: 7px 10px 7px 0;
    border-top: 1px solid ${color.fog};
    text-align: left;
    vertical-align: top;
  }
  thead th {
    border: 0;
  }
  td[data-differs] {
    background: ${color.brassWash};
  }
`;
const STATES = { open: "open", try: "one light set first", "not-measured": "not measured", closed: "closed" } as const;

function Step({ taken, units }: { taken: Taken | null; units: UnitSystem }) {
  if (!taken) return <Soft>nothing that is not closed</Soft>;
  const { name } = variationById(taken.place.variationId);
  return (
    <>
      <strong>{name}</strong>, {settingText(taken.place.setting, units)} ({STATES[taken.state]})
      <br />
      <Soft>
        {taken.next?.change
          ? `next: ${changeText(taken.next.change, variationById(taken.next.variationId).name, units)}`
          : "no harder step from here"}
      </Soft>
    </>
  );
}
const Seen = ({ seen, context, units }: { seen: UnderSchool; context: FitContext; units: UnitSystem }) => (
  <>
    {STATES[seen.state]}
    {seen.state === "closed" ? <Soft>. {fitReasonText(seen.reason, context.limits, units)}</Soft> : `, ${settingText(seen.setting, units)}`}
  </>
);

/** Two schools on this client, side by side: what each would take first and do next, and every row they do not see alike. */
export function Compared(props: { context: FitContext; a: School; b: School; names: { a: string; b: string }; units: UnitSystem }) {
  const { context, a, b, names, units } = props;
  const [found, setFound] = useState<SchoolsCompared | null>(null);
  const [isFailed, setFailed] = useState(false);
  useEffect(() => {
    let isCurrent = true;
    askWorker((work) => work.compare(context, a, b)).then(
      (answer) => isCurrent && setFound(answer),
      () => isCurrent && setFailed(true),
    );
    return () => {
      isCurrent = false;
    };
  }, [context, a, b]);
  if (isFailed) return <Notice $tone="oxide">The two could not be compared on this device. Reload to try again.</Notice>;
  if (!found) return <Soft role="status">Comparing the two on this client</Soft>;
  return (
    <Card aria-label="Compared on this client">
      <Title>On this client</Title>
      <Table>
        <thead>
          <tr>
            <th scope="col">First of the pattern</th>
            <th scope="col">{names.a}</th>
            <th scope="col">{names.b}</th>
          </tr>
        </thead>
        <tbody>
          {found.first.map(({ pattern, a: one, b: other }) => {
            const differs = JSON.stringify(one?.place) !== JSON.stringify(other?.place) || undefined;
            return (
              <tr key={pattern}>
                <th scope="row">{patternName(pattern)}</th>
                <td data-differs={differs}>
                  <Step taken={one} units={units} />
                </td>
                <td data-differs={differs}>
                  <Step taken={other} units={units} />
                </td>
              </tr>
            );
          })}
        </tbody>
      </Table>
      <Title style={{ marginTop: 14 }}>
        {found.rows.length === 0 ? "They see every exercise alike" : `${found.rows.length} exercises they do not see alike`}
      </Title>
      {found.rows.length > 0 && (
        <Table>
          <thead>
            <tr>
              <th scope="col">Exercise</th>
              <th scope="col">{names.a}</th>
              <th scope="col">{names.b}</th>
            </tr>
          </thead>
          <tbody>
            {found.rows.map(({ variationId, a: one, b: other }) => (
              <tr key={variationId}>
                <th scope="row">{variationById(variationId).name}</th>
                <td data-differs={one.state !== other.state || undefined}>
                  <Seen seen={one} context={context} units={units} />
                </td>
                <td data-differs={one.state !== other.state || undefined}>
                  <Seen seen={other} context={context} units={units} />
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
    </Card>
  );
}

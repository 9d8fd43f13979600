"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { retestsOf } from "../../core/assess/finding";
import type { Day } from "../../core/day";
import { byNeed, isMeant } from "../../core/studio/needs";
import type { ClientLine } from "../../core/studio/client-line";
import type { UnitSystem } from "../../core/units";
import { CheckField, TextField } from "../kit/fields";
import { Notice, Page, Row, Soft } from "../kit/layout";
import { Link } from "../kit/link";
import { ageOn, agoText, dayText } from "../../words/basics/day";
import { overdueText } from "../../words/basics/protocol";
import { responseText } from "../../words/training/decision";
import { color, media, size } from "../theme/tokens";
import { Cushion } from "./cushion";

const Lines = styled.ul`
  display: grid;
  gap: 10px;
  margin-top: 16px;
`;
const Line = styled(Link)`
  display: grid;
  grid-template-columns: 1.1fr 1.6fr 1.6fr 1fr;
  gap: 12px;
  align-items: center;
  min-height: 64px;
  padding: 12px 16px;
  border: 1px solid ${color.fogDeep};
  border-radius: ${size.radius};
  background: ${color.paper};
  text-decoration: none;
  &:hover {
    border-color: ${color.marine};
  }
  ${media.upright} {
    grid-template-columns: 1fr 1fr;
  }
  ${media.phone} {
    grid-template-columns: 1fr;
  }
`;
const Add = styled(Link)`
  display: inline-flex;
  align-items: center;
  min-height: ${size.target};
  padding: 6px 14px;
  border-radius: ${size.radius};
  background: ${color.marine};
  color: ${color.paper};
  font-weight: 700;
  text-decoration: none;
`;
const Response = styled.span<{ $flare: boolean }>`
  ${({ $flare }) => $flare && `color: ${color.oxide}; font-weight: 700;`}
`;

const Alarm = styled.strong`
  display: block;
  color: ${color.oxide};
`;

/** How many measures are due again, where any are. */
function Overdue({ line, today }: { line: ClientLine; today: Day }) {
  const count = retestsOf(line.lastFindings, line.conditions, today).filter(({ isOverdue }) => isOverdue).length;
  if (count === 0) return null;
  return (
    <>
      <br />
      <Soft>{overdueText(count)}</Soft>
    </>
  );
}

/** The studio's clients; one line each, one tap to Fit. */
export function ClientList(props: {
  clients: readonly ClientLine[];
  /** So many more there are, who are found by what is typed. */
  hiddenCount: number;
  /** What these were looked for by, in the whole studio; empty where nobody looked. */
  foundBy: string;
  studioName: string;
  cushionM: number | null;
  today: Day;
  units: UnitSystem;
}) {
  const { clients, hiddenCount, foundBy, studioName, cushionM, today, units } = props;
  const router = useRouter();
  const [search, setSearch] = useState(foundBy);
  const [withArchived, setWithArchived] = useState(false);
  const listed = clients.filter(({ archivedDay }) => withArchived || archivedDay === null);
  const shown = byNeed(
    listed.filter((line) => isMeant(line, search)),
    today,
  ).map(({ line }) => line);
  return (
    <Page>
      <Row style={{ justifyContent: "space-between", alignItems: "end" }}>
        <div>
          <h1 style={{ fontSize: 26 }}>Clients</h1>
          <Soft>{studioName}</Soft>
        </div>
        <Row style={{ alignItems: "end" }}>
          {clients.some(({ archivedDay }) => archivedDay !== null) && (
            <CheckField label="Those put away too" isSelected={withArchived} onChange={setWithArchived} />
          )}
          <Form
            onSubmit={(event) => {
              event.preventDefault();
              if (hiddenCount > 0 || foundBy !== "")
                router.push(search.trim() === "" ? "/clients" : `/clients?search=${encodeURIComponent(search.trim())}`);
            }}
          >
            <TextField label="Search" value={search} onChange={setSearch} />
          </Form>
          <Add href="/clients/new">Add a client</Add>
        </Row>
      </Row>
      {(hiddenCount > 0 || foundBy !== "") && (
        <Notice style={{ marginTop: 12 }} role="status">
          {foundBy === ""
            ? `Those who need an eye come first; ${hiddenCount} more are in the studio. Type a name and press Enter to look among all. `
            : `Found by “${foundBy}”${hiddenCount > 0 ? `, and ${hiddenCount} more` : ""}. `}
          {foundBy !== "" && <Link href="/clients">Everybody</Link>}
        </Notice>
      )}
      <Lines>
        {shown.map((client) => (
          <li key={client.id}>
            <Line href={`/clients/${client.id}/fit`}>
              <span>
                <strong>{client.name}</strong> <Soft>{ageOn(client.birthYear, today)}</Soft>
              </span>
              <span>
                {client.openSigns.length > 0 && <Alarm>Warning sign open</Alarm>}
                {client.complaints.join("; ")}
                <Overdue line={client} today={today} />
                {client.archivedDay !== null && <Soft> Put away.</Soft>}
              </span>
              <Soft>{client.goal}</Soft>
              <span>
                {client.missingMorningOf && <Alarm>Morning after {dayText(client.missingMorningOf)} not known</Alarm>}
                {client.lastSessionDay ? `Trained ${agoText(client.lastSessionDay, today)}` : "No session yet"}
                {client.lastResponse && (
                  <>
                    <br />
                    <Response $flare={client.lastResponse.class === "flare"}>{responseText[client.lastResponse.class]}</Response>
                  </>
                )}
              </span>
            </Line>
          </li>
        ))}
      </Lines>
      {shown.length === 0 && (
        <p style={{ marginTop: 16 }}>
          {listed.length === 0 && search.trim() === "" ? "No clients yet. Add the first one." : "Nobody by that name."}
        </p>
      )}
      <p style={{ marginTop: 24 }}>
        <Cushion cushionM={cushionM} units={units} />
      </p>
    </Page>
  );
}

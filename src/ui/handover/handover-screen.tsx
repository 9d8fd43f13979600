"use client";
import styled from "styled-components";
import type { Day } from "../../core/day";
import type { Note, Since } from "../../core/studio/team";
import type { UnitSystem } from "../../core/units";
import { Card, Columns, Notice, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { variationById } from "../../core/catalogue/catalogue";
import { Link } from "../kit/link";
import { useStudioZone } from "../kit/studio-clock";
import { agoText, dayAt, dayText } from "../../words/basics/day";
import { moveText, responseText, untilText } from "../../words/training/decision";
import { warningText } from "../../words/client/warning";
import { itemName } from "../../words/basics/item";
import { leverName, recipeText, settingText } from "../../words/basics/lever";
import { limitText } from "../../words/client/limit";
import { capital } from "../../words/basics/words";
import { itemDoseText, tempoText } from "../../words/training/plan";
import { presetName } from "../../words/training/school";
import { ruleText } from "../../words/client/screen";
import { byText, makerText, sinceKind } from "../../words/studio/team";
import { color } from "../theme/tokens";
import type { Disagreement, Handover, HandoverLine } from "./handover";
import { NotesCard } from "./notes-card";

const Lines = styled.ul`
  li {
    padding: 8px 0;
    border-top: 1px solid ${color.fogDeep};
  }
  li:first-child {
    border: 0;
  }
`;

function ExerciseLine({ line, today, units }: { line: HandoverLine; today: Day; units: UnitSystem }) {
  const { place, side, dose, recipes, last } = line;
  const made = recipes.map(({ lever, recipe }) => `${leverName(lever).toLowerCase()}: ${recipeText(recipe, units)}`).join("; ");
  return (
    <li>
      <strong>{itemName({ variationId: place.variationId, side })}</strong>:{" "}
      {[settingText(place.setting, units), made].filter(Boolean).join("; ") || "as it stands"}
      <br />
      {itemDoseText({ dose, sides: [] })}, {tempoText(dose, variationById(place.variationId).startsBy)}.{" "}
      <Soft>
        {last
          ? `Last ${agoText(last.day, today)}, pain ${last.painScore ?? "not told"}, ${last.response ? responseText[last.response] : "morning not known"}.`
          : "Not done yet."}
      </Soft>
    </li>
  );
}

function disagreementText(each: Disagreement, names: Readonly<Record<string, string>>): string {
  switch (each.kind) {
    case "overruled":
      return `${variationById(each.place.variationId).name}: the rules said ${moveText(each.said).toLowerCase()}, ${makerText(each.by, names)} decided ${moveText(each.decided).toLowerCase()}. ${each.note}`;
    case "past-gate":
      return `${variationById(each.place.variationId).name}, kept past the rules. ${each.note}`;
    case "set-aside":
      return `${capital(ruleText(each.ruleId))}: set aside by ${each.by}. ${each.reason}`;
  }
}

export interface HandoverProps {
  clientId: string;
  handover: Handover;
  notes: readonly Note[];
  names: Readonly<Record<string, string>>;
  self: string;
  /** Null where this person never had the client in view before. */
  since: { at: string; changes: readonly Since[] } | null;
  today: Day;
  units: UnitSystem;
}

/** One screen for whoever stands in tomorrow: what stops, what bounds, what was last set, what not to correct, and who decided what. */
export function HandoverScreen({ clientId, handover, notes, names, self, since, today, units }: HandoverProps) {
  const timeZone = useStudioZone();
  const { openWarnings, limits, school, ownLimit, fear, lines, disagreements } = handover;
  return (
    <Page>
      <Row style={{ justifyContent: "space-between", marginBottom: 8 }}>
        <h2 style={{ fontSize: 22 }}>Handover</h2>
        <Row>
          <Link href={`/clients/${clientId}/letter`}>Letter</Link>
          <Link href={`/clients/${clientId}/own-page`}>Their own page</Link>
          <Link href={`/clients/${clientId}/floor`}>To the floor</Link>
        </Row>
      </Row>
      {openWarnings.length > 0 && (
        <Notice $tone="oxide" style={{ marginBottom: 10 }}>
          <strong>Closed.</strong>{" "}
          {openWarnings.map(({ sign, day, table }) => (table ? warningText(sign) : `${warningText(sign)}, ${dayText(day)}`)).join("; ")}.
          Nothing is trained until {untilText(openWarnings.map(({ sign }) => sign))}.
        </Notice>
      )}
      {ownLimit && (
        <Notice style={{ marginBottom: 10 }}>
          <strong>The joint’s own limit, do not correct:</strong> {ownLimit}
        </Notice>
      )}
      <Columns $template="minmax(0, 1.2fr) minmax(0, 1fr)">
        <Stack>
          <Card aria-label="Last settings">
            <Title>As it was last set</Title>
            {lines.length === 0 && <Soft>Nothing is kept yet.</Soft>}
            <Lines>
              {lines.map((line, i) => (
                <ExerciseLine key={i} line={line} today={today} units={units} />
              ))}
            </Lines>
          </Card>
          <Card aria-label="Disagreements">
            <Title>Decided otherwise</Title>
            {disagreements.length === 0 && <Soft>Nobody went past the rules.</Soft>}
            <Lines>
              {disagreements.slice(0, 8).map((each, i) => (
                <li key={i}>
                  <Soft>{dayText(each.day)}</Soft> {disagreementText(each, names)}
                </li>
              ))}
            </Lines>
          </Card>
        </Stack>
        <Stack>
          <Card aria-label="Since you last saw them">
            <Title>
              {since ? `Since you last saw them, ${agoText(dayAt(since.at, timeZone), today)}` : "You have not seen them before"}
            </Title>
            {since?.changes.length === 0 && <Soft>Nothing by anybody else.</Soft>}
            <ul>
              {since?.changes.map(({ kind, by, at, day }) => (
                <li key={`${kind} ${by}`}>
                  {capital(sinceKind(kind))}
                  {day && `, ${dayText(day)}`}{" "}
                  <Soft>
                    {byText(by, names)}, {agoText(dayAt(at, timeZone), today)}
                  </Soft>
                </li>
              ))}
            </ul>
          </Card>
          <Card aria-label="Limits and school">
            <Title>Limits and school</Title>
            <ul>
              {limits.length === 0 && <li>No limit in force.</li>}
              {limits.map((limit) => (
                <li key={limit.id}>{limitText(limit, today, units)}</li>
              ))}
            </ul>
            <p style={{ marginTop: 8 }}>
              {school ? (
                <>
                  School: <strong>{presetName(school.preset)}</strong>, chosen by {school.by} on {dayText(school.day)}. {school.reason}
                </>
              ) : (
                "The house’s own school."
              )}
            </p>
            {fear && <p>Feared: {fear}</p>}
          </Card>
          <NotesCard clientId={clientId} notes={notes} names={names} self={self} today={today} />
        </Stack>
      </Columns>
    </Page>
  );
}

"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { Form } from "react-aria-components";
import { v4 as newUuid } from "uuid";
import { keepSummaryAction } from "../../actions/summary";
import type { Day } from "../../core/day";
import { type Audience, AUDIENCES, type LetterSection, type SummaryLetter } from "../../core/studio/letter";
import { Button } from "../kit/button";
import { DayField } from "../kit/day-field";
import { ChoiceField, TextField } from "../kit/fields";
import { Card, Columns, LinkList, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { dayText } from "../../words/basics/day";
import { LETTER_FOOT, sectionTitle } from "../../formats/letter";
import { audienceName } from "../../words/studio/letter";

/** A letter drafted from the record, changed as one likes before it is kept; kept, it is a PDF and stays as it is. */
export function LetterScreen(props: {
  clientId: string;
  audience: Audience;
  sinceDay: Day;
  draft: readonly LetterSection[];
  kept: readonly SummaryLetter[];
}) {
  const { clientId, audience, sinceDay, draft, kept } = props;
  const router = useRouter();
  const [to, setTo] = useState("");
  const [sections, setSections] = useState(draft);
  const [letterId, setLetterId] = useState(() => newUuid());
  const { take, isTaking, problem } = useStep();
  const again = (more: { for?: Audience; since?: Day }): void =>
    router.push(`/clients/${clientId}/letter?${new URLSearchParams({ for: audience, since: sinceDay, ...more })}`);
  const said = sections.filter(({ words }) => words.trim() !== "");
  return (
    <Page>
      <Row style={{ justifyContent: "space-between", marginBottom: 8 }}>
        <h2 style={{ fontSize: 22 }}>Letter</h2>
        <Row>
          <a href={`/api/clients/${clientId}/fhir`}>Summary as FHIR</a>
          <Link href={`/clients/${clientId}/handover`}>Handover</Link>
        </Row>
      </Row>
      <Columns $template="minmax(0, 1fr) 340px">
        <Card aria-label="Draft">
          <Form
            onSubmit={(event) => {
              event.preventDefault();
              take(
                (stepId) => keepSummaryAction(clientId, { id: letterId, audience, to, sinceDay, sections: said }, stepId),
                () => setLetterId(newUuid()),
              );
            }}
          >
            <Stack>
              <Row style={{ alignItems: "end" }}>
                <ChoiceField
                  label="For"
                  options={AUDIENCES.map((id) => ({ id, label: audienceName[id] }))}
                  value={audience}
                  onChange={(next) => again({ for: next })}
                />
                <DayField label="Since" value={sinceDay} onChange={(day) => day && again({ since: day })} />
              </Row>
              <TextField label="To" value={to} onChange={setTo} hint="Name and place, as it should stand" />
              {sections.map(({ id, words }) => (
                <TextField
                  key={id}
                  label={sectionTitle[id]}
                  long
                  value={words}
                  onChange={(next) => setSections((now) => now.map((each) => (each.id === id ? { id, words: next } : each)))}
                />
              ))}
              <Soft>{LETTER_FOOT}</Soft>
              <Problem text={problem} />
              <Button type="submit" $tone="primary" isDisabled={isTaking || said.length === 0}>
                Keep the letter
              </Button>
            </Stack>
          </Form>
        </Card>
        <Card aria-label="Letters kept">
          <Title>Kept</Title>
          {kept.length === 0 && <Soft>None yet. A section left empty is left out.</Soft>}
          <LinkList>
            {kept.map(({ id, day, by, to: whom, audience: of }) => (
              <li key={id}>
                <a href={`/api/clients/${clientId}/letter/${id}`}>
                  {dayText(day)}, {whom || audienceName[of].toLowerCase()}
                </a>{" "}
                <Soft>by {by}</Soft>
              </li>
            ))}
          </LinkList>
        </Card>
      </Columns>
    </Page>
  );
}

"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { setRetentionAction } from "../../actions/team";
import type { Day } from "../../core/day";
import type { AuditLine } from "../../core/studio/team";
import { RETENTION_MONTHS } from "../../schemas/team.schema";
import { Button } from "../kit/button";
import { Card, Row, Soft, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { NumberField } from "../kit/number-field";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { When } from "../kit/studio-clock";
import { dayText } from "../../words/basics/day";
import { auditText, makerText } from "../../words/studio/team";

const USUAL_MONTHS = 36;

/** How long those who were put away are kept, and who is past it: nobody is erased by a clock. */
export function RetentionCard({
  months,
  past,
  isLead,
}: {
  months: number | null;
  past: readonly { id: string; name: string; since: Day }[];
  isLead: boolean;
}) {
  const [next, setNext] = useState(months ?? USUAL_MONTHS);
  const { take, isTaking, problem } = useStep();
  return (
    <Card aria-label="Keeping">
      <Stack>
        <Title>How long people are kept</Title>
        <p>
          {months === null
            ? "Those put away stay until somebody erases them."
            : `Those put away stay for ${months} months, then they are named here.`}
        </p>
        {past.map(({ id, name, since }) => (
          <p key={id}>
            <Link href={`/clients/${id}/limits`}>{name}</Link>, put away {dayText(since)}: time to erase.
          </p>
        ))}
        {isLead && (
          <Form
            onSubmit={(event) => {
              event.preventDefault();
              take((stepId) => setRetentionAction({ months: next }, stepId));
            }}
          >
            <Row style={{ alignItems: "end" }}>
              <NumberField
                label="Keep for"
                unit="months"
                minValue={RETENTION_MONTHS.min}
                maxValue={RETENTION_MONTHS.max}
                value={next}
                onChange={setNext}
              />
              <Button type="submit" isDisabled={isTaking || !Number.isFinite(next)}>
                Keep so
              </Button>
            </Row>
            <Problem text={problem} />
          </Form>
        )}
      </Stack>
    </Card>
  );
}

/** Who saw and changed what, the newest first; whose it was only where they are still here. */
export function AuditCard(props: {
  audit: readonly AuditLine[];
  older: string | null;
  isLatest: boolean;
  names: Readonly<Record<string, string>>;
}) {
  const { audit, older, isLatest, names } = props;
  return (
    <Card aria-label="Who saw and changed what">
      <Title>Who saw and changed what</Title>
      <ul tabIndex={0} aria-label="The last of it" style={{ maxHeight: 300, overflow: "auto" }}>
        {audit.map((line) => (
          <li key={line.id}>
            <Soft>
              <When at={line.at} />
            </Soft>{" "}
            {makerText(line.by, names)}: {auditText(line)}
          </li>
        ))}
      </ul>
      <Row>
        {older && <Link href={`/studio?audit=${older}`}>Older</Link>}
        {!isLatest && <Link href="/studio">The latest</Link>}
      </Row>
    </Card>
  );
}

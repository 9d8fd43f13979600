"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { clearWarningAction } from "../../actions/clients";
import { CLINICIAN_ROLES, type ClinicianRole } from "../../core/limits/clinician";
import { endedBy, type Warning } from "../../core/progress/warning";
import { Button } from "../kit/button";
import { SelectField, TextField } from "../kit/fields";
import { Card, Row, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { factName } from "../../words/studio/archive";
import { dayText } from "../../words/basics/day";
import { capital } from "../../words/basics/words";
import { warningText } from "../../words/client/warning";
import { roleName } from "../../words/client/limit";

const ROLES = CLINICIAN_ROLES.map((id) => ({ id, label: roleName[id] }));

/** One warning sign that stands open, and the clinician's clearance that alone lifts it. */
function SignCard({ clientId, warning }: { clientId: string; warning: Warning }) {
  const [by, setBy] = useState("");
  const [role, setRole] = useState<ClinicianRole | null>(null);
  const [note, setNote] = useState("");
  const { take, isTaking, problem } = useStep();
  const { sourceId, sign, day } = warning;
  return (
    <Card $accent="oxide" aria-label={`Warning sign: ${warningText(sign)}`}>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          take((stepId) => clearWarningAction(clientId, { sourceId, sign, by, role: role ?? undefined, note }, stepId));
        }}
      >
        <Stack>
          <Title>
            {warningText(sign)}, since {dayText(day)}
          </Title>
          <p>Planning goes on once a clinician has cleared this sign. In an emergency call the emergency services.</p>
          <Row $gap={16} style={{ alignItems: "end" }}>
            <TextField label="Cleared by" isRequired value={by} onChange={setBy} />
            <SelectField label="Their role" options={ROLES} value={role} onChange={setRole} />
            <TextField label="What they said" value={note} onChange={setNote} />
            <Button type="submit" isDisabled={isTaking}>
              Record the clearance
            </Button>
          </Row>
          <Problem text={problem} />
        </Stack>
      </Form>
    </Card>
  );
}

/** Something stored that no page can read: what it was, and a lead's word that it may be left out. */
function UnreadCard({ clientId, warning, leadName }: { clientId: string; warning: Warning; leadName: string | null }) {
  const [note, setNote] = useState("");
  const { take, isTaking, problem } = useStep();
  const { sourceId, sign, table = "" } = warning;
  return (
    <Card $accent="oxide" aria-label={warningText(sign)}>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          take((stepId) => clearWarningAction(clientId, { sourceId, sign, by: leadName, role: "lead", note }, stepId));
        }}
      >
        <Stack>
          <Title>{capital(factName(table))} that cannot be read</Title>
          <p>
            It is left out of every page. Nobody can say what it asked for, so nothing is open until a lead of the studio has looked at it
            and written it anew where it still holds. Everything stored stands in the client’s archive as it is.
          </p>
          {leadName !== null && (
            <Row $gap={16} style={{ alignItems: "end" }}>
              <TextField label="Why it may be left out" long isRequired value={note} onChange={setNote} />
              <Button type="submit" isDisabled={isTaking}>
                Leave it out
              </Button>
            </Row>
          )}
          <Problem text={problem} />
        </Stack>
      </Form>
    </Card>
  );
}

export const ClearanceCard = ({ leadName, ...props }: { clientId: string; warning: Warning; leadName: string | null }) =>
  endedBy(props.warning.sign) === "lead" ? <UnreadCard {...props} leadName={leadName} /> : <SignCard {...props} />;

"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { clearWarningAction } from "../../actions/clients";
import { CLINICIAN_ROLES, type ClinicianRole } from "../../core/limits/clinician";
import type { Warning } from "../../core/progress/warning";
import { Button } from "../kit/button";
import { SelectField, TextField } from "../kit/fields";
import { Card, Row, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { dayText } from "../text/day-text";
import { warningText } from "../text/decision-text";
import { roleName } from "../text/limit-text";

const ROLES = CLINICIAN_ROLES.map((id) => ({ id, label: roleName[id] }));

/** One warning sign that stands open, and the clinician's clearance that alone lifts it. */
export function ClearanceCard({ clientId, warning }: { clientId: string; warning: Warning }) {
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

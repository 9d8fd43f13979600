"use client";
import { useState } from "react";
import type { Day } from "../../core/day";
import { CLINICIAN_ROLES, type ClinicianRole } from "../../core/limits/clinician";
import { Button } from "../kit/button";
import { ChoiceField, SelectField, TextField } from "../kit/fields";
import { NumberField } from "../kit/number-field";
import { Row, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { DayField } from "../kit/day-field";
import { roleName } from "../../words/client/limit";
import { type QuestionProps, useAnswer } from "./answer";

const YES_NO = [
  { id: "no", label: "No" },
  { id: "yes", label: "Yes" },
] as const;

export function ActivityQuestion(props: QuestionProps) {
  const { keep, isTaking, problem } = useAnswer(props);
  const known = props.answers.activity;
  const [active, setActive] = useState<"yes" | "no" | null>(known ? (known.active ? "yes" : "no") : null);
  const [months, setMonths] = useState(known?.active ? known.monthsActive : NaN);
  return (
    <Stack>
      <Row $gap={24} style={{ alignItems: "start" }}>
        <ChoiceField label="Now" options={YES_NO} value={active} onChange={setActive} />
        {active === "yes" && (
          <NumberField label="For how long" unit="months" minValue={0} maxValue={1200} value={months} onChange={setMonths} />
        )}
      </Row>
      <Problem text={problem} />
      <Button
        $tone="primary"
        isDisabled={isTaking || active === null}
        onPress={() => keep({ activity: { active: active === "yes", monthsActive: active === "yes" ? months : 0 } })}
      >
        Keep the answer
      </Button>
    </Stack>
  );
}

const KINDS = [
  { id: "not-asked", label: "Nobody has been asked" },
  { id: "cleared", label: "Yes, and cleared" },
  { id: "refused", label: "Yes, and advised against" },
] as const;
type Kind = (typeof KINDS)[number]["id"];
const ROLES = CLINICIAN_ROLES.map((id) => ({ id, label: roleName[id] }));

export function ClearanceQuestion(props: QuestionProps) {
  const { keep, isTaking, problem } = useAnswer(props);
  const known = props.answers.clearance;
  const said = known && known.kind !== "not-asked" ? known : null;
  const [kind, setKind] = useState<Kind | null>(known?.kind ?? null);
  const [by, setBy] = useState(said?.by ?? "");
  const [role, setRole] = useState<ClinicianRole | null>(said?.role ?? null);
  const [day, setDay] = useState<Day | null>(said?.day ?? null);
  const isSaid = kind === "cleared" || kind === "refused";
  return (
    <Stack>
      <ChoiceField label="Clearance" options={KINDS} value={kind} onChange={setKind} />
      {isSaid && (
        <Row $gap={16} style={{ alignItems: "end" }}>
          <TextField label="By whom" value={by} onChange={setBy} />
          <SelectField label="Their role" options={ROLES} value={role} onChange={setRole} />
          <DayField label="When they said it" value={day} onChange={setDay} />
        </Row>
      )}
      <Problem text={problem} />
      <Button
        $tone="primary"
        isDisabled={isTaking || kind === null}
        onPress={() => keep({ clearance: isSaid ? { kind, by, role: role ?? undefined, day: day ?? undefined } : { kind } })}
      >
        Keep the answer
      </Button>
    </Stack>
  );
}

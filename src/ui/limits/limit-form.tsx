"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { addLimitAction } from "../../actions/limits";
import { type ChannelSide, type Day, LIMIT_BOUNDS, type LimitRule, type OwnerKind } from "../../core";
import { Button } from "../kit/button";
import { ChoiceField, NumberField, TextField } from "../kit/fields";
import { Row, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { DayField } from "./day-field";

type Kind = LimitRule["kind"];
const KINDS = [
  { id: "knee-bend", label: "Knee bend" },
  { id: "shin-forward", label: "Shin forward" },
  { id: "no-load-on-back", label: "No load on the back" },
  { id: "own-words", label: "In own words" },
] as const satisfies readonly { id: Kind; label: string }[];
const OWNERS = [
  { id: "clinician", label: "Clinician" },
  { id: "rule", label: "Published rule" },
  { id: "client", label: "Client's own choice" },
] as const;
const SIDES = [
  { id: "left", label: "Left" },
  { id: "right", label: "Right" },
  { id: "both", label: "Both" },
] as const;

function ruleOf(kind: Kind, maxDeg: number, text: string): LimitRule {
  if (kind === "knee-bend" || kind === "shin-forward") return { kind, maxDeg };
  return kind === "own-words" ? { kind, text } : { kind };
}

/** A new limit: what, which side, whose, and until when. */
export function LimitForm({ clientId, today, onDone }: { clientId: string; today: Day; onDone: () => void }) {
  const [kind, setKind] = useState<Kind>("knee-bend");
  const [maxDeg, setMaxDeg] = useState(90);
  const [text, setText] = useState("");
  const [side, setSide] = useState<ChannelSide>("right");
  const [ownerKind, setOwnerKind] = useState<OwnerKind>("clinician");
  const [ownerName, setOwnerName] = useState("");
  const [untilDay, setUntilDay] = useState<Day | null>(null);
  const { take, isTaking, problem } = useStep();
  const bounds = kind === "shin-forward" ? LIMIT_BOUNDS.shinForwardMaxDeg : LIMIT_BOUNDS.kneeBendMaxDeg;
  const hasAngle = kind === "knee-bend" || kind === "shin-forward";
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        const owner = { kind: ownerKind, name: ownerName };
        take(
          () =>
            addLimitAction(clientId, { rule: ruleOf(kind, maxDeg, text), side: hasAngle ? side : "both", owner, fromDay: today, untilDay }),
          onDone,
        );
      }}
    >
      <Stack>
        <ChoiceField label="What is limited" options={KINDS} value={kind} onChange={setKind} />
        {hasAngle && (
          <Row $gap={24} style={{ alignItems: "start" }}>
            <NumberField label="At most" unit="degrees" minValue={bounds.min} maxValue={bounds.max} value={maxDeg} onChange={setMaxDeg} />
            <ChoiceField label="Side" options={SIDES} value={side} onChange={setSide} />
          </Row>
        )}
        {kind === "own-words" && (
          <TextField
            label="In own words"
            isRequired
            value={text}
            onChange={setText}
            hint="Shown on every page. It closes nothing by itself."
          />
        )}
        <ChoiceField label="Whose limit" options={OWNERS} value={ownerKind} onChange={setOwnerKind} />
        <Row $gap={24} style={{ alignItems: "start" }}>
          <TextField label="Name or role" isRequired value={ownerName} onChange={setOwnerName} />
          <DayField label="Last day it runs" hint="Empty: no end" value={untilDay} onChange={setUntilDay} />
        </Row>
        <Problem text={problem} />
        <Button type="submit" $tone="primary" isDisabled={isTaking}>
          Add the limit
        </Button>
      </Stack>
    </Form>
  );
}

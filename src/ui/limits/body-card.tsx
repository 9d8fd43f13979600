"use client";
import type { UnitSystem } from "../../core/units";
import { useState } from "react";
import { Form } from "react-aria-components";
import { choosePostureAction, recordMeasureAction } from "../../actions/clients";
import { bodyFromMeasure, type BodyMeasure } from "../../core/body/body";
import { POSTURE_CHOICES, type PostureRule } from "../../core/mechanics/posture";
import { BodyPanel } from "../body/body-panel";
import { Button } from "../kit/button";
import { SelectField } from "../kit/fields";
import { Card, Row, Soft, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { Ask } from "../kit/why";
import { postureName, postureText } from "../../words/basics/posture";
import { lengthText, massText, statureText } from "../../words/basics/quantity";

function MeasureForm(props: { clientId: string; measure: BodyMeasure; units: UnitSystem; onDone: () => void }) {
  const [draft, setDraft] = useState(props.measure);
  const { take, isTaking, problem } = useStep();
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        const { heightM, massKg, sex, ...overrides } = draft;
        take((stepId) => recordMeasureAction(props.clientId, { heightM, massKg, overrides }, stepId), props.onDone);
      }}
    >
      <Stack>
        <BodyPanel measure={draft} units={props.units} onChange={setDraft} />
        <p>
          New lengths are the same body better known: shin rule and ceilings are computed anew from the calm pose. A new mass leaves the
          ceilings where they are.
        </p>
        <Problem text={problem} />
        <Button type="submit" $tone="primary" isDisabled={isTaking}>
          Keep these measures
        </Button>
      </Stack>
    </Form>
  );
}

/** The body every figure is computed on: what was measured on it, and what only follows from stature. */
export function BodyCard(props: {
  clientId: string;
  measure: BodyMeasure;
  posture: PostureRule;
  /** Whether a calm pose has the shin's lean, so that there is something to go back to. */
  isShinMeasured: boolean;
  units: UnitSystem;
}) {
  const { clientId, measure, posture, isShinMeasured, units } = props;
  const [isOpen, setOpen] = useState(false);
  const choosing = useStep();
  const body = bodyFromMeasure(measure);
  const of = (name: string, key: "shankM" | "thighM" | "trunkM"): string =>
    `${name} ${lengthText(body[key], units)} ${measure[key] === undefined ? "from stature" : "by tape"}`;
  return (
    <Card aria-label="Body">
      <Row style={{ justifyContent: "space-between" }}>
        <Title>Body</Title>
        <Button onPress={() => setOpen(true)}>Measure again</Button>
      </Row>
      <p style={{ marginTop: 8 }}>
        {statureText(measure.heightM, units)}, {massText(measure.massKg, units)}
        {measure.bellyKg ? `, of it ${massText(measure.bellyKg, units)} belly` : ""}.
      </p>
      <p>
        {of("Lower leg", "shankM")}, {of("thigh", "thighM")}, {of("trunk", "trunkM")}. Segment weights:{" "}
        {measure.segmentTable === "winter" ? "Winter" : "de Leva 1996, by sex"}.
      </p>
      <div style={{ marginTop: 10, maxWidth: 420 }}>
        <SelectField
          label="How the shin moves"
          options={POSTURE_CHOICES.filter((choice) => choice !== "measured" || isShinMeasured).map((id) => ({
            id,
            label: postureName(id),
          }))}
          value={posture.kind === "measured" ? "measured" : posture.name}
          onChange={(next) => choosing.take((stepId) => choosePostureAction(clientId, { posture: next }, stepId))}
        />
      </div>
      <Soft>{postureText(posture)} Ceilings follow the rule, so that the calm seat stays what it was.</Soft>
      <Problem text={choosing.problem} />
      <Ask title="Measure again" isOpen={isOpen} onClose={() => setOpen(false)}>
        <MeasureForm clientId={clientId} measure={measure} units={units} onDone={() => setOpen(false)} />
      </Ask>
    </Card>
  );
}

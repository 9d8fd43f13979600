"use client";
import { useMemo, useState } from "react";
import { Form } from "react-aria-components";
import { recordCalmPoseAction } from "../../actions/limits";
import {
  CATALOGUE,
  demandOf,
  hasLever,
  inFromM,
  type LimitedBy,
  mFromIn,
  type Setting,
  type Side,
  startSetting,
  type Subject,
  variationById,
} from "../../core";
import { Figure } from "../figure/figure";
import { Button } from "../kit/button";
import { CheckField, ChoiceField, NumberField, SelectField } from "../kit/fields";
import { Columns, Notice, Row, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { poseFailureText } from "../text/fit-text";
import type { UnitSystem } from "../text/quantity-text";

const LIMITED_BY = [
  { id: "kneecap", label: "Kneecap" },
  { id: "knee", label: "Knee joint" },
  { id: "hip", label: "Hip" },
  { id: "low-back", label: "Low back" },
] as const satisfies readonly { id: LimitedBy; label: string }[];
const SIDES = [
  { id: "left", label: "Left" },
  { id: "right", label: "Right" },
] as const;
const VARIATIONS = CATALOGUE.filter((variation) => hasLever(variation, "seatHeightM")).map(({ id, name }) => ({ id, label: name }));

/** An angle that may be left unmeasured. */
function MaybeNumber(props: {
  ask: string;
  label: string;
  unit: string;
  value: number | null;
  start: number;
  min: number;
  max: number;
  onChange: (value: number | null) => void;
}) {
  const { value } = props;
  return (
    <Row $gap={16} style={{ alignItems: "end" }}>
      <CheckField label={props.ask} isSelected={value !== null} onChange={(isOn) => props.onChange(isOn ? props.start : null)} />
      {value !== null && (
        <NumberField
          label={props.label}
          unit={props.unit}
          minValue={props.min}
          maxValue={props.max}
          value={value}
          onChange={props.onChange}
        />
      )}
    </Row>
  );
}

/** The lowest seat that stayed quiet, with whatever was measured on it. It sets the ceiling. */
export function CalmPoseForm({
  clientId,
  subject,
  units,
  onDone,
}: {
  clientId: string;
  subject: Subject;
  units: UnitSystem;
  onDone: () => void;
}) {
  const [side, setSide] = useState<Side>(subject.leadSide);
  const [limitedBy, setLimitedBy] = useState<LimitedBy>("kneecap");
  const [variationId, setVariationId] = useState<string>("raised-sit-to-stand");
  const [seatHeightM, setSeatHeightM] = useState(0.58);
  const [sharePercent, setSharePercent] = useState<number | null>(null);
  const [shankLeanDeg, setShankLeanDeg] = useState<number | null>(null);
  const [trunkLeanDeg, setTrunkLeanDeg] = useState<number | null>(null);
  const { take, isTaking, problem } = useStep();
  const variation = variationById(variationId);
  const setting = useMemo(
    (): Setting => ({ ...startSetting(variation), seatHeightM, shareFraction: (sharePercent ?? 50) / 100 }),
    [variation, seatHeightM, sharePercent],
  );
  const demand = useMemo(() => demandOf(subject, variation, setting), [subject, variation, setting]);
  const isMetric = units === "metric";
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        const pose = {
          side,
          limitedBy,
          variationId,
          setting,
          shareFraction: sharePercent === null ? null : sharePercent / 100,
          shankLeanDeg,
          trunkLeanDeg,
        };
        take(() => recordCalmPoseAction(clientId, pose), onDone);
      }}
    >
      <Columns $template="minmax(0, 1fr) 220px">
        <Stack>
          <ChoiceField label="What said stop there" options={LIMITED_BY} value={limitedBy} onChange={setLimitedBy} />
          <ChoiceField label="Side" options={SIDES} value={side} onChange={setSide} />
          <SelectField label="How it was done" options={VARIATIONS} value={variationId} onChange={setVariationId} />
          <NumberField
            label="Lowest seat that stayed quiet"
            unit={isMetric ? "cm" : "in"}
            minValue={isMetric ? 35 : 14}
            maxValue={isMetric ? 80 : 31}
            step={isMetric ? 1 : 0.5}
            value={isMetric ? Math.round(seatHeightM * 100) : Math.round(inFromM(seatHeightM) * 2) / 2}
            onChange={(value) => setSeatHeightM(isMetric ? value / 100 : mFromIn(value))}
          />
          <MaybeNumber
            ask="Two scales were used"
            label="Under the sore leg"
            unit="%"
            value={sharePercent}
            start={45}
            min={20}
            max={80}
            onChange={setSharePercent}
          />
          <MaybeNumber
            ask="Shin lean was measured"
            label="Shin forward"
            unit="degrees"
            value={shankLeanDeg}
            start={26}
            min={0}
            max={45}
            onChange={setShankLeanDeg}
          />
          {shankLeanDeg !== null && (
            <MaybeNumber
              ask="Trunk lean was measured too"
              label="Trunk forward"
              unit="degrees"
              value={trunkLeanDeg}
              start={40}
              min={0}
              max={80}
              onChange={setTrunkLeanDeg}
            />
          )}
          <Problem text={problem} />
          <Button type="submit" $tone="primary" isDisabled={isTaking || !demand.ok}>
            Set the ceiling from this
          </Button>
        </Stack>
        <div style={{ height: 260 }}>
          {demand.ok ? (
            <Figure body={subject.body} pose={demand.pose} variation={variation} setting={setting} units={units} />
          ) : (
            <Notice $tone="oxide">Not possible: {poseFailureText(demand.reason)}.</Notice>
          )}
        </div>
      </Columns>
    </Form>
  );
}

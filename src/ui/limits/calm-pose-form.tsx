"use client";
import type { UnitSystem } from "../../core/units";
import { useMemo, useState } from "react";
import { Form } from "react-aria-components";
import { v4 as newUuid } from "uuid";
import { recordCalmPoseAction } from "../../actions/limits";
import { calmSeatRow } from "../../core/catalogue/calm-seat";
import { CATALOGUE, variationById } from "../../core/catalogue/catalogue";
import { DEFAULT_KIT } from "../../core/kit/kit";
import { type LimitedBy, MEASURED_SITES } from "../../core/limits/complaint";
import type { Side } from "../../core/mechanics/channels";
import { ask, AT_THE_POSE } from "../../core/templates/ask";
import { leversOf, type OwnRange, startSetting } from "../../core/templates/form";
import { LEVERS, type Setting, withLever } from "../../core/templates/lever";
import { poseOf } from "../../core/templates/pose";
import type { Subject } from "../../core/templates/template";
import { PhotoAngles } from "../assess/photo-angles";
import { Figure } from "../figure/figure";
import { Button } from "../kit/button";
import { CheckField, ChoiceField, SelectField } from "../kit/fields";
import { NumberField } from "../kit/number-field";
import { Columns, Notice, Row, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { leverField } from "../kit/unit-field";
import { useStep } from "../kit/use-step";
import { poseFailureText } from "../../words/training/fit";
import { leverName } from "../../words/basics/lever";
import { siteName } from "../../words/client/limit";
import { capital } from "../../words/basics/words";

const LIMITED_BY = MEASURED_SITES.map((id) => ({ id, label: capital(siteName[id]) }));
const SIDES = [
  { id: "left", label: "Left" },
  { id: "right", label: "Right" },
] as const;
const ROWS = CATALOGUE.filter(({ template, isRetired }) => template !== "no-model" && !isRetired).map(({ id, name }) => ({
  id,
  label: name,
}));

/** A number that may be left unmeasured. */
function MaybeNumber(props: {
  ask: string;
  label: string;
  unit: string;
  value: number | null;
  min: number;
  max: number;
  onChange: (value: number | null) => void;
}) {
  const { value } = props;
  return (
    <Row $gap={16} style={{ alignItems: "end" }}>
      <CheckField label={props.ask} isSelected={value !== null} onChange={(isOn) => props.onChange(isOn ? NaN : null)} />
      {value !== null && (
        <NumberField
          label={props.label}
          unit={props.unit}
          isRequired
          minValue={props.min}
          maxValue={props.max}
          value={value}
          onChange={props.onChange}
        />
      )}
    </Row>
  );
}

/** What was set up: the levers a trainer sets from day to day. */
function LeverField({
  range,
  value,
  units,
  onChange,
}: {
  range: OwnRange;
  value: number;
  units: UnitSystem;
  onChange: (value: number) => void;
}) {
  const { unit, step, toSi, fromSi } = leverField(range.lever, units);
  return (
    <NumberField
      label={leverName(range.lever)}
      unit={unit}
      isRequired
      step={step}
      minValue={Math.ceil(fromSi(range.min) / step - 1e-6) * step}
      maxValue={Math.floor(fromSi(range.max) / step + 1e-6) * step}
      value={Math.round(fromSi(value) / step) * step}
      onChange={(typed) => onChange(toSi(typed))}
    />
  );
}

/** The lowest set-up that stayed quiet, with whatever was measured on it. It sets the ceiling. */
export function CalmPoseForm({
  clientId,
  subject,
  units,
  given: found,
  onDone,
}: {
  clientId: string;
  subject: Subject;
  units: UnitSystem;
  /** A calm seat found on Assess. */
  given?: { side: Side; heightM: number; limitedBy: LimitedBy };
  onDone: () => void;
}) {
  const [id] = useState(() => newUuid()); // made here: sent twice, it is one calm pose
  const [side, setSide] = useState<Side>(found?.side ?? subject.leadSide);
  const [limitedBy, setLimitedBy] = useState<LimitedBy>(found?.limitedBy ?? "kneecap");
  const [variationId, setVariationId] = useState<string>(() =>
    found ? calmSeatRow({ ...subject, leadSide: found.side }, found.heightM) : "raised-sit-to-stand",
  );
  const [isPictured, setPictured] = useState(false);
  const [given, setGiven] = useState<Setting>(found ? { seatHeightM: found.heightM } : {});
  const [sharePercent, setSharePercent] = useState<number | null>(null);
  const [shankLeanDeg, setShankLeanDeg] = useState<number | null>(null);
  const [trunkLeanDeg, setTrunkLeanDeg] = useState<number | null>(null);
  const { take, isTaking, problem } = useStep();
  const variation = variationById(variationId);
  const own = useMemo(() => ({ ...subject, leadSide: side }), [subject, side]);
  const setting = useMemo((): Setting => ({ ...startSetting(own, variation), ...given }), [own, variation, given]);
  const pose = useMemo(() => poseOf(own, variation, setting), [own, variation, setting]);
  const asked = useMemo(() => ask(own, variation, setting, AT_THE_POSE), [own, variation, setting]);
  const ranges = leversOf(own, variation).filter(({ lever }) => ["range", "support", "load"].includes(LEVERS[lever].kind));
  const isShared = variation.levers.some(({ lever }) => lever === "shareFraction");
  const isComplete = [sharePercent, shankLeanDeg, trunkLeanDeg].every((value) => value === null || Number.isFinite(value));
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        const calm = {
          id,
          side,
          limitedBy,
          variationId,
          setting,
          shareFraction: sharePercent === null || !isShared ? null : sharePercent / 100,
          shankLeanDeg,
          trunkLeanDeg,
        };
        take((stepId) => recordCalmPoseAction(clientId, calm, stepId), onDone);
      }}
    >
      <Columns $template="minmax(0, 1fr) 260px">
        <Stack>
          <SelectField label="What said stop there" options={LIMITED_BY} value={limitedBy} onChange={setLimitedBy} />
          <ChoiceField label="Side" options={SIDES} value={side} onChange={setSide} />
          <SelectField
            label="How it was done"
            options={ROWS}
            value={variationId}
            onChange={(next) => {
              setVariationId(next);
              setGiven({});
            }}
          />
          <Row $gap={16} style={{ alignItems: "start" }}>
            {ranges.map((range) => (
              <LeverField
                key={`${variationId} ${range.lever}`}
                range={range}
                value={setting[range.lever] ?? range.start}
                units={units}
                onChange={(value) => setGiven((now) => withLever(now, range.lever, value))}
              />
            ))}
          </Row>
          {isShared && (
            <MaybeNumber
              ask="Two scales were used"
              label="Under the sore leg"
              unit="%"
              value={sharePercent}
              min={20}
              max={80}
              onChange={setSharePercent}
            />
          )}
          <CheckField label="Read shin and trunk from a picture" isSelected={isPictured} onChange={setPictured} />
          {isPictured && (
            <PhotoAngles
              onUse={({ shankLeanDeg: shin, trunkLeanDeg: trunk }) => {
                setShankLeanDeg(Math.round(shin));
                setTrunkLeanDeg(trunk === null ? null : Math.round(trunk));
                setPictured(false);
              }}
            />
          )}
          <MaybeNumber
            ask="Shin lean was measured"
            label="Shin forward"
            unit="degrees"
            value={shankLeanDeg}
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
              min={0}
              max={80}
              onChange={setTrunkLeanDeg}
            />
          )}
          <Problem text={problem} />
          <Button type="submit" $tone="primary" isDisabled={isTaking || !pose.ok || !isComplete}>
            Set the ceiling from this
          </Button>
        </Stack>
        <div style={{ height: 280 }}>
          {pose.ok && asked.ok ? (
            <Figure
              subject={own}
              form={variation}
              name={variation.name}
              setting={setting}
              pose={pose}
              demands={asked.demands}
              units={units}
              increments={DEFAULT_KIT.increments}
            />
          ) : (
            <Notice $tone="oxide">Not possible: {poseFailureText(pose.ok ? "" : pose.reason)}.</Notice>
          )}
        </div>
      </Columns>
    </Form>
  );
}

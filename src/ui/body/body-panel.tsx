"use client";
import { type Body, BODY_LIMITS, type BodyMeasure, bodyFromMeasure } from "../../core/body/body";
import { kgFromLb, lbFromKg, type UnitSystem } from "../../core/units";
import { Button } from "../kit/button";
import { CheckField, ChoiceField } from "../kit/fields";
import { NumberField } from "../kit/number-field";
import { Row, Stack } from "../kit/layout";
import { lengthField } from "../kit/unit-field";
import { lengthText } from "../../words/basics/quantity";

type Taped = "shankM" | "thighM" | "trunkM";
const TAPED: readonly { key: Taped; label: string; how: string }[] = [
  { key: "shankM", label: "Lower leg", how: "outer ankle bone to the knee's joint line" },
  { key: "thighM", label: "Thigh", how: "knee's joint line to the bony point at the side of the hip" },
  { key: "trunkM", label: "Trunk", how: "that point at the hip to the top of the shoulder" },
];
/** A tape is read to half a centimetre. */
const TAPE = { metricCm: 0.5, imperialIn: 0.25 };
const TABLES = [
  { id: "de-leva", label: "de Leva 1996 (by sex)" },
  { id: "winter", label: "Winter (one for all)" },
] as const;

const massField = (units: UnitSystem, valueKg: number, { min, max }: { min: number; max: number }, onChange: (valueKg: number) => void) =>
  units === "metric"
    ? { unit: "kg", value: Math.round(valueKg * 10) / 10, minValue: min, maxValue: max, step: 0.5, onChange }
    : {
        unit: "lb",
        value: Math.round(lbFromKg(valueKg)),
        minValue: Math.ceil(lbFromKg(min)),
        maxValue: Math.floor(lbFromKg(max)),
        step: 1,
        onChange: (pounds: number) => onChange(kgFromLb(pounds)),
      };

/** One length from the tape, or from stature while nobody has measured it. */
function TapedField(props: {
  taped: (typeof TAPED)[number];
  measure: BodyMeasure;
  body: Body;
  units: UnitSystem;
  onChange: (measure: BodyMeasure) => void;
}) {
  const { taped, measure, body, units, onChange } = props;
  const { key, label, how } = taped;
  const value = measure[key];
  const without = ({ [key]: _, ...rest }: BodyMeasure): BodyMeasure => rest;
  return (
    <Stack $gap={0}>
      <CheckField
        label={value === undefined ? `${label} ${lengthText(body[key], units)}, from stature: measure it` : `${label} by tape`}
        isSelected={value !== undefined}
        onChange={(isOn) => onChange(isOn ? { ...measure, [key]: Math.round(body[key] * 200) / 200 } : without(measure))}
      />
      {value !== undefined && (
        <NumberField
          label={label}
          hint={how}
          {...lengthField(units, value, BODY_LIMITS[key], TAPE, (next) => onChange({ ...measure, [key]: next }))}
        />
      )}
    </Stack>
  );
}

/** A body laid out for change: stature and mass, the tape's lengths, the belly, and which published table fills in the rest. */
export function BodyPanel(props: {
  measure: BodyMeasure;
  units: UnitSystem;
  onChange: (measure: BodyMeasure) => void;
  onReset?: (() => void) | undefined;
}) {
  const { measure, units, onChange, onReset } = props;
  const body = bodyFromMeasure(measure);
  const { massKg, bellyKg = 0 } = measure;
  return (
    <Stack>
      <Row $gap={16} style={{ alignItems: "start" }}>
        <NumberField
          label="Stature"
          {...lengthField(units, measure.heightM, BODY_LIMITS.heightM, TAPE, (heightM) => onChange({ ...measure, heightM }))}
        />
        <NumberField label="Mass" {...massField(units, massKg, BODY_LIMITS.massKg, (next) => onChange({ ...measure, massKg: next }))} />
        <NumberField
          label="Belly, part of the mass"
          hint="pregnancy, or weight carried in front"
          {...massField(units, bellyKg, { ...BODY_LIMITS.bellyKg, max: Math.min(BODY_LIMITS.bellyKg.max, massKg / 3) }, (next) =>
            onChange({ ...measure, bellyKg: next }),
          )}
        />
      </Row>
      {TAPED.map((taped) => (
        <TapedField key={taped.key} taped={taped} measure={measure} body={body} units={units} onChange={onChange} />
      ))}
      <ChoiceField
        label="Weights of the segments"
        options={TABLES}
        value={measure.segmentTable ?? "de-leva"}
        onChange={(segmentTable) => onChange({ ...measure, segmentTable })}
      />
      {onReset && <Button onPress={onReset}>Back to the client&apos;s own</Button>}
    </Stack>
  );
}

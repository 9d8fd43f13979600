"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { setKitAction } from "../../actions/equipment";
import { type Equipment, EQUIPMENT } from "../../core/kit/equipment";
import { assembledFrom, isSetInSteps, KIT_LIMITS, type KitItem, measuredBy } from "../../core/kit/assemble";
import type { UnitSystem } from "../../core/units";
import { Button, TextButton } from "../kit/button";
import { SelectField, TextField } from "../kit/fields";
import { Card, Columns, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { NumberField } from "../kit/number-field";
import { Problem } from "../kit/problem";
import { lengthField, massField } from "../kit/unit-field";
import { useStep } from "../kit/use-step";
import { kitName, leverValueText } from "../../words/basics/lever";
import { capital } from "../../words/basics/words";
import { massText } from "../../words/basics/quantity";
import { color } from "../theme/tokens";

const Line = styled.li`
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  & > :first-child {
    flex: none;
    width: 200px;
    button {
      width: 100%;
    }
  }
  padding: 8px 0;
  border-top: 1px solid ${color.fog};
`;
const FINELY = { metricCm: 0.5, imperialIn: 0.25 };
const KINDS = EQUIPMENT.map((id) => ({ id, label: capital(kitName(id)) }));

/** What most places have, in usual sizes: a start to correct, not a truth. */
const USUAL: Readonly<Record<"studio" | "home", readonly KitItem[]>> = {
  studio: [
    { kind: "chair", heightM: 0.45 },
    { kind: "box", heightM: 0.4 },
    { kind: "box", heightM: 0.5 },
    { kind: "bench", heightM: 0.43 },
    { kind: "cushion", thicknessM: 0.04, count: 6 },
    { kind: "cushion", thicknessM: 0.02, count: 2 },
    { kind: "step", heightM: 0.1 },
    { kind: "mat", thicknessM: 0.015, count: 4 },
    ...[2, 4, 6, 8, 10, 12, 16, 20].map((massKg): KitItem => ({ kind: "dumbbell", massKg, count: 2 })),
    { kind: "barbell", massKg: 20 },
    ...[1.25, 2.5, 5, 10].map((massKg): KitItem => ({ kind: "plate", massKg, count: 4 })),
    ...(
      ["pole", "rail", "counter", "strap", "band", "loop-band", "ball", "small-ball", "wedge", "roll", "long-strap", "coin"] as const
    ).map((kind): KitItem => ({ kind })),
  ],
  home: [
    { kind: "chair", heightM: 0.46 },
    { kind: "sofa", heightM: 0.42 },
    { kind: "cushion", thicknessM: 0.05, count: 2 },
    { kind: "step", heightM: 0.18 },
    { kind: "counter" },
    { kind: "rail" },
    { kind: "table" },
    { kind: "roll" },
  ],
};

interface Props {
  /** Whose home; null for the studio. */
  clientId: string | null;
  where: string;
  items: readonly KitItem[] | null;
  units: UnitSystem;
}

const MEASURES = { heightM: "Height", thicknessM: "Thickness, pressed", massKg: "Mass", pullKg: "Pull, as it is used" } as const;
const measureName = (kind: Equipment, by: keyof typeof MEASURES, isStepped: boolean): string => {
  if (kind === "strap") return "Anchor, above the floor";
  if (kind === "barbell" || kind === "hex-bar") return "Mass, empty";
  return isStepped ? `${MEASURES[by]}, least` : MEASURES[by];
};
const COUNTED: readonly Equipment[] = ["cushion", "mat", "dumbbell", "kettlebell", "plate"];
const NAMED: readonly Equipment[] = ["band", "loop-band", "strap"];

/** One measure of a thing, a length or a mass; empty is NaN. */
function MeasureField({
  label,
  isMass,
  value,
  bounds,
  units,
  onChange,
}: {
  label: string;
  isMass: boolean;
  value: number | undefined;
  bounds: { min: number; max: number };
  units: UnitSystem;
  onChange: (value: number) => void;
}) {
  return isMass ? (
    <NumberField label={label} {...massField(units, value ?? NaN, bounds, onChange)} />
  ) : (
    <NumberField label={label} {...lengthField(units, value ?? NaN, bounds, FINELY, onChange)} />
  );
}

function ItemLine({
  item,
  units,
  onChange,
  onRemove,
}: {
  item: KitItem;
  units: UnitSystem;
  onChange: (item: KitItem) => void;
  onRemove: () => void;
}) {
  const { kind } = item;
  const by = measuredBy(kind);
  const isMass = by === "massKg" || by === "pullKg";
  const isStepped = by !== null && isSetInSteps(kind);
  const [most, step] = isMass ? (["mostKg", "stepKg"] as const) : (["mostM", "stepM"] as const);
  const bounds = by === null ? KIT_LIMITS.massKg : kind === "strap" ? KIT_LIMITS.anchorM : KIT_LIMITS[by];
  const field = (label: string, key: "heightM" | "thicknessM" | "massKg" | "pullKg" | typeof most | typeof step) => (
    <MeasureField
      label={label}
      isMass={isMass}
      value={item[key]}
      bounds={key === step ? { min: isMass ? 0.25 : 0.005, max: isMass ? 50 : 1 } : bounds}
      units={units}
      onChange={(value) => onChange({ ...item, [key]: value })}
    />
  );
  return (
    <Line>
      <SelectField label="What" options={KINDS} value={kind} onChange={(next: Equipment) => onChange({ kind: next })} />
      {by && field(measureName(kind, by, isStepped), by)}
      {isStepped && field("Most, if it is set", most)}
      {isStepped && field("In steps of", step)}
      {COUNTED.includes(kind) && (
        <NumberField
          label="How many"
          minValue={1}
          maxValue={KIT_LIMITS.mostOfAKind}
          value={item.count ?? 1}
          onChange={(count) => Number.isFinite(count) && onChange({ ...item, count })}
        />
      )}
      {NAMED.includes(kind) && (
        <TextField label="Colour or name" value={item.name ?? ""} onChange={(name) => onChange({ ...item, name })} />
      )}
      <TextButton aria-label={`Take away the ${kitName(kind)}`} onPress={onRemove} style={{ minHeight: 44, marginLeft: "auto" }}>
        take away
      </TextButton>
    </Line>
  );
}

/** A measure that was left empty is not kept as one: the thing is there all the same. */
const cleaned = (item: KitItem): KitItem =>
  Object.fromEntries(Object.entries(item).filter(([, value]) => !Number.isNaN(value) && value !== "")) as unknown as KitItem;

const HEIGHTS = [
  ["seatHeightM", "Seats"],
  ["stepHeightM", "Steps"],
  ["benchHeightM", "Under the shoulders"],
  ["anchorHeightM", "Anchors"],
] as const;
/** More than this is told by its ends. */
const MOST_SAID = 24;
function Comes({ name, values }: { name: string; values: readonly string[] | undefined }) {
  const said = values && values.length > MOST_SAID ? [...values.slice(0, MOST_SAID - 1), `… ${values.at(-1)}`] : values;
  return (
    <p>
      <strong>{name}:</strong> {said?.join(", ") ?? <Soft>by usual steps, nothing is measured</Soft>}
    </p>
  );
}

/** What a place has, by kind and size; what can be set up from it is shown at once. */
export function EquipmentScreen({ clientId, where, items, units }: Props) {
  const [list, setList] = useState<readonly KitItem[]>(items ?? []);
  const [isSaved, setSaved] = useState(false);
  const { take, isTaking, problem } = useStep();
  const change = (next: readonly KitItem[]): void => {
    setList(next);
    setSaved(false);
  };
  const built = assembledFrom(list.map(cleaned));
  return (
    <Page>
      <Columns $template="minmax(0, 1fr) 330px">
        <Card aria-label="Equipment">
          <Form
            onSubmit={(event) => {
              event.preventDefault();
              take(
                (stepId) => setKitAction(clientId, { items: list.map(cleaned) }, stepId),
                () => setSaved(true),
              );
            }}
          >
            <Stack>
              <div>
                <h1 style={{ fontSize: 24 }}>{where}</h1>
                <Soft>
                  {items
                    ? "What Fit proposes can be set up from these things."
                    : `Nobody has listed it yet. Until then Fit goes by usual steps, and takes ${clientId === null ? "everything" : "what most homes have"} to be there.`}
                </Soft>
              </div>
              {list.length === 0 && (
                <Button style={{ alignSelf: "start" }} onPress={() => change(USUAL[clientId === null ? "studio" : "home"])}>
                  Start with usual sizes
                </Button>
              )}
              <ul>
                {list.map((item, i) => (
                  <ItemLine
                    key={i}
                    item={item}
                    units={units}
                    onChange={(next) => change(list.with(i, next))}
                    onRemove={() => change(list.toSpliced(i, 1))}
                  />
                ))}
              </ul>
              <Problem text={problem} />
              <Row>
                <Button onPress={() => change([...list, { kind: "chair" }])}>Add a thing</Button>
                <Button type="submit" $tone="primary" isDisabled={isTaking}>
                  Keep the list
                </Button>
                {isSaved && <Soft role="status">Kept. Fit goes by it.</Soft>}
              </Row>
            </Stack>
          </Form>
        </Card>
        <Card aria-label="What it comes to">
          <Stack>
            <Title>What it comes to</Title>
            {HEIGHTS.map(([lever, name]) => (
              <Comes key={lever} name={name} values={built.heights[lever]?.map(({ value }) => leverValueText(lever, value, units))} />
            ))}
            {Object.entries(built.masses)
              .filter(([kind]) => kind !== "plate")
              .map(([kind, values]) => (
                <Comes key={kind} name={capital(kitName(kind as Equipment))} values={values.map(({ value }) => massText(value, units))} />
              ))}
            {Object.keys(built.masses).length === 0 && <Comes name="Loads" values={undefined} />}
          </Stack>
        </Card>
      </Columns>
    </Page>
  );
}

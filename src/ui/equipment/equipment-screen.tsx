"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { setKitAction } from "../../actions/equipment";
import { type Equipment, EQUIPMENT } from "../../core/catalogue/equipment";
import { assembledFrom, KIT_LIMITS, type KitItem, measuredBy } from "../../core/fit/assemble";
import type { UnitSystem } from "../../core/units";
import { Button, TextButton } from "../kit/button";
import { SelectField } from "../kit/fields";
import { Card, Columns, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { NumberField } from "../kit/number-field";
import { Problem } from "../kit/problem";
import { lengthField, massField } from "../kit/unit-field";
import { useStep } from "../kit/use-step";
import { kitName, leverValueText } from "../text/lever-text";
import { capital } from "../text/limit-text";
import { color } from "../theme/tokens";

const Line = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 170px 130px 90px;
  gap: 12px;
  align-items: end;
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
    ...[2, 4, 6, 8, 10, 12, 16, 20].map((massKg): KitItem => ({ kind: "dumbbell", massKg })),
    { kind: "barbell", massKg: 20 },
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
  const by = measuredBy(item.kind);
  const size = by ? (item[by] ?? NaN) : NaN;
  const set = (value: number): void => {
    if (by) onChange({ ...item, [by]: value });
  };
  return (
    <Line>
      <SelectField label="What" options={KINDS} value={item.kind} onChange={(kind: Equipment) => onChange({ kind })} />
      {by === "massKg" ? (
        <NumberField label="Mass" {...massField(units, size, KIT_LIMITS.massKg, set)} />
      ) : by ? (
        <NumberField
          label={by === "heightM" ? "Height" : "Thickness, pressed"}
          {...lengthField(units, size, KIT_LIMITS[by], FINELY, set)}
        />
      ) : (
        <span />
      )}
      {by === "thicknessM" ? (
        <NumberField
          label="How many"
          minValue={1}
          maxValue={KIT_LIMITS.mostOfAKind}
          value={item.count ?? 1}
          onChange={(count) => Number.isFinite(count) && onChange({ ...item, count })}
        />
      ) : (
        <span />
      )}
      <TextButton aria-label={`Take away the ${kitName(item.kind)}`} onPress={onRemove} style={{ minHeight: 44 }}>
        take away
      </TextButton>
    </Line>
  );
}

/** A measure that was left empty is not kept as one: the thing is there all the same. */
const cleaned = (item: KitItem): KitItem =>
  Object.fromEntries(Object.entries(item).filter(([, value]) => !Number.isNaN(value))) as unknown as KitItem;

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
            {(["seatHeightM", "stepHeightM", "loadKg"] as const).map((lever) => (
              <p key={lever}>
                <strong>{{ seatHeightM: "Seats", stepHeightM: "Steps", loadKg: "Loads" }[lever]}:</strong>{" "}
                {built[lever]?.map(({ value }) => leverValueText(lever, value, units)).join(", ") ?? (
                  <Soft>by usual steps, nothing is measured</Soft>
                )}
              </p>
            ))}
          </Stack>
        </Card>
      </Columns>
    </Page>
  );
}

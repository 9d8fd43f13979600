"use client";
import { useMemo, useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { chooseSchoolAction } from "../../actions/school";
import type { FitContext } from "../../core/judge/context";
import { AXES } from "../../core/approach/axes.data";
import {
  differencesOf,
  NUMBER_BOUNDS,
  PRESET_IDS,
  type PresetId,
  type School,
  type SchoolChoice,
  type SchoolNumbers,
  schoolOf,
} from "../../core/approach/approach";
import type { UnitSystem } from "../../core/units";
import { Button, TextButton } from "../kit/button";
import { SelectField, TextField } from "../kit/fields";
import { Card, Columns, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { NumberField } from "../kit/number-field";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { dayText } from "../../words/basics/day";
import {
  axisName,
  decidesText,
  numberName,
  numberTimes,
  numberUnit,
  positionName,
  presetName,
  presetText,
} from "../../words/training/school";
import { color } from "../theme/tokens";
import { Compared } from "./compared";

const Axes = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 14px 18px;
  p {
    color: ${color.inkSoft};
  }
`;
const PRESETS = PRESET_IDS.map((id) => ({ id, label: presetName(id) }));
const NUMBERS = Object.keys(NUMBER_BOUNDS) as (keyof SchoolNumbers)[];
/** What a school's number is typed as: a share as per cent. */
const typed = (name: keyof SchoolNumbers, value: number): number => Math.round(value * numberTimes(name) * 10) / 10;

interface Props {
  clientId: string;
  choice: SchoolChoice | null;
  context: FitContext | null;
  units: UnitSystem;
}

/** What is held otherwise than the preset, so that the preset's later changes still reach this client. */
function ownOf(preset: PresetId, held: School): Pick<SchoolChoice, "preset" | "positions" | "numbers"> {
  const base = schoolOf({ preset });
  return {
    preset,
    positions: Object.fromEntries(differencesOf(held, base).map(({ axisId, a }) => [axisId, a])),
    numbers: Object.fromEntries(NUMBERS.flatMap((name) => (Math.abs(held[name] - base[name]) > 1e-9 ? [[name, held[name]]] : []))),
  };
}

/** The school of one client: a preset, point by point what is held otherwise, and what another school would make of them. */
export function SchoolScreen({ clientId, choice, context, units }: Props) {
  const [preset, setPreset] = useState<PresetId>(choice?.preset ?? "mainstream");
  const [held, setHeld] = useState<School>(() => schoolOf(choice ?? { preset: "mainstream" }));
  const [reason, setReason] = useState("");
  const [other, setOther] = useState<PresetId>(choice?.preset === "gentle" ? "mainstream" : "gentle");
  const [isWhole, setWhole] = useState(false);
  const { take, isTaking, problem } = useStep();
  const against = useMemo(() => schoolOf({ preset: other }), [other]);
  const own = ownOf(preset, held);
  const isOther = (axisId: string): boolean => axisId in own.positions;
  const pick = (id: PresetId): void => {
    setPreset(id);
    setHeld(schoolOf({ preset: id }));
  };
  const shown = isWhole ? AXES : AXES.filter(({ id }) => isOther(id) || differencesOf(held, against).some(({ axisId }) => axisId === id));
  return (
    <Page>
      <Stack $gap={14}>
        <Columns $template="minmax(0, 1fr) 330px">
          <Card aria-label="School">
            <Form
              onSubmit={(event) => {
                event.preventDefault();
                take(
                  (stepId) => chooseSchoolAction(clientId, { ...own, reason }, stepId),
                  () => setReason(""),
                );
              }}
            >
              <Stack>
                <Title>School</Title>
                <Soft>
                  {choice
                    ? `${presetName(choice.preset)}, chosen by ${choice.by}, ${dayText(choice.day)}: ${choice.reason}.`
                    : "The house's own holds until another is chosen for this client."}{" "}
                  Limits, and published guidance, stand above any school.
                </Soft>
                <Row $gap={18} style={{ alignItems: "flex-end" }}>
                  <SelectField label="Whole school" options={PRESETS} value={preset} onChange={pick} />
                  <Soft style={{ flex: 1 }}>{presetText(preset)}</Soft>
                </Row>
                <Axes>
                  {shown.map(({ id, positions }) => (
                    <div key={id}>
                      <SelectField
                        label={axisName(id)}
                        options={positions.map((each) => ({ id: each.id, label: positionName(id, each.id) }))}
                        value={held.positions[id] ?? ""}
                        onChange={(position) => setHeld(schoolOf({ ...own, positions: { ...own.positions, [id]: position } }))}
                      />
                      <p>
                        {decidesText(id, held.positions[id] ?? "")}
                        {isOther(id) && <strong> Otherwise than the preset.</strong>}
                      </p>
                    </div>
                  ))}
                </Axes>
                <TextButton style={{ alignSelf: "start" }} onPress={() => setWhole(!isWhole)}>
                  {isWhole ? "Only where they differ" : `All ${AXES.length} points`}
                </TextButton>
                <Axes>
                  {NUMBERS.map((name) => (
                    <NumberField
                      key={name}
                      label={numberName(name)}
                      unit={numberUnit(name)}
                      minValue={typed(name, NUMBER_BOUNDS[name].min)}
                      maxValue={typed(name, NUMBER_BOUNDS[name].max)}
                      value={typed(name, held[name])}
                      onChange={(value) => Number.isFinite(value) && setHeld({ ...held, [name]: value / numberTimes(name) })}
                    />
                  ))}
                </Axes>
                <TextField label="Why this school for this client" long isRequired value={reason} onChange={setReason} />
                <Problem text={problem} />
                <Row>
                  <Button type="submit" $tone="primary" isDisabled={isTaking || reason.trim() === ""}>
                    Train by this school
                  </Button>
                  <Link href={`/clients/${clientId}/fit`}>To Fit</Link>
                </Row>
              </Stack>
            </Form>
          </Card>
          <Card aria-label="Beside">
            <Stack>
              <Title>Beside another</Title>
              <SelectField label="Compared with" options={PRESETS} value={other} onChange={setOther} />
              <Soft>{presetText(other)}</Soft>
              <ul>
                {differencesOf(held, against).map(({ axisId, a, b }) => (
                  <li key={axisId}>
                    <strong>{axisName(axisId)}:</strong> {positionName(axisId, a)} here, {positionName(axisId, b)} there.{" "}
                    {decidesText(axisId, b)}
                  </li>
                ))}
              </ul>
            </Stack>
          </Card>
        </Columns>
        {context && (
          <Compared context={context} a={held} b={against} names={{ a: presetName(preset), b: presetName(other) }} units={units} />
        )}
      </Stack>
    </Page>
  );
}

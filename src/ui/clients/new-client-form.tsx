"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { Form } from "react-aria-components";
import { addClientAction } from "../../actions/clients";
import { BODY_LIMITS, inFromM, kgFromLb, lbFromKg, mFromIn, type Sex, type Side } from "../../core";
import { Button } from "../kit/button";
import { ChoiceField, NumberField, TextField } from "../kit/fields";
import { Card, Page, Row, Soft, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import type { UnitSystem } from "../text/quantity-text";

const SEXES = [
  { id: "female", label: "Female" },
  { id: "male", label: "Male" },
] as const;
const SIDES = [
  { id: "left", label: "Left" },
  { id: "right", label: "Right" },
] as const;

/** The fewest entries that lead to a first safe set; limits and the calm seat come next. */
export function NewClientForm({ units }: { units: UnitSystem }) {
  const router = useRouter();
  const [name, setName] = useState("");
  const [birthYear, setBirthYear] = useState(1964);
  const [sex, setSex] = useState<Sex | null>(null);
  const [complaint, setComplaint] = useState("");
  const [goal, setGoal] = useState("");
  const [side, setSide] = useState<Side | null>(null);
  const [heightM, setHeightM] = useState(NaN);
  const [massKg, setMassKg] = useState(NaN);
  const [baselinePainScore, setBaseline] = useState(NaN);
  const [painLimitScore, setPainLimit] = useState(3);
  const { take, isTaking, problem } = useStep();
  const isMetric = units === "metric";
  const { heightM: stature, massKg: mass } = BODY_LIMITS;
  const input = { name, birthYear, sex, complaint, goal, side, heightM, massKg, baselinePainScore, painLimitScore };
  const submit = (): void =>
    take(
      () => addClientAction(input),
      ({ clientId }) => router.push(`/clients/${clientId}/limits`),
    );
  return (
    <Page>
      <Card style={{ maxWidth: 760, margin: "12px auto" }}>
        <Form
          onSubmit={(event) => {
            event.preventDefault();
            submit();
          }}
        >
          <Stack $gap={16}>
            <div>
              <h1 style={{ fontSize: 24 }}>Add a client</h1>
              <Soft>Next: the limits others have set, and one calm seat.</Soft>
            </div>
            <Row $gap={24} style={{ alignItems: "start" }}>
              <TextField label="Name" isRequired value={name} onChange={setName} />
              <NumberField
                label="Year of birth"
                formatOptions={{ useGrouping: false }}
                minValue={1915}
                maxValue={2010}
                value={birthYear}
                onChange={setBirthYear}
              />
              <ChoiceField label="Body tables" options={SEXES} value={sex} onChange={setSex} />
            </Row>
            <Row $gap={24} style={{ alignItems: "start" }}>
              <NumberField
                label="Stature"
                unit={isMetric ? "cm" : "in"}
                isRequired
                minValue={isMetric ? stature.min * 100 : Math.ceil(inFromM(stature.min))}
                maxValue={isMetric ? stature.max * 100 : Math.floor(inFromM(stature.max))}
                value={isMetric ? heightM * 100 : inFromM(heightM)}
                formatOptions={{ maximumFractionDigits: 1 }}
                onChange={(value) => setHeightM(isMetric ? value / 100 : mFromIn(value))}
              />
              <NumberField
                label="Mass"
                unit={isMetric ? "kg" : "lb"}
                isRequired
                minValue={isMetric ? mass.min : Math.ceil(lbFromKg(mass.min))}
                maxValue={isMetric ? mass.max : Math.floor(lbFromKg(mass.max))}
                value={isMetric ? massKg : lbFromKg(massKg)}
                formatOptions={{ maximumFractionDigits: 1 }}
                onChange={(value) => setMassKg(isMetric ? value : kgFromLb(value))}
              />
            </Row>
            <TextField
              label="What hurts"
              isRequired
              value={complaint}
              onChange={setComplaint}
              hint="In the client's words: right kneecap on stairs down"
            />
            <ChoiceField label="Side to watch" options={SIDES} value={side} onChange={setSide} />
            <Row $gap={24} style={{ alignItems: "start" }}>
              <NumberField
                label="Usual morning pain"
                unit="0 to 10"
                isRequired
                minValue={0}
                maxValue={10}
                value={baselinePainScore}
                onChange={setBaseline}
              />
              <NumberField
                label="Pain agreed during a set"
                unit="0 to 5"
                minValue={0}
                maxValue={5}
                value={painLimitScore}
                onChange={setPainLimit}
                hint="Never sharp, settled next morning"
              />
            </Row>
            <TextField label="What the client wants back" value={goal} onChange={setGoal} />
            <Problem text={problem} />
            <Button type="submit" $tone="primary" isDisabled={isTaking}>
              Add the client
            </Button>
          </Stack>
        </Form>
      </Card>
    </Page>
  );
}

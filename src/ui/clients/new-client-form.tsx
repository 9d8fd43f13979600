"use client";
import { useRouter } from "next/navigation";
import { v4 as newUuid } from "uuid";
import { useState } from "react";
import { Form } from "react-aria-components";
import { addClientAction } from "../../actions/clients";
import { BODY_LIMITS, type Sex } from "../../core/body/body";
import { inFromM, kgFromLb, lbFromKg, mFromIn, type UnitSystem } from "../../core/units";
import { Button } from "../kit/button";
import { ChoiceField, TextField } from "../kit/fields";
import { NumberField } from "../kit/number-field";
import { Card, Page, Row, Soft, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { ComplaintFields, emptyComplaint, filledIn } from "./complaint-fields";

const SEXES = [
  { id: "female", label: "Female" },
  { id: "male", label: "Male" },
] as const;

const HURTS = [
  { id: "something", label: "Something does" },
  { id: "nothing", label: "Nothing hurts" },
] as const;

/** The fewest entries that lead to a first safe set; the screen and the calm seat come next. */
export function NewClientForm({ units }: { units: UnitSystem }) {
  const router = useRouter();
  const [name, setName] = useState("");
  const [id] = useState(() => newUuid()); // made here: sent twice, it is one client
  const [birthYear, setBirthYear] = useState(NaN);
  const [sex, setSex] = useState<Sex | null>(null);
  const [complaint, setComplaint] = useState(() => emptyComplaint(newUuid()));
  const [hurts, setHurts] = useState<"something" | "nothing">("something");
  const [goal, setGoal] = useState("");
  const [heightM, setHeightM] = useState(NaN);
  const [massKg, setMassKg] = useState(NaN);
  const { take, isTaking, problem } = useStep();
  const isMetric = units === "metric";
  const { heightM: stature, massKg: mass } = BODY_LIMITS;
  const sore = hurts === "nothing" ? { complaints: [], nothingHurts: true as const } : { complaints: [filledIn(complaint)] };
  const input = { id, name, birthYear, sex, ...sore, archivedDay: null, goal, heightM, massKg };
  const submit = (): void =>
    take(
      (stepId) => addClientAction(input, stepId),
      ({ clientId }) => router.push(`/clients/${clientId}/screen`),
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
              <Soft>Next: four questions before training, and one calm seat.</Soft>
            </div>
            <Row $gap={24} style={{ alignItems: "start" }}>
              <TextField label="Name" isRequired value={name} onChange={setName} />
              <NumberField
                label="Year of birth"
                formatOptions={{ useGrouping: false }}
                isRequired
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
            <ChoiceField label="Does anything hurt?" options={HURTS} value={hurts} onChange={setHurts} />
            {hurts === "something" ? (
              <ComplaintFields value={complaint} onChange={setComplaint} />
            ) : (
              <Soft>
                Then there is no calm seat to find: each exercise begins with one light set, and opens when the morning after is settled.
              </Soft>
            )}
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

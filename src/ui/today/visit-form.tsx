"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { v4 as newUuid } from "uuid";
import { changeVisitsAction } from "../../actions/visits";
import type { Day } from "../../core/day";
import { MOST_WEEKS_BETWEEN, VISIT_MINUTES, type Visit } from "../../core/week/visit";
import { Button } from "../kit/button";
import { DayField } from "../kit/day-field";
import { SelectField, TextField } from "../kit/fields";
import { Row, Stack } from "../kit/layout";
import { NumberField } from "../kit/number-field";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { repeatText } from "../../words/training/visit";

const REPEATS = [null, 1, 2, 3, 4, MOST_WEEKS_BETWEEN] as const;

/** A visit typed: who, when, how long, and how often it comes again. */
export function VisitForm(props: { clients: readonly { id: string; name: string }[]; today: Day; onDone: () => void }) {
  const { clients, today, onDone } = props;
  const [clientId, setClientId] = useState<string | null>(null);
  const [day, setDay] = useState<Day | null>(today);
  const [at, setAt] = useState("09:00");
  const [minutes, setMinutes] = useState(45);
  const [everyWeeks, setEveryWeeks] = useState<number | null>(null);
  const [untilDay, setUntilDay] = useState<Day | null>(null);
  const [visitId] = useState(() => newUuid());
  const { take, isTaking, problem } = useStep();
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        const visit = {
          id: visitId,
          clientId,
          day,
          at,
          minutes,
          everyWeeks,
          untilDay: everyWeeks === null ? null : untilDay,
          except: [],
          uid: null,
        };
        take((stepId) => changeVisitsAction({ kept: [visit], ended: [] }, stepId), onDone);
      }}
    >
      <Stack>
        <SelectField label="Who" options={clients.map(({ id, name }) => ({ id, label: name }))} value={clientId} onChange={setClientId} />
        <Row style={{ alignItems: "end" }}>
          <DayField label="Day" value={day} onChange={setDay} />
          <TextField label="At" type="time" isRequired value={at} onChange={setAt} />
          <NumberField
            label="Minutes"
            unit="min"
            step={5}
            minValue={VISIT_MINUTES.min}
            maxValue={VISIT_MINUTES.max}
            value={minutes}
            onChange={setMinutes}
          />
        </Row>
        <SelectField
          label="Again"
          options={REPEATS.map((weeks) => ({ id: String(weeks), label: repeatText(weeks) }))}
          value={String(everyWeeks)}
          onChange={(id) => setEveryWeeks(id === "null" ? null : Number(id))}
        />
        {everyWeeks !== null && <DayField label="Last day" hint="Empty: until you end it" value={untilDay} onChange={setUntilDay} />}
        <Problem text={problem} />
        <Button type="submit" $tone="primary" isDisabled={isTaking || clientId === null || day === null}>
          Keep the visit
        </Button>
      </Stack>
    </Form>
  );
}

/** One visit moved: this one alone, its series stays. */
export function MoveForm({
  visit,
  plannedDay,
  from,
  onMove,
  isTaking,
  problem,
}: {
  visit: Visit;
  plannedDay: Day;
  from: { day: Day; at: string };
  onMove: (to: { day: Day; at: string }) => void;
  isTaking: boolean;
  problem: string | null;
}) {
  const [day, setDay] = useState<Day | null>(from.day);
  const [at, setAt] = useState(from.at);
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        if (day !== null) onMove({ day, at });
      }}
    >
      <Stack>
        {visit.everyWeeks !== null && <p>Only this one moves; {repeatText(visit.everyWeeks).toLowerCase()} goes on as it is.</p>}
        <Row style={{ alignItems: "end" }}>
          <DayField label="Day" value={day} onChange={setDay} />
          <TextField label="At" type="time" isRequired value={at} onChange={setAt} />
        </Row>
        <Problem text={problem} />
        <Button
          type="submit"
          $tone="primary"
          isDisabled={isTaking || day === null || (day === plannedDay && at === from.at && day === from.day)}
        >
          Move it
        </Button>
      </Stack>
    </Form>
  );
}

"use client";
import type { UnitSystem } from "../../core/units";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { setDailyHeightAction } from "../../actions/clients";
import { DAILY_LIMITS } from "../../core/judge/daily";
import type { DailyTask } from "../../core/judge/context";
import { Button, TextButton } from "../kit/button";
import { ChoiceField, TextField } from "../kit/fields";
import { NumberField } from "../kit/number-field";
import { Card, Row, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { BY_RULE, lengthField } from "../kit/unit-field";
import { useStep } from "../kit/use-step";
import { lengthText } from "../../words/basics/quantity";
import { color } from "../theme/tokens";

const KINDS = [
  { id: "seat", label: "A seat" },
  { id: "step", label: "A step" },
] as const;
const Item = styled.li`
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 44px;
  border-top: 1px solid ${color.fog};
`;

/** The heights of the client's own day: they stand on the stair as treads. */
export function DailyCard({ clientId, tasks, units }: { clientId: string; tasks: readonly DailyTask[]; units: UnitSystem }) {
  const [name, setName] = useState("");
  const [kind, setKind] = useState<DailyTask["kind"]>("seat");
  const [heightM, setHeightM] = useState(0.42);
  const { take, isTaking, problem } = useStep();
  const { min, max } = DAILY_LIMITS[kind];
  return (
    <Card aria-label="Own day">
      <Title>Own day</Title>
      <p>Sofa, toilet, kerb, stairs at home: measured once, they stand on the stair beside the training.</p>
      <ul style={{ marginTop: 8 }}>
        {tasks.map((task) => (
          <Item key={task.name}>
            <span>
              {task.name}, {task.kind} of {lengthText(task.heightM, units)}
            </span>
            <TextButton
              aria-label={`Take away ${task.name}`}
              isDisabled={isTaking}
              onPress={() => take((stepId) => setDailyHeightAction(clientId, { name: task.name, kind: task.kind, heightM: null }, stepId))}
            >
              take away
            </TextButton>
          </Item>
        ))}
      </ul>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          take(
            (stepId) => setDailyHeightAction(clientId, { name, kind, heightM: Math.min(max, Math.max(min, heightM)) }, stepId),
            () => setName(""),
          );
        }}
      >
        <Stack>
          <Row $gap={16} style={{ alignItems: "end" }}>
            <TextField label="What it is" isRequired value={name} onChange={setName} />
            <ChoiceField
              label="Kind"
              options={KINDS}
              value={kind}
              onChange={(next) => {
                setKind(next);
                setHeightM(next === "seat" ? 0.42 : 0.17);
              }}
            />
            <NumberField label="Height" {...lengthField(units, heightM, DAILY_LIMITS[kind], BY_RULE, setHeightM)} />
            <Button type="submit" isDisabled={isTaking}>
              Add
            </Button>
          </Row>
          <Problem text={problem} />
        </Stack>
      </Form>
    </Card>
  );
}

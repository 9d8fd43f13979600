"use client";
import { useState } from "react";
import { OWN_GOAL_LIMITS } from "../../core/session/plan";
import { wayDone } from "../../core/week/forecast";
import { Button, TextButton } from "../kit/button";
import { TextField } from "../kit/fields";
import { Row, Soft, Stack } from "../kit/layout";
import { NumberField } from "../kit/number-field";
import { Ask } from "../kit/why";
import { percentText } from "../../words/basics/quantity";
import type { PlanState } from "./use-plan";

const EMPTY = { name: "", unit: "", from: 0, now: 0, to: 0 };

/** A goal in the client's own unit, a service's speed or minutes in the boat: the trainer types where it is. */
export function OwnGoal({ plan: { draft, change } }: { plan: PlanState }) {
  const goal = draft.ownGoal;
  const [isOpen, setOpen] = useState(false);
  const [typed, setTyped] = useState(goal ?? EMPTY);
  const isWhole = typed.name.trim() !== "" && typed.unit.trim() !== "" && typed.from !== typed.to;
  const number = (key: "from" | "now" | "to", label: string) => (
    <NumberField
      label={label}
      minValue={OWN_GOAL_LIMITS.min}
      maxValue={OWN_GOAL_LIMITS.max}
      value={typed[key]}
      onChange={(value) => setTyped({ ...typed, [key]: value })}
    />
  );
  return (
    <>
      {goal && (
        <p>
          <strong>{goal.name}:</strong> {percentText(wayDone(goal.from, goal.now, goal.to))} of the way, from {goal.from} to {goal.to}{" "}
          {goal.unit}, now {goal.now}.
        </p>
      )}
      <Soft>
        <TextButton
          onPress={() => {
            setTyped(goal ?? EMPTY);
            setOpen(true);
          }}
        >
          {goal ? "change the client's own goal" : "a goal in the client's own unit"}
        </TextButton>
      </Soft>
      <Ask title="The client's own goal" isOpen={isOpen} onClose={() => setOpen(false)}>
        <Stack $gap={10}>
          <TextField label="What" maxLength={60} value={typed.name} onChange={(name) => setTyped({ ...typed, name })} />
          <TextField
            label="Counted in"
            hint="metres, minutes, kilometres an hour"
            maxLength={20}
            value={typed.unit}
            onChange={(unit) => setTyped({ ...typed, unit })}
          />
          <Row $gap={10} style={{ alignItems: "start" }}>
            {number("from", "At the start")}
            {number("now", "Now")}
            {number("to", "Wanted")}
          </Row>
          {typed.name !== "" && !isWhole && <Soft role="status">A name, a unit, and a wish that differs from the start.</Soft>}
          <Row $gap={8}>
            <Button
              $tone="primary"
              isDisabled={!isWhole}
              onPress={() => {
                change({ ownGoal: { ...typed, name: typed.name.trim(), unit: typed.unit.trim() } });
                setOpen(false);
              }}
            >
              Done
            </Button>
            {goal && (
              <Button
                onPress={() => {
                  change({ ownGoal: undefined });
                  setOpen(false);
                }}
              >
                Take it away
              </Button>
            )}
          </Row>
        </Stack>
      </Ask>
    </>
  );
}

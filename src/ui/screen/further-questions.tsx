"use client";
import { useState } from "react";
import type { Day } from "../../core/day";
import {
  BACK_SIGNS,
  type BackSign,
  type Goal,
  GOAL_MEASURES,
  GOAL_TASKS,
  type GoalTask,
  MEDICINES,
  type Medicine,
} from "../../core/screen/further.data";
import type { UnitSystem } from "../../core/units";
import { Button } from "../kit/button";
import { CheckField, ChoiceField, TextField } from "../kit/fields";
import { Row, Soft, Stack } from "../kit/layout";
import { NumberField } from "../kit/number-field";
import { Problem } from "../kit/problem";
import { DayField } from "../kit/day-field";
import { backSignText, goalMeasureText, goalText, medicineText } from "../../words/client/screen";
import { type QuestionProps, useAnswer } from "./answer";
import { goalEdge } from "./goal-edge";
import { Taps, toggled } from "./signs-question";

const orNull = (value: number): number | null => (Number.isFinite(value) ? value : null);
const YES_NO = [
  { id: "no", label: "No" },
  { id: "yes", label: "Yes" },
] as const;

function Keep({
  problem,
  isTaking,
  onKeep,
  label = "Keep the answer",
}: {
  problem: string | null;
  isTaking: boolean;
  onKeep: () => void;
  label?: string;
}) {
  return (
    <>
      <Problem text={problem} />
      <Button $tone="primary" isDisabled={isTaking} onPress={onKeep}>
        {label}
      </Button>
    </>
  );
}

/** Everyday tasks, each with its measure where it has one. */
export function GoalsQuestion({ units, ...props }: QuestionProps & { units: UnitSystem }) {
  const { keep, isTaking, problem } = useAnswer(props);
  const [goals, setGoals] = useState<readonly Goal[]>(() => props.answers.goals ?? []);
  const change = (task: GoalTask, more: Partial<Goal>): void =>
    setGoals(goals.map((goal) => (goal.task === task ? { ...goal, ...more } : goal)));
  return (
    <Stack>
      {GOAL_TASKS.map((task) => {
        const goal = goals.find((each) => each.task === task);
        const bounds = GOAL_MEASURES[task];
        const edge = bounds && goalEdge(bounds.unit, units);
        return (
          <div key={task}>
            <CheckField
              label={goalText[task]}
              isSelected={goal !== undefined}
              onChange={(isOn) =>
                setGoals(isOn ? [...goals, { task, measure: null, words: "" }] : goals.filter((each) => each.task !== task))
              }
            />
            {goal && (
              <Row $gap={16} style={{ margin: "2px 0 10px 34px", alignItems: "start" }}>
                {bounds && edge && (
                  <NumberField
                    label={goalMeasureText[task] ?? "Measure"}
                    unit={edge.unit}
                    minValue={edge.round(edge.fromSi(bounds.min))}
                    maxValue={edge.round(edge.fromSi(bounds.max))}
                    value={goal.measure === null ? NaN : edge.round(edge.fromSi(goal.measure))}
                    onChange={(typed) => change(task, { measure: orNull(edge.toSi(typed)) })}
                  />
                )}
                <TextField
                  label={`In their words: ${goalText[task].toLowerCase()}`}
                  value={goal.words}
                  onChange={(words) => change(task, { words })}
                />
              </Row>
            )}
          </div>
        );
      })}
      <Keep {...{ problem, isTaking }} onKeep={() => keep({ goals })} label={goals.length === 0 ? "None of these" : "Keep these"} />
    </Stack>
  );
}

export function PainQuestion(props: QuestionProps) {
  const { keep, isTaking, problem } = useAnswer(props);
  const known = props.answers.pain;
  const [worst, setWorst] = useState(known?.worstScore ?? NaN);
  const [stiff, setStiff] = useState(known?.morningStiffMin ?? NaN);
  const [swells, setSwells] = useState<"yes" | "no" | null>(known ? (known.swells ? "yes" : "no") : null);
  const [when, setWhen] = useState(known?.when ?? "");
  return (
    <Stack>
      <Row $gap={20} style={{ alignItems: "start" }}>
        <NumberField label="At its worst" unit="0 to 10" minValue={0} maxValue={10} value={worst} onChange={setWorst} />
        <NumberField label="Stiff in the morning for" unit="minutes" minValue={0} maxValue={600} value={stiff} onChange={setStiff} />
        <ChoiceField label="Does it swell" options={YES_NO} value={swells} onChange={setSwells} />
      </Row>
      <TextField label="When, and doing what" value={when} onChange={setWhen} />
      <Keep
        {...{ problem, isTaking }}
        onKeep={() => keep({ pain: { worstScore: orNull(worst), morningStiffMin: orNull(stiff), swells: swells === "yes", when } })}
      />
    </Stack>
  );
}

export function BackQuestion(props: QuestionProps) {
  const { keep, isTaking, problem } = useAnswer(props);
  const [signs, setSigns] = useState<readonly BackSign[]>(() => props.answers.back?.signs ?? []);
  return (
    <Stack>
      <Taps role="group" aria-label="What makes the back worse">
        {BACK_SIGNS.map((sign) => (
          <CheckField
            key={sign}
            label={backSignText[sign]}
            isSelected={signs.includes(sign)}
            onChange={(isOn) => setSigns(toggled(signs, sign, isOn))}
          />
        ))}
      </Taps>
      <Soft>What spreads below the buttock is looked at by a physician first.</Soft>
      <Keep
        {...{ problem, isTaking }}
        onKeep={() => keep({ back: { signs } })}
        label={signs.length === 0 ? "None of these" : "Keep these"}
      />
    </Stack>
  );
}

export function MedicinesQuestion(props: QuestionProps) {
  const { keep, isTaking, problem } = useAnswer(props);
  const known = props.answers.medicines;
  const [kinds, setKinds] = useState<readonly Medicine[]>(known?.kinds ?? []);
  const [injectionDay, setInjectionDay] = useState<Day | null>(known?.injectionDay ?? null);
  return (
    <Stack>
      <Taps role="group" aria-label="Medicines">
        {MEDICINES.map((kind) => (
          <CheckField
            key={kind}
            label={medicineText[kind]}
            isSelected={kinds.includes(kind)}
            onChange={(isOn) => setKinds(toggled(kinds, kind, isOn))}
          />
        ))}
      </Taps>
      <DayField label="Last injection into the joint" hint="Empty: none" value={injectionDay} onChange={setInjectionDay} />
      <Keep
        {...{ problem, isTaking }}
        onKeep={() => keep({ medicines: { kinds, injectionDay } })}
        label={kinds.length === 0 && injectionDay === null ? "None of these" : "Keep these"}
      />
    </Stack>
  );
}

export function AidsQuestion(props: QuestionProps) {
  const { keep, isTaking, problem } = useAnswer(props);
  const known = props.answers.aids;
  const [brace, setBrace] = useState(known?.brace ?? false);
  const [stick, setStick] = useState(known?.stick ?? false);
  const [helperAtHome, setHelper] = useState(known?.helperAtHome ?? false);
  const [footwear, setFootwear] = useState(known?.footwear ?? "");
  return (
    <Stack>
      <Taps role="group" aria-label="What helps">
        <CheckField label="A brace" isSelected={brace} onChange={setBrace} />
        <CheckField label="A stick or crutch" isSelected={stick} onChange={setStick} />
        <CheckField label="Somebody at home who can help" isSelected={helperAtHome} onChange={setHelper} />
      </Taps>
      <TextField label="Shoes" value={footwear} onChange={setFootwear} />
      <Keep {...{ problem, isTaking }} onKeep={() => keep({ aids: { brace, stick, helperAtHome, footwear } })} />
    </Stack>
  );
}

export function PersonQuestion(props: QuestionProps) {
  const { keep, isTaking, problem } = useAnswer(props);
  const known = props.answers.person;
  const [fear, setFear] = useState(known?.fear ?? "");
  const [ownLimit, setOwnLimit] = useState(known?.ownLimit ?? "");
  const [sessions, setSessions] = useState(known?.sessionsPerWeek ?? NaN);
  const [minutes, setMinutes] = useState(known?.minutes ?? NaN);
  return (
    <Stack>
      <TextField label="What is feared, or stands in the way" value={fear} onChange={setFear} />
      <TextField
        label="The joint's own limit"
        hint="What looks like poor form and is not to be corrected: shown with the limits on every page"
        value={ownLimit}
        onChange={setOwnLimit}
      />
      <Row $gap={20} style={{ alignItems: "start" }}>
        <NumberField label="Sessions a week" minValue={1} maxValue={14} value={sessions} onChange={setSessions} />
        <NumberField label="Minutes each" minValue={5} maxValue={180} value={minutes} onChange={setMinutes} />
      </Row>
      <Keep
        {...{ problem, isTaking }}
        onKeep={() => keep({ person: { fear, ownLimit, sessionsPerWeek: orNull(sessions), minutes: orNull(minutes) } })}
      />
    </Stack>
  );
}

"use client";
import { useState } from "react";
import type { ChannelSide } from "../../core/mechanics/channels";
import { CONDITION_KINDS, type ConditionKind } from "../../core/screen/conditions.data";
import type { OwnCondition } from "../../core/screen/screen";
import { Button } from "../kit/button";
import { CheckField, ChoiceField } from "../kit/fields";
import { Row, Soft, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { DayField } from "../limits/day-field";
import { conditionText, datedText, familyText } from "../text/screen-text";
import { type QuestionProps, useAnswer } from "./answer";
import { Taps } from "./signs-question";

const SIDES = [
  { id: "left", label: "Left" },
  { id: "right", label: "Right" },
  { id: "both", label: "Both" },
] as const;
type Draft = Omit<OwnCondition, "side"> & { side: ChannelSide | null };

const FAMILIES = Object.keys(familyText) as ConditionKind["family"][];

export function ConditionsQuestion(props: QuestionProps) {
  const { keep, isTaking, problem } = useAnswer(props);
  const [own, setOwn] = useState<readonly Draft[]>(() => props.answers.conditions ?? []);
  const [isAsking, setAsking] = useState(false);
  const change = (id: string, more: Partial<Draft>): void => setOwn(own.map((each) => (each.id === id ? { ...each, ...more } : each)));
  const toggle = ({ id, isSided }: ConditionKind, isOn: boolean): void =>
    setOwn(isOn ? [...own, { id, side: isSided ? null : "both", day: null }] : own.filter((each) => each.id !== id));
  const sideless = own.filter(({ side }) => side === null);
  const submit = (): void => {
    setAsking(true);
    if (sideless.length === 0) keep({ conditions: own });
  };
  return (
    <Stack $gap={14}>
      {FAMILIES.map((family) => (
        <div key={family} role="group" aria-label={familyText[family]}>
          <strong>{familyText[family]}</strong>
          <Taps>
            {CONDITION_KINDS.filter((kind) => kind.family === family).map((kind) => {
              const draft = own.find(({ id }) => id === kind.id);
              return (
                <div key={kind.id}>
                  <CheckField label={conditionText(kind.id)} isSelected={draft !== undefined} onChange={(isOn) => toggle(kind, isOn)} />
                  {draft && (kind.isSided || kind.dated) && (
                    <Row $gap={16} style={{ margin: "2px 0 10px 34px", alignItems: "start" }}>
                      {kind.isSided && (
                        <ChoiceField
                          label={`Side: ${conditionText(kind.id)}`}
                          options={SIDES}
                          value={draft.side}
                          onChange={(side) => change(kind.id, { side })}
                        />
                      )}
                      {kind.dated && (
                        <DayField label={datedText[kind.dated]} value={draft.day} onChange={(day) => change(kind.id, { day })} />
                      )}
                    </Row>
                  )}
                </div>
              );
            })}
          </Taps>
        </div>
      ))}
      <Soft>A date that is not known opens nothing: its rules run until it is.</Soft>
      <Problem
        text={isAsking && sideless.length > 0 ? `Which side: ${sideless.map(({ id }) => conditionText(id)).join(", ")}?` : problem}
      />
      <Button $tone="primary" isDisabled={isTaking} onPress={submit}>
        {own.length === 0 ? "None of these" : "Keep these"}
      </Button>
    </Stack>
  );
}

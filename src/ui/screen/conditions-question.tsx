"use client";
import { useState } from "react";
import type { ChannelSide } from "../../core/mechanics/channels";
import { CONDITION_KINDS, type ConditionKind } from "../../core/screen/conditions.data";
import type { Complaint } from "../../core/limits/complaint";
import { type OwnCondition, sidesInDoubt } from "../../core/screen/screen";
import { Button } from "../kit/button";
import { CheckField, ChoiceField } from "../kit/fields";
import { Notice, Row, Soft, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { DayField } from "../kit/day-field";
import { conditionText, datedText, familyText } from "../../words/client/screen";
import { type QuestionProps, useAnswer } from "./answer";
import { Taps } from "./signs-question";

const SIDES = [
  { id: "left", label: "Left" },
  { id: "right", label: "Right" },
  { id: "both", label: "Both" },
] as const;
type Draft = Omit<OwnCondition, "side"> & { side: ChannelSide | null };

const FAMILIES = Object.keys(familyText) as ConditionKind["family"][];

/** What is known, each with its side and day; a side that is not the sore one is asked about once. */
export function ConditionsQuestion({ complaints, ...props }: QuestionProps & { complaints: readonly Complaint[] }) {
  const { keep, isTaking, problem } = useAnswer(props);
  const [own, setOwn] = useState<readonly Draft[]>(() => props.answers.conditions ?? []);
  const [isAsking, setAsking] = useState(false);
  const [confirmed, setConfirmed] = useState<readonly string[]>([]);
  const change = (id: string, more: Partial<Draft>): void => setOwn(own.map((each) => (each.id === id ? { ...each, ...more } : each)));
  const toggle = ({ id, isSided }: ConditionKind, isOn: boolean): void =>
    setOwn(isOn ? [...own, { id, side: isSided ? null : "both", day: null }] : own.filter((each) => each.id !== id));
  const sideless = own.filter(({ side }) => side === null);
  const sided = own.filter((each): each is OwnCondition => each.side !== null);
  const doubted = sidesInDoubt(sided, complaints);
  const submit = (): void => {
    setAsking(true);
    if (sideless.length > 0) return;
    if (doubted.length > 0 && !doubted.every((id) => confirmed.includes(id))) setConfirmed(doubted);
    else keep({ conditions: own });
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
      {confirmed.length > 0 && doubted.length > 0 && (
        <Notice role="alert">
          What hurts is on the other side: {doubted.map((id) => conditionText(id)).join(", ")}. Left and right as meant? Then keep it once
          more.
        </Notice>
      )}
      <Button $tone="primary" isDisabled={isTaking} onPress={submit}>
        {own.length === 0 ? "None of these" : "Keep these"}
      </Button>
    </Stack>
  );
}

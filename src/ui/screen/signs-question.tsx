"use client";
import { useState } from "react";
import styled from "styled-components";
import { v4 as newUuid } from "uuid";
import { WARNING_SIGNS, type WarningSign } from "../../core/limits/clinician";
import { type Symptom, SYMPTOMS } from "../../core/standards/pre-participation";
import { Button } from "../kit/button";
import { CheckField } from "../kit/fields";
import { Soft, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { warningText } from "../../words/client/warning";
import { symptomText } from "../../words/client/screen";
import { type QuestionProps, useAnswer } from "./answer";

export const Taps = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 2px 18px;
`;

/** Said once: what the warning list has already is not asked again among the symptoms. */
const OTHER_SYMPTOMS = SYMPTOMS.filter((symptom) => symptom !== "chest-pain" && symptom !== "dizzy-or-faint");
export const toggled = <T,>(all: readonly T[], one: T, isOn: boolean): T[] => (isOn ? [...all, one] : all.filter((each) => each !== one));

export function SignsQuestion(props: QuestionProps) {
  const { keep, isTaking, problem } = useAnswer(props);
  const [id] = useState(() => newUuid());
  const [signs, setSigns] = useState<readonly WarningSign[]>([]);
  const [symptoms, setSymptoms] = useState<readonly Symptom[]>([]);
  const count = signs.length + symptoms.length;
  return (
    <Stack>
      <Soft>Read them out. Any of these stops planning until a clinician has cleared it:</Soft>
      <Taps role="group" aria-label="Warning signs">
        {WARNING_SIGNS.map((sign) => (
          <CheckField
            key={sign}
            label={warningText(sign)}
            isSelected={signs.includes(sign)}
            onChange={(isOn) => setSigns(toggled(signs, sign, isOn))}
          />
        ))}
      </Taps>
      <Soft>Any of these asks for a clinician&apos;s word first:</Soft>
      <Taps role="group" aria-label="Other signs">
        {OTHER_SYMPTOMS.map((symptom) => (
          <CheckField
            key={symptom}
            label={symptomText(symptom)}
            isSelected={symptoms.includes(symptom)}
            onChange={(isOn) => setSymptoms(toggled(symptoms, symptom, isOn))}
          />
        ))}
      </Taps>
      <Problem text={problem} />
      <Button $tone="primary" isDisabled={isTaking} onPress={() => keep({ signs: { id, signs, symptoms } })}>
        {count === 0 ? "None of these" : count === 1 ? "Keep this one" : `Keep these ${count}`}
      </Button>
    </Stack>
  );
}

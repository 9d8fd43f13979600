"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { answerMorningAction } from "../../actions/plan";
import { type Complaint } from "../../core/limits/complaint";
import { WARNING_SIGNS } from "../../core/limits/clinician";
import { type MorningTold, STIFF_MIN } from "../../core/progress/morning";
import type { ResponseFact } from "../../core/record/facts/record";
import { PainPad } from "../floor/pain/pain-pad";
import { Button } from "../kit/button";
import { CheckField, ChoiceField, Disclosed, TextField } from "../kit/fields";
import { NumberField } from "../kit/number-field";
import { Row, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { warningText } from "../../words/client/warning";

const Signs = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(235px, 1fr));
  gap: 0 12px;
`;

/** How each joint answered: pain, any warning sign, and swelling, whose answer saves it: two taps where nothing else is to be told. Given an answer already, it corrects it. */
export function MorningForm(props: {
  clientId: string;
  sessionId: string;
  complaints: readonly Complaint[];
  answered?: Pick<ResponseFact, "pains" | "newSwelling" | "underRelief" | "told" | "warningSigns">;
  onDone?: () => void;
}) {
  const { clientId, sessionId, complaints, answered, onDone } = props;
  const [pains, setPains] = useState<Readonly<Record<string, number>>>(() =>
    Object.fromEntries((answered?.pains ?? []).map(({ complaintId, painScore }) => [complaintId, painScore])),
  );
  const [underRelief, setUnderRelief] = useState(answered?.underRelief === true);
  const [told, setTold] = useState<MorningTold>(answered?.told ?? {});
  const [signs, setSigns] = useState<readonly string[]>(answered?.warningSigns ?? []);
  const { take, isTaking, problem } = useStep();
  const said = complaints.flatMap(({ id }) => (pains[id] === undefined ? [] : [{ complaintId: id, painScore: pains[id] }]));
  const isSaid = said.length === complaints.length;
  const save = (newSwelling: boolean): void => {
    const morning = { sessionId, pains: said, newSwelling, underRelief, told, warningSigns: [...signs] };
    take(
      (stepId) => answerMorningAction(clientId, morning, stepId),
      () => onDone?.(),
    );
  };
  return (
    <Form onSubmit={(event) => event.preventDefault()}>
      <Stack $gap={12}>
        {complaints.map(({ id, words, painLimitScore }) => {
          const label = complaints.length > 1 ? `Pain this morning: ${words}` : "Pain this morning";
          return (
            <div key={id}>
              <p style={{ fontWeight: 700, marginBottom: 6 }}>{label}</p>
              <PainPad
                label={label}
                value={pains[id] ?? null}
                limitScore={painLimitScore}
                onTap={(score) => setPains((now) => ({ ...now, [id]: score }))}
              />
            </div>
          );
        })}
        <div role="group" aria-label="Warning signs">
          <p style={{ fontWeight: 700 }}>Any of these?</p>
          <Signs>
            {WARNING_SIGNS.map((sign) => (
              <CheckField
                key={sign}
                label={warningText(sign)}
                isSelected={signs.includes(sign)}
                onChange={(isOn) => setSigns((now) => (isOn ? [...now, sign] : now.filter((other) => other !== sign)))}
              />
            ))}
          </Signs>
        </div>
        <CheckField label="Told under more pain relief than usual" isSelected={underRelief} onChange={setUnderRelief} />
        <Disclosed label={Object.keys(told).length > 0 ? "What else was told" : "Stiffness, sleep, muscles, a word"}>
          <Stack $gap={10}>
            <NumberField
              label="Stiff for"
              unit="min"
              step={5}
              minValue={STIFF_MIN.min}
              maxValue={STIFF_MIN.max}
              value={told.stiffMin ?? NaN}
              onChange={(stiffMin) => setTold(({ stiffMin: _, ...rest }) => (Number.isFinite(stiffMin) ? { ...rest, stiffMin } : rest))}
            />
            <ChoiceField
              label="Slept"
              options={[
                { id: "well", label: "well" },
                { id: "badly", label: "badly" },
              ]}
              value={told.sleep ?? null}
              onChange={(sleep) => setTold((now) => ({ ...now, sleep }))}
            />
            <ChoiceField
              label="Muscles, apart from the joint"
              options={[
                { id: "not-sore", label: "not sore" },
                { id: "sore", label: "sore" },
              ]}
              value={told.muscles ?? null}
              onChange={(muscles) => setTold((now) => ({ ...now, muscles }))}
            />
            <TextField
              label={answered ? "Why it is corrected, or a word on it" : "A word on it"}
              maxLength={400}
              value={told.note ?? ""}
              onChange={(note) => setTold(({ note: _, ...rest }) => (note === "" ? rest : { ...rest, note }))}
            />
          </Stack>
        </Disclosed>
        <Problem text={problem} />
        <div role="group" aria-label="More swollen than usual?">
          <p style={{ marginBottom: 6 }}>
            <strong>More swollen than usual?</strong> The answer saves the morning
            {answered && `; it was ${answered.newSwelling ? "yes" : "no"} before`}
            {!isSaid && ", once the pain is said"}.
          </p>
          <Row>
            <Button $tone="primary" isDisabled={isTaking || !isSaid} onPress={() => save(false)}>
              No: save the morning
            </Button>
            <Button isDisabled={isTaking || !isSaid} onPress={() => save(true)}>
              Yes: save the morning
            </Button>
          </Row>
        </div>
      </Stack>
    </Form>
  );
}

"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { correctSessionAction } from "../../actions/plan";
import type { FloorSet } from "../../core/floor/events";
import type { Complaint } from "../../core/limits/complaint";
import { Button } from "../kit/button";
import { SelectField } from "../kit/fields";
import { NumberField } from "../kit/number-field";
import { Row, Soft, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { Ask } from "../kit/why";
import { MorningForm } from "../morning/morning-form";
import { longDayText } from "../../words/basics/day";
import type { CorrectableSession } from "./review-rows";

/** One set: repetitions, pain and what was left can be put right, or the set taken back; the old values are kept. */
function SetForm(props: { clientId: string; sessionId: string; set: FloorSet; number: number; isByTime: boolean }) {
  const { clientId, sessionId, set, number, isByTime } = props;
  const [repetitions, setRepetitions] = useState(set.repetitions);
  const [painScore, setPain] = useState(set.painScore ?? NaN);
  const [leftInTank, setTank] = useState(set.leftInTank ?? NaN);
  const { take, isTaking, problem } = useStep();
  const change = {
    repetitions,
    ...(Number.isFinite(painScore) ? { painScore } : {}),
    ...(Number.isFinite(leftInTank) ? { leftInTank } : {}),
  };
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        take((stepId) => correctSessionAction(clientId, { sessionId, body: { kind: "set-corrected", setId: set.id, change } }, stepId));
      }}
    >
      <Row $gap={12} style={{ alignItems: "end" }}>
        <NumberField label={`Set ${number}, repetitions`} minValue={0} maxValue={200} value={repetitions} onChange={setRepetitions} />
        <NumberField label="Pain" minValue={0} maxValue={10} value={painScore} onChange={setPain} />
        <NumberField
          label={isByTime ? "Could have gone on for, s" : "Left in the tank"}
          minValue={0}
          maxValue={20}
          value={leftInTank}
          onChange={setTank}
        />
        <Button type="submit" isDisabled={isTaking}>
          Put right
        </Button>
        <Button
          isDisabled={isTaking}
          onPress={() =>
            take((stepId) => correctSessionAction(clientId, { sessionId, body: { kind: "set-voided", setId: set.id } }, stepId))
          }
        >
          Take back
        </Button>
      </Row>
      <Problem text={problem} />
    </Form>
  );
}

/** Any set of any session, its morning, or an end that came too early. */
export function CorrectSession(props: {
  clientId: string;
  sessions: readonly CorrectableSession[];
  complaints: readonly Complaint[];
  isOpen: boolean;
  onClose: () => void;
}) {
  const { clientId, sessions, complaints, isOpen, onClose } = props;
  const [picked, setPicked] = useState<string | null>(null);
  const going = useStep();
  const session = sessions.find(({ id }) => id === picked) ?? sessions.at(-1);
  if (!session) return null;
  const options = sessions.toReversed().map(({ id, day }) => ({ id, label: longDayText(day) }));
  return (
    <Ask title="Correct a session" isOpen={isOpen} onClose={onClose}>
      <Stack>
        <SelectField label="Session" options={options} value={session.id} onChange={setPicked} />
        {session.items.map(({ id, name, sets, isByTime }) => (
          <Stack key={id} $gap={8}>
            <strong>{name}</strong>
            {sets.map((set, i) => (
              <SetForm
                key={`${set.id} ${set.repetitions} ${set.painScore} ${set.leftInTank}`}
                clientId={clientId}
                sessionId={session.id}
                set={set}
                number={i + 1}
                isByTime={isByTime}
              />
            ))}
            {sets.length === 0 && <Soft>No set was kept.</Soft>}
          </Stack>
        ))}
        {session.isEnded && !session.hasWarning && (
          <Row>
            <Button
              isDisabled={going.isTaking}
              onPress={() =>
                going.take((stepId) =>
                  correctSessionAction(clientId, { sessionId: session.id, body: { kind: "session-continued" } }, stepId),
                )
              }
            >
              It ended too early: go on with it
            </Button>
          </Row>
        )}
        <Problem text={going.problem} />
        {session.response && (
          <Stack $gap={8}>
            <Title>Its morning after</Title>
            <MorningForm
              key={session.response.id}
              clientId={clientId}
              sessionId={session.id}
              complaints={complaints}
              answered={session.response}
            />
          </Stack>
        )}
      </Stack>
    </Ask>
  );
}

"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { decideAction } from "../../actions/plan";
import { type Decision, type DecisionInput, type DecisionMove, type Limit, type Move } from "../../core";
import { Button } from "../kit/button";
import { ChoiceField, TextField } from "../kit/fields";
import { Card, Notice, Row, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { Ask, Why } from "../kit/why";
import { decisionReasonText, moveText } from "../text/decision-text";
import { stepText } from "../text/lever-text";
import { percentText, type UnitSystem } from "../text/quantity-text";
import { color, font } from "../theme/tokens";

const Verdict = styled.p<{ $move: DecisionMove }>`
  font: 700 40px/1.1 ${font.head};
  color: ${({ $move }) => ($move === "stop" ? color.oxide : $move === "ease" ? color.brass : $move === "build" ? color.moss : color.ink)};
`;
const ACCEPT: Record<DecisionMove, string> = { ease: "Ease", hold: "Hold", build: "Build", stop: "Stop and refer" };

export interface DecisionCardProps {
  clientId: string;
  sessionId: string;
  decision: Decision;
  input: DecisionInput;
  limits: readonly Limit[];
  units: UnitSystem;
}

function OverruleForm({ clientId, sessionId, decision, input, units, onDone }: DecisionCardProps & { onDone: () => void }) {
  const [move, setMove] = useState<Move | "hold" | null>(null);
  const [note, setNote] = useState("");
  const { take, isTaking, problem } = useStep();
  const others = (["ease", "hold", "build"] as const).filter((other) => other !== decision.move);
  const step = move === null || move === "hold" ? null : input[move];
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        take(() => decideAction(clientId, { sessionId, move, note }), onDone);
      }}
    >
      <Stack>
        <ChoiceField label="Decide" options={others.map((id) => ({ id, label: moveText(id) }))} value={move} onChange={setMove} />
        {step && <p>{stepText(step.lever, step.from, step.to, units)}</p>}
        {move !== null && move !== "hold" && !step && <Notice>There is no such step left in this variation.</Notice>}
        <TextField label="Why" long isRequired value={note} onChange={setNote} hint="Kept with the decision" />
        <Problem text={problem} />
        <Button type="submit" $tone="primary" isDisabled={isTaking || move === null}>
          Decide so
        </Button>
      </Stack>
    </Form>
  );
}

/** What the rules say about the session, why, and the trainer's yes or otherwise. */
export function DecisionCard(props: DecisionCardProps) {
  const { clientId, sessionId, decision, limits, units, input } = props;
  const [isOverruling, setOverruling] = useState(false);
  const { take, isTaking, problem } = useStep();
  const [main, ...more] = decision.reasons;
  return (
    <Card aria-label="Decision" $accent={decision.move === "stop" ? "oxide" : "brass"}>
      <Stack>
        <Title>The rules say</Title>
        <Verdict $move={decision.move}>{moveText(decision.move)}</Verdict>
        <p>{decisionReasonText(main, limits, units)}</p>
        {decision.step && (
          <p style={{ fontWeight: 700 }}>
            {stepText(decision.step.lever, decision.step.from, decision.step.to, units)}
            {decision.step.judgement.tightest && `, then ${percentText(decision.step.judgement.tightest.head)} of the ceiling`}
          </p>
        )}
        {more.map((reason, i) => (
          <p key={i}>{decisionReasonText(reason, limits, units)}</p>
        ))}
        <Problem text={problem} />
        <Row>
          <Button
            $tone="primary"
            isDisabled={isTaking}
            onPress={() => take(() => decideAction(clientId, { sessionId, move: decision.move, note: "" }))}
          >
            {ACCEPT[decision.move]}
          </Button>
          {decision.move !== "stop" && <Button onPress={() => setOverruling(true)}>Decide otherwise</Button>}
          <Why title={`Why ${moveText(decision.move).toLowerCase()}`} label="the rule" about="The rule behind this decision">
            <p>
              Build takes {input.dose.repetitionsHigh} clean repetitions in every set, 2 more in the tank after the last, pain said and{" "}
              {input.painLimitScore} or less, nothing sharp, and a calm morning, twice running, under a confirmed ceiling.
            </p>
            <p>
              Pain over the number, a flare, new swelling or anything sharp eases by one lever. A missing morning never builds. Whatever no
              rule matches holds.
            </p>
          </Why>
        </Row>
      </Stack>
      <Ask title="Decide otherwise" isOpen={isOverruling} onClose={() => setOverruling(false)}>
        <OverruleForm {...props} onDone={() => setOverruling(false)} />
      </Ask>
    </Card>
  );
}

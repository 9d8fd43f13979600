"use client";
import type { UnitSystem } from "../../core/units";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { decideAction } from "../../actions/plan";
import { variationById } from "../../core/catalogue/catalogue";
import type { Limit } from "../../core/limits/limit";
import { type Decision, type DecisionInput, type DecisionMove } from "../../core/progress/decide";
import type { FitContext, Place } from "../../core/judge/context";
import { PlaceFigure } from "../figure/place-figure";
import { Button } from "../kit/button";
import { ChoiceField, TextField } from "../kit/fields";
import { Card, Notice, Row, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { Ask, Why } from "../kit/why";
import { decisionReasonText, moveText } from "../../words/training/decision";
import { changeText, settingText } from "../../words/basics/lever";
import { percentText } from "../../words/basics/quantity";
import { color, font } from "../theme/tokens";

const Verdict = styled.p<{ $move: DecisionMove }>`
  font: 700 40px/1.1 ${font.head};
  color: ${({ $move }) =>
    $move === "stop" || $move === "rest" ? color.oxide : $move === "ease" ? color.brass : $move === "build" ? color.moss : color.ink};
`;
const ACCEPT: Record<DecisionMove, string> = { ease: "Ease", hold: "Hold", build: "Build", rest: "Rest it", stop: "Stop and refer" };

const Pair = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  figure > div {
    height: 130px;
    overflow: hidden;
    border-radius: 4px;
    background: ${color.bone};
  }
  svg text {
    display: none; /* too small to read here; the words stand below */
  }
`;
/** What a trainer may decide instead of the rules. */
const OTHERWISE = {
  ease: "Ease",
  "ease-more": "Ease more, two steps",
  hold: "Hold",
  build: "Build",
  rest: "Rest this pattern",
  stop: "Refer first",
} as const;

export interface DecisionCardProps {
  clientId: string;
  sessionId: string;
  itemId: string;
  /** What was trained, where there is more than one. */
  name: string;
  decision: Decision;
  input: DecisionInput;
  limits: readonly Limit[];
  /** To draw the next set-up beside the last; null where no body is known. */
  drawn: { subject: FitContext["subject"]; increments: FitContext["kit"]["increments"]; last: Place } | null;
  units: UnitSystem;
}

function OverruleForm({ clientId, sessionId, itemId, decision, input, units, onDone }: DecisionCardProps & { onDone: () => void }) {
  const [choice, setChoice] = useState<keyof typeof OTHERWISE | null>(null);
  const [note, setNote] = useState("");
  const { take, isTaking, problem } = useStep();
  const others = (Object.keys(OTHERWISE) as (keyof typeof OTHERWISE)[]).filter((other) => other !== decision.move);
  const move = choice === "ease-more" ? "ease" : choice;
  const stepped = choice === "build" ? input.build : choice === "ease-more" ? input.easeTwice : choice === "ease" ? input.ease : null;
  const tread = stepped?.tread ?? null;
  const needsStep = move === "ease" || move === "build";
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        const more = choice === "ease-more" ? { isMore: true } : {};
        take((stepId) => decideAction(clientId, { sessionId, itemId, move, ...more, note }, stepId), onDone);
      }}
    >
      <Stack>
        <ChoiceField label="Decide" options={others.map((id) => ({ id, label: OTHERWISE[id] }))} value={choice} onChange={setChoice} />
        {tread?.change && <p>{changeText(tread.change, variationById(tread.variationId).name, units)}</p>}
        {needsStep && !tread && <Notice>There is no such step left in this variation.</Notice>}
        <TextField label="Why" long isRequired value={note} onChange={setNote} hint="Kept with the decision" />
        <Problem text={problem} />
        <Button type="submit" $tone="primary" isDisabled={isTaking || move === null}>
          Decide so
        </Button>
      </Stack>
    </Form>
  );
}

/** What the rules say about one exercise of a session, why, and the trainer's yes or otherwise. */
export function DecisionCard(props: DecisionCardProps) {
  const { clientId, sessionId, itemId, name, decision, limits, units, input, drawn } = props;
  const [isOverruling, setOverruling] = useState(false);
  const [isKeptSince, setKeptSince] = useState(false);
  const { take, isTaking, problem } = useStep();
  const [main, ...more] = decision.reasons;
  const { next } = decision;
  const toName = next ? variationById(next.variationId).name : "";
  const fewer = next && next.dose.setCount < input.dose.setCount && next.change.sets === null ? ", one light set" : "";
  return (
    <Card aria-label={`Decision: ${name}`} $accent={decision.move === "stop" ? "oxide" : "brass"}>
      <Stack>
        <Title>{name}: the rules say</Title>
        <Verdict $move={decision.move}>{moveText(decision.move)}</Verdict>
        <p>{decisionReasonText(main, limits, units, toName)}</p>
        {next && (
          <p style={{ fontWeight: 700 }}>
            {changeText(next.change, toName, units)}
            {fewer}
          </p>
        )}
        {more
          .filter(({ code }) => code !== "next-step")
          .map((reason, i) => (
            <p key={i}>{decisionReasonText(reason, limits, units, toName)}</p>
          ))}
        {next?.riserFraction != null && (
          <p>
            {percentText(Math.abs(next.riserFraction))} {next.riserFraction > 0 ? "more" : "less"} than now.
          </p>
        )}
        {next && drawn && (
          <Pair>
            {(
              [
                ["last", drawn.last],
                ["next", next],
              ] as const
            ).map(([label, place]) => (
              <figure key={label}>
                <div>
                  <PlaceFigure subject={drawn.subject} place={place} increments={drawn.increments} units={units} />
                </div>
                <figcaption>
                  {label}: {settingText(place.setting, units) || variationById(place.variationId).name.toLowerCase()}
                </figcaption>
              </figure>
            ))}
          </Pair>
        )}
        {isKeptSince && <Notice>The plan was changed since this session. The decision is kept; the plan stays as it is.</Notice>}
        <Problem text={problem} />
        <Row>
          <Button
            $tone="primary"
            isDisabled={isTaking}
            onPress={() =>
              take(
                (stepId) => decideAction(clientId, { sessionId, itemId, move: decision.move, note: "" }, stepId),
                ({ isSuperseded }) => setKeptSince(isSuperseded),
              )
            }
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
              The rung is judged as it stands today before the log. Sharp pain, a flare or new swelling ease by two steps, pain over the
              number by one. A step over the school&apos;s largest is not taken by itself. A missing morning never builds. Whatever no rule
              matches holds.
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

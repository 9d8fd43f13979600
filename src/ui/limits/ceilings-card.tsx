"use client";
import { lazy, Suspense, useMemo, useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { adjustCeilingAction, takeProposedCeilingAction } from "../../actions/limits";
import { variationById } from "../../core/catalogue/catalogue";
import { type CeilingRow, confidenceOf } from "../../core/judge/ceiling-table";
import { DEFAULT_KIT } from "../../core/kit/kit";
import { ADJUST_LIMITS, type Ceiling } from "../../core/limits/ceiling";
import type { Day } from "../../core/day";
import { beliefOf, firstProposal, type LearntOf } from "../../core/record/standing/history";
import type { CalmPoseFact, CeilingFact } from "../../core/record/facts/record";
import { ask, AT_THE_POSE } from "../../core/templates/ask";
import { poseOf } from "../../core/templates/pose";
import type { Subject } from "../../core/templates/template";
import type { UnitSystem } from "../../core/units";
import { Figure } from "../figure/figure";
import { Button, TextButton } from "../kit/button";
import { TextField } from "../kit/fields";
import { Card, Columns, Row, Soft, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { NumberField } from "../kit/number-field";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { Ask, Why } from "../kit/why";
import { jointText } from "../../words/basics/channel";
import { boundText, boundValueText, confidenceText, moveText } from "../../words/client/ceiling";
import { dayText } from "../../words/basics/day";
import { learntText } from "../../words/client/tolerance";
import { percentText } from "../../words/basics/quantity";
import { poseFailureText } from "../../words/training/fit";
import { capital } from "../../words/basics/words";
import { color } from "../theme/tokens";
import { BoundsScale } from "./bounds-scale";

const ToleranceCurve = lazy(() => import("./tolerance-curve"));

const Line = styled.li<{ $isChosen: boolean }>`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 190px 130px;
  gap: 4px 14px;
  align-items: center;
  padding: 8px 6px;
  border-top: 1px solid ${color.fog};
  background: ${({ $isChosen }) => ($isChosen ? color.brassWash : "none")};
`;

export interface CeilingsCardProps {
  clientId: string;
  rows: readonly CeilingRow[];
  /** Every ceiling that was ever set, oldest first. */
  history: readonly CeilingFact[];
  calmPoses: readonly CalmPoseFact[];
  /** What was learnt of each ceiling from its mornings. */
  learnt: readonly LearntOf[];
  subject: Subject | null;
  today: Day;
  units: UnitSystem;
  onMeasure: () => void;
}

const ceilingOf = ({ bounds }: CeilingRow): Ceiling | null =>
  bounds.flatMap(({ source }) => (source.kind === "ceiling" ? [source.ceiling] : []))[0] ?? null;

/** Tighter at will, looser with a reason. */
function AdjustForm({ clientId, ceiling, onDone }: { clientId: string; ceiling: Ceiling; onDone: () => void }) {
  const [percent, setPercent] = useState(NaN);
  const [reason, setReason] = useState("");
  const { take, isTaking, problem } = useStep();
  const { min, max } = ADJUST_LIMITS;
  const isLooser = percent > 100;
  const isComplete = percent >= min * 100 && percent <= max * 100 && percent !== 100;
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        if (isComplete)
          take((stepId) => adjustCeilingAction(clientId, { ceilingId: ceiling.id, factor: percent / 100, reason }, stepId), onDone);
      }}
    >
      <Stack>
        <p>
          {capital(jointText(ceiling.channel, ceiling.side))}: below 100 it is tighter, at once. Above it is looser, needs a reason, and
          stays provisional until a calm morning. Limits, and what a clinician said, still bind.
        </p>
        <NumberField
          label="Of today's ceiling"
          unit="%"
          isRequired
          minValue={Math.round(min * 100)}
          maxValue={Math.round(max * 100)}
          value={percent}
          onChange={setPercent}
        />
        <TextField
          label={isLooser ? "Why it is looser" : "Why, if you like"}
          long
          isRequired={isLooser}
          value={reason}
          onChange={setReason}
        />
        <Problem text={problem} />
        <Button type="submit" $tone="primary" isDisabled={isTaking}>
          {isLooser ? "Loosen it" : "Tighten it"}
        </Button>
      </Stack>
    </Form>
  );
}

/** The calm pose a ceiling came from, to scale. */
function CalmFigure({ pose: fact, subject, units }: { pose: CalmPoseFact; subject: Subject; units: UnitSystem }) {
  const form = variationById(fact.variationId);
  const own = useMemo(() => ({ ...subject, leadSide: fact.side }), [subject, fact.side]);
  const pose = useMemo(() => poseOf(own, form, fact.setting), [own, form, fact.setting]);
  const asked = useMemo(() => ask(own, form, fact.setting, AT_THE_POSE), [own, form, fact.setting]);
  if (!pose.ok || !asked.ok) return <p>This pose cannot be drawn for this body any more.</p>;
  return (
    <figure>
      <div style={{ height: 270 }}>
        <Figure
          subject={own}
          form={form}
          name={form.name}
          setting={fact.setting}
          pose={pose}
          demands={asked.demands}
          units={units}
          increments={DEFAULT_KIT.increments}
        />
      </div>
      <figcaption>
        <Soft>
          The calm pose it came from: {form.name.toLowerCase()}, {fact.side} side, {dayText(fact.day)}
          {fact.shareFraction === null
            ? ", weight under the leg not measured"
            : `, ${Math.round(fact.shareFraction * 100)}% under that leg`}
        </Soft>
      </figcaption>
    </figure>
  );
}

function Reasons({ row, history, today, units }: { row: CeilingRow; history: readonly CeilingFact[]; today: Day; units: UnitSystem }) {
  const { channel, side, bounds } = row;
  const moves = history.filter((each) => each.channel === channel && each.side === side);
  const ceiling = ceilingOf(row);
  return (
    <>
      {bounds.length > 1 && <p>Where several speak, the safest binds:</p>}
      <ol>
        {bounds.map((bound) => (
          <li key={`${bound.source.kind} ${bound.value}`}>
            <strong>{boundValueText(row, bound, units)}</strong>, {boundText(bound, today)}
          </li>
        ))}
      </ol>
      {ceiling && (
        <p>
          A number of the model, computed anew today from the calm pose under today&apos;s shin rule: good for comparing set-ups on this
          client, not an absolute limit. The weight under that leg was{" "}
          {ceiling.isShareMeasured
            ? "measured."
            : "not measured: a guarded leg carries less than it looks, and the least plausible share is the safer ceiling."}
        </p>
      )}
      {channel === "kneecapStress" && (
        <p>Past 90° of bend kneecap figures are not to be trusted: the knee&apos;s moment stands in, so that deeper never reads easier.</p>
      )}
      {moves.length > 0 && (
        <>
          <p>How it came here:</p>
          <ol>
            {moves.map((move, i) => (
              <li key={move.id}>{moveText(move, moves[i - 1] ?? null)}</li>
            ))}
          </ol>
        </>
      )}
    </>
  );
}

/** Every ceiling with its number, its why and its history, beside the pose it came from. */
export function CeilingsCard(props: CeilingsCardProps) {
  const { clientId, rows, history, calmPoses, subject, today, units, onMeasure } = props;
  const proposal = firstProposal(props.learnt);
  const [chosen, setChosen] = useState<string | null>(null);
  const [adjusting, setAdjusting] = useState<Ceiling | null>(null);
  const [learning, setLearning] = useState<Ceiling | null>(null);
  const learnt = learning && props.learnt.find(({ ceiling }) => ceiling.id === learning.id);
  const belief = learnt && beliefOf(learnt, props.today);
  const raising = useStep();
  const keyOf = ({ channel, side }: CeilingRow): string => `${channel} ${side}`;
  const inHand = rows.find((row) => keyOf(row) === chosen) ?? rows.find((row) => ceilingOf(row) !== null) ?? null;
  const shown = inHand && ceilingOf(inHand);
  const pose = calmPoses.find(({ id }) => id === history.find((each) => each.id === shown?.id)?.calmPoseId);
  return (
    <Card aria-label="Ceilings">
      <Row style={{ justifyContent: "space-between" }}>
        <Title>Ceilings</Title>
        <Row>
          <Link href={`/clients/${clientId}/assess`}>Measure on Assess</Link>
          <Button isDisabled={!subject} onPress={onMeasure}>
            Measure a calm seat
          </Button>
        </Row>
      </Row>
      {rows.length === 0 && (
        <p style={{ marginTop: 10 }}>
          None yet. The lowest seat that stays quiet sets the ceiling for the joint that said stop, and for no other.
        </p>
      )}
      {rows.length > 0 && (
        <Columns $template="minmax(0, 1fr) 330px" style={{ marginTop: 10 }}>
          <ul>
            {rows.map((row) => {
              const [binding, ...others] = row.bounds;
              const ceiling = ceilingOf(row);
              const name = capital(jointText(row.channel, row.side));
              return (
                <Line key={keyOf(row)} $isChosen={row === inHand}>
                  <span>
                    <strong>{name}</strong> {boundValueText(row, binding, units)}
                    <br />
                    <Soft>
                      {boundText(binding, today)}
                      {["ceiling", "rail"].includes(binding.source.kind) && `; ${confidenceText(confidenceOf(binding))}`}
                    </Soft>
                    {row.unusable.map(({ ceiling: lost, reason }) => (
                      <span key={lost.id}>
                        <br />
                        <strong>Its calm pose cannot be compared today.</strong> {capital(poseFailureText(reason))}. Measure it again; until
                        then nothing that asks of it is open.
                      </span>
                    ))}
                  </span>
                  <BoundsScale
                    binding={binding.value}
                    others={others.map(({ value }) => value)}
                    label={`${name}: ${boundValueText(row, binding, units)} binds`}
                  />
                  <Row>
                    {proposal && proposal.ceiling.id === ceiling?.id && (
                      <Button
                        $tone="primary"
                        isDisabled={raising.isTaking}
                        onPress={() => raising.take((stepId) => takeProposedCeilingAction(clientId, stepId))}
                      >
                        {proposal.move === "raise" ? "Raise" : "Lower"} to {percentText(proposal.value / ceiling.value)}
                      </Button>
                    )}
                    {ceiling && row !== inHand && (
                      <TextButton
                        aria-label={`Show the pose of the ${jointText(row.channel, row.side)}`}
                        onPress={() => setChosen(keyOf(row))}
                      >
                        pose
                      </TextButton>
                    )}
                    {ceiling && (
                      <TextButton
                        aria-label={`What mornings say of the ${jointText(row.channel, row.side)}`}
                        onPress={() => setLearning(ceiling)}
                      >
                        mornings
                      </TextButton>
                    )}
                    {ceiling && (
                      <TextButton
                        aria-label={`Tighten or loosen the ${jointText(row.channel, row.side)}`}
                        onPress={() => setAdjusting(ceiling)}
                      >
                        adjust
                      </TextButton>
                    )}
                    <Why
                      title={`Ceiling of the ${jointText(row.channel, row.side)}`}
                      about={`Why this ceiling of the ${jointText(row.channel, row.side)}`}
                    >
                      <Reasons row={row} history={history} today={today} units={units} />
                    </Why>
                  </Row>
                </Line>
              );
            })}
          </ul>
          {subject && pose && <CalmFigure pose={pose} subject={subject} units={units} />}
        </Columns>
      )}
      <Problem text={raising.problem} />
      <Ask
        title={learning ? `Mornings of the ${jointText(learning.channel, learning.side)}` : ""}
        isOpen={learning !== null}
        onClose={() => setLearning(null)}
      >
        {learnt && belief && (
          <Stack $gap={8}>
            <p>{learntText(learnt, belief)}</p>
            <Suspense fallback={<Soft>Drawing</Soft>}>
              <ToleranceCurve ceiling={learnt.ceiling} belief={belief} doses={learnt.doses} />
            </Suspense>
          </Stack>
        )}
      </Ask>
      <Ask title="Tighten or loosen" isOpen={adjusting !== null} onClose={() => setAdjusting(null)}>
        {adjusting && <AdjustForm clientId={clientId} ceiling={adjusting} onDone={() => setAdjusting(null)} />}
      </Ask>
    </Card>
  );
}

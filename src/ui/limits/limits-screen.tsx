"use client";
import { type ReactNode, useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { recordClearanceAction } from "../../actions/clients";
import { liftLimitAction, raiseCeilingAction } from "../../actions/limits";
import {
  type BodyMeasure,
  type Ceiling,
  type DailyTask,
  type Day,
  isBinding,
  type Limit,
  limitState,
  type PostureRule,
  type Subject,
} from "../../core";
import { Button } from "../kit/button";
import { TextField } from "../kit/fields";
import { Card, Columns, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { Ask, Why } from "../kit/why";
import { demandText, jointText } from "../text/channel-text";
import { dayText } from "../text/day-text";
import { warningText } from "../text/decision-text";
import { capital, limitText } from "../text/limit-text";
import { percentText, type UnitSystem } from "../text/quantity-text";
import { color } from "../theme/tokens";
import { BodyCard } from "./body-card";
import { CalmPoseForm } from "./calm-pose-form";
import { DailyCard } from "./daily-card";
import { LimitForm } from "./limit-form";

const Line = styled.li`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-height: 52px;
  border-top: 1px solid ${color.fog};
`;

export interface LimitsScreenProps {
  clientId: string;
  limits: readonly Limit[];
  ceilings: readonly Ceiling[];
  provisional: readonly string[];
  proposal: { ceilingId: string; value: number } | null;
  subject: Subject | null;
  measure: BodyMeasure | null;
  posture: PostureRule;
  isShinMeasured: boolean;
  dailyTasks: readonly DailyTask[];
  warning: { day: Day; signs: readonly string[] } | null;
  today: Day;
  units: UnitSystem;
}

function LiftForm({ clientId, limit, today, onDone }: { clientId: string; limit: Limit; today: Day; onDone: () => void }) {
  const [by, setBy] = useState("");
  const [role, setRole] = useState("");
  const [reason, setReason] = useState("");
  const { take, isTaking, problem } = useStep();
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        take(() => liftLimitAction(clientId, { limitId: limit.id, by, role, reason }), onDone);
      }}
    >
      <Stack>
        <p>{limitText(limit, today)}</p>
        <TextField label="Lifted by" isRequired value={by} onChange={setBy} />
        <TextField label="Their role" isRequired value={role} onChange={setRole} />
        <TextField label="What they said" long isRequired value={reason} onChange={setReason} />
        <Problem text={problem} />
        <Button type="submit" $tone="primary" isDisabled={isTaking}>
          Record the lifting
        </Button>
      </Stack>
    </Form>
  );
}

function ClearanceCard({ clientId, warning }: { clientId: string; warning: NonNullable<LimitsScreenProps["warning"]> }) {
  const [by, setBy] = useState("");
  const [role, setRole] = useState("");
  const [note, setNote] = useState("");
  const { take, isTaking, problem } = useStep();
  return (
    <Card $accent="oxide" aria-label="Warning sign">
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          take(() => recordClearanceAction(clientId, { by, role, note }));
        }}
      >
        <Stack>
          <Title>A warning sign stands open since {dayText(warning.day)}</Title>
          <ul>
            {warning.signs.map((sign) => (
              <li key={sign}>{warningText(sign)}</li>
            ))}
          </ul>
          <p>Planning goes on once a clinician has cleared it. In an emergency call the emergency services.</p>
          <Row $gap={16} style={{ alignItems: "end" }}>
            <TextField label="Cleared by" isRequired value={by} onChange={setBy} />
            <TextField label="Their role" isRequired value={role} onChange={setRole} />
            <TextField label="What they said" value={note} onChange={setNote} />
            <Button type="submit" isDisabled={isTaking}>
              Record the clearance
            </Button>
          </Row>
          <Problem text={problem} />
        </Stack>
      </Form>
    </Card>
  );
}

function CeilingLine({ ceiling, isProvisional, children }: { ceiling: Ceiling; isProvisional: boolean; children?: ReactNode }) {
  const { channel, side, value, standsInFor, source, fromDay, share } = ceiling;
  const from = source.kind === "calm-pose" ? "a calm pose" : "calm mornings near it";
  const joint = capital(jointText(channel, side));
  return (
    <Line>
      <span>
        <strong>{standsInFor ? `${joint}, for the kneecap past 90°` : joint}</strong>
        <br />
        <Soft>
          from {from}, {dayText(fromDay)}
          {isProvisional ? ", provisional until a calm morning" : ""}
        </Soft>
      </span>
      <Row>
        {children}
        <Why title={`Ceiling of the ${jointText(channel, side)}`} about={`Why this ceiling of the ${jointText(channel, side)}`}>
          <p>
            {demandText({ channel, low: value, head: value, high: value })} in the model, which is good for comparing set-ups on this
            client, not for absolute limits.
          </p>
          <p>
            {percentText(share.fraction)} of the weight under that leg,{" "}
            {share.measured ? "measured" : "assumed: a guarded leg carries less than it looks, and the lower share is the safer ceiling"}.
          </p>
          {standsInFor && (
            <p>
              Kneecap figures are not to be trusted past 90° of bend. There, and only there, the knee&apos;s moment is compared with this.
            </p>
          )}
        </Why>
      </Row>
    </Line>
  );
}

/** Limits with their owners, and the ceilings with where they came from. */
export function LimitsScreen(props: LimitsScreenProps) {
  const { clientId, limits, ceilings, provisional, proposal, subject, measure, dailyTasks, warning, today, units } = props;
  const [open, setOpen] = useState<"limit" | "calm-pose" | Limit | null>(null);
  const raising = useStep();
  const close = (): void => setOpen(null);
  return (
    <Page>
      <Stack>
        {warning && <ClearanceCard clientId={clientId} warning={warning} />}
        <Columns $template="1fr 1fr">
          <Card aria-label="Limits">
            <Row style={{ justifyContent: "space-between" }}>
              <Title>Limits</Title>
              <Button onPress={() => setOpen("limit")}>Add a limit</Button>
            </Row>
            <ul style={{ marginTop: 10 }}>
              {limits.map((limit) => (
                <Line key={limit.id}>
                  <span>
                    {limitText(limit, today)}
                    {limitState(limit, today) === "ask" && (
                      <>
                        <br />
                        <strong>Past its date: still in force until someone records who lifted it.</strong>
                      </>
                    )}
                  </span>
                  {isBinding(limit, today) && <Button onPress={() => setOpen(limit)}>Lift</Button>}
                </Line>
              ))}
            </ul>
            {limits.length === 0 && <p style={{ marginTop: 10 }}>No limits. Ask the client, and whoever treats them.</p>}
          </Card>
          <Card aria-label="Ceilings">
            <Row style={{ justifyContent: "space-between" }}>
              <Title>Ceilings</Title>
              <Button isDisabled={!subject} onPress={() => setOpen("calm-pose")}>
                Measure a calm seat
              </Button>
            </Row>
            <ul style={{ marginTop: 10 }}>
              {ceilings.map((ceiling) => (
                <CeilingLine key={ceiling.id} ceiling={ceiling} isProvisional={provisional.includes(ceiling.id)}>
                  {proposal?.ceilingId === ceiling.id && (
                    <Button $tone="primary" isDisabled={raising.isTaking} onPress={() => raising.take(() => raiseCeilingAction(clientId))}>
                      Raise by 5%
                    </Button>
                  )}
                </CeilingLine>
              ))}
            </ul>
            <Problem text={raising.problem} />
            {ceilings.length === 0 && (
              <p style={{ marginTop: 10 }}>
                None yet. The lowest seat that stays quiet sets the ceiling for the joint that said stop, and for no other.
              </p>
            )}
          </Card>
        </Columns>
        <Columns $template="1fr 1fr">
          {measure && (
            <BodyCard clientId={clientId} measure={measure} posture={props.posture} isShinMeasured={props.isShinMeasured} units={units} />
          )}
          <DailyCard clientId={clientId} tasks={dailyTasks} units={units} />
        </Columns>
      </Stack>
      <Ask title="Add a limit" isOpen={open === "limit"} onClose={close}>
        <LimitForm clientId={clientId} today={today} onDone={close} />
      </Ask>
      <Ask title="Measure a calm seat" isOpen={open === "calm-pose"} onClose={close}>
        {subject && <CalmPoseForm clientId={clientId} subject={subject} units={units} onDone={close} />}
      </Ask>
      <Ask title="Lift a limit" isOpen={open !== null && typeof open === "object"} onClose={close}>
        {open !== null && typeof open === "object" && <LiftForm clientId={clientId} limit={open} today={today} onDone={close} />}
      </Ask>
    </Page>
  );
}

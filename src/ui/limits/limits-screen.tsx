"use client";
import { isScreenLimit } from "../../core/screen/screen";
import type { UnitSystem } from "../../core/units";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { liftLimitAction } from "../../actions/limits";
import type { BodyMeasure } from "../../core/body/body";
import type { CeilingRow } from "../../core/judge/ceiling-table";
import { isMeasuredLimit } from "../../core/assess/range-limits";
import type { DailyTask } from "../../core/judge/context";
import type { Complaint } from "../../core/limits/complaint";
import type { Day } from "../../core/day";
import { isBinding, type Lift, type Limit, limitState } from "../../core/limits/limit";
import type { PostureRule } from "../../core/mechanics/posture";
import type { Warning } from "../../core/progress/warning";
import type { LearntOf } from "../../core/record/standing/history";
import type { CalmPoseFact, CeilingFact, ClientProfile } from "../../core/record/facts/record";
import type { SchoolChoice } from "../../core/approach/approach";
import type { Subject } from "../../core/templates/template";
import { Button } from "../kit/button";
import { ChoiceField, TextField } from "../kit/fields";
import { Card, Columns, Page, Row, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { Ask } from "../kit/why";
import { dayText } from "../../words/basics/day";
import { limitText } from "../../words/client/limit";
import { presetName, presetText } from "../../words/training/school";
import { color } from "../theme/tokens";
import { BodyCard } from "./body-card";
import { CalmPoseForm } from "./calm-pose-form";
import { CeilingsCard } from "./ceilings-card";
import { ClearanceCard } from "./clearance-card";
import { DailyCard } from "./daily-card";
import { DetailsCard } from "./details-card";
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
  client: ClientProfile;
  complaints: readonly Complaint[];
  limits: readonly Limit[];
  rows: readonly CeilingRow[];
  history: readonly CeilingFact[];
  calmPoses: readonly CalmPoseFact[];
  learnt: readonly LearntOf[];
  subject: Subject | null;
  measure: BodyMeasure | null;
  posture: PostureRule;
  isShinMeasured: boolean;
  dailyTasks: readonly DailyTask[];
  warnings: readonly Warning[];
  /** The name of whoever is signed in, where they lead the studio. */
  leadName: string | null;
  school: SchoolChoice | null;
  today: Day;
  units: UnitSystem;
}

const KINDS = [
  { id: "lifted", label: "Lifted by whoever may" },
  { id: "mistake", label: "Entered by mistake" },
] as const;

function LiftForm({
  clientId,
  limit,
  today,
  units,
  onDone,
}: {
  clientId: string;
  limit: Limit;
  today: Day;
  units: UnitSystem;
  onDone: () => void;
}) {
  const [kind, setKind] = useState<Lift["kind"]>("lifted");
  const [by, setBy] = useState("");
  const [role, setRole] = useState("");
  const [reason, setReason] = useState("");
  const { take, isTaking, problem } = useStep();
  const isLifted = kind === "lifted";
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        take((stepId) => liftLimitAction(clientId, { limitId: limit.id, kind, by, role, reason }, stepId), onDone);
      }}
    >
      <Stack>
        <p>{limitText(limit, today, units)}</p>
        <ChoiceField label="Why it ends" options={KINDS} value={kind} onChange={setKind} />
        <TextField label={isLifted ? "Lifted by" : "Taken back by"} isRequired value={by} onChange={setBy} />
        <TextField label="Their role" isRequired value={role} onChange={setRole} />
        <TextField label={isLifted ? "What they said" : "What was wrong with it"} long isRequired value={reason} onChange={setReason} />
        <Problem text={problem} />
        <Button type="submit" $tone="primary" isDisabled={isTaking}>
          {isLifted ? "Record the lifting" : "Take it back"}
        </Button>
      </Stack>
    </Form>
  );
}

/** Limits with their owners, and the ceilings with where they came from. */
export function LimitsScreen(props: LimitsScreenProps) {
  const { client, complaints, limits, subject, measure, dailyTasks, school, warnings, leadName, today, units } = props;
  const clientId = client.id;
  const [open, setOpen] = useState<"limit" | "calm-pose" | Limit | null>(null);
  const close = (): void => setOpen(null);
  return (
    <Page>
      <Stack>
        {warnings.map((warning) => (
          <ClearanceCard key={`${warning.sourceId} ${warning.sign}`} clientId={clientId} warning={warning} leadName={leadName} />
        ))}
        <CeilingsCard
          {...{
            clientId,
            rows: props.rows,
            history: props.history,
            calmPoses: props.calmPoses,
            learnt: props.learnt,
            subject,
            today,
            units,
          }}
          onMeasure={() => setOpen("calm-pose")}
        />
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
                    {limitText(limit, today, units)}
                    {limitState(limit, today) === "ask" && (
                      <>
                        <br />
                        <strong>Past its date: still in force until someone records who lifted it.</strong>
                      </>
                    )}
                  </span>
                  {isBinding(limit, today) &&
                    (isScreenLimit(limit) ? (
                      <Link href={`/clients/${clientId}/screen`}>Why, and how it is set aside</Link>
                    ) : isMeasuredLimit(limit) ? (
                      <Link href={`/clients/${clientId}/assess`}>Measure again</Link>
                    ) : (
                      <Button onPress={() => setOpen(limit)}>Lift or take back</Button>
                    ))}
                </Line>
              ))}
            </ul>
            {limits.length === 0 && <p style={{ marginTop: 10 }}>No limits. Ask the client, and whoever treats them.</p>}
          </Card>
          <DetailsCard client={client} complaints={complaints} today={today} />
          {measure && (
            <BodyCard clientId={clientId} measure={measure} posture={props.posture} isShinMeasured={props.isShinMeasured} units={units} />
          )}
          <DailyCard clientId={clientId} tasks={dailyTasks} units={units} />
          <Card aria-label="School">
            <Row style={{ justifyContent: "space-between" }}>
              <Title>School</Title>
              <Link href={`/clients/${clientId}/school`}>Change or compare</Link>
            </Row>
            <p>
              <strong>{presetName(school?.preset ?? "mainstream")}.</strong> {presetText(school?.preset ?? "mainstream")}
            </p>
            {school && (
              <p>
                Chosen by {school.by}, {dayText(school.day)}: {school.reason}
              </p>
            )}
          </Card>
        </Columns>
      </Stack>
      <Ask title="Add a limit" isOpen={open === "limit"} onClose={close}>
        <LimitForm clientId={clientId} today={today} units={units} onDone={close} />
      </Ask>
      <Ask title="Measure a calm seat" isOpen={open === "calm-pose"} onClose={close}>
        {subject && <CalmPoseForm clientId={clientId} subject={subject} units={units} onDone={close} />}
      </Ask>
      <Ask title="Lift or take back a limit" isOpen={open !== null && typeof open === "object"} onClose={close}>
        {open !== null && typeof open === "object" && (
          <LiftForm clientId={clientId} limit={open} today={today} units={units} onDone={close} />
        )}
      </Ask>
    </Page>
  );
}

"use client";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import styled from "styled-components";
import { openSessionAction } from "../../actions/plan";
import { demandOf, type FitContext, type FloorEvent, variationById } from "../../core";
import { Figure } from "../figure/figure";
import { doseText } from "../fit/dose-panel";
import { Button } from "../kit/button";
import { CheckField } from "../kit/fields";
import { Card, Columns, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { useKeys } from "../shell/use-keys";
import { settingText } from "../text/lever-text";
import type { UnitSystem } from "../text/quantity-text";
import { CheckInCard } from "./check-in-card";
import { PainPad } from "./pain-pad";
import { SaveLine } from "./save-line";
import { SetTable } from "./set-table";
import { SidePanel } from "./side-panel";
import { TempoPanel } from "./tempo-panel";
import type { FloorPlan } from "./use-session";
import { type FloorSession, useSession } from "./use-session";

const Middle = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 210px;
  gap: 12px;
  .small-figure {
    height: 230px;
    overflow: hidden;
    border-radius: 4px;
    background: #f4f6f5;
    text {
      display: none; /* too small to read here; the words stand above */
    }
  }
  @media (max-width: 799px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

export interface FloorScreenProps {
  clientId: string;
  plan: FloorPlan;
  context: FitContext;
  known: readonly FloorEvent[];
  usualScore: number;
  limitScore: number;
  missingMorning: boolean;
  painSite: string;
  units: UnitSystem;
}

/** Before a session: what is planned, and one tap to begin. */
export function StartScreen({
  clientId,
  plan,
  units,
}: {
  clientId: string;
  plan: Omit<FloorPlan, "sessionId" | "itemId">;
  units: UnitSystem;
}) {
  const router = useRouter();
  const { take, isTaking, problem } = useStep();
  return (
    <Page>
      <Card style={{ maxWidth: 640, margin: "12px auto" }} aria-label="Today's session">
        <Stack>
          <Title>Today&apos;s session</Title>
          <p>
            <strong>{variationById(plan.variationId).name}</strong>, {settingText(plan.setting, units)}
          </p>
          <p>{doseText(plan.dose)}</p>
          <Problem text={problem} />
          <Row>
            <Button
              $tone="primary"
              isDisabled={isTaking}
              onPress={() =>
                take(
                  () => openSessionAction(clientId),
                  () => router.refresh(),
                )
              }
            >
              Start the session
            </Button>
            <Link href={`/clients/${clientId}/fit`}>Change it on Fit</Link>
          </Row>
        </Stack>
      </Card>
    </Page>
  );
}

function WarningStop({ session, clientId }: { session: FloorSession; clientId: string }) {
  return (
    <Card $accent="oxide" role="alert">
      <Stack>
        <Title>Stop here</Title>
        <p>Chest pain, breathlessness beyond the effort, fainting, or a numb saddle: call the emergency services now.</p>
        <p>
          A hot or suddenly swollen joint, a knee that locked or gave way, new weakness in a leg: the treating clinician, today. In
          pregnancy: the maternity team.
        </p>
        <p>Planning stops until a clinician has cleared it. What was done is kept.</p>
        <Row>
          <Button
            $tone="primary"
            onPress={() => {
              session.end();
            }}
          >
            End the session
          </Button>
          <Button onPress={session.withdrawWarning}>Tapped by mistake</Button>
          <Link href={`/clients/${clientId}/limits`}>Record a clearance</Link>
        </Row>
      </Stack>
    </Card>
  );
}

function EndedCard({ clientId, session }: { clientId: string; session: FloorSession }) {
  const setCount = session.log.state.sets.length;
  return (
    <Card aria-label="Session ended">
      <Stack>
        <Title>Session ended</Title>
        <p>
          {setCount} {setCount === 1 ? "set" : "sets"} kept. Tomorrow morning decides: ease, hold or build.
        </p>
        <SaveLine saved={session.log.saved} />
        <Row>
          <Link href={`/clients/${clientId}/morning`}>Morning after</Link>
          <Link href="/">All clients</Link>
        </Row>
      </Stack>
    </Card>
  );
}

function SmallFigure({ session, context, units }: { session: FloorSession; context: FitContext; units: UnitSystem }) {
  const demand = demandOf(context.subject, session.variation, session.setting);
  if (!demand.ok) return null;
  return (
    <div className="small-figure">
      <Figure body={context.subject.body} pose={demand.pose} variation={session.variation} setting={session.setting} units={units} />
    </div>
  );
}

/** One session on the floor. Every tap is kept on this tablet first, then sent. */
export function FloorScreen(props: FloorScreenProps) {
  const { clientId, plan, context, units, limitScore, painSite } = props;
  const [isMuted, setMuted] = useState(false);
  const session = useSession(plan, context, props.known, isMuted);
  const { tempo, log, allSetsDone, lastSet } = session;
  const { checkIn, endedAt, warningSigns } = log.state;
  const isActive = checkIn !== null && endedAt === null && warningSigns.length === 0;
  const canTapPain = isActive && (tempo.status !== "idle" || lastSet !== undefined);
  const toggle = (): void => {
    if (!isActive || allSetsDone) return;
    if (tempo.status === "running") tempo.stop();
    else if (tempo.status !== "done") tempo.start();
  };
  const painKeys = Object.fromEntries(
    Array.from({ length: 10 }, (_, score) => [String(score), () => canTapPain && session.tapPain(score)]),
  );
  useKeys({ ...painKeys, " ": toggle, e: () => isActive && session.ease(), E: () => isActive && session.ease() });

  if (!log.isReady) return <Page aria-busy>Reading what this tablet holds</Page>;
  if (warningSigns.length > 0 && endedAt === null)
    return (
      <Page>
        <WarningStop session={session} clientId={clientId} />
      </Page>
    );
  if (endedAt !== null)
    return (
      <Page>
        <EndedCard clientId={clientId} session={session} />
      </Page>
    );
  if (checkIn === null)
    return (
      <Page>
        <div style={{ maxWidth: 760, margin: "12px auto" }}>
          <CheckInCard
            usualScore={props.usualScore}
            limitScore={limitScore}
            missingMorning={props.missingMorning}
            onDone={session.checkIn}
          />
        </div>
      </Page>
    );
  return (
    <Page>
      <Columns $template="minmax(0, 1fr) 340px">
        <Stack>
          <Row style={{ justifyContent: "space-between" }}>
            <div>
              <Title>{session.variation.name}</Title>
              <Soft>
                {settingText(session.setting, units)}; {doseText(plan.dose)}
              </Soft>
            </div>
            <Row $gap={16}>
              <SaveLine saved={log.saved} />
              <CheckField label="Sound" isSelected={!isMuted} onChange={(isOn) => setMuted(!isOn)} />
              <Button onPress={session.end}>End session</Button>
            </Row>
          </Row>
          <TempoPanel session={session} dose={plan.dose} onToggle={toggle} />
          <Card aria-label="Sets">
            <Middle>
              <SetTable session={session} dose={plan.dose} />
              <SmallFigure session={session} context={context} units={units} />
            </Middle>
          </Card>
          <Card aria-label="Pain">
            <Row style={{ justifyContent: "space-between", marginBottom: 8 }}>
              <Title>
                {tempo.status === "idle" && lastSet ? `Pain of set ${log.state.sets.length}` : "Pain during this set"}, {painSite}
              </Title>
              <Soft>agreed: {limitScore}, nothing sharp; a tap ends the set and saves it</Soft>
            </Row>
            <PainPad
              label="Pain during this set"
              value={tempo.status === "idle" ? (lastSet?.painScore ?? null) : null}
              limitScore={limitScore}
              isDisabled={!canTapPain}
              onTap={session.tapPain}
            />
          </Card>
        </Stack>
        <SidePanel session={session} units={units} />
      </Columns>
    </Page>
  );
}

"use client";
import { useEffect, useState } from "react";
import styled from "styled-components";
import { keepTrainingPlanAction } from "../../actions/training-plan";
import { variationById } from "../../core/catalogue/catalogue";
import type { Day } from "../../core/day";
import type { FitContext, Place } from "../../core/judge/context";
import type { SessionAsked } from "../../core/session/build";
import { SESSIONS_A_WEEK } from "../../core/session/plan";
import { dropOrder, kitChanges, lengthsS, paired, pairWorthIt, type SessionItem, sessionS } from "../../core/session/session";
import type { UnitSystem } from "../../core/units";
import { type ForecastAsked, forecast } from "../../core/week/forecast";
import type { WeekTotals } from "../../core/week/totals";
import { askWorker } from "../fit/fit-worker";
import { Button, TextButton } from "../kit/button";
import { Card, Columns, Notice, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { Link } from "../kit/link";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { stoppedText } from "../../words/training/decision";
import { dayText } from "../../words/basics/day";
import { forecastText, weakName } from "../../words/training/plan";
import { percentText } from "../../words/basics/quantity";
import { color, font } from "../theme/tokens";
import { Aside } from "./aside";
import { AskedCard } from "./asked-card";
import { BlockCard, type Grown } from "./block-card";
import { CalendarLink } from "./calendar-link";
import { CheckCard } from "./check-card";
import { SessionList } from "./session-list";
import { type Draft, type PlanState, usePlan } from "./use-plan";
import { SupportCard } from "./support-card";
import { type Effort, Totals } from "./totals";
import { WeekStrip } from "./week-strip";
import { WordsCard } from "./words-card";

const Bar = styled.div`
  display: flex;
  min-height: 36px;
  border: 1px solid ${color.fogDeep};
  border-radius: 4px;
  overflow: hidden;
  background: ${color.paper};
  span {
    display: grid;
    place-items: center;
    min-width: 0;
    padding: 2px 4px;
    border-right: 2px solid ${color.paper};
    overflow: hidden;
    font: 600 13px ${font.head};
    white-space: nowrap;
  }
`;
/** What a goal of the client's own day is from here, in builds. */
export interface GoalAsked {
  name: string;
  from: Place;
  to: Place;
}
export interface PlanScreenProps {
  clientId: string;
  studioId: string;
  /** Since when a calendar may follow the programme. */
  linkSince: Day | null;
  context: FitContext;
  first: Draft;
  asked: SessionAsked;
  isKept: boolean;
  goal: GoalAsked | null;
  mornings: ForecastAsked["mornings"];
  /** How much of the way there is done, by the goal's own lever. */
  way: { from: string; now: string; sinceDay: Day; doneFraction: number } | null;
  /** What this block built, pattern by pattern. */
  grown: readonly Grown[];
  /** Weeks of the plan, from the first, in which a morning was not calm. */
  painfulWeeks: readonly number[];
  effort: Effort;
  /** What this week and the one before came to. */
  totals: readonly WeekTotals[];
  /** A ligament repair: most of the work of that leg is to be its own. */
  isRepaired: boolean;
  /** Retests, by the day they fall due. */
  retests: readonly { day: Day; name: string }[];
  /** Days that were trained. */
  doneDays: readonly Day[];
  today: Day;
  units: UnitSystem;
  /** What stands open and stops all planning: signs, or what cannot be read. */
  openSigns: readonly string[];
}

/** The session as a bar of minutes: main work dark, the rest light, what is free white. */
function MinutesBar({ plan, items }: { plan: PlanState; items: readonly SessionItem[] }) {
  const { minutes, rounds, weak } = plan.draft;
  const lengths = lengthsS(items);
  const worth = pairWorthIt(plan.draft.items, weak);
  const nameAt = (at: number): string => {
    const item = plan.draft.items[at];
    return item ? variationById(item.variationId).name : "";
  };
  const usedS = sessionS(items, rounds);
  const freeMin = Math.round(minutes - usedS / 60);
  return (
    <>
      <Row style={{ justifyContent: "space-between" }}>
        <Soft>
          {items.length} {items.length === 1 ? "exercise" : "exercises"}
          {rounds > 1 && `, ${rounds} rounds`}, kit changed {kitChanges(items)} times
        </Soft>
        <strong role="status">
          {Math.round(usedS / 60)} min of {minutes}
        </strong>
      </Row>
      <Bar aria-hidden>
        {items.map((item, i) => (
          <span
            key={item.id}
            style={{
              flex: lengths[i],
              background: item.part === "main" ? color.marine : color.marineSoft,
              color: color.paper,
            }}
          >
            {variationById(item.variationId).name}
          </span>
        ))}
        {freeMin > 0 && <span style={{ flex: freeMin * 60, color: color.inkSoft }}>{freeMin} free</span>}
      </Bar>
      {freeMin < 0 && (
        <Notice $tone="oxide">
          {-freeMin} min over. First to go:{" "}
          {dropOrder(items)
            .slice(0, 2)
            .map(({ variationId }) => variationById(variationId).name.toLowerCase())
            .join(", then ")}
          .
        </Notice>
      )}
      {worth && (freeMin < 5 || rounds > 1) && (
        <Soft>
          {nameAt(worth.at)} in turn with {nameAt(worth.at + 1).toLowerCase()} saves {Math.round(worth.savedS / 60)} min:{" "}
          <TextButton onPress={() => plan.change({ items: paired(plan.draft.items, worth.at, true) })}>do them in turn</TextButton>
        </Soft>
      )}
    </>
  );
}

/** The way to a goal of the client's own day, in weeks that can be believed. */
function GoalCard({
  context,
  goal,
  way,
  mornings,
  perWeek,
}: {
  context: FitContext;
  goal: GoalAsked;
  way: PlanScreenProps["way"];
  mornings: ForecastAsked["mornings"];
  perWeek: number;
}) {
  const [steps, setSteps] = useState<number | null>(null);
  useEffect(() => {
    let isCurrent = true;
    askWorker((work) => work.route(context, goal.from, goal.to)).then(
      (route) => isCurrent && setSteps(route.treads.length - 1),
      () => undefined,
    );
    return () => {
      isCurrent = false;
    };
  }, [context, goal]);
  return (
    <Card aria-label="The way there">
      <Title>To the {goal.name}</Title>
      {way && (
        <p>
          {percentText(way.doneFraction)} of the way: from {way.from} on {dayText(way.sinceDay)}, now {way.now}.
        </p>
      )}
      {steps === null ? (
        <Soft role="status">Reckoning</Soft>
      ) : steps <= 0 ? (
        <p>It is met by what is planned.</p>
      ) : (
        <p>
          {steps} {steps === 1 ? "build" : "builds"} from here:{" "}
          {forecastText(
            forecast({
              stepCount: steps,
              sessionsPerWeek: perWeek,
              sessionsToBuild: context.school.sessionsToBuild,
              mornings,
              missedPercent: 10,
              climbSessions: CLIMB_SESSIONS,
              seed: 1,
            }),
          )}
        </p>
      )}
    </Card>
  );
}

/** From the bottom of a range of repetitions to its top, two a session. ◊ */
const CLIMB_SESSIONS = 2;

/** Plan: one session that fits the minutes, looked through, and laid on days that keep their rest. */
export function PlanScreen(props: PlanScreenProps) {
  const isStopped = props.openSigns.length > 0;
  const { clientId, context, today, units, goal, mornings } = props;
  const plan = usePlan(context, props.first, props.asked, props.doneDays);
  const { draft } = plan;
  const { take, isTaking, problem } = useStep(units);
  const [isKept, setKept] = useState(props.isKept);
  const [keptDraft, setKeptDraft] = useState<Draft | null>(props.isKept ? props.first : null);
  const keep = (): void =>
    take(
      (stepId) => keepTrainingPlanAction(clientId, draft, stepId),
      () => {
        setKept(true);
        setKeptDraft(draft);
      },
    );
  return (
    <Page>
      {isStopped && <Notice $tone="oxide">{stoppedText(props.openSigns)}</Notice>}
      <AskedCard plan={plan} today={today} />
      <Columns $template="minmax(0, 1fr) 330px" style={{ marginTop: 12 }}>
        <Stack as="section" aria-label="Session" $gap={8}>
          <Row style={{ justifyContent: "space-between" }}>
            <h1 style={{ fontSize: 20 }}>
              Session{" "}
              <Soft style={{ fontSize: 15, fontWeight: 400 }}>falling demand on {weakName(draft.weak)}, or as its school has it</Soft>
            </h1>
            <Button $tight isDisabled={!plan.canUndo} onPress={plan.undo}>
              Undo
            </Button>
          </Row>
          <MinutesBar plan={plan} items={plan.openItems} />
          {plan.dropped.length > 0 && (
            <Soft>
              Left out for want of minutes:{" "}
              {plan.dropped.map(({ variationId }) => variationById(variationId).name.toLowerCase()).join(", ")}.
            </Soft>
          )}
          {plan.said && (
            <Notice role="status" $tone="oxide">
              {plan.said}
            </Notice>
          )}
          {plan.isFailed && <Notice $tone="oxide">This device could not work it out. What is here stays; reload to try again.</Notice>}
          <SessionList
            items={draft.items}
            waitingItems={plan.waitingItems}
            units={units}
            onChange={(items) => plan.change({ items })}
            onNotReady={(item) => plan.setAside(item, today)}
          />
          <Aside plan={plan} today={today} />
          <WeekStrip plan={plan} context={context} doneDays={props.doneDays} retests={props.retests} today={today} />
        </Stack>
        <Stack>
          <BlockCard plan={plan} context={context} grown={props.grown} retests={props.retests} today={today} units={units} />
          <CheckCard plan={plan} clientId={clientId} />
          {goal && <GoalCard context={context} goal={goal} way={props.way} mornings={mornings} perWeek={SESSIONS_A_WEEK[draft.often]} />}
          <WordsCard plan={plan} massKg={context.subject.body.massKg} isPregnant={context.careful.includes("pregnancy")} />
          <SupportCard items={draft.items} massKg={context.subject.body.massKg} painfulWeeks={props.painfulWeeks} units={units} />
          <Totals totals={props.totals} effort={props.effort} isRepaired={props.isRepaired} units={units} />
          <Card aria-label="Keep">
            <Stack $gap={8}>
              <Problem text={problem} />
              <Button $tone="primary" isDisabled={isTaking || isStopped || keptDraft === draft} onPress={keep}>
                {keptDraft === draft ? "Kept" : "Keep the plan"}
              </Button>
              {isKept ? (
                <>
                  <Link href={`/clients/${clientId}/sheet`}>Home sheet</Link>
                  <Link href={`/clients/${clientId}/own-page`}>Their own page on the phone</Link>
                  <a href={`/api/clients/${clientId}/calendar`} download>
                    Calendar file
                  </a>
                  <CalendarLink clientId={clientId} studioId={props.studioId} since={props.linkSince} units={units} />
                </>
              ) : (
                <Soft>Kept, it has a home sheet and a calendar file.</Soft>
              )}
            </Stack>
          </Card>
        </Stack>
      </Columns>
    </Page>
  );
}

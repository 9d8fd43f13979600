"use client";
import type { UnitSystem } from "../../../core/units";
import { useEffect, useState } from "react";
import { createPortal } from "react-dom";
import styled from "styled-components";
import type { Away } from "../../../core/progress/away";
import type { FitContext } from "../../../core/judge/context";
import { buildOnFloor } from "../../../core/progress/on-floor";
import type { FloorEvent } from "../../../core/floor/events";
import type { Side } from "../../../core/mechanics/channels";
import type { MorningClass } from "../../../core/progress/morning";
import { doseText } from "../../fit/dose-panel";
import { hasLever } from "../../../core/templates/form";
import { Button } from "../../kit/button";
import { CheckField } from "../../kit/fields";
import { Link } from "../../kit/link";
import type { Owner } from "../../../outbox/floor/event-store";
import { Ask } from "../../kit/why";
import { Card, Columns, Page, Row, Soft, Stack, Title } from "../../kit/layout";
import { keepPage } from "../../shell/keep-offline";
import { useKeys } from "../../shell/use-keys";
import { itemNameAmong } from "../../../words/basics/item";
import { unlikeSetsText, settingText } from "../../../words/basics/lever";
import { useBeside } from "./beside";
import { CheckInCard } from "../start/check-in-card";
import { EndedCard } from "./ended-card";
import { FloorStatus } from "./floor-status";
import { FootWeights } from "../dialogs/foot-weights";
import { ItemMenu } from "./item-menu";
import { PainCard } from "../pain/pain-card";
import { PicturesHere } from "../dialogs/pictures";
import { SignQuestion, WarningStop, WhatNow } from "../pain/questions";
import { type NoteOf, ReferralNote } from "../pain/referral-note";
import { SetTable } from "./set-table";
import { ItemTabs } from "./item-tabs";
import { SetUpLines } from "./set-up-lines";
import { SidePanel } from "./side-panel";
import { SmallFigure } from "./small-figure";
import { WeakFirst } from "./weak-first";
import { TempoPanel } from "../tempo/tempo-panel";
import { type TabletPictures, usePictures } from "../dialogs/use-pictures";
import { useAwake } from "./use-awake";
import { useAutoChoice } from "../start/use-auto-start";
import type { FloorPlan, FloorSession } from "./floor-session";
import { useSession } from "./use-session";

const Middle = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 210px;
  gap: 12px;
  .small-figure {
    height: 184px;
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
  owner: Owner;
  plan: FloorPlan;
  context: FitContext;
  known: readonly FloorEvent[];
  usualScore: number;
  limitScore: number;
  missingMorning: boolean;
  /** The morning after the last session; null where nobody told it. */
  lastMorning: MorningClass | null;
  /** The exercise that ended a set with sharp pain last time; empty where none did. */
  lastSharp: string;
  /** An injection within the last two weeks, as it was told on Screen. */
  hadInjection: boolean;
  away: Away | null;
  /** What looks like poor form and is the joint's own. */
  ownLimit: string;
  /** By row, the cue that felt lighter when two were compared. */
  lighter: Readonly<Record<string, string>>;
  painSite: string;
  /** Who else has a session under way: one may be trained beside the other. */
  others?: readonly { clientId: string; name: string }[];
  /** Which leg hurts, and goes first. */
  weakSide: Side | "both" | null;
  /** Whose note it is, where something is to be told to a clinician. */
  noteOf: NoteOf;
  /** A pregnancy, or a belly after one: how it looks is asked of every set. */
  asksBelly: boolean;
  units: UnitSystem;
}

/** The set in hand: tempo, table, pain; form, ends and easing beside it. */
function Working(
  props: FloorScreenProps & {
    session: FloorSession;
    pictures: TabletPictures;
    isAuto: boolean;
    onToggle: () => void;
    onLog: () => void;
    canTapPain: boolean;
    onWarning: () => void;
    tools: React.ReactNode;
  },
) {
  const { session, units, limitScore, painSite, canTapPain, onToggle, onLog, onWarning, isAuto, plan } = props;
  const { dose, item, log } = session;
  const build = buildOnFloor({
    state: log.state,
    itemId: item.itemId,
    dose,
    limitScore,
    lastMorning: props.lastMorning,
    isLight: plan.isLight,
  });
  return (
    <Columns $template="minmax(0, 1fr) 340px">
      <Stack>
        <ItemTabs session={session} />
        <Row style={{ justifyContent: "space-between" }}>
          <div style={{ flex: "1 1 260px" }}>
            <Row $gap={6} style={{ alignItems: "center" }}>
              <Title>{itemNameAmong({ variationId: session.place.variationId, side: session.item.side }, session.items)}</Title>
              <ItemMenu clientId={props.clientId} session={session} build={build} pictures={props.pictures} units={units} />
            </Row>
            <Soft>
              {[settingText(session.place.setting, units), doseText(dose, session.variation.startsBy)].filter(Boolean).join("; ")}
              {unlikeSetsText(dose, units)}
              {plan.isLight && "; a light day"}
            </Soft>
            <SetUpLines session={session} units={units} ownLimit={props.ownLimit} lighter={props.lighter} />
          </div>
          {props.tools}
        </Row>
        <TempoPanel session={session} isAuto={isAuto} onToggle={onToggle} onLog={onLog} />
        <Card aria-label="Sets">
          <Middle>
            <SetTable session={session} dose={dose} units={units} />
            <SmallFigure session={session} units={units} />
          </Middle>
        </Card>
        {hasLever(session.variation, "shareFraction") && <FootWeights session={session} units={units} />}
        <PainCard session={session} limitScore={limitScore} painSite={painSite} canTap={canTapPain} asksBelly={props.asksBelly} />
        <PicturesHere pictures={props.pictures} />
      </Stack>
      <SidePanel session={session} units={units} onWarning={onWarning} />
    </Columns>
  );
}

/** One session on the floor. Every tap is kept on this tablet first, then sent. */
export function FloorScreen(props: FloorScreenProps) {
  const { clientId, plan, context, units, limitScore } = props;
  const [isMuted, setMuted] = useState(false);
  const [isAuto, chooseAuto] = useAutoChoice();
  const [isNaming, setNaming] = useState(false);
  const [isEnding, setEnding] = useState(false);
  const session = useSession(plan, context, { known: props.known, owner: props.owner }, { isMuted, limitScore, weakSide: props.weakSide });
  const pictures = usePictures(props.owner, clientId);
  const { tempo, log, allSetsDone, lastSet, asking } = session;
  useEffect(keepPage, [plan.sessionId]); // with its session: what was kept before may be the page before it
  const { checkIn, endedAt, warnings } = log.state;
  const isActive = checkIn !== null && endedAt === null && warnings.length === 0 && !isNaming && asking === null;
  const canTapPain = isActive && (tempo.status !== "idle" || lastSet !== undefined);
  /** A set begun, or logged; where the weak side is to come first, asked once. */
  const [unasked, setUnasked] = useState<(() => void) | null>(null);
  const begin = (act: () => void): void => (session.comesFirst ? setUnasked(() => act) : act());
  const toggle = (): void => {
    if (!isActive || allSetsDone) return;
    if (tempo.status === "running") tempo.stop();
    else if (tempo.status === "stopped") tempo.start();
    else if (tempo.status === "idle") begin(() => tempo.start());
  };
  const painKeys = Object.fromEntries(
    Array.from({ length: 10 }, (_, score) => [String(score), () => canTapPain && session.tapPain(score)]),
  );
  useAwake(isActive);
  const { isShown, statusNode } = useBeside();
  const keys = { ...painKeys, " ": toggle, e: () => isActive && session.ease(), E: () => isActive && session.ease() };
  useKeys(isShown ? keys : {});
  const status = statusNode && createPortal(<FloorStatus session={session} />, statusNode);

  if (!log.isReady) return <Page aria-busy>Reading what this tablet holds</Page>;
  const only = (card: React.ReactNode) => (
    <Page>
      {status}
      <div style={{ maxWidth: 760, margin: "12px auto" }}>{card}</div>
    </Page>
  );
  if (warnings.length > 0 && endedAt === null)
    return only(
      <WarningStop session={session} clientId={clientId} note={<ReferralNote session={session} of={props.noteOf} units={units} />} />,
    );
  if (endedAt !== null)
    return only(
      <EndedCard
        clientId={clientId}
        session={session}
        units={units}
        note={
          <>
            <ReferralNote session={session} of={props.noteOf} units={units} />
            <PicturesHere pictures={pictures} />
          </>
        }
      />,
    );
  if (checkIn === null)
    return only(
      <CheckInCard
        usualScore={props.usualScore}
        limitScore={limitScore}
        missingMorning={props.missingMorning}
        lastSharp={props.lastSharp}
        away={props.away}
        hadInjection={props.hadInjection}
        items={plan.items}
        onDone={session.checkIn}
      />,
    );
  if (isNaming)
    return only(
      <SignQuestion
        onSign={(sign) => {
          session.warn(sign);
          setNaming(false);
        }}
        onMistake={() => setNaming(false)}
      />,
    );
  if (asking !== null) return only(<WhatNow session={session} units={units} limitScore={limitScore} />);
  const tools = (
    <Row $gap={16}>
      <CheckField label="Sound" isSelected={!isMuted} onChange={(isOn) => setMuted(!isOn)} />
      <CheckField label="Next set by itself" isSelected={isAuto} onChange={chooseAuto} />
      <Button onPress={() => (session.next === null && allSetsDone ? session.end() : setEnding(true))}>End session</Button>
      <Ask title="End the session?" isOpen={isEnding} onClose={() => setEnding(false)}>
        <Stack>
          <p>Sets are left. What was done is kept, and it can be gone on with.</p>
          <Row>
            <Button
              $tone="primary"
              onPress={() => {
                setEnding(false);
                session.end();
              }}
            >
              End it
            </Button>
            <Button onPress={() => setEnding(false)}>Go on</Button>
          </Row>
        </Stack>
      </Ask>
    </Row>
  );
  return (
    <Page>
      {status}
      {(props.others ?? []).length > 0 && statusNode === null && (
        <Row $gap={8} style={{ marginBottom: 8 }}>
          <Soft>Beside another:</Soft>
          {props.others?.map((other) => (
            <Link key={other.clientId} href={`/floor/${clientId}/${other.clientId}`}>
              {other.name}
            </Link>
          ))}
        </Row>
      )}
      {session.comesFirst && <WeakFirst session={session} weak={session.comesFirst} asked={unasked} onClose={() => setUnasked(null)} />}
      <Working
        {...props}
        session={session}
        pictures={pictures}
        isAuto={isAuto}
        onToggle={toggle}
        onLog={() => begin(session.logSet)}
        canTapPain={canTapPain}
        onWarning={() => {
          tempo.stop();
          setNaming(true);
        }}
        tools={tools}
      />
    </Page>
  );
}

"use client";
import type { UnitSystem } from "../../../core/units";
import type { ReactNode } from "react";
import { WARNING_SIGNS, type WarningSign } from "../../../core/limits/clinician";
import { Button } from "../../kit/button";
import { Card, Row, Stack, Title } from "../../kit/layout";
import { HARMLESS_ENDS, isOverNumber, stopsFirst } from "../../../core/floor/events";
import { Link } from "../../kit/link";
import { END_NAMES } from "../../../words/training/floor";
import { warningText } from "../../../words/client/warning";
import { easeText } from "../session/side-panel";
import type { FloorSession } from "../session/floor-session";

/** Which sign it is: said before anything else, and the countdown stands still meanwhile. */
export function SignQuestion({ onSign, onMistake }: { onSign: (sign: WarningSign) => void; onMistake: () => void }) {
  return (
    <Card $accent="oxide" role="alertdialog" aria-label="Which warning sign">
      <Stack>
        <Title>Which sign?</Title>
        <p>It stops the session and planning, and stays open until a clinician has cleared it.</p>
        <Row $gap={8}>
          {WARNING_SIGNS.map((sign) => (
            <Button key={sign} $tone="danger" onPress={() => onSign(sign)}>
              {warningText(sign)}
            </Button>
          ))}
        </Row>
        <Row>
          <Button onPress={onMistake}>None: tapped by mistake</Button>
        </Row>
      </Stack>
    </Card>
  );
}

/** After sharp pain or pain over the number: one large question, and nothing counts down until it is answered. */
export function WhatNow({ session, units, limitScore }: { session: FloorSession; units: UnitSystem; limitScore: number }) {
  const { asking, easing } = session;
  if (!asking) return null;
  const isStopFirst = stopsFirst(asking);
  const canGoOn = HARMLESS_ENDS.includes(asking.endedBy) && !isOverNumber(asking, limitScore);
  return (
    <Card $accent="oxide" role="alertdialog" aria-label="What now">
      <Stack $gap={14}>
        <Title>
          {END_NAMES[asking.endedBy]}
          {asking.endedBy === "pain-tap" && asking.painScore !== null ? `: ${asking.painScore}` : ""}. What now?
        </Title>
        <Stack $gap={10}>
          <Button $large {...(isStopFirst ? { $tone: "primary" as const } : {})} onPress={session.stopItem}>
            Stop this exercise for today
          </Button>
          <Button $large {...(isStopFirst ? {} : { $tone: "primary" as const })} isDisabled={!easing} onPress={session.ease}>
            Ease: {easeText(session, units)}
          </Button>
          {asking.endedBy === "pain-tap" && (
            <Button $large onPress={session.sayMuscle}>
              It was the muscle working, not the joint
            </Button>
          )}
          {canGoOn && (
            <Button $large onPress={session.goOnAfter}>
              {asking.endedBy === "cramp" ? "It is gone after a stretch: go on, shorter range" : "Go on as it is, after the rest"}
            </Button>
          )}
          <Button $large $tone="danger" onPress={session.end}>
            End the session
          </Button>
        </Stack>
        <Row>
          <Button onPress={session.voidLast}>A slip: take set {session.sets.findIndex(({ id }) => id === asking.id) + 1} back</Button>
        </Row>
      </Stack>
    </Card>
  );
}

/** A sign has been said: stop, whom to call, and what happens next. It is not undone here. */
export function WarningStop({ session, clientId, note }: { session: FloorSession; clientId: string; note: ReactNode }) {
  const { warnings } = session.log.state;
  return (
    <Card $accent="oxide" role="alert">
      <Stack>
        <Title>Stop here</Title>
        <ul>
          {[...new Set(warnings.map(({ sign }) => sign))].map((sign) => (
            <li key={sign}>
              <strong>{warningText(sign)}</strong>
            </li>
          ))}
        </ul>
        <p>Chest pain, breathlessness beyond the effort, fainting, or a numb saddle: call the emergency services now.</p>
        <p>
          A hot or suddenly swollen joint, a knee that locked or gave way, pain spreading down a leg, new weakness: the treating clinician,
          today. In pregnancy: the maternity team.
        </p>
        <p>Planning stops until a clinician has cleared this sign by name. What was done is kept.</p>
        {note}
        <Row>
          <Button $tone="primary" onPress={session.end}>
            End the session
          </Button>
          <Link href={`/clients/${clientId}/limits`}>Record a clearance</Link>
        </Row>
      </Stack>
    </Card>
  );
}

"use client";
import type { UnitSystem } from "../../core/units";
import Link from "next/link";
import { WARNING_SIGNS, type WarningSign } from "../../core/limits/clinician";
import { Button } from "../kit/button";
import { Card, Row, Stack, Title } from "../kit/layout";
import { warningText } from "../text/decision-text";
import { easeText } from "./side-panel";
import type { FloorSession } from "./use-session";

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

const WHY = {
  "pain-tap": "Pain over the agreed number",
  sharp: "Sharp pain",
  spreading: "Pain spreading down the leg",
  belly: "Pressure in the belly or pelvis",
  "warning-sign": "Warning sign",
} as const;

/** After sharp pain or pain over the number: one large question, and nothing counts down until it is answered. */
export function WhatNow({ session, units }: { session: FloorSession; units: UnitSystem }) {
  const { asking, easing } = session;
  if (!asking) return null;
  return (
    <Card $accent="oxide" role="alertdialog" aria-label="What now">
      <Stack $gap={14}>
        <Title>
          {WHY[asking.endedBy]}
          {asking.endedBy === "pain-tap" && asking.painScore !== null ? `: ${asking.painScore}` : ""}. What now?
        </Title>
        <Stack $gap={10}>
          <Button $large onPress={session.stopItem}>
            Stop this exercise for today
          </Button>
          <Button $large $tone="primary" isDisabled={!easing} onPress={session.ease}>
            Ease: {easeText(session, units)}
          </Button>
          <Button $large $tone="danger" onPress={session.end}>
            End the session
          </Button>
        </Stack>
        <Row>
          <Button onPress={session.voidLast}>A slip: take set {session.sets.length} back</Button>
        </Row>
      </Stack>
    </Card>
  );
}

/** A sign has been said: stop, whom to call, and what happens next. It is not undone here. */
export function WarningStop({ session, clientId }: { session: FloorSession; clientId: string }) {
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

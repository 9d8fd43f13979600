"use client";
import Link from "next/link";
import type { ReactNode } from "react";
import { Button } from "../kit/button";
import { Card, Row, Stack, Title } from "../kit/layout";
import type { FloorSession } from "./floor-session";
import { PainPad } from "./pain-pad";

/** A session that has ended: how hard it was, what is to be told, and going on where it ended too early. */
export function EndedCard({ clientId, session, note }: { clientId: string; session: FloorSession; note: ReactNode }) {
  const setCount = session.log.state.sets.length;
  return (
    <Card aria-label="Session ended">
      <Stack>
        <Title>Session ended</Title>
        <p>
          {setCount} {setCount === 1 ? "set" : "sets"} kept. Tomorrow morning decides: ease, hold or build.
        </p>
        {setCount > 0 && (
          <div>
            <p style={{ marginBottom: 6 }}>How hard was all of it, asked of the client? 0 is rest, 10 the hardest there is.</p>
            <PainPad
              of="Effort"
              label="How hard the session was"
              value={session.log.state.effortScore}
              onTap={(effortScore) => session.tellEffort(effortScore)}
            />
          </div>
        )}
        {note}
        <Row>
          <Link href={`/clients/${clientId}/morning`}>Morning after</Link>
          <Link href="/">All clients</Link>
          {session.log.state.warnings.length === 0 && <Button onPress={session.goOn}>Ended too early: go on</Button>}
        </Row>
      </Stack>
    </Card>
  );
}

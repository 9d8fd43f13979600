"use client";
import { type ReactNode, useState } from "react";
import { rememberSetUpAction } from "../../../actions/plan";
import type { UnitSystem } from "../../../core/units";
import { Link } from "../../kit/link";
import { Problem } from "../../kit/problem";
import { useStep } from "../../kit/use-step";
import { itemName } from "../../../words/basics/item";
import { settingText } from "../../../words/basics/lever";
import { Button } from "../../kit/button";
import { Card, Row, Stack, Title } from "../../kit/layout";
import type { FloorItem, FloorSession } from "./floor-session";
import { PainPad } from "../pain/pain-pad";

const lastMove = ({ log }: FloorSession, itemId: string) => log.state.moves.findLast((move) => move.itemId === itemId);

/** A set-up that was put by hand: where it begins next time, where the trainer says so. */
function SetUpKept({ clientId, session, item, units }: { clientId: string; session: FloorSession; item: FloorItem; units: UnitSystem }) {
  const { take, isTaking, problem } = useStep(units);
  const [isKept, setKept] = useState(false);
  const to = lastMove(session, item.itemId)?.to;
  if (!to) return null;
  const choice = { sessionId: session.sessionId, itemId: item.itemId };
  return (
    <Row $gap={8} style={{ alignItems: "center" }}>
      <span>
        {itemName(item)} was put to {settingText(to.setting, units)}.
      </span>
      {isKept ? (
        <strong role="status">Next time begins there.</strong>
      ) : (
        <Button
          isDisabled={isTaking}
          onPress={() =>
            take(
              (stepId) => rememberSetUpAction(clientId, choice, stepId),
              () => setKept(true),
            )
          }
        >
          Begin there next time
        </Button>
      )}
      <Problem text={problem} />
    </Row>
  );
}

/** A session that has ended: how hard it was, what is to be told, and going on where it ended too early. */
export function EndedCard(props: { clientId: string; session: FloorSession; note: ReactNode; units: UnitSystem }) {
  const { clientId, session, note, units } = props;
  const setCount = session.log.state.sets.length;
  const changed = session.items.filter(
    ({ itemId }) => lastMove(session, itemId)?.by === "set-up" || lastMove(session, itemId)?.by === "build",
  );
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
        {changed.map((item) => (
          <SetUpKept key={item.itemId} clientId={clientId} session={session} item={item} units={units} />
        ))}
        {note}
        <Row>
          <Link href={`/clients/${clientId}/morning`}>Morning after</Link>
          <Link href="/">Today</Link>
          {session.log.state.warnings.length === 0 && <Button onPress={session.goOn}>Ended too early: go on</Button>}
        </Row>
      </Stack>
    </Card>
  );
}

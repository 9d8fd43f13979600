"use client";
import type { UnitSystem } from "../../../core/units";
import { variationById } from "../../../core/catalogue/catalogue";
import { Button, Key } from "../../kit/button";
import { Card, Row, Stack, Title } from "../../kit/layout";
import { Why } from "../../kit/why";
import { jointText } from "../../../words/basics/channel";
import { changeText } from "../../../words/basics/lever";
import { percentText } from "../../../words/basics/quantity";
import { Chip } from "./chip";
import type { MovedBy } from "../../../core/floor/events";
import type { FloorSession } from "./floor-session";

/** What easing would do now, in set-up words; or that nothing easier is left. */
export function easeText({ easing }: Pick<FloorSession, "easing">, units: UnitSystem): string {
  if (!easing?.tread.change) return "Nothing easier is left: rest this pattern today, and ask the treating clinician.";
  return changeText(easing.tread.change, variationById(easing.tread.variationId).name, units);
}

const MOVED: Readonly<Record<MovedBy, string>> = { ease: "Eased", build: "Built", "set-up": "Changed by hand", swap: "Another instead" };

/** Form seen in the set, what ends a set at once, and easing: always in view. */
export function SidePanel({ session, units, onWarning }: { session: FloorSession; units: UnitSystem; onWarning: () => void }) {
  const { variation, faults, easing, log, item } = session;
  const isUnderWay = session.tempo.status !== "idle";
  const canMark = isUnderWay || session.lastSet !== undefined;
  const marksOf = (id: string): number =>
    session.sets.filter((set) => set.faults.includes(id)).length + (isUnderWay && faults.includes(id) ? 1 : 0);
  const repeated = variation.faults.find(({ id }) => faults.includes(id) && marksOf(id) >= 2);
  const isLate = repeated !== undefined && session.lastSet?.lateFaults.includes(repeated.id);
  const lastMove = log.state.moves.findLast(({ itemId }) => itemId === item.itemId);
  const { riserFraction, channel } = easing?.tread ?? {};
  return (
    <Stack>
      <Card aria-label="Seen in this set">
        <Title>Seen in this set</Title>
        <Row style={{ marginTop: 8 }} $gap={8}>
          {variation.faults.map(({ id, sign }) => (
            <Chip key={id} isDisabled={!canMark} isSelected={faults.includes(id)} onChange={() => session.toggleFault(id)}>
              {sign}
            </Chip>
          ))}
        </Row>
        {repeated && (
          <p style={{ marginTop: 10 }}>
            <strong>Likely: {repeated.cause}.</strong> {repeated.response}{" "}
            {isLate
              ? "It came late in the set: strength or fatigue."
              : "If it is there in the easy version too: mobility, or not understood."}
          </p>
        )}
      </Card>
      <Card $accent="oxide" aria-label="Ends the set">
        <Row $gap={8}>
          <Button $tone="danger" isDisabled={!canMark} onPress={() => session.endSet("sharp")}>
            Sharp
          </Button>
          <Button $tone="danger" isDisabled={!canMark} onPress={() => session.endSet("spreading")}>
            Spreads down the leg
          </Button>
          <Button $tone="danger" isDisabled={!canMark} onPress={() => session.endSet("belly")}>
            Belly or pelvic pressure
          </Button>
          <Button isDisabled={!canMark} onPress={() => session.endSet("joint")}>
            Joint pressure
          </Button>
          <Button isDisabled={!canMark} onPress={() => session.endSet("cramp")}>
            Cramp
          </Button>
          <Button isDisabled={!canMark} onPress={() => session.endSet("form-lost")}>
            Form lost
          </Button>
          <Button $tone="danger" onPress={onWarning}>
            Warning sign
          </Button>
        </Row>
      </Card>
      <Card $accent="brass" aria-label="Ease">
        <Title>{lastMove ? MOVED[lastMove.by] : "Ease"}</Title>
        {lastMove && (
          <p role="status">
            {lastMove.to.variationId === item.variationId
              ? changeText({ levers: lastMove.levers, fromVariationId: null, sets: null }, "", units)
              : variationById(lastMove.to.variationId).name}
            {lastMove.setCount !== null && lastMove.levers.length === 0 && `: ${lastMove.setCount} sets`}, from the next set on.
          </p>
        )}
        <p>{easeText(session, units)}</p>
        <Row style={{ marginTop: 8 }}>
          <Button $tone="primary" isDisabled={!easing} onPress={session.ease}>
            Ease now <Key aria-hidden>E</Key>
          </Button>
          {lastMove && <Button onPress={session.undoEase}>Undo</Button>}
          {easing && (
            <Why title="The quickest change" about="Why this ease">
              <p>
                {channel && riserFraction != null && `The ${jointText(channel, "both")} is asked ${percentText(-riserFraction)} less. `}A
                change the client can feel and the room can set up: load first, then height by a cushion, then hands; then a set fewer, then
                an easier row.
              </p>
            </Why>
          )}
        </Row>
      </Card>
    </Stack>
  );
}

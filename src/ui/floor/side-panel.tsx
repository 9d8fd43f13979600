"use client";
import type { UnitSystem } from "../../core/units";
import { ToggleButton } from "react-aria-components";
import styled from "styled-components";
import { variationById } from "../../core/catalogue/catalogue";
import { Button, Key } from "../kit/button";
import { Card, Row, Stack, Title } from "../kit/layout";
import { Why } from "../kit/why";
import { jointText } from "../text/channel-text";
import { changeText } from "../text/lever-text";
import { percentText } from "../text/quantity-text";
import { color, size } from "../theme/tokens";
import type { FloorSession } from "./use-session";

const Chip = styled(ToggleButton)`
  min-height: ${size.target};
  padding: 8px 13px;
  border: 1px solid ${color.fogDeep};
  border-radius: ${size.radius};
  background: ${color.paper};
  cursor: pointer;
  &[data-selected] {
    border: 2px solid ${color.brass};
    background: ${color.brassWash};
    font-weight: 700;
  }
`;

/** What easing would do now, in set-up words; or that nothing easier is left. */
export function easeText({ easing }: Pick<FloorSession, "easing">, units: UnitSystem): string {
  if (!easing?.tread.change) return "Nothing easier is left: rest this pattern today, and ask the treating clinician.";
  return changeText(easing.tread.change, variationById(easing.tread.variationId).name, units);
}

/** Form seen in the set, what ends a set at once, and easing: always in view. */
export function SidePanel({ session, units, onWarning }: { session: FloorSession; units: UnitSystem; onWarning: () => void }) {
  const { variation, faults, easing, log, item } = session;
  const canMark = session.tempo.status !== "idle" || session.lastSet !== undefined;
  const repeated = variation.faults.find(({ id }) => faults.includes(id));
  const lastEase = log.state.eases.findLast(({ itemId }) => itemId === item.itemId);
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
            <strong>Likely: {repeated.cause}.</strong> {repeated.response}
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
          <Button $tone="danger" onPress={onWarning}>
            Warning sign
          </Button>
        </Row>
      </Card>
      <Card $accent="brass" aria-label="Ease">
        <Title>{lastEase ? "Eased" : "Ease"}</Title>
        {lastEase && (
          <p role="status">
            {changeText({ levers: lastEase.levers, fromVariationId: null, sets: null }, "", units)}
            {lastEase.setCount !== null && lastEase.levers.length === 0 && `: ${lastEase.setCount} sets`}, from the next set on.
          </p>
        )}
        <p>{easeText(session, units)}</p>
        <Row style={{ marginTop: 8 }}>
          <Button $tone="primary" isDisabled={!easing} onPress={session.ease}>
            Ease now <Key aria-hidden>E</Key>
          </Button>
          {lastEase && <Button onPress={session.undoEase}>Undo</Button>}
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

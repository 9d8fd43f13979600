"use client";
import { ToggleButton } from "react-aria-components";
import styled from "styled-components";
import { percentText, type UnitSystem } from "../text/quantity-text";
import { jointText } from "../text/channel-text";
import { stepText } from "../text/lever-text";
import { Button, Key } from "../kit/button";
import { Card, Row, Stack, Title } from "../kit/layout";
import { Why } from "../kit/why";
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

/** Form seen in the set, what ends a set at once, and easing: always in view. */
export function SidePanel({ session, units }: { session: FloorSession; units: UnitSystem }) {
  const { variation, faults, easeStep, log } = session;
  const canMark = session.tempo.status !== "idle" || session.lastSet !== undefined;
  const repeated = variation.faults.find(({ id }) => faults.includes(id));
  const lastEase = log.state.eases.at(-1);
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
          <Button $tone="danger" onPress={() => session.endSet("warning-sign")}>
            Warning sign
          </Button>
        </Row>
      </Card>
      <Card $accent="brass" aria-label="Ease">
        <Title>{lastEase ? "Eased" : "Ease"}</Title>
        {lastEase && <p role="status">{stepText(lastEase.lever, lastEase.from, lastEase.to, units)}, from the next set on.</p>}
        {easeStep ? <p>{stepText(easeStep.lever, easeStep.from, easeStep.to, units)}</p> : <p>Nothing easier is left in this variation.</p>}
        <Row style={{ marginTop: 8 }}>
          <Button $tone="primary" isDisabled={!easeStep} onPress={session.ease}>
            Ease now <Key aria-hidden>E</Key>
          </Button>
          {lastEase && <Button onPress={session.undoEase}>Undo</Button>}
          {easeStep && (
            <Why title="The quickest change" about="Why this ease">
              <p>
                The {jointText(easeStep.channel, "both")} is asked {percentText(-easeStep.riserFraction)} less. One lever, by the fewest
                steps on hand that make a difference: load first, then height, then hands.
              </p>
            </Why>
          )}
        </Row>
      </Card>
    </Stack>
  );
}

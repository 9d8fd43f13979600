"use client";
import { useMemo, useState } from "react";
import {
  CHANNELS,
  type ChannelId,
  type ModelLever,
  type ModelTemplate,
  type NumberChannelId,
  solveTemplate,
  templateDemand,
  type Who,
} from "../../core";
import { Button } from "../kit/button";
import { NumberField, SelectField } from "../kit/fields";
import { Card, Row, Soft, Stack, Title } from "../kit/layout";
import { modelChannelName, modelLeverText } from "../text/model-text";
import { percentText, type UnitSystem } from "../text/quantity-text";

/** Channels worth solving for: forces that are told as numbers. */
const SOLVABLE = (Object.keys(CHANNELS) as ChannelId[]).filter((id): id is NumberChannelId => CHANNELS[id].reads === "force");

interface Found {
  /** On hand, never asking more; null where nothing on hand does. */
  value: number | null;
  exact: number | null;
  useFraction: number | null;
  reason: "target-below-range" | "target-above-range" | "no-feasible-pose" | null;
}

function find(
  who: Who,
  template: ModelTemplate,
  values: Record<string, number>,
  lever: ModelLever,
  channel: NumberChannelId,
  fraction: number,
): Found {
  const watched = { channel, leg: "lead" as const };
  const now = templateDemand(who, template, values, watched);
  const solution = solveTemplate(who, template, values, lever, watched, now * fraction);
  const { snapped } = solution;
  const there = snapped === null ? NaN : templateDemand(who, template, { ...values, [lever.id]: snapped }, watched);
  return {
    value: snapped,
    exact: solution.ok ? solution.x : null,
    useFraction: Number.isFinite(there / now) ? there / now : null,
    reason: solution.ok ? null : solution.reason,
  };
}

function foundText({ value, exact, useFraction, reason }: Found, lever: ModelLever, units: UnitSystem): string {
  const name = lever.name.toLowerCase();
  if (value === null) return reason === "target-above-range" ? `No ${name} asks that much.` : `No ${name} on hand asks so little.`;
  const far = reason === "target-above-range" ? " It does not get higher than that." : "";
  const between = exact !== null && Math.abs(exact - value) > lever.step / 20 ? ` (exactly ${modelLeverText(lever, exact, units)})` : "";
  return `${lever.name} ${modelLeverText(lever, value, units)}${between}: ${useFraction === null ? "" : percentText(useFraction)} of what is asked now.${far}`;
}

/** Which setting makes a joint be asked so much less, or more, than now: solved, and snapped to what is on hand on the safe side. */
export function FindCard(props: {
  who: Who;
  template: ModelTemplate;
  values: Record<string, number>;
  units: UnitSystem;
  onSet: (lever: string, value: number) => void;
}) {
  const { who, template, values, units, onSet } = props;
  const [leverId, setLeverId] = useState(template.movement.lever);
  const [percent, setPercent] = useState(70);
  const [picked, setPicked] = useState<NumberChannelId>("kneeMoment");
  const channels = useMemo(
    () => SOLVABLE.filter((channel) => templateDemand(who, template, values, { channel, leg: "lead" }) > 0),
    [who, template, values],
  );
  const channel = channels.includes(picked) ? picked : channels[0];
  const lever = template.levers.find(({ id }) => id === leverId) ?? template.levers[0];
  const found = useMemo(
    () => (channel && lever ? find(who, template, values, lever, channel, percent / 100) : null),
    [who, template, values, lever, channel, percent],
  );
  if (!channel || !lever) return null;
  return (
    <Card aria-label="Find a setting" style={{ marginTop: 14 }}>
      <Stack $gap={8}>
        <Title>Find a setting</Title>
        <Row $gap={16} style={{ alignItems: "end" }}>
          <SelectField
            label="What should be asked"
            options={channels.map((id) => ({ id, label: modelChannelName(id) }))}
            value={channel}
            onChange={setPicked}
          />
          <NumberField label="Of what it is now" unit="%" minValue={10} maxValue={200} step={5} value={percent} onChange={setPercent} />
          <SelectField
            label="By moving"
            options={template.levers.map(({ id, name }) => ({ id, label: name }))}
            value={lever.id}
            onChange={setLeverId}
          />
          {found?.value != null && <Button onPress={() => onSet(lever.id, found.value ?? lever.start)}>Set it so</Button>}
        </Row>
        <p aria-live="polite">{found && foundText(found, lever, units)}</p>
        <Soft>Under 5% apart is about the same; never snapped to where more is asked.</Soft>
      </Stack>
    </Card>
  );
}

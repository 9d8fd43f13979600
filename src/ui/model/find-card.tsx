"use client";
import type { UnitSystem } from "../../core/units";
import { useMemo, useState } from "react";
import { type ChannelSide, CHANNELS, NUMBER_CHANNELS, type NumberChannelId } from "../../core/mechanics/channels";
import { headlineOf, solveLever } from "../../core/progressions/solve";
import { type Form, leversOf, movedBy, type OwnRange } from "../../core/templates/form";
import { type LeverId, LEVERS, type Setting, withLever } from "../../core/templates/lever";
import type { Subject } from "../../core/templates/template";
import { Button } from "../kit/button";
import { SelectField } from "../kit/fields";
import { NumberField } from "../kit/number-field";
import { Card, Row, Soft, Stack, Title } from "../kit/layout";
import { quantityName } from "../../words/basics/channel";
import { leverName, leverValueText } from "../../words/basics/lever";
import { percentText } from "../../words/basics/quantity";

/** Channels worth solving for: forces that are told as numbers. */
const SOLVABLE = NUMBER_CHANNELS.filter((id) => CHANNELS[id].reads === "force");

interface Found {
  /** On hand, never asking more; null where nothing on hand does. */
  value: number | null;
  exact: number | null;
  useFraction: number | null;
  reason: "target-below-range" | "target-above-range" | "no-feasible-pose" | null;
}
interface Asking {
  subject: Subject;
  form: Form;
  setting: Setting;
}
const sideOf = (channel: NumberChannelId, { leadSide }: Subject): ChannelSide => (CHANNELS[channel].sided ? leadSide : "both");

function find({ subject, form, setting }: Asking, range: OwnRange, channel: NumberChannelId, fraction: number): Found {
  const solvedFor = { channel, side: sideOf(channel, subject) };
  const now = headlineOf(subject, form, setting, solvedFor, false);
  const solution = solveLever(subject, form, setting, range, solvedFor, now * fraction, LEVERS[range.lever].increment, false);
  const { snapped } = solution;
  const there = snapped === null ? NaN : headlineOf(subject, form, withLever(setting, range.lever, snapped), solvedFor, false);
  return {
    value: snapped,
    exact: solution.ok ? solution.x : null,
    useFraction: Number.isFinite(there / now) ? there / now : null,
    reason: solution.ok ? null : solution.reason,
  };
}

function foundText({ value, exact, useFraction, reason }: Found, lever: LeverId, units: UnitSystem): string {
  const name = leverName(lever);
  if (value === null)
    return reason === "target-above-range"
      ? `No ${name.toLowerCase()} asks that much.`
      : `No ${name.toLowerCase()} on hand asks so little.`;
  const far = reason === "target-above-range" ? " It does not get higher than that." : "";
  const isBetween = exact !== null && Math.abs(exact - value) > LEVERS[lever].increment / 20;
  const between = isBetween ? ` (exactly ${leverValueText(lever, exact, units)})` : "";
  return `${name} ${leverValueText(lever, value, units)}${between}: ${useFraction === null ? "" : percentText(useFraction)} of what is asked now.${far}`;
}

/** Which setting makes a joint be asked so much less, or more, than now: solved, and snapped to what is on hand on the safe side. */
export function FindCard(props: Asking & { units: UnitSystem; onSet: (lever: LeverId, value: number) => void }) {
  const { subject, form, setting, units, onSet } = props;
  const [leverId, setLeverId] = useState<LeverId>(movedBy(form));
  const [percent, setPercent] = useState(70);
  const [picked, setPicked] = useState<NumberChannelId>("kneeMoment");
  const channels = useMemo(
    () => SOLVABLE.filter((channel) => headlineOf(subject, form, setting, { channel, side: sideOf(channel, subject) }, false) > 0),
    [subject, form, setting],
  );
  const ranges = useMemo(() => leversOf(subject, form), [subject, form]);
  const channel = channels.includes(picked) ? picked : channels[0];
  const range = ranges.find(({ lever }) => lever === leverId) ?? ranges[0];
  const found = useMemo(
    () => (channel && range ? find({ subject, form, setting }, range, channel, percent / 100) : null),
    [subject, form, setting, range, channel, percent],
  );
  if (!channel || !range) return null;
  return (
    <Card aria-label="Find a setting" style={{ marginTop: 14 }}>
      <Stack $gap={8}>
        <Title>Find a setting</Title>
        <Row $gap={16} style={{ alignItems: "end" }}>
          <SelectField
            label="What should be asked"
            options={channels.map((id) => ({ id, label: quantityName(id) }))}
            value={channel}
            onChange={setPicked}
          />
          <NumberField label="Of what it is now" unit="%" minValue={10} maxValue={200} step={5} value={percent} onChange={setPercent} />
          <SelectField
            label="By moving"
            options={ranges.map(({ lever }) => ({ id: lever, label: leverName(lever) }))}
            value={range.lever}
            onChange={setLeverId}
          />
          {found?.value != null && <Button onPress={() => onSet(range.lever, found.value ?? range.start)}>Set it so</Button>}
        </Row>
        <p aria-live="polite">{found && foundText(found, range.lever, units)}</p>
        <Soft>Under 5% apart is about the same; never snapped to where more is asked.</Soft>
      </Stack>
    </Card>
  );
}

"use client";
import { useState } from "react";
import { Form } from "react-aria-components";
import { v4 as newUuid } from "uuid";
import { addLimitAction } from "../../actions/limits";
import type { Day } from "../../core/day";
import {
  type Limit,
  LIMIT_BOUNDS,
  LIMIT_CHANNELS,
  type LimitChannelId,
  type LimitRule,
  type OwnerKind,
  ROOM_BOUNDS,
} from "../../core/limits/limit";
import { CHANNELS, type ChannelSide } from "../../core/mechanics/channels";
import { kgfFromN, kgFromLb, lbFromKg, nFromKgf, type UnitSystem } from "../../core/units";
import { type Trait, TRAITS } from "../../core/templates/template";
import { Button } from "../kit/button";
import { ChoiceField, SelectField, TextField } from "../kit/fields";
import { NumberField } from "../kit/number-field";
import { Row, Stack } from "../kit/layout";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { limitChannelName, traitName } from "../../words/client/limit";
import { capital } from "../../words/basics/words";
import { DayField } from "../kit/day-field";

type What = `most ${LimitChannelId}` | "room" | `never ${Trait}` | "own-words";
const WHATS: readonly { id: What; label: string }[] = [
  ...LIMIT_CHANNELS.map((channel) => ({ id: `most ${channel}` as const, label: `${capital(limitChannelName[channel])}, at most` })),
  { id: "room", label: "Belly room, at least" },
  ...TRAITS.map((trait) => ({ id: `never ${trait}` as const, label: `No ${traitName[trait]}` })),
  { id: "own-words", label: "In own words" },
];
const OWNERS = [
  { id: "clinician", label: "Clinician" },
  { id: "rule", label: "Published rule" },
  { id: "client", label: "Client's own choice" },
] as const;
const SIDES = [
  { id: "left", label: "Left" },
  { id: "right", label: "Right" },
  { id: "both", label: "Both" },
] as const;

const channelOf = (what: What): LimitChannelId | null => LIMIT_CHANNELS.find((channel) => what === `most ${channel}`) ?? null;
const isForce = (channel: LimitChannelId): boolean => CHANNELS[channel].unit === "N";

/** What is typed for a bound, and what it is in SI: degrees, kilograms or pounds, per cent of body weight. */
function edgeOf(
  channel: LimitChannelId,
  units: UnitSystem,
): { unit: string; toSi: (typed: number) => number; fromSi: (value: number) => number } {
  if (channel === "legWeight") return { unit: "% of body weight", toSi: (typed) => typed / 100, fromSi: (value) => value * 100 };
  if (!isForce(channel)) return { unit: "degrees", toSi: (typed) => typed, fromSi: (value) => value };
  return units === "metric"
    ? { unit: "kg", toSi: nFromKgf, fromSi: kgfFromN }
    : { unit: "lb", toSi: (typed) => nFromKgf(kgFromLb(typed)), fromSi: (value) => lbFromKg(kgfFromN(value)) };
}

function ruleOf(what: What, value: number, text: string, units: UnitSystem): LimitRule {
  const channel = channelOf(what);
  if (channel) return { kind: "most", channel, most: edgeOf(channel, units).toSi(value) };
  if (what === "room") return { kind: "room", leastDeg: value };
  const never = TRAITS.find((trait) => what === `never ${trait}`);
  return never ? { kind: "never", what: never } : { kind: "own-words", text };
}

/** A new limit: what, which side, whose, and until when. */
export function LimitForm({ clientId, today, units, onDone }: { clientId: string; today: Day; units: UnitSystem; onDone: () => void }) {
  const [id] = useState(() => newUuid()); // made here: sent twice, it is one limit
  const [what, setWhat] = useState<What>("most kneeFlexion");
  const [value, setValue] = useState(NaN);
  const [text, setText] = useState("");
  const [side, setSide] = useState<ChannelSide | null>(null);
  const [ownerKind, setOwnerKind] = useState<OwnerKind>("clinician");
  const [ownerName, setOwnerName] = useState("");
  const [untilDay, setUntilDay] = useState<Day | null>(null);
  const { take, isTaking, problem } = useStep();
  const channel = channelOf(what);
  const isSided = channel !== null && CHANNELS[channel].sided;
  const edge = channel && edgeOf(channel, units);
  const bounds =
    channel && edge ? { min: edge.fromSi(LIMIT_BOUNDS[channel].min), max: edge.fromSi(LIMIT_BOUNDS[channel].max) } : ROOM_BOUNDS;
  return (
    <Form
      onSubmit={(event) => {
        event.preventDefault();
        const owner = { kind: ownerKind, name: ownerName };
        const limit: Omit<Limit, "lift" | "side"> = { id, rule: ruleOf(what, value, text, units), owner, fromDay: today, untilDay };
        take((stepId) => addLimitAction(clientId, { ...limit, side: isSided ? side : "both" }, stepId), onDone);
      }}
    >
      <Stack>
        <SelectField label="What is limited" options={WHATS} value={what} onChange={setWhat} />
        {(channel !== null || what === "room") && (
          <Row $gap={24} style={{ alignItems: "start" }}>
            <NumberField
              label={what === "room" ? "At least" : "At most"}
              unit={edge?.unit ?? "degrees"}
              isRequired
              minValue={Math.round(bounds.min)}
              maxValue={Math.round(bounds.max)}
              value={value}
              onChange={setValue}
            />
            {isSided && <ChoiceField label="Side" options={SIDES} value={side} onChange={setSide} />}
          </Row>
        )}
        {what === "own-words" && (
          <TextField
            label="In own words"
            isRequired
            value={text}
            onChange={setText}
            hint="Shown on every page. It closes nothing by itself."
          />
        )}
        <ChoiceField label="Whose limit" options={OWNERS} value={ownerKind} onChange={setOwnerKind} />
        <Row $gap={24} style={{ alignItems: "start" }}>
          <TextField label="Name or role" isRequired value={ownerName} onChange={setOwnerName} />
          <DayField label="Last day it runs" hint="Empty: no end" value={untilDay} onChange={setUntilDay} />
        </Row>
        <Problem text={problem} />
        <Button type="submit" $tone="primary" isDisabled={isTaking}>
          Add the limit
        </Button>
      </Stack>
    </Form>
  );
}

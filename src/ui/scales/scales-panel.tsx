"use client";
import { useRef, useState } from "react";
import { v4 as newUuid } from "uuid";
import { keepFindingAction } from "../../actions/assess";
import { scaleLine, shareSummary, shareUnder, type StandIn } from "../../core/assess/scales";
import type { Day } from "../../core/day";
import type { Side } from "../../core/mechanics/channels";
import type { UnitSystem } from "../../core/units";
import { Button, TextButton } from "../kit/button";
import { ChoiceField } from "../kit/fields";
import { Card, Notice, Row, Soft, Stack } from "../kit/layout";
import { NumberField } from "../kit/number-field";
import { Problem } from "../kit/problem";
import { useStep } from "../kit/use-step";
import { massText, percentText } from "../../words/basics/quantity";
import { pretendedScales, standInDriver } from "./driver";
import { ScaleButtons } from "./scale-buttons";
import { ShareTrace } from "./share-trace";
import { useScales } from "./use-scales";

const GUARDED = [
  { id: "left", label: "Spares the left" },
  { id: "right", label: "Spares the right" },
  { id: "neither", label: "Neither" },
] as const;

/** What the stand-in pretends; changed while it runs. */
function StandInFields({ value, onChange }: { value: StandIn; onChange: (value: StandIn) => void }) {
  return (
    <Row $gap={18} style={{ alignItems: "start" }}>
      <ChoiceField
        label="It pretends a client who"
        options={GUARDED}
        value={value.guarded ?? "neither"}
        onChange={(guarded) => onChange({ ...value, guarded: guarded === "neither" ? null : guarded })}
      />
      <NumberField
        label="By"
        unit="% of the weight"
        minValue={0}
        maxValue={30}
        value={value.sparedBy * 100}
        onChange={(by) => onChange({ ...value, sparedBy: by / 100 })}
      />
      <NumberField
        label="Noise"
        unit="kg"
        minValue={0}
        maxValue={5}
        value={value.noiseKg}
        onChange={(noiseKg) => onChange({ ...value, noiseKg })}
      />
      <NumberField
        label="Silent"
        unit="% of the time"
        minValue={0}
        maxValue={90}
        value={value.dropPercent}
        onChange={(dropPercent) => onChange({ ...value, dropPercent })}
      />
    </Row>
  );
}

/** Weight under each foot from two scales, live: what is spared is found, said and kept. Without scales the shares are typed below. */
export function ScalesPanel({ clientId, massKg, today, units }: { clientId: string; massKg: number; today: Day; units: UnitSystem }) {
  const scales = useScales(scaleLine);
  const { state, readings, isStandIn, stop } = scales;
  const [standIn, setStandIn] = useState<StandIn>({ massKg, guarded: "right", sparedBy: 0.07, noiseKg: 0.5, dropPercent: 3 });
  const pretended = useRef(standIn);
  const [id, setId] = useState(() => newUuid());
  const { take, isTaking, problem } = useStep(units);
  const summary = shareSummary(readings);
  const side: Side = summary?.guarded ?? "right";
  const keep = (): void => {
    if (!summary) return;
    const value = Math.round(shareUnder(summary, side) * 1000) / 1000;
    const note = `${isStandIn ? "Stand-in, not scales. " : ""}${summary.count} readings, least ${percentText(summary.leastSpared)}, most ${massText(Math.max(summary.peakKg.left, summary.peakKg.right), units)} under one foot`;
    const finding = {
      id,
      day: today,
      protocol: "weight-share",
      side,
      value,
      setUp: isStandIn ? { standIn: 1 } : {},
      note,
      isConfirmed: true,
    };
    take(
      (stepId) => keepFindingAction(clientId, finding, stepId),
      () => {
        setId(newUuid());
        stop();
      },
    );
  };
  return (
    <Card aria-label="Two scales">
      <Stack>
        <Row>
          <ScaleButtons scales={scales} cable="Scales by cable" standIn={() => standInDriver(pretendedScales(() => pretended.current))} />
          <Soft>
            {state === "listening"
              ? isStandIn
                ? "The stand-in pretends; nothing is on a scale."
                : "Listening to the scales."
              : "A foot on each, five slow rises."}
          </Soft>
        </Row>
        {scales.lacksCable && <Notice>This browser reads no cable. Type the shares below, or use a browser that does.</Notice>}
        {state === "lost" && (
          <Notice $tone="oxide">The scales fell silent: the cable, or their power. What was heard is still here.</Notice>
        )}
        {state === "refused" && <Notice $tone="oxide">The scales could not be opened: perhaps another page is listening to them.</Notice>}
        {isStandIn && state === "listening" && (
          <StandInFields
            value={standIn}
            onChange={(next) => {
              pretended.current = next;
              setStandIn(next);
            }}
          />
        )}
        {readings.length > 0 && <ShareTrace readings={readings} />}
        {summary && (
          <p role="status">
            {summary.guarded === null ? "Both sides carry alike: " : `The ${summary.guarded} is spared: `}
            <strong>
              {percentText(shareUnder(summary, side))} under the {side}
            </strong>
            , {percentText(summary.leastSpared)} at its least; most under one foot{" "}
            {massText(Math.max(summary.peakKg.left, summary.peakKg.right), units)}
            {summary.droppedFraction > 0.05 && `; silent ${percentText(summary.droppedFraction)} of the time`}.
          </p>
        )}
        <Problem text={problem} />
        {summary && (
          <Row>
            <Button $tone="primary" isDisabled={isTaking} onPress={keep}>
              Keep {percentText(shareUnder(summary, side))}, {side}
            </Button>
            {state !== "listening" && <TextButton onPress={stop}>leave it</TextButton>}
          </Row>
        )}
      </Stack>
    </Card>
  );
}

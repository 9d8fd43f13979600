"use client";
import { useState } from "react";
import styled from "styled-components";
import type { Dose, Drops, Variation } from "../../core/catalogue/variation";
import { type Purpose, PURPOSES } from "../../core/dose/purpose";
import { repetitionsIn, TEMPO_PRESETS, tempoFrom, tensionS } from "../../core/dose/tempo";
import { DOSE_LIMITS, doseS, HOLD_FROM_S, isTimed, phasesOf } from "../../core/dose/dose";
import { Button, TextButton } from "../kit/button";
import type { UnitSystem } from "../../core/units";
import { CheckField } from "../kit/fields";
import { leverValueText, unlikeSetsText } from "../../words/basics/lever";
import { NumberField } from "../kit/number-field";
import { Row, Stack } from "../kit/layout";
import { Ask } from "../kit/why";
import { itemDoseText, purposeName } from "../../words/training/plan";
import { rangeText, secondsText } from "../../words/basics/quantity";

/** "3 × 8–12, lower 3, pause 1, rise 2", in the order that a repetition runs; "2 × 30 s hold" by the clock. */
export function doseText(dose: Dose, startsBy: Variation["startsBy"]): string {
  const { setCount, repetitionsLow, repetitionsHigh } = dose;
  if (dose.counts) return itemDoseText({ dose, sides: [] });
  if (isTimed(dose)) return `${itemDoseText({ dose, sides: [] })}${dose.tempo.pauseS >= HOLD_FROM_S ? " hold" : ""}`;
  const phases = phasesOf(dose, startsBy).map(({ phase, lengthS }) => `${phase} ${lengthS}`);
  return `${setCount} × ${rangeText(repetitionsLow, repetitionsHigh)}, ${phases.join(", ")}`;
}

const Fields = styled(Row)`
  align-items: start;
  margin-bottom: 14px;
`;

/** The dose in words, and a small form to change it. */
export function DoseWords(props: {
  dose: Dose;
  startsBy: Variation["startsBy"];
  legs: string;
  /** A dose for a purpose, where the row and the school are known. */
  purposes?: (purpose: Purpose) => Dose;
  /** The loads that a drop set would fall to, of what is here; null where it holds none, or nothing lighter is here. */
  dropsHere?: Drops | null;
  units: UnitSystem;
  onChange: (dose: Dose) => void;
}) {
  const { dose, startsBy, legs, purposes, dropsHere, units, onChange } = props;
  const [isOpen, setOpen] = useState(false);
  const { repetitions, setCount, tempoS, riseS, restS } = DOSE_LIMITS;
  const tempo = (part: Partial<Dose["tempo"]>): void => onChange({ ...dose, tempo: { ...dose.tempo, ...part } });
  return (
    <Stack $gap={4}>
      <Row style={{ justifyContent: "space-between" }}>
        <strong>{doseText(dose, startsBy)}</strong>
        <TextButton aria-label="Change the dose" onPress={() => setOpen(true)}>
          change
        </TextButton>
      </Row>
      <span>
        {legs}. {dose.restS} s between sets, {secondsText(doseS(dose))} in all
        {unlikeSetsText(dose, units)}.
      </span>
      <Ask title="Dose" isOpen={isOpen} onClose={() => setOpen(false)}>
        {purposes && (
          <Row $gap={6} role="group" aria-label="For" style={{ marginBottom: 10 }}>
            <strong>For</strong>
            {PURPOSES.filter((purpose) => purpose !== "conditioning").map((purpose) => (
              <Button key={purpose} $tight onPress={() => onChange(purposes(purpose))}>
                {purposeName(purpose)}
              </Button>
            ))}
          </Row>
        )}
        <Row $gap={6} role="group" aria-label="Tempo" style={{ marginBottom: 10 }}>
          <strong>Tempo</strong>
          {TEMPO_PRESETS.map((preset) => (
            <Button key={preset} $tight onPress={() => tempo(tempoFrom(preset, startsBy) ?? {})}>
              {preset}
            </Button>
          ))}
          <span>
            {secondsText(tensionS(dose.tempo, dose.repetitionsHigh))} under tension a set; half a minute is {repetitionsIn(dose.tempo, 30)}{" "}
            repetitions
          </span>
        </Row>
        <Fields>
          <NumberField
            label="Sets"
            minValue={setCount.min}
            maxValue={setCount.max}
            value={dose.setCount}
            onChange={(value) => onChange({ ...dose, setCount: value })}
          />
          <NumberField
            label="Repetitions from"
            minValue={repetitions.min}
            maxValue={dose.repetitionsHigh}
            value={dose.repetitionsLow}
            onChange={(value) => onChange({ ...dose, repetitionsLow: value })}
          />
          <NumberField
            label="Repetitions to"
            minValue={dose.repetitionsLow}
            maxValue={repetitions.max}
            value={dose.repetitionsHigh}
            onChange={(value) => onChange({ ...dose, repetitionsHigh: value })}
          />
          <NumberField
            label="Lower"
            unit="s"
            minValue={tempoS.min}
            maxValue={tempoS.max}
            value={dose.tempo.lowerS}
            onChange={(lowerS) => tempo({ lowerS })}
          />
          <NumberField
            label="Pause"
            unit="s"
            minValue={tempoS.min}
            maxValue={tempoS.max}
            value={dose.tempo.pauseS}
            onChange={(pauseS) => tempo({ pauseS })}
          />
          <NumberField
            label="Rise"
            unit="s"
            minValue={riseS.min}
            maxValue={riseS.max}
            value={dose.tempo.riseS}
            onChange={(value) => tempo({ riseS: value })}
          />
          <NumberField
            label="Between sets"
            unit="s"
            step={15}
            minValue={restS.min}
            maxValue={restS.max}
            value={dose.restS}
            onChange={(value) => onChange({ ...dose, restS: value })}
          />
        </Fields>
        {(dropsHere || dose.drops) && (
          <div style={{ marginBottom: 14 }}>
            <CheckField
              label={
                dropsHere
                  ? `A drop set: the last ${dropsHere.values.length === 1 ? "set" : `${dropsHere.values.length} sets`} at once with ${dropsHere.values.map((value) => leverValueText(dropsHere.lever, value, units)).join(", ")}`
                  : "A drop set: nothing lighter is here now"
              }
              isSelected={dose.drops !== undefined}
              onChange={(isOn) => {
                const { drops: _, ...even } = dose;
                if (!isOn || !dropsHere) return onChange(even);
                onChange({ ...even, drops: dropsHere, setCount: Math.max(even.setCount, 1 + dropsHere.values.length) });
              }}
            />
          </div>
        )}
        <Button $tone="primary" onPress={() => setOpen(false)}>
          Done
        </Button>
      </Ask>
    </Stack>
  );
}

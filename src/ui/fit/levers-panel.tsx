"use client";
import type { UnitSystem } from "../../core/units";
import { VisuallyHidden } from "react-aria";
import { Label, SliderOutput, SliderThumb, SliderTrack } from "react-aria-components";
import styled from "styled-components";
import type { OwnRange } from "../../core/templates/form";
import { harderOf, type LeverId, type Setting } from "../../core/templates/lever";
import { type Holds, recipeOf } from "../../core/kit/assemble";
import type { Kit } from "../../core/kit/kit";
import { TextButton } from "../kit/button";
import { Soft } from "../kit/layout";
import { LeverBase } from "../kit/slider";
import { leverName, leverValueText, recipeText } from "../../words/basics/lever";
import { color, font } from "../theme/tokens";

const Panel = styled.div`
  display: flex;
  flex-wrap: wrap;
  border-top: 1px solid ${color.fogDeep};
  background: ${color.paper};
`;
const Lever = styled(LeverBase)`
  flex: 1 1 120px;
  gap: 1px;
  align-content: space-between; /* names may take two lines; the sliders stand level */
  padding: 8px 14px 4px;
  border-right: 1px solid ${color.fogDeep};
  &:last-child {
    border-right: 0;
  }
  output {
    font: 700 19px ${font.head};
    font-variant-numeric: tabular-nums;
  }
`;

const Mark = styled.span`
  position: absolute;
  bottom: 0;
  width: 2px;
  height: 10px;
  background: ${color.oxide};
  pointer-events: none;
`;

/** Where this lever would come to the ceiling, the others as they stand; at its hard end there is nothing to mark. */
function CeilingMark({ range, isFlipped, at, units }: { range: OwnRange; isFlipped: boolean; at: number | null; units: UnitSystem }) {
  const { lever, min, max } = range;
  const end = harderOf(lever) === "less" ? min : max;
  if (at === null || Math.abs(at - end) < 1e-6 || !(max > min)) return null;
  const part = (at - min) / (max - min);
  return (
    <Mark style={{ left: `${(isFlipped ? 1 - part : part) * 100}%` }} title={`ceiling at ${leverValueText(lever, at, units)}`}>
      <VisuallyHidden>ceiling at {leverValueText(lever, at, units)}</VisuallyHidden>
    </Mark>
  );
}

/** One lever; right on its slider is always harder, so a height that is harder when lower runs from high to low. */
function LeverSlider(props: LeversPanelProps & { range: OwnRange; ceiling: number | null }) {
  const { row, range, ceiling, setting, kit, units, side, onLever } = props;
  const { lever, min, max, start } = range;
  const isShare = lever === "shareFraction";
  const name = isShare ? `${side === "left" ? "Left" : "Right"} leg bears` : leverName(lever);
  const isFlipped = harderOf(lever) === "less";
  const shown = (value: number): number => (isFlipped ? min + max - value : value);
  const value = setting[lever];
  const isOpen = isShare && value === undefined;
  const recipe = value === undefined ? null : recipeOf(kit.assembled, row, lever, value);
  return (
    <Lever
      minValue={min}
      maxValue={max}
      step={kit.increments[lever]}
      value={shown(value ?? start)}
      onChange={(next) => onLever(lever, Math.min(max, Math.max(min, shown(next as number))))}
    >
      <Label>{name}</Label>
      <SliderOutput {...(isOpen ? { style: { fontSize: 15 } } : {})}>
        {isOpen ? "not measured" : leverValueText(lever, value ?? start, units)}
      </SliderOutput>
      <SliderTrack className="track">
        <CeilingMark range={range} isFlipped={isFlipped} at={ceiling} units={units} />
        <SliderThumb className="thumb" aria-label={name} {...(isOpen ? { style: { opacity: 0.45 } } : {})} />
      </SliderTrack>
      {recipe && <Soft style={{ gridColumn: "1 / -1" }}>{recipeText(recipe, units)}</Soft>}
      {isShare && value !== undefined && (
        <TextButton aria-label="The weight was not measured" onPress={() => onLever(lever, null)}>
          not measured
        </TextButton>
      )}
    </Lever>
  );
}

interface LeversPanelProps {
  row: Holds;
  ranges: readonly OwnRange[];
  setting: Setting;
  kit: Kit;
  side: string;
  units: UnitSystem;
  onLever: (lever: LeverId, value: number | null) => void;
}

/** The levers of the picked variation as sliders, by the increments on hand, each with the place where it meets the ceiling. */
export function LeversPanel(props: LeversPanelProps & { ceilings: readonly (number | null)[] }) {
  return (
    <Panel role="group" aria-label="Levers">
      {props.ranges.map((range, i) => (
        <LeverSlider key={range.lever} {...props} range={range} ceiling={props.ceilings[i] ?? null} />
      ))}
    </Panel>
  );
}

"use client";
import { VisuallyHidden } from "react-aria";
import { Label, SliderOutput, SliderThumb, SliderTrack } from "react-aria-components";
import styled from "styled-components";
import { LEVERS, type LeverId, type LeverRange, type Setting, type Variation } from "../../core";
import { LeverBase } from "../kit/slider";
import { leverName, leverValueText } from "../text/lever-text";
import type { UnitSystem } from "../text/quantity-text";
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
function CeilingMark({ range, at, units }: { range: LeverRange; at: number | null; units: UnitSystem }) {
  const { lever, min, max } = range;
  const end = LEVERS[lever].harder === "more" ? max : min;
  if (at === null || Math.abs(at - end) < 1e-6) return null;
  return (
    <Mark style={{ left: `${((at - min) / (max - min)) * 100}%` }} title={`ceiling at ${leverValueText(lever, at, units)}`}>
      <VisuallyHidden>ceiling at {leverValueText(lever, at, units)}</VisuallyHidden>
    </Mark>
  );
}

/** The levers of the picked variation as sliders, by the increments on hand, each with the place where it meets the ceiling. */
export function LeversPanel(props: {
  variation: Variation;
  setting: Setting;
  increments: Readonly<Record<LeverId, number>>;
  side: string;
  units: UnitSystem;
  /** Per lever, in the variation's order. */
  ceilings: readonly (number | null)[];
  onLever: (lever: LeverId, value: number) => void;
}) {
  const { variation, setting, increments, units, side, onLever } = props;
  return (
    <Panel role="group" aria-label="Levers">
      {variation.levers.map((range, i) => {
        const { lever, min, max, start } = range;
        const name = lever === "shareFraction" ? `${leverName(lever)}, ${side} leg` : leverName(lever);
        return (
          <Lever
            key={lever}
            minValue={min}
            maxValue={max}
            step={increments[lever]}
            value={setting[lever] ?? start}
            onChange={(value) => onLever(lever, value as number)}
          >
            <Label>{name}</Label>
            <SliderOutput>{({ state }) => leverValueText(lever, state.values[0] ?? 0, units)}</SliderOutput>
            <SliderTrack className="track">
              <CeilingMark range={range} at={props.ceilings[i] ?? null} units={units} />
              <SliderThumb className="thumb" aria-label={name} />
            </SliderTrack>
          </Lever>
        );
      })}
    </Panel>
  );
}

"use client";
import { Label, SliderOutput, SliderThumb, SliderTrack } from "react-aria-components";
import styled from "styled-components";
import { type LeverId, type Setting, type Variation } from "../../core";
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

/** The levers of the picked variation as sliders, by the increments on hand. */
export function LeversPanel(props: {
  variation: Variation;
  setting: Setting;
  increments: Readonly<Record<LeverId, number>>;
  side: string;
  units: UnitSystem;
  onLever: (lever: LeverId, value: number) => void;
}) {
  const { variation, setting, increments, units, side, onLever } = props;
  return (
    <Panel role="group" aria-label="Levers">
      {variation.levers.map(({ lever, min, max, start }) => {
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
              <SliderThumb className="thumb" aria-label={name} />
            </SliderTrack>
          </Lever>
        );
      })}
    </Panel>
  );
}

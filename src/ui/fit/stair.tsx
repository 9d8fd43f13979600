"use client";
import type { UnitSystem } from "../../core/units";
import styled from "styled-components";
import type { Place } from "../../core/judge/context";
import type { DailyUse } from "../../core/judge/daily";
import type { Tread } from "../../core/progressions/tread";
import { Row, Soft, Title } from "../kit/layout";
import { lengthText, percentText } from "../../words/basics/quantity";
import { color, font } from "../theme/tokens";
import { dayUse, ofTreads, withDay } from "./stair-rows";

const FULL_HEIGHT_PX = 76;
const MOST_USE = 1.2;
const LEAST_HEIGHT_PX = 44;

const Shelf = styled.div`
  position: relative;
  display: flex;
  align-items: flex-end;
  gap: 5px;
  min-height: 120px;
  padding-top: 4px;
  overflow-x: auto;
`;
const Ceiling = styled.div`
  position: absolute;
  left: 0;
  right: 0;
  bottom: ${FULL_HEIGHT_PX + 24}px;
  border-top: 2px dashed ${color.oxide};
  pointer-events: none;
`;
const name = `
  display: block;
  height: 24px;
  padding-top: 2px;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  text-align: center;
`;
const Step = styled.button<{ $current: boolean; $closed: boolean; $try: boolean; $below: boolean }>`
  flex: 1 0 62px;
  max-width: 150px;
  padding: 0;
  border: 0;
  background: none;
  cursor: pointer;
  .block {
    display: grid;
    justify-items: center;
    align-content: start;
    border: 1px ${({ $closed, $try }) => ($closed ? `dashed ${color.oxide}` : $try ? `dashed ${color.ink}` : `solid ${color.fogDeep}`)};
    background: ${({ $current, $below, $closed }) => ($closed ? "transparent" : $current ? color.marine : $below ? "#b7c6cb" : "#e0e7e9")};
    color: ${({ $current, $closed }) => ($closed ? color.oxide : $current ? color.paper : color.ink)};
    font: 400 15px ${font.text};
    font-variant-numeric: tabular-nums;
  }
  .name {
    ${name}
    font-weight: ${({ $current }) => ($current ? 700 : 400)};
  }
`;
const Day = styled.div`
  flex: 0 0 auto;
  min-width: 64px;
  .block {
    display: grid;
    justify-items: center;
    align-content: start;
    padding-inline: 6px;
    border: 2px solid ${color.brass};
    border-bottom: 0;
    background: repeating-linear-gradient(135deg, ${color.brassWash} 0 6px, ${color.paper} 6px 12px);
    color: ${color.brass};
    font-weight: 700;
    font-variant-numeric: tabular-nums;
  }
  .name {
    ${name}
    color: ${color.brass};
  }
`;

/** As high as what is asked; past the ceiling the words stay below its line. */
function blockStyle(use: number | null) {
  const shown = Math.min(MOST_USE, use ?? 0.5);
  return {
    height: `${Math.max(LEAST_HEIGHT_PX, Math.round(FULL_HEIGHT_PX * shown))}px`,
    paddingTop: `${4 + Math.max(0, Math.round(FULL_HEIGHT_PX * (shown - 1)))}px`,
  };
}

/** The stair: one change a tread, its height what the tightest joint is asked. A tap moves there. The client's own day stands among it. */
export function Stair(props: {
  treads: readonly Tread[];
  current: number;
  day: readonly DailyUse[];
  units: UnitSystem;
  onPick: (place: Place) => void;
  children?: React.ReactNode;
}) {
  const { treads, current, day, units, onPick } = props;
  const steps = ofTreads(treads, current, units);
  const currentAt = steps.findIndex(({ isCurrent }) => isCurrent);
  return (
    <section aria-label="The stair">
      <Row $gap={14} style={{ rowGap: 0 }}>
        <Title as="h2">The stair</Title>
        {props.children}
        <Soft>
          height: what the tightest joint is asked; dashed block: one light set first
          {day.length > 0 && "; brass: own day"}
        </Soft>
      </Row>
      <Shelf>
        <Ceiling />
        {withDay(steps, day).map((shown, i) =>
          "task" in shown ? (
            <Day
              key={i}
              role="img"
              aria-label={`${shown.task.name}, ${lengthText(shown.task.heightM, units)}, ${dayUse(shown)} of the ceiling`}
            >
              <div className="block" style={blockStyle(shown.use?.head ?? null)}>
                {dayUse(shown)}
              </div>
              <span className="name">
                {shown.task.name} {lengthText(shown.task.heightM, units)}
              </span>
            </Day>
          ) : (
            <Step
              key={i}
              type="button"
              $current={shown.isCurrent}
              $closed={shown.isClosed}
              $try={shown.isTry}
              $below={steps.indexOf(shown) < currentAt}
              aria-current={shown.isCurrent ? "step" : undefined}
              aria-label={`${shown.name}${shown.use === null ? "" : `, ${percentText(shown.use)} of the ceiling`}${shown.isClosed ? ", closed" : shown.isTry ? ", one light set first" : ""}${shown.hint}`}
              onClick={() => onPick(shown.place)}
            >
              <span className="block" style={blockStyle(shown.use)}>
                {shown.use === null ? "" : percentText(shown.use)}
                {shown.hint && <small>{shown.hint.includes("big") ? "big" : shown.hint.includes("small") ? "small" : "≈"}</small>}
              </span>
              <span className="name" title={shown.name}>
                {shown.name}
              </span>
            </Step>
          ),
        )}
      </Shelf>
    </section>
  );
}

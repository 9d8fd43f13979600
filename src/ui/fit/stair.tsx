"use client";
import styled from "styled-components";
import type { LeverId, Setting, Tread } from "../../core";
import { Soft, Title } from "../kit/layout";
import { leverValueText } from "../text/lever-text";
import { percentText, type UnitSystem } from "../text/quantity-text";
import { color, font } from "../theme/tokens";

const FULL_HEIGHT_PX = 84;

const Shelf = styled.div`
  position: relative;
  display: flex;
  align-items: flex-end;
  gap: 5px;
  min-height: 122px;
  padding-top: 8px;
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
const Step = styled.button<{ $current: boolean; $closed: boolean; $below: boolean }>`
  flex: 1 0 74px;
  padding: 0;
  border: 0;
  background: none;
  cursor: pointer;
  .block {
    display: grid;
    justify-items: center;
    padding-top: 4px;
    border: 1px ${({ $closed }) => ($closed ? `dashed ${color.oxide}` : `solid ${color.fogDeep}`)};
    background: ${({ $current, $below, $closed }) => ($closed ? "transparent" : $current ? color.marine : $below ? "#b7c6cb" : "#e0e7e9")};
    color: ${({ $current, $closed }) => ($closed ? color.oxide : $current ? color.paper : color.ink)};
    font: 400 15px ${font.text};
    font-variant-numeric: tabular-nums;
  }
  .name {
    display: block;
    height: 24px;
    padding-top: 2px;
    white-space: nowrap;
    font-weight: ${({ $current }) => ($current ? 700 : 400)};
  }
`;

/** The stair: one change a tread, its height what the tightest joint is asked. A tap moves there. */
export function Stair({ treads, units, onPick }: { treads: readonly Tread[]; units: UnitSystem; onPick: (setting: Setting) => void }) {
  const currentAt = treads.findIndex(({ isCurrent }) => isCurrent);
  return (
    <section aria-label="The stair">
      <Title as="h2" style={{ display: "inline", marginRight: 10 }}>
        The stair
      </Title>
      <Soft>one change a tread; height is what the tightest joint is asked; the dashed line is its ceiling</Soft>
      <Shelf>
        <Ceiling />
        {treads.map(({ setting, step, judgement, isCurrent }, i) => {
          const use = judgement.tightest?.head ?? null;
          const isClosed = judgement.state === "closed";
          const hint = step ? treadName(step.lever, step.to, units) : firstName(setting, units);
          return (
            <Step
              key={i}
              type="button"
              $current={isCurrent}
              $closed={isClosed}
              $below={i < currentAt}
              aria-current={isCurrent ? "step" : undefined}
              aria-label={`${hint}${use === null ? "" : `, ${percentText(use)} of the ceiling`}${isClosed ? ", closed" : ""}${step?.tooBig ? ", a big jump" : ""}`}
              onClick={() => onPick(setting)}
            >
              <span className="block" style={{ height: `${Math.max(26, Math.round(FULL_HEIGHT_PX * (use ?? 0.5)))}px` }}>
                {use === null ? "" : percentText(use)}
              </span>
              <span className="name">{hint}</span>
            </Step>
          );
        })}
      </Shelf>
    </section>
  );
}

function treadName(lever: LeverId, value: number, units: UnitSystem): string {
  const text = leverValueText(lever, value, units);
  if (lever === "handForceN") return value > 0 ? `hands ${text}` : "hands free";
  return lever === "loadKg" ? `load ${text}` : text;
}

function firstName(setting: Setting, units: UnitSystem): string {
  if (setting.seatHeightM !== undefined) return leverValueText("seatHeightM", setting.seatHeightM, units);
  return setting.kneeFlexionDeg === undefined ? "start" : leverValueText("kneeFlexionDeg", setting.kneeFlexionDeg, units);
}

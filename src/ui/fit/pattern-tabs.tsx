"use client";
import styled from "styled-components";
import type { Pattern } from "../../core/catalogue/variation";
import { color, font, size } from "../theme/tokens";

const Bar = styled.div`
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(58px, 1fr);
  border: 1px solid ${color.fogDeep};
  border-radius: ${size.radius};
  overflow: hidden;
  background: ${color.paper};
`;
const Tab = styled.button<{ $isPicked: boolean }>`
  display: grid;
  justify-items: center;
  gap: 1px;
  min-height: 54px;
  padding: 5px 2px;
  border: 0;
  border-left: 1px solid ${color.fogDeep};
  background: ${({ $isPicked }) => ($isPicked ? color.marine : "none")};
  color: ${({ $isPicked }) => ($isPicked ? color.paper : color.ink)};
  font: 700 15px ${font.head};
  font-stretch: 88%;
  cursor: pointer;
  &:first-child {
    border-left: 0;
  }
  &:focus-visible {
    outline: 2px solid ${color.brass};
    outline-offset: -4px;
  }
`;
const NAMES: Readonly<Record<Pattern, string>> = { squat: "Squat", hinge: "Hinge", bridge: "Bridge", step: "Step", helper: "Helper" };
/** A body in each pattern, as four strokes: shin, thigh, trunk, and what it stands on. */
const STROKES: Readonly<Record<Pattern, string>> = {
  squat: "M13 21 L16 14 L7 12 L13 4",
  hinge: "M12 21 L13 13 L9 8 L19 5",
  bridge: "M4 19 L12 12 L17 12 L18 19 M2 21 H21",
  step: "M15 15 L17 9 L11 6 L11 1 M11 6 L9 21 M13 15 H21 V21",
  helper: "M6 21 V13 M6 13 L14 13 L21 9 M6 13 L6 4",
};

/** The four patterns and their helpers: one at a time in view. */
export function PatternTabs(props: { pattern: Pattern; patterns: readonly Pattern[]; onPick: (pattern: Pattern) => void }) {
  return (
    <Bar role="group" aria-label="Pattern">
      {props.patterns.map((pattern) => (
        <Tab
          key={pattern}
          type="button"
          $isPicked={pattern === props.pattern}
          aria-pressed={pattern === props.pattern}
          onClick={() => props.onPick(pattern)}
        >
          <svg width="23" height="23" viewBox="0 0 23 23" aria-hidden>
            <path d={STROKES[pattern]} fill="none" stroke="currentColor" strokeWidth={2.2} strokeLinecap="round" strokeLinejoin="round" />
          </svg>
          {NAMES[pattern]}
        </Tab>
      ))}
    </Bar>
  );
}

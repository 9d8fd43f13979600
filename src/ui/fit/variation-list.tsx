"use client";
import type { UnitSystem } from "../../core/units";
import styled from "styled-components";
import { variationById } from "../../core/catalogue/catalogue";
import type { CandidateState, Judgement } from "../../core/fit/judge";
import type { Candidate } from "../../core/fit/search";
import type { Limit } from "../../core/limits/limit";
import type { Setting } from "../../core/templates/lever";
import { Notice, Soft } from "../kit/layout";
import { Why } from "../kit/why";
import { fitReasonText, openingText } from "../text/fit-text";
import { settingText } from "../text/lever-text";
import { percentRangeText } from "../text/quantity-text";
import { color, font, size } from "../theme/tokens";

const HEADINGS: Record<CandidateState, string> = {
  open: "Open today",
  try: "Try one light set first",
  "not-measured": "Not measured yet",
  closed: "Closed, and what would open it",
};

const Group = styled.section`
  display: grid;
  gap: 5px;
  h3 {
    margin-top: 3px;
    color: ${color.inkSoft};
    font: 700 15px ${font.text};
  }
`;
const Item = styled.div<{ $state: CandidateState; $picked: boolean }>`
  display: grid;
  grid-template-columns: 1fr auto;
  border: ${({ $picked }) => ($picked ? `2px solid ${color.marine}` : `1px solid ${color.fogDeep}`)};
  ${({ $state }) => $state === "closed" && "border-style: dashed;"}
  border-radius: ${size.radius};
  background: ${({ $state }) => ($state === "closed" ? "transparent" : color.paper)};
`;
const Pick = styled.button`
  min-height: 48px;
  padding: 4px 0 4px 9px;
  line-height: 1.3;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
  strong {
    display: block;
    font-family: ${font.head};
  }
`;
const Figures = styled.span<{ $closed: boolean }>`
  display: grid;
  justify-items: end;
  align-content: center;
  padding: 4px 8px 4px 4px;
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
  ${({ $closed }) => $closed && `color: ${color.oxide};`}
`;

interface Shown {
  candidate: Candidate;
  judgement: Judgement;
  setting: Setting;
}

/** Every variation of the pattern: open, try or closed, with its use of the tightest ceiling and what would open it. */
export function VariationList(props: {
  candidates: Candidate[] | null;
  current: { id: string; judgement: Judgement; setting: Setting };
  limits: readonly Limit[];
  units: UnitSystem;
  isFailed: boolean;
  onPick: (variationId: string) => void;
}) {
  const { candidates, current, limits, units, isFailed, onPick } = props;
  if (isFailed)
    return (
      <Notice $tone="oxide">
        The list could not be worked out on this device. What is picked is judged all the same; reload to try again.
      </Notice>
    );
  if (!candidates) return <Soft role="status">Looking through the catalogue</Soft>;
  const shown = candidates.map((candidate): Shown =>
    candidate.variationId === current.id
      ? { candidate, judgement: current.judgement, setting: current.setting }
      : { candidate, judgement: candidate, setting: candidate.setting },
  );
  return (
    <>
      {(["open", "try", "not-measured", "closed"] as const).map((state) => {
        const group = shown.filter(({ judgement }) => judgement.state === state);
        if (group.length === 0) return null;
        return (
          <Group key={state} aria-label={HEADINGS[state]}>
            <h3>{HEADINGS[state]}</h3>
            {group.map(({ candidate, judgement, setting }) => {
              const { name } = variationById(candidate.variationId);
              const isPicked = candidate.variationId === current.id;
              const use = judgement.tightest;
              return (
                <Item key={candidate.variationId} $state={state} $picked={isPicked}>
                  <Pick type="button" aria-pressed={isPicked} onClick={() => onPick(candidate.variationId)}>
                    <strong>{name}</strong>
                    {state === "closed" && candidate.opening ? openingText(candidate.opening, limits, units) : settingText(setting, units)}
                  </Pick>
                  <Figures $closed={state === "closed"}>
                    <Why
                      title={`${name}: ${state.replace("-", " ")}`}
                      label={use ? percentRangeText(use.low, use.high) : "why"}
                      about={`${use ? percentRangeText(use.low, use.high) : ""} Why ${name} is ${state.replace("-", " ")}`}
                    >
                      <ul>
                        {judgement.reasons.map((reason, i) => (
                          <li key={i}>{fitReasonText(reason, limits, units)}</li>
                        ))}
                      </ul>
                    </Why>
                  </Figures>
                </Item>
              );
            })}
          </Group>
        );
      })}
    </>
  );
}

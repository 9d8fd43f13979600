"use client";
import type { UnitSystem } from "../../core/units";
import { useMemo, useState } from "react";
import { GridList, GridListItem } from "react-aria-components";
import styled from "styled-components";
import { variationById } from "../../core/catalogue/catalogue";
import { groupOf } from "../../core/catalogue/rows/row";
import type { HelperGroup } from "../../core/catalogue/variation";
import type { Judgement } from "../../core/judge/judge";
import type { CandidateState, FitReason } from "../../core/judge/fit-reason";
import { type Listed, type Shown, shownOnce } from "../../core/progressions/list";
import type { Limit } from "../../core/limits/limit";
import type { Setting } from "../../core/templates/lever";
import { findRows } from "../catalogue/find";
import { TextButton } from "../kit/button";
import { FindField, InlineSelect } from "../kit/fields";
import { Notice, Soft } from "../kit/layout";

import { Why } from "../kit/why";
import { groupName } from "../../words/basics/catalogue";
import { fitReasonText, openingText, otherwiseText, standingText } from "../../words/training/fit";
import { settingText } from "../../words/basics/lever";
import { percentRangeText } from "../../words/basics/quantity";
import { color, font, media, size } from "../theme/tokens";

/** While a warning sign stands open nothing is open today, whatever it asks. */
const WHILE_STOPPED = "Stopped: open once the sign is cleared";
const HEADINGS: Record<CandidateState, string> = {
  open: "Open today",
  try: "Try one light set first",
  "not-measured": "Not measured yet",
  closed: "Closed, and what would open it",
};

/** Scrolls by itself beside the figure, so that no card lies half under the stair. */
const Scrolling = styled.div`
  display: grid;
  gap: 5px;
  align-content: start;
  max-height: max(280px, calc(100vh - 475px));
  overflow-y: auto;
  ${media.upright} {
    max-height: 60vh;
  }
`;
const Group = styled.section`
  display: grid;
  gap: 5px;
  h3 {
    margin-top: 3px;
    color: ${color.inkSoft};
    font: 700 15px ${font.text};
  }
  h4 {
    margin: 4px 0 3px;
    color: ${color.inkSoft};
    font: 400 15px ${font.text};
  }
  [role="grid"] {
    display: grid;
    gap: 5px;
  }
`;
const Item = styled(GridListItem)<{ $state: CandidateState; $picked: boolean }>`
  display: grid;
  outline-offset: 1px;
  grid-template-columns: 1fr auto;
  border: ${({ $picked }) => ($picked ? `2px solid ${color.marine}` : `1px solid ${color.fogDeep}`)};
  ${({ $state }) => $state === "closed" && "border-style: dashed;"}
  border-radius: ${size.radius};
  background: ${({ $state }) => ($state === "closed" ? "transparent" : color.paper)};
`;
const Pick = styled.div`
  min-height: 48px;
  padding: 4px 0 4px 9px;
  line-height: 1.3;
  cursor: pointer;
  strong {
    display: block;
    font-family: ${font.head};
  }
`;
const Also = styled.span`
  grid-column: 1 / -1;
  padding: 0 9px 5px;
  color: ${color.inkSoft};
`;
const Figures = styled.span<{ $closed: boolean }>`
  display: grid;
  justify-items: end;
  align-content: center;
  padding: 4px 8px 4px 4px;
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
  ${({ $closed }) => $closed && `color: ${color.oxide};`}
  button {
    min-height: 28px;
  }
`;

const ALL = "all";
/** Longer than this, a group is opened by hand. */
const FIRST = 7;

/** What the list is narrowed to: words, and a shelf where the pattern is the helpers'. */
function useNarrow(candidates: readonly Listed[] | null) {
  const [words, setWords] = useState("");
  const [shelf, setShelf] = useState<HelperGroup | typeof ALL>(ALL);
  const rows = useMemo(() => (candidates ?? []).map(({ variationId }) => variationById(variationId)), [candidates]);
  const shelves = useMemo(() => [...new Set(rows.flatMap((row) => groupOf(row) ?? []))], [rows]);
  const found = useMemo(() => new Set(findRows(rows, words).map(({ id }) => id)), [rows, words]);
  const isIn = (id: string): boolean => found.has(id) && (shelf === ALL || shelves.length === 0 || groupOf(variationById(id)) === shelf);
  return { words, setWords, shelf, setShelf, shelves, isIn };
}

/** Every reason, and what would have to change for the first of them to be otherwise. */
function Chain({ reasons, limits, units }: { reasons: readonly FitReason[]; limits: readonly Limit[]; units: UnitSystem }) {
  const [first] = reasons;
  const otherwise = first ? otherwiseText(first, limits) : null;
  return (
    <>
      <ul>
        {reasons.map((reason, i) => (
          <li key={i}>{fitReasonText(reason, limits, units)}</li>
        ))}
      </ul>
      {otherwise && <p>{otherwise}</p>}
    </>
  );
}

/** Closed rows stand together by what closes them. */
const CLOSED_BY = ["by a limit or rule", "over a ceiling", "past a guard rail", "by the school", "not in this room", "otherwise"] as const;
function closedBy({ code }: FitReason): (typeof CLOSED_BY)[number] {
  switch (code) {
    case "over-limit":
    case "room-short":
    case "never":
    case "not-for":
      return "by a limit or rule";
    case "over-ceiling":
      return "over a ceiling";
    case "guard-rail":
    case "counterweight":
      return "past a guard rail";
    case "school":
      return "by the school";
    case "equipment-missing":
    case "not-assembled":
      return "not in this room";
    default:
      return "otherwise";
  }
}

function Names({ ids }: { ids: readonly string[] }) {
  return <>the same as {ids.map((id) => variationById(id).name.toLowerCase()).join(", ")}</>;
}

interface ListProps {
  candidates: Listed[] | null;
  current: { id: string; judgement: Judgement; setting: Setting };
  limits: readonly Limit[];
  units: UnitSystem;
  isFailed: boolean;
  /** A warning sign stands open. */
  isStopped: boolean;
  onPick: (variationId: string) => void;
}

/** Rows of one state as one list: arrows, Home, End and the first letters go through it, and what is reached is picked. */
function Rows({
  label,
  rows,
  current,
  limits,
  units,
  onPick,
}: Omit<ListProps, "candidates" | "isFailed" | "isStopped"> & { label: string; rows: readonly Shown[] }) {
  return (
    <GridList
      aria-label={label}
      selectionMode="single"
      selectionBehavior="replace"
      disallowEmptySelection
      selectedKeys={[current.id]}
      onSelectionChange={(keys) => {
        const [id] = keys === "all" ? [] : keys;
        if (id !== undefined && id !== current.id) onPick(String(id));
      }}
    >
      {rows.map(({ candidate, also }) => {
        const { variationId, state, tightest: use, opening, reasons, setting } = candidate;
        const { name } = variationById(variationId);
        return (
          <Item key={variationId} id={variationId} textValue={name} $state={state} $picked={variationId === current.id}>
            <Pick>
              <strong>{name}</strong>
              {state === "closed" && opening ? openingText(opening, limits, units) : settingText(setting, units)}
            </Pick>
            <Figures $closed={state === "closed"}>
              <Why
                title={`${name}: ${state.replace("-", " ")}`}
                label={use ? percentRangeText(use.low, use.high) : "why"}
                about={`${use ? percentRangeText(use.low, use.high) : ""} Why ${name} is ${state.replace("-", " ")}`}
              >
                <Chain reasons={reasons} limits={limits} units={units} />
                {state !== "closed" && candidate.standing && <p>{standingText(candidate.standing)}</p>}
              </Why>
            </Figures>
            {also.length > 0 && (
              <Also>
                <Names ids={also} />
              </Also>
            )}
          </Item>
        );
      })}
    </GridList>
  );
}

/** Every variation of the pattern: open, try or closed, with its use of the tightest ceiling and what would open it. */
export function VariationList(props: ListProps) {
  const { candidates, current, isFailed, isStopped } = props;
  const headingOf = (state: CandidateState): string => (isStopped && state === "open" ? WHILE_STOPPED : HEADINGS[state]);
  const narrow = useNarrow(candidates);
  const [opened, setOpened] = useState<readonly string[]>([]);
  if (isFailed)
    return (
      <Notice $tone="oxide">
        The list could not be worked out on this device. What is picked is judged all the same; reload to try again.
      </Notice>
    );
  if (!candidates) return <Soft role="status">Looking through the catalogue</Soft>;
  const standing = candidates.map((candidate): Listed =>
    candidate.variationId === current.id ? { ...candidate, ...current.judgement, setting: current.setting } : candidate,
  );
  const shown = shownOnce(standing, current.id).filter(({ candidate, also }) => [candidate.variationId, ...also].some(narrow.isIn));
  const listOf = (id: string, label: string, group: readonly Shown[]) => {
    const isWhole = opened.includes(id) || narrow.words !== "";
    const seen = isWhole ? group : group.filter(({ candidate }, i) => i < FIRST || candidate.variationId === current.id);
    return (
      <>
        <Rows {...props} label={label} rows={seen} />
        {seen.length < group.length && (
          <TextButton onPress={() => setOpened([...opened, id])} style={{ justifySelf: "start" }}>
            and {group.length - seen.length} more
          </TextButton>
        )}
      </>
    );
  };
  return (
    <>
      <FindField label="Find in this list" value={narrow.words} onChange={narrow.setWords} />
      {narrow.shelves.length > 0 && (
        <InlineSelect
          label="Shelf"
          options={[{ id: ALL, label: "Every shelf" }, ...narrow.shelves.map((id) => ({ id, label: groupName(id) }))]}
          value={narrow.shelf}
          onChange={narrow.setShelf}
        />
      )}
      <Scrolling>
        {shown.length === 0 && <Soft role="status">Nothing by these words here.</Soft>}
        {(["open", "try", "not-measured", "closed"] as const).map((state) => {
          const group = shown.filter(({ candidate }) => candidate.state === state);
          if (group.length === 0) return null;
          return (
            <Group key={state} aria-label={headingOf(state)}>
              <h3>{headingOf(state)}</h3>
              {state === "closed"
                ? CLOSED_BY.map((by) => {
                    const rows = group.filter(({ candidate }) => closedBy(candidate.reasons[0]) === by);
                    return (
                      rows.length > 0 && (
                        <div key={by}>
                          <h4>{by}</h4>
                          {listOf(by, `${HEADINGS.closed}: ${by}`, rows)}
                        </div>
                      )
                    );
                  })
                : listOf(state, headingOf(state), group)}
            </Group>
          );
        })}
      </Scrolling>
    </>
  );
}

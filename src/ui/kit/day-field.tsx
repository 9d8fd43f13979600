"use client";
import { parseDate } from "@internationalized/date";
import { DateField, DateInput, DateSegment, Label, Text } from "react-aria-components";
import styled from "styled-components";
import type { Day } from "../../core/day";
import { color, size } from "../theme/tokens";

const Shell = styled(DateField)`
  display: flex;
  flex-direction: column;
  gap: 4px;
  label,
  .react-aria-Label {
    font-weight: 700;
  }
  .input {
    display: flex;
    align-items: center;
    min-height: ${size.target};
    min-width: 150px;
    padding: 8px 10px;
    border: 1px solid ${color.inkSoft};
    border-radius: ${size.radius};
    background: ${color.paper};
  }
  .segment {
    padding: 0 2px;
    font-variant-numeric: tabular-nums;
  }
  .segment[data-placeholder] {
    color: ${color.inkSoft};
  }
  .segment[data-focused] {
    background: ${color.marine};
    color: ${color.paper};
  }
`;

export function DayField({
  label,
  hint,
  value,
  onChange,
}: {
  label: string;
  hint?: string;
  value: Day | null;
  onChange: (day: Day | null) => void;
}) {
  return (
    <Shell value={value === null ? null : parseDate(value)} onChange={(day) => onChange(day?.toString() ?? null)}>
      <Label>{label}</Label>
      <DateInput className="input">{(segment) => <DateSegment className="segment" segment={segment} />}</DateInput>
      {hint && <Text slot="description">{hint}</Text>}
    </Shell>
  );
}

"use client";
import styled from "styled-components";
import { type Day, dayAfter, mondayOf } from "../../core/day";
import type { Coming } from "../../core/week/visit";
import { Card, Title } from "../kit/layout";
import { WEEKDAYS } from "../../words/training/plan";
import { color } from "../theme/tokens";

const Bars = styled.ol`
  display: grid;
  grid-template-columns: repeat(7, 1fr);
  gap: 8px;
  align-items: end;
  min-height: 96px;
  text-align: center;
  .bar {
    margin: 2px 2px 4px;
    border: 1px solid ${color.inkSoft};
    background: ${color.fog};
  }
  .bar.past {
    background: ${color.marineSoft};
  }
  [aria-current] {
    font-weight: 700;
  }
`;
const PER_VISIT_PX = 9;
const TALLEST_PX = 60;

/** How full each day of this week is. */
export function WeekBars({ comings, today }: { comings: readonly Coming[]; today: Day }) {
  const monday = mondayOf(today);
  const days = WEEKDAYS.map((name, i) => {
    const day = dayAfter(monday, i);
    return { name, day, count: comings.filter((coming) => coming.day === day).length };
  });
  const most = Math.max(...days.map(({ count }) => count));
  const perVisitPx = Math.min(PER_VISIT_PX, TALLEST_PX / Math.max(1, most));
  return (
    <Card aria-label="This week in the studio">
      <Title>This week in the studio</Title>
      <Bars>
        {days.map(({ name, day, count }) => (
          <li
            key={day}
            aria-current={day === today ? "date" : undefined}
            aria-label={`${name}: ${count} ${count === 1 ? "visit" : "visits"}`}
          >
            {count > 0 && count}
            <div
              className={day < today ? "bar past" : "bar"}
              style={{ height: count * perVisitPx, visibility: count > 0 ? "visible" : "hidden" }}
            />
            {name}
          </li>
        ))}
      </Bars>
    </Card>
  );
}

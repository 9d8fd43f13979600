"use client";
import type { Pattern } from "../../core/catalogue/variation";
import { ONE_LEG_LEAST, type WeekTotals } from "../../core/week/totals";
import { Card, Notice, Soft, Title } from "../kit/layout";
import { patternName } from "../text/catalogue-text";
import { dayText } from "../text/day-text";
import { percentText } from "../text/quantity-text";

/** What the last weeks came to, pattern by pattern and leg by leg: the hand sum of what was logged. */
export function Totals({ totals, isRepaired }: { totals: readonly WeekTotals[]; isRepaired: boolean }) {
  const last = totals.at(-1);
  return (
    <Card aria-label="What was done">
      <Title>What was done</Title>
      {totals.length === 0 && <Soft>Nothing logged yet.</Soft>}
      {totals.slice(-2).map(({ monday, setsBy, repetitionsBy, repetitionsOf }) => (
        <p key={monday} style={{ marginTop: 6 }}>
          <strong>Week of {dayText(monday)}:</strong>{" "}
          {(Object.keys(setsBy) as Pattern[])
            .map((pattern) => `${patternName(pattern).toLowerCase()} ${setsBy[pattern]} sets, ${repetitionsBy[pattern]} repetitions`)
            .join("; ")}
          . Right {repetitionsOf.right}, left {repetitionsOf.left}.
        </p>
      ))}
      {isRepaired && last && last.oneLegFraction < ONE_LEG_LEAST && (
        <Notice>
          {percentText(last.oneLegFraction)} of the leg sets were on one leg. After a repair more than half should be: weight shifts off it
          unseen.
        </Notice>
      )}
    </Card>
  );
}

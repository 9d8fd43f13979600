"use client";
import { variationById } from "../../core/catalogue/catalogue";
import type { Pattern } from "../../core/catalogue/variation";
import type { StrengthTrend } from "../../core/record/programme/programme";
import { sessionLoad } from "../../core/standards/repetition";
import type { UnitSystem } from "../../core/units";
import { loadNotices, ONE_LEG_LEAST, type WeekTotals } from "../../core/week/totals";
import { Card, Notice, Soft, Title } from "../kit/layout";
import { patternName } from "../../words/basics/catalogue";
import { dayText } from "../../words/basics/day";
import { massText, percentText } from "../../words/basics/quantity";

/** How hard the sessions were, as they were told, and what the logged sets say of strength. */
export interface Effort {
  daily: readonly number[];
  weeksBefore: readonly number[];
  /** Sessions of these seven days that nobody told the effort of. */
  untold: number;
  strength: readonly StrengthTrend[];
}

function EffortWords({ effort, units }: { effort: Effort; units: UnitSystem }) {
  const { daily, weeksBefore, untold, strength } = effort;
  const { weekly, monotony, strain } = sessionLoad(daily);
  const notices = loadNotices(daily, weeksBefore);
  return (
    <>
      {weekly > 0 && (
        <p style={{ marginTop: 6 }}>
          <strong>Effort of seven days:</strong> {Math.round(weekly)}, effort times minutes
          {monotony !== null && strain !== null && `; monotony ${monotony.toFixed(1)}, strain ${Math.round(strain)}`}.
        </p>
      )}
      {notices.map((notice) => (
        <Notice key={notice.code}>
          {notice.code === "jump"
            ? `That is ${percentText(notice.fraction - 1)} more than these weeks usually come to: a sudden jump.`
            : "Every day weighs about the same: an easy day between does more than another like it."}
        </Notice>
      ))}
      {untold > 0 && (
        <Soft>
          {untold} {untold === 1 ? "session" : "sessions"} of these seven days without a word on how hard.
        </Soft>
      )}
      {strength.map(({ variationId, days }) => {
        const [first, last] = [days[0], days.at(-1)];
        if (!first || !last) return null;
        return (
          <p key={variationId} style={{ marginTop: 6 }}>
            <strong>{variationById(variationId).name}:</strong> by its logged sets about {massText(last.kg, units)} once
            {days.length > 1 && `, ${massText(first.kg, units)} on ${dayText(first.day)}`}. An estimate for the trend; never tried.
          </p>
        );
      })}
    </>
  );
}

/** What the last weeks came to, pattern by pattern and leg by leg: the hand sum of what was logged. */
export function Totals({
  totals,
  effort,
  isRepaired,
  units,
}: {
  totals: readonly WeekTotals[];
  effort: Effort;
  isRepaired: boolean;
  units: UnitSystem;
}) {
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
      <EffortWords effort={effort} units={units} />
      {isRepaired && last && last.oneLegFraction < ONE_LEG_LEAST && (
        <Notice>
          {percentText(last.oneLegFraction)} of the leg sets were on one leg. After a repair more than half should be: weight shifts off it
          unseen.
        </Notice>
      )}
    </Card>
  );
}

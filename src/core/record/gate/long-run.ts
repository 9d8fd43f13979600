import type { Dose } from "../../catalogue/variation";
import type { Day } from "../../day";
import type { FitContext } from "../../judge/context";
import type { DecisionInput } from "../../progress/decide";
import type { SupportStanding } from "../../progress/decision-reason";
import { takesTurns, turnOver } from "../../session/block";
import { type LeverId, LEVERS, type Setting } from "../../templates/lever";
import { GRAVITY_MPS2 } from "../../units";
import { blockWeek } from "../../week/week";
import { FADE_WEEKS, fadePlan } from "../../week/forecast";
import { painfulWeeks, plannedOf } from "../standing/history";
import { isSameLine } from "../facts/line";
import type { ClientRecord, RungFact } from "../facts/record";

// What weeks of the same work say beside the last session: support that stands, and a turn that is over.

const BEHIND_BY_FRACTION = 0.02;

/** What hands, pole, rail or strap carry: the largest of it. */
function supportIn(setting: Setting): { lever: LeverId; valueN: number } | null {
  const held = (Object.entries(setting) as [LeverId, number][])
    .filter(([lever, value]) => LEVERS[lever].kind === "support" && LEVERS[lever].unit === "N" && value > 0)
    .map(([lever, valueN]) => ({ lever, valueN }));
  return held.toSorted((a, b) => b.valueN - a.valueN)[0] ?? null;
}

/** Support beside what even parts given back week by week would have left, weeks that hurt left out; null where it keeps up. */
export function supportStanding(record: ClientRecord, rung: RungFact, massKg: number, today: Day): SupportStanding | null {
  const now = supportIn(rung.setting);
  if (!now) return null;
  const line = record.rungs.filter((each) => isSameLine(each, rung)).toSorted((a, b) => a.day.localeCompare(b.day));
  // back to where it last rose: from there on it was to fall
  let from = { day: rung.day, valueN: now.valueN };
  for (const { day, setting } of line.filter(({ day }) => day <= rung.day).reverse()) {
    const valueN = setting[now.lever] ?? 0;
    if (valueN < from.valueN) break;
    from = { day, valueN };
  }
  const bodyN = massKg * GRAVITY_MPS2;
  const weeks = blockWeek(from.day, today);
  const fade = fadePlan(from.valueN / bodyN, FADE_WEEKS, painfulWeeks(record, from.day));
  const dueFraction = fade.find(({ week }) => week === weeks)?.supportFraction ?? 0;
  const nowFraction = now.valueN / bodyN;
  return nowFraction > dueFraction + BEHIND_BY_FRACTION ? { lever: now.lever, weeks, nowFraction, dueFraction } : null;
}

/** Whether the six weeks of a row that takes turns are over, by the day this line first trained it; and the next of them. */
export function turnAfter(
  record: ClientRecord,
  context: FitContext,
  rung: RungFact,
  dose: Dose,
  today: Day,
): NonNullable<DecisionInput["turn"]> | null {
  if (!takesTurns(rung.variationId)) return null;
  const trained = record.sessions.flatMap(({ day, items, sets }) =>
    items.flatMap((item) => {
      const own = plannedOf(record, item)?.rung;
      return own && isSameLine(own, rung) && sets.some(({ itemId }) => itemId === item.id) ? [{ day, variationId: own.variationId }] : [];
    }),
  );
  const days = trained.toSorted((a, b) => a.day.localeCompare(b.day));
  const since = days.slice(days.findLastIndex(({ variationId }) => variationId !== rung.variationId) + 1)[0]?.day;
  return turnOver(context, rung, dose, since === undefined ? 0 : blockWeek(since, today) - 1);
}

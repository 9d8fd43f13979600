import { variationById } from "../catalogue/catalogue";
import type { Pattern } from "../catalogue/variation";
import { type Day, mondayOf } from "../day";
import type { Side } from "../mechanics/channels";
import { sessionLoad } from "../standards/repetition";

/** One set as it was done. */
export interface DoneSet {
  day: Day;
  variationId: string;
  /** The working leg; null where both work together. */
  side: Side | null;
  repetitions: number;
}
export interface WeekTotals {
  monday: Day;
  setsBy: Readonly<Partial<Record<Pattern, number>>>;
  repetitionsBy: Readonly<Partial<Record<Pattern, number>>>;
  /** Repetitions of each leg; both together count for both. */
  repetitionsOf: Readonly<Record<Side, number>>;
  /** Part of the leg sets that one leg did alone; NaN without any. */
  oneLegFraction: number;
}

/** What a week came to, set by set: nothing is estimated. Weeks in order. */
export function weekTotals(sets: readonly DoneSet[]): WeekTotals[] {
  const mondays = [...new Set(sets.map(({ day }) => mondayOf(day)))].toSorted();
  return mondays.map((monday) => {
    const own = sets.filter(({ day }) => mondayOf(day) === monday);
    const setsBy: Partial<Record<Pattern, number>> = {};
    const repetitionsBy: Partial<Record<Pattern, number>> = {};
    const repetitionsOf = { left: 0, right: 0 };
    let [alone, legs] = [0, 0];
    for (const { variationId, side, repetitions } of own) {
      const { pattern } = variationById(variationId);
      setsBy[pattern] = (setsBy[pattern] ?? 0) + 1;
      repetitionsBy[pattern] = (repetitionsBy[pattern] ?? 0) + repetitions;
      for (const leg of side === null ? (["left", "right"] as const) : [side]) repetitionsOf[leg] += repetitions;
      if (pattern === "helper") continue;
      legs++;
      if (side !== null) alone++;
    }
    return { monday, setsBy, repetitionsBy, repetitionsOf, oneLegFraction: legs > 0 ? alone / legs : NaN };
  });
}

/** A repaired leg does most of its work alone: under half is said. Source: handbook E4, 14. ◊ the half. */
export const ONE_LEG_LEAST = 0.5;

export type LoadNotice = { code: "jump"; fraction: number } | { code: "monotony"; value: number };
/** Monotony from which a week is as good as without easy days: common practice, no source. */
const MONOTONY_NOTICED = 2;
/** Source: Gabbett 2016: a rise of more than half over the month's mean; a notice, never a block. */
const JUMP_NOTICED = 1.5;
/** What seven days of session load say beside the four weeks before. */
export function loadNotices(daily: readonly number[], weeksBefore: readonly number[]): LoadNotice[] {
  const { weekly, monotony } = sessionLoad(daily);
  const usual = weeksBefore.length > 0 ? weeksBefore.reduce((sum, each) => sum + each, 0) / weeksBefore.length : NaN;
  return [
    ...(usual > 0 && weekly / usual >= JUMP_NOTICED ? [{ code: "jump" as const, fraction: weekly / usual }] : []),
    ...(monotony !== null && monotony >= MONOTONY_NOTICED ? [{ code: "monotony" as const, value: monotony }] : []),
  ];
}

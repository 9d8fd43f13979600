import type { Frequency } from "../catalogue/variation";
import { type Day, dayAfter, daysBetween, mondayOf, weekdayOf } from "../day";
import type { School } from "../approach/approach";

/** Full days of rest between two sessions of one class of exercise. Source: handbook B4 and D5, 84 to 89. */
export const REST_DAYS: Readonly<Record<Frequency, number>> = { "several-a-day": 0, daily: 0, "three-a-week": 1, "two-rest-days": 2 };
/** How many times a week at most. */
export const MOST_A_WEEK: Readonly<Record<Frequency, number>> = { "several-a-day": 7, daily: 7, "three-a-week": 3, "two-rest-days": 2 };

/** Something laid on days: a session of one class, or a day's own load that counts as rest or not. */
export interface Laid {
  id: string;
  day: Day;
  often: Frequency;
  /** A light day between two heavy ones. */
  isLight?: true;
}
/** A walk, a shift on the feet, a festival: it fills its day for hard work and leaves easy work alone. */
export interface DayLoad {
  day: Day;
  name: string;
  isHeavy: boolean;
}
export interface WeekRules {
  /** Days of the week that the client can, 1 Monday to 7 Sunday. */
  weekdays: readonly number[];
  school: Pick<School, "restDays">;
  loads: readonly DayLoad[];
  /** What was trained already: rest is kept after it too. */
  done?: readonly Laid[];
}

export type DayRefusal =
  | { code: "not-a-day-of-the-client"; weekday: number }
  | { code: "rest"; after: Day; until: Day }
  | { code: "rest-before"; before: Day; latest: Day }
  | { code: "own-load"; name: string }
  | { code: "often-enough"; most: number }
  | { code: "already-that-day" };

/** Days of rest a class keeps: its own, or the school's where that asks for more; what is done daily asks for none. */
const restOf = (often: Frequency, { school }: WeekRules): number =>
  REST_DAYS[often] === 0 ? 0 : Math.max(REST_DAYS[often], school.restDays);

/** Why a session cannot be on a day, or null: the client's days, rest on both sides, the day's own load, the week's most. */
export function refusalOn(day: Day, session: Pick<Laid, "id" | "often">, others: readonly Laid[], rules: WeekRules): DayRefusal | null {
  const weekday = weekdayOf(day);
  if (!rules.weekdays.includes(weekday)) return { code: "not-a-day-of-the-client", weekday };
  const same = [...others, ...(rules.done ?? [])].filter((each) => each.id !== session.id && each.often === session.often);
  if (same.some((each) => each.day === day) && session.often !== "several-a-day") return { code: "already-that-day" };
  const rest = restOf(session.often, rules);
  const last = same
    .filter((each) => each.day < day)
    .map((each) => each.day)
    .toSorted()
    .at(-1);
  if (last !== undefined && daysBetween(last, day) <= rest) return { code: "rest", after: last, until: dayAfter(last, rest + 1) };
  const next = same
    .filter((each) => each.day > day)
    .map((each) => each.day)
    .toSorted()[0];
  if (next !== undefined && daysBetween(day, next) <= rest) return { code: "rest-before", before: next, latest: dayAfter(next, -rest - 1) };
  const load = rest > 0 ? rules.loads.find((each) => each.day === day && each.isHeavy) : undefined;
  if (load) return { code: "own-load", name: load.name };
  const inWeek = same.filter((each) => mondayOf(each.day) === mondayOf(day)).length;
  const most = MOST_A_WEEK[session.often];
  return inWeek + 1 > most ? { code: "often-enough", most } : null;
}

/** Sessions of one class laid on days from `from` on, as early as the rules let: as many as wanted, or as many as fit. */
export function layOut(count: number, often: Frequency, from: Day, weeks: number, rules: WeekRules, others: readonly Laid[] = []): Laid[] {
  const laid: Laid[] = [];
  const last = dayAfter(from, 7 * weeks - 1);
  for (let day = from; day <= last && laid.length < count; day = dayAfter(day, 1)) {
    const id = `${often} ${day}`;
    if (refusalOn(day, { id, often }, [...others, ...laid], rules) === null) laid.push({ id, day, often });
  }
  return laid;
}

export type Moved = { ok: true; day: Day; laid: Laid[] } | { ok: false; reason: "no-day-left"; within: number };
/** How far a missed session looks for a day. */
const LOOKS_AHEAD_DAYS = 14;
/**
 * A session that was missed on its day goes to the first later one that breaks no rule; nothing is done twice to catch
 * up. Sessions after it that the move would crowd move on in their turn.
 */
export function moveMissed(missed: Laid, all: readonly Laid[], from: Day, rules: WeekRules): Moved {
  const before = all.filter((each) => each.id !== missed.id && each.day <= missed.day);
  const after = all.filter((each) => each.id !== missed.id && each.day > missed.day).toSorted((a, b) => a.day.localeCompare(b.day));
  const placed: Laid[] = [...before];
  for (const each of [missed, ...after]) {
    const earliest = each === missed ? from : each.day;
    const day = firstFree(each, earliest, placed, rules);
    if (day === null) {
      if (each === missed) return { ok: false, reason: "no-day-left", within: LOOKS_AHEAD_DAYS };
      continue; // what no longer fits is left out, not doubled
    }
    placed.push({ ...each, day });
  }
  const laid = placed.toSorted((a, b) => a.day.localeCompare(b.day));
  return { ok: true, day: laid.find(({ id }) => id === missed.id)?.day ?? missed.day, laid };
}
function firstFree(session: Laid, from: Day, placed: readonly Laid[], rules: WeekRules): Day | null {
  for (let i = 0; i < LOOKS_AHEAD_DAYS; i++) {
    const day = dayAfter(from, i);
    if (refusalOn(day, session, placed, rules) === null) return day;
  }
  return null;
}

/** Six weeks to a block. Source: handbook B4, 3 and D5, 90. */
export const BLOCK_WEEKS = 6;
export const blockWeek = (start: Day, day: Day): number => Math.floor(daysBetween(start, day) / 7) + 1;
/** An exercise the joint was not ready for comes back after a week. Source: handbook D5, 93. */
export const retryDay = (day: Day): Day => dayAfter(day, 7);
/** Every second session light, in the order of their days. */
export const alternating = (laid: readonly Laid[], isOn: boolean): Laid[] =>
  laid
    .toSorted((a, b) => a.day.localeCompare(b.day))
    .map(({ isLight: _, ...each }, i) => (isOn && i % 2 === 1 ? { ...each, isLight: true } : each));

import ICAL from "ical.js";
import { type Day, dayAfter } from "../day";

/** No rule here runs longer: what has no end is cut. */
export const MOST_DAYS = 1000;

/** A session is at some hour of its day: an end in the morning leaves that day out. */
const untilDay = (_: string, day: string, clock: string): string => {
  const last = `${day.slice(0, 4)}-${day.slice(4, 6)}-${day.slice(6)}`;
  return `UNTIL=${(clock < "120000" ? dayAfter(last, -1) : last).replaceAll("-", "")}`;
};

/**
 * Days of a recurrence rule (RFC 5545), the start first; a start that the rule does not name still counts as its first.
 * Null where the rule cannot be read, or names both a count and an end.
 */
export function recurrenceDays(rule: string, start: Day): Day[] | null {
  const parts = rule.toUpperCase().replace(/^RRULE:/, "");
  if (/COUNT=/.test(parts) && /UNTIL=/.test(parts)) return null;
  if (/INTERVAL=0+(?:;|$)/.test(parts)) return null; // every nought weeks is no rule
  try {
    const first = ICAL.Time.fromDateString(start);
    const recur = ICAL.Recur.fromString(parts.replace(/UNTIL=(\d{8})T(\d{6})Z?/, untilDay));
    if (!recur.freq) return null;
    const days: Day[] = [];
    const walk = recur.iterator(first);
    for (let next = walk.next(); next && days.length < MOST_DAYS; next = walk.next()) days.push(next.toString().slice(0, 10));
    return days.includes(start) ? days : [start, ...days].slice(0, recur.count ?? MOST_DAYS);
  } catch {
    return null;
  }
}

import { DateFormatter, parseAbsolute, parseDate, toCalendarDate } from "@internationalized/date";
import type { Day } from "../../core/day";

const LOCALE = "en-GB";
const SHORT = new DateFormatter(LOCALE, { day: "numeric", month: "short", timeZone: "UTC" });
const LONG = new DateFormatter(LOCALE, { weekday: "long", day: "numeric", month: "long", timeZone: "UTC" });

const format = (formatter: DateFormatter, day: Day): string => formatter.format(parseDate(day).toDate("UTC"));

/** "12 Jan" */
export const dayText = (day: Day): string => format(SHORT, day);
/** "Tuesday 12 January" */
export const longDayText = (day: Day): string => format(LONG, day);

/** "today", "yesterday", "3 days ago", or the day. */
export function agoText(day: Day, today: Day): string {
  const days = parseDate(today).compare(parseDate(day));
  if (days === 0) return "today";
  if (days === 1) return "yesterday";
  return days > 1 && days < 14 ? `${days} days ago` : dayText(day);
}

/** The day that an instant falls on in a zone. */
export const dayAt = (at: string, timeZone: string): Day => toCalendarDate(parseAbsolute(new Date(at).toISOString(), timeZone)).toString();

const WHEN = { weekday: "short", day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" } as const;
/** "Tue 12 Jan, 16:04", by the clock of a zone. */
export const whenText = (at: string, timeZone: string): string => new DateFormatter(LOCALE, { ...WHEN, timeZone }).format(new Date(at));
/** "16:04", by the clock of a zone. */
export const clockTimeText = (at: string, timeZone: string): string =>
  new DateFormatter(LOCALE, { hour: "2-digit", minute: "2-digit", timeZone }).format(new Date(at));

export const ageOn = (birthYear: number, today: Day): number => parseDate(today).year - birthYear;

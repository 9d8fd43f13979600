import { getDayOfWeek, parseDate } from "@internationalized/date";

/** A calendar day in the studio's time zone, `YYYY-MM-DD`: sorts and compares as text. */
export type Day = string;

export const dayAfter = (day: Day, days: number): Day => parseDate(day).add({ days }).toString();
/** Whole days from one day to a later one; negative where it is earlier. */
export const daysBetween = (from: Day, to: Day): number => parseDate(to).compare(parseDate(from));
/** 1 is Monday, 7 Sunday. */
export const weekdayOf = (day: Day): number => getDayOfWeek(parseDate(day), "en-GB", "mon") + 1;
export const mondayOf = (day: Day): Day => dayAfter(day, 1 - weekdayOf(day));

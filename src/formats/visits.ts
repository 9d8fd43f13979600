import { parseAbsolute, toCalendarDateTime, toTimeZone } from "@internationalized/date";
import ICAL from "ical.js";
import type { Day } from "../core/day";
import { recurrenceDays } from "../core/week/recurrence";
import { MOST_WEEKS_BETWEEN, VISIT_MINUTES, type Visit } from "../core/week/visit";

/** An entry of somebody's calendar as a visit that has no client yet, or why it is none. */
export type CalendarEntry = { title: string; day: Day } & (
  | { visit: Omit<Visit, "id" | "clientId"> & { uid: string } }
  | { problem: "whole-day" | "rule" | "length" | "cancelled" }
);
export const MOST_ENTRIES = 1000;

const WEEKDAYS = ["MO", "TU", "WE", "TH", "FR", "SA", "SU"];

/** Day and hour in the studio's time zone: an entry without a zone is taken as the studio's own. */
function placed(time: ICAL.Time, timeZone: string): { day: Day; at: string } {
  const isFloating = time.zone.tzid === "floating";
  const text = isFloating
    ? time.toString()
    : toCalendarDateTime(toTimeZone(parseAbsolute(time.toJSDate().toISOString(), "UTC"), timeZone)).toString();
  return { day: text.slice(0, 10), at: text.slice(11, 16) };
}

/** Weekly rules alone are read, one visit for each weekday that they name. */
function seriesOf(event: ICAL.Event, first: Day): { day: Day; everyWeeks: number; untilDay: Day | null }[] | null {
  const recur = event.component.getFirstPropertyValue("rrule") as ICAL.Recur;
  const byDay = (recur.parts as { BYDAY?: string[] }).BYDAY ?? [];
  if (recur.freq !== "WEEKLY" || recur.interval > MOST_WEEKS_BETWEEN || byDay.some((day) => !WEEKDAYS.includes(day))) return null;
  const hasEnd = recur.count !== null || recur.until !== null;
  const days = recurrenceDays(recur.toString(), first);
  if (!days) return null;
  return Array.from({ length: Math.max(1, byDay.length) }, (_, i) => i).flatMap((i) => {
    const own = days.filter((_, at) => at % Math.max(1, byDay.length) === i);
    const [day, last] = [own[0], own.at(-1)];
    return day === undefined ? [] : [{ day, everyWeeks: recur.interval, untilDay: hasEnd ? (last ?? null) : null }];
  });
}

function entriesOf(component: ICAL.Component, moved: readonly ICAL.Event[], timeZone: string): CalendarEntry[] {
  const event = new ICAL.Event(component);
  const title = (event.summary ?? "").slice(0, 200);
  const { day, at } = placed(event.startDate, timeZone);
  if (component.getFirstPropertyValue("status") === "CANCELLED") return [{ title, day, problem: "cancelled" }];
  if (event.startDate.isDate) return [{ title, day, problem: "whole-day" }];
  const minutes = Math.round((event.endDate.toJSDate().getTime() - event.startDate.toJSDate().getTime()) / 60_000);
  if (!(minutes >= VISIT_MINUTES.min && minutes <= VISIT_MINUTES.max)) return [{ title, day, problem: "length" }];
  const common = { at, minutes };
  if (!event.isRecurring())
    return [{ title, day, visit: { ...common, day, everyWeeks: null, untilDay: null, except: [], uid: event.uid } }];
  const series = seriesOf(event, day);
  if (!series) return [{ title, day, problem: "rule" }];
  const leftOut = component
    .getAllProperties("exdate")
    .flatMap((property) => property.getValues().map((value) => ({ day: placed(value as ICAL.Time, timeZone).day, movedTo: null })));
  const elsewhere = moved.map((each) => ({
    day: placed(each.recurrenceId, timeZone).day,
    movedTo: each.component.getFirstPropertyValue("status") === "CANCELLED" ? null : placed(each.startDate, timeZone),
  }));
  const weekday = (of: Day): number => new Date(`${of}T00:00:00Z`).getUTCDay();
  return series.map((own, i) => ({
    title,
    day: own.day,
    visit: {
      ...common,
      ...own,
      except: [...leftOut, ...elsewhere].filter((each) => weekday(each.day) === weekday(own.day)),
      uid: i === 0 ? event.uid : `${event.uid} ${i}`,
    },
  }));
}

/**
 * What somebody's calendar (RFC 5545) says of visits, in the studio's time zone; null where it is no calendar. One of more entries
 * than are looked through is not begun: reading it would hold the tablet up.
 */
export function visitsFrom(text: string, timeZone: string): CalendarEntry[] | "too-many" | null {
  if ((text.match(/^BEGIN:VEVENT/gim) ?? []).length > MOST_ENTRIES) return "too-many";
  try {
    const root = new ICAL.Component(ICAL.parse(text) as unknown[]);
    if (root.name !== "vcalendar") return null;
    for (const zone of root.getAllSubcomponents("vtimezone")) ICAL.TimezoneService.register(zone);
    const events = root.getAllSubcomponents("vevent");
    const moved = new Map<string, ICAL.Event[]>();
    for (const each of events.filter((own) => own.hasProperty("recurrence-id")).map((own) => new ICAL.Event(own)))
      moved.set(each.uid, [...(moved.get(each.uid) ?? []), each]);
    return events
      .filter((each) => !each.hasProperty("recurrence-id"))
      .flatMap((each) => entriesOf(each, moved.get(new ICAL.Event(each).uid) ?? [], timeZone));
  } catch {
    return null;
  }
}

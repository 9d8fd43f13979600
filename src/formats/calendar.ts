import { CalendarDateTime, toZoned, type ZonedDateTime } from "@internationalized/date";
import ICAL from "ical.js";
import { tzlib_get_ical_block as zoneBlock } from "timezones-ical-library";
import { convertIcsCalendar, generateIcsCalendar, type IcsDateObject, type IcsEvent, type IcsWeekDay } from "ts-ics";
import type { Day } from "../core/day";

/** A session as it stands in the calendar: on days of the week, or on one day alone. */
export interface CalendarSession {
  /** Stable: read in again it is changed, not doubled. */
  id: string;
  /** Raised with every change. */
  sequence: number;
  title: string;
  note: string;
  startDay: Day;
  /** 24 hours, "17:30". */
  at: string;
  minutes: number;
  repeats: { weekdays: readonly number[]; untilDay: Day } | null;
  /** Days on which it does not take place: moved or missed. */
  exceptDays: readonly Day[];
}
export interface CalendarAsked {
  timeZone: string;
  /** When the file is made, ISO, UTC. */
  madeAt: string;
  sessions: readonly CalendarSession[];
}

const WEEKDAYS: readonly IcsWeekDay[] = ["MO", "TU", "WE", "TH", "FR", "SA", "SU"];
const zonedAt = (day: Day, at: string, zone: string): ZonedDateTime => {
  const [year = 0, month = 0, date = 0] = day.split("-").map(Number);
  const [hour = 0, minute = 0] = at.split(":").map(Number);
  return toZoned(new CalendarDateTime(year, month, date, hour, minute), zone);
};
const offsetText = (ms: number): string => {
  const minutes = Math.abs(ms) / 60_000;
  return `${ms < 0 ? "-" : "+"}${String(Math.floor(minutes / 60)).padStart(2, "0")}${String(minutes % 60).padStart(2, "0")}`;
};
function localTime(at: ZonedDateTime): IcsDateObject {
  return {
    date: at.toDate(),
    type: "DATE-TIME",
    local: { date: new Date(`${at.toString().slice(0, 19)}Z`), timezone: at.timeZone, tzoffset: offsetText(at.offset) },
  };
}

/** Sessions as an iCalendar file (RFC 5545), in the studio's own time zone: nine stays nine when the clocks change. */
export function calendarFile({ timeZone, madeAt, sessions }: CalendarAsked): string {
  const block = (zoneBlock(timeZone)[0] ?? "").replace(/^TZID:.*$/m, `TZID:${timeZone}`); // an alias brings the other's name
  const zone = convertIcsCalendar(undefined, `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-\r\n${block}\r\nEND:VCALENDAR`);
  return generateIcsCalendar({
    version: "2.0",
    prodId: "-//Ponderis//sessions//EN",
    ...(zone.timezones ? { timezones: zone.timezones } : {}),
    events: sessions.map((session): IcsEvent => {
      const start = zonedAt(session.startDay, session.at, timeZone);
      const { repeats } = session;
      return {
        uid: `${session.id}@ponderis`,
        sequence: session.sequence,
        stamp: { date: new Date(madeAt) },
        start: localTime(start),
        end: localTime(start.add({ minutes: session.minutes })),
        summary: session.title,
        ...(session.note ? { description: session.note } : {}),
        ...(repeats
          ? {
              recurrenceRule: {
                frequency: "WEEKLY" as const,
                byDay: repeats.weekdays.map((weekday) => ({ day: WEEKDAYS[weekday - 1] ?? "MO" })),
                until: { date: zonedAt(repeats.untilDay, "23:59", timeZone).toDate() },
              },
            }
          : {}),
        ...(session.exceptDays.length > 0
          ? { exceptionDates: session.exceptDays.map((day) => localTime(zonedAt(day, session.at, timeZone))) }
          : {}),
      };
    }),
  });
}

/** What a file of ours says, read back by another package than the one that wrote it; null where it is no such file. */
export function calendarFrom(text: string): Omit<CalendarAsked, "madeAt"> | null {
  try {
    const root = new ICAL.Component(ICAL.parse(text) as unknown[]);
    const zones = root.getAllSubcomponents("vtimezone");
    const sessions = root.getAllSubcomponents("vevent").map(sessionFrom);
    return { timeZone: String(zones[0]?.getFirstPropertyValue("tzid") ?? "UTC"), sessions };
  } catch {
    return null;
  }
}
const dayOf = (time: ICAL.Time): Day => time.toString().slice(0, 10);
function sessionFrom(component: ICAL.Component): CalendarSession {
  const event = new ICAL.Event(component);
  const rule = component.getFirstPropertyValue("rrule") as ICAL.Recur | null;
  const named = rule ? ((rule.parts as { BYDAY?: string[] }).BYDAY ?? []) : [];
  const until = rule?.until as ICAL.Time | null | undefined;
  return {
    id: event.uid.replace(/@ponderis$/, ""),
    sequence: event.sequence,
    title: event.summary,
    note: event.description ?? "",
    startDay: dayOf(event.startDate),
    at: event.startDate.toString().slice(11, 16),
    minutes: (event.endDate.toJSDate().getTime() - event.startDate.toJSDate().getTime()) / 60_000,
    repeats: rule ? { weekdays: named.map((day) => WEEKDAYS.indexOf(day as IcsWeekDay) + 1), untilDay: until ? dayOf(until) : "" } : null,
    exceptDays: component.getAllProperties("exdate").flatMap((property) => property.getValues().map((value) => dayOf(value as ICAL.Time))),
  };
}

import { type Day, dayAfter, daysBetween } from "../day";

/** A client's time in the studio: once, or every so many weeks on the same weekday. Kept whole, the latest counts. */
export interface Visit {
  id: string;
  clientId: string;
  /** Of the first one. */
  day: Day;
  /** 24 hours, in the studio's time zone. */
  at: string;
  minutes: number;
  /** Every so many weeks; null: once. */
  everyWeeks: number | null;
  /** Last day it may fall on. */
  untilDay: Day | null;
  /** What is otherwise than planned: moved to another day and hour, or not at all. */
  except: readonly { day: Day; movedTo: { day: Day; at: string } | null }[];
  /** Its entry in the calendar file that it was read from. */
  uid: string | null;
}
export const VISIT_MINUTES = { min: 5, max: 240 } as const;
export const MOST_WEEKS_BETWEEN = 8;

/** One visit as it takes place. `plannedDay` says which of its series it is. */
export interface Coming {
  visitId: string;
  clientId: string;
  day: Day;
  at: string;
  minutes: number;
  plannedDay: Day;
}

/** Days on which a visit was planned, in a range. */
function plannedDays({ day, everyWeeks, untilDay }: Visit, from: Day, to: Day): Day[] {
  const last = untilDay !== null && untilDay < to ? untilDay : to;
  if (everyWeeks === null) return day >= from && day <= to ? [day] : [];
  const stepDays = 7 * everyWeeks;
  const skipped = Math.max(0, Math.ceil(daysBetween(day, from) / stepDays));
  const days: Day[] = [];
  for (let next = dayAfter(day, skipped * stepDays); next <= last; next = dayAfter(next, stepDays)) days.push(next);
  return days;
}

/** What takes place from a day to another, both included, in the order of time. */
export function comingBetween(visits: readonly Visit[], from: Day, to: Day): Coming[] {
  return visits
    .flatMap((visit): Coming[] => {
      const { id: visitId, clientId, at, minutes, except } = visit;
      const common = { visitId, clientId, minutes };
      const asPlanned = plannedDays(visit, from, to)
        .filter((day) => !except.some((each) => each.day === day))
        .map((day) => ({ ...common, day, at, plannedDay: day }));
      const moved = except.flatMap(({ day: plannedDay, movedTo }) =>
        movedTo && movedTo.day >= from && movedTo.day <= to ? [{ ...common, ...movedTo, plannedDay }] : [],
      );
      return [...asPlanned, ...moved];
    })
    .toSorted((a, b) => `${a.day} ${a.at}`.localeCompare(`${b.day} ${b.at}`));
}

/** The visit with one of its days moved; one that happens once moves itself. */
export function withMoved(visit: Visit, plannedDay: Day, movedTo: { day: Day; at: string }): Visit {
  if (visit.everyWeeks === null) return { ...visit, ...movedTo };
  return { ...visit, except: [...visit.except.filter(({ day }) => day !== plannedDay), { day: plannedDay, movedTo }] };
}
/** The visit without one of its days; null where none is left. */
export function withLeftOut(visit: Visit, plannedDay: Day): Visit | null {
  if (visit.everyWeeks === null) return null;
  return { ...visit, except: [...visit.except.filter(({ day }) => day !== plannedDay), { day: plannedDay, movedTo: null }] };
}
/** The visit with this day and those after it left out; null where none is left. */
export function withEnd(visit: Visit, fromDay: Day): Visit | null {
  if (visit.everyWeeks === null || fromDay <= visit.day) return null;
  return { ...visit, untilDay: dayAfter(fromDay, -1), except: visit.except.filter(({ day }) => day < fromDay) };
}

import { type Day, dayAfter, daysBetween } from "../day";

export const TERM_DAYS = 280;
/** The trimesters that begin here, after the first. Source: ACOG: 14 weeks 0 days, 28 weeks 0 days. */
const SECOND_FROM_WEEK = 14;
const THIRD_FROM_WEEK = 28;

export interface Gestation {
  dueDay: Day;
  week: number;
  /** 0 to 6 into the week. */
  day: number;
  trimester: 1 | 2 | 3;
}
/** Week, day and trimester, counted from the first day of the last period; due after 280 days. Source: ACOG, Naegele's rule. */
export function gestation(lastPeriodDay: Day, today: Day): Gestation {
  const days = daysBetween(lastPeriodDay, today);
  const week = Math.floor(days / 7);
  return {
    dueDay: dayAfter(lastPeriodDay, TERM_DAYS),
    week,
    day: days - 7 * week,
    trimester: week < SECOND_FROM_WEEK ? 1 : week < THIRD_FROM_WEEK ? 2 : 3,
  };
}
export const lastPeriodOf = (dueDay: Day): Day => dayAfter(dueDay, -TERM_DAYS);

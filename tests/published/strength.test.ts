import { describe, expect, test } from "vitest";
import {
  inReserve,
  loadFor,
  loadWindow,
  ONE_REP_MAX,
  ONE_REP_MAX_FORMULAS,
  sessionLoad,
  strengthFrom,
  twoForTwo,
} from "../../src/core/standards/repetition";
import { recurrenceDays } from "../../src/core/week/recurrence";

/** Load and repetitions against printed formulas and tables; calendars against the RFC's own examples. All from memory. */
const FORMULAS = ["epley", "brzycki", "lombardi", "oconner", "wathen", "mayhew", "lander"] as const;
// source: the printed formulas (standards 1.1), worked by hand
test.each([
  [100, 8, [126.67, 124.14, 123.11, 120.0, 127.67, 126.29, 125.11]],
  [60, 5, [70.0, 67.5, 70.48, 67.5, 69.95, 71.41, 68.23]],
  [20, 12, [28.0, 28.8, 25.64, 26.0, 28.3, 27.08, 28.88]],
  [100, 10, [133.33, 133.33, 125.89, 125.0, 134.75, 130.93, 134.07]],
  [45, 3, [49.5, 47.65, 50.23, 48.38, 49.04, 51.3, 48.24]],
  [100, 1, [103.33, 100.0, 100.0, 102.5, 101.3, 108.86, 101.39]],
])("one-repetition maximum from %s for %s", (load, repetitions, expected) => {
  expect(FORMULAS).toEqual(ONE_REP_MAX_FORMULAS);
  // printed to two places, halves up or down
  FORMULAS.forEach((formula, i) =>
    expect(Math.abs(ONE_REP_MAX[formula](load, repetitions) - expected[i]!), formula).toBeLessThanOrEqual(0.005 + 1e-9),
  );
});

describe("load, effort and their steps", () => {
  // source: NSCA Essentials, the repetition table, and Zourdos 2016
  test("a load by repetitions, what is left counted as done", () => {
    expect(loadFor(50, 10)?.value).toBeCloseTo(37.5, 9);
    expect(loadFor(50, 5)?.value).toBeCloseTo(43.5, 9);
    expect(loadFor(40, 8, 2)).toEqual({ value: 30, percent: 75 });
    expect([loadFor(40, 13), loadFor(40, 14), loadFor(40, 16)]).toEqual([null, null, null]);
  });
  test("repetitions in reserve by effort", () => {
    expect([9, 8.5, 10, 6, 7].map(inReserve)).toEqual([
      { low: 1, high: 1 },
      { low: 1, high: 2 },
      { low: 0, high: 0 },
      { low: 4, high: 6 },
      { low: 3, high: 3 },
    ]);
    expect([inReserve(3), inReserve(6.5)]).toEqual([null, null]);
  });
  // source: NSCA Essentials
  test("two for two", () =>
    expect(
      [
        [14, 14],
        [14, 13],
        [15, 14],
      ].map((sets) => twoForTwo(12, sets)),
    ).toEqual([true, false, true]));
  // source: ACSM 2009, 2 to 10 %
  test("the published window", () => {
    expect(loadWindow(20, 2.5)).toMatchObject({
      low: expect.closeTo(20.4, 9) as number,
      high: expect.closeTo(22, 9) as number,
      stepAllowed: false,
      stepPercent: 12.5,
    });
    expect(loadWindow(20, 2).stepAllowed).toBe(true);
  });
  // source: Foster 2001, sample standard deviation
  test("a week's load, monotony and strain", () => {
    const week = sessionLoad([300, 0, 240, 0, 360, 120, 0]);
    expect(week.weekly).toBe(1020);
    expect([week.mean, week.sd, week.monotony, week.strain].map((value) => Math.round(value! * 1000) / 1000)).toEqual([
      145.714, 154.365, 0.944, 962.838,
    ]);
    expect(sessionLoad([5, 5, 5, 5, 5, 5, 5])).toMatchObject({ monotony: null, strain: null });
  });
  test("strength only from short, hard sets that were logged", () => {
    expect(strengthFrom(100, 8, 2)).toBeCloseTo(133.33, 2);
    expect(strengthFrom(80, 1, 0)).toBe(80);
    expect([strengthFrom(100, 9, 2), strengthFrom(100, 5, 4), strengthFrom(0, 5, 1)]).toEqual([null, null, null]);
  });
});

// source: RFC 5545, 3.8.5.3, examples
test.each([
  ["FREQ=DAILY;COUNT=10", "1997-09-02", "02 03 04 05 06 07 08 09 10 11"],
  ["FREQ=DAILY;INTERVAL=10;COUNT=5", "1997-09-02", "02 12 22 02 12"],
  ["FREQ=WEEKLY;COUNT=10", "1997-09-02", "02 09 16 23 30 07 14 21 28 04"],
  ["FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH", "1997-09-02", "02 04 09 11 16 18 23 25 30 02"],
  [
    "FREQ=WEEKLY;INTERVAL=2;UNTIL=19971224T000000Z;WKST=SU;BYDAY=MO,WE,FR",
    "1997-09-01",
    "01 03 05 15 17 19 29 01 03 13 15 17 27 29 31 10 12 14 24 26 28 08 10 12 22",
  ],
  ["FREQ=MONTHLY;COUNT=10;BYDAY=1FR", "1997-09-05", "05 03 07 05 02 06 06 03 01 05"],
  ["FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=MO", "1997-08-05", "05 10 19 24"],
  ["FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=SU", "1997-08-05", "05 17 19 31"],
  ["FREQ=MONTHLY;BYMONTHDAY=15,30;COUNT=5", "2007-01-15", "15 30 15 15 30"],
])("the days of %s", (rule, start, expected) => {
  expect(
    recurrenceDays(rule, start)
      ?.map((day) => day.slice(8))
      .join(" "),
  ).toBe(expected);
});
test("a rule that is none, or has two ends, has no days", () => {
  expect([recurrenceDays("every monday", "2026-01-01"), recurrenceDays("FREQ=DAILY;COUNT=2;UNTIL=20260101", "2026-01-01")]).toEqual([
    null,
    null,
  ]);
});

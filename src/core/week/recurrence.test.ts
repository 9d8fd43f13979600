import { describe, expect, test } from "vitest";
import { MOST_DAYS, recurrenceDays } from "./recurrence";

const MONDAY = "2026-11-30";

describe("days of a rule", () => {
  test("begin with the start, by weeks, and end where the rule does", () => {
    expect(recurrenceDays("FREQ=WEEKLY;COUNT=3", MONDAY)).toEqual([MONDAY, "2026-12-07", "2026-12-14"]);
    expect(recurrenceDays("RRULE:FREQ=WEEKLY;INTERVAL=2;COUNT=2", MONDAY)).toEqual([MONDAY, "2026-12-14"]);
    expect(recurrenceDays("rrule:freq=weekly;count=2", MONDAY)).toEqual([MONDAY, "2026-12-07"]);
    expect(recurrenceDays("FREQ=WEEKLY;INTERVAL=10;COUNT=2", MONDAY)).toEqual([MONDAY, "2027-02-08"]);
  });
  test("count a start that the rule does not name as their first", () => {
    expect(recurrenceDays("FREQ=WEEKLY;BYDAY=WE;COUNT=2", MONDAY)).toEqual([MONDAY, "2026-12-02"]);
    expect(recurrenceDays("FREQ=WEEKLY;BYDAY=WE;UNTIL=20261210", MONDAY)).toEqual([MONDAY, "2026-12-02", "2026-12-09"]);
  });
  test("end with their last day, which an end in its morning leaves out", () => {
    const until = (end: string) => recurrenceDays(`FREQ=WEEKLY;UNTIL=${end}`, MONDAY)?.length;
    expect([
      until("20261214"),
      until("20261214T180000Z"),
      until("20261214T120000Z"),
      until("20261214T115959Z"),
      until("20261214T060000"),
    ]).toEqual([3, 3, 3, 2, 2]);
  });
  test("are cut where there is no end", () => expect(recurrenceDays("FREQ=DAILY", MONDAY)).toHaveLength(MOST_DAYS));
});

test.each([
  ["FREQ=WEEKLY;COUNT=3;UNTIL=20261231"],
  ["FREQ=WEEKLY;INTERVAL=0;COUNT=3"],
  ["FREQ=WEEKLY;COUNT=3;INTERVAL=00"],
  ["COUNT=3"],
  ["FREQ=SOMETIMES;COUNT=2"],
  ["every Tuesday"],
  [""],
])("%s is no rule", (rule) => expect(recurrenceDays(rule, MONDAY)).toBeNull());

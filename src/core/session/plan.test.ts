import { expect, test } from "vitest";
import { dayAfter } from "../day";
import { blockStart, laidFrom, rulesOf } from "./plan";

const MONDAY = "2026-11-30";
const plan = (more: object = {}) => ({
  often: "three-a-week" as const,
  weekdays: [1, 2, 3, 4, 5, 6, 7],
  weeks: 2,
  loads: [],
  laid: [],
  ...more,
});
const days = (laid: readonly { day: string }[]): string[] => laid.map(({ day }) => day);

test("a block begins where it was begun, else on the first day that is laid, whatever their order; without one nowhere", () => {
  const laid = [
    { id: "b", day: "2026-12-04", often: "daily" as const },
    { id: "a", day: "2026-12-02", often: "daily" as const },
  ];
  expect(blockStart({ laid })).toBe("2026-12-02");
  expect(blockStart({ laid, blockFrom: "2026-11-01" })).toBe("2026-11-01");
  expect(blockStart({ laid: [] })).toBeUndefined();
});

test("what was done counts for rest, each day by its own name, in the plan's own class", () => {
  const { done, ...rules } = rulesOf({ weekdays: [1], loads: [], often: "daily" }, { restDays: 2 }, ["2026-11-28", "2026-11-29"]);
  expect(rules).toEqual({ weekdays: [1], loads: [], school: { restDays: 2 } });
  expect(done).toEqual([
    { id: "done 2026-11-28", day: "2026-11-28", often: "daily" },
    { id: "done 2026-11-29", day: "2026-11-29", often: "daily" },
  ]);
});

test("sessions are laid as many a week as their class has, with its rest, week by week", () => {
  const laid = laidFrom(plan(), { restDays: 1 }, [], MONDAY);
  expect(days(laid)).toEqual([0, 2, 4, 7, 9, 11].map((inDays) => dayAfter(MONDAY, inDays)));
  expect(days(laidFrom(plan({ often: "two-rest-days" }), { restDays: 1 }, [], MONDAY))).toHaveLength(4);
  expect(days(laidFrom(plan({ often: "daily", weeks: 1 }), { restDays: 1 }, [], MONDAY))).toHaveLength(7);
  expect(laid.some(({ isLight }) => isLight)).toBe(false);
});

test("what lies before the day stays, but for what was trained; after a session there is rest", () => {
  const laid = [
    { id: "before", day: "2026-11-26", often: "three-a-week" as const },
    { id: "trained", day: "2026-11-29", often: "three-a-week" as const },
    { id: "gone", day: MONDAY, often: "three-a-week" as const },
  ];
  const again = laidFrom(plan({ laid, weeks: 1 }), { restDays: 1 }, ["2026-11-29"], MONDAY);
  expect(again.map(({ id }) => id)).toEqual(["before", "three-a-week 2026-12-01", "three-a-week 2026-12-03", "three-a-week 2026-12-05"]);
});

test("every second session is light where the plan has it so", () => {
  const laid = laidFrom(plan({ alternates: true, weeks: 1 }), { restDays: 1 }, [], MONDAY);
  expect(laid.map(({ isLight }) => isLight === true)).toEqual([false, true, false]);
});

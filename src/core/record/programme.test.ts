import { awayToday } from "./derive";
import { describe, expect, test } from "vitest";
import { painfulWeeks } from "./history";
import { builtSince, dailyLoads, sessionLoadOf, strengthTrends, wayToGoal } from "./programme";
import { answer, doneSession, doneSet, plan, record, rung } from "./record.fixture";

/** A session of four sets, five minutes apart, ended a minute after the last. */
const told = (id: string, day: string, effortScore: number | null) =>
  doneSession(id, day, {
    effortScore,
    endedAt: `${day}T10:16:00.000Z`,
    sets: [0, 5, 10, 15].map((minute, n) => doneSet(`item-${id}`, n, { endedAt: `${day}T10:${String(minute).padStart(2, "0")}:00.000Z` })),
  });

describe("what sessions weigh", () => {
  test("is effort times minutes, and nothing where nobody told", () => {
    expect(sessionLoadOf(told("s", "2026-10-06", 5))).toBe(5 * 17);
    expect(sessionLoadOf(told("s", "2026-10-06", null))).toBeNull();
    expect(sessionLoadOf(doneSession("s", "2026-10-06", { effortScore: 5, sets: [] }))).toBeNull();
    expect(sessionLoadOf({ ...told("s", "2026-10-06", 2), endedAt: "2026-10-07T09:00:00.000Z" })).toBe(2 * 180); // left open overnight
  });
  test("stands on its day among the seven that end today, beside the weeks before", () => {
    const sessions = [told("a", "2026-09-15", 4), told("b", "2026-10-03", 5), told("c", "2026-10-09", 6), told("d", "2026-10-08", null)];
    expect(dailyLoads({ sessions }, "2026-10-09")).toEqual({
      daily: [5 * 17, 0, 0, 0, 0, 0, 6 * 17],
      weeksBefore: [4 * 17],
      untold: 1,
    });
  });
});

test("strength is read from logged sets with a load and a number left, the best of each day", () => {
  const set = (repetitions: number, leftInTank: number | null, loadKg: number) =>
    doneSet("item-s1", 0, { repetitions, leftInTank, setting: { seatHeightM: 0.6, loadKg } });
  const sessions = [
    doneSession("s1", "2026-10-06", { sets: [set(8, 2, 20), set(6, 2, 20), set(8, null, 40), set(8, 2, 0)] }),
    doneSession("s2", "2026-10-09", { sets: [] }),
  ];
  // Epley: 20 × (1 + 10/30)
  expect(strengthTrends(record({ sessions }))).toEqual([
    { variationId: "raised-sit-to-stand", days: [{ day: "2026-10-06", kg: expect.closeTo(26.67, 2) as number }] },
  ]);
});

test("a time away is counted from the last day that was trained, today's own session aside", () => {
  const sessions = [doneSession("s1", "2026-10-01"), doneSession("s2", "2026-10-12", { sets: [] }), doneSession("s3", "2026-10-20")];
  expect(awayToday({ sessions }, "2026-10-20")).toEqual({ days: 19, step: "set-fewer" });
  expect(awayToday({ sessions }, "2026-10-21")).toBeNull();
});

describe("the way", () => {
  const rungs = [
    rung("rung-1", { day: "2026-09-01", setting: { seatHeightM: 0.7 } }),
    rung("rung-2", { day: "2026-10-01", setting: { seatHeightM: 0.6 } }),
    rung("rung-3", { day: "2026-10-02", pattern: "step", setting: { stepHeightM: 0.1 } }),
  ];
  test("to a goal is counted on the goal's own lever, from the first rung that had it", () => {
    const goal = { pattern: "squat", lever: "seatHeightM", wanted: 0.5 } as const;
    expect(wayToGoal({ rungs: rungs.toReversed() }, goal)).toMatchObject({ from: 0.7, now: 0.6, sinceDay: "2026-09-01" });
    expect(wayToGoal({ rungs }, goal)?.doneFraction).toBeCloseTo(0.5);
    expect(wayToGoal({ rungs }, { ...goal, lever: "loadKg" })).toBeNull();
  });
  test("of a block is the rung it began with and the one of now, where they differ", () => {
    const of = record({ rungs, prescriptions: [plan("p1", "rung-1"), plan("p2", "rung-2"), plan("p3", "rung-3")] });
    expect(builtSince(of, "2026-09-15").map(({ from, to }) => [from.id, to.id])).toEqual([["rung-1", "rung-2"]]);
    expect(builtSince(of, "2026-10-05")).toEqual([]);
  });
  test("repeats the weeks in which a morning was not calm", () => {
    const responses = [
      answer("a", "2026-09-01", { class: "flare" }),
      answer("b", "2026-10-02"),
      answer("c", "2026-10-09", { class: "noticed" }),
    ];
    expect(painfulWeeks({ responses }, "2026-10-01")).toEqual([2]);
  });
});

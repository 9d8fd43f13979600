import fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { Frequency } from "../catalogue/variation";
import { dayAfter, daysBetween, weekdayOf } from "../day";
import { schoolOf } from "../school/school";
import { fadePlan, forecast, kneeForwardStepDone, wayDone } from "./forecast";
import { type DoneSet, loadNotices, weekTotals } from "./totals";
import { blockWeek, alternating, type Laid, layOut, moveMissed, refusalOn, REST_DAYS, retryDay, type WeekRules } from "./week";

const MONDAY = "2026-11-23";
const rules = (part: Partial<WeekRules> = {}): WeekRules => ({
  weekdays: [1, 2, 3, 4, 5, 6, 7],
  school: schoolOf({ preset: "mainstream" }),
  loads: [],
  ...part,
});
const circuit = (day: string, id = day): Laid => ({ id, day, often: "two-rest-days" });

describe("rest", () => {
  test("is as many days as the approach asks, three meaning three, and none for what is done daily", () => {
    const on = (often: Laid["often"], days: number, restDays: number) =>
      refusalOn(dayAfter(MONDAY, days), { id: "next", often }, [{ id: "m", day: MONDAY, often }], rules({ school: { restDays } }))?.code ??
      "free";
    for (const often of ["three-a-week", "two-rest-days"] as const)
      expect([1, 2, 3, 4].map((days) => on(often, days, 3))).toEqual(["rest", "rest", "rest", "free"]);
    expect([1, 2].map((days) => on("three-a-week", days, 0))).toEqual(["rest", "free"]);
    expect(on("daily", 1, 3)).toBe("free");
  });

  test("Monday's circuit refuses Tuesday and Wednesday and takes Thursday, while the daily sit-to-stand stays", () => {
    const on = (days: number) => refusalOn(dayAfter(MONDAY, days), { id: "next", often: "two-rest-days" }, [circuit(MONDAY)], rules());
    expect(on(1)).toEqual({ code: "rest", after: MONDAY, until: "2026-11-26" });
    expect(on(2)).toMatchObject({ code: "rest" });
    expect(on(3)).toBeNull();
    expect(refusalOn("2026-11-24", { id: "d", often: "daily" }, [circuit(MONDAY)], rules())).toBeNull();
  });
  test("holds before what comes as well as after what was, on the client's own days, and on a day with a load of its own", () => {
    expect(refusalOn("2026-11-25", { id: "n", often: "two-rest-days" }, [circuit("2026-11-27")], rules())).toMatchObject({
      code: "rest-before",
      latest: "2026-11-24",
    });
    expect(refusalOn(MONDAY, { id: "n", often: "two-rest-days" }, [], rules({ weekdays: [2] }))).toEqual({
      code: "not-a-day-of-the-client",
      weekday: 1,
    });
    const fair = { day: MONDAY, name: "harbour fair", isHeavy: true };
    expect(refusalOn(MONDAY, { id: "n", often: "two-rest-days" }, [], rules({ loads: [fair] }))).toEqual({
      code: "own-load",
      name: "harbour fair",
    });
    expect(refusalOn(MONDAY, { id: "n", often: "daily" }, [], rules({ loads: [fair] }))).toBeNull();
    expect(refusalOn(MONDAY, { id: "n", often: "daily" }, [{ id: "x", day: MONDAY, often: "daily" }], rules())).toEqual({
      code: "already-that-day",
    });
  });
  test("one day a week gets one, seven get what the class allows", () => {
    expect(layOut(2, "two-rest-days", MONDAY, 1, rules({ weekdays: [4] })).map(({ day }) => day)).toEqual(["2026-11-26"]);
    expect(layOut(2, "two-rest-days", MONDAY, 1, rules()).map(({ day }) => weekdayOf(day))).toEqual([1, 4]);
    expect(layOut(3, "three-a-week", MONDAY, 1, rules()).map(({ day }) => weekdayOf(day))).toEqual([1, 3, 5]);
    expect(layOut(9, "daily", MONDAY, 1, rules())).toHaveLength(7);
  });
  const often = fc.constantFrom<Frequency>("daily", "three-a-week", "two-rest-days");
  const plans = fc.record({
    weekdays: fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1, maxLength: 7 }),
    often,
    weeks: fc.integer({ min: 1, max: 6 }),
    missedAt: fc.nat(20),
    lateBy: fc.integer({ min: 1, max: 5 }),
  });
  test("no plan ever breaks a rest rule, whatever is missed and moved, and nothing is done twice", () => {
    let moved = 0;
    fc.assert(
      fc.property(plans, ({ weekdays, often: kind, weeks, missedAt, lateBy }) => {
        const own = rules({ weekdays });
        const laid = Array.from({ length: weeks }, (_, week) => week).reduce<Laid[]>(
          (all, week) => [...all, ...layOut(3, kind, dayAfter(MONDAY, 7 * week), 1, own, all)],
          [],
        );
        const missed = laid[missedAt % Math.max(1, laid.length)];
        const answer = missed && moveMissed(missed, laid, dayAfter(missed.day, lateBy), own);
        for (const plan of [laid, ...(answer?.ok ? [answer.laid] : [])]) {
          const days = plan.map(({ day }) => day).toSorted();
          expect(new Set(days).size).toBe(days.length);
          days.slice(1).forEach((day, i) => expect(daysBetween(days[i]!, day)).toBeGreaterThan(REST_DAYS[kind]));
          for (const day of days) expect(weekdays).toContain(weekdayOf(day));
        }
        if (answer?.ok) {
          moved++;
          expect(answer.laid.length).toBeLessThanOrEqual(laid.length);
          expect(answer.day >= dayAfter(missed!.day, lateBy)).toBe(true);
        }
      }),
    );
    expect(moved).toBeGreaterThan(40);
  });
  test("a missed session pushes the next one on instead of crowding it", () => {
    const laid = [circuit(MONDAY, "a"), circuit("2026-11-26", "b"), circuit("2026-11-30", "c")];
    const answer = moveMissed(laid[1]!, laid, "2026-11-28", rules());
    expect(answer.ok && answer.laid.map(({ id, day }) => `${id} ${day.slice(8)}`)).toEqual(["a 23", "b 28", "c 01"]);
    expect(moveMissed(laid[1]!, laid, "2026-11-28", rules({ weekdays: [] }))).toMatchObject({ ok: false, reason: "no-day-left" });
  });
});

test("blocks are six weeks, and what was not ready comes back after seven days", () => {
  expect([0, 6, 7, 41, 42].map((days) => blockWeek(MONDAY, dayAfter(MONDAY, days)))).toEqual([1, 1, 2, 6, 7]);
  expect(retryDay(MONDAY)).toBe("2026-11-30");
});

test("every second day is a light one where they alternate, by date, and none where they do not", () => {
  const laid: Laid[] = ["2026-11-30", "2026-11-23", "2026-11-26"].map((day) => ({ id: day, day, often: "two-rest-days" }));
  const light = (all: readonly Laid[]) => all.flatMap(({ day, isLight }) => (isLight ? [day] : []));
  expect(light(alternating(laid, true))).toEqual(["2026-11-26"]);
  expect(light(alternating(alternating(laid, true), false))).toEqual([]);
});

test("a week's totals are the hand sum of its sets, leg by leg, and a repaired leg's share is said", () => {
  const sets: DoneSet[] = [
    { day: MONDAY, variationId: "raised-sit-to-stand", side: null, repetitions: 10 },
    { day: MONDAY, variationId: "low-step-up", side: "right", repetitions: 12 },
    { day: "2026-11-26", variationId: "low-step-up", side: "left", repetitions: 8 },
    { day: "2026-11-26", variationId: "bird-dog", side: "left", repetitions: 5 },
    { day: "2026-11-30", variationId: "raised-sit-to-stand", side: null, repetitions: 9 },
  ];
  const [first, second] = weekTotals(sets);
  expect(first).toMatchObject({
    monday: MONDAY,
    setsBy: { squat: 1, step: 2, helper: 1 },
    repetitionsBy: { squat: 10, step: 20 },
    repetitionsOf: { left: 23, right: 22 },
  });
  expect(first?.oneLegFraction).toBeCloseTo(2 / 3, 9);
  expect(second).toMatchObject({ monday: "2026-11-30", repetitionsOf: { left: 9, right: 9 }, oneLegFraction: 0 });
});

test("sudden jumps and weeks without easy days are noticed, never blocked", () => {
  expect(loadNotices([300, 0, 300, 0, 300, 0, 300], [1000, 1000])).toEqual([]);
  expect(loadNotices([400, 0, 400, 0, 400, 0, 400], [1000, 1000])).toEqual([{ code: "jump", fraction: 1.6 }]);
  expect(loadNotices([200, 210, 190, 200, 205, 195, 200], [])).toMatchObject([{ code: "monotony" }]);
});

describe("the way to a goal", () => {
  const asked = {
    stepCount: 8,
    sessionsPerWeek: 2,
    sessionsToBuild: 2,
    mornings: { calm: 10, noticed: 2, flare: 0 },
    missedPercent: 10,
    seed: 7,
  };
  test("is the same for the same seed, longer for worse mornings, more steps and a more careful school", () => {
    const one = forecast(asked);
    expect(forecast(asked)).toEqual(one);
    expect(one.lowWeeks).toBeLessThan(one.highWeeks!);
    for (const slower of [
      { ...asked, mornings: { calm: 4, noticed: 6, flare: 2 } },
      { ...asked, stepCount: 14 },
      { ...asked, sessionsToBuild: 3 },
    ])
      expect(forecast(slower).middleWeeks ?? Infinity).toBeGreaterThan(one.middleWeeks!);
    expect(forecast({ ...asked, stepCount: 0 })).toMatchObject({ lowWeeks: 0, highWeeks: 0 });
  });
  test("climbing the repetitions again before each build takes longer", () =>
    expect(forecast({ ...asked, climbSessions: 2 }).middleWeeks).toBeGreaterThan(1.4 * forecast(asked).middleWeeks!));
  test("says none where most ways do not get there", () => {
    const hard = forecast({ ...asked, mornings: { calm: 0, noticed: 5, flare: 60 } });
    expect(hard).toMatchObject({ lowWeeks: null, highWeeks: null, reachedFraction: 0 });
  });
  test("support fades week by week and waits where it hurt", () => {
    expect(fadePlan(0.5, 5).map(({ supportFraction }) => Math.round(supportFraction * 100))).toEqual([50, 40, 30, 20, 10, 0]);
    const paused = fadePlan(0.5, 5, [2]).map(
      ({ supportFraction, paused: waits }) => `${Math.round(supportFraction * 100)}${waits ? "!" : ""}`,
    );
    expect(paused.slice(0, 4)).toEqual(["50", "40", "40!", "30"]);
  });
  test("how much of it is done, by the goal's own measure", () => {
    expect(kneeForwardStepDone(0.075, 17.5, 70)).toBeCloseTo(0.5, 9);
    expect(kneeForwardStepDone(0.3, 100, 70)).toBe(1);
    expect([wayDone(10, 15, 20), wayDone(10, 5, 20), wayDone(5, 5, 5)]).toEqual([0.5, 0, 1]);
  });
});

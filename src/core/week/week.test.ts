import fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { Frequency } from "../catalogue/variation";
import { dayAfter, daysBetween, weekdayOf } from "../day";
import { schoolOf } from "../approach/approach";
import { fadePlan, forecast, HORIZON_WEEKS, kneeForwardStepDone, PRIOR, ratesFrom, uniformFrom, wayDone, weeksOfWay } from "./forecast";
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
  test("no more in a week than its class allows, though the days between would do; what is done several times a day may come again", () => {
    const on = (often: Frequency, days: readonly number[], day: number) =>
      refusalOn(
        dayAfter(MONDAY, day),
        { id: "next", often },
        days.map((each) => ({ id: `${each}`, day: dayAfter(MONDAY, each), often })),
        rules(),
      );
    expect(on("three-a-week", [0, 2, 4], 6)).toEqual({ code: "often-enough", most: 3 });
    expect(on("three-a-week", [0, 2], 4)).toBeNull();
    expect(on("three-a-week", [-7, -5, -3, 0], 2)).toBeNull(); // another week's are not counted
    expect(on("several-a-day", [0], 0)).toBeNull();
    expect(on("daily", [0], 0)).toEqual({ code: "already-that-day" });
  });
  test("of what was done is kept as of what is planned, of its own class alone, and a session does not crowd itself", () => {
    const next = { id: "next", often: "two-rest-days" } as const;
    const done = (often: Frequency) => rules({ done: [{ id: "d", day: MONDAY, often }] });
    expect(refusalOn("2026-11-24", next, [], done("two-rest-days"))).toEqual({ code: "rest", after: MONDAY, until: "2026-11-26" });
    expect(refusalOn("2026-11-24", next, [], done("daily"))).toBeNull();
    expect(refusalOn("2026-11-24", next, [{ ...next, day: MONDAY }], rules())).toBeNull();
    expect(refusalOn(MONDAY, next, [{ ...next, day: MONDAY }], rules())).toBeNull();
    const loads = [
      { day: "2026-11-24", name: "fair", isHeavy: true },
      { day: MONDAY, name: "walk", isHeavy: false },
    ];
    expect(refusalOn(MONDAY, next, [], rules({ loads }))).toBeNull(); // another day's, and a light one
  });
  test("lays out as many as were wanted, on no day that another stands on, within its weeks", () => {
    expect(layOut(2, "three-a-week", MONDAY, 2, rules()).map(({ day }) => day)).toEqual([MONDAY, "2026-11-25"]);
    expect(layOut(99, "three-a-week", MONDAY, 2, rules()).at(-1)?.day).toBe("2026-12-04");
    expect(layOut(2, "daily", MONDAY, 1, rules(), [{ id: "x", day: MONDAY, often: "daily" }])[0]?.day).toBe("2026-11-24");
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
    // in the order of their days, however they are kept, and the missed one's own place is free
    const back = moveMissed(laid[1]!, laid.toReversed(), "2026-11-28", rules());
    expect(back.ok && back.laid.map(({ id }) => id)).toEqual(["a", "b", "c"]);
    expect(moveMissed(laid[1]!, laid, "2026-11-26", rules())).toMatchObject({ ok: true, day: "2026-11-26" });
  });
  test("what finds no day within a fortnight is left out, and the missed one is looked for no longer", () => {
    const heavy = Array.from({ length: 60 }, (_, i) => ({ day: dayAfter(MONDAY, i), name: "harvest", isHeavy: true }));
    const missed = circuit(MONDAY, "a");
    const free = (from: number) => rules({ loads: heavy.filter((_, i) => i < from) });
    expect(moveMissed(missed, [missed], "2026-11-24", free(14))).toMatchObject({ ok: true, day: dayAfter(MONDAY, 14) });
    expect(moveMissed(missed, [missed], "2026-11-24", free(15))).toEqual({ ok: false, reason: "no-day-left", within: 14 });
    const later = circuit(dayAfter(MONDAY, 3), "b");
    const one = moveMissed(missed, [missed, later], "2026-11-24", rules({ loads: heavy.filter((_, i) => i !== 1) }));
    expect(one.ok && one.laid.map(({ id }) => id)).toEqual(["a"]);
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
  expect(loadNotices([300, 0, 300, 0, 300, 0, 600], [1000])).toEqual([{ code: "jump", fraction: 1.5 }]);
  expect(loadNotices([300, 0, 300, 0, 300, 0, 599], [1000])).toEqual([]);
  expect(loadNotices([300, 0, 0, 0, 0, 0, 0], [0, 0])).toEqual([]); // of nothing before there is no jump
  expect(loadNotices([0, 0, 0, 0, 0, 0, 0], [])).toEqual([]);
  expect(weekTotals([{ day: MONDAY, variationId: "bird-dog", side: "left", repetitions: 5 }])[0]?.oneLegFraction).toBeNaN();
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
  test("is a count of sessions where the answers are known", () => {
    const calm = { calm: 1, noticed: 0, flare: 0 };
    const way = { stepCount: 2, sessionsPerWeek: 2, sessionsToBuild: 2, missedPercent: 10 };
    const told = (...answers: number[]): (() => number) => {
      let turn = 0;
      return () => answers[turn++ % answers.length]!;
    };
    const always = told(0.5);
    expect(weeksOfWay(way, calm, always)).toBe(2);
    expect(weeksOfWay({ ...way, climbSessions: 1 }, calm, always)).toBe(3);
    expect(weeksOfWay({ ...way, sessionsToBuild: 3 }, calm, always)).toBe(3);
    expect(weeksOfWay(way, calm, told(0.05, 0.5, 0.5))).toBe(4); // every second one missed, and no answer asked of it
    expect(weeksOfWay({ ...way, missedPercent: 5 }, calm, told(0.05))).toBe(2); // under the share is missed, not at it
    // good, noticed, good, good: the noticed one begins the count anew
    const mixed = { calm: 0.5, noticed: 0.3, flare: 0.2 };
    const one = { ...way, stepCount: 1, missedPercent: 0 };
    expect(weeksOfWay(one, mixed, told(0.9, 0.1, 0.9, 0.6, 0.9, 0.1, 0.9, 0.1))).toBe(2);
    // a flare takes back the step, and what was climbed
    expect(weeksOfWay({ ...one, stepCount: 2, sessionsToBuild: 1 }, mixed, told(0.9, 0.1, 0.9, 0.9, 0.9, 0.1, 0.9, 0.1))).toBe(2);
    expect(weeksOfWay({ ...one, sessionsToBuild: 1, climbSessions: 1 }, mixed, told(0.9, 0.1, 0.9, 0.9, 0.9, 0.1, 0.9, 0.1))).toBe(2);
    expect(weeksOfWay(one, mixed, told(0.9, 0.5))).toBe(Infinity);
    expect(weeksOfWay({ ...one, stepCount: 208, sessionsToBuild: 1 }, calm, always)).toBe(HORIZON_WEEKS);
    expect(weeksOfWay({ ...one, stepCount: 209, sessionsToBuild: 1 }, calm, always)).toBe(Infinity);
  });
  test("draws rates as a Dirichlet distribution has them: its means and its spread", () => {
    const uniform = uniformFrom(3);
    const mornings = { calm: 6, noticed: 2.5, flare: 0 };
    const drawn = Array.from({ length: 6000 }, () => ratesFrom(mornings, uniform));
    const all = 6 + 2.5 + 6; // what was answered and what stands for nothing answered
    for (const kind of ["calm", "noticed", "flare"] as const) {
      const share = (mornings[kind] + PRIOR[kind]) / all;
      const mean = drawn.reduce((sum, rates) => sum + rates[kind], 0) / drawn.length;
      const spread = drawn.reduce((sum, rates) => sum + (rates[kind] - mean) ** 2, 0) / drawn.length;
      expect(mean).toBeCloseTo(share, 2);
      expect(spread).toBeCloseTo((share * (1 - share)) / (all + 1), 3);
    }
    for (const { calm, noticed, flare } of drawn.slice(0, 50)) expect(calm + noticed + flare).toBeCloseTo(1, 9);
  });
  test("is chance from nought to one, neither of them, and the same for a seed", () => {
    const [one, two] = [uniformFrom(9), uniformFrom(9)];
    const values = Array.from({ length: 3000 }, one);
    expect(values.slice(0, 3)).toEqual([two(), two(), two()]);
    expect(Math.min(...values)).toBeGreaterThan(0);
    expect(Math.max(...values)).toBeLessThan(1);
    expect(values.reduce((sum, value) => sum + value, 0) / values.length).toBeCloseTo(0.5, 1);
  });
  test("is told to the tenth of a week, out to the earliest and the latest of eight in ten, or from an earliest on", () => {
    const few = forecast({ ...asked, stepCount: 3, mornings: { calm: 40, noticed: 0, flare: 0 }, missedPercent: 0 });
    expect(few.lowWeeks).toBe(3); // six sessions, two a week: none comes earlier
    expect(few.middleWeeks).toBeGreaterThanOrEqual(3);
    expect(few.reachedFraction).toBe(1);
    const half = forecast({ ...asked, mornings: { calm: 3, noticed: 6, flare: 2 }, stepCount: 16 });
    expect(half.highWeeks).toBeNull();
    expect(half.lowWeeks).not.toBeNull();
    expect(half.reachedFraction).toBeGreaterThan(0.2);
    expect(half.reachedFraction).toBeLessThan(0.9);
    for (const weeks of [half.lowWeeks, few.highWeeks]) expect((weeks ?? NaN) * 10).toBeCloseTo(Math.round((weeks ?? NaN) * 10), 6);
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
    expect(paused).toEqual(["50", "40", "40!", "30", "20", "10", "0"]);
    expect(fadePlan(0.4, 2, [1, 2]).map(({ supportFraction }) => supportFraction)).toEqual([0.4, 0.4, 0.4, 0.2, 0]);
  });
  test("how much of it is done, by the goal's own measure", () => {
    expect(kneeForwardStepDone(0.075, 17.5, 70)).toBeCloseTo(0.5, 9);
    expect(kneeForwardStepDone(0.3, 100, 70)).toBe(1);
    expect([wayDone(10, 15, 20), wayDone(10, 5, 20), wayDone(5, 5, 5)]).toEqual([0.5, 0, 1]);
  });
});

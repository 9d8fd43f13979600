import { describe, expect, test } from "vitest";
import { complaint } from "../../judge/fit.fixture";
import type { Complaint } from "../../limits/complaint";
import type { SessionItem } from "../../session/session";
import { awayToday } from "../gate/away";
import { fitContextOf } from "../standing/context";
import { painfulWeeks, trainedDays } from "../standing/history";
import {
  builtSince,
  dailyLoads,
  doneSets,
  firstProgramme,
  laidOn,
  programmeItems,
  programmeNow,
  sessionLoadOf,
  strengthTrends,
  usualAsked,
  usualWeek,
  wayToGoal,
  weakLinkOf,
} from "./programme";
import type { ClientRecord, RungFact } from "../facts/record";
import { answer, doneSession, doneSet, plan, RAISED, record, rung, TODAY } from "../facts/record.fixture";

/** A session of four sets, five minutes apart, ended a minute after the last. */
const told = (id: string, day: string, effortScore: number | null) =>
  doneSession(id, day, {
    effortScore,
    endedAt: `${day}T10:16:00.000Z`,
    sets: [0, 5, 10, 15].map((minute, n) => doneSet(`item-${id}`, n, { endedAt: `${day}T10:${String(minute).padStart(2, "0")}:00.000Z` })),
  });

describe("a programme to begin with", () => {
  const sore = (site: Complaint["site"], side: Complaint["side"], id = `${site} ${side}`) => complaint({ id, site, side });
  test("has a weak link by what hurts: its place, and the side it is on", () => {
    const weak = (...complaints: Complaint[]) => weakLinkOf({ complaints });
    expect(weak()).toEqual({ weak: { kind: "knee" }, weakSide: null });
    expect(weak(sore("knee", "left"))).toEqual({ weak: { kind: "knee" }, weakSide: "left" });
    expect(weak(sore("low-back", "right"))).toEqual({ weak: { kind: "back" }, weakSide: "right" });
    expect(weak(sore("hip", "left"))).toEqual({ weak: { kind: "muscle", trained: "side-hip" }, weakSide: "left" });
    expect(weak(sore("knee", "both"))).toMatchObject({ weakSide: null });
    expect(weak(sore("knee", "left"), sore("hip", "right"))).toEqual({ weak: { kind: "knee" }, weakSide: "both" });
    expect(weak(sore("knee", "both"), sore("hip", "right"))).toMatchObject({ weakSide: "right" });
  });
  test("asks for the client's own minutes, never under ten, a first purpose before anything was trained, and what stands", () => {
    const minutes = (told: number | null) =>
      usualAsked(record({ screen: { person: { fear: "", ownLimit: "", sessionsPerWeek: null, minutes: told } } })).minutes;
    expect([minutes(null), minutes(5), minutes(30), usualAsked(record()).minutes]).toEqual([45, 10, 30, 45]);
    expect(usualAsked(record())).toMatchObject({ purpose: "strength", sessionNumber: 2, skeletonId: null, stiff: [] });
    expect(usualAsked(record()).planned).toEqual([
      { variationId: "raised-sit-to-stand", setting: { seatHeightM: 0.66, shareFraction: 0.5 }, dose: RAISED.dose },
    ]);
    expect(usualAsked(record({ sessions: [] }))).toMatchObject({ purpose: "first-strength", sessionNumber: 0 });
    const found = (protocol: string, value: number) =>
      ({ id: protocol, day: TODAY, protocol, side: protocol === "tuck" ? "both" : "left", value, setUp: {}, note: "" }) as const;
    expect(usualAsked(record({ findings: [found("tuck", 88), found("shin-forward", 0.06)] })).stiff).toEqual(["ankle"]);
    expect(usualAsked(record({ findings: [found("tuck", 88), found("hip-bend", 90)] })).stiff).toEqual(["hip"]);
  });
  test("is laid on any day of six weeks as often as the approach says, later in the day for a knee slow to loosen", () => {
    const week = (more: Partial<ClientRecord> = {}) => usualWeek(record(more));
    const approach = (frequency: string) =>
      ({ school: { id: "s", preset: "mainstream", positions: { frequency }, numbers: {}, by: "", reason: "", day: TODAY } }) as never;
    expect(week()).toMatchObject({ weekdays: [1, 2, 3, 4, 5, 6, 7], weeks: 6, loads: [], at: "10:00" });
    expect(["daily", "two-rest-days", "three-a-week"].map((frequency) => week(approach(frequency)).often)).toEqual([
      "daily",
      "two-rest-days",
      "three-a-week",
    ]);
    const stiff = (morningStiffMin: number | null) =>
      week({ screen: { pain: { worstScore: null, morningStiffMin, swells: false, when: "" } } }).at;
    expect([stiff(null), stiff(29), stiff(30)]).toEqual(["10:00", "10:00", "14:00"]);
    const of = record();
    const built = firstProgramme(of, fitContextOf(of, TODAY)!, TODAY);
    expect(built).toMatchObject({ minutes: 45, weak: { kind: "knee" }, weakSide: "right", note: "", improvement: "", skeletonId: null });
    expect(built.items.length).toBeGreaterThan(3);
    expect(built.laid.every(({ day }) => day >= TODAY)).toBe(true);
    expect(built.laid[0]?.day).toBe("2026-10-11"); // the day after what was trained on the ninth and its rest
  });
});

describe("a programme as it stands", () => {
  const item = (more: Partial<SessionItem> = {}): SessionItem => ({
    id: "line-a",
    variationId: "raised-sit-to-stand",
    setting: { seatHeightM: 0.6, shareFraction: 0.5 },
    part: "main",
    dose: RAISED.dose,
    sides: [],
    ...more,
  });
  const KEPT_AT = "2026-10-03T09:00:00.000Z";
  const kept = (items: readonly SessionItem[], more: Partial<ClientRecord> = {}): ClientRecord => {
    const of = record(more);
    const base = firstProgramme(of, fitContextOf(of, TODAY)!, TODAY);
    return { ...of, trainingPlan: { ...base, weakSide: "right", items, day: "2026-10-03", sequence: 0, keptAt: KEPT_AT } };
  };
  const LOWER = { setting: { seatHeightM: 0.55, shareFraction: 0.5 } };
  const onLine = (at: string, more: Partial<RungFact> = {}): Partial<ClientRecord> => ({
    rungs: [rung("rung-1"), rung("rung-a", { line: "line-a", ...LOWER, ...more })],
    prescriptions: [plan("plan-1", "rung-1"), plan("plan-a", "rung-a", { at, dose: { ...RAISED.dose, setCount: 1 } })],
  });
  const first = (of: ClientRecord): SessionItem | undefined => programmeNow(of)?.items[0];

  test("is as it was kept where nothing was decided, and none where none was kept", () => {
    expect(first(kept([item()]))).toEqual(item());
    expect(programmeNow(record())).toBeNull();
  });
  test("takes over what was decided of its own line since it was kept, and nothing from before", () => {
    expect(first(kept([item()], onLine("2026-10-05T09:00:00.000Z")))).toMatchObject({ ...LOWER, dose: { setCount: 1 } });
    expect(first(kept([item()], onLine("2026-10-02T09:00:00.000Z")))).toEqual(item());
    expect(first(kept([item({ id: "line-b" })], onLine("2026-10-05T09:00:00.000Z")))).toMatchObject({ setting: item().setting });
  });
  test("takes what Fit keeps for the pattern whenever it was kept, with its dose for each side", () => {
    expect(first(kept([item({ isKept: true })]))).toMatchObject({ setting: { seatHeightM: 0.66 }, dose: RAISED.dose });
    const sides = [
      { side: "right", setCount: 9, repetitions: 9 },
      { side: "left", setCount: 9, repetitions: 9 },
    ] as const;
    const found = first(kept([item({ isKept: true, sides })]));
    expect(found?.sides.map(({ side }) => side)).toEqual(["right", "left"]);
    expect(found?.sides.every(({ setCount }) => setCount < 9)).toBe(true); // as the kept dose says, not as it was
  });
  test("keeps each side's own place where its log has led it elsewhere", () => {
    const sides = [
      { side: "left", setCount: 2, repetitions: 8 },
      { side: "right", setCount: 2, repetitions: 8 },
    ] as const;
    const of = kept([item({ sides })], {
      rungs: [
        rung("rung-l", { line: "line-a", side: "left", setting: { seatHeightM: 0.62, shareFraction: 0.5 } }),
        rung("rung-r", { line: "line-a", ...LOWER }),
      ],
      prescriptions: [
        plan("plan-l", "rung-l", { at: "2026-10-05T09:00:00.000Z" }),
        plan("plan-r", "rung-r", { at: "2026-10-05T09:00:00.000Z" }),
      ],
    });
    const found = first(of);
    expect(found?.setting.seatHeightM).toBe(0.62); // the side that is done first
    expect(found?.sides.map(({ side, place, setCount }) => [side, place?.setting.seatHeightM, setCount])).toEqual([
      ["left", undefined, 2],
      ["right", 0.55, 2],
    ]);
  });

  test("comes side by side, in the order it is done, without what waits or has left the catalogue", () => {
    const sides = [
      { side: "left", setCount: 2, repetitions: 6 },
      { side: "right", setCount: 3, repetitions: 12 },
    ] as const;
    const gone = item({ id: "gone", variationId: "a row of nobody" });
    const waits = item({ id: "waits", variationId: "low-step-up", setting: {}, waits: true });
    const even = item({ id: "even", pairedWithNext: true });
    const of = kept([even, item({ id: "sided", sides }), waits, gone], { sessions: [], responses: [] });
    const found = programmeItems(of, TODAY);
    expect(
      found.map(({ line, side, dose, inTurn, ownLine }) => [line, side, dose.setCount, dose.repetitionsHigh, inTurn, ownLine]),
    ).toEqual([
      ["even", "right", RAISED.dose.setCount, RAISED.dose.repetitionsHigh, true, "even"],
      ["sided", "left", 2, 6, true, "sided"],
      ["sided", "right", 3, 12, false, "sided"],
    ]);
    expect(found[1]?.dose.repetitionsLow).toBeLessThanOrEqual(6);
    expect(found.every(({ part }) => part === "main")).toBe(true);
    expect(programmeItems(kept([item({ id: "k", isKept: true })]), TODAY)).toMatchObject([{ ownLine: null, side: "right", inTurn: false }]);
    expect(programmeItems(kept([item({ sides, pairedWithNext: true })]), TODAY).map(({ inTurn }) => inTurn)).toEqual([true, true]);
    expect(programmeItems(record(), TODAY)).toEqual([]);
    expect(programmeItems({ ...of, measures: [] }, TODAY)).toEqual([]);
  });
  test("has on a day what is laid there", () => {
    const trainingPlan = { ...kept([item()]).trainingPlan!, laid: [{ id: "l", day: TODAY, often: "daily" as const }] };
    expect(laidOn({ trainingPlan }, TODAY)?.id).toBe("l");
    expect(laidOn({ trainingPlan }, "2026-10-11")).toBeUndefined();
    expect(laidOn({ trainingPlan: null }, TODAY)).toBeUndefined();
  });
});

test("sets are told with the row and the leg they were planned for; a row on two feet has none", () => {
  const of = record({
    rungs: [rung("rung-1"), rung("rung-2", { pattern: "step", variationId: "low-step-up", side: "left", setting: {} })],
    prescriptions: [plan("plan-1", "rung-1"), plan("plan-2", "rung-2")],
    sessions: [
      doneSession("s1", "2026-10-06", { sets: [doneSet("item-s1", 0, { repetitions: 7 }), doneSet("nobody's", 1)] }),
      doneSession("s2", "2026-10-08", { prescriptionId: "plan-2", sets: [doneSet("item-s2", 0, { repetitions: 5 })] }),
    ],
  });
  expect(doneSets(of)).toEqual([
    { day: "2026-10-06", variationId: "raised-sit-to-stand", side: null, repetitions: 7 },
    { day: "2026-10-08", variationId: "low-step-up", side: "left", repetitions: 5 },
  ]);
});
test("days trained are those with a set in them, once each", () =>
  expect(
    trainedDays({
      sessions: [doneSession("a", "2026-10-06"), doneSession("b", "2026-10-06"), doneSession("c", "2026-10-07", { sets: [] })],
    }),
  ).toEqual(["2026-10-06"]));

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

import { describe, expect, test } from "vitest";
import { answer, doneSession, doneSet, plan, record, rung } from "../../core/record/facts/record.fixture";
import { decidedOn, keptByHand, reviewPatterns, reviewRows, sessionsToCorrect } from "./review-rows";

const session = (id: string, day: string, prescriptionId: string, pains: (number | null)[]) =>
  doneSession(id, day, { prescriptionId, sets: pains.map((painScore, n) => doneSet(`item-${id}`, n, { painScore, repetitions: 10 })) });
const at = (id: string, seatHeightM: number, useFraction: number | null) =>
  rung(id, { setting: { seatHeightM, shareFraction: 0.5 }, useFraction });
const RECORD = record({
  rungs: [
    at("r1", 0.64, 0.7),
    at("r2", 0.62, null),
    rung("r3", { pattern: "hinge", variationId: "two-leg-hinge", setting: { trunkLeanDeg: 30 } }),
  ],
  prescriptions: [plan("p1", "r1"), plan("p2", "r2", { note: "she asked for it" }), plan("p3", "r3")],
  sessions: [
    session("a", "2026-10-02", "p1", [1, 3, null]),
    session("b", "2026-10-09", "p2", [null]),
    session("c", "2026-10-12", "p2", []),
    session("d", "2026-10-13", "p3", [1]),
  ],
  responses: [answer("a", "2026-10-03", { painScore: 2, class: "noticed" }), answer(null, "2026-10-05", { painScore: 9, class: "flare" })],
  decisions: [
    {
      id: "x",
      sessionId: "d",
      itemId: "item-d",
      day: "2026-10-14",
      move: "hold",
      by: "trainer",
      overruled: null,
      rule: "earned-once",
      reasons: [],
      change: null,
      note: "",
    },
  ],
});

describe("the review", () => {
  const { rows, lever } = reviewRows(RECORD, "squat");
  test("has a row for every session that was trained", () => expect(rows.map(({ day }) => day)).toEqual(["2026-10-02", "2026-10-09"]));
  test("takes the worst pain that was said, and none where none was", () =>
    expect(rows.map(({ painDuring }) => painDuring)).toEqual([3, null]));
  test("takes the morning of that session, not of another", () =>
    expect(rows.map(({ painMorning, response }) => [painMorning, response])).toEqual([
      [2, "noticed"],
      [null, null],
    ]));
  test("shows the use only where there was a ceiling", () => expect(rows.map(({ usePercent }) => usePercent)).toEqual([70, null]));
  test("draws the lever that moved", () => {
    expect(lever).toBe("seatHeightM");
    expect(rows.map((row) => row.lever?.value)).toEqual([0.64, 0.62]);
  });
  test("sums the repetitions", () => expect(rows.map(({ repetitions }) => repetitions)).toEqual([30, 10]));
  test("of a new client is empty", () =>
    expect(reviewRows({ ...RECORD, rungs: [], sessions: [], prescriptions: [] }, "squat")).toEqual({ rows: [], lever: null }));
  test("has a chart for each pattern that was trained", () => {
    expect(reviewPatterns(RECORD)).toEqual(["squat", "hinge"]);
    expect(reviewRows(RECORD, "hinge").rows).toHaveLength(1);
  });
  test("tells each decision with its exercise, and what was kept by hand with its reason", () => {
    expect(decidedOn(RECORD).map(({ name }) => name)).toEqual(["Two-leg hinge"]);
    expect(decidedOn({ ...RECORD, sessions: [] }).map(({ name }) => name)).toEqual([""]);
    expect(keptByHand(RECORD)).toMatchObject([{ id: "p2", note: "she asked for it" }]);
  });
  test("lays every session open to correction, with its sets by exercise", () => {
    const [first] = sessionsToCorrect(RECORD);
    expect(first).toMatchObject({ id: "a", isEnded: false, hasWarning: false, items: [{ sets: [{}, {}, {}] }] });
  });
});

import { describe, expect, test } from "vitest";
import type { ClientRecord, SessionFact } from "../../core/record/record";
import { variationById } from "../../core/catalogue/catalogue";
import { reviewRows } from "./review-rows";

const raised = variationById("raised-sit-to-stand");
const session = (id: string, day: string, prescriptionId: string, pains: (number | null)[]): SessionFact => ({
  id,
  day,
  checkIn: null,
  eases: [],
  warningSigns: [],
  endedAt: null,
  items: [{ id: `${id}-item`, prescriptionId }],
  sets: pains.map((painScore, i) => ({
    id: `${id}-${i}`,
    itemId: `${id}-item`,
    setting: {},
    repetitions: 10,
    painScore,
    leftInTank: null,
    faults: [],
    endedBy: "pain-tap",
    endedAt: "",
  })),
});
const rung = (id: string, seatHeightM: number, useFraction: number | null) => ({
  id,
  day: "2026-10-01",
  variationId: raised.id,
  setting: { seatHeightM, shareFraction: 0.5 },
  demands: [],
  useFraction,
});
const RECORD: ClientRecord = {
  client: {
    id: "c",
    name: "T",
    birthYear: 1960,
    sex: "female",
    goal: "",
    complaint: "",
    side: "right",
    baselinePainScore: 1,
    painLimitScore: 3,
  },
  measures: [],
  dailyTasks: [],
  calmPoses: [],
  postures: [],
  limits: [],
  ceilings: [],
  rungs: [rung("r1", 0.64, 0.7), rung("r2", 0.62, null)],
  prescriptions: [
    { id: "p1", day: "2026-10-01", rungId: "r1", dose: raised.dose },
    { id: "p2", day: "2026-10-08", rungId: "r2", dose: raised.dose },
  ],
  sessions: [
    session("a", "2026-10-02", "p1", [1, 3, null]),
    session("b", "2026-10-09", "p2", [null]),
    session("c", "2026-10-12", "p2", []),
  ],
  responses: [
    { id: "x", sessionId: "a", day: "2026-10-03", painScore: 2, newSwelling: false, warningSigns: [], usualScore: 1, class: "noticed" },
    { id: "y", sessionId: null, day: "2026-10-05", painScore: 9, newSwelling: false, warningSigns: [], usualScore: 1, class: "flare" },
  ],
  decisions: [],
  clearances: [],
};

describe("the review", () => {
  const { rows, lever } = reviewRows(RECORD);
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
    expect(reviewRows({ ...RECORD, rungs: [], sessions: [], prescriptions: [] })).toEqual({ rows: [], lever: null }));
});

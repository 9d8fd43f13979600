import { describe, expect, test } from "vitest";
import { answer, doneSession, doneSet, plan, record, rung } from "../../core/record/facts/record.fixture";
import type { DecisionFact } from "../../core/record/facts/record";
import type { SchoolChoice } from "../../core/approach/approach";
import { csvOf } from "../../formats/csv";
import { LOG_HEADER, logRows } from "./log-rows";
import { lookingBack } from "./looking-back";
import { timeLine } from "./time-line";

const TODAY = "2026-10-20";
const held = (n: number): DecisionFact => ({
  id: `d${n}`,
  by: "trainer",
  sessionId: `s${n}`,
  itemId: `item-s${n}`,
  day: `2026-10-${10 + n}`,
  move: n === 0 ? "build" : "hold",
  overruled: null,
  rule: "earned-once",
  reasons: [],
  change: null,
  note: "",
});
const session = (n: number, faults: string[] = []) =>
  doneSession(`s${n}`, `2026-10-${10 + n}`, {
    prescriptionId: n < 2 ? "p1" : "p2",
    sets: [
      doneSet(`item-s${n}`, 0, { painScore: n, setting: { seatHeightM: 0.6 } }),
      doneSet(`item-s${n}`, 1, { painScore: null, faults, endedBy: n === 3 ? "sharp" : "pain-tap", setting: { seatHeightM: 0.6 } }),
    ],
  });
const at = (id: string, seatHeightM: number) => rung(id, { setting: { seatHeightM, shareFraction: 0.5 }, useFraction: 0.7 });
const RECORD = record({
  rungs: [at("r1", 0.64), at("r2", 0.62)],
  prescriptions: [plan("p1", "r1"), plan("p2", "r2")],
  sessions: [session(0), session(1, ["lean"]), session(2, ["lean"]), session(3, ["lean"])],
  responses: [answer("s0", "2026-10-11"), answer("s1", "2026-10-12", { class: "flare", painScore: 5 })],
  decisions: [0, 1, 2, 3].map(held),
  findings: [
    { id: "f1", day: "2026-08-01", protocol: "chair-stand", side: "both", value: 9, setUp: { seatHeightM: 0.43 }, note: "" },
    { id: "f2", day: "2026-10-15", protocol: "chair-stand", side: "both", value: 13, setUp: { seatHeightM: 0.43 }, note: "" },
    { id: "f3", day: "2026-08-01", protocol: "heel-raise", side: "left", value: 4, setUp: {}, note: "" },
    { id: "f4", day: "2026-08-01", protocol: "heel-raise", side: "right", value: 10, setUp: {}, note: "" },
    { id: "f5", day: "2026-10-12", protocol: "heel-raise", side: "left", value: 9, setUp: {}, note: "" },
    { id: "f6", day: "2026-10-12", protocol: "heel-raise", side: "right", value: 12, setUp: {}, note: "" },
  ],
  tasksTold: [{ day: "2026-10-14", task: "stairs", level: 2 }],
});

describe("looking back", () => {
  const back = lookingBack(RECORD);
  test("counts sessions, flares, and sets done of those planned", () => {
    expect(back).toMatchObject({ sessions: 4, flares: 1, planned: { done: 8 } });
    expect(back.planned.sets).toBe(4 * plan("p1", "r1").dose.setCount);
  });
  test("names what changed by more than the measure's own error, and which way", () => {
    expect(back.worked).toMatchObject([{ protocol: { id: "chair-stand" }, before: { value: 9 }, now: { value: 13 }, isBetter: true }]);
    const little = RECORD.findings.map((each) => (each.id === "f2" ? { ...each, value: 10 } : each));
    expect(lookingBack({ ...RECORD, findings: little }).worked).toEqual([]);
  });
  test("tells pain by exercise, and where form went: the exercise, the side and the set", () => {
    expect(back.painBy).toMatchObject([{ sets: 8, highest: 3, sharp: 1 }]);
    expect(back.faults).toMatchObject([{ setNumber: 2, count: 3, of: 4 }]);
    const once = RECORD.sessions.map((each) => (each.id === "s1" ? session(1) : each));
    expect(lookingBack({ ...RECORD, sessions: once }).faults).toEqual([]); // twice is not yet where it goes
  });
  test("says how far each line of work was climbed, from the rung it began on", () => {
    expect(back.climbed).toMatchObject([{ from: { id: "r1" }, to: { id: "r2" }, ups: 1, downs: 0 }]);
    const stood = { ...RECORD, prescriptions: [plan("p1", "r1"), plan("p2", "r1")] };
    expect(lookingBack(stood).climbed).toEqual([]);
  });
  test("sets the sides against each other, now and the first time both were known", () => {
    expect(back.apart).toMatchObject([
      { protocol: { id: "heel-raise" }, first: { deficitFraction: 0.6 }, now: { deficitFraction: 0.25, worse: "left" } },
    ]);
    const once = RECORD.findings.filter(({ id }) => id !== "f3" && id !== "f4");
    expect(lookingBack({ ...RECORD, findings: once }).apart).toMatchObject([{ first: null }]);
  });
  test("says where it stands still: three holds since the last build", () => {
    expect(back.plateaus).toMatchObject([{ holds: 3 }]);
    expect(lookingBack({ ...RECORD, decisions: [0, 1, 2].map(held) }).plateaus).toEqual([]);
  });
});

const chosen = (preset: SchoolChoice["preset"], day: string): SchoolChoice => ({
  id: `${preset} ${day}`,
  preset,
  positions: {},
  numbers: {},
  by: "trainer",
  reason: "",
  day,
});
const SCHOOLS = [chosen("mainstream", "2026-09-01"), chosen("gentle", "2026-10-13"), chosen("knee-forward", "2026-10-13")];

describe("the line of time", () => {
  const line = timeLine(RECORD, "squat", TODAY, SCHOOLS);
  const track = (id: string) => line.tracks.find((each) => each.id === id);
  test("has a track for what was told, in the order of days, and none for what never was", () => {
    expect(line).toMatchObject({ from: "2026-10-10", to: TODAY });
    expect(line.tracks.map(({ id }) => id)).toEqual(["pain", "morning", "use", "stair", "seatHeightM", "symmetry", "volume", "task"]);
    expect(track("pain")?.points.map(({ value, sessionId }) => [value, sessionId])).toEqual([
      [0, "s0"],
      [1, "s1"],
      [2, "s2"],
      [3, "s3"],
    ]);
    expect(track("morning")?.points).toHaveLength(2);
    expect(track("seatHeightM")?.points.map(({ value }) => value)).toEqual([0.64, 0.64, 0.62, 0.62]);
  });
  test("climbs a step with a build, from the session after it on", () => {
    expect(track("stair")?.points.map(({ value }) => value)).toEqual([0, 1, 1, 1]);
  });
  test("compares the sides of the test that is furthest apart, where both are known", () => {
    expect(track("symmetry")).toMatchObject({ reference: 90, points: [{ day: "2026-10-12", value: 75 }] });
  });
  test("shows each school for as long as it held, of one day the last", () => {
    expect(line.schools).toEqual([
      { from: "2026-10-10", to: "2026-10-13", preset: "mainstream" },
      { from: "2026-10-13", to: TODAY, preset: "knee-forward" },
    ]);
  });
  test("marks measures in its time and leaves out those before it; decisions stand on their day", () => {
    expect(line.marks.map(({ day, kind }) => [day, kind])).toEqual([
      ["2026-10-12", "retest"],
      ["2026-10-15", "retest"],
    ]);
    expect(line.decisions.map(({ move }) => move)).toEqual(["build", "hold", "hold", "hold"]);
    expect(timeLine(RECORD, "bridge", TODAY, []).tracks.map(({ id }) => id)).toEqual([]);
  });
});

test("the log has a line for each set with what was planned, told and decided, and reads back as it was", () => {
  const rows = logRows(RECORD);
  expect(rows).toHaveLength(8);
  const first = Object.fromEntries(LOG_HEADER.map((name, i) => [name, rows[0]?.[i]]));
  expect(first).toMatchObject({
    day: "2026-10-10",
    place: "studio",
    set: 1,
    pain: 0,
    morning: "calm",
    decision: "build",
    seatHeightM: 0.6,
  });
  expect(csvOf(LOG_HEADER, rows).split("\r\n")).toHaveLength(8 + 2);
});

import { describe, expect, test } from "vitest";
import type { ClientRecord, SessionFact } from "./record";
import {
  answeredDoses,
  ceilingProposal,
  currentPlan,
  decisionFor,
  DEFAULT_KIT,
  fitContextOf,
  openWarning,
  undecidedSessions,
  usualScoreOn,
} from "./derive";
import { calmCeilings } from "../fit/fit.fixture";
import { variationById } from "../catalogue/catalogue";

const raised = variationById("raised-sit-to-stand");
const set = (id: string, painScore = 1) => ({
  id,
  itemId: "item",
  setting: {},
  repetitions: 12,
  painScore,
  leftInTank: 3,
  faults: [],
  endedBy: "pain-tap" as const,
  endedAt: "",
});
const session = (id: string, day: string, prescriptionId = "plan-1"): SessionFact => ({
  id,
  day,
  checkIn: null,
  eases: [],
  warningSigns: [],
  endedAt: null,
  items: [{ id: `item-${id}`, prescriptionId }],
  sets: [set(`${id}-1`), set(`${id}-2`)],
});
const response = (sessionId: string | null, day: string, more: Partial<ClientRecord["responses"][number]> = {}) => ({
  id: `r-${day}`,
  sessionId,
  day,
  painScore: 1,
  newSwelling: false,
  warningSigns: [],
  usualScore: 1,
  class: "calm" as const,
  ...more,
});

function record(more: Partial<ClientRecord> = {}): ClientRecord {
  const ceilings = calmCeilings("kneecap", 0.58);
  const [kneecap] = ceilings;
  if (!kneecap) throw new Error("no ceiling");
  const setting = { seatHeightM: 0.64, shareFraction: 0.5 };
  const base: ClientRecord = {
    client: {
      id: "c",
      name: "Test",
      birthYear: 1965,
      sex: "female",
      goal: "",
      complaint: "knee",
      side: "right",
      baselinePainScore: 2,
      painLimitScore: 3,
    },
    measures: [{ id: "m", day: "2026-10-01", heightM: 1.68, massKg: 74, overrides: {} }],
    dailyTasks: [],
    calmPoses: [
      {
        id: "calm",
        day: "2026-10-01",
        side: "right",
        limitedBy: "kneecap",
        variationId: raised.id,
        setting: { seatHeightM: 0.58 },
        shareFraction: 0.5,
        shankLeanDeg: null,
        trunkLeanDeg: null,
      },
    ],
    postures: [],
    limits: [],
    ceilings,
    rungs: [
      {
        id: "rung-1",
        day: "2026-10-02",
        variationId: raised.id,
        setting,
        demands: [{ channel: "kneecapStress", side: "right", low: 0, head: kneecap.value * 0.7, high: 0, trust: "B" }],
        useFraction: 0.7,
      },
    ],
    prescriptions: [{ id: "plan-1", day: "2026-10-02", rungId: "rung-1", dose: { ...raised.dose } }],
    sessions: [session("s1", "2026-10-06"), session("s2", "2026-10-09")],
    responses: [response(null, "2026-10-02"), response("s1", "2026-10-07"), response("s2", "2026-10-10")],
    decisions: [],
    clearances: [],
  };
  return { ...base, ...more };
}

const decided = (records: ClientRecord) => {
  const last = records.sessions.at(-1);
  return last ? decisionFor(records, last, "2026-10-10", DEFAULT_KIT)?.decision : undefined;
};

describe("a record", () => {
  test("decides by its own sessions and mornings", () =>
    expect(decided(record())).toMatchObject({ move: "build", step: { lever: "seatHeightM" } }));
  test("holds while the calm pose has no calm morning", () => {
    const unconfirmed = record({
      responses: [response("s1", "2026-10-07"), response("s2", "2026-10-10")].map((r) => ({ ...r, day: r.day })),
    });
    expect(decided(unconfirmed)).toMatchObject({ move: "hold", rule: "ceiling-provisional" });
  });
  test("counts only sessions in a row at the same rung", () => {
    const other = {
      id: "rung-2",
      day: "2026-10-08",
      variationId: raised.id,
      setting: { seatHeightM: 0.62, shareFraction: 0.5 },
      demands: [],
      useFraction: null,
    };
    const base = record();
    const moved = record({
      rungs: [...base.rungs, other],
      prescriptions: [...base.prescriptions, { id: "plan-2", day: "2026-10-08", rungId: "rung-2", dose: raised.dose }],
      sessions: [session("s1", "2026-10-06"), session("s2", "2026-10-09", "plan-2")],
    });
    expect(decided(moved)).toMatchObject({ move: "hold", rule: "earned-once" });
  });
  test("knows its plan, and which sessions wait for a decision", () => {
    expect(currentPlan(record())?.rung.id).toBe("rung-1");
    const one = record({
      decisions: [
        {
          id: "d",
          sessionId: "s1",
          day: "2026-10-07",
          move: "hold",
          overruled: null,
          rule: "earned-once",
          reasons: [],
          step: null,
          note: "",
        },
      ],
    });
    expect(undecidedSessions(one).map(({ id }) => id)).toEqual(["s2"]);
  });
  test("takes usual pain from the mornings before a day", () => {
    const many = record({ responses: Array.from({ length: 6 }, (_, i) => response(null, `2026-10-0${i + 1}`, { painScore: 4 })) });
    expect(usualScoreOn(many, "2026-10-20")).toBe(4);
    expect(usualScoreOn(many, "2026-10-03")).toBe(2);
  });
  test("answers a ceiling with the calm pose first, then the sessions by their use", () => {
    const [kneecap] = record().ceilings;
    if (!kneecap) throw new Error("no ceiling");
    expect(
      answeredDoses(record(), kneecap).map(({ useFraction, response: answer }) => [Math.round(useFraction * 100) / 100, answer]),
    ).toEqual([
      [1, "calm"],
      [0.7, "calm"],
      [0.7, "calm"],
    ]);
    expect(ceilingProposal(record(), "2026-10-10")).toBeNull();
  });
  test("stands stopped from a warning sign until a clearance of that day or later", () => {
    const warned = record({ responses: [response("s2", "2026-10-10", { warningSigns: ["faint"] })] });
    expect(openWarning(warned)).toEqual({ day: "2026-10-10", signs: ["faint"] });
    const cleared = (day: string) => record({ ...warned, clearances: [{ id: "x", day, by: "Dr Vane", role: "doctor", note: "" }] });
    expect(openWarning(cleared("2026-10-09"))).not.toBeNull();
    expect(openWarning(cleared("2026-10-10"))).toBeNull();
  });
  test("without a body has nothing to fit", () => expect(fitContextOf(record({ measures: [] }), "2026-10-10", DEFAULT_KIT)).toBeNull());
});

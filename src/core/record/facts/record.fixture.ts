import { variationById } from "../../catalogue/catalogue";
import { calmCeilings, complaint } from "../../judge/fit.fixture";
import type { FloorSet } from "../../floor/events";
import { UNTOLD } from "../../floor/told";
import type { ClientRecord, PrescriptionFact, ResponseFact, RungFact, SessionFact } from "./record";
import type { ClientLine } from "../../studio/client-line";

/** One invented client's record for tests: calm on a 58 cm seat, two good sessions at 64 cm. */
export const RAISED = variationById("raised-sit-to-stand");
export const TODAY = "2026-10-10";

/** Asked at the door, and nothing against it. */
export const CHECKED_IN: NonNullable<SessionFact["checkIn"]> = {
  painScore: 1,
  newSwelling: false,
  choice: "as-planned",
  underRelief: false,
  satLong: false,
  reason: "",
};
export const doneSet = (itemId: string, n: number, more: Partial<FloorSet> = {}): FloorSet => ({
  ...UNTOLD,
  id: `${itemId}-${n}`,
  itemId,
  setting: {},
  repetitions: RAISED.dose.repetitionsHigh,
  painScore: 1,
  leftInTank: 3,
  faults: [],
  endedBy: "pain-tap",
  endedAt: "",
  workedS: null,
  order: n,
  endedOrder: n,
  ...more,
});
export const doneSession = (id: string, day: string, more: Partial<SessionFact> & { prescriptionId?: string } = {}): SessionFact => {
  const { prescriptionId = "plan-1", ...rest } = more;
  return {
    id,
    day,
    checkIn: CHECKED_IN,
    moves: [],
    added: [],
    ordered: null,
    compared: [],
    wentOn: [],
    stoppedItemIds: [],
    skippedItemIds: [],
    warnings: [],
    endedAt: null,
    effortScore: null,
    items: [{ id: `item-${id}`, prescriptionId, part: null, inTurn: false }],
    place: "studio",
    isLight: false,
    sets: Array.from({ length: RAISED.dose.setCount }, (_, n) => doneSet(`item-${id}`, n)),
    ...rest,
  };
};
export const answer = (sessionId: string | null, day: string, more: Partial<ResponseFact> = {}): ResponseFact => ({
  id: `r-${day}`,
  sessionId,
  day,
  pains: [{ complaintId: "sore", painScore: more.painScore ?? 1 }],
  painScore: 1,
  newSwelling: false,
  warningSigns: [],
  usualScore: 1,
  class: "calm",
  ...more,
});
export const rung = (id: string, more: Partial<RungFact> = {}): RungFact => ({
  id,
  day: "2026-10-02",
  pattern: "squat",
  side: "right",
  line: null,
  variationId: RAISED.id,
  setting: { seatHeightM: 0.66, shareFraction: 0.5 },
  demands: [],
  useFraction: 0.7,
  ...more,
});
export const plan = (id: string, rungId: string, more: Partial<PrescriptionFact> = {}): PrescriptionFact => ({
  id,
  day: "2026-10-02",
  rungId,
  dose: RAISED.dose,
  note: "",
  at: "2026-10-02T10:00:00.000Z",
  ...more,
});

export function record(more: Partial<ClientRecord> = {}): ClientRecord {
  return {
    client: { id: "c", name: "Test", birthYear: 1965, sex: "female", goal: "", archivedDay: null },
    screen: {},
    complaints: [complaint({ usualPainScore: 2 })],
    measures: [{ id: "m", day: "2026-10-01", heightM: 1.68, massKg: 74, overrides: {} }],
    dailyTasks: [],
    calmPoses: [
      {
        id: "calm",
        day: "2026-10-01",
        massKg: 74,
        bellyKg: 0,
        side: "right",
        limitedBy: "kneecap",
        variationId: RAISED.id,
        setting: { seatHeightM: 0.58 },
        shareFraction: 0.5,
        shankLeanDeg: null,
        trunkLeanDeg: null,
      },
    ],
    postures: [],
    findings: [],
    limits: [],
    ceilings: calmCeilings("kneecap", 0.58).map((ceiling) => ({ ...ceiling, calmPoseId: "calm", raisedBy: 1, reason: "" })),
    confirmedCeilingIds: [],
    rungs: [rung("rung-1")],
    prescriptions: [plan("plan-1", "rung-1")],
    sessions: [doneSession("s1", "2026-10-06"), doneSession("s2", "2026-10-09")],
    responses: [answer(null, "2026-10-02"), answer("s1", "2026-10-07"), answer("s2", "2026-10-10")],
    decisions: [],
    warnings: [],
    clearances: [],
    cushionM: null,
    school: null,
    homeSets: [],
    tasksTold: [],
    studioKit: null,
    homeKit: null,
    ownRows: [],
    trainingPlan: null,
    ...more,
  };
}

/** A line of the list, of somebody about whom nothing asks. */
export const line = (more: Partial<ClientLine> = {}): ClientLine => ({
  id: "c",
  name: "Maren Holt",
  birthYear: 1965,
  goal: "",
  archivedDay: null,
  complaints: [],
  conditions: [],
  lastFindings: [],
  lastSessionDay: null,
  lastResponse: null,
  isToday: false,
  sessionToday: null,
  missingMorningOf: null,
  openSigns: [],
  limits: [],
  blockFrom: null,
  undecidedCount: 0,
  unlookedCount: 0,
  ...more,
});

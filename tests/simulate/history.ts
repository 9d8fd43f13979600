import { variationById } from "../../src/core/catalogue/catalogue";
import type { Dose } from "../../src/core/catalogue/variation";
import { type Day, dayAfter } from "../../src/core/day";
import { calmCeilings, complaint } from "../../src/core/judge/fit.fixture";
import type { Place } from "../../src/core/judge/context";
import { type FloorEvent, type FloorEventBody, floorState } from "../../src/core/floor/events";
import type { Complaint } from "../../src/core/limits/complaint";
import type { Limit } from "../../src/core/limits/limit";
import type { Side } from "../../src/core/mechanics/channels";
import type { Decision } from "../../src/core/progress/decide";
import { classedMorning } from "../../src/core/progress/morning";
import { decisionFor } from "../../src/core/record/gate/decision";
import { undecidedItems } from "../../src/core/record/gate/undecided";
import { ceilingsConfirmed, plannedOf, usualScoreOn } from "../../src/core/record/standing/history";
import { fitContextOf } from "../../src/core/record/standing/context";
import type { ClientRecord, DecisionFact, ItemFact, ResponseFact, SessionFact } from "../../src/core/record/facts/record";
import { record as invented } from "../../src/core/record/facts/record.fixture";
import { type Chance } from "./chance";

/** One client's months as chance has them, through the same functions as the application, in memory. */

const START: Day = "2026-01-05";
/** What is trained from the start: two legs, one leg, hinge, bridge, a hold, and a row outside the model. */
const WORK = [
  ["raised-sit-to-stand", { seatHeightM: 0.66, shareFraction: 0.5 }],
  ["box-squat-pole", { seatHeightM: 0.66, handForceN: 80, shareFraction: 0.5 }],
  ["two-leg-hinge", { trunkLeanDeg: 26, kneeFlexionDeg: 15, loadKg: 4 }],
  ["floor-bridge", { hipFlexionDeg: 30, kneeAtTopDeg: 95, loadKg: 0 }],
  ["step-up-rail", { stepHeightM: 0.1, handForceN: 80, loadKg: 0 }],
  ["wall-sit-hold", { kneeFlexionDeg: 40, shankLeanDeg: 0, trunkKeptDeg: 0, setS: 20 }],
  ["front-plank", { setS: 20 }],
] as const;

/** A decision as it was taken, with all that stood when it was. */
export interface Taken {
  record: ClientRecord;
  session: SessionFact;
  item: ItemFact;
  day: Day;
  found: NonNullable<ReturnType<typeof decisionFor>>;
  next: Decision["next"];
}
export interface History {
  record: ClientRecord;
  taken: Taken[];
}

/** Whether something goes amiss that does so many times in a hundred for a rough client; a smooth one has a tenth of it. */
type Rough = (percent: number) => boolean;

let serial = 0;
const newId = (kind: string): string => `${kind}-${serial++}`;

function begin(chance: Chance): ClientRecord {
  const site = chance.one(["kneecap", "knee", "hip", "low-back"] as const);
  const complaints: Complaint[] = [complaint({ site, side: site === "low-back" ? "both" : "right", usualPainScore: chance.whole(0, 3) })];
  const ceilings = calmCeilings(site, 0.5).map((ceiling) => ({ ...ceiling, calmPoseId: "calm", raisedBy: 1, reason: "", fromDay: START }));
  const limits: Limit[] = chance.in100(30)
    ? [
        {
          id: "limit-0",
          rule: { kind: "most", channel: chance.one(["kneeFlexion", "hipFlexion", "trunkLean"] as const), most: chance.whole(60, 110) },
          side: "both",
          owner: { kind: "clinician", name: "surgeon" },
          fromDay: dayAfter(START, chance.whole(0, 60)),
          untilDay: null,
          lift: null,
        },
      ]
    : [];
  const base = invented();
  const [pose] = base.calmPoses;
  if (!pose) throw new Error("no calm pose");
  const lineCount = chance.whole(1, 2);
  let record: ClientRecord = {
    ...base,
    complaints,
    limits,
    ceilings,
    measures: base.measures.map((each) => ({ ...each, day: START })),
    calmPoses: [{ ...pose, day: START, limitedBy: site, setting: { seatHeightM: 0.5 } }],
    rungs: [],
    prescriptions: [],
    sessions: [],
    responses: chance.in100(80) ? [answeredCalm(complaints)] : [],
  };
  const rows = [...WORK];
  for (let i = 0; i < lineCount; i++) {
    const [[id, setting] = WORK[0]] = rows.splice(chance.whole(0, rows.length - 1), 1);
    record = keep(record, { variationId: id, setting }, "right", variationById(id).dose, START, `line-${i}`);
  }
  return record;
}

/** The calm pose was quiet the next morning. */
const answeredCalm = (complaints: readonly Complaint[]): ResponseFact => ({
  id: newId("answer"),
  sessionId: null,
  day: dayAfter(START, 1),
  pains: complaints.map(({ id, usualPainScore: painScore }) => ({ complaintId: id, painScore })),
  painScore: 0,
  usualScore: 0,
  newSwelling: false,
  warningSigns: [],
  class: "calm",
});

function keep(record: ClientRecord, place: Place, side: Side, dose: Dose, day: Day, line: string | null): ClientRecord {
  const rungId = newId("rung");
  const { pattern } = variationById(place.variationId);
  const rung = { id: rungId, day, pattern, side, line, ...place, demands: [], useFraction: null };
  const prescription = { id: newId("plan"), day, rungId, dose, note: "", at: `${day}T20:00:00.${String(serial % 1000).padStart(3, "0")}Z` };
  return { ...record, rungs: [...record.rungs, rung], prescriptions: [...record.prescriptions, prescription] };
}

/** Every line's plan in force. */
function plansOf(record: ClientRecord): ClientRecord["prescriptions"] {
  const latest = new Map<string, ClientRecord["prescriptions"][number]>();
  for (const each of record.prescriptions) {
    const rung = record.rungs.find(({ id }) => id === each.rungId);
    if (rung) latest.set(rung.line ?? rung.pattern, each);
  }
  return [...latest.values()];
}

function trained(record: ClientRecord, day: Day, chance: Chance, rough: Rough): ClientRecord {
  const items = plansOf(record).map(({ id }): ItemFact => ({ id: newId("item"), prescriptionId: id, part: null, inTurn: false }));
  const bodies: FloorEventBody[] = [];
  if (!rough(8))
    bodies.push({
      kind: "checked-in",
      painScore: rough(10) ? chance.whole(4, 7) : chance.whole(0, 2),
      newSwelling: rough(5),
      choice: rough(10) ? "ease-all" : "as-planned",
      ...(rough(4) ? { underRelief: true } : {}),
    });
  for (const { id: itemId, prescriptionId } of items) {
    const planned = plannedOf(record, { prescriptionId });
    if (!planned || rough(4)) continue;
    const { dose } = planned.prescription;
    const [isGood, isBad] = [!rough(25), rough(6)];
    for (let n = 0; n < dose.setCount; n++) {
      const setId = newId("set");
      const isLast = n === dose.setCount - 1;
      const endedBy = isBad && isLast ? chance.one(["sharp", "spreading", "belly", "joint", "warning-sign"] as const) : "pain-tap";
      const isMuscle = rough(4);
      bodies.push({
        kind: "set-ended",
        setId,
        itemId,
        setting: planned.rung.setting,
        repetitions: isGood ? dose.repetitionsHigh : chance.whole(1, dose.repetitionsHigh),
        painScore: rough(2) ? null : isMuscle ? chance.whole(3, 9) : rough(5) ? chance.whole(3, 9) : chance.whole(0, 2),
        faults: rough(3) ? ["knees-in"] : [],
        endedBy,
        ...(isMuscle ? { told: { painKind: "muscle-work" as const } } : {}),
      });
      if (isLast) bodies.push({ kind: "set-corrected", setId, change: { leftInTank: rough(15) ? chance.whole(0, 2) : 10 } });
      if (endedBy !== "pain-tap" && chance.in100(20)) bodies.push({ kind: "set-voided", setId }); // taken back: the sign stays
    }
    if (rough(3)) bodies.push({ kind: "item-stopped", itemId });
  }
  if (rough(1)) bodies.push({ kind: "warning-sign", sign: "calf-swelling" });
  const sessionId = newId("session");
  const events = bodies.map((body, sequence): FloorEvent => ({
    id: newId("event"),
    deviceId: "t",
    sessionId,
    sequence,
    occurredAt: `${day}T09:00:00.000Z`,
    body,
  }));
  const state = floorState(events);
  const session: SessionFact = { ...state, id: sessionId, day, items, place: "studio", isLight: rough(4) };
  const warnings = state.warnings.map(({ eventId, sign, at }) => ({ sourceId: eventId, sign, day, at }));
  return { ...record, sessions: [...record.sessions, session], warnings: [...record.warnings, ...warnings] };
}

function answered(record: ClientRecord, session: SessionFact, chance: Chance, rough: Rough): ClientRecord {
  if (rough(10)) return record;
  const day = dayAfter(session.day, rough(12) ? chance.whole(2, 9) : 1);
  const newSwelling = rough(4);
  const warningSigns = rough(2) ? ["calf-swelling"] : [];
  const pains = record.complaints.map(({ id, usualPainScore }) => ({
    complaintId: id,
    painScore: Math.min(10, usualPainScore + (rough(15) ? chance.whole(1, 4) : -Math.min(usualPainScore, 1))),
  }));
  const classed = classedMorning(
    pains.map(({ complaintId, painScore }) => ({ painScore, usualScore: usualScoreOn(record, complaintId, day) })),
    { newSwelling, hasSign: warningSigns.length > 0 },
  );
  const id = newId("answer");
  const response: ResponseFact = {
    id,
    sessionId: session.id,
    day,
    pains,
    newSwelling,
    warningSigns,
    ...(rough(3) ? { underRelief: true } : {}),
    ...classed,
  };
  const warnings = warningSigns.map((sign) => ({ sourceId: id, sign, day, at: `${day}T08:00:00.000Z` }));
  const now = {
    ...record,
    responses: [...record.responses, response].toSorted((a, b) => a.day.localeCompare(b.day)),
    warnings: [...record.warnings, ...warnings],
  };
  const context = fitContextOf(now, day);
  const confirmed = context ? ceilingsConfirmed(now, context).map((ceiling) => ceiling.id) : [];
  return { ...now, confirmedCeilingIds: [...now.confirmedCeilingIds, ...confirmed] };
}

function decided(record: ClientRecord, day: Day): { record: ClientRecord; taken: Taken[] } {
  const taken: Taken[] = [];
  let now = record;
  for (const { session, item } of undecidedItems(record)) {
    const found = decisionFor(now, session, item, day);
    const planned = plannedOf(now, item);
    if (!found || !planned) continue;
    const { move, rule, reasons, next } = found.decision;
    taken.push({ record: now, session, item, day, found, next });
    const fact: DecisionFact = {
      id: newId("decision"),
      by: "trainer",
      sessionId: session.id,
      itemId: item.id,
      day,
      move,
      overruled: null,
      rule,
      reasons,
      change: null,
      note: "",
    };
    now = { ...now, decisions: [...now.decisions, fact] };
    if (next)
      now = keep(now, { variationId: next.variationId, setting: next.setting }, planned.rung.side, next.dose, day, planned.rung.line);
  }
  return { record: now, taken };
}

/** Ten to twenty sessions of one client, every decision with what stood when it was taken. */
export function historyOf(chance: Chance): History {
  const part = chance.one([1, 0.4, 0.1]);
  const rough: Rough = (percent) => chance.in100(part * percent);
  let record = begin(chance);
  let day = dayAfter(START, 2);
  const taken: Taken[] = [];
  const count = chance.whole(10, 20);
  for (let i = 0; i < count; i++) {
    if (chance.in100(30)) {
      const step = decided(record, day); // only when the client comes again, perhaps after weeks
      taken.push(...step.taken);
      record = step.record;
    }
    record = trained(record, day, chance, rough);
    const session = record.sessions.at(-1);
    if (session) record = answered(record, session, chance, rough);
    const after = dayAfter(day, 1 + (rough(15) ? chance.whole(0, 8) : 0));
    if (chance.in100(50)) {
      const step = decided(record, after);
      taken.push(...step.taken);
      record = step.record;
    }
    // a clinician clears what stands open, some days later, or nobody does yet
    if (chance.in100(50))
      record = {
        ...record,
        clearances: record.warnings.map(({ sourceId, sign }) => ({
          id: newId("clearance"),
          day: after,
          by: "Dr Vane",
          role: "doctor" as const,
          note: "",
          sourceId,
          sign,
        })),
      };
    day = dayAfter(after, rough(12) ? chance.whole(12, 60) : chance.whole(1, 3));
  }
  return { record, taken };
}

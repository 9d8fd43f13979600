import type { Part } from "../../core/dose/part";
import { defineEntity, p } from "@mikro-orm/core";
import type { Dose, Pattern } from "../../core/catalogue/variation";
import type { FloorEventBody, PerformedSet } from "../../core/floor/events";
import type { Clearance } from "../../core/progress/warning";
import type { Demand, Side } from "../../core/mechanics/channels";
import type { DecisionMove } from "../../core/progress/decide";
import type { DecisionReason } from "../../core/progress/decision-reason";
import type { MorningClass, MorningTold } from "../../core/progress/morning";
import type { DecisionFact, ResponseFact, SessionFact } from "../../core/record/facts/record";
import type { StoredSetting } from "./setting";
import { scoped } from "./columns";

/** What was planned, done, felt and decided. */

export const RungRow = defineEntity({
  name: "RungRow",
  tableName: "rung",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    pattern: p.string().$type<Pattern>(),
    variationId: p.string(),
    side: p.string().$type<Side>(),
    line: p.string().nullable(),
    setting: p.json<StoredSetting>(),
    day: p.date(),
  },
});

export const DemandRow = defineEntity({
  name: "DemandRow",
  tableName: "demand",
  properties: {
    ...scoped,
    rungId: p.uuid(),
    bodyMeasureId: p.uuid(),
    postureRuleId: p.uuid().nullable(),
    engineVersion: p.integer(),
    channels: p.json<Demand[]>(),
    /** Headline use of the tightest ceiling on the day, or null without one. */
    useFraction: p.double().$type<number>().nullable(),
  },
});

export const PrescriptionRow = defineEntity({
  name: "PrescriptionRow",
  tableName: "prescription",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    rungId: p.uuid(),
    decisionId: p.uuid().nullable(),
    dose: p.json<Dose>(),
    day: p.date(),
    /** Why it was kept past a ceiling, where it was. */
    note: p.string(),
  },
});

export const SessionRow = defineEntity({
  name: "SessionRow",
  tableName: "training_session",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    day: p.date(),
    endedAt: p.datetime().nullable(),
    isLight: p.boolean(),
    place: p.string().$type<SessionFact["place"]>(),
  },
});

export const SessionItemRow = defineEntity({
  name: "SessionItemRow",
  tableName: "session_item",
  properties: {
    ...scoped,
    sessionId: p.uuid(),
    prescriptionId: p.uuid(),
    position: p.integer(),
    part: p.string().$type<Part>().nullable(),
    inTurn: p.boolean(),
    /** The database's own mark, set as the decision on it is written: what waits is then found without looking at what does not. */
    isDecided: p.boolean().default(false),
  },
});

export const FloorEventRow = defineEntity({
  name: "FloorEventRow",
  tableName: "floor_event",
  properties: {
    studioId: p.uuid().primary(),
    id: p.uuid().primary(),
    sessionId: p.uuid(),
    deviceId: p.string(),
    kind: p.string().$type<FloorEventBody["kind"]>(),
    payload: p.json<FloorEventBody>(),
    sequence: p.bigint("number"),
    /** By how much the device's clock was ahead of the studio's when it sent this. */
    clockOffsetMs: p.double().$type<number>(),
    receipt: p.bigint("number").persist(false),
    occurredAt: p.datetime(),
    receivedAt: p.datetime(),
    createdBy: p.string(),
  },
});

export const PerformedSetRow = defineEntity({
  name: "PerformedSetRow",
  tableName: "performed_set",
  properties: {
    studioId: p.uuid().primary(),
    id: p.uuid().primary(),
    sessionId: p.uuid(),
    itemId: p.uuid(),
    position: p.integer(),
    setting: p.json<StoredSetting>(),
    repetitions: p.integer(),
    painScore: p.double().$type<number>().nullable(),
    leftInTank: p.integer().nullable(),
    faults: p.json<string[]>(),
    endedBy: p.string().$type<PerformedSet["endedBy"]>(),
    endedAt: p.datetime(),
    voided: p.boolean(),
  },
});

export const ResponseRow = defineEntity({
  name: "ResponseRow",
  tableName: "response",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    sessionId: p.uuid().nullable(),
    day: p.date(),
    revision: p.integer(),
    pains: p.json<ResponseFact["pains"]>(),
    painScore: p.double().$type<number>().nullable(),
    newSwelling: p.boolean(),
    underRelief: p.boolean(),
    told: p.json<MorningTold>(),
    warningSigns: p.json<string[]>(),
    usualScore: p.double().$type<number>().nullable(),
    class: p.string().$type<MorningClass>(),
  },
});

export const DecisionRow = defineEntity({
  name: "DecisionRow",
  tableName: "decision",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    sessionId: p.uuid(),
    itemId: p.uuid(),
    prescriptionId: p.uuid(),
    day: p.date(),
    move: p.string().$type<DecisionMove>(),
    /** What the rules said, when the trainer said otherwise. */
    overruled: p.string().$type<DecisionMove>().nullable(),
    rule: p.string().$type<DecisionReason["code"]>(),
    reasons: p.json<DecisionReason[]>(),
    change: p.json<NonNullable<DecisionFact["change"]>>().nullable(),
    nextRungId: p.uuid().nullable(),
    note: p.string(),
    engineVersion: p.integer(),
  },
});

export const ClearanceRow = defineEntity({
  name: "ClearanceRow",
  tableName: "clearance",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    sourceId: p.uuid(),
    sign: p.string(),
    by: p.string(),
    role: p.string().$type<Clearance["role"]>(),
    day: p.date(),
    note: p.string(),
  },
});

/** A step that was taken, and what was answered: sent again, it is answered again. */
export const StepRow = defineEntity({
  name: "StepRow",
  tableName: "step",
  properties: { ...scoped, digest: p.string(), answer: p.json<object>() },
});

export const loopEntities = [
  RungRow,
  DemandRow,
  PrescriptionRow,
  SessionRow,
  SessionItemRow,
  FloorEventRow,
  PerformedSetRow,
  ResponseRow,
  DecisionRow,
  ClearanceRow,
  StepRow,
];

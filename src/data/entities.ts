import { defineEntity, p } from "@mikro-orm/core";
import type {
  BandTable,
  BodyOverrides,
  ChannelDemand,
  ChannelSide,
  DailyTask,
  DecisionMove,
  DecisionReason,
  Dose,
  FloorEventBody,
  LimitedBy,
  LimitRule,
  LoadChannelId,
  MorningClass,
  OwnerKind,
  Pattern,
  PerformedSet,
  PostureRule,
  Setting,
  Sex,
  Side,
  Step,
} from "../core";

/**
 * Tables as values. Every row belongs to a studio; its key is (studio_id, id) and so is every foreign key, which the
 * migration writes. Facts are appended and superseded, never overwritten.
 */
const scoped = {
  studioId: p.uuid().primary(),
  id: p.uuid().primary(),
  createdAt: p.datetime().onCreate(() => new Date()),
  createdBy: p.string(),
};

export const StudioRow = defineEntity({
  name: "StudioRow",
  tableName: "studio",
  properties: { id: p.uuid().primary(), name: p.string(), timeZone: p.string() },
});

export const MemberRow = defineEntity({
  name: "MemberRow",
  tableName: "studio_member",
  properties: {
    studioId: p.uuid().primary(),
    userId: p.string().primary(),
    name: p.string(),
    role: p.string().$type<"lead" | "trainer">(),
    unitSystem: p.string().$type<"metric" | "imperial">(),
  },
});

export const ClientRow = defineEntity({
  name: "ClientRow",
  tableName: "client",
  properties: {
    ...scoped,
    name: p.string(),
    birthYear: p.integer(),
    sex: p.string().$type<Sex>(),
    goal: p.string(),
    complaint: p.string(),
    /** The side to watch: the lead leg of every pose. */
    side: p.string().$type<Side>(),
    baselinePainScore: p.double().$type<number>(),
    painLimitScore: p.double().$type<number>(),
  },
});

export const BodyMeasureRow = defineEntity({
  name: "BodyMeasureRow",
  tableName: "body_measure",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    day: p.date(),
    heightM: p.double().$type<number>(),
    massKg: p.double().$type<number>(),
    /** What the tape measured, the belly's part, and the published table: whatever replaces the defaults. */
    overrides: p.json<BodyOverrides>(),
  },
});

/** A seat or step of the client's own day. The latest of a name counts; one without a height is gone. */
export const DailyHeightRow = defineEntity({
  name: "DailyHeightRow",
  tableName: "daily_height",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    day: p.date(),
    name: p.string(),
    kind: p.string().$type<DailyTask["kind"]>(),
    heightM: p.double().$type<number>().nullable(),
  },
});

/** A band of the studio's, as it was pulled. The latest of a name counts. */
export const BandRow = defineEntity({
  name: "BandRow",
  tableName: "band",
  properties: { ...scoped, day: p.date(), name: p.string(), restM: p.double().$type<number>(), points: p.json<BandTable["points"]>() },
});

export const CalmPoseRow = defineEntity({
  name: "CalmPoseRow",
  tableName: "calm_pose",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    day: p.date(),
    side: p.string().$type<Side>(),
    limitedBy: p.string().$type<LimitedBy>(),
    variationId: p.string(),
    setting: p.json<Setting>(),
    shareFraction: p.double().$type<number>().nullable(),
    shankLeanDeg: p.double().$type<number>().nullable(),
    trunkLeanDeg: p.double().$type<number>().nullable(),
  },
});

export const PostureRuleRow = defineEntity({
  name: "PostureRuleRow",
  tableName: "posture_rule",
  properties: { ...scoped, clientId: p.uuid(), calmPoseId: p.uuid().nullable(), day: p.date(), rule: p.json<PostureRule>() },
});

export const LimitRow = defineEntity({
  name: "LimitRow",
  tableName: "client_limit",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    rule: p.json<LimitRule>(),
    side: p.string().$type<ChannelSide>(),
    ownerKind: p.string().$type<OwnerKind>(),
    ownerName: p.string(),
    fromDay: p.date(),
    untilDay: p.date().nullable(),
  },
});

export const LimitLiftRow = defineEntity({
  name: "LimitLiftRow",
  tableName: "limit_lift",
  properties: { ...scoped, limitId: p.uuid(), by: p.string(), role: p.string(), day: p.date(), reason: p.string() },
});

export const CeilingRow = defineEntity({
  name: "CeilingRow",
  tableName: "ceiling",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    channel: p.string().$type<LoadChannelId>(),
    side: p.string().$type<ChannelSide>(),
    value: p.double().$type<number>(),
    sourceKind: p.string().$type<"calm-pose" | "history">(),
    sourceId: p.uuid(),
    standsInFor: p.string().$type<"kneecapStress">().nullable(),
    shareFraction: p.double().$type<number>(),
    shareMeasured: p.boolean(),
    fromDay: p.date(),
    engineVersion: p.integer(),
  },
});

export const RungRow = defineEntity({
  name: "RungRow",
  tableName: "rung",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    pattern: p.string().$type<Pattern>(),
    variationId: p.string(),
    side: p.string().$type<Side>(),
    setting: p.json<Setting>(),
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
    channels: p.json<ChannelDemand[]>(),
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
  properties: { ...scoped, clientId: p.uuid(), day: p.date() },
});

export const SessionItemRow = defineEntity({
  name: "SessionItemRow",
  tableName: "session_item",
  properties: { ...scoped, sessionId: p.uuid(), prescriptionId: p.uuid(), position: p.integer() },
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
    setting: p.json<Setting>(),
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
    painScore: p.double().$type<number>(),
    newSwelling: p.boolean(),
    warningSigns: p.json<string[]>(),
    usualScore: p.double().$type<number>(),
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
    prescriptionId: p.uuid(),
    day: p.date(),
    move: p.string().$type<DecisionMove>(),
    /** What the rules said, when the trainer said otherwise. */
    overruled: p.string().$type<DecisionMove>().nullable(),
    rule: p.string().$type<DecisionReason["code"]>(),
    reasons: p.json<DecisionReason[]>(),
    step: p.json<Pick<Step, "lever" | "from" | "to" | "riserFraction">>().nullable(),
    nextRungId: p.uuid().nullable(),
    note: p.string(),
    engineVersion: p.integer(),
  },
});

export const ClearanceRow = defineEntity({
  name: "ClearanceRow",
  tableName: "clearance",
  properties: { ...scoped, clientId: p.uuid(), by: p.string(), role: p.string(), day: p.date(), note: p.string() },
});

export const AuditRow = defineEntity({
  name: "AuditRow",
  tableName: "audit_event",
  properties: { ...scoped, verb: p.string(), tableName: p.string(), rowId: p.uuid() },
});

export const entities = [
  StudioRow,
  MemberRow,
  ClientRow,
  BodyMeasureRow,
  DailyHeightRow,
  BandRow,
  CalmPoseRow,
  PostureRuleRow,
  LimitRow,
  LimitLiftRow,
  CeilingRow,
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
  AuditRow,
];

import { defineEntity, p } from "@mikro-orm/core";
import type { SetUp } from "../../core/assess/protocols.data";
import type { BodyOverrides, Sex } from "../../core/body/body";
import type { OwnRow } from "../../core/catalogue/own";
import type { DailyTask } from "../../core/judge/context";
import type { Ceiling } from "../../core/limits/ceiling";
import type { LimitedBy, Site } from "../../core/limits/complaint";
import type { View } from "../../core/floor/picture";
import type { KitItem } from "../../core/kit/assemble";
import type { Lift, LimitRule, OwnerKind } from "../../core/limits/limit";
import type { BandTable } from "../../core/mechanics/band";
import type { CeilingChannelId, ChannelSide, Side } from "../../core/mechanics/channels";
import type { PostureRule } from "../../core/mechanics/posture";
import type { Role } from "../../core/studio/team";
import type { SchoolChoice } from "../../core/approach/approach";
import type { ScreenAnswers } from "../../core/screen/screen";
import type { TrainingPlan } from "../../core/session/plan";
import type { StoredSetting } from "./setting";
import { scoped } from "./columns";

/** The studio, its clients, and what is known and allowed of them. */

export const StudioRow = defineEntity({
  name: "StudioRow",
  tableName: "studio",
  properties: { id: p.uuid().primary(), name: p.string(), timeZone: p.string(), asksForCodes: p.boolean().default(false) },
});

export const MemberRow = defineEntity({
  name: "MemberRow",
  tableName: "studio_member",
  properties: {
    studioId: p.uuid().primary(),
    userId: p.string().primary(),
    name: p.string(),
    role: p.string().$type<Role | "gone">(),
    unitSystem: p.string().$type<"metric" | "imperial">(),
  },
});

/** A client is only an id; what is known is in its revisions, the latest of which counts. */
export const ClientRow = defineEntity({ name: "ClientRow", tableName: "client", properties: { ...scoped } });

export const ClientRevisionRow = defineEntity({
  name: "ClientRevisionRow",
  tableName: "client_revision",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    name: p.string(),
    birthYear: p.integer(),
    sex: p.string().$type<Sex>(),
    goal: p.string(),
    archivedDay: p.date().nullable(),
  },
});

/** What a client was asked before training: all answers each time, the latest counts. */
export const ScreenRow = defineEntity({
  name: "ScreenRow",
  tableName: "screen",
  properties: { ...scoped, clientId: p.uuid(), day: p.date(), answers: p.json<ScreenAnswers>() },
});

/** One result of one protocol. Entered again for the same day and side, the later one counts. */
export const FindingRow = defineEntity({
  name: "FindingRow",
  tableName: "finding",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    day: p.date(),
    protocol: p.string(),
    side: p.string().$type<ChannelSide>(),
    value: p.double().$type<number>(),
    setUp: p.json<SetUp>(),
    note: p.string(),
  },
});

/** The school a client is trained by; the latest counts. */
export const SchoolChoiceRow = defineEntity({
  name: "SchoolChoiceRow",
  tableName: "school_choice",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    day: p.date(),
    by: p.string(),
    preset: p.string().$type<SchoolChoice["preset"]>(),
    positions: p.json<SchoolChoice["positions"]>(),
    numbers: p.json<SchoolChoice["numbers"]>(),
    reason: p.string(),
  },
});

/** What stands in a place: the studio's where no client is named, else that client's home. The latest counts. */
export const KitListRow = defineEntity({
  name: "KitListRow",
  tableName: "kit_list",
  properties: { ...scoped, clientId: p.uuid().nullable(), day: p.date(), items: p.json<readonly KitItem[]>() },
});

/** A client's programme, whole each time it is kept; the latest counts. */
export const TrainingPlanRow = defineEntity({
  name: "TrainingPlanRow",
  tableName: "training_plan",
  properties: { ...scoped, clientId: p.uuid(), plan: p.json<Omit<TrainingPlan, "keptAt">>() },
});

/** A row of the studio's own, whole, each time it is changed; the latest of its id counts. */
export const OwnRowRow = defineEntity({
  name: "OwnRowRow",
  tableName: "own_row",
  properties: { ...scoped, rowId: p.string(), row: p.json<OwnRow>() },
});

/** A clinician's letter: private to the studio, read nowhere but by its own address. */
export const LetterRow = defineEntity({
  name: "LetterRow",
  tableName: "letter",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    day: p.date(),
    by: p.string(),
    mediaType: p.string().$type<"image/jpeg" | "application/pdf">(),
    bytes: p.blob(),
  },
});

/** A picture of a repetition that the client agreed to: read nowhere but by its own address. */
export const PictureRow = defineEntity({
  name: "PictureRow",
  tableName: "session_picture",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    sessionId: p.uuid(),
    itemId: p.uuid(),
    day: p.date(),
    view: p.string().$type<View>(),
    words: p.text(),
    bytes: p.blob(),
  },
});

/** What hurts, as it was last said; `complaintId` is the same over its corrections. */
export const ComplaintRow = defineEntity({
  name: "ComplaintRow",
  tableName: "complaint",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    complaintId: p.uuid(),
    site: p.string().$type<Site>(),
    side: p.string().$type<ChannelSide>(),
    words: p.string(),
    usualPainScore: p.double().$type<number>(),
    painLimitScore: p.double().$type<number>(),
    endedDay: p.date().nullable(),
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

/** How thick the studio's cushion is under a client. The latest counts. */
export const CushionRow = defineEntity({
  name: "CushionRow",
  tableName: "cushion",
  properties: { ...scoped, day: p.date(), thicknessM: p.double().$type<number>() },
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
    massKg: p.double().$type<number>(),
    bellyKg: p.double().$type<number>(),
    variationId: p.string(),
    setting: p.json<StoredSetting>(),
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
  properties: {
    ...scoped,
    limitId: p.uuid(),
    kind: p.string().$type<Lift["kind"]>(),
    by: p.string(),
    role: p.string(),
    day: p.date(),
    reason: p.string(),
  },
});

export const CeilingRow = defineEntity({
  name: "CeilingRow",
  tableName: "ceiling",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    channel: p.string().$type<CeilingChannelId>(),
    side: p.string().$type<ChannelSide>(),
    value: p.double().$type<number>(),
    sourceKind: p.string().$type<Ceiling["source"]["kind"]>(),
    sourceId: p.uuid(),
    calmPoseId: p.uuid(),
    raisedBy: p.double().$type<number>(),
    reason: p.string(),
    shareMeasured: p.boolean(),
    fromDay: p.date(),
    engineVersion: p.integer(),
  },
});

/** A calm morning after a dose at the calm pose: from here on its ceiling is no longer provisional. */
export const CeilingConfirmationRow = defineEntity({
  name: "CeilingConfirmationRow",
  tableName: "ceiling_confirmation",
  properties: { ...scoped, clientId: p.uuid(), ceilingId: p.uuid(), day: p.date() },
});

export const AuditRow = defineEntity({
  name: "AuditRow",
  tableName: "audit_event",
  properties: { ...scoped, verb: p.string(), tableName: p.string(), rowId: p.uuid() },
});

export const clientEntities = [
  TrainingPlanRow,
  OwnRowRow,
  StudioRow,
  MemberRow,
  ClientRow,
  ClientRevisionRow,
  ScreenRow,
  FindingRow,
  SchoolChoiceRow,
  KitListRow,
  LetterRow,
  PictureRow,
  ComplaintRow,
  BodyMeasureRow,
  DailyHeightRow,
  BandRow,
  CushionRow,
  CalmPoseRow,
  PostureRuleRow,
  LimitRow,
  LimitLiftRow,
  CeilingRow,
  CeilingConfirmationRow,
  AuditRow,
];

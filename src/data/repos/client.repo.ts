import type { EntityManager } from "@mikro-orm/postgresql";
import type {
  Ceiling,
  CeilingDraft,
  ClientLine,
  ClientProfile,
  DailyTask,
  Day,
  Limit,
  MeasuredBand,
  MeasureFact,
  PostureRule,
} from "../../core";
import { ENGINE_VERSION } from "../../core";
import {
  BandRow,
  BodyMeasureRow,
  CalmPoseRow,
  CeilingRow,
  ClearanceRow,
  ClientRow,
  DailyHeightRow,
  LimitLiftRow,
  LimitRow,
  PostureRuleRow,
  ResponseRow,
  SessionRow,
} from "../entities";
import type { CalmPoseFact } from "../../core";
import { audit, type Scope, stamp } from "../scope";

/** The studio's clients by name, with their last session and how the morning after it was. */
export async function listClients({ studioId }: Scope, em: EntityManager): Promise<ClientLine[]> {
  const clients = await em.find(ClientRow, { studioId }, { orderBy: { name: "asc" } });
  const sessions = await em.find(SessionRow, { studioId }, { orderBy: { day: "desc" }, fields: ["clientId", "day"] });
  const responses = await em.find(ResponseRow, { studioId }, { orderBy: { day: "desc" }, fields: ["clientId", "class"] });
  return clients.map(({ id, name, birthYear, complaint, goal }) => ({
    id,
    name,
    birthYear,
    complaint,
    goal,
    lastSessionDay: sessions.find(({ clientId }) => clientId === id)?.day ?? null,
    lastResponse: responses.find(({ clientId }) => clientId === id)?.class ?? null,
  }));
}

export async function addClient(scope: Scope, em: EntityManager, { id, ...profile }: ClientProfile, measure: NewMeasure): Promise<void> {
  await em.insert(ClientRow, { ...stamp(scope, id), ...profile });
  await addMeasure(scope, em, id, measure);
  await audit(scope, em, "added", "client", id);
}

/** A body as measured on a day; without overrides everything follows from stature and mass. */
export type NewMeasure = Omit<MeasureFact, "id" | "overrides"> & { overrides?: MeasureFact["overrides"] };
export async function addMeasure(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { overrides = {}, ...measure }: NewMeasure,
): Promise<void> {
  const row = { ...stamp(scope), clientId, ...measure, overrides };
  await em.insert(BodyMeasureRow, row);
  await audit(scope, em, "measured", "body_measure", row.id);
}

export async function addPosture(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  calmPoseId: string | null,
  day: Day,
  rule: PostureRule,
): Promise<void> {
  await em.insert(PostureRuleRow, { ...stamp(scope), clientId, calmPoseId, day, rule });
}

/** A height of the client's own day; null takes it away. */
export async function setDailyHeight(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { name, kind, heightM }: Omit<DailyTask, "heightM"> & { heightM: number | null },
  day: Day,
): Promise<void> {
  const row = { ...stamp(scope), clientId, day, name, kind, heightM };
  await em.insert(DailyHeightRow, row);
  await audit(scope, em, "set", "daily_height", row.id);
}

export async function addLimit(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  limit: Omit<Limit, "id" | "lift">,
  id?: string,
): Promise<void> {
  const { rule, side, owner, fromDay, untilDay } = limit;
  const row = { ...stamp(scope, id), clientId, rule, side, ownerKind: owner.kind, ownerName: owner.name, fromDay, untilDay };
  await em.insert(LimitRow, row);
  await audit(scope, em, "added", "client_limit", row.id);
}

export async function liftLimit(scope: Scope, em: EntityManager, limitId: string, lift: NonNullable<Limit["lift"]>): Promise<void> {
  const row = { ...stamp(scope), limitId, ...lift };
  await em.insert(LimitLiftRow, row);
  await audit(scope, em, "lifted", "client_limit", limitId);
}

/** A calm pose with what follows from it: the posture rule, where one was measured, and the ceilings. */
export async function addCalmPose(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { id, ...pose }: CalmPoseFact,
  rule: PostureRule | null,
  ceilings: readonly CeilingDraft[],
): Promise<void> {
  await em.insert(CalmPoseRow, { ...stamp(scope, id), clientId, ...pose });
  if (rule) await addPosture(scope, em, clientId, id, pose.day, rule);
  for (const ceiling of ceilings) await addCeiling(scope, em, clientId, ceiling);
  await audit(scope, em, "added", "calm_pose", id);
}

export async function addCeiling(scope: Scope, em: EntityManager, clientId: string, ceiling: Omit<Ceiling, "id">): Promise<void> {
  const { channel, side, value, source, standsInFor, fromDay, share } = ceiling;
  const row = {
    ...stamp(scope),
    clientId,
    channel,
    side,
    value,
    sourceKind: source.kind,
    sourceId: source.id,
    standsInFor,
    fromDay,
    shareFraction: share.fraction,
    shareMeasured: share.measured,
    engineVersion: ENGINE_VERSION,
  };
  await em.insert(CeilingRow, row);
  await audit(scope, em, "set", "ceiling", row.id);
}

/** Bands of the studio as they were last pulled, by name. */
export async function listBands({ studioId }: Scope, em: EntityManager): Promise<MeasuredBand[]> {
  const rows = await em.find(BandRow, { studioId }, { orderBy: { createdAt: "asc", id: "asc" } });
  const latest = new Map(rows.map(({ name, restM, points }) => [name, { name, restM, points }]));
  return [...latest.values()].toSorted((a, b) => a.name.localeCompare(b.name));
}

export async function addBand(scope: Scope, em: EntityManager, band: MeasuredBand, day: Day): Promise<void> {
  const row = { ...stamp(scope), day, ...band };
  await em.insert(BandRow, row);
  await audit(scope, em, "measured", "band", row.id);
}

export async function addClearance(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  clearance: { by: string; role: string; day: Day; note: string },
): Promise<void> {
  const row = { ...stamp(scope), clientId, ...clearance };
  await em.insert(ClearanceRow, row);
  await audit(scope, em, "recorded", "clearance", row.id);
}

import type { EntityManager } from "@mikro-orm/postgresql";
import { type FloorEvent, floorState } from "../../core/floor/events";
import { FloorEventRow, PerformedSetRow, SessionItemRow, SessionRow } from "../loop-entities";
import type { Scope } from "../scope";
import { toStored } from "../setting";

const READ = { disableIdentityMap: true } as const;

export type AppendResult = { ok: true; received: string[] } | { ok: false; unknownSessionIds: string[] };

/**
 * Takes a batch of floor events: each is applied once, however often it is sent, and the sets are projected anew from
 * all events of the session in the same transaction. Nothing is taken if any event names a session or an item of
 * another studio or none.
 */
export async function appendFloorEvents(
  scope: Scope,
  em: EntityManager,
  events: readonly FloorEvent[],
  receivedAt: Date,
): Promise<AppendResult> {
  const { studioId, actorId } = scope;
  const sessionIds = [...new Set(events.map(({ sessionId }) => sessionId))].sort();
  // one writer at a time for each session, so that two tablets take turns; one order, so that they never wait for each other
  for (const id of sessionIds) await em.execute(`select pg_advisory_xact_lock(hashtextextended(?, 0))`, [id]);
  const known = await em.find(SessionRow, { studioId, id: { $in: sessionIds } }, READ);
  const unknown = sessionIds.filter((id) => !known.some((row) => row.id === id));
  const items = await em.find(SessionItemRow, { studioId, sessionId: { $in: sessionIds } }, READ);
  const strays = events.filter(
    ({ body, sessionId }) => "itemId" in body && !items.some((item) => item.id === body.itemId && item.sessionId === sessionId),
  );
  if (unknown.length > 0 || strays.length > 0)
    return { ok: false, unknownSessionIds: [...new Set([...unknown, ...strays.map(({ sessionId }) => sessionId)])] };
  const rows = events.map(({ id, deviceId, sessionId, occurredAt, body }) => ({
    studioId,
    id,
    sessionId,
    deviceId,
    kind: body.kind,
    payload: body,
    occurredAt: new Date(occurredAt),
    receivedAt,
    createdBy: actorId,
  }));
  await em.upsertMany(FloorEventRow, rows, { onConflictFields: ["studioId", "id"], onConflictAction: "ignore" });
  for (const sessionId of sessionIds) await project(scope, em, sessionId);
  return { ok: true, received: events.map(({ id }) => id) };
}

/** What the events add up to, for whoever asks the database for sets or for open sessions. */
async function project(scope: Scope, em: EntityManager, sessionId: string): Promise<void> {
  const { studioId } = scope;
  const events = await floorEventsOf(scope, em, sessionId);
  const { sets, endedAt } = floorState(events);
  await em.nativeUpdate(SessionRow, { studioId, id: sessionId }, { endedAt: endedAt === null ? null : new Date(endedAt) });
  const allIds = new Set(events.flatMap(({ body }) => (body.kind === "set-ended" ? [body.setId] : [])));
  if (sets.length > 0)
    await em.upsertMany(
      PerformedSetRow,
      sets.map((set, position) => ({
        studioId,
        id: set.id,
        sessionId,
        itemId: set.itemId,
        position,
        setting: toStored(set.setting),
        repetitions: set.repetitions,
        painScore: set.painScore,
        leftInTank: set.leftInTank,
        faults: [...set.faults],
        endedBy: set.endedBy,
        endedAt: new Date(set.endedAt),
        voided: false,
      })),
      { onConflictFields: ["studioId", "id"] },
    );
  const voided = [...allIds].filter((id) => !sets.some((set) => set.id === id));
  if (voided.length > 0) await em.nativeUpdate(PerformedSetRow, { studioId, id: { $in: voided } }, { voided: true });
}

/** The events of one session, for a tablet that opens it anew. */
export async function floorEventsOf({ studioId }: Scope, em: EntityManager, sessionId: string): Promise<FloorEvent[]> {
  const rows = await em.find(FloorEventRow, { studioId, sessionId }, { ...READ, orderBy: { occurredAt: "asc" } });
  return rows.map((row) => ({
    id: row.id,
    deviceId: row.deviceId,
    sessionId,
    occurredAt: row.occurredAt.toISOString(),
    body: row.payload,
  }));
}

import type { EntityManager } from "@mikro-orm/postgresql";
import type { Day } from "../../core/day";
import { type EventRefusal, type FloorEvent, floorState, type Verdict } from "../../core/floor/events";
import { PerformedSetRow, SessionItemRow, SessionRow } from "../tables/loop-entities";
import { audit, type Scope } from "../scope";
import { toStored } from "../tables/setting";

const READ = { disableIdentityMap: true } as const;

// in the order of the device's taps: receipts are given in that order
const INSERT_SQL = `
insert into floor_event (studio_id, id, session_id, device_id, kind, payload, sequence, clock_offset_ms, occurred_at, received_at, created_by)
select ?, e.id, e."sessionId", e."deviceId", e.body ->> 'kind', e.body, e.sequence, ?, e."occurredAt", ?, ?
  from jsonb_to_recordset(?::jsonb) as e (id uuid, "sessionId" uuid, "deviceId" text, sequence bigint, "occurredAt" timestamptz, body jsonb)
 order by e.sequence
on conflict (studio_id, id) do nothing returning id`;
// the same id, or a set by the same id, in another session: somebody else's, or a mistake
const ELSEWHERE_SQL = `
select e.id from jsonb_to_recordset(?::jsonb) as e (id uuid, "sessionId" uuid, body jsonb)
 where exists (select 1 from floor_event f where f.studio_id = ? and f.id = e.id and f.session_id <> e."sessionId")
    or exists (select 1 from performed_set p where p.studio_id = ? and p.id = (e.body ->> 'setId')::uuid and p.session_id <> e."sessionId")`;

/** One writer at a time for each session, so that two tablets take turns; in one order, so that they never wait for each other. */
export async function lockSessions(em: EntityManager, events: readonly Pick<FloorEvent, "sessionId">[]): Promise<string[]> {
  const ids = [...new Set(events.map(({ sessionId }) => sessionId))].toSorted();
  for (const id of ids) await em.execute(`select pg_advisory_xact_lock(hashtextextended(?, 0))`, [id]);
  return ids;
}

/**
 * Takes floor events, each on its own: applied once however often it is sent, or refused with a reason that spoils no
 * other. The sets are projected anew in the same transaction.
 */
export async function appendFloorEvents(
  scope: Scope,
  em: EntityManager,
  events: readonly FloorEvent[],
  receivedAt: Date,
  clockOffsetMs = 0,
): Promise<Verdict> {
  const { studioId, actorId } = scope;
  const sessionIds = await lockSessions(em, events);
  const sessions = await em.find(SessionRow, { studioId, id: { $in: sessionIds } }, READ);
  const items = await em.find(SessionItemRow, { studioId, sessionId: { $in: sessionIds } }, READ);
  const elsewhere = await em.execute<{ id: string }[]>(ELSEWHERE_SQL, [JSON.stringify(events), studioId, studioId]);
  const refusalOf = ({ id, sessionId, body }: FloorEvent): EventRefusal | null => {
    if (!sessions.some((session) => session.id === sessionId)) return "unknown-session";
    if ("itemId" in body && !items.some((item) => item.id === body.itemId && item.sessionId === sessionId)) return "unknown-item";
    return elsewhere.some((row) => row.id === id) ? "id-elsewhere" : null;
  };
  const judged = events.map((event) => ({ event, code: refusalOf(event) }));
  const taken = judged.flatMap(({ event, code }) => (code === null ? [event] : []));
  const added = await em.execute<{ id: string }[]>(INSERT_SQL, [studioId, clockOffsetMs, receivedAt, actorId, JSON.stringify(taken)]);
  for (const sessionId of new Set(taken.map((event) => event.sessionId))) await project(scope, em, sessionId);
  if (added.length > 0) await audit(scope, em, "told", "floor_event", added[0]?.id ?? "");
  return {
    received: taken.map(({ id }) => id),
    refused: judged.flatMap(({ event, code }) => (code === null ? [] : [{ id: event.id, code }])),
  };
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

interface StoredEvent extends Omit<FloorEvent, "sessionId"> {
  receipt: number;
}

/** The events of one session as they were received, after a receipt; their times by the studio's clock. */
export async function floorEventsOf({ studioId }: Scope, em: EntityManager, sessionId: string, after = 0): Promise<FloorEvent[]> {
  const rows = await em.execute<StoredEvent[]>(
    `select id, device_id as "deviceId", sequence::float8, receipt::float8, payload as body,
            to_json(occurred_at - clock_offset_ms * interval '1 millisecond') #>> '{}' as "occurredAt"
       from floor_event where studio_id = ? and session_id = ? and receipt > ? order by receipt`,
    [studioId, sessionId, after],
  );
  return rows.map((row) => ({ ...row, sessionId, occurredAt: new Date(row.occurredAt).toISOString() }));
}

/** One session of a client, whether a set is of it, and whether another of that day is under way; null where there is none. */
export async function sessionNow(
  { studioId }: Scope,
  em: EntityManager,
  clientId: string,
  sessionId: string,
  setId: string | null,
): Promise<{ hasSet: boolean; isAnotherOpen: boolean } | null> {
  const [found] = await em.execute<{ hasSet: boolean; isAnotherOpen: boolean }[]>(
    `select exists (select 1 from performed_set p where p.studio_id = s.studio_id and p.session_id = s.id and p.id = ?::uuid and not p.voided) as "hasSet",
            exists (select 1 from training_session o where o.studio_id = s.studio_id and o.client_id = s.client_id and o.day = s.day and o.id <> s.id
                       and o.ended_at is null) as "isAnotherOpen"
       from training_session s where s.studio_id = ? and s.client_id = ? and s.id = ?`,
    [setId, studioId, clientId, sessionId],
  );
  return found ?? null;
}

/** Who has a session under way today: whoever may be trained beside another. */
export const openToday = ({ studioId }: Scope, em: EntityManager, today: Day): Promise<{ clientId: string; name: string }[]> =>
  em.execute(
    `select distinct s.client_id as "clientId", v.name from training_session s
       join lateral (select v.name from client_revision v where v.studio_id = s.studio_id and v.client_id = s.client_id order by v.created_at desc, v.id desc limit 1) v on true
      where s.studio_id = ? and s.day = ?::date and s.ended_at is null order by v.name`,
    [studioId, today],
  );

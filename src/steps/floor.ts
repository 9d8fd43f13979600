import type { EntityManager } from "@mikro-orm/postgresql";
import type { Day } from "../core/day";
import { variationById } from "../core/catalogue/catalogue";
import { judgePlace } from "../core/progressions/tread";
import type { FloorEvent, Verdict } from "../core/floor/events";
import { fitContextOf } from "../core/record/standing/context";
import { SessionItemRow, SessionRow } from "../data/tables/loop-entities";
import { appendFloorEvents, lockSessions } from "../data/repos/floor.repo";
import { addItem, addRung, type NewItem, prescribe, startSession } from "../data/repos/plan.repo";
import { loadRecord } from "../data/repos/record.repo";
import type { Scope } from "../data/scope";
import { keptItem } from "./plan";

/**
 * Floor events with a verdict for each. A session that was begun without a connection is opened first, and an exercise
 * that was added on the floor gets its place in it: what was done is kept, whatever the rules say of it since.
 */
export async function takeFloorEvents(
  scope: Scope,
  em: EntityManager,
  events: readonly FloorEvent[],
  receivedAt: Date,
  { today, clockOffsetMs = 0 }: { today: Day; clockOffsetMs?: number },
): Promise<Verdict> {
  await lockSessions(em, events);
  for (const event of events) if (event.body.kind === "session-opened") await openFromDevice(scope, em, event.sessionId, event.body, today);
  for (const event of events) if (event.body.kind === "item-added") await addOnFloor(scope, em, event.sessionId, event.body);
  return appendFloorEvents(scope, em, events, receivedAt, clockOffsetMs);
}

async function addOnFloor(
  scope: Scope,
  em: EntityManager,
  sessionId: string,
  { itemId, place, side, dose, reason = "" }: Extract<FloorEvent["body"], { kind: "item-added" }>,
): Promise<void> {
  const { studioId } = scope;
  const session = await em.findOne(SessionRow, { studioId, id: sessionId }, { disableIdentityMap: true });
  if (!session || (await em.count(SessionItemRow, { studioId, id: itemId })) > 0) return;
  const record = await loadRecord(scope, em, session.clientId);
  const context = record && fitContextOf(record, session.day, side);
  if (!context) return;
  const { demands, tightest } = judgePlace(context, place);
  const rungId = await addRung(scope, em, session.clientId, {
    ...place,
    pattern: variationById(place.variationId).pattern,
    side,
    line: `floor ${itemId}`,
    day: session.day,
    demands,
    useFraction: tightest?.head ?? null,
    bodyMeasureId: record.measures.at(-1)?.id ?? "",
    postureRuleId: record.postures.at(-1)?.id ?? null,
  });
  const prescriptionId = await prescribe(scope, em, session.clientId, { rungId, dose, day: session.day, note: reason });
  await addItem(scope, em, sessionId, { prescriptionId, itemId });
}

async function openFromDevice(
  scope: Scope,
  em: EntityManager,
  sessionId: string,
  { clientId, day: saidDay, isLight, items }: Extract<FloorEvent["body"], { kind: "session-opened" }>,
  today: Day,
): Promise<void> {
  if ((await em.count(SessionRow, { id: sessionId })) > 0) return;
  const day = saidDay > today ? today : saidDay; // a tablet whose clock runs ahead trains nobody tomorrow
  const record = await loadRecord(scope, em, clientId);
  if (!record) return; // nobody of this studio: refused as an unknown session
  const elsewhere = await em.find(
    SessionItemRow,
    { studioId: scope.studioId, id: { $in: items.map(({ itemId }) => itemId) } },
    { disableIdentityMap: true },
  );
  const kept: NewItem[] = [];
  for (const { itemId, ...item } of items) {
    if (elsewhere.some(({ id }) => id === itemId)) continue; // another session's: what is told of it here is refused by itself
    const context = fitContextOf(record, day, item.side);
    if (!context) return;
    kept.push({ ...(await keptItem(scope, em, record, item, judgePlace(context, item.place), day)), itemId });
  }
  if (kept.length === 0) return;
  await startSession(scope, em, clientId, { day, sessionId, isLight, items: kept });
}

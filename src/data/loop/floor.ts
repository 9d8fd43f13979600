import type { EntityManager } from "@mikro-orm/postgresql";
import { variationById } from "../../core/catalogue/catalogue";
import { judgePlace } from "../../core/fit/tread";
import type { FloorEvent, Verdict } from "../../core/floor/events";
import { fitContextOf } from "../../core/record/derive";
import { SessionItemRow, SessionRow } from "../loop-entities";
import { appendFloorEvents } from "../repos/floor.repo";
import { addItem, addRung, prescribe } from "../repos/plan.repo";
import { loadRecord } from "../repos/record.repo";
import type { Scope } from "../scope";

/**
 * Floor events with a verdict for each. An exercise that was added on the floor gets its place in the session first, in
 * a line of its own: what was done is kept, whatever the rules say of it since.
 */
export async function takeFloorEvents(
  scope: Scope,
  em: EntityManager,
  events: readonly FloorEvent[],
  receivedAt: Date,
  clockOffsetMs = 0,
): Promise<Verdict> {
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
  await em.execute(`select pg_advisory_xact_lock(hashtextextended(?, 0))`, [sessionId]);
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

import type { EventRefusal, FloorEvent } from "../../../core/floor/events";
import { inStudio } from "../../../data/orm";
import { takeFloorEvents } from "../../../steps/floor";
import { floorBatchSchema, floorEventSchema } from "../../../schemas/floor.schema";
import { parse } from "../../../schemas/parse";
import { readJson } from "../../../server/door";
import { log } from "../../../server/log";
import { onlyLooks, signedIn } from "../../../server/session";

const idOf = (event: unknown): string => {
  const { id } = (event ?? {}) as { id?: unknown };
  return typeof id === "string" ? id.slice(0, 36) : "";
};

/**
 * Floor events from a device, with a verdict for each: received, once however often it is sent, or refused and why. A
 * device keeps whatever is not named here.
 */
export async function POST(request: Request): Promise<Response> {
  const by = await signedIn();
  if (!by) return Response.json({ code: "signed-out" }, { status: 401 });
  if (by.role === "reader") return onlyLooks();
  const body = await readJson(request);
  if (!body.ok) return body.answer;
  const batch = parse(floorBatchSchema, body.value);
  if (!batch.ok) return Response.json({ code: "bad-input", issues: batch.issues }, { status: 400 });
  // entries of the person who tapped them: whoever has signed in on the same tablet since does not send them as their own
  if (batch.value.by !== undefined && batch.value.by !== by.scope.actorId) return Response.json({ code: "signed-out" }, { status: 401 });
  const events: FloorEvent[] = [];
  const refused: { id: string; code: EventRefusal }[] = [];
  for (const each of batch.value.events) {
    const parsed = parse(floorEventSchema, each);
    if (parsed.ok) events.push(parsed.value);
    else refused.push({ id: idOf(each), code: "bad-input" });
  }
  const now = new Date();
  const offsetMs = Date.parse(batch.value.sentAt) - now.getTime();
  const verdict = await inStudio(by.scope.studioId, (em) =>
    takeFloorEvents(by.scope, em, events, now, { today: by.today, clockOffsetMs: offsetMs }),
  );
  refused.push(...verdict.refused);
  log.info({ step: "floor", studio: by.scope.studioId, received: verdict.received.length, refused: refused.map(({ code }) => code) });
  return Response.json({ received: verdict.received, refused });
}

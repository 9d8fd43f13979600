import { inStudio } from "../../../data/orm";
import { appendFloorEvents } from "../../../data/repos/floor.repo";
import { floorBatchSchema } from "../../../schemas/floor.schema";
import { parse } from "../../../schemas/parse";
import { log } from "../../../server/log";
import { signedIn } from "../../../server/session";

/**
 * Floor events from a device, each applied once by its id: sending a batch again is harmless. The device keeps what
 * is not answered with 200.
 */
export async function POST(request: Request): Promise<Response> {
  const by = await signedIn();
  if (!by) return Response.json({ code: "signed-out" }, { status: 401 });
  const parsed = parse(floorBatchSchema, await request.json().catch(() => null));
  if (!parsed.ok) return Response.json({ code: "bad-input", issues: parsed.issues }, { status: 400 });
  const result = await inStudio(by.scope.studioId, (em) => appendFloorEvents(by.scope, em, parsed.value, new Date()));
  log.info({ step: "floor", studio: by.scope.studioId, events: parsed.value.length, outcome: result.ok ? "applied" : "unknown-session" });
  return result.ok ? Response.json({ received: result.received }) : Response.json({ code: "unknown-session" }, { status: 404 });
}

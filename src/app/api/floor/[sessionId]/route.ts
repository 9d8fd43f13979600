import { validate as isUuid } from "uuid";
import { readStudio } from "../../../../data/orm";
import { floorEventsOf } from "../../../../data/repos/floor.repo";
import { signedIn } from "../../../../server/session";

export const dynamic = "force-dynamic";

/** What the studio received of one session after a receipt: how tablets see each other. */
export async function GET(request: Request, { params }: { params: Promise<{ sessionId: string }> }): Promise<Response> {
  const by = await signedIn();
  if (!by) return Response.json({ code: "signed-out" }, { status: 401 });
  const { sessionId } = await params;
  const after = Number(new URL(request.url).searchParams.get("after") ?? 0);
  if (!isUuid(sessionId) || !Number.isSafeInteger(after) || after < 0) return Response.json({ code: "bad-input" }, { status: 400 });
  const events = await readStudio(by.scope.studioId, (em) => floorEventsOf(by.scope, em, sessionId, after));
  return Response.json({ events, now: new Date().toISOString() });
}

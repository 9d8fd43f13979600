import { readStudio } from "../../../../data/orm";
import { loadRecord } from "../../../../data/repos/record.repo";
import { openPrivate } from "../../../../server/private-door";
import { planCalendar } from "../../../../ui/plan/plan-calendar";

interface Context {
  params: Promise<{ token: string }>;
}
const NO_STORE = { "cache-control": "no-store" };

/** The same file for a calendar that follows it, no sign-in. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const visitor = await openPrivate((await params).token, "calendar", request.headers.get("x-forwarded-for") ?? "");
  if (visitor === "too-many") return new Response(null, { status: 429, headers: { "retry-after": "900" } });
  if (visitor === "unknown") return new Response(null, { status: 404, headers: NO_STORE });
  const { studioId, clientId, timeZone } = visitor;
  const record = await readStudio(studioId, (em) => loadRecord({ studioId, actorId: "calendar" }, em, clientId));
  if (!record || record.client.archivedDay !== null) return new Response(null, { status: 404, headers: NO_STORE });
  const headers = { "content-type": "text/calendar; charset=utf-8", "cache-control": "private, max-age=300" };
  return new Response(planCalendar(record, timeZone), { headers });
}

import { RateLimiterMemory } from "rate-limiter-flexible";
import { validate as isUuid } from "uuid";
import { readStudio } from "../../../../data/orm";
import { calendarBehind } from "../../../../data/repos/calendar-link.repo";
import { loadRecord } from "../../../../data/repos/record.repo";
import { planCalendar } from "../../../../ui/plan/plan-calendar";

interface Context {
  params: Promise<{ token: string }>;
}
const NOT_FOUND = { status: 404, headers: { "cache-control": "no-store" } } as const;
/** Wrong links an address may try in a while; a right one never counts. */
const wrong = new RateLimiterMemory({ points: 30, duration: 900 });

/** The same file for a calendar that follows it: `studio.secret`, no sign-in. A link that was stopped is as if it never was. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const address = request.headers.get("x-forwarded-for") ?? "";
  if (((await wrong.get(address))?.remainingPoints ?? 1) <= 0)
    return new Response(null, { status: 429, headers: { "retry-after": "900" } });
  const [studioId = "", secret = ""] = (await params).token.split(".");
  const text = isUuid(studioId) && secret.length === 43 ? await calendarOf(studioId, secret) : null;
  if (text === null) {
    await wrong.consume(address).catch(() => undefined);
    return new Response(null, NOT_FOUND);
  }
  return new Response(text, { headers: { "content-type": "text/calendar; charset=utf-8", "cache-control": "private, max-age=300" } });
}

const calendarOf = (studioId: string, secret: string): Promise<string | null> =>
  readStudio(studioId, async (em) => {
    const behind = await calendarBehind(studioId, em, secret);
    const record = behind && (await loadRecord({ studioId, actorId: "calendar" }, em, behind.clientId));
    return behind && record && record.client.archivedDay === null ? planCalendar(record, behind.timeZone) : null;
  });

import { requireRecord } from "../../../../../server/record";
import { signedIn } from "../../../../../server/session";
import { planCalendar } from "../../../../../ui/plan/plan-calendar";

interface Context {
  params: Promise<{ clientId: string }>;
}

/** The programme's sessions as a calendar file, for whoever is signed in. */
export async function GET(_: Request, { params }: Context): Promise<Response> {
  const by = await signedIn();
  if (!by) return new Response(null, { status: 401 });
  const text = planCalendar(await requireRecord((await params).clientId), by.timeZone);
  if (text === null) return new Response(null, { status: 404 });
  return new Response(text, {
    headers: {
      "content-type": "text/calendar; charset=utf-8",
      "content-disposition": `attachment; filename="training.ics"`,
      "cache-control": "private, no-store",
    },
  });
}

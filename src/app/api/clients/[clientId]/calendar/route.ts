import { variationById } from "../../../../../core/catalogue/catalogue";
import { sessionS } from "../../../../../core/session/session";
import { calendarFile } from "../../../../../formats/calendar";
import { requireRecord } from "../../../../../server/record";
import { signedIn } from "../../../../../server/session";

interface Context {
  params: Promise<{ clientId: string }>;
}

/** The programme's coming sessions as a calendar file: one entry each, by a name that stays, so that reading it again moves them. */
export async function GET(_: Request, { params }: Context): Promise<Response> {
  const by = await signedIn();
  if (!by) return new Response(null, { status: 401 });
  const { clientId } = await params;
  const record = await requireRecord(clientId);
  const plan = record.trainingPlan;
  if (!plan) return new Response(null, { status: 404 });
  const minutes = Math.ceil(sessionS(plan.items, plan.rounds) / 60);
  const note = plan.items.map(({ variationId }) => variationById(variationId).name).join("\n");
  const text = calendarFile({
    timeZone: by.timeZone,
    madeAt: new Date().toISOString(),
    sessions: plan.laid.map(({ id, day }) => ({
      id: `${clientId}-${id.replaceAll(" ", "-")}`,
      sequence: plan.sequence,
      title: "Training",
      note,
      startDay: day,
      at: plan.at,
      minutes,
      repeats: null,
      exceptDays: [],
    })),
  });
  return new Response(text, {
    headers: {
      "content-type": "text/calendar; charset=utf-8",
      "content-disposition": `attachment; filename="training.ics"`,
      "cache-control": "private, no-store",
    },
  });
}

import type { HomeEntry } from "../../../../core/record/facts/home-told";
import { type EntryVerdict, takeHomeEntries } from "../../../../steps/home";
import { inStudio } from "../../../../data/orm";
import { homeBatchSchema, homeEntrySchema } from "../../../../schemas/home.schema";
import { parse } from "../../../../schemas/parse";
import { readJson } from "../../../../server/door";
import { log } from "../../../../server/log";
import { visitorOf } from "../../../../server/me-route";

interface Context {
  params: Promise<{ token: string }>;
}
const idOf = (entry: unknown): string => {
  const { id } = (entry ?? {}) as { id?: unknown };
  return typeof id === "string" ? id.slice(0, 36) : "";
};

/** What a client tells from their own page, with a verdict for each entry: the phone keeps whatever is not named as received. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  const found = await visitorOf(request, (await params).token);
  if (!found.ok) return found.answer;
  const body = await readJson(request);
  if (!body.ok) return body.answer;
  const batch = parse(homeBatchSchema, body.value);
  if (!batch.ok) return Response.json({ code: "bad-input", issues: batch.issues }, { status: 400 });
  const entries: HomeEntry[] = [];
  const refused: EntryVerdict["refused"] = [];
  for (const each of batch.value.entries) {
    const parsed = parse(homeEntrySchema, each);
    if (parsed.ok) entries.push(parsed.value);
    else refused.push({ id: idOf(each), code: "bad-input" });
  }
  const { studioId, clientId, today, timeZone } = found.visitor;
  const verdict = await inStudio(studioId, (em) =>
    takeHomeEntries({ studioId, actorId: "client" }, em, clientId, entries, { today, timeZone }),
  );
  log.info({ step: "home", studio: studioId, received: verdict.received.length });
  return Response.json({ received: verdict.received, refused: [...refused, ...verdict.refused] });
}

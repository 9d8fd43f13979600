import { readStudio } from "../../../../../data/orm";
import { loadRecord } from "../../../../../data/repos/record.repo";
import { birthYearSchema } from "../../../../../schemas/home.schema";
import { parse } from "../../../../../schemas/parse";
import { readJson } from "../../../../../server/door";
import { visitorOf } from "../../../../../server/me-route";
import { mayTryYear, yearWasRight } from "../../../../../server/private-door";
import { yearCookie } from "../../../../../server/year-cookie";

/** The year of birth for a link that asks it: few tries in a while, whoever tries. */
export async function POST(request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const found = await visitorOf(request, (await params).token, true);
  if (!found.ok) return found.answer;
  const body = await readJson(request);
  if (!body.ok) return body.answer;
  const { visitor } = found;
  const address = request.headers.get("x-forwarded-for") ?? "";
  const trying = await mayTryYear(visitor, address);
  if (trying !== "may-try") return Response.json({ code: trying === "for-good" ? "years-guessed" : "too-many" }, { status: 429 });
  const told = parse(birthYearSchema, body.value);
  const { studioId, clientId } = visitor;
  const record = await readStudio(studioId, (em) => loadRecord({ studioId, actorId: "client" }, em, clientId, 1));
  if (!told.ok || told.value.year !== record?.client.birthYear) return Response.json({ code: "wrong-year" }, { status: 403 });
  await yearWasRight(visitor, address);
  return Response.json({ ok: true }, { headers: { "set-cookie": yearCookie(visitor) } });
}

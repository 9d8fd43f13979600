import { inStudio } from "../../../../../data/orm";
import { setPrivateLink } from "../../../../../data/repos/private-link.repo";
import { readJson } from "../../../../../server/door";
import { visitorOf } from "../../../../../server/me-route";

/** The client ends the link from their own side. */
export async function POST(request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const found = await visitorOf(request, (await params).token);
  if (!found.ok) return found.answer;
  const body = await readJson(request);
  if (!body.ok) return body.answer;
  const { studioId, clientId } = found.visitor;
  await inStudio(studioId, (em) => setPrivateLink({ studioId, actorId: "client" }, em, clientId, "page", null));
  return Response.json({ ok: true });
}

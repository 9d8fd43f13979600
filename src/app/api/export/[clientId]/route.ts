import { validate as isUuid } from "uuid";
import { archiveOf } from "../../../../data/archive";
import { inStudio, readStudio } from "../../../../data/orm";
import { audit } from "../../../../data/scope";
import { ARCHIVE_FORMAT, ARCHIVE_VERSION, type Archive } from "../../../../formats/archive";
import { onlyLooks, signedIn } from "../../../../server/session";

/** One client as JSON, everything the studio keeps of them. */
export async function GET(_request: Request, { params }: { params: Promise<{ clientId: string }> }): Promise<Response> {
  const by = await signedIn();
  if (!by) return new Response(null, { status: 401 });
  if (by.role === "reader") return onlyLooks();
  const { clientId } = await params;
  const client = isUuid(clientId) ? await readStudio(by.scope.studioId, (em) => archiveOf(by.scope, em, clientId)) : null;
  if (!client) return new Response(null, { status: 404 });
  await inStudio(by.scope.studioId, (em) => audit(by.scope, em, "exported", "client", clientId));
  const archive: Archive = {
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    madeAt: new Date().toISOString(),
    studio: null,
    clients: [client],
  };
  return Response.json(archive, {
    headers: { "content-disposition": `attachment; filename="client.ponderis.json"`, "cache-control": "private, no-store" },
  });
}

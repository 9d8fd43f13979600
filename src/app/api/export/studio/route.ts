import { Readable } from "node:stream";
import { archiveOf, studioTables } from "../../../../data/archive";
import { inStudio, readStudio } from "../../../../data/orm";
import { audit } from "../../../../data/scope";
import { listClients } from "../../../../data/repos/client.repo";
import { ARCHIVE_FORMAT, ARCHIVE_VERSION } from "../../../../formats/archive";
import { inTurn } from "../../../../server/in-turn";
import { signedIn } from "../../../../server/session";

/** The whole studio as JSON, client by client as it is read: it is never in memory at once. */
export async function GET(): Promise<Response> {
  const by = await signedIn();
  if (!by) return new Response(null, { status: 401 });
  if (by.role !== "lead") return Response.json({ refusal: { code: "only-a-lead" } }, { status: 403 });
  const { scope, studioName: name, timeZone, today } = by;
  const { studioId } = scope;
  const [clients, tables] = await readStudio(studioId, async (em) => [await listClients(scope, em, today), await studioTables(scope, em)]);
  await inStudio(studioId, (em) => audit(scope, em, "exported", "studio", studioId));
  const head = { format: ARCHIVE_FORMAT, version: ARCHIVE_VERSION, madeAt: new Date().toISOString(), studio: { name, timeZone, tables } };
  async function* parts(): AsyncGenerator<string> {
    yield `${JSON.stringify(head).slice(0, -1)},"clients":[`;
    let isFirst = true;
    for (const { id } of clients) {
      const client = await inTurn(() => readStudio(studioId, (em) => archiveOf(scope, em, id)));
      if (!client) continue; // erased a moment ago
      yield `${isFirst ? "" : ","}${JSON.stringify(client)}`;
      isFirst = false;
    }
    yield "]}";
  }
  const bytes = Readable.toWeb(Readable.from(parts(), { encoding: "utf8" })) as ReadableStream;
  return new Response(bytes, {
    headers: {
      "content-type": "application/json",
      "content-disposition": `attachment; filename="studio.ponderis.json"`,
      "cache-control": "private, no-store",
    },
  });
}

import { takeArchive, takeStudioTables } from "../../../data/archive";
import type { Taken } from "../../../core/outcome";
import { inStudio } from "../../../data/orm";
import type { ClientArchive, DetailsOf, Tables } from "../../../formats/archive";
import bodySizes from "../../../server/body-sizes.json";
import { readJson } from "../../../server/door";
import { log } from "../../../server/log";
import { onlyLooks, signedIn } from "../../../server/session";

/** Ends a transaction without keeping anything of it. */
class Unkept extends Error {
  constructor(readonly taken: Taken<object>) {
    super("not kept");
  }
}

/** One client of an archive, or what the studio itself has: taken in whole or not at all; `?preview` says what would become of it. */
export async function POST(request: Request): Promise<Response> {
  const by = await signedIn();
  if (!by) return Response.json({ code: "signed-out" }, { status: 401 });
  if (by.role === "reader") return onlyLooks();
  const body = await readJson(request, bodySizes.mostImportBytes);
  if (!body.ok) return body.answer;
  const { client, studio } = (body.value ?? {}) as { client?: ClientArchive; studio?: Tables };
  if (!client && by.role !== "lead") return Response.json({ ok: false, refusal: { code: "only-a-lead" } }, { status: 403 });
  const query = new URL(request.url).searchParams;
  const detailsOf: DetailsOf = query.get("details") === "file" ? "file" : "here";
  const isPreview = query.has("preview");
  const { scope, today } = by;
  const taken = await inStudio(scope.studioId, async (em) => {
    const found = client
      ? await takeArchive(scope, em, client, { today, detailsOf })
      : await takeStudioTables(scope, em, studio ?? {}, today);
    if (!found.ok || isPreview) throw new Unkept(found);
    return found as Taken<object>;
  }).catch((error: unknown) => {
    if (error instanceof Unkept) return error.taken;
    throw error;
  });
  log.info({ step: isPreview ? "import-preview" : "import", studio: scope.studioId, outcome: taken.ok ? "taken" : taken.refusal.code });
  return Response.json(taken, { status: taken.ok ? 200 : 422 });
}

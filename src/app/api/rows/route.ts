import { fileOf } from "../../../core/catalogue/own";
import { readStudio } from "../../../data/orm";
import { listOwnRows } from "../../../data/repos/studio.repo";
import { signedIn } from "../../../server/session";

/** The studio's own rows as one file, to be taken in by another. */
export async function GET(): Promise<Response> {
  const by = await signedIn();
  if (!by) return new Response(null, { status: 401 });
  const rows = await readStudio(by.scope.studioId, (em) => listOwnRows(by.scope, em));
  return new Response(JSON.stringify(fileOf(rows.filter(({ isRetired }) => !isRetired)), null, 2), {
    headers: {
      "content-type": "application/json",
      "content-disposition": `attachment; filename="own-rows.json"`,
      "cache-control": "private, no-store",
    },
  });
}

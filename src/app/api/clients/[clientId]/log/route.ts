import { REVIEW_SESSIONS } from "../../../../../data/repos/record.repo";
import { csvOf } from "../../../../../formats/csv";
import { requireRecord } from "../../../../../server/record";
import { signedIn } from "../../../../../server/session";
import { LOG_HEADER, logRows } from "../../../../../ui/review/log-rows";

/** Every set of the last sessions as CSV, one line each. */
export async function GET(_request: Request, { params }: { params: Promise<{ clientId: string }> }): Promise<Response> {
  const by = await signedIn();
  if (!by) return new Response(null, { status: 401 });
  const record = await requireRecord((await params).clientId, REVIEW_SESSIONS);
  return new Response(csvOf(LOG_HEADER, logRows(record)), {
    headers: {
      "content-type": "text/csv; charset=utf-8; header=present",
      "content-disposition": `attachment; filename="sessions.csv"`,
      "cache-control": "private, no-store",
    },
  });
}

import { requireRecord } from "../../../../../server/record";
import { drawPaper } from "../../../../../ui/papers/draw-paper";
import { signedIn } from "../../../../../server/session";

interface Context {
  params: Promise<{ clientId: string }>;
}

/** The sheet for home as a PDF; `?print=large` for large print. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const by = await signedIn();
  if (!by) return new Response(null, { status: 401 });
  const { clientId } = await params;
  const record = await requireRecord(clientId);
  const isLarge = new URL(request.url).searchParams.get("print") === "large";
  const bytes = await drawPaper({ kind: "sheet", record, today: by.today, units: by.unitSystem, isLarge });
  if (!bytes) return new Response(null, { status: 404 });
  return new Response(bytes, {
    headers: {
      "content-type": "application/pdf",
      "content-disposition": `inline; filename="home-sheet.pdf"`,
      "cache-control": "private, no-store",
    },
  });
}

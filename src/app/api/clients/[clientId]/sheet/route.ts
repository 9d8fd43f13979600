import { requireRecord } from "../../../../../server/record";
import { inTurn } from "../../../../../server/in-turn";
import { signedIn } from "../../../../../server/session";
import { homeSheet } from "../../../../../ui/plan/home-sheet";
import { sheetPdf } from "../../../../../ui/plan/sheet-pdf";

interface Context {
  params: Promise<{ clientId: string }>;
}

/** The sheet for home as a PDF; `?print=large` for large print. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  const by = await signedIn();
  if (!by) return new Response(null, { status: 401 });
  const { clientId } = await params;
  const record = await requireRecord(clientId);
  const sheet = homeSheet(record, by.today, by.unitSystem);
  if (!sheet) return new Response(null, { status: 404 });
  const isLarge = new URL(request.url).searchParams.get("print") === "large";
  const bytes = await inTurn(() => sheetPdf({ title: "At home", ...sheet, isLarge }));
  return new Response(new Uint8Array(bytes), {
    headers: {
      "content-type": "application/pdf",
      "content-disposition": `inline; filename="home-sheet.pdf"`,
      "cache-control": "private, no-store",
    },
  });
}

import { readStudio } from "../../../../../../data/orm";
import { summariesOf } from "../../../../../../data/repos/summary.repo";
import { requireRecord } from "../../../../../../server/record";
import { inTurn } from "../../../../../../server/in-turn";
import { signedIn } from "../../../../../../server/session";
import { letterPdf } from "../../../../../../ui/letter/letter-pdf";

interface Context {
  params: Promise<{ clientId: string; summaryId: string }>;
}

/** A kept letter as a PDF. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const by = await signedIn();
  if (!by) return new Response(null, { status: 401 });
  const { clientId, summaryId } = await params;
  const { client } = await requireRecord(clientId);
  const letter = (await readStudio(by.scope.studioId, (em) => summariesOf(by.scope, em, clientId))).find(({ id }) => id === summaryId);
  if (!letter) return new Response(null, { status: 404 });
  const bytes = await inTurn(() =>
    letterPdf({ ...letter, studioName: by.studioName, clientName: client.name, birthYear: client.birthYear }),
  );
  return new Response(new Uint8Array(bytes), {
    headers: {
      "content-type": "application/pdf",
      "content-disposition": `inline; filename="letter-${letter.day}.pdf"`,
      "cache-control": "private, no-store",
    },
  });
}

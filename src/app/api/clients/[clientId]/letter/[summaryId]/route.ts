import { readStudio } from "../../../../../../data/orm";
import { summariesOf } from "../../../../../../data/repos/summary.repo";
import { requireRecord } from "../../../../../../server/record";
import { drawPaper } from "../../../../../../ui/papers/draw-paper";
import { signedIn } from "../../../../../../server/session";

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
  const bytes = await drawPaper({
    kind: "letter",
    letter: { ...letter, studioName: by.studioName, clientName: client.name, birthYear: client.birthYear },
  });
  if (!bytes) return new Response(null, { status: 404 });
  return new Response(bytes, {
    headers: {
      "content-type": "application/pdf",
      "content-disposition": `inline; filename="letter-${letter.day}.pdf"`,
      "cache-control": "private, no-store",
    },
  });
}

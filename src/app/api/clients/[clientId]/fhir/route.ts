import { readStudio } from "../../../../../data/orm";
import { REVIEW_SESSIONS } from "../../../../../data/repos/record.repo";
import { summariesOf } from "../../../../../data/repos/summary.repo";
import { bundleOf } from "../../../../../formats/fhir";
import { requireRecord } from "../../../../../server/record";
import { drawPaper } from "../../../../../ui/papers/draw-paper";
import { signedIn } from "../../../../../server/session";
import { clinicalSummary } from "../../../../../ui/letter/clinical-summary";
import { audienceName } from "../../../../../words/studio/letter";

interface Context {
  params: Promise<{ clientId: string }>;
}
const MOST_LETTERS = 3;

/** The clinical summary as an HL7 FHIR R4 bundle, the last letters to clinicians with it. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const by = await signedIn();
  if (!by) return new Response(null, { status: 401 });
  const { clientId } = await params;
  const record = await requireRecord(clientId, REVIEW_SESSIONS);
  const kept = (await readStudio(by.scope.studioId, (em) => summariesOf(by.scope, em, clientId))).filter(
    ({ audience }) => audience === "clinician",
  );
  const { name, birthYear } = record.client;
  const letters = [];
  for (const letter of kept.slice(0, MOST_LETTERS)) {
    const pdf = await drawPaper({ kind: "letter", letter: { ...letter, studioName: by.studioName, clientName: name, birthYear } });
    if (!pdf) continue;
    letters.push({
      id: letter.id,
      day: letter.day,
      title: `Letter to ${letter.to || audienceName[letter.audience].toLowerCase()}`,
      pdfBase64: Buffer.from(pdf).toString("base64"),
    });
  }
  const bundle = bundleOf(clinicalSummary(record, letters, by.today, new Date().toISOString()));
  return Response.json(bundle, {
    headers: {
      "content-type": "application/fhir+json",
      "content-disposition": `attachment; filename="summary.json"`,
      "cache-control": "private, no-store",
    },
  });
}

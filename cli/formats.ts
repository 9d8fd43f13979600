import { avoidedWords } from "../src/core/session/sheet";
import type { Issue } from "../src/core/reasons";
import { archiveFrom } from "../src/formats/archive";
import { bundleOf, type ClinicalSummary, summaryFrom } from "../src/formats/fhir";
import { letterText, type LetterText } from "../src/formats/letter";
import { clinicalSummarySchema, documentSchema, letterTextSchema } from "../src/schemas/command-line/formats.schema";

/** Why a document is neither an archive nor a bundle of ours. */
function documentIssues(document: Record<string, unknown>): Issue[] {
  if (document["resourceType"] !== undefined)
    return summaryFrom(document) ? [] : [{ path: "resourceType", code: "document.not-a-summary" }];
  const found = archiveFrom(JSON.stringify(document));
  return found.ok
    ? []
    : [{ path: found.problem.code === "broken" ? found.problem.where : "format", code: `document.${found.problem.code}` }];
}
/** What a document holds; nothing is taken in. */
function runImport(document: Record<string, unknown>): object {
  const summary = summaryFrom(document);
  if (summary) return { ok: true, kind: "fhir", summary };
  const found = archiveFrom(JSON.stringify(document));
  if (!found.ok) return { ok: false };
  const { version, clients, studio } = found.archive;
  return {
    ok: true,
    kind: "archive",
    version,
    studio: studio?.name ?? null,
    clients: clients.map(({ id, name, tables }) => ({
      id,
      name,
      facts: Object.values(tables).reduce((sum, facts) => sum + facts.length, 0),
    })),
  };
}

type LetterAsked = LetterText & { audience: string };
/** What goes to a client neither judges nor promises. */
const letterIssues = ({ audience, sections }: LetterAsked): Issue[] =>
  audience !== "client"
    ? []
    : sections.flatMap(({ words }, i) => (avoidedWords(words).length > 0 ? [{ path: `sections.${i}.words`, code: "words.avoided" }] : []));

/** Commands that write and read open formats. */
export const FORMAT_COMMANDS = {
  export: {
    summary: "A clinical summary as an HL7 FHIR R4 bundle",
    schema: clinicalSummarySchema,
    run: (summary: ClinicalSummary): object => ({ ok: true, bundle: bundleOf(summary) }),
  },
  import: {
    summary: "What an archive or a bundle holds, or what is wrong with it; nothing is taken in",
    schema: documentSchema,
    check: documentIssues,
    run: runImport,
  },
  letter: {
    summary: "A letter as plain text from its sections; to a client without words that judge or promise",
    schema: letterTextSchema,
    check: letterIssues,
    run: (letter: LetterAsked): object => ({ ok: true, text: letterText(letter) }),
  },
};

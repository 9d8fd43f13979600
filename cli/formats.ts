import { avoidedWords } from "../src/core/session/sheet";
import type { Issue } from "../src/core/reasons";
import type { LetterSection } from "../src/core/record/letter";
import { archiveFrom } from "../src/formats/archive";
import { bundleOf, type ClinicalSummary, summaryFrom } from "../src/formats/fhir";
import { longDayText } from "../src/ui/text/day-text";
import { LETTER_FOOT, sectionTitle } from "../src/ui/text/letter-text";

/** A clinical summary as a FHIR R4 bundle. */
export const runExport = (summary: ClinicalSummary): object => ({ ok: true, bundle: bundleOf(summary) });

/** Why a document is neither an archive nor a bundle of ours. */
export function documentIssues(document: Record<string, unknown>): Issue[] {
  if (document["resourceType"] !== undefined)
    return summaryFrom(document) ? [] : [{ path: "resourceType", code: "document.not-a-summary" }];
  const found = archiveFrom(JSON.stringify(document));
  return found.ok
    ? []
    : [{ path: found.problem.code === "broken" ? found.problem.where : "format", code: `document.${found.problem.code}` }];
}
/** What a document holds; nothing is taken in. */
export function runImport(document: Record<string, unknown>): object {
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

interface LetterAsked {
  audience: string;
  clientName: string;
  birthYear: number;
  day: string;
  sinceDay: string;
  by: string;
  to: string;
  sections: readonly LetterSection[];
}
/** What goes to a client neither judges nor promises. */
export const letterIssues = ({ audience, sections }: LetterAsked): Issue[] =>
  audience !== "client"
    ? []
    : sections.flatMap(({ words }, i) => (avoidedWords(words).length > 0 ? [{ path: `sections.${i}.words`, code: "words.avoided" }] : []));
/** A letter as plain text, as its PDF reads. */
export function runLetter({ clientName, birthYear, day, sinceDay, by, to, sections }: LetterAsked): object {
  const parts = [
    longDayText(day),
    to,
    `${clientName}, born ${birthYear}\nSince ${longDayText(sinceDay)}`,
    ...sections.map(({ id, words }) => `${sectionTitle[id]}\n${words}`),
    by,
    LETTER_FOOT,
  ];
  return { ok: true, text: parts.filter((part) => part !== "").join("\n\n") };
}

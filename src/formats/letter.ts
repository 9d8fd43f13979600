import type { LetterSection, SectionId } from "../core/studio/letter";

export const sectionTitle: Readonly<Record<SectionId, string>> = {
  phase: "Where they stand",
  limits: "Limits in force",
  done: "What was done",
  measures: "Range and tests",
  response: "How it was answered",
  incidents: "Incidents",
  questions: "Questions",
};
/** Under every letter. */
export const LETTER_FOOT =
  "Written by a trainer from the log of training. It describes what was done and told; it diagnoses nothing. Numbers of the body model are estimates for comparing set-ups of one person and are not in it.";

export interface LetterText {
  clientName: string;
  birthYear: number;
  day: string;
  sinceDay: string;
  by: string;
  to: string;
  sections: readonly LetterSection[];
}
/** A letter as plain text, in the order of its PDF. */
export const letterText = ({ clientName, birthYear, day, sinceDay, by, to, sections }: LetterText): string =>
  [
    day,
    to,
    `${clientName}, born ${birthYear}\nSince ${sinceDay}`,
    ...sections.map(({ id, words }) => `${sectionTitle[id]}\n${words}`),
    by,
    LETTER_FOOT,
  ]
    .filter((part) => part !== "")
    .join("\n\n");

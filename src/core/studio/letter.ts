import type { Day } from "../day";

/** Whom a letter is for. */
export const AUDIENCES = ["clinician", "client", "insurer"] as const;
export type Audience = (typeof AUDIENCES)[number];
export const SECTION_IDS = ["phase", "limits", "done", "measures", "response", "incidents", "questions"] as const;
export type SectionId = (typeof SECTION_IDS)[number];
export interface LetterSection {
  id: SectionId;
  words: string;
}

/** A letter as it was kept: edited, dated, and never changed afterwards. */
export interface SummaryLetter {
  id: string;
  day: Day;
  by: string;
  audience: Audience;
  /** Whom it is addressed to, in the trainer's words. */
  to: string;
  sinceDay: Day;
  sections: readonly LetterSection[];
}
export const MOST_SECTION_WORDS = 4000;

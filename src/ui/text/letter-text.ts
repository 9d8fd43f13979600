import type { Audience, SectionId } from "../../core/record/letter";

export const audienceName: Readonly<Record<Audience, string>> = { clinician: "A clinician", client: "The client", insurer: "An insurer" };
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

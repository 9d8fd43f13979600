import type { Day } from "../day";

/** What a private link opens: the calendar of a programme, or the client's own page. */
export type Opens = "calendar" | "page";
/** A link as it is made: with a last day and the year of birth asked, where somebody wants so. */
export interface NewLink {
  secret: string;
  untilDay: Day | null;
  asksYear: boolean;
}
export interface StandingLink {
  /** What it can be told by; nothing is opened with it. */
  linkHash: string;
  since: Day;
  untilDay: Day | null;
  asksYear: boolean;
}

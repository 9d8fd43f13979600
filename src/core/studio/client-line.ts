import type { Day } from "../day";
import type { Limit } from "../limits/limit";
import type { MorningClass } from "../progress/morning";
import type { ClientProfile } from "../record/facts/record";

/** A client as one line of the studio's list. */
export interface ClientLine extends Pick<ClientProfile, "id" | "name" | "birthYear" | "goal" | "archivedDay"> {
  complaints: readonly string[];
  /** Ids of what is known of them. */
  conditions: readonly string[];
  /** When each protocol was last done. */
  lastFindings: readonly { protocol: string; day: Day }[];
  lastSessionDay: Day | null;
  lastResponse: { class: MorningClass; day: Day } | null;
  /** Something is laid on today, or a session is under way. */
  isToday: boolean;
  /** The last session of today, if there was one. */
  sessionToday: "under-way" | "trained" | null;
  /** The day of the last week's session whose morning after nobody told. */
  missingMorningOf: Day | null;
  /** Warning signs that no clinician has cleared. */
  openSigns: readonly string[];
  /** Limits that were not lifted: those that people set, and those that follow from the screen. */
  limits: readonly Limit[];
  /** When the present block of the programme began. */
  blockFrom: Day | null;
  /** Sets at home that nobody has looked at. */
  unlookedCount: number;
  /** Exercises whose morning after is known and which nobody has decided on. */
  undecidedCount: number;
}

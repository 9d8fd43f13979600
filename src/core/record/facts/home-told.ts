import type { Day } from "../../day";
import type { Side } from "../../mechanics/channels";

/** What a client tells from their own page. Plain data and nothing else: a phone loads it without the rest of the core. */

/** Everyday tasks that a week is told by, and how they went: 0 easy, 1 some effort, 2 hard, 3 not done. Source: handbook K2. */
export const HOME_TASKS = ["stairs", "chair", "walk"] as const;
export type HomeTask = (typeof HOME_TASKS)[number];
export const TASK_LEVELS = { min: 0, max: 3 } as const;
/** The text a client agrees to before anything else; raised whenever it says something else. */
export const CONSENT_VERSION = 1;
/** How a joint is this morning, next to a usual one, and how far above usual that counts: as usual, one, two. */
export const THAN_USUAL = [0, 1, 2] as const;
export type ThanUsual = (typeof THAN_USUAL)[number];

/** What a client tells from their own page, made on the phone first and never changed. */
export type HomeTold =
  | { kind: "consented"; version: number }
  | {
      kind: "set";
      line: string;
      side: Side | null;
      repetitions: number;
      workedS: number | null;
      painScore: number | null;
      leftInTank: number | null;
      isSharp: boolean;
    }
  | { kind: "undone"; entryId: string }
  | { kind: "morning"; answers: readonly { complaintId: string; than: ThanUsual }[]; newSwelling: boolean; signs: readonly string[] }
  | { kind: "sign"; sign: string }
  | { kind: "task"; task: HomeTask; level: number };
export interface HomeEntry {
  id: string;
  /** ISO 8601, UTC, by the phone's clock. */
  at: string;
  told: HomeTold;
}
export interface TaskTold {
  day: Day;
  task: HomeTask;
  level: number;
}

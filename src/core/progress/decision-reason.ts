import type { NumberChannelId } from "../mechanics/channels";
import type { LeverId } from "../templates/lever";
import type { FitReason } from "../judge/fit-reason";
import type { Change } from "../progressions/tread";

/** What keeps a session from counting: nobody checked in, a check-in that warned was gone past, a memory instead of a morning, a sign. */
export const UNCOUNTED = ["under-relief", "light-day", "check-in-missing", "check-in-warned", "morning-late", "sign-said"] as const;
export type Uncounted = (typeof UNCOUNTED)[number];

export interface SupportStanding {
  lever: LeverId;
  weeks: number;
  /** Parts of body weight: what is still carried, and what even parts given back would have left. */
  nowFraction: number;
  dueFraction: number;
}
export type DecisionReason =
  | {
      code:
        | "no-session"
        | "sharp-pain"
        | "joint-pressure"
        | "spreading-pain"
        | "belly-pressure"
        | "new-swelling"
        | "flare"
        | "noticed"
        | "morning-missing";
    }
  | { code: "warning-sign"; signs: readonly string[] }
  | { code: "rung-forbidden"; reason: FitReason }
  | { code: "not-measured"; reason: FitReason }
  | { code: "pain-over-number"; painScore: number; limitScore: number }
  | { code: "pain-not-recorded"; setNumber: number }
  | { code: "muscle-pain"; painScore: number }
  | { code: "time-away"; days: number }
  | { code: "sessions-apart"; days: number }
  | {
      code:
        | "ceiling-provisional"
        | "other-side-behind"
        | "eased-on-the-floor"
        | Uncounted
        | "sore-muscles"
        | "other-side-short"
        | "no-harder-step"
        | "rest-and-ask"
        | "plan-changed";
    }
  | { code: "sets-short"; setCount: number; targetSetCount: number }
  /** `ofDrops`: the drops of a set count together. */
  | { code: "repetitions-short"; setNumber: number; repetitions: number; goal: number; ofDrops?: true }
  | { code: "time-short"; setNumber: number; workedS: number; goalS: number }
  | { code: "tank-short"; repetitions: number; leftInTank: number | null; needed: number }
  | { code: "could-go-on-short"; leftS: number | null; neededS: number }
  | { code: "form-not-clean"; faults: readonly string[] }
  | { code: "earned-once"; needed: number }
  | { code: "earned"; sessionCount: number; goal: number }
  | { code: "next-step-closed"; reason: FitReason }
  | { code: "next-step-too-big"; riserFraction: number }
  | { code: "as-a-try"; reason: FitReason }
  | { code: "next-step"; change: Change; channel: NumberChannelId | null; riserFraction: number | null }
  | { code: "ceiling-proposed"; value: number }
  | { code: "holds-running" | "sharp-marks"; count: number }
  | ({ code: "support-standing" } & SupportStanding)
  | { code: "block-over"; weeks: number; toVariationId: string | null };

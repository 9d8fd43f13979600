import type { Equipment } from "../kit/equipment";
import type { CeilingChannelId, ChannelSide } from "../mechanics/channels";
import type { Site } from "../limits/complaint";
import type { LimitChannelId } from "../limits/limit";
import type { RailChannelId } from "../limits/rails";
import type { LeverId } from "../templates/lever";
import type { Trait } from "../templates/template";
import type { Use } from "./use";

/** Why a set-up stands where it stands; numbers in SI, sentences in src/words. */
export type FitReason =
  | { code: "pose-impossible"; reason: string }
  | { code: "over-limit"; limitId: string; channel: LimitChannelId; side: ChannelSide; value: number; most: number }
  | { code: "room-short"; limitId: string; valueDeg: number; leastDeg: number }
  | { code: "never"; limitId: string; what: Trait }
  | { code: "limit-unread"; limitId: string }
  | { code: "spared"; complaintId: string; site: Site; side: ChannelSide }
  | { code: "not-for"; limitId: string; instead: readonly string[] }
  | { code: "school"; axisId: string; positionId: string; instead: readonly string[] }
  | { code: "retired" | "kept-out" }
  | { code: "equipment-missing"; equipment: readonly Equipment[] }
  | { code: "not-assembled"; lever: LeverId; value: number }
  | { code: "stand-in"; instead: Equipment; of: Equipment }
  | { code: "guard-rail"; channel: RailChannelId | "lowBackCompression"; value: number; most: number }
  | { code: "counterweight"; loadKg: number }
  | { code: "over-ceiling" | "straddles-ceiling" | "under-ceilings"; use: Use }
  | { code: "no-ceiling" }
  | { code: "not-in-the-model" | "calm-before" }
  | { code: "ladder-and-trial"; because: "asks-little" | "easier-was-calm" | "taken-instead" | "nothing-hurts" | "place-unknown" }
  | { code: "complaint-unmeasured"; complaintId: string; site: Site; side: ChannelSide }
  | { code: "condition-unmeasured"; condition: string; site: Site; side: ChannelSide }
  | { code: "ceiling-unread" | "ceiling-unusable"; ceilingId: string; channel: CeilingChannelId; side: ChannelSide }
  | { code: "kneecap-past-90" }
  | { code: "ankle-at-its-limit" }
  | { code: "back-over-action"; value: number }
  | { code: "own-words-limit"; limitId: string; text: string };

/**
 * Open: its whole range lies under every ceiling. Try: it straddles one. Closed: it lies over one, past a guard rail, or
 * a limit forbids it. Not measured: nothing has been measured yet that could say, and that is never open.
 */
export type CandidateState = "open" | "try" | "not-measured" | "closed";
/** From what may be trained to what may not. */
export const STATES: readonly CandidateState[] = ["open", "try", "not-measured", "closed"];

/** What a reason makes of a set-up, were it the only one. */
export function stateOf({ code }: FitReason): CandidateState {
  switch (code) {
    case "under-ceilings":
    case "calm-before":
    // said beside what decides
    case "stand-in":
    case "kneecap-past-90":
    case "ankle-at-its-limit":
    case "back-over-action":
    case "own-words-limit":
      return "open";
    case "straddles-ceiling":
    case "ladder-and-trial":
      return "try";
    case "no-ceiling":
    case "not-in-the-model":
    case "limit-unread":
    case "complaint-unmeasured":
    case "condition-unmeasured":
    case "ceiling-unread":
    case "ceiling-unusable":
      return "not-measured";
    default:
      return "closed";
  }
}

import { GRAVITY_MPS2 } from "../units";
import type { Equipment, LeverId, Setting, Variation } from "../catalogue/variation";
import type { Ceiling } from "../limits/ceiling";
import { bindingLimits, type Day, type Limit } from "../limits/limit";
import type { ChannelDemand } from "../mechanics/channels";
import type { PoseFailure, StandingPose } from "../mechanics/standing.types";
import { demandOf, type Reading, type Subject } from "./demand";
import { tightest, type Use, usesOf } from "./use";

/** Everything about one client today that decides what fits. */
export interface FitContext {
  subject: Subject;
  limits: readonly Limit[];
  ceilings: readonly Ceiling[];
  today: Day;
  /** Smallest change of each lever that the equipment on hand allows. */
  increments: Readonly<Record<LeverId, number>>;
  equipment: readonly Equipment[];
  targetUseFraction: number;
}

export const DEFAULT_TARGET_USE = 0.7;

/** Why a candidate stands where it stands; numbers in SI, sentences in src/ui/text. */
export type FitReason =
  | { code: "pose-impossible"; reason: PoseFailure }
  | { code: "knee-bend-over-limit"; limitId: string; kneeFlexionDeg: number; maxDeg: number }
  | { code: "shin-over-limit"; limitId: string; shankLeanDeg: number; maxDeg: number }
  | { code: "load-on-back-limited"; limitId: string }
  | { code: "equipment-missing"; equipment: readonly Equipment[] }
  | { code: "over-ceiling"; use: Use }
  | { code: "straddles-ceiling"; use: Use }
  | { code: "under-ceilings"; use: Use }
  | { code: "no-ceiling" }
  | { code: "kneecap-past-90"; kneeFlexionDeg: number }
  | { code: "own-words-limit"; limitId: string; text: string };

export type CandidateState = "open" | "try" | "closed";

/** A variation in one set-up, judged for one client on one day. */
export interface Judgement {
  state: CandidateState;
  /** No such pose, or a hard limit forbids it: no ceiling can open it. */
  blocked: boolean;
  reasons: readonly [FitReason, ...FitReason[]];
  pose: StandingPose | null;
  demands: ChannelDemand[];
  uses: Use[];
  tightest: Use | null;
}

const ANGLE_SLACK_DEG = 1e-6;

function limitReasons(context: FitContext, variation: Variation, pose: StandingPose): FitReason[] {
  return bindingLimits(context.limits, context.today).flatMap((limit): FitReason[] => {
    const { rule, id: limitId } = limit;
    switch (rule.kind) {
      case "knee-bend":
        return pose.kneeFlexionDeg <= rule.maxDeg + ANGLE_SLACK_DEG
          ? []
          : [{ code: "knee-bend-over-limit", limitId, kneeFlexionDeg: pose.kneeFlexionDeg, maxDeg: rule.maxDeg }];
      case "shin-forward":
        return pose.shankLeanDeg <= rule.maxDeg + ANGLE_SLACK_DEG
          ? []
          : [{ code: "shin-over-limit", limitId, shankLeanDeg: pose.shankLeanDeg, maxDeg: rule.maxDeg }];
      case "no-load-on-back":
        return variation.template.loadAt === "back" ? [{ code: "load-on-back-limited", limitId }] : [];
      case "own-words":
        return [];
    }
  });
}

function ceilingReason(uses: readonly Use[]): FitReason {
  const by = (pick: (use: Use) => number): Use | undefined => uses.toSorted((a, b) => pick(b) - pick(a))[0];
  const [worstLow, worstHigh, worstHead] = [by((use) => use.low), by((use) => use.high), tightest(uses)];
  if (!worstHead || !worstLow || !worstHigh) return { code: "no-ceiling" };
  if (!(worstLow.low <= 1)) return { code: "over-ceiling", use: worstLow };
  return worstHigh.high <= 1 ? { code: "under-ceilings", use: worstHead } : { code: "straddles-ceiling", use: worstHigh };
}

const STATE_OF: Partial<Record<FitReason["code"], CandidateState>> = {
  "under-ceilings": "open",
  "no-ceiling": "open",
  "straddles-ceiling": "try",
};

/**
 * Open, try or closed, with every reason. Two-leg poses bend both knees alike, so a limit on either side binds.
 * Limits and reachability close outright; ceilings by where the whole range lies.
 */
export function judge(context: FitContext, variation: Variation, setting: Setting, reading: Reading = "range"): Judgement {
  const demand = demandOf(context.subject, variation, setting, reading);
  if (!demand.ok) {
    const reasons: [FitReason] = [{ code: "pose-impossible", reason: demand.reason }];
    return { state: "closed", blocked: true, reasons, pose: null, demands: [], uses: [], tightest: null };
  }
  const { pose, channels: demands } = demand;
  const uses = usesOf(demands, context.ceilings);
  const byCeiling = ceilingReason(uses);
  const missing = variation.equipment.filter((item) => !context.equipment.includes(item));
  const limited = limitReasons(context, variation, pose);
  const closing: FitReason[] = [...limited, ...(missing.length > 0 ? [{ code: "equipment-missing" as const, equipment: missing }] : [])];
  const notes: FitReason[] = [
    ...(uses.some(({ standsIn }) => standsIn) ? [{ code: "kneecap-past-90" as const, kneeFlexionDeg: pose.kneeFlexionDeg }] : []),
    ...bindingLimits(context.limits, context.today).flatMap(({ rule, id }) =>
      rule.kind === "own-words" ? [{ code: "own-words-limit" as const, limitId: id, text: rule.text }] : [],
    ),
  ];
  return {
    state: closing.length > 0 ? "closed" : (STATE_OF[byCeiling.code] ?? "closed"),
    blocked: limited.length > 0,
    reasons: [...closing, byCeiling, ...notes] as [FitReason, ...FitReason[]],
    pose,
    demands,
    uses,
    tightest: tightest(uses),
  };
}

/** What the studio's kit allows unless it says otherwise: thin pads, plates and bells, a hand scale read to the kilogram. */
export const DEFAULT_INCREMENTS: Readonly<Record<LeverId, number>> = {
  seatHeightM: 0.01,
  kneeFlexionDeg: 5,
  handForceN: GRAVITY_MPS2,
  loadKg: 1,
  shareFraction: 0.05,
};

import type { FitReason } from "../../../core/judge/fit-reason";
import type { Change } from "../../../core/progressions/tread";
import type { LimitRule } from "../../../core/limits/limit";
import type { DecisionReason } from "../../../core/progress/decision-reason";
import type { LeverId } from "../../../core/templates/lever";

/** The shapes of the release before, and what they are called since. Used by one migration and its test. */
type OldRule = { kind: "knee-bend" | "shin-forward"; maxDeg: number } | { kind: "no-load-on-back" } | { kind: "own-words"; text: string };

export function ruleFrom(rule: OldRule): LimitRule {
  switch (rule.kind) {
    case "knee-bend":
      return { kind: "most", channel: "kneeFlexion", most: rule.maxDeg };
    case "shin-forward":
      return { kind: "most", channel: "shankLean", most: rule.maxDeg };
    case "no-load-on-back":
      return { kind: "never", what: "bar-on-shoulders" };
    case "own-words":
      return rule;
  }
}

export interface OldStep {
  lever: LeverId;
  from: number;
  to: number;
  riserFraction: number;
  channel?: "kneecapStress" | "kneeMoment" | "hipMoment" | "lowBackCompression";
}
export const changeFrom = ({ lever, from, to, riserFraction }: OldStep): Change & { riserFraction: number } => ({
  levers: [{ lever, from, to }],
  fromVariationId: null,
  sets: null,
  riserFraction,
});

type OldFitReason =
  | { code: "knee-bend-over-limit"; limitId: string; kneeFlexionDeg: number; maxDeg: number }
  | { code: "shin-over-limit"; limitId: string; shankLeanDeg: number; maxDeg: number }
  | { code: "load-on-back-limited"; limitId: string }
  | FitReason;
function fitReasonFrom(reason: OldFitReason): FitReason {
  switch (reason.code) {
    case "knee-bend-over-limit":
      return {
        code: "over-limit",
        limitId: reason.limitId,
        channel: "kneeFlexion",
        side: "both",
        value: reason.kneeFlexionDeg,
        most: reason.maxDeg,
      };
    case "shin-over-limit":
      return {
        code: "over-limit",
        limitId: reason.limitId,
        channel: "shankLean",
        side: "both",
        value: reason.shankLeanDeg,
        most: reason.maxDeg,
      };
    case "load-on-back-limited":
      return { code: "never", limitId: reason.limitId, what: "bar-on-shoulders" };
    default:
      return reason;
  }
}

type OldReason =
  | { code: "next-step"; step: OldStep }
  | { code: "next-step-closed"; reason: OldFitReason }
  | { code: "no-easier-step" }
  | DecisionReason;
export function reasonFrom(reason: OldReason): DecisionReason {
  if (reason.code === "no-easier-step") return { code: "rest-and-ask" };
  if (reason.code === "next-step-closed") return { ...reason, reason: fitReasonFrom(reason.reason) };
  if (reason.code !== "next-step" || !("step" in reason)) return reason;
  const { riserFraction, ...change } = changeFrom(reason.step);
  return { code: "next-step", change, riserFraction, channel: reason.step.channel ?? null };
}

export interface OldCeiling {
  studio_id: string;
  id: string;
  source_kind: "calm-pose" | "history";
  source_id: string;
  value: number;
}
/** Each ceiling's calm pose, and the product of the raises on the way from it. */
export function rootsOf(rows: readonly OldCeiling[]): { studio_id: string; id: string; calmPoseId: string; raisedBy: number }[] {
  const byId = new Map(rows.map((row) => [row.id, row]));
  const rootOf = (row: OldCeiling): { calmPoseId: string; raisedBy: number } => {
    const before = row.source_kind === "history" ? byId.get(row.source_id) : undefined;
    if (!before) return { calmPoseId: row.source_id, raisedBy: 1 };
    const root = rootOf(before);
    return { ...root, raisedBy: root.raisedBy * (row.value / before.value) };
  };
  return rows.map((row) => ({ studio_id: row.studio_id, id: row.id, ...rootOf(row) }));
}

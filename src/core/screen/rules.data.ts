import type { LimitRule } from "../limits/limit";

/** Published: in docs/sources.md. Trade: common practice, no source. Own: our reasoning, the trainer's to change. */
export type RuleSource = { kind: "published"; id: string } | { kind: "trade" } | { kind: "own" };

/** What one condition closes, asks or reminds of, and when. Its words are in src/ui/text. */
export interface ScreenRule {
  id: string;
  condition: string;
  /** Days after the condition's own day, the last one included; for a pregnancy counted from the last period. */
  fromDays?: number;
  untilDays?: number;
  /** Only of who was not active before; an answer nobody gave counts as one. */
  onlyIf?: "inactive";
  /** Closed while it runs. Without one it is a reminder. */
  limit?: LimitRule;
  /** Somebody licensed looks first: no session before a clearance is recorded. */
  asksFirst?: true;
  source: RuleSource;
}
const TRADE: RuleSource = { kind: "trade" };
const OWN: RuleSource = { kind: "own" };
const published = (id: string): RuleSource => ({ kind: "published", id });
const never = (what: Extract<LimitRule, { kind: "never" }>["what"]): { limit: LimitRule } => ({ limit: { kind: "never", what } });

const WEEK = 7;
/** Ten months: where the trade calls a ligament repair late. */
const LATE_REPAIR_DAYS = 304;

export const SCREEN_RULES: readonly ScreenRule[] = [
  { id: "arthritis-impact", condition: "knee-arthritis", ...never("impact"), source: TRADE },
  { id: "inflammatory-impact", condition: "knee-inflammatory", ...never("impact"), source: TRADE },
  { id: "inflammatory-hot", condition: "knee-inflammatory", source: published("rausch-osthoff-2018") },
  { id: "kneecap-step-down", condition: "kneecap-pain", source: TRADE },
  { id: "replacement-first", condition: "knee-replacement", asksFirst: true, source: OWN },
  { id: "replacement-straight", condition: "knee-replacement", source: published("rowe-2000") },
  { id: "replacement-impact", condition: "knee-replacement", ...never("impact"), source: TRADE },
  { id: "replacement-kneeling", condition: "knee-replacement", untilDays: 52 * WEEK, ...never("kneeling"), source: OWN },
  { id: "repair-first", condition: "ligament-repair", untilDays: LATE_REPAIR_DAYS, asksFirst: true, source: OWN },
  { id: "repair-impact", condition: "ligament-repair", untilDays: LATE_REPAIR_DAYS, ...never("impact"), source: OWN },
  { id: "repair-weight", condition: "ligament-repair", untilDays: 12 * WEEK - 1, ...never("added-weight"), source: OWN },
  { id: "repair-face-down", condition: "ligament-repair", untilDays: 12 * WEEK - 1, source: TRADE },
  { id: "repair-shift", condition: "ligament-repair", fromDays: 12 * WEEK, untilDays: LATE_REPAIR_DAYS, source: TRADE },
  { id: "tendon-height", condition: "knee-tendon", source: TRADE },
  { id: "sprain-barefoot", condition: "sprains", source: TRADE },
  { id: "hip-lunge", condition: "side-hip", source: TRADE },
  { id: "tight-hip-drill", condition: "tight-hip", source: TRADE },
  { id: "hip-replacement-first", condition: "hip-replacement", asksFirst: true, source: OWN },
  { id: "hip-replacement-impact", condition: "hip-replacement", ...never("impact"), source: OWN },
  { id: "bend-calm-pose", condition: "back-bend", source: TRADE },
  { id: "disc-first", condition: "back-disc", asksFirst: true, source: TRADE },
  { id: "disc-bar", condition: "back-disc", ...never("bar-on-shoulders"), source: TRADE },
  { id: "nerve-first", condition: "nerve-signs", asksFirst: true, source: OWN },
  { id: "nerve-bar", condition: "nerve-signs", ...never("bar-on-shoulders"), source: TRADE },
  { id: "arch-range", condition: "back-arch", source: TRADE },
  { id: "spasm-carry", condition: "back-spasm", source: TRADE },
  { id: "pregnancy-first", condition: "pregnancy", asksFirst: true, source: published("acog-804") },
  { id: "pregnancy-new", condition: "pregnancy", onlyIf: "inactive", ...never("added-weight"), source: OWN },
  { id: "pregnancy-lying", condition: "pregnancy", fromDays: 14 * WEEK, ...never("lying"), source: published("acog-804") },
  { id: "pregnancy-breath", condition: "pregnancy", ...never("breath-holding"), source: OWN },
  { id: "pregnancy-impact", condition: "pregnancy", ...never("impact"), source: OWN },
  { id: "pregnancy-bar", condition: "pregnancy", fromDays: 14 * WEEK, ...never("bar-on-shoulders"), source: OWN },
  { id: "pregnancy-belly", condition: "pregnancy", fromDays: 14 * WEEK, source: TRADE },
  { id: "birth-first", condition: "after-birth", untilDays: 12 * WEEK, asksFirst: true, source: OWN },
  { id: "birth-impact", condition: "after-birth", untilDays: 12 * WEEK, ...never("impact"), source: OWN },
  { id: "bone-impact", condition: "bone-thinning", ...never("impact"), source: OWN },
  { id: "bone-bend-twist", condition: "bone-thinning", source: published("sinaki-1984") },
  { id: "heart-breath", condition: "heart", ...never("breath-holding"), source: published("williams-2007") },
  { id: "pressure-breath", condition: "blood-pressure", ...never("breath-holding"), source: published("williams-2007") },
  { id: "pressure-reading", condition: "blood-pressure", source: published("williams-2007") },
  { id: "diabetes-feet", condition: "diabetes", source: published("colberg-2016") },
  { id: "heart-rate-effort", condition: "heart-rate-medicine", source: published("tanaka-2001") },
  { id: "falls-support", condition: "falls", source: OWN },
  { id: "grip-support", condition: "shoulder-or-grip", source: OWN },
];

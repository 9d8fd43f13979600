import type { LimitRule } from "../limits/limit";

/** Published: in docs/sources.md. Trade: common practice, no source. Own: our reasoning, the trainer's to change. */
export type RuleSource = { kind: "published"; id: string } | { kind: "trade" } | { kind: "own" };

/** What is measured on Assess that ends a rule: nobody need set it aside. */
export type MeasureGate = "straight-and-bend" | "heel-in-line" | "level-pelvis";

/** What one condition closes, asks or reminds of, and when. Its words are in src/words. */
export interface ScreenRule {
  id: string;
  condition: string;
  /** Days after the condition's own day, the last one included; for a pregnancy counted from the last period. */
  fromDays?: number;
  untilDays?: number;
  /** Only of who was not active before; an answer nobody gave counts as one. */
  onlyIf?: "inactive";
  /** Ends on that side once it is measured so. */
  untilMeasured?: MeasureGate;
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
const words = (codes: string): string[] => codes.split(" ").filter(Boolean);
/** Rows of the catalogue by their codes, and what to take instead. */
const closes = (codes: string, instead: string): { limit: LimitRule } => ({
  limit: { kind: "rows", codes: words(codes), instead: words(instead) },
});
const room = (leastDeg: number): { limit: LimitRule } => ({ limit: { kind: "room", leastDeg } });

const WEEK = 7;
/** Ten months: where the trade calls a ligament repair late. */
const LATE_REPAIR_DAYS = 304;
const THIRD_TRIMESTER_DAYS = 28 * WEEK;
/** The whole bend, on one leg or two: what a joint that asks for calm is not asked for. */
const DEEP = "S21 S22 S23 S33 L28 L29";
/** What stands and is loaded by body weight, before a replaced knee is straight and bends. */
const STANDING_STRENGTH =
  "S04 S05 S06 S07 S08 S10 S11 S12 S13 S15 S16 S17 S18 S19 S20 S21 S22 S23 S24 S25 S26 S27 S28 S29 S31 S32 S33 S34 S35 S36 S37 S38 S39 S40 " +
  "L01 L02 L03 L04 L05 L06 L07 L08 L09 L10 L11 L12 L13 L14 L15 L16 L17 L18 L19 L20 L21 L22 L23 L24 L25 L26 L27 L28 L29 L31 A05 A17 K09 K10 H25 H26 H27";

export const SCREEN_RULES: readonly ScreenRule[] = [
  { id: "arthritis-impact", condition: "knee-arthritis", ...never("impact"), source: TRADE },
  { id: "arthritis-deep", condition: "knee-arthritis", ...closes(`${DEEP} L23 K10 A17`, "S02 S06 S10 L16"), source: TRADE },
  { id: "inflammatory-impact", condition: "knee-inflammatory", ...never("impact"), source: TRADE },
  { id: "inflammatory-deep", condition: "knee-inflammatory", ...closes(`${DEEP} L23 K10 A17`, "S02 S06 S10 L16"), source: TRADE },
  { id: "inflammatory-hot", condition: "knee-inflammatory", source: published("rausch-osthoff-2018") },
  { id: "hip-arthritis-impact", condition: "hip-arthritis", ...never("impact"), source: OWN },
  { id: "hip-arthritis-deep", condition: "hip-arthritis", ...closes(`${DEEP} S15 S25 M17`, "S02 S05 S10 L19"), source: OWN },
  {
    id: "kneecap-step-down",
    condition: "kneecap-pain",
    ...closes(`L06 L07 L08 L17 L21 L22 L23 L25 S26 K10 ${DEEP}`, "S28 L09 S32 L15 L16"),
    source: TRADE,
  },
  { id: "replacement-first", condition: "knee-replacement", asksFirst: true, source: OWN },
  {
    id: "replacement-straight",
    condition: "knee-replacement",
    untilMeasured: "straight-and-bend",
    ...never("added-weight"),
    source: published("rowe-2000"),
  },
  {
    id: "replacement-range-first",
    condition: "knee-replacement",
    untilMeasured: "straight-and-bend",
    ...closes(STANDING_STRENGTH, "M07 M14 M11 M12 S01 S02 K02 K05 E01"),
    source: TRADE,
  },
  { id: "replacement-deep", condition: "knee-replacement", ...closes(`${DEEP} L23 M08`, "S06 S10 L03 L18 M07"), source: TRADE },
  { id: "replacement-impact", condition: "knee-replacement", ...never("impact"), source: TRADE },
  { id: "replacement-kneeling", condition: "knee-replacement", untilDays: 52 * WEEK, ...never("kneeling"), source: OWN },
  { id: "repair-first", condition: "ligament-repair", untilDays: LATE_REPAIR_DAYS, asksFirst: true, source: OWN },
  { id: "repair-impact", condition: "ligament-repair", untilDays: LATE_REPAIR_DAYS, ...never("impact"), source: OWN },
  { id: "repair-weight", condition: "ligament-repair", untilDays: 12 * WEEK - 1, ...never("added-weight"), source: OWN },
  {
    id: "repair-early",
    condition: "ligament-repair",
    untilDays: 12 * WEEK - 1,
    ...closes(`L02 L06 L07 L08 L17 L23 L25 S26 H25 H26 H27 K10 ${DEEP}`, "S06 S27 L01 L03 K05 K08"),
    source: OWN,
  },
  {
    id: "repair-face-down",
    condition: "ligament-repair",
    untilDays: LATE_REPAIR_DAYS - 1,
    ...closes("K09 M08 M09", "K08 M07 M10 M11"),
    source: TRADE,
  },
  { id: "repair-shift", condition: "ligament-repair", fromDays: 12 * WEEK, untilDays: LATE_REPAIR_DAYS, source: TRADE },
  { id: "tendon-height", condition: "knee-tendon", ...closes("S23 L13 L14", "K07 L11 L12"), source: TRADE },
  {
    id: "sprain-barefoot",
    condition: "sprains",
    untilMeasured: "heel-in-line",
    ...closes("S26 L24 L25", "C02 C03 C08"),
    source: TRADE,
  },
  { id: "hip-lunge", condition: "side-hip", ...closes(`L17 ${DEEP}`, "L19 L18 A05 B07"), source: TRADE },
  { id: "hip-stretch", condition: "side-hip", ...closes("M05 M06", "M02 M03"), source: TRADE },
  { id: "tight-hip-drill", condition: "tight-hip", ...closes(DEEP, "M01 M02 M17 S05 L16"), source: TRADE },
  { id: "hip-replacement-first", condition: "hip-replacement", asksFirst: true, source: OWN },
  {
    id: "hip-replacement-turns",
    condition: "hip-replacement",
    ...closes(`${DEEP} S15 S25 M01 M02 M03 M17 A19 H17`, "S02 S06 L03 A16 B01"),
    source: OWN,
  },
  { id: "hip-replacement-impact", condition: "hip-replacement", ...never("impact"), source: OWN },
  { id: "bend-calm-pose", condition: "back-bend", source: TRADE },
  {
    id: "bend-rows",
    condition: "back-bend",
    ...closes("H13 H17 P07 T09 T10 A09 E06 S35", "H14 H15 H11 S37 P05 P04 T08 A10"),
    source: TRADE,
  },
  { id: "disc-first", condition: "back-disc", asksFirst: true, source: TRADE },
  { id: "disc-bar", condition: "back-disc", ...never("bar-on-shoulders"), source: TRADE },
  {
    id: "disc-rows",
    condition: "back-disc",
    ...closes("S19 S20 H10 H13 H16 H17 H24 P03 P07 P09 T09 T10 E07", "S17 S18 S37 L26 H14 H08 P05 P04 P08 T01 T05 E05"),
    source: TRADE,
  },
  { id: "nerve-first", condition: "nerve-signs", asksFirst: true, source: OWN },
  { id: "nerve-bar", condition: "nerve-signs", ...never("bar-on-shoulders"), source: TRADE },
  {
    id: "nerve-rows",
    condition: "nerve-signs",
    ...closes("H10 H13 H16 H17 H24 P07 P09 T09 T10", "S25 S17 H14 H08 T08 P05"),
    source: TRADE,
  },
  { id: "arch-range", condition: "back-arch", ...closes("H20 H21 H22 H23 P09", "H18 B07 H31 P08"), source: TRADE },
  {
    id: "spasm-carry",
    condition: "back-spasm",
    untilMeasured: "level-pelvis",
    ...closes("H11 H12 T04 T07 P10 P01", "M01 M17 A05 B07 H02 T03"),
    source: TRADE,
  },
  { id: "pregnancy-first", condition: "pregnancy", asksFirst: true, source: published("acog-804") },
  { id: "pregnancy-new", condition: "pregnancy", onlyIf: "inactive", ...never("added-weight"), source: OWN },
  { id: "pregnancy-lying", condition: "pregnancy", fromDays: 14 * WEEK, ...never("lying"), source: published("acog-804") },
  { id: "pregnancy-face-down", condition: "pregnancy", fromDays: 14 * WEEK, ...never("face-down"), source: OWN },
  { id: "pregnancy-breath", condition: "pregnancy", ...never("breath-holding"), source: OWN },
  { id: "pregnancy-impact", condition: "pregnancy", ...never("impact"), source: OWN },
  {
    id: "pregnancy-rows",
    condition: "pregnancy",
    fromDays: 14 * WEEK,
    ...closes("S19 S20 S35 H08 H10 H13 H21 H22 B08 B12 B16 P05 T10", "S16 S36 H16 B09 B10 B11 A10 A11 P06"),
    source: TRADE,
  },
  {
    id: "pregnancy-late",
    condition: "pregnancy",
    fromDays: THIRD_TRIMESTER_DAYS,
    ...closes("T01 S21 L28 L29", "T08 S16 L26"),
    source: OWN,
  },
  // a belly moves the balance, and joints give more
  {
    id: "pregnancy-balance",
    condition: "pregnancy",
    fromDays: 14 * WEEK,
    ...closes("S26 S29 S31 S33 L07 L08 L13 L14 L24 L25 H12 K07 E02", "S34 S28 S06 L03 L09 L32 H02 E01"),
    source: OWN,
  },
  {
    id: "pregnancy-bend-twist",
    condition: "pregnancy",
    fromDays: 14 * WEEK,
    ...closes("T06 T07 T09 P08 P10", "T05 T08 P06"),
    source: OWN,
  },
  { id: "pregnancy-belly", condition: "pregnancy", fromDays: 14 * WEEK, ...room(60), source: OWN },
  { id: "pregnancy-belly-late", condition: "pregnancy", fromDays: THIRD_TRIMESTER_DAYS, ...room(70), source: OWN },
  { id: "birth-first", condition: "after-birth", untilDays: 12 * WEEK, asksFirst: true, source: OWN },
  { id: "birth-impact", condition: "after-birth", untilDays: 12 * WEEK, ...never("impact"), source: OWN },
  { id: "birth-midline", condition: "after-birth", untilDays: 12 * WEEK, ...closes("T01 T02 T10", "T11 T08 B01"), source: OWN },
  { id: "bone-impact", condition: "bone-thinning", ...never("impact"), source: OWN },
  { id: "bone-bend-twist", condition: "bone-thinning", ...never("spine-bends"), source: published("sinaki-1984") },
  { id: "bone-twist", condition: "bone-thinning", ...never("twisting"), source: OWN },
  { id: "heart-breath", condition: "heart", ...never("breath-holding"), source: published("williams-2007") },
  { id: "heart-sprint", condition: "heart", ...closes("E05 E07", "E01 E08"), source: OWN },
  { id: "pressure-breath", condition: "blood-pressure", ...never("breath-holding"), source: published("williams-2007") },
  { id: "pressure-reading", condition: "blood-pressure", source: published("williams-2007") },
  { id: "diabetes-feet", condition: "diabetes", ...closes("L24", "L21"), source: published("colberg-2016") },
  { id: "heart-rate-effort", condition: "heart-rate-medicine", source: published("tanaka-2001") },
  { id: "falls-support", condition: "falls", source: OWN },
  {
    id: "falls-rows",
    condition: "falls",
    ...closes("S26 S29 S31 S33 L07 L08 L24 L25 K07 H11 H12 A08 E02", "S06 S34 L03 L32 H02 A10 E01"),
    source: OWN,
  },
  { id: "grip-support", condition: "shoulder-or-grip", source: OWN },
  {
    id: "grip-rows",
    condition: "shoulder-or-grip",
    ...closes("S11 S12 S13 S17 S24 S40 L19 L20 T03 T06 T07 P08 P09 P10 P11 P13", "S02 S09 S10 S18 P05 A10"),
    source: TRADE,
  },
];

/** One way a point is held by practitioners, and whom it suits. Wording of what it decides is in src/words. */
export interface Position {
  id: string;
  /** Conditions it is thought for; none are named where the goal or the history decides. */
  suits?: readonly string[];
  /** Rows of the catalogue it leaves out, and what it takes instead. Only for clients of `onlyWith`, where that is said. */
  closes?: { codes: readonly string[]; instead: readonly string[]; onlyWith?: "a-back" };
  /** Not for rehabilitation or long rest: never a default, refused for who has a complaint or a condition. */
  isBarred?: true;
}
export type AxisId = string;
/** A point on which practitioners disagree: a setting, not a truth. Source of all positions: common practice, no source. */
export interface Axis {
  id: string;
  positions: readonly [Position, ...Position[]];
  /** Our own reasoning, where the trade names no point. */
  isOwn?: true;
}
const words = (text: string): string[] => text.split(" ");
const leaves = (codes: string, instead: string, onlyWith?: "a-back"): Pick<Position, "closes"> => ({
  closes: { codes: words(codes), instead: words(instead), ...(onlyWith ? { onlyWith } : {}) },
});
const axis = (id: string, ...positions: [Position | string, ...(Position | string)[]]): Axis => ({
  id,
  positions: positions.map((each) => (typeof each === "string" ? { id: each } : each)) as [Position, ...Position[]],
});
const BACKS = ["back-bend", "back-disc", "nerve-signs"];

/** Each point makes something different of a client's training (school.test.ts); what would only be an opinion is not here. */
export const AXES = [
  axis(
    "knee-travel",
    {
      id: "behind-toes",
      suits: ["knee-arthritis", "knee-inflammatory"],
      ...leaves("S22 S23 S26 L11 L12 L13 L14 L17 L28 L29", "S10 S11 S05 L16"),
    },
    { id: "graded-forward", suits: ["kneecap-pain", "knee-tendon", "ligament-repair"] },
    { id: "over-front-foot", ...leaves("S23 L13 L14", "S22 L12") },
  ),
  axis(
    "pain",
    { id: "none" },
    { id: "settles", suits: ["kneecap-pain", "ligament-repair"] },
    { id: "controlled", suits: ["knee-replacement"] },
  ),
  axis("height-or-load", "height-first", { id: "load-first", suits: ["knee-tendon", "kneecap-pain"] }),
  axis(
    "trunk",
    { id: "core-each-session", suits: ["back-disc"] },
    { id: "hip-first", suits: ["back-spasm"] },
    { id: "no-brace", isBarred: true },
  ),
  axis("weak-side", "one-more-set", { id: "double", suits: ["ligament-repair"] }, "equal-weak-first", {
    id: "alone",
    suits: ["knee-replacement"],
  }),
  axis("frequency", "daily", "two-rest-days", "three-a-week"),
  axis("foot-pressure", { id: "heels", suits: ["knee-arthritis"] }, "forefoot", { id: "three-points", suits: ["sprains"] }, "raised-heels"),
  axis(
    "depth",
    { id: "partial", suits: ["knee-arthritis", "kneecap-pain"], ...leaves("S15 S21 S33 L28 L29 M17", "S05 S10 L16") },
    "deep-as-comfortable",
    { id: "to-the-tuck", suits: BACKS },
    "only-what-is-owned",
  ),
  axis("abduction-trunk", "lean", { id: "neutral", suits: ["side-hip"] }, "three-angles"),
  axis("abduction-dose", "drops", { id: "many-light", suits: ["side-hip"] }, { id: "moderate", suits: ["ligament-repair"] }),
  axis("activation", "light-before", "burn-at-end"),
  axis("effort", "near-failure", "stop-at-form", "easy-first"),
  axis("stretching", "every-session", "mobilise-and-strengthen", "load-the-range", "one-stretch"),
  axis("step-up", "lean", "upright", { id: "knee-forward", suits: ["kneecap-pain"] }),
  axis("muscle-cue", "buttock", "knee-muscle"),
  axis("straightening", "soft", { id: "lock-out", suits: ["knee-replacement"] }),
  axis("speed", { id: "slow", ...leaves("H24 E07", "H08 E03") }, "slow-then-fast", { id: "mixed", suits: ["knee-replacement"] }),
  axis(
    "big-lifts",
    { id: "removed", suits: BACKS, ...leaves("S19 S20 H10 H13 P07 P09", "S17 S18 H08 P05 P08", "a-back") },
    "kept-neutral",
    { id: "swapped-for-a-while", suits: BACKS, ...leaves("S19 S20 H13 P07 P09", "S17 H14 H15 H08 P05 P08", "a-back") },
  ),
  axis(
    "session-order",
    "circuit",
    { id: "weak-first", suits: ["side-hip", "hip-arthritis"] },
    { id: "ground-up", suits: ["kneecap-pain", "sprains"] },
    { id: "four-patterns", suits: ["side-hip"] },
    { id: "core-every-session", suits: ["back-disc"] },
    { id: "extension-both-ends", suits: ["ligament-repair"] },
  ),
  axis("thrust-start", "vertical-shins", { id: "feet-out", suits: ["pregnancy"] }),
  axis("sets", "given", "by-feel"),
  axis(
    "straightening-hang",
    { id: "face-down", isBarred: true },
    { id: "supported", suits: ["ligament-repair", "knee-replacement"], ...leaves("M08", "M07 M14") },
  ),
  axis("first-knee-work", "no-bend", "easy-standing", "band-and-drag"),
  { ...axis("measured-first", "sore-first", "sore-last"), isOwn: true as const },
  { ...axis("both-sides", "each-alone", "tied"), isOwn: true as const },
] as const;

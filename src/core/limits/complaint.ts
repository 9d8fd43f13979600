import type { CeilingChannelId, ChannelSide, Side } from "../mechanics/channels";

/** What may hurt where a ceiling can speak for it: what a client was limited by at the calm pose, and nothing else. */
export const MEASURED_SITES = ["kneecap", "knee", "hip", "low-back", "back-bend"] as const;
export type LimitedBy = (typeof MEASURED_SITES)[number];
/** What no ceiling speaks for: the rows that load it stay closed until they were calm (docs/sources.md). */
export const SPARED_SITES = [
  "ankle",
  "foot",
  "side-hip",
  "groin",
  "pelvis",
  "upper-back",
  "neck",
  "shoulder",
  "elbow",
  "wrist-hand",
  "belly",
] as const;
export type SparedSite = (typeof SPARED_SITES)[number];
export const SITES = [...MEASURED_SITES, ...SPARED_SITES, "other"] as const;
export type Site = (typeof SITES)[number];
export const isMeasuredSite = (site: Site): site is LimitedBy => (MEASURED_SITES as readonly Site[]).includes(site);
export const isSparedSite = (site: Site): site is SparedSite => (SPARED_SITES as readonly Site[]).includes(site);

/** The channels of a site. A back that bending hurts is capped on its lean as well, for force alone does not forbid; never on a hip. */
export const CHANNELS_OF_SITE: Readonly<Record<LimitedBy, readonly CeilingChannelId[]>> = {
  kneecap: ["kneecapStress"],
  knee: ["kneeMoment"],
  hip: ["hipMoment"],
  "low-back": ["lowBackCompression"],
  "back-bend": ["lowBackCompression", "trunkLean"],
};
/** Any of these measured is something known about the site. */
export const SPEAKS_FOR: Readonly<Record<LimitedBy, readonly CeilingChannelId[]>> = {
  kneecap: ["kneecapStress", "kneeMoment"],
  knee: ["kneecapStress", "kneeMoment"],
  hip: ["hipMoment"],
  "low-back": ["lowBackCompression", "trunkLean"],
  "back-bend": ["trunkLean"],
};
export const isBack = (site: Site): boolean => site === "low-back" || site === "back-bend";

/** One thing that hurts, with the pain that is usual there and the pain agreed during a set. */
export interface Complaint {
  id: string;
  site: Site;
  side: ChannelSide;
  words: string;
  usualPainScore: number;
  painLimitScore: number;
}

/** The leg to watch: the first that hurts or that a condition names; the right where none does. */
export const sideToWatch = (sore: readonly { side: ChannelSide }[]): Side =>
  sore.map(({ side }) => side).find((side): side is Side => side !== "both") ?? "right";

/** The strictest agreed number, never over the school's: what holds where nobody said which complaint a pain was of. */
export const strictestLimitScore = (complaints: readonly Pick<Complaint, "painLimitScore">[], schoolsScore = 3): number =>
  Math.min(schoolsScore, ...complaints.map(({ painLimitScore }) => painLimitScore));
/** The usual pain of the joint that hurts most. */
export const usualScoreOf = (complaints: readonly Pick<Complaint, "usualPainScore">[]): number =>
  Math.max(0, ...complaints.map(({ usualPainScore }) => usualPainScore));

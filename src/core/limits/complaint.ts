import type { CeilingChannelId, ChannelSide, Side } from "../mechanics/channels";

/** What may hurt, as far as a ceiling can speak for it. */
export const SITES = ["kneecap", "knee", "hip", "low-back", "back-bend", "other"] as const;
export type Site = (typeof SITES)[number];
/** What a client was limited by at the calm pose: the only channels it sets a ceiling on. */
export type LimitedBy = Exclude<Site, "other">;

/** The channels of a site. A back that bending hurts is capped on the bends as well: force alone does not forbid. */
export const CHANNELS_OF_SITE: Readonly<Record<Site, readonly CeilingChannelId[]>> = {
  kneecap: ["kneecapStress"],
  knee: ["kneeMoment"],
  hip: ["hipMoment"],
  "low-back": ["lowBackCompression"],
  "back-bend": ["lowBackCompression", "trunkLean", "hipFlexion"],
  other: [],
};
/** Any of these measured is something known about the site. */
export const SPEAKS_FOR: Readonly<Record<Site, readonly CeilingChannelId[]>> = {
  kneecap: ["kneecapStress", "kneeMoment"],
  knee: ["kneecapStress", "kneeMoment"],
  hip: ["hipMoment"],
  "low-back": ["lowBackCompression", "trunkLean"],
  "back-bend": ["trunkLean"],
  other: [],
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

/** The leg to watch: the first complaint that has one; the right where none does. */
export const sideToWatch = (complaints: readonly Complaint[]): Side =>
  complaints.map(({ side }) => side).find((side): side is Side => side !== "both") ?? "right";

/** The strictest agreed number, never over the school's: what holds where nobody said which complaint a pain was of. */
export const strictestLimitScore = (complaints: readonly Pick<Complaint, "painLimitScore">[], schoolsScore = 3): number =>
  Math.min(schoolsScore, ...complaints.map(({ painLimitScore }) => painLimitScore));
/** The usual pain of the joint that hurts most. */
export const usualScoreOf = (complaints: readonly Pick<Complaint, "usualPainScore">[]): number =>
  Math.max(0, ...complaints.map(({ usualPainScore }) => usualPainScore));

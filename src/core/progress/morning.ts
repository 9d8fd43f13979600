/** How the next morning answered a session. */
export type MorningClass = "calm" | "noticed" | "flare";

export interface Morning {
  painScore: number;
  /** More swollen than usual. It outranks pain. */
  newSwelling: boolean;
}

export const PAIN_SCALE = { min: 0, max: 10 } as const;
const USUAL_MORNINGS = 14;
const USUAL_NEEDS = 5;
const FLARE_ABOVE = 2;

/** Usual pain: median of the last 14 mornings, or the assessed baseline while there are fewer than five. */
export function usualPainScore(morningScores: readonly number[], baselineScore: number): number {
  if (morningScores.length < USUAL_NEEDS) return baselineScore;
  const sorted = morningScores.slice(-USUAL_MORNINGS).toSorted((a, b) => a - b);
  const middle = sorted.length / 2;
  return ((sorted[Math.ceil(middle) - 1] ?? NaN) + (sorted[Math.floor(middle)] ?? NaN)) / 2;
}

/** Calm: at most usual. Noticed: above it. Flare: two or more above, or new swelling. */
export function morningClass({ painScore, newSwelling }: Morning, usualScore: number): MorningClass {
  if (newSwelling || !(painScore < usualScore + FLARE_ABOVE)) return "flare";
  return painScore <= usualScore ? "calm" : "noticed";
}

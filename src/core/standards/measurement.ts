/** Standard error of a measurement from its spread and repeatability. */
export const standardError = (sd: number, reliability: number): number => sd * Math.sqrt(1 - reliability);
/** Smallest change that is not the measurement's own error: z times the root of two times its standard error; z 1.65 for 90 %, 1.96 for 95 %. */
export const detectableChange = (standardErrorOfOne: number, z: number): number => z * Math.SQRT2 * standardErrorOfOne;

/** How much one side falls short of the other, as a part of the better one. */
export interface SideIndex {
  worse: "left" | "right" | null;
  /** (good - weak) / good; where less is better, of the times: 1 - good / weak. */
  deficitFraction: number;
}
/** Source: Noyes 1991, Grindem 2016: involved over uninvolved, for times the other way round; its distance from one. */
export function sideIndex({ left, right }: { left: number; right: number }, better: "more" | "less"): SideIndex | null {
  const [low, high] = [Math.min(left, right), Math.max(left, right)];
  if (!Number.isFinite(low) || !Number.isFinite(high)) return null;
  if (low === high) return { worse: null, deficitFraction: 0 };
  const worse = left < right === (better === "more") ? "left" : "right";
  return { worse, deficitFraction: high > 0 ? 1 - Math.max(0, low) / high : 0 };
}
/** Shin forward of upright for each metre between toe and wall. Source: Bennell 1998: about 3.6 degrees a centimetre. */
export const SHIN_DEG_PER_TOE_M = 360;

import type { Place } from "../judge/context";
import type { School } from "../approach/approach";
import { otherSide, type Side } from "../mechanics/channels";

/** How the weaker side is handled: a school's position, `weak-side`. Source: handbook D6 and J. */
export const SIDE_RULES = ["one-more-set", "double", "equal-weak-first", "alone"] as const;
export type SideRule = (typeof SIDE_RULES)[number];

export const sideRuleOf = ({ positions }: Pick<School, "positions">): SideRule =>
  (positions["weak-side"] as SideRule | undefined) ?? "equal-weak-first";

export interface SideDose {
  side: Side;
  setCount: number;
  repetitions: number;
  /** Where this side stands, when it is not where the item does. */
  place?: Place;
}
/**
 * What each side does, in the order it is done, from what the good side does: 2 × 10 makes 3 × 10, 2 × 20, 2 × 10 with
 * the weak first, or the weak alone. No weak side: as many, and with both sore the first side alternates by session.
 */
export function sideDoses(
  good: { setCount: number; repetitions: number },
  weak: Side | "both" | null,
  rule: SideRule,
  sessionNumber = 0,
): SideDose[] {
  const of = (side: Side, part: Partial<SideDose> = {}): SideDose => ({ side, ...good, ...part });
  if (weak === null || weak === "both") {
    const first: Side = weak === "both" && sessionNumber % 2 === 1 ? "left" : "right";
    return [of(first), of(otherSide(first))];
  }
  switch (rule) {
    case "one-more-set":
      return [of(weak, { setCount: good.setCount + 1 }), of(otherSide(weak))];
    case "double":
      return [of(weak, { repetitions: 2 * good.repetitions }), of(otherSide(weak))];
    case "equal-weak-first":
      return [of(weak), of(otherSide(weak))];
    case "alone":
      return [of(weak)];
  }
}

import type { Limit, LimitChannelId } from "../limits/limit";
import type { RailChannelId } from "../limits/rails";
import type { ChannelSide, Side } from "../mechanics/channels";
import type { MeasureGate } from "../screen/rules.data";
import { USEFUL_KNEE_FLEXION_DEG } from "../standards/range-of-motion";
import { type Finding, latestOf } from "./finding";

/** Short of straight by no more than a goniometer misses. */
export const STRAIGHT_WITHIN_DEG = 5;
const MEASURED = "measured ";
/** Whether a limit is this client's own measured range: measuring again moves it. */
export const isMeasuredLimit = ({ id }: Pick<Limit, "id">): boolean => id.startsWith(MEASURED);

/** Ranges that nothing planned goes past. A pelvis that tucks caps the bend of both hips. */
const CAPS: readonly { protocol: string; channel: LimitChannelId & RailChannelId; sides: readonly ChannelSide[] }[] = [
  { protocol: "knee-bend", channel: "kneeFlexion", sides: ["left", "right"] },
  { protocol: "hip-bend", channel: "hipFlexion", sides: ["left", "right"] },
  { protocol: "tuck", channel: "hipFlexion", sides: ["both"] },
];

/** The client's own measured ranges as limits like any other; the latest of each counts. */
export function rangeLimits(findings: readonly Finding[]): Limit[] {
  return CAPS.flatMap(({ protocol, channel, sides }) =>
    sides.flatMap((side): Limit[] => {
      const found = latestOf(findings, protocol, side);
      if (!found) return [];
      return [
        {
          id: `${MEASURED}${protocol} ${side}`,
          rule: { kind: "most", channel, most: found.value },
          side,
          owner: { kind: "measure", name: protocol },
          fromDay: found.day,
          untilDay: null,
          lift: null,
        },
      ];
    }),
  );
}

/** Measured bends: a guard rail does not stop short of what this client has been measured to have, on the worse side. */
export function measuredRange(findings: readonly Finding[]): Partial<Record<RailChannelId, number>> {
  const least: Partial<Record<RailChannelId, number>> = {};
  for (const { protocol, channel, sides } of CAPS) {
    const found = sides.map((side) => latestOf(findings, protocol, side));
    if (found.some((finding) => finding === null)) continue; // a side nobody measured lends nothing
    const values = found.map((finding) => finding?.value ?? 0);
    least[channel] = Math.min(least[channel] ?? Infinity, ...values);
  }
  return least;
}

/** A replaced knee that is measured straight, and bent as far as stairs ask; what nobody measured is not. */
export const isReadyForLoad = (findings: readonly Finding[], side: Side): boolean => {
  const [bend, short] = [latestOf(findings, "knee-bend", side), latestOf(findings, "knee-straight", side)];
  return bend !== null && short !== null && bend.value >= USEFUL_KNEE_FLEXION_DEG && short.value <= STRAIGHT_WITHIN_DEG;
};
/** Heel in line on its own raise: 0 or 1 of 3, at this foot. */
const IN_LINE_UP_TO = 1;
const TILTS = ["carry-early", "carry-late"] as const;

/** Whether what a rule waits for is measured so, on its side or on both; what nobody measured is not. */
export function isMeasuredSo(findings: readonly Finding[], gate: MeasureGate, side: ChannelSide): boolean {
  const sides: readonly Side[] = side === "both" ? ["left", "right"] : [side];
  const least = (protocol: string, most: number, of: readonly Side[]): boolean =>
    of.every((each) => (latestOf(findings, protocol, each)?.value ?? Infinity) <= most);
  switch (gate) {
    case "straight-and-bend":
      return sides.every((each) => isReadyForLoad(findings, each));
    case "heel-in-line":
      return least("heel-line", IN_LINE_UP_TO, sides);
    case "level-pelvis":
      return TILTS.every((protocol) => least(protocol, 0, ["left", "right"]));
  }
}

/** Below these a measured bend is short enough to be kept in view. Ours. */
const TELLING_BELOW: Readonly<Partial<Record<LimitChannelId, number>>> = { kneeFlexion: 120, hipFlexion: 110 };
/**
 * Whether a limit is worth a place in view: a measured range where it is short and not covered by something stricter, a
 * rule where no person has said the same.
 */
export function isTelling(limit: Limit, inForce: readonly Limit[]): boolean {
  const { rule, side } = limit;
  const saysTheSame = ({ owner, rule: other, side: on }: Limit): boolean =>
    other.kind === "never" && rule.kind === "never" && other.what === rule.what && on === side && owner.kind !== "rule";
  if (limit.owner.kind === "rule" && inForce.some(saysTheSame)) return false;
  if (!isMeasuredLimit(limit) || rule.kind !== "most") return true;
  const isStricter = ({ id, rule: other, side: on }: Limit): boolean =>
    id !== limit.id && other.kind === "most" && other.channel === rule.channel && (on === side || on === "both") && other.most <= rule.most;
  return rule.most < (TELLING_BELOW[rule.channel] ?? Infinity) && !inForce.some(isStricter);
}

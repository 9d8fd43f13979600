import type { Limit, LimitChannelId } from "../limits/limit";
import type { RailChannelId } from "../limits/rails";
import type { ChannelSide, Side } from "../mechanics/channels";
import { ALWAYS, conditionsOf, RULE, type ScreenAnswers } from "../screen/screen";
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

const STRAIGHT_RULE = "replacement-straight";
/** A replaced knee that is measured straight, and bent as far as stairs ask; what nobody measured is not. */
export const isReadyForLoad = (findings: readonly Finding[], side: Side): boolean => {
  const [bend, short] = [latestOf(findings, "knee-bend", side), latestOf(findings, "knee-straight", side)];
  return bend !== null && short !== null && bend.value >= USEFUL_KNEE_FLEXION_DEG && short.value <= STRAIGHT_WITHIN_DEG;
};
/** Straightening and bend before load: the rule of a replaced knee closes added weight until both are measured. Set aside like any rule. */
export function straightFirstLimits(findings: readonly Finding[], answers: ScreenAnswers): Limit[] {
  return conditionsOf(answers).flatMap(({ id, side }): Limit[] => {
    const sides: readonly Side[] = side === "both" ? ["left", "right"] : [side];
    if (id !== "knee-replacement" || sides.every((each) => isReadyForLoad(findings, each))) return [];
    const aside = answers.setAside?.findLast((each) => each.ruleId === STRAIGHT_RULE && each.side === side);
    const lift = aside ? { kind: "lifted" as const, by: aside.by, role: "trainer", day: aside.day, reason: aside.reason } : null;
    const rule = { kind: "never", what: "added-weight" } as const;
    return [
      {
        id: `${RULE}${STRAIGHT_RULE} ${side}`,
        rule,
        side,
        owner: { kind: "rule", name: STRAIGHT_RULE },
        fromDay: ALWAYS,
        untilDay: null,
        lift,
      },
    ];
  });
}

/** Below these a measured bend is short enough to be kept in view. Ours. */
const TELLING_BELOW: Readonly<Partial<Record<LimitChannelId, number>>> = { kneeFlexion: 120, hipFlexion: 110 };
/** Whether a measured range is worth a place beside what people have said: short, and not covered by something stricter. */
export function isTelling(limit: Limit, inForce: readonly Limit[]): boolean {
  const { rule, side } = limit;
  if (!isMeasuredLimit(limit) || rule.kind !== "most") return true;
  const isStricter = ({ id, rule: other, side: on }: Limit): boolean =>
    id !== limit.id && other.kind === "most" && other.channel === rule.channel && (on === side || on === "both") && other.most <= rule.most;
  return rule.most < (TELLING_BELOW[rule.channel] ?? Infinity) && !inForce.some(isStricter);
}

import { type Day, dayAfter } from "../day";
import { otherSide, type ChannelSide, type Side } from "../mechanics/channels";
import { sideIndex, type SideIndex } from "../standards/measurement";
import { type Protocol, PROTOCOLS, SET_UP_KEYS, type SetUp } from "./protocols.data";

/** One result of one protocol on one side, SI; of a choice, its place among the words. */
export interface Finding {
  id: string;
  day: Day;
  protocol: string;
  side: ChannelSide;
  value: number;
  /** What it was measured at: without the same it is not compared. */
  setUp: SetUp;
  note: string;
}

export const protocolOf = (id: string): Protocol | undefined => PROTOCOLS.find((protocol) => protocol.id === id);
export const isProtocol = (id: string): boolean => protocolOf(id) !== undefined;

/** The sides a protocol is done on. */
export const sidesOf = ({ isSided }: Pick<Protocol, "isSided">): readonly ChannelSide[] => (isSided ? ["left", "right"] : ["both"]);

/** Results of one protocol and side, oldest first. */
export const findingsOf = (findings: readonly Finding[], protocol: string, side: ChannelSide): Finding[] =>
  findings.filter((finding) => finding.protocol === protocol && finding.side === side).toSorted((a, b) => a.day.localeCompare(b.day));
export const latestOf = (findings: readonly Finding[], protocol: string, side: ChannelSide): Finding | null =>
  findingsOf(findings, protocol, side).at(-1) ?? null;

/** A height or weight set by eye comes back within a centimetre, or half a kilogram. */
const SAME_WITHIN: Readonly<Record<(typeof SET_UP_KEYS)[number], number>> = {
  seatHeightM: 0.01,
  stepHeightM: 0.01,
  loadKg: 0.5,
  distanceM: 0.05,
  standIn: 0,
};
export const isSameSetUp = (a: SetUp, b: SetUp): boolean =>
  SET_UP_KEYS.every((key) => {
    const [one, two] = [a[key], b[key]];
    return one === undefined || two === undefined ? one === two : Math.abs(one - two) <= SAME_WITHIN[key] + 1e-9;
  });

export type Change =
  | { kind: "real"; difference: number; isBetter: boolean | null; before: Finding }
  | { kind: "within-error"; difference: number; before: Finding }
  /** No error is published: the difference is shown and nothing is said of it. */
  | { kind: "error-unknown"; difference: number; before: Finding }
  | { kind: "other-set-up"; before: Finding };

/** A result against the one before it: whether the difference is more than the measurement's own error. Null where nothing was before. */
export function changeSince(protocol: Protocol, now: Finding, findings: readonly Finding[]): Change | null {
  const before = findingsOf(findings, now.protocol, now.side).findLast(({ day, id }) => day < now.day && id !== now.id);
  if (!before) return null;
  if (!isSameSetUp(before.setUp, now.setUp)) return { kind: "other-set-up", before };
  const difference = now.value - before.value;
  if (protocol.change === null) return { kind: "error-unknown", difference, before };
  if (Math.abs(difference) < protocol.change.least - 1e-9) return { kind: "within-error", difference, before };
  return { kind: "real", difference, isBetter: protocol.better === null ? null : difference > 0 === (protocol.better === "more"), before };
}

export interface SidesApart extends Omit<SideIndex, "deficitFraction"> {
  /** Null where a ratio means nothing: a score, what is missing to straight, a height that is better low. */
  deficitFraction: number | null;
  left: Finding;
  right: Finding;
}
/** The latest of both sides against each other; null where one is missing, they differ in set-up, or neither way is better. */
export function sidesApart(protocol: Protocol, findings: readonly Finding[]): SidesApart | null {
  const [left, right] = [latestOf(findings, protocol.id, "left"), latestOf(findings, protocol.id, "right")];
  if (!left || !right || protocol.better === null || !protocol.isSided || !isSameSetUp(left.setUp, right.setUp)) return null;
  const index = sideIndex({ left: left.value, right: right.value }, protocol.better);
  const isRatio = protocol.better === "more" || protocol.quantity === "seconds";
  return index && { worse: index.worse, deficitFraction: isRatio ? index.deficitFraction : null, left, right };
}

export interface Retest {
  protocol: string;
  lastDay: Day;
  dueDay: Day;
  isOverdue: boolean;
}
/** When each protocol that was ever done is due again, by what is known of the client, soonest first. */
export function retestsOf(findings: readonly Pick<Finding, "protocol" | "day">[], conditions: readonly string[], today: Day): Retest[] {
  return PROTOCOLS.flatMap(({ id, retestWeeks, soonerFor = {} }): Retest[] => {
    const lastDay = findings.reduce<Day | null>(
      (last, { protocol, day }) => (protocol === id && (last === null || day > last) ? day : last),
      null,
    );
    if (lastDay === null) return [];
    const weeks = Math.min(retestWeeks, ...conditions.map((condition) => soonerFor[condition] ?? retestWeeks));
    const dueDay = dayAfter(lastDay, weeks * 7);
    return [{ protocol: id, lastDay, dueDay, isOverdue: dueDay < today }];
  }).toSorted((a, b) => a.dueDay.localeCompare(b.dueDay));
}

/** Which side a school begins with, and what a client with two sore sides does. */
export type SideOrder = "sore-first" | "sore-last";
/** The side to begin with: by the school where one is sore; where both are, not the one that began last time. */
export function firstSide(sore: readonly Side[], order: SideOrder, lastFirst: Side | null): Side {
  const [only, other] = sore;
  if (only && !other) return order === "sore-first" ? only : otherSide(only);
  return lastFirst ? otherSide(lastFirst) : "left";
}

/** Outside what is usual for anybody: asked about before it is kept. */
export const isUnlikely = ({ belief: [low, high] }: Protocol, value: number): boolean => value < low || value > high;

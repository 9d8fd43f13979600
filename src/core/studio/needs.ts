import { retestsOf } from "../assess/finding";
import { type Day, dayAfter, daysBetween } from "../day";
import { type Limit, limitState } from "../limits/limit";
import { BLOCK_WEEKS } from "../week/week";
import type { ClientLine } from "./client-line";

/** What asks for the trainer's eye before a client comes, as data. */
export type Need =
  | { code: "warning"; signs: readonly string[] }
  | { code: "flare"; day: Day }
  | { code: "morning-unknown"; day: Day }
  | { code: "limit-ends"; limit: Limit; isPast: boolean }
  | { code: "retest-due"; protocols: readonly string[] }
  | { code: "block-over"; endsOn: Day }
  | { code: "home-sets"; setCount: number }
  | { code: "decision-waits"; itemCount: number };

/** In this order: who could be hurt, what nobody knows, what runs out, what is due, what is earned. */
export const NEED_ORDER = [
  "warning",
  "flare",
  "morning-unknown",
  "limit-ends",
  "retest-due",
  "block-over",
  "home-sets",
  "decision-waits",
] as const satisfies Need["code"][];
/** So long a limit, a retest or a block is told ahead. */
export const AHEAD_DAYS = 7;
/** So long a flare stays a thing to look at, where no calm morning has followed. */
const FLARE_DAYS = 14;

/** A clinician's limit past its end stays "ask" and is never forgotten; any other ends by itself and is told ahead. */
function endingOf({ limits }: ClientLine, today: Day): Need[] {
  return limits.flatMap((limit): Need[] => {
    const state = limitState(limit, today);
    if (state === "ask") return [{ code: "limit-ends", limit, isPast: true }];
    const isSoon = state === "in-force" && limit.untilDay !== null && limit.untilDay <= dayAfter(today, AHEAD_DAYS);
    return isSoon ? [{ code: "limit-ends", limit, isPast: false }] : [];
  });
}

/** Everything that one client's line asks for, the first the most pressing. */
export function needsOf(line: ClientLine, today: Day): Need[] {
  const { openSigns, lastResponse, missingMorningOf, lastFindings, conditions, blockFrom, undecidedCount, unlookedCount } = line;
  const overdue = retestsOf(lastFindings, conditions, today).filter(({ isOverdue }) => isOverdue);
  const endsOn = blockFrom === null ? null : dayAfter(blockFrom, 7 * BLOCK_WEEKS - 1);
  return [
    ...(openSigns.length > 0 ? [{ code: "warning" as const, signs: openSigns }] : []),
    ...(lastResponse?.class === "flare" && daysBetween(lastResponse.day, today) <= FLARE_DAYS
      ? [{ code: "flare" as const, day: lastResponse.day }]
      : []),
    ...(missingMorningOf !== null ? [{ code: "morning-unknown" as const, day: missingMorningOf }] : []),
    ...endingOf(line, today),
    ...(overdue.length > 0 ? [{ code: "retest-due" as const, protocols: overdue.map(({ protocol }) => protocol) }] : []),
    ...(endsOn !== null && endsOn <= today ? [{ code: "block-over" as const, endsOn }] : []),
    ...(unlookedCount > 0 ? [{ code: "home-sets" as const, setCount: unlookedCount }] : []),
    ...(undecidedCount > 0 && openSigns.length === 0 ? [{ code: "decision-waits" as const, itemCount: undecidedCount }] : []),
  ];
}

/** Whether a line is meant by what was typed: a name, or what hurts. */
export const isMeant = ({ name, complaints }: Pick<ClientLine, "name" | "complaints">, words: string): boolean =>
  `${name} ${complaints.join(" ")}`.toLowerCase().includes(words.trim().toLowerCase());

const rankOf = (needs: readonly Need[]): number => (needs[0] ? NEED_ORDER.indexOf(needs[0].code) : NEED_ORDER.length);

/** Clients in the order of need, each with what asks; alike ones stay in the order they came in. Put away, nobody asks. */
export const byNeed = <T extends ClientLine>(lines: readonly T[], today: Day): { line: T; needs: Need[] }[] =>
  lines
    .map((line) => ({ line, needs: line.archivedDay === null ? needsOf(line, today) : [] }))
    .toSorted((a, b) => rankOf(a.needs) - rankOf(b.needs));

/** Everybody whom one kind of need is about: how many, and by name the first so many. */
export interface NeedGroup {
  code: Need["code"];
  count: number;
  first: readonly { id: string; name: string; need: Need }[];
}
/** Needs by kind, in the order of need. A studio of thousands is counted, and named in part. */
export const needGroups = (all: readonly { line: Pick<ClientLine, "id" | "name">; needs: readonly Need[] }[], most: number): NeedGroup[] =>
  NEED_ORDER.map((code): NeedGroup => {
    const found = all.flatMap(({ line: { id, name }, needs }) =>
      needs.filter((need) => need.code === code).map((need) => ({ id, name, need })),
    );
    return { code, count: found.length, first: found.slice(0, most) };
  }).filter(({ count }) => count > 0);

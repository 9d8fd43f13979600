import { type Day, dayAfter } from "../day";
import type { Complaint } from "../limits/complaint";
import { isBinding, type Limit } from "../limits/limit";
import { conditionsOf, type Gate, type ScreenAnswers } from "../screen/screen";
import { type Finding, retestsOf } from "./finding";
import { type PickedFor, type Protocol, PROTOCOLS } from "./protocols.data";

export const MOST_PICKED = 5;
/** A measure whose retest is overdue goes before a new one of the same weight. */
const OVERDUE_WEIGHT = 3;

/** What decides which of the protocols are for this client. */
export interface Assessed {
  age: number;
  screen: ScreenAnswers;
  complaints: readonly Pick<Complaint, "site">[];
  /** Kinds of everyday task the client wants back. */
  tasks: readonly ("seat" | "step")[];
  limits: readonly Limit[];
  findings: readonly Pick<Finding, "protocol" | "day">[];
  gate: Gate["state"];
  today: Day;
}
/** Why a protocol is not done today. */
export type Closed = { by: "gate" } | { by: "limit"; limit: Limit } | { by: "phase"; condition: string; untilDay: Day | null };
/** Why it was picked: what it is for, and whether it is due again. */
export interface Picked {
  protocol: Protocol;
  because: PickedFor;
  isOverdue: boolean;
}

/** Days after surgery in which no measure puts the whole weight on one leg; a day nobody knows is one of them. Ours. */
const ONE_LEG_WAITS_DAYS: Readonly<Record<string, number>> = { "ligament-repair": 84, "knee-replacement": 42, "hip-replacement": 42 };

/** Nothing that tires before the questions are answered; nothing that a limit or the time since surgery forbids. */
export function closedBy(
  { isEffort, trait, onOneLeg }: Protocol,
  { gate, limits, screen, today }: Pick<Assessed, "gate" | "limits" | "screen" | "today">,
): Closed | null {
  if (isEffort && gate !== "open") return { by: "gate" };
  const limit = limits.find(({ rule, ...rest }) => rule.kind === "never" && rule.what === trait && isBinding({ rule, ...rest }, today));
  if (limit) return { by: "limit", limit };
  for (const { id: condition, day } of onOneLeg ? conditionsOf(screen) : []) {
    const waitsDays = ONE_LEG_WAITS_DAYS[condition];
    if (waitsDays === undefined) continue;
    const untilDay = day === null ? null : dayAfter(day, waitsDays);
    if (untilDay === null || today < untilDay) return { by: "phase", condition, untilDay };
  }
  return null;
}

function speaksOf(reason: PickedFor, { age, screen, complaints, tasks }: Assessed): boolean {
  switch (reason.kind) {
    case "condition":
      return (screen.conditions ?? []).some(({ id }) => id === reason.id);
    case "site":
      return complaints.some(({ site }) => site === reason.id);
    case "age":
      return age >= reason.from;
    case "task":
      return tasks.includes(reason.id);
  }
}

/** At most five protocols for this client, each with its reason, most telling first: no more is asked of one hour. */
export function pickProtocols(assessed: Assessed): Picked[] {
  const overdue = retestsOf(assessed.findings, conditionIds(assessed.screen), assessed.today).flatMap(({ protocol, isOverdue }) =>
    isOverdue ? [protocol] : [],
  );
  return PROTOCOLS.filter((protocol) => closedBy(protocol, assessed) === null)
    .flatMap((protocol): Picked[] => {
      const reasons = protocol.pickedFor.filter((reason) => speaksOf(reason, assessed)).toSorted((a, b) => b.weight - a.weight);
      const [because] = reasons;
      return because ? [{ protocol, because, isOverdue: overdue.includes(protocol.id) }] : [];
    })
    .toSorted((a, b) => weightOf(b) - weightOf(a))
    .slice(0, MOST_PICKED);
}
export const conditionIds = (screen: ScreenAnswers): string[] => conditionsOf(screen).map(({ id }) => id);
const weightOf = ({ because, isOverdue }: Picked): number => because.weight + (isOverdue ? OVERDUE_WEIGHT : 0);

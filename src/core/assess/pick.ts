import type { Day } from "../day";
import type { Complaint } from "../limits/complaint";
import { isBinding, type Limit } from "../limits/limit";
import type { Gate, ScreenAnswers } from "../screen/screen";
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
export type Closed = { by: "gate" } | { by: "limit"; limit: Limit };
/** Why it was picked: what it is for, and whether it is due again. */
export interface Picked {
  protocol: Protocol;
  because: PickedFor;
  isOverdue: boolean;
}

/** Nothing that tires before the questions are answered; nothing that a limit forbids. */
export function closedBy(
  { isEffort, trait }: Protocol,
  { gate, limits, today }: Pick<Assessed, "gate" | "limits" | "today">,
): Closed | null {
  if (isEffort && gate !== "open") return { by: "gate" };
  const limit = limits.find(({ rule, ...rest }) => rule.kind === "never" && rule.what === trait && isBinding({ rule, ...rest }, today));
  return limit ? { by: "limit", limit } : null;
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
  const overdue = retestsOf(assessed.findings, assessed.today).flatMap(({ protocol, isOverdue }) => (isOverdue ? [protocol] : []));
  return PROTOCOLS.filter((protocol) => closedBy(protocol, assessed) === null)
    .flatMap((protocol): Picked[] => {
      const reasons = protocol.pickedFor.filter((reason) => speaksOf(reason, assessed)).toSorted((a, b) => b.weight - a.weight);
      const [because] = reasons;
      return because ? [{ protocol, because, isOverdue: overdue.includes(protocol.id) }] : [];
    })
    .toSorted((a, b) => weightOf(b) - weightOf(a))
    .slice(0, MOST_PICKED);
}
const weightOf = ({ because, isOverdue }: Picked): number => because.weight + (isOverdue ? OVERDUE_WEIGHT : 0);

import type { ChannelSide } from "../mechanics/channels";

/** A calendar day in the studio's time zone, `YYYY-MM-DD`: sorts and compares as text. */
export type Day = string;

export type OwnerKind = "clinician" | "rule" | "client";
export type LimitRule =
  | { kind: "knee-bend"; maxDeg: number }
  | { kind: "shin-forward"; maxDeg: number }
  | { kind: "no-load-on-back" }
  | { kind: "own-words"; text: string };

/** A hard bound on what a client may do, with the person or rule it belongs to. */
export interface Limit {
  id: string;
  rule: LimitRule;
  side: ChannelSide;
  owner: { kind: OwnerKind; name: string };
  fromDay: Day;
  /** Last day it runs, or null for open-ended. */
  untilDay: Day | null;
  lift: { by: string; role: string; day: Day; reason: string } | null;
}

export const LIMIT_BOUNDS = { kneeBendMaxDeg: { min: 20, max: 150 }, shinForwardMaxDeg: { min: 0, max: 45 } } as const;

export type LimitState = "coming" | "in-force" | "ask" | "ended" | "lifted";

/**
 * Where a limit stands on a day. It runs to the end of its last day. A clinician's limit past that day stays in force
 * as `ask` until someone records who lifted it; a rule's or the client's own simply ends.
 */
export function limitState({ owner, fromDay, untilDay, lift }: Limit, today: Day): LimitState {
  if (lift && lift.day <= today) return "lifted";
  if (fromDay > today) return "coming";
  if (untilDay === null || today <= untilDay) return "in-force";
  return owner.kind === "clinician" ? "ask" : "ended";
}

export const isBinding = (limit: Limit, today: Day): boolean => ["in-force", "ask"].includes(limitState(limit, today));
export const bindingLimits = (limits: readonly Limit[], today: Day): Limit[] => limits.filter((limit) => isBinding(limit, today));

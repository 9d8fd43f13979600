import type { Day } from "../day";
import type { ChannelSide, NumberChannelId } from "../mechanics/channels";
import type { Trait } from "../templates/template";

/** What a limit can bound by a number, and the numbers that make sense for it: degrees, newtons, shares of body weight. */
export const LIMIT_BOUNDS = {
  kneeFlexion: { min: 20, max: 150 },
  shankLean: { min: 0, max: 45 },
  hipFlexion: { min: 20, max: 140 },
  trunkLean: { min: 0, max: 90 },
  spineLoad: { min: 0, max: 2000 },
  handWeight: { min: 0, max: 2000 },
  legWeight: { min: 0, max: 2 },
} as const satisfies Partial<Record<NumberChannelId, { min: number; max: number }>>;
export type LimitChannelId = keyof typeof LIMIT_BOUNDS;
export const LIMIT_CHANNELS = Object.keys(LIMIT_BOUNDS) as LimitChannelId[];
/** Room for the belly is the one that must not fall short, degrees between trunk and thigh. */
export const ROOM_BOUNDS = { min: 40, max: 170 } as const;

/**
 * Along the whole movement and over its whole plausible range. "No added weight" and "no bar on the shoulders" are two.
 * Rows of the catalogue, with what to take instead, are what only a rule of the screen closes.
 */
export type LimitRule =
  | { kind: "most"; channel: LimitChannelId; most: number }
  | { kind: "room"; leastDeg: number }
  | { kind: "never"; what: Trait }
  | { kind: "rows"; codes: readonly string[]; instead: readonly string[] }
  | { kind: "own-words"; text: string };

/** A measure is the client's own range, as it was last measured. */
export type OwnerKind = "clinician" | "rule" | "client" | "measure";
/** Who lifted it, or that it was entered by mistake: the second is no lifting and is kept as what it is. */
export interface Lift {
  kind: "lifted" | "mistake";
  by: string;
  role: string;
  day: Day;
  reason: string;
}

/** A hard bound on what a client may do, with the person or rule it belongs to. */
export interface Limit {
  id: string;
  rule: LimitRule;
  side: ChannelSide;
  owner: { kind: OwnerKind; name: string };
  fromDay: Day;
  /** Last day it runs, or null for open-ended. */
  untilDay: Day | null;
  lift: Lift | null;
}

export type LimitState = "coming" | "in-force" | "ask" | "ended" | "lifted" | "mistake";

/**
 * Where a limit stands on a day. It runs to the end of its last day. A clinician's limit past that day stays in force
 * as `ask` until someone records who lifted it; a rule's or the client's own simply ends.
 */
export function limitState({ owner, fromDay, untilDay, lift }: Limit, today: Day): LimitState {
  if (lift?.kind === "mistake") return "mistake";
  if (lift && lift.day <= today) return "lifted";
  if (fromDay > today) return "coming";
  if (untilDay === null || today <= untilDay) return "in-force";
  return owner.kind === "clinician" ? "ask" : "ended";
}

export const isBinding = (limit: Limit, today: Day): boolean => ["in-force", "ask"].includes(limitState(limit, today));
export const bindingLimits = (limits: readonly Limit[], today: Day): Limit[] => limits.filter((limit) => isBinding(limit, today));

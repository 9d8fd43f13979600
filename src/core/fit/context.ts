import { EQUIPMENT, type Equipment } from "../catalogue/equipment";
import type { Pattern, Variation } from "../catalogue/variation";
import type { AssembledKit } from "./assemble";
import type { Ceiling } from "../limits/ceiling";
import type { Complaint, LimitedBy } from "../limits/complaint";
import type { Day } from "../day";
import type { DailyTask } from "./daily";
import type { Limit } from "../limits/limit";
import type { Careful, RailChannelId } from "../limits/rails";
import type { ChannelSide, Side } from "../mechanics/channels";
import type { School } from "../school/school";
import { LEVER_IDS, type LeverId, type LeverKind, LEVERS, type Setting } from "../templates/lever";
import type { Subject } from "../templates/template";

/** What the studio can set up: the smallest change of each lever, one that a client feels, and what stands around. */
export interface Kit {
  increments: Readonly<Record<LeverId, number>>;
  felt: Readonly<Record<LeverId, number>>;
  equipment: readonly Equipment[];
  /** Heights and loads that can really be assembled, where the room has been measured. */
  assembled?: AssembledKit;
}
const perLever = (pick: (lever: LeverId) => number): Record<LeverId, number> =>
  Object.fromEntries(LEVER_IDS.map((lever) => [lever, pick(lever)])) as Record<LeverId, number>;
/** What the kit allows unless the studio says otherwise: thin pads, plates and bells, a hand scale read to the kilogram. */
export const DEFAULT_KIT: Kit = {
  increments: perLever((lever) => LEVERS[lever].increment),
  felt: perLever((lever) => LEVERS[lever].felt),
  equipment: EQUIPMENT,
};
/** The same with the studio's own cushion, as thick as it is under a sitting client. */
export const kitWithCushion = (cushionM: number): Kit => ({ ...DEFAULT_KIT, felt: { ...DEFAULT_KIT.felt, seatHeightM: cushionM } });
/** Thinner is no cushion, thicker no longer one. */
export const CUSHION_LIMITS_M = { min: 0.01, max: 0.15 } as const;

/** Easing gives back what is quickest to give: load, then range, then hands. */
export const EASE_ORDER: readonly LeverKind[] = ["load", "range", "support"];
/** Between variations whose posture is assumed, a smaller difference than this is none. */
export const SAME_BETWEEN_FRACTION = 0.2;

/** A joint that a condition of the screen is about. */
export interface NamedJoint {
  condition: string;
  site: LimitedBy;
  side: ChannelSide;
}

/** Everything about one client today that decides what fits. */
export interface FitContext {
  subject: Subject;
  complaints: readonly Complaint[];
  /** Joints that a condition names, replaced, repaired, arthritic: measured like one that hurts, whether it does or not. */
  conditions: readonly NamedJoint[];
  /** The client was asked, and nothing hurts. Nobody asked is false, and opens nothing. */
  nothingHurts: boolean;
  /** Why a low back is one to be careful with. */
  careful: readonly Careful[];
  limits: readonly Limit[];
  ceilings: readonly Ceiling[];
  /** Ceilings that cannot be compared with anything today, and why: whatever they speak for is not measured. */
  unusable: readonly { ceiling: Omit<Ceiling, "value">; reason: string }[];
  /** What was done calmly: loads by pattern, rows by id, and bends further than the rails. */
  calmLoads: Readonly<Partial<Record<Pattern, Setting>>>;
  calmRows: readonly string[];
  ownRange: Readonly<Partial<Record<RailChannelId, number>>>;
  today: Day;
  kit: Kit;
  /** What the client meets alone: rows that lead there come before others of the same use. */
  ownDay?: readonly DailyTask["kind"][];
  /** The studio's own rows, beside the catalogue's. */
  own?: readonly Variation[];
  school: School;
  targetUseFraction: number;
  /** The part of the weight that two scales last showed under each leg on two level feet; where nobody weighed, it is a range. */
  ownShare?: Readonly<Partial<Record<Side, number>>>;
}

/** A variation in one set-up. */
export interface Place {
  variationId: string;
  setting: Setting;
}

import type { Pattern, Variation } from "../catalogue/variation";
import type { Kit } from "../kit/kit";
import type { Ceiling } from "../limits/ceiling";
import type { Complaint, LimitedBy } from "../limits/complaint";
import type { Day } from "../day";
import type { Limit } from "../limits/limit";
import type { Careful, RailChannelId } from "../limits/rails";
import type { ChannelSide, Side } from "../mechanics/channels";
import type { School } from "../approach/approach";
import type { Setting } from "../templates/lever";
import type { Subject } from "../templates/template";

/** A height the client meets alone: a seat to rise from, or a step to climb. */
export interface DailyTask {
  name: string;
  kind: "seat" | "step";
  heightM: number;
}
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

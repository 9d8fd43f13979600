import type { Setting, Variation } from "../catalogue/variation";
import { demandOf, type Subject } from "../fit/demand";
import type { ChannelSide, LoadChannelId, Side } from "../mechanics/channels";
import type { PoseFailure } from "../mechanics/standing.types";
import type { Day } from "./limit";

/** The most one channel on one side may be asked. */
export interface Ceiling {
  id: string;
  channel: LoadChannelId;
  side: ChannelSide;
  /** In the channel's unit. */
  value: number;
  source: { kind: "calm-pose" | "history"; id: string };
  /** Knee moment that speaks for kneecap stress past 90 degrees of bend; it never closes anything before that. */
  standsInFor: "kneecapStress" | null;
  fromDay: Day;
  /** Part of body weight under the sore leg in the calm pose, and whether scales said so. */
  share: { fraction: number; measured: boolean };
}

/** What a client was limited by at the calm pose: the only channel it sets a ceiling on. */
export type LimitedBy = "kneecap" | "knee" | "hip" | "low-back";
const CHANNEL_OF = { kneecap: "kneecapStress", knee: "kneeMoment", hip: "hipMoment", "low-back": "lowBackCompression" } as const;

/** Unmeasured, a guarded leg is taken to carry this little: the lower plausible share gives the safer ceiling. */
export const ASSUMED_SHARE_FRACTION = 0.45;
/** After calm mornings near the ceiling, this much more is proposed. */
export const CEILING_RAISE_FRACTION = 0.05;
export const NEAR_CEILING_USE = 0.95;
export const CALM_MORNINGS_TO_RAISE = 2;

export interface CalmPose {
  id: string;
  day: Day;
  side: Side;
  limitedBy: LimitedBy;
  variation: Variation;
  setting: Setting;
  /** Measured on two scales, or null. */
  shareFraction: number | null;
}

export type CeilingDraft = Pick<Ceiling, "channel" | "side" | "value" | "standsInFor" | "source" | "fromDay" | "share">;
export type Calibration = { ok: true; ceilings: CeilingDraft[]; shareFraction: number } | { ok: false; reason: PoseFailure };

/**
 * Ceilings from the lowest set-up that stayed quiet. Only the channel and side it was limited by get one. For a
 * kneecap past 90 degrees no stress is computed and knee moment stands in; below 90 the stand-in is kept for the
 * deeper poses it may be compared with later.
 */
export function ceilingsFromCalmPose(subject: Omit<Subject, "leadSide">, calm: CalmPose): Calibration {
  const shareFraction = calm.shareFraction ?? ASSUMED_SHARE_FRACTION;
  const demand = demandOf({ ...subject, leadSide: calm.side }, calm.variation, { ...calm.setting, shareFraction });
  if (!demand.ok) return demand;
  const draft = (channel: LoadChannelId, standsInFor: Ceiling["standsInFor"]): CeilingDraft[] => {
    const found = demand.channels.find((d) => d.channel === channel && (d.side === calm.side || d.side === "both"));
    if (!found || found.refused || !(found.head > 0)) return [];
    return [
      {
        channel,
        side: found.side,
        value: found.low, // with a hand support, the least it can have been
        standsInFor,
        source: { kind: "calm-pose", id: calm.id },
        fromDay: calm.day,
        share: { fraction: shareFraction, measured: calm.shareFraction !== null },
      },
    ];
  };
  const channel = CHANNEL_OF[calm.limitedBy];
  const ceilings = channel === "kneecapStress" ? [...draft(channel, null), ...draft("kneeMoment", channel)] : draft(channel, null);
  return { ok: true, ceilings, shareFraction };
}

/**
 * A ceiling under a body that is the same but better known (its lengths measured, another table): what the calm pose
 * asked is computed anew, and the ceiling follows in proportion. Null where the pose no longer has that demand.
 */
export function ceilingForBody(
  { channel, side, value }: Pick<Ceiling, "channel" | "side" | "value">,
  calm: CalmPose,
  before: Omit<Subject, "leadSide">,
  after: Omit<Subject, "leadSide">,
): number | null {
  const shareFraction = calm.shareFraction ?? ASSUMED_SHARE_FRACTION;
  const asked = (subject: Omit<Subject, "leadSide">): number | undefined => {
    const demand = demandOf({ ...subject, leadSide: calm.side }, calm.variation, { ...calm.setting, shareFraction });
    const found = demand.ok ? demand.channels.find((d) => d.channel === channel && d.side === side) : undefined;
    return found?.refused ? undefined : found?.low;
  };
  const [was, is] = [asked(before), asked(after)];
  return was && is && was > 0 && is > 0 ? (value * is) / was : null;
}

/** A dose that was done, and how the next morning answered. */
export interface AnsweredDose {
  day: Day;
  /** Head use of the ceiling in question. */
  useFraction: number;
  response: "calm" | "noticed" | "flare" | null;
}

/** Provisional until a dose at the calm pose was calm the next morning; the calm pose itself is the first such dose. */
export function isProvisional({ fromDay }: Pick<Ceiling, "fromDay">, doses: readonly AnsweredDose[]): boolean {
  return !doses.some(({ day, useFraction, response }) => day >= fromDay && useFraction >= NEAR_CEILING_USE && response === "calm");
}

/** The value to propose after calm mornings near the ceiling, or null. The trainer confirms; a limit still binds. */
export function proposedRaise(ceiling: Pick<Ceiling, "value" | "fromDay">, doses: readonly AnsweredDose[]): number | null {
  const last = doses.filter(({ day, response }) => day > ceiling.fromDay && response !== null).slice(-CALM_MORNINGS_TO_RAISE);
  const near = last.length === CALM_MORNINGS_TO_RAISE && last.every((d) => d.response === "calm" && d.useFraction >= NEAR_CEILING_USE);
  return near ? ceiling.value * (1 + CEILING_RAISE_FRACTION) : null;
}

/** The ceilings that count today: for each channel, side and role the latest one. */
export function currentCeilings(all: readonly Ceiling[], today: Day): Ceiling[] {
  const latest = new Map<string, Ceiling>();
  for (const ceiling of [...all].sort((a, b) => a.fromDay.localeCompare(b.fromDay))) {
    if (ceiling.fromDay <= today) latest.set(`${ceiling.channel} ${ceiling.side} ${ceiling.standsInFor}`, ceiling);
  }
  return [...latest.values()];
}

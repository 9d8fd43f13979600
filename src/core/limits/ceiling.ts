import type { CeilingChannelId, ChannelSide, Side } from "../mechanics/channels";
import { ask, WHOLE } from "../templates/ask";
import { type Form, hasLever } from "../templates/form";
import type { Setting } from "../templates/lever";
import type { Subject } from "../templates/template";
import { CHANNELS_OF_SITE, type LimitedBy } from "./complaint";
import type { Day } from "../day";
import { isKnownTo, type Reading } from "../known";

/** The most one channel on one side may be asked. Always more than nothing. */
export interface Ceiling {
  id: string;
  channel: CeilingChannelId;
  side: ChannelSide;
  /** In the channel's unit. Past 90 degrees of bend a kneecap's is compared with the knee's moment (E11). */
  value: number;
  /** A trainer's own is an earlier one made tighter, or looser with a reason. */
  source: { kind: "calm-pose" | "history" | "trainer"; id: string };
  fromDay: Day;
  /** Whether two scales said how much of the weight was under that leg; otherwise the least plausible share was taken. */
  isShareMeasured: boolean;
}

/** How far a trainer may move a ceiling at once: loosened, it is provisional again. */
export const ADJUST_LIMITS = { min: 0.3, max: 1.1 } as const;
export const NEAR_CEILING_USE = 0.95;

/** The lowest set-up that stayed quiet, and what said stop there. */
export interface CalmPose {
  id: string;
  day: Day;
  side: Side;
  limitedBy: LimitedBy;
  form: Form;
  setting: Setting;
  /** Of that side, measured on two scales, or null. */
  shareFraction: number | null;
}

export type CeilingDraft = Omit<Ceiling, "id">;
export type Calibration =
  | { ok: true; ceilings: CeilingDraft[] }
  | { ok: false; reason: string; channel: null }
  /** The set-up asks nothing of what hurt, or the model does not read it there: no ceiling can come of it. */
  | { ok: false; reason: "nothing-asked"; channel: CeilingChannelId };

/**
 * Ceilings from the lowest set-up that stayed quiet: for the channels and side it was limited by and no other, each the
 * least it can have been over an unmeasured share and the hands. Refused, never dropped, where there is no such pose or
 * where it asks nothing.
 */
export function ceilingsFromCalmPose(subject: Omit<Subject, "leadSide">, calm: CalmPose): Calibration {
  const { shareFraction: _kept, ...rest } = calm.setting;
  const isShared = hasLever(calm.form, "shareFraction") && calm.shareFraction !== null;
  const setting: Setting = isShared ? { ...rest, shareFraction: calm.shareFraction ?? NaN } : rest;
  const asked = ask({ ...subject, leadSide: calm.side }, calm.form, setting, WHOLE);
  if (!asked.ok) return { ok: false, reason: asked.reason, channel: null };
  const ceilings: CeilingDraft[] = [];
  for (const channel of CHANNELS_OF_SITE[calm.limitedBy]) {
    const found = asked.demands.find((demand) => demand.channel === channel && (demand.side === calm.side || demand.side === "both"));
    if (!found || !(found.low > 0)) return { ok: false, reason: "nothing-asked", channel };
    ceilings.push({
      channel,
      side: found.side,
      value: found.low,
      source: { kind: "calm-pose", id: calm.id },
      fromDay: calm.day,
      isShareMeasured: calm.shareFraction !== null,
    });
  }
  return { ok: true, ceilings };
}

/** A dose that was done, and how the next morning answered. */
export interface AnsweredDose {
  day: Day;
  /** Head use of the ceiling in question. */
  useFraction: number;
  response: Reading<"calm" | "noticed" | "flare">;
}

const confirms = ({ fromDay }: Pick<Ceiling, "fromDay">, { day, useFraction, response }: AnsweredDose): boolean =>
  day >= fromDay && useFraction >= NEAR_CEILING_USE && isKnownTo(response, (answer) => answer === "calm");

/** Provisional until a dose at the calm pose was calm the next morning; the calm pose itself is the first such dose. */
export const isProvisional = (ceiling: Pick<Ceiling, "fromDay">, doses: readonly AnsweredDose[]): boolean =>
  !doses.some((dose) => confirms(ceiling, dose));

/** The ceilings that count today: for each channel and side the latest one. */
export function currentCeilings<C extends Pick<Ceiling, "channel" | "side" | "fromDay">>(all: readonly C[], today: Day): C[] {
  const latest = new Map<string, C>();
  for (const ceiling of all.toSorted((a, b) => a.fromDay.localeCompare(b.fromDay)))
    if (ceiling.fromDay <= today) latest.set(`${ceiling.channel} ${ceiling.side}`, ceiling);
  return [...latest.values()];
}

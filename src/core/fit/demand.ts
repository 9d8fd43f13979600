import type { Body } from "../body/body";
import type { Setting, StandingTemplate, Variation } from "../catalogue/variation";
import { assistBounds } from "../mechanics/assist-bounds";
import {
  type ChannelDemand,
  CHANNELS,
  FIT_CHANNELS,
  type FitChannelId,
  leastTrust,
  otherSide,
  refusalOf,
  type Side,
  type Trust,
  trustUnder,
} from "../mechanics/channels";
import { standingValue } from "../mechanics/readings";
import { type PostureRule, postureTrust, pressureFractionOf, shankRuleOf } from "../mechanics/posture";
import { standingPose } from "../mechanics/standing";
import {
  type Arms,
  type Assist,
  type Depth,
  type PoseFailure,
  STANDING_DEFAULTS,
  type StandingPose,
  type StandingSetting,
} from "../mechanics/standing.types";

/** Whose body, how it moves, and which leg is the one to watch: it is the lead leg of every pose. */
export interface Subject {
  body: Body;
  posture: PostureRule;
  leadSide: Side;
}

/** Elbows bent on a pole held close: the hand hangs this far below the shoulder. */
const POLE_BELOW_SHOULDER_M = 0.4;
/** A support further ahead of the ankle than this only ranks. */
const SUPPORT_NEAR_M = 0.35;

export const supportXM = (body: Body, { support }: StandingTemplate): number =>
  body.footM - body.heelBehindAnkleM + (support?.aheadOfToesM ?? 0);

function armsOf(body: Body, template: StandingTemplate): Arms {
  const { support, arms } = template;
  if (support?.kind === "pole") return { kind: "pole", xM: supportXM(body, template), belowShoulderM: POLE_BELOW_SHOULDER_M };
  if (support) return { kind: "point", at: [supportXM(body, template), support.heightM] };
  return arms === "hang" ? { kind: "hang", forwardM: 0 } : { kind: arms };
}

/** What the depth levers fix. */
export function depthOf({ seatHeightM, kneeFlexionDeg = 0 }: Setting): Depth {
  return seatHeightM === undefined ? { by: "knee-flexion", kneeFlexionDeg } : { by: "seat-height", seatHeightM };
}

function assistsOf({ support }: StandingTemplate, { handForceN = 0 }: Setting): Assist[] {
  if (!support || !(handForceN > 0)) return [];
  return [{ at: "hands", force: { kind: "angle", magnitudeN: handForceN, directionDeg: support.directionDeg } }];
}

/** The body model's setting for a variation as set up: what the trainer's levers mean in mechanics. */
export function standingSettingOf({ body, posture }: Subject, { template }: Variation, setting: Setting): StandingSetting {
  return {
    ...STANDING_DEFAULTS,
    depth: depthOf(setting),
    shankRule: shankRuleOf(posture),
    pressureFraction: pressureFractionOf(posture),
    arms: armsOf(body, template),
    loads: template.loadAt && setting.loadKg ? [{ massKg: setting.loadKg, at: template.loadAt }] : [],
    assists: assistsOf(template, setting),
    leadShareFraction: setting.shareFraction ?? STANDING_DEFAULTS.leadShareFraction,
  };
}

/** What a variation in one set-up asks, at its deepest pose: where a slow squat peaks (docs/equations.md E15). */
export type Demand = { ok: true; pose: StandingPose; channels: ChannelDemand[] } | { ok: false; reason: PoseFailure };

/** Trust of a pose's forces: the posture's, less for a hand force, and only a direction for a support planted ahead. */
export function forceTrust(subject: Subject, { template }: Variation, pose: StandingPose): Trust {
  const posture = postureTrust(subject.posture, pose.kneeFlexionDeg);
  if (!(pose.assistN > 0)) return posture;
  return template.support && supportXM(subject.body, template) > SUPPORT_NEAR_M ? "C" : leastTrust(posture, "B");
}

/** Reads the fit's channels off the headline pose and the poses that bound it. */
export function readDemands(
  { leadSide }: Pick<Subject, "leadSide">,
  pose: StandingPose,
  bounds: readonly StandingPose[],
  trust: Trust,
): ChannelDemand[] {
  const demands: ChannelDemand[] = [];
  const read = (channel: FitChannelId, leg: "lead" | "trail", side: ChannelDemand["side"]): void => {
    const head = standingValue(pose, channel, leg);
    let [low, high] = [head, head];
    for (const bound of bounds) {
      const value = standingValue(bound, channel, leg);
      low = Math.min(low, value);
      high = Math.max(high, value);
    }
    const refused = refusalOf(channel, pose.kneeFlexionDeg);
    const demand: ChannelDemand = { channel, side, low, head, high, trust: trustUnder(channel, trust) };
    if (refused) demand.refused = refused;
    demands.push(demand);
  };
  for (const channel of FIT_CHANNELS) {
    if (!CHANNELS[channel].sided) read(channel, "lead", "both");
    else {
      read(channel, "lead", leadSide);
      read(channel, "trail", otherSide(leadSide));
    }
  }
  return demands;
}

/** A search asks for headlines only: the poses that bound a hand force cost more than everything else together. */
export type Reading = "range" | "headline";

/**
 * Demand of a variation on every channel and side. With a hand force each value is the range over keep shin, keep
 * trunk and keep pose; the headline is keep shin, the client's posture rule.
 */
export function demandOf(subject: Subject, variation: Variation, setting: Setting, reading: Reading = "range"): Demand {
  const standing = standingSettingOf(subject, variation, setting);
  if (standing.assists.length === 0 || reading === "headline") {
    const pose = standingPose(subject.body, standing);
    return pose.ok
      ? { ok: true, pose, channels: readDemands(subject, pose, [], forceTrust(subject, variation, pose)) }
      : { ok: false, reason: pose.reason };
  }
  const { keepShin, keepTrunk, keepPose } = assistBounds(subject.body, standing, standing.assists);
  if (!keepShin.ok) return { ok: false, reason: keepShin.reason };
  const bounds = [keepTrunk, keepPose].filter((pose): pose is StandingPose => pose.ok);
  return { ok: true, pose: keepShin, channels: readDemands(subject, keepShin, bounds, forceTrust(subject, variation, keepShin)) };
}

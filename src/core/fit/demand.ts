import type { Body } from "../body/body";
import type { Setting, StandingTemplate, Variation } from "../catalogue/variation";
import { assistBounds } from "../mechanics/assist-bounds";
import {
  type ChannelDemand,
  type ChannelId,
  CHANNELS,
  channelValue,
  leastTrust,
  otherSide,
  type Side,
  type Trust,
} from "../mechanics/channels";
import { KNEECAP_VALID_TO_DEG } from "../mechanics/kneecap";
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

const supportXM = (body: Body, { support }: StandingTemplate): number => body.footM - body.heelBehindAnkleM + (support?.aheadOfToesM ?? 0);

function armsOf(body: Body, template: StandingTemplate): Arms {
  const { support, arms } = template;
  if (support?.kind === "pole") return { kind: "pole", xM: supportXM(body, template), belowShoulderM: POLE_BELOW_SHOULDER_M };
  if (support) return { kind: "point", at: [supportXM(body, template), support.heightM] };
  return arms === "hang" ? { kind: "hang", forwardM: 0 } : { kind: arms };
}

function depthOf({ seatHeightM, kneeFlexionDeg = 0 }: Setting): Depth {
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

function trustOf(subject: Subject, variation: Variation, channel: ChannelId, pose: StandingPose): Trust {
  const best = CHANNELS[channel].bestTrust;
  if (channel === "kneeFlexion") return best;
  const rough = variation.template.support !== null && supportXM(subject.body, variation.template) > SUPPORT_NEAR_M && pose.assistN > 0;
  const posture = leastTrust(best, postureTrust(subject.posture, pose.kneeFlexionDeg));
  return rough ? "C" : pose.assistN > 0 ? leastTrust(posture, "B") : posture;
}

/** Reads one channel off the headline pose and the poses that bound it. */
function channelDemands(subject: Subject, variation: Variation, pose: StandingPose, bounds: StandingPose[]): ChannelDemand[] {
  return (Object.keys(CHANNELS) as ChannelId[]).flatMap((channel) => {
    const read = (leg: "lead" | "trail", side: ChannelDemand["side"]): ChannelDemand => {
      const head = channelValue(pose, channel, leg);
      const values = [head, ...bounds.map((bound) => channelValue(bound, channel, leg))];
      return {
        channel,
        side,
        low: Math.min(...values),
        head,
        high: Math.max(...values),
        trust: trustOf(subject, variation, channel, pose),
        ...(channel === "kneecapStress" && pose.kneeFlexionDeg > KNEECAP_VALID_TO_DEG ? { refused: "kneecap-past-90" as const } : {}),
      };
    };
    return CHANNELS[channel].sided ? [read("lead", subject.leadSide), read("trail", otherSide(subject.leadSide))] : [read("lead", "both")];
  });
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
    return pose.ok ? { ok: true, pose, channels: channelDemands(subject, variation, pose, []) } : { ok: false, reason: pose.reason };
  }
  const { keepShin, keepTrunk, keepPose } = assistBounds(subject.body, standing, standing.assists);
  if (!keepShin.ok) return { ok: false, reason: keepShin.reason };
  const bounds = [keepTrunk, keepPose].filter((pose): pose is StandingPose => pose.ok);
  return { ok: true, pose: keepShin, channels: channelDemands(subject, variation, keepShin, bounds) };
}

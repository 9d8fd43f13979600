import type { ChannelDemand } from "../mechanics/channels";
import { standingPose } from "../mechanics/standing";
import { type StandingPose, STANDING_DEFAULTS, type StandingSetting } from "../mechanics/standing.types";
import { postureTrust, pressureFractionOf, shankRuleOf } from "../mechanics/posture";
import { leastTrust } from "../mechanics/channels";
import type { Ceiling } from "../limits/ceiling";
import { readDemands, type Subject } from "./demand";
import { tightest, type Use, usesOf } from "./use";

/** A height the client meets alone: a seat to rise from, or a step to climb. */
export interface DailyTask {
  name: string;
  kind: "seat" | "step";
  heightM: number;
}
export const DAILY_LIMITS = { seat: { min: 0.2, max: 0.8 }, step: { min: 0.03, max: 0.45 } } as const;

/** Shares of body weight that climbing is taken to put on the upper leg: the lower foot's push-off is not known. */
const CLIMB_SHARES = [0.65, 0.8, 1] as const;

function taskSetting({ posture }: Subject, { kind, heightM }: DailyTask, shareFraction: number): StandingSetting {
  const common = {
    ...STANDING_DEFAULTS,
    shankRule: shankRuleOf(posture),
    pressureFraction: pressureFractionOf(posture),
    leadShareFraction: shareFraction,
  };
  if (kind === "seat") return { ...common, depth: { by: "seat-height", seatHeightM: heightM } };
  return {
    ...common,
    depth: { by: "step", stepHeightM: heightM, trailLeanDeg: 10, trailHeelDeg: 20 },
    arms: { kind: "hang", forwardM: 0 },
    trail: { kind: "reach", levelM: -heightM, heelDeg: 20, kneeFlexionDeg: 0, direction: -1 },
  };
}

/** What a task of the client's day asks, hands free: a seat at the share of the rise, a step over how hard the lower foot may push. */
function dailyDemands(subject: Subject, task: DailyTask, shareFraction: number): ChannelDemand[] | null {
  const shares = task.kind === "seat" ? [shareFraction] : CLIMB_SHARES;
  const poses = shares.map((share) => standingPose(subject.body, taskSetting(subject, task, share)));
  const found = poses.filter((pose): pose is StandingPose => pose.ok);
  const head = found[Math.floor(found.length / 2)];
  if (!head) return null;
  const posture = postureTrust(subject.posture, head.kneeFlexionDeg);
  return readDemands(subject, head, found, task.kind === "step" ? leastTrust(posture, "B") : posture);
}

/** A task and how near it comes to the tightest ceiling; null where this body cannot do it, or nothing limits it. */
export interface DailyUse {
  task: DailyTask;
  use: Use | null;
}

/** The client's own day against the ceilings, least demanding first. */
export function dailyUses(subject: Subject, ceilings: readonly Ceiling[], tasks: readonly DailyTask[], shareFraction = 0.5): DailyUse[] {
  return tasks
    .map((task): DailyUse => {
      const demands = dailyDemands(subject, task, shareFraction);
      return { task, use: demands && tightest(usesOf(demands, ceilings)) };
    })
    .toSorted((a, b) => (a.use?.head ?? Infinity) - (b.use?.head ?? Infinity));
}

import type { Body } from "../body/body";
import { standingPose } from "./standing";
import type { Assist, StandingResult, StandingSetting } from "./standing.types";

/** One hand support under three assumptions of what the client does with it (docs/equations.md E13). */
export interface AssistBounds {
  base: StandingResult;
  keepShin: StandingResult;
  keepTrunk: StandingResult;
  keepPose: StandingResult;
}

/**
 * What an assist does is a range: the client may keep the shin and let the trunk settle, keep the trunk and let the
 * shin settle, or keep both and let the pressure under the foot move. `base` holds the arms the same, without the force.
 */
export function assistBounds(body: Body, setting: StandingSetting, assists: readonly Assist[]): AssistBounds {
  const base = standingPose(body, { ...setting, assists: [] });
  const keepShin = standingPose(body, { ...setting, assists });
  if (!base.ok) return { base, keepShin, keepTrunk: base, keepPose: base };
  const { trunkLeanDeg, shankLeanDeg, kneeFlexionDeg } = base;
  const keepTrunk = standingPose(body, { ...setting, assists, balance: { solve: "shank", trunkLeanDeg } });
  const keepPose = standingPose(body, {
    ...setting,
    assists,
    depth: { by: "knee-flexion", kneeFlexionDeg },
    shankRule: { kind: "fixed", shankLeanDeg },
    balance: { solve: "pressure", trunkLeanDeg },
  });
  return { base, keepShin, keepTrunk, keepPose };
}

import type { StandingSetting, Trail } from "../../mechanics/standing.types";
import { nFromKgf } from "../../units";
import { handBounds, onPole, overClimb, poleScene, standing, weightAt } from "../hands";
import { fixed, byBody, template } from "../template";

const AHEAD_M = { up: 0.25, down: 0.3, sideways: 0.25 } as const;
/** Where the other leg is while the lower level is just left or touched: its lean and its heel. */
const REACH = {
  up: { trailLeanDeg: 10, trailHeelDeg: 20 },
  down: { trailLeanDeg: 12, trailHeelDeg: 0 },
  sideways: { trailLeanDeg: 0, trailHeelDeg: 0 },
} as const;

function trailOf(direction: keyof typeof REACH, heightM: number): Trail {
  if (direction === "sideways") return { kind: "free", thighDeg: 0, kneeFlexionDeg: 0 };
  const { trailHeelDeg: heelDeg } = REACH[direction];
  return { kind: "reach", levelM: -heightM, heelDeg, kneeFlexionDeg: 0, direction: direction === "up" ? -1 : 1 };
}

/** One foot on a step: up, down in front, or down at the side, read where the other foot just leaves or touches. */
export const STEP = template({
  id: "step",
  kind: "standing",
  parameters: { direction: ["up", "down", "sideways"] },
  levers: {
    stepHeightM: byBody(({ body }) => [0.03, 0.85 * body.shankM], 0.16),
    shareFraction: fixed(0.3, 1, NaN),
    handForceN: fixed(0, nFromKgf(40), 0),
    railForceN: fixed(0, nFromKgf(15), 0),
    loadKg: fixed(0, 40, 0),
    wedgeDeg: fixed(0, 20, 0),
  },
  movesBy: () => "stepHeightM",
  // the rest of the rise bends the knee less, on a leg that carries no more than the high end of the share
  samples: [1],
  isEven: () => false,
  shin: "rule",
  set:
    (subject, { direction }, v) =>
    () => {
      const { body } = subject;
      const aheadM = AHEAD_M[direction];
      const heldN = v.handForceN + v.railForceN;
      const setting: StandingSetting = standing(subject, {
        depth: { by: "step", stepHeightM: v.stepHeightM, ...REACH[direction] },
        ...(direction === "sideways" && !(heldN > 0) ? { arms: { kind: "forward" as const } } : onPole(v.handForceN, aheadM, v.railForceN)),
        loads: weightAt("hands", v.loadKg),
        wedgeDeg: v.wedgeDeg,
        trail: trailOf(direction, v.stepHeightM),
      });
      // coming down, nothing below helps until the foot is there
      const { head, ends } =
        direction === "up"
          ? overClimb(setting, v.shareFraction)
          : { head: { ...setting, leadShareFraction: v.shareFraction ?? 1 }, ends: [] };
      return {
        by: "standing",
        body,
        heads: [head],
        bounds: () => [...ends, ...handBounds(body, [head, ...ends])],
        isDepth: false,
        trust: () => "B",
        scene: () => [{ kind: "step", heightM: v.stepHeightM }, ...poleScene(heldN, aheadM)],
        notes: [],
      };
    },
  traits: (_, { loadKg }) => (loadKg > 0 ? ["added-weight"] : []),
  cannotSay: ({ direction }) =>
    ({
      up: "How much the lower foot pushes off: that is the share, and it has to be told.",
      down: "The landing: lowered slowly until the foot just touches. Dropping the last part costs more than any figure here.",
      sideways: "The pelvis dropping to the free side: that is decided in the front view, which this is not.",
    })[direction],
});

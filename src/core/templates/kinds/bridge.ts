import type { Body } from "../../body/body";
import { BRIDGE_DEFAULTS, type BridgePose, type BridgeSetting } from "../../mechanics/bridge";
import { SPARED_SHARE } from "../lever";
import { shoulderOver } from "../helper-figure";
import type { SceneProp } from "../scene";
import { between, fixed, byBody, template } from "../template";

/** Foot push and drag that a bridge cannot be known without: the range shown around none. */
const DRAG_N = 60;
/** Hips at the bottom of the movement, from straight. */
const BOTTOM_DEG = 45;
/** With the shoulders this high the trunk is propped, not lying. */
const PROPPED_FROM_M = 0.25;

function around({ foot, benchHeightM }: BridgeSetting, body: Body, pose: BridgePose, ballM: number): SceneProp[] {
  const bench: SceneProp[] =
    benchHeightM <= 0.02
      ? []
      : [{ kind: "block", atXM: shoulderOver(body, pose.hip, pose.trunkLeanDeg)[0] - 0.06, topM: benchHeightM, widthM: 0.4 }];
  if (foot.kind === "ball") return [...bench, { kind: "ball", at: [pose.ankle[0], ballM / 2], radiusM: ballM / 2 }];
  if (foot.kind === "wall") return [...bench, { kind: "wall", xM: pose.ankle[0] + body.ankleHeightM }];
  return bench;
}

/** Bridges and thrusts: shoulders on the floor or a bench, feet on the floor, a ball or a wall. */
export const BRIDGE = template({
  id: "bridge",
  kind: "bridge",
  parameters: { foot: ["floor", "ball", "wall"], other: ["same", "staggered", "free"] },
  levers: {
    hipFlexionDeg: fixed(-5, 60, 0),
    kneeAtTopDeg: fixed(5, 130, 90),
    benchHeightM: byBody(({ body }) => [0, body.ankleHeightM + body.shankM], 0),
    loadKg: fixed(0, 120, 0),
    footFurtherM: fixed(0.05, 0.35, 0.2),
    trailKneeDeg: fixed(0, 100, 15),
    shareFraction: fixed(0.3, 0.95, NaN),
    ballHeightM: fixed(0.25, 0.7, 0.5),
    feetUpM: byBody(({ body }) => [0.2, body.ankleHeightM + body.shankM + 0.2], 0.45),
    setS: fixed(5, 120, 40),
  },
  movesBy: () => "hipFlexionDeg",
  samples: [1, 0.75, 0.5, 0.25, 0],
  isEven: ({ other }) => other === "same",
  shin: "none",
  set: (subject, { foot, other }, v) => {
    const { body } = subject;
    const trail: BridgeSetting["trail"] =
      other === "staggered"
        ? { kind: "staggered", furtherM: v.footFurtherM }
        : other === "free"
          ? { kind: "free", thighDeg: "inline", kneeFlexionDeg: v.trailKneeDeg }
          : { kind: "same" };
    const isEitherLeg = other === "same" && v.shareFraction === undefined;
    const shares = other === "free" ? [1] : v.shareFraction !== undefined ? [v.shareFraction] : isEitherLeg ? [SPARED_SHARE] : [0.6, 0.85];
    const tops = shares.map((leadShareFraction): BridgeSetting => ({
      ...BRIDGE_DEFAULTS,
      hipFlexionDeg: v.hipFlexionDeg,
      placed: { by: "knee-at-top", kneeFlexionDeg: v.kneeAtTopDeg },
      benchHeightM: v.benchHeightM,
      loads: v.loadKg > 0 ? [{ massKg: v.loadKg, at: "hips" }] : [],
      trail,
      leadShareFraction,
      ...(foot === "ball" ? { foot: { kind: "ball", ankleHeightM: v.ballHeightM + body.ankleHeightM } as const } : {}),
      ...(foot === "wall"
        ? { foot: { kind: "wall", ankleHeightM: v.feetUpM } as const, footDrag: { kind: "held" } as const, pressureFraction: 0.5 }
        : {}),
    }));
    const drags = foot === "ball" ? [] : foot === "wall" ? [-3 * DRAG_N] : [-DRAG_N, DRAG_N]; // a ball rolls: nothing is left open
    return (at) => {
      const hipFlexionDeg = between(Math.max(BOTTOM_DEG, v.hipFlexionDeg), v.hipFlexionDeg, at);
      const heads = tops.map((top): BridgeSetting => ({ ...top, hipFlexionDeg }));
      return {
        by: "bridge",
        body,
        heads,
        isEitherLeg,
        bounds: () => heads.flatMap((head) => drags.map((forceN): BridgeSetting => ({ ...head, footDrag: { kind: "force", forceN } }))),
        setS: v.benchHeightM < PROPPED_FROM_M ? v.setS : 0,
        scene: (pose) => around(heads[0]!, body, pose, v.ballHeightM),
      };
    };
  },
  traits: (_, { loadKg, benchHeightM }) => [
    ...(loadKg > 0 ? (["added-weight"] as const) : []),
    ...(benchHeightM < PROPPED_FROM_M ? (["lying"] as const) : []),
  ],
  cannotSay: ({ foot, other }) => {
    const drag =
      foot === "ball"
        ? "Keeping the ball still. It rolls, so it takes no push along the floor, and nothing else is left open."
        : foot === "wall"
          ? "How hard the feet push into the wall: the headline is the least that friction holds, the range three times the floor's."
          : "How far the feet push or drag along the floor: the range is 60 N either way.";
    if (other === "staggered") return `How much the other foot really takes: the share has to be told. ${drag}`;
    return other === "free" ? `The pelvis dropping to the free side. ${drag}` : drag;
  },
});

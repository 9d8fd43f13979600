import { nFromKgf } from "../../units";
import { handBounds, onPole, poleScene, standing, toKnee, weightAt } from "../hands";
import { fixed, template } from "../template";

const POLE_AHEAD_M = 0.25;

/** All weight on one foot, the other leg free. */
export const SINGLE_LEG = template({
  id: "single-leg",
  kind: "standing",
  parameters: {},
  levers: {
    kneeFlexionDeg: fixed(5, 110, 40),
    trailThighDeg: fixed(-30, 80, 15),
    trailKneeDeg: fixed(0, 110, 70),
    handForceN: fixed(0, nFromKgf(40), 0),
    loadKg: fixed(0, 40, 0),
  },
  movesBy: () => "kneeFlexionDeg",
  samples: [1, 0.75, 0.5, 0.25],
  isEven: () => false,
  shin: "rule",
  set: (subject, _, v) => () => {
    const setting = standing(subject, {
      depth: toKnee(v.kneeFlexionDeg),
      ...(v.handForceN > 0 ? onPole(v.handForceN, POLE_AHEAD_M) : { arms: { kind: "forward" as const } }),
      loads: weightAt("hands", v.loadKg),
      trail: { kind: "free", thighDeg: v.trailThighDeg, kneeFlexionDeg: v.trailKneeDeg },
    });
    return {
      by: "standing",
      body: subject.body,
      heads: [setting],
      bounds: () => handBounds(subject.body, [setting]),
      isDepth: true,
      trust: () => "B",
      scene: () => poleScene(v.handForceN, POLE_AHEAD_M),
      notes: [],
    };
  },
  traits: (_, { loadKg }) => (loadKg > 0 ? ["added-weight"] : []),
  cannotSay: () => "The side view misses the pelvis: contact in one-leg stance comes out a third too low.",
});

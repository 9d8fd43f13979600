import { onBothFeet, standing, toKnee, weightAt } from "../hands";
import { NO_BOUNDS } from "../set-up";
import { fixed, template } from "../template";

const STANDING_KNEE_DEG = 3;

/** Standing with a weight in both hands, hanging at the sides or held ahead. */
export const CARRY = template({
  id: "carry",
  kind: "standing",
  parameters: {},
  levers: { loadKg: fixed(0, 80, 0), loadAheadM: fixed(-0.08, 0.3, 0), shareFraction: fixed(0.3, 0.7, NaN) },
  movesBy: () => "loadKg",
  samples: [1],
  isEven: () => true,
  shin: "rule",
  set: (subject, _, v) => (at) => ({
    by: "standing",
    body: subject.body,
    ...onBothFeet(
      standing(subject, {
        depth: toKnee(STANDING_KNEE_DEG),
        arms: { kind: "hang", forwardM: v.loadAheadM },
        loads: weightAt("hands", v.loadKg * at),
      }),
      v.shareFraction,
    ),
    bounds: NO_BOUNDS,
    isDepth: false,
    trust: () => "B",
    scene: () => [],
    notes: [],
  }),
  traits: (_, { loadKg }) => (loadKg > 0 ? ["added-weight"] : []),
  cannotSay: () => "One hand only, where the side of the trunk works; and the steps themselves.",
});

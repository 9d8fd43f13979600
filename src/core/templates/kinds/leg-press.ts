import { LEG_PRESS_DEFAULTS, type LegPressSetting } from "../../mechanics/leg-press";
import { nFromKgf } from "../../units";
import { SPARED_SHARE } from "../lever";
import { between, fixed, template } from "../template";

const NEARLY_STRAIGHT_DEG = 10;

/** A sled pushed away, sitting or lying: both legs, or one. */
export const LEG_PRESS = template({
  id: "leg-press",
  kind: "leg-press",
  parameters: {},
  levers: {
    kneeFlexionDeg: fixed(10, 120, 80),
    sledForceN: fixed(nFromKgf(5), nFromKgf(250), nFromKgf(70)),
    inclineDeg: fixed(0, 90, 45),
    feetHighM: fixed(0, 0.25, 0.12),
    seatBackDeg: fixed(90, 150, 120),
    shareFraction: fixed(0.3, 1, NaN),
  },
  movesBy: () => "kneeFlexionDeg",
  samples: [1, 0.75, 0.5, 0.25],
  isEven: () => true,
  shin: "none",
  set:
    ({ body }, _, v) =>
    (at) => {
      const setting: LegPressSetting = {
        ...LEG_PRESS_DEFAULTS,
        kneeFlexionDeg: between(Math.min(NEARLY_STRAIGHT_DEG, v.kneeFlexionDeg), v.kneeFlexionDeg, at),
        sledN: v.sledForceN,
        inclineDeg: v.inclineDeg,
        offsetM: v.feetHighM,
        trunkDeg: v.seatBackDeg,
        shareFraction: v.shareFraction ?? SPARED_SHARE,
      };
      return { by: "leg-press", body, heads: [setting], isEitherLeg: v.shareFraction === undefined };
    },
  traits: () => ["added-weight"],
  cannotSay: () =>
    "Friction along the plate, and the low back rolling off the pad at depth. The sled's force is what a luggage scale reads.",
});

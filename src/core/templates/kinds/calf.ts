import { BALL_FRACTION } from "../../body/segments.data";
import { solePoint } from "../../mechanics/foot";
import { calfRaise } from "../../mechanics/levers";
import type { Point } from "../../mechanics/vector";
import { cosDeg, GRAVITY_MPS2, nFromKgf } from "../../units";
import { SPARED_SHARE } from "../lever";
import { fixed, template } from "../template";

/** Heels raised, on both feet or one; the knee straight or kept bent. An unmeasured share is taken at its high end. */
export const CALF = template({
  id: "calf",
  kind: "lever",
  parameters: {},
  levers: {
    heelRaiseDeg: fixed(0, 45, 20),
    shareFraction: fixed(0.3, 1, NaN),
    loadKg: fixed(0, 60, 0),
    handForceN: fixed(0, nFromKgf(40), 0),
    kneeFlexionDeg: fixed(0, 40, 0),
  },
  movesBy: () => "heelRaiseDeg",
  samples: [1, 0.5, 0],
  isEven: () => true,
  shin: "none",
  set:
    ({ body }, _, v) =>
    (at) => {
      const heelDeg = v.heelRaiseDeg * at;
      const share = v.shareFraction ?? 1 - SPARED_SHARE;
      const ball = solePoint(body, BALL_FRACTION, heelDeg);
      const ankle: Point = [0, -ball[1]];
      const riseM = (body.shankM + body.thighM) * cosDeg(v.kneeFlexionDeg / 2);
      const { ankleMomentNm, achillesN } = calfRaise(body, heelDeg, share, v.loadKg, v.handForceN);
      return {
        by: "lever",
        body,
        drawn: {
          hip: [ankle[0], ankle[1] + riseM],
          trunkLeanDeg: 0,
          lead: { thighDeg: v.kneeFlexionDeg / 2, kneeDeg: v.kneeFlexionDeg, footPitchDeg: heelDeg },
          hand: ([x, y]) => [x + 0.3, y - 0.35],
          pressure: [ball[0], 0],
          scene: () => (v.handForceN > 0 ? [{ kind: "pole", xM: 0.3 }] : []),
        },
        asks: { kneeFlexion: v.kneeFlexionDeg, ankleMoment: ankleMomentNm, achillesForce: achillesN },
        whole: { handWeight: v.handForceN + v.loadKg * GRAVITY_MPS2, spineLoad: v.loadKg * GRAVITY_MPS2 },
        ranks: { balanceDemand: share >= 1 ? 3 : 1 },
        trust: "A",
        isEven: true,
      };
    },
  traits: (_, { loadKg }) => (loadKg > 0 ? ["added-weight"] : []),
  cannotSay: () => "Which of the two calf muscles works: bent or straight, the moment is the same. The knee's own share is not read.",
});

import { strapLean } from "../../mechanics/levers";
import type { StandingPose } from "../../mechanics/standing.types";
import type { Point } from "../../mechanics/vector";
import { cosDeg, sinDeg } from "../../units";
import { onBothFeet, standing, toKnee } from "../hands";
import type { SceneProp } from "../scene";
import { impossible, NO_BOUNDS } from "../set-up";
import { between, fixed, template } from "../template";

const BALL_RADIUS_M = 0.28;
/** Height of the whole body's centre of mass, of stature (E1). */
const COM_FRACTION = 0.56;

function behind(against: "wall" | "ball", pose: StandingPose): SceneProp[] {
  const [x, y] = pose.assistForces[0]?.at ?? pose.hip;
  if (against === "wall") return [{ kind: "wall", xM: x }];
  return [
    { kind: "ball", at: [x - BALL_RADIUS_M, y], radiusM: BALL_RADIUS_M },
    { kind: "wall", xM: x - 2 * BALL_RADIUS_M },
  ];
}

/** Weight leant on something: the back on a wall or a ball that only pushes forward, or the straight body on a strap. */
export const LEAN = template({
  id: "lean",
  kind: "standing",
  parameters: { against: ["wall", "ball"] },
  levers: {
    kneeFlexionDeg: fixed(10, 110, 60),
    shankLeanDeg: fixed(-20, 15, 0),
    trunkKeptDeg: fixed(-5, 20, 0),
    setS: fixed(5, 120, 20),
  },
  movesBy: () => "kneeFlexionDeg",
  samples: [1, 0.8, 0.6],
  isEven: () => true,
  shin: "lever",
  set:
    (subject, { against }, v) =>
    () => ({
      by: "standing",
      body: subject.body,
      // nobody weighed which leg bears more
      ...onBothFeet(
        standing(subject, {
          depth: toKnee(v.kneeFlexionDeg),
          shankRule: { kind: "fixed", shankLeanDeg: v.shankLeanDeg },
          balance: { solve: "assist", trunkLeanDeg: against === "wall" ? 0 : v.trunkKeptDeg },
          arms: { kind: "crossed" },
          assists: [{ at: "wall", force: { kind: "angle", magnitudeN: null, directionDeg: 0 } }],
        }),
        undefined,
      ),
      bounds: NO_BOUNDS,
      isDepth: true,
      trust: () => "B",
      scene: (pose) => behind(against, pose),
      notes: [],
    }),
  traits: () => [],
  cannotSay: ({ against }) =>
    against === "wall"
      ? "Friction on the wall, which can carry part of the weight. How long it is held adds up, and no figure here counts it."
      : "Friction on the ball. With the feet far out this is heavy for the knee, not light.",
});

/** A straight body leaning back on a strap, turning about the heels: only what the hands carry is known. */
export const STRAP_LEAN = template({
  id: "strap-lean",
  kind: "lever",
  parameters: {},
  levers: {
    bodyLeanDeg: fixed(2, 45, 15),
    strapDirectionDeg: fixed(-10, 80, 30),
    handleAlongM: fixed(0.7, 1.5, 1.15),
  },
  movesBy: () => "bodyLeanDeg",
  samples: [1],
  isEven: () => true,
  shin: "none",
  set:
    ({ body }, _, v) =>
    (at) => {
      const leanDeg = between(2, v.bodyLeanDeg, at);
      const along = (upM: number): Point => [-upM * sinDeg(leanDeg), upM * cosDeg(leanDeg)];
      const { tensionN, feetN } = strapLean(body, leanDeg, COM_FRACTION * body.heightM, v.handleAlongM, v.strapDirectionDeg);
      if (!(tensionN >= 0)) return impossible("assist-wrong-way");
      if (!(feetN > 0)) return impossible("assist-overload");
      const [dx, dy] = [cosDeg(v.strapDirectionDeg), sinDeg(v.strapDirectionDeg)];
      const handle: Point = [along(v.handleAlongM)[0] + 0.35, along(v.handleAlongM)[1]];
      return {
        by: "lever",
        body,
        drawn: {
          hip: along(body.ankleHeightM + body.shankM + body.thighM),
          trunkLeanDeg: -leanDeg,
          lead: { thighDeg: leanDeg, kneeDeg: 0 },
          hand: () => handle,
          pressure: [0, 0],
          scene: () => [
            { kind: "strap", from: handle, to: [handle[0] + 0.9 * dx, handle[1] + 0.9 * dy] },
            { kind: "force", at: handle, fxN: tensionN * dx, fyN: tensionN * dy },
          ],
        },
        asks: {},
        whole: { handWeight: tensionN },
        ranks: { balanceDemand: 1 },
        trust: "A",
      };
    },
  traits: () => [],
  cannotSay: () => "Bending anywhere: the body is taken as one straight piece turning about the heels.",
});

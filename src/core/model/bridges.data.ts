import type { Body } from "../body/body";
import { BRIDGE_DEFAULTS, type BridgePose, type BridgeSetting } from "../mechanics/bridge";
import { LEG_PRESS_DEFAULTS } from "../mechanics/leg-press";
import { bridgeModel, legPressModel, type ModelResult, shoulderOver } from "./model-pose";
import type { SceneProp } from "./scene";
import { angle, force, length, mass, type ModelTemplate, share, template, time } from "./template";

const HIP = angle("Hips from straight", -5, 50, 0);
const KNEE_TOP = angle("Knee at the top", 60, 130, 90);
const BAR = mass("Load on the hips", 0, 100, 0);
const SET = time("One set lasts", 10, 120, 40);
const DRAG = "How far the feet push or drag along the floor: the range is 60 N either way.";

function bench(body: Body, heightM: number, pose: BridgePose): SceneProp[] {
  if (heightM <= 0.02) return [];
  return [{ kind: "block", atXM: shoulderOver(body, pose.hip, pose.trunkLeanDeg)[0] - 0.06, topM: heightM, widthM: 0.4 }];
}
const model = (
  body: Body,
  v: { hip: number; kneeTop: number; bench?: number; load?: number; set?: number },
  more: Partial<BridgeSetting> = {},
  scene: (pose: BridgePose) => SceneProp[] = () => [],
): ModelResult =>
  bridgeModel(
    body,
    {
      ...BRIDGE_DEFAULTS,
      hipFlexionDeg: v.hip,
      placed: { by: "knee-at-top", kneeFlexionDeg: v.kneeTop },
      benchHeightM: v.bench ?? 0,
      loads: [{ massKg: v.load ?? 0, at: "hips" }],
      ...more,
    },
    v.set ?? 40,
    (pose) => [...bench(body, v.bench ?? 0, pose), ...scene(pose)],
  );
const UP = { lever: "hip", from: 40, to: 0 } as const;

/** Bridges, thrusts, and the leg press. */
export const BRIDGE_MODELS: readonly ModelTemplate[] = [
  template({
    id: "bridge",
    group: "Bridge and thrust",
    name: "Bridge and thrust",
    levers: { hip: HIP, kneeTop: KNEE_TOP, bench: length("Shoulders raised", 0, 0.5, 0), load: BAR, set: SET },
    movement: UP,
    pose: ({ body }, v) => model(body, v),
    shin: "none",
    cannotSay: DRAG,
  }),
  template({
    id: "bridge-staggered",
    group: "Bridge and thrust",
    name: "Bridge, staggered",
    levers: {
      hip: HIP,
      kneeTop: KNEE_TOP,
      further: length("Other foot further out", 0.05, 0.35, 0.2),
      share: share("Share on this leg", 0.5, 0.95, 0.75),
      set: SET,
    },
    movement: UP,
    pose: ({ body }, v) => model(body, v, { trail: { kind: "staggered", furtherM: v.further }, leadShareFraction: v.share }),
    shin: "none",
    cannotSay: `How much the other foot really takes: the share has to be told. ${DRAG}`,
  }),
  template({
    id: "bridge-single",
    group: "Bridge and thrust",
    name: "Bridge or thrust on one leg",
    levers: {
      hip: HIP,
      kneeTop: KNEE_TOP,
      other: angle("Other knee bend", 0, 100, 15),
      bench: length("Shoulders raised", 0, 0.5, 0),
      set: SET,
    },
    movement: UP,
    pose: ({ body }, v) => model(body, v, { trail: { kind: "free", thighDeg: "inline", kneeFlexionDeg: v.other } }),
    shin: "none",
    cannotSay: `The pelvis dropping to the free side. ${DRAG}`,
  }),
  template({
    id: "bridge-ball",
    group: "Bridge and thrust",
    name: "Bridge, heels on a ball",
    levers: { hip: HIP, kneeTop: angle("Knee at the top", 5, 90, 30), ball: length("Ball's height", 0.25, 0.7, 0.5), set: SET },
    movement: UP,
    pose: ({ body }, v) =>
      model(body, v, { foot: { kind: "ball", ankleHeightM: v.ball + body.ankleHeightM } }, ({ ankle }) => [
        { kind: "ball", at: [ankle[0], v.ball / 2], radiusM: v.ball / 2 },
      ]),
    shin: "none",
    cannotSay: "Keeping the ball still. It rolls, so it takes no push along the floor, and nothing else is left open.",
  }),
  template({
    id: "bridge-wall",
    group: "Bridge and thrust",
    name: "Bridge, feet on a wall",
    levers: {
      hip: angle("Hips from straight", 0, 60, 30),
      kneeTop: angle("Knee with hips straight", 60, 110, 90),
      feet: length("Feet up the wall", 0.25, 0.8, 0.45),
      set: SET,
    },
    movement: { lever: "hip", from: 55, to: 15 },
    pose: ({ body }, v) =>
      model(body, v, { foot: { kind: "wall", ankleHeightM: v.feet }, footDrag: { kind: "held" }, pressureFraction: 0.5 }, ({ ankle }) => [
        { kind: "wall", xM: ankle[0] + body.ankleHeightM },
      ]),
    shin: "none",
    cannotSay: "How hard the feet push into the wall: the headline is the least that friction holds, the range three times the floor's.",
  }),
  template({
    id: "leg-press",
    group: "Bridge and thrust",
    name: "Leg press",
    levers: {
      knee: angle("Knee bend", 10, 110, 80),
      sled: force("Force of the sled", 20, 200, 70),
      incline: angle("Push above level", 0, 90, 45),
      high: length("Feet high on the plate", 0, 0.25, 0.12),
      seat: angle("Seat back from the sled", 90, 150, 120),
      share: share("Share on this leg", 0.3, 1, 0.5),
    },
    movement: { lever: "knee", from: 15, to: 95 },
    pose: ({ body }, v) =>
      legPressModel(body, {
        ...LEG_PRESS_DEFAULTS,
        kneeFlexionDeg: v.knee,
        sledN: v.sled,
        inclineDeg: v.incline,
        offsetM: v.high,
        trunkDeg: v.seat,
        shareFraction: v.share,
      }),
    shin: "none",
    cannotSay: "Friction along the plate, and the low back rolling off the pad at depth. The sled's force is what a luggage scale reads.",
  }),
];

import { STANDING_DEFAULTS } from "../mechanics/standing.types";
import { standingModel } from "./model-pose";
import type { SceneProp } from "./scene";
import { byKnee, HANG, inHands, onPole, poleScene, standing } from "./squats.data";
import { angle, force, length, mass, type ModelTemplate, share, template } from "./template";

const HANDS = force("Push on the pole", 0, 40, 0);
const RAIL = force("Pull on a rail ahead", 0, 15, 0);
const LOAD = mass("Load in the hands", 0, 30, 0);
/** Bracing between the feet leaves knees and hips open, not the back. */
export const BRACED = { legs: "C", back: "B" } as const;
const rearBlock = (backM: number, levelM: number): SceneProp[] =>
  levelM > 0.02 ? [{ kind: "block", atXM: -backM, topM: levelM, widthM: 0.36 }] : [];

/** Split and single-leg squats, and steps. */
export const STEP_MODELS: readonly ModelTemplate[] = [
  template({
    id: "split",
    group: "Split and single leg",
    name: "Split squat",
    levers: {
      knee: angle("Front knee bend", 40, 100, 70),
      shin: angle("Front shin forward", 0, 35, 15),
      back: length("Length of the stance", 0.3, 0.9, 0.6),
      heel: angle("Rear heel raised", 10, 55, 45),
      level: length("Rear foot raised", 0, 0.45, 0),
      share: share("Share on the front leg", 0.3, 0.95, 0.65),
      hands: HANDS,
      load: LOAD,
    },
    movement: { lever: "knee", from: 55, to: 85 },
    pose: (who, v) =>
      standingModel(
        who.body,
        {
          ...STANDING_DEFAULTS,
          depth: byKnee(v.knee),
          shankRule: { kind: "fixed", shankLeanDeg: v.shin },
          ...onPole(v.hands),
          loads: inHands(v.load),
          leadShareFraction: v.share,
          trail: { kind: "ground", backM: v.back, heelDeg: v.heel, levelM: v.level, pressureFraction: 0.5 },
        },
        BRACED,
        () => [...rearBlock(v.back, v.level), ...poleScene(v.hands)],
      ),
    shin: "lever",
    cannotSay: "How much the feet brace against each other: knee and hip of both legs are a range, not a number. Two scales narrow it.",
  }),
  template({
    id: "split-upright",
    group: "Split and single leg",
    name: "Split squat, trunk held",
    levers: {
      knee: angle("Front knee bend", 40, 100, 70),
      trunk: angle("Trunk forward", -5, 40, 10),
      shin: angle("Front shin forward", 0, 35, 15),
      back: length("Length of the stance", 0.4, 0.9, 0.6),
    },
    movement: { lever: "knee", from: 55, to: 85 },
    pose: (who, v) =>
      standingModel(
        who.body,
        {
          ...STANDING_DEFAULTS,
          depth: byKnee(v.knee),
          shankRule: { kind: "fixed", shankLeanDeg: v.shin },
          arms: HANG,
          balance: { solve: "share", trunkLeanDeg: v.trunk },
          trail: { kind: "ground", backM: v.back, heelDeg: 45, levelM: 0, pressureFraction: 0.5 },
        },
        BRACED,
      ),
    shin: "lever",
    cannotSay: "The bracing between the feet. Here the share on the front leg follows from the trunk that is held.",
  }),
  template({
    id: "single-leg",
    group: "Split and single leg",
    name: "Single-leg squat",
    levers: {
      knee: angle("Knee bend", 5, 80, 40),
      thigh: angle("Other thigh forward", -30, 60, 15),
      other: angle("Other knee bend", 0, 100, 70),
      hands: HANDS,
    },
    movement: { lever: "knee", from: 5, to: 60 },
    pose: (who, v) =>
      standingModel(
        who.body,
        standing(who, {
          depth: byKnee(v.knee),
          ...(v.hands > 0 ? onPole(v.hands) : { arms: { kind: "forward" as const } }),
          trail: { kind: "free", thighDeg: v.thigh, kneeFlexionDeg: v.other },
        }),
        "B",
        () => poleScene(v.hands),
      ),
    shin: "rule",
    cannotSay: "The side view misses the pelvis: contact in one-leg stance comes out a third too low.",
  }),
  template({
    id: "step-up",
    group: "Step",
    name: "Step-up",
    levers: {
      height: length("Step height", 0.05, 0.35, 0.18),
      share: share("Share on this leg", 0.3, 1, 0.8),
      hands: HANDS,
      rail: RAIL,
      load: LOAD,
    },
    movement: { lever: "height", from: 0.05, to: 0.25 },
    pose: (who, v) =>
      standingModel(
        who.body,
        standing(who, {
          depth: { by: "step", stepHeightM: v.height, trailLeanDeg: 10, trailHeelDeg: 20 },
          ...onPole(v.hands, 0.25, v.rail),
          loads: inHands(v.load),
          leadShareFraction: v.share,
          trail: { kind: "reach", levelM: -v.height, heelDeg: 20, kneeFlexionDeg: 0, direction: -1 },
        }),
        "B",
        () => [{ kind: "step", heightM: v.height }, ...poleScene(v.hands + v.rail)],
      ),
    shin: "rule",
    cannotSay: "How much the lower foot pushes off: that is the share, and it has to be told.",
  }),
  template({
    id: "step-down",
    group: "Step",
    name: "Step-down forward",
    levers: {
      height: length("Step height", 0.05, 0.3, 0.15),
      share: share("Share on the upper leg", 0.5, 1, 1),
      hands: HANDS,
      rail: RAIL,
      wedge: angle("Heel wedge", 0, 20, 0),
    },
    movement: { lever: "height", from: 0.05, to: 0.25 },
    pose: (who, v) =>
      standingModel(
        who.body,
        standing(who, {
          depth: { by: "step", stepHeightM: v.height, trailLeanDeg: 12, trailHeelDeg: 0 },
          ...onPole(v.hands, 0.3, v.rail),
          wedgeDeg: v.wedge,
          leadShareFraction: v.share,
          trail: { kind: "reach", levelM: -v.height, heelDeg: 0, kneeFlexionDeg: 0, direction: 1 },
        }),
        "B",
        () => [{ kind: "step", heightM: v.height }, ...poleScene(v.hands + v.rail, 0.3)],
      ),
    shin: "rule",
    cannotSay: "The landing: lowered slowly until the foot just touches. Dropping the last part costs more than any figure here.",
  }),
  template({
    id: "step-down-sideways",
    group: "Step",
    name: "Step-down sideways",
    levers: { height: length("Step height", 0.05, 0.25, 0.12), hands: HANDS, heel: angle("Heel wedge", 0, 20, 0) },
    movement: { lever: "height", from: 0.03, to: 0.2 },
    pose: (who, v) =>
      standingModel(
        who.body,
        standing(who, {
          depth: { by: "step", stepHeightM: v.height, trailLeanDeg: 0, trailHeelDeg: 0 },
          ...(v.hands > 0 ? onPole(v.hands) : { arms: { kind: "forward" as const } }),
          wedgeDeg: v.heel,
          trail: { kind: "free", thighDeg: 0, kneeFlexionDeg: 0 },
        }),
        "B",
        () => [{ kind: "step", heightM: v.height }, ...poleScene(v.hands)],
      ),
    shin: "rule",
    cannotSay: "The pelvis dropping to the free side: that is decided in the front view, which this is not.",
  }),
];

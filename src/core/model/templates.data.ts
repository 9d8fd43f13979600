import type { Body } from "../body/body";
import { BRIDGE_DEFAULTS } from "../mechanics/bridge";
import { type PostureRule, postureTrust, pressureFractionOf, shankRuleOf } from "../mechanics/posture";
import { STANDING_DEFAULTS, type StandingSetting } from "../mechanics/standing.types";
import { leastTrust } from "../mechanics/channels";
import { bridgeModel, type ModelResult, standingModel } from "./model-pose";

/** One thing that can be set on the model page. Values are SI; angles in degrees. */
export interface ModelLever {
  id: string;
  name: string;
  kind: "length" | "angle" | "mass" | "force" | "share";
  min: number;
  max: number;
  start: number;
  step: number;
}
type Values = Readonly<Record<string, number>>;

export interface ModelTemplate {
  id: string;
  name: string;
  levers: readonly ModelLever[];
  /** The lever that the movement runs along, and from where to where. */
  movement: { lever: string; from: number; to: number };
  pose: (body: Body, posture: PostureRule, values: Values) => ModelResult;
  /** What is drawn under and behind the body. */
  scene: (values: Values) => { seatM?: number; stepM?: number; benchM?: number };
  cannotSay: string;
}

const angle = (id: string, name: string, min: number, max: number, start: number): ModelLever => ({
  id,
  name,
  kind: "angle",
  min,
  max,
  start,
  step: 1,
});
const length = (id: string, name: string, min: number, max: number, start: number): ModelLever => ({
  id,
  name,
  kind: "length",
  min,
  max,
  start,
  step: 0.01,
});
const mass = (id: string, name: string, max: number, start: number): ModelLever => ({
  id,
  name,
  kind: "mass",
  min: 0,
  max,
  start,
  step: 1,
});
const SHARE: ModelLever = { id: "share", name: "Share on this leg", kind: "share", min: 0.05, max: 1, start: 0.5, step: 0.05 };

const of = (values: Values, id: string): number => values[id] ?? NaN;
const standing = (posture: PostureRule, more: Partial<StandingSetting>): StandingSetting => ({
  ...STANDING_DEFAULTS,
  shankRule: shankRuleOf(posture),
  pressureFraction: pressureFractionOf(posture),
  ...more,
});
const hang = { kind: "hang", forwardM: 0 } as const;
const inHands = (massKg: number) => [{ massKg, at: "hands" as const }];

/** Templates of the body model as one can try them on a client's body. */
export const MODEL_TEMPLATES: readonly ModelTemplate[] = [
  {
    id: "squat",
    name: "Squat",
    levers: [
      angle("knee", "Knee bend", 5, 110, 70),
      mass("load", "Load at the chest", 40, 0),
      angle("wedge", "Heel wedge", 0, 20, 0),
      SHARE,
    ],
    movement: { lever: "knee", from: 5, to: 90 },
    pose: (body, posture, v) =>
      standingModel(
        body,
        standing(posture, {
          depth: { by: "knee-flexion", kneeFlexionDeg: of(v, "knee") },
          arms: { kind: of(v, "load") > 0 ? "goblet" : "forward" },
          loads: inHands(of(v, "load")),
          wedgeDeg: of(v, "wedge"),
          leadShareFraction: of(v, "share"),
        }),
        postureTrust(posture, of(v, "knee")),
      ),
    scene: () => ({}),
    cannotSay: "Knees drifting in or out, momentum, and kneecap figures past 90 degrees.",
  },
  {
    id: "sit-to-stand",
    name: "Sit-to-stand",
    levers: [length("seat", "Seat height", 0.38, 0.72, 0.5), SHARE],
    movement: { lever: "seat", from: 0.72, to: 0.46 },
    pose: (body, posture, v) =>
      standingModel(
        body,
        standing(posture, {
          depth: { by: "seat-height", seatHeightM: of(v, "seat") },
          arms: { kind: "crossed" },
          leadShareFraction: of(v, "share"),
        }),
        postureTrust(posture, 80),
      ),
    scene: (v) => ({ seatM: of(v, "seat") }),
    cannotSay: "A quick rise: momentum helps. A higher seat relieves the knee at least this much; measured relief is about twice as large.",
  },
  {
    id: "split",
    name: "Split squat",
    levers: [
      angle("knee", "Front knee bend", 40, 100, 70),
      length("back", "Length of the stance", 0.3, 0.9, 0.6),
      angle("heel", "Rear heel raised", 10, 55, 45),
      { ...SHARE, start: 0.65, max: 0.9 },
      mass("load", "Load in the hands", 30, 0),
    ],
    movement: { lever: "knee", from: 55, to: 85 },
    pose: (body, _posture, v) =>
      standingModel(
        body,
        {
          ...STANDING_DEFAULTS,
          depth: { by: "knee-flexion", kneeFlexionDeg: of(v, "knee") },
          shankRule: { kind: "fixed", shankLeanDeg: 15 },
          arms: hang,
          loads: inHands(of(v, "load")),
          leadShareFraction: of(v, "share"),
          trail: { kind: "ground", backM: of(v, "back"), heelDeg: of(v, "heel"), levelM: 0, pressureFraction: 0.5 },
        },
        "C",
      ),
    scene: () => ({}),
    cannotSay: "How much the feet brace against each other: knee and hip of both legs are a range, not a number. Two scales narrow it.",
  },
  {
    id: "single-leg",
    name: "Single-leg squat",
    levers: [
      angle("knee", "Knee bend", 5, 80, 40),
      angle("thigh", "Other thigh forward", -30, 60, 15),
      angle("other", "Other knee bend", 0, 100, 70),
    ],
    movement: { lever: "knee", from: 5, to: 60 },
    pose: (body, posture, v) =>
      standingModel(
        body,
        standing(posture, {
          depth: { by: "knee-flexion", kneeFlexionDeg: of(v, "knee") },
          trail: { kind: "free", thighDeg: of(v, "thigh"), kneeFlexionDeg: of(v, "other") },
        }),
        "B",
      ),
    scene: () => ({}),
    cannotSay: "The side view misses the pelvis: contact in one-leg stance comes out a third too low.",
  },
  {
    id: "step-up",
    name: "Step-up",
    levers: [length("height", "Step height", 0.05, 0.35, 0.18), { ...SHARE, start: 0.8 }, mass("load", "Load in the hands", 30, 0)],
    movement: { lever: "height", from: 0.05, to: 0.25 },
    pose: (body, posture, v) =>
      standingModel(
        body,
        standing(posture, {
          depth: { by: "step", stepHeightM: of(v, "height"), trailLeanDeg: 10, trailHeelDeg: 20 },
          arms: hang,
          loads: inHands(of(v, "load")),
          leadShareFraction: of(v, "share"),
          trail: { kind: "reach", levelM: -of(v, "height"), heelDeg: 20, kneeFlexionDeg: 0, direction: -1 },
        }),
        "B",
      ),
    scene: (v) => ({ stepM: of(v, "height") }),
    cannotSay: "How much the lower foot pushes off: that is the share, and it has to be told.",
  },
  {
    id: "hinge",
    name: "Hinge",
    levers: [angle("trunk", "Trunk forward", 10, 80, 50), angle("knee", "Knee bend", 5, 40, 15), mass("load", "Load in the hands", 60, 10)],
    movement: { lever: "trunk", from: 10, to: 70 },
    pose: (body, posture, v) =>
      standingModel(
        body,
        standing(posture, {
          depth: { by: "knee-flexion", kneeFlexionDeg: of(v, "knee") },
          arms: hang,
          loads: inHands(of(v, "load")),
          balance: { solve: "shank", trunkLeanDeg: of(v, "trunk") },
        }),
        leastTrust(postureTrust(posture, of(v, "knee")), "B"),
      ),
    scene: () => ({}),
    cannotSay: "Rounding of the back and how the discs share the load: compression ranks set-ups, it is no limit.",
  },
  {
    id: "bridge",
    name: "Bridge and thrust",
    levers: [
      angle("hip", "Hips from straight", -5, 50, 0),
      angle("kneeTop", "Knee at the top", 60, 125, 90),
      length("bench", "Shoulders raised", 0, 0.5, 0),
      mass("load", "Load on the hips", 100, 0),
    ],
    movement: { lever: "hip", from: 40, to: 0 },
    pose: (body, _posture, v) =>
      bridgeModel(body, {
        ...BRIDGE_DEFAULTS,
        hipFlexionDeg: of(v, "hip"),
        placed: { by: "knee-at-top", kneeFlexionDeg: of(v, "kneeTop") },
        benchHeightM: of(v, "bench"),
        loads: [{ massKg: of(v, "load"), at: "hips" }],
      }),
    scene: (v) => ({ benchM: of(v, "bench") }),
    cannotSay: "How far the feet push or drag along the floor: the range is 60 N either way.",
  },
];

export const startValues = ({ levers }: ModelTemplate): Record<string, number> =>
  Object.fromEntries(levers.map(({ id, start }) => [id, start]));

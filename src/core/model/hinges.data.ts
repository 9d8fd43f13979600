import { postureTrust } from "../mechanics/posture";
import { leastTrust, type Trust } from "../mechanics/channels";
import { standingPose } from "../mechanics/standing";
import type { StandingSetting } from "../mechanics/standing.types";
import { rootsByScan } from "../solve/roots";
import { type ModelResult, standingModel, type Who } from "./model-pose";
import { byKnee, HANG, inHands, standing } from "./squats.data";
import { BRACED } from "./steps.data";
import { angle, force, length, mass, type ModelTemplate, share, template } from "./template";

const TRUNK = angle("Trunk forward", 10, 80, 50);
const KNEE = angle("Knee bend", 5, 40, 15);
const ROUNDING = "Rounding of the back and how the discs share the load: compression ranks set-ups, it is no limit.";
const trustOf = ({ posture }: Who, kneeDeg: number): Trust => leastTrust(postureTrust(posture, kneeDeg), "A-");
const bent = (who: Who, kneeDeg: number, trunkLeanDeg: number, more: Partial<StandingSetting>): StandingSetting =>
  standing(who, { depth: byKnee(kneeDeg), balance: { solve: "shank", trunkLeanDeg }, ...more });

/** The trunk goes down until the hanging hands are at the handle: found by trying leans. */
function toHandle(who: Who, kneeDeg: number, handleM: number, massKg: number): ModelResult {
  const at = (trunkDeg: number): StandingSetting => bent(who, kneeDeg, trunkDeg, { arms: HANG, loads: inHands(massKg) });
  const aboveM = (trunkDeg: number): number => {
    const pose = standingPose(who.body, at(trunkDeg));
    return pose.ok ? pose.hand[1] - handleM : NaN;
  };
  const [trunkDeg] = rootsByScan(aboveM, 0, 88, 22, 1e-6);
  if (trunkDeg === undefined) return { ok: false, reason: "handle-out-of-reach" };
  return standingModel(who.body, at(trunkDeg), trustOf(who, kneeDeg), (pose) => [
    { kind: "block", atXM: pose.hand[0], topM: handleM - 0.05, widthM: 0.3 },
  ]);
}

export const HINGE_MODELS: readonly ModelTemplate[] = [
  template({
    id: "hinge",
    group: "Hinge",
    name: "Hinge, load in front",
    levers: { trunk: TRUNK, knee: KNEE, load: mass("Load in the hands", 0, 60, 10), ahead: length("Ahead of the shoulder", 0, 0.3, 0) },
    movement: { lever: "trunk", from: 10, to: 70 },
    pose: (who, v) =>
      standingModel(
        who.body,
        bent(who, v.knee, v.trunk, { arms: { kind: "hang", forwardM: v.ahead }, loads: inHands(v.load) }),
        trustOf(who, v.knee),
      ),
    shin: "balance",
    cannotSay: ROUNDING,
  }),
  template({
    id: "hinge-sides",
    group: "Hinge",
    name: "Hinge, load at the sides",
    levers: { trunk: TRUNK, knee: angle("Knee bend", 5, 70, 30), load: mass("Load in the hands", 0, 80, 20) },
    movement: { lever: "trunk", from: 10, to: 60 },
    pose: (who, v) =>
      standingModel(
        who.body,
        bent(who, v.knee, v.trunk, { arms: { kind: "hang", forwardM: -0.08 }, loads: inHands(v.load) }),
        trustOf(who, v.knee),
      ),
    shin: "balance",
    cannotSay: ROUNDING,
  }),
  template({
    id: "hinge-back",
    group: "Hinge",
    name: "Hinge, load on the back",
    levers: { trunk: TRUNK, knee: KNEE, load: mass("Load on the back", 0, 60, 10) },
    movement: { lever: "trunk", from: 10, to: 70 },
    pose: (who, v) =>
      standingModel(
        who.body,
        bent(who, v.knee, v.trunk, { arms: { kind: "crossed" }, loads: [{ massKg: v.load, at: "back" }] }),
        trustOf(who, v.knee),
      ),
    shin: "balance",
    cannotSay: ROUNDING,
  }),
  template({
    id: "hinge-handle",
    group: "Hinge",
    name: "Hinge to a raised handle",
    levers: { handle: length("Height of the handle", 0.2, 0.8, 0.5), knee: angle("Knee bend", 5, 90, 30), load: mass("Load", 0, 80, 16) },
    movement: { lever: "handle", from: 0.75, to: 0.35 },
    pose: (who, v) => toHandle(who, v.knee, v.handle, v.load),
    shin: "balance",
    cannotSay: ROUNDING,
  }),
  template({
    id: "hinge-staggered",
    group: "Hinge",
    name: "Hinge, staggered",
    levers: {
      trunk: TRUNK,
      knee: angle("Front knee bend", 5, 50, 20),
      back: length("Rear foot back", 0.08, 0.35, 0.22),
      share: share("Share on the front leg", 0.5, 0.95, 0.7),
      load: mass("Load in the hands", 0, 40, 8),
    },
    movement: { lever: "trunk", from: 15, to: 60 },
    pose: (who, v) =>
      standingModel(
        who.body,
        bent(who, v.knee, v.trunk, {
          arms: HANG,
          loads: inHands(v.load),
          leadShareFraction: v.share,
          trail: { kind: "ground", backM: v.back, heelDeg: 20, levelM: 0, pressureFraction: 0.5 },
        }),
        BRACED,
      ),
    shin: "balance",
    cannotSay: "How much the feet brace against each other, and whether the rear foot only balances: the share has to be told.",
  }),
  template({
    id: "hinge-single",
    group: "Hinge",
    name: "Hinge on one leg",
    levers: {
      trunk: angle("Trunk forward", 10, 85, 55),
      knee: angle("Knee bend", 5, 45, 20),
      load: mass("Load in the hands", 0, 40, 0),
      hands: force("Push on a support", 0, 20, 0),
    },
    movement: { lever: "trunk", from: 10, to: 75 },
    pose: (who, v) =>
      standingModel(
        who.body,
        bent(who, v.knee, v.trunk, {
          arms: HANG,
          loads: inHands(v.load),
          assists: v.hands > 0 ? [{ at: "hands", force: { kind: "angle", magnitudeN: v.hands, directionDeg: 90 } }] : [],
          trail: { kind: "free", thighDeg: "inline", kneeFlexionDeg: 15 },
        }),
        "B",
      ),
    shin: "balance",
    cannotSay: "The pelvis turning open: the side view takes it as level.",
  }),
];

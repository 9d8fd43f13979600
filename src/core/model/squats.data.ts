import { nFromKgf } from "../units";
import { withLegsApart } from "../body/body";
import { type BandTable, bandTension } from "../mechanics/band";
import { postureTrust, pressureFractionOf, shankRuleOf } from "../mechanics/posture";
import { STANDING_DEFAULTS, type StandingPose, type StandingSetting } from "../mechanics/standing.types";
import type { Point } from "../mechanics/vector";
import { brent } from "../solve/roots";
import { standingPose } from "../mechanics/standing";
import { type ModelResult, standingModel, type Who } from "./model-pose";
import type { SceneProp } from "./scene";
import { angle, force, length, mass, type ModelTemplate, share, template, time } from "./template";

/** A standing setting under the client's own posture rule. */
export const standing = ({ posture }: Who, more: Partial<StandingSetting>): StandingSetting => ({
  ...STANDING_DEFAULTS,
  shankRule: shankRuleOf(posture),
  pressureFraction: pressureFractionOf(posture),
  ...more,
});
export const byKnee = (kneeFlexionDeg: number) => ({ by: "knee-flexion" as const, kneeFlexionDeg });
export const inHands = (massKg: number) => [{ massKg, at: "hands" as const }];
export const HANG = { kind: "hang", forwardM: 0 } as const;

/** Elbows bent on a pole held close. */
const POLE_BELOW_SHOULDER_M = 0.4;
/** Hands on a pole or rail beside the foot, pushed down or pulled; hanging where they do nothing. */
export const onPole = (pushN: number, xM = 0.25, pullN = 0): Pick<StandingSetting, "arms" | "assists"> =>
  pushN > 0 || pullN > 0
    ? {
        arms: { kind: "pole", xM, belowShoulderM: POLE_BELOW_SHOULDER_M },
        assists: [{ at: "hands", force: { kind: "components", fxN: pullN, fyN: pushN } }],
      }
    : { arms: HANG, assists: [] };
export const poleScene = (handForceN: number, xM = 0.25): SceneProp[] => (handForceN > 0 ? [{ kind: "pole", xM }] : []);

const trustAt = ({ posture }: Who, kneeFlexionDeg: number) => postureTrust(posture, kneeFlexionDeg);
const KNEE = angle("Knee bend", 5, 110, 70);
const SHARE = share("Share on this leg", 0.3, 0.7, 0.5);
const SIDE_VIEW = "Knees drifting in or out, momentum, and kneecap figures past 90 degrees.";

/** Wall behind the back, from where the back presses on it. */
const wallBehind = (pose: StandingPose): SceneProp[] => {
  const [push] = pose.assistForces;
  return push ? [{ kind: "wall", xM: push.at[0] }] : [];
};
/** The back leans on something that only pushes forward: how hard is solved. */
const leaning = (who: Who, kneeDeg: number, shinDeg: number, trunkDeg: number): StandingSetting =>
  standing(who, {
    depth: byKnee(kneeDeg),
    shankRule: { kind: "fixed", shankLeanDeg: shinDeg },
    balance: { solve: "assist", trunkLeanDeg: trunkDeg },
    arms: { kind: "crossed" },
    assists: [{ at: "wall", force: { kind: "angle", magnitudeN: null, directionDeg: 0 } }],
  });

/** Pulls 12 kg at half as long again: what stands in for a band that nobody has measured. */
const UNMEASURED: BandTable = { restM: 0.9, points: [{ lengthM: 1.35, tensionN: nFromKgf(12) }] };

/** The band hangs from above and is as long as the chest is low: length, pull and pose are found together. */
function bandSquat(who: Who, kneeDeg: number, anchorM: number): ModelResult {
  const band = who.band ?? UNMEASURED;
  const at = (magnitudeN: number): StandingSetting =>
    standing(who, {
      depth: byKnee(kneeDeg),
      arms: { kind: "forward" },
      assists: [{ at: "chest", force: { kind: "angle", magnitudeN, directionDeg: 90 } }],
    });
  const chest = (pose: StandingPose): Point => pose.assistForces[0]?.at ?? pose.shoulder;
  const lengthM = (pose: StandingPose): number => anchorM - chest(pose)[1];
  const excessN = (pullN: number): number => {
    const pose = standingPose(who.body, at(pullN));
    return pose.ok ? bandTension(band, lengthM(pose)).tensionN - pullN : NaN;
  };
  const mostN = 0.9 * nFromKgf(who.body.massKg);
  const [none, most] = [excessN(0), excessN(mostN)];
  if (Number.isNaN(none)) return standingModel(who.body, at(0), "B");
  if (most > 0) return { ok: false, reason: "assist-overload" };
  const pullN = none <= 0 || Number.isNaN(most) ? Math.max(0, none) : brent(excessN, 0, mostN, 1e-6);
  const hung = standingPose(who.body, at(pullN));
  const result = standingModel(who.body, at(pullN), "B", (pose) => [{ kind: "band", from: chest(pose), to: [chest(pose)[0], anchorM] }]);
  if (!result.ok || !hung.ok) return result;
  const { isExtrapolated } = bandTension(band, lengthM(hung));
  const notes = [...(who.band ? [] : ["band-unmeasured"]), ...(isExtrapolated ? ["band-extrapolated"] : [])];
  return { ...result, warnings: [...result.warnings, ...notes] };
}

export const SQUAT_MODELS: readonly ModelTemplate[] = [
  template({
    id: "squat",
    group: "Squat",
    name: "Squat",
    levers: { knee: KNEE, load: mass("Load at the chest", 0, 40, 0), wedge: angle("Heel wedge", 0, 20, 0), share: SHARE },
    movement: { lever: "knee", from: 5, to: 90 },
    pose: (who, v) =>
      standingModel(
        who.body,
        standing(who, {
          depth: byKnee(v.knee),
          arms: { kind: v.load > 0 ? "goblet" : "forward" },
          loads: inHands(v.load),
          wedgeDeg: v.wedge,
          leadShareFraction: v.share,
        }),
        trustAt(who, v.knee),
        (pose) => (v.wedge > 0 ? [{ kind: "wedge", pitchDeg: v.wedge, heelXM: pose.heel[0], ballXM: pose.toe[0] }] : []),
      ),
    shin: "rule",
    cannotSay: SIDE_VIEW,
  }),
  template({
    id: "wide-squat",
    group: "Squat",
    name: "Wide squat",
    levers: {
      knee: angle("Knee bend", 5, 105, 70),
      apart: angle("Legs out to the side", 0, 35, 20),
      load: mass("Load between the legs", 0, 40, 0),
    },
    movement: { lever: "knee", from: 5, to: 85 },
    pose: (who, v) =>
      standingModel(
        withLegsApart(who.body, v.apart),
        standing(who, { depth: byKnee(v.knee), arms: v.load > 0 ? HANG : { kind: "forward" }, loads: inHands(v.load) }),
        "B",
      ),
    shin: "rule",
    cannotSay: "The hips' own work sideways and the twist in the knee: a wide stance is seen only as shorter legs from the side.",
  }),
  template({
    id: "counterbalance-squat",
    group: "Squat",
    name: "Squat with a counterweight held out",
    levers: { knee: KNEE, load: mass("Weight at arm's length", 0, 10, 4), trunk: angle("Trunk forward", 0, 60, 20) },
    movement: { lever: "knee", from: 5, to: 90 },
    pose: (who, v) =>
      standingModel(
        who.body,
        standing(who, {
          depth: byKnee(v.knee),
          arms: { kind: "forward" },
          loads: inHands(v.load),
          balance: { solve: "shank", trunkLeanDeg: v.trunk },
        }),
        trustAt(who, v.knee),
      ),
    shin: "balance",
    cannotSay: "How long the shoulders hold out. The trunk is kept as set and the shin gives way.",
  }),
  template({
    id: "heels-up-squat",
    group: "Squat",
    name: "Squat on the balls of the feet",
    levers: {
      knee: angle("Knee bend", 5, 90, 40),
      heel: angle("Heels raised", 5, 40, 20),
      hands: force("Push on the pole", 0, 30, 5),
    },
    movement: { lever: "knee", from: 5, to: 70 },
    pose: (who, v) =>
      standingModel(who.body, standing(who, { depth: byKnee(v.knee), heelRaiseDeg: v.heel, ...onPole(v.hands, 0.35) }), "B", () =>
        poleScene(v.hands, 0.35),
      ),
    shin: "rule",
    cannotSay: "Wobble: all weight is on the balls of the feet, and nothing here says how steady that is.",
  }),
  template({
    id: "sit-to-stand",
    group: "Squat",
    name: "Sit-to-stand",
    levers: { seat: length("Seat height", 0.38, 0.76, 0.52), hands: force("Push on the pole", 0, 40, 0), share: SHARE },
    movement: { lever: "seat", from: 0.76, to: 0.46 },
    pose: (who, v) =>
      standingModel(
        who.body,
        standing(who, {
          depth: { by: "seat-height", seatHeightM: v.seat },
          ...(v.hands > 0 ? onPole(v.hands) : { arms: { kind: "crossed" } }),
          leadShareFraction: v.share,
        }),
        trustAt(who, 80),
        (pose) => [{ kind: "seat", heightM: v.seat, underXM: pose.hip[0] }, ...poleScene(v.hands)],
      ),
    shin: "rule",
    cannotSay: "A quick rise: momentum helps. A higher seat relieves the knee at least this much; measured relief is about twice as large.",
  }),
  template({
    id: "pole-squat",
    group: "Squat",
    name: "Squat with a pole or rail",
    levers: {
      knee: KNEE,
      hands: force("Force through the hands", 0, 40, 8),
      direction: angle("Its direction above level", -30, 150, 90),
      ahead: length("How far ahead of the ankle", 0.1, 0.6, 0.25),
    },
    movement: { lever: "knee", from: 5, to: 85 },
    pose: (who, v) =>
      standingModel(
        who.body,
        standing(who, {
          depth: byKnee(v.knee),
          arms: { kind: "pole", xM: v.ahead, belowShoulderM: POLE_BELOW_SHOULDER_M },
          assists: v.hands > 0 ? [{ at: "hands", force: { kind: "angle", magnitudeN: v.hands, directionDeg: v.direction } }] : [],
        }),
        v.ahead > 0.35 && v.hands > 0 ? "C" : trustAt(who, v.knee),
        () => [{ kind: "pole", xM: v.ahead }],
      ),
    shin: "rule",
    cannotSay:
      "What is done with the help: shin kept, trunk kept or both kept are the ends of the range. Planted far ahead it is a direction only.",
  }),
  template({
    id: "strap-squat",
    group: "Squat",
    name: "Squat on a strap",
    levers: {
      knee: KNEE,
      pull: force("Pull in the strap", 0, 40, 10),
      anchor: length("Height of the anchor", 0.8, 2.8, 2.2),
      away: length("Anchor ahead of the ankle", 0.6, 2.5, 1.4),
    },
    movement: { lever: "knee", from: 5, to: 85 },
    pose: (who, v) =>
      standingModel(
        who.body,
        standing(who, {
          depth: byKnee(v.knee),
          arms: { kind: "point", at: [0.45, 0.62 * who.body.heightM] },
          assists: v.pull > 0 ? [{ at: "hands", force: { kind: "anchor", magnitudeN: v.pull, anchor: [v.away, v.anchor] } }] : [],
        }),
        trustAt(who, v.knee),
        (pose) => [{ kind: "strap", from: pose.hand, to: [v.away, v.anchor] }],
      ),
    shin: "rule",
    cannotSay: "A level pull at the same shin raises the knee's work; it only falls if the strap is used to sit back.",
  }),
  template({
    id: "band-squat",
    group: "Squat",
    name: "Squat hung in a band",
    levers: {
      knee: KNEE,
      anchor: length("Height of the anchor", 1.9, 3.2, 2.5),
    },
    needsBand: true,
    movement: { lever: "knee", from: 5, to: 90 },
    pose: (who, v) => bandSquat(who, v.knee, v.anchor),
    shin: "rule",
    cannotSay: "Wear and speed: a band's pull is known to about 15 % either way, and only between its measured lengths.",
  }),
  template({
    id: "ball-squat",
    group: "Squat",
    name: "Squat with a ball at the wall",
    levers: { knee: angle("Knee bend", 5, 100, 60), shin: angle("Shin forward", -20, 15, 0), trunk: angle("Trunk forward", -5, 20, 0) },
    movement: { lever: "knee", from: 10, to: 85 },
    pose: (who, v) =>
      standingModel(who.body, leaning(who, v.knee, v.shin, v.trunk), "B", (pose) => {
        const at = pose.assistForces[0]?.at ?? pose.hip;
        return [
          { kind: "ball", at: [at[0] - 0.28, at[1]], radiusM: 0.28 },
          { kind: "wall", xM: at[0] - 0.56 },
        ];
      }),
    shin: "lever",
    cannotSay: "Friction on the ball. With the feet far out this is heavy for the knee, not light.",
  }),
  template({
    id: "wall-sit",
    group: "Squat",
    name: "Wall sit",
    levers: { knee: angle("Knee bend", 20, 100, 70), shin: angle("Shin forward", -15, 10, 0), hold: time("Held for", 5, 90, 20) },
    movement: { lever: "knee", from: 20, to: 90 },
    pose: (who, v) => standingModel(who.body, leaning(who, v.knee, v.shin, 0), "B", wallBehind),
    shin: "lever",
    cannotSay: "Friction on the wall, which can carry part of the weight. How long it is held adds up, and no figure here counts it.",
  }),
];

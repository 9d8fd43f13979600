import { withLegsApart } from "../../body/body";
import { type BandTable, bandTension } from "../../mechanics/band";
import { standingPose } from "../../mechanics/standing";
import type { Arms, Assist, StandingPose, StandingSetting } from "../../mechanics/standing.types";
import type { Point } from "../../mechanics/vector";
import { brent } from "../../numeric/roots";
import { nFromKgf } from "../../units";
import {
  handBounds,
  HANG,
  onBothFeet,
  onPole,
  poleScene,
  seatUnder,
  standing,
  standingTrust,
  SUPPORT_NEAR_M,
  toesXM,
  toKnee,
  weightAt,
} from "../hands";
import { seatRangeM } from "../seat";
import type { SceneProp } from "../scene";
import { impossible, NO_BOUNDS, type NoSetUp, type StandingSetUp } from "../set-up";
import { fixed, byBody, type Subject, template } from "../template";

const HANDS = ["none", "forward", "crossed", "goblet", "hang", "pole", "counter", "rail", "strap", "band"] as const;

/** Pulls 12 kg at half as long again: what stands in for a band that nobody has measured. */
const UNMEASURED_BAND: BandTable = { restM: 0.9, points: [{ lengthM: 1.35, tensionN: nFromKgf(12) }] };

/** The band hangs from above and is as long as the chest is low: length, pull and pose are found together. */
function hungInBand(subject: Subject, setting: StandingSetting, anchorM: number): StandingSetUp | NoSetUp {
  const { body } = subject;
  const band = subject.band ?? UNMEASURED_BAND;
  const at = (magnitudeN: number): StandingSetting => ({
    ...setting,
    arms: { kind: "forward" },
    assists: [{ at: "chest", force: { kind: "angle", magnitudeN, directionDeg: 90 } }],
  });
  const chest = (pose: StandingPose): Point => pose.assistForces[0]?.at ?? pose.shoulder;
  const lengthM = (pose: StandingPose): number => anchorM - chest(pose)[1];
  const excessN = (pullN: number): number => {
    const pose = standingPose(body, at(pullN));
    return pose.ok ? bandTension(band, lengthM(pose)).tensionN - pullN : NaN;
  };
  const mostN = 0.9 * nFromKgf(body.massKg);
  const [none, most] = [excessN(0), excessN(mostN)];
  if (most > 0) return impossible("assist-overload");
  const pullN = Number.isNaN(none) ? 0 : none <= 0 || Number.isNaN(most) ? Math.max(0, none) : brent(excessN, 0, mostN, 1e-4);
  const hung = standingPose(body, at(pullN));
  const isPastMeasured = hung.ok && bandTension(band, lengthM(hung)).isExtrapolated;
  return {
    by: "standing",
    body,
    ...onBothFeet(at(pullN), undefined), // nobody weighed which leg bears more
    bounds: NO_BOUNDS,
    isDepth: false,
    trust: () => "B",
    scene: (pose) => [{ kind: "band", from: chest(pose), to: [chest(pose)[0], anchorM] }],
    notes: [...(subject.band ? [] : ["band-unmeasured"]), ...(isPastMeasured ? ["band-extrapolated"] : [])],
  };
}

interface Held {
  arms: Arms;
  assists: Assist[];
  /** How far ahead of the ankle it is held, where that matters. */
  aheadM: number;
  scene: (pose: StandingPose) => SceneProp[];
}

/** Two level feet, both alike: squats to a seat or to a bend, held, loaded, on a wedge, with the heels up or the legs apart. */
export const TWO_FEET = template({
  id: "two-feet",
  kind: "standing",
  parameters: {
    depth: ["seat", "knee"],
    hands: HANDS,
    loadAt: ["none", "hands", "back", "vest"],
    trunk: ["free", "kept"],
    /** Support ahead of the toes, its height, and the way it pushes, above level. */
    supportAheadM: { min: 0, max: 1, otherwise: 0.03 },
    supportHeightM: { min: 0.4, max: 1.6, otherwise: 0.9 },
    supportDirectionDeg: { min: -30, max: 180, otherwise: 90 },
  },
  levers: {
    seatHeightM: byBody(seatRangeM, NaN),
    kneeFlexionDeg: fixed(5, 140, 60),
    handForceN: fixed(0, nFromKgf(40), 0),
    strapForceN: fixed(0, nFromKgf(40), 0),
    handDirectionDeg: fixed(-30, 150, NaN),
    supportAheadM: fixed(0.1, 0.6, NaN),
    anchorHeightM: fixed(0.8, 3.2, 2.2),
    anchorAheadM: fixed(0.6, 2.5, 1.4),
    loadKg: fixed(0, 150, 0),
    shareFraction: fixed(0.2, 0.8, NaN),
    wedgeDeg: fixed(0, 20, 0),
    heelRaiseDeg: fixed(0, 40, 0),
    legsApartDeg: fixed(0, 35, 0),
    trunkKeptDeg: fixed(0, 60, 20),
  },
  movesBy: ({ depth }) => (depth === "seat" ? "seatHeightM" : "kneeFlexionDeg"),
  samples: [1, 0.75, 0.5, 0.25],
  isEven: () => true,
  shin: "rule",
  set: (subject, p, v) => (at) => {
    const body = v.legsApartDeg > 0 ? withLegsApart(subject.body, v.legsApartDeg) : subject.body;
    const aheadM = Number.isNaN(v.supportAheadM) ? toesXM(body) + p.supportAheadM : v.supportAheadM;
    const directionDeg = Number.isNaN(v.handDirectionDeg) ? p.supportDirectionDeg : v.handDirectionDeg;
    const held = heldBy(p.hands, v, { aheadM, heightM: p.supportHeightM, directionDeg, bodyM: body.heightM });
    const setting = standing(subject, {
      depth:
        p.depth === "seat"
          ? { by: "seat-height", seatHeightM: v.seatHeightM }
          : toKnee(p.hands === "band" ? v.kneeFlexionDeg * at : v.kneeFlexionDeg),
      arms: held.arms,
      assists: held.assists,
      loads: p.loadAt === "none" ? [] : weightAt(p.loadAt, v.loadKg),
      wedgeDeg: v.wedgeDeg,
      heelRaiseDeg: v.heelRaiseDeg,
      // the ankle's range goes with the foot: heels up, the shin may lean that much further
      ...(v.heelRaiseDeg > 0 ? { dorsiflexionMaxDeg: 35 + v.heelRaiseDeg } : {}),
      ...(p.trunk === "kept" ? { balance: { solve: "shank", trunkLeanDeg: v.trunkKeptDeg } as const } : {}),
    });
    if (p.hands === "band") return hungInBand(subject, setting, v.anchorHeightM);
    const { heads, isEitherLeg } = onBothFeet(setting, v.shareFraction);
    const heldN = held.assists.length > 0 ? v.handForceN + v.strapForceN : 0;
    const isRough = heldN > 0 && held.aheadM > SUPPORT_NEAR_M;
    const isShown = v.legsApartDeg > 0 || v.heelRaiseDeg > 0;
    return {
      by: "standing",
      body,
      heads,
      isEitherLeg,
      bounds: () => handBounds(body, heads),
      isDepth: true,
      trust: isRough ? () => "C" : standingTrust(subject, heldN, isShown ? "B" : "A"),
      scene: (pose) => [
        ...(p.depth === "seat" ? [seatUnder(v.seatHeightM, pose)] : []),
        ...held.scene(pose),
        ...(v.wedgeDeg > 0 ? [{ kind: "wedge" as const, pitchDeg: v.wedgeDeg, heelXM: pose.heel[0], ballXM: pose.toe[0] }] : []),
      ],
      notes: [],
    };
  },
  traits: ({ loadAt }, { loadKg }) =>
    loadAt === "none" || !(loadKg > 0) ? [] : loadAt === "back" ? ["added-weight", "bar-on-shoulders"] : ["added-weight"],
  cannotSay: ({ hands, depth }) =>
    hands === "strap"
      ? "A level pull at the same shin raises the knee's work; it only falls if the strap is used to sit back."
      : hands === "band"
        ? "Wear and speed: a band's pull is known to about 15% either way, and only between its measured lengths."
        : depth === "seat"
          ? "A quick rise: momentum helps. A higher seat relieves the knee at least this much; measured relief is about twice as large."
          : "Knees drifting in or out, momentum, wobble, and kneecap figures past 90°. What is done with the hands' help is the range.",
});

/** What the hands hold, and what it does for the client. */
function heldBy(
  hands: (typeof HANDS)[number],
  v: { handForceN: number; strapForceN: number; anchorAheadM: number; anchorHeightM: number },
  { aheadM, heightM, directionDeg, bodyM }: { aheadM: number; heightM: number; directionDeg: number; bodyM: number },
): Held {
  const { handForceN } = v;
  const free = (arms: Arms): Held => ({ arms, assists: [], aheadM: 0, scene: () => [] });
  const pushed: Assist[] = handForceN > 0 ? [{ at: "hands", force: { kind: "angle", magnitudeN: handForceN, directionDeg } }] : [];
  switch (hands) {
    case "none":
    case "forward":
    case "band":
      return free({ kind: "forward" });
    case "crossed":
    case "goblet":
      return free({ kind: hands });
    case "hang":
      return free(HANG);
    case "pole":
      return { arms: onPole(1, aheadM).arms, assists: pushed, aheadM, scene: () => poleScene(1, aheadM) };
    case "counter":
    case "rail":
      return {
        arms: { kind: "point", at: [aheadM, heightM] },
        assists: pushed,
        aheadM,
        scene: () => [{ kind: "block", atXM: aheadM + 0.12, topM: heightM, widthM: 0.34 }],
      };
    case "strap": {
      const anchor: Point = [v.anchorAheadM, v.anchorHeightM];
      const pull: Assist[] = v.strapForceN > 0 ? [{ at: "hands", force: { kind: "anchor", magnitudeN: v.strapForceN, anchor } }] : [];
      return {
        arms: { kind: "point", at: [0.45, 0.62 * bodyM] },
        assists: pull,
        aheadM: 0,
        scene: (pose) => [{ kind: "strap", from: pose.hand, to: anchor }],
      };
    }
  }
}

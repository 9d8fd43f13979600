import { leastTrust } from "../../mechanics/channels";
import { postureTrust } from "../../mechanics/posture";
import { prepareStanding } from "../../mechanics/prepared";
import { placeStanding, trunkPointAt } from "../../mechanics/standing";
import type { Arms, StandingSetting } from "../../mechanics/standing.types";
import { firstRootByScan } from "../../numeric/roots";
import { nFromKgf } from "../../units";
import { handBounds, HANG, onBothFeet, standing, toKnee, weightAt } from "../hands";
import { BRACED, overBraceAndShares } from "./split";
import { impossible, NO_BOUNDS } from "../set-up";
import { between, fixed, type Subject, template } from "../template";

/** How upright the movement begins, and the least bend the knees keep. */
const UPRIGHT_DEG = 5;
const SOFT_KNEE_DEG = 5;
/** Shares of a staggered hinge that nobody measured: common practice, no source. */
const STAGGER_SHARES = [0.6, 0.85] as const;

const bent = (subject: Subject, kneeDeg: number, balance: StandingSetting["balance"], more: Partial<StandingSetting>): StandingSetting =>
  standing(subject, { depth: toKnee(kneeDeg), balance, ...more });

/** The lean at which hanging hands are at a handle, by trying; undefined out of reach. One set-up leans through them all. */
function leanToHandleDeg(subject: Subject, kneeDeg: number, handleM: number, massKg: number): number | undefined {
  const balance = { solve: "shank", trunkLeanDeg: 0 } satisfies StandingSetting["balance"];
  const prepared = prepareStanding(subject.body, bent(subject, kneeDeg, balance, { arms: HANG, loads: weightAt("hands", massKg) }));
  const aboveM = (trunkLeanDeg: number): number => {
    balance.trunkLeanDeg = trunkLeanDeg;
    return placeStanding(prepared, toKnee(kneeDeg)) === null ? trunkPointAt(prepared, prepared.upper.hand)[1] - handleM : NaN;
  };
  return firstRootByScan(aboveM, 0, 88, 22, 1e-6);
}
const ARMS = {
  front: (aheadM: number): Arms => ({ kind: "hang", forwardM: aheadM }),
  sides: (): Arms => ({ kind: "hang", forwardM: -0.08 }),
  back: (): Arms => ({ kind: "crossed" }),
} as const;

/** The trunk goes down as a piece over soft knees, the shin giving way so that weight stays over the foot. */
export const HINGE = template({
  id: "hinge",
  kind: "standing",
  parameters: { stance: ["two", "staggered", "single"], loadAt: ["front", "sides", "back"], to: ["lean", "handle"] },
  levers: {
    trunkLeanDeg: fixed(5, 88, 50),
    handleHeightM: fixed(0.1, 0.9, 0.5),
    kneeFlexionDeg: fixed(5, 90, 15),
    loadKg: fixed(0, 150, 0),
    loadAheadM: fixed(0, 0.3, 0),
    stanceBackM: fixed(0.08, 0.35, 0.22),
    shareFraction: fixed(0.3, 0.95, NaN),
    handForceN: fixed(0, nFromKgf(20), 0),
  },
  movesBy: ({ to }) => (to === "handle" ? "handleHeightM" : "trunkLeanDeg"),
  samples: [1, 0.75, 0.5],
  isEven: ({ stance }) => stance === "two",
  shin: "balance",
  set: (subject, p, v) => {
    const { body } = subject;
    const lowestDeg = p.to === "handle" ? leanToHandleDeg(subject, v.kneeFlexionDeg, v.handleHeightM, v.loadKg) : v.trunkLeanDeg;
    return (at) => {
      if (lowestDeg === undefined) return impossible("handle-out-of-reach");
      const trunkDeg = between(UPRIGHT_DEG, lowestDeg, at);
      const kneeDeg = between(Math.min(SOFT_KNEE_DEG, v.kneeFlexionDeg), v.kneeFlexionDeg, at);
      const setting = bent(
        subject,
        kneeDeg,
        { solve: "shank", trunkLeanDeg: trunkDeg },
        {
          arms: ARMS[p.loadAt](v.loadAheadM),
          loads: weightAt(p.loadAt === "back" ? "back" : "hands", v.loadKg),
          assists: v.handForceN > 0 ? [{ at: "hands", force: { kind: "angle", magnitudeN: v.handForceN, directionDeg: 90 } }] : [],
          ...(p.stance === "staggered"
            ? { trail: { kind: "ground", backM: v.stanceBackM, heelDeg: 20, levelM: 0, pressureFraction: 0.5 } as const }
            : {}),
          ...(p.stance === "single" ? { trail: { kind: "free", thighDeg: "inline", kneeFlexionDeg: 15 } as const } : {}),
        },
      );
      const { heads, isEitherLeg, bounds } = {
        staggered: () => ({
          ...overBraceAndShares(setting, v.shareFraction === undefined ? STAGGER_SHARES : [v.shareFraction]),
          isEitherLeg: false,
        }),
        two: () => ({ ...onBothFeet(setting, v.shareFraction), bounds: NO_BOUNDS }),
        single: () => ({ heads: [setting], isEitherLeg: false, bounds: NO_BOUNDS }),
      }[p.stance]();
      const best = p.stance === "single" || v.handForceN > 0 ? "B" : "A-";
      return {
        by: "standing",
        body,
        heads,
        isEitherLeg,
        bounds: () => [...bounds(), ...handBounds(body, heads)],
        isDepth: false,
        trust: p.stance === "staggered" ? () => BRACED : (knee) => leastTrust(postureTrust(subject.posture, knee), best),
        scene: (pose) => (p.to === "handle" ? [{ kind: "block", atXM: pose.hand[0], topM: v.handleHeightM - 0.05, widthM: 0.3 }] : []),
        notes: [],
      };
    };
  },
  traits: ({ loadAt }, { loadKg }) => (!(loadKg > 0) ? [] : loadAt === "back" ? ["added-weight", "bar-on-shoulders"] : ["added-weight"]),
  cannotSay: ({ stance }) =>
    stance === "staggered"
      ? "How much the feet brace against each other, and whether the rear foot only balances: the share has to be told."
      : stance === "single"
        ? "The pelvis turning open: the side view takes it as level."
        : "Rounding of the back and how the discs share the load: compression ranks set-ups, it is no limit.",
});

import type { StandingSetting } from "../../mechanics/standing.types";
import { nFromKgf } from "../../units";
import { HANG, onPole, poleScene, standing, toKnee, weightAt } from "../hands";
import type { SceneProp } from "../scene";
import { fixed, template } from "../template";

/** Bracing between the feet leaves knees and hips open, not the back. */
export const BRACED = { legs: "C", back: "B" } as const;
/** Shares of a split stance that nobody measured: common practice, no source. */
const SPLIT_SHARES = [0.55, 0.8] as const;
const POLE_AHEAD_M = 0.25;

/** The headline halfway between no bracing and the bracing that is easiest on the legs, and both ends (E17). */
export const overBrace = (setting: StandingSetting): { heads: StandingSetting[]; bounds: () => StandingSetting[] } => {
  const at = (fraction: number): StandingSetting => ({ ...setting, brace: { kind: "least", fraction } });
  return { heads: [at(0.5)], bounds: () => [at(0), at(1)] };
};
/** The same at both ends of a share that was not measured. */
export function overBraceAndShares(
  setting: StandingSetting,
  shares: readonly number[],
): { heads: StandingSetting[]; bounds: () => StandingSetting[] } {
  const all = shares.map((leadShareFraction) => overBrace({ ...setting, leadShareFraction }));
  return { heads: all.flatMap(({ heads }) => heads), bounds: () => all.flatMap(({ bounds }) => bounds()) };
}
const rearBlock = (backM: number, levelM: number): SceneProp[] =>
  levelM > 0.02 ? [{ kind: "block", atXM: -backM, topM: levelM, widthM: 0.36 }] : [];

/** One foot ahead of the other, both on something: split squats, the rear foot raised or not. */
export const SPLIT = template({
  id: "split",
  kind: "standing",
  parameters: { trunk: ["free", "kept"] },
  levers: {
    kneeFlexionDeg: fixed(20, 110, 70),
    shankLeanDeg: fixed(-10, 35, 15),
    stanceBackM: fixed(0.3, 0.9, 0.6),
    rearHeelDeg: fixed(10, 55, 45),
    rearLevelM: fixed(0, 0.45, 0),
    shareFraction: fixed(0.3, 0.95, NaN),
    handForceN: fixed(0, nFromKgf(40), 0),
    loadKg: fixed(0, 60, 0),
    trunkKeptDeg: fixed(-5, 40, 10),
  },
  movesBy: () => "kneeFlexionDeg",
  samples: [1, 0.9, 0.8],
  isEven: () => false,
  shin: "lever",
  set:
    (subject, { trunk }, v) =>
    () => {
      const isKept = trunk === "kept";
      const setting = standing(subject, {
        depth: toKnee(v.kneeFlexionDeg),
        shankRule: { kind: "fixed", shankLeanDeg: v.shankLeanDeg },
        pressureFraction: 0.5,
        ...(isKept ? { arms: HANG } : onPole(v.handForceN, POLE_AHEAD_M)),
        loads: weightAt("hands", v.loadKg),
        ...(isKept ? { balance: { solve: "share", trunkLeanDeg: v.trunkKeptDeg } as const } : {}),
        trail: { kind: "ground", backM: v.stanceBackM, heelDeg: v.rearHeelDeg, levelM: v.rearLevelM, pressureFraction: 0.5 },
      });
      const spread = isKept
        ? overBrace(setting)
        : overBraceAndShares(setting, v.shareFraction === undefined ? SPLIT_SHARES : [v.shareFraction]);
      return {
        by: "standing",
        body: subject.body,
        ...spread,
        isDepth: true,
        trust: () => BRACED,
        scene: () => [...rearBlock(v.stanceBackM, v.rearLevelM), ...(isKept ? [] : poleScene(v.handForceN, POLE_AHEAD_M))],
        notes: [],
      };
    },
  traits: (_, { loadKg }) => (loadKg > 0 ? ["added-weight"] : []),
  cannotSay: ({ trunk }) =>
    trunk === "kept"
      ? "The bracing between the feet. Here the share on the front leg follows from the trunk that is held."
      : "How much the feet brace against each other: knee and hip of both legs are a range, not a number. Two scales narrow it.",
});

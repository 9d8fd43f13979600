import { nFromKgf } from "../units";

/** What kind of change a lever makes; the order in which a school builds and eases goes by these. */
export type LeverKind = "support" | "range" | "stance" | "load" | "posture" | "time";
export type LeverUnit = "m" | "deg" | "kg" | "N" | "fraction" | "s";

interface LeverRow {
  unit: LeverUnit;
  kind: LeverKind;
  /** Which way asks more; null where that depends on the rest of the set-up. */
  harder: "more" | "less" | null;
  /** Smallest change a usual studio can set up, and the smallest a client feels: both give way to the studio's own. */
  increment: number;
  felt: number;
}
const row = (unit: LeverUnit, kind: LeverKind, harder: LeverRow["harder"], increment: number, felt: number): LeverRow => ({
  unit,
  kind,
  harder,
  increment,
  felt,
});
const KGF = nFromKgf(1);
/** A small firm cushion, pressed: common practice, no source. */
export const CUSHION_M = 0.04;

/** Everything that can be changed, in any template: the unit is in the name. Forces are both hands or both ends together. */
export const LEVERS = {
  seatHeightM: row("m", "range", "less", 0.01, CUSHION_M),
  kneeFlexionDeg: row("deg", "range", "more", 5, 10),
  stepHeightM: row("m", "range", "more", 0.01, CUSHION_M),
  handleHeightM: row("m", "range", "less", 0.01, 0.05),
  trunkLeanDeg: row("deg", "range", "more", 2, 6),
  hipFlexionDeg: row("deg", "range", "less", 5, 10),
  kneeAtTopDeg: row("deg", "range", "more", 5, 10),
  endKneeDeg: row("deg", "range", "less", 5, 10),
  startKneeDeg: row("deg", "range", "more", 5, 10),
  legRaiseDeg: row("deg", "range", null, 5, 10),
  heelRaiseDeg: row("deg", "range", null, 5, 10),
  bodyLeanDeg: row("deg", "range", "more", 5, 5),
  handForceN: row("N", "support", "less", KGF, 4 * KGF),
  railForceN: row("N", "support", null, KGF, 4 * KGF),
  strapForceN: row("N", "support", null, KGF, 4 * KGF),
  stickForceN: row("N", "support", "less", KGF, 2 * KGF),
  shareFraction: row("fraction", "stance", "more", 0.05, 0.1),
  stanceBackM: row("m", "stance", null, 0.05, 0.1),
  rearLevelM: row("m", "stance", null, 0.05, 0.1),
  footFurtherM: row("m", "stance", null, 0.05, 0.1),
  legsApartDeg: row("deg", "stance", null, 5, 10),
  loadKg: row("kg", "load", "more", 1, 2),
  ankleKg: row("kg", "load", "more", 0.5, 0.5),
  sledForceN: row("N", "load", "more", 5 * KGF, 10 * KGF),
  bandForceN: row("N", "load", "more", KGF, 2 * KGF),
  cuffForceN: row("N", "load", "more", KGF, 2 * KGF),
  shankLeanDeg: row("deg", "posture", null, 1, 5),
  trunkKeptDeg: row("deg", "posture", null, 5, 10),
  wedgeDeg: row("deg", "posture", null, 5, 5),
  rearHeelDeg: row("deg", "posture", null, 5, 10),
  trailThighDeg: row("deg", "posture", null, 5, 10),
  trailKneeDeg: row("deg", "posture", null, 5, 10),
  handDirectionDeg: row("deg", "posture", null, 5, 10),
  supportAheadM: row("m", "posture", null, 0.05, 0.1),
  loadAheadM: row("m", "posture", null, 0.05, 0.1),
  anchorHeightM: row("m", "posture", null, 0.05, 0.1),
  anchorAheadM: row("m", "posture", null, 0.05, 0.1),
  strapDirectionDeg: row("deg", "posture", null, 5, 10),
  handleAlongM: row("m", "posture", null, 0.05, 0.1),
  benchHeightM: row("m", "posture", null, 0.01, 0.05),
  ballHeightM: row("m", "posture", null, 0.05, 0.1),
  feetUpM: row("m", "posture", null, 0.05, 0.1),
  feetHighM: row("m", "posture", null, 0.01, 0.05),
  inclineDeg: row("deg", "posture", null, 5, 10),
  seatBackDeg: row("deg", "posture", null, 5, 10),
  bandArmM: row("m", "posture", null, 0.05, 0.1),
  handOutM: row("m", "posture", null, 0.05, 0.1),
  setS: row("s", "time", null, 5, 10),
} as const satisfies Record<string, LeverRow>;

export type LeverId = keyof typeof LEVERS;
export const LEVER_IDS = Object.keys(LEVERS) as LeverId[];
export const harderOf = (lever: LeverId): "more" | "less" | null => LEVERS[lever].harder;

/** Values of a variation's levers, SI. What is left out stands as the variation starts; a share left out was not measured. */
export type Setting = Readonly<Partial<Record<LeverId, number>>>;
/** Raised when the meaning of a stored setting changes. */
export const SETTING_VERSION = 1;

/** What the leg that is spared carries on two level feet where nobody measured it; which leg that is, nobody knows either. */
export const SPARED_SHARE = 0.45;
/** The same for climbing, where the lower foot's push-off is not known: least, usual, all on the upper leg. */
export const CLIMB_SHARES = [0.65, 0.8, 1] as const;

/** Whether two set-ups are the same to the millimetre and the gram. */
export function isSameSetting(a: Setting, b: Setting): boolean {
  const levers = new Set([...Object.keys(a), ...Object.keys(b)] as LeverId[]);
  return [...levers].every((lever) => a[lever] === b[lever] || Math.abs((a[lever] ?? NaN) - (b[lever] ?? NaN)) < 1e-6);
}
export const withLever = (setting: Setting, lever: LeverId, value: number): Setting => ({ ...setting, [lever]: value });

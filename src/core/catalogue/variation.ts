/** The catalogue's types. Rows live beside this file as typed data; a trainer's own have the same shape. */
export type Pattern = "squat" | "hinge" | "bridge" | "step";

/** What can be changed on the floor. The unit is in the name; hand force is both hands together, upward. */
export type LeverId = "seatHeightM" | "kneeFlexionDeg" | "handForceN" | "loadKg" | "shareFraction";
export type LeverKind = "support" | "range" | "load" | "share";

export const LEVERS = {
  seatHeightM: { kind: "range", harder: "less" },
  kneeFlexionDeg: { kind: "range", harder: "more" },
  handForceN: { kind: "support", harder: "less" },
  loadKg: { kind: "load", harder: "more" },
  shareFraction: { kind: "share", harder: "more" },
} as const satisfies Record<LeverId, { kind: LeverKind; harder: "less" | "more" }>;

export interface LeverRange {
  lever: LeverId;
  min: number;
  max: number;
  /** Where it stands before anything is solved. */
  start: number;
}

/** Values of a variation's levers, SI. A lever the variation does not have is absent. */
export type Setting = Readonly<Partial<Record<LeverId, number>>>;

/** What the hands hold on to. `aheadOfToesM` places it; a rail is pulled, so its force also points forward. */
export interface HandSupport {
  kind: "pole" | "counter" | "rail";
  aheadOfToesM: number;
  heightM: number;
  directionDeg: number;
}

export interface StandingTemplate {
  kind: "standing";
  arms: "forward" | "crossed" | "goblet" | "hang";
  loadAt: "hands" | "back" | null;
  support: HandSupport | null;
}

export interface Fault {
  id: string;
  sign: string;
  cause: string;
  response: string;
}

export type Equipment = "chair" | "pads" | "box" | "pole" | "counter" | "rail" | "dumbbell" | "barbell";

export interface Dose {
  setCount: number;
  repetitionsLow: number;
  repetitionsHigh: number;
  tempo: { lowerS: number; pauseS: number; riseS: number };
  restS: number;
}

export interface Variation {
  id: string;
  pattern: Pattern;
  name: string;
  purpose: string;
  setUp: string;
  cues: readonly string[];
  faults: readonly Fault[];
  template: StandingTemplate;
  levers: readonly LeverRange[];
  equipment: readonly Equipment[];
  cautions: readonly string[];
  /** Ids of the next easier and next harder variations on the handbook's ladder. */
  easier: readonly string[];
  harder: readonly string[];
  dose: Dose;
  /** Place on the handbook's ladder, easiest first: it ranks where no ceiling does. */
  ladderPlace: number;
}

/** Whether two set-ups are the same to the millimetre and the gram. */
export function isSameSetting(a: Setting, b: Setting): boolean {
  const levers = new Set([...Object.keys(a), ...Object.keys(b)] as LeverId[]);
  return [...levers].every((lever) => Math.abs((a[lever] ?? NaN) - (b[lever] ?? NaN)) < 1e-6);
}

/** Whether a set-up has just the levers of this variation, each within its range. */
export const isSettingOf = (variation: Variation, setting: Setting): boolean =>
  Object.keys(setting).every((lever) => variation.levers.some((range) => range.lever === lever)) &&
  variation.levers.every(({ lever, min, max }) => {
    const value = setting[lever];
    return value === undefined || (value >= min - 1e-9 && value <= max + 1e-9);
  });

export const hasLever = (variation: Variation, lever: LeverId): boolean => variation.levers.some((range) => range.lever === lever);

export const startSetting = (variation: Variation): Setting =>
  Object.fromEntries(variation.levers.map(({ lever, start }) => [lever, start]));

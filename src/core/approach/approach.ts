import type { Day } from "../day";
import type { LeverKind } from "../templates/lever";
import { AXES, type Axis, type AxisId, type Position } from "./axes.data";
import { SCHOOL_CUES } from "./cues.data";

/** Where a school stands, axis by axis; what is left out stands as the mainstream does. */
export type Positions = Readonly<Record<AxisId, string>>;

/** Numbers that a school owns. */
export interface SchoolNumbers {
  /** The most pain during a set, of ten; never sharp, never spreading. */
  painLimitScore: number;
  /** Below the first, a change at a kept posture is small; above the second it is too big a jump. */
  smallRiserFraction: number;
  largestRiserFraction: number;
  /** Sessions in a row, good and calm, that a build takes. */
  sessionsToBuild: number;
  targetUseFraction: number;
  /** Full days of rest between two sessions of the same work. */
  restDays: number;
  /** A clearance is asked for again after so many months. */
  clearanceMonths: number;
}
export const NUMBER_BOUNDS: Readonly<Record<keyof SchoolNumbers, { min: number; max: number }>> = {
  painLimitScore: { min: 0, max: 5 },
  smallRiserFraction: { min: 0.02, max: 0.1 },
  largestRiserFraction: { min: 0.05, max: 0.2 },
  sessionsToBuild: { min: 2, max: 6 },
  targetUseFraction: { min: 0.4, max: 0.9 },
  restDays: { min: 0, max: 3 },
  clearanceMonths: { min: 1, max: 12 },
};

/** The rules a trainer works by: a preset, and whatever is held otherwise for this client. */
export interface School extends SchoolNumbers {
  id: string;
  positions: Positions;
  /** What is built first. Support first frees the hands before the seat is lowered. */
  buildOrder: readonly LeverKind[];
  /** What its positions leave out. */
  leavings: readonly Leaving[];
}
/** What a position leaves out: the rows, and what it takes instead; of some only with a back to be careful with. */
export interface Leaving {
  axisId: AxisId;
  positionId: string;
  codes: readonly string[];
  instead: readonly string[];
  onlyWith?: "a-back";
}

const MAINSTREAM: Positions = {
  "knee-travel": "graded-forward",
  pain: "settles",
  "height-or-load": "height-first",
  trunk: "hip-first",
  "weak-side": "equal-weak-first",
  frequency: "three-a-week",
  "foot-pressure": "three-points",
  depth: "to-the-tuck",
  "abduction-trunk": "neutral",
  "abduction-dose": "many-light",
  activation: "light-before",
  effort: "stop-at-form",
  stretching: "load-the-range",
  "step-up": "lean",
  "muscle-cue": "buttock",
  straightening: "soft",
  speed: "slow-then-fast",
  "big-lifts": "swapped-for-a-while",
  "session-order": "weak-first",
  "thrust-start": "vertical-shins",
  sets: "given",
  "straightening-hang": "supported",
  "first-knee-work": "easy-standing",
  "measured-first": "sore-first",
  "both-sides": "each-alone",
};
const USUAL: SchoolNumbers = {
  painLimitScore: 3,
  smallRiserFraction: 0.05,
  largestRiserFraction: 0.12,
  sessionsToBuild: 2,
  targetUseFraction: 0.7,
  restDays: 1,
  clearanceMonths: 12,
};

interface Preset {
  id: string;
  positions: Partial<Positions>;
  numbers: Partial<SchoolNumbers>;
}
/** Whole schools by neutral names; the first is the house's own, the cautious mainstream. */
export const PRESETS = [
  { id: "mainstream", positions: {}, numbers: {} },
  {
    id: "gentle",
    positions: {
      "knee-travel": "behind-toes",
      pain: "none",
      depth: "partial",
      frequency: "daily",
      "foot-pressure": "heels",
      effort: "easy-first",
      speed: "slow",
      "big-lifts": "removed",
      sets: "by-feel",
    },
    numbers: { largestRiserFraction: 0.08, sessionsToBuild: 3, targetUseFraction: 0.6, restDays: 0 },
  },
  {
    id: "knee-forward",
    positions: {
      "height-or-load": "load-first",
      depth: "deep-as-comfortable",
      "step-up": "knee-forward",
      "muscle-cue": "knee-muscle",
      straightening: "lock-out",
      "foot-pressure": "raised-heels",
      "session-order": "ground-up",
      "first-knee-work": "band-and-drag",
    },
    numbers: {},
  },
  {
    id: "one-leg",
    positions: {
      trunk: "core-each-session",
      "weak-side": "double",
      "knee-travel": "over-front-foot",
      frequency: "two-rest-days",
      "big-lifts": "removed",
      "abduction-dose": "moderate",
    },
    numbers: { restDays: 2 },
  },
] as const satisfies readonly Preset[];
export type PresetId = (typeof PRESETS)[number]["id"];
export const PRESET_IDS = PRESETS.map(({ id }) => id);

export const axisOf = (id: AxisId): Axis | undefined => AXES.find((axis) => axis.id === id);
export const positionOf = ({ positions }: Pick<School, "positions">, axisId: AxisId): Position | undefined =>
  axisOf(axisId)?.positions.find(({ id }) => id === positions[axisId]);

const leavingsOf = (positions: Positions): Leaving[] =>
  AXES.flatMap(({ id: axisId }): Leaving[] => {
    const position = positionOf({ positions }, axisId);
    return position?.closes ? [{ axisId, positionId: position.id, ...position.closes }] : [];
  });
/** How much pain a position allows during a set, of ten; a number chosen for the client goes before it. */
const PAIN_LIMITS: Readonly<Record<string, number>> = { none: 0, settles: 3, controlled: 4 };
const HEIGHT_FIRST: readonly LeverKind[] = ["support", "range", "load"];
const LOAD_FIRST: readonly LeverKind[] = ["support", "load", "range"];

/** A school whole, from what a trainer chose of it. Positions that no axis has are left as the preset holds them. */
export function schoolOf({
  preset,
  positions = {},
  numbers = {},
}: {
  preset: PresetId;
  positions?: Partial<Positions>;
  numbers?: Partial<SchoolNumbers>;
}): School {
  const { positions: own, numbers: ownNumbers } = PRESETS.find(({ id }) => id === preset) as Preset;
  const known = Object.entries(positions).filter(([axisId, id]) => axisOf(axisId)?.positions.some((each) => each.id === id));
  const held = { ...MAINSTREAM, ...own, ...Object.fromEntries(known) } as Positions;
  return {
    id: preset,
    positions: held,
    ...USUAL,
    painLimitScore: PAIN_LIMITS[held["pain"] ?? ""] ?? USUAL.painLimitScore,
    ...ownNumbers,
    ...numbers,
    buildOrder: held["height-or-load"] === "load-first" ? LOAD_FIRST : HEIGHT_FIRST,
    leavings: leavingsOf(held),
  };
}
export const DEFAULT_SCHOOL: School = schoolOf({ preset: "mainstream" });

/** A school as it was chosen for one client: by whom, when and why. */
export interface SchoolChoice {
  id: string;
  preset: PresetId;
  positions: Partial<Positions>;
  numbers: Partial<SchoolNumbers>;
  by: string;
  reason: string;
  day: Day;
}

/** The positions that leave a row out for this client. */
export const leftOutBy = ({ leavings }: Pick<School, "leavings">, code: string, hasBack: boolean): Leaving[] =>
  leavings.filter(({ codes, onlyWith }) => codes.includes(code) && (hasBack || onlyWith !== "a-back"));

/** Positions that are barred for who has a complaint or a condition: they cannot be chosen for this client. */
export const barredFor = (
  { positions }: Pick<School, "positions">,
  isInRehabilitation: boolean,
): { axisId: AxisId; positionId: string }[] =>
  isInRehabilitation
    ? Object.entries(positions).flatMap(([axisId, positionId]) =>
        positionOf({ positions }, axisId)?.isBarred ? [{ axisId, positionId }] : [],
      )
    : [];

/** Where two schools differ, axis by axis. */
export const differencesOf = (a: School, b: School): { axisId: AxisId; a: string; b: string }[] =>
  AXES.flatMap(({ id }) => {
    const [one, other] = [a.positions[id] ?? "", b.positions[id] ?? ""];
    return one === other ? [] : [{ axisId: id, a: one, b: other }];
  });

/** What the client is told on a row: the school's words first, then the row's own that do not say otherwise. */
export function cuesOf({ positions }: Pick<School, "positions">, { code, cues }: { code: string; cues: readonly string[] }): string[] {
  const own = SCHOOL_CUES.filter(({ axisId, positionId, codes }) => positions[axisId] === positionId && codes.includes(code));
  const givesWay = (cue: string): boolean => own.some(({ insteadOf }) => insteadOf?.some((word) => cue.toLowerCase().includes(word)));
  return [...own.map(({ cue }) => cue), ...cues.filter((cue) => !givesWay(cue))];
}

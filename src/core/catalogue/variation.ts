import type { Form } from "../templates/form";
import type { Setting } from "../templates/lever";
import type { Trait } from "../templates/template";

/** The catalogue's types. Rows live beside this file as typed data; a trainer's own have the same shape. */
export const PATTERNS = ["squat", "hinge", "bridge", "step", "helper"] as const;
/** The helpers stand beside the four patterns: isolation, calf, side hip, carry. */
export type Pattern = (typeof PATTERNS)[number];

export const EQUIPMENT = ["chair", "pads", "box", "pole", "counter", "rail", "step", "mat", "dumbbell", "barbell", "ankle-weight"] as const;
export type Equipment = (typeof EQUIPMENT)[number];

/** What may be seen, its likely cause, and what to do about it. */
export interface Fault {
  id: string;
  sign: string;
  cause: string;
  response: string;
}

/** The order a repetition runs in: bridges and steps begin by rising, squats and hinges by lowering. */
export type TempoPhase = "lower" | "pause" | "rise";
export interface Dose {
  setCount: number;
  repetitionsLow: number;
  repetitionsHigh: number;
  tempo: { lowerS: number; pauseS: number; riseS: number };
  restS: number;
  mixed?: Mixed;
}
/** The first sets at a harder setting of the same row, where the kit's smallest step is too big for all of them at once. */
export interface Mixed {
  setting: Setting;
  setCount: number;
}

/** One named way to do a pattern: plain data over one template, to be stored, exported, or written by a trainer. */
export interface Variation extends Form {
  /** Never renamed, only retired: a record that names it still opens. */
  id: string;
  /** Raised when its set-up means something else than before. */
  revision: number;
  pattern: Pattern;
  name: string;
  purpose: string;
  setUp: string;
  cues: readonly string[];
  faults: readonly Fault[];
  equipment: readonly Equipment[];
  cautions: readonly string[];
  /** Ids of the next easier and next harder variations on the handbook's ladder. */
  easier: readonly string[];
  harder: readonly string[];
  dose: Dose;
  /** Place on the handbook's ladder, easiest first: it ranks where no ceiling does. */
  ladderPlace: number;
  startsBy: "lower" | "rise";
  /** What the template cannot know of it. */
  traits?: readonly Trait[];
  isRetired?: true;
}

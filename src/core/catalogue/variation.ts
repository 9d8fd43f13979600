import type { Form } from "../templates/form";
import type { LeverId, Setting } from "../templates/lever";
import type { Trait } from "../templates/template";
import type { Equipment } from "../kit/equipment";

/** The catalogue's types. Rows live in rows/ as typed data; a trainer's own have the same shape. */
export const PATTERNS = ["squat", "hinge", "bridge", "step", "helper"] as const;
/** The helpers stand beside the four patterns. */
export type Pattern = (typeof PATTERNS)[number];
export type HelperGroup = "knee" | "calf" | "side-hip" | "trunk" | "range" | "upper" | "heart";

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
  /** What is counted where it is not repetitions; the tempo is that of one of them. */
  counts?: Counted;
  mixed?: Mixed;
  drops?: Drops;
}
/** A drop set: the last sets at lighter loads, each at once after the one before. */
export interface Drops {
  lever: LeverId;
  values: readonly number[];
}
export const COUNTED = ["lengths", "metres", "rounds"] as const;
export type Counted = (typeof COUNTED)[number];
/** The first sets at a harder setting of the same row, where the kit's smallest step is too big for all of them at once. */
export interface Mixed {
  setting: Setting;
  setCount: number;
}
/** How often it may come back: how many days lie between follows from it. */
export type Frequency = "several-a-day" | "daily" | "three-a-week" | "two-rest-days";

/** What a row trains: the model sees only the side view, so an order by the weak link goes by these scores. */
export const TRAINED = [
  "quads",
  "hamstrings",
  "glutes",
  "side-hip",
  "adductors",
  "hip-flexors",
  "calf",
  "shin",
  "foot",
  "trunk",
  "back-line",
  "upper-back",
  "shoulders",
  "balance",
  "heart",
  "knee-range",
  "hip-range",
  "ankle-range",
] as const;
export type Trained = (typeof TRAINED)[number];
/** 1 a little, 2 well, 3 most of all; what is left out not at all. */
export type TrainedScore = 1 | 2 | 3;

export const POSITIONS = [
  "standing",
  "sitting",
  "shoulders-on-bench",
  "on-the-back",
  "face-down",
  "on-the-side",
  "on-a-frame",
  "kneeling",
  "water",
  "any",
] as const;
export type Position = (typeof POSITIONS)[number];
export type Rank = 0 | 1 | 2 | 3;
/** What a row is at a glance: our own starting values, the trainer's to change. They speak where the model does not. */
export interface Tags {
  position: Position;
  legs: "two" | "split" | "one" | "any";
  knee: Rank;
  back: Rank;
  balance: Rank;
  isImpact?: true;
  /** Made for pregnancy. */
  isForPregnancy?: true;
}

/** One named way to do a pattern: plain data over one template, to be stored, exported, or written by a trainer. */
export interface Variation extends Form {
  /** Never renamed, only retired: a record that names it still opens. */
  id: string;
  /** The trade's own short name for it, as stable as the id. */
  code: string;
  /** Of a trainer's own: the code it was made from, whose rules hold for it. */
  basedOn?: string;
  /** Raised when its set-up means something else than before. */
  revision: number;
  pattern: Pattern;
  name: string;
  alsoCalled: readonly string[];
  purpose: string;
  /** The same in one plain sentence to the client. */
  why: string;
  setUp: string;
  cues: readonly string[];
  faults: readonly Fault[];
  equipment: readonly Equipment[];
  cautions: readonly string[];
  trains: Readonly<Partial<Record<Trained, TrainedScore>>>;
  /** How it comes down: not at all, as in a drag or against a band; slowly; or fast. */
  lowering: "none" | "slow" | "fast";
  tags: Tags;
  often: Frequency;
  /** Ids of the next easier and next harder variations on the handbook's ladder. */
  easier: readonly string[];
  harder: readonly string[];
  dose: Dose;
  /** How many steps it lies above the easiest of its pattern: it ranks where no ceiling does. */
  ladderPlace: number;
  startsBy: "lower" | "rise";
  /** What the template cannot know of it. */
  traits: readonly Trait[];
  /** Known, and kept out of what this trade's clients do. */
  isKeptOut?: true;
  isRetired?: true;
}

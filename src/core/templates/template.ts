import { type Body } from "../body/body";
import type { BandTable } from "../mechanics/band";
import type { Side, TemplateKind } from "../mechanics/channels";
import type { PostureRule } from "../mechanics/posture";
import type { LeverId } from "./lever";
import type { NoSetUp, SetUp } from "./set-up";

/** Whose body, how it moves, and which leg is the one to watch: it leads in every pose. */
export interface Subject {
  body: Body;
  posture: PostureRule;
  leadSide: Side;
  /** The band in hand, as it was measured; a middling one stands in, and says so, until one is. */
  band?: BandTable | null;
}

export type TemplateId =
  | "two-feet"
  | "split"
  | "step"
  | "single-leg"
  | "hinge"
  | "bridge"
  | "leg-press"
  | "lean"
  | "strap-lean"
  | "knee-extension"
  | "calf"
  | "side-hip"
  | "carry"
  | "no-model";

/** What a set-up is, whatever its numbers: what "never" limits name. */
export const TRAITS = [
  "added-weight",
  "bar-on-shoulders",
  "lying",
  "face-down",
  "kneeling",
  "overhead",
  "twisting",
  "spine-bends",
  "impact",
  "breath-holding",
] as const;
export type Trait = (typeof TRAITS)[number];

/** A fixed parameter: one of a closed list of words, the first where none is said, or a number within bounds. */
export type ParameterRule = readonly string[] | { min: number; max: number; otherwise: number };
export type Parameters = Readonly<Record<string, string | number>>;
type ParametersOf<P> = { readonly [K in keyof P]: P[K] extends readonly (infer W)[] ? W : number };

/** A lever of a template: its range on one body, and its value where a variation does not have it. */
interface LeverUse {
  range: (subject: Subject) => readonly [min: number, max: number];
  otherwise: number;
}
type Values<L extends LeverId> = { readonly [K in L as Exclude<K, "shareFraction">]: number } & {
  /** Undefined where nobody measured it. */
  readonly shareFraction?: number | undefined;
};

/** What a template answers about one set-up, its parameters and levers already checked and filled in. */
export interface Template {
  id: TemplateId;
  kind: TemplateKind;
  parameters: Readonly<Record<string, ParameterRule>>;
  levers: Readonly<Partial<Record<LeverId, LeverUse>>>;
  /** The lever that the movement runs along. */
  movesBy: (parameters: Parameters) => LeverId;
  /** Where along the movement it is read: 1 is the pose that the levers set, and comes first. */
  samples: readonly number[];
  /** Both feet do the same: the side only says which leg is watched. */
  isEven: (parameters: Parameters) => boolean;
  /** What says how the shin leans: the client's posture rule, a lever, balance under a kept trunk, or nothing. */
  shin: "rule" | "lever" | "balance" | "none";
  /**
   * The only place where a trainer's levers become a mechanical setting: what holds for the whole movement first, then
   * each place along it, from 0, where it begins, to 1.
   */
  set: (subject: Subject, parameters: Parameters, values: Values<LeverId>) => (at: number) => SetUp | NoSetUp;
  traits: (parameters: Parameters, values: Values<LeverId>) => readonly Trait[];
  cannotSay: (parameters: Parameters) => string;
}

interface Definition<P extends Readonly<Record<string, ParameterRule>>, L extends LeverId> {
  id: TemplateId;
  kind: TemplateKind;
  parameters: P;
  levers: Record<L, LeverUse>;
  movesBy: (parameters: ParametersOf<P>) => NoInfer<L>;
  samples: readonly number[];
  isEven: (parameters: ParametersOf<P>) => boolean;
  shin: Template["shin"];
  set: (subject: Subject, parameters: ParametersOf<P>, values: Values<NoInfer<L>>) => (at: number) => SetUp | NoSetUp;
  traits: (parameters: ParametersOf<P>, values: Values<NoInfer<L>>) => readonly Trait[];
  cannotSay: (parameters: ParametersOf<P>) => string;
}

/** A template whose parts can only ask for the parameters and levers it has: both are checked where a form comes in. */
export const template = <const P extends Readonly<Record<string, ParameterRule>>, L extends LeverId>(
  definition: Definition<P, L>,
): Template => definition as unknown as Template;

export const fixed = (min: number, max: number, otherwise: number): LeverUse => ({ range: () => [min, max], otherwise });
export const byBody = (range: LeverUse["range"], otherwise: number): LeverUse => ({ range, otherwise });
export const between = (from: number, to: number, at: number): number => from + (to - from) * at;

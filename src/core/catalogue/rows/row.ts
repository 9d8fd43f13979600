import { nFromKgf } from "../../units";
import type { Bound, Form, LeverRange } from "../../templates/form";
import type { Parameters, TemplateId } from "../../templates/template";
import type { Dose, HelperGroup, Pattern, Position, Rank, Tags, Variation } from "../variation";

/** A row as it is written down: what follows from its code and from its neighbours is left out. */
export interface Row extends Omit<Variation, "easier" | "harder" | "ladderPlace"> {
  /** Codes of the next harder ones; the easier ones follow. */
  next: readonly string[];
}
type Told = Omit<
  Row,
  "code" | "id" | "name" | "pattern" | "revision" | "alsoCalled" | "cautions" | "lowering" | "often" | "startsBy" | "traits"
> &
  Partial<Pick<Row, "revision" | "alsoCalled" | "cautions" | "lowering" | "often" | "startsBy" | "traits">>;

const PATTERN_OF: Readonly<Record<string, Pattern>> = { S: "squat", H: "hinge", B: "bridge", L: "step" };
const GROUP_OF: Readonly<Record<string, HelperGroup>> = {
  K: "knee",
  C: "calf",
  A: "side-hip",
  T: "trunk",
  M: "range",
  P: "upper",
  E: "heart",
};
export const patternOf = (code: string): Pattern => PATTERN_OF[code.charAt(0)] ?? "helper";
/** The shelf a helper stands on; null for a row of the four patterns. */
export const groupOf = ({ code }: Pick<Variation, "code">): HelperGroup | null => GROUP_OF[code.charAt(0)] ?? null;

export const row = (code: string, id: string, name: string, told: Told): Row => {
  const pattern = patternOf(code);
  return {
    code,
    id,
    name,
    pattern,
    revision: 1,
    alsoCalled: [],
    cautions: [],
    lowering: "slow",
    often: "three-a-week",
    startsBy: pattern === "squat" || pattern === "hinge" ? "lower" : "rise",
    traits: [],
    ...told,
  };
};

/** Position, legs, and what is asked of knee, low back and balance, 0 to 3. */
export const tags = (position: Position, legs: Tags["legs"], knee: Rank, back: Rank, balance: Rank, more: Partial<Tags> = {}): Tags => ({
  position,
  legs,
  knee,
  back,
  balance,
  ...more,
});

export const dose = (setCount: number, low: number, high: number, lowerS: number, pauseS: number, restS: number, riseS = 2): Dose => ({
  setCount,
  repetitionsLow: low,
  repetitionsHigh: high,
  tempo: { lowerS, pauseS, riseS },
  restS,
});
/** Holds, as repetitions of so many seconds each. */
export const holds = (setCount: number, low: number, high: number, holdS: number, restS: number): Dose =>
  dose(setCount, low, high, 1, holdS, restS, 1);

export const form = (template: TemplateId, parameters: Parameters, ...levers: readonly LeverRange[]): Form => ({
  template,
  parameters,
  levers,
});
/** Not in the body model: seconds of the set, and a weight where it takes one. */
export const noModel = (setS: number, mostKg = 0): Form =>
  form(
    "no-model",
    {},
    { lever: "setS", min: 5, max: Math.max(60, setS * 2), start: setS },
    ...(mostKg > 0 ? [{ lever: "loadKg", min: 0, max: mostKg, start: 0 } as const] : []),
  );

export const lever = (id: LeverRange["lever"], min: Bound, max: Bound, start: Bound): LeverRange => ({ lever: id, min, max, start });
/** A seat between two knee bends, on any body; the bend it starts at. */
export const seat = (lowestKneeDeg: number, highestKneeDeg: number, startKneeDeg: number): LeverRange =>
  lever("seatHeightM", { kneeFlexionDeg: lowestKneeDeg }, { kneeFlexionDeg: highestKneeDeg }, { kneeFlexionDeg: startKneeDeg });
export const knee = (min: number, max: number, start: number): LeverRange => lever("kneeFlexionDeg", min, max, start);
export const hands = (maxKg: number, startKg: number): LeverRange => lever("handForceN", 0, nFromKgf(maxKg), nFromKgf(startKg));
export const load = (min: Bound, max: Bound, start: Bound): LeverRange => lever("loadKg", min, max, start);
export const SHARE: LeverRange = lever("shareFraction", 0.3, 0.7, 0.5);
export const frontShare = (start: number): LeverRange => lever("shareFraction", 0.5, 0.95, start);

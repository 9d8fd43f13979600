import { LEVERS, type LeverId, type LeverRange, type Setting, type Variation } from "../catalogue/variation";
import type { Judgement } from "./candidate";

/** Floating steps drift; a seat of 0.5800000001 m is not a seat. */
const roundTo = (value: number, increment: number): number => Math.round(Math.round(value / increment) * increment * 1e9) / 1e9;

/** The values of a lever that the equipment on hand allows, easiest first. */
export function leverValues({ lever, min, max }: LeverRange, increment: number): number[] {
  const first = Math.ceil(min / increment - 1e-9);
  const last = Math.floor(max / increment + 1e-9);
  const values = Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => roundTo((first + i) * increment, increment));
  return LEVERS[lever].harder === "more" ? values : values.reverse();
}

export const rangeOf = (variation: Variation, lever: LeverId): LeverRange | undefined =>
  variation.levers.find((range) => range.lever === lever);

export const withLever = (setting: Setting, lever: LeverId, value: number): Setting => ({ ...setting, [lever]: value });

/** Every lever moved to a value the equipment allows, never a harder one. */
export function snapSetting(variation: Variation, setting: Setting, increments: Readonly<Record<LeverId, number>>): Setting {
  return variation.levers.reduce<Setting>((snapped, range) => {
    const wanted = setting[range.lever] ?? range.start;
    const values = leverValues(range, increments[range.lever]);
    const harderMore = LEVERS[range.lever].harder === "more";
    const safe = values.filter((x) => (harderMore ? x <= wanted + 1e-9 : x >= wanted - 1e-9)).at(-1);
    return withLever(snapped, range.lever, safe ?? values[0] ?? wanted);
  }, {});
}

/** Whether a set-up is inside every limit and its headline use at most `useFraction`. */
export const isWithin = ({ blocked, tightest }: Judgement, useFraction: number): boolean =>
  !blocked && (tightest === null || tightest.head <= useFraction);

/** How many of the first values hold, for a test that is true up to some place and false from there on. */
export function countHolding(values: readonly number[], holds: (value: number) => boolean): number {
  let low = 0;
  let high = values.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (holds(values[middle] ?? NaN)) low = middle + 1;
    else high = middle;
  }
  return low;
}

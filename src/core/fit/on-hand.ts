import type { Variation } from "../catalogue/variation";
import { leversOf, type OwnRange } from "../templates/form";
import { harderOf, type Setting, withLever } from "../templates/lever";
import { oncePer } from "../once";
import { assembledFor, type Holds } from "./assemble";
import type { FitContext, Kit } from "./context";
import type { Glance } from "./judge";

/** Floating steps drift; a seat of 0.5800000001 m is not a seat. */
const roundTo = (value: number, increment: number): number => Math.round(Math.round(value / increment) * increment * 1e9) / 1e9;

/** The values of a lever that the equipment on hand allows, easiest first where one end is easier. */
export function leverValues({ lever, min, max }: Pick<OwnRange, "lever" | "min" | "max">, increment: number): number[] {
  const first = Math.ceil(min / increment - 1e-9);
  const last = Math.floor(max / increment + 1e-9);
  const values = Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => roundTo((first + i) * increment, increment));
  return harderOf(lever) === "less" ? values.reverse() : values;
}
/** What can be assembled where that is known, else by the lever's increment. The range is one of this row's. */
export const valuesOn = ({ kit }: Pick<FitContext, "kit">, row: Holds, range: OwnRange): readonly number[] => valuesIn(kit)(range)(row);
const valuesIn = oncePer((kit: Kit) =>
  oncePer((range: OwnRange) =>
    oncePer((row: Holds): readonly number[] => {
      const { lever, min, max } = range;
      const assembled = assembledFor(kit.assembled, row, lever);
      if (!assembled) return leverValues(range, kit.increments[lever]);
      const values = assembled.map(({ value }) => value).filter((value) => value >= min - 1e-9 && value <= max + 1e-9);
      return harderOf(lever) === "less" ? values.reverse() : values;
    }),
  ),
);

/** Of the values the equipment allows, the one nearest to where a hand has moved the lever. */
export function nearestOnHand(context: Pick<FitContext, "kit">, row: Holds, range: OwnRange, wanted: number): number {
  const values = valuesOn(context, row, range);
  return values.reduce((best, value) => (Math.abs(value - wanted) < Math.abs(best - wanted) ? value : best), values[0] ?? wanted);
}

/** Every lever moved to a value the equipment allows, never a harder one. An unmeasured share stays unmeasured. */
export function snapSetting({ subject, kit }: Pick<FitContext, "subject" | "kit">, variation: Variation, setting: Setting): Setting {
  return leversOf(subject, variation).reduce<Setting>((snapped, range) => {
    const { lever } = range;
    const wanted = setting[lever];
    // weighed, not set up: what was measured is not rounded away from, and what nobody weighed stays unmeasured
    if (lever === "shareFraction")
      return wanted === undefined ? snapped : withLever(snapped, lever, Math.min(range.max, Math.max(range.min, wanted)));
    const at = wanted ?? range.start;
    const values = valuesOn({ kit }, variation, range);
    const isHarderLess = harderOf(lever) === "less";
    const safe = values.filter((x) => (isHarderLess ? x >= at - 1e-9 : x <= at + 1e-9)).at(-1);
    return withLever(snapped, lever, safe ?? values[0] ?? at);
  }, {});
}

/** Whether a set-up is inside every limit and rail, and its headline use at most `useFraction`. */
export const isWithin = ({ blocked, closing, tightest }: Glance, useFraction: number): boolean =>
  !blocked &&
  !closing.some(({ code }) => code === "guard-rail" || code === "counterweight") &&
  (tightest === null || tightest.head <= useFraction);

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

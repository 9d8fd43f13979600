import { type Form, leversOf, type OwnRange } from "../templates/form";
import { harderOf, type Setting, withLever } from "../templates/lever";
import type { Subject } from "../templates/template";
import { oncePer } from "../once";
import { assembledFor, type Holds } from "./assemble";
import type { Kit } from "./kit";

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
export const valuesOn = ({ kit }: { kit: Kit }, row: Holds, range: OwnRange): readonly number[] => valuesIn(kit)(range)(row);
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
export function nearestOnHand(context: { kit: Kit }, row: Holds, range: OwnRange, wanted: number): number {
  const values = valuesOn(context, row, range);
  return values.reduce((best, value) => (Math.abs(value - wanted) < Math.abs(best - wanted) ? value : best), values[0] ?? wanted);
}

/** Every lever moved to a value the equipment allows, never a harder one. An unmeasured share stays unmeasured. */
export function snapSetting({ subject, kit }: { subject: Subject; kit: Kit }, row: Form & Holds, setting: Setting): Setting {
  return leversOf(subject, row).reduce<Setting>((snapped, range) => {
    const { lever } = range;
    const wanted = setting[lever];
    // weighed, not set up: what was measured is not rounded away from, and what nobody weighed stays unmeasured
    if (lever === "shareFraction")
      return wanted === undefined ? snapped : withLever(snapped, lever, Math.min(range.max, Math.max(range.min, wanted)));
    const at = wanted ?? range.start;
    const values = valuesOn({ kit }, row, range);
    const isHarderLess = harderOf(lever) === "less";
    const safe = values.filter((x) => (isHarderLess ? x >= at - 1e-9 : x <= at + 1e-9)).at(-1);
    return withLever(snapped, lever, safe ?? values[0] ?? at);
  }, {});
}

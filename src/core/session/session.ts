import { variationById } from "../catalogue/catalogue";
import { groupOf } from "../catalogue/rows/row";
import type { Dose, Pattern, Trained, Variation } from "../catalogue/variation";
import { repetitionS } from "../dose/dose";
import type { SideDose } from "../dose/sides";
import type { Setting } from "../templates/lever";

/** Parts of a session in the mainstream's order. Source: handbook B2. */
export const PARTS = ["warm-up", "mobility", "activation", "main", "accessory", "finish", "conditioning"] as const;
export type Part = (typeof PARTS)[number];

/** One thing that is done: where it stands, its dose, and side by side where the legs work apart. */
export interface SessionItem {
  id: string;
  variationId: string;
  setting: Setting;
  part: Part;
  dose: Dose;
  /** In the order they are done; none where both legs work together. */
  sides: readonly SideDose[];
}

/** Kit that takes a minute to set up, and the rest half of one. Common practice, no source. */
const SLOW_TO_SET_UP = ["barbell", "leg-press", "thrust-machine", "track-bar", "cable", "strap", "hex-bar"];
export const setUpS = ({ equipment }: Pick<Variation, "equipment">): number =>
  equipment.length === 0 ? 0 : equipment.some((kind) => SLOW_TO_SET_UP.includes(kind)) ? 60 : 30;

const setS = (repetitions: number, dose: Dose): number => repetitions * repetitionS(dose);
/**
 * Seconds of work and rest of one item, without setting up. Each side of a set is work; the rest is between sets, as many
 * as the side with more has. Source: standards 1.10, exercise time: 3 × 12 at 3-2 on both sides with 30 s is 420 s.
 */
export function workS({ dose, sides }: Pick<SessionItem, "dose" | "sides">): number {
  if (sides.length === 0) return dose.setCount * setS(dose.repetitionsHigh, dose) + (dose.setCount - 1) * dose.restS;
  const most = Math.max(...sides.map(({ setCount }) => setCount));
  return sides.reduce((sum, { setCount, repetitions }) => sum + setCount * setS(repetitions, dose), 0) + (most - 1) * dose.restS;
}
/** The same with setting up, where something else stood there before. */
export const itemS = (item: SessionItem, before: SessionItem | undefined): number =>
  workS(item) + (before && sameKit(before, item) ? 0 : setUpS(variationById(item.variationId)));
const sameKit = (a: SessionItem, b: SessionItem): boolean => {
  const [one, other] = [variationById(a.variationId).equipment, variationById(b.variationId).equipment];
  return one.length === other.length && one.every((kind) => other.includes(kind));
};
/** Asking how it is, and writing down how it went. ◊ */
export const AROUND_S = 120;
export const sessionS = (items: readonly SessionItem[], rounds = 1): number =>
  AROUND_S + rounds * items.reduce((sum, item, i) => sum + itemS(item, items[i - 1]), 0);
/** How often the kit changes from one station to the next. */
export const kitChanges = (items: readonly SessionItem[]): number =>
  items.filter((item, i) => i > 0 && !sameKit(items[i - 1]!, item)).length;

/** The muscle or the joint that must not be tired first. */
export type WeakLink = { kind: "muscle"; trained: Trained } | { kind: "knee" | "back" };
/** How much a row asks of the weak link, 0 to 3. */
export function demandOnWeakLink({ trains, tags }: Pick<Variation, "trains" | "tags">, weak: WeakLink): number {
  switch (weak.kind) {
    case "muscle":
      return trains[weak.trained] ?? 0;
    case "knee":
      return tags.knee;
    case "back":
      return tags.back;
  }
}

export type SessionOrder = "circuit" | "weak-first" | "ground-up";
const CIRCUIT: readonly Pattern[] = ["step", "hinge", "helper", "squat", "bridge"];
const FROM_THE_GROUND: readonly (Trained | null)[] = ["foot", "shin", "calf", "quads", "hamstrings", "glutes", "side-hip", null];

/** Main work in the school's order: falling demand on the weak link, a fixed circuit, or from foot to hip. Other parts stay where they are. */
export function inOrder(items: readonly SessionItem[], order: SessionOrder, weak: WeakLink): SessionItem[] {
  const row = (item: SessionItem): Variation => variationById(item.variationId);
  const groundRank = (item: SessionItem): number => {
    const trains = row(item).trains;
    const most = Math.max(0, ...Object.values(trains));
    return FROM_THE_GROUND.findIndex((each) => each === null || trains[each] === most);
  };
  const rank = (item: SessionItem): number => {
    if (item.part !== "main") return 0;
    if (order === "circuit") return CIRCUIT.indexOf(row(item).pattern);
    return order === "ground-up" ? groundRank(item) : -demandOnWeakLink(row(item), weak);
  };
  return items
    .map((item, at) => ({ item, at }))
    .toSorted((a, b) => PARTS.indexOf(a.item.part) - PARTS.indexOf(b.item.part) || rank(a.item) - rank(b.item) || a.at - b.at)
    .map(({ item }) => item);
}

/** The four kinds of work a session is checked for. A lunge counts as squat, a kickback as thrust. Source: handbook B2, 6. */
export const NEEDED = ["squat", "hinge", "thrust", "side-hip"] as const;
export type Needed = (typeof NEEDED)[number];
const KICKBACKS = ["A14", "A15"];
export function countsAs(row: Variation): Needed | null {
  if (KICKBACKS.includes(row.basedOn ?? row.code)) return "thrust";
  if (row.pattern === "squat" || row.template === "split" || row.pattern === "step") return "squat";
  if (row.pattern === "hinge") return "hinge";
  if (row.pattern === "bridge") return "thrust";
  return groupOf(row) === "side-hip" ? "side-hip" : null;
}
export const missingFrom = (items: readonly SessionItem[]): Needed[] =>
  NEEDED.filter((needed) => !items.some(({ variationId }) => countsAs(variationById(variationId)) === needed));

/** What goes first when time is short: the last of the least needed part; never the only one of a needed kind of work. */
export function dropOrder(items: readonly SessionItem[]): SessionItem[] {
  const isOnly = ({ variationId }: SessionItem): boolean => {
    const kind = countsAs(variationById(variationId));
    return kind !== null && items.filter((other) => countsAs(variationById(other.variationId)) === kind).length === 1;
  };
  const least: readonly Part[] = ["conditioning", "finish", "accessory", "mobility", "activation", "main", "warm-up"];
  return items
    .map((item, at) => ({ item, at }))
    .toSorted(
      (a, b) => Number(isOnly(a.item)) - Number(isOnly(b.item)) || least.indexOf(a.item.part) - least.indexOf(b.item.part) || b.at - a.at,
    )
    .map(({ item }) => item);
}
/** A session cut to the minutes there are; what was left out, first to go first. */
export function trimmed(items: readonly SessionItem[], mostS: number): { items: SessionItem[]; dropped: SessionItem[] } {
  const dropped: SessionItem[] = [];
  let left = [...items];
  while (left.length > 1 && sessionS(left) > mostS) {
    const [first] = dropOrder(left);
    if (!first) break;
    dropped.push(first);
    left = left.filter((item) => item !== first);
  }
  return { items: left, dropped };
}

import { type Part, PARTS } from "../dose/part";
import { variationById } from "../catalogue/catalogue";
import { groupOf } from "../catalogue/rows/row";
import type { Dose, Pattern, Trained, Variation } from "../catalogue/variation";
import { chains } from "../chains";
import { repetitionS, restCount } from "../dose/dose";
import type { SideDose } from "../dose/sides";
import type { Setting } from "../templates/lever";

/** One thing that is done: where it stands, its dose, and side by side where the legs work apart. */
export interface SessionItem {
  id: string;
  variationId: string;
  setting: Setting;
  part: Part;
  dose: Dose;
  /** In the order they are done; none where both legs work together. */
  sides: readonly SideDose[];
  /** What Fit keeps for its pattern: place and dose are those of today, not of the day the programme was kept. */
  isKept?: true;
  /** Its sets go in turn with those of the item after it, and the rest is after both: a pair, or more in a chain. */
  pairedWithNext?: true;
  /** Opens once what stands before it is easy. */
  waits?: true;
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
  if (sides.length === 0) return dose.setCount * setS(dose.repetitionsHigh, dose) + restCount(dose) * dose.restS;
  const most = Math.max(...sides.map(({ setCount }) => setCount));
  return (
    sides.reduce((sum, { setCount, repetitions }) => sum + setCount * setS(repetitions, dose), 0) +
    restCount({ ...dose, setCount: most }) * dose.restS
  );
}
/** Items that go in turn stand in one group; most groups are one item. */
export const groupsOf = (items: readonly SessionItem[]): SessionItem[][] => chains(items, ({ pairedWithNext }) => pairedWithNext === true);
/** How often it comes round: once for every set, and its drops with it. */
const roundsOf = ({ dose, sides }: SessionItem): number =>
  1 + restCount({ ...dose, setCount: sides.length === 0 ? dose.setCount : Math.max(...sides.map(({ setCount }) => setCount)) });
/**
 * Seconds of each item with its setting up, in order. In a group the rest stands after the last one: as long as its
 * longest, as often as the item with most sets comes round again.
 */
export const lengthsS = (items: readonly SessionItem[]): number[] =>
  groupsOf(items).flatMap((group) => {
    const restS = Math.max(...group.map(({ dose }) => dose.restS)) * (Math.max(...group.map(roundsOf)) - 1);
    return group.map((item, i) => {
      const before = items[items.indexOf(item) - 1];
      const setUp = before && sameKit(before, item) ? 0 : setUpS(variationById(item.variationId));
      const rests = workS(item) - workS({ ...item, dose: { ...item.dose, restS: 0 } });
      return setUp + workS(item) - rests + (i === group.length - 1 ? restS : 0);
    });
  });
const sameKit = (a: SessionItem, b: SessionItem): boolean => {
  const [one, other] = [variationById(a.variationId).equipment, variationById(b.variationId).equipment];
  return one.length === other.length && one.every((kind) => other.includes(kind));
};
/** Asking how it is, and writing down how it went. ◊ */
export const AROUND_S = 120;
export const sessionS = (items: readonly SessionItem[], rounds = 1): number =>
  AROUND_S + rounds * lengthsS(items).reduce((sum, each) => sum + each, 0);
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

export type SessionOrder = "circuit" | "weak-first" | "ground-up" | "four-patterns" | "core-every-session" | "extension-both-ends";
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
    if (order === "four-patterns") return NEEDED.indexOf(countsAs(row(item)) ?? "side-hip");
    if (order === "circuit") return CIRCUIT.indexOf(row(item).pattern);
    return order === "ground-up" ? groundRank(item) : -demandOnWeakLink(row(item), weak);
  };
  return items
    .map((item, at) => ({ item, at }))
    .toSorted((a, b) => PARTS.indexOf(a.item.part) - PARTS.indexOf(b.item.part) || rank(a.item) - rank(b.item) || a.at - b.at)
    .map(({ item }) => item);
}

/** The four kinds of work a session is checked for. A lunge counts as squat, a kickback as thrust. Source: handbook B2, 6. */
export const NEEDED = ["thrust", "squat", "hinge", "side-hip"] as const;
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

/** The same without one item; whoever was paired with it alone is paired with nobody. */
export function without(items: readonly SessionItem[], gone: SessionItem): SessionItem[] {
  const at = items.indexOf(gone);
  return items.flatMap((item, i) => (i === at ? [] : i === at - 1 && item.pairedWithNext && !gone.pairedWithNext ? [alone(item)] : [item]));
}
const alone = ({ pairedWithNext: _, ...item }: SessionItem): SessionItem => item;
/** One item moved to another place: out of its pair, and into the one it is put inside of. */
export function moved(items: readonly SessionItem[], from: number, to: number): SessionItem[] {
  const item = items[from];
  if (!item) return [...items];
  const others = without(items, item);
  const isInside = others[to - 1]?.pairedWithNext === true;
  return [...others.slice(0, to), isInside ? { ...item, pairedWithNext: true } : alone(item), ...others.slice(to)];
}
/** Two neighbours paired, or parted again. */
export const paired = (items: readonly SessionItem[], at: number, isPaired: boolean): SessionItem[] =>
  items.map((item, i) => (i !== at ? item : isPaired ? { ...item, pairedWithNext: true } : alone(item)));

/** Neighbours whose pairing saves most: strength work, not both hard on the weak link, neither slow to set up. Null under a minute. */
export function pairWorthIt(items: readonly SessionItem[], weak: WeakLink): { at: number; savedS: number } | null {
  const wholeS = sessionS(items);
  let best: { at: number; savedS: number } | null = null;
  for (let at = 0; at + 1 < items.length; at++) {
    const two = [items[at]!, items[at + 1]!];
    if (two[0]!.pairedWithNext || !two.every(({ part }) => part === "main" || part === "accessory")) continue;
    const rows = two.map(({ variationId }) => variationById(variationId));
    if (rows.every((row) => demandOnWeakLink(row, weak) >= 2) || rows.some((row) => setUpS(row) > 30)) continue;
    const savedS = wholeS - sessionS(paired(items, at, true));
    if (savedS >= 60 && savedS > (best?.savedS ?? 0)) best = { at, savedS };
  }
  return best;
}

/** Items that are not opened yet: those that wait, while anything trained before them was never calm. */
export const waiting = (items: readonly SessionItem[], calmRows: readonly string[]): SessionItem[] =>
  items.filter(
    ({ waits }, i) => waits && items.slice(0, i).some((before) => before.part !== "warm-up" && !calmRows.includes(before.variationId)),
  );

export const lightDose = (dose: Dose): Dose => ({
  ...dose,
  setCount: Math.max(1, dose.setCount - 1),
  repetitionsHigh: dose.repetitionsLow,
});
/** The same on a light day: a set fewer where there are two, at the low end of its repetitions. ◊ */
export const onLightDay = (item: SessionItem): SessionItem => ({
  ...item,
  dose: lightDose(item.dose),
  sides: item.sides.map((each) => ({
    ...each,
    setCount: Math.max(1, each.setCount - 1),
    repetitions: Math.min(each.repetitions, item.dose.repetitionsLow),
  })),
});

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
    left = without(left, first);
  }
  return { items: left, dropped };
}

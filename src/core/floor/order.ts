import { chains } from "../chains";
import type { Side } from "../mechanics/channels";
import type { FloorState } from "./events";

/** What the order of a session asks of an item. */
export interface OrderedItem {
  itemId: string;
  setCount: number;
  restS: number;
  /** Its sets go in turn with those of the item after it. */
  inTurn: boolean;
  /** How many of its last sets follow at once: a drop set. */
  dropCount: number;
}
type Told = Pick<FloorState, "sets" | "stoppedItemIds" | "skippedItemIds">;

const doneOf = ({ sets }: Told, itemId: string): number => sets.filter((set) => set.itemId === itemId).length;
export const isLeft = (item: OrderedItem, told: Told): boolean =>
  !told.stoppedItemIds.includes(item.itemId) && !told.skippedItemIds.includes(item.itemId) && doneOf(told, item.itemId) < item.setCount;

/** Items that go in turn, as one; most stand alone. */
export const turnsOf = (items: readonly OrderedItem[]): OrderedItem[][] => chains(items, ({ inTurn }) => inTurn);

/** Items in the order they were put by hand; one that was not there then keeps its place after those before it. */
export function orderedBy<T extends { itemId: string }>(items: readonly T[], ordered: readonly string[] | null): T[] {
  if (!ordered) return [...items];
  const placeOf = (item: T, i: number): number => {
    const known = ordered.indexOf(item.itemId);
    if (known >= 0) return known;
    const before = items.slice(0, i).findLast(({ itemId }) => ordered.includes(itemId));
    return before ? ordered.indexOf(before.itemId) + 0.5 : -0.5;
  };
  const places = new Map(items.map((item, i) => [item.itemId, placeOf(item, i)]));
  return items.toSorted((a, b) => (places.get(a.itemId) ?? 0) - (places.get(b.itemId) ?? 0));
}

/** An item whose next set follows at once upon its last one, lighter. */
const drops = (item: OrderedItem, told: Told): boolean =>
  isLeft(item, told) && told.sets.at(-1)?.itemId === item.itemId && doneOf(told, item.itemId) >= item.setCount - item.dropCount;

/** Whose set is next: a drop at once; else what was begun first, then the first exercise with any left; of those that go in turn the one with fewest done. Null when all is done. */
export function nextItem(items: readonly OrderedItem[], told: Told): OrderedItem | null {
  const dropping = items.find((item) => drops(item, told));
  if (dropping) return dropping;
  const last = told.sets.at(-1)?.itemId;
  const isBegun = (turn: readonly OrderedItem[]): boolean => turn.some(({ itemId }) => itemId === last);
  for (const turn of turnsOf(items).toSorted((a, b) => Number(isBegun(b)) - Number(isBegun(a)))) {
    const left = turn.filter((item) => isLeft(item, told));
    const [first] = left.toSorted((a, b) => doneOf(told, a.itemId) - doneOf(told, b.itemId));
    if (first) return first;
  }
  return null;
}

/** One side of an exercise, as a session has it. */
interface SidedItem {
  itemId: string;
  variationId: string;
  side: Side;
}
/** The weak side of the same exercise, where it has sets left and is no further than this one: it comes first. Null for the weak side itself. */
export function comesFirst<T extends SidedItem>(
  item: SidedItem,
  items: readonly T[],
  order: readonly OrderedItem[],
  told: Told,
  weakSide: Side | "both" | null,
): T | null {
  if (item.side === weakSide) return null;
  const weak = items.find(({ variationId, side }) => variationId === item.variationId && side === weakSide);
  const asked = order.find(({ itemId }) => itemId === weak?.itemId);
  return weak && asked && isLeft(asked, told) && doneOf(told, weak.itemId) <= doneOf(told, item.itemId) ? weak : null;
}

/** Seconds of rest after the last set: none before a drop, none while the others of its round wait, the longest of its round after them. */
export function restAfterS(items: readonly OrderedItem[], told: Told): number {
  const last = told.sets.at(-1);
  const turn = turnsOf(items).find((each) => each.some(({ itemId }) => itemId === last?.itemId));
  if (!last || !turn || items.some((item) => drops(item, told))) return 0;
  const waitsInRound = turn.some((item) => isLeft(item, told) && doneOf(told, item.itemId) < doneOf(told, last.itemId));
  return waitsInRound ? 0 : Math.max(...turn.map(({ restS }) => restS));
}

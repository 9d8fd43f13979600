import { isSameLine, lineKey } from "../facts/line";
import type { ClientRecord, ItemFact, SessionFact } from "../facts/record";
import { plannedOf } from "../standing/history";

/** Whether anything was done of an item, or a sign ended its session. */
export const isTrained = ({ sets, warnings }: SessionFact, itemId: string): boolean =>
  warnings.length > 0 || sets.some((set) => set.itemId === itemId);
interface DoneItem {
  session: SessionFact;
  item: ItemFact;
}
/**
 * What waits for a decision, one item a line of work and the last that was trained: whatever came before it and nobody decided on
 * is judged with it. Oldest first. A decision covers what was trained before it, so that nothing older is decided after something newer.
 */
export function undecidedItems(record: ClientRecord): DoneItem[] {
  const { sessions, decisions } = record;
  const last = new Map<string, DoneItem>();
  for (const session of sessions.toSorted((a, b) => a.day.localeCompare(b.day)))
    for (const item of session.items) {
      if (!isTrained(session, item.id)) continue;
      const rung = plannedOf(record, item)?.rung;
      const key = rung ? lineKey(rung) : item.id;
      last.delete(key); // it waits where it was trained last
      last.set(key, { session, item });
    }
  return [...last.values()]
    .filter(({ item }) => !decisions.some(({ itemId }) => itemId === item.id))
    .toSorted((a, b) => a.session.day.localeCompare(b.session.day));
}
/** Whether something newer of the same line waits: that is decided, and this with it. */
export const isCoveredByNewer = (record: ClientRecord, item: ItemFact): boolean => {
  const rung = plannedOf(record, item)?.rung;
  return undecidedItems(record).some(({ item: other }) => {
    const own = plannedOf(record, other)?.rung;
    return other.id !== item.id && rung !== undefined && own !== undefined && isSameLine(own, rung);
  });
};

import { type SessionItem, sessionS, trimmed } from "../../../core/session/session";
import type { FloorItem } from "./floor-session";

/** A floor's items as the exercises they are: both sides of one together. */
function exercises(items: readonly FloorItem[]): { item: SessionItem; own: FloorItem[] }[] {
  const made: { item: SessionItem; own: FloorItem[] }[] = [];
  items.forEach((each, i) => {
    const { itemId, variationId, setting, part, dose, side, inTurn } = each;
    const last = made.at(-1);
    const sideDose = { side, setCount: dose.setCount, repetitions: dose.repetitionsHigh };
    if (last && items[i - 1]?.inTurn && last.item.variationId === variationId) {
      last.own.push(each);
      const { pairedWithNext: _, ...rest } = last.item;
      last.item = { ...rest, sides: [...last.item.sides, sideDose], ...(inTurn ? { pairedWithNext: true as const } : {}) };
    } else
      made.push({
        item: {
          id: itemId,
          variationId,
          setting,
          part: part ?? "main",
          dose,
          sides: [sideDose],
          ...(inTurn ? { pairedWithNext: true as const } : {}),
        },
        own: [each],
      });
  });
  return made;
}
export const itemsS = (items: readonly FloorItem[]): number => sessionS(exercises(items).map(({ item }) => item));
/** What goes first when there are fewer minutes, both sides of it. */
export function tooLong(items: readonly FloorItem[], minutes: number): FloorItem[] {
  const made = exercises(items);
  const { dropped } = trimmed(
    made.map(({ item }) => item),
    minutes * 60,
  );
  const gone = dropped.map(({ id }) => id);
  return made.flatMap(({ item, own }) => (gone.includes(item.id) ? own : []));
}

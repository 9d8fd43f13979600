import { variationById } from "../../core/catalogue/catalogue";
import type { Side } from "../../core/mechanics/channels";
import { parametersOf, templateOf } from "../../core/templates/form";

interface Named {
  variationId: string;
  side: Side;
}
/** "Step-up with a rail, right": the leg is said where it matters. */
export function itemName({ variationId, side }: Named): string {
  const variation = variationById(variationId);
  return templateOf(variation).isEven(parametersOf(variation)) ? variation.name : `${variation.name}, ${side}`;
}

/** The same among others of one session: where the model sees no sides, and both are called the same, the side is said. */
export function itemNameAmong(item: Named, others: readonly Named[]): string {
  const name = itemName(item);
  const isTwice = others.some((other) => other.side !== item.side && itemName(other) === name);
  return isTwice ? `${name}, ${item.side}` : name;
}

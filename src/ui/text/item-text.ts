import { variationById } from "../../core/catalogue/catalogue";
import type { Side } from "../../core/mechanics/channels";
import { parametersOf, templateOf } from "../../core/templates/form";

/** "Step-up with a rail, right": the leg is said where it matters. */
export function itemName({ variationId, side }: { variationId: string; side: Side }): string {
  const variation = variationById(variationId);
  return templateOf(variation).isEven(parametersOf(variation)) ? variation.name : `${variation.name}, ${side}`;
}

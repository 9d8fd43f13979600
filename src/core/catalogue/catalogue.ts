import { SQUATS } from "./squat.data";
import type { Pattern, Variation } from "./variation";

export const CATALOGUE: readonly Variation[] = SQUATS;

/** @throws RangeError for an id that no row has: ids are never renamed, only retired */
export function variationById(id: string): Variation {
  const found = CATALOGUE.find((variation) => variation.id === id);
  if (!found) throw new RangeError(`no variation ${id}`);
  return found;
}

export const variationsOf = (pattern: Pattern): readonly Variation[] => CATALOGUE.filter((variation) => variation.pattern === pattern);

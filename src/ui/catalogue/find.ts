import Fuse from "fuse.js";
import type { Variation } from "../../core/catalogue/variation";
import { wordsOf } from "../../words/basics/catalogue";

/** Rows found by free words, the nearest first, slips of the finger forgiven; all of them where nothing was typed. */
export function findRows(variations: readonly Variation[], words: string): readonly Variation[] {
  const typed = words.trim();
  if (typed === "") return variations;
  const fuse = new Fuse(
    variations.map((variation) => ({
      variation,
      name: variation.name,
      also: [...variation.alsoCalled, variation.code],
      rest: wordsOf(variation),
    })),
    {
      keys: [
        { name: "name", weight: 4 },
        { name: "also", weight: 3 },
        { name: "rest", weight: 1 },
      ],
      threshold: 0.34,
      ignoreLocation: true,
      useTokenSearch: true,
    },
  );
  return fuse.search(typed).map(({ item }) => item.variation);
}

import { describe, expect, test } from "vitest";
import { morningClass, usualPainScore, worstClass } from "./morning";
import { openWarnings, type Warning } from "./warning";

const warning = (sourceId: string, sign: string, at: string): Warning => ({ sourceId, sign, day: at.slice(0, 10), at });
const CHEST = warning("e1", "chest-pain", "2026-03-02T09:00:00.000Z");
const FAINT = warning("e1", "faint", "2026-03-02T09:00:00.000Z");
const LATER = warning("e2", "chest-pain", "2026-03-02T15:00:00.000Z");

describe("a warning", () => {
  test("stays open until a clearance names it, and no other clearance will do", () => {
    const cleared = [{ sourceId: "e1", sign: "chest-pain" }];
    expect(openWarnings([CHEST, FAINT], cleared)).toEqual([FAINT]);
    expect(openWarnings([CHEST], [{ sourceId: "e1", sign: "faint" }])).toEqual([CHEST]);
  });
  test("of the same sign later the same day is another, and open", () =>
    expect(openWarnings([LATER, CHEST], [{ sourceId: "e1", sign: "chest-pain" }])).toEqual([LATER]));
  test("is told oldest first", () => expect(openWarnings([LATER, CHEST], [])).toEqual([CHEST, LATER]));
});

describe("a morning", () => {
  test("is calm at most usual, noticed one above, a flare at two or with swelling; no number is no calm", () => {
    expect([2, 2.5, 3, 4, NaN].map((painScore) => morningClass(painScore, false, 2))).toEqual([
      "calm",
      "noticed",
      "noticed",
      "flare",
      "flare",
    ]);
    expect(morningClass(0, true, 2)).toBe("flare");
  });
  test("of several complaints is the worst of them; of none, not calm", () => {
    expect(worstClass(["calm", "flare", "noticed"])).toBe("flare");
    expect(worstClass(["calm", "calm"])).toBe("calm");
    expect(worstClass([])).toBe("noticed");
  });
  test("has as usual the median of the last fourteen, or the baseline before five", () => {
    expect(usualPainScore([9, 9, 9, 9], 2)).toBe(2);
    expect(usualPainScore([1, 2, 3, 4, 5], 2)).toBe(3);
    expect(usualPainScore([1, 2, 3, 4, 5, 6], 0)).toBe(3.5);
    expect(usualPainScore([...Array.from({ length: 10 }, () => 9), ...Array.from({ length: 14 }, () => 1)], 2)).toBe(1);
  });
});

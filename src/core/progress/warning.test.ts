import { describe, expect, test } from "vitest";
import { classedMorning, isMorningAfter, morningClass, neverCalm, usualPainScore, worstClass } from "./morning";
import { CLINICIAN_ROLES, WARNING_SIGNS } from "../limits/clinician";
import { endedBy, mayEnd, openWarnings, UNREAD_FACT, type Warning } from "./warning";

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
  test("of several complaints is told by the one furthest above its own usual", () => {
    const [knee, back] = [
      { painScore: 4, usualScore: 4 },
      { painScore: 3, usualScore: 1 },
    ];
    expect(classedMorning([knee, back], { newSwelling: false, hasSign: false })).toEqual({ ...back, class: "flare" });
    expect(classedMorning([knee], { newSwelling: false, hasSign: false })).toEqual({ ...knee, class: "calm" });
    expect(classedMorning([knee], { newSwelling: true, hasSign: false })).toEqual({ ...knee, class: "flare" });
  });
  test("of a client whom nothing hurts is what was said of swelling, and no pain was told", () => {
    const told = { painScore: null, usualScore: null };
    expect(classedMorning([], { newSwelling: false, hasSign: false })).toEqual({ ...told, class: "calm" });
    expect(classedMorning([], { newSwelling: true, hasSign: false })).toEqual({ ...told, class: "flare" });
  });
  test("with a sign in it is never calm, and no better than it was", () => {
    const knee = { painScore: 1, usualScore: 1 };
    expect(classedMorning([knee], { newSwelling: false, hasSign: true }).class).toBe("noticed");
    expect((["calm", "noticed", "flare"] as const).map(neverCalm)).toEqual(["noticed", "noticed", "flare"]);
  });
  test("answers the day before it and no other", () =>
    expect(["2026-10-06", "2026-10-07", "2026-10-08"].map((day) => isMorningAfter("2026-10-06", day))).toEqual([false, true, false]));
  test("has as usual the median of the last fourteen, or the baseline before five", () => {
    expect(usualPainScore([9, 9, 9, 9], 2)).toBe(2);
    expect(usualPainScore([1, 2, 3, 4, 5], 2)).toBe(3);
    expect(usualPainScore([1, 2, 3, 4, 5, 6], 0)).toBe(3.5);
    expect(usualPainScore([...Array.from({ length: 10 }, () => 9), ...Array.from({ length: 14 }, () => 1)], 2)).toBe(1);
  });
});

test("a sign is a clinician's to end, and what cannot be read a lead's: never the other way about", () => {
  expect(WARNING_SIGNS.filter((sign) => mayEnd(sign, "lead") || endedBy(sign) !== "clinician")).toEqual([]);
  for (const role of CLINICIAN_ROLES) expect([role, mayEnd("faint", role), mayEnd(UNREAD_FACT, role)]).toEqual([role, true, false]);
  expect([endedBy(UNREAD_FACT), mayEnd(UNREAD_FACT, "lead")]).toEqual(["lead", true]);
});

import { expect, test } from "vitest";
import { doneToday } from "./dues";
import type { HomePage } from "./home-page";
import type { HomeEntry } from "../../core/record/facts/home-told";

const set = (id: string, at: string): HomeEntry => ({
  id,
  at,
  told: { kind: "set", line: "chair", side: null, repetitions: 8, workedS: null, painScore: 1, leftInTank: null, isSharp: false },
});
const page = { today: "2026-12-01", done: [{ id: "known", line: "chair", side: null }] } as unknown as HomePage;
const ids = (fresh: HomeEntry[], today: string, timeZone = "Europe/Oslo"): string[] =>
  doneToday(page, fresh, { today, timeZone }).map(({ id }) => id);

test("what was done today is counted by the studio's day, and what the studio had of another day is none", () => {
  const late = set("late", "2026-12-01T22:30:00Z");
  const night = set("night", "2026-12-01T23:30:00Z");
  expect(ids([late, night], "2026-12-01")).toEqual(["known", "late"]);
  expect(ids([late, night], "2026-12-02")).toEqual(["night"]);
  expect(ids([late, night], "2026-12-01", "UTC")).toEqual(["known", "late", "night"]);
});
test("what was taken back is none, whether the studio had it or not", () => {
  const back = (id: string): HomeEntry => ({ ...set(`${id} back`, "2026-12-01T12:00:00Z"), told: { kind: "undone", entryId: id } });
  expect(ids([set("a", "2026-12-01T11:00:00Z"), back("a"), back("known")], "2026-12-01")).toEqual([]);
});

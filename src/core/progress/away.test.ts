import { expect, test } from "vitest";
import { dayAfter } from "../day";
import { awaySince } from "./away";

test("two weeks away take a set, four weeks a rung, and less takes nothing", () => {
  const after = (days: number) => awaySince("2026-10-01", dayAfter("2026-10-01", days));
  expect([13, 14, 27, 28, 90].map((days) => after(days)?.step ?? null)).toEqual([
    null,
    "set-fewer",
    "set-fewer",
    "rung-lower",
    "rung-lower",
  ]);
  expect(after(27)?.days).toBe(27);
  expect(awaySince(undefined, "2026-10-01")).toBeNull();
});

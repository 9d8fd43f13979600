import { expect, test } from "vitest";
import { checkInAdvice } from "./check-in";

test.each([
  [{ painScore: 2, newSwelling: false }, "as-planned", "as-usual"],
  [{ painScore: 0, newSwelling: true }, "ease-all", "swollen"],
  [{ painScore: 4, newSwelling: false }, "ease-all", "pain-over-number"],
  [{ painScore: 3, newSwelling: false }, "ease-all", "pain-above-usual"],
  [{ painScore: NaN, newSwelling: false }, "ease-all", "pain-over-number"],
] as const)("%j: %s", (checkIn, value, code) => {
  expect(checkInAdvice(checkIn, 1, 3)).toMatchObject({ value, reason: { code } });
});

import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import { contextWith } from "../judge/fit.fixture";
import { leverValues, nearestOnHand, snapSetting } from "./on-hand";

const pole = variationById("box-squat-pole");

describe("the values of a lever", () => {
  test("run from easy to hard: a high seat first, little load first, much hand first", () => {
    expect(leverValues({ lever: "seatHeightM", min: 0.5, max: 0.53 }, 0.01)).toEqual([0.53, 0.52, 0.51, 0.5]);
    expect(leverValues({ lever: "loadKg", min: 2, max: 5 }, 1)).toEqual([2, 3, 4, 5]);
    expect(leverValues({ lever: "handForceN", min: 0, max: 20 }, 10)).toEqual([20, 10, 0]);
  });
  test("lie on the equipment's own grid, inside the range, without drift", () => {
    let found = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 30, max: 60 }),
        fc.integer({ min: 1, max: 30 }),
        (stepCm, minCm, spanCm) => {
          const increment = stepCm / 100;
          const [min, max] = [minCm / 100, (minCm + spanCm) / 100];
          for (const value of leverValues({ lever: "seatHeightM", min, max }, increment)) {
            found++;
            expect(value).toBeGreaterThanOrEqual(min - 1e-9);
            expect(value).toBeLessThanOrEqual(max + 1e-9);
            expect(Math.abs(value / increment - Math.round(value / increment))).toBeLessThan(1e-6);
            expect(String(value).length).toBeLessThan(8);
          }
        },
      ),
    );
    expect(found).toBeGreaterThan(200);
  });
  test("of a range with no grid point in it are none", () => {
    expect(leverValues({ lever: "seatHeightM", min: 0.501, max: 0.509 }, 0.01)).toEqual([]);
  });
});

describe("snapping", () => {
  test("never asks more than what was wanted, except at the easy end", () => {
    let inside = 0;
    fc.assert(
      fc.property(
        fc.double({ min: 0.42, max: 0.7, noNaN: true }),
        fc.double({ min: 0, max: 190, noNaN: true }),
        (seatHeightM, handForceN) => {
          const snapped = snapSetting(contextWith(), pole, { seatHeightM, handForceN });
          for (const [lever, wanted] of [
            ["seatHeightM", seatHeightM],
            ["handForceN", handForceN],
          ] as const) {
            const got = snapped[lever] ?? NaN;
            const isEasyEnd = lever === "seatHeightM" ? got < wanted && got > 0.6 : got < wanted && got > 150;
            if (isEasyEnd) continue;
            inside++;
            expect(got).toBeGreaterThanOrEqual(wanted - 1e-9); // a higher seat and more hand both ask less
          }
        },
      ),
    );
    expect(inside).toBeGreaterThan(150);
  });
  test("fills in what was not said, but never makes up a share that nobody measured", () => {
    expect(Object.keys(snapSetting(contextWith(), pole, {})).sort()).toEqual(["handForceN", "seatHeightM"]);
    expect(snapSetting(contextWith(), pole, { shareFraction: 0.4 }).shareFraction).toBe(0.4);
  });
});

test("a lever moved by hand comes to rest where the kit can, also at a range's own end", () => {
  const range = { lever: "seatHeightM", min: 0.413, max: 0.754, start: 0.6 } as const;
  const at = (wanted: number): number => nearestOnHand(contextWith(), pole, range, wanted);
  expect([at(0.754), at(0.413), at(0.5849), at(0.5851)]).toEqual([0.75, 0.42, 0.58, 0.59]);
  expect(nearestOnHand(contextWith(), pole, { ...range, min: 0.501, max: 0.509 }, 0.505)).toBe(0.505);
});

import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { inverse } from "./inverse";
import { brent, firstRootByScan, rootNearZero, sinusoidRootsDeg } from "./roots";

describe("brent", () => {
  test("finds the root of any cubic it brackets", () => {
    fc.assert(
      fc.property(fc.double({ min: -3, max: 3, noNaN: true }), fc.double({ min: 0.1, max: 5, noNaN: true }), (root, slope) => {
        const x = brent((t) => slope * (t - root) + (t - root) ** 3, -4, 4);
        expect(x).toBeCloseTo(root, 9);
      }),
    );
  });
  test("refuses ends that bracket nothing", () => expect(() => brent((x) => x * x + 1, -1, 1)).toThrow(RangeError));
});

test("a scan upward stops at the first crossing, skips gaps, and says when there is none", () => {
  const wave = (x: number): number => (x > 3 && x < 5 ? NaN : Math.sin(x));
  expect(firstRootByScan(wave, 1, 10, 60)).toBeCloseTo(2 * Math.PI, 8);
  expect(firstRootByScan(Math.sin, 0, 10, 60)).toBe(0);
  expect(firstRootByScan(Math.sin, 1, 3, 60)).toBeUndefined();
});

describe("inverse", () => {
  const hill = (x: number): number => 1 - (x - 2) ** 2;
  test("returns every setting that gives the demand, ascending", () => {
    const result = inverse(hill, 0, 4, 0);
    expect(result.ok && result.all).toEqual([expect.closeTo(1, 8), expect.closeTo(3, 8)]);
  });
  test("says on which side an unreachable demand lies, and what was reached", () => {
    expect(inverse(hill, 0, 4, 5)).toMatchObject({ ok: false, reason: "target-above-range", range: { max: 1, maxAt: 2 } });
    expect(inverse(hill, 0, 4, -9)).toMatchObject({ ok: false, reason: "target-below-range", range: { min: -3 } });
  });
  test("says so when no setting gives a pose", () => {
    expect(inverse(() => NaN, 0, 1, 1)).toEqual({ ok: false, reason: "no-feasible-pose", range: null });
  });
});

describe("roots of a sine wave from three of its values", () => {
  const wave = (a: number, b: number, c: number) => (sin: number, cos: number) => a * sin + b * cos + c;
  const coefficient = fc.double({ min: -5, max: 5, noNaN: true });

  test("are zeros, ascending, and all that a fine scan sees", () => {
    fc.assert(
      fc.property(coefficient, coefficient, coefficient, (a, b, c) => {
        fc.pre(Math.hypot(a, b) > 0.1);
        const at = wave(a, b, c);
        const atDeg = (deg: number) => at(Math.sin((deg * Math.PI) / 180), Math.cos((deg * Math.PI) / 180));
        const roots = sinusoidRootsDeg(at, -30, 110);
        for (const root of roots) expect(Math.abs(atDeg(root))).toBeLessThan(1e-9);
        expect(roots).toEqual(roots.toSorted((x, y) => x - y));
        const signs = Array.from({ length: 561 }, (_, i) => Math.sign(atDeg(-30 + i / 4)));
        const seen = signs.filter((sign, i) => i > 0 && sign * (signs[i - 1] ?? 0) < 0);
        expect(roots.length).toBeGreaterThanOrEqual(seen.length);
      }),
    );
  });
  test("are none where the wave stays off zero", () => {
    expect(sinusoidRootsDeg(wave(1, 1, 3), -180, 180)).toEqual([]);
  });
});

describe("the root nearest zero", () => {
  test("is found on either side, at the ends, and not at all", () => {
    expect(rootNearZero((x) => (x - 7) * (x + 12), -30, 45, 30)).toBeCloseTo(7, 9);
    expect(rootNearZero((x) => (x - 17) * (x + 12), -30, 45, 30)).toBeCloseTo(-12, 9);
    expect(rootNearZero((x) => x - 50, 40, 60, 10)).toBeCloseTo(50, 9);
    expect(rootNearZero((x) => x, -1, 1, 4)).toBe(0);
    expect(rootNearZero(() => 1, -30, 45, 30)).toBeUndefined();
    expect(rootNearZero((x) => (Math.abs(x) < 5 ? NaN : x - 20), -30, 45, 30)).toBeCloseTo(20, 9);
  });
});

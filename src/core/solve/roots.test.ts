import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { inverse } from "./inverse";
import { brent, rootsByScan } from "./roots";

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

test("a scan sees every crossing and skips gaps", () => {
  const wave = (x: number): number => (x > 4 && x < 5 ? NaN : Math.sin(x));
  const roots = rootsByScan(wave, 1, 10, 60);
  expect(roots).toHaveLength(3);
  [1, 2, 3].forEach((n, i) => expect(roots[i]).toBeCloseTo(n * Math.PI, 8));
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

import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { sinDeg, cosDeg } from "../units";
import { anglesFrom, type PicturePoint } from "./photo";

/** A body drawn at known angles, in pixels, looking right or left. */
function drawn(shank: number, knee: number, trunk: number, looksLeft = false): Record<"ankle" | "knee" | "hip" | "shoulder", PicturePoint> {
  const sign = looksLeft ? -1 : 1;
  const up = (from: PicturePoint, lean: number, length: number): PicturePoint => ({
    x: from.x + sign * sinDeg(lean) * length,
    y: from.y - cosDeg(lean) * length,
  });
  const ankle = { x: 400, y: 700 };
  const kneeAt = up(ankle, shank, 180);
  const hip = up(kneeAt, shank - knee, 190);
  return { ankle, knee: kneeAt, hip, shoulder: up(hip, trunk, 230) };
}

describe("angles from a side picture", () => {
  test("are those it was drawn at, whichever way the client looks", () => {
    let met = 0;
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 40, noNaN: true }),
        fc.double({ min: 50, max: 120, noNaN: true }),
        fc.double({ min: -5, max: 70, noNaN: true }),
        fc.boolean(),
        (shank, knee, trunk, looksLeft) => {
          const found = anglesFrom(drawn(shank, knee, trunk, looksLeft));
          met++;
          expect(found?.shankLeanDeg).toBeCloseTo(shank, 6);
          expect(found?.kneeFlexionDeg).toBeCloseTo(knee, 6);
          expect(found?.trunkLeanDeg).toBeCloseTo(trunk, 6);
          expect(found?.hipFlexionDeg).toBeCloseTo(trunk + knee - shank, 6);
        },
      ),
    );
    expect(met).toBe(100);
  });
  test("stay within two degrees where a tap is three pixels off on a body of a tablet's height", () => {
    let met = 0;
    const off = fc.record({ x: fc.double({ min: -2.1, max: 2.1, noNaN: true }), y: fc.double({ min: -2.1, max: 2.1, noNaN: true }) });
    fc.assert(
      fc.property(fc.tuple(off, off, off, off), (by) => {
        const points = drawn(26, 82, 38);
        const tapped = Object.fromEntries(
          Object.entries(points).map(([name, { x, y }], i) => [name, { x: x + (by[i]?.x ?? 0), y: y + (by[i]?.y ?? 0) }]),
        );
        const found = anglesFrom(tapped);
        met++;
        expect(Math.abs((found?.shankLeanDeg ?? NaN) - 26)).toBeLessThan(2);
        expect(Math.abs((found?.trunkLeanDeg ?? NaN) - 38)).toBeLessThan(2);
      }),
    );
    expect(met).toBe(100);
  });
  test("give the line of the foot: level, the heel up or down, whichever way the client looks", () => {
    for (const looksLeft of [false, true])
      for (const deg of [0, 18, -7]) {
        const heel = { x: 380, y: 720 };
        const toe = { x: heel.x + (looksLeft ? -1 : 1) * cosDeg(deg) * 110, y: heel.y + sinDeg(deg) * 110 };
        expect(anglesFrom({ ...drawn(26, 82, 38, looksLeft), heel, toe })?.footLineDeg).toBeCloseTo(deg, 6);
      }
    expect(anglesFrom(drawn(26, 82, 38))?.footLineDeg).toBeNull();
  });
  test("need three points that are apart; without a shoulder the trunk is not guessed", () => {
    const { shoulder: _, ...three } = drawn(26, 82, 38);
    expect(anglesFrom(three)).toMatchObject({ trunkLeanDeg: null, hipFlexionDeg: null });
    expect(anglesFrom({ ankle: three.ankle, knee: three.knee })).toBeNull();
    expect(anglesFrom({ ...three, knee: three.ankle })).toBeNull();
  });
});

import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { bodyFromMeasure, type BodyMeasure, withLegsApart } from "./body";

const number = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const measures: fc.Arbitrary<BodyMeasure> = fc.record({
  heightM: number(1.3, 2.1),
  massKg: number(40, 180),
  sex: fc.constantFrom("female" as const, "male" as const),
  segmentTable: fc.constantFrom("de-leva" as const, "winter" as const),
  bellyKg: number(0, 15),
});

describe("a body", () => {
  test("weighs exactly what the client does, by either table, with a belly or without", () => {
    fc.assert(
      fc.property(measures, (measure) => {
        const { footKg, shankKg, thighKg, pelvisKg, upperKg, armsKg, bellyKg } = bodyFromMeasure(measure);
        expect(2 * (footKg + shankKg + thighKg) + pelvisKg + upperKg + armsKg + bellyKg).toBeCloseTo(measure.massKg, 9);
      }),
    );
  });
  test("keeps the tape's lengths and leaves the others to stature", () => {
    fc.assert(
      fc.property(measures, number(0.3, 0.5), number(0.3, 0.5), (measure, thighM, shankM) => {
        const [plain, taped] = [bodyFromMeasure(measure), bodyFromMeasure({ ...measure, thighM, shankM })];
        expect([taped.thighM, taped.shankM]).toEqual([thighM, shankM]);
        expect({ ...taped, thighM: 0, shankM: 0 }).toEqual({ ...plain, thighM: 0, shankM: 0 });
      }),
    );
  });
  test("moves what hangs on the trunk with a measured trunk", () => {
    const measure: BodyMeasure = { heightM: 1.7, massKg: 70, sex: "female" };
    const [plain, long] = [bodyFromMeasure(measure), bodyFromMeasure({ ...measure, trunkM: 1.1 * 0.288 * 1.7 })];
    expect(long.upperComM / plain.upperComM).toBeCloseTo(1.1, 9);
    expect(long.l5M / plain.l5M).toBeCloseTo(1.1, 9);
  });
  test("with the legs apart has shorter legs from the side, and weighs the same", () => {
    const body = bodyFromMeasure({ heightM: 1.7, massKg: 70, sex: "female" });
    const apart = withLegsApart(body, 20);
    expect(apart.thighM / body.thighM).toBeCloseTo(0.9397, 4);
    expect({ ...apart, thighM: 0, shankM: 0 }).toEqual({ ...body, thighM: 0, shankM: 0 });
    expect(withLegsApart(body, 0)).toEqual(body);
  });
  test.each([
    { heightM: 0, massKg: 70 },
    { heightM: -1.7, massKg: 70 },
    { heightM: NaN, massKg: 70 },
    { heightM: 1.7, massKg: 0 },
    { heightM: 1.7, massKg: 70, bellyKg: 80 },
  ])("of $heightM m and $massKg kg is our mistake, and thrown", (measure) =>
    expect(() => bodyFromMeasure({ sex: "female", ...measure })).toThrow(RangeError),
  );
});

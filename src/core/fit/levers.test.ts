import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import { judge } from "./candidate";
import { contextWith, kneeLimit } from "./fit.fixture";
import { countHolding, isWithin, leverValues, rangeOf, snapSetting, withLever } from "./levers";
import { tightest, usesOf } from "./use";

const pole = variationById("box-squat-pole");
const { increments } = contextWith();

describe("the values of a lever", () => {
  test("run from easy to hard: a high seat first, little load first, much hand first", () => {
    expect(leverValues({ lever: "seatHeightM", min: 0.5, max: 0.53, start: 0.5 }, 0.01)).toEqual([0.53, 0.52, 0.51, 0.5]);
    expect(leverValues({ lever: "loadKg", min: 2, max: 5, start: 2 }, 1)).toEqual([2, 3, 4, 5]);
    expect(leverValues({ lever: "handForceN", min: 0, max: 20, start: 0 }, 10)).toEqual([20, 10, 0]);
  });
  test("lie on the equipment's own grid, inside the range, without drift", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 30, max: 60 }),
        fc.integer({ min: 1, max: 30 }),
        (step, minCm, spanCm) => {
          const increment = step / 100;
          const [min, max] = [minCm / 100, (minCm + spanCm) / 100];
          for (const value of leverValues({ lever: "seatHeightM", min, max, start: min }, increment)) {
            expect(value).toBeGreaterThanOrEqual(min - 1e-9);
            expect(value).toBeLessThanOrEqual(max + 1e-9);
            expect(Math.abs(value / increment - Math.round(value / increment))).toBeLessThan(1e-6);
            expect(String(value).length).toBeLessThan(8);
          }
        },
      ),
    );
  });
  test("of a range with no grid point in it are none", () => {
    expect(leverValues({ lever: "seatHeightM", min: 0.501, max: 0.509, start: 0.501 }, 0.01)).toEqual([]);
  });
});

describe("snapping", () => {
  test("never asks more than what was wanted", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.42, max: 0.7, noNaN: true }),
        fc.double({ min: 0, max: 190, noNaN: true }),
        (seatHeightM, handForceN) => {
          const snapped = snapSetting(pole, { seatHeightM, handForceN, shareFraction: 0.5 }, increments);
          for (const lever of ["seatHeightM", "handForceN"] as const) {
            const [wanted, got] = [{ seatHeightM, handForceN }[lever], snapped[lever] ?? NaN];
            const range = rangeOf(pole, lever);
            const isEnd = got === leverValues(range ?? { lever, min: 0, max: 0, start: 0 }, increments[lever])[0];
            if (!isEnd) expect(got).toBeGreaterThanOrEqual(wanted - 1e-9); // a higher seat and more hand both ask less
          }
        },
      ),
    );
  });
  test("fills in what was not said from where the variation starts", () => {
    expect(Object.keys(snapSetting(pole, {}, increments)).sort()).toEqual(["handForceN", "seatHeightM", "shareFraction"]);
  });
});

test("counting what holds agrees with counting one by one", () => {
  fc.assert(
    fc.property(fc.nat(60), fc.nat(60), (length, last) => {
      const values = Array.from({ length }, (_, i) => i);
      let asked = 0;
      const count = countHolding(values, (value) => {
        asked++;
        return value < last;
      });
      expect(count).toBe(values.filter((value) => value < last).length);
      expect(asked).toBeLessThanOrEqual(Math.ceil(Math.log2(length + 1)) + 1);
    }),
  );
});

describe("within", () => {
  const context = contextWith({ limits: [kneeLimit(80)] });
  const at = (seatHeightM: number) => judge(context, variationById("raised-sit-to-stand"), { seatHeightM, shareFraction: 0.5 });
  test("a limit counts whatever the use", () => {
    expect(at(0.5).blocked).toBe(true);
    expect(isWithin(at(0.5), 99)).toBe(false);
  });
  test("a use over the wanted one does not count, under it does", () => {
    expect(isWithin(at(0.66), 0.7)).toBe(true);
    expect(isWithin(at(0.6), 0.7)).toBe(false);
  });
});

describe("uses", () => {
  const context = contextWith();
  const { demands } = judge(context, pole, { seatHeightM: 0.58, handForceN: 60, shareFraction: 0.5 });
  test("keep the order of the range they came from", () => {
    for (const { low, head, high } of usesOf(demands, context.ceilings)) {
      expect(low).toBeLessThanOrEqual(head);
      expect(head).toBeLessThanOrEqual(high);
    }
  });
  test("of ceilings on another side or channel do not mix", () => {
    const [kneecap] = context.ceilings;
    if (!kneecap) throw new Error("no ceiling");
    const left = usesOf(demands, [{ ...kneecap, side: "left" }]);
    expect(left[0]).toMatchObject({ side: "left", channel: "kneecapStress" });
    expect(usesOf(demands, [])).toEqual([]);
  });
  test("the tightest is the one nearest its ceiling by headline", () => {
    const [kneecap] = context.ceilings;
    if (!kneecap) throw new Error("no ceiling");
    const uses = usesOf(demands, [kneecap, { ...kneecap, id: "low", channel: "hipMoment", value: 10, standsInFor: null }]);
    expect(tightest(uses)?.ceilingId).toBe("low");
    expect(tightest([])).toBeNull();
  });
});

test("moving one lever leaves the others alone", () => {
  expect(withLever({ seatHeightM: 0.6, loadKg: 4 }, "loadKg", 6)).toEqual({ seatHeightM: 0.6, loadKg: 6 });
});

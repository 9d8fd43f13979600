import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { CATALOGUE, variationById } from "../catalogue/catalogue";
import type { LeverId } from "../catalogue/variation";
import { judge } from "./candidate";
import { contextWith, kneeLimit } from "./fit.fixture";

import { nextStep, RISER_MAX_FRACTION, RISER_MIN_FRACTION, stairAround } from "./stair";

const pole = variationById("box-squat-pole");
const START = { seatHeightM: 0.62, handForceN: 8 * 9.81, shareFraction: 0.5 };
const changed = (a: object, b: object): string[] => Object.keys(a).filter((key) => a[key as keyof typeof a] !== b[key as keyof typeof b]);

describe("a step", () => {
  test("moves one lever, in the school's order: hands before height", () => {
    const step = nextStep(contextWith(), pole, START, "build");
    expect(step?.lever).toBe("handForceN");
    expect(changed(START, step?.setting ?? {})).toEqual(["handForceN"]);
  });
  test("eases the other way round: height before hands", () =>
    expect(nextStep(contextWith(), pole, START, "ease")?.lever).toBe("seatHeightM"));
  test("is by the fewest increments that are worth calling a step", () => {
    const step = nextStep(contextWith(), pole, START, "build");
    if (!step) throw new Error("no step");
    const kneecap = (handForceN: number): number => judge(contextWith(), pole, { ...START, handForceN }).tightest?.head ?? NaN;
    const oneFewer = kneecap(step.to + 9.81) / kneecap(START.handForceN) - 1;
    expect(oneFewer).toBeLessThan(RISER_MIN_FRACTION);
    expect(step.riserFraction).toBeGreaterThanOrEqual(RISER_MIN_FRACTION);
  });
  test("never leaves the lever's range or jumps across it", () => {
    const atTop = { seatHeightM: 0.7, handForceN: 20 * 9.81, shareFraction: 0.5 };
    expect(nextStep(contextWith(), pole, atTop, "ease")).toBeNull();
  });
  test("is flagged where the least the equipment allows is too big a jump", () => {
    const coarse = contextWith({ increments: { ...contextWith().increments, seatHeightM: 0.04, handForceN: 200 } });
    const step = nextStep(coarse, pole, { seatHeightM: 0.6, handForceN: 0, shareFraction: 0.5 }, "build");
    expect(step).toMatchObject({ lever: "seatHeightM", tooBig: true });
  });
});

test("build raises and ease lowers what the tightest joint is asked, for any set-up of any variation", () => {
  const context = contextWith();
  fc.assert(
    fc.property(fc.constantFrom(...CATALOGUE), fc.double({ min: 0, max: 1, noNaN: true }), (variation, part) => {
      const setting = Object.fromEntries(
        variation.levers.map(({ lever, min, max }) => {
          const step = context.increments[lever as LeverId];
          return [lever, Math.round((min + part * (max - min)) / step) * step];
        }),
      );
      for (const move of ["ease", "build"] as const) {
        const step = nextStep(context, variation, setting, move);
        if (!step) continue;
        expect(Math.sign(step.riserFraction)).toBe(move === "build" ? 1 : -1);
        expect(Math.abs(step.riserFraction)).toBeGreaterThanOrEqual(RISER_MIN_FRACTION);
        expect(changed(setting, step.setting)).toEqual([step.lever]);
      }
    }),
    { numRuns: 40 },
  );
});

describe("the stair", () => {
  const treads = stairAround(contextWith({ limits: [kneeLimit(95)] }), pole, START, { down: 2, up: 9 });
  test("rises evenly: every riser is a step and none is a jump", () => {
    for (const { step } of treads) {
      if (!step) continue;
      expect(step.riserFraction).toBeGreaterThanOrEqual(RISER_MIN_FRACTION - 1e-9);
      expect(step.riserFraction).toBeLessThanOrEqual(RISER_MAX_FRACTION + 1e-9);
    }
  });
  test("has the rung one stands on, two below it, and ends with the first that is closed", () => {
    expect(treads.findIndex(({ isCurrent }) => isCurrent)).toBe(2);
    expect(treads.filter(({ judgement }) => judgement.state === "closed")).toHaveLength(1);
    expect(treads.at(-1)?.judgement.state).toBe("closed");
  });
});

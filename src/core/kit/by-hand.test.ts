import { expect, test } from "vitest";
import { BODY } from "../judge/fit.fixture";
import { benchAtKneeM, footSplit, poleHand, staggeredLoad } from "./by-hand";

test("a pole takes its kilograms off the front leg, and no more than is there", () => {
  expect(footSplit(70, 0.75, 20)).toEqual({ frontKg: 32.5, rearKg: 17.5, handsKg: 20 });
  expect(footSplit(70, 0.75, 90)).toEqual({ frontKg: 0, rearKg: 17.5, handsKg: 52.5 });
});
test("a load is shared as the weight is", () => {
  const { frontKg, rearKg } = staggeredLoad(40, 0.7);
  expect([frontKg, rearKg].map((kg) => Math.round(kg * 1e6) / 1e6)).toEqual([28, 12]);
});
test("the pole is in the other hand, and a bench as high as the knee", () => {
  expect([poleHand("left"), poleHand("right")]).toEqual(["right", "left"]);
  expect(benchAtKneeM(BODY)).toBeCloseTo(BODY.ankleHeightM + BODY.shankM, 12);
});

import { expect, test } from "vitest";
import { BODY } from "./fit.fixture";
import { benchAtKneeM, firstBand, footSplit, frontFractionFrom, poleHand, staggeredLoad } from "./by-hand";

test("a pole takes its kilograms off the front leg, and no more than is there", () => {
  expect(footSplit(70, 0.75, 20)).toEqual({ frontKg: 32.5, rearKg: 17.5, handsKg: 20 });
  expect(footSplit(70, 0.75, 90)).toEqual({ frontKg: 0, rearKg: 17.5, handsKg: 52.5 });
});
test("what two scales and the hands carry gives the share back", () => {
  const { frontKg, rearKg, handsKg } = footSplit(70, 0.75, 20);
  expect(frontFractionFrom({ frontKg, rearKg, handsN: handsKg * 9.81 })).toBeCloseTo(0.75, 3);
  expect(frontFractionFrom({ frontKg: 0, rearKg: 0, handsN: 0 })).toBeNull();
});
test("a load is shared as the weight is", () => {
  const { frontKg, rearKg } = staggeredLoad(40, 0.7);
  expect([frontKg, rearKg].map((kg) => Math.round(kg * 1e6) / 1e6)).toEqual([28, 12]);
});
test("the pole is in the other hand, and a bench as high as the knee", () => {
  expect([poleHand("left"), poleHand("right")]).toEqual(["right", "left"]);
  expect(benchAtKneeM(BODY)).toBeCloseTo(BODY.ankleHeightM + BODY.shankM, 12);
});
test("what resists begins with the lightest of five bands, what supports with the strongest", () => {
  const bands = [12, 4, 20, 2, 8].map((pullKg) => ({ pullKg }));
  expect(firstBand([...bands, {}], "resists")).toEqual({ pullKg: 2 });
  expect(firstBand([...bands, {}], "supports")).toEqual({ pullKg: 20 });
  expect(firstBand([{}], "resists")).toBeUndefined();
});

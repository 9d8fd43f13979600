import { expect, test } from "vitest";
import { variationByCode } from "../catalogue/catalogue";
import { activationPart, drillsBy, hasTrunkFirst, kneeWorkBy, sideHipDose } from "./by-approach";

const held = (axisId: string, position: string) => ({ positions: { [axisId]: position } });
const MAINSTREAM = { positions: {} };

test.each([
  ["load-the-range", [], [["M03", "M11"]]],
  ["load-the-range", ["ankle"], [["M13", "M04"]]],
  ["load-the-range", ["hip"], [["M03", "M05"]]],
  [
    "load-the-range",
    ["ankle", "hip"],
    [
      ["M13", "M04"],
      ["M03", "M05"],
    ],
  ],
  ["every-session", [], [["M15"]]],
  ["every-session", ["hip"], [["M15"], ["M03", "M05"]]],
  [
    "mobilise-and-strengthen",
    [],
    [
      ["M01", "M03", "M11"],
      ["H04", "H03"],
    ],
  ],
  [
    "mobilise-and-strengthen",
    ["ankle"],
    [
      ["M13", "M04"],
      ["H04", "H03"],
    ],
  ],
  ["one-stretch", [], [["M05", "M06", "M03"]]],
  ["one-stretch", ["ankle"], [["M05", "M06", "M03"]]],
] as const)("drills of %s, where %s is limited", (position, stiff, drills) => {
  expect(drillsBy(held("stretching", position), stiff)).toEqual(drills);
});

test.each([
  ["no-bend", [["K03", "K01", "K04"]]],
  ["band-and-drag", [["K05"], ["K07"]]],
  ["easy-standing", [["A06", "A05", "K05"]]],
])("first work of a knee by %s", (position, codes) => expect(kneeWorkBy(held("first-knee-work", position))).toEqual(codes));

test("the trunk and what wakes a muscle stand where the approach has them", () => {
  expect([hasTrunkFirst(MAINSTREAM), hasTrunkFirst(held("trunk", "core-each-session"))]).toEqual([false, true]);
  expect([activationPart(MAINSTREAM), activationPart(held("activation", "burn-at-end"))]).toEqual(["activation", "finish"]);
});

test("every code that an approach names is a row", () => {
  const codes = ["every-session", "mobilise-and-strengthen", "one-stretch", "load-the-range"]
    .flatMap((position) => drillsBy(held("stretching", position), ["ankle", "hip"]))
    .concat(["no-bend", "band-and-drag", "easy-standing"].flatMap((position) => kneeWorkBy(held("first-knee-work", position))))
    .flat();
  expect(codes.length).toBeGreaterThan(20);
  expect(codes.filter((code) => !variationByCode(code))).toEqual([]);
});

test("side-hip work has the approach's dose, anything else its own; a hold and a count by the clock stay what they are", () => {
  const row = variationByCode("A10")!;
  const dose = { ...row.dose, setCount: 2, repetitionsLow: 10, repetitionsHigh: 12, restS: 60 };
  const by = (position: string) => {
    const { setCount, repetitionsLow, repetitionsHigh, restS } = sideHipDose(held("abduction-dose", position), row, dose);
    return [setCount, repetitionsLow, repetitionsHigh, restS];
  };
  expect(by("many-light")).toEqual([3, 30, 40, 30]);
  expect(by("drops")).toEqual([3, 10, 10, 0]);
  expect(by("moderate")).toEqual([1, 16, 20, 60]);
  expect(sideHipDose(held("abduction-dose", "many-light"), variationByCode("S02")!, dose)).toBe(dose);
  const once = { ...dose, repetitionsLow: 1, repetitionsHigh: 1 };
  expect(sideHipDose(held("abduction-dose", "many-light"), row, once)).toBe(once);
  const two = { ...dose, repetitionsHigh: 2 };
  expect(sideHipDose(held("abduction-dose", "many-light"), row, two)).not.toBe(two);
  const counted = { ...dose, counts: "seconds" as never };
  expect(sideHipDose(held("abduction-dose", "many-light"), row, counted)).toBe(counted);
});

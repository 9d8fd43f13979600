import { describe, expect, test } from "vitest";
import {
  leftShare,
  scaleLine,
  type ScaleReading,
  scaleText,
  shareSummary,
  shareUnder,
  type StandIn,
  standInReading,
  handLine,
  handStandInText,
  steadyKg,
} from "./scales";

/** Whole numbers from 0 to 99, always the same ones. */
function chanceFrom(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1103515245 + 12345) % 2147483648;
    return Math.floor(state / 65536) % 100;
  };
}
const STAND_IN: StandIn = { massKg: 74, guarded: "right", sparedBy: 0.07, noiseKg: 0.4, dropPercent: 0 };
const squats = (more: Partial<StandIn> = {}, count = 200): ScaleReading[] => {
  const chance = chanceFrom(7);
  return Array.from({ length: count }, (_, i) => standInReading({ ...STAND_IN, ...more }, i / 10, chance));
};

describe("a line of the scales", () => {
  test("is two weights, either of which may be missing", () => {
    expect(scaleLine("36.4;37.9")).toEqual({ leftKg: 36.4, rightKg: 37.9 });
    expect(scaleLine(" 36 ; 37.90 \r")).toEqual({ leftKg: 36, rightKg: 37.9 });
    expect(scaleLine("36.4;")).toEqual({ leftKg: 36.4, rightKg: null });
    expect(scaleLine(";37.9")).toEqual({ leftKg: null, rightKg: 37.9 });
    expect(scaleLine("-0.1;0")).toEqual({ leftKg: -0.1, rightKg: 0 });
  });
  test("of anything else is no reading: half a line, a comma, words, a foot of half a ton", () => {
    for (const line of ["", "36.4", "36,4;37,9", "E3", "36.4;37.9;1", "500;20", "-20;40", "NaN;1", "1e9;2"])
      expect([line, scaleLine(line)]).toEqual([line, null]);
  });
  test("is a weight that a foot can have, a little under nothing too", () => {
    expect(scaleLine("-4.9;399.999")).toEqual({ leftKg: -4.9, rightKg: 399.999 });
    expect(["-5;40", "40;-5", "400;40", "40;400"].map(scaleLine)).toEqual([null, null, null, null]);
  });
  test("is written as it is read", () => {
    for (const reading of squats({ dropPercent: 30 }, 50))
      expect(scaleLine(scaleText(reading))).toEqual({ leftKg: reading.leftKg, rightKg: reading.rightKg });
  });
});

describe("the share", () => {
  test("is of what both feet carry, and nothing where one scale is silent or nobody stands there", () => {
    expect(leftShare({ leftKg: 30, rightKg: 50 })).toBeCloseTo(0.375, 9);
    expect([leftShare({ leftKg: null, rightKg: 50 }), leftShare({ leftKg: 1, rightKg: 2 })]).toEqual([null, null]);
  });
  test("of a squat finds the side that is spared, its mean and its least, through noise and silence", () => {
    for (const guarded of ["left", "right"] as const) {
      const summary = shareSummary(squats({ guarded, dropPercent: 20 }));
      expect(summary?.guarded).toBe(guarded);
      expect(summary && shareUnder(summary, guarded)).toBeCloseTo(0.5 - 0.07 * 1.25, 2); // half as much again at the bottom
      expect(summary?.leastSpared).toBeLessThan(0.41);
      expect(summary?.droppedFraction).toBeGreaterThan(0.1);
      expect(summary?.droppedFraction).toBeLessThan(0.3);
    }
  });
  test("is even within three hundredths, and unknown of a few readings", () => {
    expect(shareSummary(squats({ guarded: null }))?.guarded).toBeNull();
    expect(shareSummary(squats({ sparedBy: 0.02 }))?.guarded).toBeNull();
    expect(shareSummary(squats({ sparedBy: 0.04 }))?.guarded).toBe("right");
    expect(shareSummary(squats({}, 9))).toBeNull();
    expect(shareSummary(squats({ dropPercent: 100 }))).toBeNull();
  });
  const still = (leftKg: number, rightKg: number, count = 10): ScaleReading[] =>
    Array.from({ length: count }, (_, i) => ({ atS: i / 10, leftKg, rightKg }));
  test("is known of ten readings and of twenty kilograms, and of no less", () => {
    expect(shareSummary(still(20, 30))).toMatchObject({ count: 10, guarded: "left" });
    expect(leftShare({ leftKg: 10, rightKg: 10 })).toBe(0.5);
    expect(leftShare({ leftKg: 10, rightKg: 9.9 })).toBeNull();
  });
  test("has its least on the side that carries less, even where both count as alike", () => {
    expect(shareSummary([...still(49, 51), ...still(45, 55, 1)])).toMatchObject({ guarded: null, leastSpared: 0.45 });
    expect(shareSummary([...still(51, 49), ...still(55, 45, 1)])?.leastSpared).toBeCloseTo(0.45, 9);
    expect(shareSummary([...still(50, 50), ...still(55, 45, 1), ...still(45, 55, 1)])?.leastSpared).toBeCloseTo(0.45, 9);
  });
  test("counts what one scale did not say, and the most of the other all the same", () => {
    const silent: ScaleReading[] = [
      { atS: 2, leftKg: 80, rightKg: null },
      { atS: 2.1, leftKg: null, rightKg: 90 },
    ];
    expect(shareSummary([...still(30, 30, 14), ...silent])).toMatchObject({ droppedFraction: 2 / 16, peakKg: { left: 80, right: 90 } });
  });
  test("knows the most under either foot", () => {
    const peaks = shareSummary(squats())?.peakKg;
    expect(peaks?.left).toBeGreaterThan(peaks?.right ?? NaN);
    expect(peaks?.left).toBeLessThan(74);
  });
});

describe("what stands in for scales", () => {
  const quiet: StandIn = { ...STAND_IN, noiseKg: 0 };
  const at = (atS: number, more: Partial<StandIn> = {}, chances: readonly number[] = [99]): (number | null)[] => {
    let turn = 0;
    const { leftKg, rightKg } = standInReading({ ...quiet, ...more }, atS, () => chances[turn++ % chances.length]!);
    return [leftKg, rightKg];
  };
  test("squats in four seconds: lighter going down, heavier coming up, sparing a side most at the bottom", () => {
    expect([0, 1, 2, 3, 4, 5].map((atS) => at(atS))).toEqual([
      [42.2, 31.8],
      [38.3, 26.9],
      [44.8, 29.2],
      [48.7, 34.2],
      [42.2, 31.8],
      [38.3, 26.9],
    ]);
    expect([at(0, { guarded: "left" }), at(0, { guarded: null })]).toEqual([
      [31.8, 42.2],
      [37, 37],
    ]);
  });
  test("shakes, and one of the two falls silent as often as asked", () => {
    expect([at(0, { noiseKg: 1 }), at(0, { noiseKg: 1 }, [0])]).toEqual([
      [43.2, 32.8],
      [41.2, 30.8],
    ]);
    const silent = (...chances: number[]) => at(0, { dropPercent: 30 }, chances);
    expect([silent(29, 49), silent(29, 50), silent(30, 49)]).toEqual([
      [null, 31.8],
      [42.2, null],
      [42.2, 31.8],
    ]);
  });
  test("pulls by hand as hard as it is set to, after a second and a half", () =>
    expect([0, 0.75, 1.5, 9].map((atS) => [handStandInText(8, atS, () => 0), handStandInText(8, atS, () => 99)])).toEqual([
      ["-0.3", "0.3"],
      ["3.7", "4.3"],
      ["7.7", "8.3"],
      ["7.7", "8.3"],
    ]));
});

describe("a hand scale", () => {
  test("takes what a hand can pull, to the gram", () => {
    expect(["8", "-4.9", "399.999", "120.45"].map(handLine)).toEqual([{ kg: 8 }, { kg: -4.9 }, { kg: 399.999 }, { kg: 120.45 }]);
    expect([handLine("-5"), handLine("400")]).toEqual([null, null]);
  });
  test("is steady on ten readings of the last two seconds that lie within two kilograms, and says their mean", () => {
    const held = (kgs: readonly number[], fromS = 0) => kgs.map((kg, i) => ({ atS: fromS + i / 8, kg }));
    expect(steadyKg(held([8, 8, 8, 8, 8, 8, 8, 8, 8, 10]))).toBeCloseTo(8.2, 9);
    expect(steadyKg(held([8, 8, 8, 8, 8, 8, 8, 8, 8, 10.1]))).toBeNull();
    expect(steadyKg(held([8, 8, 8, 8, 8, 8, 8, 8, 8]))).toBeNull();
    expect(steadyKg([{ atS: 0, kg: 30 }, ...held(Array<number>(9).fill(8), 1)])).toBeNull(); // what is two seconds old is not counted
  });
  test("says kilograms line by line, and nothing else is one", () => {
    expect(handLine(" 8.2 ")).toEqual({ kg: 8.2 });
    expect([handLine("8,2"), handLine("8;2"), handLine("900"), handLine("")]).toEqual([null, null, null, null]);
  });
  test("is steady once two seconds lie within a wobble, and not while the pull grows", () => {
    let turn = 0;
    const chance = (): number => (turn = (turn * 37 + 11) % 100);
    const readings = Array.from({ length: 50 }, (_, i) => ({ atS: i / 10, ...handLine(handStandInText(8, i / 10, chance))! }));
    expect(steadyKg(readings.slice(0, 12))).toBeNull();
    expect(steadyKg(readings)).toBeCloseTo(8, 0);
    expect(steadyKg([])).toBeNull();
  });
});

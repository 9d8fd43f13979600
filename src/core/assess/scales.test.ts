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
  test("knows the most under either foot", () => {
    const peaks = shareSummary(squats())?.peakKg;
    expect(peaks?.left).toBeGreaterThan(peaks?.right ?? NaN);
    expect(peaks?.left).toBeLessThan(74);
  });
});

describe("a hand scale", () => {
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

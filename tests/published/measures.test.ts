import { describe, expect, test } from "vitest";
import { normOf, placeOf } from "../../src/core/assess/norm";
import { detectableChange, SHIN_DEG_PER_TOE_M, sideIndex, standardError } from "../../src/core/standards/measurement";
import { rangeOfMotion } from "../../src/core/standards/range-of-motion";
import { upAndGoAverageMostS, usualPace } from "../../src/core/standards/walking";
import { cushionsFor, kneeAtSeatDeg, seatAtKneeM } from "../../src/core/templates/seat";
import { DEFAULT_POSTURE } from "../../src/core/mechanics/posture";
import type { Subject } from "../../src/core/templates/template";
import { bodyFromMeasure } from "../../src/core/body/body";

/** Measures against published tables and formulas. From memory; the source and how sure beside each. */
describe("errors of measurement", () => {
  test("detectable change: Kennedy 2005, 6MWT 26.29 m and stair climb 2.35 s at 90 % (z 1.65)", () => {
    expect(detectableChange(26.29, 1.65)).toBeCloseTo(61.35, 1);
    expect(detectableChange(2.35, 1.65)).toBeCloseTo(5.48, 2);
  });
  test("standard error from spread and reliability: SD 10, ICC .91", () => {
    expect(standardError(10, 0.91)).toBeCloseTo(3, 6);
    expect(detectableChange(3, 1.96)).toBeCloseTo(8.32, 2);
  });
});

describe("one side against the other", () => {
  test("the trade's own example: good 12, affected 9 make 25 % (common practice, no source)", () => {
    expect(sideIndex({ left: 9, right: 12 }, "more")).toEqual({ worse: "left", deficitFraction: 0.25 });
  });
  test("limb symmetry, Noyes 1991: 45 of 50 kg is 90 %; of times, 12.5 against 10 s is 80 %", () => {
    expect(1 - (sideIndex({ left: 45, right: 50 }, "more")?.deficitFraction ?? NaN)).toBeCloseTo(0.9, 9);
    const times = sideIndex({ left: 12.5, right: 10 }, "less");
    expect([times?.worse, 1 - (times?.deficitFraction ?? NaN)]).toEqual(["left", expect.closeTo(0.8, 9)]);
  });
});

describe("tables by age", () => {
  test("usual pace, Bohannon & Williams Andrews 2011 (high): a man of 64, a woman of 45", () => {
    expect(usualPace({ age: 64, sex: "male" })).toBe(1.339);
    expect(usualPace({ age: 45, sex: "female" })).toBe(1.39);
    expect([usualPace({ age: 19, sex: "male" }), usualPace({ age: 100, sex: "male" })]).toEqual([null, null]);
  });
  test("up and go, Bohannon 2006 (high): 68 y with 9.1 s is slower than average, 75 y with 10.2 s is not", () => {
    const place = (age: number, seconds: number) => {
      const norm = normOf("up-and-go", { age, sex: "female" });
      return norm && placeOf(seconds, norm);
    };
    expect([place(68, 9.1), place(75, 10.2), place(59, 9)]).toEqual(["above", "within", null]);
    expect([60, 79, 80, 99, 100].map(upAndGoAverageMostS)).toEqual([9, 10.2, 12.7, 12.7, null]);
  });
  test("range of motion, Roach & Miles 1991 (high to medium): knee bend of 118 at 66 is 13 below the mean, 1.2 deviations", () => {
    const knee = rangeOfMotion("knee-flexion", 66);
    expect(knee).toMatchObject({ meanDeg: 131, sdDeg: 11, fromAge: 60, toAge: 74 });
    expect((131 - 118) / 11).toBeCloseTo(1.18, 2);
    expect(rangeOfMotion("hip-flexion", 45)).toMatchObject({ meanDeg: 120, sdDeg: 14 });
    expect(rangeOfMotion("hip-extension", 30)).toMatchObject({ meanDeg: 22, sdDeg: 8 });
    expect([rangeOfMotion("knee-flexion", 24), rangeOfMotion("knee-flexion", 75)]).toEqual([null, null]);
  });
  test("five rises, Bohannon 2006 (high): 66 y with 11.5 s is slower than average, 73 y with 12.5 s is not", () => {
    const place = (age: number, seconds: number) => {
      const norm = normOf("five-rises", { age, sex: "male" });
      return norm && placeOf(seconds, norm);
    };
    expect([place(66, 11.5), place(73, 12.5)]).toEqual(["above", "within"]);
  });
  test("step-down, Piva 2006 (high): 0 and 1 are good, from 2 on not", () => {
    const norm = normOf("step-down", { age: 50, sex: "male" });
    expect(norm && [1, 2].map((value) => placeOf(value, norm))).toEqual(["within", "above"]);
  });
  test("heel raises, Lunsford & Perry 1995 (high): 27.9 with a deviation of 11.1, ages 20 to 59", () => {
    expect(normOf("heel-raise", { age: 50, sex: "male" })).toMatchObject({ low: expect.closeTo(16.8, 6), high: expect.closeTo(39, 6) });
    expect(normOf("heel-raise", { age: 60, sex: "male" })).toBeNull();
  });
  test("shin by toe to wall, Bennell 1998: 9 cm 32.4 degrees, 6 cm 21.6", () => {
    expect([0.09, 0.1, 0.06].map((toeM) => toeM * SHIN_DEG_PER_TOE_M)).toEqual([32.4, 36, 21.6].map((deg) => expect.closeTo(deg, 9)));
  });
});

describe("seats (our own geometry, common practice for the rule)", () => {
  const subject: Subject = {
    body: bodyFromMeasure({ heightM: 1.68, massKg: 74, sex: "female" }),
    posture: DEFAULT_POSTURE,
    leadSide: "right",
  };
  test("the bend on a seat and the seat for a bend are one another's inverse", () => {
    let met = 0;
    for (let deg = 15; deg <= 120; deg += 5) {
      const back = kneeAtSeatDeg(subject, seatAtKneeM(subject, deg));
      if (back === null) continue;
      met++;
      expect(back).toBeCloseTo(deg, 6);
    }
    expect(met).toBeGreaterThan(18);
    expect([kneeAtSeatDeg(subject, 0.1), kneeAtSeatDeg(subject, 1.2)]).toEqual([null, null]);
  });
  test("cushions: as many as bring the seat up to what is wanted and no fewer, none where the chair is high enough", () => {
    expect(cushionsFor(0.45, 0.04, 0.59)).toBe(4);
    expect(cushionsFor(0.45, 0.05, 0.6)).toBe(3);
    expect(cushionsFor(0.6, 0.05, 0.59)).toBe(0);
  });
});

describe("each published range, as a result is drawn on it", () => {
  const woman = { age: 65, sex: "female" } as const;
  test.each([
    ["chair-stand", { low: 11, high: 16, of: "middle-half", source: "rikli-jones-1999" }],
    ["five-rises", { low: null, high: 11.4, of: "average", source: "bohannon-2006" }],
    ["one-leg-stance", { low: 14, high: 45, of: "one-deviation", source: "springer-2007" }],
    ["up-and-go", { low: null, high: 9, of: "average", source: "bohannon-2006-tug" }],
    ["walking-speed", { low: 1.241, high: 1.241, of: "mean", source: "bohannon-2011" }],
    ["step-down", { low: 0, high: 1, of: "grades", source: "piva-2006" }],
    ["side-length", { low: 3.5, high: 4, of: "trade", source: "trade" }],
    ["knee-bend", { low: 120, high: 142, of: "one-deviation", source: "roach-miles-1991" }],
    ["hip-bend", { low: 105, high: 131, of: "one-deviation", source: "roach-miles-1991" }],
    ["hip-back", { low: 9, high: 25, of: "one-deviation", source: "roach-miles-1991" }],
    ["hip-out", { low: 27, high: 51, of: "one-deviation", source: "roach-miles-1991" }],
    ["hip-turn-in", { low: 23, high: 37, of: "one-deviation", source: "roach-miles-1991" }],
    ["hip-turn-out", { low: 20, high: 38, of: "one-deviation", source: "roach-miles-1991" }],
    ["calm-seat", null],
  ] as const)("%s of a woman of 65", (id, expected) => expect(normOf(id, woman)).toEqual(expected));
  test("and none where no cell is", () => {
    for (const [id, age] of [
      ["knee-bend", 80],
      ["one-leg-stance", 17],
      ["walking-speed", 19],
      ["five-rises", 59],
      ["heel-raise", 19],
    ] as const)
      expect([id, normOf(id, { age, sex: "female" })]).toEqual([id, null]);
  });
});

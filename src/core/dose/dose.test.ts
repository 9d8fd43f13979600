import { expect, test } from "vitest";
import type { Dose } from "../catalogue/variation";
import { doseS, tempoMoment, tryDose } from "./dose";

const DOSE: Dose = { setCount: 3, repetitionsLow: 8, repetitionsHigh: 12, tempo: { lowerS: 3, pauseS: 1, riseS: 2 }, restS: 90 };

test("time at the top of the range, with rest between sets and none after the last", () => expect(doseS(DOSE)).toBe(3 * 12 * 6 + 2 * 90));

test.each([
  [0, 0, "lower", 3],
  [2.5, 0, "lower", 1],
  [3, 0, "pause", 1],
  [4.2, 0, "rise", 2],
  [6, 1, "lower", 3],
  [71.9, 11, "rise", 1],
] as const)("%d s into a set: %d done, %s, %d left", (elapsedS, repetitions, phase, leftS) => {
  expect(tempoMoment(DOSE, "lower", elapsedS)).toMatchObject({ repetitions, phase, leftS });
});

test("a phase of no length is skipped", () => {
  const noPause: Dose = { ...DOSE, tempo: { lowerS: 3, pauseS: 0, riseS: 2 } };
  expect(tempoMoment(noPause, "lower", 3).phase).toBe("rise");
});

test("what rises first is counted from the rise", () => {
  expect([0, 2.5, 3.5].map((s) => tempoMoment(DOSE, "rise", s).phase)).toEqual(["rise", "pause", "lower"]);
});

test("a try is one set, and never more than the fewest repetitions", () => {
  expect(tryDose(DOSE)).toMatchObject({ setCount: 1, repetitionsHigh: DOSE.repetitionsLow });
});

import { describe, expect, test } from "vitest";
import type { Dose } from "../catalogue/variation";
import { doseS, isTimed, placeInMovement, settingOfSet, tempoMoment, tryDose } from "./dose";

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

test("one long repetition goes by its seconds, and what is counted otherwise does not", () => {
  const hold = (pauseS: number, more: Partial<Dose> = {}) =>
    isTimed({ ...DOSE, repetitionsHigh: 1, tempo: { lowerS: 0, pauseS, riseS: 0 }, ...more });
  expect([hold(4.9), hold(5), hold(60)]).toEqual([false, true, true]);
  expect([hold(60, { repetitionsHigh: 2 }), hold(60, { counts: "rounds" })]).toEqual([false, false]);
});

test("a tempo without length is no tempo; after its last phase a repetition is over", () => {
  expect(tempoMoment({ tempo: { lowerS: 3, pauseS: 1, riseS: 2 } }, "lower", 5)).toMatchObject({
    phase: "rise",
    phaseFraction: 0.5,
    leftS: 1,
  });
  expect(tempoMoment({ tempo: { lowerS: 3, pauseS: 0, riseS: 0 } }, "lower", 2.9999999)).toMatchObject({ phase: "lower" });
  expect(() => tempoMoment({ tempo: { lowerS: 0, pauseS: 0, riseS: 0 } }, "lower", 1)).toThrow("a tempo without length");
});

test("a try is one set, and never more than the fewest repetitions", () => {
  expect(tryDose(DOSE)).toMatchObject({ setCount: 1, repetitionsHigh: DOSE.repetitionsLow });
});

test("a body goes down while it is lowered and up while it is raised, whichever end the levers set", () => {
  const tempo = { tempo: { lowerS: 4, pauseS: 2, riseS: 2 } };
  const along = (isLow: boolean, startsBy: "lower" | "rise") =>
    [0, 2, 4, 5, 7, 7.999].map((atS) => Number(placeInMovement(isLow, startsBy, tempoMoment(tempo, startsBy, atS)).toFixed(2)));
  expect(along(true, "lower")).toEqual([0, 0.5, 1, 1, 0.5, 0]);
  expect(along(false, "lower")).toEqual([1, 0.5, 0, 0, 0.5, 1]);
  // up in two, held up for two, down in four
  expect(along(false, "rise")).toEqual([0, 1, 1, 0.85, 0.15, 0]);
});

describe("a drop set", () => {
  const drops: Dose = { ...DOSE, setCount: 4, drops: { lever: "loadKg", values: [24, 20] } };
  const loads = (dose: Dose, loadKg = 30): (number | undefined)[] =>
    Array.from({ length: dose.setCount }, (_, done) => settingOfSet(dose, { loadKg, seatHeightM: 0.5 }, done).loadKg);

  test("ends the last sets lighter, each at once: no rest before a drop", () => {
    expect(loads(drops)).toEqual([30, 30, 24, 20]);
    expect(settingOfSet(drops, { loadKg: 30, seatHeightM: 0.5 }, 3)).toEqual({ loadKg: 20, seatHeightM: 0.5 });
    expect(doseS(drops)).toBe(4 * 12 * 6 + 90);
    // the published example: 110, 90, 70 by ten are thirty repetitions
    expect(loads({ ...drops, setCount: 3, drops: { lever: "loadKg", values: [90, 70] } }, 110)).toEqual([110, 90, 70]);
  });
  test("never begins with a drop, and never rises above what a set was eased to", () => {
    expect(loads({ ...drops, setCount: 2 })).toEqual([30, 24]);
    expect(loads(tryDose(drops))).toEqual([30]);
    expect(loads(drops, 22)).toEqual([22, 22, 22, 20]);
    expect(loads(DOSE)).toEqual([30, 30, 30]);
  });
});

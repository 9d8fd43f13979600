import fc from "fast-check";
import { expect, test } from "vitest";
import { beatsBetween, COUNT_IN_S, toSchedule } from "./beats";

const dose = (repetitionsHigh: number, lowerS = 3, pauseS = 1, riseS = 2) => ({ repetitionsHigh, tempo: { lowerS, pauseS, riseS } });

test("a set is counted in by three, sounds at each phase in the order it is done, and ends", () => {
  expect(beatsBetween(dose(2), "lower", -10, 99).map(({ atS, kind }) => `${atS} ${kind}`)).toEqual([
    "-3 count",
    "-2 count",
    "-1 count",
    "0 lower",
    "3 pause",
    "4 rise",
    "6 lower",
    "9 pause",
    "10 rise",
    "12 end",
  ]);
  expect(beatsBetween(dose(1, 3, 0, 2), "rise", 0, 99).map(({ kind }) => kind)).toEqual(["rise", "lower", "end"]);
});

test("a piece ends before its last moment, and looks no further", () => {
  expect(beatsBetween(dose(200), "lower", 0, 6).map(({ atS }) => atS)).toEqual([0, 3, 4]);
  expect(beatsBetween(dose(200), "lower", 6, 9).map(({ atS, kind }) => `${atS} ${kind}`)).toEqual(["6 lower"]);
});

test("looked at in any pieces it is the same beats, none twice and none left out", () => {
  let pieces = 0;
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0.001, max: 4, noNaN: true }), { minLength: 5, maxLength: 60 }), (steps) => {
      const whole = beatsBetween(dose(5), "lower", -COUNT_IN_S, 31);
      let [fromS, found] = [-COUNT_IN_S, [] as typeof whole];
      for (const step of [...steps, 99]) {
        found = [...found, ...beatsBetween(dose(5), "lower", fromS, Math.min(31, fromS + step))];
        fromS = Math.min(31, fromS + step);
        pieces++;
      }
      expect(found).toEqual(whole);
    }),
  );
  expect(pieces).toBeGreaterThan(500);
});

test("over ten minutes on a busy page no beat is 50 ms off, on an audio clock that runs a little fast", () => {
  const FAST = 1.00005; // 50 parts in a million, as cheap clocks are
  const long = dose(120, 2, 1, 2); // 600 s
  let [nowS, putUntilS, seed] = [-COUNT_IN_S, -COUNT_IN_S, 7];
  const heard: { atS: number; kind: string }[] = [];
  while (nowS < 601) {
    const { tones, putUntilS: next } = toSchedule(long, "lower", { elapsedS: nowS, audioS: nowS * FAST }, putUntilS);
    heard.push(...tones.map(({ atAudioS, kind }) => ({ atS: atAudioS / FAST, kind })));
    putUntilS = next;
    seed = (seed * 16807) % 2147483647;
    nowS += 0.1 + (seed % 1000) / 1000; // the page is away for up to 1.1 s
  }
  const wanted = beatsBetween(long, "lower", -COUNT_IN_S, 601);
  expect(heard.map(({ kind }) => kind)).toEqual(wanted.map(({ kind }) => kind));
  expect(wanted.length).toBe(3 + 360 + 1);
  const worstS = Math.max(...heard.map(({ atS }, i) => Math.abs(atS - wanted[i]!.atS)));
  expect(worstS).toBeLessThan(0.05);
});

import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { CATALOGUE, variationById } from "../catalogue/catalogue";
import type { Dose } from "../catalogue/variation";
import { PRESET_IDS, schoolOf } from "../approach/approach";
import { DOSE_LIMITS } from "./dose";
import { bandLadder, dropSet, dropsFrom, goalLoadOf, goalLoadKg, nextLoad, proteinG, tradeIn, tradeLb } from "./load";
import { proposedDose, type Purpose, PURPOSES } from "./purpose";
import { sideDoses } from "./sides";
import { repetitionsIn, tempoFrom, tensionS } from "./tempo";

const school = schoolOf({ preset: "mainstream" });

describe("a tempo as it is said", () => {
  test("runs in the order of the movement, and gives its seconds under tension", () => {
    const wide = tempoFrom("5-3-1", "lower")!;
    expect(wide).toEqual({ lowerS: 5, pauseS: 3, riseS: 1 });
    expect(tensionS(wide, 5)).toBe(45); // handbook D8
    expect(tensionS(tempoFrom("3-2", "lower")!, 12)).toBe(60);
    expect(tempoFrom("2-3", "rise")).toEqual({ riseS: 2, pauseS: 0, lowerS: 3 }); // bridges and steps begin by rising
    expect(tempoFrom("hold 3 release 3", "rise")).toMatchObject({ pauseS: 3, lowerS: 3 });
    expect([tempoFrom("fast", "rise"), tempoFrom("3", "lower"), tempoFrom("3-", "lower")]).toEqual([null, null, null]);
    expect(tempoFrom(" 10-12-11 ", "lower")).toEqual({ lowerS: 10, pauseS: 12, riseS: 11 });
    expect(tempoFrom(" Hold 10 release 12 ", "lower")).toEqual({ riseS: 1, pauseS: 10, lowerS: 12 });
    for (const said of ["about 5-3-1", "5-3-1 or so", "please hold 3 release 3", "hold 3 release 3 then"])
      expect(tempoFrom(said, "lower")).toBeNull();
  });
  test("a timed set is whole repetitions, and back within one of them", () => {
    const tempo = { lowerS: 3, pauseS: 1, riseS: 2 };
    expect(repetitionsIn(tempo, 30)).toBe(5);
    fc.assert(fc.property(fc.integer({ min: 1, max: 40 }), (count) => repetitionsIn(tempo, tensionS(tempo, count)) === count));
  });
});

describe("loads", () => {
  test("70 kg makes 17.5, 35 and 70, and what can be assembled is never more", () => {
    expect((["steep-squat", "knee-forward-step", "full-squat"] as const).map((goal) => goalLoadKg(70, goal))).toEqual([17.5, 35, 70]);
    expect(goalLoadKg(70, "knee-forward-step", [20, 25, 30, 36])).toBe(30);
    expect(goalLoadKg(70, "knee-forward-step", [20, 35])).toBe(35);
  });
  test("the next one is inside the published window, or the smaller plate is named", () => {
    expect(nextLoad(20, [20, 22.5, 25])).toMatchObject({
      ok: false,
      nextKg: 22.5,
      percent: 12.5,
      neededKg: { least: expect.closeTo(20.4, 9) as number, most: 22 },
    });
    expect(nextLoad(20, [20, 21.5, 25])).toMatchObject({ ok: true, toKg: 21.5 });
    expect(nextLoad(4, [4, 6])).toMatchObject({ ok: true, toKg: 6, percent: 50 }); // ten kilograms and less go by the kit
    expect(nextLoad(10, [14, 12])).toMatchObject({ ok: true, toKg: 12 });
    expect(nextLoad(20, [25, 22, 21])).toMatchObject({ ok: true, toKg: 21, percent: expect.closeTo(5, 9) });
    expect(nextLoad(20, [22])).toMatchObject({ ok: true, toKg: 22 }); // a tenth is still in it
    expect(nextLoad(25, [25])).toMatchObject({ ok: false, nextKg: null, percent: null });
    expect(nextLoad(0, [2])).toMatchObject({ ok: true, toKg: 2, percent: NaN });
    expect(nextLoad(0, [])).toMatchObject({ ok: false, nextKg: null, percent: null });
  });
  test("drops go to what is here, each about a fifth less, and end where nothing is lighter", () => {
    expect(dropsFrom(110, [0, 50, 70, 80, 90, 100])).toEqual([110, 90, 70]);
    expect(dropsFrom(10, [0, 10, 20])).toEqual([10]);
    expect([goalLoadOf({ code: "S23" }), goalLoadOf({ code: "own", basedOn: "L12" }), goalLoadOf({ code: "B01" })]).toEqual([
      "steep-squat",
      "knee-forward-step",
      null,
    ]);
  });
  test("a drop set, bands in their order, and numbers as the trade says them", () => {
    const drop = dropSet([110, 90, 70], 10);
    expect(drop).toMatchObject({ repetitions: 30, volumeKg: 2700 });
    expect(drop.dropPercents.map(Math.round)).toEqual([18, 22]);
    const bands = [8, 2, 12, 5, 3].map((pullKg) => ({ pullKg }));
    expect(bandLadder(bands, "resists")[0]).toEqual({ pullKg: 2 });
    expect(bandLadder(bands, "supports")[0]).toEqual({ pullKg: 12 });
    expect([tradeLb(22), tradeLb(2.27), tradeLb(3.2), tradeLb(4.54), tradeIn(0.152), tradeIn(0.381)]).toEqual([50, 5, 7, 10, 6, 15]);
  });
  test("protein only where nobody else decides it", () => {
    const answer = proteinG(58.967, { pregnancy: false, kidneyDisease: false });
    expect(answer.ok && Math.round(answer.grams)).toBe(104);
    expect(proteinG(59, { pregnancy: true, kidneyDisease: false })).toEqual({ ok: false, refer: "clinician" });
    expect(proteinG(59, { pregnancy: false, kidneyDisease: true }).ok).toBe(false);
  });
});

test("a good side of 2 × 10 makes 3 × 10, 2 × 20, 2 × 10 weak first, or the weak alone; two sore sides take turns", () => {
  const good = { setCount: 2, repetitions: 10 };
  const said = (...of: Parameters<typeof sideDoses>): string =>
    sideDoses(...of)
      .map(({ side, setCount, repetitions }) => `${side} ${setCount}x${repetitions}`)
      .join(", ");
  expect(said(good, "left", "one-more-set")).toBe("left 3x10, right 2x10");
  expect(said(good, "left", "double")).toBe("left 2x20, right 2x10");
  expect(said(good, "right", "equal-weak-first")).toBe("right 2x10, left 2x10");
  expect(said(good, "right", "alone")).toBe("right 2x10");
  expect([0, 1].map((session) => sideDoses(good, null, "double", session)[0]?.side)).toEqual(["right", "right"]);
  expect([0, 1, 2].map((session) => sideDoses(good, "both", "double", session)[0]?.side)).toEqual(["right", "left", "right"]);
});

describe("a dose for a purpose", () => {
  test("is the bottom of the range the first time, with most left in the tank", () => {
    const row = variationById("goblet-squat");
    const [first, later] = [true, false].map((isFirst) => proposedDose(row, "strength", { isFirst, school }));
    expect(first!.dose.repetitionsHigh).toBe(first!.dose.repetitionsLow);
    expect(first!.dose.setCount).toBeLessThan(later!.dose.setCount);
    expect(first!.leftInTank).toBeGreaterThan(later!.leftInTank - 1);
    const byFeel = proposedDose(row, "strength", { isFirst: true, school: schoolOf({ preset: "gentle" }) });
    expect(byFeel.dose.repetitionsLow).toBeLessThan(first!.dose.repetitionsLow);
  });
  const made = (row: Partial<Dose>, purpose: Purpose, more: { isFirst?: boolean; positions?: object } = {}) =>
    proposedDose({ dose: { ...variationById("goblet-squat").dose, ...row }, startsBy: "lower" }, purpose, {
      isFirst: more.isFirst ?? false,
      school: schoolOf({ preset: "mainstream", positions: more.positions ?? {} }),
    });
  const codes = (found: ReturnType<typeof made>) =>
    found.reasons.map((reason) => ("axisId" in reason ? `${reason.code} ${reason.axisId}` : reason.code));
  test("takes the row's own figures where they are within the purpose's, else the purpose's", () => {
    const figures = (low: number, high: number) => {
      const found = made({ repetitionsLow: low, repetitionsHigh: high }, "strength");
      return [found.dose.repetitionsLow, found.dose.repetitionsHigh, codes(found).includes("rows-own-figures")];
    };
    expect(figures(10, 20)).toEqual([10, 12, true]);
    expect(figures(5, 9)).toEqual([8, 9, true]);
    expect(figures(12, 20)).toEqual([12, 12, true]);
    expect(figures(15, 20)).toEqual([8, 12, false]);
    expect(figures(3, 5)).toEqual([8, 12, false]);
    expect(figures(8, 12)).toEqual([8, 12, true]);
  });
  test("says what it is for, and by whose effort", () => {
    expect(made({}, "strength").reasons[0]).toEqual({ code: "purpose", purpose: "strength" });
    expect(codes(made({}, "strength"))).toEqual(["purpose", "rows-own-figures", "school effort"]);
    expect(codes(made({}, "strength", { isFirst: true, positions: { sets: "by-feel" } }))).toEqual([
      "purpose",
      "rows-own-figures",
      "first-time",
      "school sets",
      "school effort",
    ]);
    expect(codes(made({}, "strength", { positions: { sets: "by-feel" } }))).not.toContain("school sets");
  });
  test("leaves as much in the tank as the approach says, and four or more the first time", () => {
    const left = (effort: string, isFirst = false) => made({}, "strength", { isFirst, positions: { effort } }).leftInTank;
    expect(["near-failure", "stop-at-form", "easy-first"].map((effort) => left(effort))).toEqual([2, 3, 4]);
    expect(left("near-failure", true)).toBe(4);
  });
  test("by feel halves the fewest, and begins there the first time alone", () => {
    const byFeel = made({ repetitionsLow: 9, repetitionsHigh: 12 }, "strength", { isFirst: true, positions: { sets: "by-feel" } });
    expect([byFeel.dose.repetitionsLow, byFeel.dose.repetitionsHigh]).toEqual([5, 9]);
  });
  test("rounds, lengths and holds keep the row's own figures, one set of them the first time", () => {
    const rounds = { counts: "rounds", setCount: 3, repetitionsLow: 5, repetitionsHigh: 5 } as const;
    expect(made(rounds, "endurance")).toMatchObject({ dose: rounds, unit: "repetitions", leftInTank: 3 });
    const hold = { setCount: 3, repetitionsLow: 1, repetitionsHigh: 1, tempo: { lowerS: 0, pauseS: 40, riseS: 0 } };
    expect(made(hold, "strength")).toMatchObject({ dose: hold, unit: "seconds" });
    const first = made(hold, "strength", { isFirst: true, positions: { effort: "near-failure" } });
    expect(first).toMatchObject({ dose: { ...hold, setCount: 1 }, leftInTank: 4 });
    expect(codes(first)).toEqual(["purpose", "rows-own-figures", "first-time", "school effort"]);
    expect(codes(made(hold, "strength"))).toEqual(["purpose", "rows-own-figures", "school effort"]);
  });
  test("conditioning goes by seconds of work", () => {
    expect(made({}, "conditioning")).toMatchObject({
      unit: "seconds",
      dose: { setCount: 8, repetitionsLow: 1, repetitionsHigh: 1, restS: 30, tempo: { lowerS: 0, pauseS: 30, riseS: 0 } },
    });
    expect(codes(made({ repetitionsLow: 1, repetitionsHigh: 3 }, "conditioning"))).not.toContain("rows-own-figures");
    expect(made({}, "control")).toMatchObject({ unit: "repetitions", dose: { tempo: { lowerS: 5, pauseS: 3, riseS: 1 }, restS: 60 } });
    expect(made({}, "strength").dose.tempo).toEqual(variationById("goblet-squat").dose.tempo);
  });
  test("can be kept as it is, for every row, purpose and school", () => {
    let made = 0;
    for (const row of CATALOGUE)
      for (const purpose of PURPOSES)
        for (const preset of PRESET_IDS) {
          const { dose } = proposedDose(row, purpose, { isFirst: false, school: schoolOf({ preset }) });
          expect([row.code, purpose, dose.repetitionsLow <= dose.repetitionsHigh, dose.setCount >= 1]).toEqual([
            row.code,
            purpose,
            true,
            true,
          ]);
          expect(dose.repetitionsHigh).toBeLessThanOrEqual(DOSE_LIMITS.repetitions.max);
          made++;
        }
    expect(made).toBe(CATALOGUE.length * PURPOSES.length * PRESET_IDS.length);
  });
});

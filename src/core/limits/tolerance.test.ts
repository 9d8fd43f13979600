import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { dayAfter } from "../day";
import {
  answerTo,
  learn,
  priorTolerance,
  proposedCeiling,
  quantile,
  type Tolerance,
  type ToldDose,
  type ToleranceProposal,
  toleranceFrom,
  withinRisk,
} from "./tolerance";

const FROM = "2026-10-01";
const told = (responses: readonly ToldDose["response"][], demand = 1): ToldDose[] =>
  responses.map((response, i) => ({ day: dayAfter(FROM, 3 * (i + 1)), demand, repetitions: 24, response }));
const after = (doses: readonly ToldDose[], today = doses.at(-1)?.day ?? FROM) =>
  toleranceFrom({ calibrated: 1, fromDay: FROM }, doses, today);
const CALM = ["calm", "calm", "calm", "calm"] as const;

describe("what a joint takes", () => {
  test("starts at its calibrated ceiling, known to about a fifth", () => {
    const prior = priorTolerance(40, FROM);
    expect(quantile(prior, 0.5)).toBeCloseTo(40, 0);
    expect(quantile(prior, 0.84) / 40).toBeCloseTo(1.22, 1);
    expect(prior.weights.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 9);
  });
  test("is more after calm, less after what noticed, least after a flare", () => {
    const middle = (response: ToldDose["response"]) => quantile(after(told([response])), 0.5);
    expect(middle("calm")).toBeGreaterThan(quantile(priorTolerance(1, FROM), 0.5));
    expect(middle("noticed")).toBeLessThan(1);
    expect(middle("flare")).toBeLessThan(middle("noticed"));
  });
  test("is forgotten with time: the same answers say less a season later", () => {
    const doses = told(CALM);
    const spread = (today: string): number => quantile(after(doses, today), 0.9) / quantile(after(doses, today), 0.1);
    expect(spread("2027-02-01")).toBeGreaterThan(spread("2026-10-14") * 1.1);
  });
  test("does not depend on the order doses arrive in, and reads none of the future", () => {
    const doses = told(["calm", "noticed", "calm"]);
    expect(after(doses.toReversed(), "2026-10-20")).toEqual(after(doses, "2026-10-20"));
    expect(after(doses, FROM)).toEqual(priorTolerance(1, FROM));
  });
  test("asking more, or more often, is never answered calmer", () => {
    const answers = fc.array(fc.constantFrom("calm" as const, "noticed" as const, "flare" as const), { maxLength: 6 });
    const demand = fc.double({ min: 0.3, max: 2, noNaN: true });
    fc.assert(
      fc.property(answers, demand, demand, fc.integer({ min: 1, max: 60 }), (responses, a, b, repetitions) => {
        const belief = after(told(responses));
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        const [less, more] = [answerTo(belief, low, repetitions), answerTo(belief, high, repetitions)];
        expect(more.calm).toBeLessThanOrEqual(less.calm + 1e-9);
        expect(more.flare).toBeGreaterThanOrEqual(less.flare - 1e-9);
        expect(less.calm + less.noticed + less.flare).toBeCloseTo(1, 9);
        expect(answerTo(belief, low, repetitions + 12).calm).toBeLessThanOrEqual(less.calm + 1e-9);
      }),
      { numRuns: 60 },
    );
  });
});

describe("a proposal", () => {
  const proposed = (responses: readonly ToldDose["response"][], more = {}) =>
    proposedCeiling(1, after(told(responses)), told(responses), { unquiet: null, sinceDay: FROM, ...more });
  test("goes up from four doses on, at most a tenth, never past a limit", () => {
    expect(proposed(CALM.slice(1))).toEqual({ move: "keep", why: "few-doses" });
    const up = proposed(CALM);
    expect(up.move === "raise" && up.value > 1.04 && up.value <= 1.1).toBe(true);
    expect(proposed(Array<"calm">(20).fill("calm"))).toMatchObject({ move: "raise", value: 1.1 });
    expect(proposed(CALM, { limitValue: 1.02 })).toMatchObject({ move: "raise", value: 1.02 });
    expect(proposed(CALM, { limitValue: 0.9 })).toEqual({ move: "keep", why: "limit" });
  });
  test("goes down at once after a flare, at most a fifth; one noticed among many calm leaves it", () => {
    expect(proposed(["flare"])).toMatchObject({ move: "lower", value: 0.8 });
    expect(proposed([...CALM, "calm", "noticed"])).toEqual({ move: "keep", why: "as-it-is" });
  });
  test("never risks more than was said", () => {
    for (const responses of [CALM, ["flare"], ["noticed", "calm"]] as const) {
      const belief = after(told(responses));
      const { noticed, flare } = answerTo(belief, withinRisk(belief), 24);
      expect(flare).toBeLessThanOrEqual(0.0501);
      expect(noticed + flare).toBeLessThanOrEqual(0.2001);
    }
  });
});

/** The model written out once more, for a tolerance of exactly so much. */
const logistic = (x: number): number => 1 / (1 + Math.exp(-x));
const exactly = (value: number): Tolerance => ({ values: [value, 100 * value], weights: [1, 0], asOf: FROM });

describe("the model's own numbers", () => {
  test("a morning is calm, noticed or a flare by how far over the tolerance a dose was felt", () => {
    for (const [demand, repetitions] of [
      [1, 24],
      [1.1, 24],
      [1.25, 12],
      [0.8, 60],
    ] as const) {
      const x = Math.log(demand) + 0.15 * Math.log(repetitions / 24);
      const calm = 0.97 * (1 - logistic((x - 0.06) / 0.05));
      const flare = 0.97 * logistic((x - 0.2) / 0.05) + 0.01;
      const noticed = 0.97 * (logistic((x - 0.06) / 0.05) - logistic((x - 0.2) / 0.05)) + 0.02;
      const answered = answerTo(exactly(1), demand, repetitions);
      expect([answered.calm, answered.flare, answered.noticed].map((each) => each.toFixed(9))).toEqual(
        [calm, flare, noticed].map((each) => each.toFixed(9)),
      );
    }
  });
  test("what is learnt of one answer is what was believed, a little less of it, times how well each tolerance explains it", () => {
    const prior = priorTolerance(1, FROM);
    for (const [response, keeps] of [
      ["calm", 0.99],
      ["noticed", 0.9],
      ["flare", 0.9],
    ] as const) {
      const dose = { day: FROM, demand: 1.05, repetitions: 24, response };
      const raw = prior.values.map((value, i) => prior.weights[i]! ** keeps * answerTo(exactly(value), 1.05, 24)[response]);
      const sum = raw.reduce((all, each) => all + each, 0);
      const learnt = learn(prior, dose);
      expect(Math.max(...learnt.weights.map((weight, i) => Math.abs(weight - raw[i]! / sum)))).toBeLessThan(1e-12);
      expect(learn(prior, dose, keeps)).toEqual(learnt);
    }
  });
  test("the grid reaches from two fifths to two and a half times the ceiling, even in its logarithm", () => {
    const { values } = priorTolerance(40, FROM);
    expect([values.length, Math.log(values[0]! / 40), Math.log(values.at(-1)! / 40)].map((each) => Number(each.toFixed(9)))).toEqual([
      181, -0.9, 0.9,
    ]);
    expect(Math.log(values[100]! / values[99]!)).toBeCloseTo(0.01, 9);
  });
  test("half a year without a dose widens the belief by its weeks and moves nothing", () => {
    const wide = toleranceFrom({ calibrated: 1, fromDay: FROM }, [], dayAfter(FROM, 26 * 7));
    const mean = wide.values.reduce((sum, value, i) => sum + wide.weights[i]! * Math.log(value), 0);
    const sd = Math.sqrt(wide.values.reduce((sum, value, i) => sum + wide.weights[i]! * (Math.log(value) - mean) ** 2, 0));
    expect(mean).toBeCloseTo(0, 6);
    expect(sd).toBeCloseTo(Math.sqrt(0.2 ** 2 + 26 * 0.035 ** 2), 2);
    expect([wide.weights.length, wide.asOf]).toEqual([181, dayAfter(FROM, 26 * 7)]);
  });
  test("doses of before the ceiling count, from the first of them on; one that asked nothing says nothing", () => {
    const before = { day: dayAfter(FROM, -20), demand: 1, repetitions: 24, response: "calm" as const };
    const at = (doses: readonly ToldDose[]) => toleranceFrom({ calibrated: 1, fromDay: FROM }, doses, FROM);
    const byHand = toleranceFrom({ calibrated: 1, fromDay: before.day }, [before], FROM);
    expect(at([before])).toEqual(byHand);
    expect(at([{ ...before, demand: 0 }])).toEqual(priorTolerance(1, FROM));
    const then = { ...before, day: dayAfter(FROM, 5) };
    expect(toleranceFrom({ calibrated: 1, fromDay: FROM }, [then], then.day)).toEqual(learn(priorTolerance(1, FROM), then));
  });
  test("a fraction of the belief lies below its quantile, all of it below the last value", () => {
    const belief = { values: [1, 2, 3], weights: [0.25, 0.25, 0.5], asOf: FROM };
    expect([0.2, 0.25, 0.3, 0.5, 0.51, 1, 2].map((fraction) => quantile(belief, fraction))).toEqual([1, 1, 2, 2, 3, 3, 3]);
  });
  test("where even a quarter of the least is too much, nothing may be asked", () => {
    expect(withinRisk(exactly(1), { flare: 0.005, noticed: 0.2 })).toBe(0); // some mornings are bad whatever was done
    expect(withinRisk(exactly(1))).toBeCloseTo(withinRisk(exactly(8)) / 8, 2);
    const { noticed, flare } = answerTo(exactly(1), withinRisk(exactly(1)), 24);
    expect(Math.max(flare / 0.05, (noticed + flare) / 0.2)).toBeGreaterThan(0.95);
  });
});

describe("a ceiling is raised from a quiet present alone", () => {
  /** So much is safe, as sure as can be. */
  const safe = (value: number): Tolerance => exactly(value / withinRisk(exactly(1)));
  const doses = (text: string, demand = 1): ToldDose[] =>
    [...text].map((letter, i) => ({
      day: dayAfter(FROM, i),
      demand,
      repetitions: 24,
      response: letter === "c" ? "calm" : letter === "n" ? "noticed" : "flare",
    }));
  const asked = { unquiet: null, sinceDay: FROM };
  const of = (belief: Tolerance, told: readonly ToldDose[], more = {}): ToleranceProposal =>
    proposedCeiling(1, belief, told, { ...asked, ...more });
  const whyOf = (...args: Parameters<typeof of>): string => {
    const found = of(...args);
    return found.move === "keep" ? found.why : `${found.move} ${found.value.toFixed(2)} of ${found.doseCount}`;
  };

  test("four doses, at least 4 % more, at most a tenth, up to a limit and not past it", () => {
    expect(whyOf(safe(1.2), doses("ccc"))).toBe("few-doses");
    expect(whyOf(safe(1.2), doses("cccc"))).toBe("raise 1.10 of 4");
    expect(whyOf(safe(1.05), doses("cccc"))).toBe("raise 1.05 of 4");
    expect(whyOf(safe(1.03), doses("cccc"))).toBe("as-it-is");
    expect(whyOf(safe(1.2), doses("cccc"), { limitValue: 1.02 })).toBe("raise 1.02 of 4");
    expect(whyOf(safe(1.2), doses("cccc"), { limitValue: 1 })).toBe("limit");
    const at50 = proposedCeiling(50, safe(60), doses("cccc", 50), asked);
    expect(at50).toEqual({ move: "raise", value: expect.closeTo(55, 9), doseCount: 4 });
  });
  test("never with swelling this morning or after a time away", () => {
    expect(whyOf(safe(1.2), doses("cccc"), { unquiet: "swelling" })).toBe("swelling");
    expect(whyOf(safe(1.2), doses("cccc"), { unquiet: "away" })).toBe("away");
  });
  test("never where the last was not settled, and of settled ones only those since", () => {
    expect(whyOf(safe(1.2), doses("ccccn"))).toBe("last-not-settled");
    expect(whyOf(safe(1.2), doses("cccnc"))).toBe("not-near");
    expect(whyOf(safe(1.2), doses("cccncc"))).toBe("raise 1.10 of 6");
  });
  test("never of doses that did not come near it, or came there before it was what it is", () => {
    expect(whyOf(safe(1.2), doses("cccc", 0.89))).toBe("not-near");
    expect(whyOf(safe(1.2), doses("cccc", 0.9))).toBe("raise 1.10 of 4");
    expect(whyOf(safe(1.2), doses("cccc"), { sinceDay: dayAfter(FROM, 2) })).toBe("raise 1.10 of 4");
    expect(whyOf(safe(1.2), doses("cccc"), { sinceDay: dayAfter(FROM, 3) })).toBe("not-near");
    const far = doses("cccc", 0.5).map((dose, i) => (i === 3 ? { ...dose, demand: 1 } : dose));
    expect(whyOf(safe(1.2), far)).toBe("not-near");
  });
  test("and lowered at once where something was bad, at most a fifth, by no less than 4 %", () => {
    expect(whyOf(safe(0.9), doses("f"))).toBe("lower 0.90 of 1");
    expect(whyOf(safe(0.5), doses("cf"))).toBe("lower 0.80 of 2");
    expect(whyOf(safe(0.97), doses("f"))).toBe("as-it-is");
    expect(whyOf(safe(0.9), doses("cccc"))).toBe("as-it-is");
    expect(whyOf(safe(1.2), doses("fcc"))).toBe("as-it-is"); // three doses raise nothing
    expect(proposedCeiling(50, safe(45), doses("f", 50), asked)).toEqual({ move: "lower", value: expect.closeTo(45, 1), doseCount: 1 });
    expect(whyOf(safe(0.9), doses("f"), { unquiet: "swelling" })).toBe("lower 0.90 of 1");
  });
});

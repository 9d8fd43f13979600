import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { dayAfter } from "../day";
import { answerTo, priorTolerance, proposedCeiling, quantile, type ToldDose, toleranceFrom, withinRisk } from "./tolerance";

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

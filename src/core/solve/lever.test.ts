import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { CATALOGUE, variationById } from "../catalogue/catalogue";
import { type Setting, startSetting, type Variation } from "../catalogue/variation";
import { BODY } from "../fit/fit.fixture";
import { demandOf, type Subject } from "../fit/demand";
import { MODEL_TEMPLATES } from "../model/templates";
import { startValues } from "../model/template";
import { DEFAULT_POSTURE } from "../mechanics/posture";
import { leverCurve, matchDemand, solveLever } from "./lever";
import { solveTemplate, templateDemand } from "./template";

const SUBJECT: Subject = { body: BODY, posture: DEFAULT_POSTURE, leadSide: "right" };
const raised = variationById("raised-sit-to-stand");
const goblet = variationById("goblet-to-box");
const KNEE = { channel: "kneeMoment", side: "right" } as const;
const SEAT = { lever: "seatHeightM", min: 0.45, max: 0.7 } as const;
const EVEN = { shareFraction: 0.5 };

const kneeAt = (variation: Variation, setting: Setting): number =>
  leverCurve(SUBJECT, variation, setting, "seatHeightM", KNEE)(setting.seatHeightM ?? NaN);

describe("a lever solved for a demand", () => {
  test("gives that demand, and its neighbour on hand gives no more", () => {
    fc.assert(
      fc.property(fc.double({ min: 28, max: 55, noNaN: true }), (target) => {
        const { snapped, ...result } = solveLever(SUBJECT, raised, EVEN, SEAT, KNEE, target, 0.01);
        if (!result.ok) return;
        expect(kneeAt(raised, { ...EVEN, seatHeightM: result.x })).toBeCloseTo(target, 5);
        if (snapped === null) return;
        expect(kneeAt(raised, { ...EVEN, seatHeightM: snapped })).toBeLessThanOrEqual(target);
        expect(kneeAt(raised, { ...EVEN, seatHeightM: snapped - 0.01 })).toBeGreaterThan(target);
      }),
    );
  });
  test("out of reach says on which side", () => {
    expect(solveLever(SUBJECT, raised, EVEN, SEAT, KNEE, 500, 0.01)).toMatchObject({ ok: false, reason: "target-above-range" });
    expect(solveLever(SUBJECT, raised, EVEN, SEAT, KNEE, 1, 0.01)).toMatchObject({
      ok: false,
      reason: "target-below-range",
      snapped: null,
    });
  });
});

describe("equal demand", () => {
  const to = { variation: goblet, setting: { seatHeightM: 0.6, loadKg: 8, ...EVEN }, range: SEAT, increment: 0.01 };
  test("is where the other variation asks the same", () => {
    const match = matchDemand(SUBJECT, { variation: raised, setting: { seatHeightM: 0.56, ...EVEN } }, to, KNEE);
    if (!match.ok || !match.solution.ok) throw new Error("no match");
    expect(kneeAt(goblet, { ...to.setting, seatHeightM: match.solution.x })).toBeCloseTo(match.target, 5);
  });
  test("says when the two are about the same as they stand: 20 % between variations", () => {
    const near = matchDemand(SUBJECT, { variation: raised, setting: { seatHeightM: 0.6, ...EVEN } }, to, KNEE);
    const far = matchDemand(SUBJECT, { variation: raised, setting: { seatHeightM: 0.7, ...EVEN } }, to, KNEE);
    expect(near).toMatchObject({ ok: true, isAboutTheSame: true });
    expect(far).toMatchObject({ ok: true, isAboutTheSame: false });
  });
  test("of an impossible pose is its reason", () => {
    expect(matchDemand(SUBJECT, { variation: raised, setting: { seatHeightM: 1.4 } }, to, KNEE)).toEqual({
      ok: false,
      reason: "hip-height-unreachable",
    });
  });
});

describe("a curve along a lever", () => {
  test("says at every value what the pose says by itself, for every row and lever", () => {
    for (const variation of CATALOGUE)
      for (const { lever, min, max } of variation.levers) {
        const setting = startSetting(variation);
        const curve = leverCurve(SUBJECT, variation, setting, lever, KNEE);
        for (const value of [min, (min + max) / 2, max]) {
          const demand = demandOf(SUBJECT, variation, { ...setting, [lever]: value });
          const head = demand.ok ? demand.channels.find((d) => d.channel === "kneeMoment" && d.side === "right")?.head : NaN;
          expect([variation.id, lever, curve(value)]).toEqual([variation.id, lever, head]);
        }
      }
  });
});

describe("any template's lever", () => {
  const who = { body: BODY, posture: DEFAULT_POSTURE };
  const movable = MODEL_TEMPLATES.filter(({ group }) => group !== "Catalogue");
  test.each(movable.map((template) => ({ id: template.id, template })))("$id is solved to what it asks half-way", ({ template }) => {
    const { lever, from, to } = template.movement;
    const row = template.levers.find(({ id }) => id === lever);
    const watched = (["kneeMoment", "hipMoment", "hipSideMoment", "handWeight", "lowBackMoment", "achillesForce"] as const)
      .map((channel) => ({ channel, leg: "lead" as const }))
      .find((w) => Number.isFinite(templateDemand(who, template, { ...startValues(template), [lever]: (from + to) / 2 }, w)));
    if (!row || !watched) throw new Error("nothing to solve for");
    const target = templateDemand(who, template, { ...startValues(template), [lever]: (from + to) / 2 }, watched);
    const solution = solveTemplate(who, template, startValues(template), row, watched, target);
    const at = (value: number): number => templateDemand(who, template, { ...startValues(template), [lever]: value }, watched);
    if (!solution.ok) return expect(solution.reason).toMatch(/range/); // a peak half-way is touched, not crossed
    expect(at(solution.x)).toBeCloseTo(target, 4);
    if (solution.snapped !== null) expect(at(solution.snapped)).toBeLessThanOrEqual(target);
  });
});

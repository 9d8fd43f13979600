import { describe, expect, test } from "vitest";
import { CATALOGUE, variationById } from "../catalogue/catalogue";
import { judge } from "./candidate";
import { calmCeilings, contextWith, kneeLimit } from "./fit.fixture";
import { isWithin, leverValues, rangeOf, snapSetting, withLever } from "./levers";
import { fitCatalogue, fitVariation } from "./search";

const stateOf = (context: ReturnType<typeof contextWith>, id: string) => fitCatalogue(context, CATALOGUE).find((c) => c.variationId === id);

describe("a fit", () => {
  test("asks at most the target use of the tightest ceiling where a lever can do it", () => {
    for (const { variationId, setting, tightest } of fitCatalogue(contextWith(), CATALOGUE)) {
      if ((tightest?.head ?? 0) <= 0.7) continue;
      for (const range of variationById(variationId).levers) {
        if (range.lever === "shareFraction") continue; // the client's own, never moved by a fit
        expect(setting[range.lever], `${variationId} ${range.lever}`).toBe(leverValues(range, contextWith().increments[range.lever])[0]);
      }
    }
  });

  test.each(CATALOGUE.map(({ id }) => id))("finds for %s the same depth as a plain sweep of the grid", (id) => {
    const context = contextWith({ limits: [kneeLimit(95)] });
    const variation = variationById(id);
    const range = rangeOf(variation, "seatHeightM") ?? rangeOf(variation, "kneeFlexionDeg");
    if (!range) throw new Error("no depth");
    const found = fitVariation(context, variation);
    const start = snapSetting(variation, found.setting, context.increments);
    const values = leverValues(range, context.increments[range.lever]);
    const swept = values.filter((value) => isWithin(judge(context, variation, withLever(start, range.lever, value)), 0.7)).at(-1);
    if (swept !== undefined) expect(found.setting[range.lever]).toBe(swept);
    else expect(isWithin(found, 0.7)).toBe(false);
  });

  test("opens, tries and closes by where the whole range lies", () => {
    const context = contextWith();
    const pole = variationById("box-squat-pole");
    const at = (seatHeightM: number) => judge(context, pole, { seatHeightM, handForceN: 98.1, shareFraction: 0.5 });
    const seats = leverValues({ lever: "seatHeightM", min: 0.42, max: 0.7, start: 0.6 }, 0.01);
    for (const seatHeightM of seats) {
      const judgement = at(seatHeightM);
      const lows = judgement.uses.map(({ low }) => low);
      const highs = judgement.uses.map(({ high }) => high);
      const expected = Math.max(...lows) > 1 ? "closed" : Math.max(...highs) > 1 ? "try" : "open";
      expect(judgement.state).toBe(expected);
    }
    expect(new Set(seats.map((s) => at(s).state))).toEqual(new Set(["open", "try", "closed"]));
  });
});

describe("what closes a variation", () => {
  test("a knee limit closes every set-up that bends further, and names its owner's limit", () => {
    const closed = stateOf(contextWith({ limits: [kneeLimit(95)] }), "plain-chair-sit-to-stand");
    expect(closed).toMatchObject({ state: "closed", blocked: true, opening: { kind: "limit-ends", limitId: "surgeon" } });
    expect(closed?.reasons[0]).toMatchObject({ code: "knee-bend-over-limit", maxDeg: 95 });
  });
  test("a limit never lets a solved set-up past it", () => {
    for (const { pose, state } of fitCatalogue(contextWith({ limits: [kneeLimit(60)] }), CATALOGUE))
      if (state !== "closed") expect(pose?.kneeFlexionDeg).toBeLessThanOrEqual(60 + 1e-6);
  });
  test("no load on the back closes the bar and nothing else", () => {
    const context = contextWith({ limits: [kneeLimit(95, { id: "back", rule: { kind: "no-load-on-back" }, side: "both" })] });
    const blocked = fitCatalogue(context, CATALOGUE).filter((c) => c.reasons.some(({ code }) => code === "load-on-back-limited"));
    expect(blocked.map(({ variationId }) => variationId)).toEqual(["bar-on-back"]);
  });
  test("a shin limit binds the shin", () => {
    const context = contextWith({ limits: [kneeLimit(0, { rule: { kind: "shin-forward", maxDeg: 20 } })] });
    for (const { pose, state } of fitCatalogue(context, CATALOGUE))
      if (state !== "closed") expect(pose?.shankLeanDeg).toBeLessThanOrEqual(20 + 1e-6);
  });
  test("own words close nothing, but are said", () => {
    const context = contextWith({ limits: [kneeLimit(0, { rule: { kind: "own-words", text: "no kneeling" } })] });
    for (const candidate of fitCatalogue(context, CATALOGUE)) {
      expect(candidate.blocked).toBe(candidate.pose === null);
      if (candidate.pose) expect(candidate.reasons.some(({ code }) => code === "own-words-limit")).toBe(true);
    }
  });
  test("missing equipment closes with what is missing", () => {
    const closed = stateOf(contextWith({ equipment: ["chair", "pads"] }), "box-squat-pole");
    expect(closed).toMatchObject({ state: "closed", opening: { kind: "equipment" } });
    expect(closed?.reasons[0]).toEqual({ code: "equipment-missing", equipment: ["box", "pole"] });
  });
  test("a limit past its date still closes, as it must be asked about", () => {
    const old = kneeLimit(95, { untilDay: "2026-11-01" });
    expect(stateOf(contextWith({ limits: [old] }), "plain-chair-sit-to-stand")?.reasons[0].code).toBe("knee-bend-over-limit");
  });
});

describe("ceilings", () => {
  test("past 90 degrees the knee's moment stands in for the kneecap, and it is said", () => {
    const judgement = judge(contextWith(), variationById("plain-chair-sit-to-stand"), { seatHeightM: 0.46, shareFraction: 0.5 });
    expect(judgement.pose?.kneeFlexionDeg).toBeGreaterThan(90);
    expect(judgement.uses).toHaveLength(1);
    expect(judgement.uses[0]).toMatchObject({ channel: "kneeMoment", standsIn: true });
    expect(judgement.reasons.some(({ code }) => code === "kneecap-past-90")).toBe(true);
  });
  test("before 90 degrees only the kneecap counts", () => {
    const judgement = judge(contextWith(), variationById("raised-sit-to-stand"), { seatHeightM: 0.58, shareFraction: 0.5 });
    expect(judgement.uses.map(({ channel, head }) => [channel, Math.round(head * 1000) / 1000])).toEqual([["kneecapStress", 1]]);
  });
  test("a calm pose past 90 degrees is the unit for shallower poses through the knee's moment", () => {
    const context = contextWith({ ceilings: calmCeilings("kneecap", 0.46) });
    const judgement = judge(context, variationById("raised-sit-to-stand"), { seatHeightM: 0.58, shareFraction: 0.5 });
    expect(judgement.uses[0]).toMatchObject({ channel: "kneeMoment", standsIn: true });
    expect(judgement.uses[0]?.head).toBeLessThan(1);
  });
  test("without any, nothing is closed by one and no percentage is made up", () => {
    const found = fitCatalogue(contextWith({ ceilings: [] }), CATALOGUE);
    expect(found.every(({ tightest, state }) => tightest === null && state === "open")).toBe(true);
  });
});

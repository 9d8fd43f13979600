import { describe, expect, test } from "vitest";
import { CATALOGUE, variationById } from "../catalogue/catalogue";
import type { Variation } from "../catalogue/variation";
import { ask, HEADLINE } from "../templates/ask";
import { startSetting } from "../templates/form";
import type { Trait } from "../templates/template";
import { contextWith, limit, SUBJECT } from "./fit.fixture";
import { judge } from "./judge";
import { fitVariation } from "../progressions/search";

const closedBy = (variation: Variation, what: Trait): boolean =>
  judge(
    contextWith({ limits: [limit({ kind: "never", what }, { side: "both" })] }),
    variation,
    startSetting(SUBJECT, variation),
  ).reasons.some(({ code }) => code === "never");

describe("what a limit by name closes", () => {
  test("no impact: what is thrown and jumped, and a foot that lands unless it is set down slowly", () => {
    expect(CATALOGUE.filter((row) => closedBy(row, "impact")).map(({ id }) => id)).toEqual(["weight-swing", "jumps"]);
    const landing = CATALOGUE.filter((row) => {
      const asked = ask(SUBJECT, row, startSetting(SUBJECT, row), HEADLINE);
      return asked.ok && asked.ranks.impact === 2;
    });
    expect(landing.length).toBeGreaterThan(0);
    for (const row of landing) expect([row.id, closedBy({ ...row, lowering: "fast" }, "impact")]).toEqual([row.id, true]);
  });
  test("no lying: a straight leg is lifted lying or sitting, and the row says which", () => {
    expect(closedBy(variationById("band-straight-leg-raise"), "lying")).toBe(true);
    expect(closedBy(variationById("floor-bridge"), "lying")).toBe(true);
    expect(closedBy(variationById("seated-straight-leg-lift"), "lying")).toBe(false);
    expect(closedBy(variationById("chair-top-leg-lift"), "lying")).toBe(false);
  });
});

test("what is known and kept out stays closed, whatever its levers say, and says so first", () => {
  const keptOut = CATALOGUE.filter(({ isKeptOut }) => isKeptOut);
  expect(keptOut.length).toBeGreaterThan(0);
  for (const row of keptOut)
    expect(fitVariation(contextWith(), row)).toMatchObject({ state: "closed", blocked: true, reasons: [{ code: "kept-out" }, {}] });
  const [kept] = keptOut;
  const { isKeptOut: _, ...row } = kept!;
  expect(judge(contextWith(), row, startSetting(SUBJECT, row)).blocked).toBe(false);
  expect(judge(contextWith(), { ...row, isRetired: true }, startSetting(SUBJECT, row))).toMatchObject({
    blocked: true,
    reasons: [{ code: "retired" }, {}],
  });
});

test("a list that reads only what may close closes what a whole judgement closes, and reads less", () => {
  let [roomShort, readLess] = [0, 0];
  const unlimited = contextWith();
  for (const leastDeg of [60, 80]) {
    const context = contextWith({ limits: [limit({ kind: "room", leastDeg }, { side: "both" })] });
    for (const row of CATALOGUE) {
      const [all, closing] = [judge(context, row, startSetting(SUBJECT, row)), judge(context, row, startSetting(SUBJECT, row), "closing")];
      expect([row.id, closing.state, closing.reasons[0]]).toEqual([row.id, all.state, all.reasons[0]]);
      if (closing.reasons.some(({ code }) => code === "room-short")) roomShort++;
      if (closing.demands.length < all.demands.length) readLess++;
      // what nobody limits is not asked for on the way
      if (leastDeg === 60)
        expect(judge(unlimited, row, startSetting(SUBJECT, row), "closing").demands.some(({ channel }) => channel === "bellyRoom")).toBe(
          false,
        );
    }
  }
  expect([roomShort > 20, readLess > 60]).toEqual([true, true]);
});

import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import { kitOf } from "../fit/assemble";
import { contextWith, limit } from "../fit/fit.fixture";
import { judge } from "../fit/judge";
import { fitVariation } from "../fit/search";
import type { SessionItem } from "./session";
import { avoidedWords, sheetFor } from "./sheet";

const context = contextWith();
const home = {
  ...context,
  kit: kitOf(context.kit, "home", [{ kind: "sofa", heightM: 0.42 }, { kind: "cushion", thicknessM: 0.05, count: 5 }, { kind: "counter" }]),
};
const item = (id: string): SessionItem => {
  const row = variationById(id);
  return { id, variationId: id, setting: fitVariation(context, row).setting, part: "main", dose: row.dose, sides: [] };
};

test("a seat of the studio becomes the sofa with cushions, told by its pieces", () => {
  const { items } = sheetFor(home, [item("raised-sit-to-stand")]);
  const [seat] = items;
  expect(seat?.recipes[0]?.recipe[0]).toMatchObject({ kind: "sofa", size: 0.42 });
  expect(seat?.setting.seatHeightM).toBeGreaterThanOrEqual(item("raised-sit-to-stand").setting.seatHeightM! - 1e-9); // never lower than it was fitted
  expect(seat?.cues).toHaveLength(2);
});
test("what home has no kit for gives way to an easier one that it has, or is left out", () => {
  const { items, leftOut } = sheetFor(home, [item("two-leg-press"), item("bodyweight-squat")]);
  expect(items.map(({ variationId }) => variationId)).toEqual(["bodyweight-squat"]);
  expect(leftOut.map(({ variationId }) => variationId)).toEqual(["two-leg-press"]);
});
test("words that judge or promise are found in what a trainer writes, and plain ones are not", () => {
  expect(avoidedWords("Squats are bad for you. No pain no gain!")).toEqual(["bad for you", "No pain no gain"]);
  expect(avoidedWords("Stop before form goes; a dull ache may stay until morning.")).toEqual([]);
});

describe("nobody watches at home", () => {
  test("what is not open gives way to an easier one that is, or is left out; nothing is printed that Fit would only try", () => {
    const low: SessionItem = { ...item("bodyweight-squat"), setting: { kneeFlexionDeg: 80 } };
    expect(judge(home, variationById("bodyweight-squat"), low.setting).state).not.toBe("open");
    const { items, leftOut } = sheetFor(home, [low]);
    for (const { variationId, setting } of items) expect(judge(home, variationById(variationId), setting).state).toBe("open");
    expect(items.length + leftOut.length).toBe(1);
    const closed = { ...home, limits: [limit({ kind: "never", what: "lying" }, { side: "both" })] };
    const without = sheetFor(closed, [item("floor-bridge")]).items;
    expect(without.map(({ variationId }) => judge(closed, variationById(variationId), without[0]?.setting ?? {}).blocked)).toEqual(
      without.map(() => false),
    );
    expect(without.map(({ variationId }) => variationId)).not.toContain("floor-bridge");
  });
  test("what asks little and was never calm is one light set", () => {
    const squeeze = item("pillow-squeeze");
    const [only] = sheetFor(home, [squeeze]).items;
    expect(only?.item.dose).toMatchObject({ setCount: 1, repetitionsHigh: squeeze.dose.repetitionsLow });
    const calm = sheetFor({ ...home, calmRows: ["pillow-squeeze"] }, [squeeze]).items[0];
    expect(calm?.item.dose).toEqual(squeeze.dose);
  });
});

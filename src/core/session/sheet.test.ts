import { describe, expect, test } from "vitest";
import { CATALOGUE, variationById } from "../catalogue/catalogue";
import { kitOf } from "../kit/kit";
import { calmCeilings, contextWith, limit } from "../judge/fit.fixture";
import { judge } from "../judge/judge";
import { fitVariation } from "../progressions/search";
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
  test("each side is asked at its own place, and the worst of them decides", () => {
    const step = variationById("step-up-rail");
    const fitted = fitVariation(home, step);
    const sides = (right: number | null, left: number | null): SessionItem => ({
      ...item("step-up-rail"),
      sides: (
        [
          ["right", right],
          ["left", left],
        ] as const
      ).map(([side, stepHeightM]) => ({
        side,
        setCount: 2,
        repetitions: 8,
        ...(stepHeightM === null ? {} : { place: { variationId: step.id, setting: { ...fitted.setting, stepHeightM } } }),
      })),
    });
    const at = (of: typeof home, each: SessionItem) => {
      const { items, leftOut } = sheetFor(of, [each]);
      return [items[0]?.variationId ?? leftOut[0]?.variationId, items.length];
    };
    const sore = { ...home, kit: context.kit, ceilings: calmCeilings("kneecap", 0.5) };
    const open = sheetFor(sore, [sides(null, null)]).items[0];
    expect(open?.item.sides).toEqual(sides(null, null).sides);
    const tooHigh = sheetFor(sore, [sides(0.4, null)]);
    expect(tooHigh.items.map(({ item: { sides: taken } }) => taken.map(({ place }) => place))).toEqual([[undefined, undefined]]);
    expect(at(sore, sides(null, null))).toEqual(["step-up-rail", 1]);
  });
  test("what asks little and was never calm, one side or both, is one light set of each", () => {
    const both = { ...item("pillow-squeeze"), sides: (["right", "left"] as const).map((side) => ({ side, setCount: 3, repetitions: 12 })) };
    const [only] = sheetFor(home, [both]).items;
    expect(only?.item.sides).toEqual(
      (["right", "left"] as const).map((side) => ({ side, setCount: 1, repetitions: both.dose.repetitionsLow })),
    );
  });
  test("of the catalogue everything is taken as it is open, as one light set of what asks little, or left out", () => {
    const rows = CATALOGUE.filter((_, i) => i % 2 === 0).map((row) => ({ row, told: sheetFor(home, [item(row.id)]) }));
    const seen = { open: 0, light: 0, easier: 0, left: 0 };
    for (const { row, told } of rows) {
      expect([row.code, told.items.length + told.leftOut.length]).toEqual([row.code, 1]);
      seen.left += told.leftOut.length;
      for (const { variationId, setting, recipes, item: taken } of told.items) {
        const { state, reasons } = judge(home, variationById(variationId), setting, "closing");
        const isLittle = reasons[0].code === "ladder-and-trial" && reasons[0].because === "asks-little";
        expect([variationId, state === "open" || isLittle]).toEqual([variationId, true]);
        if (state === "open") seen.open++;
        else {
          seen.light++;
          expect([variationId, taken.dose.setCount]).toEqual([variationId, 1]);
        }
        if (variationId !== row.id) seen.easier++;
        for (const { recipe } of recipes) expect(recipe.length).toBeGreaterThan(0);
      }
    }
    expect(Math.min(seen.open, seen.light, seen.easier)).toBeGreaterThan(2); // or this shows nothing
    expect(seen.left).toBeGreaterThan(20);
  });
  test("what asks little and was never calm is one light set", () => {
    const squeeze = item("pillow-squeeze");
    const [only] = sheetFor(home, [squeeze]).items;
    expect(only?.item.dose).toMatchObject({ setCount: 1, repetitionsHigh: squeeze.dose.repetitionsLow });
    const calm = sheetFor({ ...home, calmRows: ["pillow-squeeze"] }, [squeeze]).items[0];
    expect(calm?.item.dose).toEqual(squeeze.dose);
  });
});

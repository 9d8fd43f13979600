import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import type { Variation } from "../catalogue/variation";
import type { LeverId } from "../templates/lever";
import { kgfFromN } from "../units";
import { assembledFor, assembledFrom, type KitItem, recipeOf } from "./assemble";
import { kitOf } from "./kit";
import { contextWith, SUBJECT } from "../judge/fit.fixture";
import { rangeOf } from "../templates/form";
import { valuesOn } from "./on-hand";
import { fitVariation } from "../progressions/search";

const ROOM: KitItem[] = [
  { kind: "chair", heightM: 0.45 },
  { kind: "cushion", thicknessM: 0.04, count: 3 },
  { kind: "cushion", thicknessM: 0.1, count: 1 },
  { kind: "step", heightM: 0.12 },
  { kind: "mat", thicknessM: 0.02, count: 2 },
  { kind: "dumbbell", massKg: 4, count: 2 },
  { kind: "dumbbell", massKg: 6 },
];

const near = (value: number): unknown => expect.closeTo(value, 6);

describe("what the things at hand come to", () => {
  const built = assembledFrom(ROOM);
  const [raised, goblet, dumbbells, bar] = ["raised-sit-to-stand", "goblet-squat", "dumbbell-hinge", "barbell-hinge"].map(
    variationById,
  ) as [Variation, Variation, Variation, Variation];
  const values = (row: Variation, lever: LeverId, from = built) => assembledFor(from, row, lever)?.map(({ value }) => value);
  test("is every stack of cushions on a chair, once, with the fewest pieces", () => {
    expect(values(raised, "seatHeightM")).toEqual([0.45, 0.49, 0.53, 0.55, 0.57, 0.59, 0.63, 0.67]);
    expect(recipeOf(built, raised, "seatHeightM", 0.59)).toEqual([
      { kind: "chair", size: 0.45, count: 1 },
      { kind: "cushion", size: 0.04, count: 1 },
      { kind: "cushion", size: 0.1, count: 1 },
    ]);
    expect(recipeOf(built, raised, "seatHeightM", 0.6)).toBeNull();
  });
  test("is a step with mats under it, and every weight, none among them", () => {
    expect(values(variationById("low-step-up"), "stepHeightM")).toEqual([0.12, 0.14, 0.16]);
    expect(values(dumbbells, "loadKg")).toEqual([0, 4, 6, 8]);
  });
  test("is one bell for what is held before the chest, and a pair where both hands hang", () =>
    expect(values(goblet, "loadKg")).toEqual([0, 4, 6]));
  test("is a bar with its plates in pairs, never less than the bar, and only for what is done with a bar", () => {
    const withBar = assembledFrom([
      { kind: "barbell", massKg: 15 },
      { kind: "plate", massKg: 2.5, count: 4 },
      { kind: "plate", massKg: 5, count: 3 },
      { kind: "dumbbell", massKg: 6 },
    ]);
    expect(values(bar, "loadKg", withBar)).toEqual([15, 20, 25, 30, 35]);
    expect(values(dumbbells, "loadKg", withBar)).toEqual([0, 6]);
    expect(recipeOf(withBar, bar, "loadKg", 30)).toEqual([
      { kind: "barbell", size: 15, count: 1 },
      { kind: "plate", size: 2.5, count: 2 },
      { kind: "plate", size: 5, count: 2 },
    ]);
  });
  test("holds a hex bar too, by its mass", () =>
    expect(values(variationById("hex-bar-deadlift"), "loadKg", assembledFrom([{ kind: "hex-bar", massKg: 25 }]))).toEqual([25]));
  test("is every pin of a stack, every notch of a bench, every band by its name", () => {
    const room = assembledFrom([
      { kind: "knee-extension-machine", massKg: 5, mostKg: 20, stepKg: 5 },
      { kind: "bench", heightM: 0.35, mostM: 0.45, stepM: 0.05 },
      { kind: "band", pullKg: 6, name: "red" },
      { kind: "strap", heightM: 2.2 },
    ]);
    expect(values(variationById("machine-knee-extension"), "cuffForceN", room)?.map(kgfFromN)).toEqual([5, 10, 15, 20].map(near));
    expect(values(variationById("bench-bridge"), "benchHeightM", room)).toEqual([0.35, 0.4, 0.45]);
    const pull = assembledFor(room, variationById("terminal-knee-extension"), "bandForceN")?.at(-1);
    expect(pull?.recipe).toEqual([{ kind: "band", size: 6, count: 1, name: "red" }]);
    expect(values(variationById("strap-assisted-squat"), "anchorHeightM", room)).toEqual([2.2]);
  });
  test("leaves what nobody measured to its increment", () => {
    expect(assembledFrom([{ kind: "chair" }, { kind: "pole" }])).toEqual({ heights: {}, masses: {} });
    expect(values(bar, "loadKg")).toBeUndefined(); // no bar was weighed
  });
});

describe("a place", () => {
  const usual = contextWith().kit;
  test("that nobody listed has what such a place has, by the usual increments", () => {
    expect(kitOf(usual, "studio", null)).toEqual(usual);
    expect(kitOf(usual, "travel", null)).toEqual({ ...usual, equipment: ["chair", "cushion", "table", "coin"] });
  });
  test("that was listed has what is on the list and nothing else, an empty list among them", () => {
    expect(kitOf(usual, "home", ROOM).equipment).toEqual(["chair", "cushion", "step", "mat", "dumbbell"]);
    expect(kitOf(usual, "home", [])).toMatchObject({ equipment: [], assembled: { heights: {}, masses: {} } });
  });
});

describe("a fit from them", () => {
  const kit = { ...contextWith().kit, assembled: assembledFrom(ROOM) };
  const context = contextWith({ kit });
  test("proposes only what can be set up, easiest first", () => {
    const raised = variationById("raised-sit-to-stand");
    const range = rangeOf(SUBJECT, raised, "seatHeightM");
    expect(range && valuesOn(context, raised, range)).toEqual(
      [0.67, 0.63, 0.59, 0.57, 0.55, 0.53, 0.49].filter((m) => range && m >= range.min && m <= range.max),
    );
    expect(fitVariation(context, raised)).toMatchObject({ state: "open", setting: { seatHeightM: 0.67 } });
  });
  test("closes a row that nothing here is high enough for, and says so", () => {
    const low = contextWith({ kit: { ...kit, assembled: assembledFrom([{ kind: "chair", heightM: 0.45 }]) } });
    const fitted = fitVariation(low, variationById("very-high-sit-to-stand"));
    expect(fitted).toMatchObject({ state: "closed", opening: { kind: "equipment" } });
    expect(fitted.reasons[0]).toMatchObject({ code: "not-assembled", lever: "seatHeightM" });
  });
});

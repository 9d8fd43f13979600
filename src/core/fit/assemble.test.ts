import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import { assembledFrom, type KitItem, kitOf, recipeOf } from "./assemble";
import { contextWith, SUBJECT } from "./fit.fixture";
import { rangeOf } from "../templates/form";
import { valuesOn } from "./on-hand";
import { fitVariation } from "./search";

const ROOM: KitItem[] = [
  { kind: "chair", heightM: 0.45 },
  { kind: "cushion", thicknessM: 0.04, count: 3 },
  { kind: "cushion", thicknessM: 0.1, count: 1 },
  { kind: "step", heightM: 0.12 },
  { kind: "mat", thicknessM: 0.02, count: 2 },
  { kind: "dumbbell", massKg: 4, count: 2 },
  { kind: "dumbbell", massKg: 6 },
];

describe("what the things at hand come to", () => {
  const built = assembledFrom(ROOM);
  const values = (lever: "seatHeightM" | "stepHeightM" | "loadKg") => built[lever]?.map(({ value }) => value);
  test("is every stack of cushions on a chair, once, with the fewest pieces", () => {
    expect(values("seatHeightM")).toEqual([0.45, 0.49, 0.53, 0.55, 0.57, 0.59, 0.63, 0.67]);
    expect(recipeOf(built, "seatHeightM", 0.59)).toEqual([
      { kind: "chair", size: 0.45, count: 1 },
      { kind: "cushion", size: 0.04, count: 1 },
      { kind: "cushion", size: 0.1, count: 1 },
    ]);
    expect(recipeOf(built, "seatHeightM", 0.6)).toBeNull();
  });
  test("is a step with mats under it, and every weight, none among them", () => {
    expect(values("stepHeightM")).toEqual([0.12, 0.14, 0.16]);
    expect(values("loadKg")).toEqual([0, 4, 6]);
  });
  test("holds a hex bar too, by its mass", () =>
    expect(assembledFrom([{ kind: "hex-bar", massKg: 25 }]).loadKg?.map(({ value }) => value)).toEqual([0, 25]));
  test("leaves what nobody measured to its increment", () => expect(assembledFrom([{ kind: "chair" }, { kind: "pole" }])).toEqual({}));
});

describe("a place", () => {
  const usual = contextWith().kit;
  test("that nobody listed has what such a place has, by the usual increments", () => {
    expect(kitOf(usual, "studio", null)).toEqual(usual);
    expect(kitOf(usual, "travel", null)).toEqual({ ...usual, equipment: ["chair", "cushion", "table", "coin"] });
  });
  test("that was listed has what is on the list and nothing else, an empty list among them", () => {
    expect(kitOf(usual, "home", ROOM).equipment).toEqual(["chair", "cushion", "step", "mat", "dumbbell"]);
    expect(kitOf(usual, "home", [])).toMatchObject({ equipment: [], assembled: {} });
  });
});

describe("a fit from them", () => {
  const kit = { ...contextWith().kit, assembled: assembledFrom(ROOM) };
  const context = contextWith({ kit });
  test("proposes only what can be set up, easiest first", () => {
    const raised = variationById("raised-sit-to-stand");
    const range = rangeOf(SUBJECT, raised, "seatHeightM");
    expect(range && valuesOn(context, range)).toEqual(
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

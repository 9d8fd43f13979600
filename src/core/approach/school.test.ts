import { describe, expect, test } from "vitest";
import { CATALOGUE, variationByCode, variationById } from "../catalogue/catalogue";
import { CONDITION_IDS } from "../screen/conditions.data";
import { AXES, type Axis } from "./axes.data";
import { SCHOOL_CUES } from "./cues.data";
import {
  axisOf,
  barredFor,
  cuesOf,
  DEFAULT_SCHOOL,
  differencesOf,
  leftOutBy,
  NUMBER_BOUNDS,
  PRESET_IDS,
  type PresetId,
  PRESETS,
  schoolOf,
} from "./approach";

const axes: readonly Axis[] = AXES;

describe("the contested points", () => {
  test("are those that make a difference, two of them our own, each with two positions or more, no id twice", () => {
    expect(axes.filter(({ isOwn }) => !isOwn)).toHaveLength(23);
    expect(axes.filter(({ isOwn }) => isOwn).map(({ id }) => id)).toEqual(["measured-first", "both-sides"]);
    for (const { id, positions } of axes) expect([id, new Set(positions.map((each) => each.id)).size > 1]).toEqual([id, true]);
    expect(new Set(axes.map(({ id }) => id)).size).toBe(axes.length);
  });
  test("leave out rows that the catalogue has, never what they take instead, and suit conditions that are known", () => {
    let left = 0;
    for (const { positions } of axes)
      for (const { closes, suits = [] } of positions) {
        expect(suits.filter((id) => !CONDITION_IDS.includes(id))).toEqual([]);
        if (!closes) continue;
        expect([...closes.codes, ...closes.instead].filter((code) => !variationByCode(code))).toEqual([]);
        expect(closes.instead.filter((code) => closes.codes.includes(code))).toEqual([]);
        left += closes.codes.length;
      }
    expect(left).toBeGreaterThan(20);
  });
});

describe("a school", () => {
  test("stands somewhere on every axis, in every preset, inside every number's bounds", () => {
    for (const preset of PRESET_IDS) {
      const school = schoolOf({ preset });
      for (const { id, positions } of axes)
        expect([preset, id, positions.some((each) => each.id === school.positions[id])]).toEqual([preset, id, true]);
      for (const [name, { min, max }] of Object.entries(NUMBER_BOUNDS)) {
        const value = school[name as keyof typeof NUMBER_BOUNDS];
        expect([preset, name, value >= min && value <= max]).toEqual([preset, name, true]);
      }
    }
    expect(PRESETS).toHaveLength(4);
  });
  test("is the cautious mainstream where nobody chose", () => {
    expect(DEFAULT_SCHOOL).toMatchObject({ painLimitScore: 3, largestRiserFraction: 0.12, sessionsToBuild: 2, targetUseFraction: 0.7 });
    expect(DEFAULT_SCHOOL.buildOrder).toEqual(["support", "range", "load"]);
  });
  test("takes positions and numbers of a client's own over its preset, and what no axis has is nothing", () => {
    const own = schoolOf({
      preset: "gentle",
      positions: { depth: "deep-as-comfortable", pain: "heroic", moon: "full" },
      numbers: { sessionsToBuild: 4 },
    });
    expect(own).toMatchObject({ sessionsToBuild: 4, painLimitScore: 0 });
    expect([own.positions.depth, own.positions.pain, own.positions.moon]).toEqual(["deep-as-comfortable", "none", undefined]);
  });
  test("builds load before height where it holds so", () =>
    expect(schoolOf({ preset: "mainstream", positions: { "height-or-load": "load-first" } }).buildOrder).toEqual([
      "support",
      "load",
      "range",
    ]));
  test("leaves out by its positions, the big lifts only for a back", () => {
    const by = (code: string, hasBack: boolean, preset: PresetId = "mainstream") =>
      leftOutBy(schoolOf({ preset }), code, hasBack).map(({ axisId }) => axisId);
    expect([by("H13", true), by("H13", false)]).toEqual([["big-lifts"], []]);
    expect([by("S22", false), by("S22", false, "gentle")]).toEqual([[], ["knee-travel"]]);
  });
  test("has no barred position by default; one is barred for rehabilitation and for nobody else", () => {
    for (const preset of PRESET_IDS) expect(barredFor(schoolOf({ preset }), true)).toEqual([]);
    const unbraced = schoolOf({ preset: "mainstream", positions: { trunk: "no-brace" } });
    expect(barredFor(unbraced, true)).toEqual([{ axisId: "trunk", positionId: "no-brace" }]);
    expect(barredFor(unbraced, false)).toEqual([]);
  });
  test("differs from another where it stands elsewhere, and from itself nowhere", () => {
    expect(differencesOf(DEFAULT_SCHOOL, DEFAULT_SCHOOL)).toEqual([]);
    expect(differencesOf(DEFAULT_SCHOOL, schoolOf({ preset: "knee-forward" }))).toContainEqual({
      axisId: "height-or-load",
      a: "height-first",
      b: "load-first",
    });
  });
});

test("pain is bounded as its position says, and by the client's own number before it", () => {
  const most = (pain: string) => schoolOf({ preset: "mainstream", positions: { pain } }).painLimitScore;
  expect(["none", "settles", "controlled"].map(most)).toEqual([0, 3, 4]);
  expect(schoolOf({ preset: "mainstream", positions: { pain: "none" }, numbers: { painLimitScore: 2 } }).painLimitScore).toBe(2);
  expect(schoolOf({ preset: "mainstream", positions: { "height-or-load": "height-first" } }).buildOrder).toEqual([
    "support",
    "range",
    "load",
  ]);
});

describe("cues by school", () => {
  const told = (preset: PresetId, id: string) => cuesOf(schoolOf({ preset }), variationById(id));
  test("come first, and what says otherwise is left unsaid", () => {
    expect(told("mainstream", "low-step-up")).toEqual(expect.arrayContaining(["Big toe, little toe, heel: all three down"]));
    expect(told("gentle", "low-step-up")[0]).toBe("Push through the heel");
    expect(told("knee-forward", "low-step-up")).toContain("Let the knee travel forward");
    const leaning = (preset: PresetId): boolean => told(preset, "step-up-rail").some((cue) => cue.startsWith("Lean a little, weight"));
    expect(variationById("step-up-rail").cues.some((cue) => cue.startsWith("Lean a little, weight"))).toBe(true);
    expect(leaning("knee-forward")).toBe(false); // its school has the knee travel instead
  });
  test("are a position's own on the rows it speaks of, and no other's", () => {
    const step = variationById("low-step-up");
    const others = SCHOOL_CUES.filter(
      ({ axisId, positionId, codes }) => DEFAULT_SCHOOL.positions[axisId] !== positionId || !codes.includes(step.code),
    );
    const said = cuesOf(DEFAULT_SCHOOL, step);
    expect(others.length).toBeGreaterThan(10);
    for (const { cue } of others) if (!step.cues.includes(cue)) expect(said).not.toContain(cue);
  });
  test("name rows and positions that there are, and every row keeps a cue", () => {
    for (const { axisId, positionId, codes } of SCHOOL_CUES) {
      expect(axisOf(axisId)?.positions.map(({ id }) => id)).toContain(positionId);
      for (const code of codes) expect([code, variationByCode(code)?.code]).toEqual([code, code]);
    }
    for (const preset of PRESET_IDS)
      for (const row of CATALOGUE) expect([row.code, cuesOf(schoolOf({ preset }), row).length > 0]).toEqual([row.code, true]);
  });
});

import { describe, expect, test } from "vitest";
import { CATALOGUE, variationById } from "../catalogue/catalogue";
import { startSetting } from "../templates/form";
import { nFromKgf } from "../units";
import { type Place } from "../judge/context";
import { DEFAULT_SCHOOL } from "../approach/approach";
import { dailyUses } from "../judge/daily";
import { contextWith, kneeLimit, SUBJECT } from "../judge/fit.fixture";
import { solveLever } from "./solve";
import { stairAround, stairToGoal } from "./stair";
import { sizeOf, type Tread } from "./tread";

const FROM: Place = { variationId: "box-squat-pole", setting: { seatHeightM: 0.62, handForceN: nFromKgf(8), shareFraction: 0.5 } };
const SOFA: Place = { variationId: "plain-chair-sit-to-stand", setting: { seatHeightM: 0.42, shareFraction: 0.5 } };
const { smallRiserFraction: SMALL, largestRiserFraction: LARGEST } = DEFAULT_SCHOOL;
const pairs = (treads: readonly Tread[]): [Tread, Tread][] => treads.slice(1).map((tread, i) => [treads[i] as Tread, tread]);
const changed = (below: Tread, tread: Tread): string[] =>
  Object.keys(tread.setting).filter(
    (lever) => tread.setting[lever as keyof typeof tread.setting] !== below.setting[lever as keyof typeof tread.setting],
  );

describe("the stair around a rung", () => {
  const { treads, current } = stairAround(contextWith({ limits: [kneeLimit(95)] }), FROM, { down: 2, up: 14 });
  test("has the rung one stands on, two below it, and ends with the first that is closed", () => {
    expect(current).toBe(2);
    expect(treads[current]).toMatchObject(FROM);
    expect(treads.findIndex(({ judgement }) => judgement.state === "closed")).toBe(treads.length - 1);
    expect(treads.length).toBeGreaterThan(6);
  });
  test("rises at every tread by one change, none too big", () => {
    for (const [below, tread] of pairs(treads)) {
      expect(changed(below, tread)).toEqual(tread.change?.levers.map(({ lever }) => lever));
      expect(tread.riserFraction).toBeGreaterThan(0);
      expect(tread.riserFraction).toBeLessThanOrEqual(LARGEST + 1e-9);
    }
  });
});

describe("the size of a step", () => {
  const context = contextWith();
  test("is small under 5 %, even to 12 %, too big above; between rows under 20 % is about the same", () => {
    expect([0.04, 0.05, 0.12, 0.13].map((riser) => sizeOf(context, riser, false))).toEqual(["small", "even", "even", "too-big"]);
    expect([-0.15, 0.1, 0.13, -0.25].map((riser) => sizeOf(context, riser, true))).toEqual([
      "about-the-same",
      "about-the-same",
      "too-big",
      "even",
    ]);
  });
});

describe("a stair to a goal", () => {
  const route = stairToGoal(contextWith(), FROM, SOFA);
  test("begins here and ends at the goal's own set-up, on the grid or not", () => {
    expect(route.reachesGoal).toBe(true);
    expect(route.treads[0]).toMatchObject({ ...FROM, change: null });
    expect(route.treads.at(-1)).toMatchObject(SOFA);
  });
  test("changes one thing a tread: one lever, or the row", () => {
    let crossings = 0;
    for (const [below, tread] of pairs(route.treads)) {
      if (tread.change?.fromVariationId) {
        crossings++;
        expect(tread.variationId).not.toBe(below.variationId);
      } else expect(changed(below, tread)).toEqual(tread.change?.levers.map(({ lever }) => lever));
    }
    expect(crossings).toBeGreaterThan(0);
  });
  test("has even risers, and says so where it has not", () => {
    const even = route.treads.filter(({ size }) => size === "even");
    expect(even.length).toBeGreaterThan(route.treads.length / 2);
    for (const { riserFraction } of even) {
      expect(riserFraction).toBeGreaterThanOrEqual(SMALL - 1e-9);
      expect(riserFraction).toBeLessThanOrEqual(LARGEST + 1e-9);
    }
    for (const { riserFraction, size } of route.treads) if (size === "too-big") expect(riserFraction).toBeGreaterThan(LARGEST);
  });
  test("shows what a limit closes on the way and goes on past it", () => {
    const { treads, reachesGoal } = stairToGoal(contextWith({ limits: [kneeLimit(95)] }), FROM, SOFA);
    expect(reachesGoal).toBe(true);
    expect(treads.at(-1)?.judgement.blocked).toBe(true);
  });
  test("gets from every squat to every other", () => {
    const codes = ["S01", "S02", "S03", "S05", "S06", "S20", "S39", "S40"];
    const squats = CATALOGUE.filter(({ code }) => codes.includes(code));
    const place = (id: string): Place => ({ variationId: id, setting: startSetting(SUBJECT, variationById(id)) });
    for (const from of squats)
      for (const to of squats) {
        const { treads, reachesGoal } = stairToGoal(contextWith(), place(from.id), place(to.id));
        expect([from.id, to.id, reachesGoal]).toEqual([from.id, to.id, true]);
        expect(treads.at(-1)).toMatchObject(place(to.id));
      }
    expect(squats).toHaveLength(8);
  });
});

describe("the client's own day", () => {
  const context = contextWith();
  test("is ordered by what it asks: a lower seat more, a higher step more", () => {
    const tasks = [
      { name: "sofa", kind: "seat", heightM: 0.42 },
      { name: "high stool", kind: "seat", heightM: 0.66 },
      { name: "toilet", kind: "seat", heightM: 0.47 },
    ] as const;
    expect(dailyUses(context, tasks).map(({ task }) => task.name)).toEqual(["high stool", "toilet", "sofa"]);
  });
  test("tells a step as a range, for the lower foot's push-off is not known", () => {
    const [kerb] = dailyUses(context, [{ name: "kerb", kind: "step", heightM: 0.12 }]);
    expect((kerb?.use?.high ?? NaN) / (kerb?.use?.low ?? NaN)).toBeGreaterThan(1.4);
  });
  test("says nothing of a seat this body cannot sit on", () => {
    expect(dailyUses(context, [{ name: "bar stool", kind: "seat", heightM: 1.2 }])).toMatchObject([{ use: null }]);
  });
});

test("a lever is solved for a demand, and what is on hand never asks more", () => {
  const solvedFor = { channel: "kneeMoment", side: "right" } as const;
  const form = variationById("raised-sit-to-stand");
  const range = { lever: "seatHeightM", min: 0.44, max: 0.68 } as const;
  const solution = solveLever(SUBJECT, form, { shareFraction: 0.5 }, range, solvedFor, 40, 0.02);
  if (!solution.ok) throw new Error(solution.reason);
  expect(solution.snapped).toBeGreaterThanOrEqual(solution.x);
  expect(solution.snapped).toBeLessThan(solution.x + 0.02);
});

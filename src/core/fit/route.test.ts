import { describe, expect, test } from "vitest";
import { CATALOGUE, variationById } from "../catalogue/catalogue";
import { contextWith, kneeLimit } from "./fit.fixture";
import { dailyUses } from "./daily";
import { type Place, type RouteTread, stairToGoal } from "./route";
import { RISER_MAX_FRACTION, RISER_MIN_FRACTION } from "./stair";

const FROM: Place = { variationId: "box-squat-pole", setting: { seatHeightM: 0.62, handForceN: 8 * 9.81, shareFraction: 0.5 } };
const SOFA: Place = { variationId: "plain-chair-sit-to-stand", setting: { seatHeightM: 0.42, shareFraction: 0.5 } };
const pairs = (treads: readonly RouteTread[]): [RouteTread, RouteTread][] =>
  treads.slice(1).map((tread, i) => [treads[i] as RouteTread, tread]);

describe("a stair to a goal", () => {
  const route = stairToGoal(contextWith(), FROM, SOFA);

  test("begins here and ends at the goal's own set-up, on the grid or not", () => {
    expect(route.reachesGoal).toBe(true);
    expect(route.treads[0]).toMatchObject({ ...FROM, change: null });
    expect(route.treads.at(-1)).toMatchObject(SOFA);
  });
  test("changes one thing a tread: one lever, or the variation", () => {
    for (const [below, tread] of pairs(route.treads)) {
      if (tread.change?.kind === "variation") {
        expect(tread.variationId).not.toBe(below.variationId);
        continue;
      }
      const levers = Object.keys(tread.setting) as (keyof typeof tread.setting)[];
      const changed = levers.filter((lever) => tread.setting[lever] !== below.setting[lever]);
      expect(changed).toEqual([tread.change?.lever]);
    }
  });
  test("has even risers, and says so where it has not", () => {
    for (const { riserFraction, flag, change } of route.treads.slice(1)) {
      if (flag === null) {
        expect(riserFraction).toBeGreaterThanOrEqual(RISER_MIN_FRACTION);
        expect(riserFraction).toBeLessThanOrEqual(RISER_MAX_FRACTION);
      }
      if (flag === "too-big") expect(riserFraction).toBeGreaterThan(RISER_MAX_FRACTION);
      if (change?.kind === "lever" && flag === null) expect(riserFraction).toBeCloseTo(0.08, 1);
    }
    expect(route.treads.filter(({ flag }) => flag === null).length).toBeGreaterThan(route.treads.length / 2);
  });
  test("is measured on the knee where the goal is too deep for the kneecap, else on the tightest channel", () => {
    expect(route.channel).toBe("kneeMoment");
    const shallow = stairToGoal(contextWith(), FROM, { ...FROM, setting: { ...FROM.setting, seatHeightM: 0.58, handForceN: 0 } });
    expect(shallow.channel).toBe("kneecapStress");
  });
  test("goes through the levers in the school's order", () => {
    const goal = { ...FROM, setting: { seatHeightM: 0.56, handForceN: 0, shareFraction: 0.5 } };
    const kinds = (order: Parameters<typeof stairToGoal>[3]) =>
      stairToGoal(contextWith(), FROM, goal, order).treads.flatMap(({ change }) => (change?.kind === "lever" ? [change.lever] : []));
    expect(kinds(["support", "range", "load"])[0]).toBe("handForceN");
    expect(kinds(["range", "support", "load"])[0]).toBe("seatHeightM");
  });
  test("moves by the increments on hand and flags the jump that they force", () => {
    const coarse = contextWith({ increments: { ...contextWith().increments, seatHeightM: 0.06, handForceN: 300 } });
    const { treads } = stairToGoal(coarse, { ...FROM, setting: { ...FROM.setting, seatHeightM: 0.66 } }, SOFA);
    expect(treads.some(({ flag }) => flag === "too-big")).toBe(true);
  });
  test("shows what a limit closes on the way and goes on past it", () => {
    const { treads, reachesGoal } = stairToGoal(contextWith({ limits: [kneeLimit(95)] }), FROM, SOFA);
    expect(reachesGoal).toBe(true);
    expect(treads.at(-1)?.judgement.blocked).toBe(true);
  });
  test("gets from every row of the catalogue to every other", () => {
    for (const from of CATALOGUE)
      for (const to of CATALOGUE) {
        const start = (id: string) => Object.fromEntries(variationById(id).levers.map(({ lever, start: value }) => [lever, value]));
        const { treads, reachesGoal } = stairToGoal(
          contextWith(),
          { variationId: from.id, setting: start(from.id) },
          { variationId: to.id, setting: start(to.id) },
        );
        expect([from.id, to.id, reachesGoal]).toEqual([from.id, to.id, true]);
        expect(treads.at(-1)).toMatchObject({ variationId: to.id, setting: start(to.id) });
      }
  });
});

describe("the client's own day", () => {
  const { subject, ceilings } = contextWith();
  test("is ordered by what it asks: a lower seat more, a higher step more", () => {
    const tasks = [
      { name: "sofa", kind: "seat", heightM: 0.42 },
      { name: "high stool", kind: "seat", heightM: 0.66 },
      { name: "toilet", kind: "seat", heightM: 0.47 },
    ] as const;
    expect(dailyUses(subject, ceilings, tasks).map(({ task }) => task.name)).toEqual(["high stool", "toilet", "sofa"]);
  });
  test("tells a step as a range, for the lower foot's push-off is not known", () => {
    const [kerb] = dailyUses(subject, ceilings, [{ name: "kerb", kind: "step", heightM: 0.12 }]);
    expect(kerb?.use?.high).toBeGreaterThan((kerb?.use?.low ?? NaN) * 1.2);
  });
  test("says nothing of a seat this body cannot sit on", () => {
    expect(dailyUses(subject, ceilings, [{ name: "bar stool", kind: "seat", heightM: 0.95 }])).toMatchObject([{ use: null }]);
  });
});

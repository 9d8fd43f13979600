import { describe, expect, test } from "vitest";
import { variationById } from "../core/catalogue/catalogue";
import { floorState } from "../core/floor/events";
import { DEMO_CLIENTS } from "./people.data";
import { chanceFrom, morningAfter, sessionEvents, toleratedUse } from "./simulate";

const variation = variationById("box-squat-pole");
const script = (strain: number, sessionsAtRung = 3) => ({
  dose: variation.dose,
  setting: { seatHeightM: 0.6 },
  variation,
  strain,
  sessionsAtRung,
  itemId: "i",
});
function eventsOf(strain: number, seed: number, sessionsAtRung = 3) {
  let made = 0;
  return sessionEvents(
    [script(strain, sessionsAtRung)],
    { sessionId: "s", newId: () => `id-${made++}`, baselineScore: 2 },
    new Date("2026-11-20T16:00:00Z"),
    chanceFrom(seed),
  );
}

describe("the demo's chance", () => {
  test("tells the same story for the same seed, and another for another", () => {
    expect(eventsOf(0.9, 7)).toEqual(eventsOf(0.9, 7));
    const stories = new Set(Array.from({ length: 12 }, (_, seed) => JSON.stringify(eventsOf(0.98, seed))));
    expect(stories.size).toBeGreaterThan(3);
  });
  test("stays inside what was asked for", () => {
    const chance = chanceFrom(3);
    for (let i = 0; i < 200; i++) expect([1, 2, 3]).toContain(chance.between(1, 3));
    expect(Array.from({ length: 50 }, () => chance.happens(0)).some(Boolean)).toBe(false);
    expect(Array.from({ length: 50 }, () => chance.happens(100)).every(Boolean)).toBe(true);
  });
});

describe("a simulated session", () => {
  test("adds up to whole sets, checked in and ended", () => {
    const state = floorState(eventsOf(0.8, 1));
    expect(state.sets).toHaveLength(variation.dose.setCount);
    expect(state.checkIn?.choice).toBe("as-planned");
    expect(state.endedAt).not.toBeNull();
    expect(state.sets.at(-1)?.leftInTank).not.toBeNull();
  });
  test("of a joint past its tolerance hurts more than of a rested one", () => {
    const worst = (strain: number): number =>
      Math.max(
        ...Array.from({ length: 20 }, (_, seed) =>
          Math.max(...floorState(eventsOf(strain, seed)).sets.map(({ painScore }) => painScore ?? 0)),
        ),
      );
    expect(worst(1.3)).toBeGreaterThan(worst(0.7));
  });
  test("far past it ends sharply", () => expect(floorState(eventsOf(1.2, 1)).sets.at(-1)?.endedBy).toBe("sharp"));
  test("is harder the first time at a rung", () => {
    const repetitions = (at: number): number =>
      Array.from({ length: 20 }, (_, seed) => floorState(eventsOf(0.8, seed, at)).sets[0]?.repetitions ?? 0).reduce((a, b) => a + b);
    expect(repetitions(0)).toBeLessThan(repetitions(3));
  });
});

describe("a simulated morning", () => {
  test("is calm under tolerance more often than not, and a flare well past it", () => {
    const calm = Array.from({ length: 100 }, (_, seed) => morningAfter(0.8, 2, chanceFrom(seed))).filter(({ painScore }) => painScore <= 2);
    expect(calm.length).toBeGreaterThan(80);
    expect(morningAfter(1.15, 2, chanceFrom(1))).toEqual({ painScore: 4, newSwelling: false });
    expect(morningAfter(1.3, 2, chanceFrom(1)).newSwelling).toBe(true);
  });
});

describe("the simulated joints", () => {
  test("grow with training", () => {
    const [maren] = DEMO_CLIENTS;
    if (!maren) throw new Error("no demo client");
    expect(toleratedUse(maren, 10)).toBeGreaterThan(toleratedUse(maren, 0));
  });
  test("fall back at a setback, and recover", () => {
    const withSetback = DEMO_CLIENTS.find(({ joint }) => joint.setback);
    const at = withSetback?.joint.setback?.atSession ?? NaN;
    if (!withSetback) throw new Error("no setback in the demo");
    expect(toleratedUse(withSetback, at)).toBeLessThan(toleratedUse(withSetback, at - 1) - 0.1);
    expect(toleratedUse(withSetback, at + 6)).toBeGreaterThan(toleratedUse(withSetback, at));
  });
});

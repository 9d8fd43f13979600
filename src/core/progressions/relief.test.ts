import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import { nFromKgf } from "../units";
import { contextWith, kneeLimit } from "../judge/fit.fixture";
import { judge } from "../judge/judge";
import { waysOff } from "./relief";
import { askedOn, watchedOf } from "./tread";

const HERE = { variationId: "box-squat-pole", setting: { seatHeightM: 0.66, handForceN: nFromKgf(10) } };

describe("the same relief another way", () => {
  const context = contextWith();
  const { ways, targetUseFraction } = waysOff(context, HERE);
  const now = judge(context, variationById(HERE.variationId), HERE.setting, "closing");
  const watched = watchedOf(now);

  test("lists what the handbook takes weight off with, each at a setting that asks no more, as near as the kit allows", () => {
    expect(ways.map(({ id }) => id).toSorted()).toEqual(
      ["ball", "band", "counter", "pole", "rail", "range", "seat", "shared", "strap", "water"].toSorted(),
    );
    const met = ways.filter(({ isMet }) => isMet);
    expect(met.map(({ id }) => id)).toEqual(expect.arrayContaining(["seat", "pole", "rail", "counter", "range"]));
    for (const { judgement } of met) expect(askedOn(judgement, watched)).toBeLessThanOrEqual(askedOn(now, watched) * (1 + 1e-9));
    for (const { id, ratio } of met.filter(({ id: way }) => ["seat", "pole", "rail"].includes(way)))
      expect([id, ratio > 0.85]).toEqual([id, true]);
  });
  test("finds the pole as it stands", () => {
    expect(targetUseFraction).toBeNull();
    expect(ways.find(({ id }) => id === "pole")?.place.setting.handForceN).toBeCloseTo(nFromKgf(10), 6);
  });
  test("puts what is not in the room last, and water without a figure", () => {
    const kit = { ...context.kit, equipment: ["chair", "cushion", "counter"] as const };
    const bare = waysOff({ ...context, kit }, HERE).ways;
    const firstMissing = bare.findIndex(({ isInRoom }) => !isInRoom);
    expect(firstMissing).toBeGreaterThan(2);
    expect(bare.slice(firstMissing).every(({ isInRoom }) => !isInRoom)).toBe(true);
    expect(ways.find(({ id }) => id === "water")?.ratio).toBeNaN();
  });
  test("still answers for a limit: a way past it is closed", () => {
    const limited = waysOff(contextWith({ limits: [kneeLimit(40)] }), HERE).ways;
    expect(limited.filter(({ judgement }) => judgement.state === "closed").length).toBeGreaterThan(3);
  });
  test("climbs down on a stair, and does not speak of a hinge", () => {
    const step = waysOff(context, { variationId: "low-step-up", setting: { stepHeightM: 0.15, loadKg: 0 } }).ways;
    expect(step.map(({ id }) => id)).toEqual(expect.arrayContaining(["lower-step", "rail", "counter"]));
    expect(waysOff(context, { variationId: "two-leg-hinge", setting: {} }).ways).toEqual([]);
  });
  test("past the target use every way comes down to it, and the hands do the more", () => {
    const deep = { variationId: "bodyweight-squat", setting: { kneeFlexionDeg: 75 } };
    const reliefs = waysOff(context, deep);
    expect(reliefs.targetUseFraction).toBe(context.targetUseFraction);
    const held = reliefs.ways.find(({ id }) => id === "pole");
    expect(held?.isMet).toBe(true);
    expect(held?.judgement.tightest?.head).toBeLessThanOrEqual(context.targetUseFraction + 1e-9);
    expect(held?.place.setting.handForceN).toBeGreaterThan(0);
  });
});

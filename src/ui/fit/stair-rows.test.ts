import { describe, expect, test } from "vitest";
import { dailyUses } from "../../core/judge/daily";
import { contextWith, kneeLimit } from "../../core/judge/fit.fixture";
import { stairAround, stairToGoal } from "../../core/progressions/stair";
import { dayUse, ofTreads, withDay } from "./stair-rows";

const context = contextWith();
const HERE = { variationId: "box-squat-pole", setting: { seatHeightM: 0.62, handForceN: 8 * 9.81, shareFraction: 0.5 } };
const around = stairAround(contextWith({ limits: [kneeLimit(80)] }), HERE, { down: 2, up: 20 });
const next = ofTreads(around.treads, around.current, "metric");
const day = dailyUses(
  context,
  [
    { name: "sofa", kind: "seat", heightM: 0.42 },
    { name: "stool", kind: "seat", heightM: 0.66 },
    { name: "kerb", kind: "step", heightM: 0.1 },
  ],
  { shareFraction: 0.5 },
);

describe("the treads around a rung", () => {
  test("are named by what changed, and one of them is here", () => {
    expect(next.findIndex(({ isCurrent }) => isCurrent)).toBe(around.current);
    expect(next.filter(({ isCurrent }) => isCurrent)).toHaveLength(1);
    expect(next.map(({ name }) => name).join(" ")).toMatch(/push down \d+ kg.*\d+ cm/);
  });
  test("say which is closed, and which is only a try", () => {
    expect(next.at(-1)).toMatchObject({ isClosed: true, isTry: false });
    around.treads.forEach(({ judgement }, i) => {
      expect(next[i]?.isTry).toBe(judgement.state === "try");
      expect(next[i]?.isClosed).toBe(judgement.state === "closed");
    });
  });
});

describe("the treads to a goal", () => {
  const route = stairToGoal(context, HERE, { variationId: "plain-chair-sit-to-stand", setting: { seatHeightM: 0.42, shareFraction: 0.5 } });
  const shown = ofTreads(route.treads, 0, "metric");
  test("begin here, name a crossing by the row, and say what is no even step", () => {
    expect(shown.map(({ isCurrent }) => isCurrent).indexOf(true)).toBe(0);
    expect(shown.map(({ name }) => name)).toContain("Plain-chair sit-to-stand");
    route.treads.forEach(({ size }, i) => expect(shown[i]?.hint === "").toBe(size === null || size === "even"));
  });
});

describe("the client's own day among the treads", () => {
  test("stands after every tread that asks less, none lost, treads in their order", () => {
    const all = withDay(next, day);
    expect(all).toHaveLength(next.length + day.length);
    expect(all.filter((entry) => !("task" in entry))).toEqual(next);
    all.forEach((entry, i) => {
      if (!("task" in entry)) return;
      const before = all.slice(0, i).filter((other) => !("task" in other));
      const first = before.at(-1);
      if (first && !("task" in first)) expect(first.use ?? 0).toBeLessThanOrEqual((entry.use?.head ?? NaN) + 1e-9);
    });
  });
  test("leaves out what cannot be compared", () => {
    expect(withDay(next, [{ task: { name: "bar stool", kind: "seat", heightM: 0.95 }, use: null }])).toEqual(next);
    expect(withDay([], day)).toEqual(day);
  });
  test("tells a step as a range and a seat as one figure", () => {
    const text = (name: string): string => dayUse(day.find(({ task }) => task.name === name) ?? { task: day[0]!.task, use: null });
    expect(text("kerb")).toMatch(/^\d+–\d+%$/);
    expect(text("sofa")).toMatch(/^\d+%$/);
  });
});

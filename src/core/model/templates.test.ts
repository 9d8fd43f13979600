import { describe, expect, test } from "vitest";
import { BODY } from "../fit/fit.fixture";
import { DEFAULT_POSTURE } from "../mechanics/posture";
import { MODEL_TEMPLATES, startValues } from "./templates.data";

describe.each(MODEL_TEMPLATES.map((template) => ({ id: template.id, template })))("$id", ({ template }) => {
  const at = (values: Record<string, number>) => template.pose(BODY, DEFAULT_POSTURE, { ...startValues(template), ...values });

  test("can be stood in as it starts, and along its movement", () => {
    expect(at({})).toMatchObject({ ok: true });
    const { lever, from, to } = template.movement;
    const poses = Array.from({ length: 9 }, (_, i) => at({ [lever]: from + ((to - from) * i) / 8 }));
    expect(poses.filter(({ ok }) => ok).length).toBeGreaterThanOrEqual(8);
  });

  test("shows every channel finite, inside its range, with its trust", () => {
    const pose = at({});
    if (!pose.ok) throw new Error(pose.reason);
    for (const { id, low, head, high, trust } of pose.channels) {
      expect([id, low <= head && head <= high, Number.isFinite(head)]).toEqual([id, true, true]);
      expect(["A", "A-", "B", "C"]).toContain(trust);
    }
  });

  test("answers the ends of every lever with a pose or a reason, never NaN", () => {
    for (const { id, min, max } of template.levers)
      for (const value of [min, max]) {
        const pose = at({ [id]: value });
        if (pose.ok) for (const { head } of pose.channels) expect(Number.isFinite(head)).toBe(true);
        else expect(pose.reason).toMatch(/^[a-z0-9-]+$/);
      }
  });
});

test("a split stance is a range, and a kneecap past 90 degrees is refused", () => {
  const find = (id: string) => MODEL_TEMPLATES.find((template) => template.id === id);
  const [split, squat] = [find("split"), find("squat")];
  if (!split || !squat) throw new Error("no template");
  const pose = split.pose(BODY, DEFAULT_POSTURE, startValues(split));
  const knee = pose.ok ? pose.channels.find(({ id }) => id === "kneeMoment") : undefined;
  expect(knee).toMatchObject({ trust: "C" });
  expect((knee?.high ?? 0) - (knee?.low ?? 0)).toBeGreaterThan(5);
  const deep = squat.pose(BODY, DEFAULT_POSTURE, { ...startValues(squat), knee: 100 });
  expect(deep.ok && deep.channels.find(({ id }) => id === "kneecapStress")?.refused).toBe("kneecap-past-90");
});

import { describe, expect, test } from "vitest";
import { DEFAULT_POSTURE } from "../../core/mechanics/posture";
import { BODY } from "../../core/fit/fit.fixture";
import { figureShape } from "../figure/drawing";
import { figureOf, frameOf, gripOf } from "./model-frame";

const WHO = { body: BODY, posture: DEFAULT_POSTURE };
const at = (template: ModelTemplate, value: number) => template.pose(WHO, { ...startValues(template), [template.movement.lever]: value });
const ends = (template: ModelTemplate) => {
  const { from, to } = template.movement;
  return [from, (from + to) / 2, to].map((value) => at(template, value));
};
const templateOf = (id: string): ModelTemplate => {
  const found = MODEL_TEMPLATES.find((row) => row.id === id);
  if (!found) throw new RangeError(id);
  return found;
};
const found = (pose: { ok: boolean }): pose is ModelPose => pose.ok;

describe.each(MODEL_TEMPLATES.map((template) => ({ id: template.id, template })))("$id", ({ template }) => {
  test("is drawn whole: head, hands and feet lie in the frame through the whole movement", () => {
    const now = template.pose(WHO, startValues(template));
    if (!now.ok) throw new Error(now.reason);
    const { left, right, top, bottom } = frameOf(ends(template), now);
    for (const pose of [...ends(template).filter(found), now]) {
      if (pose.turnedDeg !== 0) continue; // drawn turned: what is in the frame is the turned picture
      const { head, joints } = figureShape(pose.body, figureOf(pose));
      for (const [x, y] of [head.at, joints.hand, joints.ankle, joints.knee, joints.hip]) {
        expect(x).toBeGreaterThan(left);
        expect(x).toBeLessThan(right);
        expect(y).toBeGreaterThan(top);
        expect(y).toBeLessThan(bottom);
      }
    }
    expect(right - left).toBeLessThan(500);
  });

  test("is held by a joint that follows the hand: up by as much as the lever says", () => {
    const poses = ends(template);
    const grip = gripOf(poses, template.movement);
    if (!grip) return;
    const [first, last] = [poses[0], poses[2]];
    if (!first?.ok || !last?.ok) throw new Error("held without ends");
    const y = (pose: ModelPose): number => figureShape(pose.body, figureOf(pose)).joints[grip.joint][1];
    const { from, to } = template.movement;
    expect((y(first) - y(last)) * grip.perUnitUp).toBeCloseTo(to - from, 6);
  });
});

describe("the grip", () => {
  test("is the hip of a squat, the foot of a straight-leg raise, and none where only a load changes", () => {
    expect(gripOf(ends(templateOf("squat")), templateOf("squat").movement)?.joint).toBe("hip");
    expect(gripOf(ends(templateOf("straight-leg-raise")), templateOf("straight-leg-raise").movement)?.joint).toBe("ankle");
    expect(gripOf(ends(templateOf("carry")), templateOf("carry").movement)).toBeNull();
  });
  test("is none on a press, whose picture is turned, nor where an end cannot be held", () => {
    expect(gripOf(ends(templateOf("leg-press")), templateOf("leg-press").movement)).toBeNull();
    expect(gripOf([{ ok: false, reason: "falls-backward" }, at(templateOf("squat"), 60)], { from: 5, to: 60 })).toBeNull();
  });
});

test("under a step the floor is lower than the foot on it", () => {
  const step = templateOf("step-up");
  const pose = step.pose(WHO, startValues(step));
  if (!pose.ok) throw new Error(pose.reason);
  expect(frameOf([], pose).bottom).toBeGreaterThan(18);
});

import { describe, expect, test } from "vitest";
import { CATALOGUE } from "../../core/catalogue/catalogue";
import { STUDIES } from "../../core/catalogue/studies.data";
import { SUBJECT } from "../../core/judge/fit.fixture";
import { type Form, leversOf, movedBy, startSetting } from "../../core/templates/form";
import { withLever } from "../../core/templates/lever";
import { type Pose, poseOf, type PoseResult } from "../../core/templates/pose";
import { figureShape } from "./drawing";
import { ROW_POSES } from "./row-poses.data";
import { figureOf, frameOf, gripOf } from "./frame";

type Named = Form & { id: string };
const isModelled = ({ template }: Form): boolean => template !== "no-model";
const FORMS: readonly Named[] = [...CATALOGUE.filter(isModelled), ...STUDIES];

test("every row has a figure of the client or a drawn pose, and none has both", () => {
  for (const variation of CATALOGUE)
    expect([variation.code, variation.code in ROW_POSES]).toEqual([variation.code, !isModelled(variation)]);
  expect(Object.keys(ROW_POSES).length).toBeGreaterThan(80);
});
const at = (form: Form, value?: number): PoseResult => {
  const start = startSetting(SUBJECT, form);
  return poseOf(SUBJECT, form, value === undefined ? start : withLever(start, movedBy(form), value));
};
const movementOf = (form: Form & { plays?: readonly [number, number] }): { from: number; to: number } => {
  if (form.plays) return { from: form.plays[0], to: form.plays[1] };
  const row = leversOf(SUBJECT, form).find(({ lever }) => lever === movedBy(form));
  return { from: row?.min ?? 0, to: row?.max ?? 1 };
};
const ends = (form: Form): PoseResult[] => {
  const { from, to } = movementOf(form);
  return [from, (from + to) / 2, to].map((value) => at(form, value));
};
const formOf = (id: string): Named => {
  const found = FORMS.find((form) => form.id === id);
  if (!found) throw new RangeError(id);
  return found;
};
const isFound = (pose: PoseResult): pose is Pose => pose.ok;

describe.each(FORMS.map((form) => ({ id: form.id, form })))("$id", ({ form }) => {
  test("is drawn whole: head, hands and feet lie in the frame through the whole movement", () => {
    const now = at(form);
    if (!now.ok) throw new Error(now.reason);
    const poses = [...ends(form).filter(isFound), now];
    const { left, right, top, bottom } = frameOf(ends(form), now);
    for (const pose of poses) {
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
    expect(bottom - top).toBeGreaterThanOrEqual(now.turnedDeg === 0 ? 130 : 0);
  });

  test("is held by a joint that follows the hand: up by as much as the lever says", () => {
    const poses = ends(form);
    const grip = gripOf(poses, movementOf(form));
    if (!grip) return;
    const [first, last] = [poses[0], poses[2]];
    if (!first?.ok || !last?.ok) throw new Error("held without ends");
    const y = (pose: Pose): number => figureShape(pose.body, figureOf(pose)).joints[grip.joint][1];
    const { from, to } = movementOf(form);
    expect((y(first) - y(last)) * grip.perUnitUp).toBeCloseTo(to - from, 6);
  });
});

describe("the grip", () => {
  const grip = (id: string) => gripOf(ends(formOf(id)), movementOf(formOf(id)));
  test("is the hip of a squat, the foot of a straight-leg raise, and none where only a load changes", () => {
    expect(grip("squat")?.joint).toBe("hip");
    expect(grip("straight-leg-raise")?.joint).toBe("ankle");
    expect(grip("carry")).toBeNull();
    expect(FORMS.filter(({ id }) => grip(id) !== null).length).toBeGreaterThan(20);
  });
  test("is none on a press, whose picture is turned, nor where an end cannot be held", () => {
    expect(grip("leg-press")).toBeNull();
    expect(gripOf([{ ok: false, reason: "falls-backward" }, at(formOf("squat"), 60)], { from: 5, to: 60 })).toBeNull();
  });
});

test("under a step the floor is lower than the foot on it", () => {
  const pose = at(formOf("step-up-rail"));
  if (!pose.ok) throw new Error(pose.reason);
  expect(frameOf([], pose).bottom).toBeGreaterThan(18);
});

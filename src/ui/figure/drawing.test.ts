import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { variationById } from "../../core/catalogue/catalogue";
import { BODY, SUBJECT } from "../../core/judge/fit.fixture";
import { type Pose, poseOf } from "../../core/templates/pose";
import { figureShape, jointMark, legShape, spot } from "./drawing";
import { figureOf } from "./frame";

const pole = variationById("box-squat-pole");
const poseAt = (seatHeightM: number, handForceN = 60): Pose => {
  const pose = poseOf(SUBJECT, pole, { seatHeightM, handForceN, shareFraction: 0.5 });
  if (!pose.ok) throw new Error(pose.reason);
  return pose;
};
const length = ([x0, y0]: readonly [number, number], [x1, y1]: readonly [number, number]): number => Math.hypot(x1 - x0, y1 - y0);
const seats = fc.double({ min: 0.48, max: 0.7, noNaN: true });

describe("the figure", () => {
  test("has this client's own proportions at every depth, in centimetres", () => {
    fc.assert(
      fc.property(seats, (seatHeightM) => {
        const { thigh, shank, trunk } = figureShape(BODY, figureOf(poseAt(seatHeightM)));
        expect(length(thigh.from, thigh.to)).toBeCloseTo(BODY.thighM * 100, 6);
        expect(length(shank.from, shank.to)).toBeCloseTo(BODY.shankM * 100, 6);
        expect(length(trunk.from, trunk.to)).toBeCloseTo(BODY.trunkM * 100, 6);
      }),
    );
  });
  test("hangs together: every limb ends where the next begins", () => {
    const { thigh, shank, trunk, upperArm, forearm, joints } = figureShape(BODY, figureOf(poseAt(0.56)));
    expect(thigh.to).toEqual(joints.knee);
    expect(shank.from).toEqual(joints.knee);
    expect(thigh.from).toEqual(trunk.from);
    expect(trunk.to).toEqual(upperArm.from);
    expect(upperArm.to).toEqual(forearm.from);
    expect(forearm.to).toEqual(joints.hand);
  });
  test("has arms that never stretch", () => {
    fc.assert(
      fc.property(seats, (seatHeightM) => {
        const { upperArm } = figureShape(BODY, figureOf(poseAt(seatHeightM)));
        expect(length(upperArm.from, upperArm.to)).toBeLessThanOrEqual(0.187 * BODY.heightM * 100);
      }),
    );
  });
  test("stands on the ground, y down, and holds its pole where the model does", () => {
    const pose = poseAt(0.56);
    const { joints, pressure } = figureShape(BODY, figureOf(pose));
    expect(joints.ankle[1]).toBeLessThan(0);
    expect(pressure?.[1]).toBeCloseTo(0, 9);
    expect(pose.scene.map(({ kind }) => kind)).toEqual(expect.arrayContaining(["seat", "pole"]));
    const stand = poseOf(SUBJECT, variationById("raised-sit-to-stand"), { seatHeightM: 0.56 });
    expect(stand.ok && stand.scene.map(({ kind }) => kind)).toEqual(["seat"]);
  });
  test("draws no coordinate that is not a number", () => {
    const shape = figureShape(BODY, figureOf(poseAt(0.5)));
    expect(JSON.stringify(shape)).not.toMatch(/null|NaN/);
    expect(shape.foot).not.toContain("NaN");
    for (const joint of ["knee", "hip", "ankle", "low-back"] as const) {
      const mark = jointMark(figureOf(poseAt(0.5)), joint);
      expect(mark.arc).toMatch(/^M[-\d.e]+ /);
      expect(mark.arc).not.toContain("NaN");
    }
  });
  test("draws a raised heel as raised", () => {
    const flat = legShape(BODY, poseAt(0.56).lead);
    const raised = legShape(BODY, { ...poseAt(0.56).lead, footPitchDeg: 30 });
    expect(raised.foot).not.toBe(flat.foot);
  });
});

test("drawing units are centimetres with y down", () => expect(spot([0.25, 0.5])).toEqual([25, -50]));

import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import { BODY } from "../fit/fit.fixture";
import type { Subject } from "../fit/demand";
import { DEFAULT_POSTURE } from "../mechanics/posture";
import { demandAt, matchDemand, solveLever } from "./lever";

const SUBJECT: Subject = { body: BODY, posture: DEFAULT_POSTURE, leadSide: "right" };
const raised = variationById("raised-sit-to-stand");
const goblet = variationById("goblet-to-box");
const KNEE = { channel: "kneeMoment", side: "right" } as const;
const SEAT = { lever: "seatHeightM", min: 0.45, max: 0.7 } as const;
const EVEN = { shareFraction: 0.5 };

describe("a lever solved for a demand", () => {
  test("gives that demand, and its neighbour on hand gives no more", () => {
    fc.assert(
      fc.property(fc.double({ min: 28, max: 55, noNaN: true }), (target) => {
        const { snapped, ...result } = solveLever(SUBJECT, raised, EVEN, SEAT, KNEE, target, 0.01);
        if (!result.ok) return;
        expect(demandAt(SUBJECT, raised, { ...EVEN, seatHeightM: result.x }, KNEE)).toBeCloseTo(target, 5);
        if (snapped === null) return;
        expect(demandAt(SUBJECT, raised, { ...EVEN, seatHeightM: snapped }, KNEE)).toBeLessThanOrEqual(target);
        expect(demandAt(SUBJECT, raised, { ...EVEN, seatHeightM: snapped - 0.01 }, KNEE)).toBeGreaterThan(target);
      }),
    );
  });
  test("out of reach says on which side", () => {
    expect(solveLever(SUBJECT, raised, EVEN, SEAT, KNEE, 500, 0.01)).toMatchObject({ ok: false, reason: "target-above-range" });
    expect(solveLever(SUBJECT, raised, EVEN, SEAT, KNEE, 1, 0.01)).toMatchObject({
      ok: false,
      reason: "target-below-range",
      snapped: null,
    });
  });
});

describe("equal demand", () => {
  const to = { variation: goblet, setting: { seatHeightM: 0.6, loadKg: 8, ...EVEN }, range: SEAT, increment: 0.01 };
  test("is where the other variation asks the same", () => {
    const match = matchDemand(SUBJECT, { variation: raised, setting: { seatHeightM: 0.56, ...EVEN } }, to, KNEE);
    if (!match.ok || !match.solution.ok) throw new Error("no match");
    expect(demandAt(SUBJECT, goblet, { ...to.setting, seatHeightM: match.solution.x }, KNEE)).toBeCloseTo(match.target, 5);
  });
  test("says when the two are about the same as they stand: 20 % between variations", () => {
    const near = matchDemand(SUBJECT, { variation: raised, setting: { seatHeightM: 0.6, ...EVEN } }, to, KNEE);
    const far = matchDemand(SUBJECT, { variation: raised, setting: { seatHeightM: 0.7, ...EVEN } }, to, KNEE);
    expect(near).toMatchObject({ ok: true, isAboutTheSame: true });
    expect(far).toMatchObject({ ok: true, isAboutTheSame: false });
  });
  test("of an impossible pose is its reason", () => {
    expect(matchDemand(SUBJECT, { variation: raised, setting: { seatHeightM: 1.4 } }, to, KNEE)).toEqual({
      ok: false,
      reason: "hip-height-unreachable",
    });
  });
});

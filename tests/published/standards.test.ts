import { describe, expect, test } from "vitest";
import { bodyFromMeasure } from "../../src/core/body/body";
import { bandTension } from "../../src/core/mechanics/band";
import { contactAreaMm2, contactRatio, quadricepsArmMm } from "../../src/core/mechanics/kneecap";
import { seatedAbductionNm, strapLean } from "../../src/core/mechanics/levers";
import { standingPose } from "../../src/core/mechanics/standing";
import { STANDING_DEFAULTS, type StandingPose, type StandingSetting } from "../../src/core/mechanics/standing.types";
import { GRAVITY_MPS2 } from "../../src/core/units";

/** Tables and worked cases of anthropometry, elastic and suspension, and the knee; as recalled, confidence beside each. */
const BODY = bodyFromMeasure({ heightM: 1.75, massKg: 80, sex: "male" });
const BODY_WEIGHT_N = 80 * GRAVITY_MPS2;
const pose = (setting: Partial<StandingSetting>): StandingPose => {
  const result = standingPose(BODY, { ...STANDING_DEFAULTS, ...setting });
  if (!result.ok) throw new Error(result.reason);
  return result;
};

describe("segment tables", () => {
  const winter = bodyFromMeasure({ heightM: 1.65, massKg: 60, sex: "female", segmentTable: "winter" });
  const man = bodyFromMeasure({ heightM: 1.741, massKg: 100, sex: "male" });

  // Source: Winter, Table 4.1, confidence high: thigh .100, head arms and trunk .678 of 60 kg; its shares sum to 1.000
  test("Winter: a thigh of 6.0 kg, head, arms and trunk of 40.68 kg", () => {
    expect(winter.thighKg).toBeCloseTo(6, 9);
    expect(winter.pelvisKg + winter.upperKg + winter.armsKg).toBeCloseTo(40.68, 9);
  });
  // Source: Winter, Table 4.1: leg .161 = thigh .100 + shank .0465 + foot .0145
  test("Winter: the leg is the sum of its parts", () => expect(winter.thighKg + winter.shankKg + winter.footKg).toBeCloseTo(0.161 * 60, 9));
  // Source: Winter's table has no sexes
  test("Winter: one table for all", () => {
    const same = bodyFromMeasure({ heightM: 1.65, massKg: 60, sex: "male", segmentTable: "winter" });
    expect({ ...same, sex: "female" }).toEqual(winter);
  });
  // Source: de Leva 1996, Table 4, male, confidence high; its shares sum to 100.00 %
  test("de Leva: foot 1.37 kg, shank 4.33 kg, thigh 14.16 kg of 100", () => {
    expect([man.footKg, man.shankKg, man.thighKg].map((kg) => Number(kg.toFixed(3)))).toEqual([1.37, 4.33, 14.16]);
  });
  // Source: de Leva 1996, Table 4, female feet 1.29 % each: what stands on them of 60 kg is 58.45 kg
  test("de Leva: the mass over both feet", () => {
    const woman = bodyFromMeasure({ heightM: 1.65, massKg: 60, sex: "female" });
    expect(60 - 2 * woman.footKg).toBeCloseTo(58.45, 2);
  });
  // Source: Drillis & Contini 1966: knee height .285, hip .530, shoulder .818 of stature, confidence high
  test("Drillis and Contini: heights add up", () => {
    const { ankleHeightM, shankM, thighM, trunkM, heightM } = BODY;
    expect((ankleHeightM + shankM) / heightM).toBeCloseTo(0.285, 9);
    expect((ankleHeightM + shankM + thighM) / heightM).toBeCloseTo(0.53, 9);
    expect((ankleHeightM + shankM + thighM + trunkM) / heightM).toBeCloseTo(0.818, 9);
  });
});

describe("seat and knee", () => {
  // Source: derived two-link geometry: shin upright, thigh level, 90 degrees, hip at knee height (.285 H)
  test("an upright shin and a level thigh are 90 degrees, the hip at knee height", () => {
    const sat = pose({
      depth: { by: "hip-height", hipHeightM: 0.285 * 1.75 },
      shankRule: { kind: "fixed", shankLeanDeg: 0 },
      balance: { solve: "assist", trunkLeanDeg: 0 },
      arms: { kind: "crossed" },
      assists: [{ at: "wall", force: { kind: "angle", magnitudeN: null, directionDeg: 0 } }],
    });
    expect(sat.kneeFlexionDeg).toBeCloseTo(90, 6);
  });
  // Source: Kutzner 2010, order of contact forces: two-leg stance, standing up, stairs up, stairs down; confidence high
  test("the order of knee contact: standing, rising, up a stair, down a stair", () => {
    const stair = (direction: -1 | 1, heelDeg: number): StandingPose =>
      pose({
        depth: { by: "step", stepHeightM: 0.18, trailLeanDeg: 10, trailHeelDeg: heelDeg },
        arms: { kind: "hang", forwardM: 0 },
        leadShareFraction: 1,
        trail: { kind: "reach", levelM: -0.18, heelDeg, kneeFlexionDeg: 0, direction },
      });
    const order = [
      pose({ depth: { by: "knee-flexion", kneeFlexionDeg: 3 }, arms: { kind: "hang", forwardM: 0 } }),
      pose({ depth: { by: "seat-height", seatHeightM: 0.5 }, arms: { kind: "crossed" } }),
      stair(-1, 20),
      stair(1, 0),
    ].map(({ lead }) => lead.kneeContactBw);
    expect(order).toEqual(order.toSorted((a, b) => a - b));
  });
  // Source: Brechter & Powers 2002 in another printing, confidence medium: at 60 degrees k .9465, arm 33.84 mm, area 473.5 mm2.
  // Ours has the same ratio, an arm 2 % shorter, and half the area (one facet's table, Powers 1998): stress comes out twice as large,
  // which is why it is only ever told as a ratio to the client's own calm pose
  test("kneecap tables: one ratio, two areas", () => {
    expect(contactRatio(60)).toBeCloseTo(0.9465, 4);
    expect(quadricepsArmMm(60) / 33.84).toBeGreaterThan(0.97);
    expect(contactAreaMm2(60) / 473.5).toBeCloseTo(0.5, 1);
  });
});

describe("elastic", () => {
  // Source: Simoneau 2001 for the shape, numbers a worked case: 20, 30, 40, 50 N at 50 to 200 %; at 120 % 34.0 N; slack length .60 m
  test("a band linear in elongation reads 34 N at 120 per cent", () => {
    const points = [50, 100, 150, 200].map((percent, i) => ({ lengthM: 0.6 * (1 + percent / 100), tensionN: 20 + 10 * i }));
    expect(bandTension({ restM: 0.6, points }, 0.6 * 2.2).tensionN).toBeCloseTo(34, 9);
  });
  // Source: arithmetic: 40 N at .25 m, at right angles, is 10 Nm
  test("a band's moment about the hip", () => expect(seatedAbductionNm(BODY, 40, 0.25)).toBeCloseTo(10, 9));
});

describe("straps and hands", () => {
  // Source: derived, straight body, hand force square to it, centre of mass .56 H, hands at .82 H: BW x f/h x cos(angle above the floor)
  test.each([
    { aboveFloorDeg: 30, percent: 59.1 },
    { aboveFloorDeg: 45, percent: 48.3 },
    { aboveFloorDeg: 60, percent: 34.1 },
    { aboveFloorDeg: 75, percent: 17.7 },
  ])("a lean at $aboveFloorDeg degrees above the floor hangs $percent % in the hands", ({ aboveFloorDeg, percent }) => {
    const leanDeg = 90 - aboveFloorDeg;
    const { tensionN } = strapLean(BODY, leanDeg, 0.56 * 1.75, 0.82 * 1.75, leanDeg);
    expect(Math.abs((100 * tensionN) / BODY_WEIGHT_N - percent)).toBeLessThan(0.1);
  });
  // Source: derived: an upright strap carries BW x f/h at any angle
  test("an upright strap carries the same at any lean", () => {
    for (const leanDeg of [10, 25, 40])
      expect(strapLean(BODY, leanDeg, 0.56 * 1.75, 0.82 * 1.75, 90).tensionN / BODY_WEIGHT_N).toBeCloseTo(0.56 / 0.82, 9);
  });
  // Source: statics: what hands carry upward, the feet do not
  test("an upward pull leaves the rest of body weight to the feet", () => {
    const held = pose({
      depth: { by: "knee-flexion", kneeFlexionDeg: 60 },
      arms: { kind: "pole", xM: 0.25, belowShoulderM: 0.3 },
      assists: [{ at: "hands", force: { kind: "components", fxN: 0, fyN: 100 } }],
    });
    expect(held.lead.groundFyN + held.trail.groundFyN).toBeCloseTo(BODY_WEIGHT_N - 100, 9);
  });
});

import { describe, expect, test } from "vitest";
import { bodyFromMeasure } from "../../src/core/body/body";
import { bridgePose, BRIDGE_DEFAULTS } from "../../src/core/mechanics/bridge";
import { frontalHip, kneeExtension, straightLegRaiseNm, tempoFactor } from "../../src/core/mechanics/levers";
import { standingPose } from "../../src/core/mechanics/standing";
import { STANDING_DEFAULTS, type StandingPose, type StandingSetting } from "../../src/core/mechanics/standing.types";
import { GRAVITY_MPS2 } from "../../src/core/units";

/**
 * The other templates against published numbers, as recalled; reference body male, 1.75 m, 80 kg. Where the agreement is
 * poor the test holds the size of the disagreement, so that a change of it is seen (docs/equations.md says why).
 */
const BODY = bodyFromMeasure({ heightM: 1.75, massKg: 80, sex: "male" });
const BODY_WEIGHT_N = 80 * GRAVITY_MPS2;
const HANGING = { kind: "hang", forwardM: 0 } as const;

function pose(setting: Partial<StandingSetting>): StandingPose {
  const result = standingPose(BODY, { ...STANDING_DEFAULTS, ...setting });
  if (!result.ok) throw new Error(result.reason);
  return result;
}
const within = (actual: number, expected: number, fraction: number): void => {
  expect(Math.abs(actual / expected - 1), `${actual} against ${expected}`).toBeLessThanOrEqual(fraction);
};

/** All weight on the upper leg, the lower one just leaving the ground. */
const step = (stepHeightM: number): StandingPose =>
  pose({
    depth: { by: "step", stepHeightM, trailLeanDeg: 10, trailHeelDeg: 20 },
    arms: HANGING,
    leadShareFraction: 1,
    trail: { kind: "reach", levelM: -stepHeightM, heelDeg: 20, kneeFlexionDeg: 0, direction: -1 },
  });

describe("stairs", () => {
  // Source: Kutzner 2010, instrumented implants, stairs up 3.16 body weights, confidence high; ours on 18 cm, 7 % over
  test("knee contact going up", () => within(step(0.18).lead.kneeContactBw, 3.16, 0.1));

  // Source: Kutzner 2010, stairs down 3.46 body weights, confidence high; ours on 18 cm, all weight above, 13 % over
  test("knee contact going down", () => {
    const down = pose({
      depth: { by: "step", stepHeightM: 0.18, trailLeanDeg: 10, trailHeelDeg: 0 },
      arms: HANGING,
      leadShareFraction: 1,
      trail: { kind: "reach", levelM: -0.18, heelDeg: 0, kneeFlexionDeg: 0, direction: 1 },
    });
    within(down.lead.kneeContactBw, 3.46, 0.14);
  });

  // Source: Reilly & Martens 1972, kneecap force on stairs 3.3 body weights, confidence high; ours within 4 %
  test("kneecap force", () => within(step(0.18).lead.kneecapForceN / BODY_WEIGHT_N, 3.3, 0.06));

  // Source: several, direction only: a higher step raises kneecap load. Sizes are ours, high because all weight is on one leg
  test.each([
    [0.15, 8.2],
    [0.2, 13.2],
    [0.25, 18.4],
  ])("kneecap stress on a step of %d m", (heightM, expectedMPa) => within(step(heightM).lead.kneecapStressMPa, expectedMPa, 0.03));
});

describe("one leg", () => {
  const single = (kneeFlexionDeg: number): StandingPose =>
    pose({
      depth: { by: "knee-flexion", kneeFlexionDeg },
      arms: { kind: "forward" },
      trail: { kind: "free", thighDeg: 0, kneeFlexionDeg: 30 },
    });

  // Source: Kutzner 2010, one-leg stance 2.59 body weights, confidence high. Ours fails by more than a third: the side view
  // has no frontal plane and no co-contraction
  test("knee contact in stance fails, and by as much as is written down", () => {
    const contact = single(5).lead.kneeContactBw;
    expect(contact).toBeLessThan(0.8 * 2.59);
    expect(contact).toBeGreaterThan(0.9);
  });

  // Source: Bergmann 2001, hip contact in one-leg stance 2.31 body weights, confidence high; the frontal lever is 7 % over
  test("hip contact, by the frontal lever", () => within(frontalHip(BODY).hipContactN / BODY_WEIGHT_N, 2.31, 0.09));

  // Source: Brand & Crowninshield 1980, Neumann 1998: a stick in the opposite hand at 10 to 15 % of body weight takes 30 to
  // 50 % off; ours 38 % at 10 %, and 57 % at 15 %, which is too strong
  test.each([
    [0.1, -0.38],
    [0.15, -0.57],
  ])("a stick carrying %d of body weight in the opposite hand", (fraction, expected) => {
    const free = frontalHip(BODY).hipContactN;
    expect(frontalHip(BODY, fraction * BODY_WEIGHT_N).hipContactN / free - 1).toBeCloseTo(expected, 1);
  });

  // Source: as taught, confidence high for the direction: a stick on the same side raises hip contact
  test("a stick in the same hand raises it", () => {
    expect(frontalHip(BODY, 0.1 * BODY_WEIGHT_N, "same").hipContactN).toBeGreaterThan(frontalHip(BODY).hipContactN);
  });
});

describe("split stance", () => {
  const lunge = (backM: number, fraction: number): StandingPose =>
    pose({
      depth: { by: "knee-flexion", kneeFlexionDeg: 80 },
      shankRule: { kind: "fixed", shankLeanDeg: 15 },
      arms: HANGING,
      leadShareFraction: 0.65,
      trail: { kind: "ground", backM, heelDeg: 45, levelM: 0, pressureFraction: 0.5 },
      brace: { kind: "least", fraction },
    });

  // Source: our specification: the same pose can ask the front knee very different things, so it is an interval
  test("one pose, many knee moments: the interval is wide", () => {
    const [none, least] = [lunge(0.6, 0).lead.kneeMomentNm, lunge(0.6, 1).lead.kneeMomentNm];
    expect(Math.abs(none - least)).toBeGreaterThan(20);
  });
});

describe("lunges", () => {
  // Source: Escamilla 2008, direction only, confidence medium: a short lunge loads the kneecap more than a long one
  test("short loads the kneecap more than long", () => {
    const lunge = (backM: number, shankLeanDeg: number): number =>
      pose({
        depth: { by: "knee-flexion", kneeFlexionDeg: 80 },
        shankRule: { kind: "fixed", shankLeanDeg },
        arms: HANGING,
        leadShareFraction: 0.65,
        trail: { kind: "ground", backM, heelDeg: 45, levelM: 0, pressureFraction: 0.5 },
        brace: { kind: "least", fraction: 0.5 },
      }).lead.kneecapStressMPa;
    expect(lunge(0.5, 25)).toBeGreaterThan(1.3 * lunge(0.75, 10));
  });
});

describe("decline board", () => {
  // Source: several, recalled, confidence medium: on one leg a 25 degree decline asks the knee about 40 % more; ours 28 to 40 %
  test.each([60, 70, 80])("at %i degrees of bend", (kneeFlexionDeg) => {
    const on = (wedgeDeg: number): number =>
      pose({ depth: { by: "knee-flexion", kneeFlexionDeg }, wedgeDeg, trail: { kind: "free", thighDeg: 0, kneeFlexionDeg: 60 } }).lead
        .kneeMomentNm;
    const more = on(25) / on(0) - 1;
    expect(more).toBeGreaterThan(0.25);
    expect(more).toBeLessThan(0.45);
  });
});

describe("low back", () => {
  const hinge = (trunkLeanDeg: number, massKg: number, kneeFlexionDeg = 15): number =>
    pose({
      depth: { by: "knee-flexion", kneeFlexionDeg },
      arms: HANGING,
      loads: [{ massKg, at: "hands" }],
      balance: { solve: "shank", trunkLeanDeg },
    }).lowBackCompressionN;
  const standing = pose({ depth: { by: "knee-flexion", kneeFlexionDeg: 3 }, arms: HANGING }).lowBackCompressionN;

  // Source: Wilke 1999, pressure in one disc against standing (.5 MPa), confidence high: flexed 2.2, stooped with 20 kg 4.6.
  // Ours has the order and is a quarter to a third too large: quiet standing has no muscle tone in it
  test("ratios to standing: the order is right, the size too large, by as much as is written down", () => {
    const [flexed, stooped] = [hinge(36, 0, 10) / standing, hinge(70, 20, 5) / standing];
    expect(flexed).toBeGreaterThan(2.2);
    expect(stooped).toBeGreaterThan(flexed);
    within(flexed, 2.2, 0.35);
    within(stooped, 4.6, 0.4);
  });

  // Source: NIOSH 1981 and 1991, 3400 N as the line for lifting work, confidence high; not used as a limit here. What a hinge with
  // 20 kg at 60 degrees comes to is our specification's own figure, usual for such models
  test("a hinge with 20 kg lies at the line, one with 40 kg over it", () => {
    within(hinge(60, 20), 3518, 1e-3);
    within(hinge(55, 40), 4677, 1e-3);
  });

  // Source: Swinton 2011, hexagonal against straight bar, direction only, confidence high: back and hip less, knee more
  test("a load 8 cm nearer asks back and hip less and the knee more", () => {
    const bar = (forwardM: number): StandingPose =>
      pose({
        depth: { by: "knee-flexion", kneeFlexionDeg: 60 },
        arms: { kind: "hang", forwardM },
        loads: [{ massKg: 60, at: "hands" }],
        balance: { solve: "shank", trunkLeanDeg: 50 },
      });
    const [straight, near] = [bar(0), bar(-0.08)];
    within(near.lowBackMomentNm / straight.lowBackMomentNm - 1, -0.21, 0.2);
    within(near.lead.hipMomentNm / straight.lead.hipMomentNm - 1, -0.16, 0.2);
    within(near.lead.kneeMomentNm / straight.lead.kneeMomentNm - 1, 1.1, 0.15);
  });
});

describe("what decides, and what hardly matters", () => {
  // Source: our specification's sensitivity, woman of 1.68 m and 76 kg, squat at 60 degrees; three degrees of shin are a quarter
  // of the knee's moment, the segment table one hundredth
  const WOMAN = { heightM: 1.68, massKg: 76, sex: "female" } as const;
  const kneeNm = (more: Partial<StandingSetting>, measure: Parameters<typeof bodyFromMeasure>[0] = WOMAN): number => {
    const found = standingPose(bodyFromMeasure(measure), {
      ...STANDING_DEFAULTS,
      depth: { by: "knee-flexion", kneeFlexionDeg: 60 },
      ...more,
    });
    return found.ok ? found.lead.kneeMomentNm : NaN;
  };
  test("three degrees of shin", () => within(kneeNm({ shankRule: { kind: "fixed", shankLeanDeg: 24.4 } }) / kneeNm({}) - 1, 0.24, 0.03));
  test("five hundredths of the foot", () => within(kneeNm({ pressureFraction: 0.55 }) / kneeNm({}) - 1, -0.16, 0.05));
  test("the segment table", () => expect(kneeNm({}, { ...WOMAN, segmentTable: "winter" }) / kneeNm({}) - 1).toBeLessThan(0.02));
});

describe("barbell and knee travel", () => {
  // Source: Fry 2003, barbell of body weight: knees kept behind the toes lower the knee moment (150 to 117 Nm) and raise the
  // hip's (28 to 303). Ours: direction and the knee's size, not the free squat's small hip moment
  test("keeping the shin back trades knee for hip", () => {
    const barbell = (shankLeanDeg: number): StandingPose =>
      pose({
        depth: { by: "knee-flexion", kneeFlexionDeg: 100 },
        shankRule: { kind: "fixed", shankLeanDeg },
        dorsiflexionMaxDeg: 45,
        arms: { kind: "crossed" },
        loads: [{ massKg: 80, at: "back" }],
      });
    const [free, restricted] = [barbell(37), barbell(27)];
    within(restricted.lead.kneeMomentNm / free.lead.kneeMomentNm - 1, -0.33, 0.25);
    within(restricted.lead.hipMomentNm / free.lead.hipMomentNm - 1, 0.55, 0.35);
  });
});

describe("open chain", () => {
  // Source: Steinkamp 1993, about 48 degrees: below it a squat, above it a seated extension is kinder to the kneecap; ours
  // crosses at 45 to 46 degrees with 5 kg at the ankle
  test("squat and extension cross at about 45 degrees", () => {
    const difference = (kneeFlexionDeg: number): number =>
      pose({ depth: { by: "knee-flexion", kneeFlexionDeg } }).lead.kneecapStressMPa - kneeExtension(BODY, kneeFlexionDeg, 5).stressMPa;
    expect(difference(40)).toBeLessThan(0);
    expect(difference(50)).toBeGreaterThan(0);
  });

  // Source: long-lever gravity moment of shank and foot at the straight knee, 80 kg, 10 to 15 Nm, confidence high
  test("a straight knee holds 10 to 15 Nm of its own leg", () => {
    const { kneeMomentNm } = kneeExtension(BODY, 0, 0);
    expect(kneeMomentNm).toBeGreaterThan(10);
    expect(kneeMomentNm).toBeLessThan(15);
  });

  // Source: by hand, docs/equations.md E20: 1.63 m, 66 kg woman, 30 degrees, 1 kg at the ankle
  test("a straight-leg raise by hand", () => {
    expect(straightLegRaiseNm(bodyFromMeasure({ heightM: 1.63, massKg: 66, sex: "female" }), 30, 1)).toBeCloseTo(40.0826, 3);
  });
});

describe("how slow is slow", () => {
  // Source: our specification, quasi-static error of a sine-like movement of .4 m: 20, 5 and 2 % at 1, 2 and 3 s
  test.each([
    [1, 1.2],
    [2, 1.05],
    [3, 1.02],
  ])("%d s a phase", (seconds, expected) => within(tempoFactor(0.4, seconds), expected, 0.005));
});

describe("bridge", () => {
  // common practice, no source: a vertical shin is the ordinary thrust; feet further out shift work from thigh to hamstrings
  test("feet further out turn the knee's work to the hamstrings", () => {
    const knee = (kneeFlexionDeg: number): number => {
      const result = bridgePose(BODY, { ...BRIDGE_DEFAULTS, hipFlexionDeg: 0, placed: { by: "knee-at-top", kneeFlexionDeg } });
      if (!result.ok) throw new Error(result.reason);
      return result.lead.kneeMomentNm;
    };
    expect(knee(70)).toBeLessThan(knee(110));
  });
});

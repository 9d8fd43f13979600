import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { bodyFromMeasure, type BodyMeasure } from "../body/body";
import { GRAVITY_MPS2 } from "../units";
import { bandTension } from "./band";
import { BRIDGE_DEFAULTS, type BridgeFoot, bridgePose, type BridgeSetting, type BridgeTrail } from "./bridge";
import { legWeights } from "./joints";
import { LEG_PRESS_DEFAULTS, legPress } from "./leg-press";
import { frontalHip, kneeExtension, strapLean, straightLegRaiseNm } from "./levers";
import { standingPose } from "./standing";
import { type Brace, STANDING_DEFAULTS, type StandingPose, type StandingSetting, type Trail } from "./standing.types";
import { type Force, sumMomentNm } from "./vector";

const BODY = bodyFromMeasure({ heightM: 1.7, massKg: 75, sex: "female" });
const number = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const measures: fc.Arbitrary<BodyMeasure> = fc.record({
  heightM: number(1.45, 2),
  massKg: number(45, 140),
  sex: fc.constantFrom("female" as const, "male" as const),
});
const trails: fc.Arbitrary<Trail> = fc.oneof(
  fc.record({
    kind: fc.constant("ground" as const),
    backM: number(0.05, 0.9),
    heelDeg: number(0, 50),
    levelM: fc.constant(0),
    pressureFraction: fc.constant(0.5),
  }),
  fc.record({
    kind: fc.constant("reach" as const),
    levelM: number(-0.3, 0),
    heelDeg: number(0, 30),
    kneeFlexionDeg: number(0, 20),
    direction: fc.constantFrom(-1 as const, 1 as const),
  }),
  fc.record({
    kind: fc.constant("free" as const),
    thighDeg: fc.oneof(number(-40, 60), fc.constant("inline" as const)),
    kneeFlexionDeg: number(0, 100),
  }),
);
const braces: fc.Arbitrary<Brace> = fc.oneof(
  fc.constant<Brace>({ kind: "vertical" }),
  fc.record({ kind: fc.constant("least" as const), fraction: number(0, 1) }),
  fc.record({ kind: fc.constant("force" as const), forceN: number(-300, 300) }),
);
const stances = fc
  .record({ knee: number(5, 110), trail: trails, brace: braces, share: number(0.1, 0.9), kg: number(0, 30) })
  .map(({ knee, trail, brace, share, kg }): StandingSetting => ({
    ...STANDING_DEFAULTS,
    depth: { by: "knee-flexion", kneeFlexionDeg: knee },
    arms: { kind: "hang", forwardM: 0 },
    loads: [{ massKg: kg, at: "hands" }],
    leadShareFraction: share,
    trail,
    brace,
  }));
const numbersIn = (value: unknown): number[] =>
  typeof value === "number" ? [value] : typeof value === "object" && value !== null ? Object.values(value).flatMap(numbersIn) : [];

describe("two feet apart, one foot, a step", () => {
  test("every pose found is in equilibrium, with no NaN in it, whatever the bracing", () => {
    let found = 0;
    fc.assert(
      fc.property(measures, stances, (measure, setting) => {
        const pose = standingPose(bodyFromMeasure(measure), setting);
        if (!pose.ok) return;
        found++;
        expect(pose.residual).toBeLessThan(1e-9 * measure.massKg * GRAVITY_MPS2);
        for (const value of numbersIn(pose)) expect(Number.isFinite(value)).toBe(true);
        expect(pose.lead.groundFyN + pose.trail.groundFyN).toBeCloseTo(
          (measure.massKg + (setting.loads[0]?.massKg ?? 0)) * GRAVITY_MPS2,
          6,
        );
      }),
      { numRuns: 600 },
    );
    expect(found).toBeGreaterThan(100);
  });

  test("seen from above, the hips carry the upper body: both legs' hip moments balance it", () => {
    fc.assert(
      fc.property(stances, (setting) => {
        const pose = standingPose(BODY, setting);
        if (!pose.ok) return;
        const forces: Force[] = [
          ...legWeights(BODY, pose),
          ...legWeights(BODY, pose.trailLeg),
          { at: pose.pressure, fxN: pose.lead.groundFxN, fyN: pose.lead.groundFyN },
          { at: pose.trailPressure, fxN: pose.trail.groundFxN, fyN: pose.trail.groundFyN },
        ];
        expect(sumMomentNm(forces, pose.hip)).toBeCloseTo(pose.lead.hipMomentNm + pose.trail.hipMomentNm, 6);
      }),
    );
  });

  const split = (brace: Brace): StandingPose => {
    const trail: Trail = { kind: "ground", backM: 0.6, heelDeg: 45, levelM: 0, pressureFraction: 0.5 };
    const pose = standingPose(BODY, {
      ...STANDING_DEFAULTS,
      depth: { by: "knee-flexion", kneeFlexionDeg: 75 },
      shankRule: { kind: "fixed", shankLeanDeg: 15 },
      leadShareFraction: 0.65,
      arms: { kind: "hang", forwardM: 0 },
      trail,
      brace,
    });
    if (!pose.ok) throw new Error(pose.reason);
    return pose;
  };
  const squares = ({ lead, trail }: StandingPose): number =>
    [lead.kneeMomentNm, lead.hipMomentNm, trail.kneeMomentNm, trail.hipMomentNm].reduce((sum, value) => sum + value ** 2, 0);
  test("the least bracing is the least of all", () => {
    const least = squares(split({ kind: "least", fraction: 1 }));
    for (const forceN of [-120, -60, -20, 0, 20, 60, 120])
      expect(squares(split({ kind: "force", forceN }))).toBeGreaterThanOrEqual(least - 1e-6);
  });
  test("bracing moves demand between knees and hips and changes neither balance nor depth", () => {
    const [none, some] = [split({ kind: "vertical" }), split({ kind: "force", forceN: 60 })];
    expect(some.trunkLeanDeg).toBe(none.trunkLeanDeg);
    expect(some.lead.kneeMomentNm).not.toBeCloseTo(none.lead.kneeMomentNm, 0);
  });
  test("a bracing past friction is cut, and one between feet at different heights is ignored, and both are said", () => {
    expect(split({ kind: "force", forceN: 5000 }).warnings).toContain("brace-friction-limited");
    const trail: Trail = { kind: "reach", levelM: -0.2, heelDeg: 20, kneeFlexionDeg: 0, direction: -1 };
    const step = standingPose(BODY, {
      ...STANDING_DEFAULTS,
      depth: { by: "step", stepHeightM: 0.2, trailLeanDeg: 10, trailHeelDeg: 20 },
      arms: { kind: "hang", forwardM: 0 },
      trail,
      brace: { kind: "least", fraction: 1 },
    });
    expect(step.warnings).toContain("brace-ignored");
  });
  test("a higher step asks the knee more", () => {
    const knee = (stepHeightM: number): number => {
      const pose = standingPose(BODY, {
        ...STANDING_DEFAULTS,
        depth: { by: "step", stepHeightM, trailLeanDeg: 10, trailHeelDeg: 20 },
        arms: { kind: "hang", forwardM: 0 },
        trail: { kind: "free", thighDeg: -10, kneeFlexionDeg: 5 },
      });
      return pose.ok ? pose.lead.kneeMomentNm : NaN;
    };
    const heights = [0.08, 0.12, 0.16, 0.2, 0.24].map(knee);
    expect(heights).toEqual([...heights].sort((a, b) => a - b));
  });
  test("one foot has no share to solve", () => {
    const setting: StandingSetting = {
      ...STANDING_DEFAULTS,
      depth: { by: "knee-flexion", kneeFlexionDeg: 40 },
      balance: { solve: "share", trunkLeanDeg: 10 },
    };
    expect(standingPose(BODY, setting)).toMatchObject({ ok: false, reason: "share-needs-two-feet" });
  });
});

describe("the bridge", () => {
  const bridge = (more: Partial<BridgeSetting> = {}): BridgeSetting => ({
    ...BRIDGE_DEFAULTS,
    hipFlexionDeg: 0,
    placed: { by: "knee-at-top", kneeFlexionDeg: 90 },
    ...more,
  });
  test("is in equilibrium wherever it can be held, on floor, bench, ball or wall, on one leg, two or staggered", () => {
    const found = { floor: 0, ball: 0, wall: 0 };
    fc.assert(
      fc.property(
        measures,
        number(-5, 50),
        number(20, 120),
        number(0, 0.5),
        fc.constantFrom<BridgeTrail>(
          { kind: "same" },
          { kind: "free", thighDeg: "inline", kneeFlexionDeg: 60 },
          { kind: "staggered", furtherM: 0.2 },
        ),
        fc.constantFrom<BridgeFoot>({ kind: "floor" }, { kind: "ball", ankleHeightM: 0.5 }, { kind: "wall", ankleHeightM: 0.4 }),
        fc.oneof(number(-60, 60), fc.constant(null)),
        (measure, hipFlexionDeg, kneeFlexionDeg, bench, trail, foot, forceN) => {
          const body = bodyFromMeasure(measure);
          const pose = bridgePose(
            body,
            bridge({
              hipFlexionDeg,
              placed: { by: "knee-at-top", kneeFlexionDeg },
              benchHeightM: bench,
              trail,
              foot,
              footDrag: forceN === null ? { kind: foot.kind === "wall" ? "held" : "least" } : { kind: "force", forceN },
            }),
          );
          if (!pose.ok) return;
          found[foot.kind]++;
          const bodyWeightN = measure.massKg * GRAVITY_MPS2;
          expect(pose.residual).toBeLessThan(1e-9 * bodyWeightN);
          for (const value of numbersIn(pose)) expect(Number.isFinite(value)).toBe(true);
          // foot by foot, with the shoulders: nothing is left over of the body without its resting arms
          const ground = [pose.lead, pose.trail].reduce((sum, { groundFyN }) => sum + groundFyN, pose.shoulderN);
          expect(ground).toBeCloseTo(bodyWeightN - body.armsKg * GRAVITY_MPS2, 6);
          if (foot.kind === "wall" && forceN === null) expect(pose.frictionNeeded).toBeCloseTo(0.6, 9);
        },
      ),
      { numRuns: 600 },
    );
    expect(Math.min(found.floor, found.ball, found.wall)).toBeGreaterThan(20);
  });
  test("on one leg asks that hip more than on two", () => {
    const [two, one] = [
      bridgePose(BODY, bridge()),
      bridgePose(BODY, bridge({ trail: { kind: "free", thighDeg: "inline", kneeFlexionDeg: 20 } })),
    ];
    if (!two.ok || !one.ok) throw new Error("no bridge");
    expect(one.lead.hipMomentNm).toBeGreaterThan(1.5 * two.lead.hipMomentNm);
  });
  test("pushing the feet away loads the quadriceps, dragging the heels the hamstrings", () => {
    const knee = (forceN: number): number => {
      const pose = bridgePose(BODY, bridge({ footDrag: { kind: "force", forceN } }));
      return pose.ok ? pose.lead.kneeMomentNm : NaN;
    };
    expect(knee(-60)).toBeGreaterThan(knee(0));
    expect(knee(60)).toBeLessThan(knee(0));
  });
  test("with hips on the floor, or feet out of reach, says so", () => {
    expect(bridgePose(BODY, bridge({ hipFlexionDeg: 70 }))).toMatchObject({ ok: false, reason: "hips-on-floor" });
    expect(bridgePose(BODY, bridge({ placed: { by: "separation", separationM: 3 } }))).toMatchObject({
      ok: false,
      reason: "bridge-unreachable",
    });
  });
});

describe("machines and levers", () => {
  test("a leg press asks in proportion to its sled once the leg's own weight is taken out", () => {
    const knee = (sledN: number): number => {
      const press = legPress(BODY, { ...LEG_PRESS_DEFAULTS, kneeFlexionDeg: 80, sledN, inclineDeg: 45 });
      return press.ok ? press.kneeMomentNm : NaN;
    };
    const own = knee(0);
    expect(knee(800) - own).toBeCloseTo(2 * (knee(400) - own), 9);
  });
  test("feet higher than the leg reaches are refused", () => {
    expect(legPress(BODY, { ...LEG_PRESS_DEFAULTS, kneeFlexionDeg: 80, sledN: 400, inclineDeg: 45, offsetM: 2 })).toEqual({
      ok: false,
      reason: "foot-unreachable",
    });
  });
  test("a straight leg weighs most held level, and nothing held upright", () => {
    expect(straightLegRaiseNm(BODY, 0)).toBeGreaterThan(straightLegRaiseNm(BODY, 40));
    expect(straightLegRaiseNm(BODY, 90)).toBeCloseTo(0, 9);
  });
  test("a stick in the opposite hand relieves the hip; in the same hand it does not", () => {
    const free = frontalHip(BODY).hipContactN;
    expect(frontalHip(BODY, 80, "opposite").hipContactN).toBeLessThan(free);
    expect(frontalHip(BODY, 80, "same").hipContactN).toBeGreaterThan(free);
  });
  test("a seated extension hangs free at a right angle", () => expect(kneeExtension(BODY, 90, 2).kneeMomentNm).toBeCloseTo(0, 9));
  test("a strap pulling the wrong way shows as negative tension", () =>
    expect(strapLean(BODY, 20, 0.95, 1.3, 180).tensionN).toBeLessThan(0));
});

describe("a band", () => {
  const table = {
    restM: 0.9,
    points: [
      { lengthM: 1.8, tensionN: 90 },
      { lengthM: 1.2, tensionN: 45 },
    ],
  };
  test("pulls nothing at rest, what was measured where it was, and a straight line between", () => {
    expect(bandTension(table, 0.8)).toEqual({ tensionN: 0, isExtrapolated: false });
    expect(bandTension(table, 1.2)).toEqual({ tensionN: 45, isExtrapolated: false });
    expect(bandTension(table, 1.5)).toEqual({ tensionN: 67.5, isExtrapolated: false });
  });
  test("past the last point goes on with its slope and says so", () => {
    expect(bandTension(table, 2)).toEqual({ tensionN: expect.closeTo(105, 9) as number, isExtrapolated: true });
  });
});

import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { bodyFromMeasure, type BodyMeasure } from "../body/body";
import { GRAVITY_MPS2 } from "../units";
import { legWeights } from "./joints";
import { prepareStanding } from "./prepared";
import { solveStanding, standingPose } from "./standing";
import { STANDING_DEFAULTS, type StandingPose, type StandingSetting, SHANK_RULES, type Arms } from "./standing.types";
import { sumMomentNm, type Force } from "./vector";

const measures: fc.Arbitrary<BodyMeasure> = fc.record({
  heightM: fc.double({ min: 1.45, max: 2, noNaN: true }),
  massKg: fc.double({ min: 45, max: 140, noNaN: true }),
  sex: fc.constantFrom("female" as const, "male" as const),
});
const arms: fc.Arbitrary<Arms> = fc.constantFrom<Arms>(
  { kind: "forward" },
  { kind: "crossed" },
  { kind: "goblet" },
  { kind: "hang", forwardM: 0 },
);
const settings: fc.Arbitrary<StandingSetting> = fc
  .record({
    kneeFlexionDeg: fc.double({ min: 5, max: 110, noNaN: true }),
    arms,
    loadKg: fc.double({ min: 0, max: 40, noNaN: true }),
    shareFraction: fc.double({ min: 0.3, max: 0.7, noNaN: true }),
  })
  .map(({ kneeFlexionDeg, arms: held, loadKg, shareFraction }) => ({
    ...STANDING_DEFAULTS,
    depth: { by: "knee-flexion", kneeFlexionDeg },
    arms: held,
    loads: [{ massKg: loadKg, at: "hands" }],
    leadShareFraction: shareFraction,
  }));

const found = (measure: BodyMeasure, setting: StandingSetting): StandingPose | null => {
  const pose = standingPose(bodyFromMeasure(measure), setting);
  return pose.ok ? pose : null;
};
const numbersIn = (value: unknown): number[] =>
  typeof value === "number" ? [value] : typeof value === "object" && value !== null ? Object.values(value).flatMap(numbersIn) : [];

describe("every pose found", () => {
  test("is in equilibrium to a billionth", () => {
    fc.assert(
      fc.property(measures, settings, (measure, setting) => {
        const pose = found(measure, setting);
        if (pose) expect(pose.residual).toBeLessThan(1e-9 * measure.massKg * GRAVITY_MPS2);
      }),
    );
  });

  test("has joint moments that the work of a small rotation confirms", () => {
    // Turning everything below the knee about it by a small angle: the work of the forces below is the moment times the angle.
    fc.assert(
      fc.property(measures, settings, (measure, setting) => {
        const pose = found(measure, setting);
        if (!pose) return;
        const body = bodyFromMeasure(measure);
        const [foot, shank] = legWeights(body, pose);
        const ground: Force = { at: pose.pressure, fxN: pose.lead.groundFxN, fyN: pose.lead.groundFyN };
        const turnRad = 1e-6;
        const workNm = [ground, foot, shank].reduce((sum, { at, fxN, fyN }) => {
          const [dx, dy] = [at[0] - pose.knee[0], at[1] - pose.knee[1]];
          const moved = [
            dx * Math.cos(turnRad) - dy * Math.sin(turnRad) - dx,
            dx * Math.sin(turnRad) + dy * Math.cos(turnRad) - dy,
          ] as const;
          return sum + fxN * moved[0] + fyN * moved[1];
        }, 0);
        expect(-workNm / turnRad).toBeCloseTo(pose.lead.kneeMomentNm, 2);
      }),
    );
  });

  test("has the hip moment of the whole upper body, seen from above", () => {
    fc.assert(
      fc.property(measures, settings, (measure, setting) => {
        const pose = found(measure, setting);
        if (!pose) return;
        const body = bodyFromMeasure(measure);
        const below: Force[] = [...legWeights(body, pose), { at: pose.pressure, fxN: pose.lead.groundFxN, fyN: pose.lead.groundFyN }];
        const trail: Force[] = [...legWeights(body, pose), { at: pose.pressure, fxN: pose.trail.groundFxN, fyN: pose.trail.groundFyN }];
        expect(sumMomentNm([...below, ...trail], pose.hip)).toBeCloseTo(pose.lead.hipMomentNm + pose.trail.hipMomentNm, 6);
      }),
    );
  });

  test("asks the sides the other way round when the share is", () => {
    fc.assert(
      fc.property(measures, settings, (measure, setting) => {
        const [one, other] = [found(measure, setting), found(measure, { ...setting, leadShareFraction: 1 - setting.leadShareFraction })];
        if (!one || !other) return;
        expect(one.lead.kneeMomentNm).toBeCloseTo(other.trail.kneeMomentNm, 9);
        expect(one.trail.hipMomentNm).toBeCloseTo(other.lead.hipMomentNm, 9);
      }),
    );
  });

  test("doubles its moments with twice the mass, at the same angles", () => {
    fc.assert(
      fc.property(measures, settings, (measure, setting) => {
        const unloaded = { ...setting, loads: [] };
        const [one, two] = [found(measure, unloaded), found({ ...measure, massKg: 2 * measure.massKg }, unloaded)];
        if (!one || !two) return;
        expect(two.trunkLeanDeg).toBeCloseTo(one.trunkLeanDeg, 8);
        expect(two.lead.kneeMomentNm).toBeCloseTo(2 * one.lead.kneeMomentNm, 8);
        expect(two.lowBackCompressionN).toBeCloseTo(2 * one.lowBackCompressionN, 6);
      }),
    );
  });
});

describe("support", () => {
  test("an upward hand force at kept shin and pressure point never raises the knee moment", () => {
    fc.assert(
      fc.property(measures, settings, fc.double({ min: 0, max: 150, noNaN: true }), (measure, setting, forceN) => {
        const held = { ...setting, assists: [{ at: "hands" as const, force: { kind: "components" as const, fxN: 0, fyN: forceN } }] };
        const [free, helped] = [found(measure, setting), found(measure, held)];
        if (free && helped && free.lead.kneeMomentNm > 0)
          expect(helped.lead.kneeMomentNm).toBeLessThanOrEqual(free.lead.kneeMomentNm + 1e-9);
      }),
    );
  });

  test("a higher seat never raises the knee moment under one posture rule", () => {
    fc.assert(
      fc.property(
        measures,
        fc.constantFrom("natural" as const, "overToes" as const),
        fc.double({ min: 0.22, max: 0.44, noNaN: true }),
        fc.double({ min: 0.005, max: 0.1, noNaN: true }),
        (measure, rule, seatShare, riseM) => {
          const seat = (seatHeightM: number): StandingSetting => ({
            ...STANDING_DEFAULTS,
            shankRule: SHANK_RULES[rule],
            depth: { by: "seat-height", seatHeightM },
          });
          const [low, high] = [
            found(measure, seat(seatShare * measure.heightM)),
            found(measure, seat(seatShare * measure.heightM + riseM)),
          ];
          if (low && high) expect(high.lead.kneeMomentNm).toBeLessThanOrEqual(low.lead.kneeMomentNm + 1e-9);
        },
      ),
    );
  });
});

describe("what cannot be", () => {
  test("absurd settings never give NaN and never throw", () => {
    const wild = fc.double({ min: -500, max: 500, noNaN: true });
    fc.assert(
      fc.property(
        measures,
        fc.record({
          knee: wild,
          seat: wild,
          wedge: fc.double({ min: -40, max: 40, noNaN: true }),
          heel: wild,
          dorsi: wild,
          kg: fc.double({ min: 0, max: 900, noNaN: true }),
          fx: wild,
          fy: wild,
          cop: fc.double({ min: -1, max: 2, noNaN: true }),
        }),
        fc.constantFrom<"trunk" | "shank" | "pressure" | "assist">("trunk", "shank", "pressure", "assist"),
        fc.boolean(),
        (measure, w, solve, bySeat) => {
          const pose = standingPose(bodyFromMeasure(measure), {
            ...STANDING_DEFAULTS,
            depth: bySeat ? { by: "seat-height", seatHeightM: w.seat } : { by: "knee-flexion", kneeFlexionDeg: w.knee },
            wedgeDeg: w.wedge,
            heelRaiseDeg: w.heel > 0 ? Math.min(w.heel, 80) : 0,
            dorsiflexionMaxDeg: w.dorsi,
            pressureFraction: w.cop,
            balance: solve === "trunk" ? { solve } : { solve, trunkLeanDeg: w.knee },
            loads: [{ massKg: w.kg, at: "hands" }],
            assists: [
              {
                at: "hands",
                force:
                  solve === "assist"
                    ? { kind: "angle", magnitudeN: null, directionDeg: w.fx }
                    : { kind: "components", fxN: w.fx, fyN: w.fy },
              },
            ],
          });
          if (pose.ok) for (const value of numbersIn(pose)) expect(Number.isFinite(value)).toBe(true);
          else expect(pose.reason).toMatch(/^[a-z-]+$/);
        },
      ),
      { numRuns: 2000 },
    );
  });

  const body = bodyFromMeasure({ heightM: 1.7, massKg: 70, sex: "female" });
  test.each<[string, Partial<StandingSetting>, string]>([
    ["a seat above the hip", { depth: { by: "seat-height", seatHeightM: 1.1 } }, "hip-height-unreachable"],
    ["a knee past its range", { depth: { by: "knee-flexion", kneeFlexionDeg: 170 } }, "knee-out-of-range"],
    ["an upright shin held deep", { depth: { by: "knee-flexion", kneeFlexionDeg: 80 }, shankRule: SHANK_RULES.vertical }, "falls-backward"],
    [
      "hands that carry the whole body",
      { assists: [{ at: "hands", force: { kind: "components", fxN: 0, fyN: 5000 } }], arms: { kind: "hang", forwardM: 0 } },
      "assist-overload",
    ],
    ["nothing to solve for", { balance: { solve: "assist", trunkLeanDeg: 20 } }, "no-assist-to-solve"],
    [
      "an assist without a size",
      { assists: [{ at: "hands", force: { kind: "angle", magnitudeN: null, directionDeg: 90 } }] },
      "assist-unspecified",
    ],
  ])("%s is refused with its reason", (_, setting, reason) => {
    const pose = standingPose(body, { ...STANDING_DEFAULTS, depth: { by: "knee-flexion", kneeFlexionDeg: 40 }, ...setting });
    expect(pose).toMatchObject({ ok: false, reason });
  });
});

describe("a prepared set-up", () => {
  test("solved from pose to pose says what each pose says alone", () => {
    fc.assert(
      fc.property(
        measures,
        settings,
        fc.array(fc.double({ min: 5, max: 110, noNaN: true }), { minLength: 2, maxLength: 5 }),
        (measure, setting, bends) => {
          const body = bodyFromMeasure(measure);
          const prepared = prepareStanding(body, setting);
          for (const kneeFlexionDeg of bends) {
            const depth = { by: "knee-flexion" as const, kneeFlexionDeg };
            const failure = solveStanding(prepared, depth);
            const alone = standingPose(body, { ...setting, depth });
            expect(failure).toBe(alone.ok ? null : alone.reason);
            if (!alone.ok) continue;
            expect(prepared.leadDemand).toEqual(alone.lead);
            expect(prepared.lowBack.compressionN).toBe(alone.lowBackCompressionN);
          }
        },
      ),
    );
  });
});

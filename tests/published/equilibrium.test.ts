import fc from "fast-check";
import { lusolve, matrix } from "mathjs";
import { describe, expect, test } from "vitest";
import { type Body, bodyFromMeasure } from "../../src/core/body/body";
import { BRIDGE_DEFAULTS, bridgePose } from "../../src/core/mechanics/bridge";
import { LEG_PRESS_DEFAULTS, legPress } from "../../src/core/mechanics/leg-press";
import { standingPose } from "../../src/core/mechanics/standing";
import {
  type LegDemand,
  type LegGeometry,
  STANDING_DEFAULTS,
  type StandingPose,
  type StandingSetting,
  type Trail,
} from "../../src/core/mechanics/standing.types";
import { legWeights } from "../../src/core/mechanics/joints";

/**
 * Reference: a general linear solver (mathjs) on the free-body equations of one leg, written out here and sharing no
 * formula with the core's sums. Three bodies, nine equations, nine unknowns: force and moment at ankle, knee and hip.
 * Tolerance 1e-6 Nm: elimination on a 9 by 9 system of values up to a thousand loses about ten digits of sixteen.
 */
type Row = number[];
interface Joint {
  at: readonly [number, number];
  column: number;
}

/** Force and moment balance of one segment, moments about the origin: what is known goes to the right. */
function segmentRows(
  known: readonly { at: readonly [number, number]; fxN: number; fyN: number }[],
  distal: Joint | null,
  proximal: Joint,
): { rows: Row[]; right: number[] } {
  const rows: Row[] = [new Array<number>(9).fill(0), new Array<number>(9).fill(0), new Array<number>(9).fill(0)];
  const add = ({ at: [x, y], column }: Joint, sign: 1 | -1): void => {
    const [fx, fy, moment] = rows as [Row, Row, Row];
    fx[column] = sign;
    fy[column + 1] = sign;
    moment[column] = -sign * y;
    moment[column + 1] = sign * x;
    moment[column + 2] = sign;
  };
  if (distal) add(distal, -1); // the distal segment is pushed back
  add(proximal, 1);
  const sum = (pick: (force: (typeof known)[number]) => number): number => -known.reduce((total, force) => total + pick(force), 0);
  return { rows, right: [sum(({ fxN }) => fxN), sum(({ fyN }) => fyN), sum(({ at: [x, y], fxN, fyN }) => x * fyN - y * fxN)] };
}

/** Moments at ankle, knee and hip of one leg by solving its nine equations at once. */
function solvedMomentsNm(
  body: Body,
  leg: LegGeometry,
  ground: { at: readonly [number, number]; fxN: number; fyN: number },
): [number, number, number] {
  const [foot, shank, thigh] = legWeights(body, leg);
  const ankle = { at: leg.ankle, column: 0 };
  const knee = { at: leg.knee, column: 3 };
  const hip = { at: leg.hip, column: 6 };
  const parts = [segmentRows([ground, foot], null, ankle), segmentRows([shank], ankle, knee), segmentRows([thigh], knee, hip)];
  const solution = lusolve(
    matrix(parts.flatMap(({ rows }) => rows)),
    parts.flatMap(({ right }) => right),
  ).toArray() as number[][];
  const moment = (row: number): number => solution[row]?.[0] ?? NaN;
  return [moment(2), moment(5), moment(8)];
}

const number = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const bodies = fc
  .record({ heightM: number(1.5, 1.95), massKg: number(50, 120), sex: fc.constantFrom("female" as const, "male" as const) })
  .map(bodyFromMeasure);
const trails: fc.Arbitrary<Trail> = fc.oneof(
  fc.constant<Trail>({ kind: "same" }),
  fc.record({
    kind: fc.constant("ground" as const),
    backM: number(0.1, 0.7),
    heelDeg: number(10, 45),
    levelM: fc.constant(0),
    pressureFraction: fc.constant(0.5),
  }),
  fc.record({ kind: fc.constant("free" as const), thighDeg: number(-20, 50), kneeFlexionDeg: number(0, 90) }),
);
const settings: fc.Arbitrary<StandingSetting> = fc
  .record({ knee: number(5, 105), trail: trails, share: number(0.2, 0.9), kg: number(0, 25), forceN: number(-80, 80) })
  .map(({ knee, trail, share, kg, forceN }) => ({
    ...STANDING_DEFAULTS,
    depth: { by: "knee-flexion", kneeFlexionDeg: knee },
    arms: { kind: "hang", forwardM: 0 },
    loads: [{ massKg: kg, at: "hands" }],
    leadShareFraction: share,
    trail,
    brace: { kind: "force", forceN },
  }));

function expectSolved(body: Body, pose: StandingPose): void {
  const lead = solvedMomentsNm(body, pose, { at: pose.pressure, fxN: pose.lead.groundFxN, fyN: pose.lead.groundFyN });
  const trail = solvedMomentsNm(body, pose.trailLeg, { at: pose.trailPressure, fxN: pose.trail.groundFxN, fyN: pose.trail.groundFyN });
  for (const [solved, demand] of [
    [lead, pose.lead],
    [trail, pose.trail],
  ] as const) {
    // a joint moment acts on the segment below it, so it is the external moment turned round
    expect(Math.abs(-solved[0] - demand.ankleMomentNm)).toBeLessThan(1e-6);
    expect(Math.abs(solved[1] - demand.kneeMomentNm)).toBeLessThan(1e-6);
    expect(Math.abs(-solved[2] - demand.hipMomentNm)).toBeLessThan(1e-6);
  }
}

describe("joint moments against a general linear solver", () => {
  test("agree in every pose found: level, split and on one leg", () => {
    const found = { same: 0, ground: 0, free: 0, reach: 0 };
    fc.assert(
      fc.property(bodies, settings, (body, setting) => {
        const pose = standingPose(body, setting);
        if (!pose.ok) return;
        found[setting.trail.kind]++;
        expectSolved(body, pose);
      }),
      { numRuns: 400 },
    );
    expect(Math.min(found.same, found.ground, found.free)).toBeGreaterThan(20);
  });
});

const rad = (deg: number): number => (deg * Math.PI) / 180;
/** Joint moments of one leg with the angles they act through, degrees. */
interface Turning {
  moments: Pick<LegDemand, "kneeMomentNm" | "hipMomentNm" | "ankleMomentNm">;
  kneeDeg: number;
  hipDeg: number;
  ankleDeg: number;
}
interface Instant {
  legs: Turning[];
  heightJ: number;
}
const turning = (leg: LegGeometry, moments: Turning["moments"], trunkLeanDeg: number): Turning => ({
  moments,
  kneeDeg: leg.kneeFlexionDeg,
  hipDeg: leg.thighLeanDeg + trunkLeanDeg,
  ankleDeg: leg.shankLeanDeg - leg.footPitchDeg,
});
const legsJ = (body: Body, ...legs: LegGeometry[]): number =>
  -legs.flatMap((leg) => legWeights(body, leg)).reduce((sum, { at: [, y], fyN }) => sum + y * fyN, 0);

/** What the joints take up over the movement, by the trapezoidal rule, against what gravity gives. */
function expectConserved(at: (x: number) => Instant, from: number, to: number): void {
  const steps = 400;
  let workJ = 0;
  for (let i = 0; i < steps; i++) {
    const [a, b] = [at(from + ((to - from) * i) / steps), at(from + ((to - from) * (i + 1)) / steps)];
    a.legs.forEach((before, k) => {
      const after = b.legs[k] as Turning;
      const mean = (key: keyof Turning["moments"]): number => (before.moments[key] + after.moments[key]) / 2;
      workJ += mean("kneeMomentNm") * rad(after.kneeDeg - before.kneeDeg);
      workJ += mean("hipMomentNm") * rad(after.hipDeg - before.hipDeg);
      workJ += mean("ankleMomentNm") * rad(after.ankleDeg - before.ankleDeg);
    });
  }
  const givenJ = at(from).heightJ - at(to).heightJ;
  expect(Math.abs(givenJ)).toBeGreaterThan(5);
  expect(Math.abs(workJ / givenJ - 1)).toBeLessThan(2e-4);
}

describe("whole-body work along a real movement", () => {
  // Reference: conservation of energy. Lowering slowly, what the joints take up is what gravity gives: the sum of moment
  // times change of angle over all joints equals the change of potential energy. It shares no formula with the moments.
  const body = bodyFromMeasure({ heightM: 1.72, massKg: 70, sex: "female" });

  function standingAt(setting: Partial<StandingSetting>, kneeFlexionDeg: number): Instant {
    const pose = standingPose(body, {
      ...STANDING_DEFAULTS,
      arms: { kind: "crossed" },
      ...setting,
      depth: { by: "knee-flexion", kneeFlexionDeg },
    });
    if (!pose.ok) throw new Error(pose.reason);
    const on = (upM: number): number => pose.hip[1] + upM * Math.cos(rad(pose.trunkLeanDeg));
    const handY = pose.shoulder[1] + body.armsComFraction * (pose.hand[1] - pose.shoulder[1]);
    const trunkJ = 9.81 * (body.pelvisKg * on(body.pelvisComM) + body.upperKg * on(body.upperComM) + body.armsKg * handY);
    const { trunkLeanDeg } = pose;
    return {
      legs: [turning(pose, pose.lead, trunkLeanDeg), turning(pose.trailLeg, pose.trail, trunkLeanDeg)],
      heightJ: legsJ(body, pose, pose.trailLeg) + trunkJ,
    };
  }
  const split: Partial<StandingSetting> = {
    shankRule: { kind: "linear", atStraightDeg: 0, perKneeDegree: 0.2 },
    leadShareFraction: 0.6,
    trail: { kind: "ground", backM: 0.6, heelDeg: 40, levelM: 0, pressureFraction: 0.5 },
  };
  test.each([
    { name: "level squat", setting: {}, from: 30, to: 90 },
    { name: "shallow squat", setting: {}, from: 10, to: 40 },
    { name: "split squat, feet only carrying", setting: split, from: 60, to: 85 },
    { name: "split squat, feet braced", setting: { ...split, brace: { kind: "force" as const, forceN: 40 } }, from: 60, to: 85 },
  ])("$name", ({ setting, from, to }) => expectConserved((x) => standingAt(setting, x), from, to));

  test.each([
    { name: "floor bridge", benchHeightM: 0, kneeTop: 90 },
    { name: "hip thrust off a bench", benchHeightM: 0.4, kneeTop: 95 },
  ])("$name", ({ benchHeightM, kneeTop }) =>
    expectConserved(
      (hipFlexionDeg) => {
        const placed = { by: "knee-at-top" as const, kneeFlexionDeg: kneeTop };
        const pose = bridgePose(body, { ...BRIDGE_DEFAULTS, hipFlexionDeg, placed, benchHeightM });
        if (!pose.ok) throw new Error(pose.reason);
        const on = (upM: number): number => pose.hip[1] + upM * Math.cos(rad(pose.trunkLeanDeg));
        const one = turning(pose, pose.lead, pose.trunkLeanDeg);
        const trunkJ = 9.81 * (body.pelvisKg * on(body.pelvisComM) + body.upperKg * on(body.upperComM)); // the arms rest
        return { legs: [one, one], heightJ: legsJ(body, pose, pose.trailLeg) + trunkJ };
      },
      2,
      24,
    ),
  );

  test("leg press: the sled's force over its travel, and the leg's own weight", () =>
    expectConserved(
      (kneeFlexionDeg) => {
        const inclineDeg = 45;
        const pose = legPress(body, { ...LEG_PRESS_DEFAULTS, kneeFlexionDeg, sledN: 700, inclineDeg, offsetM: 0.1 });
        if (!pose.ok) throw new Error(pose.reason);
        const weights = legWeights(body, pose);
        // in the plate's frame gravity is turned, and the plate stands while the seat comes to it: both forces act at the hip
        const turnedJ = (x: number, y: number, newton: number): number =>
          newton * (x * Math.cos(rad(inclineDeg)) - y * Math.sin(rad(inclineDeg)));
        const legJ = weights.reduce((sum, { at: [x, y], fyN }) => sum + turnedJ(x, y, -fyN), 0);
        const legN = weights.reduce((sum, { fyN }) => sum - fyN, 0);
        const hipJ = pose.plateN * pose.hip[1] - turnedJ(pose.hip[0], pose.hip[1], legN);
        return { legs: [turning(pose, pose, pose.hipFlexionDeg - pose.thighLeanDeg)], heightJ: legJ + hipJ };
      },
      30,
      90,
    ));
});

import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import { BODY, calmCeilings } from "../judge/fit.fixture";
import { DEFAULT_POSTURE } from "../mechanics/posture";
import { readingOf } from "../known";
import { type AnsweredDose, type CalmPose, type Ceiling, ceilingsFromCalmPose, currentCeilings, isProvisional } from "./ceiling";
import { LIMIT_BOUNDS } from "./limit";
import { BACK_ACTION_N, BACK_MOST_N, backRailN, railOf } from "./rails";
import { isBack, SITES, sideToWatch, strictestLimitScore, usualScoreOf } from "./complaint";

const WHO = { body: BODY, posture: DEFAULT_POSTURE };
const pose = (more: Partial<CalmPose> = {}): CalmPose => ({
  id: "c",
  day: "2026-10-01",
  side: "right",
  limitedBy: "knee",
  form: variationById("raised-sit-to-stand"),
  setting: { seatHeightM: 0.58 },
  shareFraction: null,
  ...more,
});
const valueOf = (calm: CalmPose): number => {
  const calibration = ceilingsFromCalmPose(WHO, calm);
  return calibration.ok ? (calibration.ceilings[0]?.value ?? NaN) : NaN;
};

describe("a calm pose", () => {
  test("sets a ceiling only on the channels and side that said stop", () => {
    expect(calmCeilings("hip", 0.58).map(({ channel, side }) => [channel, side])).toEqual([["hipMoment", "right"]]);
    expect(calmCeilings("kneecap", 0.58).map(({ channel, side }) => [channel, side])).toEqual([["kneecapStress", "right"]]);
    expect(calmCeilings("low-back", 0.58).map(({ channel, side }) => [channel, side])).toEqual([["lowBackCompression", "both"]]);
  });
  test("is told by the ceilings it set, and whether the weight was on scales", () => {
    const told = (calm: CalmPose): unknown[] => {
      const found = ceilingsFromCalmPose(WHO, calm);
      return found.ok ? found.ceilings.map(({ source, fromDay, isShareMeasured }) => [source, fromDay, isShareMeasured]) : [];
    };
    const source = { kind: "calm-pose", id: "c" };
    expect(told(pose())).toEqual([[source, "2026-10-01", false]]);
    expect(told(pose({ shareFraction: 0.5 }))).toEqual([[source, "2026-10-01", true]]);
  });
  test("of a back that bending hurts caps its lean as well, for nothing is allowed by force alone, and never a hip", () => {
    expect(calmCeilings("back-bend", 0.58).map(({ channel }) => channel)).toEqual(["lowBackCompression", "trunkLean"]);
  });
  test("past 90 degrees keeps the unit of its channel: deeper never lowers it", () => {
    const values = [0.58, 0.52, 0.46, 0.42].map((seatHeightM) => calmCeilings("kneecap", seatHeightM)[0]?.value ?? NaN);
    expect(values).toEqual(values.toSorted((a, b) => a - b));
  });
  test("without scales is taken at the lower plausible share, which gives the safer ceiling", () => {
    const [unknown, even, light] = [null, 0.5, 0.45].map((shareFraction) => valueOf(pose({ shareFraction })));
    expect(unknown).toBeCloseTo(light ?? NaN, 6);
    expect(unknown).toBeLessThan((even ?? NaN) * 0.95);
  });
  test("held by the hands is taken at the least it can have asked", () => {
    const held = pose({ form: variationById("box-squat-pole"), setting: { seatHeightM: 0.58, handForceN: 98 }, shareFraction: 0.5 });
    const free = pose({ form: variationById("box-squat-pole"), setting: { seatHeightM: 0.58, handForceN: 0 }, shareFraction: 0.5 });
    expect(valueOf(held)).toBeLessThan(valueOf(free));
  });
  test("that cannot be reached says so", () => {
    expect(ceilingsFromCalmPose(WHO, pose({ setting: { seatHeightM: 1.3 } }))).toEqual({
      ok: false,
      reason: "hip-height-unreachable",
      channel: null,
    });
  });
  test("that asks nothing of what hurt is refused, not kept as a ceiling of nothing", () => {
    const lying = pose({ form: variationById("floor-bridge"), limitedBy: "back-bend", setting: { hipFlexionDeg: 10, kneeAtTopDeg: 95 } });
    expect(ceilingsFromCalmPose(WHO, lying)).toMatchObject({ ok: false, reason: "nothing-asked", channel: "trunkLean" });
  });
});

test("a back is a low back, at rest or bending, and nothing else", () => {
  expect(new Set(SITES.filter(isBack))).toEqual(new Set(["low-back", "back-bend"]));
});

describe("several complaints", () => {
  const of = (side: "left" | "right" | "both", usualPainScore: number, painLimitScore: number) =>
    ({ id: side, site: "knee", side, words: "", usualPainScore, painLimitScore }) as const;
  test("are watched on the first side that one has", () => {
    expect(sideToWatch([of("both", 1, 3), of("left", 1, 3)])).toBe("left");
    expect(sideToWatch([])).toBe("right");
  });
  test("agree on the strictest number, never more than 3, and the usual pain of the worst", () => {
    expect(strictestLimitScore([of("left", 2, 3), of("right", 1, 2)])).toBe(2);
    expect(strictestLimitScore([of("left", 2, 5)])).toBe(3);
    expect(usualScoreOf([of("left", 2, 3), of("right", 1, 2)])).toBe(2);
  });
});

describe("guard rails", () => {
  test("rise to what is this client's own, never fall under the rail", () => {
    expect(railOf("two-feet", "trunkLean", {})).toBe(60);
    expect(railOf("two-feet", "trunkLean", { trunkLean: 66 })).toBe(66);
    expect(railOf("two-feet", "trunkLean", { trunkLean: 40 })).toBe(60);
    expect(railOf("hinge", "trunkLean", {})).toBe(Infinity);
    expect(railOf("hinge", "hipFlexion", {})).toBe(125);
    expect(railOf("two-feet", "kneeFlexion", {})).toBe(130);
  });
  test("of the back are 3,400 N with a reason for care, else 6,400 N", () => {
    expect([backRailN(["back"]), backRailN([])]).toEqual([BACK_ACTION_N, BACK_MOST_N]);
    expect([BACK_ACTION_N, BACK_MOST_N]).toEqual([3400, 6400]);
  });
  test("bounds of a limit are the right way round", () => {
    for (const { min, max } of Object.values(LIMIT_BOUNDS)) expect(min).toBeLessThan(max);
  });
});

const dose = (day: string, useFraction: number, answer: "calm" | "noticed" | "flare" | null): AnsweredDose => ({
  day,
  useFraction,
  response: readingOf(answer),
});
const CEILING = { value: 40, fromDay: "2026-10-01" };

describe("a ceiling", () => {
  test("is provisional until a dose at the calm pose was calm the next morning", () => {
    expect(isProvisional(CEILING, [])).toBe(true);
    expect(isProvisional(CEILING, [dose("2026-10-01", 1, null)])).toBe(true);
    expect(isProvisional(CEILING, [dose("2026-10-02", 0.7, "calm")])).toBe(true);
    expect(isProvisional(CEILING, [dose("2026-10-01", 1, "noticed")])).toBe(true);
    expect(isProvisional(CEILING, [dose("2026-09-01", 1, "calm")])).toBe(true);
    expect(isProvisional(CEILING, [dose("2026-10-01", 1, "calm")])).toBe(false);
    expect(isProvisional(CEILING, [dose("2026-10-02", 0.95, "calm")])).toBe(false);
    expect(isProvisional(CEILING, [dose("2026-10-02", 0.949, "calm")])).toBe(true);
  });
  test("is superseded by a later one of the same channel and side", () => {
    const [kneecap] = calmCeilings("kneecap", 0.58) as [Ceiling];
    const hip: Ceiling = { ...kneecap, id: "hip", channel: "hipMoment" };
    const raised: Ceiling = { ...kneecap, id: "raised", value: kneecap.value * 1.05, fromDay: "2026-11-01" };
    expect(
      currentCeilings([raised, kneecap, hip], "2026-11-26")
        .map(({ id }) => id)
        .sort(),
    ).toEqual(["hip", "raised"]);
    expect(currentCeilings([raised, kneecap], "2026-10-15").map(({ id }) => id)).toEqual(["ceiling-0"]);
    expect(currentCeilings([raised, kneecap], "2026-11-01").map(({ id }) => id)).toEqual(["raised"]);
    const left: Ceiling = { ...kneecap, id: "left", side: "left" };
    expect(currentCeilings([left, kneecap], "2026-10-15")).toHaveLength(2);
  });
});

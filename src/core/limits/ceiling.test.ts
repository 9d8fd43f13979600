import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import { BODY, calmCeilings } from "../fit/fit.fixture";
import { DEFAULT_POSTURE } from "../mechanics/posture";
import {
  type AnsweredDose,
  ASSUMED_SHARE_FRACTION,
  type Ceiling,
  ceilingsFromCalmPose,
  currentCeilings,
  isProvisional,
  proposedRaise,
} from "./ceiling";

describe("a calm pose", () => {
  test("sets a ceiling only on the channel and side that said stop", () => {
    expect(calmCeilings("hip", 0.58).map(({ channel, side }) => [channel, side])).toEqual([["hipMoment", "right"]]);
    expect(calmCeilings("low-back", 0.58).map(({ channel, side }) => [channel, side])).toEqual([["lowBackCompression", "both"]]);
  });
  test("of a kneecap keeps the knee's moment for deeper poses", () => {
    expect(calmCeilings("kneecap", 0.58).map(({ channel, standsInFor }) => [channel, standsInFor])).toEqual([
      ["kneecapStress", null],
      ["kneeMoment", "kneecapStress"],
    ]);
  });
  test("past 90 degrees has no kneecap ceiling at all, only the stand-in", () => {
    expect(calmCeilings("kneecap", 0.46).map(({ channel }) => channel)).toEqual(["kneeMoment"]);
  });
  test("without scales is taken at the lower plausible share, which gives the safer ceiling", () => {
    const pose = {
      id: "c",
      day: "2026-10-01",
      side: "right",
      limitedBy: "knee",
      variation: variationById("raised-sit-to-stand"),
      setting: { seatHeightM: 0.58 },
    } as const;
    const at = (shareFraction: number | null) => ceilingsFromCalmPose({ body: BODY, posture: DEFAULT_POSTURE }, { ...pose, shareFraction });
    const [assumed, even] = [at(null), at(0.5)];
    if (!assumed.ok || !even.ok) throw new Error("no pose");
    expect(assumed.shareFraction).toBe(ASSUMED_SHARE_FRACTION);
    expect(assumed.ceilings[0]?.value).toBeLessThan(even.ceilings[0]?.value ?? 0);
  });
  test("that cannot be reached says so", () => {
    const variation = variationById("raised-sit-to-stand");
    const calm = {
      id: "c",
      day: "2026-10-01",
      side: "right",
      limitedBy: "knee",
      variation,
      setting: { seatHeightM: 1.3 },
      shareFraction: null,
    } as const;
    expect(ceilingsFromCalmPose({ body: BODY, posture: DEFAULT_POSTURE }, calm)).toEqual({ ok: false, reason: "hip-height-unreachable" });
  });
});

const dose = (day: string, useFraction: number, response: AnsweredDose["response"]): AnsweredDose => ({ day, useFraction, response });
const CEILING = { value: 40, fromDay: "2026-10-01" };

describe("a ceiling", () => {
  test("is provisional until a dose at the calm pose was calm the next morning", () => {
    expect(isProvisional(CEILING, [])).toBe(true);
    expect(isProvisional(CEILING, [dose("2026-10-01", 1, null)])).toBe(true);
    expect(isProvisional(CEILING, [dose("2026-10-02", 0.7, "calm")])).toBe(true);
    expect(isProvisional(CEILING, [dose("2026-10-01", 1, "noticed")])).toBe(true);
    expect(isProvisional(CEILING, [dose("2026-09-01", 1, "calm")])).toBe(true);
    expect(isProvisional(CEILING, [dose("2026-10-01", 1, "calm")])).toBe(false);
  });
  test("is proposed 5 % higher after two calm mornings near it, and not otherwise", () => {
    const calm = [dose("2026-10-05", 0.96, "calm"), dose("2026-10-08", 0.97, "calm")];
    expect(proposedRaise(CEILING, calm)).toBeCloseTo(42);
    expect(proposedRaise(CEILING, calm.slice(1))).toBeNull();
    expect(proposedRaise(CEILING, [...calm, dose("2026-10-11", 0.96, "noticed")])).toBeNull();
    expect(proposedRaise(CEILING, [dose("2026-10-05", 0.94, "calm"), dose("2026-10-08", 0.97, "calm")])).toBeNull();
    expect(proposedRaise({ ...CEILING, fromDay: "2026-10-07" }, calm)).toBeNull();
  });
  test("is superseded by a later one of the same channel, side and role", () => {
    const [kneecap, standIn] = calmCeilings("kneecap", 0.58) as [Ceiling, Ceiling];
    const raised: Ceiling = { ...kneecap, id: "raised", value: kneecap.value * 1.05, fromDay: "2026-11-01" };
    expect(
      currentCeilings([raised, kneecap, standIn], "2026-11-26")
        .map(({ id }) => id)
        .sort(),
    ).toEqual(["ceiling-1", "raised"]);
    expect(currentCeilings([raised, kneecap], "2026-10-15").map(({ id }) => id)).toEqual(["ceiling-0"]);
  });
});

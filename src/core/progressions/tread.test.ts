import { describe, expect, test } from "vitest";
import type { Demand } from "../mechanics/channels";
import type { PostureRule } from "../mechanics/posture";
import { variationById } from "../catalogue/catalogue";
import type { Place } from "../judge/context";
import { contextWith, SUBJECT } from "../judge/fit.fixture";
import type { Judgement } from "../judge/judge";
import { headlineOf, solveLever } from "./solve";
import { byVariation, changesBetween, footAt, treadAfter, watchedOf, watchesOf } from "./tread";

const demand = (channel: Demand["channel"], head: number, side: Demand["side"] = "right"): Demand => ({
  channel,
  side,
  low: head,
  head,
  high: head,
  trust: "A",
});
const judgement = (demands: Demand[], tightest: Judgement["tightest"] = null): Judgement => ({
  ...footAt(contextWith(), { variationId: "raised-sit-to-stand", setting: { seatHeightM: 0.6 } }).judgement,
  demands,
  tightest,
});

describe("what risers are measured on", () => {
  test("is the knee's moment, then the hip's, then whatever load there is, without a ceiling", () => {
    const [knee, hip, back] = [demand("kneeMoment", 30), demand("hipMoment", 20), demand("lowBackCompression", 800, "both")];
    expect(watchesOf(judgement([hip, back, knee])).map(({ channel }) => channel)).toEqual(["kneeMoment", "hipMoment"]);
    expect(watchesOf(judgement([back, hip])).map(({ channel }) => channel)).toEqual(["hipMoment", "hipMoment"]);
    expect(watchesOf(judgement([back])).map(({ channel }) => channel)).toEqual(["lowBackCompression"]);
  });
  test("is never an angle, nor a load of nothing", () => {
    expect(watchesOf(judgement([demand("kneeFlexion", 80), demand("kneeMoment", 0), demand("hipMoment", -4)]))).toEqual([]);
    expect(watchedOf(judgement([]))).toBeNull();
  });
  test("is the tightest ceiling first, where it is asked anything", () => {
    const foot = footAt(contextWith(), { variationId: "raised-sit-to-stand", setting: { seatHeightM: 0.6 } }).judgement;
    expect(watchedOf(foot)?.channel).toBe(foot.tightest?.channel);
    const tightest = foot.tightest && { ...foot.tightest, demand: { ...foot.tightest.demand, head: 0 } };
    expect(watchedOf({ ...foot, tightest })?.channel).toBe("kneeMoment");
  });
});

describe("what differs between two settings", () => {
  test("is every lever that both have and that moved", () => {
    expect(changesBetween({ seatHeightM: 0.6, handForceN: 20 }, { seatHeightM: 0.55, handForceN: 20 })).toEqual([
      { lever: "seatHeightM", from: 0.6, to: 0.55 },
    ]);
    expect(changesBetween({ seatHeightM: 0.6 }, { seatHeightM: 0.6, handForceN: 20 })).toEqual([]);
    expect(changesBetween({ seatHeightM: 0.6, handForceN: 20 }, { seatHeightM: 0.6 })).toEqual([]);
  });
});

describe("between rows", () => {
  const below: Place = { variationId: "box-squat-pole", setting: { seatHeightM: 0.56, handForceN: 0, shareFraction: 0.5 } };
  const next: Place = { variationId: "raised-sit-to-stand", setting: { seatHeightM: 0.55, shareFraction: 0.5 } };
  const sizeWith = (posture: PostureRule): [string | null, number | null] => {
    const context = contextWith({ subject: { ...SUBJECT, posture } });
    const foot = footAt(context, below);
    const { size, riserFraction } = treadAfter(context, foot, next, byVariation(below.variationId), watchedOf(foot.judgement));
    return [size, riserFraction];
  };
  test("a small difference is none while the posture is assumed, and counts where it was measured at such a bend", () => {
    const [assumed, riser] = sizeWith(SUBJECT.posture);
    expect(assumed).toBe("about-the-same");
    expect(Math.abs(riser ?? NaN)).toBeLessThan(0.2);
    const measuredAt = (kneeFlexionDeg: number): PostureRule => ({
      kind: "measured",
      kneeFlexionDeg,
      shankLeanDeg: 24,
      pressureFraction: 0.5,
    });
    const bends = [30, 60, 70, 80, 90, 100, 110].map((kneeDeg) => sizeWith(measuredAt(kneeDeg))[0]);
    expect(bends.filter((size) => size !== "about-the-same").length).toBeGreaterThan(0);
    expect(bends[0]).toBe("about-the-same");
  });
});

test("a lever solved for a bend is read at the pose or along the movement, and never past what is asked", () => {
  const form = variationById("box-squat-pole");
  const range = { lever: "seatHeightM", min: 0.46, max: 0.7 } as const;
  for (const along of [true, false])
    for (const target of [60, 75, 90]) {
      const solution = solveLever(
        SUBJECT,
        form,
        { handForceN: 0, shareFraction: 0.5 },
        range,
        { channel: "kneeFlexion", side: "right" },
        target,
        0.02,
        along,
      );
      if (!solution.ok) throw new Error(solution.reason);
      expect(solution.x).toBeGreaterThan(range.min);
      expect(solution.snapped).toBeGreaterThanOrEqual(solution.x - 1e-9);
      expect((solution.snapped ?? NaN) - solution.x).toBeLessThan(0.02);
    }
});

test("a demand is read at its worst along the movement, or at the pose alone; NaN where the channel or the pose is none", () => {
  const bridge = variationById("floor-bridge");
  const hip = { channel: "hipFlexion", side: "right" } as const;
  const [along, atThePose] = [true, false].map((isAlong) => headlineOf(SUBJECT, bridge, { hipFlexionDeg: 10 }, hip, isAlong)) as [
    number,
    number,
  ];
  expect(along).toBeGreaterThan(atThePose + 10); // the hip is most bent where the bridge begins
  expect(headlineOf(SUBJECT, bridge, {}, { channel: "kneeFlexion", side: "both" }, true)).toBeNaN();
  expect(headlineOf(SUBJECT, variationById("raised-sit-to-stand"), { seatHeightM: 2 }, hip, true)).toBeNaN();
});

import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import type { Setting } from "../catalogue/variation";
import type { ChannelDemand, FitChannelId } from "../mechanics/channels";
import { DEFAULT_POSTURE } from "../mechanics/posture";
import { demandOf, standingSettingOf, type Subject } from "./demand";
import { BODY } from "./fit.fixture";

const SUBJECT: Subject = { body: BODY, posture: DEFAULT_POSTURE, leadSide: "right" };
const raised = variationById("raised-sit-to-stand");
const pole = variationById("box-squat-pole");
const counter = variationById("counter-held-mini-squat");

function channel(
  id: FitChannelId,
  side: ChannelDemand["side"],
  variation = raised,
  setting: Setting = { seatHeightM: 0.58 },
  subject = SUBJECT,
): ChannelDemand {
  const demand = demandOf(subject, variation, setting);
  if (!demand.ok) throw new Error(demand.reason);
  const found = demand.channels.find((d) => d.channel === id && d.side === side);
  if (!found) throw new Error(`no ${id} ${side}`);
  return found;
}

describe("demand by side", () => {
  test("is even on even feet", () => {
    const setting = { seatHeightM: 0.58, shareFraction: 0.5 };
    expect(channel("kneeMoment", "left", raised, setting).head).toBeCloseTo(channel("kneeMoment", "right", raised, setting).head, 9);
  });
  test("follows the share: the watched leg carries its part, the other the rest", () => {
    const setting = { seatHeightM: 0.58, shareFraction: 0.4 };
    expect(channel("kneeMoment", "right", raised, setting).head).toBeLessThan(channel("kneeMoment", "left", raised, setting).head);
  });
  test("changes hands with the side that is watched", () => {
    const setting = { seatHeightM: 0.58, shareFraction: 0.4 };
    const left: Subject = { ...SUBJECT, leadSide: "left" };
    expect(channel("hipMoment", "left", raised, setting, left).head).toBeCloseTo(channel("hipMoment", "right", raised, setting).head, 9);
  });
  test("of the low back has no side", () => {
    const demand = demandOf(SUBJECT, raised, { seatHeightM: 0.58 });
    expect(demand.ok && demand.channels.filter(({ channel: id }) => id === "lowBackCompression").map(({ side }) => side)).toEqual(["both"]);
  });
});

describe("hand support", () => {
  const held = { seatHeightM: 0.58, handForceN: 90, shareFraction: 0.5 };
  test("is a range, with keep shin as the headline and its good end", () => {
    const { low, head, high } = channel("kneeMoment", "right", pole, held);
    expect(low).toBeLessThanOrEqual(head);
    expect(head).toBeLessThan(high);
  });
  test("takes weight off the knee at its headline", () => {
    const free = channel("kneeMoment", "right", pole, { ...held, handForceN: 0 });
    expect(free.low).toBe(free.high);
    expect(channel("kneeMoment", "right", pole, held).head).toBeLessThan(free.head);
  });
  test("takes more with more force", () => {
    const heads = [0, 30, 60, 90, 120].map((handForceN) => channel("kneeMoment", "right", pole, { ...held, handForceN }).head);
    expect(heads).toEqual([...heads].sort((a, b) => b - a));
  });
  test("straight up is straight up in the model's own setting, and a rail pulls forward too", () => {
    const up = standingSettingOf(SUBJECT, pole, held).assists[0];
    expect(up).toEqual({ at: "hands", force: { kind: "angle", magnitudeN: 90, directionDeg: 90 } });
    const rail = {
      ...pole,
      template: { ...pole.template, support: { kind: "rail", aheadOfToesM: 0.15, heightM: 0.9, directionDeg: 60 } as const },
    };
    const demand = demandOf(SUBJECT, rail, held);
    expect(demand.ok && demand.pose.lead.groundFxN).toBeLessThan(0);
  });
});

describe("trust", () => {
  const measured = { kind: "measured", kneeFlexionDeg: 83, shankLeanDeg: 26, pressureFraction: 0.5 } as const;
  const knows: Subject = { ...SUBJECT, posture: measured };
  test("of a knee moment is better with a measured shin", () => {
    expect(channel("kneeMoment", "right").trust).toBe("B");
    expect(channel("kneeMoment", "right", raised, { seatHeightM: 0.58 }, knows).trust).toBe("A-");
  });
  test("falls away from the measured depth", () => {
    expect(channel("kneeMoment", "right", raised, { seatHeightM: 0.72 }, knows).trust).toBe("B");
  });
  test("of the kneecap is never better than an estimate, and past 90 degrees it is refused", () => {
    expect(channel("kneecapStress", "right", raised, { seatHeightM: 0.58 }, knows).trust).toBe("B");
    expect(channel("kneecapStress", "right").refused).toBeUndefined();
    expect(channel("kneecapStress", "right", raised, { seatHeightM: 0.46 }).refused).toBe("kneecap-past-90");
  });
  test("of knee bend is geometry", () => expect(channel("kneeFlexion", "right").trust).toBe("A"));
  test("with a hand force is an estimate, and rough where the hold is far ahead", () => {
    const held = { kneeFlexionDeg: 50, handForceN: 60, shareFraction: 0.5 };
    expect(channel("kneeMoment", "right", counter, held, knows).trust).toBe("B");
    const far = {
      ...counter,
      template: { ...counter.template, support: { kind: "counter", aheadOfToesM: 0.4, heightM: 0.9, directionDeg: 90 } as const },
    };
    expect(channel("kneeMoment", "right", far, held, knows).trust).toBe("C");
  });
});

describe("load", () => {
  const goblet = variationById("goblet-to-box");
  const bar = variationById("bar-on-back");
  test("in front lets the trunk stay more upright than on the back", () => {
    const trunk = (variation: typeof goblet): number => {
      const demand = demandOf(SUBJECT, variation, { seatHeightM: 0.54, loadKg: 20, shareFraction: 0.5 });
      return demand.ok ? demand.pose.trunkLeanDeg : NaN;
    };
    expect(trunk(goblet)).toBeLessThan(trunk(bar));
  });
  test("raises what every joint is asked", () => {
    for (const id of ["kneeMoment", "hipMoment"] as const) {
      const [light, heavy] = [4, 24].map((loadKg) => channel(id, "right", goblet, { seatHeightM: 0.54, loadKg, shareFraction: 0.5 }).head);
      expect(heavy).toBeGreaterThan(light ?? Infinity);
    }
  });
});

test("a seat out of reach is a reason, not a number", () => {
  expect(demandOf(SUBJECT, raised, { seatHeightM: 1.4 })).toEqual({ ok: false, reason: "hip-height-unreachable" });
});

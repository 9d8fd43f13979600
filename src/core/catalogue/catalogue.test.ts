import { describe, expect, test } from "vitest";
import { BODY } from "../fit/fit.fixture";
import { demandOf } from "../fit/demand";
import { DEFAULT_POSTURE } from "../mechanics/posture";
import { CATALOGUE, variationById } from "./catalogue";
import { isSettingOf, startSetting } from "./variation";

describe.each(CATALOGUE.map((variation) => ({ id: variation.id, variation })))("$id", ({ variation }) => {
  test("has neighbours that exist and point back", () => {
    for (const id of variation.harder) expect(variationById(id).easier).toContain(variation.id);
    for (const id of variation.easier) expect(variationById(id).harder).toContain(variation.id);
  });
  test("starts inside its ranges", () => {
    for (const { min, max, start } of variation.levers) expect(start >= min && start <= max).toBe(true);
    expect(isSettingOf(variation, startSetting(variation))).toBe(true);
  });
  test("has words for the floor: set-up, cues, and faults with cause and response", () => {
    expect(variation.setUp.length).toBeGreaterThan(20);
    expect(variation.cues.length).toBeGreaterThan(1);
    expect(new Set(variation.faults.map(({ id }) => id)).size).toBe(variation.faults.length);
    for (const { cause, response } of variation.faults) expect(cause && response).toBeTruthy();
  });
  test("can be stood in as it starts", () => {
    expect(demandOf({ body: BODY, posture: DEFAULT_POSTURE, leadSide: "right" }, variation, startSetting(variation))).toMatchObject({
      ok: true,
    });
  });
});

test("ids are unique, and an unknown one is a mistake of ours", () => {
  expect(new Set(CATALOGUE.map(({ id }) => id)).size).toBe(CATALOGUE.length);
  expect(() => variationById("handstand")).toThrow(RangeError);
});

test("a lever of another variation, or one out of range, is no setting of this one", () => {
  const raised = variationById("raised-sit-to-stand");
  expect(isSettingOf(raised, { seatHeightM: 0.6, handForceN: 50 })).toBe(false);
  expect(isSettingOf(raised, { seatHeightM: 0.3 })).toBe(false);
});

test("a slow squat peaks at its deepest pose, within 3 %, for every channel a ceiling can be on", () => {
  for (const variation of CATALOGUE) {
    const lever = variation.levers[0];
    const subject = { body: BODY, posture: DEFAULT_POSTURE, leadSide: "right" as const };
    const deepest = demandOf(subject, variation, startSetting(variation));
    if (!deepest.ok || lever?.lever !== "seatHeightM") continue;
    for (const riseM of [0.03, 0.06, 0.1, 0.14]) {
      const higher = demandOf(subject, variation, { ...startSetting(variation), [lever.lever]: lever.start + riseM });
      if (!higher.ok) continue;
      deepest.channels.forEach(({ head, channel, side }, i) => {
        if (channel === "kneeFlexion" || channel === "shankLean") return;
        expect(higher.channels[i]?.head, `${variation.id} ${channel} ${side} ${riseM} m up`).toBeLessThanOrEqual(head * 1.03);
      });
    }
  }
});

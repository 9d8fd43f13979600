import { describe, expect, test } from "vitest";
import { bodyFromMeasure } from "../body/body";
import { postureFromCalmPose, postureTrust, shankRuleOf } from "./posture";
import { standingPose } from "./standing";
import { STANDING_DEFAULTS, type StandingSetting } from "./standing.types";

const body = bodyFromMeasure({ heightM: 1.68, massKg: 74, sex: "female" });
const seat: StandingSetting = { ...STANDING_DEFAULTS, depth: { by: "seat-height", seatHeightM: 0.58 } };

describe("a measured calm pose", () => {
  test("becomes a rule that goes through it", () => {
    const measured = postureFromCalmPose(body, seat, { shankLeanDeg: 26, trunkLeanDeg: null });
    if (!measured.ok || measured.rule.kind !== "measured") throw new Error("not measured");
    const again = standingPose(body, { ...seat, shankRule: shankRuleOf(measured.rule) });
    expect(again).toMatchObject({
      ok: true,
      shankLeanDeg: expect.closeTo(26, 6),
      kneeFlexionDeg: expect.closeTo(measured.rule.kneeFlexionDeg, 6),
    });
  });

  test("keeps the pressure point that its trunk lean implies", () => {
    const free = standingPose(body, { ...seat, shankRule: { kind: "fixed", shankLeanDeg: 26 }, pressureFraction: 0.42 });
    if (!free.ok) throw new Error(free.reason);
    const measured = postureFromCalmPose(body, seat, { shankLeanDeg: 26, trunkLeanDeg: free.trunkLeanDeg });
    expect(measured).toMatchObject({ ok: true, rule: { pressureFraction: expect.closeTo(0.42, 6) } });
  });

  test("asks to measure again when the weight would be off the foot", () => {
    expect(postureFromCalmPose(body, seat, { shankLeanDeg: 40, trunkLeanDeg: 75 })).toEqual({ ok: false, reason: "measure-again" });
  });

  test("says when the seat is out of reach", () => {
    const high: StandingSetting = { ...seat, depth: { by: "seat-height", seatHeightM: 1.2 } };
    expect(postureFromCalmPose(body, high, { shankLeanDeg: 20, trunkLeanDeg: null })).toEqual({ ok: false, reason: "seat-out-of-reach" });
  });
});

test("trust falls with distance from the measured pose, and with an assumed rule", () => {
  const rule = { kind: "measured", kneeFlexionDeg: 80, shankLeanDeg: 26, pressureFraction: 0.5 } as const;
  expect(postureTrust(rule, 94)).toBe("A-");
  expect(postureTrust(rule, 96)).toBe("B");
  expect(postureTrust({ kind: "named", name: "natural" }, 80)).toBe("B");
});

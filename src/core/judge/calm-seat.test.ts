import { describe, expect, test } from "vitest";
import { calmSeatRow } from "../catalogue/calm-seat";
import { variationById } from "../catalogue/catalogue";
import { kneeAtSeatDeg } from "../templates/seat";
import { firstSeatM, seatRefusal } from "./calm-seat";
import { calmCeilings, contextWith, kneeLimit, limit, SUBJECT } from "./fit.fixture";
import { BREATHE_OUT, cuesFor } from "./cues";
import { judge } from "./judge";
import { fitVariation } from "../progressions/search";

const TODAY = "2026-11-26";

describe("a calm seat", () => {
  test("is looked for inside the limits of both legs, whichever is watched", () => {
    const low = 0.46;
    expect(seatRefusal(SUBJECT, [], low, TODAY)).toBeNull();
    for (const side of ["left", "right", "both"] as const)
      expect([side, seatRefusal(SUBJECT, [kneeLimit(80, { side })], low, TODAY)?.code]).toEqual([side, "over-limit"]);
    expect(seatRefusal(SUBJECT, [kneeLimit(80, { side: "left" })], 0.64, TODAY)).toBeNull();
    expect(seatRefusal(SUBJECT, [limit({ kind: "room", leastDeg: 110 }, { side: "both" })], low, TODAY)?.code).toBe("room-short");
    expect(seatRefusal(SUBJECT, [], 3, TODAY)?.code).toBe("pose-impossible");
  });
  test("begins high, and higher under a limit", () => {
    expect(kneeAtSeatDeg(SUBJECT, firstSeatM(SUBJECT, [], TODAY))).toBeCloseTo(55, -1);
    const under = firstSeatM(SUBJECT, [kneeLimit(60, { side: "left" })], TODAY);
    expect(under).toBeGreaterThan(firstSeatM(SUBJECT, [], TODAY));
    expect(seatRefusal(SUBJECT, [kneeLimit(60, { side: "left" })], under, TODAY)).toBeNull();
  });
  test("that was weighed is never closed to her: Fit holds it against the share that set its ceiling", () => {
    const share = 0.38; // the sore leg is spared
    const seat = 0.58;
    const row = variationById(calmSeatRow(SUBJECT, seat));
    const ceilings = calmCeilings("kneecap", seat).map((ceiling) => ({ ...ceiling, value: (ceiling.value * share) / 0.5 }));
    const fitted = fitVariation(contextWith({ ceilings, ownShare: { right: share, left: 1 - share }, targetUseFraction: 1 }), row, {
      seatHeightM: seat,
    });
    expect(fitted.setting.shareFraction).toBe(share);
    expect(fitted.state).not.toBe("closed");
    const context = contextWith({ ceilings });
    expect(judge(context, row, { seatHeightM: seat, shareFraction: share }).state).toBe("open");
    expect(judge(context, row, { seatHeightM: seat }).tightest?.head).toBeGreaterThan(1.2); // nobody weighed: over it
  });
});

test("where breath must not be held it is said first, and a long hold is closed while a short one stays", () => {
  const breath = limit({ kind: "never", what: "breath-holding" }, { side: "both" });
  const wall = variationById("wall-sit-hold");
  expect(cuesFor(contextWith({ limits: [breath] }), wall)[0]).toBe(BREATHE_OUT);
  expect(cuesFor(contextWith(), wall)[0]).not.toBe(BREATHE_OUT);
  const at = (setS: number) =>
    judge(contextWith({ limits: [breath] }), wall, { kneeFlexionDeg: 40, shankLeanDeg: 0, trunkKeptDeg: 0, setS }).reasons.some(
      ({ code }) => code === "never",
    );
  expect([at(20), at(60)]).toEqual([false, true]);
});

import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import { STUDIES } from "../catalogue/studies.data";
import { SUBJECT } from "../judge/fit.fixture";
import { GRAVITY_MPS2, nFromKgf } from "../units";
import type { Demand, NumberChannelId } from "../mechanics/channels";
import { ask, AT_THE_POSE, demandOn, HEADLINE, WHOLE } from "./ask";
import { type Form, startSetting } from "./form";
import type { Setting } from "./lever";
import type { Subject } from "./template";

const form = (id: string): Form => STUDIES.find((study) => study.id === id) ?? variationById(id);
function on(
  id: string,
  channel: NumberChannelId,
  side: Demand["side"],
  more: Setting = {},
  subject: Subject = SUBJECT,
  wanted = WHOLE,
): Demand {
  const asked = ask(subject, form(id), { ...startSetting(subject, form(id)), ...more }, wanted);
  const found = demandOn(asked, channel, side);
  if (!found.isKnown) throw new Error(asked.ok ? `${id} has no ${channel} ${side}` : asked.reason);
  return found.value;
}
const MEASURED: Subject = { ...SUBJECT, posture: { kind: "measured", kneeFlexionDeg: 83, shankLeanDeg: 26, pressureFraction: 0.5 } };

describe("trust", () => {
  const seat = { seatHeightM: 0.58, shareFraction: 0.5 };
  test("of a knee moment is better with a measured shin, and falls away from the measured depth", () => {
    expect(on("raised-sit-to-stand", "kneeMoment", "right", seat).trust).toBe("B");
    expect(on("raised-sit-to-stand", "kneeMoment", "right", seat, MEASURED).trust).toBe("A-");
    expect(on("raised-sit-to-stand", "kneeMoment", "right", { ...seat, seatHeightM: 0.72 }, MEASURED).trust).toBe("B");
  });
  test("with a hand that pushes is an estimate at best, and of a kneecap always", () => {
    expect(on("box-squat-pole", "kneeMoment", "right", { ...seat, handForceN: 0 }, MEASURED).trust).toBe("A-");
    expect(on("box-squat-pole", "kneeMoment", "right", { ...seat, handForceN: nFromKgf(6) }, MEASURED).trust).toBe("B");
    expect(on("raised-sit-to-stand", "kneecapStress", "right", seat, MEASURED).trust).toBe("B");
    expect(on("raised-sit-to-stand", "kneecapStress", "right", { ...seat, seatHeightM: 0.46 }).refused).toBe("kneecap-past-90");
  });
  test("of knee bend is geometry", () => expect(on("raised-sit-to-stand", "kneeFlexion", "right", seat).trust).toBe("A"));
});

describe("what is not known is a range", () => {
  test("a hand's help: the trunk may be kept, or the pose; more force takes more off", () => {
    const at = (kg: number) =>
      on("box-squat-pole", "kneeMoment", "right", { seatHeightM: 0.58, handForceN: nFromKgf(kg), shareFraction: 0.5 });
    expect(at(0).low).toBeCloseTo(at(0).high, 9);
    expect(at(8).high).toBeGreaterThan(at(8).low * 1.05);
    const heads = [0, 4, 8, 12].map((kg) => at(kg).head);
    expect(heads).toEqual(heads.toSorted((a, b) => b - a));
  });
  test("how two feet brace against each other in a split stance: both ways bound the headline", () => {
    const { low, head, high } = on("split", "kneeMoment", "right");
    expect(low).toBeLessThan(head + 1e-9);
    expect(high).toBeGreaterThan(low * 1.05);
  });
  test("hands on one leg's hinge", () => {
    const at = (kg: number) => on("hinge-single", "hipMoment", "right", { handForceN: nFromKgf(kg) });
    expect(at(0).low).toBeCloseTo(at(0).high, 9);
    expect(at(6).high).toBeGreaterThan(at(6).low * 1.02);
  });
  test("how hard the lower foot pushes on a climb: 65, 80 and all of it on the upper leg", () => {
    const { low, head, high } = on("step-up-rail", "legWeight", "right", { stepHeightM: 0.15, handForceN: 0, loadKg: 0 });
    expect([low, head, high].map((value) => Math.round(value * 100))).toEqual([65, 80, 100]);
  });
});

describe("channels", () => {
  test("of load: what hangs and what lies on the back goes through the spine, what the hands push down comes off it", () => {
    const held = on("goblet-to-box", "spineLoad", "both", { seatHeightM: 0.6, loadKg: 10, shareFraction: 0.5 });
    expect(held.head).toBeCloseTo(10 * GRAVITY_MPS2, 6);
    expect(on("goblet-to-box", "handWeight", "both", { seatHeightM: 0.6, loadKg: 10 }).head).toBeCloseTo(10 * GRAVITY_MPS2, 6);
    expect(on("bar-on-back", "handWeight", "both", { seatHeightM: 0.6, loadKg: 20 }).head).toBeCloseTo(0, 6);
    expect(on("box-squat-pole", "spineLoad", "both", { seatHeightM: 0.6, handForceN: 60 }).head).toBe(0);
  });
  test("of weight on a leg: two even legs carry half a body each, one leg all of it", () => {
    expect(on("squat", "legWeight", "right", { shareFraction: 0.5 }).head).toBeCloseTo(0.5, 3);
    expect(on("single-leg", "legWeight", "right").head).toBeCloseTo(1, 2);
    expect(on("single-leg", "legWeight", "left").head).toBeCloseTo(0, 6);
  });
  test("of the rear leg are read like the front, on its own side", () => {
    const [front, rear] = [on("split", "kneeFlexion", "right"), on("split", "kneeFlexion", "left")];
    expect(rear.head).toBeGreaterThan(10);
    expect(rear.head).not.toBeCloseTo(front.head, 0);
  });
  test("of the working leg follow it to the other side", () => {
    const left: Subject = { ...SUBJECT, leadSide: "left" };
    expect(on("step-up-rail", "kneeMoment", "left", {}, left).head).toBeCloseTo(on("step-up-rail", "kneeMoment", "right").head, 9);
  });
});

describe("along the movement", () => {
  test("the most is never less than at the end, and more where the way there asks more", () => {
    const hips = (wanted: typeof WHOLE) => on("floor-bridge", "hipFlexion", "right", {}, SUBJECT, wanted).head;
    expect(hips(HEADLINE)).toBeGreaterThan(hips({ ...AT_THE_POSE, range: false }) + 5);
  });
  test("only the channels asked for are read", () => {
    const asked = ask(SUBJECT, form("squat"), startSetting(SUBJECT, form("squat")), { ...WHOLE, channels: ["kneeMoment"] });
    expect(asked.ok && new Set(asked.demands.map(({ channel }) => channel))).toEqual(new Set(["kneeMoment"]));
  });
});

describe("impossible poses", () => {
  const reason = (id: string, more: Setting): string | true => {
    const asked = ask(SUBJECT, form(id), { ...startSetting(SUBJECT, form(id)), ...more }, AT_THE_POSE);
    return asked.ok || asked.reason;
  };
  test("say why", () => {
    expect(reason("raised-sit-to-stand", { seatHeightM: 1.4 })).toBe("hip-height-unreachable");
    expect(reason("squat", { kneeFlexionDeg: 60 })).toBe(true);
  });
  test("no knee is told past what a knee does, in any bridge on a ball or a wall", () => {
    let told = 0;
    for (const id of ["bridge-ball", "bridge-wall", "bridge", "leg-press"])
      for (let hipFlexionDeg = -10; hipFlexionDeg <= 60; hipFlexionDeg += 5)
        for (const more of [{ hipFlexionDeg }, { hipFlexionDeg, kneeAtTopDeg: 150 }, { kneeFlexionDeg: hipFlexionDeg * 3 }]) {
          const asked = ask(SUBJECT, form(id), { ...startSetting(SUBJECT, form(id)), ...more }, AT_THE_POSE);
          for (const { head } of asked.ok ? asked.demands.filter(({ channel }) => channel === "kneeFlexion") : []) {
            told++;
            expect(head).toBeGreaterThanOrEqual(-5);
            expect(head).toBeLessThanOrEqual(155);
          }
        }
    expect(told).toBeGreaterThan(60);
  });
});

import { describe, expect, test } from "vitest";
import { variationByCode } from "../../catalogue/catalogue";
import { nFromKgf } from "../../units";
import { fitContextOf } from "../standing/context";
import { supportStanding, turnAfter } from "./long-run";
import type { ClientRecord, RungFact } from "../facts/record";
import { answer, doneSession, plan, record, rung } from "../facts/record.fixture";

const MASS_KG = 74;
const held = (id: string, day: string, kg: number) =>
  rung(id, { day, variationId: "box-squat-pole", setting: { seatHeightM: 0.6, handForceN: nFromKgf(kg), shareFraction: 0.5 } });

describe("support given back week by week", () => {
  const rungs = [held("a", "2026-08-03", 10), held("b", "2026-08-10", 20), held("c", "2026-08-31", 18)];
  const on = (today: string, responses = [answer(null, "2026-08-04")]) =>
    supportStanding(record({ rungs, responses }), rungs[2]!, MASS_KG, today);

  test("is counted from where it last rose, and kept up with in its first weeks", () => {
    // 20 kg of 74 in five parts of 4: 20, 16, 12, 8, 4, none
    expect(supportStanding(record({ rungs }), rungs[1]!, MASS_KG, "2026-08-12")).toBeNull();
    expect(on("2026-08-31")).toMatchObject({ lever: "handForceN", weeks: 4 });
    expect(on("2026-08-31")?.nowFraction).toBeCloseTo(18 / 74, 6);
    expect(on("2026-08-31")?.dueFraction).toBeCloseTo(8 / 74, 6);
    expect(on("2026-10-12")?.dueFraction).toBe(0);
  });
  test("is let be while it is behind by no more than two parts in a hundred of the body", () => {
    const light = [held("a", "2026-08-10", 20), held("b", "2026-08-31", 8 + 0.019 * MASS_KG), held("c", "2026-08-31", 8 + 0.021 * MASS_KG)];
    const at = (i: number) => supportStanding(record({ rungs: light.slice(0, 1).concat(light[i]!) }), light[i]!, MASS_KG, "2026-08-31");
    expect(at(1)).toBeNull();
    expect(at(2)?.nowFraction).toBeCloseTo((8 + 0.021 * MASS_KG) / MASS_KG, 6);
  });
  test("waits for a week that hurt", () => {
    const hurt = [answer(null, "2026-08-04"), answer(null, "2026-08-19", { class: "noticed" })];
    expect(on("2026-08-31", hurt)?.dueFraction).toBeCloseTo(12 / 74, 6);
  });
  test("is the largest of several, in newtons alone, and follows its own line by day", () => {
    const both = (id: string, day: string, more: Partial<RungFact> = {}) =>
      rung(id, {
        day,
        variationId: "box-squat-pole",
        setting: { seatHeightM: 0.6, strapForceN: nFromKgf(4), handForceN: nFromKgf(20), stickForceN: nFromKgf(9) },
        ...more,
      });
    const today = "2026-08-31";
    const now = both("b", "2026-08-10");
    expect(supportStanding(record({ rungs: [now] }), now, MASS_KG, today)).toMatchObject({ lever: "handForceN" });
    const seat = rung("seat", { day: "2026-08-03", setting: { seatHeightM: 0.9 } });
    expect(supportStanding(record({ rungs: [seat] }), seat, MASS_KG, today)).toBeNull(); // a seat is no newton
    // whatever order the rungs are kept in, and whatever another line or a later day held
    const earlier = held("a", "2026-08-03", 30);
    const other = held("other", "2026-08-05", 5);
    const later = held("later", "2026-09-20", 40);
    const of = (rungs: RungFact[]) => supportStanding(record({ rungs }), held("b", "2026-08-10", 20), MASS_KG, today)?.weeks;
    const own = held("b", "2026-08-10", 20);
    expect(of([earlier, own])).toBe(5);
    expect(of([own, earlier])).toBe(5);
    expect(of([earlier, { ...other, line: "elsewhere" }, own])).toBe(5);
    expect(of([earlier, other, own])).toBe(4);
    expect(of([earlier, own, later])).toBe(5);
  });
  test("is nothing where nothing is held", () => {
    expect(supportStanding(record(), rung("rung-1"), MASS_KG, "2026-10-12")).toBeNull();
  });
});

describe("a row that takes turns", () => {
  const L12 = variationByCode("L12")!;
  const step = rung("step", { pattern: "step", variationId: L12.id, setting: { stepHeightM: 0.08 } });
  const of = record({
    rungs: [step],
    prescriptions: [plan("steps", step.id, { dose: L12.dose })],
    sessions: [
      doneSession("s1", "2026-08-03", { prescriptionId: "steps" }),
      doneSession("s2", "2026-08-10", { prescriptionId: "steps", sets: [] }),
    ],
  });
  const after = (today: string) => turnAfter(of, fitContextOf(of, today)!, step, L12.dose, today);

  test("is over after six whole weeks from the day it was first trained, not before", () => {
    expect(after("2026-09-13")).toBeNull();
    expect(after("2026-09-14")).toEqual({ weeks: 6, step: null }); // this knee has nothing of the next yet
    expect(turnAfter(record(), fitContextOf(record(), "2027-10-10")!, rung("rung-1"), L12.dose, "2027-10-10")).toBeNull();
  });
  test("begins anew with its own turn after another's in the same line, and counts what was trained of it alone", () => {
    const L01 = variationByCode("L01")!;
    const other = rung("other", { pattern: "step", variationId: L01.id, setting: {} });
    const line = (more: Partial<ClientRecord>) => {
      const all = record({
        rungs: [step, other],
        prescriptions: [plan("steps", step.id, { dose: L12.dose }), plan("others", other.id)],
        ...more,
      });
      return turnAfter(all, fitContextOf(all, "2026-09-14")!, step, L12.dose, "2026-09-14");
    };
    const first = doneSession("s1", "2026-08-03", { prescriptionId: "steps" });
    expect(line({ sessions: [first] })?.weeks).toBe(6);
    const between = doneSession("s2", "2026-08-05", { prescriptionId: "others" });
    const again = doneSession("s3", "2026-08-12", { prescriptionId: "steps" });
    expect(line({ sessions: [first, between, again] })).toBeNull();
    expect(line({ sessions: [again, first, between] })).toBeNull(); // by their days
    expect(line({ sessions: [first, { ...between, sets: [] }, again] })?.weeks).toBe(6);
    expect(line({ sessions: [doneSession("s0", "2026-01-01", { prescriptionId: "nobody's" }), first] })?.weeks).toBe(6);
    expect(line({ sessions: [] })).toBeNull();
  });
});

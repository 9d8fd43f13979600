import { describe, expect, test } from "vitest";
import { bodyFromMeasure } from "../body/body";
import { SUBJECT } from "../fit/fit.fixture";
import { ask, AT_THE_POSE, HEADLINE, WHOLE } from "../templates/ask";
import { formProblems, leversOf, movedBy, rangeOf, settingProblems, startSetting } from "../templates/form";
import { CATALOGUE, isInCatalogue, variationById, variationsOf } from "./catalogue";
import { PATTERNS } from "./variation";
import { STUDIES } from "./studies.data";

describe.each(CATALOGUE.map((variation) => ({ id: variation.id, variation })))("$id", ({ variation }) => {
  test("has neighbours that exist and point back", () => {
    for (const id of variation.harder) expect(variationById(id).easier).toContain(variation.id);
    for (const id of variation.easier) expect(variationById(id).harder).toContain(variation.id);
  });
  test("has words for the floor: set-up, cues, and faults with cause and response", () => {
    expect(variation.setUp.length).toBeGreaterThan(20);
    expect(variation.cues.length).toBeGreaterThan(1);
    expect(new Set(variation.faults.map(({ id }) => id)).size).toBe(variation.faults.length);
    for (const { cause, response } of variation.faults) expect(cause && response).toBeTruthy();
  });
  test("moves a lever whose number it has", () => expect(variation.levers.map(({ lever }) => lever)).toContain(movedBy(variation)));
});

describe.each([...CATALOGUE, ...STUDIES].map((form) => ({ id: form.id, form })))("the form of $id", ({ form }) => {
  test("is whole, and starts inside its ranges for bodies from 1.50 to 1.95 m, where it can be done", () => {
    expect(formProblems(form)).toEqual([]);
    let reached = 0;
    for (const heightM of [1.5, 1.6, 1.7, 1.8, 1.95])
      for (const sex of ["female", "male"] as const) {
        const subject = { ...SUBJECT, body: bodyFromMeasure({ heightM, massKg: 24 * heightM * heightM, sex }) };
        for (const { lever, min, max, start } of leversOf(subject, form))
          expect([lever, min <= start && start <= max]).toEqual([lever, true]);
        const asked = ask(subject, form, startSetting(subject, form), HEADLINE);
        expect([form.id, heightM, sex, asked.ok || asked.reason]).toEqual([form.id, heightM, sex, true]);
        reached++;
      }
    expect(reached).toBe(10);
  });
});

test("every pattern has a row that runs, and its first is one", () => {
  for (const pattern of PATTERNS) expect(variationsOf(pattern).length).toBeGreaterThan(0);
  expect(PATTERNS.length).toBe(5);
});

test("codes are unique; an unknown one opens as a retired row and is in no catalogue", () => {
  expect(new Set([...CATALOGUE, ...STUDIES].map(({ id }) => id)).size).toBe(CATALOGUE.length + STUDIES.length);
  expect(variationById("handstand")).toMatchObject({ id: "handstand", isRetired: true });
  expect(isInCatalogue("handstand")).toBe(false);
  expect(isInCatalogue("toString")).toBe(false);
});

test("a lever of another row, one out of range, or a share of more than a whole is no setting of this one", () => {
  const raised = variationById("raised-sit-to-stand");
  const codes = (setting: Parameters<typeof settingProblems>[2]) => settingProblems(SUBJECT, raised, setting).length;
  expect(codes({ seatHeightM: 0.6 })).toBe(0);
  expect(codes({ seatHeightM: 0.6, handForceN: 50 })).toBeGreaterThan(0);
  expect(codes({ seatHeightM: 0.1 })).toBeGreaterThan(0);
  expect(codes({ seatHeightM: 0.6, shareFraction: 1.4 })).toBeGreaterThan(0);
  expect(codes({ seatHeightM: NaN })).toBeGreaterThan(0);
});

test("what is told of a whole movement is never less than what its end pose asks", () => {
  let compared = 0;
  for (const form of CATALOGUE) {
    const setting = startSetting(SUBJECT, form);
    const [whole, end] = [ask(SUBJECT, form, setting, WHOLE), ask(SUBJECT, form, setting, AT_THE_POSE)];
    if (!whole.ok || !end.ok) throw new Error(form.id);
    for (const { channel, side, high } of end.demands) {
      const along = whole.demands.find((demand) => demand.channel === channel && demand.side === side);
      if (!along || channel === "bellyRoom") continue;
      expect([form.id, channel, along.high >= high - 1e-6]).toEqual([form.id, channel, true]);
      compared++;
    }
  }
  expect(compared).toBeGreaterThan(80);
});

test("ranges follow the body: a bench at knee height is higher for a taller one", () => {
  const row = variationById("very-high-sit-to-stand");
  const at = (heightM: number) =>
    rangeOf({ ...SUBJECT, body: bodyFromMeasure({ heightM, massKg: 70, sex: "female" }) }, row, "seatHeightM");
  expect(at(1.9)?.start).toBeGreaterThan(at(1.5)?.start ?? Infinity);
});

import { describe, expect, test } from "vitest";
import { bodyFromMeasure } from "../body/body";
import { SUBJECT } from "../judge/fit.fixture";
import { ask, AT_THE_POSE, HEADLINE, WHOLE } from "../templates/ask";
import { formProblems, leversOf, movedBy, rangeOf, settingProblems, startSetting } from "../templates/form";
import { CATALOGUE, isInCatalogue, variationByCode, variationById, variationsOf } from "./catalogue";
import { onHand } from "../kit/equipment";
import { oursIn } from "./ours.data";
import { PATTERNS, type Variation } from "./variation";
import { STUDIES } from "./studies.data";

describe.each(CATALOGUE.map((variation) => ({ id: variation.id, variation })))("$id", ({ variation }) => {
  test("has neighbours that are in the catalogue, and point back", () => {
    for (const id of variation.harder) expect(isInCatalogue(id) && variationById(id).easier.includes(variation.id)).toBe(true);
    for (const id of variation.easier) expect(isInCatalogue(id) && variationById(id).harder.includes(variation.id)).toBe(true);
  });
  test("has words for the floor: set-up, cues, and faults with cause and response", () => {
    expect(variation.setUp.length).toBeGreaterThan(20);
    expect(variation.cues.length).toBeGreaterThan(1);
    expect(variation.why.length * variation.purpose.length).toBeGreaterThan(0);
    expect(Object.keys(variation.trains).length).toBeGreaterThan(0);
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
      for (const [sex, massKg] of [
        ["female", 48],
        ["male", 24 * heightM * heightM],
        ["female", 140],
      ] as const) {
        const subject = { ...SUBJECT, body: bodyFromMeasure({ heightM, massKg, sex }) };
        for (const { lever, min, max, start } of leversOf(subject, form))
          expect([lever, min <= start && start <= max]).toEqual([lever, true]);
        const asked = ask(subject, form, startSetting(subject, form), HEADLINE);
        expect([form.id, heightM, massKg, asked.ok || asked.reason]).toEqual([form.id, heightM, massKg, true]);
        reached++;
      }
    expect(reached).toBe(15);
  });
});

/** Rows of the handbook by their letter. */
const COUNTS = { S: 38, H: 32, B: 17, L: 32, K: 10, C: 8, A: 19, T: 11, M: 17, P: 13, E: 9 };
test("every row of the handbook is here under its code, and nothing else but our own two", () => {
  const codes = new Set(CATALOGUE.map(({ code }) => code));
  expect(codes.size).toBe(CATALOGUE.length);
  const handbook = Object.entries(COUNTS).flatMap(([letter, count]) =>
    Array.from({ length: count }, (_, i) => `${letter}${String(i + 1).padStart(2, "0")}`),
  );
  expect(handbook).toHaveLength(206);
  expect(handbook.filter((code) => !codes.has(code))).toEqual([]);
  expect([...codes].filter((code) => !handbook.includes(code))).toEqual(["S39", "S40"]);
  expect(variationByCode("S02")?.id).toBe("raised-sit-to-stand");
});

test("harder never leads back to where it came from", () => {
  let walked = 0;
  const walk = (id: string, path: readonly string[]): void => {
    walked++;
    expect(path).not.toContain(id);
    if (path.length < 40) for (const next of variationById(id).harder) walk(next, [...path, id]);
  };
  for (const { id, easier } of CATALOGUE) if (easier.length === 0) walk(id, []);
  expect(walked).toBeGreaterThan(500);
});

test("each of the four patterns hangs together from its easiest to its hardest, helpers leading in and out", () => {
  for (const pattern of PATTERNS.filter((each) => each !== "helper")) {
    const rows = variationsOf(pattern);
    const reached = new Set<string>();
    const visit = ({ id, easier, harder }: Variation): void => {
      if (reached.has(id)) return;
      reached.add(id);
      for (const other of [...easier, ...harder].map(variationById))
        if (other.pattern === pattern || other.pattern === "helper") visit(other);
    };
    visit(rows[0]!);
    expect(rows.filter(({ id }) => !reached.has(id)).map(({ code }) => code)).toEqual([]);
    expect(rows.length).toBeGreaterThan(15);
  }
});

test("a ladder's place counts the steps of its own pattern", () => {
  expect(variationById("very-high-sit-to-stand").ladderPlace).toBe(1);
  expect(variationById("raised-sit-to-stand").ladderPlace).toBe(2);
  for (const { id, harder, ladderPlace, pattern } of CATALOGUE)
    for (const next of harder.map(variationById).filter((each) => each.pattern === pattern))
      expect([id, next.id, next.ladderPlace > ladderPlace]).toEqual([id, next.id, true]);
});

test("what stands in for missing kit is named, the nearest first; what has no stand-in is missing", () => {
  expect(onHand(["box", "pole"], ["chair", "rail", "bench"])).toEqual({
    missing: [],
    standIns: [
      { instead: "chair", of: "box" },
      { instead: "rail", of: "pole" },
    ],
  });
  expect(onHand(["leg-press", "mat"], ["mat"])).toEqual({ missing: ["leg-press"], standIns: [] });
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

test("what of a row is our own is told by its code, and only of rows that there are", () => {
  expect(oursIn("H02").length + oursIn("B01").length).toBeGreaterThan(0);
  expect(oursIn("S39")).toEqual([]);
  expect(CATALOGUE.filter(({ code }) => oursIn(code).length > 0)).toHaveLength(120);
});

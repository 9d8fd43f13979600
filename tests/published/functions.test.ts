import { describe, expect, test } from "vitest";
import { answerTo } from "../../cli/answer";
import { SEGMENT_TABLES } from "../../src/core/body/segments.data";
import { DE_LEVA, WINTER } from "../../src/core/standards/segment.data";
import { STANDARD_NAMES } from "../../src/schemas/command-line/standards.schema";

/** The published standards, asked as the command line asks them. From memory, confidence high unless said; the source beside each. */
const asked = (fn: string, input: object): unknown => {
  const { exitCode, value } = answerTo("standards", JSON.stringify({ fn, ...input }));
  return exitCode === 0 ? value : { refused: (value as { problems: { path: string; limit?: number }[] }).problems };
};
const seen = new Set<string>();
const check = (source: string, fn: string, input: object, expected: object): void => {
  seen.add(fn);
  test(`${fn} ${JSON.stringify(input)}: ${source}`, () => expect(asked(fn, input)).toMatchObject(expected));
};
const near = (value: number, digits = 2): unknown => expect.closeTo(value, digits);
const refusedAt = (path: string, limit?: number): object => ({ refused: [{ path, ...(limit === undefined ? {} : { limit }) }] });

describe("before anything begins", () => {
  const source = "ACSM, Riebe 2015";
  const base = { active: false, monthsActive: 0, disease: [], symptoms: [], clearedMonthsAgo: null, wants: "moderate" };
  const regular = { ...base, active: true, monthsActive: 6 };
  const diabetes = ["metabolic"];
  check(source, "pre-participation", base, { ok: true, verdict: "not-needed" });
  check(source, "pre-participation", { ...base, disease: diabetes }, { verdict: "clearance-recommended" });
  check(source, "pre-participation", { ...base, symptoms: ["chest-pain"] }, { verdict: "clearance-recommended" });
  check(source, "pre-participation", regular, { verdict: "not-needed" });
  check(source, "pre-participation", { ...regular, disease: diabetes }, { verdict: "may-continue" });
  check(source, "pre-participation", { ...regular, disease: diabetes, wants: "vigorous" }, { verdict: "clearance-recommended" });
  check(
    source,
    "pre-participation",
    { ...regular, disease: diabetes, wants: "vigorous", clearedMonthsAgo: 12 },
    { verdict: "may-continue" },
  );
  check(
    source,
    "pre-participation",
    { ...regular, disease: diabetes, wants: "vigorous", clearedMonthsAgo: 13 },
    { verdict: "clearance-recommended" },
  );
  check(source, "pre-participation", { ...regular, symptoms: ["ankle-swelling"], clearedMonthsAgo: 1 }, { verdict: "stop" });
  // our reading: active for less than three months is a beginner still
  check(source, "pre-participation", { ...regular, monthsActive: 2, disease: diabetes }, { verdict: "clearance-recommended" });
  // our reading: a clearance is what a beginner with a known disease was asked for
  check(source, "pre-participation", { ...base, disease: diabetes, clearedMonthsAgo: 2 }, { verdict: "may-continue" });
});

describe("rising from a chair", () => {
  check("CDC STEADI 2017", "chair-stand", { age: 62, sex: "female", count: 11 }, { cut: 12, below: true });
  check("CDC STEADI 2017", "chair-stand", { age: 62, sex: "female", count: 12 }, { cut: 12, below: false });
  check("CDC STEADI 2017", "chair-stand", { age: 83, sex: "male", count: 9 }, { cut: 10, below: true });
  check("no cell is published", "chair-stand", { age: 59, sex: "male", count: 9 }, refusedAt("age", 60));
  check("no cell is published", "chair-stand", { age: 95, sex: "male", count: 9 }, refusedAt("age", 95));
  for (const [seconds, score] of [
    [11.19, 4],
    [11.2, 3],
    [13.69, 3],
    [13.7, 2],
    [16.69, 2],
    [60, 1],
    [61, 0],
  ])
    check("Guralnik 1994", "sppb-chair", { seconds }, { score });
  for (const [seconds, score] of [
    [4.81, 4],
    [4.82, 3],
    [6.2, 3],
    [6.21, 2],
    [8.7, 2],
    [8.71, 1],
  ])
    check("Guralnik 1994", "sppb-walk", { seconds }, { score });
  const power = { massKg: 70, statureM: 1.7, chairM: 0.43, seconds: 10 };
  check("Alcazar 2018", "sit-to-stand-power", power, { watts: near(259.57), wattsPerKg: near(3.71) });
});

describe("standing and holding", () => {
  const source = "Springer 2007, deviations of medium confidence";
  check(source, "single-leg-stance", { age: 65, eyes: "open", measure: "best" }, { meanS: 32.1, sdS: 16.2 });
  check(source, "single-leg-stance", { age: 72, sex: "female", eyes: "open", measure: "best" }, { meanS: 16.7 });
  check(source, "single-leg-stance", { age: 45, sex: "male", eyes: "closed", measure: "mean" }, { meanS: 7.3 });
  check("no cell is published", "single-leg-stance", { age: 17, eyes: "open", measure: "best" }, refusedAt("age", 18));
  const mcGill = "McGill, Low Back Disorders, 2002: the three ratios";
  check(
    mcGill,
    "trunk-endurance",
    { flexionS: 100, extensionS: 120, rightS: 60, leftS: 58 },
    { flexionToExtension: near(0.833, 3), rightToExtension: 0.5, rightToLeft: near(1.034, 3), flags: [] },
  );
  check(
    mcGill,
    "trunk-endurance",
    { flexionS: 96, extensionS: 80, rightS: 62, leftS: 60 },
    { flexionToExtension: 1.2, rightToExtension: 0.775, flags: ["flexionToExtension", "rightToExtension"] },
  );
  check(mcGill, "trunk-endurance", { flexionS: 60, extensionS: 100, rightS: 40, leftS: 50 }, { flags: ["rightToLeft"] });
});

describe("pregnancy", () => {
  const lastPeriodDay = "2024-01-01";
  check("ACOG", "due-date", { lastPeriodDay, today: "2024-04-07" }, { dueDay: "2024-10-07", week: 13, day: 6, trimester: 1 });
  check("ACOG", "due-date", { lastPeriodDay, today: "2024-04-08" }, { week: 14, day: 0, trimester: 2 });
  check("ACOG", "due-date", { lastPeriodDay, today: "2024-07-14" }, { week: 27, day: 6, trimester: 2 });
  check("ACOG", "due-date", { lastPeriodDay, today: "2024-07-15" }, { week: 28, day: 0, trimester: 3 });
  check("a day before the first", "due-date", { lastPeriodDay, today: "2023-12-31" }, refusedAt("today"));
});

describe("the lifting equation", () => {
  const source = "NIOSH 94-110";
  const lift = {
    loadKg: 10,
    horizontalCm: 40,
    verticalCm: 30,
    distanceCm: 60,
    asymmetryDeg: 30,
    liftsPerMin: 1,
    hours: 1,
    coupling: "fair",
  };
  const multipliers = {
    horizontal: 0.625,
    vertical: near(0.865, 6),
    distance: near(0.895, 6),
    asymmetry: near(0.904, 6),
    frequency: 0.94,
    coupling: 0.95,
  };
  check(source, "lifting-equation", lift, { limitKg: near(8.98), index: near(1.11), multipliers });
  const best = { ...lift, horizontalCm: 25, verticalCm: 75, distanceCm: 25, asymmetryDeg: 0, liftsPerMin: 0.2, coupling: "good" };
  check(source, "lifting-equation", best, { limitKg: near(23, 9) });
  check(source, "lifting-equation", { ...best, horizontalCm: 64 }, { limitKg: 0, index: null });
  check(source, "lifting-equation", { ...best, horizontalCm: 10, distanceCm: 5 }, { limitKg: near(23, 9) });
  check(source, "lifting-equation", { ...best, asymmetryDeg: 136 }, { limitKg: 0 });
  check(source, "lifting-equation", { ...best, liftsPerMin: 9, hours: 8, verticalCm: 74 }, { multipliers: { frequency: 0 } });
  check(source, "lifting-equation", { ...best, liftsPerMin: 9, hours: 8 }, { multipliers: { frequency: 0.15 } });
  check("our reading: the higher row", "lifting-equation", { ...best, liftsPerMin: 0.3 }, { multipliers: { frequency: 0.97 } });
  // Example 1 in the manual's own units, 44 lb, hands 23 in out, from 15 in, over 49 in: 16.02 lb unrounded, by its multipliers 15.8
  const pounds = 0.45359237;
  const press = {
    loadKg: 44 * pounds,
    horizontalCm: 58.42,
    verticalCm: 38.1,
    distanceCm: 124.46,
    asymmetryDeg: 0,
    liftsPerMin: 0.2,
    hours: 1,
    coupling: "fair",
  };
  check(`${source}, Example 1 by the metric constants`, "lifting-equation", press, { index: expect.closeTo(2.78, 1) });
  check(source, "lifting-equation", { ...press, twoDecimals: true }, { multipliers: { vertical: 0.89, distance: 0.86 } });
});

describe("forces and bodies", () => {
  check("Kutzner 2010", "joint-contact", { joint: "knee", activity: "stair-descending", massKg: 70 }, { forceN: near(2375.98) });
  check("Kutzner 2010", "joint-contact", { joint: "knee", activity: "level-walking", massKg: 70 }, { percentBodyWeight: 261 });
  check("Bergmann 2001", "joint-contact", { joint: "hip", activity: "stairs-down", massKg: 75 }, { forceN: near(1912.95) });
  check("not in the table", "joint-contact", { joint: "hip", activity: "stair-descending", massKg: 75 }, refusedAt("activity"));
  check("Drillis & Contini 1966", "stature", { statureM: 1.65 }, { kneeHeightM: near(0.47025, 6), trochanterHeightM: near(0.8745, 6) });
  const thigh = { sex: "female", massKg: 60, segment: "thigh" };
  check("Winter Table 4.1", "segment", { table: "winter", ...thigh }, { massKg: near(6, 9), comFromProximalM: null });
  check(
    "de Leva 1996",
    "segment",
    { table: "de-leva", ...thigh, lengthM: 0.4 },
    { massKg: near(8.868, 6), comFromProximalM: near(0.14448, 6) },
  );
  check("no such row", "segment", { table: "de-leva", ...thigh, segment: "pelvis" }, refusedAt("segment"));

  test("the tables sum to a body", () => {
    for (const sex of ["female", "male"] as const) {
      const of = (name: string): number => DE_LEVA[name]?.[sex][0] ?? NaN;
      const limbs = ["upper-arm", "forearm", "hand", "thigh", "shank", "foot"].reduce((sum, name) => sum + 2 * of(name), 0);
      expect(of("head") + of("trunk") + limbs).toBeCloseTo(sex === "female" ? 99.99 : 100, 6);
      expect(of("upper-trunk") + of("mid-trunk") + of("lower-trunk")).toBeCloseTo(of("trunk"), 6);
    }
    const winter = (name: string): number => WINTER[name]?.[0] ?? NaN;
    expect(winter("head-arms-trunk") + 2 * winter("total-leg")).toBeCloseTo(100, 6);
    expect(winter("upper-arm") + winter("forearm") + winter("hand")).toBeCloseTo(winter("total-arm"), 6);
    expect(winter("thigh") + winter("shank") + winter("foot")).toBeCloseTo(winter("total-leg"), 6);
  });
  test("the body model weighs its legs by the same tables", () => {
    for (const name of ["foot", "shank", "thigh"] as const) {
      expect(100 * SEGMENT_TABLES.winter.mass[name]).toBeCloseTo(WINTER[name]?.[0] ?? NaN, 9);
      expect(100 * SEGMENT_TABLES.deLevaFemale.mass[name]).toBeCloseTo(DE_LEVA[name]?.female[0] ?? NaN, 9);
      expect(100 * SEGMENT_TABLES.deLevaMale.mass[name]).toBeCloseTo(DE_LEVA[name]?.male[0] ?? NaN, 9);
    }
  });
});

describe("conditioning", () => {
  check("Tanaka 2001", "heart-rate", { age: 50 }, { maximumBpm: near(173, 9) });
  check("Brawner 2004", "heart-rate", { age: 60, betaBlocker: true }, { maximumBpm: near(122, 9) });
  check("Karvonen 1957", "heart-rate", { age: 50, restingBpm: 70, reserveFraction: 0.4 }, { targetBpm: near(111.2, 9) });
  const source = "ACSM metabolic equations";
  check(source, "metabolic", { activity: "step", stepsPerMin: 24, heightM: 0.2 }, { vo2MlKgMin: near(19.79), met: near(5.65) });
  check(source, "metabolic", { activity: "leg-ergometer", watts: 75, massKg: 70 }, { vo2MlKgMin: near(18.57) });
  check(source, "metabolic", { activity: "leg-ergometer", watts: 50, massKg: 80 }, { vo2MlKgMin: near(13.75) });
  check(source, "metabolic", { activity: "arm-ergometer", watts: 25, massKg: 70 }, { vo2MlKgMin: near(9.93) });
  check(source, "metabolic", { activity: "walk", metresPerMin: 80.4, grade: 0 }, { vo2MlKgMin: near(11.54), met: near(3.3) });
  check(source, "metabolic", { activity: "walk", metresPerMin: 67, grade: 0.05 }, { vo2MlKgMin: near(16.23) });
  check("outside the equation", "metabolic", { activity: "leg-ergometer", watts: 40, massKg: 70 }, refusedAt("watts", 50));
  check("another's argument", "metabolic", { activity: "step", stepsPerMin: 24, heightM: 0.2, watts: 60 }, refusedAt("watts"));
});

describe("load, repetitions, effort and calendars", () => {
  check("Wathen 1994", "one-rep-max", { formula: "wathen", load: 100, repetitions: 8 }, { value: near(127.67) });
  check("Brzycki 1993", "one-rep-max", { formula: "brzycki", load: 100, repetitions: 10 }, { value: near(133.33) });
  check("no formula has it", "one-rep-max", { formula: "brzycki", load: 100, repetitions: 37 }, refusedAt("repetitions", 36));
  check("NSCA Essentials 2000, Zourdos 2016", "load-for", { oneRepMax: 40, repetitions: 8, inReserve: 2 }, { value: 30, percent: 75 });
  check("not tabulated", "load-for", { oneRepMax: 40, repetitions: 13 }, refusedAt("repetitions"));
  check("Zourdos 2016", "in-reserve", { rpe: 8.5 }, { low: 1, high: 2 });
  check("the scale names none", "in-reserve", { rpe: 3 }, refusedAt("rpe"));
  check("NSCA Essentials", "two-for-two", { goal: 12, lastSets: [14, 14] }, { add: true });
  check("NSCA Essentials", "two-for-two", { goal: 12, lastSets: [14, 13] }, { add: false });
  check(
    "ACSM 2009",
    "load-window",
    { load: 20, increment: 2.5 },
    { low: near(20.4), high: near(22), stepAllowed: false, stepPercent: 12.5 },
  );
  check(
    "Foster 2001",
    "session-load",
    { daily: [300, 0, 240, 0, 360, 120, 0] },
    { weekly: 1020, monotony: near(0.944, 3), strain: near(962.8, 0) },
  );
  check(
    "RFC 5545",
    "recurrence",
    { rule: "FREQ=DAILY;INTERVAL=10;COUNT=3", start: "1997-09-02" },
    { days: ["1997-09-02", "1997-09-12", "1997-09-22"] },
  );
  check("no rule", "recurrence", { rule: "sometimes", start: "1997-09-02" }, refusedAt("rule"));
});

describe("codes and files", () => {
  check("LOINC users' guide, from memory", "loinc", { code: "72514-3" }, { digit: 3, valid: true });
  check("LOINC users' guide, from memory", "loinc", { code: "29463-7" }, { digit: 7, valid: true });
  check("LOINC users' guide, from memory", "loinc", { code: "8867-5" }, { digit: 4, valid: false });
  check("no code", "loinc", { code: "weight" }, refusedAt("code"));
  check("RFC 4180", "csv-row", { fields: ["aaa", 'b"bb', "ccc"] }, { line: 'aaa,"b""bb",ccc' });
  check("RFC 4180", "csv-row", { fields: ['he said "ok"'] }, { line: '"he said ""ok"""' });
  check("RFC 4180", "csv-row", { fields: ["a,b", "two\r\nlines"] }, { line: '"a,b","two\r\nlines"' });
});

test("every function is checked, and no other name is answered", () => {
  expect([...seen].sort()).toEqual([...STANDARD_NAMES].sort());
  for (const fn of ["constructor", "__proto__", "toString"]) expect(asked(fn, {})).toMatchObject({ refused: [{ path: "fn" }] });
});

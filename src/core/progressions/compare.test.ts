import { expect, test } from "vitest";
import { variationByCode } from "../catalogue/catalogue";
import { DEFAULT_SCHOOL, schoolOf } from "../approach/approach";
import { compareSchools, underSchool } from "./compare";
import { contextWith, idOf, limit } from "../judge/fit.fixture";
import { judge } from "../judge/judge";

const GENTLE = schoolOf({ preset: "gentle" });

test("two schools on one client differ by what each leaves out, aims at and does next", () => {
  const compared = compareSchools(contextWith(), { a: DEFAULT_SCHOOL, b: GENTLE }, ["squat"]);
  const deep = compared.rows.find(({ variationId }) => variationId === idOf("S21"));
  expect(deep).toMatchObject({
    a: { state: "open" },
    b: { state: "closed", reason: { code: "school", axisId: "depth", positionId: "partial" } },
  });
  const raised = compared.rows.find(({ variationId }) => variationId === idOf("S02"));
  const seat = (of: "a" | "b") => raised?.[of].setting.seatHeightM ?? NaN;
  expect(seat("b")).toBeGreaterThan(seat("a")); // 60 % of the ceiling instead of 70 %
  expect(compared.first.map(({ pattern, a, b }) => [pattern, a !== null && b !== null])).toEqual([["squat", true]]);
});

test("a school and itself see every row alike", () => {
  const { rows, first } = compareSchools(contextWith(), { a: GENTLE, b: GENTLE }, ["squat", "bridge"]);
  expect(rows).toEqual([]);
  expect(first.every(({ a, b }) => JSON.stringify(a) === JSON.stringify(b))).toBe(true);
});

test("limits stand above any school: what one leaves in a limit still closes, and a reason given opens only what the school left out", () => {
  const barred = contextWith({ limits: [limit({ kind: "never", what: "bar-on-shoulders" }, { side: "both" })] });
  const row = variationByCode("S19");
  const deep = variationByCode("S21");
  if (!row || !deep) throw new Error("no row");
  expect(judge(underSchool(barred, DEFAULT_SCHOOL), row, { kneeFlexionDeg: 60, loadKg: 20 })).toMatchObject({
    state: "closed",
    blocked: true,
  });
  expect(judge(underSchool(contextWith(), GENTLE), deep, { kneeFlexionDeg: 70 })).toMatchObject({ state: "closed", blocked: false });
});

import { describe, expect, test } from "vitest";
import { CATALOGUE, variationByCode, variationById } from "../catalogue/catalogue";
import { type OwnRange, rangeOf } from "../templates/form";
import { type LeverId, LEVERS, type Setting, withLever } from "../templates/lever";
import { calmCeilings, complaint, contextWith, kneeLimit, limit, SUBJECT } from "../judge/fit.fixture";
import { glance, judge } from "../judge/judge";
import { snapSetting, valuesOn } from "../kit/on-hand";
import { fitCatalogue, shownOnce } from "./list";
import { fitVariation, isWithin, leverCeilings } from "./search";

const context = contextWith();
const found = (of: ReturnType<typeof contextWith>, id: string) => fitCatalogue(of, CATALOGUE).find((each) => each.variationId === id);

function easiest(id: string, setting: Setting, range: OwnRange) {
  const at = (value: number) => glance(context, variationById(id), withLever(setting, range.lever, value));
  const values = valuesOn(context, variationById(id), range);
  return values.find((value) => isWithin(at(value), Infinity)) ?? values.find((value) => at(value).isPossible);
}

describe("a fit", () => {
  test("asks at most the target use of the tightest ceiling where a lever can do it", () => {
    const candidates = fitCatalogue(context, CATALOGUE);
    const under = candidates.filter(({ tightest }) => (tightest?.head ?? Infinity) <= 0.7 + 1e-9);
    expect(under.length).toBeGreaterThanOrEqual(7);
    const over = candidates.filter((each) => each.tightest !== null && !under.includes(each));
    expect(over.length).toBeGreaterThan(4);
    for (const { variationId, setting } of over) {
      const ranges = variationById(variationId).levers.flatMap(({ lever }) => rangeOf(SUBJECT, variationById(variationId), lever) ?? []);
      const solved = ranges.filter(({ lever }) => lever !== "shareFraction" && LEVERS[lever].harder);
      for (const range of solved)
        expect([variationId, range.lever, setting[range.lever]]).toEqual([variationId, range.lever, easiest(variationId, setting, range)]);
    }
  });
  test("finds for every squat to a seat the same depth as a plain sweep of the grid", () => {
    const limited = contextWith({ limits: [kneeLimit(95)] });
    let swept = 0;
    for (const variation of CATALOGUE.filter(({ pattern }) => pattern === "squat")) {
      const range = rangeOf(SUBJECT, variation, "seatHeightM") ?? rangeOf(SUBJECT, variation, "kneeFlexionDeg");
      if (!range) continue;
      const candidate = fitVariation(limited, variation);
      const start = snapSetting(limited, variation, candidate.setting);
      const at = (value: number) => glance(limited, variation, withLever(start, range.lever, value));
      const deepest = valuesOn(limited, variation, range)
        .filter((value) => isWithin(at(value), 0.7))
        .at(-1);
      const isUnstopped = deepest === valuesOn(limited, variation, range).at(-1); // nothing measured stops it there: it stays where it stood
      if (deepest === undefined) expect(isWithin(candidate, 0.7)).toBe(false);
      else if (!isUnstopped) expect([variation.code, candidate.setting[range.lever]]).toEqual([variation.code, deepest]);
      swept += isUnstopped ? 0 : 1;
    }
    expect(swept).toBeGreaterThan(20);
  });
  test("never raises a load above what was calm in this pattern, or where the row starts", () => {
    const generous = { ...context, ceilings: calmCeilings("kneecap", 0.44), targetUseFraction: 1 };
    const start = rangeOf(SUBJECT, variationById("goblet-to-box"), "loadKg")?.start ?? NaN;
    expect(found(generous, "goblet-to-box")?.setting.loadKg).toBeLessThanOrEqual(start);
    const calm = { ...generous, calmLoads: { squat: { loadKg: 16 } } };
    const loads = fitCatalogue(calm, CATALOGUE).flatMap(({ variationId, setting }) =>
      variationById(variationId).pattern === "squat" ? [setting.loadKg ?? 0] : [],
    );
    expect(Math.max(...loads)).toBeLessThanOrEqual(20); // the bar starts at its own weight
  });
  test("where nothing measured stops a lever it stays where it stood", () => {
    const knee = contextWith({ complaints: [complaint({ site: "other" })], ceilings: calmCeilings("kneecap", 0.4) });
    const hinge = variationById("two-leg-hinge");
    const start = snapSetting(knee, hinge, {}).trunkLeanDeg;
    expect(fitVariation(knee, hinge).setting.trunkLeanDeg).toBe(start);
  });
});

describe("what is known of a set-up", () => {
  test("is where a fit starts from, each lever its own, and another row's levers mean nothing", () => {
    const none = contextWith({ ceilings: [] });
    const pole = variationById("box-squat-pole");
    const start = fitVariation(none, pole).setting;
    expect(fitVariation(none, pole, { shareFraction: 0.4, loadKg: 20 }).setting).toEqual({ ...start, shareFraction: 0.4 });
    expect(fitVariation(none, pole, { handForceN: 19.62 }).setting.handForceN).toBeCloseTo(19.62, 6);
    expect(fitVariation(none, pole, {}).setting).toEqual(start);
  });
});

describe("the order of the list", () => {
  test("is open, then try, then not measured, then closed", () => {
    const rank = { open: 0, try: 1, "not-measured": 2, closed: 3 };
    const ranks = fitCatalogue(contextWith({ limits: [kneeLimit(70)] }), CATALOGUE).map(({ state }) => rank[state]);
    expect(ranks).toEqual(ranks.toSorted((a, b) => a - b));
    expect(new Set(ranks).size).toBeGreaterThan(1);
  });
  test("without a ceiling offers what is unloaded first, easiest first", () => {
    const list = fitCatalogue(contextWith({ ceilings: [] }), CATALOGUE).filter(({ state }) => state === "not-measured");
    const isLoaded = list.map(({ setting }) =>
      (Object.entries(setting) as [LeverId, number][]).some(([lever, value]) => LEVERS[lever].kind === "load" && value > 0),
    );
    expect(isLoaded).toEqual(isLoaded.toSorted((a, b) => Number(a) - Number(b)));
    expect(list.length).toBeGreaterThanOrEqual(9);
    expect(list.findIndex(({ variationId }) => variationId === "very-high-sit-to-stand")).toBeLessThan(
      list.findIndex(({ variationId }) => variationId === "plain-chair-sit-to-stand"),
    );
  });
});

test("where nothing is measured a load comes last, whatever the ladder says", () => {
  const goblet = variationById("goblet-to-box");
  const loaded = {
    ...goblet,
    ladderPlace: -1,
    levers: goblet.levers.map((row) => (row.lever === "loadKg" ? { ...row, min: 6, start: 6 } : row)),
  };
  const rows = [loaded, variationById("raised-sit-to-stand"), variationById("box-squat-pole")];
  const list = fitCatalogue(contextWith({ ceilings: [] }), rows);
  expect(list.map(({ state }) => state)).toEqual(["not-measured", "not-measured", "not-measured"]);
  expect(list.at(-1)?.setting.loadKg).toBe(6);
  expect(list.map(({ variationId }) => variationId)).toEqual(["raised-sit-to-stand", "box-squat-pole", "goblet-to-box"]);
});

describe("what is shown", () => {
  const rows = ["S01", "S02", "S05", "S39", "S33", "S21"].flatMap((code) => variationByCode(code) ?? []);
  test("is each set-up once, under the row in hand, with the others' names; states keep apart", () => {
    const shown = shownOnce(fitCatalogue(context, rows), "raised-sit-to-stand");
    const raisedSeat = shown.find(({ candidate }) => candidate.variationId === "raised-sit-to-stand");
    expect(raisedSeat?.also.toSorted()).toEqual(["cushion-squat", "very-high-sit-to-stand"]);
    expect(shown.flatMap(({ candidate, also }) => [candidate.variationId, ...also])).toHaveLength(rows.length);
    const other = shownOnce(fitCatalogue(context, rows), "nobody");
    expect(other).toHaveLength(shown.length);
  });
  test("goes no further beyond what was calm than it need: one deep leg comes after two on a seat, until its like was calm", () => {
    const order = (calmRows: readonly string[]) =>
      fitCatalogue({ ...context, calmRows }, rows)
        .filter(({ state }) => state === "open")
        .map(({ variationId }) => variationId);
    expect(order([]).at(-1)).toBe("full-single-leg-squat");
    expect(order(["full-single-leg-squat"]).at(-1)).toBe("full-range-squat");
  });
});

describe("what would open a closed row", () => {
  test("is the limit that ends, where no lever leads out from under it", () => {
    const closed = found(contextWith({ limits: [limit({ kind: "never", what: "bar-on-shoulders" }, { side: "both" })] }), "bar-on-back");
    expect(closed).toMatchObject({ state: "closed", opening: { kind: "limit-ends", limitId: "surgeon" } });
  });
  test("is the ceiling rising, where the easiest set-up is over it", () => {
    const closed = found(contextWith({ ceilings: calmCeilings("kneecap", 0.72) }), "plain-chair-sit-to-stand");
    expect(closed).toMatchObject({ state: "closed", opening: { kind: "ceiling-rises" } });
    expect(closed?.opening?.kind === "ceiling-rises" && closed.opening.useFraction).toBeGreaterThan(1);
  });
  test("is equipment", () => {
    const bare = contextWith({ kit: { ...context.kit, equipment: ["chair", "cushion"] } });
    expect(found(bare, "box-squat-pole")).toMatchObject({ state: "closed", opening: { kind: "equipment" } });
  });
});

test("a limit never lets a fitted set-up past it", () => {
  const limited = contextWith({
    limits: [kneeLimit(60, { side: "both" }), limit({ kind: "most", channel: "shankLean", most: 20 }, { id: "shin", side: "both" })],
  });
  const bends = fitCatalogue(limited, CATALOGUE)
    .filter(({ state }) => state !== "closed")
    .flatMap(({ demands }) => demands.filter(({ channel }) => channel === "kneeFlexion" || channel === "shankLean"));
  expect(bends.length).toBeGreaterThan(10);
  for (const { channel, high } of bends) expect(high).toBeLessThanOrEqual((channel === "kneeFlexion" ? 60 : 20) + 1e-6);
});

test("each lever is told where it would meet the ceiling", () => {
  const setting = { seatHeightM: 0.64, handForceN: 58.86 };
  const [seat] = leverCeilings(context, variationById("box-squat-pole"), setting);
  const use = (seatHeightM: number) => glance(context, variationById("box-squat-pole"), { ...setting, seatHeightM }).tightest?.head;
  expect(use(seat ?? NaN)).toBeLessThanOrEqual(1);
  expect(use((seat ?? NaN) - 0.01)).toBeGreaterThan(1);
});

test("of rows that ask about the same, what the client's own day asks comes first", () => {
  const order = (ownDay: readonly ("seat" | "step")[]) =>
    fitCatalogue(
      contextWith({ ownDay }),
      CATALOGUE.filter(({ pattern }) => pattern === "squat"),
    )
      .filter(({ state }) => state === "open")
      .map(({ variationId }) => variationId);
  const seats = (ids: readonly string[]): number => ids.slice(0, 8).filter((id) => variationById(id).parameters["depth"] === "seat").length;
  expect(seats(order(["seat"]))).toBeGreaterThan(seats(order([])));
});

test("in a pattern that nobody did yet two legs come before one, and what was calm on one leg opens the way to one", () => {
  const first = (calmRows: readonly string[]) =>
    fitCatalogue(
      contextWith({ calmRows }),
      CATALOGUE.filter(({ pattern }) => pattern === "bridge"),
    )
      .filter(({ state }) => state === "open")
      .map(({ variationId }) => variationById(variationId).tags.legs);
  const fresh = first([]);
  expect(fresh[0]).toBe("two");
  expect(fresh.indexOf("one")).toBeGreaterThan(fresh.lastIndexOf("two"));
  const led = first(["single-leg-bridge"]);
  expect(led.slice(1).indexOf("one")).toBeLessThan(fresh.indexOf("one"));
});

describe("within", () => {
  const context = contextWith({ limits: [kneeLimit(80)] });
  const at = (seatHeightM: number) => judge(context, variationById("raised-sit-to-stand"), { seatHeightM, shareFraction: 0.5 });
  test("a limit counts whatever the use", () => {
    expect(at(0.5).blocked).toBe(true);
    expect(isWithin(at(0.5), 99)).toBe(false);
  });
  test("a use over the wanted one does not count, under it does", () => {
    expect(isWithin(at(0.66), 0.7)).toBe(true);
    expect(isWithin(at(0.6), 0.7)).toBe(false);
  });
  test("past a guard rail is not within, whatever the use", () => {
    const deep = judge(contextWith({ ownRange: {} }), variationById("two-leg-hinge"), { trunkLeanDeg: 20, kneeFlexionDeg: 15, loadKg: 0 });
    const railed = { ...deep, closing: [{ code: "guard-rail", channel: "hipFlexion", value: 130, most: 125 }] as typeof deep.reasons };
    expect(isWithin(deep, 99)).toBe(true);
    expect(isWithin(railed, 99)).toBe(false);
  });
});

import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { CATALOGUE, variationById } from "../catalogue/catalogue";
import { EQUIPMENT } from "../kit/equipment";
import { traitsOfRow } from "../catalogue/traits";
import { PATTERNS } from "../catalogue/variation";
import type { Ceiling } from "../limits/ceiling";
import type { Limit } from "../limits/limit";
import type { ChannelSide } from "../mechanics/channels";
import { CONDITION_KINDS } from "../screen/conditions.data";
import { ruleLimits } from "../screen/screen";
import { startSetting } from "../templates/form";
import { TRAITS } from "../templates/template";
import type { FitContext } from "./context";
import { calmCeilings, complaint, contextWith, kneeLimit, limit, SUBJECT } from "./fit.fixture";
import { judge } from "./judge";
import type { CandidateState } from "./fit-reason";

/** What holds for every row of every pattern, whoever the client is. */

const HARDER: Record<CandidateState, number> = { open: 0, try: 1, "not-measured": 2, closed: 3 };
const stateOf = (context: FitContext, id: string): CandidateState => {
  const variation = variationById(id);
  return judge(context, variation, startSetting(context.subject, variation)).state;
};
const rows = fc.constantFrom(...CATALOGUE.map(({ id }) => id));

test("a tighter ceiling never opens a row", () => {
  let tightened = 0;
  fc.assert(
    fc.property(rows, fc.double({ min: 0.3, max: 0.95, noNaN: true }), (id, factor) => {
      const [ceiling] = calmCeilings("kneecap", 0.52);
      if (!ceiling) throw new Error("no ceiling");
      const [before, after] = [ceiling, { ...ceiling, value: ceiling.value * factor }].map((each) =>
        stateOf(contextWith({ ceilings: [each] }), id),
      );
      if (!before || !after) throw new Error("no state");
      expect(HARDER[after]).toBeGreaterThanOrEqual(HARDER[before]);
      tightened += HARDER[after] > HARDER[before] ? 1 : 0;
    }),
    { numRuns: 300, seed: 11 },
  );
  expect(tightened).toBeGreaterThan(5);
});

test("more equipment never closes a row", () => {
  let opened = 0;
  fc.assert(
    fc.property(rows, fc.subarray([...EQUIPMENT]), fc.subarray([...EQUIPMENT]), (id, some, more) => {
      const on = (equipment: FitContext["kit"]["equipment"]) => stateOf(contextWith({ kit: { ...contextWith().kit, equipment } }), id);
      const [before, after] = [on(some), on([...new Set([...some, ...more])])];
      expect(HARDER[after]).toBeLessThanOrEqual(HARDER[before]);
      opened += before === "closed" && after !== "closed" ? 1 : 0;
    }),
    { numRuns: 300, seed: 12 },
  );
  expect(opened).toBeGreaterThan(10);
});

const swap = (side: ChannelSide): ChannelSide => (side === "left" ? "right" : side === "right" ? "left" : "both");
const mirrored = (context: FitContext): FitContext => ({
  ...context,
  subject: { ...context.subject, leadSide: context.subject.leadSide === "left" ? "right" : "left" },
  complaints: context.complaints.map((each) => ({ ...each, side: swap(each.side) })),
  ceilings: context.ceilings.map((each): Ceiling => ({ ...each, side: swap(each.side) })),
  limits: context.limits.map((each): Limit => ({ ...each, side: swap(each.side) })),
});
test("a mirrored client gets mirrored advice, row by row", () => {
  const conditions = [{ id: "kneecap-pain", side: "right" as const, day: null }];
  const sided = contextWith({ limits: [kneeLimit(80), ...ruleLimits({ conditions }, () => false)] });
  const differing = contextWith({ limits: [kneeLimit(80, { side: "left" })] });
  for (const context of [sided, differing])
    for (const { id } of CATALOGUE) expect([id, stateOf(mirrored(context), id)]).toEqual([id, stateOf(context, id)]);
  expect(CATALOGUE.filter(({ id }) => stateOf(sided, id) === "closed").length).toBeGreaterThan(10);
});

describe("a limit binds on every row of every pattern", () => {
  test.each(TRAITS)("no %s", (what) => {
    const context = contextWith({ limits: [limit({ kind: "never", what }, { side: "both" })] });
    const named = CATALOGUE.filter((row) => traitsOfRow(row).includes(what));
    for (const { id } of named) expect([id, stateOf(context, id)]).toEqual([id, "closed"]);
    const isOfNumbers = what === "added-weight" || what === "breath-holding"; // a load lever's to say, or a cue's
    expect(named.length).toBeGreaterThan(isOfNumbers ? -1 : 1);
  });
  test("a bend that is capped is never passed by what is not closed", () => {
    const context = contextWith({ limits: [kneeLimit(60, { side: "both" })] });
    let checked = 0;
    for (const row of CATALOGUE) {
      const { state, demands } = judge(context, row, startSetting(SUBJECT, row));
      if (state === "closed") continue;
      for (const { high } of demands.filter(({ channel }) => channel === "kneeFlexion")) {
        expect([row.id, high <= 60 + 1e-6]).toEqual([row.id, true]);
        checked++;
      }
    }
    expect(checked).toBeGreaterThan(20);
  });
});

test("every condition leaves something in every pattern, or the pattern's rows say why not", () => {
  for (const { id } of CONDITION_KINDS.map((kind) => kind)) {
    const limits = ruleLimits({ conditions: [{ id, side: "both", day: null }], activity: { active: true, monthsActive: 12 } }, () => false);
    const context = contextWith({ complaints: [complaint({ site: "other" })], limits });
    for (const pattern of PATTERNS) {
      const judged = CATALOGUE.filter((row) => row.pattern === pattern).map((row) => judge(context, row, startSetting(SUBJECT, row)));
      const isLeft = judged.some(({ state }) => state !== "closed");
      const isSaid = judged.every(
        ({ reasons }) => reasons[0].code === "not-for" || reasons[0].code === "never" || reasons[0].code === "kept-out",
      );
      expect([id, pattern, isLeft || isSaid]).toEqual([id, pattern, true]);
    }
  }
});

test("a limit on the knee's bend leaves walking alone while it is above what walking bends, and not below", () => {
  const at = (most: number) =>
    judge(contextWith({ limits: [kneeLimit(most)] }), variationById("walking"), { setS: 300 }).reasons.map(({ code }) => code);
  expect(at(95)).not.toContain("over-limit");
  expect(at(85)).toContain("over-limit");
});

import { describe, expect, test } from "vitest";
import { CATALOGUE, variationById } from "../catalogue/catalogue";
import type { Variation } from "../catalogue/variation";
import { bodyFromMeasure } from "../body/body";
import { STRESS_PER_MOMENT_AT_90 } from "../mechanics/kneecap";
import { startSetting } from "../templates/form";
import type { Setting } from "../templates/lever";
import { calmCeilings, complaint, contextWith, kneeLimit, limit, SUBJECT } from "./fit.fixture";
import type { FitContext } from "./context";
import { type Glance, glance, judge } from "./judge";
import { tightest, usesOf } from "./use";

const raised = variationById("raised-sit-to-stand");
const pole = variationById("box-squat-pole");
const hinge = variationById("two-leg-hinge");
const bridge = variationById("floor-bridge");
const stepUp = variationById("step-up-rail");
const goblet = variationById("goblet-to-box");
const even = (seatHeightM: number): Setting => ({ seatHeightM, shareFraction: 0.5 });

describe("not measured is not open", () => {
  test("without a ceiling no row is open, and no percentage is made up", () => {
    const states = CATALOGUE.map((variation) => judge(contextWith({ ceilings: [] }), variation, startSetting(SUBJECT, variation)));
    expect(states.filter(({ state }) => state === "open")).toEqual([]);
    expect(states.filter(({ state, reasons: [{ code }] }) => state === "try" && code !== "ladder-and-trial")).toEqual([]);
    expect(states.filter(({ state }) => state === "not-measured").length).toBeGreaterThanOrEqual(90);
    expect(states.every(({ tightest: nothing }) => nothing === null)).toBe(true);
  });
  test("a complaint that no ceiling speaks for leaves it unmeasured, on its own side", () => {
    const both = [complaint(), complaint({ id: "back", site: "low-back", side: "both" })];
    expect(judge(contextWith({ complaints: both }), raised, even(0.66))).toMatchObject({
      state: "not-measured",
      reasons: [{ code: "complaint-unmeasured", complaintId: "back" }, { code: "under-ceilings" }],
    });
    const left = contextWith({ complaints: [complaint({ side: "left" })] });
    expect(judge(left, raised, even(0.66)).state).toBe("not-measured");
    expect(judge(contextWith(), raised, even(0.66)).state).toBe("open");
  });
  test("a ceiling that cannot be compared today is said, not dropped", () => {
    const [kneecap] = calmCeilings("kneecap", 0.58);
    if (!kneecap) throw new Error("no ceiling");
    const context = contextWith({
      ceilings: calmCeilings("hip", 0.58),
      unusable: [{ ceiling: kneecap, reason: "hip-height-unreachable" }],
    });
    expect(judge(context, raised, even(0.66))).toMatchObject({
      state: "not-measured",
      reasons: [{ code: "ceiling-unusable" }, { code: "complaint-unmeasured" }, {}],
    });
  });
  test("a ceiling of nothing, or on a side that nothing reads, is unread and named", () => {
    const [kneecap] = calmCeilings("kneecap", 0.58);
    if (!kneecap) throw new Error("no ceiling");
    const demands = judge(contextWith(), raised, even(0.66)).demands;
    expect(usesOf(demands, [{ ...kneecap, value: 0 }], "standing")).toMatchObject({ uses: [], unread: [{ value: 0 }] });
    expect(usesOf(demands, [{ ...kneecap, side: "both" }], "standing").unread).toHaveLength(1);
    expect(judge(contextWith({ ceilings: [{ ...kneecap, side: "both" }] }), raised, even(0.66)).reasons[0]).toMatchObject({
      code: "ceiling-unread",
    });
  });
  test("a trunk's lean says nothing lying down, and that alone closes nothing", () => {
    const ceilings = calmCeilings("back-bend", 0.58);
    const context = contextWith({ ceilings, complaints: [complaint({ site: "back-bend", side: "both" })] });
    expect(ceilings.map(({ channel }) => channel)).toEqual(["lowBackCompression", "trunkLean"]);
    expect(judge(context, bridge, startSetting(SUBJECT, bridge)).reasons.some(({ code }) => code === "ceiling-unread")).toBe(false);
  });
});

describe("a range", () => {
  const context = contextWith();
  test("opens, tries and closes by where the whole of it lies", () => {
    const seats = Array.from({ length: 29 }, (_, i) => 0.42 + i / 100);
    const judged = seats.map((seatHeightM) => judge(context, pole, { seatHeightM, handForceN: 98.1 }));
    for (const { uses, state } of judged) {
      expect(uses).toHaveLength(1);
      const expected =
        Math.max(...uses.map(({ low }) => low)) > 1 ? "closed" : Math.max(...uses.map(({ high }) => high)) > 1 ? "try" : "open";
      expect(state).toBe(expected);
    }
    expect(new Set(judged.map(({ state }) => state))).toEqual(new Set(["open", "try", "closed"]));
  });
  test("of a share nobody measured runs from .45 to .55 on either leg", () => {
    const [kneecap] = calmCeilings("kneecap", 0.58);
    if (!kneecap) throw new Error("no ceiling");
    for (const side of ["left", "right"] as const) {
      const sided = contextWith({ ceilings: [{ ...kneecap, side }], complaints: [] });
      const [measured, unknown] = [judge(sided, raised, even(0.6)).uses[0], judge(sided, raised, { seatHeightM: 0.6 }).uses[0]];
      if (!measured || !unknown) throw new Error("no use");
      expect(unknown.high / measured.head).toBeCloseTo(1.1, 1);
      expect(unknown.low / measured.head).toBeCloseTo(0.9, 1);
    }
  });
  test("of a share belongs to the working leg: the other carries the rest", () => {
    const setting = { seatHeightM: 0.6, shareFraction: 0.4 };
    const on = (leadSide: "left" | "right", side: "left" | "right"): number =>
      judge(contextWith({ subject: { ...SUBJECT, leadSide } }), raised, setting).demands.find(
        (d) => d.channel === "kneeMoment" && d.side === side,
      )?.head ?? NaN;
    expect(on("right", "right")).toBeLessThan(on("right", "left"));
    expect(on("left", "left")).toBeCloseTo(on("right", "right"), 9);
  });
  test("of a climb runs over how hard the lower foot pushes", () => {
    const use = judge(contextWith(), stepUp, { stepHeightM: 0.12, handForceN: 0, loadKg: 0 }).uses[0];
    if (!use) throw new Error("no use");
    expect(use.high / use.low).toBeGreaterThan(1.5);
    expect(use.high / use.low).toBeLessThan(1.65);
  });
});

describe("past 90 degrees of knee bend", () => {
  test("the knee's moment stands in at the stress per moment of 90 degrees, so that deeper never reads easier", () => {
    const context = contextWith();
    const seats = Array.from({ length: 24 }, (_, i) => 0.62 - i / 100);
    const uses = seats.map((seatHeightM) => judge(context, raised, even(seatHeightM)).uses[0]);
    const deep = uses.filter((use) => use?.standsIn === true);
    expect(deep.length).toBeGreaterThan(4);
    for (const [i, use] of uses.entries()) expect(use?.head).toBeGreaterThanOrEqual((uses[i - 1]?.head ?? 0) - 1e-9);
    const at = judge(context, raised, even(0.46));
    const moment = at.demands.find((d) => d.channel === "kneeMoment" && d.side === "right")?.head ?? NaN;
    const ceiling = context.ceilings[0]?.value ?? NaN;
    expect(at.uses[0]?.head).toBeCloseTo((moment * STRESS_PER_MOMENT_AT_90) / ceiling, 6);
    expect(at.reasons.some(({ code }) => code === "kneecap-past-90")).toBe(true);
  });
});

describe("a limit", () => {
  test("closes every set-up that bends further, and names itself", () => {
    const judgement = judge(contextWith({ limits: [kneeLimit(95)] }), variationById("plain-chair-sit-to-stand"), even(0.42));
    expect(judgement).toMatchObject({ state: "closed", blocked: true });
    expect(judgement.reasons[0]).toMatchObject({ code: "over-limit", limitId: "surgeon", channel: "kneeFlexion", most: 95 });
  });
  test("binds the side it names and no other", () => {
    const setting = { stepHeightM: 0.2, handForceN: 0, loadKg: 0 };
    const codes = (side: "left" | "right"): string[] =>
      judge(contextWith({ limits: [kneeLimit(60, { side })] }), stepUp, setting).reasons.map(({ code }) => code);
    expect(codes("right")).toContain("over-limit");
    expect(codes("left")).not.toContain("over-limit");
  });
  test("binds along the movement, not only where the pose ends", () => {
    const setting = startSetting(SUBJECT, bridge); // at the top the hips are open; on the floor they are not
    const top = judge(contextWith(), bridge, setting).demands.find(({ channel }) => channel === "hipFlexion");
    const over = judge(
      contextWith({ limits: [limit({ kind: "most", channel: "hipFlexion", most: 30 }, { side: "both" })] }),
      bridge,
      setting,
    );
    expect(setting.hipFlexionDeg).toBeLessThan(30);
    expect(top?.head).toBeGreaterThan(30);
    expect(over.reasons[0]).toMatchObject({ code: "over-limit", channel: "hipFlexion" });
  });
  test("binds the high end of what may be, for a held trunk or shin is not known", () => {
    const setting = { seatHeightM: 0.6, handForceN: 98.1 };
    const demand = judge(contextWith(), pole, setting).demands.find((d) => d.channel === "shankLean" && d.side === "right");
    if (!demand) throw new Error("no shin");
    expect(demand.high).toBeGreaterThan(demand.head + 1);
    const most = (demand.head + demand.high) / 2;
    const limits = [limit({ kind: "most", channel: "shankLean", most })];
    expect(judge(contextWith({ limits }), pole, setting).reasons[0]).toMatchObject({ code: "over-limit", channel: "shankLean" });
  });
  test("of the load carried by the spine counts what is held as well", () => {
    const limits = (most: number) => [limit({ kind: "most", channel: "spineLoad", most }, { side: "both" })];
    const held = { ...even(0.6), loadKg: 20 };
    expect(judge(contextWith({ limits: limits(100) }), goblet, held).reasons[0]).toMatchObject({
      code: "over-limit",
      channel: "spineLoad",
    });
    expect(judge(contextWith({ limits: limits(250) }), goblet, held).reasons[0]).not.toMatchObject({ code: "over-limit" });
  });
  test("never a bar on the shoulders and never any added weight are two", () => {
    const never = (what: "bar-on-shoulders" | "added-weight", setting: Setting, variation: Variation): boolean =>
      judge(contextWith({ limits: [limit({ kind: "never", what }, { side: "both" })] }), variation, setting).blocked;
    const bar = variationById("bar-on-back");
    expect(never("bar-on-shoulders", { ...even(0.6), loadKg: 20 }, bar)).toBe(true);
    expect(never("bar-on-shoulders", { ...even(0.6), loadKg: 4 }, goblet)).toBe(false);
    expect(never("added-weight", { ...even(0.6), loadKg: 4 }, goblet)).toBe(true);
    expect(never("added-weight", even(0.6), raised)).toBe(false);
  });
  test("in own words closes nothing, but is said", () => {
    const judgement = judge(contextWith({ limits: [limit({ kind: "own-words", text: "no kneeling" })] }), raised, even(0.66));
    expect(judgement.state).toBe("open");
    expect(judgement.reasons).toContainEqual({ code: "own-words-limit", limitId: "surgeon", text: "no kneeling" });
  });
  test("past its date still closes, as it must be asked about", () => {
    const limits = [kneeLimit(95, { untilDay: "2026-11-01" })];
    expect(judge(contextWith({ limits }), variationById("plain-chair-sit-to-stand"), even(0.42)).blocked).toBe(true);
  });
});

describe("guard rails", () => {
  const bent = pole;
  const deep: Setting = { ...even(0.33), handForceN: 60 };
  test("close a trunk bent past 60 degrees outside the hinge, and no hinge by that", () => {
    const codes = (variation: Variation, setting: Setting) =>
      judge(contextWith({ ceilings: [] }), variation, setting).reasons.filter(({ code }) => code === "guard-rail");
    expect(codes(hinge, { trunkLeanDeg: 70, kneeFlexionDeg: 15, loadKg: 0 })).toEqual([]);
    expect(codes(goblet, { ...even(0.36), loadKg: 0 })).toContainEqual(expect.objectContaining({ channel: "hipFlexion", most: 125 }));
    expect(codes(bent, deep)).toContainEqual(expect.objectContaining({ channel: "trunkLean", most: 60 }));
  });
  test("give way to what this client has been measured to do", () => {
    const value = judge(contextWith(), bent, deep).demands.find(({ channel }) => channel === "trunkLean")?.head ?? NaN;
    const channels = (own: number) =>
      judge(contextWith({ ownRange: { trunkLean: own } }), bent, deep).reasons.flatMap((reason) =>
        reason.code === "guard-rail" ? [reason.channel] : [],
      );
    expect(channels(value - 1)).toContain("trunkLean");
    expect(channels(value)).not.toContain("trunkLean");
  });
  test("hold a back by the high end of what it may be asked, not by the headline", () => {
    // how hard the lower foot pushes off is not known: the headline lies under the bound, the worst of it over
    let found = 0;
    for (const id of ["loaded-step-up", "post-held-sit-back-squat"])
      for (let massKg = 110; massKg <= 200; massKg += 10) {
        const subject = { ...SUBJECT, body: bodyFromMeasure({ heightM: 1.68, massKg, sex: "female" }) };
        const row = variationById(id);
        const setting = startSetting(subject, row);
        const back = judge(contextWith({ subject }), row, setting).demands.find(({ channel }) => channel === "lowBackCompression");
        if (!back || !(back.head <= 3400 && back.high > 3400)) continue;
        found++;
        expect(judge(contextWith({ subject, careful: ["back"] }), row, setting).reasons.some(({ code }) => code === "guard-rail")).toBe(
          true,
        );
      }
    expect(found).toBeGreaterThan(0);
  });
  test("hold a back with a reason for care under 3,400 N, another only under 6,400 N and with a word", () => {
    const setting = { trunkLeanDeg: 60, kneeFlexionDeg: 15, loadKg: 24 };
    const back = judge(contextWith(), hinge, setting).demands.find(({ channel }) => channel === "lowBackCompression")?.high ?? NaN;
    expect(back).toBeGreaterThan(3400);
    expect(back).toBeLessThan(6400);
    for (const careful of ["back", "bone-thinning", "pregnancy"] as const)
      expect(judge(contextWith({ careful: [careful] }), hinge, setting).reasons[0]).toMatchObject({
        code: "guard-rail",
        channel: "lowBackCompression",
        most: 3400,
      });
    const other = judge(contextWith(), hinge, setting);
    expect(other.reasons.some(({ code }) => code === "guard-rail")).toBe(false);
    expect(other.reasons).toContainEqual({ code: "back-over-action", value: back });
  });
});

test("a load that keeps the pose from falling over is a counterweight, and closes it", () => {
  const stiff = { ...SUBJECT, posture: { kind: "measured", kneeFlexionDeg: 80, shankLeanDeg: 20, pressureFraction: 0.5 } } as const;
  const seats = [0.5, 0.53, 0.56].map((seatHeightM) => ({ seatHeightM, shareFraction: 0.5 }));
  const on = (setting: Setting) => judge(contextWith({ subject: stiff, ceilings: [] }), goblet, setting);
  const falling = seats.filter((setting) => !on({ ...setting, loadKg: 0 }).isPossible && on({ ...setting, loadKg: 40 }).isPossible);
  expect(falling.length).toBeGreaterThan(0);
  for (const setting of falling) expect(on({ ...setting, loadKg: 40 }).reasons[0]).toEqual({ code: "counterweight", loadKg: 40 });
});

test("missing equipment closes with what is missing", () => {
  const context = contextWith({ kit: { ...contextWith().kit, equipment: ["chair", "cushion"] } });
  expect(judge(context, pole, { seatHeightM: 0.66, handForceN: 60 }).reasons[0]).toEqual({
    code: "equipment-missing",
    equipment: ["pole"],
  });
  expect(judge(context, pole, { seatHeightM: 0.66, handForceN: 60 }).reasons).toContainEqual({
    code: "stand-in",
    instead: "chair",
    of: "box",
  });
  const railed = { ...context, kit: { ...context.kit, equipment: ["chair", "rail"] as const } };
  expect(judge(railed, pole, { seatHeightM: 0.66, handForceN: 60 }).state).not.toBe("closed");
});

test("a code that the catalogue no longer has opens retired, closed and without a trace", () => {
  const gone = variationById("no-longer-here");
  expect(judge(contextWith(), gone, {})).toMatchObject({ state: "closed", blocked: true });
});

test("the tightest is the one nearest its ceiling by headline", () => {
  const [kneecap] = calmCeilings("kneecap", 0.58);
  if (!kneecap) throw new Error("no ceiling");
  const { demands } = judge(contextWith(), raised, even(0.6));
  const { uses } = usesOf(demands, [kneecap, { ...kneecap, id: "low", channel: "hipMoment", value: 10 }], "standing");
  expect(tightest(uses)?.ceilingId).toBe("low");
  expect(tightest([])).toBeNull();
});

test("a taller body at the same seat bends further, and its judgement follows", () => {
  const tall = { ...SUBJECT, body: bodyFromMeasure({ heightM: 1.95, massKg: 80, sex: "male" }) };
  const bend = (context: ReturnType<typeof contextWith>) =>
    judge(context, raised, even(0.5)).demands.find(({ channel }) => channel === "kneeFlexion")?.head ?? NaN;
  expect(bend(contextWith({ subject: tall }))).toBeGreaterThan(bend(contextWith()));
});

describe("room for the belly", () => {
  const room = (leastDeg: number, reading: (...of: [FitContext, Variation, Setting]) => Glance = judge) =>
    reading(contextWith({ limits: [limit({ kind: "room", leastDeg }, { side: "both" })] }), raised, even(0.6));
  const has = judge(contextWith(), raised, even(0.6)).demands.find(({ channel }) => channel === "bellyRoom")?.low ?? NaN;
  test("must not fall short, along the movement, in a search as in a full reading", () => {
    expect(has).toBeGreaterThan(60);
    expect(room(has + 1)).toMatchObject({ state: "closed" });
    for (const reading of [judge, glance]) {
      expect(room(has + 1, reading).closing[0]).toEqual({
        code: "room-short",
        limitId: "surgeon",
        valueDeg: expect.closeTo(has, 0) as number,
        leastDeg: has + 1,
      });
      expect(room(has + 1, reading).blocked).toBe(true);
      expect(room(has - 1, reading).blocked).toBe(false);
    }
    expect(room(has).blocked).toBe(false);
  });
});

describe("what the model does not know", () => {
  const unmodelled = (knee: 0 | 1 | 2 | 3, more: Partial<Variation> = {}): Variation => ({
    ...raised,
    id: "unmodelled",
    code: "X01",
    template: "no-model",
    parameters: {},
    levers: [],
    tags: { ...raised.tags, knee },
    ...more,
  });
  const unknown = unmodelled(2);
  test("is tried where it asks little, where the easier one was calm, or where a rule takes it instead; open once it was calm itself", () => {
    const on = (variation: Variation, more: Parameters<typeof contextWith>[0] = {}) => judge(contextWith(more), variation, {});
    expect(on(unmodelled(1))).toMatchObject({ state: "try", reasons: [{ code: "ladder-and-trial", because: "asks-little" }] });
    expect(on(unmodelled(1, { tags: { ...raised.tags, knee: 1, balance: 2 } })).state).toBe("not-measured");
    expect(on(unknown, { calmRows: raised.easier })).toMatchObject({ state: "try", reasons: [{ because: "easier-was-calm" }] });
    expect(on(unknown, { calmRows: ["unmodelled"] })).toMatchObject({ state: "open", reasons: [{ code: "calm-before" }] });
    const instead = limit({ kind: "rows", codes: ["S21"], instead: ["X01"] }, { side: "both" });
    expect(on(unknown, { limits: [instead] })).toMatchObject({ state: "try", reasons: [{ because: "taken-instead" }] });
  });
  test("a tag of little load says nothing of a bend: what no set-up tells is not read", () => {
    const knee = limit({ kind: "most", channel: "kneeFlexion", most: 90 }, { side: "both" });
    const on = (variation: Variation) => judge(contextWith({ limits: [knee] }), variation, {}).reasons.map(({ code }) => code);
    expect(on(unmodelled(0, { trains: { calf: 2 } }))).toContain("limit-unread");
    expect(on(unmodelled(0, { basedOn: "C08" }))).not.toContain("limit-unread");
    expect(on(unmodelled(0, { basedOn: "T08" }))).toContain("over-limit");
  });
  test("is never open, and a limit it cannot be read against is said", () => {
    expect(judge(contextWith(), unknown, {})).toMatchObject({
      state: "not-measured",
      blocked: false,
      reasons: [{ code: "not-in-the-model" }],
    });
    for (const rule of [
      { kind: "most", channel: "kneeFlexion", most: 90 },
      { kind: "room", leastDeg: 60 },
    ] as const) {
      const judged = judge(contextWith({ limits: [limit(rule, { side: "both" })] }), unknown, {});
      expect(judged).toMatchObject({ state: "not-measured", blocked: false });
      expect(judged.reasons[0]).toEqual({ code: "limit-unread", limitId: "surgeon" });
    }
  });
});

describe("a pose that cannot be", () => {
  test("is closed with its reason and nothing else", () => {
    expect(judge(contextWith(), raised, even(1.4))).toEqual({
      state: "closed",
      blocked: true,
      isPossible: false,
      closing: [{ code: "pose-impossible", reason: "hip-height-unreachable" }],
      reasons: [{ code: "pose-impossible", reason: "hip-height-unreachable" }],
      demands: [],
      uses: [],
      tightest: null,
    });
  });
});

describe("impact", () => {
  const noImpact = contextWith({ limits: [limit({ kind: "never", what: "impact" }, { side: "both" })] });
  const down: Variation = { ...stepUp, id: "down", parameters: { direction: "down" } };
  test("is a foot that lands, and neither one set down slowly nor two that stay", () => {
    const codes = (variation: Variation, setting: Setting) => judge(noImpact, variation, setting).reasons.map(({ code }) => code);
    expect(codes({ ...down, lowering: "fast" }, { stepHeightM: 0.12 })).toContain("never");
    expect(codes(down, { stepHeightM: 0.12 })).not.toContain("never");
    expect(codes({ ...raised, tags: { ...raised.tags, isImpact: true } }, even(0.66))).toContain("never");
    expect(codes(stepUp, { stepHeightM: 0.12 })).not.toContain("never");
    expect(codes(raised, even(0.66))).not.toContain("never");
  });
});

describe("several ceilings", () => {
  const [kneecap] = calmCeilings("kneecap", 0.58);
  const [hip] = calmCeilings("hip", 0.58);
  if (!kneecap || !hip) throw new Error("no ceiling");
  const with2 = (times: number) =>
    contextWith({
      ceilings: [
        { ...kneecap, value: kneecap.value * 3 },
        { ...hip, id: "hip", value: hip.value * times },
      ],
    });
  test("are judged by the worst of them, whichever comes first", () => {
    for (const times of [0.5, 0.97, 3]) {
      const context = with2(times);
      const turned = { ...context, ceilings: context.ceilings.toReversed() };
      const state = judge(context, raised, { seatHeightM: 0.6 }).state;
      expect(state).toBe(times < 0.9 ? "closed" : times > 1 ? "open" : "try");
      expect(judge(turned, raised, { seatHeightM: 0.6 }).state).toBe(state);
      expect(judge(turned, raised, { seatHeightM: 0.6 }).tightest?.ceilingId).toBe(
        times < 1 ? "hip" : judge(context, raised, { seatHeightM: 0.6 }).tightest?.ceilingId,
      );
    }
    expect(judge(with2(0.5), raised, { seatHeightM: 0.6 }).reasons[0]).toMatchObject({ code: "over-ceiling", use: { ceilingId: "hip" } });
    expect(judge(with2(0.97), raised, { seatHeightM: 0.6 }).reasons[0]).toMatchObject({
      code: "straddles-ceiling",
      use: { ceilingId: "hip" },
    });
  });
  test("just at it is still under it", () => {
    const context = contextWith();
    expect(judge(context, raised, even(0.58))).toMatchObject({ state: "open", reasons: [{ code: "under-ceilings" }] });
  });
});

describe("what a ceiling speaks for", () => {
  const codes = (
    complaints: Parameters<typeof complaint>[0][],
    ceilings = calmCeilings("kneecap", 0.58),
    variation: Variation = raised,
    setting: Setting = even(0.66),
  ) =>
    judge(contextWith({ complaints: complaints.map((more) => complaint(more)), ceilings }), variation, setting).reasons.map(
      ({ code }) => code,
    );
  test("is its own side; of a complaint on both it takes both", () => {
    expect(codes([{ side: "right" }])).not.toContain("complaint-unmeasured");
    expect(codes([{ side: "both" }])).toContain("complaint-unmeasured");
    const other = calmCeilings("kneecap", 0.58).map((each) => ({ ...each, id: "other", side: "left" as const }));
    expect(codes([{ side: "both" }], [...calmCeilings("kneecap", 0.58), ...other])).not.toContain("complaint-unmeasured");
    expect(codes([{ side: "left" }])).toContain("complaint-unmeasured");
    expect(codes([{ site: "hip" }])).toContain("complaint-unmeasured");
  });
  test("is a back of no side, and nothing for what has no channel", () => {
    expect(codes([{ site: "low-back", side: "both" }], calmCeilings("low-back", 0.58))).not.toContain("complaint-unmeasured");
    expect(codes([{ site: "low-back", side: "left" }], calmCeilings("low-back", 0.58))).not.toContain("complaint-unmeasured");
    expect(codes([{ site: "other" }])).not.toContain("complaint-unmeasured");
  });
  test("is a trunk's lean even lying down, where it means nothing", () => {
    const lying = startSetting(SUBJECT, bridge);
    expect(codes([{ site: "back-bend", side: "both" }], calmCeilings("back-bend", 0.58), bridge, lying)).not.toContain(
      "complaint-unmeasured",
    );
    expect(codes([{ site: "back-bend", side: "both" }], calmCeilings("low-back", 0.58), bridge, lying)).toContain("complaint-unmeasured");
  });
});

test("at the ankle's limit the screen is told, and nowhere else", () => {
  const codes = (seatHeightM: number) => judge(contextWith(), raised, even(seatHeightM)).reasons.map(({ code }) => code);
  expect(codes(0.42)).toContain("ankle-at-its-limit");
  expect(codes(0.6)).not.toContain("ankle-at-its-limit");
  expect(codes(0.6)).not.toContain("own-words-limit");
  expect(codes(0.6)).not.toContain("kneecap-past-90");
});

test("a load that is no counterweight is none, and a lying body cannot fall over", () => {
  const codes = (variation: Variation, setting: Setting) => judge(contextWith(), variation, setting).reasons.map(({ code }) => code);
  expect(codes(goblet, { ...even(0.6), loadKg: 12 })).not.toContain("counterweight");
  expect(codes(bridge, { ...startSetting(SUBJECT, bridge), loadKg: 12 })).not.toContain("counterweight");
});

test("a search reads the headline alone, and only what may close", () => {
  const { demands } = glance(contextWith(), raised, { seatHeightM: 0.6 }, "headline");
  const whole = judge(contextWith(), raised, { seatHeightM: 0.6 }).demands;
  expect(demands.length).toBeLessThan(whole.length);
  const held = glance(contextWith(), pole, { seatHeightM: 0.6, handForceN: 98.1, shareFraction: 0.5 }, "headline").demands.find(
    ({ channel }) => channel === "kneeMoment",
  );
  expect(held?.low).toBe(held?.high);
});

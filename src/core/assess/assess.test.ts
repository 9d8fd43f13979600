import { describe, expect, test } from "vitest";
import { dayAfter } from "../day";
import { isBinding, type Limit } from "../limits/limit";
import { SITES } from "../limits/complaint";
import { ruleLimits, type ScreenAnswers } from "../screen/screen";
import { CONDITION_IDS } from "../screen/conditions.data";
import { adviceOf, isSpreading } from "./advice";
import {
  changeSince,
  type Finding,
  firstSide,
  isProtocol,
  isSameSetUp,
  isUnlikely,
  latestOf,
  protocolOf,
  retestsOf,
  sidesApart,
  sidesOf,
} from "./finding";
import { normOf, placeOf } from "./norm";
import { type Assessed, closedBy, MOST_PICKED, pickProtocols } from "./pick";
import { type Protocol, PROTOCOLS } from "./protocols.data";
import { isMeasuredLimit, isMeasuredSo, isTelling, measuredRange, rangeLimits } from "./range-limits";

const TODAY = "2026-11-27";
const daysAgo = (days: number): string => dayAfter(TODAY, -days);
let made = 0;
const found = (protocol: string, value: number, more: Partial<Finding> = {}): Finding => ({
  id: `f${made++}`,
  day: daysAgo(1),
  protocol,
  side: "both",
  value,
  setUp: {},
  note: "",
  ...more,
});
function protocol(id: string): Protocol {
  const known = protocolOf(id);
  if (!known) throw new Error(`no protocol ${id}`);
  return known;
}
const NOBODY: Assessed = { age: 45, screen: {}, complaints: [], tasks: [], limits: [], findings: [], gate: "open", today: TODAY };
const withCondition = (...ids: string[]): Pick<Assessed, "screen"> => ({
  screen: { conditions: ids.map((id) => ({ id, side: "both", day: null })) },
});
const ids = (assessed: Partial<Assessed>): string[] => pickProtocols({ ...NOBODY, ...assessed }).map((picked) => picked.protocol.id);

describe("protocols", () => {
  test("are told apart, bounded, and believed within their bounds", () => {
    expect(new Set(PROTOCOLS.map(({ id }) => id)).size).toBe(PROTOCOLS.length);
    expect(PROTOCOLS.length).toBeGreaterThan(30);
    for (const { id, min, max, belief, options, quantity } of PROTOCOLS) {
      expect([id, belief[0] >= min, belief[1] <= max, min < max]).toEqual([id, true, true, true]);
      if (quantity === "choice") expect([id, options?.length]).toEqual([id, max + 1]);
    }
  });
  test("are picked for conditions and sites that there are", () => {
    for (const { id, pickedFor } of PROTOCOLS)
      for (const reason of pickedFor) {
        if (reason.kind === "condition") expect([id, CONDITION_IDS]).toEqual([id, expect.arrayContaining([reason.id])]);
        if (reason.kind === "site") expect([id, SITES]).toEqual([id, expect.arrayContaining([reason.id])]);
      }
  });
});

describe("a result", () => {
  test("lies below, within or above what is published, and nowhere where no cell is", () => {
    const norm = normOf("chair-stand", { age: 62, sex: "female" });
    expect(norm).toMatchObject({ low: 12, high: 17 });
    expect(norm && [11, 12, 17, 18].map((value) => placeOf(value, norm))).toEqual(["below", "within", "within", "above"]);
    expect(normOf("chair-stand", { age: 59, sex: "female" })).toBeNull();
    const slow = normOf("five-rises", { age: 66, sex: "male" });
    expect(slow && [11.4, 11.5].map((value) => placeOf(value, slow))).toEqual(["within", "above"]);
    expect(normOf("one-leg-stance", { age: 45, sex: "female" })).toMatchObject({ high: 45 }); // the watch stops there
    expect(normOf("hinge", { age: 62, sex: "female" })).toBeNull();
  });
  test("is really better or worse only beyond the measurement's own error, in the same set-up", () => {
    const seat = { setUp: { seatHeightM: 0.43 } };
    const before = found("chair-stand", 11, { day: daysAgo(30), ...seat });
    const change = (value: number, more: Partial<Finding> = seat) => {
      const now = found("chair-stand", value, more);
      return changeSince(protocol("chair-stand"), now, [before, now]);
    };
    expect(change(12)).toMatchObject({ kind: "within-error", difference: 1 });
    expect(change(13)).toMatchObject({ kind: "real", difference: 2, isBetter: true });
    expect(change(9)).toMatchObject({ kind: "real", isBetter: false });
    expect(change(13, { setUp: { seatHeightM: 0.48 } })).toMatchObject({ kind: "other-set-up" });
    expect(change(13, {})).toMatchObject({ kind: "other-set-up" }); // a seat nobody noted is not the same seat
    const slower = found("five-rises", 15, { day: daysAgo(30) });
    const quicker = found("five-rises", 12);
    expect(changeSince(protocol("five-rises"), quicker, [slower, quicker])).toMatchObject({ kind: "real", isBetter: true });
    const girth = found("thigh-girth", 0.5, { side: "left" });
    expect(
      changeSince(protocol("thigh-girth"), girth, [found("thigh-girth", 0.48, { side: "left", day: daysAgo(9) }), girth]),
    ).toMatchObject({
      kind: "error-unknown",
    });
    expect(changeSince(protocol("chair-stand"), before, [before])).toBeNull();
  });
  test("counts as of the same set-up within a centimetre or half a kilogram", () => {
    expect(isSameSetUp({ seatHeightM: 0.43 }, { seatHeightM: 0.44 })).toBe(true);
    expect(isSameSetUp({ seatHeightM: 0.43 }, { seatHeightM: 0.45 })).toBe(false);
    expect(isSameSetUp({ loadKg: 8 }, { loadKg: 9 })).toBe(false);
  });
  test("is asked about where it is hardly believed", () => {
    expect([4, 45].map((value) => isUnlikely(protocol("chair-stand"), value))).toEqual([false, true]);
    expect(isUnlikely(protocol("knee-bend"), 30)).toBe(true);
  });
});

describe("two sides", () => {
  const apart = (id: string, left: number, right: number, more: Partial<Finding> = {}) =>
    sidesApart(protocol(id), [found(id, left, { side: "left" }), found(id, right, { side: "right", ...more })]);
  test("differ by a part of the better one, with the worse side named; of times the longer is the better or not", () => {
    expect(apart("heel-raise", 9, 12)).toMatchObject({ worse: "left", deficitFraction: 0.25 });
    expect(apart("one-leg-stance", 27, 14)).toMatchObject({ worse: "right" });
    expect(apart("heel-raise", 12, 12)).toMatchObject({ worse: null, deficitFraction: 0 });
  });
  test("have no ratio where one means nothing, and no side where neither way is better", () => {
    expect(apart("knee-straight", 0, 3)).toMatchObject({ worse: "right", deficitFraction: null });
    expect(apart("step-down", 4, 2)).toMatchObject({ worse: "left", deficitFraction: null });
    expect(apart("weight-share", 0.57, 0.43)).toBeNull();
    expect(apart("step-down", 4, 2, { setUp: { stepHeightM: 0.1 } })).toBeNull();
  });
  test("begin with the sore one, or with it last; both sore, they take turns", () => {
    expect(firstSide(["right"], "sore-first", null)).toBe("right");
    expect(firstSide(["right"], "sore-last", null)).toBe("left");
    expect(firstSide(["left", "right"], "sore-first", "left")).toBe("right");
    expect(firstSide(["left", "right"], "sore-first", "right")).toBe("left");
  });
});

describe("measured ranges", () => {
  const bends = [
    found("knee-bend", 95, { side: "right", day: daysAgo(20) }),
    found("knee-bend", 104, { side: "right", day: daysAgo(2) }),
    found("knee-bend", 140, { side: "left" }),
    found("tuck", 88),
  ];
  test("bind as limits of their side, the latest of each: a depth measured again moves its cap", () => {
    const limits = rangeLimits(bends);
    expect(limits.map(({ rule, side, owner }) => [rule, side, owner.kind])).toEqual([
      [{ kind: "most", channel: "kneeFlexion", most: 140 }, "left", "measure"],
      [{ kind: "most", channel: "kneeFlexion", most: 104 }, "right", "measure"],
      [{ kind: "most", channel: "hipFlexion", most: 88 }, "both", "measure"],
    ]);
    expect(limits.every(isMeasuredLimit)).toBe(true);
    expect(rangeLimits([...bends, found("tuck", 97, { day: TODAY })]).at(-1)?.rule).toMatchObject({ most: 97 });
  });
  test("lend a guard rail only what the worse side has, and nothing of a side nobody measured", () => {
    expect(measuredRange(bends)).toEqual({ kneeFlexion: 104, hipFlexion: 88 });
    expect(measuredRange([found("knee-bend", 150, { side: "left" })])).toEqual({});
  });
  test("are kept in view where they are short and nothing stricter is said", () => {
    const limits = rangeLimits(bends);
    const surgeon: Limit = {
      ...(limits[1] as Limit),
      id: "s",
      rule: { kind: "most", channel: "kneeFlexion", most: 95 },
      owner: { kind: "clinician", name: "S" },
    };
    expect(limits.map((limit) => isTelling(limit, limits))).toEqual([false, true, true]);
    expect(limits.map((limit) => isTelling(limit, [...limits, surgeon]))).toEqual([false, false, true]);
    expect(isTelling(surgeon, [...limits, surgeon])).toBe(true);
  });
  test("stay in view beside what is as strict, on another side, of another kind or looser", () => {
    const knee = rangeLimits([found("knee-bend", 104, { side: "right" })])[0]!;
    const beside = (more: Partial<Limit>): boolean => isTelling(knee, [knee, { ...knee, id: "other", ...more }]);
    const most = (value: number, channel: "kneeFlexion" | "hipFlexion" = "kneeFlexion"): Limit["rule"] => ({
      kind: "most",
      channel,
      most: value,
    });
    expect(beside({ rule: most(104) })).toBe(false);
    expect(beside({ rule: most(105) })).toBe(true);
    expect(beside({ rule: most(90), side: "left" })).toBe(true);
    expect(beside({ rule: most(90), side: "both" })).toBe(false);
    expect(beside({ rule: most(90, "hipFlexion") })).toBe(true);
    expect(beside({ rule: { kind: "never", what: "lying" } })).toBe(true);
    const bent = (deg: number): Limit => rangeLimits([found("knee-bend", deg, { side: "right" })])[0]!;
    expect([119, 120].map((deg) => isTelling(bent(deg), [bent(deg)]))).toEqual([true, false]);
  });
  test("say what a person said once, not once more by rule", () => {
    const said: Limit = {
      ...(rangeLimits(bends)[1] as Limit),
      id: "m",
      rule: { kind: "never", what: "lying" },
      owner: { kind: "clinician", name: "M" },
    };
    const byRule: Limit = { ...said, id: "r", owner: { kind: "rule", name: "R" } };
    const other: Limit = { ...byRule, id: "o", rule: { kind: "never", what: "impact" } };
    expect([said, byRule, other].map((limit) => isTelling(limit, [said, byRule, other]))).toEqual([true, false, true]);
    expect(isTelling(byRule, [byRule, { ...said, side: said.side === "left" ? "right" : "left" }])).toBe(true);
  });
});

describe("a replaced knee", () => {
  const replaced = (side: "left" | "right" | "both"): ScreenAnswers => ({ conditions: [{ id: "knee-replacement", side, day: null }] });
  const knee = (side: "left" | "right", bend: number, short: number) => [
    found("knee-bend", bend, { side }),
    found("knee-straight", short, { side }),
  ];
  const closes = (findings: Finding[], answers: ScreenAnswers) =>
    ruleLimits(answers, (gate, side) => isMeasuredSo(findings, gate, side))
      .filter((limit) => limit.rule.kind === "never" && limit.rule.what === "added-weight" && isBinding(limit, TODAY))
      .map(({ rule, side }) => [rule, side]);
  test("carries no added weight before it is measured straight, and bent to 110 degrees; the latest counts", () => {
    const closed = [[{ kind: "never", what: "added-weight" }, "right"]];
    expect(closes([], replaced("right"))).toEqual(closed);
    expect(closes(knee("right", 95, 8), replaced("right"))).toEqual(closed);
    expect(closes(knee("right", 110, 6), replaced("right"))).toEqual(closed);
    expect(closes(knee("right", 109, 5), replaced("right"))).toEqual(closed);
    expect(closes(knee("right", 110, 5), replaced("right"))).toEqual([]);
    expect(closes(knee("left", 120, 0), replaced("right"))).toEqual(closed);
    expect(closes(knee("left", 120, 0), replaced("both"))).toHaveLength(1);
    expect(closes([...knee("left", 120, 0), ...knee("right", 115, 2)], replaced("both"))).toEqual([]);
    expect(closes([], { conditions: [{ id: "knee-arthritis", side: "right", day: null }] })).toEqual([]);
  });
  test("is not straight because it bends, nor bends because it is straight", () => {
    expect(isMeasuredSo([found("knee-bend", 120, { side: "right" })], "straight-and-bend", "right")).toBe(false);
    expect(isMeasuredSo([found("knee-straight", 0, { side: "right" })], "straight-and-bend", "right")).toBe(false);
  });
  test("is loaded all the same where the trainer has set the rule aside, with why", () => {
    const aside = { ruleId: "replacement-straight", side: "right", by: "Tove", reason: "surgeon agrees", day: daysAgo(3) } as const;
    expect(closes([], { ...replaced("right"), setAside: [aside] })).toEqual([]);
  });
});

describe("what a rule waits for", () => {
  test("a heel in line on its own raise, on the side asked about, by the latest look", () => {
    const heel = (side: "left" | "right", value: number, day = TODAY) => found("heel-line", value, { side, day });
    const isSo = (findings: Finding[], side: "left" | "right" | "both") => isMeasuredSo(findings, "heel-in-line", side);
    expect([0, 1, 2].map((value) => isSo([heel("left", value)], "left"))).toEqual([true, true, false]);
    expect([isSo([], "left"), isSo([heel("right", 0)], "left"), isSo([heel("right", 0)], "both")]).toEqual([false, false, false]);
    expect(isSo([heel("left", 0), heel("right", 1)], "both")).toBe(true);
    expect(isSo([heel("left", 0, daysAgo(5)), heel("left", 2)], "left")).toBe(false);
  });
  test("a pelvis level in both carries, on either side", () => {
    const all = ["carry-early", "carry-late"].flatMap((id) => (["left", "right"] as const).map((side) => found(id, 0, { side })));
    const isSo = (findings: Finding[]) => isMeasuredSo(findings, "level-pelvis", "both");
    expect(isSo(all)).toBe(true);
    for (const one of all) {
      expect(isSo(all.filter((each) => each !== one))).toBe(false);
      expect(isSo(all.map((each) => (each === one ? { ...each, value: 1 } : each)))).toBe(false);
    }
  });
});

describe("retests", () => {
  test("are due four weeks after the last time, whichever side it was, and overdue the day after", () => {
    const findings = [
      found("knee-bend", 100, { side: "left", day: daysAgo(40) }),
      found("knee-bend", 100, { side: "right", day: daysAgo(28) }),
    ];
    expect(retestsOf(findings, [], TODAY)).toEqual([{ protocol: "knee-bend", lastDay: daysAgo(28), dueDay: TODAY, isOverdue: false }]);
    expect(retestsOf(findings, [], dayAfter(TODAY, 1))[0]?.isOverdue).toBe(true);
    expect(retestsOf([], [], TODAY)).toEqual([]);
    expect(retestsOf(findings, ["sprains", "knee-replacement"], TODAY)).toMatchObject([{ dueDay: daysAgo(14), isOverdue: true }]); // range is won early
  });
});

describe("the five", () => {
  test("are never more, each with its reason, the most telling first", () => {
    const picked = pickProtocols({ ...NOBODY, age: 71, ...withCondition("knee-replacement", "back-disc", "falls", "sprains", "side-hip") });
    expect(picked).toHaveLength(MOST_PICKED);
    expect(picked[0]).toMatchObject({ protocol: { id: "knee-bend" }, because: { kind: "condition", id: "knee-replacement" } });
    expect(ids({})).toEqual([]);
  });
  test("follow the client: a bend-sensitive back is not asked for its heel raises, a replaced knee first for bend and straightening", () => {
    expect(ids(withCondition("back-bend"))).toEqual(expect.arrayContaining(["tuck", "bend-response", "hinge"]));
    expect(ids(withCondition("back-bend"))).not.toContain("heel-raise");
    expect(ids(withCondition("knee-replacement")).slice(0, 2)).toEqual(["knee-bend", "knee-straight"]);
    expect(ids({ tasks: ["step"] })).toContain("calm-step");
    expect(ids({ complaints: [{ site: "kneecap" }] })[0]).toBe("calm-seat");
  });
  test("are for a place that hurts and for an age, from its birthday on, and tell of all that speaks the weightiest", () => {
    const because = (assessed: Partial<Assessed>, id: string) =>
      pickProtocols({ ...NOBODY, ...assessed }).find((picked) => picked.protocol.id === id)?.because;
    expect(because({ complaints: [{ site: "knee" }] }, "chair-stand")).toMatchObject({ kind: "site", id: "knee" });
    expect(because({ complaints: [{ site: "hip" }] }, "chair-stand")).toBeUndefined();
    expect([59, 60].map((age) => because({ age }, "chair-stand"))).toEqual([undefined, { kind: "age", from: 60, weight: 4 }]);
    const stance = { age: 60, ...withCondition("falls", "sprains") };
    expect(because(stance, "one-leg-stance")).toMatchObject({ id: "falls", weight: 6 });
    expect(because({ age: 60, complaints: [{ site: "knee" }] }, "chair-stand")).toMatchObject({ kind: "age" });
    const knee = withCondition("kneecap-pain", "knee-tendon");
    expect(because(knee, "calm-step")).toMatchObject({ id: "knee-tendon", weight: 5 }); // not the one named first
  });
  test("put what is overdue before what is new, and leave out what a limit or an unanswered screen closes", () => {
    const old = [found("hip-back", 12, { side: "left", day: daysAgo(60) })];
    expect(ids({ ...withCondition("back-arch"), findings: old })[0]).toBe("hip-back");
    const lying: Limit = {
      id: "l",
      rule: { kind: "never", what: "lying" },
      side: "both",
      owner: { kind: "clinician", name: "M" },
      fromDay: daysAgo(9),
      untilDay: null,
      lift: null,
    };
    expect(ids(withCondition("tight-hip"))).toContain("hip-bend");
    expect(ids({ ...withCondition("tight-hip"), limits: [lying] })).not.toContain("hip-bend");
    expect(closedBy(protocol("hip-bend"), { ...NOBODY, limits: [lying] })).toEqual({ by: "limit", limit: lying });
    // not by what is forbidden of something else, bounds a bend, or no longer runs
    for (const more of [
      { rule: { kind: "never", what: "impact" } },
      { rule: { kind: "most", channel: "hipFlexion", most: 90 } },
      { owner: { kind: "rule", name: "R" }, untilDay: daysAgo(1) },
    ] as const)
      expect(closedBy(protocol("hip-bend"), { ...NOBODY, limits: [{ ...lying, ...more }] })).toBeNull();
    for (const gate of ["missing", "refer", "stop"] as const) {
      expect(closedBy(protocol("chair-stand"), { ...NOBODY, gate })).toEqual({ by: "gate" });
      expect(closedBy(protocol("knee-bend"), { ...NOBODY, gate })).toBeNull(); // nothing that tires
    }
  });
});

test("nothing puts the whole weight on one leg early after surgery, nor while its day is not known", () => {
  const since = (day: string | null) =>
    closedBy(protocol("step-down"), { ...NOBODY, screen: { conditions: [{ id: "ligament-repair", side: "right", day }] } });
  expect(since(daysAgo(21))).toEqual({ by: "phase", condition: "ligament-repair", untilDay: dayAfter(TODAY, 63) });
  expect(since(null)).toMatchObject({ by: "phase", untilDay: null });
  expect(since(daysAgo(83))).toMatchObject({ by: "phase", untilDay: dayAfter(TODAY, 1) });
  expect(since(daysAgo(84))).toBeNull();
  for (const id of ["calm-step", "one-leg-stance", "heel-raise"])
    expect(closedBy(protocol(id), { ...NOBODY, ...withCondition("knee-replacement") })).toMatchObject({ by: "phase" });
  expect(closedBy(protocol("knee-bend"), { ...NOBODY, ...withCondition("knee-replacement") })).toBeNull();
  expect(ids({ screen: { conditions: [{ id: "ligament-repair", side: "right", day: daysAgo(21) }] } })).not.toContain("step-down");
});

describe("what measures say together", () => {
  const codes = (findings: Finding[], ...conditions: string[]): string[] =>
    adviceOf(findings, withCondition(...conditions).screen).map(({ code }) => code);
  test("a replaced knee is straightened and bent first until both are measured and there; not measured is not there", () => {
    const both = (bend: number, short: number): Finding[] =>
      (["left", "right"] as const).flatMap((side) => [found("knee-bend", bend, { side }), found("knee-straight", short, { side })]);
    expect(codes([], "knee-replacement")).toEqual(["straight-and-bend-first", "straight-and-bend-first"]);
    expect(codes(both(110, 5), "knee-replacement")).toEqual([]);
    expect(codes(both(109, 5), "knee-replacement")).toHaveLength(2);
    expect(codes(both(110, 6), "knee-replacement")).toHaveLength(2);
    expect(codes(both(90, 9))).toEqual([]);
  });
  test("a hip or an ankle that runs out before the pelvis tucks has its drill first", () => {
    expect(codes([found("tuck", 88), found("hip-bend", 96, { side: "right" })])).toEqual(["hip-causes-tuck"]);
    expect(codes([found("tuck", 80), found("hip-bend", 96, { side: "right" })])).toEqual([]);
    expect(codes([found("tuck", 88), found("shin-forward", 0.06, { side: "left" })])).toEqual(["ankle-causes-tuck"]);
    expect(codes([found("tuck", 88), found("shin-forward", 0.1, { side: "left" })])).toEqual([]);
  });
  test("feet, carries, steps, sides and cues", () => {
    expect(codes([found("foot-roll-in", 2, { side: "right" })])).toEqual(["coin-heel-raise-first"]);
    expect(codes([found("foot-roll-in", 1, { side: "right" })])).toEqual([]);
    expect(codes([found("carry-early", 1, { side: "left" }), found("carry-late", 2, { side: "left" })])).toEqual(["carry-fades"]);
    expect(codes([found("carry-early", 2, { side: "left" }), found("carry-late", 2, { side: "left" })])).toEqual([]);
    expect(codes([found("step-down", 4, { side: "left" })])).toEqual(["lower-step"]);
    expect(codes([found("side-length", 1, { side: "left" }), found("side-length", 3, { side: "right" })])).toEqual(["side-short"]);
    expect(codes([found("cue", 0)])).toEqual(["cue"]);
    expect(codes([found("cue", 2)])).toEqual([]);
    expect(codes([found("up-and-go", 12)])).toEqual(["fall-risk"]);
    expect(codes([found("up-and-go", 11.9)])).toEqual([]);
  });
  test("bending, arching and spreading; what spread once stays said, whatever came after", () => {
    expect(codes([found("bend-response", 2)])).toEqual(["bend-sensitive"]);
    expect(codes([found("arch-response", 2)])).toEqual(["arch-sensitive"]);
    const spread = found("bend-response", 3, { day: daysAgo(9) });
    expect(codes([spread, found("bend-response", 1)])).toEqual(["spreads"]);
    expect([isSpreading(spread), isSpreading(found("bend-response", 2)), isSpreading(found("heel-line", 3))]).toEqual([true, false, false]);
  });
  test("trunk holds out of balance by the published ratios, once all four are there", () => {
    const holds = [
      found("hold-front", 96),
      found("hold-back", 80),
      found("hold-side", 50, { side: "left" }),
      found("hold-side", 62, { side: "right" }),
    ];
    expect(adviceOf(holds, {}).flatMap((advice) => (advice.code === "trunk-ratio" ? [advice.flag] : []))).toEqual([
      "flexionToExtension",
      "rightToExtension",
      "rightToLeft",
    ]);
    expect(adviceOf(holds.slice(1), {})).toEqual([]);
  });
});

test("the latest of a side is the one of the latest day, and a protocol of the whole body has one side", () => {
  const findings = [found("tuck", 90, { day: daysAgo(2) }), found("tuck", 80, { day: daysAgo(5) })];
  expect(latestOf(findings, "tuck", "both")?.value).toBe(90);
  expect([sidesOf(protocol("tuck")), sidesOf(protocol("knee-bend"))]).toEqual([["both"], ["left", "right"]]);
});

describe("at the edges", () => {
  const right = { side: "right" } as const;
  const advised = (findings: Finding[], conditions: ScreenAnswers["conditions"] = []) => adviceOf(findings, { conditions });
  test("advice names the side it is of, and what was measured there", () => {
    const short = [found("knee-bend", 95, right), found("knee-straight", 8, right)];
    expect(advised(short, [{ id: "knee-replacement", side: "right", day: null }])).toEqual([
      { code: "straight-and-bend-first", side: "right", bendDeg: 95, shortDeg: 8 },
    ]);
    const sides = [found("side-length", 1, { side: "left" }), found("side-length", 3, right)];
    expect(advised(sides)).toEqual([{ code: "side-short", side: "left", fingers: 1 }]);
    expect(advised([found("tuck", 88), found("hip-bend", 98, right)])).toEqual([
      { code: "hip-causes-tuck", side: "right", hipDeg: 98, tuckDeg: 88 },
    ]);
    expect(advised([found("tuck", 88), found("hip-bend", 99, right)])).toEqual([]);
    expect(advised([found("heel-line", 2, right)])).toEqual([{ code: "coin-heel-raise-first", side: "right" }]);
    expect(advised([found("step-down", 3, right)])).toEqual([]);
  });
  test("half of a pair says nothing: no tuck, no early carry, no other side", () => {
    expect(advised([found("hip-bend", 60, right), found("shin-forward", 0.02, right)])).toEqual([]);
    expect(advised([found("carry-late", 3, right)])).toEqual([]);
    expect(advised([found("carry-early", 3, right)])).toEqual([]);
    expect(sidesApart(protocol("heel-raise"), [found("heel-raise", 9, right)])).toBeNull();
  });
  test("a result is compared with an earlier day, never with another of its own", () => {
    const first = found("chair-stand", 9);
    const again = found("chair-stand", 14);
    expect(changeSince(protocol("chair-stand"), again, [first, again])).toBeNull();
  });
  test("what was set up on one day and not noted on the other is not the same", () => {
    expect([isSameSetUp({ seatHeightM: 0.43 }, {}), isSameSetUp({}, { seatHeightM: 0.43 }), isSameSetUp({}, {})]).toEqual([
      false,
      false,
      true,
    ]);
    expect(isSameSetUp({ standIn: 1 }, {})).toBe(false);
  });
  test("the ends of belief are believed", () => {
    const [low, high] = protocol("knee-bend").belief;
    expect([low, high, low - 1, high + 1].map((value) => isUnlikely(protocol("knee-bend"), value))).toEqual([false, false, true, true]);
  });
  test("retests come soonest first; with nothing sore the left begins", () => {
    const findings = [found("chair-stand", 9, { day: daysAgo(2) }), found("walking-speed", 1, { day: daysAgo(20) })];
    expect(retestsOf(findings, [], TODAY).map((retest) => retest.protocol)).toEqual(["walking-speed", "chair-stand"]);
    expect(firstSide([], "sore-first", null)).toBe("left");
    expect([isProtocol("tuck"), isProtocol("tucks")]).toEqual([true, false]);
  });
});

import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import type { FitContext, Place } from "../judge/context";
import { contextWith, kneeLimit } from "../judge/fit.fixture";
import { judge } from "../judge/judge";
import { buildOnce, easeOnce, easeTwice, easeUntilAllowed, fewerSets } from "../progressions/step";
import type { PerformedSet } from "../floor/events";
import { known, NOT_MEASURED } from "../known";
import { nFromKgf } from "../units";
import { steppedTo } from "./on-floor";
import { decide, type DecisionInput, nextOf, overruleRefusal } from "./decide";
import type { MorningClass } from "./morning";
import { type AnsweredMorning, isAsPrescribed, type SessionOutcome, shortfall, timeMarginS } from "./outcome";
import type { Dose } from "../catalogue/variation";

const PLACE: Place = { variationId: "box-squat-pole", setting: { seatHeightM: 0.66, handForceN: nFromKgf(8), shareFraction: 0.5 } };
const DOSE = variationById("box-squat-pole").dose;
const TODAY = "2026-11-26";
const goodSet: PerformedSet = { repetitions: 12, painScore: 1, leftInTank: null, faults: [], endedBy: "pain-tap" };
const answered = (answer: MorningClass, more: Partial<AnsweredMorning> = {}): SessionOutcome["morning"] =>
  known({ class: answer, newSwelling: false, soreMuscles: false, ...more });
const good = (more: Partial<SessionOutcome> = {}): SessionOutcome => ({
  day: "2026-11-20",
  sets: [goodSet, goodSet, { ...goodSet, leftInTank: 2 }],
  eased: false,
  uncounted: null,
  morning: answered("calm"),
  ...more,
});
const at = (context: FitContext, place = PLACE): Omit<DecisionInput, "sessions"> => ({
  today: TODAY,
  dose: DOSE,
  away: null,
  fewerSets: fewerSets(context, place, DOSE),
  isPlanChanged: false,
  openWarnings: [],
  painLimitScore: 3,
  sessionsToBuild: 2,
  provisional: false,
  current: judge(context, variationById(place.variationId), place.setting),
  ease: easeOnce(context, place, DOSE),
  easeTwice: easeTwice(context, place, DOSE),
  easeUntilAllowed: easeUntilAllowed(context, place, DOSE),
  build: buildOnce(context, place, DOSE),
  proposedCeiling: null,
  isAhead: false,
  holdsRunning: 0,
  sharpMarks: 0,
});
const HERE = at(contextWith());
const input = (sessions: SessionOutcome[], more: Partial<DecisionInput> = {}): DecisionInput => ({ ...HERE, sessions, ...more });
const withSet = (change: Partial<PerformedSet>): SessionOutcome =>
  good({ sets: [{ ...goodSet, ...change }, goodSet, { ...goodSet, leftInTank: 2 }] });

test("two good sessions running, with calm mornings, build by one lever", () => {
  const decision = decide(input([good(), good()]));
  expect(decision).toMatchObject({ move: "build", rule: "earned", next: { variationId: PLACE.variationId, dose: DOSE } });
  expect(decision.next?.change.levers.map(({ lever }) => lever)).toEqual(["handForceN"]);
});

describe("a setback", () => {
  test.each<[string, SessionOutcome, string]>([
    ["new swelling", good({ morning: answered("flare", { newSwelling: true }) }), "new-swelling"],
    ["a flare", good({ morning: answered("flare") }), "flare"],
    ["sharp pain", withSet({ endedBy: "sharp" }), "sharp-pain"],
  ])("%s eases twice", (_, session, rule) => {
    const decision = decide(input([good(), session]));
    expect(decision).toMatchObject({ move: "ease", rule });
    expect(decision.next?.setting).toEqual(HERE.easeTwice?.tread.setting);
    expect(decision.next?.setting).not.toEqual(HERE.ease?.tread.setting);
  });
  test.each<[string, number, "ease" | "easeTwice"]>([
    ["over the agreed number eases once", 4, "ease"],
    ["just under seven eases once", 6, "ease"],
    ["of seven eases twice", 7, "easeTwice"],
    ["that is not a number eases twice", NaN, "easeTwice"],
  ])("pain %s", (_, painScore, by) => {
    const decision = decide(input([good(), withSet({ painScore })]));
    expect(decision).toMatchObject({ move: "ease", rule: "pain-over-number" });
    expect(decision.next?.setting).toEqual(HERE[by]?.tread.setting);
    expect(HERE.ease?.tread.setting).not.toEqual(HERE.easeTwice?.tread.setting);
  });
  test("pain just at the agreed number is within it", () => {
    expect(decide(input([good(), withSet({ painScore: 3 })]))).toMatchObject({ move: "build" });
  });
  test.each([
    ["spreading", { code: "spreading-pain" }],
    ["belly", { code: "belly-pressure" }],
    ["warning-sign", { code: "warning-sign", signs: ["other-sign"] }],
  ] as const)("%s stops and refers", (endedBy, reason) => {
    expect(decide(input([good(), withSet({ endedBy })]))).toEqual({ move: "stop", rule: reason.code, next: null, reasons: [reason] });
  });
  test("swelling outranks pain over the number; sharp outranks swelling", () => {
    const both = good({ morning: answered("flare", { newSwelling: true }), sets: [{ ...goodSet, painScore: 7 }] });
    expect(decide(input([both])).rule).toBe("new-swelling");
    expect(decide(input([{ ...both, sets: [{ ...goodSet, endedBy: "sharp" }] }])).rule).toBe("sharp-pain");
  });
  test("with nothing easier left rests this pattern, and says to ask", () => {
    const decision = decide(input([good({ morning: answered("flare") })], { ease: null, easeTwice: null }));
    expect(decision).toMatchObject({ move: "rest", next: null });
    expect(decision.reasons[1]).toEqual({ code: "rest-and-ask" });
  });
  test("a warning nobody cleared stops, whatever the log says and however long ago", () => {
    const openWarnings = [{ sourceId: "e", sign: "faint", day: "2026-01-02", at: "2026-01-02T09:00:00.000Z" }];
    for (const sessions of [[], [good(), good()]])
      expect(decide(input(sessions, { openWarnings }))).toMatchObject({
        move: "stop",
        reasons: [{ code: "warning-sign", signs: ["faint"] }],
      });
  });
});

describe("the rung as it stands today is judged before the log", () => {
  const limited = at(contextWith({ limits: [kneeLimit(60)] }));
  test("where a limit now forbids it, it eases to where it does not, though the log earned a build", () => {
    const decision = decide({ ...limited, sessions: [good(), good()] });
    expect(limited.current.blocked).toBe(true);
    expect(decision).toMatchObject({
      move: "ease",
      rule: "rung-forbidden",
      reasons: [{ reason: { code: "over-limit" } }, { code: "next-step" }],
    });
    const to =
      decision.next && judge(contextWith({ limits: [kneeLimit(60)] }), variationById(decision.next.variationId), decision.next.setting);
    expect(to?.state).toBe("open");
  });
  test("where no easing leads out of it, it rests", () => {
    expect(decide({ ...limited, easeUntilAllowed: null, sessions: [good(), good()] })).toMatchObject({
      move: "rest",
      rule: "rung-forbidden",
    });
  });
  test("over a ceiling that came since eases as well", () => {
    const deep = at(contextWith(), { ...PLACE, setting: { ...PLACE.setting, seatHeightM: 0.5 } });
    expect(decide({ ...deep, sessions: [good(), good()] })).toMatchObject({ move: "ease", rule: "rung-forbidden" });
  });
  test("missing equipment forbids nothing", () => {
    const bare = at(contextWith({ kit: { ...contextWith().kit, equipment: ["chair"] } }));
    expect(decide({ ...bare, sessions: [good()] })).toMatchObject({ move: "hold", rule: "earned-once" });
  });
  test("not measured never builds", () => {
    const unmeasured = at(contextWith({ ceilings: [] }));
    expect(decide({ ...unmeasured, sessions: [good(), good()] })).toMatchObject({ move: "hold", rule: "not-measured" });
  });
});

describe("time", () => {
  test("orders the sessions, whatever order they came in", () => {
    const [flare, calm] = [good({ day: "2026-11-24", morning: answered("flare") }), good({ day: "2026-11-20" })];
    expect(decide(input([flare, calm])).rule).toBe("flare");
    expect(decide(input([calm, flare])).rule).toBe("flare");
  });
  test("never runs ahead: a session in the future is refused", () => {
    expect(() => decide(input([good({ day: "2026-11-27" })]))).toThrow(RangeError);
    expect(decide(input([good({ day: TODAY })])).move).toBe("hold");
  });
});

describe("hold", () => {
  test.each<[string, SessionOutcome, string]>([
    ["a missing morning", good({ morning: NOT_MEASURED }), "morning-missing"],
    ["a morning above usual", good({ morning: answered("noticed") }), "noticed"],
    ["easing on the floor", good({ eased: true }), "eased-on-the-floor"],
    ["a set too few", good({ sets: [goodSet, goodSet] }), "sets-short"],
    ["pain that was not said", withSet({ painScore: null }), "pain-not-recorded"],
    ["a set short of the goal", withSet({ repetitions: 11 }), "repetitions-short"],
    ["form that was not clean", withSet({ faults: ["heel-lifts"] }), "form-not-clean"],
    ["too little left in the tank", good({ sets: [goodSet, goodSet, { ...goodSet, leftInTank: 1 }] }), "tank-short"],
    ["a tank that was not said", good({ sets: [goodSet, goodSet, goodSet] }), "tank-short"],
  ])("%s holds", (_, session, rule) => expect(decide(input([good(), session]))).toMatchObject({ move: "hold", rule, next: null }));

  test("one good session is not two", () => expect(decide(input([good()])).rule).toBe("earned-once"));
  test("a setback in between breaks the run", () =>
    expect(decide(input([good(), withSet({ painScore: 6 }), good()])).rule).toBe("earned-once"));
  test("a provisional ceiling holds", () =>
    expect(decide(input([good(), good()], { provisional: true })).rule).toBe("ceiling-provisional"));
  test("no session holds", () => expect(decide(input([])).rule).toBe("no-session"));
  const building = (change: Partial<NonNullable<DecisionInput["build"]>["tread"]>): DecisionInput => {
    if (!HERE.build) throw new Error("no build");
    return input([good(), good()], { build: { ...HERE.build, tread: { ...HERE.build.tread, ...change } }, proposedCeiling: 8 });
  };
  test("a closed next step holds and says what closes it, with the ceiling that is proposed", () => {
    const closed = judge(contextWith({ limits: [kneeLimit(60)] }), variationById(PLACE.variationId), PLACE.setting);
    const decision = decide(building({ judgement: closed }));
    expect(decision).toMatchObject({ move: "hold", rule: "next-step-closed" });
    expect(decision.reasons.at(-1)).toEqual({ code: "ceiling-proposed", value: 8 });
  });
  test("a step over the school's largest never builds by itself", () =>
    expect(decide(building({ size: "too-big", riserFraction: 0.2 }))).toMatchObject({
      move: "hold",
      reasons: [{ code: "next-step-too-big", riserFraction: 0.2 }, {}, {}],
    }));
  test("one more harder set is not a try: where it has become one, it holds", () => {
    const { judgement } = HERE.build?.tread ?? {};
    if (!judgement) throw new Error("no build");
    const change = { levers: [], fromVariationId: null, sets: null, mixed: { setCount: 2, of: 3 } };
    expect(decide(building({ change })).move).toBe("build");
    expect(decide(building({ change, judgement: { ...judgement, state: "try" } }))).toMatchObject({
      move: "hold",
      rule: "next-step-closed",
    });
  });
  test("onto a rung that nobody measured, or from one, it holds, each by itself", () => {
    const unmeasured = { ...HERE.current, state: "not-measured", reasons: [{ code: "no-ceiling" }] } as const;
    const held = { move: "hold", next: null, rule: "not-measured" };
    const fromOne = decide(input([good(), good()], { current: unmeasured }));
    expect(fromOne).toMatchObject(held);
    expect(fromOne.reasons[0]).toEqual({ code: "not-measured", reason: { code: "no-ceiling" } });
    const { judgement } = HERE.build?.tread ?? {};
    if (!judgement) throw new Error("no build");
    expect(decide(building({ judgement: { ...judgement, state: "not-measured", reasons: [{ code: "no-ceiling" }] } }))).toMatchObject(held);
  });
  test("what was short is told with its numbers", () => {
    const first = (session: SessionOutcome) => decide(input([good(), session])).reasons[0];
    expect(first(withSet({ painScore: null }))).toEqual({ code: "pain-not-recorded", setNumber: 1 });
    expect(first(withSet({ repetitions: 11 }))).toEqual({ code: "repetitions-short", setNumber: 1, repetitions: 11, goal: 12 });
    expect(first(good({ sets: [goodSet, goodSet, { ...goodSet, leftInTank: 1 }] }))).toEqual({
      code: "tank-short",
      repetitions: 12,
      leftInTank: 1,
      needed: 14,
    });
    expect(decide(input([withSet({ painScore: 7 })])).reasons[0]).toEqual({ code: "pain-over-number", painScore: 7, limitScore: 3 });
    expect(decide(input([])).move).toBe("hold");
  });
  test("nothing harder left holds", () => expect(decide(input([good(), good()], { build: null })).rule).toBe("no-harder-step"));
  test("into a try goes only as a try: one light set", () => {
    const { judgement } = HERE.build?.tread ?? {};
    if (!judgement) throw new Error("no build");
    const decision = decide(building({ judgement: { ...judgement, state: "try" } }));
    expect(decision).toMatchObject({ move: "build", next: { dose: { setCount: 1, repetitionsHigh: DOSE.repetitionsLow } } });
    expect(decision.reasons.some(({ code }) => code === "as-a-try")).toBe(true);
  });
});

describe("as prescribed", () => {
  const isIt = (session: SessionOutcome) => isAsPrescribed(session, DOSE, 3);
  test("is every set, pain said and within the number, nothing sharp, eased or short", () => {
    expect(isIt(good())).toBe(true);
    expect(isIt(withSet({ painScore: 3 }))).toBe(true);
    expect(isIt(withSet({ repetitions: DOSE.repetitionsLow }))).toBe(true);
    for (const session of [
      good({ eased: true }),
      good({ sets: [goodSet, goodSet] }),
      withSet({ painScore: 4 }),
      withSet({ painScore: null }),
      withSet({ endedBy: "sharp" }),
      withSet({ repetitions: DOSE.repetitionsLow - 1 }),
    ])
      expect(isIt(session)).toBe(false);
  });
});

test("build never comes of a missing, noticed or flaring morning, whatever the sets", () => {
  const set = fc.record({
    repetitions: fc.nat(30),
    painScore: fc.option(fc.nat(10)),
    leftInTank: fc.option(fc.nat(6)),
    faults: fc.constantFrom<string[]>([], ["heel-lifts"]),
    endedBy: fc.constantFrom<PerformedSet["endedBy"]>("pain-tap", "sharp", "spreading", "belly", "warning-sign"),
  });
  const session = fc.record({
    sets: fc.array(set, { maxLength: 5 }),
    eased: fc.boolean(),
    morning: fc.constantFrom(NOT_MEASURED, answered("noticed"), answered("flare")),
  });
  fc.assert(
    fc.property(
      fc.array(session, { maxLength: 4 }),
      (sessions) => decide(input([...sessions.map(good), good({ morning: sessions[0]?.morning ?? NOT_MEASURED })])).move !== "build",
    ),
  );
});

describe("overruling", () => {
  const held = decide(input([good()]));
  const next = HERE.build && nextOf(HERE.build.tread, HERE.build.dose);
  test("needs a note", () => expect(overruleRefusal(held, "build", false, next, "  ")).toEqual({ code: "note-missing" }));
  test("with a note is taken", () => expect(overruleRefusal(held, "build", false, next, "felt easy")).toBeNull());
  test("never passes a stop", () => {
    const stopped = decide(input([withSet({ endedBy: "warning-sign" })]));
    expect(overruleRefusal(stopped, "hold", false, null, "she is fine")).toEqual({ code: "warning-sign" });
  });
  test("never passes a limit", () => expect(overruleRefusal(held, "build", true, next, "felt easy")).toEqual({ code: "limit-blocks" }));
  test("cannot take a step that is not there; referring first needs none", () => {
    for (const move of ["build", "ease"] as const)
      expect(overruleRefusal(held, move, false, null, "felt easy")).toEqual({ code: "no-such-step" });
    expect(overruleRefusal(held, "stop", false, null, "her knee looks odd")).toBeNull();
    expect(overruleRefusal(held, "hold", false, null, "felt easy")).toBeNull();
  });
});

test("three holds running ask for the cause, three sharp marks to leave the exercise; the move stays what it was", () => {
  const held = (more: Partial<DecisionInput>) => decide(input([good()], more));
  const codes = (more: Partial<DecisionInput>) => held(more).reasons.map(({ code }) => code);
  expect(held({ holdsRunning: 2 })).toMatchObject({ move: "hold", rule: held({}).rule });
  expect([codes({ holdsRunning: 1 }).includes("holds-running"), codes({ holdsRunning: 2 }).includes("holds-running")]).toEqual([
    false,
    true,
  ]);
  expect(decide(input([good(), good()], { holdsRunning: 5 })).reasons.map(({ code }) => code)).not.toContain("holds-running"); // it builds
  expect([codes({ sharpMarks: 2 }).includes("sharp-marks"), codes({ sharpMarks: 3 }).includes("sharp-marks")]).toEqual([false, true]);
});

test("what was done under more pain relief, or on a light day, never builds", () => {
  for (const uncounted of ["under-relief", "light-day"] as const) {
    expect(decide(input([good(), good({ uncounted })]))).toMatchObject({ move: "hold", rule: uncounted });
    expect(decide(input([good({ uncounted }), good()]))).toMatchObject({ move: "hold", rule: "earned-once" });
    expect(isAsPrescribed(good({ uncounted }), DOSE, 3)).toBe(false);
  }
});

test("sore muscles are no pain of a joint: they hold, and do not ease", () => {
  expect(decide(input([good(), good({ morning: answered("calm", { soreMuscles: true }) })]))).toMatchObject({
    move: "hold",
    rule: "sore-muscles",
  });
  expect(decide(input([good(), good({ morning: answered("flare", { soreMuscles: true }) })])).move).toBe("ease");
});

test("pressure in the joint eases once, lost form, a cramp or a ridge along the belly hold; a muscle over the number is no joint's", () => {
  const last = (more: Partial<PerformedSet>) =>
    decide(input([good(), good({ sets: good().sets.map((set, i) => (i === 0 ? { ...set, ...more } : set)) })]));
  expect(last({ endedBy: "joint" })).toMatchObject({ move: "ease", rule: "joint-pressure" });
  for (const more of [{ endedBy: "cramp" }, { endedBy: "form-lost" }, { belly: "ridge" }] as const)
    expect(last(more)).toMatchObject({ move: "hold", rule: "form-not-clean" });
  expect(last({ painScore: 5, painKind: "muscle-work" }).move).toBe("build");
  expect(last({ painScore: 6, painKind: "muscle-work" })).toMatchObject({ move: "hold", rule: "muscle-pain" });
  expect(last({ painScore: 7, painKind: "ache" })).toMatchObject({ move: "ease", rule: "pain-over-number" });
});

test("a school that ties both sides holds the one that is there until the other is", () =>
  expect(decide(input([good(), good()], { isOtherShort: true }))).toMatchObject({ move: "hold", rule: "other-side-short" }));

test("a side that stands a step ahead waits for the other, and eases as ever", () => {
  expect(decide(input([good(), good()], { isAhead: true }))).toMatchObject({ move: "hold", rule: "other-side-behind" });
  expect(decide(input([good(), good({ morning: answered("flare") })], { isAhead: true })).move).toBe("ease");
});

describe("weeks of the same", () => {
  const standing = { lever: "handForceN", weeks: 4, nowFraction: 0.2, dueFraction: 0.08 } as const;
  const notes = (sessions: SessionOutcome[], more: Partial<DecisionInput>) => decide(input(sessions, more)).reasons.map(({ code }) => code);

  test("say that support stands, where it goes on; never beside an ease", () => {
    expect(notes([good(), good()], { support: standing })).toContain("support-standing");
    expect(notes([good()], { support: standing })).toEqual(["earned-once", "support-standing"]);
    expect(notes([good({ morning: answered("flare") })], { support: standing })).not.toContain("support-standing");
  });

  test("build to the row whose turn it is, before anything harder at the same", () => {
    const to: Place = { variationId: "box-squat-pole", setting: { ...PLACE.setting, handForceN: nFromKgf(7) } };
    const step = steppedTo(contextWith(), PLACE, to, DOSE);
    const turn = { weeks: 6, step };
    const decision = decide(input([good(), good()], { turn }));
    expect(decision).toMatchObject({ move: "build", next: { setting: to.setting } });
    expect(decision.next?.setting).not.toEqual(HERE.build?.tread.setting);
    expect(decision.reasons.at(-1)).toEqual({ code: "block-over", weeks: 6, toVariationId: to.variationId });
    // earned or not, it is said; where the next is not open the same goes on
    expect(notes([good()], { turn })).toEqual(["earned-once", "block-over"]);
    expect(decide(input([good(), good()], { turn: { weeks: 6, step: null } })).next?.setting).toEqual(HERE.build?.tread.setting);
  });
});

describe("work that is not counted in repetitions", () => {
  const hold: Dose = { ...DOSE, setCount: 2, repetitionsLow: 1, repetitionsHigh: 1, tempo: { lowerS: 0, pauseS: 30, riseS: 0 } };
  const held = (more: Partial<PerformedSet> = {}): PerformedSet => ({ ...goodSet, repetitions: 1, workedS: 30, ...more });
  const ruleOf = (dose: Dose, ...sets: PerformedSet[]) => shortfall(good({ sets }), dose);

  test("a hold passes with its seconds, and with a fifth more that it could have gone on for", () => {
    expect(ruleOf(hold, held(), held({ leftInTank: 6 }))).toBeNull();
    expect(ruleOf(hold, held(), held({ leftInTank: 5 }))).toEqual({ code: "could-go-on-short", leftS: 5, neededS: 6 });
    expect(ruleOf(hold, held(), held())).toEqual({ code: "could-go-on-short", leftS: null, neededS: 6 });
    expect(ruleOf(hold, held({ repetitions: 0, workedS: 21 }), held({ leftInTank: 9 }))).toEqual({
      code: "time-short",
      setNumber: 1,
      workedS: 21,
      goalS: 30,
    });
    expect([10, 90, 300].map((pauseS) => timeMarginS({ tempo: { lowerS: 0, pauseS, riseS: 0 } }))).toEqual([2, 18, 20]);
  });

  test("a drop set passes with the total of its drops, and its straight sets each for itself", () => {
    const drops: Dose = { ...DOSE, setCount: 4, repetitionsHigh: 10, drops: { lever: "loadKg", values: [24, 20] } };
    const done = (...counts: number[]) =>
      counts.map((repetitions, i) => ({ ...goodSet, repetitions, ...(i === 3 ? { leftInTank: 4 } : {}) }));
    expect(ruleOf(drops, ...done(10, 12, 10, 8))).toBeNull();
    expect(ruleOf(drops, ...done(10, 11, 10, 8))).toEqual({
      code: "repetitions-short",
      setNumber: 4,
      repetitions: 29,
      goal: 30,
      ofDrops: true,
    });
    // one more set after it stands for itself
    expect(ruleOf(drops, ...done(10, 11, 10, 9), { ...goodSet, repetitions: 9, leftInTank: 4 })).toMatchObject({
      setNumber: 5,
      repetitions: 9,
    });
    expect(ruleOf(drops, ...done(9, 12, 10, 10))).toEqual({ code: "repetitions-short", setNumber: 1, repetitions: 9, goal: 10 });
  });
});

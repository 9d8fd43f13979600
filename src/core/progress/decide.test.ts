import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import { contextWith, kneeLimit } from "../fit/fit.fixture";
import { nextStep } from "../fit/stair";
import { decide, type DecisionInput, overruleRefusal, type PerformedSet, type SessionOutcome } from "./decide";

const pole = variationById("box-squat-pole");
const SETTING = { seatHeightM: 0.62, handForceN: 8 * 9.81, shareFraction: 0.5 };
const goodSet: PerformedSet = { repetitions: 12, painScore: 1, leftInTank: null, faults: [], endedBy: "pain-tap" };
const good = (more: Partial<SessionOutcome> = {}): SessionOutcome => ({
  day: "2026-11-20",
  sets: [goodSet, goodSet, { ...goodSet, leftInTank: 2 }],
  eased: false,
  response: "calm",
  newSwelling: false,
  warningSigns: [],
  ...more,
});
const input = (sessions: SessionOutcome[], more: Partial<DecisionInput> = {}): DecisionInput => ({
  dose: { setCount: 3, repetitionsLow: 8, repetitionsHigh: 12, tempo: { lowerS: 3, pauseS: 1, riseS: 2 }, restS: 90 },
  sessions,
  painLimitScore: 3,
  provisional: false,
  ease: nextStep(contextWith(), pole, SETTING, "ease"),
  build: nextStep(contextWith(), pole, SETTING, "build"),
  proposedCeiling: null,
  ...more,
});
const withSet = (change: Partial<PerformedSet>): SessionOutcome =>
  good({ sets: [{ ...goodSet, ...change }, goodSet, { ...goodSet, leftInTank: 2 }] });

test("two good sessions running, with calm mornings, build by one lever", () => {
  const decision = decide(input([good(), good()]));
  expect(decision).toMatchObject({ move: "build", rule: "earned", step: { lever: "handForceN" } });
});

describe("a setback", () => {
  test.each<[string, SessionOutcome, string]>([
    ["sharp pain", withSet({ endedBy: "sharp" }), "sharp-pain"],
    ["pain that spreads", withSet({ endedBy: "spreading" }), "spreading-pain"],
    ["new swelling", good({ newSwelling: true, response: "flare" }), "new-swelling"],
    ["pain over the agreed number", withSet({ painScore: 4 }), "pain-over-number"],
    ["a flare", good({ response: "flare" }), "flare"],
    ["pain that is not a number", withSet({ painScore: NaN }), "pain-over-number"],
  ])("%s eases", (_, session, rule) =>
    expect(decide(input([good(), session]))).toMatchObject({ move: "ease", rule, step: { move: "ease" } }),
  );

  test("swelling outranks pain over the number; sharp outranks swelling", () => {
    const both = good({ newSwelling: true, sets: [{ ...goodSet, painScore: 7 }] });
    expect(decide(input([both])).rule).toBe("new-swelling");
    expect(decide(input([{ ...both, sets: [{ ...goodSet, endedBy: "sharp" }] }])).rule).toBe("sharp-pain");
  });
  test("with nothing easier left still says ease, and that there is no step", () => {
    const decision = decide(input([good({ response: "flare" })], { ease: null }));
    expect(decision).toMatchObject({ move: "ease", step: null });
    expect(decision.reasons[1]).toEqual({ code: "no-easier-step" });
  });
  test("a warning sign stops, whatever else is true", () => {
    expect(decide(input([good({ warningSigns: ["chest-pain"] })]))).toMatchObject({ move: "stop", step: null });
    expect(decide(input([withSet({ endedBy: "warning-sign" })]))).toMatchObject({ move: "stop" });
  });
});

describe("hold", () => {
  test.each<[string, SessionOutcome, string]>([
    ["a missing morning", good({ response: null }), "morning-missing"],
    ["a morning above usual", good({ response: "noticed" }), "noticed"],
    ["easing on the floor", good({ eased: true }), "eased-on-the-floor"],
    ["a set too few", good({ sets: [goodSet, goodSet] }), "sets-short"],
    ["pain that was not said", withSet({ painScore: null }), "pain-not-recorded"],
    ["a set short of the goal", withSet({ repetitions: 11 }), "repetitions-short"],
    ["form that was not clean", withSet({ faults: ["heel-lifts"] }), "form-not-clean"],
    ["too little left in the tank", good({ sets: [goodSet, goodSet, { ...goodSet, leftInTank: 1 }] }), "tank-short"],
    ["a tank that was not said", good({ sets: [goodSet, goodSet, goodSet] }), "tank-short"],
  ])("%s holds", (_, session, rule) => expect(decide(input([good(), session]))).toMatchObject({ move: "hold", rule, step: null }));

  test("one good session is not two", () => expect(decide(input([good()])).rule).toBe("earned-once"));
  test("a setback in between breaks the run", () =>
    expect(decide(input([good(), withSet({ painScore: 6 }), good()])).rule).toBe("earned-once"));
  test("a provisional ceiling holds", () =>
    expect(decide(input([good(), good()], { provisional: true })).rule).toBe("ceiling-provisional"));
  test("no session holds", () => expect(decide(input([])).rule).toBe("no-session"));
  test("a closed next step holds and says what closes it, with the ceiling that is proposed", () => {
    const context = contextWith({ limits: [kneeLimit(76)] });
    const low = { seatHeightM: 0.62, handForceN: 0, shareFraction: 0.5 };
    const build = nextStep(context, pole, low, "build");
    const decision = decide(input([good(), good()], { build, proposedCeiling: 8 }));
    expect(decision).toMatchObject({ move: "hold", rule: "next-step-closed" });
    expect(decision.reasons.at(-1)).toEqual({ code: "ceiling-proposed", value: 8 });
  });
});

test("build never comes of a missing, noticed or flaring morning, whatever the sets", () => {
  const set = fc.record({
    repetitions: fc.nat(30),
    painScore: fc.option(fc.nat(10)),
    leftInTank: fc.option(fc.nat(6)),
    faults: fc.constantFrom<string[]>([], ["heel-lifts"]),
    endedBy: fc.constantFrom<PerformedSet["endedBy"]>("pain-tap", "sharp", "spreading"),
  });
  const session = fc.record({
    sets: fc.array(set, { maxLength: 5 }),
    eased: fc.boolean(),
    response: fc.constantFrom(null, "noticed" as const, "flare" as const),
  });
  fc.assert(
    fc.property(
      fc.array(session, { maxLength: 4 }),
      (sessions) => decide(input([...sessions.map(good), good({ response: sessions[0]?.response ?? null })])).move !== "build",
    ),
  );
});

describe("overruling", () => {
  const held = decide(input([good()]));
  const { build } = input([]);
  test("needs a note", () => expect(overruleRefusal(held, "build", build, "  ")).toEqual({ code: "note-missing" }));
  test("with a note is taken", () => expect(overruleRefusal(held, "build", build, "felt easy")).toBeNull());
  test("never passes a warning sign", () => {
    const stopped = decide(input([good({ warningSigns: ["faint"] })]));
    expect(overruleRefusal(stopped, "hold", null, "she is fine")).toEqual({ code: "warning-sign" });
  });
  test("never passes a limit", () => {
    const blocked = nextStep(
      contextWith({ limits: [kneeLimit(70)] }),
      pole,
      { seatHeightM: 0.62, handForceN: 0, shareFraction: 0.5 },
      "build",
    );
    expect(blocked?.judgement.blocked).toBe(true);
    expect(overruleRefusal(held, "build", blocked, "felt easy")).toEqual({ code: "limit-blocks" });
  });
  test("cannot take a step that is not there", () =>
    expect(overruleRefusal(held, "build", null, "felt easy")).toEqual({ code: "no-such-step" }));
});

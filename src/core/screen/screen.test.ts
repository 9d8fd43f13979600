import { describe, expect, test } from "vitest";
import { CATALOGUE, variationByCode } from "../catalogue/catalogue";
import { traitsOfRow } from "../catalogue/traits";
import type { Variation } from "../catalogue/variation";
import { dayAfter } from "../day";
import { isBinding, type Limit, limitState } from "../limits/limit";
import { CONDITION_IDS, CONDITION_KINDS } from "./conditions.data";
import { type BackSign, FURTHER_QUESTIONS } from "./further.data";
import { SCREEN_RULES } from "./rules.data";
import {
  asksBelly,
  carefulFrom,
  conditionsOf,
  furtherQuestions,
  injectionDays,
  isScreenLimit,
  clocksOf,
  dayProblem,
  namedJoints,
  type OwnCondition,
  ruleLimits,
  rulesClosing,
  rulesOn,
  SCREEN_QUESTIONS,
  type ScreenAnswers,
  screenGate,
  sidesInDoubt,
  soonOf,
  withPart,
} from "./screen";

const TODAY = "2026-11-26";
/** Nothing was measured. */
const never = (): boolean => false;
const weeksAgo = (weeks: number): string => dayAfter(TODAY, -7 * weeks);
const own = (id: string, day: string | null = null, side: OwnCondition["side"] = "both"): OwnCondition => ({ id, side, day });
const NONE = {
  signs: { id: "s", day: "2026-11-01", signs: [], symptoms: [] },
  conditions: [],
  activity: { active: false, monthsActive: 0 },
  clearance: { kind: "not-asked" },
} as const satisfies ScreenAnswers;
const cleared = (day: string) => ({ kind: "cleared", by: "Dr Vane", role: "doctor", day }) as const;

describe("the gate", () => {
  test("is open for a client with nothing known, whatever their age, and nobody asked", () => {
    expect(screenGate(NONE, TODAY)).toEqual({ state: "open", verdict: "not-needed" });
  });
  test("never reads what was not asked as no: each question missing is named, one by one and all together", () => {
    expect(screenGate({}, TODAY)).toEqual({ state: "missing", missing: [...SCREEN_QUESTIONS] });
    for (const question of SCREEN_QUESTIONS) {
      const { [question]: _, ...rest } = NONE as ScreenAnswers;
      expect(screenGate(rest, TODAY)).toEqual({ state: "missing", missing: [question] });
    }
  });
  test("refers a known disease to a clinician first, and opens with their word", () => {
    const answers = { ...NONE, conditions: [own("diabetes")] };
    expect(screenGate(answers, TODAY)).toMatchObject({ state: "refer", because: ["clearance-recommended"] });
    expect(screenGate({ ...answers, clearance: cleared("2026-06-01") }, TODAY)).toEqual({ state: "open", verdict: "may-continue" });
    expect(screenGate({ ...answers, clearance: cleared("2025-10-01") }, TODAY)).toMatchObject({ state: "refer" }); // grown old
    expect(screenGate({ ...answers, activity: { active: true, monthsActive: 12 } }, TODAY)).toMatchObject({ state: "open" });
  });
  test("stops who trains with a symptom; a clearance counts only when it is as young as the answer", () => {
    const regular = { ...NONE, activity: { active: true, monthsActive: 12 } };
    const swollen = { ...regular, signs: { id: "s", day: "2026-11-10", signs: [], symptoms: ["ankle-swelling"] } } as const;
    expect(screenGate(swollen, TODAY)).toEqual({ state: "stop", verdict: "stop", because: ["ankle-swelling"] });
    expect(screenGate({ ...swollen, clearance: cleared("2026-11-09") }, TODAY)).toMatchObject({ state: "stop" });
    expect(screenGate({ ...swollen, clearance: cleared("2026-11-10") }, TODAY)).toMatchObject({ state: "open" });
  });
  test("stops at a warning sign until it is cleared by name, whatever else was cleared", () => {
    const faint = {
      ...NONE,
      signs: { id: "s", day: "2026-11-01", signs: ["faint"], symptoms: [] },
      clearance: cleared("2026-11-20"),
    } as const;
    expect(screenGate(faint, TODAY)).toEqual({ state: "stop", verdict: "stop", because: ["faint"] });
    expect(screenGate(faint, TODAY, [])).toMatchObject({ state: "open" });
    expect(screenGate(NONE, TODAY, ["giving-way"])).toMatchObject({ state: "stop", because: ["giving-way"] }); // said elsewhere
  });
  test("stops where a clinician has advised against it", () => {
    const refused = { ...cleared("2026-11-20"), kind: "refused" } as const;
    expect(screenGate({ ...NONE, clearance: refused }, TODAY)).toEqual({ state: "stop", verdict: "stop", because: ["clearance-refused"] });
  });
  test("asks a clinician first after surgery, with a disc, in pregnancy; a word from before the surgery is none", () => {
    for (const id of ["knee-replacement", "ligament-repair", "hip-replacement", "back-disc", "nerve-signs", "pregnancy", "after-birth"])
      expect([id, screenGate({ ...NONE, conditions: [own(id)] }, TODAY).state]).toEqual([id, "refer"]);
    const replaced = { ...NONE, conditions: [own("knee-replacement", weeksAgo(10), "right")] };
    expect(screenGate({ ...replaced, clearance: cleared(weeksAgo(11)) }, TODAY)).toMatchObject({ because: ["replacement-first"] });
    expect(screenGate({ ...replaced, clearance: cleared(weeksAgo(9)) }, TODAY)).toMatchObject({ state: "open" });
  });
});

describe("rules", () => {
  const binding = (conditions: OwnCondition[], today = TODAY): string[] =>
    ruleLimits({ conditions }, never)
      .filter((limit) => isBinding(limit, today))
      .map(({ owner }) => owner.name);

  test("close lying flat from 14 weeks 0 days, not a day sooner", () => {
    const dueDay = "2027-05-01";
    const lastPeriod = dayAfter(dueDay, -280);
    const at = (days: number): string[] => binding([own("pregnancy", dueDay)], dayAfter(lastPeriod, days));
    expect(at(97)).not.toContain("pregnancy-lying");
    expect(at(98)).toContain("pregnancy-lying");
    expect(at(0)).toEqual(["pregnancy-new", "pregnancy-breath", "pregnancy-impact"]);
  });
  test("of a repair follow its weeks: no added weight in the first twelve, no landing before ten months", () => {
    const at = (days: number): string[] => binding([own("ligament-repair", dayAfter(TODAY, -days), "left")]);
    expect(at(21)).toEqual(["repair-impact", "repair-weight", "repair-early", "repair-face-down"]);
    expect(at(83)).toContain("repair-weight");
    expect(at(84)).toEqual(["repair-impact", "repair-face-down"]);
    expect([at(303), at(304), at(305)]).toEqual([["repair-impact", "repair-face-down"], ["repair-impact"], []]);
  });
  test("run always where the day is not known", () => {
    expect(binding([own("ligament-repair")])).toEqual(["repair-impact", "repair-weight", "repair-early", "repair-face-down"]);
    expect(binding([own("pregnancy")])).toContain("pregnancy-lying");
  });
  test("are on the side they were said of, one for each side", () => {
    const limits = ruleLimits({ conditions: [own("knee-arthritis", null, "left"), own("knee-arthritis", null, "right")] }, never);
    expect(limits.map(({ side }) => side)).toEqual(["left", "left", "right", "right"]);
    expect(new Set(limits.map(({ id }) => id)).size).toBe(4);
  });
  test("are set aside for one side with a reason, and for that side alone", () => {
    const conditions = [own("knee-arthritis", null, "left"), own("knee-arthritis", null, "right")];
    const aside = { ruleId: "arthritis-impact", side: "left", by: "Dana", reason: "plays tennis", day: "2026-11-20" } as const;
    const states = ruleLimits({ conditions, setAside: [aside] }, never).map((limit) => limitState(limit, TODAY));
    expect(states).toEqual(["lifted", "in-force", "in-force", "in-force"]);
  });
  test("that only remind close nothing", () => {
    expect(binding([own("heart-rate-medicine")])).toEqual([]);
    expect(rulesOn({ conditions: [own("heart-rate-medicine")] }, TODAY).map(({ rule }) => rule.id)).toEqual(["heart-rate-effort"]);
  });
  test("that a measure ends are asked about it on their own side, and end there alone", () => {
    const conditions = [own("sprains", null, "left"), own("sprains", null, "right")];
    const asked: unknown[] = [];
    const limits = ruleLimits({ conditions }, (gate, side) => {
      asked.push([gate, side]);
      return side === "left";
    });
    expect(asked).toEqual([
      ["heel-in-line", "left"],
      ["heel-in-line", "right"],
    ]);
    expect(limits.map(({ owner, side }) => [owner.name, side])).toEqual([["sprain-barefoot", "right"]]);
  });
  test("close rows that the catalogue has, and never what they say to take instead", () => {
    let named = 0;
    for (const { id, limit } of SCREEN_RULES) {
      if (limit?.kind !== "rows") continue;
      for (const code of [...limit.codes, ...limit.instead])
        expect([id, code, variationByCode(code) !== undefined]).toEqual([id, code, true]);
      expect([id, limit.instead.filter((code) => limit.codes.includes(code))]).toEqual([id, []]);
      expect(limit.instead.length).toBeGreaterThan(0);
      named += limit.codes.length;
    }
    expect(named).toBeGreaterThan(200);
  });
  test("speak of known conditions, each once, and every condition is known to some part of the house", () => {
    expect(SCREEN_RULES.filter(({ condition }) => !CONDITION_IDS.includes(condition))).toEqual([]);
    expect(new Set(SCREEN_RULES.map(({ id }) => id)).size).toBe(SCREEN_RULES.length);
    const silent = CONDITION_KINDS.filter(({ id, disease }) => !disease && !SCREEN_RULES.some(({ condition }) => condition === id));
    expect(silent.map(({ id }) => id)).toEqual([]);
  });
});

test("care is taken from the conditions, once each", () => {
  expect(carefulFrom({ conditions: [own("back-disc"), own("back-bend"), own("pregnancy"), own("falls")] })).toEqual(["back", "pregnancy"]);
  expect(carefulFrom({})).toEqual([]);
});

test("clocks count weeks since a surgery, and week, day and trimester to a due date", () => {
  const [repair, pregnancy] = clocksOf(
    { conditions: [own("ligament-repair", weeksAgo(3)), own("pregnancy", dayAfter(TODAY, 70)), own("falls")] },
    TODAY,
  );
  expect(repair).toMatchObject({ kind: "weeks", weeks: 3 });
  expect(pregnancy).toMatchObject({ kind: "gestation", at: { week: 30, day: 0, trimester: 3, dueDay: dayAfter(TODAY, 70) } });
  expect(
    clocksOf({ conditions: [own("ligament-repair", weeksAgo(3)), own("pregnancy", dayAfter(TODAY, 70)), own("falls")] }, TODAY),
  ).toHaveLength(2);
});

test("days that cannot be are named", () => {
  expect(dayProblem(own("knee-replacement", dayAfter(TODAY, 1)), TODAY)).toBe("day.future");
  expect(dayProblem(own("knee-replacement", TODAY), TODAY)).toBeNull();
  expect(dayProblem(own("pregnancy", dayAfter(TODAY, 281)), TODAY)).toBe("day.too-far");
  expect(dayProblem(own("pregnancy", dayAfter(TODAY, 280)), TODAY)).toBeNull();
  expect(dayProblem(own("pregnancy", dayAfter(TODAY, -22)), TODAY)).toBe("day.past");
  expect(dayProblem(own("falls", null), TODAY)).toBeNull();
});

test("who begins in pregnancy adds no weight that was not lifted before; what nobody asked counts as new", () => {
  const closes = (answers: ScreenAnswers) =>
    ruleLimits(answers, never).some(({ rule }) => rule.kind === "never" && rule.what === "added-weight");
  const pregnant = { ...NONE, conditions: [own("pregnancy", dayAfter(TODAY, 70))] };
  expect(closes(pregnant)).toBe(true);
  expect(closes({ ...pregnant, activity: { active: true, monthsActive: 24 } })).toBe(false);
  expect(closes({ conditions: pregnant.conditions })).toBe(true);
});

describe("what makes a back worse", () => {
  const back = (...signs: BackSign[]): ScreenAnswers => ({ ...NONE, back: { day: "2026-11-20", signs } });
  const ids = (answers: ScreenAnswers): string[] => conditionsOf(answers).map(({ id }) => id);
  test("brings the rules of its kind of back, and care with it, once however many signs say so", () => {
    expect(ids(back("bending", "socks-and-shoes", "stiff-on-rising", "sitting"))).toEqual(["back-bend"]);
    expect(ids(back("arching", "one-side"))).toEqual(["back-arch", "back-spasm"]);
    expect(ids({ ...back("bending"), conditions: [own("back-bend")] })).toEqual(["back-bend"]);
    expect(carefulFrom(back("arching"))).toEqual(["back"]);
    expect(rulesOn(back("bending"), TODAY).map(({ rule }) => rule.id)).toEqual(["bend-calm-pose", "bend-rows"]);
    expect(ids(back())).toEqual([]);
  });
  test("asks a physician first where it spreads; a clearance from before that was said does not cover it", () => {
    expect(screenGate(back("spreading"), TODAY)).toMatchObject({ state: "refer", because: ["disc-first"] });
    expect(screenGate({ ...back("spreading"), clearance: cleared("2026-11-19") }, TODAY)).toMatchObject({ state: "refer" });
    expect(screenGate({ ...back("spreading"), clearance: cleared("2026-11-20") }, TODAY)).toMatchObject({ state: "open" });
    const known = { ...back("spreading"), conditions: [own("back-disc")] }; // known and cleared long ago, and it spreads again
    expect(screenGate({ ...known, clearance: cleared("2026-11-19") }, TODAY)).toMatchObject({ state: "refer", because: ["disc-first"] });
    expect(screenGate({ ...known, clearance: cleared("2026-11-20") }, TODAY)).toMatchObject({ state: "open" });
    expect(
      ruleLimits(back("spreading"), never)
        .filter((limit) => isBinding(limit, TODAY))
        .map(({ owner }) => owner.name),
    ).toEqual(["disc-bar", "disc-rows"]);
  });
  test("is asked where a back hurts or is known of, and of nobody else", () => {
    expect(furtherQuestions(NONE, false)).not.toContain("back");
    expect(furtherQuestions(NONE, true)).toContain("back");
    expect(furtherQuestions({ ...NONE, conditions: [own("back-arch")] }, false)).toContain("back");
    expect(furtherQuestions(NONE, false)).toHaveLength(FURTHER_QUESTIONS.length - 1);
  });
});

test("a medicine that holds the heart rate down is reminded of; none of the further answers is waited for", () => {
  const answers: ScreenAnswers = { ...NONE, medicines: { kinds: ["blunts-heart-rate"], injectionDay: null } };
  expect(rulesOn(answers, TODAY).map(({ rule }) => rule.id)).toEqual(["heart-rate-effort"]);
  expect(screenGate(answers, TODAY).state).toBe("open");
});

describe("what runs out", () => {
  const limit = (untilDay: string | null, more: Partial<Limit> = {}): Limit => ({
    id: "l",
    rule: { kind: "never", what: "kneeling" },
    side: "both",
    owner: { kind: "clinician", name: "Surgeon" },
    fromDay: "2026-09-01",
    untilDay,
    lift: null,
    ...more,
  });
  test("is said two weeks before: a clinician's limit, and nobody else's", () => {
    const days = (one: Limit): number[] => soonOf({}, [one], TODAY).map((soon) => (soon.kind === "limit-ends" ? soon.days : NaN));
    expect(days(limit(dayAfter(TODAY, 14)))).toEqual([14]);
    expect(days(limit(TODAY))).toEqual([0]);
    for (const other of [
      limit(dayAfter(TODAY, 15)),
      limit(null),
      limit(dayAfter(TODAY, -1)),
      limit(TODAY, { owner: { kind: "client", name: "M" } }),
    ])
      expect(days(other)).toEqual([]);
  });
  test("is said of a clearance in its tenth month", () => {
    expect(soonOf({ clearance: cleared("2026-01-20") }, [], TODAY)).toEqual([{ kind: "clearance-old", months: 10 }]);
    expect(soonOf({ clearance: cleared("2026-02-20") }, [], TODAY)).toEqual([]);
  });
});

test("a condition on the other side than all that hurts there is doubted; both, the middle and other joints are not", () => {
  const knee = (side: "left" | "right" | "both") => ({ site: "kneecap", side }) as const;
  const doubted = (...complaints: { site: "kneecap" | "hip"; side: "left" | "right" | "both" }[]) =>
    sidesInDoubt([own("knee-replacement", null, "left")], complaints);
  expect(doubted(knee("right"))).toEqual(["knee-replacement"]);
  for (const fine of [[knee("left")], [knee("both")], [knee("right"), knee("left")], [{ site: "hip", side: "right" } as const], []])
    expect(doubted(...fine)).toEqual([]);
});

test("a rule runs to the end of its last day, and not a day longer", () => {
  const answers = { conditions: [{ id: "ligament-repair", side: "right", day: "2026-01-01" }] } as const;
  const last = dayAfter("2026-01-01", 12 * 7 - 1);
  const runs = (day: string): boolean => rulesOn(answers, day).some(({ rule }) => rule.id === "repair-weight");
  expect([runs(last), runs(dayAfter(last, 1))]).toEqual([true, false]);
  const weight = ruleLimits(answers, () => false).find(({ owner }) => owner.name === "repair-weight");
  if (!weight) throw new Error("no limit");
  expect([isBinding(weight, last), isBinding(weight, dayAfter(last, 1))]).toEqual([true, false]);
});

test("a pregnancy from week fourteen: one leg without a hand, and bending with a turn, are left out; with a hand they stay", () => {
  const due = "2026-12-01";
  const on = (day: string): string[] =>
    rulesOn({ conditions: [{ id: "pregnancy", side: "both", day: due }] }, day).flatMap(({ rule }) =>
      rule.limit?.kind === "rows" ? rule.limit.codes : [],
    );
  const weeksBefore = (weeks: number): string => dayAfter(due, -7 * weeks);
  expect(on(weeksBefore(28))).not.toContain("S29"); // week 12
  expect(on(weeksBefore(24))).toEqual(expect.arrayContaining(["S29", "S33", "T09"])); // week 16
  expect(on(weeksBefore(24))).not.toContain("S34");
});

test("joints that conditions name, each on its side", () => {
  const conditions = [
    { id: "knee-replacement", side: "left", day: "2026-01-01" },
    { id: "heart", side: "both", day: null },
  ] as const;
  expect(namedJoints({ conditions })).toEqual([{ condition: "knee-replacement", site: "knee", side: "left" }]);
});

test("an injection that was told of stays told, once each, whatever is answered later", () => {
  const told = (injectionDay: string | null, ...earlierInjectionDays: string[]): ScreenAnswers => ({
    medicines: { kinds: [], injectionDay, ...(earlierInjectionDays.length > 0 ? { earlierInjectionDays } : {}) },
  });
  expect(injectionDays({})).toEqual([]);
  expect(injectionDays(told(null))).toEqual([]);
  expect(injectionDays(told("2026-03-01", "2026-01-01", "2026-03-01"))).toEqual(["2026-01-01", "2026-03-01"]);
  const later = withPart(told("2026-01-01"), told("2026-03-01"));
  expect(injectionDays(later)).toEqual(["2026-01-01", "2026-03-01"]);
  expect(withPart(told("2026-03-01"), told("2026-03-01"))).toEqual(told("2026-03-01")); // the same again is the same
  expect(injectionDays(withPart(later, told(null)))).toEqual(["2026-01-01", "2026-03-01"]);
});

test("a part said anew replaces that part alone", () => {
  const before: ScreenAnswers = { ...NONE, medicines: { kinds: [], injectionDay: "2026-01-01" } };
  const activity = { active: true, monthsActive: 3 };
  expect(withPart(before, { activity })).toEqual({ ...before, activity });
});

test("an implied condition is on both sides, from the day it was said; a known one keeps its own day", () => {
  const back = { day: "2026-11-20", signs: ["bending"] } as const;
  expect(conditionsOf({ back })).toEqual([own("back-bend", "2026-11-20")]);
  expect(conditionsOf({ back, conditions: [own("falls")] })).toEqual([own("falls"), own("back-bend", "2026-11-20")]);
  expect(conditionsOf({ back, conditions: [own("back-bend", "2025-01-01")] })).toEqual([own("back-bend", "2025-01-01")]);
  expect(conditionsOf({ medicines: { kinds: ["blunts-heart-rate"], injectionDay: null } })).toEqual([own("heart-rate-medicine")]);
});

test("what follows from a rule is known by its name, its side and its owner, and by whom it was set aside", () => {
  const answers: ScreenAnswers = { conditions: [own("knee-replacement", null, "left")] };
  const [limit] = ruleLimits(answers, never);
  if (!limit) throw new Error("no rule");
  expect(isScreenLimit(limit)).toBe(true);
  expect(isScreenLimit({ id: "4b1f rule " })).toBe(false);
  expect(limit).toMatchObject({ side: "left", owner: { kind: "rule", name: limit.owner.name }, lift: null });
  const setAside = [{ ruleId: limit.owner.name, side: "left" as const, by: "Dana", reason: "danced all summer", day: TODAY }];
  expect(ruleLimits({ ...answers, setAside }, never)[0]?.lift).toEqual({
    kind: "lifted",
    by: "Dana",
    role: "trainer",
    day: TODAY,
    reason: "danced all summer",
  });
});

test("the rules that close a row are those of the condition, by its code or by what it is", () => {
  const closing = (code: string, condition: string) => rulesClosing(variationByCode(code) as Variation, condition).map(({ id }) => id);
  const byRows = SCREEN_RULES.find(({ limit }) => limit?.kind === "rows");
  const byTrait = SCREEN_RULES.find(
    ({ condition, limit }) => condition === "pregnancy" && limit?.kind === "never" && limit.what === "lying",
  );
  if (byRows?.limit?.kind !== "rows" || !byTrait) throw new Error("no such rules");
  const [code = ""] = byRows.limit.codes;
  expect(closing(code, byRows.condition)).toContain(byRows.id);
  expect(closing(code, "no such condition")).toEqual([]);
  const lying = CATALOGUE.filter((row) => traitsOfRow(row).includes("lying"));
  expect(lying.length).toBeGreaterThan(3);
  for (const row of lying) expect(rulesClosing(row, "pregnancy")).toContain(byTrait);
  for (const row of CATALOGUE)
    if (!traitsOfRow(row).includes("lying"))
      expect([row.code, rulesClosing(row, "pregnancy").includes(byTrait)]).toEqual([row.code, false]);
});

test("how the belly looks is asked in a pregnancy and after one, beside whatever else is known", () => {
  expect(asksBelly({})).toBe(false);
  expect(asksBelly({ conditions: [own("falls")] })).toBe(false);
  expect(asksBelly({ conditions: [own("falls"), own("pregnancy")] })).toBe(true);
});

test("a clock starts on the day itself, and not before it", () => {
  expect(clocksOf({}, TODAY)).toEqual([]);
  expect(clocksOf({ conditions: [own("ligament-repair", TODAY)] }, TODAY)).toMatchObject([{ weeks: 0 }]);
  expect(clocksOf({ conditions: [own("ligament-repair", dayAfter(TODAY, 1))] }, TODAY)).toEqual([]);
});

test("a condition of a joint is doubted by what hurts in that joint alone", () => {
  const sore = (site: "hip" | "knee" | "low-back") => [{ site, side: "right" as const }];
  expect(sidesInDoubt([{ id: "hip-replacement", side: "left" }], sore("hip"))).toEqual(["hip-replacement"]);
  expect(sidesInDoubt([{ id: "hip-replacement", side: "left" }], sore("knee"))).toEqual([]);
  expect(sidesInDoubt([{ id: "back-spasm", side: "left" }], sore("low-back"))).toEqual([]);
});

import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import { calmCeilings, contextWith } from "../judge/fit.fixture";
import { type FloorState, floorState, type FloorSet } from "../floor/events";
import { doneSet } from "../record/facts/record.fixture";
import { buildOnFloor, handRule, steppedTo } from "./on-floor";

const ROW = variationById("raised-sit-to-stand");
const DOSE = { ...ROW.dose, setCount: 3, repetitionsLow: 8, repetitionsHigh: 12 };
const set = (more: Partial<FloorSet> = {}): FloorSet => doneSet("i", 1, more);
const CHECKED = { painScore: 1, newSwelling: false, choice: "as-planned", underRelief: false, satLong: false, reason: "" } as const;
const state = (more: Partial<FloorState> = {}): FloorState => ({ ...floorState([]), checkIn: CHECKED, sets: [set()], ...more });
const asked = (of: FloorState, more: Partial<Parameters<typeof buildOnFloor>[0]> = {}) =>
  buildOnFloor({ state: of, itemId: "i", dose: DOSE, limitScore: 3, lastMorning: "calm", isLight: false, ...more });
const BUILT = {
  eventId: "m",
  order: 0,
  itemId: "other",
  by: "build",
  levers: [],
  to: { variationId: "x", setting: {} },
  setCount: null,
  dose: null,
  reason: "",
} as const;

describe("a build on the floor", () => {
  test("is free where today is at the goal, clean, with some left, and the last morning was calm", () =>
    expect(asked(state())).toEqual({ ok: true, needsReason: null }));
  test.each([
    ["a sign", state({ warnings: [{ eventId: "w", sign: "faint", at: "" }] }), "warning"],
    ["a check-in that eased", state({ checkIn: { ...CHECKED, choice: "ease-all" } }), "not-as-planned"],
    ["no check-in", state({ checkIn: null }), "not-as-planned"],
    ["sharp pain", state({ sets: [set({ endedBy: "sharp" })] }), "it-hurt"],
    ["pain over the number", state({ sets: [set({ painScore: 4 })] }), "it-hurt"],
    ["a build of anything before", state({ moves: [BUILT] }), "built-before"],
  ])("is never taken after %s, whatever the reason", (_, of, code) => expect(asked(of)).toEqual({ ok: false, code }));
  test("needs a reason where the rule is not met, and says which", () => {
    const why = (of: FloorState, more = {}): string | null => {
      const answer = asked(of, more);
      return answer.ok ? (answer.needsReason?.code ?? null) : "refused";
    };
    expect(why(state({ sets: [] }))).toBe("sets-short");
    expect(why(state({ sets: [set({ repetitions: 10 })] }))).toBe("repetitions-short");
    expect(why(state({ sets: [set({ leftInTank: null })] }))).toBe("tank-short");
    expect(why(state({ sets: [set({ faults: ["knee-in"] })] }))).toBe("form-not-clean");
    expect(why(state({ sets: [set({ belly: "ridge" })] }))).toBe("form-not-clean");
    expect(why(state({ sets: [set({ endedBy: "cramp" })] }))).toBe("form-not-clean");
    expect(why(state({ checkIn: { ...CHECKED, underRelief: true } }))).toBe("under-relief");
    expect(why(state(), { isLight: true })).toBe("light-day");
    expect(why(state(), { lastMorning: null })).toBe("morning-missing");
    expect(why(state(), { lastMorning: "noticed" })).toBe("noticed");
  });
});

describe("a change by hand", () => {
  const from = { variationId: "raised-sit-to-stand", setting: { seatHeightM: 0.66, shareFraction: 0.5 } };
  const rule = (setting: Record<string, number>, build: ReturnType<typeof asked> = { ok: true, needsReason: null }) =>
    handRule(
      steppedTo(contextWith({ ceilings: calmCeilings("knee", 0.58) }), from, { ...from, setting: { ...from.setting, ...setting } }, DOSE),
      from,
      build,
    );
  test("to the easier side is free, whatever today was", () =>
    expect(rule({ seatHeightM: 0.7 }, { ok: false, code: "it-hurt" })).toEqual({ code: "free" }));
  test("to the harder side goes by the rule of a build", () => {
    expect(rule({ seatHeightM: 0.65 })).toEqual({ code: "free" });
    expect(rule({ seatHeightM: 0.65 }, { ok: false, code: "built-before" })).toEqual({ code: "refused", why: "built-before" });
    expect(rule({ seatHeightM: 0.65 }, { ok: true, needsReason: { code: "morning-missing" } })).toEqual({
      code: "needs-reason",
      why: "not-earned",
    });
  });
  test("by two levers at once needs a reason", () =>
    expect(rule({ seatHeightM: 0.65, shareFraction: 0.55 })).toEqual({ code: "needs-reason", why: "second-lever" }));
  test("over the school's largest step, or past a ceiling, needs a reason", () => {
    const far = rule({ seatHeightM: 0.5 });
    expect(far.code).toBe("needs-reason");
    expect(["not-open", "too-big"]).toContain(far.code === "needs-reason" ? far.why : "");
  });
});

import { describe, expect, test } from "vitest";
import { variationById } from "../../catalogue/catalogue";
import { kneeLimit, limit, SUBJECT } from "../../judge/fit.fixture";
import type { ScreenAnswers } from "../../screen/screen";
import { fitContextOf } from "../standing/context";
import {
  calmSeatRefusal,
  decided,
  type DecisionChosen,
  findingRefusal,
  hardestOf,
  holdsOf,
  judgedPlace,
  mayOpen,
  noteNeeded,
  programmeRefusal,
  sameAsStanding,
} from "./keep";
import { protocolOf } from "../../assess/finding";
import { firstProgramme } from "../programme/programme";
import type { ClientRecord } from "../facts/record";
import { startSetting } from "../../templates/form";
import { answer, doneSession, RAISED, record, TODAY } from "../facts/record.fixture";

const RIGHT = { side: "right", line: null } as const;
const at = (seatHeightM: number) => ({ variationId: RAISED.id, setting: { seatHeightM, shareFraction: 0.5 } });
const SURGEON = kneeLimit(80, { owner: { kind: "clinician", name: "surgeon" }, untilDay: "2026-12-01" });

describe("a place that is to be kept", () => {
  const refusal = (of: ClientRecord, place: ReturnType<typeof at>) => {
    const found = judgedPlace(of, place, RIGHT, TODAY);
    return found.ok ? null : found.refusal;
  };
  test("is read anew: under a ceiling it is judged, and harder than what stands only where it asks more", () => {
    expect(judgedPlace(record(), at(0.66), RIGHT, TODAY)).toMatchObject({ ok: true, isHarder: false });
    expect(judgedPlace(record(), at(0.6), RIGHT, TODAY)).toMatchObject({ ok: true, isHarder: true });
  });
  test("past a limit it is refused with the limit, its owner and what it would come to", () =>
    expect(refusal(record({ limits: [SURGEON] }), at(0.55))).toMatchObject({
      code: "forbidden",
      name: RAISED.name,
      forbids: { code: "over-limit", most: 80 },
      limit: { owner: { name: "surgeon" }, untilDay: "2026-12-01" },
    }));
  test("what cannot be is refused by its own name", () => {
    expect(refusal(record({ measures: [] }), at(0.6))).toEqual({ code: "no-body" });
    expect(refusal(record(), { ...at(0.6), variationId: "a row of nobody" })).toEqual({ code: "retired" });
    expect(refusal(record(), at(1.4))).toMatchObject({ code: "setting-out-of-range", lever: "seatHeightM" });
    expect(refusal(record(), { ...at(0.6), setting: { ...at(0.6).setting, deckHeightM: 0.1 } } as never)).toMatchObject({
      code: "unknown-lever",
      lever: "deckHeightM",
    });
  });
  test("asks for a word past a ceiling, where nothing was measured, and past the gate", () => {
    const needed = (of: ClientRecord, seatHeightM: number) => {
      const found = judgedPlace(of, at(seatHeightM), RIGHT, TODAY);
      return found.ok ? noteNeeded(found) : found.refusal.code;
    };
    expect(needed(record(), 0.66)).toBeNull();
    expect(needed(record(), 0.64)).toBe("gate-needs-note");
    expect(needed(record(), 0.555)).toBe("closed-needs-note");
    expect(needed(record({ ceilings: [], calmPoses: [] }), 0.66)).toBe("not-measured-needs-note");
  });
  test("of mixed sets the hardest counts", () =>
    expect(hardestOf(at(0.66), { ...RAISED.dose, mixed: { setting: { seatHeightM: 0.6 }, setCount: 1 } }).setting).toEqual({
      seatHeightM: 0.6,
    }));
  test("is the plan in force only on its own side, row and levers", () => {
    expect(sameAsStanding(record(), at(0.66), RIGHT)?.prescription.id).toBe("plan-1");
    expect(sameAsStanding(record(), at(0.65), RIGHT)).toBeNull();
    expect(sameAsStanding(record(), at(0.66), { side: "left", line: null })).toBeNull();
    expect(sameAsStanding(record(), at(0.66), { side: "right", line: "home a" })).toBeNull();
  });
});

const ASKED = {
  signs: { id: "s", day: "2026-10-01", signs: [], symptoms: [] },
  conditions: [],
  activity: { active: false, monthsActive: 0 },
  clearance: { kind: "not-asked" },
} as const satisfies ScreenAnswers;
describe("a session is opened", () => {
  test("once the questions are answered; the one that is under way is gone on with", () => {
    expect(mayOpen(record({ screen: ASKED }), TODAY)).toEqual({ ok: true, underWayId: null });
    const sessions = [
      doneSession("over", TODAY, { endedAt: `${TODAY}T10:00:00Z` }),
      doneSession("now", TODAY),
      doneSession("past", "2026-10-09"),
    ];
    expect(mayOpen(record({ screen: ASKED, sessions }), TODAY)).toEqual({ ok: true, underWayId: "now" });
  });
  test("not where a clinician looks first", () =>
    expect(mayOpen(record({ screen: { ...ASKED, conditions: [{ id: "diabetes", side: "both", day: null }] } }), TODAY)).toMatchObject({
      ok: false,
      refusal: { code: "refer-first", because: ["clearance-recommended"] },
    }));
  test("not before the questions are answered, and not with a sign open", () => {
    expect(mayOpen(record(), TODAY)).toMatchObject({ ok: false, refusal: { code: "screen-missing" } });
    const warnings = [{ id: "w", day: TODAY, at: `${TODAY}T09:00:00Z`, sign: "chest-pain", sessionId: null }] as never;
    expect(mayOpen(record({ warnings }), TODAY)).toMatchObject({ ok: false, refusal: { code: "warning-open", day: TODAY } });
  });
});

describe("a programme", () => {
  const kept = (of: ClientRecord) => {
    const context = fitContextOf(of, TODAY);
    if (!context) throw new Error("no body");
    return firstProgramme(of, context, TODAY);
  };
  const LEFT = limit({ kind: "most", channel: "legWeight", most: 0.5 }, { side: "left" });
  const oneLeg = (side: "left" | "right") => {
    const programme = kept(record());
    const [item] = programme.items;
    if (!item) throw new Error("nothing in it");

    const row = variationById("single-leg-quarter-squat");
    const setting = startSetting(SUBJECT, row);
    return {
      ...programme,
      laid: [],
      items: [{ ...item, variationId: row.id, setting, dose: row.dose, sides: [{ side, setCount: 2, repetitions: 8 }] }],
    };
  };
  test("as it is built is kept", () => expect(programmeRefusal(record(), kept(record()), TODAY)).toBeNull());
  test("is judged on the leg that trains each line", () => {
    const limited = record({ limits: [LEFT] });
    expect(programmeRefusal(limited, oneLeg("left"), TODAY)).toMatchObject({ code: "forbidden", limit: { side: "left" } });
    expect(programmeRefusal(limited, oneLeg("right"), TODAY)).toBeNull();
  });
  test("is not kept with a sign open, nor of a body nobody measured", () => {
    const programme = kept(record());
    const warnings = [{ sourceId: "w", sign: "faint", day: TODAY, at: TODAY }];
    expect(programmeRefusal(record({ warnings }), programme, TODAY)).toMatchObject({ code: "warning-open" });
    expect(programmeRefusal(record({ measures: [] }), programme, TODAY)).toEqual({ code: "no-body" });
  });
  test("is judged where each side stands, and on the leading leg where both work together", () => {
    const [item] = kept(record()).items;
    const deep = { variationId: RAISED.id, setting: { seatHeightM: 0.55, shareFraction: 0.5 } };
    const of = (more: object) => ({
      ...kept(record()),
      laid: [],
      items: [{ ...item!, ...at(0.7), dose: RAISED.dose, sides: [], ...more }],
    });
    const limited = record({ limits: [SURGEON] });
    expect(programmeRefusal(limited, of({}), TODAY)).toBeNull();
    expect(programmeRefusal(limited, of(deep), TODAY)).toMatchObject({ code: "forbidden" });
    const sides = [{ side: "right", setCount: 2, repetitions: 8, place: deep }] as const;
    expect(programmeRefusal(limited, of({ sides }), TODAY)).toMatchObject({ code: "forbidden" });
    expect(programmeRefusal(limited, of({ sides: [{ ...sides[0], place: undefined }] }), TODAY)).toBeNull();
  });
  test("asks nothing of days that are over", () => {
    const programme = { ...kept(record()), often: "two-rest-days" as const };
    const on = (...days: string[]) =>
      programmeRefusal(
        record(),
        { ...programme, laid: days.map((day, i) => ({ id: `l${i}`, day, often: "two-rest-days" })) } as never,
        TODAY,
      );
    expect(on("2026-10-05", "2026-10-06", "2026-10-07")).toBeNull();
    expect(on("2026-10-09", "2026-10-13")).toBeNull(); // the ninth was trained, and is itself
    expect(on("2026-10-11")).toEqual({ code: "rest-broken", day: "2026-10-11" }); // two days after it
    expect(on("2026-10-12")).toBeNull();
  });
  test("breaks no rest", () => {
    const programme = { ...kept(record()), often: "two-rest-days" as const };
    const laid = ["2026-10-12", "2026-10-13"].map((day, i) => ({ ...programme.laid[0], id: `l${i}`, day, often: "two-rest-days" }));
    expect(programmeRefusal(record(), { ...programme, laid } as never, TODAY)).toEqual({ code: "rest-broken", day: expect.any(String) });
  });
});

describe("a decision that is taken", () => {
  const take = (of: ClientRecord, chosen: Partial<DecisionChosen> = {}, n = -1) => {
    const session = of.sessions.at(n);
    const [item] = session?.items ?? [];
    if (!session || !item) throw new Error("nothing trained");
    return decided(of, session, item, { move: null, note: "", ...chosen }, TODAY);
  };
  test("is the rules' own where nothing else was chosen, with what comes next judged", () =>
    expect(take(record())).toMatchObject({
      ok: true,
      move: "build",
      isOverruled: false,
      isSuperseded: false,
      next: { setting: {} },
      judgement: {},
    }));
  test("is taken once, and of a line the newest first", () => {
    const twice = record({ decisions: [{ itemId: "item-s2", move: "hold", day: TODAY } as never] });
    expect(take(twice)).toMatchObject({ ok: false, refusal: { code: "already-decided" } });
    expect(take(record(), {}, 0)).toMatchObject({ ok: false, refusal: { code: "newer-first" } });
  });
  test("another than the rules' needs a word, a step that is there, and no limit against it", () => {
    expect(take(record(), { move: "hold" })).toMatchObject({ refusal: { code: "overrule-refused", reason: "note-missing" } });
    expect(take(record(), { move: "hold", note: "she is tired" })).toMatchObject({ ok: true, isOverruled: true, next: null });
    const limited = record({ limits: [kneeLimit(40)] });
    expect(take(limited, { move: "hold", note: "she likes it" })).toMatchObject({
      refusal: { code: "overrule-refused", reason: "limit-blocks" },
    });
  });
  test("an ease by two steps goes further than one", () => {
    const seat = (more: Partial<DecisionChosen>) => {
      const found = take(record(), { move: "ease", note: "sore", ...more });
      return found.ok ? (found.next?.setting.seatHeightM ?? NaN) : NaN;
    };
    expect(seat({ isMore: true })).toBeGreaterThan(seat({}));
    const flared = record({
      responses: [answer(null, "2026-10-02"), answer("s1", "2026-10-07"), answer("s2", "2026-10-10", { class: "flare" })],
    });
    expect(take(flared)).toMatchObject({ ok: true, move: "ease", isOverruled: false });
    expect(take(flared, { isMore: true })).toMatchObject({ refusal: { code: "overrule-refused", reason: "note-missing" } });
  });
  test("a build is the gate's own step, and is no way past a word", () => {
    const flared = record({
      responses: [answer(null, "2026-10-02"), answer("s1", "2026-10-07"), answer("s2", "2026-10-10", { class: "noticed" })],
    });
    expect(take(flared)).toMatchObject({ ok: true, move: "hold", next: null, judgement: null });
    expect(take(flared, { move: "build" })).toMatchObject({ refusal: { code: "overrule-refused", reason: "note-missing" } });
    const built = take(flared, { move: "build", note: "she climbs a mast daily" });
    expect(built).toMatchObject({
      ok: true,
      move: "build",
      isOverruled: true,
      next: { variationId: RAISED.id },
      judgement: { state: "open" },
    });
    expect(built.ok && (built.next?.setting.seatHeightM ?? 1) < 0.66).toBe(true);
  });
  test("of what was never planned there is none, and another's decision is not this one's", () => {
    const of = record();
    const [session] = of.sessions;
    expect(
      decided(of, session!, { id: "x", prescriptionId: "none", part: null, inTurn: false }, { move: null, note: "" }, TODAY),
    ).toMatchObject({
      refusal: { code: "no-plan" },
    });
    expect(
      take(record({ decisions: [{ itemId: "item-s1", move: "hold", day: "2026-10-07", rule: "earned-once" } as never] })),
    ).toMatchObject({ ok: true });
  });
  test("all that the rules hold of one session, and nothing of another", () => {
    const open = record({ responses: [answer("s1", "2026-10-07"), answer("s2", "2026-10-10")] });
    expect(holdsOf(open, "s2", TODAY).map(({ id }) => id)).toEqual(["item-s2"]);
    expect(holdsOf(open, "s1", TODAY)).toEqual([]);
    expect(holdsOf(record(), "s2", TODAY)).toEqual([]); // it builds
  });
});

describe("a measure", () => {
  const finding = { protocol: "chair-stand", side: "both", value: 11, day: TODAY } as const;
  const code = (of: ClientRecord, more: object = {}, isConfirmed = true) =>
    findingRefusal(of, { ...finding, ...more }, isConfirmed, TODAY)?.code ?? null;
  test("is kept where it can be, and is no number that cannot", () => {
    expect(code(record(), { protocol: "no such" })).toBe("no-such-protocol");
    expect(code(record(), { value: -1 })).toBe("value-out-of-range");
    expect(code(record(), { value: 11.5 })).toBe("value-out-of-range");
    expect(code(record(), { day: "2026-10-11" })).toBe("day-wrong");
  });
  test("waits for the questions where it tires, for its limit's end, for a leg that is healing, and for a second look where it is hardly believed", () => {
    expect(code(record())).toBe("screen-before-effort");
    const answered = (more: object = {}) => record({ screen: { ...ASKED, ...more } });
    expect(code(answered())).toBeNull();
    expect(code(record({ screen: ASKED, warnings: [{ sourceId: "w", sign: "faint", day: TODAY, at: TODAY }] }))).toBe(
      "screen-before-effort",
    );
    const bend = { protocol: "hip-bend", side: "left", value: 100 } as const;
    const lying = limit({ kind: "never", what: "lying" });
    expect(findingRefusal(record({ screen: ASKED, limits: [lying] }), { ...finding, ...bend }, true, TODAY)).toEqual({
      code: "forbidden",
      name: null,
      forbids: null,
      limit: lying,
    });
    const repaired = answered({
      conditions: [{ id: "ligament-repair", side: "right", day: "2026-09-20" }],
      clearance: { kind: "cleared", by: "Dr Ravn", role: "surgeon", day: "2026-10-01" },
    });
    expect(code(repaired, { protocol: "one-leg-stance", side: "left", value: 20 })).toBe("too-early-for-one-leg");
    const { min, max, belief } = protocolOf("chair-stand")!;
    expect([min, max].map((value) => code(answered(), { value }))).toEqual([null, null]); // both ends are in it
    expect(code(answered(), { value: belief[1] + 1 })).toBeNull();
    expect(code(answered(), { value: belief[1] + 1 }, false)).toBe("value-unlikely");
    expect(code(answered(), { value: belief[1] }, false)).toBeNull();
    expect(code(answered(), { day: TODAY })).toBeNull();
    expect(findingRefusal(answered(), { ...finding, day: "2026-10-11" }, true, TODAY)).toEqual({
      code: "day-wrong",
      condition: "finding",
      problem: "day.future",
    });
  });
  test("a seat past a limit is no calm one, and says whose limit", () => {
    const limited = record({ limits: [SURGEON] });
    expect(calmSeatRefusal(limited, SUBJECT, 0.4, TODAY)).toMatchObject({ code: "forbidden", limit: { owner: { name: "surgeon" } } });
    expect(calmSeatRefusal(limited, SUBJECT, 0.66, TODAY)).toBeNull();
  });
});

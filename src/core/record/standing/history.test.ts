import { describe, expect, test } from "vitest";
import { type Day, dayAfter } from "../../day";
import { kneeLimit, limit } from "../../judge/fit.fixture";
import { DEFAULT_KIT } from "../../kit/kit";
import { ceilingsToday } from "./ceilings";
import { isAwayGiven } from "../gate/away";
import { fitContextOf } from "./context";
import {
  answeredDoses,
  calmRows,
  ceilingProposal,
  ceilingsConfirmed,
  isByTime,
  learntOfAll,
  outcomeOf,
  ownRange,
  painfulWeeks,
  toldDoses,
} from "./history";
import type { ClientRecord, ResponseFact, SessionFact } from "../facts/record";
import { answer, doneSession, doneSet, plan, RAISED, record, rung, TODAY } from "../facts/record.fixture";
import { subjectOf } from "./subject";

const outcome = (more: Partial<ResponseFact> | null, session: Partial<SessionFact> = {}) => {
  const done = doneSession("s2", "2026-10-09", session);
  const of = record({ sessions: [done], responses: more === null ? [] : [answer("s2", "2026-10-10", more)] });
  return outcomeOf(of, done, done.items[0]!);
};

describe("what a morning says of a session", () => {
  test("is known once somebody told it, with its swelling and its muscles; where nobody did, nothing is", () => {
    expect(outcome(null).morning).toEqual({ isKnown: false });
    expect(outcome({}).morning).toEqual({ isKnown: true, value: { class: "calm", newSwelling: false, soreMuscles: false } });
    expect(outcome({ newSwelling: true }).morning).toMatchObject({ value: { newSwelling: true } });
    expect(outcome({ told: { muscles: "sore" } }).morning).toMatchObject({ value: { soreMuscles: true } });
    expect(outcome({ told: { muscles: "not-sore" } }).morning).toMatchObject({ value: { soreMuscles: false } });
    expect(outcome({ warningSigns: ["faint"] }).morning).toMatchObject({ value: { class: "noticed" } });
  });
  test("counts for nothing on a light day, or where nobody checked in at the studio; at home nobody asks at the door", () => {
    expect(outcome({}).uncounted).toBeNull();
    expect(outcome({}, { isLight: true }).uncounted).toBe("light-day");
    expect(outcome({}, { checkIn: null }).uncounted).toBe("check-in-missing");
    expect(outcome({}, { checkIn: null, place: "home" }).uncounted).toBeNull();
    expect(outcome({ warningSigns: ["faint"] }).uncounted).toBe("sign-said");
  });
});

test("an item goes by the clock where its dose does, and by nothing where it was never planned", () => {
  const timed = { ...RAISED.dose, tempo: { lowerS: 0, pauseS: 30, riseS: 0 }, repetitionsLow: 1, repetitionsHigh: 1 };
  const of = record({ prescriptions: [plan("plan-1", "rung-1"), plan("plan-t", "rung-1", { dose: timed })] });
  expect(["plan-1", "plan-t", "plan-none"].map((prescriptionId) => isByTime(of, { prescriptionId }))).toEqual([false, true, false]);
});

/** Four days at the calm pose itself, each calm the next morning. */
const DAYS = ["2026-10-03", "2026-10-05", "2026-10-07", "2026-10-09"];
const near = { rungs: [rung("rung-1", { setting: { seatHeightM: 0.58, shareFraction: 0.5 } })] };
const earned = (more: Partial<ClientRecord> = {}): ClientRecord =>
  record({
    ...near,
    sessions: DAYS.map((day, i) => doneSession(`s${i + 1}`, day)),
    responses: DAYS.map((day, i) => answer(`s${i + 1}`, dayAfter(day, 1))),
    ...more,
  });
const proposal = (of: ClientRecord, today: Day = TODAY) => ceilingProposal(of, fitContextOf(of, today)!);

describe("a ceiling is raised", () => {
  test("by calm doses near it", () => expect(proposal(earned())?.move).toBe("raise"));
  test("never on a morning with swelling, whatever it was of; an earlier one that has gone is over", () => {
    const swollen = (day: Day) =>
      earned({
        responses: [...earned().responses, answer(null, day, { id: "x", newSwelling: true, class: "flare" })].toSorted((a, b) =>
          a.day.localeCompare(b.day),
        ),
      });
    expect(proposal(swollen(TODAY))?.move).not.toBe("raise");
    expect(proposal(swollen(dayAfter(TODAY, 1)))?.move).toBe("raise"); // what is told tomorrow is not known today
    expect(proposal(swollen("2026-10-01"))?.move).toBe("raise");
  });
  test("never after two weeks away, counted from the last day with a set in it", () => {
    const last = "2026-10-09";
    expect(proposal(earned(), dayAfter(last, 13))?.move).toBe("raise");
    expect(proposal(earned(), dayAfter(last, 14))).toBeNull();
    const empty = doneSession("s9", dayAfter(last, 10), { sets: [] });
    expect(proposal(earned({ sessions: [...earned().sessions, empty] }), dayAfter(last, 14))).toBeNull();
    const out = earned().sessions;
    expect(proposal(earned({ sessions: [out[3]!, out[0]!, out[1]!, out[2]!] }), dayAfter(last, 10))?.move).toBe("raise"); // in whatever order they are kept
  });
  test("by what is known today, and by its own raises alone", () => {
    const of = earned();
    const on = (today: Day) => learntOfAll(of, fitContextOf(of, today)!)[0]!;
    expect(on(TODAY).doses).toHaveLength(4);
    expect(on("2026-10-07").doses.map(({ day }) => day)).toEqual(["2026-10-03", "2026-10-05", "2026-10-07"]);
    const [ceiling] = of.ceilings;
    const raised = earned({ ceilings: [{ ...ceiling!, raisedBy: 1.1 }] });
    const learnt = learntOfAll(raised, fitContextOf(raised, TODAY)!)[0]!;
    expect(learnt.calibrated).toBeCloseTo(learnt.ceiling.value / 1.1, 9);
    expect(learnt.ceiling.value).toBeCloseTo(1.1 * on(TODAY).ceiling.value, 6);
  });
  test("not past a limit of its own channel; one of another is nothing to it", () => {
    const value = (limits: ClientRecord["limits"]) => proposal(earned({ limits }))?.value;
    const free = value([]);
    expect(value([kneeLimit(140)])).toBe(free);
    expect(value([limit({ kind: "never", what: "lying" })])).toBe(free);
  });
});

describe("a dose that speaks for a ceiling", () => {
  const subject = subjectOf(record())!;
  const [ceiling] = ceilingsToday(record(), TODAY).usable;
  test("is the hardest of its session, and of what it cannot read nothing", () => {
    const two = (first: number, second: number) => {
      const of = earned({
        rungs: [
          ...near.rungs,
          rung("light", { setting: { seatHeightM: 0.75, shareFraction: 0.5 } }),
          rung("unread", { variationId: "walking", setting: {} }),
        ],
        prescriptions: [plan("plan-0", "rung-1"), plan("plan-1", "light"), plan("plan-2", "unread")],
        sessions: [
          doneSession("s1", "2026-10-06", {
            items: [first, second].map((which, i) => ({ id: `i${i}`, prescriptionId: `plan-${which}`, part: null, inTurn: false })),
            sets: [0, 1, 2].flatMap((n) => [doneSet("i0", n), doneSet("i1", n)]),
          }),
        ],
        responses: [answer("s1", "2026-10-07")],
      });
      return { told: toldDoses(of, subject, ceiling!), answered: answeredDoses(of, subject, ceiling!).slice(1) };
    };
    const [hardest] = two(0, 1).told;
    expect(two(1, 0).told).toEqual([hardest]);
    expect(two(0, 2).told).toEqual([hardest]);
    expect(two(2, 2).told).toEqual([]);
    expect(two(0, 1).answered).toMatchObject([{ useFraction: expect.closeTo(1, 2) as number, response: { value: "calm" } }]);
    expect(two(1, 0).answered).toEqual(two(0, 1).answered);
    expect(two(2, 2).answered).toEqual([]);
  });
  test("is none of a session in which nothing of it was done, or that nobody answered", () => {
    const session = doneSession("s1", "2026-10-06", { sets: [] });
    const of = (sessions: SessionFact[], responses: ResponseFact[]) => toldDoses(earned({ sessions, responses }), subject, ceiling!);
    expect(of([session], [answer("s1", "2026-10-07", { class: "flare" })])).toEqual([]);
    expect(of([doneSession("s1", "2026-10-06")], [])).toEqual([]);
    expect(
      of(
        [doneSession("s1", "2026-10-06", { items: [{ id: "item-s1", prescriptionId: "none", part: null, inTurn: false }] })],
        [answer("s1", "2026-10-07")],
      ),
    ).toEqual([]);
  });
  test("of another calm pose is none of this ceiling", () => {
    const [pose] = record().calmPoses;
    const of = record({ calmPoses: [{ ...pose!, id: "other", day: "2026-10-02" }, pose!] });
    expect(answeredDoses(of, subject, ceiling!).filter(({ useFraction }) => useFraction === 1)).toHaveLength(1);
  });
});

test("ceilings are confirmed by calm mornings: not those of history, and none twice", () => {
  const confirmed = (of: ClientRecord): string[] => ceilingsConfirmed(of, fitContextOf(of, TODAY)!).map(({ id }) => id);
  const [ceiling] = record().ceilings;
  expect(confirmed(record())).toEqual([ceiling!.id]);
  expect(confirmed(record({ responses: [] }))).toEqual([]);
  expect(confirmed(record({ confirmedCeilingIds: [ceiling!.id] }))).toEqual([]);
  expect(confirmed(record({ ceilings: [{ ...ceiling!, source: { kind: "history", id: "d" } }] }))).toEqual([]);
});

test("rows done as prescribed are calm rows where the morning was calm", () => {
  expect(calmRows(record())).toEqual([RAISED.id]);
  expect(calmRows(record({ responses: record().responses.map((each) => ({ ...each, class: "noticed" as const })) }))).toEqual([]);
});

test("a bend that was calm lends a rail, each of its own channel; a body nobody measured lends only what was measured", () => {
  const deep = record({ rungs: [rung("rung-1", { setting: { seatHeightM: 0.42, shareFraction: 0.5 } })] });
  const range = ownRange(deep);
  expect(range.kneeFlexion).toBeGreaterThan(80);
  expect(range.kneeFlexion).not.toBeCloseTo(range.hipFlexion ?? NaN, 1);
  const findings = (["left", "right"] as const).map((side) => ({
    id: side,
    day: TODAY,
    protocol: "knee-bend",
    side,
    value: 135,
    setUp: {},
    note: "",
  }));
  expect(ownRange({ ...deep, measures: [], findings })).toEqual({ kneeFlexion: 135 });
  expect(ownRange(record({ ...deep, rungs: [rung("rung-1", { setting: { seatHeightM: 9 } })] }))).toEqual({});
});

test("weeks that hurt are counted from a day on, that day among them", () => {
  const responses = [answer(null, "2026-10-05", { class: "flare" }), answer(null, "2026-10-04", { class: "flare" })];
  expect(painfulWeeks({ responses }, "2026-10-05")).toEqual([1]);
});

describe("the context of a fit", () => {
  const [pose] = record().calmPoses;
  test("has the share that was measured at the calm seat, of either leg, the latest of each; a share nobody measured is none", () => {
    const share = (poses: ClientRecord["calmPoses"]) => fitContextOf(record({ calmPoses: poses }), TODAY)?.ownShare;
    expect(share([{ ...pose!, shareFraction: 0.4 }])).toEqual({ right: 0.4, left: 0.6 });
    expect(share([{ ...pose!, shareFraction: null }])).toEqual({});
    expect(
      share([
        { ...pose!, shareFraction: 0.4 },
        { ...pose!, id: "p", day: "2026-09-01", shareFraction: 0.2 },
      ]),
    ).toEqual({ right: 0.4, left: 0.6 });
    expect(share([{ ...pose!, shareFraction: 0.4, variationId: "low-step-up" }])).toEqual({});
  });
  test("knows that nothing hurts only where somebody said so, and nothing does", () => {
    const nothing = (more: Partial<ClientRecord>) => fitContextOf(record(more), TODAY)?.nothingHurts;
    expect(nothing({ complaints: [] })).toBe(false);
    expect(nothing({ complaints: [], screen: { nothingHurts: true } })).toBe(true);
    expect(nothing({ screen: { nothingHurts: true } })).toBe(false);
  });
  test("has the studio's own cushion, and the tasks of the client's day", () => {
    const felt = (cushionM: number | null) => fitContextOf(record({ cushionM }), TODAY)?.kit.felt.seatHeightM;
    expect(felt(null)).toBe(DEFAULT_KIT.felt.seatHeightM);
    expect(felt(0.07)).toBe(0.07);
    const dailyTasks = [
      { id: "t", kind: "seat" },
      { id: "u", kind: "seat" },
      { id: "v", kind: "step" },
    ] as unknown as ClientRecord["dailyTasks"];
    expect(fitContextOf(record({ dailyTasks }), TODAY)?.ownDay).toEqual(["seat", "step"]);
  });
});

test("a time away is given back once in its line, after it and by the rule of it", () => {
  const line = { pattern: "squat", side: "right", line: null } as const;
  const given = (more: Partial<ClientRecord["decisions"][number]> = {}, today: Day = "2026-10-25") =>
    isAwayGiven(
      record({
        decisions: [
          {
            id: "d",
            sessionId: "s2",
            itemId: "item-s2",
            day: "2026-10-25",
            move: "ease",
            by: "trainer",
            overruled: null,
            rule: "time-away",
            reasons: [],
            change: null,
            note: "",
            ...more,
          },
        ],
      }),
      line,
      today,
    );
  expect(given()).toBe(true);
  expect(given({ rule: "noticed" })).toBe(false);
  expect(given({ day: "2026-10-09" })).toBe(false); // the last day trained itself is before the time away
  expect(given({ itemId: "item-none" })).toBe(false);
  expect(isAwayGiven(record(), line, "2026-10-25")).toBe(false);
});

import { dayAfter } from "../../day";
import { describe, expect, test } from "vitest";
import { calmCeilings, complaint, kneeLimit, limit } from "../../judge/fit.fixture";
import { CATALOGUE, variationById } from "../../catalogue/catalogue";
import type { Ceiling } from "../../limits/ceiling";
import { ceilingsToday } from "../standing/ceilings";
import { decisionFor, decisionInputOf } from "./decision";
import { isAwayGiven } from "./away";
import { isCoveredByNewer, undecidedItems } from "./undecided";
import {
  answeredDoses,
  calmLoads,
  ceilingProposal,
  hadInjection,
  isCeilingProvisional,
  missesMorning,
  openWarningsOf,
  outcomeOf,
  ownRange,
  toldDoses,
  usualScoreOn,
} from "../standing/history";
import { currentPlans, planOf } from "../standing/plans";
import { fitContextOf } from "../standing/context";
import { injectionDays, withPart } from "../../screen/screen";
import type { ClientRecord, ResponseFact, SessionFact } from "../facts/record";
import { answer, CHECKED_IN, doneSession, doneSet, plan, RAISED, record, rung, TODAY } from "../facts/record.fixture";
import { subjectOf } from "../standing/subject";

function decided(of: ClientRecord, today = TODAY) {
  const session = of.sessions.at(-1);
  const [item] = session?.items ?? [];
  return session && item ? decisionFor(of, session, item, today)?.decision : undefined;
}
function ceilingOf(of: ClientRecord): Ceiling {
  const [ceiling] = ceilingsToday(of, TODAY).usable;
  if (!ceiling) throw new Error("no ceiling");
  return ceiling;
}
const subject = (of: ClientRecord) => {
  const found = subjectOf(of);
  if (!found) throw new Error("no body");
  return found;
};
const EASED: SessionFact["moves"] = [
  {
    eventId: "e",
    order: 0,
    itemId: "item-s2",
    levers: [],
    to: { variationId: "raised-sit-to-stand", setting: {} },
    setCount: null,
    by: "ease",
    reason: "",
    dose: null,
  },
];

describe("a decision", () => {
  test("is by the item's own sessions and mornings", () =>
    expect(decided(record())).toMatchObject({ move: "build", next: { change: { levers: [{ lever: "seatHeightM" }] } } }));
  test("holds while the calm pose has no calm morning", () => {
    const responses = [answer("s1", "2026-10-07"), answer("s2", "2026-10-10")];
    expect(decided(record({ responses }))).toMatchObject({ move: "hold", rule: "ceiling-provisional" });
    expect(decided(record({ responses, confirmedCeilingIds: ["ceiling-0"] }))?.move).toBe("build");
  });
  test("judges the hardest of mixed sets first: forbidden, they are given up whatever the log says", () => {
    const mixed = { setting: { seatHeightM: 0.5, shareFraction: 0.5 }, setCount: 1 };
    const limits = [kneeLimit(90)];
    const plans = [plan("plan-1", "rung-1", { dose: { ...RAISED.dose, mixed } })];
    expect(decided(record({ limits, prescriptions: plans }))).toMatchObject({ move: "ease", rule: "rung-forbidden" });
    expect(decided(record({ limits, prescriptions: plans }))?.next?.dose.mixed).toBeUndefined();
    expect(decided(record({ limits }))?.rule).not.toBe("rung-forbidden");
  });
  test("counts only sessions in a row at the same rung", () => {
    const moved = record({
      rungs: [rung("rung-1"), rung("rung-2", { setting: { seatHeightM: 0.65, shareFraction: 0.5 } })],
      prescriptions: [plan("plan-1", "rung-1"), plan("plan-2", "rung-2", { day: "2026-10-08" })],
      sessions: [doneSession("s1", "2026-10-06"), doneSession("s2", "2026-10-09", { prescriptionId: "plan-2" })],
    });
    expect(decided(moved)).toMatchObject({ move: "hold", rule: "earned-once" });
  });
  test("does not count what was eased, stopped, or not begun as planned", () => {
    for (const more of [
      { moves: EASED },
      { stoppedItemIds: ["item-s2"] },
      { checkIn: { painScore: 1, newSwelling: false, choice: "ease-all" as const, underRelief: false, satLong: false, reason: "" } },
    ])
      expect(decided(record({ sessions: [doneSession("s1", "2026-10-06"), doneSession("s2", "2026-10-09", more)] }))).toMatchObject({
        move: "hold",
        rule: "eased-on-the-floor",
      });
  });
  test("an ease of another exercise is not this one's", () => {
    const eases = EASED.map((ease) => ({ ...ease, itemId: "another" }));
    expect(decided(record({ sessions: [doneSession("s1", "2026-10-06"), doneSession("s2", "2026-10-09", { moves: eases })] }))?.move).toBe(
      "build",
    );
  });
  test("is not broken by another pattern's session in between, nor by another leg's, nor by one where nothing was done", () => {
    const [planned] = record().prescriptions;
    if (!planned) throw new Error("no plan");
    const others = record({
      rungs: [rung("rung-1"), rung("hinge", { pattern: "hinge", variationId: "two-leg-hinge" }), rung("left", { side: "left" })],
      prescriptions: [planned, plan("p-h", "hinge"), plan("p-l", "left"), plan("p-o", "rung-gone")],
      sessions: [
        doneSession("s1", "2026-10-06"),
        doneSession("h", "2026-10-07", { prescriptionId: "p-h" }),
        doneSession("l", "2026-10-07", { prescriptionId: "p-l" }),
        doneSession("o", "2026-10-07", { prescriptionId: "p-o" }),
        doneSession("e", "2026-10-08", { sets: [] }),
        doneSession("s2", "2026-10-09", {
          checkIn: { painScore: 1, newSwelling: false, choice: "as-planned", underRelief: false, satLong: false, reason: "" },
        }),
      ],
    });
    expect(decided(others)?.move).toBe("build");
  });
  test("takes sessions by their day, whatever order they came in, and an older one by what was before it", () => {
    const [s1, s2] = [doneSession("s1", "2026-10-06"), doneSession("s2", "2026-10-09")];
    const of = record({
      sessions: [s2, s1],
      responses: [answer(null, "2026-10-02"), answer("s1", "2026-10-07", { class: "noticed" }), answer("s2", "2026-10-10")],
    });
    const about = (session: SessionFact) => {
      const [item] = session.items;
      return item && decisionFor(of, session, item, TODAY)?.decision.rule;
    };
    expect([about(s1), about(s2)]).toEqual(["noticed", "earned-once"]);
    const calm = record({ sessions: [s2, s1] });
    const [item] = s1.items;
    expect(item && decisionFor(calm, s1, item, TODAY)?.input.sessions.map(({ day }) => day)).toEqual(["2026-10-06"]);
  });
  test("of what has no plan or no body is none", () => {
    const gone = record({ prescriptions: [] });
    const [session] = gone.sessions;
    const [item] = session?.items ?? [];
    expect(session && item && decisionFor(gone, session, item, TODAY)).toBeNull();
    expect(session && item && decisionFor(record({ measures: [] }), session, item, TODAY)).toBeNull();
  });
  test("holds while any one of several ceilings is provisional, and passes on a ceiling that is earned", () => {
    const ceilings = [
      ...record().ceilings,
      ...calmCeilings("hip", 0.58).map((ceiling) => ({
        ...ceiling,
        id: "hip",
        calmPoseId: "later",
        raisedBy: 1,
        reason: "",
        source: { kind: "calm-pose", id: "later" } as const,
        fromDay: "2026-10-10",
      })),
    ];
    const [pose] = record().calmPoses;
    if (!pose) throw new Error("no pose");
    const calmPoses = [pose, { ...pose, id: "later", limitedBy: "hip" as const, day: "2026-10-10" }];
    const slow = record({
      ceilings,
      calmPoses,
      responses: [answer(null, "2026-10-02"), answer("s1", "2026-10-07"), answer("s2", "2026-10-10")],
    });
    expect(decided(slow, "2026-10-12")).toMatchObject({ move: "hold", rule: "ceiling-provisional" });
    expect(ceilingsToday(slow, "2026-10-12").usable.map(({ channel }) => channel)).toEqual(["kneecapStress", "hipMoment"]);
    const days = ["2026-10-02", "2026-10-04", "2026-10-06", "2026-10-09"];
    const near = record({
      rungs: [rung("rung-1", { setting: { seatHeightM: 0.58, shareFraction: 0.5 } })],
      sessions: days.map((day, i) => doneSession(`s${i + 1}`, day)),
      responses: days.map((day, i) => answer(`s${i + 1}`, dayAfter(day, 1))),
    });
    const [session, item] = [near.sessions.at(-1), near.sessions.at(-1)?.items[0]];
    expect(session && item && decisionFor(near, session, item, TODAY)?.input.proposedCeiling).toBeGreaterThan(0);
  });
  test("of a school that ties both sides waits for the other one of the same session: 15 and 12 hold both", () => {
    const row = "low-step-up";
    const at = { variationId: row, pattern: "step" as const, setting: { stepHeightM: 0.1 } };
    const days = ["2026-10-06", "2026-10-09"];
    const of = (repetitionsLeft: number, positions: Record<string, string>) => {
      const own = record({
        rungs: [rung("r", at), rung("l", { ...at, side: "left" })],
        prescriptions: [
          plan("p-r", "r", { dose: { ...RAISED.dose, setCount: 1 } }),
          plan("p-l", "l", { dose: { ...RAISED.dose, setCount: 1 } }),
        ],
        sessions: days.map((day, i) => ({
          ...doneSession(`s${i + 1}`, day),
          items: [
            { id: `r${i}`, prescriptionId: "p-r", part: null, inTurn: true },
            { id: `l${i}`, prescriptionId: "p-l", part: null, inTurn: false },
          ],
          sets: [doneSet(`r${i}`, 0), doneSet(`l${i}`, 1, { repetitions: repetitionsLeft })],
        })),
        school: { id: "c", day: "2026-10-01", preset: "mainstream", positions, numbers: {}, by: "", reason: "" },
      });
      const session = own.sessions.at(-1);
      const item = session?.items[0];
      return session && item && decisionInputOf(own, session, item, TODAY)?.isOtherShort;
    };
    const { repetitionsHigh } = RAISED.dose;
    expect(of(repetitionsHigh - 3, { "both-sides": "tied" })).toBe(true);
    expect(of(repetitionsHigh, { "both-sides": "tied" })).toBe(false);
    expect(of(repetitionsHigh - 3, {})).toBe(false);
  });
  test("judges the rung as it stands today: a new limit eases what the log would build", () =>
    expect(decided(record({ limits: [kneeLimit(40, { fromDay: "2026-10-09" })] }))).toMatchObject({ rule: "rung-forbidden" }));
  test("stops on a warning of any session, however far back, until its own clearance", () => {
    const warnings = [{ sourceId: "old", sign: "faint", day: "2026-01-05", at: "2026-01-05T10:00:00.000Z" }];
    expect(decided(record({ warnings }))).toMatchObject({ move: "stop" });
    const clearance = { id: "x", day: "2026-01-06", by: "Dr Vane", role: "doctor" as const, note: "", sourceId: "old", sign: "faint" };
    expect(decided(record({ warnings, clearances: [clearance] }))?.move).toBe("build");
    expect(openWarningsOf({ warnings, clearances: [{ ...clearance, sourceId: "other" }] })).toEqual(warnings);
  });
});

describe("plans", () => {
  const both = record({
    rungs: [
      rung("rung-1"),
      rung("hinge", { pattern: "hinge", variationId: "two-leg-hinge" }),
      rung("left", { pattern: "step", side: "left", variationId: "step-up-rail" }),
      rung("right", { pattern: "step", variationId: "step-up-rail" }),
    ],
    prescriptions: [plan("plan-1", "rung-1"), plan("p-h", "hinge"), plan("p-l", "left"), plan("p-r", "right"), plan("p-h2", "hinge")],
  });
  test("are kept per pattern and side: keeping a hinge does not erase the squat", () =>
    expect(currentPlans(both).map(({ prescription }) => prescription.id)).toEqual(["plan-1", "p-h2", "p-l", "p-r"]));
  test("are found by pattern, and by side where it matters", () => {
    expect(planOf(both, "step", "left")?.rung.id).toBe("left");
    expect(planOf(both, "step")?.rung.id).toBe("right");
    expect(planOf(both, "bridge")).toBeNull();
  });
});

describe("what a decision is told beside the log", () => {
  const told = (of: ClientRecord) => {
    const session = of.sessions.at(-1)!;
    return decisionFor(of, session, session.items[0]!, TODAY)!.input;
  };
  const steps = (rightM: number, leftM: number, left = "step-up-rail") =>
    record({
      rungs: [
        rung("right", { pattern: "step", variationId: "step-up-rail", setting: { stepHeightM: rightM, handForceN: 0 } }),
        rung("left", { pattern: "step", side: "left", variationId: left, setting: { stepHeightM: leftM, handForceN: 0 } }),
      ],
      prescriptions: [plan("plan-1", "right"), plan("p-l", "left")],
    });
  test("is whether its side stands ahead of the other, by a lever or up the ladder; of a two-legged row it never does", () => {
    expect([steps(0.15, 0.12), steps(0.12, 0.12), steps(0.12, 0.15)].map((of) => told(of).isAhead)).toEqual([true, false, false]);
    const easier = CATALOGUE.find(
      ({ pattern, ladderPlace }) => pattern === "step" && ladderPlace < variationById("step-up-rail").ladderPlace,
    )!;
    expect(told(steps(0.15, 0.12, easier.id)).isAhead).toBe(true);
    expect(told(record()).isAhead).toBe(false);
  });
  test("is how often it was held running, and how many sets sharp pain ended on this exercise", () => {
    const decision = (itemId: string, move: "hold" | "build"): ClientRecord["decisions"][number] => ({
      id: itemId,
      sessionId: itemId.slice(5),
      itemId,
      day: "2026-10-07",
      move,
      by: "trainer",
      overruled: null,
      rule: "noticed",
      reasons: [],
      change: null,
      note: "",
    });
    const sessions = ["s1", "s2", "s3", "s4"].map((id, n) => doneSession(id, `2026-10-0${n + 2}`));
    const sharp = (id: string) => ({
      ...sessions.find((each) => each.id === id)!,
      sets: [doneSet(`item-${id}`, 0, { endedBy: "sharp" as const })],
    });
    const of = record({
      sessions: [sharp("s1"), sessions[1]!, sharp("s3"), sessions[3]!],
      decisions: [decision("item-s1", "build"), decision("item-s2", "hold"), decision("item-s3", "hold")],
    });
    expect(told(of)).toMatchObject({ holdsRunning: 2, sharpMarks: 2 });
    expect(told(record())).toMatchObject({ holdsRunning: 0, sharpMarks: 0 });
  });
});

test("a calm morning under more pain relief than usual never builds, and raises nothing", () => {
  const responses = [answer(null, "2026-10-02"), answer("s1", "2026-10-07"), answer("s2", "2026-10-10", { underRelief: true })];
  expect(decided(record())?.move).toBe("build");
  expect(decided(record({ responses }))).toMatchObject({ move: "hold", rule: "under-relief" });
  // and so does one within two weeks of an injection told on Screen, whether or not anybody says so on the floor
  const injected = (injectionDay: string) => decided(record({ screen: { medicines: { kinds: [], injectionDay } } }));
  expect([injected("2026-10-01")?.rule, injected("2026-09-16")?.move, injected("2026-10-10")?.move]).toEqual([
    "under-relief",
    "build",
    "build",
  ]);
  const doses = (of: ClientRecord): number => answeredDoses(of, subject(of), ceilingOf(of)).length;
  expect(doses(record({ responses }))).toBeLessThan(doses(record()));
});

const DECIDED: ClientRecord["decisions"][number] = {
  id: "d",
  sessionId: "s1",
  itemId: "item-s1",
  day: "2026-10-07",
  move: "hold",
  by: "trainer",
  overruled: null,
  rule: "earned-once",
  reasons: [],
  change: null,
  note: "",
};

test("no ceiling rises past a limit of its own side or of both, nor by one of the other leg", () => {
  const days = ["2026-10-02", "2026-10-04", "2026-10-06", "2026-10-09"];
  const near = (side: "left" | "right" | "both") => {
    const of = record({
      rungs: [rung("rung-1", { setting: { seatHeightM: 0.58, shareFraction: 0.5 } })],
      sessions: days.map((day, i) => doneSession(`s${i + 1}`, day)),
      responses: days.map((day, i) => answer(`s${i + 1}`, dayAfter(day, 1))),
    });
    const { channel, value } = ceilingOf(of);
    const most = { kind: "most" as const, channel: channel as "hipFlexion", most: 1.01 * value };
    const limited = { ...of, limits: [limit(most, { side })] };
    const context = fitContextOf({ ...of }, TODAY);
    return context && (ceilingProposal(limited, context)?.value ?? NaN) / value;
  };
  expect(near("right")).toBeCloseTo(1.01, 4);
  expect(near("both")).toBeCloseTo(1.01, 4);
  expect(near("left")).toBeGreaterThan(1.03);
});

describe("everything known today is decided on together", () => {
  const sharp = (id: string, day: string) =>
    doneSession(id, day, {
      sets: [doneSet(`item-${id}`, 0, { endedBy: "sharp", painScore: 6 }), doneSet(`item-${id}`, 1), doneSet(`item-${id}`, 2)],
    });
  test("good, good, then sharp with swelling ends easier than all three, in whatever order they are offered", () => {
    const of = record({
      sessions: [...record().sessions, sharp("s3", "2026-10-11")],
      responses: [...record().responses, answer("s3", "2026-10-12", { newSwelling: true, class: "flare" })],
    });
    expect(undecidedItems(of).map(({ item }) => item.id)).toEqual(["item-s3"]);
    const decision = decided(of, "2026-10-12");
    expect(decision).toMatchObject({ move: "ease", rule: "sharp-pain" });
    expect(decision?.next?.setting.seatHeightM).toBeGreaterThan(0.66);
  });
  test("an older good one never builds past a newer bad one, and a newer good one not at once after a bad one", () => {
    const of = record({ sessions: [sharp("s1", "2026-10-06"), doneSession("s2", "2026-10-09")] });
    expect(decided(of)).toMatchObject({ move: "hold", rule: "earned-once" });
  });
  test("an ease is never superseded into nothing: where the plan was made harder since, that is what is eased", () => {
    const harder = { variationId: "raised-sit-to-stand", setting: { seatHeightM: 0.62, shareFraction: 0.5 } };
    const since = (setting: typeof harder.setting, dose = RAISED.dose) =>
      record({
        rungs: [rung("rung-1"), rung("rung-2", { day: "2026-10-09", setting })],
        prescriptions: [plan("plan-1", "rung-1"), plan("plan-2", "rung-2", { day: "2026-10-09", at: "2026-10-09T18:00:00.000Z", dose })],
        sessions: [doneSession("s1", "2026-10-06"), sharp("s2", "2026-10-09")],
      });
    const eased = decided(since(harder.setting));
    expect(eased).toMatchObject({ move: "ease", rule: "sharp-pain" });
    expect(eased?.next?.setting.seatHeightM).toBeGreaterThan(0.62);
    // already as easy as the ease would have made it: that is what stands
    const easier = { seatHeightM: 0.8, shareFraction: 0.5 };
    expect(decided(since(easier))?.next?.setting).toEqual(easier);
    const good = { ...since({ seatHeightM: 0.68, shareFraction: 0.5 }), sessions: record().sessions };
    expect(decided(good)).toMatchObject({ move: "hold", rule: "plan-changed" });
  });
  test("a time away comes first: a set, then a step", () => {
    expect(decided(record(), "2026-10-22")?.move).toBe("build");
    expect(decided(record(), "2026-10-23")).toMatchObject({
      move: "ease",
      rule: "time-away",
      next: { dose: { setCount: RAISED.dose.setCount - 1 } },
    });
    const longer = decided(record(), "2026-11-06");
    expect(longer).toMatchObject({ move: "ease", rule: "time-away", next: { dose: { setCount: RAISED.dose.setCount } } });
    expect(longer?.next?.setting.seatHeightM).toBeGreaterThan(0.66);
    const given = record({ decisions: [{ ...DECIDED, itemId: "item-s2", sessionId: "s2", day: "2026-10-23", rule: "time-away" }] });
    expect(isAwayGiven(given, rung("rung-1"), "2026-10-24")).toBe(true); // the floor does not take it once more
    expect(isAwayGiven(given, rung("x", { pattern: "hinge" }), "2026-10-24")).toBe(false);
    expect(isAwayGiven(record({ decisions: [DECIDED] }), rung("rung-1"), "2026-10-24")).toBe(false);
  });
  test("sessions months apart are not running", () => {
    const of = record({
      sessions: [doneSession("s1", "2026-08-06"), doneSession("s2", "2026-10-09")],
      responses: [answer(null, "2026-10-02"), answer("s1", "2026-08-07"), answer("s2", "2026-10-10")],
    });
    expect(decided(of)).toMatchObject({ move: "hold", rule: "sessions-apart" });
  });
});

describe("no answer is no build", () => {
  const rules = (more: Parameters<typeof doneSession>[2], response: Partial<ResponseFact> = {}, day = "2026-10-10") =>
    decided(
      record({
        sessions: [doneSession("s1", "2026-10-06"), doneSession("s2", "2026-10-09", more)],
        responses: [answer(null, "2026-10-02"), answer("s1", "2026-10-07"), answer("s2", day, response)],
        confirmedCeilingIds: ["ceiling-0"],
      }),
      "2026-10-12",
    )?.rule;
  test("as it should be, it builds", () => expect(rules({})).toBe("earned"));
  test("a check-in nobody made, or that warned and was gone past", () => {
    expect(rules({ checkIn: null })).toBe("check-in-missing");
    expect(rules({ checkIn: { ...CHECKED_IN, newSwelling: true } })).toBe("check-in-warned");
    expect(rules({ checkIn: { ...CHECKED_IN, painScore: 4 } })).toBe("check-in-warned");
    expect(rules({ checkIn: { ...CHECKED_IN, painScore: NaN } })).toBe("check-in-warned");
    expect(rules({ checkIn: { ...CHECKED_IN, painScore: 3 } })).toBe("earned");
    expect(rules({ checkIn: null, place: "home" })).toBe("earned"); // nobody stands at the door there
  });
  test("a morning told the day after that is a memory; a bad one still counts", () => {
    expect(rules({}, {}, "2026-10-11")).toBe("morning-late");
    expect(rules({}, { class: "flare" }, "2026-10-11")).toBe("flare");
  });
  test("a sign, in the session or the morning, counts for nothing, also once it is cleared", () => {
    expect(rules({ warnings: [{ eventId: "e", sign: "faint", at: "" }] })).toBe("sign-said");
    expect(rules({}, { warningSigns: ["calf-swelling"] })).toBe("noticed"); // whatever class was kept, it was never calm
    const signed = record({ responses: [answer(null, "2026-10-02", { warningSigns: ["faint"] })], sessions: [] });
    expect(isCeilingProvisional(signed, subject(signed), ceilingOf(signed))).toBe(true);
  });
  test("two weeks after an injection, the fourteenth day still in them, whichever injection it was", () => {
    const after = (medicines: NonNullable<ClientRecord["screen"]["medicines"]>) => {
      const of = record({ screen: { medicines }, confirmedCeilingIds: ["ceiling-0"] });
      return ["2026-10-06", "2026-10-09"].map((day) => hadInjection(of, day));
    };
    const kinds: [] = [];
    expect(after({ kinds, injectionDay: "2026-09-25" })).toEqual([true, true]); // fourteen days before the second
    expect(after({ kinds, injectionDay: "2026-09-24" })).toEqual([true, false]);
    expect(after({ kinds, injectionDay: "2026-10-07" })).toEqual([false, true]); // not before it was given
    expect(after({ kinds, injectionDay: "2026-03-01", earlierInjectionDays: ["2026-09-25"] })).toEqual([true, true]);
    const again = withPart({ medicines: { kinds, injectionDay: "2026-09-25" } }, { medicines: { kinds, injectionDay: "2026-10-20" } });
    expect(injectionDays(again)).toEqual(["2026-09-25", "2026-10-20"]);
  });
  test("a muscle at work with pain over five", () => {
    const sets = [0, 1, 2].map((n) => doneSet("item-s2", n, n === 0 ? { painKind: "muscle-work", painScore: 6 } : {}));
    expect(rules({ sets })).toBe("muscle-pain");
  });
});

describe("what waits", () => {
  test("for a decision: of each line the last item that was trained or warned, and what came before is judged with it", () => {
    const decisions = [DECIDED];
    const idle = doneSession("s3", "2026-10-10", { sets: [] });
    const warned = doneSession("s4", "2026-10-10", { sets: [], warnings: [{ eventId: "e", sign: "faint", at: "" }] });
    const waits = undecidedItems(record({ decisions, sessions: [...record().sessions, idle, warned] }));
    expect(waits.map(({ item }) => item.id)).toEqual(["item-s4"]);
    expect(undecidedItems(record({ decisions, sessions: [...record().sessions, idle] })).map(({ item }) => item.id)).toEqual(["item-s2"]);
    const hinge = [rung("rung-1"), rung("rung-2", { pattern: "hinge", variationId: "two-leg-hinge" })];
    const two = record({
      rungs: hinge,
      prescriptions: [plan("plan-1", "rung-1"), plan("plan-2", "rung-2")],
      sessions: [doneSession("s1", "2026-10-06", { prescriptionId: "plan-2" }), doneSession("s2", "2026-10-09")],
    });
    expect(undecidedItems(two).map(({ item }) => item.id)).toEqual(["item-s1", "item-s2"]);
    expect(two.sessions.map(({ items: [item] }) => item && isCoveredByNewer(two, item))).toEqual([false, false]);
  });
  test("and a decision covers what was trained before it: nothing older is decided after something newer", () => {
    const last = { ...DECIDED, itemId: "item-s2", sessionId: "s2" };
    expect(undecidedItems(record({ decisions: [last] }))).toEqual([]);
    const [older] = record().sessions[0]?.items ?? [];
    if (!older) throw new Error("no item");
    expect(isCoveredByNewer(record(), older)).toBe(true);
    expect(isCoveredByNewer(record({ decisions: [last] }), older)).toBe(false); // decided with it, and waits no more
  });
  test("for a morning: a trained session of a day gone by that nobody told about", () => {
    const [s1] = record().sessions;
    if (!s1) throw new Error("no session");
    expect(missesMorning(record(), s1, TODAY)).toBe(false);
    expect(missesMorning(record({ responses: [] }), s1, TODAY)).toBe(true);
    expect(missesMorning(record({ responses: [] }), s1, s1.day)).toBe(false);
    expect(missesMorning(record({ responses: [] }), { ...s1, sets: [] }, TODAY)).toBe(false);
  });
});

describe("history", () => {
  test("of a calm pose is confirmed by the next morning, not by one of its own day or a memory told later", () => {
    const isOpen = (day: string) => {
      const of = record({ responses: [answer(null, day)], sessions: [] });
      return isCeilingProvisional(of, subject(of), ceilingOf(of));
    };
    expect(["2026-10-01", "2026-10-02", "2026-10-03", "2026-10-04"].map(isOpen)).toEqual([true, false, true, true]);
  });
  test("takes usual pain of each complaint from its own mornings before a day", () => {
    const responses = Array.from({ length: 6 }, (_, i) =>
      answer(null, `2026-10-0${i + 1}`, {
        pains: [
          { complaintId: "sore", painScore: 4 },
          { complaintId: "back", painScore: 1 },
        ],
      }),
    );
    const many = record({
      complaints: [complaint({ usualPainScore: 2 }), complaint({ id: "back", site: "low-back", usualPainScore: 3 })],
      responses,
    });
    expect(usualScoreOn(many, "sore", "2026-10-20")).toBe(4);
    expect(usualScoreOn(many, "back", "2026-10-20")).toBe(1);
    expect(usualScoreOn(many, "back", "2026-10-03")).toBe(3);
    expect(usualScoreOn(many, "back", "2026-10-05")).toBe(3); // four before it, not five
    expect(usualScoreOn(many, "nobody", "2026-10-03")).toBe(0);
  });
  test("answers a ceiling with the calm pose first, then the sessions by what they ask today", () => {
    const doses = answeredDoses(record(), subject(record()), ceilingOf(record()));
    expect(doses.map(({ useFraction, response }) => [Math.round(useFraction * 10) / 10, response.isKnown && response.value])).toEqual([
      [1, "calm"],
      [0.6, "calm"],
      [0.6, "calm"],
    ]);
    expect(isCeilingProvisional(record(), subject(record()), ceilingOf(record()))).toBe(false);
  });
  const near = { rungs: [rung("rung-1", { setting: { seatHeightM: 0.58, shareFraction: 0.5 } })] };
  const proposal = (more: Partial<ClientRecord>) => {
    const of = record({ ...near, ...more });
    const context = fitContextOf(of, TODAY);
    return context && ceilingProposal(of, context);
  };
  const DAYS = ["2026-10-03", "2026-10-05", "2026-10-07", "2026-10-09"];
  const four = (last: Partial<SessionFact> = {}) => ({
    sessions: DAYS.map((day, i) => doneSession(`s${i + 1}`, day, i === 3 ? last : {})),
    responses: DAYS.map((day, i) => answer(`s${i + 1}`, dayAfter(day, 1))),
  });
  const ratio = (more: Partial<ClientRecord>): number => (proposal(more)?.value ?? NaN) / ceilingOf(record(near)).value;
  test("proposes a higher ceiling after four calm mornings at it, at most a tenth", () => {
    expect(proposal({})).toBeNull(); // two are too few
    expect(proposal(four())?.move).toBe("raise");
    expect(ratio(four())).toBeGreaterThan(1.04);
    expect(ratio(four())).toBeLessThanOrEqual(1.1);
  });
  test("and never past a limit on what the joint is asked", () => {
    const { value, channel, side } = ceilingOf(record(near));
    // a limit is on a bend as a rule; what binds is the channel, whichever it is
    const most = { kind: "most" as const, channel: channel as "hipFlexion", most: 1.01 * value };
    expect(ratio({ ...four(), limits: [limit(most, { side })] })).toBeCloseTo(1.01, 6);
    expect(proposal({ ...four(), limits: [limit({ ...most, most: 0.9 * value }, { side })] })).toBeNull();
  });
  test("proposes a lower one after a flare at it, though it was not done as prescribed", () => {
    const responses = [answer("s4", "2026-10-10", { class: "flare" })];
    const flared = { ...four({ sets: [doneSet("item-s4", 0)] }), responses };
    expect(proposal(flared)?.move).toBe("lower");
    expect(ratio(flared)).toBeGreaterThanOrEqual(0.8);
  });
  test("and a lighter exercise in the same session does not speak against it", () => {
    const both = { ...near, rungs: [...near.rungs, rung("light", { setting: { seatHeightM: 0.75, shareFraction: 0.5 } })] };
    const prescriptions = [plan("plan-1", "rung-1"), plan("plan-2", "light")];
    const { sessions: plain, responses } = four();
    const sessions = plain.map((session) => {
      const itemId = `light-${session.id}`;
      return {
        ...session,
        items: [...session.items, { id: itemId, prescriptionId: "plan-2", part: null, inTurn: false }],
        sets: [...session.sets, ...[0, 1, 2].map((n) => doneSet(itemId, n))],
      };
    });
    const told = toldDoses(record({ ...both, prescriptions, sessions, responses }), subject(record()), ceilingOf(record()));
    expect(told.map(({ response, repetitions }) => [response, repetitions])).toEqual(DAYS.map(() => ["calm", 24]));
    expect(proposal({ ...both, prescriptions, sessions, responses })?.move).toBe("raise");
  });
  test("a calm morning counts only after a dose done as prescribed, and no dose with a sign in it", () => {
    const sets = (change: Parameters<typeof doneSet>[2]) => [0, 1, 2].map((n) => doneSet("item-s4", n, n === 1 ? change : {}));
    const count = (more: Partial<SessionFact>): number =>
      toldDoses(record({ ...near, ...four(more) }), subject(record()), ceilingOf(record())).length;
    expect(count({})).toBe(4);
    for (const more of [
      { sets: [doneSet("item-s4", 0)] },
      { sets: sets({ painScore: 4 }) },
      { sets: sets({ painScore: null }) },
      { sets: sets({ endedBy: "sharp" }) },
      { sets: sets({ endedBy: "spreading" }) },
      { moves: EASED.map((move) => ({ ...move, itemId: "item-s4" })) },
      { warnings: [{ eventId: "e", sign: "faint", at: "" }] },
    ])
      expect(count(more)).toBe(3);
    expect(toldDoses(record({ ...near, ...four(), responses: [] }), subject(record()), ceilingOf(record()))).toEqual([]);
  });
  test("knows the most of each load that was calm, pattern by pattern", () => {
    const goblet = (loadKg: number) => rung("rung-1", { variationId: "goblet-to-box", setting: { seatHeightM: 0.66, loadKg } });
    expect(calmLoads(record({ rungs: [goblet(8)] }))).toEqual({ squat: { loadKg: 8 } });
    const noticed = [answer("s1", "2026-10-07", { class: "noticed" }), answer("s2", "2026-10-10", { class: "flare" })];
    expect(calmLoads(record({ rungs: [goblet(8)], responses: noticed }))).toEqual({});
  });
  test("knows how far bends went calmly, by their low end", () => {
    const range = ownRange(record({ rungs: [rung("rung-1", { setting: { seatHeightM: 0.5, shareFraction: 0.5 } })] }));
    expect(range.kneeFlexion).toBeGreaterThan(90);
    expect(ownRange(record({ responses: [] }))).toEqual({});
  });
  test("an item's outcome is its own sets", () => {
    const session = doneSession("s1", "2026-10-06", { sets: [doneSet("item-s1", 0), doneSet("other", 0)] });
    expect(outcomeOf(record(), session, { id: "item-s1", prescriptionId: "plan-1", part: null, inTurn: false }).sets).toHaveLength(1);
  });
});

describe("a ceiling today", () => {
  test("is computed anew from its calm pose: it follows a new posture rule, and the calm seat stays what it was", () => {
    const ruled = record({
      postures: [{ id: "p", day: "2026-10-05", rule: { kind: "measured", kneeFlexionDeg: 83, shankLeanDeg: 26, pressureFraction: 0.5 } }],
    });
    expect(ceilingOf(ruled).value).not.toBeCloseTo(ceilingOf(record()).value, 1);
    const context = fitContextOf(ruled, TODAY);
    if (!context) throw new Error("no context");
    const calm = answeredDoses(
      { ...ruled, rungs: [rung("rung-1", { setting: { seatHeightM: 0.58, shareFraction: 0.5 } })] },
      context.subject,
      ceilingOf(ruled),
    );
    expect(calm.at(-1)?.useFraction).toBeCloseTo(1, 2);
  });
  test("keeps the mass of the day it was done, so that a heavier body reads as asked more", () => {
    const heavier = record({ measures: [{ id: "m2", day: "2026-10-08", heightM: 1.68, massKg: 90, overrides: {} }] });
    expect(ceilingOf(heavier).value).toBeCloseTo(ceilingOf(record()).value, 6);
  });
  test("is raised by what calm mornings raised it, and refuses a number of a pose that is gone", () => {
    const raised = record({ ceilings: record().ceilings.map((ceiling) => ({ ...ceiling, raisedBy: 1.05 })) });
    expect(ceilingOf(raised).value / ceilingOf(record()).value).toBeCloseTo(1.05, 9);
    const gone = ceilingsToday(record({ calmPoses: [] }), TODAY);
    expect(gone).toMatchObject({ usable: [], unusable: [{ reason: "source-missing" }] });
    const deep = record({ calmPoses: record().calmPoses.map((pose) => ({ ...pose, setting: { seatHeightM: 1.4 } })) });
    expect(ceilingsToday(deep, TODAY)).toMatchObject({ usable: [], unusable: [{ reason: "hip-height-unreachable" }] });
    expect(fitContextOf(deep, TODAY)).toMatchObject({ ceilings: [], unusable: [{ reason: "hip-height-unreachable" }] });
  });
});

describe("the context of a fit", () => {
  test("without a body is none", () => expect(fitContextOf(record({ measures: [] }), TODAY)).toBeNull());
  test("is careful with a back that hurts, thin bone and a pregnancy", () => {
    const careful = (more: Partial<ClientRecord>) => fitContextOf(record(more), TODAY)?.careful;
    expect(careful({})).toEqual([]);
    expect(careful({ complaints: [complaint({ site: "back-bend", side: "both" })] })).toEqual(["back"]);
    expect(
      careful({ screen: { conditions: ["bone-thinning", "pregnancy", "falls"].map((id) => ({ id, side: "both" as const, day: null })) } }),
    ).toEqual(["bone-thinning", "pregnancy"]);
  });
  test("leads with the sore side unless told otherwise", () => {
    expect(fitContextOf(record(), TODAY)?.subject.leadSide).toBe("right");
    expect(fitContextOf(record(), TODAY, "left")?.subject.leadSide).toBe("left");
  });
});

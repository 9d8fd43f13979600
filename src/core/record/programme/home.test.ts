import { describe, expect, test } from "vitest";
import { variationById } from "../../catalogue/catalogue";
import { dayAfter } from "../../day";
import type { SessionItem } from "../../session/session";
import { fitContextOf } from "../standing/context";
import {
  homeDay,
  homeItems,
  homeLine,
  isMorningSettled,
  lookedAt,
  morningAfterHome,
  onRestDay,
  painsFrom,
  plannedAtHome,
  restAtHome,
} from "./home";
import type { ClientRecord, HomeSet } from "../facts/record";
import { firstProgramme } from "./programme";
import { answer, doneSession, plan, RAISED, record, rung, TODAY } from "../facts/record.fixture";

/** A record with a programme of these items, kept before anything was decided. */
const item = (code: string, more: Partial<SessionItem> = {}): SessionItem => {
  const { id, dose } = variationById(code);
  return { id: `i-${code}`, variationId: id, setting: {}, part: "main", dose, sides: [], ...more };
};
function withProgramme(items: readonly SessionItem[], more: Partial<ClientRecord> = {}): ClientRecord {
  const of = record(more);
  const context = fitContextOf(of, TODAY);
  if (!context) throw new Error("a body");
  const trainingPlan = { ...firstProgramme(of, context, TODAY), items, day: "2026-10-01", sequence: 0, keptAt: "2026-10-01T09:00:00.000Z" };
  return { ...of, trainingPlan };
}
const RAISED_ITEM = item(RAISED.id, { setting: { seatHeightM: 0.66, shareFraction: 0.5 } });
const homeSet = (id: string, day: string, more: Partial<HomeSet> = {}): HomeSet => ({
  id,
  day,
  at: `${day}T08:00:00.000Z`,
  line: RAISED_ITEM.id,
  side: null,
  repetitions: 8,
  workedS: null,
  painScore: 1,
  leftInTank: null,
  isSharp: false,
  place: { variationId: RAISED.id, setting: { seatHeightM: 0.66 } },
  dose: RAISED.dose,
  isLooked: false,
  ...more,
});

describe("the sheet for home", () => {
  test("is of the programme, set up from what is at home; without one, or a body, there is none", () => {
    const found = homeItems(withProgramme([RAISED_ITEM]), TODAY);
    expect(found?.items.map(({ item: { id }, variationId }) => [id, variationId])).toEqual([[RAISED_ITEM.id, RAISED.id]]);
    expect([found?.leftOut, found?.waits]).toEqual([[], []]);
    expect(homeItems(record(), TODAY)).toBeNull();
    expect(homeItems({ ...withProgramme([RAISED_ITEM]), measures: [] }, TODAY)).toBeNull();
  });
  test("leaves what waits where it waits, until what stands before it was calm", () => {
    const waits = item("low-step-up", { waits: true });
    const found = homeItems(withProgramme([RAISED_ITEM, waits], { sessions: [], responses: [] }), TODAY);
    expect(found?.waits.map(({ id }) => id)).toEqual([waits.id]);
    expect(found?.items.map(({ item: { id } }) => id)).not.toContain(waits.id);
    expect(homeItems(withProgramme([RAISED_ITEM, waits]), TODAY)?.waits).toEqual([]);
  });
  test("follows what the gate decided about the line at home since", () => {
    const since = {
      rungs: [rung("rung-1"), rung("rung-home", { line: homeLine(RAISED_ITEM.id), setting: { seatHeightM: 0.7, shareFraction: 0.5 } })],
      prescriptions: [
        plan("plan-1", "rung-1"),
        plan("plan-home", "rung-home", { at: "2026-10-05T09:00:00.000Z", dose: { ...RAISED.dose, setCount: 1 } }),
      ],
    };
    const [first] = homeItems(withProgramme([RAISED_ITEM], since), TODAY)?.items ?? [];
    expect(first?.setting.seatHeightM).toBe(0.7);
    expect(first?.item.dose.setCount).toBe(1);
    expect(homeLine("a")).not.toBe(homeLine("b"));
  });
});

describe("what a set at home was to be", () => {
  test("is what stands on the sheet for its line; of no line, nothing", () => {
    const of = withProgramme([RAISED_ITEM]);
    expect(plannedAtHome(of, TODAY, RAISED_ITEM.id, null)).toMatchObject({
      place: { variationId: RAISED.id },
      dose: RAISED.dose,
      side: "right",
    });
    expect(plannedAtHome(of, TODAY, RAISED_ITEM.id, "left")).toMatchObject({ side: "left" }); // no sides of its own: whichever is told
    expect(plannedAtHome(of, TODAY, "nobody's", null)).toBeNull();
    expect(plannedAtHome(record(), TODAY, RAISED_ITEM.id, null)).toBeNull();
  });
  test("is that of its own side, with that side's sets and repetitions, at that side's own place", () => {
    const own = { variationId: RAISED.id, setting: { seatHeightM: 0.7, shareFraction: 0.5 } };
    const sided: SessionItem = {
      ...RAISED_ITEM,
      dose: { ...RAISED.dose, repetitionsLow: 8, repetitionsHigh: 12, setCount: 3 },
      sides: [
        { side: "left", setCount: 2, repetitions: 6, place: own },
        { side: "right", setCount: 3, repetitions: 12 },
      ],
    };
    const of = withProgramme([sided]);
    const found = homeItems(of, TODAY)?.items[0];
    expect(found).toBeDefined();
    expect(plannedAtHome(of, TODAY, sided.id, "left")).toMatchObject({
      side: "left",
      place: own,
      dose: { setCount: found?.item.sides[0]?.setCount, repetitionsHigh: 6, repetitionsLow: 6 },
    });
    expect(plannedAtHome(of, TODAY, sided.id, "right")).toMatchObject({ side: "right", dose: { repetitionsHigh: 12, repetitionsLow: 8 } });
    const one = withProgramme([{ ...sided, sides: sided.sides.slice(0, 1) }]);
    expect(plannedAtHome(one, TODAY, sided.id, "right")).toBeNull();
  });
});

describe("a day at home", () => {
  test("asks about the last thing done, at the studio or at home, for three days, until it was told", () => {
    const none = record({ sessions: [], responses: [], homeSets: [] });
    expect(homeDay(none, TODAY).asked).toBeNull();
    const session = doneSession("s", "2026-10-09");
    const asked = (more: Partial<ClientRecord>, today = TODAY) => homeDay({ ...none, ...more }, today).asked;
    expect(asked({ sessions: [session] })).toEqual({ session, since: "2026-10-09" });
    expect(asked({ sessions: [session] }, "2026-10-12")).toMatchObject({ since: "2026-10-09" });
    expect(asked({ sessions: [session] }, "2026-10-13")).toBeNull();
    expect(asked({ sessions: [doneSession("s", TODAY)] })).toBeNull(); // its morning is tomorrow
    expect(asked({ sessions: [{ ...session, sets: [] }] })).toBeNull();
    expect(asked({ sessions: [session], responses: [answer("s", TODAY)] })).toBeNull();
    expect(asked({ sessions: [session], responses: [answer("s", "2026-10-09")] })).toBeNull();
    expect(asked({ sessions: [session], responses: [answer("other", "2026-10-09")] })).not.toBeNull();
    expect(asked({ homeSets: [homeSet("a", "2026-10-09")] })).toEqual({ session: null, since: "2026-10-09" });
    expect(asked({ sessions: [doneSession("s", "2026-10-08")], homeSets: [homeSet("a", "2026-10-09")] })).toEqual({
      session: null,
      since: "2026-10-09",
    });
    expect(asked({ homeSets: [homeSet("a", TODAY)] })).toBeNull();
  });
  test("is closed while a warning stands open", () => {
    expect(homeDay(record(), TODAY).isClosed).toBe(false);
    expect(homeDay(record({ warnings: [{ sourceId: "w", sign: "faint", day: TODAY, at: TODAY }] }), TODAY).isClosed).toBe(true);
  });
  test("asks the task that the client wants back, once a week", () => {
    const goal = (task: string) => homeDay(record({ screen: { goals: [{ task, words: "", measure: null }] } as never }), TODAY).task.task;
    expect([goal("walk"), goal("rise"), goal("stairs"), goal("garden")]).toEqual(["walk", "chair", "stairs", "stairs"]);
    const told = (day: string, task: "stairs" | "walk" = "stairs") => homeDay(record({ tasksTold: [{ day, task, level: 1 }] }), TODAY);
    expect(told(dayAfter(TODAY, -6)).task.isDue).toBe(false);
    expect(told(dayAfter(TODAY, -7)).task.isDue).toBe(true);
    expect(told(TODAY, "walk").task.isDue).toBe(true);
    expect(told(TODAY).trend).toHaveLength(1);
    expect(told(TODAY, "walk").trend).toEqual([]);
  });
  test("rests by the plan's own rule, after what was done in the studio or at home; small things are done all the same", () => {
    const of = withProgramme([RAISED_ITEM], { sessions: [] });
    const squats = { variationId: "bodyweight-squat", setting: {} };
    const rest = (more: Partial<ClientRecord> = {}, today = TODAY) => restAtHome({ ...of, ...more }, today)?.code ?? "free";
    expect(restAtHome(record(), TODAY)).toBeNull();
    const bare = { trainingPlan: { ...of.trainingPlan!, often: "two-rest-days", laid: [] } } as Partial<ClientRecord>;
    expect(rest(bare)).toBe("free");
    expect(rest({ ...bare, homeSets: [homeSet("a", dayAfter(TODAY, -1), { place: squats })] })).toBe("rest");
    expect(rest({ ...bare, homeSets: [homeSet("a", TODAY, { place: squats })] })).toBe("free"); // today's own is no rest from itself
    expect(rest({ ...bare, homeSets: [homeSet("a", dayAfter(TODAY, -4), { place: squats })] })).toBe("free");
    expect(rest({ ...bare, sessions: [doneSession("s", dayAfter(TODAY, -2))] })).toBe("rest");
    for (const variationId of ["foot-tapping", "wall-slide"])
      // daily, and several times a day
      expect(rest({ ...bare, homeSets: [homeSet("a", dayAfter(TODAY, -1), { place: { variationId, setting: {} } })] })).toBe("free");
    const coming = [{ id: "l", day: dayAfter(TODAY, 1), often: "two-rest-days" }];
    expect(rest({ trainingPlan: { ...of.trainingPlan!, often: "two-rest-days", laid: coming } as never })).toBe("rest-before");
    expect(rest({ trainingPlan: { ...of.trainingPlan!, often: "two-rest-days", laid: [{ ...coming[0], day: TODAY }] } as never })).toBe(
      "free",
    );
    const rows = ["foot-tapping", "bodyweight-squat", "wall-slide"].map((variationId) => ({ variationId }));
    expect(onRestDay(rows as never).map(({ variationId }) => variationId)).toEqual(["foot-tapping", "wall-slide"]);
  });
});

describe("a morning told at home", () => {
  test("is a number as far above the usual as its word, and at most ten", () => {
    const of = record({ complaints: [{ ...record().complaints[0]!, usualPainScore: 2.5 }], responses: [] });
    const pains = (than: 0 | 1 | 2, who = of) =>
      painsFrom(who, [{ complaintId: of.complaints[0]!.id, than }], TODAY).map(({ painScore }) => painScore);
    expect([pains(0), pains(1), pains(2)]).toEqual([[3], [4], [5]]);
    expect(pains(2, { ...of, complaints: [{ ...of.complaints[0]!, usualPainScore: 9 }] })).toEqual([10]);
  });
  test("answers a day at home for two days after it, and is waited for no longer", () => {
    const told = (day: string) => ({ responses: [answer(null, day)] });
    expect([0, 1, 2, 3].map((days) => morningAfterHome(told(dayAfter("2026-10-05", days)), "2026-10-05") !== null)).toEqual([
      false,
      true,
      true,
      false,
    ]);
    expect(isMorningSettled({ responses: [] }, dayAfter(TODAY, -2), TODAY)).toBe(false);
    expect(isMorningSettled({ responses: [] }, dayAfter(TODAY, -3), TODAY)).toBe(true);
    expect(isMorningSettled(told(TODAY), dayAfter(TODAY, -1), TODAY)).toBe(true);
  });
  test("what is looked at stands day by day, and of a day one exercise and side at a time", () => {
    const sets = [
      homeSet("late", "2026-10-08"),
      homeSet("early", "2026-10-07"),
      homeSet("again", "2026-10-08"),
      homeSet("left", "2026-10-08", { side: "left" }),
      homeSet("other", "2026-10-08", { line: "b" }),
      homeSet("looked", "2026-10-08", { isLooked: true }),
      homeSet("unasked", "2026-10-08"),
    ];
    const ids = ["late", "early", "again", "left", "other", "looked"];
    expect(lookedAt(sets, ids).map(({ day, items }) => [day, items.map((each) => each.map(({ id }) => id))])).toEqual([
      ["2026-10-07", [["early"]]],
      ["2026-10-08", [["late", "again"], ["left"], ["other"]]],
    ]);
    expect(lookedAt(sets, [])).toEqual([]);
  });
});

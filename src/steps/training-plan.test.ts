import type { MikroORM } from "@mikro-orm/postgresql";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { v4 as newUuid } from "uuid";
import { dayAfter } from "../core/day";
import type { FloorEvent } from "../core/floor/events";
import { decisionFor } from "../core/record/gate/decision";
import { fitContextOf } from "../core/record/standing/context";
import type { Limit } from "../core/limits/limit";
import { plannedOf, trainedDays } from "../core/record/standing/history";
import { buildSession } from "../core/session/build";
import { laidFrom } from "../core/session/plan";
import { doneSets, programmeItems, programmeNow, usualAsked, usualWeek } from "../core/record/programme/programme";
import { weekTotals } from "../core/week/totals";
import type { NewTrainingPlan } from "../schemas/training-plan.schema";
import { behindLink, setPrivateLink, standingLink } from "../data/repos/private-link.repo";
import { addLimit, eraseClient } from "../data/repos/client.repo";
import { loadRecord } from "../data/repos/record.repo";
import { inTest, makeStudio, openTestDatabase, type TestStudio, recordOf } from "./testing.fixture";
import { appendFloorEvents } from "../data/repos/floor.repo";
import { answerMorning } from "./morning";
import { decideHolds, decideItem, openProgramme } from "./plan";
import { keepTrainingPlan } from "./training-plan";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const TODAY = "2026-10-06";
async function draftOf(studio: TestStudio): Promise<NewTrainingPlan> {
  const record = await recordOf(orm, studio);
  const context = fitContextOf(record, TODAY);
  if (!context) throw new Error("no context");
  const asked = usualAsked(record);
  const { items, rounds } = buildSession(context, asked);
  const { minutes, purpose, weak, weakSide } = asked;
  const draft = {
    minutes,
    purpose,
    weak,
    weakSide,
    skeletonId: null,
    items,
    rounds,
    ...usualWeek(record),
    laid: [],
    note: "",
    improvement: "",
  };
  return { ...draft, laid: laidFrom(draft, context.school, trainedDays(record), TODAY) };
}
const keep = ({ scope, clientId }: TestStudio, plan: NewTrainingPlan) =>
  inTest(orm, scope, (em) => keepTrainingPlan(scope, em, clientId, plan, TODAY));

describe("a programme", () => {
  test("is kept whole, and each time it is kept its calendar goes one on", async () => {
    const studio = await makeStudio(orm);
    const draft = await draftOf(studio);
    expect((await recordOf(orm, studio)).trainingPlan).toBeNull();
    expect(await keep(studio, draft)).toEqual({ ok: true });
    expect(await keep(studio, { ...draft, at: "17:30" })).toEqual({ ok: true });
    const { trainingPlan } = await recordOf(orm, studio);
    expect(trainingPlan).toEqual({ ...draft, at: "17:30", day: TODAY, sequence: 1, keptAt: expect.any(String) as string });
    expect(draft.weak).toEqual({ kind: "knee" });
    expect(draft.weakSide).toBe("right");
  });
  test("that breaks a rest rule, or holds what a limit forbids, is refused and nothing is kept", async () => {
    const studio = await makeStudio(orm);
    const draft = await draftOf(studio);
    const [first] = draft.laid;
    const crowded = [...draft.laid, { id: "x", day: "2026-10-07", often: draft.often }];
    expect(first?.day).toBe(TODAY);
    expect(await keep(studio, { ...draft, laid: crowded })).toMatchObject({ ok: false, refusal: { code: "rest-broken" } });
    const unknown = draft.items.map((item, i) => (i === 0 ? { ...item, variationId: "handstand" } : item));
    expect(await keep(studio, { ...draft, items: unknown })).toMatchObject({ ok: false, refusal: { code: "retired" } });
    expect((await recordOf(orm, studio)).trainingPlan).toBeNull();
  });
  test("is the client's own studio's, and gone with the client", async () => {
    const [studio, other] = [await makeStudio(orm), await makeStudio(orm)];
    const draft = await draftOf(studio);
    expect(await inTest(orm, other.scope, (em) => keepTrainingPlan(other.scope, em, studio.clientId, draft, TODAY))).toMatchObject({
      refusal: { code: "no-such-client" },
    });
    await keep(studio, draft);
    await inTest(orm, studio.scope, (em) => eraseClient(studio.scope, em, studio.clientId));
    expect(await inTest(orm, studio.scope, (em) => loadRecord(studio.scope, em, studio.clientId))).toBeNull();
  });
  test("counts what was done by the sets of the record, and nothing where none were", async () => {
    const studio = await makeStudio(orm);
    expect(weekTotals(doneSets(await recordOf(orm, studio)))).toEqual([]);
  });
});

describe("a session of the programme", () => {
  const open = ({ scope, clientId }: TestStudio, day = TODAY, leftOut: string[] = []) =>
    inTest(orm, scope, (em) => openProgramme(scope, em, clientId, day, leftOut));
  /** Every set of a session done as it was prescribed, and a calm morning after it. */
  async function trained(studio: TestStudio, sessionId: string, nextDay: string) {
    const record = await recordOf(orm, studio);
    const session = record.sessions.find(({ id }) => id === sessionId)!;
    let sequence = 0;
    const events = session.items.flatMap((item): FloorEvent[] => {
      const { rung, prescription } = plannedOf(record, item)!;
      const { setCount, repetitionsHigh } = prescription.dose;
      return Array.from({ length: setCount }, (_, n) => n).flatMap((n) => {
        const setId = newUuid();
        const done = {
          setId,
          itemId: item.id,
          setting: rung.setting,
          repetitions: repetitionsHigh,
          painScore: 1,
          faults: [],
          endedBy: "pain-tap" as const,
        };
        const event = (body: FloorEvent["body"]): FloorEvent => ({
          id: newUuid(),
          deviceId: "t",
          sessionId,
          sequence: sequence++,
          occurredAt: `${session.day}T10:00:00.000Z`,
          body,
        });
        const told = { kind: "set-corrected" as const, setId, change: { leftInTank: 4 } };
        return [event({ kind: "set-ended", ...done }), ...(n === setCount - 1 ? [event(told)] : [])];
      });
    });
    for (let i = 0; i < events.length; i += 100)
      await inTest(orm, studio.scope, (em) => appendFloorEvents(studio.scope, em, events.slice(i, i + 100), new Date()));
    const morning = { pains: [{ complaintId: studio.complaintId, painScore: 2 }], newSwelling: false, sessionId, warningSigns: [] };
    await inTest(orm, studio.scope, (em) => answerMorning(studio.scope, em, studio.clientId, morning, nextDay));
  }
  const withSides = async (studio: TestStudio) => {
    const draft = await draftOf(studio);
    const sided = draft.items.find(({ sides }) => sides.length === 2);
    if (!sided) throw new Error("nothing is done side by side");
    return { draft, sided };
  };

  test("holds its open items in order, each side by itself and in turn, and is opened once", async () => {
    const studio = await makeStudio(orm);
    const { draft, sided } = await withSides(studio);
    await keep(studio, {
      ...draft,
      items: draft.items.map((item, i) => (i === draft.items.length - 1 ? { ...item, waits: true as const } : item)),
    });
    const opened = await open(studio);
    expect(await open(studio)).toEqual(opened);
    const record = await recordOf(orm, studio);
    const items = record.sessions.at(-1)!.items.map((item) => ({ ...item, ...plannedOf(record, item)! }));
    const waits = draft.items.at(-1)!;
    expect(items.map(({ rung }) => rung.variationId)).toEqual(
      draft.items
        .filter((item) => item !== waits)
        .flatMap((item) => (item.sides.length > 0 ? item.sides : [null]).map(() => item.variationId)),
    );
    const own = items.filter(({ rung }) => rung.line === sided.id);
    expect(own.map(({ rung, inTurn, part }) => [rung.side, inTurn, part])).toEqual([
      [sided.sides[0]!.side, true, sided.part],
      [sided.sides[1]!.side, false, sided.part],
    ]);
    expect(own[0]?.prescription.dose).toMatchObject({ setCount: sided.sides[0]!.setCount, repetitionsHigh: sided.sides[0]!.repetitions });
  });
  test("leaves out what it is told to, and is none of an empty one", async () => {
    const studio = await makeStudio(orm);
    expect(await open(studio)).toEqual({ ok: false, refusal: { code: "no-plan" } });
    const { draft, sided } = await withSides(studio);
    await keep(studio, draft);
    expect(
      await open(
        studio,
        TODAY,
        draft.items.map(({ id }) => id),
      ),
    ).toEqual({ ok: false, refusal: { code: "no-plan" } });
    await open(studio, TODAY, [sided.id]);
    expect((await recordOf(orm, studio)).rungs.some(({ line }) => line === sided.id)).toBe(false);
  });
  test("keeps nothing of it where a limit has come to forbid one of its exercises", async () => {
    const studio = await makeStudio(orm);
    const { draft } = await withSides(studio);
    await keep(studio, draft);
    const limit: Omit<Limit, "id" | "lift"> = {
      rule: { kind: "most", channel: "kneeFlexion", most: 30 },
      side: "both",
      owner: { kind: "clinician", name: "Surgeon" },
      fromDay: "2026-10-01",
      untilDay: null,
    };
    await inTest(orm, studio.scope, (em) => addLimit(studio.scope, em, studio.clientId, limit));
    const count = async () => (await recordOf(orm, studio)).rungs.length;
    const before = await count();
    expect(await open(studio)).toMatchObject({ ok: false, refusal: { code: "forbidden" } });
    expect(await count()).toBe(before);
    expect((await recordOf(orm, studio)).sessions).toEqual([]);
  });
  test("takes a place up again as it was decided, each side by its own log, and keeps what was not decided", async () => {
    const studio = await makeStudio(orm);
    const { draft, sided } = await withSides(studio);
    await keep(studio, draft);
    const first = await open(studio);
    if (!first.ok) throw new Error(first.refusal.code);
    await trained(studio, first.sessionId, "2026-10-07");
    const before = await recordOf(orm, studio);
    const [item] = before.sessions.at(-1)!.items.filter((each) => plannedOf(before, each)?.rung.line === sided.id);
    const decided = await inTest(orm, studio.scope, (em) =>
      decideItem(
        studio.scope,
        em,
        studio.clientId,
        { sessionId: first.sessionId, itemId: item!.id, move: "ease", note: "a long drive before" },
        "2026-10-07",
      ),
    );
    expect(decided).toEqual({ ok: true, isSuperseded: false });
    expect(await inTest(orm, studio.scope, (em) => decideHolds(studio.scope, em, studio.clientId, first.sessionId, "2026-10-07"))).toEqual({
      ok: true,
    });
    const record = await recordOf(orm, studio);
    expect(record.decisions.filter(({ sessionId }) => sessionId === first.sessionId).length).toBe(before.sessions.at(-1)!.items.length);
    const [own, other] = programmeItems(record, "2026-10-09").filter(({ line }) => line === sided.id);
    const asKept = { ...sided.dose, setCount: sided.sides[1]!.setCount, repetitionsHigh: sided.sides[1]!.repetitions };
    expect(own?.place.setting).not.toEqual(other?.place.setting);
    expect(other?.dose).toMatchObject({ setCount: asKept.setCount });
    // kept again as it stands, nothing is lost of either side
    const now = programmeNow(record)!;
    const { day: _, sequence: __, keptAt: ___, ...again } = now;
    expect(await keep(studio, again)).toEqual({ ok: true });
    const after = programmeItems(await recordOf(orm, studio), "2026-10-09").filter(({ line }) => line === sided.id);
    expect(after.map(({ place }) => place)).toEqual([own?.place, other?.place]);
    // what is kept anew by hand stands over what was decided before it
    const byHand = again.items.map((each) => (each.id === sided.id ? sided : each));
    expect(await keep(studio, { ...again, items: byHand })).toEqual({ ok: true });
    const kept = programmeItems(await recordOf(orm, studio), "2026-10-09").filter(({ line }) => line === sided.id);
    expect(kept.map(({ place }) => place.setting)).toEqual([sided.setting, sided.setting]);
  });
  test("of a light day says so, and counts for nothing but itself", async () => {
    const studio = await makeStudio(orm);
    const { draft } = await withSides(studio);
    const laid = draft.laid.map((each, i) => (i === 0 ? { ...each, isLight: true as const } : each));
    await keep(studio, { ...draft, laid });
    const day = laid[0]!.day;
    const opened = await open(studio, day);
    if (!opened.ok) throw new Error(opened.refusal.code);
    const next = dayAfter(day, 1);
    await trained(studio, opened.sessionId, next);
    const record = await recordOf(orm, studio);
    const session = record.sessions.at(-1)!;
    expect(session.isLight).toBe(true);
    const moves = session.items.map((item) => decisionFor(record, session, item, next)?.decision.rule);
    expect(new Set(moves).has("light-day")).toBe(true);
    expect(moves.some((rule) => rule === "earned" || rule === "next-step")).toBe(false);
  });
});

describe("a link that a calendar follows", () => {
  const [one, other] = ["a".repeat(43), "b".repeat(43)];
  const set = ({ scope, clientId }: TestStudio, secret: string | null) =>
    inTest(orm, scope, (em) =>
      setPrivateLink(scope, em, clientId, "calendar", secret === null ? null : { secret, untilDay: null, asksYear: false }),
    );
  const behind = ({ scope }: TestStudio, secret: string) => inTest(orm, scope, (em) => behindLink(scope.studioId, em, "calendar", secret));
  const since = ({ scope, clientId }: TestStudio) =>
    inTest(orm, scope, (em) => standingLink(scope, em, clientId, "calendar", "2026-10-10"));
  test("opens one client's calendar by its secret, and keeps no secret", async () => {
    const studio = await makeStudio(orm);
    expect([await since(studio), await behind(studio, one)]).toEqual([null, null]);
    expect(await set(studio, one)).toEqual({ ok: true });
    expect(await behind(studio, one)).toMatchObject({ clientId: studio.clientId, timeZone: expect.any(String) as string });
    expect(await since(studio)).toMatchObject({ since: expect.stringMatching(/^\d{4}-\d\d-\d\d$/) });
    const rows = await inTest(orm, studio.scope, (em) => em.execute<{ row: string }[]>("select l::text as row from private_link l"));
    expect(rows).toHaveLength(1);
    expect(rows[0]?.row).not.toContain(one);
  });
  test("ends with a new one, when it is stopped, and with its client", async () => {
    const studio = await makeStudio(orm);
    await set(studio, one);
    await set(studio, other);
    expect([await behind(studio, one), (await behind(studio, other))?.clientId]).toEqual([null, studio.clientId]);
    await set(studio, null);
    expect([await behind(studio, other), await since(studio)]).toEqual([null, null]);
    await set(studio, one);
    await inTest(orm, studio.scope, (em) => eraseClient(studio.scope, em, studio.clientId));
    expect(await behind(studio, one)).toBeNull();
  });
  test("is nothing in another studio, and is made for nobody who is not there", async () => {
    const [mine, theirs] = [await makeStudio(orm), await makeStudio(orm)];
    await set(mine, one);
    expect(await behind(theirs, one)).toBeNull();
    expect(await set({ ...theirs, clientId: mine.clientId }, other)).toEqual({ ok: false, refusal: { code: "no-such-client" } });
    expect(await set({ ...mine, clientId: "not-an-id" }, other)).toMatchObject({ ok: false });
  });
});

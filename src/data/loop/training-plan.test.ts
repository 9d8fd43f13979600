import type { MikroORM } from "@mikro-orm/postgresql";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { fitContextOf } from "../../core/record/derive";
import { buildSession } from "../../core/session/build";
import { laidFrom } from "../../core/session/plan";
import { trainedDays, usualAsked, usualWeek } from "../../core/record/programme";
import { doneSets } from "../../core/record/programme";
import { weekTotals } from "../../core/week/totals";
import type { NewTrainingPlan } from "../../schemas/training-plan.schema";
import { calendarBehind, calendarLinkSince, setCalendarLink } from "../repos/calendar-link.repo";
import { eraseClient } from "../repos/client.repo";
import { loadRecord } from "../repos/record.repo";
import { inTest, makeStudio, openTestDatabase, type TestStudio, recordOf } from "../testing.fixture";
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
    expect(trainingPlan).toEqual({ ...draft, at: "17:30", day: TODAY, sequence: 1 });
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

describe("a link that a calendar follows", () => {
  const [one, other] = ["a".repeat(43), "b".repeat(43)];
  const set = ({ scope, clientId }: TestStudio, secret: string | null) =>
    inTest(orm, scope, (em) => setCalendarLink(scope, em, clientId, secret));
  const behind = ({ scope }: TestStudio, secret: string) => inTest(orm, scope, (em) => calendarBehind(scope.studioId, em, secret));
  const since = ({ scope, clientId }: TestStudio) => inTest(orm, scope, (em) => calendarLinkSince(scope, em, clientId));
  test("opens one client's calendar by its secret, and keeps no secret", async () => {
    const studio = await makeStudio(orm);
    expect([await since(studio), await behind(studio, one)]).toEqual([null, null]);
    expect(await set(studio, one)).toEqual({ ok: true });
    expect(await behind(studio, one)).toMatchObject({ clientId: studio.clientId, timeZone: expect.any(String) as string });
    expect(await since(studio)).toMatch(/^\d{4}-\d\d-\d\d$/);
    const rows = await inTest(orm, studio.scope, (em) => em.execute<{ row: string }[]>("select l::text as row from calendar_link l"));
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

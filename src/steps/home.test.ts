import { randomUUID } from "node:crypto";
import { parseZonedDateTime } from "@internationalized/date";
import type { MikroORM } from "@mikro-orm/postgresql";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { CONSENT_VERSION, type HomeTold } from "../core/record/facts/home-told";
import { homeDay, homeItems, plannedAtHome, restAtHome } from "../core/record/programme/home";
import { undecidedItems } from "../core/record/gate/undecided";
import { openWarningsOf } from "../core/record/standing/history";
import { fitContextOf } from "../core/record/standing/context";
import { firstProgramme } from "../core/record/programme/programme";
import type { FloorEventBody } from "../core/floor/events";
import { appendFloorEvents } from "../data/repos/floor.repo";
import { eraseClient, listClients, reviseClient } from "../data/repos/client.repo";
import { keepWords, listMessages, setContact } from "../data/repos/message.repo";
import { behindLink, setPrivateLink, standingLink } from "../data/repos/private-link.repo";
import { inTest, makeStudio, openTestDatabase, openTestSession, recordOf, type TestStudio } from "./testing.fixture";
import { ENTRIES_A_DAY, lookAtHome, takeHomeEntries, toldLately } from "./home";
import { remindStudio } from "./remind";
import { keepTrainingPlan } from "./training-plan";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const TODAY = "2026-10-10";
const ZONE = "Europe/Copenhagen";
const client = ({ scope }: TestStudio) => ({ ...scope, actorId: "client" });
const tell = (studio: TestStudio, told: HomeTold[], day = TODAY, ids = told.map(() => randomUUID() as string)) =>
  inTest(orm, studio.scope, (em) =>
    takeHomeEntries(
      client(studio),
      em,
      studio.clientId,
      told.map((each, i) => ({ id: ids[i] ?? "", at: `${day}T09:0${i % 10}:00.000Z`, told: each })),
      { today: TODAY, timeZone: ZONE },
    ),
  );
const agreed: HomeTold = { kind: "consented", version: CONSENT_VERSION };

/** A studio whose client has a programme and has agreed. */
async function agreedStudio(): Promise<TestStudio & { line: string; side: "left" | "right" | null }> {
  const studio = await makeStudio(orm);
  await openTestSession(orm, studio, "2026-10-01");
  const record = await recordOf(orm, studio);
  const context = fitContextOf(record, TODAY);
  if (!context) throw new Error("no context");
  await inTest(orm, studio.scope, (em) =>
    keepTrainingPlan(studio.scope, em, studio.clientId, firstProgramme(record, context, TODAY), TODAY),
  );
  expect(await tell(studio, [agreed], "2026-10-02")).toMatchObject({ refused: [] });
  const [first] = homeItems(await recordOf(orm, studio), TODAY)?.items ?? [];
  if (!first) throw new Error("nothing at home");
  return { ...studio, line: first.item.id, side: first.item.sides[0]?.side ?? null };
}
const setOf = (
  { line, side }: { line: string; side: "left" | "right" | null },
  more: Partial<Extract<HomeTold, { kind: "set" }>> = {},
): HomeTold => ({
  kind: "set",
  line,
  side,
  repetitions: 8,
  workedS: null,
  painScore: 1,
  leftInTank: null,
  isSharp: false,
  ...more,
});
const morningOf = ({ complaintId }: TestStudio, than: 0 | 1 | 2, signs: string[] = []): HomeTold => ({
  kind: "morning",
  answers: [{ complaintId, than }],
  newSwelling: false,
  signs,
});

describe("what a client tells from their own page", () => {
  test("nothing is taken before they agreed, but a warning sign, which closes planning at once", async () => {
    const studio = await makeStudio(orm);
    const verdict = await tell(studio, [setOf({ line: "x", side: null }), morningOf(studio, 0), { kind: "sign", sign: "calf-swelling" }]);
    expect(verdict.refused.map(({ code }) => code)).toEqual(["no-consent", "no-consent"]);
    expect(openWarningsOf(await recordOf(orm, studio))).toMatchObject([{ sign: "calf-swelling" }]);
    const [line] = await inTest(orm, studio.scope, (em) => listClients(studio.scope, em, TODAY));
    expect(line?.openSigns).toEqual(["calf-swelling"]);
  });

  test("a set is kept once however often it is sent, with what stood on the sheet; a line that is not on it is refused alone", async () => {
    const studio = await agreedStudio();
    const ids = [randomUUID(), randomUUID()];
    const sets = [setOf(studio), setOf({ line: "no such line", side: null })];
    const first = await tell(studio, sets, TODAY, ids);
    expect(first).toEqual({ received: [ids[0]], refused: [{ id: ids[1], code: "not-on-sheet" }] });
    expect((await tell(studio, sets, TODAY, ids)).received).toEqual([ids[0]]);
    const record = await recordOf(orm, studio);
    const planned = plannedAtHome(record, TODAY, studio.line, studio.side);
    expect(record.homeSets).toMatchObject([{ id: ids[0], day: TODAY, isLooked: false, place: planned?.place, dose: planned?.dose }]);
    expect(record.sessions.some(({ place }) => place === "home")).toBe(false); // nothing counts yet
    const [line] = await inTest(orm, studio.scope, (em) => listClients(studio.scope, em, TODAY));
    expect(line?.unlookedCount).toBe(1);
    await tell(studio, [{ kind: "undone", entryId: ids[0] ?? "" }]);
    expect((await recordOf(orm, studio)).homeSets).toEqual([]);
  });

  test("a day holds two hundred entries of one client, and a warning sign after them", async () => {
    const studio = await agreedStudio();
    const { scope, clientId } = studio;
    await inTest(orm, scope, (em) =>
      em.execute(
        `insert into home_entry (studio_id, id, created_by, client_id, day, occurred_at, kind, told)
          select ?::uuid, gen_random_uuid(), 'client', ?::uuid, ?, now(), 'task', '{"task":"walk","level":1}' from generate_series(1, ?)`,
        [scope.studioId, clientId, TODAY, ENTRIES_A_DAY - 2],
      ),
    );
    expect((await tell(studio, [setOf(studio)])).refused).toEqual([]); // with what agreed, the two hundredth
    const more = await tell(studio, [setOf(studio), { kind: "sign", sign: "faint" }]);
    expect(more.refused.map(({ code }) => code)).toEqual(["too-many-today"]);
    expect(openWarningsOf(await recordOf(orm, studio))).toMatchObject([{ sign: "faint" }]);
  });
  test("looked at, a day at home is a session on lines of its own, its morning is the one that was told, and holds are decided", async () => {
    const studio = await agreedStudio();
    await tell(studio, [setOf(studio), setOf(studio, { isSharp: true, painScore: 6 })], "2026-10-08");
    await tell(studio, [morningOf(studio, 0)], "2026-10-09");
    const before = await recordOf(orm, studio);
    expect(before.homeSets).toHaveLength(2);
    const look = (entryIds: string[]) => inTest(orm, studio.scope, (em) => lookAtHome(studio.scope, em, studio.clientId, entryIds, TODAY));
    expect(await look(before.homeSets.map(({ id }) => id))).toMatchObject({ ok: true });
    const record = await recordOf(orm, studio);
    const session = record.sessions.find(({ place }) => place === "home");
    expect(session).toMatchObject({ day: "2026-10-08", sets: [{ endedBy: "pain-tap" }, { endedBy: "sharp", painScore: 6 }] });
    expect(session?.endedAt).not.toBeNull();
    expect(record.rungs.filter(({ line }) => line === `home ${studio.line}`)).toHaveLength(1);
    expect(record.responses.find(({ sessionId }) => sessionId === session?.id)).toMatchObject({ class: "calm", told: { by: "client" } });
    expect(undecidedItems(record).map((each) => each.session.id)).toContain(session?.id); // sharp pain is no hold: it waits for a word
    expect(record.homeSets.every(({ isLooked }) => isLooked)).toBe(true);
    expect(await look(before.homeSets.map(({ id }) => id))).toMatchObject({ refusal: { code: "no-such-set" } });
  });

  test("a morning is told next to the usual one, answers the session before it, and a sign in it closes", async () => {
    const studio = await makeStudio(orm);
    const { sessionId, itemId } = await openTestSession(orm, studio, "2026-10-09");
    await tell(studio, [agreed], "2026-10-09");
    expect(homeDay(await recordOf(orm, studio), TODAY).asked).toBeNull(); // no set was done
    const body: FloorEventBody = {
      kind: "set-ended",
      setId: randomUUID(),
      itemId,
      setting: { seatHeightM: 0.6 },
      repetitions: 8,
      painScore: 1,
      faults: [],
      endedBy: "pain-tap",
    };
    const event = { id: randomUUID(), deviceId: "d", sessionId, sequence: 1, occurredAt: "2026-10-09T09:00:00.000Z", body };
    await inTest(orm, studio.scope, (em) => appendFloorEvents(studio.scope, em, [event], new Date()));
    expect(homeDay(await recordOf(orm, studio), TODAY).asked?.session?.id).toBe(sessionId);
    expect(await tell(studio, [{ ...morningOf(studio, 2), answers: [] } as HomeTold])).toMatchObject({ refused: [{ code: "bad-input" }] });
    await tell(studio, [morningOf(studio, 2)]);
    const record = await recordOf(orm, studio);
    expect(record.responses.at(-1)).toMatchObject({ sessionId, class: "flare", usualScore: 2, painScore: 4 });
    expect(homeDay(record, TODAY).asked).toBeNull();
  });

  test("a rest day shows the small ones alone; a task is asked again after a week", async () => {
    const studio = await agreedStudio();
    expect(restAtHome(await recordOf(orm, studio), TODAY)).toBeNull();
    const big = homeItems(await recordOf(orm, studio), TODAY)?.items.find(({ item }) => item.part === "main");
    await tell(studio, [setOf({ line: big?.item.id ?? "", side: big?.item.sides[0]?.side ?? null })], "2026-10-09");
    expect(restAtHome(await recordOf(orm, studio), TODAY)).not.toBeNull();
    expect(homeDay(await recordOf(orm, studio), TODAY).task.isDue).toBe(true);
    await tell(studio, [{ kind: "task", task: "stairs", level: 2 }], "2026-10-04");
    expect(homeDay(await recordOf(orm, studio), TODAY).task.isDue).toBe(false);
    expect(homeDay(await recordOf(orm, studio), "2026-10-11").task.isDue).toBe(true);
  });
});

test("a private page is opened by its own secret alone, not by a calendar's; stopped or replaced it opens nothing; erased with the client", async () => {
  const studio = await makeStudio(orm);
  const { scope, clientId } = studio;
  const behind = (secret: string, opens: "page" | "calendar" = "page") =>
    inTest(orm, scope, (em) => behindLink(scope.studioId, em, opens, secret));
  const make = (secret: string | null, untilDay: string | null = null) =>
    inTest(orm, scope, (em) => setPrivateLink(scope, em, clientId, "page", secret === null ? null : { secret, untilDay, asksYear: true }));
  await make("first");
  expect(await behind("first")).toMatchObject({ clientId, asksYear: true });
  expect(await behind("first", "calendar")).toBeNull();
  await make("second", "2026-10-12");
  expect(await behind("first")).toBeNull();
  expect(await behind("second")).toMatchObject({ untilDay: "2026-10-12" });
  const standing = (day: string) => inTest(orm, scope, (em) => standingLink(scope, em, clientId, "page", day));
  expect(await standing("2026-10-12")).not.toBeNull();
  expect(await standing("2026-10-13")).toBeNull();
  // put away, page and door agree; taken out again it opens
  const { client } = await recordOf(orm, studio);
  await inTest(orm, scope, (em) => reviseClient(scope, em, { ...client, archivedDay: TODAY }));
  expect(await behind("second")).toBeNull();
  await inTest(orm, scope, (em) => reviseClient(scope, em, { ...client, archivedDay: null }));
  expect(await behind("second")).not.toBeNull();
  await make(null);
  expect(await behind("second")).toBeNull();
  await tell(studio, [agreed, { kind: "sign", sign: "faint" }]);
  await inTest(orm, scope, (em) => eraseClient(scope, em, clientId));
  const left = await inTest(orm, scope, (em) =>
    em.execute<{ n: number }[]>(`select (select count(*) from home_entry) + (select count(*) from private_link) as n`),
  );
  expect(Number(left[0]?.n)).toBe(0);
});

test("a reminder goes out once on a day with exercises, from its hour on, to whoever agreed and has a page; never under an open sign", async () => {
  const studio = await agreedStudio();
  const { scope, clientId } = studio;
  const sent: string[] = [];
  const driver = { send: async ({ words }: { words: string }) => void sent.push(words) };
  const round = (at: string) =>
    remindStudio(
      scope,
      (work) => inTest(orm, scope, work),
      driver,
      (name, _studio, own) => `${own.reminder ?? "Hello"} ${name}`,
      parseZonedDateTime(`${at}[${ZONE}]`),
    );
  await round("2026-10-10T12:00");
  expect(sent).toEqual([]); // nobody is reached yet
  await inTest(orm, scope, (em) => setContact(scope, em, clientId, { channel: "text", address: "+00 555 1", remindAt: "08:00" }));
  await round("2026-10-10T12:00");
  expect(sent).toEqual([]); // no page
  await inTest(orm, scope, (em) => setPrivateLink(scope, em, clientId, "page", { secret: "s", untilDay: "2026-10-11", asksYear: false }));
  await round("2026-10-10T07:59");
  expect(sent).toEqual([]);
  await inTest(orm, scope, (em) => keepWords(scope, em, "reminder", "Morning"));
  await round("2026-10-10T08:00");
  await round("2026-10-10T08:05");
  expect(sent).toEqual(["Morning Test Client"]);
  expect(await inTest(orm, scope, (em) => listMessages(scope, em, clientId))).toMatchObject([
    { template: "reminder", words: "Morning Test Client" },
  ]);
  await round("2026-10-12T09:00");
  expect(sent).toHaveLength(1); // its last day is over
  await tell(studio, [{ kind: "sign", sign: "faint" }]);
  await round("2026-10-11T09:00");
  expect(sent).toHaveLength(1);
});

test("a reminder that fails is tried again alone: nobody gets a second one, and no two servers send the same", async () => {
  const studio = await agreedStudio();
  const { scope, clientId } = studio;
  await inTest(orm, scope, (em) => setContact(scope, em, clientId, { channel: "text", address: "+00 555 1", remindAt: "08:00" }));
  await inTest(orm, scope, (em) => setPrivateLink(scope, em, clientId, "page", { secret: "s", untilDay: null, asksYear: false }));
  const sent: string[] = [];
  let isDown = true;
  const round = () =>
    remindStudio(
      scope,
      (work) => inTest(orm, scope, work),
      {
        send: async ({ words }) => {
          if (isDown) throw new Error("no way out");
          sent.push(words);
        },
      },
      (name) => `Hello ${name}`,
      parseZonedDateTime(`2026-10-10T08:00[${ZONE}]`),
    );
  expect(await round()).toEqual({ failedCount: 1 });
  expect(await inTest(orm, scope, (em) => listMessages(scope, em, clientId))).toMatchObject([{ words: "Hello Test Client", sentAt: null }]);
  isDown = false;
  expect(await round()).toEqual({ failedCount: 0 });
  expect(sent).toEqual([]); // somebody may be at it still
  const later = (): Promise<unknown> =>
    inTest(orm, scope, (em) => em.execute(`update message set tried_at = now() - interval '5 minutes' where client_id = ?`, [clientId]));
  await later();
  await Promise.all([round(), round(), round()]);
  expect(sent).toEqual(["Hello Test Client"]);
  await later();
  await round();
  expect(sent).toHaveLength(1);
  const [message] = await inTest(orm, scope, (em) => listMessages(scope, em, clientId));
  expect(message?.sentAt).not.toBeNull();

  // one that did not get out before a sign was said stays unsent
  await inTest(orm, scope, (em) => em.execute(`update message set sent_at = null where client_id = ?`, [clientId]));
  await tell(studio, [{ kind: "sign", sign: "faint" }]);
  await later();
  expect(await round()).toEqual({ failedCount: 0 });
  expect(sent).toHaveLength(1);
});

test("what a phone has sent is told back to it, so that it is asked anew the next day", async () => {
  const studio = await agreedStudio();
  const ids = [randomUUID() as string];
  await tell(studio, [{ kind: "task", task: "stairs", level: 1 }], TODAY, ids);
  const told = await inTest(orm, studio.scope, (em) => toldLately(studio.scope, em, studio.clientId));
  expect(told).toEqual(expect.arrayContaining(ids));
  expect(told).toHaveLength(2); // and the consent
});

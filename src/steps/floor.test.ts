import fc from "fast-check";
import type { MikroORM } from "@mikro-orm/postgresql";
import { v4 as newUuid } from "uuid";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { variationById } from "../core/catalogue/catalogue";
import type { FloorEvent, FloorEventBody, OpenedItem } from "../core/floor/events";
import { currentPlans } from "../core/record/standing/plans";
import { plannedOf } from "../core/record/standing/history";
import { listClients } from "../data/repos/client.repo";
import { inTest, makeStudio, openTestDatabase, openTestSession, recordOf, type TestStudio } from "./testing.fixture";
import { floorEventSchema } from "../schemas/floor.schema";
import { parse } from "../schemas/parse";
import { takeFloorEvents } from "./floor";
import { rememberSetUp } from "./plan";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const TODAY = "2026-10-08";
let made = 0;
const event = (sessionId: string, body: FloorEventBody): FloorEvent => ({
  id: newUuid(),
  deviceId: "tablet",
  sequence: made++,
  sessionId,
  occurredAt: "2026-10-08T09:00:00.000Z",
  body,
});
const send = ({ scope }: TestStudio, events: FloorEvent[], today = TODAY) =>
  inTest(orm, scope, (em) => takeFloorEvents(scope, em, events, new Date(), { today }));
const ROW = variationById("raised-sit-to-stand");
const opened = (more: Partial<OpenedItem> = {}): OpenedItem => ({
  itemId: newUuid(),
  place: { variationId: ROW.id, setting: { seatHeightM: 0.62 } },
  side: "right",
  dose: ROW.dose,
  line: null,
  part: "main",
  inTurn: false,
  ...more,
});
const begin = (studio: TestStudio, sessionId: string, items: OpenedItem[], day = TODAY): FloorEvent =>
  event(sessionId, { kind: "session-opened", clientId: studio.clientId, day, isLight: false, items });
const setOf = (sessionId: string, itemId: string): FloorEvent =>
  event(sessionId, {
    kind: "set-ended",
    setId: newUuid(),
    itemId,
    setting: { seatHeightM: 0.62 },
    repetitions: 12,
    painScore: 1,
    faults: [],
    endedBy: "pain-tap",
  });

describe("a session begun without a connection", () => {
  test("is opened in the studio with what was done in it, once, however often it is sent", async () => {
    const studio = await makeStudio(orm);
    const [sessionId, item, walk] = [newUuid(), opened(), opened({ line: "walk", part: "finish" })];
    const events = [begin(studio, sessionId, [item, walk]), setOf(sessionId, item.itemId), event(sessionId, { kind: "session-ended" })];
    for (let i = 0; i < 2; i++) expect(await send(studio, events)).toMatchObject({ refused: [], received: { length: 3 } });
    const record = await recordOf(orm, studio);
    const mine = record.sessions.filter(({ id }) => id === sessionId);
    expect(mine).toMatchObject([
      {
        day: TODAY,
        items: [
          { id: item.itemId, part: "main" },
          { id: walk.itemId, part: "finish" },
        ],
      },
    ]);
    expect([mine[0]?.sets.length, mine[0]?.endedAt !== null]).toEqual([1, true]);
    const [kept] = mine[0]?.items ?? [];
    expect(kept && plannedOf(record, kept)?.rung).toMatchObject({ setting: { seatHeightM: 0.62 }, line: null });
    // what stood in a place of the programme is not what Fit keeps
    expect(currentPlans(record).every(({ rung }) => rung.line === null)).toBe(true);
  });
  test("two tablets that each began one with the same client are both heard", async () => {
    const studio = await makeStudio(orm);
    for (const sessionId of [newUuid(), newUuid()]) {
      const item = opened();
      expect(await send(studio, [begin(studio, sessionId, [item]), setOf(sessionId, item.itemId)])).toMatchObject({ refused: [] });
    }
    expect((await recordOf(orm, studio)).sessions.map(({ sets }) => sets.length)).toEqual([1, 1]);
  });
  test("two tablets with the same sessions in another order never wait for each other", async () => {
    const studio = await makeStudio(orm);
    for (let round = 0; round < 6; round++) {
      const begun = Array.from({ length: 4 }, () => {
        const [sessionId, item] = [newUuid(), opened()];
        return [begin(studio, sessionId, [item]), setOf(sessionId, item.itemId)];
      });
      const verdicts = await Promise.all([begun.flat(), begun.toReversed().flat()].map((events) => send(studio, events)));
      verdicts.forEach(({ received }) => expect(received).toHaveLength(8));
    }
  });
  test("of somebody else's client is no session here", async () => {
    const [studio, other] = [await makeStudio(orm), await makeStudio(orm)];
    const sessionId = newUuid();
    const answer = await send(studio, [begin(other, sessionId, [opened()])]);
    expect(answer.refused).toMatchObject([{ code: "unknown-session" }]);
    expect((await recordOf(orm, other)).sessions).toHaveLength(0);
  });
  test("by a clock that runs ahead is today's", async () => {
    const studio = await makeStudio(orm);
    await send(studio, [begin(studio, newUuid(), [opened()], "2026-10-11")]);
    expect((await recordOf(orm, studio)).sessions.map(({ day }) => day)).toEqual([TODAY]);
  });
});

describe("an exercise added on the floor", () => {
  test("has its place in the session and a line of its own, and its sets are taken", async () => {
    const studio = await makeStudio(orm);
    const { sessionId } = await openTestSession(orm, studio, TODAY);
    const before = currentPlans(await recordOf(orm, studio)).map(({ rung }) => rung.id);
    const { itemId, place, side, dose } = opened({ side: "left" });
    const added = event(sessionId, { kind: "item-added", itemId, place, side, dose, reason: "she asked for it" });
    const answer = await send(studio, [setOf(sessionId, itemId), added]); // whatever order a batch has
    expect(answer.refused).toEqual([]);
    await send(studio, [added]);
    const record = await recordOf(orm, studio);
    const session = record.sessions.find(({ id }) => id === sessionId);
    const own = session?.items.filter(({ id }) => id === itemId) ?? [];
    expect(own).toHaveLength(1);
    expect(own[0] && plannedOf(record, own[0])).toMatchObject({
      rung: { side: "left", line: `floor ${itemId}` },
      prescription: { note: "she asked for it" },
    });
    expect(currentPlans(record).map(({ rung }) => rung.id)).toEqual(before);
    expect(session?.sets).toHaveLength(1);
  });
});

describe("a set-up put by hand on the floor", () => {
  const moved = (
    sessionId: string,
    itemId: string,
    seatHeightM: number,
    more: Partial<Extract<FloorEventBody, { kind: "eased" }>> = {},
  ): FloorEvent =>
    event(sessionId, {
      kind: "eased",
      itemId,
      levers: [{ lever: "seatHeightM", from: 0.62, to: seatHeightM }],
      to: { variationId: ROW.id, setting: { seatHeightM } },
      setCount: null,
      by: "set-up",
      ...more,
    });
  test("is where it begins next time, once the trainer says so; harder only with the reason given on the floor", async () => {
    const studio = await makeStudio(orm);
    const [sessionId, item] = [newUuid(), opened()];
    await send(studio, [begin(studio, sessionId, [item]), setOf(sessionId, item.itemId), moved(sessionId, item.itemId, 0.66)]);
    const remember = () =>
      inTest(orm, studio.scope, (em) => rememberSetUp(studio.scope, em, studio.clientId, { sessionId, itemId: item.itemId }, TODAY));
    const seat = async () => currentPlans(await recordOf(orm, studio)).at(-1)?.rung.setting.seatHeightM;
    expect(await seat()).toBe(0.62);
    expect(await remember()).toEqual({ ok: true });
    expect(await seat()).toBe(0.66);
    await send(studio, [moved(sessionId, item.itemId, 0.6)]);
    expect(await remember()).toMatchObject({ ok: false });
    expect(await seat()).toBe(0.66);
    await send(studio, [moved(sessionId, item.itemId, 0.6, { reason: "the box was all there was" })]);
    expect(await remember()).toEqual({ ok: true });
    expect(await seat()).toBe(0.6);
  });
  test("is nothing where it was eased: the morning decides that", async () => {
    const studio = await makeStudio(orm);
    const [sessionId, item] = [newUuid(), opened()];
    await send(studio, [begin(studio, sessionId, [item]), moved(sessionId, item.itemId, 0.66, { by: "ease" })]);
    const answer = await inTest(orm, studio.scope, (em) =>
      rememberSetUp(studio.scope, em, studio.clientId, { sessionId, itemId: item.itemId }, TODAY),
    );
    expect(answer).toMatchObject({ ok: false });
  });
});

test("the list knows who trains today, and whose morning nobody told", async () => {
  const studio = await makeStudio(orm);
  const { sessionId, itemId } = await openTestSession(orm, studio, TODAY);
  const line = async (day: string) => (await inTest(orm, studio.scope, (em) => listClients(studio.scope, em, day)))[0];
  expect(await line(TODAY)).toMatchObject({ isToday: true, sessionToday: "under-way", missingMorningOf: null });
  expect(await line("2026-10-09")).toMatchObject({ isToday: false, sessionToday: null, missingMorningOf: null }); // nothing was done
  await send(studio, [setOf(sessionId, itemId), event(sessionId, { kind: "session-ended" })]);
  expect(await line(TODAY)).toMatchObject({ isToday: false, sessionToday: "trained" });
  expect((await line("2026-10-09"))?.missingMorningOf).toBe(TODAY);
  expect((await line("2026-10-20"))?.missingMorningOf).toBeNull(); // too long ago to be remembered
});

/** Whatever the form of an event lets in, in any order and about anything: each is received or refused by itself. */
test("no batch of events in their form is without an answer, and what is told back can be read", async () => {
  const studio = await makeStudio(orm);
  const [otherClient, ids] = [newUuid(), Array.from({ length: 6 }, () => newUuid())];
  const id = fc.constantFrom(...ids);
  const [a, b, ...itemIds] = ids as [string, string, ...string[]];
  const begun = [a, b].map((each, i) => begin(studio, each, [opened({ itemId: itemIds[i] ?? "" })]));
  expect(await send(studio, begun)).toMatchObject({ refused: [] });
  const sessionId = fc.oneof(fc.constantFrom(a, b), fc.uuid());
  const setting = fc.record({
    seatHeightM: fc.double({ min: -1, max: 4, noNaN: true }),
    loadKg: fc.double({ min: 0, max: 300, noNaN: true }),
  });
  const variationId = fc.constantFrom(ROW.id, "walking-lunge", "deadlift-bar", "own-0d1f9f4e-31d1-44fb-8f1f-4f2a4f9b6d11", "nothing");
  const place = fc.record({ variationId, setting });
  const dose = fc.constantFrom(ROW.dose, { ...ROW.dose, setCount: 20 });
  const side = fc.constantFrom("left", "right");
  const item = fc.record({
    itemId: fc.oneof(id, fc.uuid()),
    place,
    side,
    dose,
    line: fc.constantFrom(null, "a line"),
    part: fc.constantFrom("main", null),
    inTurn: fc.boolean(),
  });
  const body = fc.oneof(
    fc.record({
      kind: fc.constant("session-opened"),
      clientId: fc.constantFrom(studio.clientId, studio.clientId, otherClient),
      day: fc.constantFrom("1900-01-01", TODAY, "2026-10-09", "2100-12-31"),
      isLight: fc.boolean(),
      items: fc.uniqueArray(item, { minLength: 1, maxLength: 4, selector: ({ itemId }) => itemId }),
    }),
    fc.record({ kind: fc.constant("item-added"), itemId: id, place, side, dose, reason: fc.constantFrom("", "asked for") }),
    fc.record({
      kind: fc.constant("set-ended"),
      setId: id,
      itemId: id,
      setting,
      repetitions: fc.integer({ min: 0, max: 200 }),
      painScore: fc.constantFrom(null, 0, 3.5, 10),
      faults: fc.constantFrom([], ["knee-in"]),
      endedBy: fc.constantFrom("pain-tap", "sharp"),
    }),
    fc.record({ kind: fc.constant("set-voided"), setId: id }),
    fc.record({ kind: fc.constant("set-corrected"), setId: id, change: fc.record({ repetitions: fc.nat(200), leftInTank: fc.nat(20) }) }),
    fc.record({
      kind: fc.constant("eased"),
      itemId: id,
      levers: fc.constant([{ lever: "loadKg", from: 1, to: 0 }]),
      to: place,
      setCount: fc.constantFrom(null, 1, 20),
    }),
    fc.constantFrom({ kind: "session-ended" }, { kind: "session-continued" }, { kind: "effort-told", effortScore: 7 }),
  );
  const anEvent = fc.record({
    id: fc.uuid(),
    deviceId: fc.constantFrom("tablet", "another", "\u{1f9b5}"),
    sequence: fc.constantFrom(0, 1, 2, 3, Number.MAX_SAFE_INTEGER),
    sessionId,
    occurredAt: fc.constantFrom(
      "1900-01-01",
      "2026-10-08T09:00:00.000Z",
      "2026-11",
      "2026-W41-4",
      "20261008T0900Z",
      "2100-12-31T23:59:59+00:00",
      "2026-10-08T24:00",
    ),
    body,
  });
  let [received, refused] = [0, 0];
  await fc.assert(
    fc.asyncProperty(fc.array(anEvent, { minLength: 1, maxLength: 12 }), async (said) => {
      const events = said.flatMap((each) => {
        const parsed = parse(floorEventSchema, each);
        return parsed.ok ? [parsed.value] : [];
      });
      const verdict = await send(studio, events);
      expect(verdict.received.length + verdict.refused.length).toBe(events.length);
      received += verdict.received.length;
      refused += verdict.refused.length;
    }),
    { numRuns: 80 },
  );
  expect(received).toBeGreaterThan(60);
  expect(refused).toBeGreaterThan(60);
  expect((await recordOf(orm, studio)).sessions.length).toBeGreaterThan(1);
});

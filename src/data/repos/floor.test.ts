import type { MikroORM } from "@mikro-orm/postgresql";
import { v4 as newUuid } from "uuid";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import type { FloorEvent, FloorEventBody } from "../../core/floor/events";
import { inTest, makeStudio, openTestDatabase, openTestSession, type TestStudio } from "../../steps/testing.fixture";
import { appendFloorEvents, floorEventsOf } from "./floor.repo";
import { loadRecord } from "./record.repo";

let orm: MikroORM;
let studio: TestStudio;
let ids: { sessionId: string; itemId: string };
beforeAll(async () => {
  orm = await openTestDatabase();
  studio = await makeStudio(orm);
  ids = await openTestSession(orm, studio);
});
afterAll(() => orm.close());

let second = 0;
const event = (body: FloorEventBody, sessionId = ids.sessionId): FloorEvent => ({
  id: newUuid(),
  deviceId: "tablet",
  sequence: second,
  sessionId,
  occurredAt: new Date(Date.UTC(2026, 9, 6, 16, 0, second++)).toISOString(),
  body,
});
const set = (repetitions = 12, itemId = ids.itemId): FloorEvent =>
  event({
    kind: "set-ended",
    setId: newUuid(),
    itemId,
    setting: { seatHeightM: 0.6 },
    repetitions,
    painScore: 1,
    faults: [],
    endedBy: "pain-tap",
  });
const send = (events: FloorEvent[], scope = studio.scope, aheadMs = 0) =>
  inTest(orm, scope, (em) => appendFloorEvents(scope, em, events, new Date(), aheadMs));
const eventsOf = (after = 0) => inTest(orm, studio.scope, (em) => floorEventsOf(studio.scope, em, ids.sessionId, after));
const setsOf = async (sessionId: string) =>
  (await inTest(orm, studio.scope, (em) => loadRecord(studio.scope, em, studio.clientId)))?.sessions.find(({ id }) => id === sessionId)
    ?.sets ?? [];
const setsNow = () => setsOf(ids.sessionId);

describe("floor events", () => {
  test("are applied once, however often they are sent", async () => {
    const events = [event({ kind: "checked-in", painScore: 2, newSwelling: false, choice: "as-planned" }), set(12)];
    for (let i = 0; i < 3; i++) expect((await send(events)).received).toHaveLength(2);
    expect(await setsNow()).toHaveLength(1);
    expect(await eventsOf()).toHaveLength(2);
  });

  test("sent at the same moment from two tablets keep every set", async () => {
    const before = (await setsNow()).length;
    const batches = Array.from({ length: 6 }, () => [set(10), set(11)]);
    await Promise.all(batches.map((batch) => send(batch)));
    expect(await setsNow()).toHaveLength(before + 12);
  });

  test("correct and void the set they name", async () => {
    const ended = set(9);
    const { setId } = ended.body as { setId: string };
    await send([ended, event({ kind: "set-corrected", setId, change: { repetitions: 8, leftInTank: 3 } })]);
    expect((await setsNow()).find(({ id }) => id === setId)).toMatchObject({ repetitions: 8, leftInTank: 3 });
    await send([event({ kind: "set-voided", setId })]);
    expect((await setsNow()).find(({ id }) => id === setId)).toBeUndefined();
  });

  test("each get a verdict: a bad one is refused with its reason and spoils no other", async () => {
    const other = await makeStudio(orm);
    const elsewhere = await openTestSession(orm, studio, "2026-10-07");
    const [good, stray, lost, mine] = [set(), set(12, newUuid()), event({ kind: "session-ended" }, newUuid()), set()];
    const before = (await setsOf(ids.sessionId)).length;
    const verdict = await send([stray, good, lost]);
    expect(verdict.received).toEqual([good.id]);
    expect(verdict.refused).toEqual([
      { id: stray.id, code: "unknown-item" },
      { id: lost.id, code: "unknown-session" },
    ]);
    expect(await setsOf(ids.sessionId)).toHaveLength(before + 1);
    expect(await send([mine], other.scope)).toMatchObject({ received: [], refused: [{ code: "unknown-session" }] });
    // ids are bound to their session: known elsewhere they are refused, not moved
    const moved = { ...good, sessionId: elsewhere.sessionId, body: { ...good.body, itemId: elsewhere.itemId } as FloorEventBody };
    expect(await send([moved])).toMatchObject({ received: [], refused: [{ id: good.id, code: "id-elsewhere" }] });
    expect(await send([{ ...moved, id: newUuid() }])).toMatchObject({ received: [], refused: [{ code: "id-elsewhere" }] });
    expect(await setsOf(elsewhere.sessionId)).toHaveLength(0);
  });

  test("are counted as they are received, and read after a receipt, their times by the studio's clock", async () => {
    const first = event({ kind: "session-continued" });
    const last = await eventsOf();
    const after = last.at(-1)?.receipt ?? 0;
    const ahead = { ...first, occurredAt: "2026-10-08T16:00:00.000Z" };
    const next = event({ kind: "session-continued" });
    await send([next], studio.scope, 0);
    await send([ahead], studio.scope, 24 * 3_600_000);
    const since = await eventsOf(after);
    expect(since.map(({ id }) => id)).toEqual([next.id, ahead.id]); // not by sequence or clock
    expect(since[1]?.receipt).toBeGreaterThan(since[0]?.receipt ?? Infinity);
    expect(since[1]?.occurredAt).toBe("2026-10-07T16:00:00.000Z");
  });
});

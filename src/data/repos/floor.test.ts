import type { MikroORM } from "@mikro-orm/postgresql";
import { v4 as newUuid } from "uuid";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import type { FloorEvent, FloorEventBody } from "../../core/floor/events";
import { inTest, makeStudio, openTestDatabase, openTestSession, type TestStudio } from "../testing.fixture";
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
const send = (events: FloorEvent[], scope = studio.scope) => inTest(orm, scope, (em) => appendFloorEvents(scope, em, events, new Date()));
const setsNow = async () =>
  (await inTest(orm, studio.scope, (em) => loadRecord(studio.scope, em, studio.clientId)))?.sessions.at(-1)?.sets ?? [];

describe("floor events", () => {
  test("are applied once, however often they are sent", async () => {
    const events = [event({ kind: "checked-in", painScore: 2, newSwelling: false, choice: "as-planned" }), set(12)];
    for (let i = 0; i < 3; i++) expect(await send(events)).toMatchObject({ ok: true });
    expect(await setsNow()).toHaveLength(1);
    expect(await inTest(orm, studio.scope, (em) => floorEventsOf(studio.scope, em, ids.sessionId))).toHaveLength(2);
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

  test("of another studio's session are refused, and nothing of the batch is taken", async () => {
    const other = await makeStudio(orm);
    const before = await inTest(orm, studio.scope, (em) => floorEventsOf(studio.scope, em, ids.sessionId));
    expect(await send([set()], other.scope)).toMatchObject({ ok: false, unknownSessionIds: [ids.sessionId] });
    expect(await send([set(), event({ kind: "session-ended" }, newUuid())])).toMatchObject({ ok: false });
    expect(await inTest(orm, studio.scope, (em) => floorEventsOf(studio.scope, em, ids.sessionId))).toHaveLength(before.length);
    expect(await inTest(orm, other.scope, (em) => floorEventsOf(other.scope, em, ids.sessionId))).toEqual([]);
  });

  test("that name an item of another session are refused", async () => {
    expect(await send([set(12, newUuid())])).toMatchObject({ ok: false });
  });
});

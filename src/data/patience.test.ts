import type { MikroORM } from "@mikro-orm/postgresql";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { AuditRow } from "./tables/entities";
import { canWrite, noteFailure } from "./heartbeat";
import { lastSeen } from "./repos/team.repo";
import { noteReading, type Reading, stamp } from "./scope";
import { inTest, makeStudio, openTestDatabase } from "../steps/testing.fixture";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());
const run = (sql: string): Promise<object[]> => orm.em.fork().getConnection().execute<object[]>(sql);

describe("nothing blocks everything", () => {
  test.each([
    ["statement_timeout", "15s"],
    ["lock_timeout", "5s"],
    ["idle_in_transaction_session_timeout", "15s"],
  ])("the application's role has a %s of %s", async (name, value) => {
    expect(await run(`show ${name}`)).toEqual([{ [name]: value }]);
  });
  test("a row that another transaction holds is given up after the lock's time, with a kind and no statement", async () => {
    await orm.em.fork().transactional(async (holding) => {
      await holding.execute("select * from heartbeat where id = 1 for update");
      const waiting = run("set lock_timeout = '200ms'; update heartbeat set at = now() where id = 1");
      await expect(waiting).rejects.toThrow(/lock timeout/);
    });
  });
  test("health says the truth about a database that cannot write, and about one that can again", async () => {
    const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
    expect(await canWrite()).toBe(true);
    await orm.em.fork().transactional(async (holding) => {
      await holding.execute("select * from heartbeat where id = 1 for update");
      await pause(600);
      expect(await canWrite()).toBe(false);
    });
    await pause(600);
    expect(await canWrite()).toBe(true);
  });
});

test("a write that found no room on the disk is unwell for a while, whatever a small one says", async () => {
  noteFailure({ code: "23505" });
  expect(await canWrite()).toBe(true);
  noteFailure({ code: "53100" });
  expect(await canWrite()).toBe(false);
});

test("a look at a client is written down with who looked, once in ten minutes for each", async () => {
  const studio = await makeStudio(orm);
  const looks = () =>
    inTest(orm, studio.scope, (em) =>
      em.execute<{ created_by: string; row_id: string }[]>("select created_by, row_id from audit_event where verb = 'read'"),
    );
  expect(await looks()).toEqual([]);
  for (let i = 0; i < 3; i++) await inTest(orm, studio.scope, (em) => noteReading(studio.scope, em, studio.clientId, "read"));
  expect(await looks()).toEqual([{ created_by: "trainer", row_id: studio.clientId }]);
  await inTest(orm, studio.scope, (em) => noteReading({ ...studio.scope, actorId: "another" }, em, studio.clientId, "read"));
  expect(await looks()).toHaveLength(2);
});

test("what a tablet fetches ahead is written down, and is no look: what changed since is still to be told", async () => {
  const { scope, clientId } = await makeStudio(orm);
  const hoursAgo = (hours: number): Date => new Date(Date.now() - hours * 3_600_000);
  const note = (verb: Reading, at: Date) =>
    inTest(orm, scope, (em) => em.insert(AuditRow, { ...stamp(scope, undefined, at), verb, tableName: "client", rowId: clientId }));
  const seen = () => inTest(orm, scope, (em) => lastSeen(scope, em, clientId));
  await note("put-on-a-tablet", hoursAgo(4));
  expect(await seen()).toBeNull();
  const at = hoursAgo(30);
  await note("read", at);
  expect(Date.parse((await seen()) ?? "")).toBe(at.getTime());
  await inTest(orm, scope, (em) => noteReading(scope, em, clientId, "put-on-a-tablet"));
  const verbs = await inTest(orm, scope, (em) =>
    em.execute<{ verb: string }[]>("select verb from audit_event where row_id = ? and verb in ('read', 'put-on-a-tablet')", [clientId]),
  );
  expect(verbs.map(({ verb }) => verb).toSorted()).toEqual(["put-on-a-tablet", "put-on-a-tablet", "read"]);
});

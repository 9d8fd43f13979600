import { today as todayIn } from "@internationalized/date";
import type { EntityManager, MikroORM } from "@mikro-orm/postgresql";
import { v4 as newUuid } from "uuid";
import { afterAll, beforeAll, expect, test } from "vitest";
import { UNREAD_FACT } from "../../src/core/progress/warning";
import { openWarningsOf } from "../../src/core/record/standing/history";
import { StudioRow } from "../../src/data/tables/entities";
import { clearWarning } from "../../src/steps/correct";
import { inStudio, openOrm, openOwnerOrm } from "../../src/data/orm";
import { dropAside, factsUnread } from "../../src/data/repos/aside.repo";
import { listClients } from "../../src/data/repos/client.repo";
import { ownWords } from "../../src/data/repos/message.repo";
import { loadRecord } from "../../src/data/repos/record.repo";
import { kitListOf, listOwnRows } from "../../src/data/repos/studio.repo";
import { listVisits } from "../../src/data/repos/visit.repo";
import type { Scope } from "../../src/data/scope";

/** What stands in the tables and no form could have written: left out of every page, said under Studio, taken away by a lead. */
let orm: MikroORM;
let scope: Scope;
const TODAY = todayIn(process.env["DEMO_TIME_ZONE"] ?? "UTC").toString();
const here = <T>(work: (em: EntityManager) => Promise<T>, who: Scope = scope): Promise<T> => inStudio(who.studioId, work, orm);

beforeAll(async () => {
  orm = await openOrm();
  const owner = await openOwnerOrm();
  const em = owner.em.fork();
  const studio = await em.findOneOrFail(StudioRow, { name: "Studio above the chandlery" });
  const [lead] = await em.execute<{ id: string }[]>(`select id from "user" where email = 'trainer@ponderis.example'`);
  scope = { studioId: studio.id, actorId: lead?.id ?? "" };
  await owner.close();
});
afterAll(() => orm.close());

test("nothing of the demo is unreadable", async () => expect(await here((em) => factsUnread(scope, em))).toEqual([]));

/** Each table's newest fact, of the first client where it is a client's, with nonsense in the column that holds it. */
const POISONS: readonly [table: string, column: string, more: Record<string, unknown>][] = [
  ["visit", "visit", { visit_id: newUuid() }],
  ["own_row", "row", { row_id: "own-nothing" }],
  ["kit_list", "items", { day: TODAY }],
  ["training_plan", "plan", {}],
  ["message_words", "words", { template: "no such template" }],
];
const NONSENSE: readonly unknown[] = [
  { x: 1 },
  [],
  {},
  [{ id: {} }],
  { at: null, name: 7, levers: "no", blockFrom: "never", laid: { x: 1 } },
];

test("every kind of nonsense leaves every reader standing, is said, and goes when the lead takes it away", async () => {
  let count = 0;
  const [client] = await here((em) => listClients(scope, em, TODAY));
  const usual = await here((em) => loadRecord(scope, em, client!.id));
  for (const [table, column, more] of POISONS)
    for (const nonsense of table === "message_words" ? ["no link in it"] : NONSENSE) {
      if (table === "kit_list" && Array.isArray(nonsense) && nonsense.length === 0) continue; // a room with nothing in it is lawful
      const [id, isOfClient] = [newUuid(), !["own_row", "message_words"].includes(table)];
      const fact = {
        studio_id: scope.studioId,
        id,
        created_by: scope.actorId,
        ...(isOfClient ? { client_id: client!.id } : {}),
        ...more,
        [column]: typeof nonsense === "string" ? nonsense : JSON.stringify(nonsense),
      };
      const columns = Object.keys(fact);
      await here((em) =>
        em.execute(`insert into ${table} (${columns.join(", ")}) values (${columns.map(() => "?").join(", ")})`, Object.values(fact)),
      );
      const record = await here((em) => loadRecord(scope, em, client!.id));
      expect([table, nonsense, record?.ownRows, record?.studioKit]).toEqual([table, nonsense, usual?.ownRows, usual?.studioKit]);
      expect((await here((em) => listClients(scope, em, TODAY))).length).toBeGreaterThan(10);
      expect((await here((em) => listVisits(scope, em))).some((visit) => !("day" in visit))).toBe(false);
      expect((await here((em) => listOwnRows(scope, em))).every(({ name }) => typeof name === "string")).toBe(true);
      await here((em) => kitListOf(scope, em, client!.id));
      expect(Object.keys(await here((em) => ownWords(scope, em)))).not.toContain("no such template");
      expect(await here((em) => factsUnread(scope, em))).toMatchObject([{ id, tableName: table }]);
      const trainer = { ...scope, actorId: "a trainer" };
      expect(await here((em) => dropAside(trainer, em, id), trainer)).toMatchObject({ refusal: { code: "only-a-lead" } });
      expect(await here((em) => dropAside(scope, em, id))).toEqual({ ok: true });
      expect(await here((em) => factsUnread(scope, em))).toEqual([]);
      count++;
    }
  expect(count).toBe(20);
  expect(await here((em) => loadRecord(scope, em, client!.id))).toEqual(usual);
  const [visit] = await here((em) => listVisits(scope, em));
  expect(await here((em) => dropAside(scope, em, visit?.id ?? newUuid()))).toMatchObject({ refusal: { code: "no-such-fact" } }); // one that reads is nobody's to drop
});

test("a limit that cannot be read is left out and holds its client, until a lead says it may be left out", async () => {
  const lines = await here((em) => listClients(scope, em, TODAY));
  const records = await Promise.all(lines.map(({ id }) => here((em) => loadRecord(scope, em, id))));
  const usual = records.find((each) => each && openWarningsOf(each).length === 0 && each.limits.length > 0);
  if (!usual) throw new Error("everybody is held already");
  const clientId = usual.client.id;
  const now = async () => {
    const record = await here((em) => loadRecord(scope, em, clientId));
    if (!record) throw new Error("nobody there");
    return record;
  };
  for (const [side, rule] of [
    ["right", { kind: "most", channel: "kneeFlexion", most: "ninety" }],
    ["both", []],
    ["up", { kind: "most", channel: "kneeFlexion", most: 90 }],
  ] as const) {
    const id = newUuid();
    const fact = {
      studio_id: scope.studioId,
      id,
      created_by: "x",
      client_id: clientId,
      side,
      rule: JSON.stringify(rule),
      owner_kind: "clinician",
      owner_name: "surgeon",
      from_day: TODAY,
    };
    const columns = Object.keys(fact);
    await here((em) =>
      em.execute(`insert into client_limit (${columns.join(", ")}) values (${columns.map(() => "?").join(", ")})`, Object.values(fact)),
    );
    const held = await now();
    expect(held.limits).toEqual(usual.limits);
    expect(openWarningsOf(held)).toEqual([
      { sourceId: id, sign: UNREAD_FACT, table: "client_limit", day: TODAY, at: `${TODAY}T00:00:00.000Z` },
    ]);
    const said = { sourceId: id, sign: UNREAD_FACT, by: "Tove", note: "Written anew", day: TODAY };
    expect(await here((em) => clearWarning(scope, em, clientId, { ...said, role: "doctor" }))).toMatchObject({ ok: false });
    expect(await here((em) => clearWarning(scope, em, clientId, { ...said, role: "lead" }))).toEqual({ ok: true });
    expect(openWarningsOf(await now())).toEqual([]);
  }
});

import fc from "fast-check";
import type { MikroORM } from "@mikro-orm/postgresql";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import type { ClientRecord } from "../core/record/facts/record";
import { archiveFrom, type ClientArchive, CLIENT_TABLES } from "../formats/archive";
import { archiveOf, takeArchive } from "./archive";
import { eraseClient, reviseClient } from "./repos/client.repo";
import { sendMessage, setContact } from "./repos/message.repo";
import { keepSummary } from "./repos/summary.repo";
import { changeVisits } from "./repos/visit.repo";
import { keepNote } from "./repos/team.repo";
import { inTest, makeStudio, openTestDatabase, openTestSession, recordOf, type TestStudio } from "../steps/testing.fixture";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const TODAY = "2026-10-10";
const archived = async (studio: TestStudio, of: TestStudio = studio): Promise<ClientArchive> => {
  const archive = await inTest(orm, studio.scope, (em) => archiveOf(studio.scope, em, of.clientId));
  if (!archive) throw new Error("no archive");
  return JSON.parse(JSON.stringify(archive)) as ClientArchive;
};
/** All but who made it: that is whoever reads it in, and whose it is said to be. */
const unsigned = ({ tables, ...client }: ClientArchive) => ({
  ...client,
  tables: Object.fromEntries(Object.entries(tables).map(([table, facts]) => [table, facts.map(({ created_by: _, ...fact }) => fact)])),
});
const takeIn = (studio: TestStudio, archive: ClientArchive, detailsOf?: "here" | "file") =>
  inTest(orm, studio.scope, (em) => takeArchive(studio.scope, em, archive, { today: TODAY, ...(detailsOf ? { detailsOf } : {}) }));
async function fullStudio(): Promise<TestStudio> {
  const studio = await makeStudio(orm);
  const { scope, clientId } = studio;
  await openTestSession(orm, studio);
  const visit = {
    id: crypto.randomUUID(),
    clientId,
    day: TODAY,
    at: "09:00",
    minutes: 45,
    everyWeeks: 1,
    untilDay: null,
    except: [],
    uid: null,
  };
  await inTest(orm, scope, (em) => changeVisits(scope, em, { kept: [visit], ended: [] }));
  await inTest(orm, scope, (em) =>
    keepNote(scope, em, clientId, { id: crypto.randomUUID(), seenBy: "team", words: "ærlig “talt”\n=1+1", endedDay: null }),
  );
  return studio;
}

describe("an archive of one client", () => {
  test("into another studio and out again loses nothing, and reads as the same record", async () => {
    const [from, to] = [await fullStudio(), await makeStudio(orm)];
    const archive = await archived(from);
    expect(Object.values(archive.tables).filter((facts) => facts.length > 0).length).toBeGreaterThan(12);
    expect(await takeIn(to, archive)).toMatchObject({
      ok: true,
      preview: { state: "new", otherwise: 0, namesake: true, detailsDiffer: false },
    });
    expect(unsigned(await archived(to, from))).toEqual(unsigned(archive));
    const there = { ...to, clientId: from.clientId };
    const [a, b] = [await recordOf(orm, from), await recordOf(orm, there)];
    const here = { cushionM: null, studioKit: null, ownRows: [] };
    const unnamed = (record: ClientRecord) => ({
      ...record,
      ...here,
      decisions: record.decisions.map(({ by: _, ...decision }) => decision),
    });
    expect(unnamed(b)).toEqual(unnamed(a));
    expect(await takeIn(to, archive)).toMatchObject({ preview: { state: "same", newFacts: 0 } });
  });

  test("erased and taken back it is whole; any part of it first, the rest fills it up", async () => {
    const studio = await fullStudio();
    const archive = await archived(studio);
    const leaves = CLIENT_TABLES.filter(
      (table) =>
        ["daily_height", "visit", "client_note", "finding", "response", "complaint"].includes(table) &&
        (archive.tables[table] ?? []).length > 0,
    );
    expect(leaves.length).toBeGreaterThan(3);
    await fc.assert(
      fc.asyncProperty(fc.subarray([...leaves]), async (kept) => {
        await inTest(orm, studio.scope, (em) => eraseClient(studio.scope, em, studio.clientId));
        const part = {
          ...archive,
          tables: Object.fromEntries(
            Object.entries(archive.tables).filter(([table]) => !leaves.includes(table as never) || kept.includes(table as never)),
          ),
        };
        expect(await takeIn(studio, part)).toMatchObject({ ok: true });
        expect(await takeIn(studio, archive)).toMatchObject({ ok: true });
        expect(unsigned(await archived(studio))).toEqual(unsigned(archive));
      }),
      { numRuns: 6 },
    );
  });

  test("erased, no table that has a client's column has a row of theirs, and a dump does not know their name", async () => {
    const studio = await fullStudio();
    const { scope, clientId } = studio;
    const unlikely = `Zebedee ${crypto.randomUUID()}`;
    const { client } = await recordOf(orm, studio);
    await inTest(orm, scope, (em) => reviseClient(scope, em, { ...client, name: unlikely }));
    await inTest(orm, scope, (em) => setContact(scope, em, clientId, { channel: "text", address: "+00 555 1", remindAt: null }));
    const message = { id: crypto.randomUUID(), clientId, template: "free" as const, words: `Hello ${unlikely}`, link: null };
    await inTest(orm, scope, (em) => sendMessage(scope, em, { send: async () => undefined }, message));
    const letter = {
      id: crypto.randomUUID(),
      day: TODAY,
      by: "x",
      audience: "client" as const,
      to: unlikely,
      sinceDay: TODAY,
      sections: [{ id: "done" as const, words: unlikely }],
    };
    await inTest(orm, scope, (em) => keepSummary(scope, em, clientId, letter));
    const tables = await inTest(orm, scope, (em) =>
      em.execute<{ name: string }[]>(
        `select table_name as name from information_schema.columns where column_name = 'client_id' and table_schema = 'public'`,
      ),
    );
    expect(tables.length).toBeGreaterThan(25);
    const left = async (): Promise<string[]> => {
      const found: string[] = [];
      for (const { name } of tables) {
        const rows = await inTest(orm, scope, (em) => em.execute(`select 1 from ${name} where client_id = ? limit 1`, [clientId]));
        if (rows.length > 0) found.push(name);
      }
      return found;
    };
    expect(await left()).toEqual(
      expect.arrayContaining(["message", "client_contact", "summary_letter", "client_note", "visit", "training_session"]),
    );
    await inTest(orm, scope, (em) => eraseClient(scope, em, clientId));
    expect(await left()).toEqual([]);
    const all = await inTest(orm, scope, (em) =>
      em.execute<{ name: string }[]>(
        `select c.relname as name from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind = 'r'`,
      ),
    );
    for (const { name } of all) {
      const rows = await inTest(orm, scope, (em) =>
        em.execute(`select 1 from ${name} x where x::text like ? limit 1`, [`%${unlikely}%`]).catch(() => []),
      );
      expect(rows, name).toEqual([]);
    }
  });

  test("what differs stays as it is here, and whose details hold is said by the person", async () => {
    const studio = await fullStudio();
    const archive = await archived(studio);
    const { client } = await recordOf(orm, studio);
    await inTest(orm, studio.scope, (em) => reviseClient(studio.scope, em, { ...client, goal: "another goal" }));
    const [note] = archive.tables["client_note"] ?? [];
    const changed = { ...archive, tables: { ...archive.tables, client_note: [{ ...note, words: "told otherwise" }] } };
    expect(await takeIn(studio, changed)).toMatchObject({ preview: { state: "same", otherwise: 1, detailsDiffer: true } });
    expect((await recordOf(orm, studio)).client.goal).toBe("another goal");
    await takeIn(studio, changed, "file");
    expect((await recordOf(orm, studio)).client.goal).toBe(client.goal);
    expect((await archived(studio)).tables["client_note"]).toMatchObject([{ words: "ærlig “talt”\n=1+1" }]);
  });

  test("a broken one is refused with what is wrong, and nothing of it is kept", async () => {
    const [from, to] = [await fullStudio(), await makeStudio(orm)];
    const archive = await archived(from);
    const first = (table: string): Record<string, unknown> => ({ ...archive.tables[table]?.[0] });
    const withTable = (table: string, facts: object[]): ClientArchive => ({
      ...archive,
      tables: { ...archive.tables, [table]: facts as never },
    });
    const broken: [string, ClientArchive][] = [
      ["no-client", { ...archive, tables: {} }],
      ["another-client", withTable("screen", [{ ...first("screen"), client_id: to.clientId }])],
      ["column", withTable("screen", [{ ...first("screen"), "answers); drop table client; --": 1 }])],
      ["fact", withTable("screen", [{ ...first("screen"), day: "no day" }])],
      ["fact", withTable("training_session", [{ ...first("training_session"), id: "x" }])],
      ["fact", withTable("screen", [{ ...first("screen"), answers: { conditions: 3 } }])],
      ["fact", withTable("response", [{ ...first("response"), pains: 3 }])],
      ["fact", withTable("calm_pose", [{ ...first("calm_pose"), limited_by: "nowhere" }])],
    ];
    for (const [why, each] of broken) {
      const taken = await inTest(orm, to.scope, async (em) => {
        const found = await takeArchive(to.scope, em, each, { today: TODAY });
        if (!found.ok) throw Object.assign(new Error("refused"), { found });
        return found;
      }).catch((error: { found?: unknown }) => error.found);
      expect(taken, why).toMatchObject({ refusal: { code: "import-refused", why } });
    }
    expect(await inTest(orm, to.scope, (em) => archiveOf(to.scope, em, from.clientId))).toBeNull();
  });
});

test("a file is read by its version, and anything else says what it is", () => {
  const file = (more: object): string => JSON.stringify({ format: "ponderis", version: 2, madeAt: "", studio: null, clients: [], ...more });
  expect(archiveFrom(file({}))).toMatchObject({ ok: true });
  expect(archiveFrom("{")).toMatchObject({ problem: { code: "not-json" } });
  expect(archiveFrom("[]")).toMatchObject({ problem: { code: "not-ours" } });
  expect(archiveFrom(file({ version: 9 }))).toMatchObject({ problem: { code: "newer", version: 9 } });
  expect(archiveFrom(file({ clients: [{ id: "a", name: "b" }] }))).toMatchObject({ problem: { code: "broken", where: "clients.0" } });
  const old = archiveFrom(file({ version: 1, clients: [{ id: "a", name: "b", tables: { training_session: [{ id: "s" }] } }] }));
  expect(old).toMatchObject({ archive: { version: 2, clients: [{ tables: { training_session: [{ id: "s", place: "studio" }] } }] } });
});

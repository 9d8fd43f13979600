import { today as todayIn } from "@internationalized/date";
import type { MikroORM } from "@mikro-orm/postgresql";
import { v4 as newUuid } from "uuid";
import { dayAfter } from "../../src/core/day";
import { listOwnRows } from "../../src/data/repos/studio.repo";
import { afterAll, beforeAll, expect, test } from "vitest";
import { archiveOf, studioTables, takeArchive, takeStudioTables } from "../../src/data/archive";
import { StudioRow } from "../../src/data/tables/entities";
import { inStudio, openOrm, openOwnerOrm } from "../../src/data/orm";
import { loadRecord } from "../../src/data/repos/record.repo";
import { asReadIn } from "../../src/core/record/facts/read-in";
import type { ClientRecord } from "../../src/core/record/facts/record";
import { dropAside, factsAside } from "../../src/data/repos/aside.repo";
import type { Scope } from "../../src/data/scope";
import type { ClientArchive, Tables } from "../../src/formats/archive";
import { isLeftOut, READ_BY_FORM } from "../../src/schemas/archived-fact.schema";
import { whereText } from "../../src/words/studio/archive";

/** Real round trips: every client of the demo and the whole studio, out of it and into an empty one, byte for byte. */
let orm: MikroORM;
let [from, to]: Scope[] = [];
let clientIds: string[] = [];
const TIME_ZONE = process.env["DEMO_TIME_ZONE"] ?? "UTC";
const TODAY = todayIn(TIME_ZONE).toString();
const asJson = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
const archived = async (scope: Scope, id: string): Promise<ClientArchive> => {
  const archive = await inStudio(scope.studioId, (em) => archiveOf(scope, em, id), orm);
  if (!archive) throw new Error(`nobody of the id ${id}`);
  return asJson(archive);
};
/** All but who made it: that is whoever reads it in, and whose it is said to be. */
const unsigned = (tables: Tables) =>
  Object.fromEntries(Object.entries(tables).map(([table, facts]) => [table, facts.map(({ created_by: _, ...fact }) => fact)]));
const makers = (tables: Tables): string[] =>
  Object.values(tables).flatMap((facts) => facts.flatMap((fact) => ("created_by" in fact ? [String(fact["created_by"])] : [])));
const unnamed = (record: ClientRecord | null | undefined) =>
  record && { ...record, decisions: record.decisions.map(({ by: _, ...decision }) => decision) };
const scopes = (): [Scope, Scope] => {
  if (!from || !to) throw new Error("no studios");
  return [from, to];
};

beforeAll(async () => {
  orm = await openOrm();
  const owner = await openOwnerOrm();
  const em = owner.em.fork();
  const studio = await em.findOneOrFail(StudioRow, { name: "Studio above the chandlery" });
  from = { studioId: studio.id, actorId: "trainer" };
  to = { studioId: newUuid(), actorId: "trainer" };
  await em.insert(StudioRow, { id: to.studioId, name: "An empty one", timeZone: TIME_ZONE });
  await owner.close();
  const rows = await inStudio(
    studio.id,
    (here) => here.execute<{ id: string }[]>(`select id from client where studio_id = ? order by id`, [studio.id]),
    orm,
  );
  clientIds = rows.map(({ id }) => id);
});
afterAll(() => orm.close());

test("what the studio itself has comes back", async () => {
  const [here, there] = scopes();
  const tables = asJson(await inStudio(here.studioId, (em) => studioTables(here, em), orm));
  expect(Object.values(tables).flat().length).toBeGreaterThan(1);
  expect(await inStudio(there.studioId, (em) => takeStudioTables(there, em, tables, TODAY), orm)).toMatchObject({ ok: true });
  const back = asJson(await inStudio(there.studioId, (em) => studioTables(there, em), orm));
  expect(unsigned(back)).toEqual(unsigned(tables));
  expect(makers(back)).toEqual(makers(tables).map((by) => asReadIn("trainer", TODAY, by)));
});

test("every client comes back as they were, with all that was trained, answered and decided", async () => {
  const [here, there] = scopes();
  let [decided, built, trained] = [0, 0, 0];
  for (const id of clientIds) {
    const archive = await archived(here, id);
    const taken = await inStudio(there.studioId, (em) => takeArchive(there, em, archive, { today: TODAY }), orm);
    expect([archive.name, taken]).toEqual([archive.name, { ok: true, preview: expect.objectContaining({ state: "new", otherwise: 0 }) }]);
    const back = await archived(there, id);
    expect(unsigned(back.tables)).toEqual(unsigned(archive.tables));
    expect(makers(back.tables)).toEqual(makers(archive.tables).map((by) => asReadIn("trainer", TODAY, by)));
    const records = await Promise.all([here, there].map((scope) => inStudio(scope.studioId, (em) => loadRecord(scope, em, id), orm)));
    expect(unnamed(records[1])).toEqual(unnamed(records[0]));
    // read in once more, it says nothing that is not here
    const again = await inStudio(there.studioId, (em) => takeArchive(there, em, back, { today: TODAY }), orm);
    expect(again).toMatchObject({ ok: true, preview: { state: "same", otherwise: 0 } });
    decided += archive.tables["decision"]?.length ?? 0;
    built += archive.tables["prescription"]?.filter(({ decision_id }) => decision_id !== null).length ?? 0;
    trained += archive.tables["floor_event"]?.length ?? 0;
  }
  expect(clientIds.length).toBeGreaterThanOrEqual(12);
  expect([decided > 20, built > 5, trained > 200]).toEqual([true, true, true]); // or this shows nothing
});

/** Taken in and rolled back, as by whoever looks at one first. */
const lookedAt = async (archive: ClientArchive): Promise<unknown> => {
  const [, there] = scopes();
  let taken: unknown = null;
  const looked = new Error("looked at");
  await inStudio(
    there.studioId,
    async (em) => {
      taken = await takeArchive(there, em, archive, { today: TODAY });
      throw looked;
    },
    orm,
  ).catch((error: unknown) => expect(error).toBe(looked));
  return taken;
};
/** The same facts of somebody whom nobody has yet. */
function renamed(archive: ClientArchive): ClientArchive {
  const ids = [archive.id, ...Object.values(archive.tables).flatMap((facts) => facts.map(({ id }) => String(id)))];
  return JSON.parse([...new Set(ids)].reduce((text, id) => text.replaceAll(id, newUuid()), JSON.stringify(archive))) as ClientArchive;
}

test("every table that is read by its form has a name that a person says", () =>
  expect(READ_BY_FORM.filter((table) => whereText(`${table} x`) === `${table} x`)).toEqual([]));

test("one whose prescription names a decision that is not in it is refused whole", async () => {
  const [here] = scopes();
  const all = await Promise.all(clientIds.map((id) => archived(here, id)));
  const built = all.find(({ tables }) => tables["prescription"]?.some(({ decision_id }) => decision_id !== null));
  if (!built) throw new Error("nobody was built up");
  const other = renamed(built);
  expect(await lookedAt({ ...other, tables: { ...other.tables, decision: [] } })).toMatchObject({
    ok: false,
    refusal: { code: "import-refused", why: "fact", where: "prescription" },
  });
  expect(await lookedAt(other)).toMatchObject({ ok: true, preview: { state: "new", leftOut: [] } });
});

test("a fact that no form could have written is left out and said, or refuses its client by name", async () => {
  const [here] = scopes();
  let [leftOut, refused] = [0, 0];
  const done = new Set<string>();
  for (const id of clientIds) {
    const archive = renamed(await archived(here, id));
    for (const table of READ_BY_FORM) {
      const facts = archive.tables[table] ?? [];
      const [first] = facts;
      if (!first || done.has(table)) continue;
      for (const [column, value] of Object.entries(first)) {
        if (typeof value !== "object" || value === null) continue;
        done.add(table);
        const poisoned = [{ ...first, [column]: { x: 1 } }, ...facts.slice(1)];
        const taken = await lookedAt({ ...archive, tables: { ...archive.tables, [table]: poisoned } });
        const said = { table, id: String(first["id"]) };
        if (isLeftOut(table)) {
          expect(taken).toMatchObject({ ok: true, preview: { state: "new", leftOut: [said] } });
          leftOut++;
        } else {
          const where = expect.stringContaining(`${table} ${said.id}`) as string;
          expect([table, column, taken]).toEqual([table, column, { ok: false, refusal: { code: "import-refused", why: "fact", where } }]);
          refused++;
        }
      }
    }
  }
  expect([leftOut >= 2, refused >= 12]).toEqual([true, true]); // or this shows nothing
});

test("an exercise, a visit or words of the studio's own that cannot be close nothing: they are left out", async () => {
  const [, there] = scopes();
  const stamp = () => ({ id: newUuid(), created_at: new Date().toISOString(), created_by: "trainer" });
  const tables = {
    own_row: [{ ...stamp(), row_id: "own-nothing", row: { "\0": "\0", "\ud800": "\ud800" } }],
    kit_list: [{ ...stamp(), client_id: null, day: TODAY, items: { x: 1 } }],
    message_words: [{ ...stamp(), template: "page-link", words: "No link in it" }],
  };
  const taken = await inStudio(there.studioId, (em) => takeStudioTables(there, em, tables, TODAY), orm);
  expect(taken).toMatchObject({
    ok: true,
    newFacts: 0,
    leftOut: [{ table: "kit_list" }, { table: "message_words" }, { table: "own_row" }],
  });
  // they stand aside, once however often they are read in, drawn nowhere, until somebody takes them away
  await inStudio(there.studioId, (em) => takeStudioTables(there, em, tables, TODAY), orm);
  const aside = await inStudio(there.studioId, (em) => factsAside(there, em), orm);
  expect(aside.map(({ tableName, by }) => `${tableName} ${by}`).toSorted((a, b) => a.localeCompare(b))).toEqual([
    "kit_list trainer",
    "message_words trainer",
    "own_row trainer",
  ]);
  expect(aside.find(({ tableName }) => tableName === "message_words")?.words).toContain("No link in it");
  expect(await inStudio(there.studioId, (em) => listOwnRows(there, em), orm)).toEqual([]);
  for (const { id } of aside) expect(await inStudio(there.studioId, (em) => dropAside(there, em, id), orm)).toEqual({ ok: true });
  expect(await inStudio(there.studioId, (em) => factsAside(there, em), orm)).toEqual([]);
  expect(await inStudio(there.studioId, (em) => dropAside(there, em, aside[0]!.id), orm)).toMatchObject({
    refusal: { code: "no-such-fact" },
  });
});

test("nothing dated ahead counts: no latest word for good, no session that was not yet", async () => {
  const [here] = scopes();
  const archive = renamed(await archived(here, clientIds[0]!));
  const tomorrow = dayAfter(TODAY, 1);
  let refused = 0;
  for (const [table, facts] of Object.entries(archive.tables)) {
    const [first] = facts;
    if (!first || table === "client") continue;
    const ahead = [{ created_at: new Date(Date.now() + 3_600_000).toISOString() }, ...("day" in first ? [{ day: tomorrow }] : [])];
    for (const more of ahead) {
      const taken = await lookedAt({ ...archive, tables: { ...archive.tables, [table]: [{ ...first, ...more }, ...facts.slice(1)] } });
      if (isLeftOut(table)) expect(taken).toMatchObject({ ok: true, preview: { leftOut: [{ table, code: "day.future" }] } });
      else expect([table, more, taken]).toMatchObject([table, more, { ok: false, refusal: { code: "import-refused", why: "fact" } }]);
      refused++;
    }
  }
  expect(refused).toBeGreaterThan(30);
});

test("a limit or a visit may be for a day to come", async () => {
  const [here] = scopes();
  for (const id of clientIds) {
    const archive = renamed(await archived(here, id));
    const [limit, ...rest] = archive.tables["client_limit"] ?? [];
    if (!limit) continue;
    const coming = {
      ...archive,
      tables: { ...archive.tables, client_limit: [{ ...limit, from_day: dayAfter(TODAY, 9), until_day: dayAfter(TODAY, 90) }, ...rest] },
    };
    expect(await lookedAt(coming)).toMatchObject({ ok: true, preview: { leftOut: [] } });
    return;
  }
  throw new Error("nobody has a limit");
});

test("an approach chosen before one of its points left the list comes back with the rest of it", async () => {
  const [here] = scopes();
  const all = await Promise.all(clientIds.map((id) => archived(here, id)));
  const chosen = all.find(({ tables }) => (tables["school_choice"]?.length ?? 0) > 0);
  if (!chosen) throw new Error("nobody has an approach of their own");
  const other = renamed(chosen);
  const older = other.tables["school_choice"]?.map((fact) => ({
    ...fact,
    positions: { ...Object(fact["positions"]), "a-point-that-left": "x" },
  }));
  expect(await lookedAt({ ...other, tables: { ...other.tables, school_choice: older ?? [] } })).toMatchObject({
    ok: true,
    preview: { state: "new", leftOut: [] },
  });
});

import type { MikroORM } from "@mikro-orm/postgresql";
import { v4 as newUuid } from "uuid";
import { afterAll, beforeAll, expect, test } from "vitest";
import { archiveOf, studioTables, takeArchive, takeStudioTables } from "../../src/data/archive";
import { StudioRow } from "../../src/data/entities";
import { inStudio, openOrm, openOwnerOrm } from "../../src/data/orm";
import { loadRecord } from "../../src/data/repos/record.repo";
import type { Scope } from "../../src/data/scope";
import type { ClientArchive } from "../../src/formats/archive";

/** Real round trips: every client of the demo and the whole studio, out of it and into an empty one, byte for byte. */
let orm: MikroORM;
let [from, to]: Scope[] = [];
let clientIds: string[] = [];
const TODAY = new Date().toISOString().slice(0, 10);
const asJson = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
const archived = async (scope: Scope, id: string): Promise<ClientArchive> => {
  const archive = await inStudio(scope.studioId, (em) => archiveOf(scope, em, id), orm);
  if (!archive) throw new Error(`nobody of the id ${id}`);
  return asJson(archive);
};
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
  await em.insert(StudioRow, { id: to.studioId, name: "An empty one", timeZone: "Europe/Copenhagen" });
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
  expect(await inStudio(there.studioId, (em) => takeStudioTables(there, em, tables), orm)).toMatchObject({ ok: true });
  expect(asJson(await inStudio(there.studioId, (em) => studioTables(there, em), orm))).toEqual(tables);
});

test("every client comes back as they were, with all that was trained, answered and decided", async () => {
  const [here, there] = scopes();
  let [decided, built, trained] = [0, 0, 0];
  for (const id of clientIds) {
    const archive = await archived(here, id);
    const taken = await inStudio(there.studioId, (em) => takeArchive(there, em, archive, { today: TODAY }), orm);
    expect([archive.name, taken]).toEqual([archive.name, { ok: true, preview: expect.objectContaining({ state: "new", otherwise: 0 }) }]);
    expect(await archived(there, id)).toEqual(archive);
    const records = await Promise.all([here, there].map((scope) => inStudio(scope.studioId, (em) => loadRecord(scope, em, id), orm)));
    expect(records[1]).toEqual(records[0]);
    decided += archive.tables["decision"]?.length ?? 0;
    built += archive.tables["prescription"]?.filter(({ decision_id }) => decision_id !== null).length ?? 0;
    trained += archive.tables["floor_event"]?.length ?? 0;
  }
  expect(clientIds.length).toBeGreaterThanOrEqual(12);
  expect([decided > 20, built > 5, trained > 200]).toEqual([true, true, true]); // or this shows nothing
});

test("one whose prescription names a decision that is not in it is refused whole", async () => {
  const [here, there] = scopes();
  const all = await Promise.all(clientIds.map((id) => archived(here, id)));
  const built = all.find(({ tables }) => tables["prescription"]?.some(({ decision_id }) => decision_id !== null));
  if (!built) throw new Error("nobody was built up");
  const id = newUuid();
  const asAnother = JSON.parse(JSON.stringify(built).replaceAll(built.id, id)) as ClientArchive; // somebody whom nobody has yet
  const ids = new Map(Object.values(asAnother.tables).flatMap((facts) => facts.map((fact) => [String(fact["id"]), newUuid()])));
  ids.delete(id);
  const renamed = JSON.parse([...ids].reduce((text, [was, now]) => text.replaceAll(was, now), JSON.stringify(asAnother))) as ClientArchive;
  const broken = { ...renamed, tables: { ...renamed.tables, decision: [] } };
  const take = async (archive: ClientArchive) => {
    let taken: unknown = null;
    const looked = new Error("looked at"); // rolled back, as by whoever reads one in that is refused
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
  expect(await take(broken)).toMatchObject({ ok: false, refusal: { code: "import-refused", why: "fact", where: "prescription" } });
  expect(await take(renamed)).toMatchObject({ ok: true, preview: { state: "new" } });
});

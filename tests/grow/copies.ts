import { v5 as uuidFromName } from "uuid";
import type { Client } from "pg";
import { CLIENT_TABLES, type ClientArchive, type Fact } from "../../src/formats/archive";

/** One client's facts once more for somebody else: every id is another, the same one wherever it is named. */
const UUID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g;
export function copyOf(text: string, seed: string, name: string): ClientArchive {
  const copy = JSON.parse(text.replaceAll(UUID, (id) => uuidFromName(`${seed} ${id}`, uuidFromName.URL))) as ClientArchive;
  const named = (copy.tables["client_revision"] ?? []).map((fact) => ({ ...fact, name }));
  return { ...copy, name, tables: { ...copy.tables, client_revision: named } };
}

/** The columns of a table that are ours to write. */
async function columnsOf(client: Client, table: string): Promise<string[]> {
  const { rows } = await client.query<{ name: string }>(
    `select column_name as name from information_schema.columns
      where table_schema = 'public' and table_name = $1 and is_generated = 'NEVER' and is_identity = 'NO'`,
    [table],
  );
  return rows.map(({ name }) => name);
}

/** Writes facts past every policy, in one statement for each table: what they say was lawful before it was copied. */
export async function writeFacts(client: Client, studioId: string, copies: readonly ClientArchive[]): Promise<void> {
  await client.query("begin");
  await client.query("set constraints all deferred");
  for (const table of CLIENT_TABLES) {
    const facts = copies.flatMap(({ tables }): readonly Fact[] => tables[table] ?? []);
    if (facts.length === 0) continue;
    const [first] = facts;
    const columns = (await columnsOf(client, table)).filter((name) => name === "studio_id" || name in (first ?? {}));
    const list = columns.map((name) => `"${name}"`).join(", ");
    await client.query(`insert into ${table} (${list}) select ${list} from jsonb_populate_recordset(null::${table}, $1::jsonb)`, [
      JSON.stringify(facts.map((fact) => ({ ...fact, studio_id: studioId }))),
    ]);
  }
  await client.query("commit");
}

/** What a studio writes down besides: who read whom before and after each session, steps that were taken once, and reminders. */
export async function writeAround(client: Client, studioId: string): Promise<void> {
  const [who] = [`'demo-quayside'`];
  await client.query(
    `insert into audit_event (studio_id, id, created_at, created_by, verb, table_name, row_id)
     select studio_id, gen_random_uuid(), created_at + n * interval '1 hour', ${who}, 'read', 'client', client_id
       from training_session, generate_series(1, 3) n where studio_id = $1`,
    [studioId],
  );
  await client.query(
    `insert into step (studio_id, id, created_at, created_by, digest, answer)
     select studio_id, gen_random_uuid(), created_at, ${who}, md5(id::text), jsonb_build_object('ok', true, 'id', id) from decision where studio_id = $1`,
    [studioId],
  );
  await client.query(
    `insert into message (studio_id, id, created_at, created_by, client_id, channel, address, template, words)
     select studio_id, gen_random_uuid(), created_at, ${who}, client_id, 'text', '+00 555 010', 'reminder', 'How is it this morning?'
       from training_session where studio_id = $1`,
    [studioId],
  );
  await client.query("analyze");
}

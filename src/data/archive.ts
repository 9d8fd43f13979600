import type { EntityManager } from "@mikro-orm/postgresql";
import { validate as isUuid } from "uuid";
import {
  CLIENT_TABLES,
  type ClientArchive,
  type ClientTable,
  type DetailsOf,
  type Fact,
  type FactProblem,
  type ImportPreview,
  STUDIO_TABLES,
  type Tables,
} from "../formats/archive";
import { dayAfter, type Day } from "../core/day";
import { fitContextOf } from "../core/record/standing/context";
import { programmeItems } from "../core/record/programme/programme";
import { keepAside } from "./repos/aside.repo";
import { loadRecord } from "./repos/record.repo";
import { type WordedTemplate, wordingProblem } from "../core/studio/message";
import { asReadIn } from "../core/record/facts/read-in";
import { aheadProblem, factProblem, isLeftOut } from "../schemas/archived-fact.schema";
import { refuse, type Taken } from "../core/outcome";
import { audit, type Scope, stamp } from "./scope";
import { ClientRevisionRow } from "./tables/entities";

/** Facts of tables that are found over another one, whose ids are read first; every other has its client's id. */
const OVER: Partial<Record<ClientTable, string>> = {
  client: "x.id = who",
  limit_lift: "x.limit_id = any (array(select id from client_limit where studio_id = mine and client_id = who))",
  demand: "x.rung_id = any (array(select id from rung where studio_id = mine and client_id = who))",
  session_item: "x.session_id = any (array(select id from training_session where studio_id = mine and client_id = who))",
  floor_event: "x.session_id = any (array(select id from training_session where studio_id = mine and client_id = who))",
  performed_set: "x.session_id = any (array(select id from training_session where studio_id = mine and client_id = who))",
};
/** Bytes go as base64, and what the studio counts by itself is left to it. */
const AS_TEXT: Readonly<Record<string, string>> = { letter: "bytes", session_picture: "bytes" };
const LEFT_OUT: Readonly<Record<string, string>> = { floor_event: "receipt", session_item: "is_decided" };

function factsSql(table: string, where: string): string {
  const bytes = AS_TEXT[table];
  const own = `to_jsonb(x) - 'studio_id'${LEFT_OUT[table] ? ` - '${LEFT_OUT[table]}'` : ""}${bytes ? ` || jsonb_build_object('${bytes}', encode(x.${bytes}, 'base64'))` : ""}`;
  const order = table === "floor_event" ? "x.receipt" : "x.id";
  return `select coalesce(jsonb_agg(${own} order by ${order}), '[]') as facts from ${table} x where x.studio_id = mine and ${where}`;
}
const named = (sql: string, clientId: string | null): [string, string[]] => {
  const ids: string[] = [];
  return [
    sql.replaceAll(/\b(mine|who)\b/g, (word) => (ids.push(word), "?::uuid")),
    ids.map((word) => (word === "who" ? (clientId ?? "") : "mine")),
  ];
};
async function read(em: EntityManager, studioId: string, table: string, where: string, clientId: string | null): Promise<Fact[]> {
  const [sql, ids] = named(factsSql(table, where), clientId);
  const [row] = await em.execute<{ facts: Fact[] }[]>(
    sql,
    ids.map((id) => (id === "mine" ? studioId : id)),
  );
  return row?.facts ?? [];
}

const textOf = (value: unknown): string => (typeof value === "string" ? value : "");

/** Everything the studio keeps of one client; null for nobody of it. */
export async function archiveOf({ studioId }: Scope, em: EntityManager, clientId: string): Promise<ClientArchive | null> {
  const tables: Record<string, Fact[]> = {};
  for (const table of CLIENT_TABLES) tables[table] = await read(em, studioId, table, OVER[table] ?? "x.client_id = who", clientId);
  if (tables["client"]?.length === 0) return null;
  const last = tables["client_revision"]?.toSorted((a, b) => String(a["created_at"]).localeCompare(String(b["created_at"]))).at(-1);
  return { id: clientId, name: textOf(last?.["name"]), tables };
}
/** What the studio itself has: bands, cushions, equipment, rows of its own. */
export async function studioTables({ studioId }: Scope, em: EntityManager): Promise<Tables> {
  const tables: Record<string, Fact[]> = {};
  for (const table of STUDIO_TABLES)
    tables[table] = await read(em, studioId, table, table === "kit_list" ? "x.client_id is null" : "true", null);
  return tables;
}

const COLUMN = /^[a-z][a-z0-9_]*$/;
/** The file's facts as rows of a table of this studio; null where one has a column that there is none of. */
async function columnsOf(em: EntityManager, table: string): Promise<Set<string>> {
  const rows = await em.execute<{ name: string }[]>(
    `select column_name as name from information_schema.columns where table_schema = 'public' and table_name = ? and is_generated = 'NEVER' and is_identity = 'NO'`,
    [table],
  );
  return new Set(rows.map(({ name }) => name));
}

type Refused = { code: "import-refused"; why: "no-client" | "another-client" | "column" | "fact" | "unread"; where: string };
const refused = (why: Refused["why"], where: string): Taken<never> => refuse({ code: "import-refused", why, where });

/**
 * Takes one client's archive in, all of it or nothing: facts that are not here yet are added, those that are here stay. What
 * cannot be opened afterwards is not kept. The caller's transaction is rolled back where this is refused, or only a preview.
 */
export async function takeArchive(
  scope: Scope,
  em: EntityManager,
  client: ClientArchive,
  { today, detailsOf = "here" }: { today: Day; detailsOf?: DetailsOf },
): Promise<Taken<{ preview: ImportPreview }>> {
  const { studioId } = scope;
  if (!isUuid(client.id) || client.tables["client"]?.length !== 1 || client.tables["client"][0]?.["id"] !== client.id)
    return refused("no-client", client.name);
  if ((client.tables["client_revision"] ?? []).length === 0) return refused("no-client", client.name);
  const before = await archiveOf(scope, em, client.id);
  let [newFacts, otherwise] = [0, 0];
  const leftOut: FactProblem[] = [];
  await em.execute("set constraints prescription_decision_foreign deferred"); // the two name each other
  for (const table of CLIENT_TABLES) {
    const told = client.tables[table] ?? [];
    if (told.some((fact) => "client_id" in fact && fact["client_id"] !== client.id)) return refused("another-client", table);
    const added = await addFacts(scope, em, { table, told, before: before?.tables[table] ?? [], clientId: client.id, today });
    if (!added.ok) return added;
    leftOut.push(...added.leftOut);
    newFacts += added.newFacts;
    otherwise += added.otherwise;
  }
  if (!(await isWhole(em))) return refused("fact", "prescription");
  const latestHere = latestDetails(before);
  const latestThere = latestDetails(client);
  const detailsDiffer = before !== null && JSON.stringify(latestHere) !== JSON.stringify(latestThere);
  if (detailsDiffer)
    await em.insert(ClientRevisionRow, {
      ...stamp(scope),
      clientId: client.id,
      ...((detailsOf === "here" ? latestHere : latestThere) as typeof latestHere & object),
    });
  const [{ count } = { count: 0 }] = await em.execute<{ count: number }[]>(
    `select count(*)::int as count from (select distinct on (client_id) client_id, name from client_revision where studio_id = ? order by client_id, created_at desc, id desc) v
      where v.name = ? and v.client_id <> ?::uuid`,
    [studioId, client.name, client.id],
  );
  if (!(await opens(scope, em, client.id, today))) return refused("unread", client.name);
  if (newFacts > 0) await audit(scope, em, "imported", "client", client.id);
  const state = before === null ? "new" : newFacts > 0 ? "more" : "same";
  return {
    ok: true,
    preview: { id: client.id, name: client.name, state, newFacts, otherwise, namesake: count > 0, detailsDiffer, leftOut },
  };
}
/** What the studio itself has, taken in the same way. */
export async function takeStudioTables(
  scope: Scope,
  em: EntityManager,
  tables: Tables,
  today: Day,
): Promise<Taken<{ newFacts: number; leftOut: FactProblem[] }>> {
  const before = await studioTables(scope, em);
  let newFacts = 0;
  const leftOut: FactProblem[] = [];
  for (const table of STUDIO_TABLES) {
    const told = tables[table] ?? [];
    if (told.some((fact) => fact["client_id"] != null)) return refused("another-client", table);
    const added = await addFacts(scope, em, { table, told, before: before[table] ?? [], clientId: null, today });
    if (!added.ok) return added;
    leftOut.push(...added.leftOut);
    newFacts += added.newFacts;
  }
  if (newFacts > 0) await audit(scope, em, "imported", "studio", scope.studioId);
  return { ok: true, newFacts, leftOut };
}
/** What our own forms could have written, and what they could not. */
function sifted(table: string, told: readonly Fact[], today: Day): { facts: Fact[]; left: { fact: Fact; problem: FactProblem }[] } {
  const now = Date.now();
  const judged = told.map((fact) => ({
    fact,
    problem: factProblem(table, fact) ?? wordsProblem(table, fact) ?? aheadProblem(table, fact, today, now),
  }));
  return {
    facts: judged.flatMap(({ fact, problem }) => (problem ? [] : [fact])),
    left: judged.flatMap(({ fact, problem }) => (problem ? [{ fact, problem }] : [])),
  };
}
/** Words for messages pass the guard that those typed here pass. */
function wordsProblem(table: string, { id, template, words }: Fact): FactProblem | null {
  if (table !== "message_words" || wordingProblem(template as WordedTemplate, String(words)) === null) return null;
  return { table, id: String(id), path: "words", code: "message.guard" };
}
const whereOf = ({ table, id, path }: FactProblem): string => `${table} ${id.slice(0, 40)}${path ? `: ${path}` : ""}`;

/** Whether every decision that a prescription names has come with it. */
async function isWhole(em: EntityManager): Promise<boolean> {
  await em.execute("savepoint whole");
  try {
    await em.execute("set constraints prescription_decision_foreign immediate");
    return true;
  } catch {
    await em.execute("rollback to savepoint whole");
    return false;
  }
}

interface Told {
  table: string;
  told: readonly Fact[];
  before: readonly Fact[];
  clientId: string | null;
  today: Day;
}
/**
 * Adds the facts of a table that are not here, as read in by who reads them in; counts those of the same id that say
 * something else. What could not have been written here is kept aside where nothing stands on it, and refuses the rest where
 * something does.
 */
async function addFacts(
  scope: Scope,
  em: EntityManager,
  { table, told, before, clientId, today }: Told,
): Promise<Taken<{ newFacts: number; otherwise: number; leftOut: FactProblem[] }>> {
  const { studioId, actorId } = scope;
  const { facts, left } = sifted(table, told, today);
  const leftOut = left.map(({ problem }) => problem);
  const [problem] = leftOut;
  if (problem && !isLeftOut(table)) return refused("fact", whereOf(problem));
  for (const each of left) await keepAside(scope, em, each.problem, each.fact, clientId);
  if (facts.length === 0) return { ok: true, newFacts: 0, otherwise: 0, leftOut };
  const columns = await columnsOf(em, table);
  const here = new Map(before.map((fact) => [String(fact["id"]), fact]));
  for (const fact of facts) {
    if (!isUuid(String(fact["id"]))) return refused("fact", `${table} ${String(fact["id"]).slice(0, 40)}`);
    if (Object.keys(fact).some((column) => !COLUMN.test(column) || !columns.has(column))) return refused("column", table);
  }
  const fresh = facts.filter((fact) => !here.has(String(fact["id"])));
  const isOtherwise = (fact: Fact): boolean => {
    const known = here.get(String(fact["id"]));
    return known !== undefined && JSON.stringify(unsigned(known)) !== JSON.stringify(unsigned(fact));
  };
  const bytes = AS_TEXT[table];
  for (let at = 0; at < fresh.length; at += ROWS_AT_ONCE) {
    const part = fresh.slice(at, at + ROWS_AT_ONCE);
    const signed = columns.has("created_by"); // a part of another fact is that one's
    const used = [...new Set([...(signed ? ["created_by"] : []), ...part.flatMap((fact) => Object.keys(fact))])];
    const picked = used.map((column) => (column === bytes ? `decode(x.${column}_text, 'base64')` : `x.${column}`)).join(", ");
    const rows = part.map((fact) => ({
      ...fact,
      ...(signed ? { created_by: asReadIn(actorId, today, textOf(fact["created_by"])) } : {}),
      ...(bytes ? { [`${bytes}_text`]: fact[bytes], [bytes]: null } : {}),
    }));
    await em.execute("savepoint facts");
    try {
      await em.execute(
        bytes
          ? `insert into ${table} (studio_id, ${used.join(", ")}) select ?::uuid, ${picked} from (
               select r.*, j ->> '${bytes}_text' as ${bytes}_text from jsonb_array_elements(?::jsonb) j, jsonb_populate_record(null::${table}, j) r) x`
          : `insert into ${table} (studio_id, ${used.join(", ")}) select ?::uuid, ${picked} from jsonb_populate_recordset(null::${table}, ?::jsonb) x`,
        [studioId, JSON.stringify(rows)],
      );
    } catch {
      await em.execute("rollback to savepoint facts");
      return refused("fact", table);
    }
  }
  return { ok: true, newFacts: fresh.length, otherwise: facts.filter(isOtherwise).length, leftOut };
}
const ROWS_AT_ONCE = 500;
/** What a fact says, whoever is said to have made it. */
const unsigned = ({ created_by: _, ...fact }: Fact): Fact =>
  Object.fromEntries(Object.entries(fact).toSorted(([a], [b]) => a.localeCompare(b)));

interface Details {
  name: string;
  birthYear: number;
  sex: "female" | "male";
  goal: string;
  archivedDay: Day | null;
}
function latestDetails(client: ClientArchive | null): Details | null {
  const last = client?.tables["client_revision"]
    ?.toSorted((a, b) => String(a["created_at"]).localeCompare(String(b["created_at"])) || String(a["id"]).localeCompare(String(b["id"])))
    .at(-1);
  if (!last) return null;
  return {
    name: String(last["name"]),
    birthYear: Number(last["birth_year"]),
    sex: last["sex"] === "male" ? "male" : "female",
    goal: textOf(last["goal"]),
    archivedDay: (last["archived_day"] as Day | null | undefined) ?? null,
  };
}

/** Whether every station could show this client: read whole, its body and its programme worked out. */
async function opens(scope: Scope, em: EntityManager, clientId: string, today: Day): Promise<boolean> {
  try {
    const record = await loadRecord(scope, em, clientId);
    if (!record) return false;
    fitContextOf(record, today);
    programmeItems(record, dayAfter(today, 1));
    return true;
  } catch {
    return false;
  }
}

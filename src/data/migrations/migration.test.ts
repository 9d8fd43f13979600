import { execFileSync } from "node:child_process";
import { readdirSync, readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { gunzipSync } from "node:zlib";
import type { MikroORM } from "@mikro-orm/postgresql";
import { Client } from "pg";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { UNREAD_FACT } from "../../core/progress/warning";
import { currentPlans } from "../../core/record/standing/plans";
import { fitContextOf } from "../../core/record/standing/context";
import { inStudio, openOwnerOrm } from "../orm";
import { listClients } from "../repos/client.repo";
import { loadRecord } from "../repos/record.repo";
import { ruleFrom, rootsOf } from "./1-20/from-0002";

/** The demo of the release before (0.2), as that release had written it. */
const OLD_DEMO = gunzipSync(readFileSync(new URL("./demo-of-0002.sql.gz", import.meta.url))).toString();
const NAME = `migrated_${process.pid}`;
const here = process.env["DATABASE_OWNER_URL"] ?? "";

type Run = (sql: string) => Promise<Record<string, unknown>[]>;
/** Behind every policy: to put the old data in, and to count what is there. */
async function behindPolicies<T>(database: string | null, work: (run: Run) => Promise<T>): Promise<T> {
  const url = process.env["DATABASE_SUPER_URL"] ?? "";
  const client = new Client({ connectionString: database ? url.replace(/\/[^/?]+\?/, `/${database}?`) : url });
  await client.connect();
  try {
    return await work(async (sql) => (await client.query(sql)).rows);
  } finally {
    await client.end();
  }
}
async function ownerAt(url: string): Promise<MikroORM> {
  process.env["DATABASE_OWNER_URL"] = url;
  const orm = await openOwnerOrm();
  process.env["DATABASE_OWNER_URL"] = here;
  return orm;
}
async function migrateAt(url: string, upTo?: string): Promise<void> {
  const orm = await ownerAt(url);
  await orm.getMigrator().up(upTo === undefined ? undefined : { to: upTo });
  await orm.close();
}
const migrate = (upTo?: string): Promise<void> => migrateAt(there, upTo);
/** Copied in by psql, as it was written down. */
function load(database: string, words: Buffer): void {
  const url = (process.env["DATABASE_SUPER_URL"] ?? "").replace(/\/[^/?]+\?/, `/${database}?`);
  execFileSync("psql", ["-q", "-v", "ON_ERROR_STOP=1", url], { input: words, stdio: ["pipe", "ignore", "pipe"] });
}
const there = here.replace(/[^/]+$/, NAME);
async function countsOf(run: Run, tables: readonly string[]): Promise<Record<string, unknown>> {
  const counts: Record<string, unknown> = {};
  for (const table of tables) counts[table] = (await run(`select count(*)::int as n from ${table}`))[0]?.["n"];
  return counts;
}
const KEPT = [
  "client",
  "training_session",
  "session_item",
  "performed_set",
  "floor_event",
  "decision",
  "response",
  "rung",
  "prescription",
  "client_limit",
  "calm_pose",
  "daily_height",
  "band",
];

let before: Record<string, unknown>;
beforeAll(async () => {
  await behindPolicies(null, (run) => run(`create database ${NAME} owner ponderis_owner`));
  await migrate("migration-0002");
  before = await behindPolicies(NAME, async (run) => {
    await run(`set session_replication_role = replica; ${OLD_DEMO}`);
    return countsOf(run, KEPT);
  });
}, 120_000);
afterAll(() => behindPolicies(null, (run) => run(`drop database ${NAME} with (force)`)));

describe("the demo of the release before", () => {
  test("keeps every client, session, set, decision and morning, and reads as plans, complaints and ceilings of today", async () => {
    expect(before["training_session"]).toBe(74);
    await migrate("migration-0008");
    const [pregnant] = await behindPolicies(NAME, (run) =>
      run(
        `update client_revision set conditions = '["pregnancy", "bone-thinning"]' where client_id = (select id from client order by id limit 1) returning client_id`,
      ),
    );
    await migrate();
    const carried = await behindPolicies(NAME, (run) => run(`select client_id, answers from screen`));
    const of = (id: string) => ({ id, side: "both", day: null });
    expect(carried).toEqual([{ client_id: pregnant?.["client_id"], answers: { conditions: [of("pregnancy"), of("bone-thinning")] } }]);
    const after = await behindPolicies(NAME, (run) => countsOf(run, KEPT));
    expect(after).toEqual(before);
    const [decided] = await behindPolicies(NAME, (run) =>
      run(
        `select (select count(*)::int from session_item where is_decided) as marked, (select count(distinct item_id)::int from decision) as decided`,
      ),
    );
    expect(Number(decided?.["decided"])).toBeGreaterThan(0);
    expect(decided?.["marked"]).toBe(decided?.["decided"]);
    process.env["DATABASE_OWNER_URL"] = there;
    const orm = await openOwnerOrm();
    process.env["DATABASE_OWNER_URL"] = here;
    const studios = (await behindPolicies(NAME, (run) => run(`select studio_id as id from client group by 1`))) as { id: string }[];
    let read = 0;
    for (const { id } of studios) {
      const scope = { studioId: id, actorId: "test" };
      const clients = await inStudio(id, (em) => listClients(scope, em, "2026-10-10"), orm);
      for (const line of clients) {
        const record = await inStudio(id, (em) => loadRecord(scope, em, line.id, 100), orm);
        if (!record) throw new Error(line.name);
        expect(record.warnings.filter(({ sign }) => sign === UNREAD_FACT)).toEqual([]); // an upgrade holds nobody
        read += record.sessions.length;
        expect(record.complaints).toHaveLength(1);
        expect(record.sessions.every(({ sets }) => sets.every(({ setting }) => !("version" in setting)))).toBe(true);
        const context = fitContextOf(record, "2026-11-26");
        expect([line.name, context?.ceilings.length, context?.unusable.length]).toEqual([
          line.name,
          record.calmPoses.length > 0 ? 1 : 0,
          0,
        ]);
        if (record.sessions.length > 0) expect(currentPlans(record)).toHaveLength(1);
        for (const decision of record.decisions)
          expect(record.sessions.some(({ items }) => items.some((item) => item.id === decision.itemId))).toBe(true);
      }
    }
    await orm.close();
    expect(read).toBe(74);
  }, 120_000);
});

/**
 * The demo as each release kept it, four clients of it: data alone, as pg_dump writes it (--data-only --disable-triggers), under the
 * name of its last migration. A release adds its own.
 */
const RELEASES = readdirSync(new URL(".", import.meta.url)).flatMap((name) => /^release-(\d{4})\.sql\.gz$/.exec(name)?.[1] ?? []);
test("there is one of every second release or so", () => expect(RELEASES.length).toBeGreaterThanOrEqual(7));
describe.each(RELEASES)("data of the release that ended with migration %s", (number) => {
  const name = `release_${number}_${process.pid}`;
  const url = here.replace(/[^/]+$/, name);
  beforeAll(() => behindPolicies(null, (run) => run(`create database ${name} owner ponderis_owner`)), 60_000);
  afterAll(() => behindPolicies(null, (run) => run(`drop database ${name} with (force)`)));
  test("is brought to this one whole, and every client reads as they were", async () => {
    await migrateAt(url, `migration-${number}`);
    const file = fileURLToPath(new URL(`./release-${number}.sql.gz`, import.meta.url));
    load(name, gunzipSync(readFileSync(file)));
    const kept = await behindPolicies(name, (run) => countsOf(run, KEPT));
    await migrateAt(url);
    expect(await behindPolicies(name, (run) => countsOf(run, KEPT))).toEqual(kept);
    const orm = await ownerAt(url);
    const clients = (await behindPolicies(name, (run) =>
      run(`select c.studio_id as "studioId", c.id, count(distinct s.id)::int as sessions, count(p.id) filter (where not p.voided)::int as sets,
                  (select count(*)::int from decision d where d.client_id = c.id) as decisions
             from client c left join training_session s on s.client_id = c.id left join performed_set p on p.session_id = s.id group by 1, 2`),
    )) as { studioId: string; id: string; sessions: number; sets: number; decisions: number }[];
    expect(clients).toHaveLength(4);
    for (const { studioId, id, ...counted } of clients) {
      const record = await inStudio(studioId, (em) => loadRecord({ studioId, actorId: "test" }, em, id, 1000), orm);
      if (!record) throw new Error(`nobody of the id ${id}`);
      expect(record.warnings.filter(({ sign }) => sign === UNREAD_FACT)).toEqual([]);
      const { sessions, decisions } = record;
      expect({
        sessions: sessions.length,
        sets: sessions.reduce((sum, { sets }) => sum + sets.length, 0),
        decisions: decisions.length,
      }).toEqual(counted);
      expect(fitContextOf(record, "2026-12-31")?.ceilings.length).toBeGreaterThan(0);
      expect(currentPlans(record).length).toBeGreaterThan(0);
    }
    await orm.close();
  }, 120_000);
});

test("old limits and raised ceilings are said in today's words", () => {
  expect(ruleFrom({ kind: "knee-bend", maxDeg: 95 })).toEqual({ kind: "most", channel: "kneeFlexion", most: 95 });
  expect(ruleFrom({ kind: "shin-forward", maxDeg: 20 })).toEqual({ kind: "most", channel: "shankLean", most: 20 });
  expect(ruleFrom({ kind: "no-load-on-back" })).toEqual({ kind: "never", what: "bar-on-shoulders" });
  const row = (id: string, source_kind: "calm-pose" | "history", source_id: string, value: number) => ({
    studio_id: "s",
    id,
    source_kind,
    source_id,
    value,
  });
  const roots = rootsOf([row("a", "calm-pose", "pose", 40), row("b", "history", "a", 42), row("c", "history", "b", 44.1)]);
  expect(roots.map(({ calmPoseId }) => calmPoseId)).toEqual(["pose", "pose", "pose"]);
  expect(roots[2]?.raisedBy).toBeCloseTo(1.1025, 9);
});

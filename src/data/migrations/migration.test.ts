import { readFileSync } from "node:fs";
import { gunzipSync } from "node:zlib";
import { Client } from "pg";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { currentPlans, fitContextOf } from "../../core/record/derive";
import { inStudio, openOwnerOrm } from "../orm";
import { listClients } from "../repos/client.repo";
import { loadRecord } from "../repos/record.repo";
import { ruleFrom, rootsOf } from "./from-0002";

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
async function migrate(upTo?: string): Promise<void> {
  process.env["DATABASE_OWNER_URL"] = there;
  const orm = await openOwnerOrm();
  process.env["DATABASE_OWNER_URL"] = here;
  await orm.getMigrator().up(upTo === undefined ? undefined : { to: upTo });
  await orm.close();
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

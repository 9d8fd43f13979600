import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { Client } from "pg";
import { afterAll, expect, test } from "vitest";
import { openOwnerOrm } from "../orm";
import { bringSchema } from "../upgrade";

const NAMES = { whole: `whole_${process.pid}`, stepwise: `stepwise_${process.pid}` };
const here = process.env["DATABASE_OWNER_URL"] ?? "";
const env = { ...process.env, DB_DIR: process.env["DB_DIR"] ?? join(process.cwd(), ".data", "test") };
const schemaOf = (name: string): string => execFileSync("bash", ["scripts/db.sh", "schema", name], { env, encoding: "utf8" });

async function behindPolicies(sql: string, name?: string): Promise<Record<string, unknown>[]> {
  const url = process.env["DATABASE_SUPER_URL"] ?? "";
  const client = new Client({ connectionString: name ? url.replace(/\/[^/?]+\?/, `/${name}?`) : url });
  await client.connect();
  const { rows } = await client.query<Record<string, unknown>>(sql);
  await client.end();
  return rows;
}
async function made(name: string, by: (owner: Awaited<ReturnType<typeof openOwnerOrm>>) => Promise<unknown>): Promise<string> {
  await behindPolicies(`create database ${name} owner ponderis_owner`);
  process.env["DATABASE_OWNER_URL"] = here.replace(/[^/]+$/, name);
  const owner = await openOwnerOrm();
  process.env["DATABASE_OWNER_URL"] = here;
  await by(owner);
  await owner.close();
  return schemaOf(name);
}
afterAll(async () => {
  for (const name of Object.values(NAMES)) await behindPolicies(`drop database if exists ${name} with (force)`);
});

test("a new database by one text is the one that every migration makes, its owners and first rows too", async () => {
  const stepwise = await made(NAMES.stepwise, (owner) => owner.getMigrator().up());
  expect(readFileSync(new URL("./schema.sql", import.meta.url), "utf8")).toBe(stepwise); // npm run schema
  const whole = await made(NAMES.whole, bringSchema);
  expect(whole).toBe(stepwise);
  const OWNERS = `select relname, pg_get_userbyid(relowner) as owner from pg_class where relnamespace = 'public'::regnamespace order by 1`;
  expect(await behindPolicies(OWNERS, NAMES.whole)).toEqual(await behindPolicies(OWNERS, NAMES.stepwise));
  const FIRST = `select (select count(*) from heartbeat) as beats, (select count(*) from installation) as secrets, (select count(*) from audit_event) as audited`;
  expect(await behindPolicies(FIRST, NAMES.whole)).toEqual(await behindPolicies(FIRST, NAMES.stepwise));
});

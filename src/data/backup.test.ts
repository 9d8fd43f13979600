import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Client } from "pg";
import type { MikroORM } from "@mikro-orm/postgresql";
import { afterAll, beforeAll, expect, test } from "vitest";
import { makeStudio, openTestDatabase } from "./testing.fixture";

let orm: MikroORM;
const folder = mkdtempSync(join(tmpdir(), "ponderis-backup-"));
const NAME = "ponderis_restored";
const env = { ...process.env, DB_DIR: process.env["DB_DIR"] ?? join(process.cwd(), ".data", "test"), DB_FAST: "1" };
const db = (...args: string[]): string =>
  execFileSync("bash", ["scripts/db.sh", ...args], { env, encoding: "utf8", stdio: ["ignore", "pipe", "pipe"] });
const databaseName = new URL(process.env["DATABASE_URL"] ?? "postgresql://x/x").pathname.slice(1);

beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(async () => {
  db("dropdb", NAME);
  rmSync(folder, { recursive: true });
  await orm.close();
});

/** Every table and how much is in it. */
async function counts(name: string): Promise<Record<string, string>> {
  const url = (process.env["DATABASE_SUPER_URL"] ?? "").replace(`/${databaseName}?`, `/${name}?`);
  const client = new Client({ connectionString: url });
  await client.connect();
  const { rows } = await client.query<{ name: string; count: string }>(
    `select c.relname as name, (xpath('/row/n/text()', query_to_xml(format('select count(*) as n from %I', c.relname), false, true, '')))[1]::text as count
       from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' order by 1`,
  );
  await client.end();
  return Object.fromEntries(rows.map((row) => [row.name, row.count]));
}

test("a backup restored into an empty database holds the same of every table, and is taken into no other", async () => {
  await makeStudio(orm);
  const file = join(folder, "studio.backup");
  db("dropdb", NAME);
  db("backup", file, databaseName);
  expect(statSync(file).mode & 0o077).toBe(0); // for nobody else's eyes
  expect(db("restore", file, NAME)).toMatch(/clients$/m);
  const [before, after] = [await counts(databaseName), await counts(NAME)];
  expect(Number(before["client"])).toBeGreaterThan(0);
  expect(after).toEqual(before);
  expect(() => db("restore", file, NAME)).toThrow(/holds something already/);
  expect(() => db("restore", "package.json", NAME)).toThrow(/no backup that can be read/);
});

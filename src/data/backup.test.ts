import { execFileSync } from "node:child_process";
import { mkdtempSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Client } from "pg";
import type { MikroORM } from "@mikro-orm/postgresql";
import { afterAll, beforeAll, expect, test } from "vitest";
import { makeStudio, openTestDatabase } from "../steps/testing.fixture";

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
  expect(after["installation"]).toBe("1"); // the secret that tablets were locked by comes with it
  expect(() => db("restore", file, NAME)).toThrow(/holds something already/);
  expect(() => db("restore", "package.json", NAME)).toThrow(/no backup that can be read/);
});

test("a drill restores beside what is in use, opens clients there, says how old it is, and leaves nothing behind", async () => {
  const file = join(folder, "drill.backup");
  db("backup", file, databaseName);
  const said = db("restore", "--drill", file);
  expect(said).toMatch(/^Made \d{4}-\d\d-\d\d .*0 days ago\.$/m);
  expect(said).toMatch(/^\d+ studios, [1-9]\d* clients, \d+ sessions, \d+ sets$/m);
  expect(said).toMatch(/^(\d+) of \1 clients open$/m);
  expect(db("psql", "-Atc", "select count(*) from pg_database where datname like '%drill'").trim()).toBe("0");
  expect(() => db("restore", "--drill", "package.json")).toThrow(/no backup that can be read/);
});

test("into a database of one's own it goes by that database's owner, whoever that is", async () => {
  const file = join(folder, "elsewhere.backup");
  db("backup", file, databaseName);
  const there = "ponderis_elsewhere";
  db(
    "psql",
    "-c",
    `drop database if exists ${there}`,
    "-c",
    "drop role if exists landlord",
    "-c",
    "create role landlord login password 'x'",
  );
  db("psql", "-c", `create database ${there} owner landlord`);
  const url = new URL(process.env["DATABASE_OWNER_URL"] ?? "");
  Object.assign(url, { username: "landlord", password: "x", pathname: `/${there}` });
  try {
    expect(db("restore", file, "--to", url.href)).toMatch(/^Restored/m);
    const [before, after] = [await counts(databaseName), await counts(there)];
    expect(after).toEqual(before);
    expect(() => db("restore", file, "--to", url.href)).toThrow(/holds something already/);
    expect(() => db("restore", "package.json", "--to", url.href)).toThrow(/no backup that can be read/);
  } finally {
    db("dropdb", there);
    db("psql", "-c", "drop role landlord");
  }
});

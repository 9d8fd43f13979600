import type { MikroORM } from "@mikro-orm/postgresql";
import { afterAll, beforeAll, expect, test } from "vitest";
import { clientEntities } from "./tables/entities";
import { loopEntities } from "./tables/loop-entities";
import { openTestDatabase } from "../steps/testing.fixture";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const UNOWNED = [
  "studio",
  "user",
  "session",
  "account",
  "verification",
  "twoFactor",
  "passkey",
  "known_device",
  "rateLimit",
  "limiter",
  "heartbeat",
  "installation",
  "mikro_orm_migrations",
];

test.each([...clientEntities, ...loopEntities].map((entity) => entity.meta.tableName))(
  "%s has just the columns its entity names",
  async (table) => {
    const rows = await orm.em
      .fork()
      .getConnection()
      .execute<{ column_name: string }[]>(`select column_name from information_schema.columns where table_name = ?`, [table]);
    const meta = Object.values(orm.getMetadata().getAll()).find(({ tableName }) => tableName === table);
    const expected = Object.values(meta?.properties ?? {}).flatMap(({ fieldNames }) => fieldNames);
    expect(rows.map(({ column_name }) => column_name).sort()).toEqual(expected.sort());
  },
);

test("every table but the studio's own and the sign-in library's belongs to a studio, by key", async () => {
  const rows = await orm.em
    .fork()
    .getConnection()
    .execute<{ table_name: string; columns: string }[]>(
      `select t.table_name, string_agg(k.column_name, ',' order by k.ordinal_position) as columns from information_schema.table_constraints t
         join information_schema.key_column_usage k using (constraint_name, table_name)
        where t.constraint_type = 'PRIMARY KEY' and t.table_schema = 'public' group by t.table_name`,
    );
  for (const { table_name, columns } of rows)
    if (!UNOWNED.includes(table_name)) expect([table_name, columns.split(",")[0]]).toEqual([table_name, "studio_id"]);
});

test("every foreign key between studio tables carries the studio", async () => {
  const rows = await orm.em
    .fork()
    .getConnection()
    .execute<{ name: string; from_table: string; to_table: string; columns: string[] }[]>(
      `select c.conname as name, c.conrelid::regclass::text as from_table, c.confrelid::regclass::text as to_table,
              array(select a.attname::text from unnest(c.conkey) k join pg_attribute a on a.attrelid = c.conrelid and a.attnum = k) as columns
         from pg_constraint c where c.contype = 'f'`,
    );
  const between = rows.filter(({ to_table }) => !UNOWNED.includes(to_table.replaceAll('"', "")));
  expect(between.length).toBeGreaterThan(20);
  for (const { name, columns } of between) expect([name, columns.includes("studio_id")]).toEqual([name, true]);
});

test("every foreign key has an index that begins with it", async () => {
  const rows = await orm.em
    .fork()
    .getConnection()
    .execute<{ key: string; columns: string[]; indexes: string[][] }[]>(
      `select c.conrelid::regclass::text as key,
              array(select a.attname::text from unnest(c.conkey) k join pg_attribute a on a.attrelid = c.conrelid and a.attnum = k) as columns,
              (select coalesce(jsonb_agg((select jsonb_agg(a.attname::text order by n) from unnest(i.indkey) with ordinality k (at, n)
                 join pg_attribute a on a.attrelid = i.indrelid and a.attnum = k.at)), '[]') from pg_index i where i.indrelid = c.conrelid
                  and (i.indpred is null or pg_get_expr(i.indpred, i.indrelid) ~ '^\\(\\w+ IS NOT NULL\\)$')) as indexes
         from pg_constraint c where c.contype = 'f'`,
    );
  const unindexed = rows.filter(
    ({ columns, indexes }) => !indexes.some((index) => columns.every((column) => index?.slice(0, columns.length).includes(column))),
  );
  expect(rows.length).toBeGreaterThan(80);
  expect(unindexed.map(({ key, columns }) => `${key}(${columns.join(", ")})`)).toEqual([]);
});

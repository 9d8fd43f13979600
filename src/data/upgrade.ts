import { TIME_LIMITS } from "./time-limits";
import { randomBytes } from "node:crypto";
import { readFileSync } from "node:fs";
import type { EntityManager, MikroORM } from "@mikro-orm/postgresql";
import { openOwnerOrm } from "./orm";

/** What stands outside the tables, and so in no backup: set anew at each start, by the owner, on any database. */
async function secure(em: EntityManager): Promise<void> {
  const [{ name } = { name: "" }] = await em.execute<{ name: string }[]>(`select quote_ident(current_database()) as name`);
  await em.execute(`revoke temporary on database ${name} from public`);
  await em.execute(`alter database ${name} set jit = off`); // pages ask much of few rows: compiling takes longer than answering
  for (const [limit, value] of Object.entries(TIME_LIMITS)) await em.execute(`alter database ${name} set ${limit} = '${value}'`);
}

/** The secret that this installation has had from its first start: it comes back with a backup. `before` is one kept elsewhere until now. */
async function keepSecret(em: EntityManager, before: string | undefined): Promise<string> {
  await em.execute(`insert into installation (secret) values (?) on conflict do nothing`, [before ?? randomBytes(32).toString("hex")]);
  const [{ secret } = { secret: "" }] = await em.execute<{ secret: string }[]>(`select secret from installation`);
  return secret;
}

/** All that the migrations come to, in one text: made by `npm run schema`, and held to be equal by a test. */
const SCHEMA = new URL("./migrations/schema.sql", import.meta.url);

/** A new database gets the whole at once, any other goes on from where it is. */
export async function bringSchema(owner: MikroORM): Promise<void> {
  const em = owner.em.fork();
  const [found] = await em.execute<{ isNew: boolean }[]>(`select to_regclass('public.studio') is null as "isNew"`);
  if (found?.isNew)
    await em.transactional(async (inOne) => {
      await inOne.execute("set local check_function_bodies = off"); // functions stand before the tables they are about
      await inOne.execute(readFileSync(SCHEMA, "utf8").replaceAll("?", String.raw`\?`)); // a ? would be a parameter's place
      await inOne.execute(`insert into heartbeat values (1, now())`);
    });
  await owner.getMigrator().up();
}

/** Brings a database to this build, as the owner of its tables; the installation's own secret. */
export async function upgrade(secretBefore?: string): Promise<string> {
  const owner = await openOwnerOrm();
  try {
    await bringSchema(owner);
    const em = owner.em.fork();
    await secure(em);
    return await keepSecret(em, secretBefore);
  } finally {
    await owner.close();
  }
}

import type { EntityManager } from "@mikro-orm/postgresql";
import { openOwnerOrm } from "./orm";

/** What one stuck query or forgotten transaction may hold up, of whoever does not say otherwise. */
export const TIME_LIMITS = {
  statement_timeout: "15s",
  lock_timeout: "5s",
  idle_in_transaction_session_timeout: "15s",
} as const;

/** What stands outside the tables, and so in no backup: set anew at each start, by the owner, on any database. */
async function secure(em: EntityManager): Promise<void> {
  const [{ name } = { name: "" }] = await em.execute<{ name: string }[]>(`select quote_ident(current_database()) as name`);
  await em.execute(`revoke temporary on database ${name} from public`);
  for (const [limit, value] of Object.entries(TIME_LIMITS)) await em.execute(`alter database ${name} set ${limit} = '${value}'`);
}

/** Brings a database to this build, as the owner of its tables. */
export async function upgrade(): Promise<void> {
  const owner = await openOwnerOrm();
  try {
    await owner.getMigrator().up();
    await secure(owner.em.fork());
  } finally {
    await owner.close();
  }
}

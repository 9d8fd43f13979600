import { randomBytes } from "node:crypto";
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
  await em.execute(`alter database ${name} set jit = off`); // pages ask much of few rows: compiling takes longer than answering
  for (const [limit, value] of Object.entries(TIME_LIMITS)) await em.execute(`alter database ${name} set ${limit} = '${value}'`);
}

/** Whether the limits hold for whoever asks: a role may lift its own, and is then not sent requests. */
export async function timeLimitsHold(em: EntityManager): Promise<boolean> {
  const [row] = await em.execute<Record<keyof typeof TIME_LIMITS, string>[]>(
    `select ${Object.keys(TIME_LIMITS)
      .map((limit) => `current_setting('${limit}') as ${limit}`)
      .join(", ")}`,
  );
  return Object.entries(TIME_LIMITS).every(([limit, value]) => row?.[limit as keyof typeof TIME_LIMITS] === value);
}

/** The secret that this installation has had from its first start: it comes back with a backup. `before` is one kept elsewhere until now. */
async function keepSecret(em: EntityManager, before: string | undefined): Promise<string> {
  await em.execute(`insert into installation (secret) values (?) on conflict do nothing`, [before ?? randomBytes(32).toString("hex")]);
  const [{ secret } = { secret: "" }] = await em.execute<{ secret: string }[]>(`select secret from installation`);
  return secret;
}

/** Brings a database to this build, as the owner of its tables; the installation's own secret. */
export async function upgrade(secretBefore?: string): Promise<string> {
  const owner = await openOwnerOrm();
  try {
    await owner.getMigrator().up();
    const em = owner.em.fork();
    await secure(em);
    return await keepSecret(em, secretBefore);
  } finally {
    await owner.close();
  }
}

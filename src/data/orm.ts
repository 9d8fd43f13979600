import { MikroORM, type Options, defineConfig, type EntityManager } from "@mikro-orm/postgresql";
import { Migrator } from "@mikro-orm/migrations";
import { entities } from "./entities";
import { migrationsList } from "./migrations";

function required(name: "DATABASE_URL" | "DATABASE_OWNER_URL"): string {
  const value = process.env[name];
  if (!value) throw new Error(`${name} is not set: start the program with npm run demo, or set it to a PostgreSQL address`);
  return value;
}

const options = (clientUrl: string): Options =>
  defineConfig({
    clientUrl,
    entities,
    extensions: [Migrator],
    forceUtcTimezone: true,
    pool: { min: 0, max: 10 },
    migrations: { migrationsList, path: "src/data/migrations", snapshot: false, tableName: "mikro_orm_migrations", allOrNothing: true },
  });

/** The application's connection: a role that owns nothing. */
export const openOrm = (): Promise<MikroORM> => MikroORM.init(options(required("DATABASE_URL")));
/** The owner's connection: migrations only. */
export const openOwnerOrm = (): Promise<MikroORM> => MikroORM.init(options(required("DATABASE_OWNER_URL")));

const held = globalThis as typeof globalThis & { ponderisOrm?: Promise<MikroORM> };

/** One ORM for the process; a failed start is tried again by the next request. */
export function getOrm(): Promise<MikroORM> {
  held.ponderisOrm ??= openOrm().catch((error: unknown) => {
    delete held.ponderisOrm;
    throw error;
  });
  return held.ponderisOrm;
}

/** Runs work on a fresh unit of work, in one transaction. */
export async function inTransaction<T>(work: (em: EntityManager) => Promise<T>): Promise<T> {
  return (await getOrm()).em.fork().transactional(work);
}

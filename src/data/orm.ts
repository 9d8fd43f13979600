import { IsolationLevel, type TransactionOptions } from "@mikro-orm/core";
import { MikroORM, type Options, defineConfig, type EntityManager } from "@mikro-orm/postgresql";
import { Migrator } from "@mikro-orm/migrations";
import { aroundEntities } from "./tables/around-entities";
import { clientEntities } from "./tables/entities";
import { loopEntities } from "./tables/loop-entities";
import { noteFailure } from "./heartbeat";
import { migrationsList } from "./migrations";
import { quiet } from "./quiet";

function required(name: "DATABASE_URL" | "DATABASE_OWNER_URL"): string {
  const value = process.env[name];
  if (!value) throw new Error(`${name} is not set: start the program with npm run demo, or set it to a PostgreSQL address`);
  return value;
}

const options = (clientUrl: string, connection: object = {}): Options =>
  defineConfig({
    clientUrl,
    entities: [...clientEntities, ...loopEntities, ...aroundEntities],
    extensions: [Migrator],
    forceUtcTimezone: true,
    pool: { min: 0, max: 10, acquireTimeoutMillis: 5000 },
    driverOptions: { connection: { connectionTimeoutMillis: 5000, ...connection } },
    migrations: { migrationsList, path: "src/data/migrations", snapshot: false, tableName: "mikro_orm_migrations", allOrNothing: true },
  });

/** The application's connection: a role that owns nothing. */
export const openOrm = (): Promise<MikroORM> => MikroORM.init(options(required("DATABASE_URL")));
/** The owner's connection, for migrations and the command line: a migration takes the time it takes. */
export const openOwnerOrm = (): Promise<MikroORM> => MikroORM.init(options(required("DATABASE_OWNER_URL"), { options: NO_LIMITS }));
const NO_LIMITS = "-c statement_timeout=0 -c lock_timeout=0 -c idle_in_transaction_session_timeout=0";

const held = globalThis as typeof globalThis & { ponderisOrm?: Promise<MikroORM> };

/** One ORM for the process; a failed start is tried again by the next request. */
export function getOrm(): Promise<MikroORM> {
  held.ponderisOrm ??= openOrm().catch((error: unknown) => {
    delete held.ponderisOrm;
    throw error;
  });
  return held.ponderisOrm;
}

/**
 * Runs work for one studio in one transaction, on a fresh unit of work. The studio is set for the transaction, and row
 * security shows and takes its rows alone: a query that forgets its scope sees nothing.
 */
export async function inStudio<T>(
  studioId: string,
  work: (em: EntityManager) => Promise<T>,
  held?: MikroORM,
  options: TransactionOptions = {},
): Promise<T> {
  const inOne = async (em: EntityManager): Promise<T> => {
    await em.execute(`select set_config('app.studio', ?, true)`, [studioId]);
    return work(em);
  };
  try {
    return await (held ?? (await getOrm())).em.fork().transactional(inOne, options);
  } catch (error) {
    noteFailure(error);
    throw quiet(error);
  }
}

/** The same for a page: it only reads, in one snapshot however many queries it takes. */
export const readStudio = <T>(studioId: string, work: (em: EntityManager) => Promise<T>): Promise<T> =>
  inStudio(studioId, work, undefined, { isolationLevel: IsolationLevel.REPEATABLE_READ, readOnly: true });

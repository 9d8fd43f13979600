import "server-only";
import { Pool } from "pg";
import { RateLimiterPostgres } from "rate-limiter-flexible";
import { log } from "./log";

const held = globalThis as typeof globalThis & { ponderisPool?: Pool };

/** Connections for what is asked before any studio is known: sign-in and counted tries. */
export function doorPool(): Pool {
  const connectionString = process.env["DATABASE_URL"];
  if (!connectionString) throw new Error("DATABASE_URL is not set: start the program with npm run demo");
  if (!held.ponderisPool) {
    held.ponderisPool = new Pool({ connectionString, max: 5 });
    held.ponderisPool.on("error", () => log.warn({ step: "door-pool", outcome: "connection-lost" })); // an idle connection may die with the database
  }
  return held.ponderisPool;
}

/** Counts in the database, for every copy of the server together: so many points in so many seconds. */
export const counted = (keyPrefix: string, rule: { points: number; duration: number }): RateLimiterPostgres =>
  new RateLimiterPostgres({ storeClient: doorPool(), tableName: "limiter", tableCreated: true, keyPrefix, ...rule });

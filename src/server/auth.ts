import { betterAuth } from "better-auth";
import { APIError, createAuthMiddleware } from "better-auth/api";
import { nextCookies } from "better-auth/next-js";
import { Pool } from "pg";
import { RateLimiterPostgres } from "rate-limiter-flexible";
import { log } from "./log";

const held = globalThis as typeof globalThis & { ponderisAuth?: ReturnType<typeof createAuth> };
const ATTEMPTS = 5;
const ATTEMPTS_WINDOW_S = 300;

function setting(name: "DATABASE_URL" | "AUTH_SECRET" | "APP_URL"): string {
  const value = process.env[name];
  if (!value) throw new Error(`${name} is not set: start the program with npm run demo`);
  return value;
}

function createAuth() {
  const pool = new Pool({ connectionString: setting("DATABASE_URL"), max: 5 });
  pool.on("error", () => log.warn({ step: "auth-pool", outcome: "connection-lost" })); // an idle connection may die with the database
  const baseURL = setting("APP_URL");
  const limited = process.env["AUTH_RATE_LIMIT"] !== "off";
  // By address alone a made-up forwarding header would pass: attempts are counted by e-mail, for every copy of the server.
  const byEmail = new RateLimiterPostgres({
    storeClient: pool,
    tableName: "limiter",
    tableCreated: true,
    keyPrefix: "sign-in",
    points: ATTEMPTS,
    duration: ATTEMPTS_WINDOW_S,
  });
  return betterAuth({
    baseURL,
    secret: setting("AUTH_SECRET"),
    database: pool,
    emailAndPassword: { enabled: true, disableSignUp: true, minPasswordLength: 10 },
    telemetry: { enabled: false },
    rateLimit: { enabled: limited, storage: "database", window: 60, max: 100 },
    advanced: { cookiePrefix: "ponderis", useSecureCookies: baseURL.startsWith("https:") },
    hooks: {
      before: createAuthMiddleware(async (context) => {
        const { email } = (context.body ?? {}) as { email?: unknown };
        if (!limited || context.path !== "/sign-in/email" || typeof email !== "string") return;
        await byEmail.consume(email.toLowerCase()).catch(() => {
          throw new APIError("TOO_MANY_REQUESTS");
        });
      }),
    },
    plugins: [nextCookies()], // keep last
  });
}

/** The sign-in library, made on first use so that a build needs no database. */
export const auth = () => (held.ponderisAuth ??= createAuth());

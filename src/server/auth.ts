import { betterAuth } from "better-auth";
import { APIError, createAuthMiddleware } from "better-auth/api";
import { hashPassword, verifyPassword } from "better-auth/crypto";
import { nextCookies } from "better-auth/next-js";
import pLimit from "p-limit";
import { ATTEMPT_RULES, type Attempt, Attempts } from "./attempts";
import { counted, doorPool } from "./pool";

const HASHES_AT_ONCE = 2;

const held = globalThis as typeof globalThis & { ponderisAuth?: ReturnType<typeof createAuth> };

function setting(name: "AUTH_SECRET" | "APP_URL"): string {
  const value = process.env[name];
  if (!value) throw new Error(`${name} is not set: start the program with npm run demo`);
  return value;
}

/** A try to sign in, whichever way it came; null for anything else. */
function attemptOf({ path, body, headers }: { path?: string; body?: unknown; headers?: Headers | undefined }): Attempt | null {
  const { email } = (body ?? {}) as { email?: unknown };
  if (path !== "/sign-in/email" || typeof email !== "string") return null;
  return { email: email.toLowerCase().slice(0, 200), address: headers?.get("x-forwarded-for") ?? "" };
}

function createAuth() {
  const baseURL = setting("APP_URL");
  const limited = process.env["AUTH_RATE_LIMIT"] !== "off";
  // counted in the database, for every copy of the server together
  const attempts = new Attempts((rule) => counted(`sign-in ${rule}`, ATTEMPT_RULES[rule]));
  const oneByOne = pLimit(HASHES_AT_ONCE);
  return betterAuth({
    baseURL,
    secret: setting("AUTH_SECRET"),
    database: doorPool(),
    emailAndPassword: {
      enabled: true,
      disableSignUp: true,
      minPasswordLength: 10,
      maxPasswordLength: 128,
      // slow on purpose, and never so many at once that nothing else is answered
      password: { hash: (password) => oneByOne(() => hashPassword(password)), verify: (pair) => oneByOne(() => verifyPassword(pair)) },
    },
    telemetry: { enabled: false },
    rateLimit: { enabled: limited, storage: "database", window: 60, max: 100 },
    advanced: { database: { joins: true }, cookiePrefix: "ponderis", useSecureCookies: baseURL.startsWith("https:") },
    hooks: {
      before: createAuthMiddleware(async (context) => {
        const attempt = attemptOf(context);
        if (limited && attempt && !(await attempts.begin(attempt))) throw new APIError("TOO_MANY_REQUESTS");
      }),
      after: createAuthMiddleware(async (context) => {
        const attempt = attemptOf(context);
        const { newSession } = context.context;
        if (!attempt || !newSession) return;
        if (limited) await attempts.succeeded(attempt);
        await doorPool().query("select note_at_door($1, 'signed-in')", [newSession.user.id]);
      }),
    },
    plugins: [nextCookies()], // keep last
  });
}

/** The sign-in library, made on first use so that a build needs no database. */
export const auth = () => (held.ponderisAuth ??= createAuth());

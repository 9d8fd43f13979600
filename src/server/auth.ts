import { betterAuth } from "better-auth";
import { APIError, createAuthMiddleware } from "better-auth/api";
import { hashPassword, verifyPassword } from "better-auth/crypto";
import { nextCookies } from "better-auth/next-js";
import { twoFactor } from "better-auth/plugins/two-factor";
import { passkey } from "@better-auth/passkey";
import pLimit from "p-limit";
import { ATTEMPT_RULES, type Attempt, Attempts } from "./attempts";
import { cameInOn, DEVICE_COOKIE, newDevice, YEAR_S } from "./known-device";
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

/** Where somebody comes in at last: by a password that no code follows, or by what follows it or stands for both. */
const COMES_IN: readonly string[] = [
  "/sign-in/email",
  "/two-factor/verify-totp",
  "/two-factor/verify-backup-code",
  "/passkey/verify-authentication",
];
/** A code holds for its half minute and one on either side; within them it lets somebody in once. */
const ONE_USE = { points: 1, duration: 120 };
/** What the sign-in library leaves with whoever has told the password and not yet the code. */
const BEGUN_COOKIE = "two_factor";
/** Passkeys belong to a name, and a number is none. */
export const passkeysAreHere = (): boolean => !/^[\d.]+$|^\[/.test(new URL(setting("APP_URL")).hostname);

function createAuth() {
  const baseURL = setting("APP_URL");
  const limited = process.env["AUTH_RATE_LIMIT"] !== "off";
  // counted in the database, for every copy of the server together
  const attempts = new Attempts((rule) => counted(`sign-in ${rule}`, ATTEMPT_RULES[rule]));
  const uses = counted("code used", ONE_USE);
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
        if (!newSession || !COMES_IN.includes(context.path)) return;
        if (limited && attempt) await attempts.succeeded(attempt);
        const { user, session } = newSession;
        if (context.path === "/sign-in/email" && user["twoFactorEnabled"]) return; // a code is still to come
        if (context.path === "/two-factor/verify-totp") {
          const { code } = context.body as { code: string };
          const isFirst = await uses.consume(`${user.id} ${code}`).then(
            () => true,
            () => false,
          );
          if (!isFirst) {
            await context.context.internalAdapter.deleteSession(session.token);
            throw new APIError("UNAUTHORIZED");
          }
          if (context.getCookie(context.context.createAuthCookie(BEGUN_COOKIE).name) === null) return; // the first code of somebody who is in
        }
        const known = context.getCookie(DEVICE_COOKIE);
        const device = known ?? newDevice();
        if (known === null)
          context.setCookie(DEVICE_COOKIE, device, { ...context.context.authCookies.sessionToken.attributes, maxAge: YEAR_S });
        const isNew = await cameInOn(user.id, device, context.headers?.get("user-agent") ?? "");
        const note = (what: string): Promise<unknown> => doorPool().query("select note_at_door($1, $2)", [user.id, what]);
        await note(isNew ? "signed-in-on-a-new-device" : "signed-in");
        if (context.path === "/two-factor/verify-backup-code") await note("used-a-recovery-code");
      }),
    },
    plugins: [
      twoFactor({ issuer: "Ponderis" }),
      passkey({
        rpID: new URL(baseURL).hostname,
        rpName: "Ponderis",
        origin: new URL(baseURL).origin,
        // asked for is "preferred"; a passkey stands for both steps here, so one of a device that nobody unlocked is none
        authentication: {
          afterVerification: ({ verification }) => {
            if (!verification.authenticationInfo.userVerified) throw new APIError("UNAUTHORIZED");
          },
        },
        authenticatorSelection: { residentKey: "required", userVerification: "required" },
      }),
      nextCookies(),
    ], // keep last
  });
}

/** The sign-in library, made on first use so that a build needs no database. */
export const auth = () => (held.ponderisAuth ??= createAuth());

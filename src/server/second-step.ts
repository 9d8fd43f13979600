import "server-only";
import type { AuthenticationResponseJSON, RegistrationResponseJSON } from "@simplewebauthn/browser";
import { isAPIError } from "better-auth/api";
import { headers } from "next/headers";
import qrcode from "qrcode-generator";
import { auth } from "./auth";
import { byPassword, type Guess, note } from "./devices";

/** The second step at the door, by the sign-in library: codes by the clock, recovery codes, and passkeys. */

/** What an authenticator is told, as a picture of squares and in letters; and the codes for the day it is lost. */
export interface StartedCodes {
  /** The squares that are dark, as the path of a drawing of so many squares a side. */
  picture: { path: string; side: number };
  secret: string;
  recoveryCodes: readonly string[];
}
function pictureOf(words: string): StartedCodes["picture"] {
  const code = qrcode(0, "M");
  code.addData(words);
  code.make();
  const side = code.getModuleCount();
  const squares = Array.from({ length: side * side }, (_, i) => ({ x: i % side, y: Math.floor(i / side) }));
  return { side, path: squares.flatMap(({ x, y }) => (code.isDark(y, x) ? [`M${x} ${y}h1v1h-1z`] : [])).join("") };
}

/** What the library answers, or this where it refuses; anything else is an error. */
async function unlessRefused<T, R>(work: () => Promise<T>, refused: R): Promise<T | R> {
  try {
    return await work();
  } catch (error) {
    if (isAPIError(error)) return refused;
    throw error;
  }
}

/** Codes are made ready; they are asked for once one was shown. */
export async function startCodes(userId: string, password: string): Promise<Guess<StartedCodes>> {
  const from = await headers();
  return byPassword(userId, null, async () => {
    const made = await auth().api.enableTwoFactor({ body: { password, method: "totp" }, headers: from });
    if (made.method !== "totp") throw new TypeError(made.method);
    const { totpURI, backupCodes } = made;
    return { picture: pictureOf(totpURI), secret: new URL(totpURI).searchParams.get("secret") ?? "", recoveryCodes: backupCodes };
  });
}
/** Whether the first code fits: from then on they are asked for. */
export async function confirmCodes(userId: string, code: string): Promise<boolean> {
  const call = { body: { code: code.replaceAll(/\s/g, "") }, headers: await headers() };
  if ((await unlessRefused(() => auth().api.verifyTOTP(call), null)) === null) return false;
  await note(userId, "turned-codes-on");
  return true;
}
export async function stopCodes(userId: string, password: string): Promise<Guess<unknown>> {
  const from = await headers();
  return byPassword(userId, "turned-codes-off", () => auth().api.disableTwoFactor({ body: { password }, headers: from }));
}
export async function newRecoveryCodes(userId: string, password: string): Promise<Guess<readonly string[]>> {
  const from = await headers();
  return byPassword(
    userId,
    "made-recovery-codes",
    async () => (await auth().api.generateBackupCodes({ body: { password }, headers: from })).backupCodes,
  );
}

export interface Passkey {
  id: string;
  name: string;
  madeAt: string | null;
}
export async function passkeysOf(): Promise<Passkey[]> {
  const all = await auth().api.listPasskeys({ headers: await headers() });
  return all.map(({ id, name, createdAt }) => ({ id, name: name ?? "", madeAt: createdAt ? new Date(createdAt).toISOString() : null }));
}
/** What the device is asked for a new passkey, by the present password, since an open tablet is no proof of who holds it; null where the sign-in is over a day old. */
export async function passkeyToMake(userId: string, password: string): Promise<Guess<object | null>> {
  const from = await headers();
  return byPassword(userId, null, async () => {
    await auth().api.verifyPassword({ body: { password }, headers: from });
    return unlessRefused(() => auth().api.generatePasskeyRegistrationOptions({ headers: from, query: {} }), null);
  });
}
export async function keepPasskey(userId: string, name: string, response: RegistrationResponseJSON): Promise<boolean> {
  const call = { body: { name, response }, headers: await headers() };
  if ((await unlessRefused(() => auth().api.verifyPasskeyRegistration(call), null)) === null) return false;
  await note(userId, "added-a-passkey");
  return true;
}
export async function endPasskey(userId: string, id: string): Promise<void> {
  const mine = await passkeysOf();
  if (!mine.some((each) => each.id === id)) return;
  await auth().api.deletePasskey({ body: { id }, headers: await headers() });
  await note(userId, "removed-a-passkey");
}

/** What any device is asked to sign in by a passkey, and whether its answer does. */
export const passkeyToShow = async (): Promise<object> => auth().api.generatePasskeyAuthenticationOptions({ headers: await headers() });
export async function signInByPasskey(response: AuthenticationResponseJSON): Promise<boolean> {
  const call = { body: { response }, headers: await headers() };
  return (await unlessRefused(() => auth().api.verifyPasskeyAuthentication(call), null)) !== null;
}

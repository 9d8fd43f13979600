import "server-only";
import { isAPIError } from "better-auth/api";
import { headers } from "next/headers";
import { RateLimiterRes } from "rate-limiter-flexible";
import { getOrm } from "../data/orm";
import { type AtDoor, noteAtDoor } from "../data/repos/door.repo";
import { auth } from "./auth";
import { counted } from "./pool";

/** A device that is signed in as this person. Its token never leaves the server. */
export interface Device {
  id: string;
  /** What its browser calls itself. */
  userAgent: string;
  lastUsedAt: string;
  isThisOne: boolean;
}

/** Where this person is signed in, the latest used first. */
export async function devicesOf(): Promise<Device[]> {
  const from = await headers();
  const [here, all] = await Promise.all([auth().api.getSession({ headers: from }), auth().api.listSessions({ headers: from })]);
  return all
    .map(({ id, userAgent, updatedAt }) => ({
      id,
      userAgent: userAgent ?? "",
      lastUsedAt: new Date(updatedAt).toISOString(),
      isThisOne: id === here?.session.id,
    }))
    .toSorted((a, b) => Number(b.isThisOne) - Number(a.isThisOne) || b.lastUsedAt.localeCompare(a.lastUsedAt));
}

/** Signs one device of this person out; one of nobody's, or of somebody else's, is none. */
export async function endDevice(id: string): Promise<void> {
  const from = await headers();
  const device = (await auth().api.listSessions({ headers: from })).find((session) => session.id === id);
  if (!device) return;
  await auth().api.revokeSession({ body: { token: device.token }, headers: from });
  await note(device.userId, "signed-a-device-out");
}
export const note = async (userId: string, what: AtDoor): Promise<void> => {
  await noteAtDoor((await getOrm()).em.fork(), userId, what);
};

/** Wrong present passwords in a while, of one person on whatever device: an open tablet is no place to guess at. */
const GUESSES = { points: 5, duration: 900 };
const held = globalThis as typeof globalThis & { ponderisGuesses?: ReturnType<typeof counted> };
const guesses = () => (held.ponderisGuesses ??= counted("present password", GUESSES));

export type Guess<T> = { ok: true; value: T } | { ok: false; why: "wrong" | "too-many" };
/** What the present password opens, so many wrong ones in a while. Wrong, too, where the library refuses what else it was given. */
export async function byPassword<T>(userId: string, what: AtDoor | null, open: () => Promise<T>): Promise<Guess<T>> {
  const isOver = await guesses()
    .consume(userId)
    .then(
      () => false,
      (reason: unknown) => {
        if (reason instanceof RateLimiterRes) return true;
        throw reason;
      },
    );
  if (isOver) return { ok: false, why: "too-many" };
  try {
    const value = await open();
    await guesses().delete(userId);
    if (what) await note(userId, what);
    return { ok: true, value };
  } catch (error) {
    if (isAPIError(error)) return { ok: false, why: "wrong" };
    throw error;
  }
}

/** A new password; every other device is signed out. Wrong where the present one is not right, or the new one too short. */
export const changePassword = async (userId: string, currentPassword: string, newPassword: string): Promise<Guess<unknown>> => {
  const from = await headers();
  return byPassword(userId, "changed-the-password", () =>
    auth().api.changePassword({ body: { currentPassword, newPassword, revokeOtherSessions: true }, headers: from }),
  );
};

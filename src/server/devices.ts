import "server-only";
import { headers } from "next/headers";
import { auth } from "./auth";

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
  if (device) await auth().api.revokeSession({ body: { token: device.token }, headers: from });
}

/** A new password; every other device is signed out. False where the present one is not right, or the new one too short. */
export async function changePassword(currentPassword: string, newPassword: string): Promise<boolean> {
  return auth()
    .api.changePassword({ body: { currentPassword, newPassword, revokeOtherSessions: true }, headers: await headers() })
    .then(
      () => true,
      () => false,
    );
}

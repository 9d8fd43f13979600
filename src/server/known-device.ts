import "server-only";
import { createHash, randomBytes } from "node:crypto";
import { doorPool } from "./pool";

/** A device that somebody signs in on keeps a name of its own, so that the next one they have not seen is told to them. */
export const DEVICE_COOKIE = "ponderis-device";
export const YEAR_S = 365 * 24 * 3600;
export const newDevice = (): string => randomBytes(24).toString("base64url");
const hashOf = (device: string): string => createHash("sha256").update(device).digest("hex");
const MOST_AGENT = 400;

/** Whether nobody knew this device as theirs. The first of all is no news to its owner. */
export async function cameInOn(userId: string, device: string, userAgent: string): Promise<boolean> {
  const { rows } = await doorPool().query<{ isFirst: boolean }>(
    `insert into known_device (user_id, device_hash, user_agent, told_at)
     select $1, $2, $3, case when exists (select 1 from known_device where user_id = $1) then null else now() end
     on conflict do nothing returning told_at is not null as "isFirst"`,
    [userId, hashOf(device), userAgent.slice(0, MOST_AGENT)],
  );
  return rows[0] !== undefined && !rows[0].isFirst;
}

export interface NewDevice {
  userAgent: string;
  firstAt: string;
}
/** Devices that came in since this person last answered for them, as any other device of theirs may see. */
export async function untoldDevices(userId: string, device: string | undefined): Promise<NewDevice[]> {
  const { rows } = await doorPool().query<{ userAgent: string; firstAt: Date }>(
    `select user_agent as "userAgent", first_at as "firstAt" from known_device where user_id = $1 and told_at is null and device_hash <> $2 order by first_at desc limit 5`,
    [userId, hashOf(device ?? "")],
  );
  return rows.map(({ userAgent, firstAt }) => ({ userAgent, firstAt: firstAt.toISOString() }));
}
/** They were this person's own; a device never says so of itself. */
export const devicesAreMine = (userId: string, device: string | undefined): Promise<unknown> =>
  doorPool().query(`update known_device set told_at = now() where user_id = $1 and told_at is null and device_hash <> $2`, [
    userId,
    hashOf(device ?? ""),
  ]);

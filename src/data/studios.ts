import { randomBytes } from "node:crypto";
import type { EntityManager } from "@mikro-orm/postgresql";
import { hashPassword } from "better-auth/crypto";
import { v4 as newUuid } from "uuid";
import type { NewStudio } from "../schemas/team.schema";
import { MemberRow, StudioRow } from "./tables/entities";
import { openOwnerOrm } from "./orm";
import { hashOf } from "./repos/private-link.repo";

/** What only the owner of the tables does, from the command line: no page of the application can. */
async function asOwner<T>(work: (em: EntityManager) => Promise<T>): Promise<T> {
  const owner = await openOwnerOrm();
  try {
    return await owner.em.fork().transactional(work);
  } finally {
    await owner.close();
  }
}

/** A studio and its lead; false where that address signs somebody in already. */
export const createStudio = ({ name, lead, email, timeZone, password }: NewStudio): Promise<boolean> =>
  asOwner(async (em) => {
    const [taken] = await em.execute<{ id: string }[]>(`select id from "user" where email = ?`, [email]);
    if (taken) return false;
    const [studioId, userId] = [newUuid(), newUuid()];
    await em.insert(StudioRow, { id: studioId, name, timeZone });
    await em.execute(`insert into "user" (id, name, email, "emailVerified", "updatedAt") values (?, ?, ?, false, now())`, [
      userId,
      lead,
      email,
    ]);
    await em.execute(
      `insert into "account" (id, "accountId", "providerId", "userId", password, "updatedAt") values (?, ?, 'credential', ?, ?, now())`,
      [`${userId}-password`, userId, userId, await hashPassword(password)],
    );
    await em.insert(MemberRow, { studioId, userId, name: lead, role: "lead", unitSystem: "metric" });
    return true;
  });

/** The secret of a one-time link, good for a day, by which somebody chooses a new password; null where nobody signs in so. */
export const passwordLinkFor = (email: string): Promise<string | null> =>
  asOwner(async (em) => {
    const [user] = await em.execute<{ id: string }[]>(`select id from "user" where email = ?`, [email]);
    if (!user) return null;
    const secret = randomBytes(32).toString("base64url");
    await em.execute(`delete from password_link where user_id = ?`, [user.id]);
    await em.execute(`insert into password_link (token_hash, user_id, until) values (?, ?, now() + interval '24 hours')`, [
      hashOf(secret),
      user.id,
    ]);
    return secret;
  });

/** Codes, recovery codes and passkeys of whoever signs in by that address end, and every device is signed out; false for nobody. */
export const endSecondStepOf = (email: string): Promise<boolean> =>
  asOwner(async (em) => {
    const [user] = await em.execute<{ id: string }[]>(`update "user" set "twoFactorEnabled" = false where email = ? returning id`, [email]);
    if (!user) return false;
    for (const table of ["twoFactor", "passkey", "session"]) await em.execute(`delete from "${table}" where "userId" = ?`, [user.id]);
    await em.execute(`select note_at_door(?, 'had-codes-ended')`, [user.id]);
    return true;
  });

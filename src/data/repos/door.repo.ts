import type { EntityManager } from "@mikro-orm/postgresql";
import { refuse, type Taken } from "../../core/outcome";
import type { Scope } from "../scope";
import { hashOf } from "./private-link.repo";
import { asked } from "./team.repo";

/** What happens at the door is written down in each of somebody's studios. */
export type AtDoor =
  | "changed-the-password"
  | "signed-a-device-out"
  | "turned-codes-on"
  | "turned-codes-off"
  | "made-recovery-codes"
  | "added-a-passkey"
  | "removed-a-passkey";
export const noteAtDoor = (em: EntityManager, userId: string, what: AtDoor): Promise<unknown> =>
  em.execute(`select note_at_door(?, ?)`, [userId, what]);

/** A one-time link by which a member of this studio chooses a new password; a lead's to make, and only for who is in no other studio. */
export const makePasswordLink = ({ actorId }: Scope, em: EntityManager, userId: string, secret: string): Promise<Taken> =>
  asked(em, `select make_password_link(?, ?, ?)`, [actorId, userId, hashOf(secret)]);

/** Codes of a member who has lost what makes them; a lead's to end, and only of who is in no other studio. */
export const endCodes = ({ actorId }: Scope, em: EntityManager, userId: string): Promise<Taken> =>
  asked(em, `select end_codes(?, ?)`, [actorId, userId]);

/** Whose new password a link is for, by their address; null where it is for nobody's, or for nobody's any more. */
export async function passwordLinkBehind(em: EntityManager, secret: string): Promise<string | null> {
  const [row] = await em.execute<{ email: string }[]>(`select email from password_link_behind(?)`, [hashOf(secret)]);
  return row?.email ?? null;
}
/** The new password, once; every device of theirs is signed out. */
export async function choosePassword(em: EntityManager, secret: string, passwordHash: string): Promise<Taken> {
  const taken = await asked(em, `select use_password_link(?, ?)`, [hashOf(secret), passwordHash]);
  return taken.ok ? taken : refuse({ code: "no-such-link" });
}

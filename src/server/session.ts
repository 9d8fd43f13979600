import type { UnitSystem } from "../core/units";
import "server-only";
import { createHmac } from "node:crypto";
import { today as todayIn } from "@internationalized/date";
import { cookies, headers } from "next/headers";
import { redirect } from "next/navigation";
import { cache } from "react";
import type { Role } from "../core/studio/team";
import type { Day } from "../core/day";
import { getOrm } from "../data/orm";
import { type Member, membersOf } from "../data/repos/studio.repo";
import type { Scope } from "../data/scope";
import { auth } from "./auth";

/** Who is signed in, for which studio, and what day it is there. */
export interface SignedIn {
  scope: Scope;
  /** For the tablet's own store of this person's floor entries. */
  owner: { studioId: string; actorId: string; lockKey: string };
  trainerName: string;
  role: Role;
  studioName: string;
  unitSystem: UnitSystem;
  timeZone: string;
  today: Day;
  /** Signs in with a code. */
  hasCodes: boolean;
  asksForCodes: boolean;
  /** The studio asks for codes, and this person has none yet: nothing else is open to them. */
  mustTurnCodesOn: boolean;
  /** Other studios that this person has a place in. */
  elsewhere: readonly { studioId: string; studioName: string }[];
}

/** What locks a person's entries on a tablet they have signed out of: the same on every device, and given to nobody else. */
const lockKeyOf = ({ studioId, actorId }: Scope): string =>
  createHmac("sha256", process.env["AUTH_SECRET"] ?? "")
    .update(`tablet ${studioId} ${actorId}`)
    .digest("base64");

/** Which of their studios this device is in: a name, and never a way in. */
const STUDIO_COOKIE = "ponderis-studio";
const YEAR_S = 365 * 24 * 3600;
export async function chooseStudio(studioId: string): Promise<void> {
  const secure = (process.env["APP_URL"] ?? "").startsWith("https:");
  (await cookies()).set(STUDIO_COOKIE, studioId, { httpOnly: true, sameSite: "lax", secure, maxAge: YEAR_S });
}
const hereOf = (members: readonly Member[], chosen: string | undefined): Member | undefined =>
  members.find(({ studioId }) => studioId === chosen) ?? members[0];

/** Whoever is signed in, also while they may do no more than turn their codes on. Once per request. */
const atTheDoor = cache(async (): Promise<SignedIn | null> => {
  const session = await auth().api.getSession({ headers: await headers() });
  if (!session) return null;
  const members = await membersOf((await getOrm()).em.fork(), session.user.id);
  const member = hereOf(members, (await cookies()).get(STUDIO_COOKIE)?.value);
  if (!member) return null;
  const scope = { studioId: member.studioId, actorId: session.user.id };
  const hasCodes = session.user.twoFactorEnabled === true;
  return {
    scope,
    owner: { ...scope, lockKey: lockKeyOf(scope) },
    trainerName: member.name,
    role: member.role,
    studioName: member.studioName,
    unitSystem: member.unitSystem,
    timeZone: member.timeZone,
    today: todayIn(member.timeZone).toString(),
    hasCodes,
    asksForCodes: member.asksForCodes,
    mustTurnCodesOn: member.asksForCodes && !hasCodes,
    elsewhere: members.filter(({ studioId }) => studioId !== member.studioId),
  };
});

/** The signed-in trainer, or null. */
export async function signedIn(): Promise<SignedIn | null> {
  const who = await atTheDoor();
  return who?.mustTurnCodesOn ? null : who;
}

/** What a route answers to a member who may look and change nothing. */
export const onlyLooks = (): Response => Response.json({ refusal: { code: "read-only" }, code: "read-only" }, { status: 403 });

/** The same for pages and actions that need one: anyone else is sent to sign in. */
export async function requireSignedIn(): Promise<SignedIn> {
  const who = await requireAtTheDoor();
  return who.mustTurnCodesOn ? redirect("/account") : who;
}
/** For a step: null where the session has ended, so that what was typed can stand; sent on only where codes must be turned on first. */
export async function signedInHere(): Promise<SignedIn | null> {
  const who = await atTheDoor();
  return who?.mustTurnCodesOn ? redirect("/account") : who;
}
/** For the page and the actions by which somebody turns their codes on. */
export const requireAtTheDoor = async (): Promise<SignedIn> => (await atTheDoor()) ?? redirect("/sign-in");

import type { UnitSystem } from "../core/units";
import "server-only";
import { today as todayIn } from "@internationalized/date";
import { headers } from "next/headers";
import { redirect } from "next/navigation";
import { cache } from "react";
import type { Day } from "../core/limits/limit";
import { MemberRow, StudioRow } from "../data/entities";
import { getOrm, readStudio } from "../data/orm";
import type { Scope } from "../data/scope";
import { auth } from "./auth";

/** Who is signed in, for which studio, and what day it is there. */
export interface SignedIn {
  scope: Scope;
  trainerName: string;
  studioName: string;
  unitSystem: UnitSystem;
  timeZone: string;
  today: Day;
}

/** The signed-in trainer, or null. Once per request. */
export const signedIn = cache(async (): Promise<SignedIn | null> => {
  const session = await auth().api.getSession({ headers: await headers() });
  if (!session) return null;
  const member = await (await getOrm()).em.fork().findOne(MemberRow, { userId: session.user.id });
  const studio = member && (await readStudio(member.studioId, (em) => em.findOne(StudioRow, { id: member.studioId })));
  if (!member || !studio) return null;
  return {
    scope: { studioId: member.studioId, actorId: member.userId },
    trainerName: member.name,
    studioName: studio.name,
    unitSystem: member.unitSystem,
    timeZone: studio.timeZone,
    today: todayIn(studio.timeZone).toString(),
  };
});

/** The same for pages and actions that need one: anyone else is sent to sign in. */
export async function requireSignedIn(): Promise<SignedIn> {
  return (await signedIn()) ?? redirect("/sign-in");
}

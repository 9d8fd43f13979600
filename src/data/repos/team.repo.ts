import type { EntityManager } from "@mikro-orm/postgresql";
import type { Day } from "../../core/day";
import { saidToBeBy } from "../../core/record/facts/read-in";
import type { Invited, Note, Role, SeenBy, Since, TeamMember } from "../../core/studio/team";
import { InvitationRow, NoteRow } from "../tables/around-entities";
import { ClientRow } from "../tables/entities";
import { refuse, type Taken } from "../../core/outcome";
import { audit, type Scope, stamp } from "../scope";
import { hashOf } from "./private-link.repo";

/** Everybody who is or was in the team: what they did keeps their name. */
export const teamOf = ({ studioId }: Scope, em: EntityManager): Promise<TeamMember[]> =>
  em.execute(`select user_id as "userId", name, role from studio_member where studio_id = ? order by name`, [studioId]);

/** Names behind the ids that facts carry; machines and clients have their own. */
export async function namesOf(scope: Scope, em: EntityManager): Promise<Readonly<Record<string, string>>> {
  const team = await teamOf(scope, em);
  return { client: "the client", reminder: "a reminder", ...Object.fromEntries(team.map(({ userId, name }) => [userId, name])) };
}

const CAUSES = {
  "not a lead": "only-a-lead",
  "the last lead": "the-last-lead",
  "no such member": "no-such-member",
  "no such invitation": "no-such-link",
  "no such link": "no-such-link",
  "no such fact": "no-such-fact",
  "a member already": "a-member-already",
  "in another studio": "in-another-studio",
} as const;
/** Asked of the database by a function that may, which looks who asks: what it refuses is a refusal, and the rest goes on. */
export async function asked(em: EntityManager, sql: string, values: readonly string[]): Promise<Taken> {
  await em.execute("savepoint asked");
  try {
    await em.execute(sql, [...values]);
    return { ok: true };
  } catch (error) {
    await em.execute("rollback to savepoint asked");
    const cause = (Object.keys(CAUSES) as (keyof typeof CAUSES)[]).find((words) => String(error).includes(words));
    if (!cause) throw error;
    return refuse({ code: CAUSES[cause] });
  }
}
/** Another role for a member, or out of the team. */
export const changeMember = ({ actorId }: Scope, em: EntityManager, userId: string, role: Role | "gone"): Promise<Taken> =>
  asked(em, `select change_member(?, ?, ?)`, [actorId, userId, role]);

/** Invitations that still stand. */
export const invitations = ({ studioId }: Scope, em: EntityManager, today: Day): Promise<Invited[]> =>
  em.execute(
    `select id, name, email, role, until_day::text as "untilDay" from invitation
      where studio_id = ? and ended_at is null and accepted_by is null and until_day >= ?::date order by created_at`,
    [studioId, today],
  );

/** A way in for one person, by a secret that only they get. */
export async function invite(
  scope: Scope,
  em: EntityManager,
  { secret, ...invited }: Omit<Invited, "id"> & { secret: string },
): Promise<Taken> {
  const row = { ...stamp(scope), ...invited, tokenHash: hashOf(secret), endedAt: null, acceptedBy: null };
  await em.insert(InvitationRow, row);
  await audit(scope, em, "invited", "invitation", row.id);
  return { ok: true };
}
export async function endInvitation(scope: Scope, em: EntityManager, id: string): Promise<Taken> {
  const count = await em.nativeUpdate(InvitationRow, { studioId: scope.studioId, id, endedAt: null }, { endedAt: new Date() });
  if (count === 0) return refuse({ code: "no-such-member" });
  await audit(scope, em, "ended", "invitation", id);
  return { ok: true };
}

export interface InvitedTo {
  studioId: string;
  studioName: string;
  name: string;
  email: string;
  role: Role;
}
/** What a secret invites to; null where it invites nobody, or does no longer. Asked before any studio is known. */
export async function invitationBehind(em: EntityManager, secret: string): Promise<InvitedTo | null> {
  const [row] = await em.execute<InvitedTo[]>(
    `select studio_id as "studioId", studio_name as "studioName", name, email, role from invitation_behind(?)`,
    [hashOf(secret)],
  );
  return row ?? null;
}

/** Who signs in by a mail address; null for nobody. */
export async function userBy(em: EntityManager, email: string): Promise<string | null> {
  const [user] = await em.execute<{ id: string }[]>(`select id from "user" where email = ?`, [email]);
  return user?.id ?? null;
}
/** Somebody's own sign-in and their place in the team, once. */
export const acceptInvitation = (
  em: EntityManager,
  { secret, userId, name, email, passwordHash }: { secret: string; userId: string; name: string; email: string; passwordHash: string },
): Promise<Taken> => asked(em, `select accept_invitation(?, ?, ?, ?, ?)`, [hashOf(secret), userId, name, email, passwordHash]);
/** A place in the team for who signs in already; one who had left is back. */
export const joinByInvitation = (em: EntityManager, secret: string, userId: string): Promise<Taken> =>
  asked(em, `select join_by_invitation(?, ?)`, [hashOf(secret), userId]);

/** Notes that this person may read, the newest first. */
export const notesOf = ({ studioId, actorId }: Scope, em: EntityManager, clientId: string): Promise<Note[]> =>
  em.execute(
    `select n.note_id as id, n.created_by as by, n.created_at as at, n.seen_by as "seenBy", n.words from (
       select distinct on (note_id) * from client_note where studio_id = ? and client_id = ? order by note_id, created_at desc, id desc) n
      where n.ended_day is null and (n.seen_by <> 'me' or n.created_by = ? or (n.created_by like 'read-in %' and split_part(n.created_by, ' ', 4) = ?)) order by n.created_at desc`,
    [studioId, clientId, actorId, actorId],
  );

/** A note as it is from now on; one for oneself is nobody else's to change. An ended one is read no more. */
export async function keepNote(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { id, seenBy, words, endedDay }: { id: string; seenBy: SeenBy; words: string; endedDay: Day | null },
): Promise<Taken> {
  const { studioId, actorId } = scope;
  if ((await em.count(ClientRow, { studioId, id: clientId })) === 0) return refuse({ code: "no-such-client" });
  const before = await em.findOne(NoteRow, { studioId, noteId: id }, { disableIdentityMap: true, orderBy: { createdAt: "desc" } });
  const isMine = !before || saidToBeBy(before.createdBy) === actorId;
  if (before && (before.clientId !== clientId || before.endedDay !== null || (before.seenBy === "me" && !isMine)))
    return refuse({ code: "no-such-note" });
  const row = { ...stamp(scope), clientId, noteId: id, seenBy, words, endedDay };
  await em.insert(NoteRow, row);
  await audit(scope, em, endedDay ? "ended" : "wrote", "client_note", row.id);
  return { ok: true };
}

/** When this person last had this client in view before now, leaving out the visit that is going on; null for never. */
export async function lastSeen({ studioId, actorId }: Scope, em: EntityManager, clientId: string): Promise<string | null> {
  const [row] = await em.execute<{ at: string | null }[]>(
    `select to_json(max(created_at)) #>> '{}' as at from audit_event
      where studio_id = ? and row_id = ? and verb = 'read' and created_by = ? and created_at < now() - interval '3 hours'`,
    [studioId, clientId, actorId],
  );
  return row?.at ?? null;
}

/** Tables that tell of a client, by what they tell, with the day that each is about. */
const TOLD_BY: readonly (readonly [kind: Since["kind"], table: string, day: string])[] = [
  ["session", "training_session", "day"],
  ["morning", "response", "day"],
  ["decision", "decision", "day"],
  ["limit", "client_limit", "from_day"],
  ["measure", "finding", "day"],
  ["screen", "screen", "day"],
  ["school", "school_choice", "day"],
  ["plan", "training_plan", "null::date"],
  ["complaint", "complaint", "null::date"],
  ["clearance", "clearance", "day"],
  ["home", "home_entry", "day"],
];
const SINCE_SQL = `
with mine as (select ?::uuid as studio_id, ?::uuid as client_id), told as (
  ${TOLD_BY.map(([kind, table, day]) => `select '${kind}' as kind, x.created_by as by, x.created_at as at, ${day} as day from ${table} x join mine using (studio_id, client_id)`).join("\n  union all ")}
  union all select 'note', x.created_by, x.created_at, null from client_note x join mine using (studio_id, client_id) where x.seen_by <> 'me'
  union all select 'limit-lifted', f.created_by, f.created_at, f.day from limit_lift f join client_limit l on l.studio_id = f.studio_id and l.id = f.limit_id
    join mine on mine.studio_id = l.studio_id and mine.client_id = l.client_id)
select kind, by, to_json(max(at)) #>> '{}' as at, max(day)::text as day from told where at > ?::timestamptz and by <> ? group by kind, by order by max(at) desc`;

/** What others, and the client, have told or changed of a client since a moment. */
export const changedSince = ({ studioId, actorId }: Scope, em: EntityManager, clientId: string, since: string): Promise<Since[]> =>
  em.execute(SINCE_SQL, [studioId, clientId, since, actorId]);

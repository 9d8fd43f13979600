import { Migration } from "@mikro-orm/migrations";
import { eraseFunction } from "../1-20/migration-0004";
import { ERASED_AS_OF, ownedTable, STEPS_ERASED } from "../owned";

const MINE = `(select nullif(current_setting('app.studio', true), '')::uuid)`;
/** Raised where somebody asks who may not: of another studio, or no lead. */
const ONLY_A_LEAD = `if mine is null or not exists (select 1 from studio_member where studio_id = mine and user_id = actor and role = 'lead') then raise exception 'not a lead'; end if;`;
const DEFINER = `language plpgsql security definer set search_path = public`;

/**
 * Several trainers in a studio: roles, invitations by link, notes for oneself, the team or the client. Members are the
 * owner's to make: the application asks for it by these functions alone, which look who asks. A member who left stays as
 * a name on what they did, and never as a way in.
 */
export class Migration0025 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      `alter table studio_member add constraint studio_member_role check (role in ('lead', 'trainer', 'reader', 'gone'))`,
      ...ownedTable(
        "invitation",
        `token_hash text not null check (length(token_hash) = 64), name text not null, email text not null, role text not null check (role in ('lead', 'trainer', 'reader')), until_day date not null, ended_at timestamptz, accepted_by text`,
      ),
      `create unique index invitation_by on invitation (token_hash)`,
      // whoever follows an invitation is in no studio yet: the functions below, which are the owner's, look for them
      `alter table invitation no force row level security`,
      `grant update (ended_at) on invitation to ponderis_app`,
      ...ownedTable(
        "client_note",
        `client_id uuid not null, note_id uuid not null, seen_by text not null check (seen_by in ('me', 'team', 'client')), words text not null, ended_day date`,
        ["client_id"],
      ),
      `create index client_note_of on client_note (studio_id, client_id, note_id, created_at)`,
      `drop function member_of(text)`,
      `create function member_of(who text) returns table (studio_id uuid, name text, role text, unit_system text, studio_name text, time_zone text)
         language sql stable security definer set search_path = public as $$
           select m.studio_id, m.name, m.role, m.unit_system, s.name, s.time_zone from studio_member m join studio s on s.id = m.studio_id where m.user_id = who and m.role <> 'gone' $$`,
      `create function invitation_behind(hash text) returns table (studio_id uuid, studio_name text, name text, email text, role text)
         language sql stable security definer set search_path = public as $$
           select i.studio_id, s.name, i.name, i.email, i.role from invitation i join studio s on s.id = i.studio_id
            where i.token_hash = hash and i.ended_at is null and i.accepted_by is null and i.until_day >= (now() at time zone s.time_zone)::date $$`,
      `create function accept_invitation(hash text, who text, called text, mail text, password_hash text) returns void ${DEFINER} as $$
       declare found invitation%rowtype; begin
         select i.* into found from invitation i join studio s on s.id = i.studio_id
          where i.token_hash = hash and i.ended_at is null and i.accepted_by is null and i.until_day >= (now() at time zone s.time_zone)::date for update of i;
         if found.id is null then raise exception 'no such invitation'; end if;
         insert into "user" (id, name, email, "emailVerified", "updatedAt") values (who, called, mail, false, now());
         insert into "account" (id, "accountId", "providerId", "userId", password, "updatedAt") values (who || '-password', who, 'credential', who, password_hash, now());
         update invitation set accepted_by = who where studio_id = found.studio_id and id = found.id;
         insert into studio_member (studio_id, user_id, name, role) values (found.studio_id, who, called, found.role);
         perform set_config('app.studio', found.studio_id::text, true);
         insert into audit_event (studio_id, id, created_by, verb, table_name, row_id) values (found.studio_id, gen_random_uuid(), who, 'joined', 'studio_member', found.id);
       end $$`,
      `create function change_member(actor text, who text, to_role text) returns void ${DEFINER} as $$
       declare mine uuid := ${MINE}; begin
         ${ONLY_A_LEAD}
         update studio_member set role = to_role where studio_id = mine and user_id = who and role <> 'gone';
         if not found then raise exception 'no such member'; end if;
         if not exists (select 1 from studio_member where studio_id = mine and role = 'lead') then raise exception 'the last lead'; end if;
         if to_role = 'gone' then delete from "session" where "userId" = who; end if;
         insert into audit_event (studio_id, id, created_by, verb, table_name, row_id) values (mine, gen_random_uuid(), actor, 'made-' || to_role, 'studio_member', gen_random_uuid());
       end $$`,
      ...[
        "member_of(text)",
        "invitation_behind(text)",
        "accept_invitation(text, text, text, text, text)",
        "change_member(text, text, text)",
      ].flatMap((name) => [`revoke all on function ${name} from public`, `grant execute on function ${name} to ponderis_app`]),
      eraseFunction(STEPS_ERASED, ERASED_AS_OF[25]),
    ])
      await this.execute(sql);
  }
}

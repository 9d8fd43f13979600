import { Migration } from "@mikro-orm/migrations";

const MINE = `(select nullif(current_setting('app.studio', true), '')::uuid)`;
/** Who may create a temporary table could stand before the real one: temporary ones are looked for last. */
const DEFINER = `security definer set search_path = public, pg_temp`;
/** A link for a new password is one lead's to give: it ends when whose it is leaves that team, or works in another as well. */
const NO_LINK_LEFT = `delete from password_link where user_id = who;`;
/** Changes of one team go one after another: two at once would each leave the other the last lead. */
const ONE_AT_A_TIME = `perform 1 from studio where id = mine for update;`;
const ONLY_A_LEAD = `if mine is null or not exists (select 1 from studio_member where studio_id = mine and user_id = actor and role = 'lead') then raise exception 'not a lead'; end if;`;
const STANDS = `i.ended_at is null and i.accepted_by is null and i.until_day >= (now() at time zone s.time_zone)::date`;
const noted = (studio: string, by: string, verb: string): string =>
  `insert into audit_event (studio_id, id, created_by, verb, table_name, row_id) values (${studio}, gen_random_uuid(), ${by}, ${verb}, 'studio_member', gen_random_uuid());`;

/**
 * Doors: team changes one at a time, somebody in more than one studio, a forgotten password by a link, and what happens
 * at the door in the audit. The application sees members of its own studio alone, and asks for the rest by these
 * functions, which look who asks.
 */
export class Migration0031 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      `do $$ declare f record; begin
         for f in select p.oid::regprocedure::text as name from pg_proc p join pg_namespace n on n.oid = p.pronamespace where p.prosecdef and n.nspname = 'public' loop
           execute 'alter function ' || f.name || ' set search_path = public, pg_temp'; end loop; end $$`,
      `alter table studio_member enable row level security`, // not forced: the functions are the owner's
      `create policy of_studio on studio_member using (studio_id = ${MINE}) with check (studio_id = ${MINE})`,
      `create index audit_event_latest on audit_event (studio_id, created_at desc, id desc)`,
      `drop function member_of(text)`,
      `create function members_of(who text) returns table (studio_id uuid, name text, role text, unit_system text, studio_name text, time_zone text)
         language sql stable ${DEFINER} as $$
           select m.studio_id, m.name, m.role, m.unit_system, s.name, s.time_zone from studio_member m join studio s on s.id = m.studio_id
            where m.user_id = who and m.role <> 'gone' order by s.name, s.id $$`,
      `create or replace function change_member(actor text, who text, to_role text) returns void language plpgsql ${DEFINER} as $$
       declare mine uuid := ${MINE}; begin
         ${ONE_AT_A_TIME}
         ${ONLY_A_LEAD}
         update studio_member set role = to_role where studio_id = mine and user_id = who and role <> 'gone';
         if not found then raise exception 'no such member'; end if;
         if not exists (select 1 from studio_member where studio_id = mine and role = 'lead') then raise exception 'the last lead'; end if;
         if to_role = 'gone' and not exists (select 1 from studio_member where user_id = who and role <> 'gone') then delete from "session" where "userId" = who; end if;
         if to_role = 'gone' then ${NO_LINK_LEFT} end if;
         ${noted("mine", "actor", "'made-' || to_role")}
       end $$`,
      // somebody who signs in already joins as who they are; one who had left is back
      `create function join_by_invitation(hash text, who text) returns uuid language plpgsql ${DEFINER} as $$
       declare found invitation%rowtype; begin
         select i.* into found from invitation i join studio s on s.id = i.studio_id where i.token_hash = hash and ${STANDS} for update of i;
         if found.id is null then raise exception 'no such invitation'; end if;
         if exists (select 1 from studio_member where studio_id = found.studio_id and user_id = who and role <> 'gone') then raise exception 'a member already'; end if;
         update invitation set accepted_by = who where studio_id = found.studio_id and id = found.id;
         insert into studio_member (studio_id, user_id, name, role) values (found.studio_id, who, found.name, found.role)
           on conflict (studio_id, user_id) do update set role = excluded.role;
         ${NO_LINK_LEFT}
         perform set_config('app.studio', found.studio_id::text, true);
         ${noted("found.studio_id", "who", "'joined'")}
         return found.studio_id;
       end $$`,
      // hashes of one-time links: nobody's to read
      `create table password_link (token_hash text primary key check (length(token_hash) = 64), user_id text not null references "user" (id) on delete cascade,
         made_at timestamptz not null default now(), until timestamptz not null, used_at timestamptz)`,
      `create index password_link_of on password_link (user_id)`,
      `revoke all on password_link from ponderis_app`,
      `create function make_password_link(actor text, who text, hash text) returns void language plpgsql ${DEFINER} as $$
       declare mine uuid := ${MINE}; begin
         ${ONLY_A_LEAD}
         if not exists (select 1 from studio_member where studio_id = mine and user_id = who and role <> 'gone') then raise exception 'no such member'; end if;
         if exists (select 1 from studio_member where studio_id <> mine and user_id = who and role <> 'gone') then raise exception 'in another studio'; end if;
         ${NO_LINK_LEFT}
         insert into password_link (token_hash, user_id, until) values (hash, who, now() + interval '24 hours');
         ${noted("mine", "actor", "'made-password-link'")}
       end $$`,
      `create function password_link_behind(hash text) returns table (email text) language sql stable ${DEFINER} as $$
         select u.email from password_link l join "user" u on u.id = l.user_id where l.token_hash = hash and l.used_at is null and l.until > now() $$`,
      `create function use_password_link(hash text, password_hash text) returns text language plpgsql ${DEFINER} as $$
       declare whose text; begin
         update password_link set used_at = now() where token_hash = hash and used_at is null and until > now() returning user_id into whose;
         if whose is null then raise exception 'no such link'; end if;
         update "account" set password = password_hash, "updatedAt" = now() where "userId" = whose and "providerId" = 'credential';
         delete from "session" where "userId" = whose;
         perform note_at_door(whose, 'chose-a-new-password');
         return whose;
       end $$`,
      // in each of their studios: who came in, and who changed what lets them in
      `create function note_at_door(who text, what text) returns void language plpgsql ${DEFINER} as $$
       declare each uuid; begin
         if what not in ('signed-in', 'chose-a-new-password', 'changed-the-password', 'signed-a-device-out') then raise exception 'no such thing at a door'; end if;
         for each in select studio_id from studio_member where user_id = who and role <> 'gone' loop
           perform set_config('app.studio', each::text, true);
           ${noted("each", "who", "what")}
         end loop;
       end $$`,
      ...[
        "members_of(text)",
        "join_by_invitation(text, text)",
        "make_password_link(text, text, text)",
        "password_link_behind(text)",
        "use_password_link(text, text)",
        "note_at_door(text, text)",
      ].flatMap((name) => [`revoke all on function ${name} from public`, `grant execute on function ${name} to ponderis_app`]),
    ])
      await this.execute(sql);
  }
}

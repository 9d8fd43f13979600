import { Migration } from "@mikro-orm/migrations";

const DEFINER = `security definer set search_path = public, pg_temp`;
const MINE = `(select nullif(current_setting('app.studio', true), '')::uuid)`;
const AT_DOOR = [
  "signed-in",
  "chose-a-new-password",
  "changed-the-password",
  "signed-a-device-out",
  "signed-in-on-a-new-device",
  "turned-codes-on",
  "turned-codes-off",
  "had-codes-ended",
  "made-recovery-codes",
  "used-a-recovery-code",
  "added-a-passkey",
  "removed-a-passkey",
];
const written = (words: readonly string[]): string => words.map((word) => `'${word}'`).join(", ");

/**
 * A second step at the door: codes, recovery codes and passkeys as the sign-in library keeps them (better-auth 1.7.25,
 * @better-auth/passkey 1.7.6), a studio that asks for codes, and the devices somebody is known to sign in on.
 */
export class Migration0035 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      `alter table "user" add column "twoFactorEnabled" boolean default false`,
      `create table "twoFactor" ("id" text not null primary key, "secret" text not null, "backupCodes" text not null, "userId" text not null references "user" ("id") on delete cascade,
         "verified" boolean, "failedVerificationCount" integer, "lockedUntil" timestamptz)`,
      `create table "passkey" ("id" text not null primary key, "name" text, "publicKey" text not null, "userId" text not null references "user" ("id") on delete cascade, "credentialID" text not null,
         "counter" integer not null, "deviceType" text not null, "backedUp" boolean not null, "transports" text, "createdAt" timestamptz, "aaguid" text)`,
      `create index "twoFactor_secret_idx" on "twoFactor" ("secret")`,
      `create index "twoFactor_userId_idx" on "twoFactor" ("userId")`,
      `create index "passkey_userId_idx" on "passkey" ("userId")`,
      `create unique index "passkey_credentialID_idx" on "passkey" ("credentialID")`,
      `grant select, insert, update, delete on "twoFactor", "passkey" to ponderis_app`,

      `alter table studio add column asks_for_codes boolean not null default false`,
      `grant update (asks_for_codes) on studio to ponderis_app`,
      `drop function members_of(text)`,
      `create function members_of(who text) returns table (studio_id uuid, name text, role text, unit_system text, studio_name text, time_zone text, asks_for_codes boolean)
         language sql stable ${DEFINER} as $$
           select m.studio_id, m.name, m.role, m.unit_system, s.name, s.time_zone, s.asks_for_codes from studio_member m join studio s on s.id = m.studio_id
            where m.user_id = who and m.role <> 'gone' order by s.name, s.id $$`,

      // a device by the hash of what its cookie says; told once its owner has answered for it
      `create table known_device (user_id text not null references "user" (id) on delete cascade, device_hash text not null check (length(device_hash) = 64),
         user_agent text not null default '' check (length(user_agent) <= 400), first_at timestamptz not null default now(), told_at timestamptz, primary key (user_id, device_hash))`,
      `grant select, insert, update (told_at) on known_device to ponderis_app`,

      `create or replace function note_at_door(who text, what text) returns void language plpgsql ${DEFINER} as $$
       declare each uuid; begin
         if what not in (${written(AT_DOOR)}) then raise exception 'no such thing at a door'; end if;
         for each in select studio_id from studio_member where user_id = who and role <> 'gone' loop
           perform set_config('app.studio', each::text, true);
           insert into audit_event (studio_id, id, created_by, verb, table_name, row_id) values (each, gen_random_uuid(), who, what, 'studio_member', gen_random_uuid());
         end loop;
       end $$`,
      // who has lost both telephone and recovery codes: a lead's to end, and only for who is in no other studio
      `create function end_codes(actor text, who text) returns void language plpgsql ${DEFINER} as $$
       declare mine uuid := ${MINE}; begin
         if mine is null or not exists (select 1 from studio_member where studio_id = mine and user_id = actor and role = 'lead') then raise exception 'not a lead'; end if;
         if not exists (select 1 from studio_member where studio_id = mine and user_id = who and role <> 'gone') then raise exception 'no such member'; end if;
         if exists (select 1 from studio_member where studio_id <> mine and user_id = who and role <> 'gone') then raise exception 'in another studio'; end if;
         delete from "twoFactor" where "userId" = who;
         update "user" set "twoFactorEnabled" = false where id = who;
         delete from "session" where "userId" = who and who <> actor;
         insert into audit_event (studio_id, id, created_by, verb, table_name, row_id) values (mine, gen_random_uuid(), actor, 'ended-codes', 'studio_member', gen_random_uuid());
       end $$`,
      ...["members_of(text)", "end_codes(text, text)"].flatMap((name) => [
        `revoke all on function ${name} from public`,
        `grant execute on function ${name} to ponderis_app`,
      ]),
    ])
      await this.execute(sql);
  }
}

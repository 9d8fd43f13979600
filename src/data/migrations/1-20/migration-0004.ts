import { Migration } from "@mikro-orm/migrations";

/** Every table whose rows belong to a studio. Members are read before a studio is known, so theirs has no policy. */
const OWNED = [
  "audit_event",
  "band",
  "body_measure",
  "calm_pose",
  "ceiling",
  "ceiling_confirmation",
  "clearance",
  "client",
  "client_limit",
  "client_revision",
  "complaint",
  "daily_height",
  "decision",
  "demand",
  "floor_event",
  "limit_lift",
  "performed_set",
  "posture_rule",
  "prescription",
  "response",
  "rung",
  "session_item",
  "training_session",
];
// '' once it has been set in a session, null before: both see nothing
const STUDIO = `(select nullif(current_setting('app.studio', true), '')::uuid)`;

/** What a client's rows hang together by, children first; the last is the client itself. */
const ERASED: readonly (readonly [table: string, where: string])[] = [
  ["performed_set", "session_id in (select id from training_session s where s.studio_id = mine and s.client_id = who)"],
  ["floor_event", "session_id in (select id from training_session s where s.studio_id = mine and s.client_id = who)"],
  ["ceiling_confirmation", "client_id = who"],
  ["ceiling", "client_id = who"],
  ["response", "client_id = who"],
  ["clearance", "client_id = who"],
  ["limit_lift", "limit_id in (select id from client_limit l where l.studio_id = mine and l.client_id = who)"],
  ["client_limit", "client_id = who"],
  ["decision", "client_id = who"],
  ["demand", "rung_id in (select id from rung r where r.studio_id = mine and r.client_id = who)"],
  ["session_item", "session_id in (select id from training_session s where s.studio_id = mine and s.client_id = who)"],
  ["training_session", "client_id = who"],
  ["prescription", "client_id = who"],
  ["rung", "client_id = who"],
  ["posture_rule", "client_id = who"],
  ["calm_pose", "client_id = who"],
  ["body_measure", "client_id = who"],
  ["daily_height", "client_id = who"],
  ["complaint", "client_id = who"],
  ["client_revision", "client_id = who"],
  ["client", "id = who"],
];

/**
 * Erases one client of the studio in hand, wholly: the application may call this and delete nothing else. What is left
 * is that a client was erased, when and by whom, and not which.
 */
export const eraseFunction = (
  more: string,
  first: readonly (readonly [table: string, where: string])[] = [],
): string => `create or replace function erase_client(who uuid, actor text) returns void language plpgsql security definer set search_path = public as $$
declare mine uuid := ${STUDIO}; ids uuid[]; begin
  if mine is null or not exists (select 1 from client where studio_id = mine and id = who) then raise exception 'no such client'; end if;
  ids := array[who];
  update prescription set decision_id = null where studio_id = mine and client_id = who;
  ${[...first, ...ERASED]
    .map(
      ([table, where]) =>
        `with gone as (delete from ${table} x where x.studio_id = mine and ${where} returning x.id) select ids || array_agg(id) into ids from gone;`,
    )
    .join("\n  ")}
  delete from audit_event where studio_id = mine and row_id = any (ids);
  ${more}
  insert into audit_event (studio_id, id, created_by, verb, table_name, row_id) values (mine, gen_random_uuid(), actor, 'erased', 'client', gen_random_uuid());
end $$`;

/** A query that forgets its studio sees nothing. */
export class Migration0004 extends Migration {
  override async up(): Promise<void> {
    for (const table of OWNED) {
      await this.execute(`alter table ${table} enable row level security`);
      await this.execute(`alter table ${table} force row level security`);
      await this.execute(`create policy of_studio on ${table} using (studio_id = ${STUDIO}) with check (studio_id = ${STUDIO})`);
    }
    await this.execute(`alter table studio enable row level security`);
    await this.execute(`create policy of_studio on studio for select using (id = ${STUDIO})`);
    await this.execute(`revoke insert on studio, studio_member from ponderis_app`);
    await this.execute(eraseFunction(""));
    await this.execute(`revoke all on function erase_client(uuid, text) from public`);
    await this.execute(`grant execute on function erase_client(uuid, text) to ponderis_app`);
  }
}

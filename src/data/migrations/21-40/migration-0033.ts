import { Migration } from "@mikro-orm/migrations";
import { eraseFunction } from "../1-20/migration-0004";
import { ERASED_AS_OF } from "../owned";

/** Steps whose answer names anything that was erased, found by an index over what each names. */
const STEPS_NAMING = `delete from step s where s.studio_id = mine and uuids_in(s.answer) && ids;`;

/** What a studio of years needs to be quick: an index behind every key that is followed, and behind every list. */
export class Migration0033 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      // keys that erasing, or a look from the other end, follows backwards
      `create index performed_set_item on performed_set (studio_id, item_id)`,
      `create index session_item_prescription on session_item (studio_id, prescription_id)`,
      `create index decision_prescription on decision (studio_id, prescription_id)`,
      `create index decision_next_rung on decision (studio_id, next_rung_id)`,
      `create index prescription_decision on prescription (studio_id, decision_id)`,
      `create index demand_body_measure on demand (studio_id, body_measure_id)`,
      `create index demand_posture_rule on demand (studio_id, posture_rule_id)`,
      `create index posture_rule_calm_pose on posture_rule (studio_id, calm_pose_id)`,
      `create index ceiling_calm_pose on ceiling (studio_id, calm_pose_id)`,
      `create index ceiling_confirmation_ceiling on ceiling_confirmation (studio_id, ceiling_id)`,
      `create index session_picture_session on session_picture (studio_id, session_id)`,
      `create index visit_client on visit (studio_id, client_id)`,
      `create index studio_member_user on studio_member (user_id)`,
      // what lists ask for: the latest of each client, the last weeks of all, and signs wherever they were said
      `create index client_revision_latest on client_revision (studio_id, client_id, created_at desc, id desc)`,
      `drop index client_revision_client`,
      `create index training_session_recent on training_session (studio_id, day desc)`,
      `create index message_client on message (studio_id, client_id, created_at desc)`,
      `create index finding_sign on finding (studio_id, client_id) where protocol in ('bend-response', 'arch-response') and value = 3`,
      `create index home_entry_sign on home_entry (studio_id, client_id) where kind = 'sign'`,
      `create index screen_signs on screen (studio_id, client_id) where answers #> '{signs,signs}' <> '[]'`,
      `alter table session_item add column is_decided boolean not null default false`,
      ...["session_item", "decision"].map((table) => `alter table ${table} no force row level security`), // its owner sees every studio meanwhile
      `update session_item i set is_decided = true from decision d where d.studio_id = i.studio_id and d.item_id = i.id`,
      ...["session_item", "decision"].map((table) => `alter table ${table} force row level security`),
      `create index session_item_undecided on session_item (studio_id, session_id) where not is_decided`,
      `create function item_decided() returns trigger language plpgsql security definer set search_path = public, pg_temp as $$
         begin
           perform set_config('app.studio', new.studio_id::text, true); -- whoever writes it, also past every policy
           update session_item set is_decided = true where studio_id = new.studio_id and id = new.item_id;
           return new;
         end $$`,
      `create trigger decision_of_item after insert on decision for each row execute function item_decided()`,
      `create statistics floor_event_stops on (stop_sign(kind, payload)) from floor_event`,
      `create function uuids_in(told jsonb) returns uuid[] language sql immutable set search_path = public, pg_temp as $$
         select coalesce(array_agg(found[1]::uuid), '{}') from regexp_matches(told::text, '[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}', 'g') found $$`,
      `create index step_names on step using gin (uuids_in(answer))`,
      eraseFunction(STEPS_NAMING, ERASED_AS_OF[32]),
      `alter function erase_client(uuid, text) set search_path = public, pg_temp`,
    ])
      await this.execute(sql);
  }
}

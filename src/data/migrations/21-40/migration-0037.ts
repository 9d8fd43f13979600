import { Migration } from "@mikro-orm/migrations";

const MINE = `(select nullif(current_setting('app.studio', true), '')::uuid)`;
/** Facts that nothing else stands on: one that cannot be read is left out of every page, and a lead may take it away. */
const TABLES = ["visit", "own_row", "kit_list", "message_words", "training_plan", "summary_letter"];

/** A summary that cannot be read may be taken away as well. */
export class Migration0037 extends Migration {
  override async up(): Promise<void> {
    await this.execute(
      `create or replace function take_away(actor text, which text, fact uuid) returns void language plpgsql security definer set search_path = public, pg_temp as $$
       declare mine uuid := ${MINE}; gone int; begin
         if mine is null or not exists (select 1 from studio_member where studio_id = mine and user_id = actor and role = 'lead') then raise exception 'not a lead'; end if;
         if which not in (${TABLES.map((table) => `'${table}'`).join(", ")}) then raise exception 'no such fact'; end if;
         execute format('delete from %I where studio_id = $1 and id = $2', which) using mine, fact;
         get diagnostics gone = row_count;
         if gone = 0 then raise exception 'no such fact'; end if;
       end $$`,
    );
  }
}

import { Migration } from "@mikro-orm/migrations";
import { eraseFunction } from "../1-20/migration-0004";
import { ERASED_AS_OF, ownedTable, STEPS_ERASED } from "../owned";

/** Messages to clients: how one is reached and reminded, and what was sent; the reminder's round asks which studios there are, and no more. */
export class Migration0024 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      ...ownedTable(
        "client_contact",
        `client_id uuid not null, channel text not null check (channel in ('mail', 'text')), address text not null, remind_at text`,
        ["client_id"],
      ),
      `create index client_contact_of on client_contact (studio_id, client_id, created_at)`,
      ...ownedTable(
        "message",
        `client_id uuid not null, channel text not null check (channel in ('mail', 'text')), address text not null, template text not null, words text not null, sent_at timestamptz`,
        ["client_id"],
      ),
      `create index message_of on message (studio_id, created_at)`,
      `grant update (sent_at) on message to ponderis_app`,
      `create function studio_ids() returns setof uuid language sql security definer set search_path = public as $$ select id from studio $$`,
      `revoke all on function studio_ids() from public`,
      `grant execute on function studio_ids() to ponderis_app`,
      eraseFunction(STEPS_ERASED, ERASED_AS_OF[24]),
    ])
      await this.execute(sql);
  }
}

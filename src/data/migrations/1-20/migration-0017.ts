import { Migration } from "@mikro-orm/migrations";
import { eraseFunction } from "./migration-0004";

/** A private link to a client's calendar, by the hash of its secret: the latest counts, and one without a hash is none. */
export class Migration0017 extends Migration {
  override async up(): Promise<void> {
    const studio = `(select nullif(current_setting('app.studio', true), '')::uuid)`;
    for (const sql of [
      `create table calendar_link (studio_id uuid not null references studio (id), id uuid not null, created_at timestamptz not null default now(), created_by text not null,
         client_id uuid not null, token_hash text check (length(token_hash) = 64),
         primary key (studio_id, id), foreign key (studio_id, client_id) references client (studio_id, id) on delete cascade)`,
      `create index calendar_link_of on calendar_link (studio_id, client_id, created_at)`,
      `create index calendar_link_by on calendar_link (studio_id, token_hash)`,
      `alter table calendar_link enable row level security`,
      `alter table calendar_link force row level security`,
      `create policy of_studio on calendar_link using (studio_id = ${studio}) with check (studio_id = ${studio})`,
      `grant select, insert on calendar_link to ponderis_app`,
      eraseFunction(
        `delete from step s where s.studio_id = mine and exists (select 1 from unnest(ids) i where s.answer::text like '%' || i || '%');`,
        [
          ["finding", "client_id = who"],
          ["letter", "client_id = who"],
          ["school_choice", "client_id = who"],
          ["kit_list", "client_id = who"],
          ["training_plan", "client_id = who"],
          ["calendar_link", "client_id = who"],
        ],
      ),
    ])
      await this.execute(sql);
  }
}

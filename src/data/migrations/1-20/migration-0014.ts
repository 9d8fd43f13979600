import { Migration } from "@mikro-orm/migrations";
import { eraseFunction } from "./migration-0004";

/** What stands in the studio, and in a client's home: whole lists, the latest of a place counts. */
export class Migration0014 extends Migration {
  override async up(): Promise<void> {
    const studio = `(select nullif(current_setting('app.studio', true), '')::uuid)`;
    for (const sql of [
      `create table kit_list (studio_id uuid not null references studio (id), id uuid not null, created_at timestamptz not null default now(), created_by text not null,
         client_id uuid, day date not null, items jsonb not null,
         primary key (studio_id, id), foreign key (studio_id, client_id) references client (studio_id, id) on delete cascade)`,
      `create index kit_of_place on kit_list (studio_id, client_id, created_at)`,
      `alter table kit_list enable row level security`,
      `alter table kit_list force row level security`,
      `create policy of_studio on kit_list using (studio_id = ${studio}) with check (studio_id = ${studio})`,
      `grant select, insert on kit_list to ponderis_app`,
      eraseFunction(
        `delete from step s where s.studio_id = mine and exists (select 1 from unnest(ids) i where s.answer::text like '%' || i || '%');`,
        [
          ["finding", "client_id = who"],
          ["letter", "client_id = who"],
          ["school_choice", "client_id = who"],
          ["kit_list", "client_id = who"],
        ],
      ),
    ])
      await this.execute(sql);
  }
}

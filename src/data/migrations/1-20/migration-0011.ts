import { Migration } from "@mikro-orm/migrations";
import { eraseFunction } from "./migration-0004";

/** A clinician's letter: its date, whose it is, and a picture or PDF of it. Erasing a client knows of it, and of what was measured. */
export class Migration0011 extends Migration {
  override async up(): Promise<void> {
    const studio = `(select nullif(current_setting('app.studio', true), '')::uuid)`;
    for (const sql of [
      `create table letter (studio_id uuid not null references studio (id), id uuid not null, created_at timestamptz not null default now(), created_by text not null,
         client_id uuid not null, day date not null, by text not null, media_type text not null check (media_type in ('image/jpeg', 'application/pdf')),
         bytes bytea not null, primary key (studio_id, id), foreign key (studio_id, client_id) references client (studio_id, id) on delete cascade)`,
      `create index letter_of_client on letter (studio_id, client_id, day)`,
      `alter table letter enable row level security`,
      `alter table letter force row level security`,
      `create policy of_studio on letter using (studio_id = ${studio}) with check (studio_id = ${studio})`,
      `grant select, insert on letter to ponderis_app`,
      eraseFunction(
        `delete from step s where s.studio_id = mine and exists (select 1 from unnest(ids) i where s.answer::text like '%' || i || '%');`,
        [
          ["finding", "client_id = who"],
          ["letter", "client_id = who"],
        ],
      ),
    ])
      await this.execute(sql);
  }
}

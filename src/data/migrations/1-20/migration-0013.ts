import { Migration } from "@mikro-orm/migrations";
import { eraseFunction } from "./migration-0004";

/** The school a client is trained by: chosen by whom, when and why. The latest counts; the older are kept. */
export class Migration0013 extends Migration {
  override async up(): Promise<void> {
    const studio = `(select nullif(current_setting('app.studio', true), '')::uuid)`;
    for (const sql of [
      `create table school_choice (studio_id uuid not null references studio (id), id uuid not null, created_at timestamptz not null default now(), created_by text not null,
         client_id uuid not null, day date not null, by text not null, preset text not null, positions jsonb not null, numbers jsonb not null, reason text not null,
         primary key (studio_id, id), foreign key (studio_id, client_id) references client (studio_id, id) on delete cascade)`,
      `create index school_of_client on school_choice (studio_id, client_id, created_at)`,
      `alter table school_choice enable row level security`,
      `alter table school_choice force row level security`,
      `create policy of_studio on school_choice using (studio_id = ${studio}) with check (studio_id = ${studio})`,
      `grant select, insert on school_choice to ponderis_app`,
      eraseFunction(
        `delete from step s where s.studio_id = mine and exists (select 1 from unnest(ids) i where s.answer::text like '%' || i || '%');`,
        [
          ["finding", "client_id = who"],
          ["letter", "client_id = who"],
          ["school_choice", "client_id = who"],
        ],
      ),
    ])
      await this.execute(sql);
  }
}

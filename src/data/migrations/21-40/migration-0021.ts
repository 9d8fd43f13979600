import { Migration } from "@mikro-orm/migrations";
import { eraseFunction } from "../1-20/migration-0004";

/** A picture of a repetition that the client agreed to: from where it was seen, and a word on it. It may be taken back, and is then gone. */
export class Migration0021 extends Migration {
  override async up(): Promise<void> {
    const studio = `(select nullif(current_setting('app.studio', true), '')::uuid)`;
    for (const sql of [
      `create table session_picture (studio_id uuid not null references studio (id), id uuid not null, created_at timestamptz not null default now(), created_by text not null,
         client_id uuid not null, session_id uuid not null, item_id uuid not null, day date not null, view text not null check (view in ('front', 'side', 'behind')),
         words text not null, bytes bytea not null, primary key (studio_id, id), foreign key (studio_id, client_id) references client (studio_id, id) on delete cascade,
         foreign key (studio_id, session_id) references training_session (studio_id, id) on delete cascade)`,
      `create index session_picture_of on session_picture (studio_id, client_id, day)`,
      `alter table session_picture enable row level security`,
      `alter table session_picture force row level security`,
      `create policy of_studio on session_picture using (studio_id = ${studio}) with check (studio_id = ${studio})`,
      `grant select, insert, delete on session_picture to ponderis_app`,
      eraseFunction(
        `delete from step s where s.studio_id = mine and exists (select 1 from unnest(ids) i where s.answer::text like '%' || i || '%');`,
        [
          ["finding", "client_id = who"],
          ["letter", "client_id = who"],
          ["school_choice", "client_id = who"],
          ["kit_list", "client_id = who"],
          ["training_plan", "client_id = who"],
          ["calendar_link", "client_id = who"],
          ["session_picture", "client_id = who"],
        ],
      ),
    ])
      await this.execute(sql);
  }
}

import { Migration } from "@mikro-orm/migrations";

/** What was measured, every time; and why a trainer moved a ceiling. */
export class Migration0010 extends Migration {
  override async up(): Promise<void> {
    const studio = `(select nullif(current_setting('app.studio', true), '')::uuid)`;
    for (const sql of [
      `create table finding (studio_id uuid not null references studio (id), id uuid not null, created_at timestamptz not null default now(), created_by text not null,
         client_id uuid not null, day date not null, protocol text not null, side text not null, value double precision not null, set_up jsonb not null, note text not null,
         primary key (studio_id, id), foreign key (studio_id, client_id) references client (studio_id, id) on delete cascade)`,
      `create index finding_of_client on finding (studio_id, client_id, protocol, day)`,
      `alter table finding enable row level security`,
      `alter table finding force row level security`,
      `create policy of_studio on finding using (studio_id = ${studio}) with check (studio_id = ${studio})`,
      `grant select, insert on finding to ponderis_app`,
      `alter table ceiling add column reason text not null default ''`,
      `alter table ceiling alter column reason drop default`,
    ])
      await this.execute(sql);
  }
}

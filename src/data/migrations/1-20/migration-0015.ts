import { Migration } from "@mikro-orm/migrations";

/** Rows of a studio's own: whole each time, the latest of a row counts. */
export class Migration0015 extends Migration {
  override async up(): Promise<void> {
    const studio = `(select nullif(current_setting('app.studio', true), '')::uuid)`;
    for (const sql of [
      `create table own_row (studio_id uuid not null references studio (id), id uuid not null, created_at timestamptz not null default now(), created_by text not null,
         row_id text not null, row jsonb not null, primary key (studio_id, id))`,
      `create index own_row_of_id on own_row (studio_id, row_id, created_at)`,
      `alter table own_row enable row level security`,
      `alter table own_row force row level security`,
      `create policy of_studio on own_row using (studio_id = ${studio}) with check (studio_id = ${studio})`,
      `grant select, insert on own_row to ponderis_app`,
    ])
      await this.execute(sql);
  }
}

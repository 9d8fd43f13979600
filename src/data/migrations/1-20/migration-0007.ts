import { Migration } from "@mikro-orm/migrations";
import { eraseFunction } from "./migration-0004";

/** Steps that were taken, so that one sent twice happens once; none is left of a client who is erased. */
export class Migration0007 extends Migration {
  override async up(): Promise<void> {
    const studio = `(select nullif(current_setting('app.studio', true), '')::uuid)`;
    for (const sql of [
      `create table step (studio_id uuid not null references studio (id), id uuid not null, created_at timestamptz not null default now(), created_by text not null,
         digest text not null, answer jsonb not null, primary key (studio_id, id))`,
      `alter table step enable row level security`,
      `alter table step force row level security`,
      `create policy of_studio on step using (studio_id = ${studio}) with check (studio_id = ${studio})`,
      `grant select, insert on step to ponderis_app`,
      eraseFunction(
        `delete from step s where s.studio_id = mine and exists (select 1 from unnest(ids) i where s.answer::text like '%' || i || '%');`,
      ),
    ])
      await this.execute(sql);
  }
}

import { Migration } from "@mikro-orm/migrations";

/** How thick the studio's own cushion is under a client. The latest counts. */
export class Migration0005 extends Migration {
  override async up(): Promise<void> {
    await this.execute(`create table cushion (studio_id uuid not null references studio (id), id uuid not null, created_at timestamptz not null default now(), created_by text not null,
      day date not null, thickness_m double precision not null check (thickness_m > 0), primary key (studio_id, id))`);
    await this.execute(`create index cushion_latest on cushion (studio_id, created_at desc)`);
    await this.execute(`alter table cushion enable row level security`);
    await this.execute(`alter table cushion force row level security`);
    const studio = `(select nullif(current_setting('app.studio', true), '')::uuid)`;
    await this.execute(`create policy of_studio on cushion using (studio_id = ${studio}) with check (studio_id = ${studio})`);
    await this.execute(`grant select, insert on cushion to ponderis_app`);
  }
}

import { Migration } from "@mikro-orm/migrations";

/** What a client was asked before training: the whole of the answers each time, the latest counts. Conditions move here from the details. */
export class Migration0009 extends Migration {
  override async up(): Promise<void> {
    const studio = `(select nullif(current_setting('app.studio', true), '')::uuid)`;
    for (const sql of [
      `create table screen (studio_id uuid not null references studio (id), id uuid not null, created_at timestamptz not null default now(), created_by text not null,
         client_id uuid not null, day date not null, answers jsonb not null, primary key (studio_id, id),
         foreign key (studio_id, client_id) references client (studio_id, id) on delete cascade)`,
      `create index screen_latest on screen (studio_id, client_id, created_at desc)`,
      `alter table client_revision no force row level security`, // the policy would hide every studio from its owner, too
      `insert into screen (studio_id, id, created_at, created_by, client_id, day, answers)
         select v.studio_id, gen_random_uuid(), v.created_at, v.created_by, v.client_id, v.created_at::date,
                jsonb_build_object('conditions', (select jsonb_agg(jsonb_build_object('id', c, 'side', 'both', 'day', null)) from jsonb_array_elements_text(v.conditions) c))
           from (select distinct on (studio_id, client_id) * from client_revision order by studio_id, client_id, created_at desc, id desc) v
          where v.conditions <> '[]'`,
      `alter table client_revision force row level security`,
      `alter table client_revision drop column conditions`,
      `alter table screen enable row level security`,
      `alter table screen force row level security`,
      `create policy of_studio on screen using (studio_id = ${studio}) with check (studio_id = ${studio})`,
      `grant select, insert on screen to ponderis_app`,
    ])
      await this.execute(sql);
  }
}

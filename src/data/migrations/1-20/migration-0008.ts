import { Migration } from "@mikro-orm/migrations";

/**
 * The application changes no role and makes no user; a heartbeat by which health sees whether the database can write.
 */
export class Migration0008 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      `revoke update on studio_member from ponderis_app`,
      `grant update (unit_system) on studio_member to ponderis_app`,
      `revoke insert on "user", "account" from ponderis_app`,
      `revoke delete on "user", "account" from ponderis_app`,
      `create table heartbeat (id int primary key check (id = 1), at timestamptz not null)`,
      `insert into heartbeat values (1, now())`,
      `grant select, update on heartbeat to ponderis_app`,
      `create index audit_event_row on audit_event (studio_id, row_id, created_at desc)`,
    ])
      await this.execute(sql);
  }
}

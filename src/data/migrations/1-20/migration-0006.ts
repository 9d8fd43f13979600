import { Migration } from "@mikro-orm/migrations";

/**
 * No clock orders what happens on the floor: each device counts its taps, the studio counts what it receives. What is
 * there was ordered by the devices' clocks, and keeps that order.
 */
export class Migration0006 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      `alter table floor_event no force row level security`, // its owner sees every studio while the column is filled
      `alter table floor_event add column sequence bigint not null default 0, add column clock_offset_ms double precision not null default 0, add column receipt bigint`,
      `update floor_event e set receipt = n.place from (select studio_id, id, row_number() over (order by occurred_at, id) as place from floor_event) n where n.studio_id = e.studio_id and n.id = e.id`,
      `alter table floor_event alter column receipt set not null, alter column receipt add generated always as identity`,
      `select setval(pg_get_serial_sequence('floor_event', 'receipt'), coalesce((select max(receipt) from floor_event), 0) + 1, false)`,
      `create unique index floor_event_receipt on floor_event (studio_id, session_id, receipt)`,
      `alter table floor_event force row level security`,
      `drop index floor_event_session`,
      `alter table floor_event alter column sequence drop default, alter column clock_offset_ms drop default`,
    ])
      await this.execute(sql);
  }
}

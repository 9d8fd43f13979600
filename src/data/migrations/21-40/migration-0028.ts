import { Migration } from "@mikro-orm/migrations";

const ENDED = (at: string): string =>
  `case ${at} when 'spreading' then 'spreading-pain' when 'belly' then 'belly-or-pelvic' when 'warning-sign' then 'other-sign' end`;

/** How a set ended may be a warning by itself: what stops is found as quickly as a sign that was told. */
export class Migration0028 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      `create function stop_sign(kind text, payload jsonb) returns text language sql immutable as $$
         select case kind when 'warning-sign' then payload ->> 'sign'
           when 'set-ended' then ${ENDED("payload ->> 'endedBy'")}
           when 'set-corrected' then ${ENDED("payload #>> '{change,endedBy}'")} end $$`,
      `create index floor_event_stop on floor_event (studio_id, session_id) where stop_sign(kind, payload) is not null`,
      `drop index floor_event_warning`,
    ])
      await this.execute(sql);
  }
}

import { Migration } from "@mikro-orm/migrations";

/** Who is signed in and for which studio, in one question: a page asked five before it had read anything. */
export class Migration0012 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      `create function member_of(who text) returns table (studio_id uuid, name text, unit_system text, studio_name text, time_zone text)
         language sql stable security definer set search_path = public as $$
           select m.studio_id, m.name, m.unit_system, s.name, s.time_zone from studio_member m join studio s on s.id = m.studio_id where m.user_id = who $$`,
      `revoke all on function member_of(text) from public`,
      `grant execute on function member_of(text) to ponderis_app`,
    ])
      await this.execute(sql);
  }
}

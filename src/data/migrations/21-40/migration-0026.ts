import { Migration } from "@mikro-orm/migrations";
import { eraseFunction } from "../1-20/migration-0004";
import { ERASED_AS_OF, ownedTable, STEPS_ERASED } from "../owned";

/** Letters as they were written and kept; how long the studio keeps whom. */
export class Migration0026 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      ...ownedTable("summary_letter", `client_id uuid not null, letter jsonb not null`, ["client_id"]),
      `create index summary_letter_of on summary_letter (studio_id, client_id)`,
      ...ownedTable("retention", `months integer not null check (months between 1 and 600)`),
      // the application does not read the list of migrations, only how long it is
      `create function migration_count() returns integer language sql stable security definer set search_path = public as $$ select count(*)::int from mikro_orm_migrations $$`,
      `revoke all on function migration_count() from public`,
      `grant execute on function migration_count() to ponderis_app`,
      eraseFunction(STEPS_ERASED, ERASED_AS_OF[26]),
    ])
      await this.execute(sql);
  }
}

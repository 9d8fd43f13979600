import { Migration } from "@mikro-orm/migrations";
import { eraseFunction } from "../1-20/migration-0004";
import { ERASED_AS_OF, ownedTable, STEPS_ERASED } from "../owned";

/** Visits to the studio: whole each time one is changed, the latest of its id counts; null once it takes place no more. */
export class Migration0022 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      ...ownedTable("visit", `client_id uuid not null, visit_id uuid not null, visit jsonb`, ["client_id"]),
      `create index visit_of on visit (studio_id, visit_id, created_at)`,
      eraseFunction(STEPS_ERASED, ERASED_AS_OF[22]),
    ])
      await this.execute(sql);
  }
}

import { Migration } from "@mikro-orm/migrations";
import { eraseFunction } from "../1-20/migration-0004";
import { ERASED_AS_OF, ownedTable, STEPS_ERASED } from "../owned";

/** What was read in and could not be right stands aside until somebody takes it away; it goes with its client. */
export class Migration0032 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      ...ownedTable(
        "fact_aside",
        `client_id uuid, table_name text not null, fact_id text not null, path text not null, code text not null, fact text not null`,
        ["client_id"],
      ),
      `create index fact_aside_of on fact_aside (studio_id, client_id)`,
      `grant delete on fact_aside to ponderis_app`,
      eraseFunction(STEPS_ERASED, ERASED_AS_OF[32]),
      `alter function erase_client(uuid, text) set search_path = public, pg_temp`,
    ])
      await this.execute(sql);
  }
}

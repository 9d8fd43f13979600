import { Migration } from "@mikro-orm/migrations";
import { eraseFunction } from "../1-20/migration-0004";
import { ERASED_AS_OF, ownedTable, STEPS_ERASED } from "../owned";

/**
 * The client's own page: a private link is for a calendar or for the page, may end on a day and ask the year of birth; what
 * a client tells from there, and what a trainer has looked at. A session is in the studio or at home.
 */
export class Migration0023 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      `alter table calendar_link rename to private_link`,
      `alter table private_link add column opens text not null default 'calendar' check (opens in ('calendar', 'page')), add column until_day date,
         add column asks_year boolean not null default false`,
      `alter table private_link alter column opens drop default`,
      ...ownedTable(
        "home_entry",
        `client_id uuid not null, day date not null, occurred_at timestamptz not null, kind text not null check (kind in ('consented', 'set', 'undone', 'morning', 'sign', 'task')), told jsonb not null`,
        ["client_id"],
      ),
      `create index home_entry_of on home_entry (studio_id, client_id, kind, day)`,
      ...ownedTable("home_look", `client_id uuid not null, day date not null, entry_ids jsonb not null, session_id uuid`, ["client_id"]),
      `create index home_look_of on home_look (studio_id, client_id)`,
      `alter table training_session add column place text not null default 'studio' check (place in ('studio', 'home'))`,
      eraseFunction(STEPS_ERASED, ERASED_AS_OF[23]),
    ])
      await this.execute(sql);
  }
}

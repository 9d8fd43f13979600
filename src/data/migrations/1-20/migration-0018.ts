import { Migration } from "@mikro-orm/migrations";

/** A programme's session on the floor: which place a rung stands in, where an item stands, what goes in turn, light days. */
export class Migration0018 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      `alter table rung add column line text check (line <> '')`,
      `alter table session_item add column part text, add column in_turn boolean not null default false`,
      `alter table training_session add column is_light boolean not null default false`,
    ])
      await this.execute(sql);
  }
}

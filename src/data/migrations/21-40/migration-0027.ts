import { Migration } from "@mikro-orm/migrations";
import { ownedTable } from "../owned";

/** The studio's name and time zone are its lead's to change, and its messages have words of its own. */
export class Migration0027 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      `create policy own_studio on studio for update using (id = (select nullif(current_setting('app.studio', true), '')::uuid))`,
      `grant update (name, time_zone) on studio to ponderis_app`,
      ...ownedTable("message_words", `template text not null, words text not null`),
    ])
      await this.execute(sql);
  }
}

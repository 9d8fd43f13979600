import { Migration } from "@mikro-orm/migrations";

/** What else a morning tells: stiffness, sleep, sore muscles, and a word. */
export class Migration0020 extends Migration {
  override async up(): Promise<void> {
    await this.execute(`alter table response add column told jsonb not null default '{}'`);
  }
}

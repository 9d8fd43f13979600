import { Migration } from "@mikro-orm/migrations";

/** A morning told under more pain relief than usual. */
export class Migration0019 extends Migration {
  override async up(): Promise<void> {
    await this.execute(`alter table response add column under_relief boolean not null default false`);
  }
}

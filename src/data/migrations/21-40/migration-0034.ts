import { Migration } from "@mikro-orm/migrations";

/** The installation's own secret lives with its data: a backup is everything, and a studio restored elsewhere locks and unlocks as before. */
export class Migration0034 extends Migration {
  override async up(): Promise<void> {
    await this.execute(`create table installation (is_one boolean primary key default true check (is_one), secret text not null)`);
    await this.execute(`revoke all on installation from public, ponderis_app`);
  }
}

import { Migration } from "@mikro-orm/migrations";

/** A prescription names the decision it came from, and the decision the prescription it was about: an archive that is read in has both at its end. */
export class Migration0030 extends Migration {
  override async up(): Promise<void> {
    await this.execute(`alter table prescription alter constraint prescription_decision_foreign deferrable initially immediate`);
  }
}

import { Migration } from "@mikro-orm/migrations";

/** Where nothing hurts no pain was asked: that is nothing said, and not a pain of 0. */
export class Migration0029 extends Migration {
  override async up(): Promise<void> {
    for (const sql of [
      `alter table response no force row level security`,
      `alter table response alter column pain_score drop not null, alter column usual_score drop not null`,
      `update response set pain_score = null, usual_score = null where jsonb_array_length(pains) = 0`,
      `alter table response force row level security`,
    ])
      await this.execute(sql);
  }
}

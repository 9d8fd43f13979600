import { Migration } from "@mikro-orm/migrations";

/** A reminder is written down, taken up, sent and marked: whoever takes it up says when, so that no other server sends it as well. */
export class Migration0039 extends Migration {
  override async up(): Promise<void> {
    await this.execute(`alter table message add column tried_at timestamptz`);
    await this.execute(`grant update (tried_at) on message to ponderis_app`);
    await this.execute(`create index message_due on message (studio_id, created_at) where sent_at is null`);
  }
}

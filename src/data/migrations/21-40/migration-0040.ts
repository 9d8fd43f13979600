import { Migration } from "@mikro-orm/migrations";

/**
 * Two tablets without a connection may each have begun a session with one client: both are kept, or the second one's sets would
 * never come in. In the studio itself one is opened at a time, under a lock (steps/plan).
 */
export class Migration0040 extends Migration {
  override async up(): Promise<void> {
    await this.execute(`drop index training_session_open`);
    await this.execute(`create index training_session_open on training_session (studio_id, client_id, day) where ended_at is null`);
  }
}

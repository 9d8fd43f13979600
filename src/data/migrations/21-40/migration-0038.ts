import { Migration } from "@mikro-orm/migrations";

/** The list of clients asks each one's latest morning: its index has the whole order, and what repeated its beginning goes. */
export class Migration0038 extends Migration {
  override async up(): Promise<void> {
    await this.execute(`create index response_latest on response (studio_id, client_id, day desc, created_at desc)`);
    await this.execute(`drop index response_day`);
    await this.execute(`drop index response_client`);
  }
}

import { Migration } from "@mikro-orm/migrations";

const SCOPED = `studio_id uuid not null references studio (id), id uuid not null, created_at timestamptz not null default now(), created_by text not null, primary key (studio_id, id)`;
const CLIENT = `client_id uuid not null, foreign key (studio_id, client_id) references client (studio_id, id)`;

/** Bodies measured by tape, the heights of a client's own day, and the studio's bands as they were pulled. */
export class Migration0002 extends Migration {
  override up(): void {
    this.addSql(`alter table body_measure add column overrides jsonb not null default '{}'`);
    this.addSql(
      `create table daily_height (${SCOPED}, ${CLIENT}, day date not null, name text not null check (name <> ''), kind text not null check (kind in ('seat', 'step')),
         height_m double precision check (height_m > 0))`,
    );
    this.addSql(`create index daily_height_client on daily_height (studio_id, client_id)`);
    this.addSql(
      `create table band (${SCOPED}, day date not null, name text not null check (name <> ''), rest_m double precision not null check (rest_m > 0), points jsonb not null)`,
    );
    this.addSql(`grant select, insert on daily_height, band to ponderis_app`);
  }
}

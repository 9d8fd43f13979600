import { Migration } from "@mikro-orm/migrations";

/** Columns of every studio-owned table; (studio_id, id) is its key. */
const SCOPED = `studio_id uuid not null references studio (id), id uuid not null, created_at timestamptz not null default now(), created_by text not null, primary key (studio_id, id)`;
const references = (column: string, table: string): string => `foreign key (studio_id, ${column}) references ${table} (studio_id, id)`;
const CLIENT = `client_id uuid not null, ${references("client_id", "client")}`;

const TABLES = [
  `create table studio (id uuid primary key, name text not null, time_zone text not null)`,
  `create table client (${SCOPED}, name text not null check (name <> ''), birth_year int not null, sex text not null check (sex in ('female', 'male')),
     goal text not null, complaint text not null, side text not null check (side in ('left', 'right')),
     baseline_pain_score double precision not null check (baseline_pain_score between 0 and 10),
     pain_limit_score double precision not null check (pain_limit_score between 0 and 10))`,
  `create table body_measure (${SCOPED}, ${CLIENT}, day date not null, height_m double precision not null, mass_kg double precision not null)`,
  `create table calm_pose (${SCOPED}, ${CLIENT}, day date not null, side text not null, limited_by text not null, variation_id text not null,
     setting jsonb not null, share_fraction double precision, shank_lean_deg double precision, trunk_lean_deg double precision)`,
  `create table posture_rule (${SCOPED}, ${CLIENT}, calm_pose_id uuid, day date not null, rule jsonb not null, ${references("calm_pose_id", "calm_pose")})`,
  `create table client_limit (${SCOPED}, ${CLIENT}, rule jsonb not null, side text not null, owner_kind text not null check (owner_kind in ('clinician', 'rule', 'client')),
     owner_name text not null, from_day date not null, until_day date check (until_day >= from_day))`,
  `create table limit_lift (${SCOPED}, limit_id uuid not null, by text not null, role text not null, day date not null, reason text not null, ${references("limit_id", "client_limit")})`,
  `create table ceiling (${SCOPED}, ${CLIENT}, channel text not null, side text not null, value double precision not null check (value > 0), source_kind text not null,
     source_id uuid not null, stands_in_for text, share_fraction double precision not null, share_measured boolean not null, from_day date not null, engine_version int not null)`,
  `create table rung (${SCOPED}, ${CLIENT}, pattern text not null, variation_id text not null, side text not null, setting jsonb not null, day date not null)`,
  `create table demand (${SCOPED}, rung_id uuid not null, body_measure_id uuid not null, posture_rule_id uuid, engine_version int not null, channels jsonb not null,
     use_fraction double precision, ${references("rung_id", "rung")}, ${references("body_measure_id", "body_measure")}, ${references("posture_rule_id", "posture_rule")})`,
  `create table training_session (${SCOPED}, ${CLIENT}, day date not null)`,
  `create table prescription (${SCOPED}, ${CLIENT}, rung_id uuid not null, decision_id uuid, dose jsonb not null, day date not null, note text not null default '', ${references("rung_id", "rung")})`,
  `create table decision (${SCOPED}, ${CLIENT}, session_id uuid not null, prescription_id uuid not null, day date not null,
     move text not null check (move in ('ease', 'hold', 'build', 'stop')), overruled text, rule text not null, reasons jsonb not null, step jsonb, next_rung_id uuid, note text not null,
     engine_version int not null, ${references("session_id", "training_session")}, ${references("prescription_id", "prescription")}, ${references("next_rung_id", "rung")})`,
  `alter table prescription add constraint prescription_decision_foreign ${references("decision_id", "decision")}`,
  `create table session_item (${SCOPED}, session_id uuid not null, prescription_id uuid not null, position int not null,
     ${references("session_id", "training_session")}, ${references("prescription_id", "prescription")})`,
  `create table floor_event (studio_id uuid not null references studio (id), id uuid not null, session_id uuid not null, device_id text not null, kind text not null, payload jsonb not null,
     occurred_at timestamptz not null, received_at timestamptz not null, created_by text not null, primary key (studio_id, id), ${references("session_id", "training_session")})`,
  `create table performed_set (studio_id uuid not null references studio (id), id uuid not null, session_id uuid not null, item_id uuid not null, position int not null, setting jsonb not null,
     repetitions int not null, pain_score double precision, left_in_tank int, faults jsonb not null, ended_by text not null, ended_at timestamptz not null, voided boolean not null,
     primary key (studio_id, id), ${references("session_id", "training_session")}, ${references("item_id", "session_item")})`,
  `create table response (${SCOPED}, ${CLIENT}, session_id uuid, day date not null, pain_score double precision not null check (pain_score between 0 and 10), new_swelling boolean not null,
     warning_signs jsonb not null, usual_score double precision not null, class text not null check (class in ('calm', 'noticed', 'flare')), ${references("session_id", "training_session")})`,
  `create table clearance (${SCOPED}, ${CLIENT}, by text not null, role text not null, day date not null, note text not null)`,
  `create table audit_event (${SCOPED}, verb text not null, table_name text not null, row_id uuid not null)`,
];

/** One decision a session: two tablets deciding at once cannot both be right. */
const UNIQUES = [`create unique index decision_session_unique on decision (studio_id, session_id)`];

const INDEXES = [
  ...[
    "body_measure",
    "calm_pose",
    "posture_rule",
    "client_limit",
    "ceiling",
    "rung",
    "prescription",
    "training_session",
    "response",
    "decision",
    "clearance",
  ].map((table) => `create index ${table}_client on ${table} (studio_id, client_id)`),
  ...["session_item", "floor_event", "performed_set"].map((table) => `create index ${table}_session on ${table} (studio_id, session_id)`),
  `create index demand_rung on demand (studio_id, rung_id)`,
];

/** The sign-in library's own tables, in its own names, and its count of failed sign-ins. */
const AUTH = [
  `create table "user" ("id" text not null primary key, "name" text not null, "email" text not null unique, "emailVerified" boolean not null, "image" text,
     "createdAt" timestamptz default current_timestamp not null, "updatedAt" timestamptz default current_timestamp not null)`,
  `create table "session" ("id" text not null primary key, "expiresAt" timestamptz not null, "token" text not null unique, "createdAt" timestamptz default current_timestamp not null,
     "updatedAt" timestamptz not null, "ipAddress" text, "userAgent" text, "userId" text not null references "user" ("id") on delete cascade)`,
  `create table "account" ("id" text not null primary key, "accountId" text not null, "providerId" text not null, "userId" text not null references "user" ("id") on delete cascade,
     "accessToken" text, "refreshToken" text, "idToken" text, "accessTokenExpiresAt" timestamptz, "refreshTokenExpiresAt" timestamptz, "scope" text, "password" text,
     "createdAt" timestamptz default current_timestamp not null, "updatedAt" timestamptz not null)`,
  `create table "verification" ("id" text not null primary key, "identifier" text not null, "value" text not null, "expiresAt" timestamptz not null,
     "createdAt" timestamptz default current_timestamp not null, "updatedAt" timestamptz default current_timestamp not null)`,
  `create table "rateLimit" ("id" text not null primary key, "key" text not null unique, "count" integer not null, "lastRequest" bigint not null)`,
  `create table "limiter" ("key" varchar(255) primary key, "points" integer not null default 0, "expire" bigint)`,
  `create index "session_userId_idx" on "session" ("userId")`,
  `create index "account_userId_idx" on "account" ("userId")`,
  `create index "verification_identifier_idx" on "verification" ("identifier")`,
  `create table studio_member (studio_id uuid not null references studio (id), user_id text not null references "user" ("id"), name text not null, role text not null, unit_system text not null default 'metric', primary key (studio_id, user_id))`,
];

/** The application appends facts; it rewrites only a projection and a preference, and deletes nothing. */
const GRANTS = [
  `grant usage on schema public to ponderis_app`,
  `grant select, insert on all tables in schema public to ponderis_app`,
  `grant update on performed_set, studio_member to ponderis_app`,
  `grant update, delete on "user", "session", "account", "verification", "rateLimit", "limiter" to ponderis_app`,
];

export class Migration0001 extends Migration {
  override up(): void {
    for (const sql of [...TABLES, ...UNIQUES, ...INDEXES, ...AUTH, ...GRANTS]) this.addSql(sql);
  }
}

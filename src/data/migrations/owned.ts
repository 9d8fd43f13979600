/** What migrations from the 22nd on share: a table of the studio's, and what erasing a client takes beside the first tables. */
const STUDIO = `(select nullif(current_setting('app.studio', true), '')::uuid)`;

/** A table whose rows belong to a studio and, where it says so, to a client: appended to, seen by its studio alone. */
export const ownedTable = (name: string, columns: string, references: readonly "client_id"[] = []): string[] => [
  `create table ${name} (studio_id uuid not null references studio (id), id uuid not null, created_at timestamptz not null default now(), created_by text not null,
     ${columns}, primary key (studio_id, id)${references.map((column) => `, foreign key (studio_id, ${column}) references client (studio_id, id) on delete cascade`).join("")})`,
  `alter table ${name} enable row level security`,
  `alter table ${name} force row level security`,
  `create policy of_studio on ${name} using (studio_id = ${STUDIO}) with check (studio_id = ${STUDIO})`,
  `grant select, insert on ${name} to ponderis_app`,
];

export const STEPS_ERASED = `delete from step s where s.studio_id = mine and exists (select 1 from unnest(ids) i where s.answer::text like '%' || i || '%');`;
type Erased = readonly (readonly [table: string, where: string])[];
const ofClient = (...tables: readonly string[]): Erased => tables.map((table) => [table, "client_id = who"] as const);
const EARLY = ["finding", "letter", "school_choice", "kit_list", "training_plan"];
const UP_TO_26 = [
  ...EARLY,
  "private_link",
  "session_picture",
  "visit",
  "home_entry",
  "home_look",
  "client_contact",
  "message",
  "client_note",
  "summary_letter",
];
/** What erasing takes beside the first tables, as of each migration: a later one never changes what an earlier one did. */
export const ERASED_AS_OF = {
  22: ofClient(...EARLY, "calendar_link", "session_picture", "visit"),
  23: ofClient(...EARLY, "private_link", "session_picture", "visit", "home_entry", "home_look"),
  24: ofClient(...EARLY, "private_link", "session_picture", "visit", "home_entry", "home_look", "client_contact", "message"),
  25: ofClient(...EARLY, "private_link", "session_picture", "visit", "home_entry", "home_look", "client_contact", "message", "client_note"),
  26: ofClient(...UP_TO_26),
  32: ofClient("fact_aside", ...UP_TO_26),
} as const;

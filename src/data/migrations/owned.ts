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
/** As of the 21st. */
export const ERASED_SINCE: readonly (readonly [table: string, where: string])[] = [
  ["finding", "client_id = who"],
  ["letter", "client_id = who"],
  ["school_choice", "client_id = who"],
  ["kit_list", "client_id = who"],
  ["training_plan", "client_id = who"],
  ["calendar_link", "client_id = who"],
  ["session_picture", "client_id = who"],
];

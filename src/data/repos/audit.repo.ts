import type { EntityManager } from "@mikro-orm/postgresql";
import type { Day } from "../../core/day";
import type { AuditLine } from "../../core/studio/team";
import { RetentionRow } from "../tables/around-entities";
import { audit, type Scope, stamp } from "../scope";

export const AUDIT_PAGE = 50;
/** A page of it, the newest first, or from an older line on: one line more than the page says that there is an older one. */
export const listAudit = ({ studioId }: Scope, em: EntityManager, from: string | null = null): Promise<AuditLine[]> =>
  em.execute(
    `select a.id, to_json(a.created_at) #>> '{}' as at, a.created_by as by, a.verb, a.table_name as "tableName",
       (select v.name from client_revision v where v.studio_id = a.studio_id and v.client_id = a.row_id order by v.created_at desc, v.id desc limit 1) as "clientName"
       from audit_event a where a.studio_id = ? and (?::uuid is null or (a.created_at, a.id) <= (select f.created_at, f.id from audit_event f where f.studio_id = ? and f.id = ?::uuid))
      order by a.created_at desc, a.id desc limit ?`,
    [studioId, from, studioId, from, AUDIT_PAGE + 1],
  );

/** For so many months after somebody was put away the studio keeps them; null: until somebody erases them. */
export async function retentionMonths({ studioId }: Scope, em: EntityManager): Promise<number | null> {
  const [row] = await em.execute<{ months: number }[]>(
    `select months from retention where studio_id = ? order by created_at desc, id desc limit 1`,
    [studioId],
  );
  return row?.months ?? null;
}
export async function setRetention(scope: Scope, em: EntityManager, months: number): Promise<void> {
  const row = { ...stamp(scope), months };
  await em.insert(RetentionRow, row);
  await audit(scope, em, "set", "retention", row.id);
}
/** Who was put away longer ago than the studio keeps people. Nobody is erased by a clock: a person does it. */
export const pastRetention = (
  { studioId }: Scope,
  em: EntityManager,
  months: number,
  today: Day,
): Promise<{ id: string; name: string; since: Day }[]> =>
  em.execute(
    `select v.client_id as id, v.name, v.archived_day::text as since from (
       select distinct on (client_id) client_id, name, archived_day from client_revision where studio_id = ? order by client_id, created_at desc, id desc) v
      where v.archived_day < ?::date - make_interval(months => ?) order by v.archived_day`,
    [studioId, today, months],
  );

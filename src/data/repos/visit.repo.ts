import type { EntityManager } from "@mikro-orm/postgresql";
import type { Visit } from "../../core/week/visit";
import { VisitRow } from "../tables/around-entities";
import { isReadable } from "../../schemas/archived-fact.schema";
import { ClientRow } from "../tables/entities";
import { refuse, type Taken } from "../../core/outcome";
import { audit, type Scope, stamp } from "../scope";

type StoredVisit = Omit<Visit, "id" | "clientId">;

/** Every visit of the studio as it was last kept, ended ones left out. */
export const listVisits = ({ studioId }: Scope, em: EntityManager): Promise<Visit[]> =>
  em
    .execute<{ id: string; clientId: string; visit: StoredVisit }[]>(
      `select id, "clientId", visit from (
         select distinct on (visit_id) visit_id as id, client_id as "clientId", visit from visit where studio_id = ? order by visit_id, created_at desc, id desc) v
       where visit <> 'null'`,
      [studioId],
    )
    .then((rows) => rows.filter(({ id, clientId, visit }) => isReadable("visit", { visit_id: id, client_id: clientId, visit })))
    .then((rows) => rows.map(({ id, clientId, visit }) => ({ ...visit, id, clientId })));

/** Visits as they are from now on, and those that take place no more: all of them, or none where one cannot be. */
export async function changeVisits(
  scope: Scope,
  em: EntityManager,
  { kept, ended }: { kept: readonly Visit[]; ended: readonly string[] },
): Promise<Taken> {
  const { studioId } = scope;
  const clientIds = [...new Set(kept.map(({ clientId }) => clientId))];
  const visitIds = [...kept.map(({ id }) => id), ...ended];
  if ((await em.count(ClientRow, { studioId, id: { $in: clientIds } })) < clientIds.length) return refuse({ code: "no-such-client" });
  const known = await em.find(VisitRow, { studioId, visitId: { $in: visitIds } }, { disableIdentityMap: true });
  const clientOf = new Map(known.map(({ visitId, clientId }) => [visitId, clientId]));
  if (kept.some(({ id, clientId }) => (clientOf.get(id) ?? clientId) !== clientId)) return refuse({ code: "no-such-client" });
  if (ended.some((id) => !clientOf.has(id))) return refuse({ code: "no-such-visit" });
  for (const { id, clientId, ...visit } of kept) await append(scope, em, id, clientId, visit);
  for (const id of ended) await append(scope, em, id, clientOf.get(id) ?? "", null);
  return { ok: true };
}

async function append(scope: Scope, em: EntityManager, visitId: string, clientId: string, visit: StoredVisit | null): Promise<void> {
  const row = { ...stamp(scope), visitId, clientId, visit };
  await em.insert(VisitRow, row);
  await audit(scope, em, visit ? "kept" : "ended", "visit", row.id);
}

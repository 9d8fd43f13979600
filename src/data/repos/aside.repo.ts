import type { EntityManager } from "@mikro-orm/postgresql";
import type { Aside } from "../../core/studio/team";
import type { Fact, FactProblem } from "../../formats/archive";
import { refuse, type Taken } from "../../core/outcome";
import { factProblem, isReadable } from "../../schemas/archived-fact.schema";
import { audit, type Scope, stamp } from "../scope";
import { asked } from "./team.repo";

/** Facts that no form here could have written: kept to be looked at, never read by any page, and gone when somebody says so. */

/** What a file says may hold a letter that no text here can. */
const plain = (text: string, most: number): string => text.replaceAll("\0", "").slice(0, most);

/** A fact that is here already in the same state is kept once. */
export async function keepAside(
  scope: Scope,
  em: EntityManager,
  { table, id, path, code }: FactProblem,
  fact: Fact,
  clientId: string | null,
): Promise<void> {
  const { studioId, id: rowId, createdAt, createdBy } = stamp(scope);
  const words = JSON.stringify(fact);
  if (words.length > MOST_LETTERS) return; // what is larger than anything of ours is not kept at all
  await em.execute(
    `insert into fact_aside (studio_id, id, created_at, created_by, client_id, table_name, fact_id, path, code, fact)
      select ?::uuid, ?::uuid, ?, ?, ?::uuid, ?, ?, ?, ?, ? where not exists (
        select 1 from fact_aside a where a.studio_id = ? and a.table_name = ? and a.fact_id = ?)`,
    [
      studioId,
      rowId,
      createdAt,
      createdBy,
      clientId,
      table,
      plain(id, 80),
      plain(path, 200),
      plain(code, 80),
      words,
      studioId,
      table,
      plain(id, 80),
    ],
  );
}
const MOST_LETTERS = 200_000;

/** What stands aside, the newest first. */
export const factsAside = ({ studioId }: Scope, em: EntityManager): Promise<Aside[]> =>
  em.execute(
    `select a.id, to_json(a.created_at) #>> '{}' as at, a.created_by as by, a.table_name as "tableName", a.path, left(a.fact, 400) as words,
       (select v.name from client_revision v where v.studio_id = a.studio_id and v.client_id = a.client_id order by v.created_at desc, v.id desc limit 1) as "clientName"
      from fact_aside a where a.studio_id = ? order by a.created_at desc, a.id limit 100`,
    [studioId],
  );

const LATEST = {
  visit: "select distinct on (visit_id) * from visit where studio_id = ? order by visit_id, created_at desc, id desc",
  own_row: "select distinct on (row_id) * from own_row where studio_id = ? order by row_id, created_at desc, id desc",
  kit_list: "select distinct on (client_id) * from kit_list where studio_id = ? order by client_id, created_at desc, id desc",
  message_words: "select distinct on (template) * from message_words where studio_id = ? order by template, created_at desc, id desc",
  summary_letter: "select * from summary_letter where studio_id = ?",
  training_plan: "select distinct on (client_id) * from training_plan where studio_id = ? order by client_id, created_at desc, id desc",
} as const;
type Kept = Fact & { id: string; created_at: string; created_by: string; client_id?: string | null };
/** What stands in the studio's own tables as the latest word and no form could have written: every page leaves it out. */
export async function factsUnread({ studioId }: Scope, em: EntityManager): Promise<Aside[]> {
  const unread: Aside[] = [];
  for (const [table, sql] of Object.entries(LATEST)) {
    const rows = await em.execute<{ fact: Kept }[]>(`select to_jsonb(f) as fact from (${sql}) f`, [studioId]);
    for (const { fact } of rows) {
      const problem = isReadable(table, fact) ? null : factProblem(table, fact);
      if (!problem) continue;
      const { id, created_at: at, created_by: by, client_id: clientId, studio_id: _, ...told } = fact;
      const [client] = clientId
        ? await em.execute<{ name: string }[]>(
            `select name from client_revision where studio_id = ? and client_id = ? order by created_at desc, id desc limit 1`,
            [studioId, clientId],
          )
        : [];
      unread.push({
        id,
        at: new Date(at).toISOString(),
        by,
        tableName: table,
        path: problem.path,
        words: JSON.stringify(told).slice(0, 400),
        clientName: client?.name ?? null,
      });
    }
  }
  return unread;
}

/** Takes one away for good: one that stands aside, or one that cannot be read where it stands. */
export async function dropAside(scope: Scope, em: EntityManager, id: string): Promise<Taken> {
  const gone = await em.execute<object[]>(`delete from fact_aside where studio_id = ? and id = ?::uuid returning id`, [scope.studioId, id]);
  if (gone.length === 0) {
    const unread = (await factsUnread(scope, em)).find((each) => each.id === id);
    if (!unread) return refuse({ code: "no-such-fact" });
    const taken = await asked(em, `select take_away(?, ?, ?::uuid)`, [scope.actorId, unread.tableName, id]);
    if (!taken.ok) return taken;
  }
  await audit(scope, em, "took-away", "fact_aside", id);
  return { ok: true };
}

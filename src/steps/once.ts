import type { EntityManager } from "@mikro-orm/postgresql";
import { StepRow } from "../data/tables/loop-entities";
import { type Scope, stamp } from "../data/scope";
import { refuse, type Taken } from "../core/outcome";

/**
 * Takes a step once, however often it is sent: a step taken before gets its first answer again. The same id with other
 * values is refused, for the first were taken after all.
 */
export async function once<T extends object>(
  scope: Scope,
  em: EntityManager,
  { id, digest }: { id: string; digest: string },
  work: () => Promise<Taken<T>>,
): Promise<Taken<T>> {
  await em.execute(`select pg_advisory_xact_lock(hashtextextended(?, 1))`, [id]);
  const before = await em.findOne(StepRow, { studioId: scope.studioId, id }, { disableIdentityMap: true });
  if (before) return before.digest === digest ? (before.answer as Taken<T>) : refuse({ code: "taken-before" });
  const taken = await work();
  if (taken.ok) await em.insert(StepRow, { ...stamp(scope, id), digest, answer: taken });
  return taken;
}

import { refuse, type Taken } from "../core/outcome";
import type { EntityManager } from "@mikro-orm/postgresql";
import type { ClientRecord } from "../core/record/facts/record";
import { loadRecord } from "../data/repos/record.repo";
import type { Scope } from "../data/scope";

export async function withRecord<T>(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  work: (record: ClientRecord) => Promise<Taken<T>>,
): Promise<Taken<T>> {
  const record = await loadRecord(scope, em, clientId);
  return record ? work(record) : refuse({ code: "no-such-client" });
}

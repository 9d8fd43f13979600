import type { EntityManager } from "@mikro-orm/postgresql";
import { AuditRow } from "./tables/entities";

/** Whose data, and on whose behalf. The first argument of every repository function. */
export interface Scope {
  studioId: string;
  actorId: string;
}

/** What every appended row carries. */
export interface Stamp {
  studioId: string;
  id: string;
  createdAt: Date;
  createdBy: string;
}

/** Stamps a new row; ids made on a device are kept. */
export const stamp = ({ studioId, actorId }: Scope, id: string = crypto.randomUUID(), createdAt = new Date()): Stamp => ({
  studioId,
  id,
  createdAt,
  createdBy: actorId,
});

/** Notes who did what to which row. Never what it says. */
export async function audit(scope: Scope, em: EntityManager, verb: string, tableName: string, rowId: string): Promise<void> {
  await em.insert(AuditRow, { ...stamp(scope), verb, tableName, rowId });
}

export const READ_NOTED_EVERY_MIN = 10;
/** Looked at by somebody, or put on their tablet ahead: only the first says that they know. */
export type Reading = "read" | "put-on-a-tablet";
/** Notes that a client's page was given out: once in a while, however many pages that takes. */
export async function noteReading(scope: Scope, em: EntityManager, clientId: string, verb: Reading): Promise<void> {
  const since = new Date(Date.now() - READ_NOTED_EVERY_MIN * 60_000);
  const { studioId, actorId } = scope;
  const seen = await em.count(AuditRow, { studioId, rowId: clientId, verb, createdBy: actorId, createdAt: { $gt: since } });
  if (seen === 0) await audit(scope, em, verb, "client", clientId);
}

import type { EntityManager } from "@mikro-orm/postgresql";
import { AuditRow } from "./entities";

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

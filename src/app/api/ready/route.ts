import { canWrite } from "../../../data/heartbeat";
import { migrationsList } from "../../../data/migrations";
import { getOrm } from "../../../data/orm";

export const dynamic = "force-dynamic";

/** Answers 200 once this copy may be sent requests: the database takes what it is told, and is as this build needs it. */
export async function GET(): Promise<Response> {
  const isWell = await canWrite();
  const isCurrent = isWell && (await isMigrated().catch(() => false));
  return Response.json({ database: isWell, schema: isCurrent }, { status: isCurrent ? 200 : 503 });
}
async function isMigrated(): Promise<boolean> {
  const [row] = await (await getOrm()).em.fork().execute<{ count: number }[]>(`select migration_count() as count`);
  return row?.count === migrationsList.length;
}

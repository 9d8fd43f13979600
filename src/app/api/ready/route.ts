import { canWrite } from "../../../data/heartbeat";
import { migrationsList } from "../../../data/migrations";
import { getOrm } from "../../../data/orm";
import { timeLimitsHold } from "../../../data/time-limits";

export const dynamic = "force-dynamic";

/** Answers 200 once this copy may be sent requests: the database takes what it is told, is as this build needs it, and its time limits hold. */
export async function GET(): Promise<Response> {
  const isWell = await canWrite();
  const [isCurrent, isBounded] = isWell ? await looked().catch(() => [false, false]) : [false, false];
  return Response.json({ database: isWell, schema: isCurrent, limits: isBounded }, { status: isCurrent && isBounded ? 200 : 503 });
}
async function looked(): Promise<[boolean, boolean]> {
  const em = (await getOrm()).em.fork();
  const [row] = await em.execute<{ count: number }[]>(`select migration_count() as count`);
  return [row?.count === migrationsList.length, await timeLimitsHold(em)];
}

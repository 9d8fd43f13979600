import { canWrite } from "../../../data/heartbeat";

export const dynamic = "force-dynamic";

/** Answers 200 only while the database takes what it is told. */
export async function GET(): Promise<Response> {
  const isWell = await canWrite();
  return Response.json({ ok: isWell }, { status: isWell ? 200 : 503 });
}

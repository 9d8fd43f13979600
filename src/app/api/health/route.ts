import { getOrm } from "../../../data/orm";

export const dynamic = "force-dynamic";

/** Answers 200 only when the database does. */
export async function GET(): Promise<Response> {
  const isUp = await getOrm().then(
    (orm) => orm.isConnected(),
    () => false,
  );
  return Response.json({ ok: isUp }, { status: isUp ? 200 : 503 });
}

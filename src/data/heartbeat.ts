import { Pool } from "pg";

/** A connection of its own: health is answered while every other one is busy. */
const PATIENCE_MS = 2000;
const TRUE_FOR_MS = 500;
const held = globalThis as typeof globalThis & { ponderisHeartbeat?: Pool };

function pool(): Pool {
  if (!held.ponderisHeartbeat) {
    const patience = { connectionTimeoutMillis: PATIENCE_MS, query_timeout: PATIENCE_MS };
    held.ponderisHeartbeat = new Pool({ connectionString: process.env["DATABASE_URL"], max: 1, ...patience });
    held.ponderisHeartbeat.on("error", () => undefined); // an idle connection may die with the database
  }
  return held.ponderisHeartbeat;
}

let last: { atMs: number; answer: Promise<boolean> } = { atMs: -Infinity, answer: Promise.resolve(false) };

/** No room, a disk that fails, or read only: the heartbeat's own small write may still go through. */
const CANNOT_WRITE = ["53100", "58030", "25006"];
const REMEMBERED_MS = 10_000;
let refusedAtMs = -Infinity;
/** Notes a write that the database could not take for want of a disk. */
export function noteFailure(error: unknown): void {
  const { code } = (error ?? {}) as { code?: unknown };
  if (typeof code === "string" && CANNOT_WRITE.includes(code)) refusedAtMs = performance.now();
}

/** Whether the database can write now: asked at most twice a second, whoever asks. */
export function canWrite(): Promise<boolean> {
  const nowMs = performance.now();
  if (nowMs - refusedAtMs < REMEMBERED_MS) return Promise.resolve(false);
  if (nowMs - last.atMs > TRUE_FOR_MS)
    last = {
      atMs: nowMs,
      answer: pool()
        .query("update heartbeat set at = now() where id = 1")
        .then(
          ({ rowCount }) => rowCount === 1,
          () => false,
        ),
    };
  return last.answer;
}

import type { EventRefusal, FloorEvent, Verdict } from "../../core/floor/events";
import { steadyMs } from "./clock";

const PATIENCE_MS = 15_000;

/** What became of one batch. Only what the studio names itself has arrived or was refused; anything else is sent again. */
export type Answer = { kind: "verdict"; verdict: Verdict } | { kind: "signed-out" | "too-large" | "no-answer" };

const isText = (value: unknown): value is string => typeof value === "string";

function verdictFrom(body: unknown): Verdict | null {
  const { received, refused } = (body ?? {}) as { received?: unknown; refused?: unknown };
  if (!Array.isArray(received) || !received.every(isText) || !Array.isArray(refused)) return null;
  const named = refused as { id?: unknown; code?: unknown }[];
  if (!named.every((each) => isText(each?.id) && isText(each.code))) return null;
  return { received, refused: named.map(({ id, code }) => ({ id: id as string, code: code as EventRefusal })) };
}

/** Sends one batch of one person's, and believes nothing but the studio's own answer: no redirect, no page, no proxy's status. */
export async function sendBatch(by: string, events: readonly FloorEvent[]): Promise<Answer> {
  try {
    const response = await fetch("/api/floor", {
      method: "POST",
      redirect: "manual",
      cache: "no-store",
      signal: AbortSignal.timeout(PATIENCE_MS),
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ by, sentAt: new Date(steadyMs()).toISOString(), events }),
    });
    const body: unknown = await response.json().catch(() => null);
    const code = (body as { code?: unknown } | null)?.code;
    if (response.status === 401 && code === "signed-out") return { kind: "signed-out" };
    if (response.status === 413) return { kind: "too-large" };
    const verdict = response.status === 200 ? verdictFrom(body) : null;
    return verdict ? { kind: "verdict", verdict } : { kind: "no-answer" };
  } catch {
    return { kind: "no-answer" };
  }
}

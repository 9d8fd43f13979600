import type { EventRefusal, FloorEvent, Verdict } from "../../core/floor/events";
import { type Answer, verdictFrom } from "../entry";
import { steadyMs } from "../clock";

const PATIENCE_MS = 15_000;

/** Sends one batch of one person's, and believes nothing but the studio's own answer: no redirect, no page, no proxy's status. */
export async function sendBatch(by: string, events: readonly FloorEvent[]): Promise<Answer<EventRefusal>> {
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
    const verdict = response.status === 200 ? (verdictFrom(body) as Verdict | null) : null; // codes are the studio's
    return verdict ? { kind: "verdict", verdict } : { kind: "no-answer" };
  } catch {
    return { kind: "no-answer" };
  }
}

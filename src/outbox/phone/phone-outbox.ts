"use client";
import { v4 as newUuid } from "uuid";
import type { HomeTold } from "../../core/record/facts/home-told";
import { type Answer, type Kept, verdictFrom } from "../entry";
import { Outbox, type OutboxState } from "../outbox";
import { type PhoneEntry, PhoneStore } from "./phone-store";

const PATIENCE_MS = 15_000;

async function sendEntries(token: string, entries: readonly PhoneEntry[]): Promise<Answer> {
  try {
    const response = await fetch(`/api/me/${token}`, {
      method: "POST",
      redirect: "manual",
      cache: "no-store",
      signal: AbortSignal.timeout(PATIENCE_MS),
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ entries: entries.map(({ id, at, told }) => ({ id, at, told })) }),
    });
    const body: unknown = await response.json().catch(() => null);
    const code = (body as { code?: unknown } | null)?.code;
    if (response.status === 404 && code === "link-ended") return { kind: "ended" };
    if (response.status === 413) return { kind: "too-large" };
    const verdict = response.status === 200 ? verdictFrom(body) : null;
    return verdict ? { kind: "verdict", verdict } : { kind: "no-answer" };
  } catch {
    return { kind: "no-answer" };
  }
}

/** A client's way from their phone to the studio, whichever link it goes by: what was unsent when one ended goes on by the next. */
export class PhoneOutbox extends Outbox<PhoneEntry> {
  private sent: readonly Kept<PhoneEntry>[] = [];
  private seen: readonly Kept<PhoneEntry>[] = [];
  private seenOf: OutboxState<Kept<PhoneEntry>> | null = null;

  constructor(token: string, ownKey: string, linkHash: string) {
    const name = `ponderis-home-${ownKey}`;
    // until 0.20 a list as text; until 0.16 each link had a place of its own
    const store = new PhoneStore(name, [name, `ponderis-home-${linkHash.slice(0, 16)}`]);
    super({ name, store, send: (entries) => sendEntries(token, entries) });
    void store.sent().then(
      (before) => {
        this.settled(before);
        this.say();
      },
      () => undefined, // a phone that keeps nothing has nothing of before
    );
  }

  tell(told: HomeTold): string {
    return this.add((sequence) => ({ id: newUuid(), at: new Date().toISOString(), told, sequence })).id;
  }

  /** Everything this phone has of the last day and a half, as it was told; the same list until something changes. */
  readonly entries = (): readonly Kept<PhoneEntry>[] => {
    const now = this.snapshot();
    if (this.seenOf !== now) {
      this.seenOf = now;
      const here = [...this.unsent.values()];
      const before = this.sent.filter(({ event }) => !this.unsent.has(event.id));
      this.seen = [...before, ...here].toSorted((a, b) => a.event.sequence - b.event.sequence);
    }
    return this.seen;
  };

  protected override settled(told: readonly Kept<PhoneEntry>[]): void {
    const sent = told.filter(({ state }) => state === "sent");
    this.sent = [...this.sent.filter(({ event }) => !sent.some((each) => each.event.id === event.id)), ...sent];
  }
}

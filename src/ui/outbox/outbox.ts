"use client";
import { v4 as newUuid } from "uuid";
import type { Day } from "../../core/day";
import type { FloorEvent, FloorEventBody } from "../../core/floor/events";
import { steadyMs } from "./clock";
import { EventStore, type Kept, lockStores, type Owner, storeNameOf } from "./event-store";
import { keyFrom } from "./seal";
import { sendBatch } from "./sender";

const BATCH = 100;
const RETRY_MS = [1000, 2000, 4000, 8000, 15_000];
const DEVICE_KEY = "ponderis-device";
const LOCK = "ponderis-outbox";

/** What of this person's entries is where. */
export interface OutboxState {
  /** False until what this tablet holds has been read. */
  isReady: boolean;
  /** Not yet in the studio. */
  waiting: number;
  /** Of those, on this open page alone: the tablet could not keep them. */
  atRisk: number;
  /** Whether this tablet keeps what is tapped. */
  canKeep: boolean;
  refused: readonly Kept[];
  outcome: "all-sent" | "sending" | "no-connection" | "signed-out";
}

export const NOTHING_YET: OutboxState = { isReady: false, waiting: 0, atRisk: 0, canKeep: true, refused: [], outcome: "all-sent" };

function deviceId(): string {
  try {
    const known = localStorage.getItem(DEVICE_KEY);
    if (known) return known;
    const made = newUuid();
    localStorage.setItem(DEVICE_KEY, made);
    return made;
  } catch {
    return newUuid(); // storage is denied: this page is a device of its own
  }
}

/**
 * The one way from this tablet to the studio, for every signed-in page. An event is in memory at once, then in the
 * tablet's store, then in the studio, and is forgotten nowhere before the studio has named it. One tab sends at a time.
 */
export class Outbox {
  readonly store: EventStore;
  private readonly device = deviceId();
  private readonly channel = new BroadcastChannel("ponderis-outbox");
  /** Unsent events this page knows of, by id. */
  private readonly unsent = new Map<string, Kept>();
  /** Those that the tablet's store does not have. */
  private readonly unkept = new Set<string>();
  private readonly listeners = new Set<() => void>();
  private sequence = 0;
  private attempt = 0;
  private batch = BATCH;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private isSending = false;
  private readonly left = new AbortController();
  private state = NOTHING_YET;

  constructor(readonly owner: Owner) {
    this.store = new EventStore(storeNameOf(owner));
    void this.open();
    const signal = this.left.signal;
    addEventListener("online", () => this.wake(), { signal });
    addEventListener(
      "beforeunload",
      (event) => {
        if (this.unkept.size > 0) event.preventDefault();
      },
      { signal },
    );
    this.channel.onmessage = () => void this.reread();
  }

  readonly subscribe = (told: () => void): (() => void) => {
    this.listeners.add(told);
    return () => this.listeners.delete(told);
  };
  readonly snapshot = (): OutboxState => this.state;

  /** Takes an event in. It is shown at once; what it says of its safety follows. */
  append(sessionId: string, body: FloorEventBody): FloorEvent {
    this.sequence += 1;
    const occurredAt = new Date(steadyMs()).toISOString();
    const event = { id: newUuid(), deviceId: this.device, sequence: this.sequence, sessionId, occurredAt, body };
    this.unsent.set(event.id, { event, state: "waiting" });
    this.unkept.add(event.id);
    this.tell({ outcome: "sending" });
    void this.keep().then(() => {
      this.channel.postMessage("appended");
      this.wake();
    });
    return event;
  }

  /** What this tablet holds of a session. */
  async eventsOf(sessionId: string): Promise<FloorEvent[]> {
    const kept = await this.store.ofSession(sessionId).catch(() => []);
    const own = [...this.unsent.values()].filter(({ event }) => event.sessionId === sessionId);
    return [...kept, ...own].map(({ event }) => event);
  }

  /** The last session of a client that this tablet began by itself on a day; null where it began none. */
  async openedHere(clientId: string, day: Day): Promise<FloorEvent | null> {
    const kept = await this.store.all().catch(() => []);
    const own = [...kept, ...this.unsent.values()].map(({ event }) => event);
    return (
      own
        .filter(({ body }) => body.kind === "session-opened" && body.clientId === clientId && body.day === day)
        .toSorted((a, b) => a.sequence - b.sequence)
        .at(-1) ?? null
    );
  }

  /** Once the cause is gone: what was refused waits again. */
  async sendRefusedAgain(): Promise<void> {
    for (const [id, { event, state }] of this.unsent) {
      if (state !== "refused") continue;
      this.unsent.set(id, { event, state: "waiting" });
      this.unkept.add(id);
    }
    await this.keep();
    this.wake();
  }

  /** On signing out: writes down what it can, and sends no more. False where something is on this page alone: then it stays. */
  async leave(): Promise<boolean> {
    await this.keep();
    if (this.unkept.size > 0) return false;
    this.left.abort();
    clearTimeout(this.timer);
    this.channel.close();
    return true;
  }

  wake(): void {
    this.attempt = 0;
    void this.send();
  }

  private tell(more: Partial<OutboxState> = {}): void {
    const all = [...this.unsent.values()];
    this.state = {
      ...this.state,
      ...more,
      waiting: all.filter(({ state }) => state === "waiting").length,
      atRisk: this.unkept.size,
      refused: all.filter(({ state }) => state === "refused"),
    };
    for (const told of this.listeners) told();
  }

  private async open(): Promise<void> {
    await navigator.storage?.persist?.().catch(() => false);
    try {
      await this.store.probe();
      const key = await keyFrom(this.owner.lockKey);
      if (key) await this.store.unlock(key);
      this.sequence = Math.max(this.sequence, await this.store.lastSequence());
      await this.store.prune();
      await this.reread();
    } catch {
      this.tell({ canKeep: false });
    }
    this.tell({ isReady: true });
    this.wake();
  }

  /** Another tab of the same person has changed the store. */
  private async reread(): Promise<void> {
    const stored = await this.store.unsent().catch(() => null);
    if (!stored) return;
    for (const id of this.unsent.keys()) if (!this.unkept.has(id)) this.unsent.delete(id);
    for (const kept of stored) if (!this.unkept.has(kept.event.id)) this.unsent.set(kept.event.id, kept);
    this.sequence = Math.max(this.sequence, ...stored.map(({ event }) => event.sequence));
    this.tell();
  }

  /** Writes down what is only in memory; what cannot be is tried again with the next event or attempt. */
  private async keep(): Promise<void> {
    const wanting = [...this.unkept].flatMap((id) => this.unsent.get(id) ?? []);
    if (wanting.length === 0) return;
    try {
      await this.store.put(wanting);
      for (const kept of wanting) if (this.unsent.get(kept.event.id) === kept) this.unkept.delete(kept.event.id);
      this.tell({ canKeep: true });
    } catch {
      this.tell({ canKeep: false });
    }
  }

  private async send(): Promise<void> {
    clearTimeout(this.timer);
    if (this.isSending || this.left.signal.aborted) return;
    this.isSending = true;
    const outcome = await this.underLock(() => this.sendAll()).catch((): OutboxState["outcome"] => "no-connection");
    this.isSending = false;
    const isDone = outcome === "all-sent" || outcome === null;
    const waits = this.state.waiting > 0;
    this.tell(outcome ? { outcome } : waits ? {} : { outcome: "all-sent" });
    if ((isDone && !waits) || this.left.signal.aborted) return;
    this.timer = setTimeout(() => void this.send(), RETRY_MS[Math.min(this.attempt, RETRY_MS.length - 1)]);
    this.attempt += 1;
  }

  /** One tab at a time; null where another has it. Where the browser has no locks, sending twice does no harm. */
  private underLock<T>(work: () => Promise<T>): Promise<T | null> {
    if (!navigator.locks) return work();
    const name = `${LOCK} ${this.owner.studioId} ${this.owner.actorId}`;
    return navigator.locks.request(name, { ifAvailable: true }, async (lock) => (lock ? work() : null));
  }

  private async sendAll(): Promise<OutboxState["outcome"]> {
    await this.keep();
    await this.reread();
    for (;;) {
      const waiting = [...this.unsent.values()]
        .filter(({ state }) => state === "waiting")
        .sort((a, b) => a.event.sequence - b.event.sequence)
        .slice(0, this.batch);
      if (waiting.length === 0) return "all-sent";
      this.tell({ outcome: "sending" });
      const answer = await sendBatch(
        this.owner.actorId,
        waiting.map(({ event }) => event),
      );
      if (answer.kind === "signed-out") return "signed-out";
      if (answer.kind !== "verdict") {
        if (answer.kind === "too-large") this.batch = Math.max(1, this.batch >> 1);
        return "no-connection";
      }
      this.batch = BATCH;
      const { received, refused } = answer.verdict;
      const told = waiting.flatMap(({ event }): Kept[] => {
        if (received.includes(event.id)) return [{ event, state: "sent" }];
        const refusal = refused.find(({ id }) => id === event.id)?.code;
        return refusal ? [{ event, state: "refused", refusal }] : [];
      });
      if (told.length === 0) return "no-connection"; // an answer that speaks of nothing we sent is not the studio's
      await this.settle(told);
    }
  }

  private async settle(told: readonly Kept[]): Promise<void> {
    const isStored = await this.store.put(told).then(
      () => true,
      () => false,
    );
    for (const kept of told) {
      const { id } = kept.event;
      if (kept.state === "sent") this.unsent.delete(id);
      else this.unsent.set(id, kept);
      if (kept.state === "sent" || isStored) this.unkept.delete(id);
    }
    this.tell();
    if (!this.left.signal.aborted) this.channel.postMessage("settled");
  }
}

let held: Outbox | null = null;
/** Nobody is signed in on this tablet: what the studio has is erased from it, what it has not is locked. */
export async function leaveTablet(): Promise<void> {
  if (await held?.leave()) held = null;
  await lockStores();
}
/** The outbox of whoever is signed in on this page. */
export function outboxOf(owner: Owner): Outbox {
  if (held?.owner.studioId !== owner.studioId || held.owner.actorId !== owner.actorId) held = new Outbox(owner);
  return held;
}

"use client";
import type { Entry, Kept, Way } from "./entry";

const BATCH = 100;
const RETRY_MS = [1000, 2000, 4000, 8000, 15_000];

/** What of this person's entries is where. */
export interface OutboxState<K = Kept<Entry>> {
  /** False until what this device holds has been read. */
  isReady: boolean;
  /** Not yet in the studio. */
  waiting: number;
  /** Of those, on this open page alone: the device could not keep them. */
  atRisk: number;
  /** Whether this device keeps what is tapped. */
  canKeep: boolean;
  refused: readonly K[];
  /** Ended: the studio takes nothing more this way, and is asked no further. */
  outcome: "all-sent" | "sending" | "no-connection" | "signed-out" | "ended";
}

export const NOTHING_YET: OutboxState<never> = { isReady: false, waiting: 0, atRisk: 0, canKeep: true, refused: [], outcome: "all-sent" };

/**
 * The one way from a device to the studio. An entry is in memory at once, then in the device's store, then in the studio, and is
 * forgotten nowhere before the studio has named it. One tab sends at a time. Where entries are kept and how they are sent is the
 * driver's: the floor's on a tablet, a client's own page on a phone.
 */
export class Outbox<E extends Entry, R extends string = string> {
  private readonly channel: BroadcastChannel;
  /** Unsent entries this page knows of, by id. */
  protected readonly unsent = new Map<string, Kept<E, R>>();
  /** Those that the tablet's store does not have. */
  private readonly unkept = new Set<string>();
  private readonly listeners = new Set<() => void>();
  /** Looks at the store that are under way, each with what was settled since it began: what it finds of those is of before. */
  private readonly looks = new Set<Set<string>>();
  private sequence = 0;
  private attempt = 0;
  private batch = BATCH;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private isSending = false;
  private isOver = false;
  private readonly left = new AbortController();
  private state: OutboxState<Kept<E, R>> = NOTHING_YET;

  constructor(protected readonly way: Way<E, R>) {
    this.channel = new BroadcastChannel(`${way.name} told`);
    void this.open();
    const signal = this.left.signal;
    addEventListener("online", () => this.wake(), { signal });
    document.addEventListener("visibilitychange", () => document.visibilityState === "visible" && this.wake(), { signal });
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
  readonly snapshot = (): OutboxState<Kept<E, R>> => this.state;

  /** Takes an entry in, next in the order of taps. It is shown at once; what it says of its safety follows. */
  protected add(make: (sequence: number) => E): E {
    this.sequence += 1;
    const event = make(this.sequence);
    this.unsent.set(event.id, { event, state: "waiting" });
    this.unkept.add(event.id);
    this.say(this.isOver ? {} : { outcome: "sending" });
    void this.keep().then(() => {
      this.channel.postMessage("appended");
      this.wake();
    });
    return event;
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

  protected say(more: Partial<OutboxState<Kept<E, R>>> = {}): void {
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
      await this.way.store.open();
      this.sequence = Math.max(this.sequence, await this.way.store.lastSequence());
      await this.reread();
    } catch {
      this.say({ canKeep: false });
    }
    this.say({ isReady: true });
    this.wake();
  }

  /**
   * Another tab of the same person has changed the store. While it is looked at, entries may be kept here that it does not show
   * yet, and others settled that it still shows as unsent: neither is what another tab did.
   */
  private async reread(): Promise<void> {
    const keptBefore = [...this.unsent.keys()].filter((id) => !this.unkept.has(id));
    const settledSince = new Set<string>();
    this.looks.add(settledSince);
    const stored = await this.way.store.unsent().catch(() => null);
    this.looks.delete(settledSince);
    if (!stored) return;
    for (const id of keptBefore) if (!this.unkept.has(id)) this.unsent.delete(id);
    for (const kept of stored) {
      const { id, sequence } = kept.event;
      this.sequence = Math.max(this.sequence, sequence);
      if (!this.unkept.has(id) && !settledSince.has(id)) this.unsent.set(id, kept);
    }
    this.say();
  }

  /** Writes down what is only in memory; what cannot be is tried again with the next event or attempt. */
  private async keep(): Promise<void> {
    const wanting = [...this.unkept].flatMap((id) => this.unsent.get(id) ?? []);
    if (wanting.length === 0) return;
    try {
      await this.way.store.put(wanting);
      for (const kept of wanting) if (this.unsent.get(kept.event.id) === kept) this.unkept.delete(kept.event.id);
      this.say({ canKeep: true });
    } catch {
      this.say({ canKeep: false });
    }
  }

  private async send(): Promise<void> {
    clearTimeout(this.timer);
    if (this.isSending || this.isOver || this.left.signal.aborted) return;
    this.isSending = true;
    const outcome = await this.underLock(() => this.sendAll()).catch((): OutboxState["outcome"] => "no-connection");
    this.isSending = false;
    if (outcome === "ended") {
      this.isOver = true;
      return this.say({ outcome });
    }
    const isDone = outcome === "all-sent" || outcome === null;
    const waits = this.state.waiting > 0;
    this.say(outcome ? { outcome } : waits ? {} : { outcome: "all-sent" });
    if ((isDone && !waits) || this.left.signal.aborted) return;
    this.timer = setTimeout(() => void this.send(), RETRY_MS[Math.min(this.attempt, RETRY_MS.length - 1)]);
    this.attempt += 1;
  }

  /** One tab at a time; null where another has it. Where the browser has no locks, sending twice does no harm. */
  private underLock<T>(work: () => Promise<T>): Promise<T | null> {
    if (!navigator.locks) return work();
    return navigator.locks.request(this.way.name, { ifAvailable: true }, async (lock) => (lock ? work() : null));
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
      this.say({ outcome: "sending" });
      const answer = await this.way.send(waiting.map(({ event }) => event));
      if (answer.kind === "signed-out" || answer.kind === "ended") return answer.kind;
      if (answer.kind !== "verdict") {
        if (answer.kind === "too-large") this.batch = Math.max(1, this.batch >> 1);
        return "no-connection";
      }
      this.batch = BATCH;
      const { received, refused } = answer.verdict;
      const told = waiting.flatMap(({ event }): Kept<E, R>[] => {
        if (received.includes(event.id)) return [{ event, state: "sent" }];
        const refusal = refused.find(({ id }) => id === event.id)?.code;
        return refusal ? [{ event, state: "refused", refusal }] : [];
      });
      if (told.length === 0) return "no-connection"; // an answer that speaks of nothing we sent is not the studio's
      await this.settle(told);
    }
  }

  private async settle(told: readonly Kept<E, R>[]): Promise<void> {
    const isStored = await this.way.store.put(told).then(
      () => true,
      () => false,
    );
    for (const kept of told) {
      const { id } = kept.event;
      for (const settledSince of this.looks) settledSince.add(id);
      if (kept.state === "sent") this.unsent.delete(id);
      else this.unsent.set(id, kept);
      if (kept.state === "sent" || isStored) this.unkept.delete(id);
    }
    this.settled(told);
    this.say();
    if (!this.left.signal.aborted) this.channel.postMessage("settled");
  }
  /** For a driver that shows what the studio has. */
  protected settled(_: readonly Kept<E, R>[]): void {}
}

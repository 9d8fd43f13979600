"use client";
import { v4 as newUuid } from "uuid";
import type { Day } from "../../core/day";
import type { EventRefusal, FloorEvent, FloorEventBody } from "../../core/floor/events";
import { steadyMs } from "../clock";
import { Outbox } from "../outbox";
import { EventStore, lockStores, type Owner, storeNameOf } from "./event-store";
import { sendBatch } from "./sender";

const DEVICE_KEY = "ponderis-device";

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

/** The trainer's way from this tablet to the studio, for every signed-in page. */
export class FloorOutbox extends Outbox<FloorEvent, EventRefusal> {
  readonly store: EventStore;
  private readonly device = deviceId();

  constructor(readonly owner: Owner) {
    const store = new EventStore(storeNameOf(owner), owner.lockKey);
    super({
      name: `ponderis-outbox ${owner.studioId} ${owner.actorId}`,
      store,
      send: (events) => sendBatch(owner.actorId, events),
    });
    this.store = store;
  }

  append(sessionId: string, body: FloorEventBody): FloorEvent {
    const occurredAt = new Date(steadyMs()).toISOString();
    return this.add((sequence) => ({ id: newUuid(), deviceId: this.device, sequence, sessionId, occurredAt, body }));
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
}

let held: FloorOutbox | null = null;
/** Nobody is signed in on this tablet: what the studio has is erased from it, what it has not is locked. */
export async function leaveTablet(): Promise<void> {
  if (await held?.leave()) held = null;
  await lockStores();
}
/** The outbox of whoever is signed in on this page. */
export function outboxOf(owner: Owner): FloorOutbox {
  if (held?.owner.studioId !== owner.studioId || held.owner.actorId !== owner.actorId) held = new FloorOutbox(owner);
  return held;
}

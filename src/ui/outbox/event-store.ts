"use client";
import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { EventRefusal, FloorEvent } from "../../core/floor/events";

/** An event on this device, and what the studio has said of it. */
export interface Kept {
  event: FloorEvent;
  state: "waiting" | "sent" | "refused";
  refusal?: EventRefusal;
}
/** Whose events: another person on the same tablet has a store of their own. */
export interface Owner {
  studioId: string;
  actorId: string;
}
interface FloorSchema extends DBSchema {
  events: { key: string; value: Kept & { sessionId: string }; indexes: { session: string; state: string; sequence: number } };
  probe: { key: string; value: number };
}

const PATIENCE_MS = 3000;
const KEPT_DAYS = 3;

function within<T>(work: Promise<T>): Promise<T> {
  return Promise.race([
    work,
    new Promise<never>((_, fail) => {
      setTimeout(() => fail(new Error("the tablet's store does not answer")), PATIENCE_MS);
    }),
  ]);
}

/** The tablet's own store of one person's events. Every call may fail: blocked, denied, full, or closed under our feet. */
export class EventStore {
  private opened: Promise<IDBPDatabase<FloorSchema>> | null = null;

  constructor(private readonly owner: Owner) {}

  private database(): Promise<IDBPDatabase<FloorSchema>> {
    const forget = (): void => {
      this.opened = null; // the next call opens it anew
    };
    this.opened ??= within(
      openDB<FloorSchema>(`ponderis-floor ${this.owner.studioId} ${this.owner.actorId}`, 1, {
        upgrade: (db) => {
          const store = db.createObjectStore("events");
          store.createIndex("session", "sessionId");
          store.createIndex("state", "state");
          store.createIndex("sequence", "event.sequence");
          db.createObjectStore("probe");
        },
        terminated: forget,
        blocking: forget,
      }),
    );
    return this.opened;
  }

  /** Runs one piece of work on the open database; after a failure the next call opens it anew. */
  private async with<T>(work: (db: IDBPDatabase<FloorSchema>) => Promise<T>): Promise<T> {
    try {
      return await within(this.database().then(work));
    } catch (error) {
      const failed = this.opened;
      this.opened = null;
      failed?.then(
        (db) => db.close(),
        () => undefined,
      );
      throw error;
    }
  }

  /** Whether something written is really there. */
  probe(): Promise<void> {
    return this.with(async (db) => {
      await db.put("probe", Date.now(), "last");
    });
  }

  put(all: readonly Kept[]): Promise<void> {
    return this.with(async (db) => {
      const write = db.transaction("events", "readwrite", { durability: "strict" });
      for (const kept of all) void write.store.put({ ...kept, sessionId: kept.event.sessionId }, kept.event.id);
      await write.done;
    });
  }

  /** What the studio does not have. */
  unsent(): Promise<Kept[]> {
    return this.with(async (db) => [
      ...(await db.getAllFromIndex("events", "state", "waiting")),
      ...(await db.getAllFromIndex("events", "state", "refused")),
    ]);
  }

  ofSession(sessionId: string): Promise<Kept[]> {
    return this.with((db) => db.getAllFromIndex("events", "session", sessionId));
  }

  lastSequence(): Promise<number> {
    return this.with(async (db) => {
      const cursor = await db.transaction("events").store.index("sequence").openKeyCursor(null, "prev");
      return cursor?.key ?? 0;
    });
  }

  /** Drops what the studio has: all of it, or what is older than a few days. */
  prune(everything: boolean): Promise<void> {
    return this.with(async (db) => {
      const write = db.transaction("events", "readwrite");
      const before = new Date(Date.now() - KEPT_DAYS * 86_400_000).toISOString();
      for (const { event } of await write.store.index("state").getAll("sent"))
        if (everything || event.occurredAt < before) void write.store.delete(event.id);
      await write.done;
    });
  }
}

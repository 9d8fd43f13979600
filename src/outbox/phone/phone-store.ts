"use client";
import type { DBSchema } from "idb";
import type { HomeEntry } from "../../core/record/facts/home-told";
import type { Entry, EntryStore, Kept } from "../entry";
import { OwnDatabase } from "../own-database";

/** What a client told on this phone, in the order of telling. */
export type PhoneEntry = HomeEntry & Entry;

interface PhoneSchema extends DBSchema {
  entries: { key: string; value: Kept<PhoneEntry>; indexes: { state: string; sequence: number } };
}
/** What an older build kept: a list as text, under the client's own key or the link's. */
interface Older {
  id: string;
  at: string;
  told: PhoneEntry["told"];
  isSent: boolean;
  refused: string | null;
}
const KEPT_MS = 36 * 3_600_000;

function olderAt(key: string): Older[] {
  try {
    return JSON.parse(localStorage.getItem(key) ?? "[]") as Older[];
  } catch {
    return [];
  }
}

/** One client's entries on one phone, whatever link they came by. */
export class PhoneStore implements EntryStore<PhoneEntry> {
  private readonly database: OwnDatabase<PhoneSchema>;

  constructor(
    name: string,
    private readonly olderKeys: readonly string[],
  ) {
    this.database = new OwnDatabase<PhoneSchema>(name, 1, (db) => {
      const store = db.createObjectStore("entries");
      store.createIndex("state", "state");
      store.createIndex("sequence", "event.sequence");
    });
  }

  async open(): Promise<void> {
    for (const key of this.olderKeys) await this.takeOver(key);
    await this.prune();
  }
  private async takeOver(key: string): Promise<void> {
    const older = olderAt(key);
    if (older.length === 0) return;
    const first = (await this.lastSequence()) + 1;
    await this.put(
      older.map(({ id, at, told, isSent, refused }, i): Kept<PhoneEntry> => {
        const event = { id, at, told, sequence: first + i };
        if (isSent) return { event, state: "sent" };
        return refused === null ? { event, state: "waiting" } : { event, state: "refused", refusal: refused };
      }),
    );
    localStorage.removeItem(key);
  }
  /** What was sent is kept for a day and a half, for a page shown again without a connection; what was not, until it is. */
  private prune(): Promise<void> {
    return this.database.with(async (db) => {
      const write = db.transaction("entries", "readwrite");
      for (const { event } of await write.store.index("state").getAll("sent"))
        if (Date.now() - Date.parse(event.at) > KEPT_MS) void write.store.delete(event.id);
      await write.done;
    });
  }

  put(all: readonly Kept<PhoneEntry>[]): Promise<void> {
    return this.database.with(async (db) => {
      const write = db.transaction("entries", "readwrite", { durability: "strict" });
      for (const kept of all) void write.store.put(kept, kept.event.id);
      await write.done;
    });
  }
  unsent(): Promise<Kept<PhoneEntry>[]> {
    return this.database.with(async (db) => [
      ...(await db.getAllFromIndex("entries", "state", "waiting")),
      ...(await db.getAllFromIndex("entries", "state", "refused")),
    ]);
  }
  sent(): Promise<Kept<PhoneEntry>[]> {
    return this.database.with((db) => db.getAllFromIndex("entries", "state", "sent"));
  }
  lastSequence(): Promise<number> {
    return this.database.with(async (db) => {
      const cursor = await db.transaction("entries").store.index("sequence").openKeyCursor(null, "prev");
      return cursor?.key ?? 0;
    });
  }
}

"use client";
import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { EntryStore, Kept } from "../entry";
import type { PhoneEntry } from "./phone-outbox";

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
  private opened: Promise<IDBPDatabase<PhoneSchema>> | null = null;

  constructor(
    private readonly name: string,
    private readonly olderKeys: readonly string[],
  ) {}

  private database(): Promise<IDBPDatabase<PhoneSchema>> {
    const forget = (): void => {
      this.opened = null; // the next call opens it anew
    };
    this.opened ??= openDB<PhoneSchema>(this.name, 1, {
      upgrade: (db) => {
        const store = db.createObjectStore("entries");
        store.createIndex("state", "state");
        store.createIndex("sequence", "event.sequence");
      },
      terminated: forget,
      blocking: forget,
    });
    this.opened.catch(forget);
    return this.opened;
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
  private async prune(): Promise<void> {
    const write = (await this.database()).transaction("entries", "readwrite");
    for (const { event } of await write.store.index("state").getAll("sent"))
      if (Date.now() - Date.parse(event.at) > KEPT_MS) void write.store.delete(event.id);
    await write.done;
  }

  async put(all: readonly Kept<PhoneEntry>[]): Promise<void> {
    const write = (await this.database()).transaction("entries", "readwrite", { durability: "strict" });
    for (const kept of all) void write.store.put(kept, kept.event.id);
    await write.done;
  }
  async unsent(): Promise<Kept<PhoneEntry>[]> {
    const db = await this.database();
    return [...(await db.getAllFromIndex("entries", "state", "waiting")), ...(await db.getAllFromIndex("entries", "state", "refused"))];
  }
  async sent(): Promise<Kept<PhoneEntry>[]> {
    return (await this.database()).getAllFromIndex("entries", "state", "sent");
  }
  async lastSequence(): Promise<number> {
    const cursor = await (await this.database()).transaction("entries").store.index("sequence").openKeyCursor(null, "prev");
    return cursor?.key ?? 0;
  }
}

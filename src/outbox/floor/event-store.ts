"use client";
import type { DBSchema } from "idb";
import type { EventRefusal, FloorEvent } from "../../core/floor/events";
import type { PictureSaid } from "../../core/floor/picture";
import type { EntryStore, Kept as KeptEntry } from "../entry";
import { OwnDatabase } from "../own-database";
import { keyFrom, type Sealed, seal, unseal } from "./seal";

type Kept = KeptEntry<FloorEvent, EventRefusal>;
/** Whose events: another person on the same tablet has a store of their own. */
export interface Owner {
  studioId: string;
  actorId: string;
  /** What locks this person's entries on the tablet while they are signed out (base64). */
  lockKey: string;
}
interface FloorSchema extends DBSchema {
  events: { key: string; value: Kept & { sessionId: string }; indexes: { session: string; state: string; sequence: number } };
  probe: { key: string; value: number };
  locked: { key: number; value: Sealed };
  keys: { key: string; value: CryptoKey };
  pictures: { key: string; value: TabletPicture };
}
/** A picture of a repetition that its client has not agreed to yet: on this tablet alone. */
export interface TabletPicture extends PictureSaid {
  clientId: string;
  /** A JPEG as a data address. */
  jpeg: string;
}
/** What is locked while its person is signed out; before there were pictures it was the events alone. */
type Locked = { events: FloorSchema["events"]["value"][]; pictures: TabletPicture[] };

const KEPT_DAYS = 3;
const NAME = "ponderis-floor ";
const KEY = "own";

export const storeNameOf = ({ studioId, actorId }: Owner): string => `${NAME}${studioId} ${actorId}`;

/** The tablet's own store of one person's events, what is locked in it given back by their key. */
export class EventStore implements EntryStore<FloorEvent, EventRefusal> {
  private readonly database: OwnDatabase<FloorSchema>;

  constructor(
    name: string,
    private readonly lockKey = "",
  ) {
    this.database = new OwnDatabase<FloorSchema>(name, 3, (db, from) => {
      if (from < 1) {
        const store = db.createObjectStore("events");
        store.createIndex("session", "sessionId");
        store.createIndex("state", "state");
        store.createIndex("sequence", "event.sequence");
        db.createObjectStore("probe");
      }
      if (from < 2) {
        db.createObjectStore("locked", { autoIncrement: true });
        db.createObjectStore("keys");
      }
      db.createObjectStore("pictures");
    });
  }

  async open(): Promise<void> {
    await this.probe();
    const key = this.lockKey ? await keyFrom(this.lockKey) : null;
    if (key) await this.unlock(key);
    await this.prune();
  }

  /** Whether something written is really there. */
  private probe(): Promise<void> {
    return this.database.with(async (db) => {
      await db.put("probe", Date.now(), "last");
    });
  }

  put(all: readonly Kept[]): Promise<void> {
    return this.database.with(async (db) => {
      const write = db.transaction("events", "readwrite", { durability: "strict" });
      for (const kept of all) void write.store.put({ ...kept, sessionId: kept.event.sessionId }, kept.event.id);
      await write.done;
    });
  }

  /** What the studio does not have. */
  unsent(): Promise<Kept[]> {
    return this.database.with(async (db) => [
      ...(await db.getAllFromIndex("events", "state", "waiting")),
      ...(await db.getAllFromIndex("events", "state", "refused")),
    ]);
  }

  ofSession(sessionId: string): Promise<Kept[]> {
    return this.database.with((db) => db.getAllFromIndex("events", "session", sessionId));
  }

  /** Everything there is, of the last few days. */
  all(): Promise<Kept[]> {
    return this.database.with((db) => db.getAll("events"));
  }

  lastSequence(): Promise<number> {
    return this.database.with(async (db) => {
      const cursor = await db.transaction("events").store.index("sequence").openKeyCursor(null, "prev");
      return cursor?.key ?? 0;
    });
  }

  /** Drops what the studio has had for a few days. */
  private prune(): Promise<void> {
    return this.database.with(async (db) => {
      const write = db.transaction("events", "readwrite");
      const before = new Date(Date.now() - KEPT_DAYS * 86_400_000).toISOString();
      for (const { event } of await write.store.index("state").getAll("sent"))
        if (event.occurredAt < before) void write.store.delete(event.id);
      await write.done;
    });
  }

  putPicture(picture: TabletPicture): Promise<void> {
    return this.database.with(async (db) => {
      await db.put("pictures", picture, picture.id);
    });
  }
  picturesOf(clientId: string): Promise<TabletPicture[]> {
    return this.database.with(async (db) => (await db.getAll("pictures")).filter((each) => each.clientId === clientId));
  }
  dropPicture(id: string): Promise<void> {
    return this.database.with((db) => db.delete("pictures", id));
  }

  /** Gives back what was locked, and keeps the key for the next locking. What another key has locked stays as it is. */
  private unlock(key: CryptoKey): Promise<void> {
    return this.database.with(async (db) => {
      await db.put("keys", key, KEY);
      for (const id of await db.getAllKeys("locked")) {
        const sealed = await db.get("locked", id);
        const all = sealed && ((await unseal(key, sealed).catch(() => null)) as Locked | Locked["events"] | null);
        if (!all) continue;
        const { events, pictures } = Array.isArray(all) ? { events: all, pictures: [] } : all;
        const write = db.transaction(["events", "pictures", "locked"], "readwrite", { durability: "strict" });
        for (const kept of events) void write.objectStore("events").put(kept, kept.event.id);
        for (const picture of pictures) void write.objectStore("pictures").put(picture, picture.id);
        void write.objectStore("locked").delete(id);
        await write.done;
      }
    });
  }

  /** Erases what the studio has, and locks what it has not. Where nothing can be locked, that stays as it is. */
  lock(): Promise<void> {
    return this.database.with(async (db) => {
      const [key, all, pictures] = [await db.get("keys", KEY), await db.getAll("events"), await db.getAll("pictures")];
      const locked: Locked = { events: all.filter(({ state }) => state !== "sent"), pictures };
      const sealed = key && locked.events.length + pictures.length > 0 ? await seal(key, locked) : null;
      const write = db.transaction(["events", "pictures", "locked", "keys"], "readwrite", { durability: "strict" });
      if (sealed) void write.objectStore("pictures").clear();
      for (const { event, state } of all) if (sealed || state === "sent") void write.objectStore("events").delete(event.id);
      if (sealed) void write.objectStore("locked").add(sealed);
      void write.objectStore("keys").delete(KEY);
      await write.done;
    });
  }
}

/** Locks every person's store on this tablet: nobody is signed in. */
export async function lockStores(): Promise<void> {
  const names = (await indexedDB.databases().catch(() => [])).map(({ name = "" }) => name);
  await Promise.allSettled(names.filter((name) => name.startsWith(NAME)).map((name) => new EventStore(name).lock()));
}

"use client";
import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { FloorEvent } from "../../core/floor/events";

/** An event on this device, and whether the studio's server has it. */
interface KeptEvent {
  event: FloorEvent;
  sessionId: string;
  state: "waiting" | "sent" | "refused";
}
interface FloorSchema extends DBSchema {
  events: { key: string; value: KeptEvent; indexes: { session: string; state: string } };
}

const BATCH = 100;
let opened: Promise<IDBPDatabase<FloorSchema>> | null = null;

const database = (): Promise<IDBPDatabase<FloorSchema>> =>
  (opened ??= openDB<FloorSchema>("ponderis-floor", 1, {
    upgrade: (db) => {
      const store = db.createObjectStore("events");
      store.createIndex("session", "sessionId");
      store.createIndex("state", "state");
    },
  }));

/** Keeps an event on this device, whatever becomes of the connection. */
export async function keepEvent(event: FloorEvent): Promise<void> {
  const write = (await database()).transaction("events", "readwrite", { durability: "strict" });
  await write.store.put({ event, sessionId: event.sessionId, state: "waiting" }, event.id);
  await write.done;
}

export async function keptEvents(sessionId: string): Promise<FloorEvent[]> {
  const kept = await (await database()).getAllFromIndex("events", "session", sessionId);
  return kept.map(({ event }) => event);
}

/** How many are still only here, of any session. */
export const waitingCount = async (): Promise<number> => (await database()).countFromIndex("events", "state", "waiting");

export type SendOutcome = "all-sent" | "no-connection" | "signed-out" | "refused";

/** Sends what waits, oldest first, in batches. The server applies each event once, so sending again is harmless. */
export async function sendWaiting(): Promise<SendOutcome> {
  const db = await database();
  for (;;) {
    const waiting = (await db.getAllFromIndex("events", "state", "waiting"))
      .sort((a, b) => a.event.occurredAt.localeCompare(b.event.occurredAt))
      .slice(0, BATCH);
    if (waiting.length === 0) return "all-sent";
    const response = await fetch("/api/floor", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(waiting.map(({ event }) => event)),
    }).catch(() => null);
    if (!response || response.status >= 500) return "no-connection";
    if (response.status === 401) return "signed-out";
    const state = response.ok ? "sent" : "refused";
    const write = db.transaction("events", "readwrite");
    for (const kept of waiting) await write.store.put({ ...kept, state }, kept.event.id);
    await write.done;
    if (state === "refused") return "refused";
  }
}

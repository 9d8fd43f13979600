"use client";
import { useSyncExternalStore } from "react";
import type { EventRefusal, FloorEvent } from "../../core/floor/events";
import type { Kept } from "../../outbox/entry";
import type { Owner } from "../../outbox/floor/event-store";
import { type FloorOutbox, outboxOf } from "../../outbox/floor/floor-outbox";
import { NOTHING_YET, type OutboxState } from "../../outbox/outbox";

export type FloorOutboxState = OutboxState<Kept<FloorEvent, EventRefusal>>;
const never = (): (() => void) => () => undefined;

/** The outbox of whoever is signed in, and what it says; nothing while the server renders. */
export function useOutbox(owner: Owner): { outbox: FloorOutbox | null; state: FloorOutboxState } {
  const outbox = typeof window === "undefined" ? null : outboxOf(owner);
  const state = useSyncExternalStore<FloorOutboxState>(
    outbox?.subscribe ?? never,
    outbox?.snapshot ?? (() => NOTHING_YET),
    () => NOTHING_YET,
  );
  return { outbox, state };
}

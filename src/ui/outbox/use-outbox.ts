"use client";
import { useSyncExternalStore } from "react";
import type { Owner } from "./event-store";
import { NOTHING_YET, type Outbox, outboxOf, type OutboxState } from "./outbox";

const never = (): (() => void) => () => undefined;

/** The outbox of whoever is signed in, and what it says; nothing while the server renders. */
export function useOutbox(owner: Owner): { outbox: Outbox | null; state: OutboxState } {
  const outbox = typeof window === "undefined" ? null : outboxOf(owner);
  const state = useSyncExternalStore(outbox?.subscribe ?? never, outbox?.snapshot ?? (() => NOTHING_YET), () => NOTHING_YET);
  return { outbox, state };
}

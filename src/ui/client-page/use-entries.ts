"use client";
import { useSyncExternalStore } from "react";
import type { HomeTold } from "../../core/record/facts/home-told";
import type { Kept } from "../../outbox/entry";
import { NOTHING_YET, type OutboxState } from "../../outbox/outbox";
import { PhoneOutbox } from "../../outbox/phone/phone-outbox";
import type { PhoneEntry } from "../../outbox/phone/phone-store";

export type KeptEntry = Kept<PhoneEntry>;
const NONE: readonly KeptEntry[] = [];

export interface Entries {
  entries: readonly KeptEntry[];
  tell: (told: HomeTold) => string;
  /** What the studio would not take waits again. */
  sendAgain: () => void;
  /** So many are still only on this phone. */
  waiting: number;
  isKept: boolean;
  /** The studio says that this link opens nothing any more: it is asked no further. */
  hasEnded: boolean;
}

let held: { token: string; outbox: PhoneOutbox } | null = null;
function phoneOutbox(token: string, ownKey: string, linkHash: string): PhoneOutbox {
  if (held?.token !== token) held = { token, outbox: new PhoneOutbox(token, ownKey, linkHash) };
  return held.outbox;
}
const never = (): (() => void) => () => undefined;

/** What is told is on the phone first, then in the studio: sent again until the studio has named it. */
export function useEntries(token: string, ownKey: string, linkHash: string): Entries {
  const outbox = typeof window === "undefined" ? null : phoneOutbox(token, ownKey, linkHash);
  const subscribe = outbox?.subscribe ?? never;
  const state = useSyncExternalStore<OutboxState<KeptEntry>>(subscribe, outbox?.snapshot ?? (() => NOTHING_YET), () => NOTHING_YET);
  const entries = useSyncExternalStore(subscribe, outbox?.entries ?? (() => NONE), () => NONE);
  return {
    entries,
    isKept: state.canKeep,
    hasEnded: state.outcome === "ended",
    waiting: state.waiting,
    tell: (told) => outbox?.tell(told) ?? "",
    sendAgain: () => void outbox?.sendRefusedAgain(),
  };
}

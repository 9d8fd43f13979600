"use client";
import { useCallback, useEffect, useState } from "react";
import { v4 as newUuid } from "uuid";
import type { HomeEntry, HomeTold } from "../../core/record/facts/home-told";

/** An entry on the phone: sent once the studio has named it; refused with the studio's word. */
export interface KeptEntry extends HomeEntry {
  isSent: boolean;
  refused: string | null;
}
const AGAIN_MS = 15_000;
const KEPT_MS = 36 * 3_600_000;

const memory = new Map<string, KeptEntry[]>(); // where the phone keeps nothing: as long as the page is open
function readKept(key: string): KeptEntry[] {
  try {
    return JSON.parse(localStorage.getItem(key) ?? "[]") as KeptEntry[];
  } catch {
    return memory.get(key) ?? [];
  }
}
/** Whether the phone keeps it over a closed page. */
function writeKept(key: string, entries: readonly KeptEntry[]): boolean {
  memory.set(key, [...entries]);
  try {
    localStorage.setItem(key, JSON.stringify(entries));
    return true;
  } catch {
    return false;
  }
}
/** What was sent is kept for a day and a half, for a page shown again without a connection; what was not, until it is. */
const pruned = (entries: readonly KeptEntry[]): KeptEntry[] =>
  entries.filter(({ isSent, at }) => !isSent || Date.now() - Date.parse(at) < KEPT_MS);

export interface Entries {
  entries: readonly KeptEntry[];
  tell: (told: HomeTold) => string;
  /** So many are still only on this phone. */
  waiting: number;
  isKept: boolean;
  /** The studio says that this link opens nothing any more: it is asked no further. */
  hasEnded: boolean;
}

/** What is told is on the phone first, then in the studio: sent again until the studio has named it. */
export function useEntries(token: string, ownKey: string, linkHash: string): Entries {
  const key = `ponderis-home-${ownKey}`;
  const olderKey = `ponderis-home-${linkHash.slice(0, 16)}`; // until 0.16 each link had a place of its own
  const [hasEnded, setEnded] = useState(false);
  const [entries, setEntries] = useState<readonly KeptEntry[]>([]);
  const [isKept, setKept] = useState(true);
  const change = useCallback(
    (to: (now: KeptEntry[]) => KeptEntry[]): void => {
      const next = pruned(to(readKept(key)));
      setKept(writeKept(key, next));
      setEntries(next);
    },
    [key],
  );
  const send = useCallback(async (): Promise<void> => {
    const unsent = readKept(key).filter(({ isSent, refused }) => !isSent && refused === null);
    if (unsent.length === 0) return;
    const body = JSON.stringify({ entries: unsent.slice(0, 50).map(({ id, at, told }) => ({ id, at, told })) });
    const headers = { "content-type": "application/json" };
    const response = await fetch(`/api/me/${token}`, { method: "POST", headers, body, signal: AbortSignal.timeout(AGAIN_MS) }).catch(
      () => null,
    );
    if (response?.status === 404) setEnded(true);
    const verdict = response?.ok
      ? ((await response.json().catch(() => null)) as { received?: string[]; refused?: { id: string; code: string }[] } | null)
      : null;
    if (!verdict) return;
    change((now) =>
      now.map((entry) => ({
        ...entry,
        isSent: entry.isSent || verdict.received?.includes(entry.id) === true,
        refused: verdict.refused?.find(({ id }) => id === entry.id)?.code ?? entry.refused,
      })),
    );
  }, [key, token, change]);
  useEffect(() => {
    if (hasEnded) return;
    const first = setTimeout(() => {
      const older = readKept(olderKey);
      change((now) => [...older, ...now.filter(({ id }) => !older.some((each) => each.id === id))]);
      if (older.length > 0) writeKept(olderKey, []);
      void send();
    }, 0);
    const again = setInterval(() => void send(), AGAIN_MS);
    const now = (): void => void send();
    window.addEventListener("online", now);
    document.addEventListener("visibilitychange", now);
    return () => {
      clearTimeout(first);
      clearInterval(again);
      window.removeEventListener("online", now);
      document.removeEventListener("visibilitychange", now);
    };
  }, [send, change, hasEnded, olderKey]);
  return {
    entries,
    isKept,
    hasEnded,
    waiting: entries.filter(({ isSent, refused }) => !isSent && refused === null).length,
    tell: (told) => {
      const id = newUuid();
      change((now) => [...now, { id, at: new Date().toISOString(), told, isSent: false, refused: null }]);
      void send();
      return id;
    },
  };
}

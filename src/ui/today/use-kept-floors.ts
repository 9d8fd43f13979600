"use client";
import { useEffect, useState } from "react";
import { keepFloors, keptFloors } from "../shell/keep-offline";

const [LOOK_EVERY_MS, QUIET_MS] = [3000, 4000];

/** Has this tablet fetch the floors of these clients, once the page has come to rest, and says whose it has. */
export function useKeptFloors(clientIds: readonly string[]): readonly string[] {
  const ids = clientIds.join(" ");
  const [kept, setKept] = useState<readonly string[]>([]);
  useEffect(() => {
    const wanted = ids === "" ? [] : ids.split(" ");
    if (wanted.length === 0) return;
    const fetching = setTimeout(() => keepFloors(wanted), QUIET_MS);
    const look = async (): Promise<void> => {
      const has = await keptFloors(wanted).catch(() => []);
      setKept(has);
      if (has.length === wanted.length) clearInterval(timer);
    };
    const timer = setInterval(() => void look(), LOOK_EVERY_MS);
    void look();
    return () => {
      clearTimeout(fetching);
      clearInterval(timer);
    };
  }, [ids]);
  return kept;
}

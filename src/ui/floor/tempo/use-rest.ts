"use client";
import { useEffect, useState } from "react";
import { steadyMs } from "../../../outbox/clock";

/** The rest after a set, from the moment it ended. */
export interface Rest {
  endedAt: string;
  lengthS: number;
}

/** Seconds of rest left; null when there is none to wait for. Negative never. What shows it redraws itself alone. */
export function useRestLeftS(rest: Rest | null): number | null {
  const endedAt = rest?.endedAt ?? null;
  const [nowMs, setNowMs] = useState<number | null>(null);
  useEffect(() => {
    if (endedAt === null) return;
    const tick = (): void => setNowMs(steadyMs());
    const first = setTimeout(tick, 0);
    const timer = setInterval(tick, 500);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [endedAt]);
  if (rest === null || nowMs === null) return null;
  const leftS = rest.lengthS - (nowMs - Date.parse(rest.endedAt)) / 1000;
  return leftS > 0 ? leftS : 0;
}

"use client";
import { useEffect, useState } from "react";
import { steadyMs } from "../outbox/clock";

/** Seconds of rest left since a set ended; null when there is none to wait for. Negative never. */
export function useRestLeftS(endedAt: string | null, restS: number): number | null {
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
  if (endedAt === null || nowMs === null) return null;
  const leftS = restS - (nowMs - Date.parse(endedAt)) / 1000;
  return leftS > 0 ? leftS : 0;
}

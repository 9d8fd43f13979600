"use client";
import { useEffect, useRef, useState } from "react";

const TICK_MS = 100;

/** A watch that no change of the clock can bend: seconds since it was started, up to `mostS`. */
export function useStopwatch(mostS: number): { elapsedS: number; isRunning: boolean; start: () => void; stop: () => number } {
  const startedMs = useRef<number | null>(null);
  const [elapsedS, setElapsed] = useState(0);
  const [isRunning, setRunning] = useState(false);
  const now = (): number => (startedMs.current === null ? 0 : Math.min(mostS, (performance.now() - startedMs.current) / 1000));
  useEffect(() => {
    if (!isRunning) return undefined;
    const timer = setInterval(() => {
      const passedS = startedMs.current === null ? 0 : Math.min(mostS, (performance.now() - startedMs.current) / 1000);
      setElapsed(passedS);
      if (passedS >= mostS) setRunning(false);
    }, TICK_MS);
    return () => clearInterval(timer);
  }, [isRunning, mostS]);
  return {
    elapsedS,
    isRunning,
    start: () => {
      startedMs.current = performance.now();
      setElapsed(0);
      setRunning(true);
    },
    stop: () => {
      const passedS = now();
      setElapsed(passedS);
      setRunning(false);
      return passedS;
    },
  };
}

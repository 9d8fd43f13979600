"use client";
import { useEffect } from "react";

/** Keeps the screen lit while a session runs; taken up again when the page is looked at again. Where it is refused, nothing else changes. */
export function useAwake(isOn: boolean): void {
  useEffect(() => {
    if (!isOn || !("wakeLock" in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let isCurrent = true;
    const take = (): void => {
      if (document.visibilityState !== "visible") return;
      navigator.wakeLock.request("screen").then(
        (taken) => {
          if (isCurrent) lock = taken;
          else void taken.release();
        },
        () => undefined,
      );
    };
    take();
    document.addEventListener("visibilitychange", take);
    return () => {
      isCurrent = false;
      document.removeEventListener("visibilitychange", take);
      void lock?.release();
    };
  }, [isOn]);
}

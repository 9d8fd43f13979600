"use client";
import { useEffect, useRef, useState, useSyncExternalStore } from "react";

const KEY = "ponderis-next-set-by-itself";
const COUNT_S = 3;

const CHANGED = "ponderis-choice";

function onChoice(told: () => void): () => void {
  addEventListener(CHANGED, told);
  return () => removeEventListener(CHANGED, told);
}

/** Whether the next set starts by itself when rest is over: only where the trainer has chosen so, on this tablet. */
export function useAutoChoice(): readonly [isOn: boolean, choose: (isOn: boolean) => void] {
  const isOn = useSyncExternalStore(
    onChoice,
    () => localStorage.getItem(KEY) === "yes",
    () => false,
  );
  return [
    isOn,
    (next) => {
      localStorage.setItem(KEY, next ? "yes" : "no");
      dispatchEvent(new Event(CHANGED));
    },
  ];
}

/** Once rest has run out while one is looking: three audible seconds, then the set. Returns the seconds left of them. */
export function useAutoStart(options: {
  isOn: boolean;
  restLeftS: number | null;
  isHeld: boolean;
  count: () => void;
  start: () => void;
}): number | null {
  const { isOn, restLeftS, isHeld } = options;
  const [leftS, setLeftS] = useState<number | null>(null);
  const wasResting = useRef(false);
  const latest = useRef(options);
  useEffect(() => {
    latest.current = options;
  });
  useEffect(() => {
    if (restLeftS !== null && restLeftS > 0) wasResting.current = true;
    if (restLeftS !== 0 || !wasResting.current || !isOn || isHeld) return;
    wasResting.current = false;
    let left = COUNT_S;
    const beat = (): void => {
      if (left === 0) {
        clearInterval(timer);
        setLeftS(null);
        latest.current.start();
        return;
      }
      latest.current.count();
      setLeftS(left);
      left -= 1;
    };
    const timer = setInterval(beat, 1000);
    beat();
    return () => {
      clearInterval(timer);
      setLeftS(null);
    };
  }, [isOn, isHeld, restLeftS]);
  return leftS;
}

"use client";
import { useEffect, useRef, useSyncExternalStore } from "react";

/** Places where a key already means something. */
const TYPING = "input, textarea, select, [contenteditable], [role=dialog], [role=listbox]";
const PRESSING = "button, a, [role=radio], [role=slider]";

/** Where this device keeps that single keys are off: a voice or an elbow would press them. */
const OFF = "ponderis-keys-off";
const CHANGED = "ponderis-keys-changed";
const isOn = (): boolean => {
  try {
    return localStorage.getItem(OFF) === null;
  } catch {
    return true; // storage is denied: nothing was switched off here
  }
};
export function setKeysOn(on: boolean): void {
  try {
    if (on) localStorage.removeItem(OFF);
    else localStorage.setItem(OFF, "1");
  } catch {
    return;
  }
  dispatchEvent(new Event(CHANGED));
}
function watch(onChange: () => void): () => void {
  addEventListener(CHANGED, onChange);
  addEventListener("storage", onChange);
  return () => {
    removeEventListener(CHANGED, onChange);
    removeEventListener("storage", onChange);
  };
}
/** Whether single keys count; the page is marked while they do not, so that no hint of them is shown. */
export function useKeysOn(): boolean {
  const on = useSyncExternalStore(watch, isOn, () => true);
  useEffect(() => {
    document.documentElement.toggleAttribute("data-keys-off", !on);
  }, [on]);
  return on;
}

/** Single keys for the whole page, unless they are switched off here; Enter always. They stay out of fields and dialogs; Enter and Space also out of buttons and links. */
export function useKeys(keys: Readonly<Record<string, () => void>>): void {
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent): void => {
      const action = latest.current[event.key];
      const target = event.target instanceof Element ? event.target : null;
      if (!action || (event.key !== "Enter" && !isOn()) || event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
      if (target?.closest(TYPING) || document.querySelector("[role=dialog]")) return;
      if ((event.key === "Enter" || event.key === " ") && target?.closest(PRESSING)) return;
      event.preventDefault();
      action();
    };
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  }, []);
}

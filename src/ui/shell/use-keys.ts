"use client";
import { useEffect, useRef } from "react";

/** Places where a key already means something. */
const TYPING = "input, textarea, select, [contenteditable], [role=dialog], [role=listbox]";
const PRESSING = "button, a, [role=radio], [role=slider]";

/** Single keys for the whole page. They stay out of fields and dialogs; Enter and Space also out of buttons and links. */
export function useKeys(keys: Readonly<Record<string, () => void>>): void {
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent): void => {
      const action = latest.current[event.key];
      const target = event.target instanceof Element ? event.target : null;
      if (!action || event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
      if (target?.closest(TYPING) || document.querySelector("[role=dialog]")) return;
      if ((event.key === "Enter" || event.key === " ") && target?.closest(PRESSING)) return;
      event.preventDefault();
      action();
    };
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  }, []);
}

"use client";
import { createContext, useContext } from "react";

/** A floor that runs beside another: whether it is the one in view, how its tones sound, and where it says how it stands. */
export interface Beside {
  isShown: boolean;
  /** First or second of two voices; null where nobody else is heard. */
  voice: 0 | 1 | null;
  statusNode: HTMLElement | null;
}
export const BesideContext = createContext<Beside>({ isShown: true, voice: null, statusNode: null });
export const useBeside = (): Beside => useContext(BesideContext);

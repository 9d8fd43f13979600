"use client";
import { today as todayIn } from "@internationalized/date";
import { createContext, type ReactNode, useContext, useSyncExternalStore } from "react";
import type { Day } from "../../core/day";
import { whenText } from "../../words/basics/day";

/** The zone by whose clock the studio lives: days and hours are the same on every device that looks, wherever it is. */
const StudioZone = createContext("UTC");
export const useStudioZone = (): string => useContext(StudioZone);

export function StudioClock({ timeZone, children }: { timeZone: string; children: ReactNode }) {
  return <StudioZone value={timeZone}>{children}</StudioZone>;
}

/** An instant as the studio's clock showed it. */
export function When({ at }: { at: string }) {
  return <time dateTime={at}>{whenText(at, useStudioZone())}</time>;
}

/** The day it is now in the studio, by this device's clock. */
export const dayNow = (timeZone: string): Day => todayIn(timeZone).toString();

const never = (): (() => void) => () => undefined;
/** Today in the studio; the day it sent until the page has been drawn as it was sent. A page that is kept for days lives on. */
export function useDayNow(sentDay: Day): Day {
  const timeZone = useStudioZone();
  return useSyncExternalStore(
    never,
    () => dayNow(timeZone),
    () => sentDay,
  );
}

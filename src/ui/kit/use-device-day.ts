import { useSyncExternalStore } from "react";

/** The day by this device's clock, where it stands: of now, or of an instant. */
export const deviceDay = (at: Date = new Date()): string => at.toLocaleDateString("sv-SE");

const never = (): (() => void) => () => undefined;
/** Today by this device; the day the studio sent until the page has been drawn as the studio sent it. */
export const useDeviceDay = (sentDay: string): string =>
  useSyncExternalStore(
    never,
    () => deviceDay(),
    () => sentDay,
  );

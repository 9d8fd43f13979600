"use client";
import { type ReactNode, useSyncExternalStore } from "react";
import { Page, Soft } from "../kit/layout";

/** In a station's place until it is there. */
export const Working = () => (
  <Page aria-busy>
    <Soft role="status">Working it out</Soft>
  </Page>
);

const never = () => () => undefined;

/** A client's station under header and limits; left to the device where the server has too many to draw at once. */
export function Station({ isLeftToDevice, children }: { isLeftToDevice: boolean; children: ReactNode }) {
  const isDrawn = useSyncExternalStore(
    never,
    () => true,
    () => !isLeftToDevice,
  );
  return isDrawn ? children : <Working />;
}

"use client";
import type { ReactNode } from "react";
import { useIsSSR } from "react-aria";
import { Page, Soft } from "../kit/layout";

/** In a station's place until it is there. */
export const Working = () => (
  <Page aria-busy>
    <Soft role="status">Working it out</Soft>
  </Page>
);

/** A client's station under header and limits; left to the device where the server has too many to draw at once. */
export function Station({ isLeftToDevice, children }: { isLeftToDevice: boolean; children: ReactNode }) {
  const isOnServer = useIsSSR(); // and while the device takes over what the server drew
  return isOnServer && isLeftToDevice ? <Working /> : children;
}

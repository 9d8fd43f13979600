"use client";
import { usePathname } from "next/navigation";
import { useEffect, useState } from "react";
import styled from "styled-components";
import { TextButton } from "../kit/button";
import { color } from "../theme/tokens";

const Offer = styled.p`
  padding: 6px 18px;
  border-bottom: 1px solid ${color.fogDeep};
  background: ${color.brassWash};
`;

const hasWorker = (): boolean => process.env.NODE_ENV === "production" && "serviceWorker" in navigator;

/** Keeps the page as the studio gives it now. Asked for again whenever what it shows has become something else. */
export function keepPage(): void {
  if (hasWorker())
    void navigator.serviceWorker.ready.then(({ active }) => active?.postMessage({ keep: location.origin + location.pathname }));
}

/** Keeps the floors of these clients, so that each opens, runs and ends a session without a connection. */
export function keepFloors(clientIds: readonly string[]): void {
  if (!hasWorker()) return;
  void navigator.serviceWorker
    .register("/floor-sw.js", { scope: "/", updateViaCache: "none" })
    .then(() => navigator.serviceWorker.ready)
    .then(({ active }) => {
      keepPage(); // the list that leads to them
      for (const clientId of clientIds) active?.postMessage({ keep: `${location.origin}/clients/${clientId}/floor` });
    });
}
/** Which of these floors this tablet has. */
export async function keptFloors(clientIds: readonly string[]): Promise<string[]> {
  if (!hasWorker()) return [];
  const has = await Promise.all(
    clientIds.map((clientId) => caches.match(`${location.origin}/clients/${clientId}/floor`, { ignoreVary: true })),
  );
  return clientIds.filter((_, i) => has[i] !== undefined);
}

/** Keeps this page on the tablet, so that a reload without a connection shows it. A new version is offered, never forced. */
export function KeepOffline() {
  const path = usePathname();
  const [isNewer, setNewer] = useState(false);
  useEffect(() => {
    if (!hasWorker()) return;
    const hadOne = navigator.serviceWorker.controller !== null;
    const taken = (): void => {
      keepPage();
      if (hadOne) setNewer(true);
    };
    navigator.serviceWorker.register("/floor-sw.js", { scope: "/", updateViaCache: "none" }).then(keepPage, () => undefined);
    navigator.serviceWorker.addEventListener("controllerchange", taken);
    window.addEventListener("online", keepPage); // what a lost connection cut short is asked for again
    return () => {
      navigator.serviceWorker.removeEventListener("controllerchange", taken);
      window.removeEventListener("online", keepPage);
    };
  }, [path]);
  if (!isNewer) return null;
  return (
    <Offer role="status">
      A newer version is here. What is open goes on as it is. <TextButton onPress={() => location.reload()}>Load it now</TextButton>
    </Offer>
  );
}

/** On signing in and out: no page of anybody is kept on this tablet. */
export async function forgetPages(): Promise<void> {
  if (!hasWorker()) return;
  const registration = await navigator.serviceWorker.getRegistration();
  registration?.active?.postMessage({ forget: true });
}

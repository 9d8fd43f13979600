"use client";

/** Keeps this page on the phone for a day without a connection, by the same worker that keeps the floor. */
export function keepThisPage(): void {
  if (process.env.NODE_ENV !== "production" || !("serviceWorker" in navigator)) return;
  void navigator.serviceWorker
    .register("/floor-sw.js", { scope: "/", updateViaCache: "none" })
    .then(() => navigator.serviceWorker.ready)
    .then(({ active }) => active?.postMessage({ keep: location.origin + location.pathname }));
}

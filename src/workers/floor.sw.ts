import { CacheFirst, NetworkFirst, type SerwistPlugin } from "serwist";

/**
 * A reload with no connection shows the floor. Today, pages of the floor and of Fit, and a client's own page come from the studio while it answers, else
 * as they were last seen; a build's own files come from the tablet. Nothing is kept of somebody who has signed out.
 */
declare const self: ServiceWorkerGlobalScope;
declare const BUILD: string; // both written in by the build step
declare const FILES: readonly string[];
const PAGES = "floor-pages";
const FILES_OF_BUILD = `floor-files-${BUILD}`;
const PATIENCE_S = 4;

const isKept = ({ pathname }: URL): boolean =>
  pathname === "/" ||
  pathname.startsWith("/me/") ||
  /^\/floor\/[^/]+\/[^/]+$/.test(pathname) ||
  /^\/clients\/[^/]+\/(floor|fit)$/.test(pathname);
/** A page's own address: of what is asked in it only the place makes another page. */
function addressOf({ origin, pathname, searchParams }: URL): string {
  const place = searchParams.get("place");
  return origin + pathname + (place ? `?place=${encodeURIComponent(place)}` : "");
}
/** What a page runs by, as its own text names it. */
const filesOf = (html: string): string[] => [
  ...new Set((html.match(/static\/chunks\/[\w.~-]+\.(?:js|css)/g) ?? []).map((name) => `/_next/${name}`)),
];
/** Whether all that a page runs by is on this tablet; what is not yet is fetched. A page without its files stands dead. */
async function holds(page: Response): Promise<boolean> {
  const cache = await caches.open(FILES_OF_BUILD);
  const fetched = filesOf(await page.text()).map(async (url) => {
    if (await caches.match(url, { ignoreVary: true })) return true;
    const response = await fetch(url, { signal: AbortSignal.timeout(30_000) }).catch(() => null);
    if (response?.ok) await cache.put(url, response);
    return response?.ok === true;
  });
  return (await Promise.all(fetched)).every(Boolean);
}
/** A slow answer never replaces a page that was asked for after it. */
let asked = 0;
const askedForKept = new Map<string, number>();
function isNewest(address: string, order: number): boolean {
  if ((askedForKept.get(address) ?? 0) > order) return false;
  askedForKept.set(address, order);
  return true;
}
const isOtherBuild = ({ headers }: Response): boolean => headers.get("x-build") !== BUILD;
const isLike = ({ ok, redirected }: Response): boolean => ok && !redirected;

/**
 * A page as the studio gave it: a sign-in page is not kept in its place, and an error of the studio's is not shown in it. One is
 * kept with all its files or not at all; one of another build is shown only then, where the last whole one can stand for it.
 */
const whole: SerwistPlugin = {
  requestWillFetch: async ({ request, state }) => {
    if (state) state["order"] = ++asked;
    return request;
  },
  cacheWillUpdate: async ({ request, response, state }) =>
    isLike(response) && (await holds(response.clone())) && isNewest(request.url, Number(state?.["order"])) ? response : null,
  fetchDidSucceed: async ({ request, response }) => {
    if (response.status >= 500) throw new Error(`the studio answers ${response.status}`);
    if (!isLike(response) || !isOtherBuild(response)) return response;
    const kept = await caches.match(request.url, { cacheName: PAGES, ignoreVary: true });
    if (kept && !(await holds(response.clone()))) throw new Error("a page whose files did not come");
    return response;
  },
};
const pages = new NetworkFirst({
  cacheName: PAGES,
  networkTimeoutSeconds: PATIENCE_S,
  matchOptions: { ignoreVary: true },
  plugins: [whole],
});
const files = new CacheFirst({ cacheName: FILES_OF_BUILD, matchOptions: { ignoreVary: true } });

self.addEventListener("install", () => void self.skipWaiting()); // nothing is fetched here: see fill
/** This build's files and those of the one before stay: an open page goes on loading its own. */
self.addEventListener("activate", (event) =>
  event.waitUntil(
    (async () => {
      const builds = (await caches.keys()).filter((name) => name.startsWith("floor-files-"));
      await Promise.all(builds.slice(0, -2).map((name) => caches.delete(name)));
      await self.clients.claim();
    })(),
  ),
);

/** Asked for by the page once this worker is the active one: whatever of the build it has not loaded yet. */
async function fill(): Promise<void> {
  const cache = await caches.open(FILES_OF_BUILD);
  for (const url of FILES) {
    if (await cache.match(url)) continue;
    try {
      const hit = (await caches.match(url, { ignoreVary: true })) ?? (await fetch(url, { signal: AbortSignal.timeout(30_000) }));
      if (hit.ok) await cache.put(url, hit);
    } catch {
      // one file that did not come keeps no other back; it is asked for again with the next page, or once there is a connection
    }
  }
}

/** A web worker gets its parameters after a # in its address, which a kept response would replace by its own: a copy has no address. */
async function file(event: FetchEvent): Promise<Response> {
  const { request } = event;
  const older = await caches.match(request.url, { ignoreVary: true });
  const hit = older ?? (await files.handle({ event, request }));
  return request.destination === "worker" ? new Response(await hit.arrayBuffer(), { headers: { "content-type": "text/javascript" } }) : hit;
}

/** A page where the studio has it, else as it was kept. Where the studio sends on, to sign in, the browser is sent on: a navigation takes no answer from elsewhere. */
async function page(event: FetchEvent, url: URL): Promise<Response> {
  const response = await pages.handle({ event, request: new Request(addressOf(url)) });
  return response.redirected ? Response.redirect(response.url) : response;
}

self.addEventListener("fetch", (event) => {
  const url = new URL(event.request.url);
  if (event.request.method !== "GET" || url.origin !== location.origin) return;
  if (event.request.mode === "navigate" && isKept(url)) event.respondWith(page(event, url));
  else if (url.pathname.startsWith("/_next/static/")) event.respondWith(file(event));
});

/** Fetched ahead, and said to be so: that a tablet has a page does not mean that anybody has looked. */
async function keep(address: string): Promise<void> {
  const order = ++asked;
  const response = await fetch(address, { signal: AbortSignal.timeout(30_000), headers: { "x-fetched-ahead": "1" } });
  if (isLike(response) && (await holds(response.clone())) && isNewest(address, order))
    await (await caches.open(PAGES)).put(address, response);
  else await response.body?.cancel();
}
/** A page that was reached without loading a document asks to be kept; signing out and signing in ask to forget. */
self.addEventListener("message", (event) => {
  const { keep: address, forget } = event.data as { keep?: string; forget?: boolean };
  if (address && isKept(new URL(address)))
    event.waitUntil(
      Promise.all([keep(address), fill()]).then(
        () => undefined,
        () => undefined,
      ),
    );
  if (forget) event.waitUntil(caches.delete(PAGES));
});

import { createServer, request as ask, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import type { Page } from "@playwright/test";
import { address, expect, sql, test } from "./studio";

test.use({ serviceWorkers: "allow" });

/** What stands between a tablet and the studio: nothing, a connection that is gone, or one over which a new build comes, whole or not. */
type Way = "open" | "cut" | "new build, its files do not come" | "new build";

/** A weak connection of its own, on a port of its own: the new build's page is told by a mark in it. */
async function connection(): Promise<{ server: Server; origin: string; set: (way: Way) => void }> {
  let way: Way = "open";
  const server = createServer((incoming, outgoing) => {
    const url = incoming.url ?? "/";
    if (way === "cut" || url.includes("/chunks/new-")) return incoming.socket.destroy();
    const headers = { ...incoming.headers, host: new URL(address).host, "accept-encoding": "identity" };
    const up = ask(`${address}${url}`, { method: incoming.method, headers }, (answer) => {
      const isPage = way.startsWith("new") && String(answer.headers["content-type"]).startsWith("text/html");
      const own = isPage ? { ...answer.headers, "x-build": "another" } : answer.headers;
      if (!isPage) {
        outgoing.writeHead(answer.statusCode ?? 502, own);
        return void answer.pipe(outgoing);
      }
      const parts: Buffer[] = [];
      answer.on("data", (part: Buffer) => parts.push(part));
      answer.on("end", () => {
        const html = Buffer.concat(parts).toString().replace("</body>", "<!-- a new build --></body>");
        const { "content-length": _, ...rest } = own;
        outgoing.writeHead(answer.statusCode ?? 502, rest);
        outgoing.end(way === "new build" ? html : html.replaceAll(/(static\/chunks\/)([\w.~-]+\.js)/g, "$1new-$2"));
      });
    });
    up.on("error", () => incoming.socket.destroy());
    incoming.pipe(up);
  });
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  return { server, origin: `http://localhost:${(server.address() as AddressInfo).port}`, set: (to) => (way = to) };
}

const isNew = async (page: Page): Promise<boolean> => (await page.content()).includes("<!-- a new build -->");
/** Alive: a tap opens something. */
async function expectAlive(page: Page): Promise<void> {
  await page.getByRole("button", { name: "Keyboard keys" }).click();
  await expect(page.getByRole("dialog")).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toBeHidden();
}

test("a new build on a weak connection: the last whole page stands until all of the new one is on the tablet", async ({
  trainer: page,
  complaints,
}) => {
  const [client] = await sql<{ id: string }>("select client_id as id from client_revision where name = 'Tord Vinge' limit 1");
  const way = await connection();
  const floor = `${way.origin}/clients/${client?.id}/floor`;
  const isKept = () =>
    page.evaluate(async (url) => (await (await caches.open("floor-pages")).match(url, { ignoreVary: true })) !== undefined, floor);
  try {
    await page.goto(floor);
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await page.reload();
    await expect.poll(isKept, { timeout: 30_000 }).toBe(true);
    await expectAlive(page);

    way.set("new build, its files do not come");
    await page.reload();
    await expectAlive(page);
    expect(await isNew(page)).toBe(false);
    way.set("cut");
    await page.reload();
    await expectAlive(page);
    expect(await isNew(page)).toBe(false);

    way.set("new build");
    await page.reload();
    await expectAlive(page);
    expect(await isNew(page)).toBe(true);
    const isNewKept = () =>
      page.evaluate(async (url) => {
        const kept = await (await caches.open("floor-pages")).match(url, { ignoreVary: true });
        return (await kept?.text())?.includes("<!-- a new build -->") === true;
      }, floor);
    await expect.poll(isNewKept, { timeout: 30_000 }).toBe(true);
    way.set("cut");
    await page.reload();
    await expectAlive(page);
    expect(await isNew(page)).toBe(true);
    complaints.length = 0; // files that do not come are what this is about
  } finally {
    way.server.closeAllConnections();
    way.server.close();
  }
});

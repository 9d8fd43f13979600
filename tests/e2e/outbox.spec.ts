import type { Page } from "@playwright/test";
import { expect, openClient, signIn, sql, test } from "./studio";

test.use({ serviceWorkers: "allow" });

/** What becomes of an entry where the way to the studio lies, or the tablet cannot keep it. The short form of `npm run faults`. */
const CLIENT = "Ines Farrow";
const setCount = async (): Promise<number> => {
  const [row] = await sql<{ count: number }>(
    `select count(*)::int as count from performed_set p join training_session s on s.id = p.session_id and s.studio_id = p.studio_id
       join client_revision c on c.client_id = s.client_id and c.studio_id = s.studio_id where c.name = $1 and not p.voided`,
    [CLIENT],
  );
  return row?.count ?? 0;
};
const bar = (page: Page) => page.getByRole("status").first();

/** The floor of the client's session of today, begun where it was not, at an exercise with sets left. */
async function openFloor(page: Page): Promise<void> {
  await openClient(page, CLIENT, "Floor");
  const start = page.getByRole("button", { name: "Start the session" });
  const exercises = page.getByRole("group", { name: "Exercises" });
  const checkIn = page.getByRole("region", { name: "Check-in" });
  await expect(start.or(exercises).or(checkIn).first()).toBeVisible();
  if (await start.isVisible()) await start.click();
  await expect(exercises.or(checkIn).first()).toBeVisible();
  if (await checkIn.isVisible()) {
    await page.getByRole("button", { name: "Pain 1", exact: true }).click();
    await page.getByText("No", { exact: true }).click();
    await page.getByRole("button", { name: "As planned" }).click();
  }
  await exercises.getByRole("button").last().click();
}
/** One more set, then taken back, so that there is always one left to do. */
async function tapSet(page: Page): Promise<void> {
  await page.getByRole("button", { name: /^(Start|Go on)/ }).click();
  await expect(page.getByRole("region", { name: "Tempo" })).toContainText(/(Lower|Rise), \d/);
  await page
    .getByRole("group", { name: "Pain during this set" })
    .getByRole("button", { name: /^Pain 1\b/ })
    .click();
}
const takeBack = (page: Page) => page.getByRole("button", { name: /^Take set / }).click();

test("only the studio's own word counts as received, whatever else answers", async ({ trainer: page, complaints }) => {
  await openFloor(page);
  await expect(bar(page)).toHaveText("Saved in the studio");
  const before = await setCount();
  const lies = [
    { status: 200, contentType: "text/html", body: "<h1>Accept the terms of this network</h1>" },
    { status: 200, body: "" },
    { status: 200, json: { received: ["somebody else's"], refused: [] } },
    { status: 302, headers: { location: "/sign-in" } },
    { status: 403, body: "forbidden" },
    { status: 404, body: "" },
    { status: 413, body: "" },
    { status: 429, body: "slow down" },
  ];
  let told = 0;
  await page.route("**/api/floor", (route) => route.fulfill(lies[told++ % lies.length]));
  await tapSet(page);
  await expect.poll(() => told, { timeout: 60_000 }).toBeGreaterThan(2);
  await expect(bar(page)).toHaveText(/^(No connection\. 1 kept|Saved on this tablet, sending 1)/);
  expect(await setCount()).toBe(before);
  for (const [i, lie] of lies.entries()) {
    await page.unroute("**/api/floor");
    const seen = page.waitForRequest("**/api/floor");
    await page.route("**/api/floor", (route) => route.fulfill(lie));
    await page.evaluate(() => dispatchEvent(new Event("online"))); // do not wait out the pauses
    await seen;
    expect([i, await setCount()]).toEqual([i, before]);
    await expect(bar(page)).not.toHaveText("Saved in the studio");
  }
  await page.unroute("**/api/floor");
  await expect(bar(page)).toHaveText("Saved in the studio", { timeout: 40_000 });
  expect(await setCount()).toBe(before + 1);
  await takeBack(page);
  await expect.poll(setCount).toBe(before);
  complaints.length = 0;
});

test("an entry that the studio refuses is kept, shown and sent again, and holds up no other", async ({ trainer: page, complaints }) => {
  await openFloor(page);
  const before = await setCount();
  let isFirst = true;
  await page.route("**/api/floor", async (route) => {
    const { events } = route.request().postDataJSON() as { events: { id: string }[] };
    if (!isFirst) return route.continue();
    isFirst = false;
    await route.fulfill({ json: { received: [], refused: events.map(({ id }) => ({ id, code: "unknown-session" })) } });
  });
  await tapSet(page);
  await expect(page.getByText("1 entry not taken by the studio, kept on this tablet")).toBeVisible();
  await page.goto("/"); // and on every other page, until it is resolved
  await expect(page.getByText("1 entry not taken by the studio, kept on this tablet")).toBeVisible();
  expect(await setCount()).toBe(before);
  await page.getByRole("button", { name: "Look" }).click();
  const file = page.waitForEvent("download");
  await page.getByRole("button", { name: "Save as a file" }).click();
  expect((await file).suggestedFilename()).toContain("not-taken");
  await page.getByRole("button", { name: "Send again" }).click();
  await expect(page.getByText("not taken by the studio")).toBeHidden();
  await expect.poll(setCount).toBe(before + 1);
  await openFloor(page);
  await takeBack(page);
  await expect.poll(setCount).toBe(before);
  complaints.length = 0;
});

test("a tablet that cannot keep entries says so before and after each set, and still sends them", async ({ browser }) => {
  const private_ = await browser.newContext();
  const page = await private_.newPage();
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException("denied", "SecurityError");
    };
  });
  await signIn(page);
  await openFloor(page);
  await expect(bar(page)).toHaveText(/^This tablet cannot keep entries/);
  const before = await setCount();
  await private_.setOffline(true);
  await tapSet(page);
  await expect(bar(page)).toHaveText(/^1 entry only on this open page/);
  await private_.setOffline(false);
  await expect.poll(setCount, { timeout: 40_000 }).toBe(before + 1);
  await expect(bar(page)).toHaveText(/^This tablet cannot keep entries/);
  await takeBack(page);
  await expect.poll(setCount).toBe(before);
  await private_.close();
});

test("a full tablet is told of, and what did not fit is written once there is room", async ({ trainer: page, context, complaints }) => {
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (...parts) {
      if (sessionStorage.getItem("full")) throw new DOMException("full", "QuotaExceededError");
      return put.apply(this, parts);
    };
  });
  await openFloor(page);
  const before = await setCount();
  await page.evaluate(() => sessionStorage.setItem("full", "yes"));
  await context.setOffline(true);
  await tapSet(page);
  await expect(bar(page)).toHaveText(/^1 entry only on this open page/);
  await page.evaluate(() => sessionStorage.removeItem("full"));
  await takeBack(page);
  await expect(bar(page)).toHaveText(/^No connection\. 2 kept on this tablet/);
  await context.setOffline(false);
  await expect(bar(page)).toHaveText("Saved in the studio", { timeout: 40_000 });
  expect(await setCount()).toBe(before);
  complaints.length = 0;
});

/** What the tablet's own stores hold, one for each person who has used it. */
const storesOf = (page: Page) =>
  page.evaluate(async () => {
    const done = <T>(request: IDBRequest<T>): Promise<T> =>
      new Promise((resolve, reject) => {
        request.onsuccess = () => resolve(request.result);
        request.onerror = () => reject(new Error(String(request.error)));
      });
    const names = (await indexedDB.databases()).map(({ name = "" }) => name).filter((name) => name.startsWith("ponderis-floor"));
    return Promise.all(
      names.map(async (name) => {
        const db = await done(indexedDB.open(name));
        const count = (store: string): Promise<number> => done(db.transaction(store).objectStore(store).count());
        const held = { events: await count("events"), locked: await count("locked"), keys: await count("keys") };
        db.close();
        return held;
      }),
    );
  });

test("what one person left unsent is neither sent, seen nor spoilt by another on the same tablet", async ({ browser }) => {
  const tablet = await browser.newContext();
  const page = await tablet.newPage();
  await signIn(page);
  await openFloor(page);
  const before = await setCount();
  await page.route("**/api/floor", (route) => route.abort());
  await tapSet(page);
  await expect(bar(page)).toHaveText(/^No connection\. 1 kept/);
  await page.getByRole("button", { name: "Sign out" }).click();
  await expect(page.getByRole("heading", { name: "Ponderis" })).toBeVisible();
  await expect.poll(() => storesOf(page)).toEqual([{ events: 0, locked: 1, keys: 0 }]); // nobody reads it on the disk either
  await page.unroute("**/api/floor");
  await page.getByLabel("E-mail").fill("other@ponderis.example");
  await page.getByLabel("Password").fill("harbour-scale");
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByText("Millpond studio")).toBeVisible();
  await expect(page.getByText(/kept on this tablet|sending/)).toBeHidden();
  expect(await setCount()).toBe(before);
  await page.getByRole("button", { name: "Sign out" }).click();
  await page.getByLabel("E-mail").fill("trainer@ponderis.example");
  await page.getByLabel("Password").fill("harbour-scale");
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect.poll(setCount, { timeout: 40_000 }).toBe(before + 1); // from the list of clients, with no floor open
  await openFloor(page);
  await takeBack(page);
  await expect.poll(setCount).toBe(before);
  await tablet.close();
});

import type { Page } from "@playwright/test";
import { killDatabase, killServer, startDatabase, startServer } from "./server";
import { expect, openClient, sql, test } from "./studio";

test.use({ serviceWorkers: "allow" });

const setCount = async (): Promise<number> => {
  const [row] = await sql<{ count: number }>(
    `select count(*)::int as count from performed_set p join training_session s on s.id = p.session_id and s.studio_id = p.studio_id
       join client_revision c on c.client_id = s.client_id and c.studio_id = s.studio_id where c.name = 'Ines Farrow' and not p.voided`,
  );
  return row?.count ?? 0;
};

/** Starts a set and ends it with its pain. */
async function doSet(page: Page, pain: number): Promise<void> {
  await page.getByRole("button", { name: /^(Start|Go on)/ }).click();
  await expect(page.getByRole("region", { name: "Tempo" })).toContainText(/Lower, \d/);
  await page
    .getByRole("group", { name: "Pain during this set" })
    .getByRole("button", { name: new RegExp(`^Pain ${pain}\\b`) })
    .click();
}
/** Until the service worker holds this page and every file of the build that is written into it. */
async function untilKept(page: Page): Promise<void> {
  const isWhole = () =>
    page.evaluate(async () => {
      const written = (await (await fetch("/floor-sw.js")).text()).match(/\/_next\/static\/[^"'`\\]+\.\w+/g) ?? [];
      const files = [...new Set(written)];
      const held = await Promise.all(files.map((file) => caches.match(file, { ignoreVary: true })));
      const isPageHeld = (await caches.match(location.href.split("#")[0] ?? "", { ignoreVary: true })) !== undefined;
      return files.length > 20 && held.every((response) => response !== undefined) && isPageHeld;
    });
  await expect.poll(isWhole, { intervals: [1000], timeout: 60_000 }).toBe(true);
}
/** The browser's own cache hides what a service worker lacks. */
async function emptyBrowserCache(page: Page): Promise<void> {
  const session = await page.context().newCDPSession(page);
  await session.send("Network.clearBrowserCache");
  await session.detach();
}
const rows = (page: Page) => page.getByRole("table", { name: "Sets" }).locator("tbody tr").filter({ hasText: "clean" });

test("no set is lost or doubled when the connection, the browser, the server and the database fail in turn", async ({
  trainer: page,
  context,
  complaints,
}) => {
  test.setTimeout(180_000);
  const before = await setCount();
  await openClient(page, "Ines Farrow", "Floor");
  await page.getByRole("button", { name: "Start the session" }).click();
  await page.getByRole("button", { name: "Pain 1", exact: true }).click();
  await page.getByText("No", { exact: true }).click();
  await page.getByRole("button", { name: "As planned" }).click();
  await expect(page.getByText("Saved in the studio")).toBeVisible();

  // the connection is lost
  await context.setOffline(true);
  await doSet(page, 1);
  await expect(page.getByText(/No connection\. \d+ kept on this tablet/)).toBeVisible();
  expect(await setCount()).toBe(before);
  await context.setOffline(false);
  await expect(page.getByText("Saved in the studio")).toBeVisible({ timeout: 20_000 });
  expect(await setCount()).toBe(before + 1);

  // the server is killed once this tablet holds the page and all its files, then the page is closed with a set only on this tablet
  await untilKept(page);
  await killServer();
  await doSet(page, 2);
  await expect(page.getByText(/No connection\. \d+ kept on this tablet/)).toBeVisible();
  // a reload with no studio at all shows the floor, with everything that was tapped
  const address = page.url();
  await emptyBrowserCache(page);
  await page.reload();
  await page.getByRole("group", { name: "Exercises" }).getByRole("button").first().click();
  await expect(rows(page)).toHaveCount(2);
  await page.close();
  await startServer();
  const again = await context.newPage();
  await again.goto(address);
  await expect(rows(again)).toHaveCount(2);
  await expect(again.getByText("Saved in the studio")).toBeVisible({ timeout: 20_000 });
  expect(await setCount()).toBe(before + 2);

  // the database is killed in mid-session; the server outlives it
  killDatabase();
  await doSet(again, 0);
  await expect(again.getByText(/No connection\. \d+ kept on this tablet/)).toBeVisible();
  startDatabase();
  await expect(again.getByText("Saved in the studio")).toBeVisible({ timeout: 30_000 });
  expect(await setCount()).toBe(before + 3);

  // a set under way goes on over a reload, and everything is still there
  await again.reload();
  await again.getByRole("group", { name: "Exercises" }).getByRole("button").first().click();
  await expect(rows(again)).toHaveCount(3);
  expect(await setCount()).toBe(before + 3);
  complaints.length = 0; // failed requests are what this test is about
});

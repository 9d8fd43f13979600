import type { Page } from "@playwright/test";
import { endSession, expect, openClient, signIn, test } from "./studio";

test.use({ serviceWorkers: "allow" });

const CLIENT = "Maren Holt";
const setRows = (page: Page) =>
  page
    .getByRole("table", { name: "Sets" })
    .locator("tbody tr")
    .filter({ hasText: /clean|sharp|spreading/ });

/** Two tablets on one client: what one does, the other shows; how soon is measured by `npm run faults`. */
test("two tablets see each other's sets, take-backs and end, whatever their clocks say", async ({ trainer: one, browser, complaints }) => {
  const other = await browser.newContext();
  const two = await other.newPage();
  await signIn(two);
  await two.clock.install({ time: new Date(Date.now() + 86_400_000 + 120_000) }); // a day and two minutes ahead
  await two.clock.resume();
  await openClient(one, CLIENT, "Floor");
  await one.getByRole("button", { name: "Start the session" }).click();
  await one.getByRole("button", { name: "Pain 1", exact: true }).click();
  await one.getByText("No", { exact: true }).click();
  await one.getByRole("button", { name: "As planned" }).click();
  await expect(one.getByText("Saved in the studio")).toBeVisible();
  await openClient(two, CLIENT, "Floor");
  await expect(two.getByRole("region", { name: "Pain" })).toBeVisible();
  // both stay at the first exercise, also once its sets are done
  for (const page of [one, two]) await page.getByRole("group", { name: "Exercises" }).getByRole("button").first().click();

  const start = (page: Page) => page.getByRole("button", { name: /^Start/ }).click();
  const pain = (page: Page, score: number) =>
    page
      .getByRole("group", { name: "Pain during this set" })
      .getByRole("button", { name: new RegExp(`^Pain ${score}\\b`) })
      .click();
  await start(one);
  await pain(one, 2);
  await expect(setRows(two)).toHaveCount(1);
  await start(two);
  await pain(two, 1);
  await expect(setRows(one)).toHaveCount(2);
  // the later correction counts, though its tablet's clock is a day behind the other's
  await pain(two, 3);
  await expect(setRows(one).last()).toContainText("3");
  await pain(one, 2);
  await expect(setRows(two).last()).toContainText("2");
  await expect(setRows(one).last()).toContainText("2");
  // a take-back is final
  await two.getByRole("button", { name: /^Take set / }).click();
  await expect(setRows(one)).toHaveCount(1);
  // the end is the end on both
  await endSession(one);
  await expect(two.getByRole("heading", { name: "Session ended" })).toBeVisible();
  await two.getByRole("button", { name: "Ended too early: go on" }).click();
  await expect(one.getByRole("button", { name: "End session" })).toBeVisible();
  await endSession(one);
  await expect(two.getByRole("heading", { name: "Session ended" })).toBeVisible();
  await other.close();
  complaints.length = 0;
});

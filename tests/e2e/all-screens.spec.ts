import type { Page } from "@playwright/test";
import { dayIn, expect, expectAccessible, openClient, test } from "./studio";

/** Every page looked at and none changed. They take longest, and so they are the first to begin. */
test("every station is accessible, with its dialogs", async ({ trainer: page }) => {
  await openClient(page, "Ines Farrow", "Fit");
  await expect(page.getByRole("region", { name: "Open today" })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Change the dose" }).click();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Done" }).click();
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Keys" })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press("Escape");
  const client = page.url().replace(/\/fit$/, "");
  for (const station of ["screen", "assess", "limits", "morning", "review"]) {
    await page.goto(`${client}/${station}`);
    await page.waitForLoadState("networkidle");
    await expectAccessible(page);
  }
  await page.goto(`${client}/screen`);
  for (const question of ["Any of these", "What is known", "Half an hour", "Has a clinician"]) {
    await page.getByRole("button", { name: new RegExp(`^Answer: ${question}`) }).click();
    await expectAccessible(page);
  }
  await page.getByRole("link", { name: "Every rule, with its source" }).click();
  await expect(page.getByRole("heading", { name: "Rules" })).toBeVisible();
  await expectAccessible(page);
  await page.goto(`${client}/limits`);
  for (const dialog of ["Add a limit", "Measure a calm seat", "Measure again"]) {
    await page.getByRole("button", { name: dialog }).click();
    await expect(page.getByRole("dialog", { name: dialog })).toBeVisible();
    await expectAccessible(page);
    await page.keyboard.press("Escape");
  }
});

test("nothing hangs over the side of a tablet held upright or a phone", async ({ trainer: page }) => {
  await openClient(page, "Ansel Birk", "Fit");
  const client = page.url().replace(/\/fit$/, "");
  const pages = [
    "handover",
    "letter",
    "own-page",
    "screen",
    "assess",
    "limits",
    "fit",
    "plan",
    "floor",
    "morning",
    "review",
    "school",
    "home-kit",
    "model?show=band-squat",
  ].map((station) => `${client}/${station}`);
  for (const station of [...pages, "/", "/clients", "/studio", "/messages", "/equipment", "/catalogue"]) {
    await page.goto(station);
    await page.waitForLoadState("networkidle");
    for (const [width, height] of [
      [800, 1280],
      [390, 844],
    ] as const) {
      await page.setViewportSize({ width, height });
      const overhang = (): Promise<number> =>
        page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
      await expect.poll(overhang, { message: `${station} at ${width}` }).toBeLessThanOrEqual(1); // a chart follows a moment later
    }
  }
});

test("on a tablet that lives by another day the studio's days and hours stand", async ({ trainer: page, browser, complaints }) => {
  const elsewhere = Intl.supportedValuesOf("timeZone").find((timeZone) => dayIn(timeZone) !== dayIn()) ?? "UTC";
  const far = await browser.newContext({ timezoneId: elsewhere, storageState: await page.context().storageState() });
  const tablet = await far.newPage();
  tablet.on("pageerror", (error) => complaints.push(`${tablet.url()}: ${String(error)}`));
  await openClient(tablet, "Ansel Birk", "Fit");
  const client = tablet.url().replace(/\/fit$/, "");
  for (const path of ["/", "/studio", "/account", `${client}/handover`, `${client}/floor`]) {
    await Promise.all([page.goto(path), tablet.goto(path)]);
    await Promise.all([page, tablet].map((each) => each.waitForLoadState("networkidle")));
    const said = (each: Page): Promise<string[]> => each.locator("time").allTextContents();
    expect(await said(tablet), path).toEqual(await said(page));
  }
  await far.close();
});

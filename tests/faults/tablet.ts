import type { Locator, Page } from "@playwright/test";

/** What a trainer taps on a tablet, from an open floor to a logged set. */

/** The session begun and checked in, where it is not yet; its list of exercises stands. */
export async function checkIn(page: Page): Promise<void> {
  const start = page.getByRole("button", { name: "Start the session" });
  const pain = page.getByRole("button", { name: "Pain 1", exact: true });
  const exercises = page.getByRole("group", { name: "Exercises" });
  await start.or(pain).or(exercises).first().waitFor();
  if (await start.isVisible()) await start.click();
  await pain.or(exercises).first().waitFor();
  if (await exercises.isVisible()) return;
  await pain.click();
  await page.getByText("No", { exact: true }).click();
  await page.getByRole("button", { name: "As planned" }).click();
  await exercises.waitFor();
}

/** A set begun of the first exercise that has one left: the tap of pain that logs it. */
export async function beginSet(page: Page): Promise<Locator> {
  await page
    .getByRole("group", { name: "Exercises" })
    .getByRole("button", { name: /[012] of 3|[01] of 2/ })
    .first()
    .click();
  await page
    .getByRole("button", { name: /^Start/ })
    .first()
    .click();
  return page
    .getByRole("group", { name: "Pain during this set" })
    .getByRole("button", { name: /^Pain 1/ })
    .first();
}

import type { Page } from "@playwright/test";
import { endSession, expect, expectAccessible, openClient, test } from "./studio";

async function checkIn(page: Page): Promise<void> {
  await page
    .getByRole("button", { name: /^Pain 0/ })
    .locator("visible=true")
    .first()
    .click();
  await page.getByText("No", { exact: true }).locator("visible=true").click();
  await page.getByRole("button", { name: "As planned" }).locator("visible=true").click();
}
const sets = (page: Page) =>
  page
    .getByRole("table", { name: "Sets" })
    .locator("tbody tr")
    .filter({ hasText: /clean|ended/ });
const logSet = (page: Page) => page.getByText("Done already").locator("visible=true").click();
const pain = (page: Page, score: number) =>
  page
    .getByRole("group", { name: "Pain during this set" })
    .locator("visible=true")
    .getByRole("button", { name: new RegExp(`^Pain ${score}\\b`) })
    .click();
async function menu(page: Page, name: string): Promise<void> {
  await page.getByRole("button", { name: "More for this exercise" }).click();
  await page.getByRole("menuitem", { name }).click();
}

test("a whole session without a connection: fetched ahead, begun, done, reloaded, ended, and in the studio once it is back", async ({
  trainer: page,
  context,
  complaints,
}) => {
  test.setTimeout(120_000);
  await openClient(page, "Thora Vane", "Plan");
  await page.getByRole("button", { name: "Keep the plan" }).click();
  await expect(page.getByRole("button", { name: "Kept" })).toBeVisible();
  await page.goto("/");
  await expect(page.getByText("All of today is on this tablet")).toBeVisible({ timeout: 30_000 });
  await context.setOffline(true);
  await page.getByRole("region", { name: "Today" }).getByRole("link", { name: "Thora Vane" }).click();
  await page.getByRole("button", { name: "Start the session" }).click();
  await page.getByRole("button", { name: "Start without a connection" }).click();
  await checkIn(page);
  await logSet(page);
  await pain(page, 0);
  await expect(sets(page)).toHaveCount(1);
  await page.reload(); // the tablet started anew
  await expect(page.getByText("1 of 1 sets")).toBeVisible();
  await endSession(page);
  await expect(page.getByText("1 set kept.")).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText("Saved in the studio")).toBeVisible({ timeout: 30_000 });
  await page.reload();
  await expect(page.getByText("1 set kept.")).toBeVisible();
  complaints.length = 0; // that there was no connection
});

test("what hurts is told by taps, sharp always asks, and what was changed by hand goes by the gate", async ({ trainer: page }) => {
  await openClient(page, "Liv Aster", "Floor");
  await page.getByRole("button", { name: "Start the session" }).click();
  await checkIn(page);
  // one more, and another order
  await menu(page, "Build");
  await expect(page.getByRole("dialog")).toContainText("Not earned yet by the rule: only with a reason.");
  await expect(page.getByRole("dialog").getByRole("button", { name: "Build" })).toBeDisabled();
  await page.keyboard.press("Escape");
  await menu(page, "Add an exercise");
  await page.getByPlaceholder("Find an exercise").fill("calf raise");
  await page.getByRole("dialog").getByRole("button", { name: "Straight-knee calf raise" }).click();
  await page.getByRole("button", { name: /^Add it/ }).click();
  const tabs = page.getByRole("group", { name: "Exercises" }).getByRole("button");
  await expect(tabs.last()).toContainText("Straight-knee calf raise");
  await menu(page, "Earlier");
  await expect(tabs.nth(-2)).toContainText("Straight-knee calf raise");
  // on its first set: kind, place, where in the movement
  await logSet(page);
  await pain(page, 1);
  await page.getByRole("button", { name: "ache", exact: true }).click();
  await page.getByRole("group", { name: "It hurts" }).getByRole("button", { name: "at the bottom" }).click();
  await page.getByRole("button", { name: "Where on the body" }).click();
  await expectAccessible(page);
  await page.getByRole("button", { name: "right calf" }).click();
  await expect(sets(page)).toContainText("ache, right calf, at the bottom");
  await expect(page.getByText(/^Hurts at the bottom/)).toBeVisible();
  await expectAccessible(page);
  // said to be sharp after all: the one large question, whatever its number
  await page.getByRole("button", { name: "sharp", exact: true }).click();
  await expect(page.getByRole("alertdialog", { name: "What now" })).toContainText("Sharp pain");
  await page.getByRole("button", { name: "Stop this exercise for today" }).click();
  await menu(page, "Build");
  await expect(page.getByRole("dialog")).toBeVisible();
  await page.keyboard.press("Escape");
  // lost form hurts nothing: it is gone on with
  await logSet(page);
  await pain(page, 0);
  await page.getByRole("button", { name: "Form lost" }).click();
  await page.getByRole("button", { name: "Go on as it is, after the rest" }).click();
  await expect(sets(page).first()).toContainText("form lost");
});

test("two clients at once: one tap to the other, both timers run, and a note for the clinician stays with its own", async ({
  trainer: page,
}) => {
  await openClient(page, "Thora Vane", "Floor");
  await page.getByRole("button", { name: "Ended too early: go on" }).click();
  await page.getByRole("link", { name: "Liv Aster" }).click();
  const tabs = page.getByRole("group", { name: "Who is in view" });
  await expect(tabs).toBeVisible();
  await page.keyboard.press("Space");
  await expect(tabs.getByRole("button", { name: /Thora Vane/ })).toContainText(/set \d+: \d+ of/);
  await tabs.getByRole("button", { name: /Liv Aster/ }).click();
  await page
    .getByRole("button", { name: /^Start/ })
    .locator("visible=true")
    .click();
  await expect(tabs.getByRole("button", { name: /Liv Aster/ })).toContainText(/set \d+: \d+ of/);
  // the one out of view still runs, and a key is the other's
  await expect(tabs.getByRole("button", { name: /Thora Vane/ })).toContainText(/set \d+: [1-9]\d* of/, { timeout: 30_000 });
  await page.getByRole("button", { name: "Warning sign" }).locator("visible=true").click();
  await page.getByRole("button", { name: "Dizzy or faint" }).locator("visible=true").click();
  await expect(tabs.getByRole("button", { name: /Liv Aster/ })).toContainText("warning sign");
  await expect(tabs.getByRole("button", { name: /Thora Vane/ })).not.toContainText("warning sign");
  await page.getByRole("button", { name: "Note for the clinician" }).locator("visible=true").click();
  const note = page.getByLabel("Note for the clinician").locator("visible=true");
  await expect(note).toContainText("Liv Aster");
  await expect(note).toContainText("dizzy or faint");
  await expect(note).toContainText("no diagnosis");
});

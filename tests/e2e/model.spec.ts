import type { Page } from "@playwright/test";
import { expect, expectAccessible, openClient, sql, test } from "./studio";

/** Picks one of many in a select field. */
async function pick(page: Page, field: string, option: string | RegExp): Promise<void> {
  await page.getByRole("button", { name: new RegExp(`${field}$`) }).click();
  await page.getByRole("option", { name: option, exact: typeof option === "string" }).click();
}
const asked = (page: Page, channel: string) => page.getByRole("row", { name: new RegExp(`^${channel}`) });

test("any why leads to the body model, with the same set-up and the same numbers", async ({ trainer: page }) => {
  await openClient(page, "Maren Holt", "Fit");
  await page.getByRole("button", { name: "Why right kneecap" }).click();
  const stress = await page.getByRole("dialog").locator("dd").first().innerText();
  expect(stress).toMatch(/[\d.]+ MPa/);
  await page.getByRole("link", { name: "In the body model" }).click();
  await expect(page.getByRole("heading", { name: "Box squat with a pole" })).toBeVisible();
  await expect(asked(page, "Kneecap stress")).toContainText(stress);
  await expectAccessible(page);
});

test("every kind of set-up is drawn and asked, by mouse and by keyboard", async ({ trainer: page }) => {
  await openClient(page, "Ines Farrow", "Limits");
  await page.goto(page.url().replace(/limits$/, "model"));
  const kinds = { "Split and single leg": "Split squat", Step: "Step-up", Hinge: /Hinge, load in front/, Helpers: "Calf raise" };
  for (const [kind, movement] of Object.entries(kinds)) {
    await pick(page, "Kind", kind);
    await pick(page, "Movement", movement);
    await expect(page.getByRole("region", { name: "Figure" }).getByRole("group").first()).toBeVisible();
    await expect(page.getByRole("table", { name: "What it asks" })).toContainText(/Nm/);
    await expect(page.getByText("What it cannot say.")).toBeVisible();
  }
  await pick(page, "Kind", "Bridge and thrust");
  await expect(asked(page, "Lying on the back")).toContainText("40 s");
  await expectAccessible(page);
  const grip = page.getByRole("slider", { name: "Hips left bent on the figure" });
  await grip.focus();
  const before = await grip.getAttribute("aria-valuenow");
  await page.keyboard.press("ArrowUp");
  await expect(grip).not.toHaveAttribute("aria-valuenow", before ?? "");
  await page.getByRole("button", { name: "Play the movement" }).click();
  await expect.poll(() => grip.getAttribute("aria-valuenow")).not.toBe(before);
  await page.getByRole("button", { name: "Stop" }).click();
  await pick(page, "Kind", "Step");
  const find = page.getByRole("region", { name: "Find a setting" });
  await expect(find).toContainText(/Step height \d+ cm.*: [67]\d% of what is asked now/);
  await find.getByRole("button", { name: "Set it so" }).click();
  await expect(page.getByRole("slider", { name: "Step height on the figure" })).not.toHaveAttribute("aria-valuenow", "0.18");
});

test("another body is tried without touching the client's own", async ({ trainer: page }) => {
  await openClient(page, "Maren Holt", "Limits");
  await page.goto(page.url().replace(/limits$/, "model?show=squat"));
  const own = await asked(page, "Hip moment").innerText();
  await page.getByRole("button", { name: /^Own body/ }).click();
  const dialog = page.getByRole("dialog", { name: "Whose body" });
  await dialog.getByRole("textbox", { name: /^Mass/ }).fill("95");
  await dialog.getByRole("textbox", { name: /^Mass/ }).press("Tab");
  await expectAccessible(page);
  await dialog.getByRole("button", { name: "Done" }).click();
  await expect(page.getByRole("button", { name: /^Another body: 168 cm, 95 kg/ })).toBeVisible();
  expect(await asked(page, "Hip moment").innerText()).not.toBe(own);
  await page.getByRole("button", { name: /^Another body/ }).click();
  await dialog.getByRole("button", { name: "Back to the client's own" }).click();
  await dialog.getByRole("button", { name: "Done" }).click();
  expect(await asked(page, "Hip moment").innerText()).toBe(own);
});

test("a band is measured once, with a clear word where a point cannot be, and kept for the studio", async ({ trainer: page }) => {
  await openClient(page, "Maren Holt", "Limits");
  await page.goto(page.url().replace(/limits$/, "model?show=band-squat"));
  await page.getByRole("button", { name: "Measure a band" }).click();
  const form = page.getByRole("dialog", { name: "Measure a band" });
  await form.getByRole("textbox", { name: "What it is called here" }).fill("grey tube");
  await form.getByRole("textbox", { name: /^Pulled to, 1/ }).fill("80");
  await form.getByRole("button", { name: "Keep this band" }).click();
  await expect(form.getByRole("alert")).toContainText("Length pulled to is more than the length at rest.");
  await expect(form.getByRole("textbox", { name: "What it is called here" })).toHaveValue("grey tube");
  await form.getByRole("textbox", { name: /^Pulled to, 1/ }).fill("130");
  await form.getByRole("button", { name: "Keep this band" }).click();
  await expect(page.getByRole("button", { name: /grey tube.*Band$/ })).toBeVisible();
  expect(await sql("select points from band where name = 'grey tube'")).toEqual([
    { points: [expect.objectContaining({ lengthM: 1.3 }), expect.objectContaining({ lengthM: 1.5 })] },
  ]);
});

test("the stair leads to her own sofa, over the ladder, and her day stands on it", async ({ trainer: page }) => {
  await openClient(page, "Maren Holt", "Fit");
  const stair = page.getByRole("region", { name: "The stair" });
  await expect(stair.getByRole("img", { name: /^sofa, 42 cm/ })).toBeVisible();
  await pick(page, "towards", /own sofa/);
  await expect(page.getByRole("region", { name: "The way there" })).toContainText(/changes, each asking \d+% to \d+% more/);
  await expectAccessible(page);
  await stair.getByRole("button", { name: /^Plain-chair sit-to-stand/ }).click();
  await expect(page.getByRole("heading", { name: "Plain-chair sit-to-stand" })).toBeVisible();
});

test("a body measured by tape carries its ceilings along; a height of her day comes and goes", async ({ trainer: page }) => {
  await openClient(page, "Ansel Birk", "Limits");
  await page.getByRole("button", { name: "Measure again" }).click();
  const form = page.getByRole("dialog", { name: "Measure again" });
  await form.getByText(/^Thigh .* from stature/).click();
  await form.getByRole("textbox", { name: /^Thigh/ }).fill("46");
  await form.getByRole("button", { name: "Keep these measures" }).click();
  await expect(page.getByRole("region", { name: "Body" })).toContainText("thigh 46 cm by tape");

  const day = page.getByRole("region", { name: "Own day" });
  await day.getByRole("textbox", { name: "What it is" }).fill("boat thwart");
  await day.getByRole("textbox", { name: /^Height/ }).fill("38");
  await day.getByRole("button", { name: "Add" }).click();
  await expect(day).toContainText("boat thwart, seat of 38 cm");
  await day.getByRole("button", { name: "Take away boat thwart" }).click();
  await expect(day).not.toContainText("boat thwart");
});

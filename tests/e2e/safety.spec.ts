import { answerScreen, expect, openClient, test } from "./studio";

test.use({ serviceWorkers: "block" }); // nothing here is about a lost connection

type Trainer = Parameters<Parameters<typeof test>[2]>[0]["trainer"];
async function addClient(page: Trainer, name: string, what: () => Promise<void>): Promise<void> {
  await page.goto("/clients/new");
  await page.getByRole("textbox", { name: "Name" }).fill(name);
  await page.getByRole("textbox", { name: /^Year of birth/ }).fill("1961");
  await page.getByText("Female", { exact: true }).click();
  await page.getByRole("textbox", { name: /^Stature/ }).fill("168");
  await page.getByRole("textbox", { name: /^Mass/ }).fill("72");
  await what();
  await page.getByRole("button", { name: "Add the client" }).click();
  await expect(page.getByRole("heading", { level: 1, name: new RegExp(name) })).toBeVisible();
}
async function keepSeat(page: Trainer, side: "Left" | "Right"): Promise<void> {
  const watched = page.getByRole("radiogroup", { name: "The side that is watched" });
  await watched.getByText(side, { exact: true }).click();
  for (let i = 0; i < 3; i++) await page.getByRole("button", { name: "Stayed calm" }).click();
  await page.getByRole("button", { name: /^Enough: keep/ }).click();
  await expect(page.getByRole("region", { name: "The calm seat is kept" })).toContainText(`is kept, ${side.toLowerCase()}`);
}

test("a client whom nothing hurts is added, and begins with one light set of each", async ({ trainer: page }) => {
  await addClient(page, "Asta Vinter", () => page.getByText("Nothing hurts", { exact: true }).click());
  await answerScreen(page);
  await openClient(page, "Asta Vinter", "Fit");
  await expect(page.getByText("Nothing hurts, so nothing was measured: one light set first", { exact: false }).first()).toBeVisible();
});

test("both knees are measured when both are: one leg's seat opens nothing that loads the other", async ({ trainer: page }) => {
  await addClient(page, "Birthe Lund", async () => {
    await page.getByText("Right kneecap", { exact: true }).click();
    await page.getByRole("radiogroup", { name: "Which side" }).getByText("Both, or the middle", { exact: true }).click();
  });
  await answerScreen(page);
  await page.getByRole("link", { name: "one calm seat" }).click();
  await keepSeat(page, "Right");
  await openClient(page, "Birthe Lund", "Fit");
  const unmeasured = page.getByText("Not measured: nothing here speaks for the kneecap", { exact: false }).first();
  await expect(unmeasured).toBeVisible();
  await openClient(page, "Birthe Lund", "Assess");
  await page.getByRole("button", { name: "Lowest calm seat" }).first().click();
  await keepSeat(page, "Left");
  await openClient(page, "Birthe Lund", "Fit");
  await expect(unmeasured).toBeHidden();
});

import { answerScreen, expect, openClient, test, typeDay } from "./studio";

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

test("a replaced knee that does not hurt asks for its measure, is walked from the questions to the first set, and stops at ten", async ({
  trainer: page,
}) => {
  await addClient(page, "Gerda Ros", () => page.getByText("Nothing hurts", { exact: true }).click());
  await page.getByRole("button", { name: "None of these" }).first().click();
  const known = page.getByRole("region", { name: "What is known of joints, back, heart and pregnancy?" });
  await known.getByText("Knee replaced", { exact: true }).click();
  await known.getByText("Right", { exact: true }).click();
  await typeDay(
    page,
    known
      .getByRole("group")
      .filter({ has: page.getByRole("spinbutton") })
      .first(),
    -150,
  );
  await known.getByRole("button", { name: "Keep these" }).click();
  await page.getByText("No", { exact: true }).click();
  await page.getByRole("button", { name: "Keep the answer" }).click();
  await page.getByText("Yes, and cleared", { exact: true }).click();
  await page.getByRole("textbox", { name: "By whom" }).fill("Dr Holm");
  await page.getByRole("button", { name: /Their role$/ }).click();
  await page.getByRole("option", { name: "Surgeon" }).click();
  await typeDay(page, page.getByRole("group", { name: "When they said it" }), -3);
  await page.getByRole("button", { name: "Keep the answer" }).click();
  await expect(page.getByRole("status", { name: "Where it stands" })).toContainText("A session may be built.");

  // nothing hurts, and the condition alone asks for a measure all the same
  await openClient(page, "Gerda Ros", "Fit");
  await expect(page.getByText("Not measured: no ceiling yet.", { exact: false }).first()).toBeVisible();
  await expect(page.getByText("Open today", { exact: true })).toBeHidden();
  await page.getByRole("link", { name: "one calm seat" }).click();
  await keepSeat(page, "Right");
  await openClient(page, "Gerda Ros", "Fit");
  await expect(page.getByText("Open today", { exact: true })).toBeVisible();
  await page.getByRole("button", { name: /^Keep/ }).click();
  await page.getByRole("button", { name: "Start the session" }).click();
  await page.getByRole("button", { name: /^Pain 0/ }).click();
  await page.getByText("No", { exact: true }).click();
  await page.getByRole("button", { name: "As planned" }).click();
  await page.getByText("Done already").click();
  await expect(page.getByRole("table", { name: "Sets" }).locator("tbody tr").filter({ hasText: "clean" })).toHaveCount(1);

  // pain of ten in the second: to stop comes first
  await page.getByRole("button", { name: /^(Start|Go on)/ }).click();
  await page
    .getByRole("group", { name: /^Pain during this set/ })
    .getByRole("button", { name: /^Pain 10\b/ })
    .click();
  const what = page.getByRole("alertdialog", { name: "What now" });
  await expect(what.getByRole("button").first()).toHaveText("Stop this exercise for today");
  await what.getByRole("button", { name: "Stop this exercise for today" }).click();
  await expect(what).toBeHidden();
});

test("what the sheet prints for home is open at home on Fit, and a weight that one leg may bear closes what needs more", async ({
  trainer: page,
}) => {
  await openClient(page, "Runa Skov", "Plan");
  await page.getByRole("link", { name: "Home sheet" }).click();
  await expect(page.getByRole("article")).toContainText("Raised sit-to-stand");
  const seat = (await page.getByRole("article").innerText()).match(/seat (\d+) cm/)?.[0] ?? "nothing";
  await openClient(page, "Runa Skov", "Fit");
  await page.getByRole("button", { name: /the studio/ }).click();
  await page.getByRole("option", { name: "home" }).click();
  const row = page.getByRole("region", { name: "Open today" }).getByText("Raised sit-to-stand");
  await expect(row).toBeVisible();
  await expect(page.getByRole("region", { name: "Open today" })).toContainText(seat);

  await openClient(page, "Runa Skov", "Limits");
  await page.getByRole("button", { name: "Add a limit" }).click();
  await page.getByRole("button", { name: /What is limited$/ }).click();
  await page.getByRole("option", { name: /weight on one leg/i }).click();
  await page.getByRole("textbox", { name: /^At most/ }).fill("50");
  await page.getByText("Left", { exact: true }).click();
  await page.getByRole("textbox", { name: "Name or role" }).fill("Hip surgeon");
  await page.getByRole("button", { name: "Add the limit" }).click();
  await expect(page.getByRole("region", { name: "Limits in force" })).toContainText(
    "Left weight on one leg to 50% of body weight, Hip surgeon",
  );
  await openClient(page, "Runa Skov", "Fit");
  await page.getByText("Step", { exact: true }).click();
  await page.getByRole("button", { name: /Why Upright low step-up, buttock first is closed/ }).click();
  await expect(page.getByRole("dialog")).toContainText("Hip surgeon allows 50% of body weight");
});

import type { Page } from "@playwright/test";
import sharp from "sharp";
import { answerScreen, expect, openClient, signIn, test, typeDay } from "./studio";

async function addClient(page: Page, name: string): Promise<void> {
  await page.goto("/clients/new");
  await page.getByRole("textbox", { name: "Name" }).fill(name);
  await page.getByRole("textbox", { name: "What hurts" }).fill("Low back in the evening");
  await page.getByRole("textbox", { name: /^Stature/ }).fill("165,5");
  await page.getByRole("textbox", { name: /^Mass/ }).fill("61,4");
  await page.getByRole("textbox", { name: /^Usual morning pain/ }).fill("1");
  await page.getByRole("textbox", { name: /^Year of birth/ }).fill("1994");
  await page.getByRole("textbox", { name: /^Pain agreed/ }).fill("2");
  await page.getByText("Female", { exact: true }).click();
  await page.getByText("Both, or the middle", { exact: true }).click();
  await page.getByRole("button", { name: "Add the client" }).click();
  await expect(page.getByRole("heading", { level: 1, name: new RegExp(name) })).toBeVisible();
}
async function clearSign(page: Page): Promise<void> {
  await page.getByRole("textbox", { name: "Cleared by" }).fill("Dr Vane");
  await page.getByRole("button", { name: /Their role$/ }).click();
  await page.getByRole("option", { name: "Doctor", exact: true }).click();
  await page.getByRole("button", { name: "Record the clearance" }).click();
  await expect(page.getByText("Warning sign open")).toBeHidden();
}
const stands = (page: Page) => page.getByRole("status", { name: "Where it stands" });
const follows = (page: Page) => page.getByRole("region", { name: "What follows from it" });
const limits = (page: Page) => page.getByRole("region", { name: "Limits in force" });
const open = (page: Page, question: string) => page.getByRole("button", { name: `Answer: ${question}` }).click();

test("a pregnant client is screened over two devices, referred first, and crosses a trimester", async ({ trainer: page, browser }) => {
  await addClient(page, "Šárka Øvergård");
  await expect(
    page
      .getByText("165.5 cm", { exact: false })
      .or(page.getByText(/16[56] cm/))
      .first(),
  ).toBeVisible(); // a comma is a decimal's
  await page.getByRole("button", { name: "None of these" }).click();
  await expect(page.getByRole("button", { name: /Answer: Any of these/ })).toHaveText("change");

  // half-way on another device
  const other = await browser.newContext();
  const tablet = await other.newPage();
  await signIn(tablet);
  await openClient(tablet, "Šárka", "Screen");
  await expect(stands(tablet)).not.toContainText("Any of these");
  await tablet.getByText("Pregnant", { exact: true }).click();
  await typeDay(tablet, tablet.getByRole("group", { name: "Due date" }), 400);
  await tablet.getByRole("button", { name: "Keep these" }).click();
  await expect(tablet.getByRole("alert").filter({ hasText: "further away than a pregnancy is long" })).toBeVisible();
  await expect(tablet.getByRole("checkbox", { name: "Pregnant" })).toBeChecked(); // nothing entered is lost
  await typeDay(tablet, tablet.getByRole("group", { name: "Due date" }), 280 - 90); // week 12, day 6
  await tablet.getByRole("button", { name: "Keep these" }).click();
  await expect(tablet.getByRole("region", { name: "Clocks" })).toContainText("week 12, day 6, trimester 1");
  await tablet.getByText("No", { exact: true }).click();
  await tablet.getByRole("button", { name: "Keep the answer" }).click();
  await tablet.getByText("Yes, and cleared", { exact: true }).click();
  await tablet.getByRole("textbox", { name: "By whom" }).fill("Ragna Holm");
  await tablet.getByRole("button", { name: "Keep the answer" }).click();
  await expect(tablet.getByRole("alert").filter({ hasText: /role is missing/i })).toBeVisible();
  await tablet.getByRole("button", { name: /Their role$/ }).click();
  await tablet.getByRole("option", { name: "Midwife" }).click();
  await typeDay(tablet, tablet.getByRole("group", { name: "When they said it" }), -1);
  await tablet.getByRole("button", { name: "Keep the answer" }).click();
  await expect(stands(tablet)).toContainText("A session may be built.");
  await other.close();

  await page.reload();
  await expect(limits(page)).toContainText("No breath-holding");
  await expect(limits(page).getByText(/^No lying on the back, by rule$/)).toBeHidden();
  await open(page, "What is known of joints, back, heart and pregnancy?");
  await typeDay(page, page.getByRole("group", { name: "Due date" }), 280 - 98); // week 14, day 0
  await page.getByRole("button", { name: "Keep these" }).click();
  await expect(page.getByRole("region", { name: "Clocks" })).toContainText("week 14, day 0, trimester 2");
  await expect(limits(page)).toContainText("No lying on the back");
  await openClient(page, "Šárka", "Fit");
  await page
    .getByRole("tab", { name: "Bridge" })
    .or(page.getByText("Bridge", { exact: true }))
    .first()
    .click();
  await expect(page.getByText(/No lying on the back/).nth(1)).toBeVisible(); // beside the row it closes
});

test("a sign said before training stops planning until it is cleared by name; a rule is set aside with a reason", async ({
  trainer: page,
}) => {
  await addClient(page, "Ove Lind");
  await answerScreen(page);
  await open(page, "Any of these, now or in the last weeks?");
  await page.getByRole("checkbox", { name: "Dizzy or faint" }).check({ force: true });
  await page.getByRole("button", { name: "Keep this one" }).click();
  await expect(page.locator("body")).toContainText("Warning sign open: Dizzy or faint");
  await open(page, "Any of these, now or in the last weeks?");
  await page.getByRole("button", { name: "None of these" }).click(); // said otherwise later: it stays open
  await expect(page.getByRole("button", { name: /Answer: Any of these/ })).toHaveText("change");
  await page.goto("/clients");
  await expect(page.getByRole("link", { name: /Ove Lind/ })).toContainText("Warning sign open");
  await openClient(page, "Ove Lind", "Limits");
  await clearSign(page);

  await openClient(page, "Ove Lind", "Screen");
  await open(page, "What is known of joints, back, heart and pregnancy?");
  await page.getByText("Arthritis, wear type", { exact: true }).click();
  await page.getByRole("button", { name: "Keep these" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Which side" })).toBeVisible();
  await page.getByText("Left", { exact: true }).click();
  await page.getByRole("button", { name: "Keep these" }).click();
  await expect(limits(page)).toContainText("No impact, by rule");
  await follows(page)
    .getByRole("button", { name: /^Set aside: No landing/ })
    .click();
  await page.getByRole("textbox", { name: /^Why it is set aside/ }).fill("Danced all summer without a word from it");
  await page.getByRole("button", { name: "Set it aside" }).click();
  await expect(follows(page)).toContainText("Danced all summer");
  await expect(limits(page)).not.toContainText("No impact, by rule");
});

test("a sign said on Screen stops a session that is under way, and what was done is kept", async ({ trainer: page }) => {
  await addClient(page, "Tuva Bakke");
  await answerScreen(page);
  await openClient(page, "Tuva Bakke", "Fit");
  await page.getByRole("button", { name: /^Keep/ }).click();
  await page.getByRole("dialog").getByLabel("Why").fill("A first look at her own chair");
  await page.getByRole("button", { name: "Keep it all the same" }).click();
  await page.getByRole("button", { name: "Start the session" }).click();
  await expect(page.getByRole("region", { name: "Check-in" })).toBeVisible();
  await openClient(page, "Tuva Bakke", "Screen");
  await open(page, "Any of these, now or in the last weeks?");
  await page.getByText("New swelling or heat in a calf", { exact: true }).click();
  await page.getByRole("button", { name: "Keep this one" }).click();
  await expect(page.locator("body")).toContainText("Warning sign open: New swelling or heat in a calf");
  await openClient(page, "Tuva Bakke", "Floor");
  await expect(page.getByRole("heading", { name: "A warning sign stands open" })).toBeVisible();
  await page.getByRole("link", { name: "Record a clearance" }).click();
  await clearSign(page);
  await openClient(page, "Tuva Bakke", "Floor");
  await expect(page.getByRole("region", { name: "Check-in" })).toBeVisible();
});

test("a clinician's letter is kept as a picture without its place, shown to its studio alone, and anything else is turned away", async ({
  trainer: page,
  browser,
  complaints,
}) => {
  await openClient(page, "Oswin Marr", "Screen");
  const letters = page.getByRole("region", { name: "Letters" });
  const attach = async (name: string, mimeType: string, buffer: Buffer): Promise<void> => {
    const chooser = page.waitForEvent("filechooser");
    await letters.getByRole("button", { name: /file$|picture or PDF/ }).click();
    await (await chooser).setFiles({ name, mimeType, buffer });
  };
  await attach("letter.jpg", "image/jpeg", Buffer.from("<script>alert(1)</script>"));
  await letters.getByRole("textbox", { name: "Who wrote it" }).fill("Dr Ingrid Solheim");
  await letters.getByRole("button", { name: "Keep the letter" }).click();
  await expect(letters.getByRole("alert")).toContainText(/Day is missing/i);
  await typeDay(page, page.getByRole("group", { name: "Date on the letter" }), -3);
  await letters.getByRole("button", { name: "Keep the letter" }).click();
  await expect(letters.getByRole("alert")).toContainText("neither a picture nor a PDF");
  const picture = await sharp({ create: { width: 300, height: 200, channels: 3, background: "#fff" } })
    .withExif({ IFD0: { Make: "SomeCamera" } })
    .jpeg()
    .toBuffer();
  await attach("letter.jpg", "image/jpeg", picture);
  await letters.getByRole("button", { name: "Keep the letter" }).click();
  const link = letters.getByRole("link", { name: /^Dr Ingrid Solheim/ });
  await expect(link).toBeVisible();
  const address = (await link.getAttribute("href")) ?? "";
  const kept = await page.request.get(address);
  expect([kept.status(), kept.headers()["content-type"], kept.headers()["cache-control"]]).toEqual([
    200,
    "image/jpeg",
    "private, no-store",
  ]);
  expect((await kept.body()).includes("SomeCamera")).toBe(false);
  const stranger = await browser.newContext();
  expect((await stranger.request.get(address)).status()).toBe(401);
  await stranger.close();
  complaints.length = 0; // what is turned away is what this test is about
});

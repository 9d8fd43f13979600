import { expect, expectAccessible, openClient, sql, test } from "./studio";

test("the catalogue is searched by words with slips in them, by shelf, kit and condition, and a row opens whole", async ({
  trainer: page,
}) => {
  await page.goto("/account");
  await page.getByRole("link", { name: "Catalogue", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Catalogue" })).toBeVisible();
  await expect(page.getByRole("status").filter({ hasText: "208 ways" })).toBeVisible();
  await expectAccessible(page);
  const rows = page.getByRole("navigation", { name: "Rows" });
  await page.getByRole("textbox", { name: "Find" }).fill("cosack squat");
  await expect(rows.getByRole("link").first()).toContainText("Side-to-side squat");
  await rows.getByRole("link").first().click();
  const detail = page.getByRole("region", { name: "Side-to-side squat" });
  await expect(detail).toContainText("Also called cossack squat");
  await expect(detail).toContainText("inner thigh");
  await expect(detail.getByRole("img").first()).toBeVisible();
  await detail.getByRole("link", { name: "full single-leg squat" }).click();
  await expect(page.getByRole("region", { name: "Full single-leg squat" })).toBeVisible();
  await page.getByRole("textbox", { name: "Find" }).fill("");
  await page.getByRole("button", { name: /For a client with/ }).click();
  await page.getByRole("option", { name: "Disc, with pain into buttock or leg" }).click();
  await page.getByRole("button", { name: /Shelf/ }).click();
  await page.getByRole("option", { name: "Hinge" }).click();
  await expect(rows.getByRole("link", { name: /H13/ })).toContainText("closed for this condition");
  await expect(rows.getByRole("link", { name: /H14/ })).not.toContainText("closed for this condition");
  await page.getByRole("textbox", { name: "Find" }).fill("zzqx");
  await expect(rows).toContainText("Nothing found");
});

test("every pattern has its list, what is drawn or posed, and words that narrow it", async ({ trainer: page }) => {
  await openClient(page, "Ansel Birk", "Fit");
  const patterns = page.getByRole("group", { name: "Pattern" });
  for (const pattern of ["Squat", "Hinge", "Bridge", "Step", "Helper"]) {
    await patterns.getByRole("button", { name: pattern }).click();
    await expect(page.getByRole("region", { name: /^(Open today|Try one light set first|Not measured yet)$/ }).first()).toBeVisible();
    await expect(page.getByRole("region", { name: "Set-up" }).locator("svg").first()).toBeVisible();
  }
  await page.getByRole("searchbox", { name: "Find in this list" }).fill("bird");
  await page.getByRole("row", { name: /^Bird dog/ }).click();
  await expect(page.getByRole("img", { name: /How Bird dog is done/ })).toBeVisible();
  await expect(page.getByRole("main")).toContainText("No kneeling: Ansel");
});

test("a school is chosen for a client with a reason, compared with another on that client, and Fit goes by it", async ({
  trainer: page,
}) => {
  await openClient(page, "Bram Ketter", "Limits");
  await page.getByRole("region", { name: "School" }).getByRole("link", { name: "Change or compare" }).click();
  const compared = page.getByRole("region", { name: "Compared on this client" });
  await expect(compared).toContainText(/exercises they do not see alike/);
  await expect(compared).toContainText("Left out by the school");
  await expectAccessible(page);
  await page.getByRole("button", { name: /Whole school/ }).click();
  await page.getByRole("option", { name: "Gentle" }).click();
  await expect(page.getByRole("button", { name: "Train by this school" })).toBeDisabled();
  await page.getByRole("textbox", { name: /^Why this school/ }).fill("Sore after the market week");
  await page.getByRole("button", { name: "Train by this school" }).click();
  await expect(page.getByRole("region", { name: "School" })).toContainText("Gentle, chosen by Tove Lind");
  await openClient(page, "Bram Ketter", "Fit");
  await page.getByRole("searchbox", { name: "Find in this list" }).fill("full-range");
  await page.getByRole("button", { name: /Why Full-range squat is closed/ }).click();
  await expect(page.getByRole("dialog")).toContainText("Left out by the school: depth");
  await sql("delete from school_choice where reason = $1", ["Sore after the market week"]);
});

test("a client's home is listed by its things; Fit at home proposes what can be set up from them, and closes the rest", async ({
  trainer: page,
}) => {
  await openClient(page, "Maren Holt", "Fit");
  await page.getByRole("button", { name: /the studio/ }).click();
  await page.getByRole("option", { name: "home", exact: true }).click();
  await expect(page.getByRole("link", { name: "what is there" })).toBeVisible();
  await page
    .getByRole("row", { name: /^Raised sit-to-stand|^Slow-lowering sit-to-stand|^Partial squat/ })
    .first()
    .click();
  await expect(page.getByRole("group", { name: "Levers" })).toContainText(/chair 46 cm and|sofa 42 cm and/);
  await page.getByRole("searchbox", { name: "Find in this list" }).fill("leg press");
  await expect(page.getByRole("region", { name: "Closed, and what would open it" })).toContainText("needs leg press");
  await page.getByRole("link", { name: "what is there" }).click();
  await expect(page.getByRole("heading", { name: "What is at home" })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Add a thing" }).click();
  await page.getByRole("button", { name: "Keep the list" }).click();
  await expect(page.getByRole("status").filter({ hasText: "Kept" })).toBeVisible();
});

test("a variation of our own is made from a row, kept only when it is whole, fitted, and handed on as a file", async ({
  trainer: page,
}) => {
  await page.goto("/catalogue?row=S02");
  await page.getByRole("link", { name: "make our own from it" }).click();
  const name = page.getByRole("textbox", { name: "Name" });
  await expect(name).toHaveValue("Raised sit-to-stand, our way");
  await name.fill("Deck-chair rise");
  await page.getByRole("textbox", { name: /^Cues/ }).fill("Nose over toes");
  await expect(page.getByText("Give it two cues or more.")).toBeVisible();
  await expect(page.getByRole("button", { name: "Keep this row" })).toBeDisabled();
  await page.getByRole("textbox", { name: /^Cues/ }).fill("Nose over toes\nTouch, do not drop");
  await expectAccessible(page);
  await page.getByRole("button", { name: "Keep this row" }).click();
  await expect(page.getByRole("heading", { name: "Catalogue" })).toBeVisible();
  await expect(page.getByRole("navigation", { name: "Rows" })).toContainText("Deck-chair rise");

  const answer = await page.request.get("/api/rows");
  const file = (await answer.json()) as { format: string; rows: { name: string; id: string }[] };
  expect(file).toMatchObject({ format: "ponderis-rows", version: 1, rows: [{ name: "Deck-chair rise", basedOn: "S02", revision: 1 }] });
  const schema = (await (await page.request.get("/api/rows/schema")).json()) as { properties: object };
  expect(Object.keys(schema.properties)).toEqual(["format", "version", "rows"]);
  const taken = { ...file, rows: file.rows.map((row) => ({ ...row, id: row.id.replace(/.$/, (x) => (x === "0" ? "1" : "0")) })) };
  const give = (text: string): Promise<void> =>
    page.locator("input[type=file]").setInputFiles({ name: "rows.json", mimeType: "application/json", buffer: Buffer.from(text) });
  await give("no json");
  await expect(page.getByText("This file is not JSON")).toBeVisible();
  await give(JSON.stringify(taken));
  await expect(page.getByText("There is one called Deck-chair rise already")).toBeVisible();
  await give(JSON.stringify({ ...taken, rows: taken.rows.map((row) => ({ ...row, name: "Ramp rise" })) }));
  await expect(page.getByText("1 row taken in.")).toBeVisible();

  await openClient(page, "Maren Holt", "Fit");
  await page.getByRole("searchbox", { name: "Find in this list" }).fill("deck-chair");
  await page.getByRole("row", { name: /^Deck-chair rise/ }).click();
  await expect(page.getByRole("region", { name: "Set-up" })).toContainText("Nose over toes. Touch, do not drop.");
  await page.reload(); // a page that was asked for anew knows it too
  await expect(page.getByRole("searchbox", { name: "Find in this list" })).toBeVisible();
});

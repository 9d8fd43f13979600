import { answerScreen, expect, expectAccessible, openClient, signIn, sql, test } from "./studio";

test("sign-in, clients and the form for a new one are accessible", async ({ page }) => {
  await page.goto("/sign-in");
  await expectAccessible(page);
  await signIn(page);
  await page.getByRole("link", { name: "Clients", exact: true }).click();
  await expect(page.getByRole("heading", { name: "Clients" })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("link", { name: "Add a client" }).click();
  await expect(page.getByRole("heading", { name: "Add a client" })).toBeVisible();
  await expectAccessible(page);
  await page.goto("/clients/nobody/fit");
  await expect(page.getByRole("heading", { name: "Not here" })).toBeVisible();
  await expectAccessible(page);
});

test("a new client goes from nothing to a first rung; bad input says what is wrong and loses nothing", async ({ trainer: page }) => {
  await page.goto("/clients");
  await page.getByRole("link", { name: "Add a client" }).click();
  await page.getByRole("textbox", { name: "Name" }).fill("Odd Strand");
  await page.getByRole("textbox", { name: "What hurts" }).fill("Right kneecap on stairs down");
  await page.getByRole("textbox", { name: /^Stature/ }).fill("170");
  await page.getByRole("textbox", { name: /^Mass/ }).fill("82");
  await page.getByRole("textbox", { name: /^Usual morning pain/ }).fill("2");
  await page.getByRole("textbox", { name: /^Year of birth/ }).fill("1964");
  await page.getByRole("textbox", { name: /^Pain agreed/ }).fill("3");
  await page.getByRole("textbox", { name: /^Pain agreed/ }).press("Tab");
  await page.getByRole("button", { name: "Add the client" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Body tables is missing." })).toBeVisible();
  await expect(page.getByRole("textbox", { name: "Name" })).toHaveValue("Odd Strand");
  await page.getByText("Male", { exact: true }).click();
  await page.getByRole("button", { name: "Add the client" }).click();
  await expect(page.getByRole("alert").filter({ hasText: /side/i })).toBeVisible();
  await page.getByText("Right", { exact: true }).click();
  await page.getByRole("button", { name: "Add the client" }).click();
  await expect(page.getByRole("heading", { level: 1, name: /Odd Strand/ })).toBeVisible();

  // nothing is trained before it was asked, and the refusal opens the missing question
  await page.getByRole("navigation", { name: "Stations" }).getByRole("link", { name: "Floor" }).click();
  await expect(page.getByRole("heading", { name: "No session yet: something was not asked." })).toBeVisible();
  await page.getByRole("link", { name: "Open it on Screen" }).click();
  await answerScreen(page);
  await page.getByRole("link", { name: "a clinician's limits" }).click();

  // the surgeon's limit, and the calm seat
  await page.getByRole("button", { name: "Add a limit" }).click();
  const limit = page.getByRole("dialog", { name: "Add a limit" });
  await limit.getByRole("textbox", { name: /^At most/ }).fill("95");
  await limit.getByRole("textbox", { name: "Name or role" }).fill("Knee surgeon");
  await limit.getByRole("button", { name: "Add the limit" }).click();
  await expect(limit.getByRole("alert")).toHaveText("Side is missing.");
  await limit.getByText("Right", { exact: true }).click();
  await limit.getByRole("button", { name: "Add the limit" }).click();
  await expect(page.getByRole("region", { name: "Limits in force" })).toContainText("Right knee bend to 95°, Knee surgeon");
  await page.getByRole("button", { name: "Measure a calm seat" }).click();
  const calm = page.getByRole("dialog", { name: "Measure a calm seat" });
  await calm.getByRole("textbox", { name: /^Seat height/ }).fill("60");
  await calm.getByRole("textbox", { name: /^Seat height/ }).press("Tab");
  await calm.getByRole("button", { name: "Set the ceiling from this" }).click();
  await expect(page.getByRole("region", { name: "Ceilings" })).toContainText("provisional until a calm morning");
  await page.getByRole("navigation", { name: "Stations" }).getByRole("link", { name: "Fit" }).click();
  await expect(page.locator('[data-channel="kneecapStress"]')).toContainText(/\d+%/);
  await page.getByRole("button", { name: /^Keep/ }).click();
  await expect(page.getByRole("button", { name: "Start the session" })).toBeVisible();
});

test("a warning sign stops the session view and planning until a clearance is recorded", async ({ trainer: page }) => {
  await openClient(page, "Odd Strand", "Floor");
  await page.getByRole("button", { name: "Start the session" }).click();
  await page.getByRole("button", { name: "Pain 1", exact: true }).click();
  await expectAccessible(page);
  await page.getByText("No", { exact: true }).click();
  await page.getByRole("button", { name: "As planned" }).click();
  await page.getByRole("button", { name: /^Start/ }).click();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Warning sign" }).click();
  await expect(page.getByRole("alertdialog", { name: "Which warning sign" })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "Chest pain" }).click();
  await expect(page.getByRole("heading", { name: "Stop here" })).toBeVisible();
  await expect(page.getByText("call the emergency services now")).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: "End the session" }).click();
  await expect(page.getByText("Saved in the studio")).toBeVisible();
  await openClient(page, "Odd Strand", "Fit");
  await expect(page.getByText("A warning sign stands open.")).toBeVisible();
  await expect(page.getByRole("button", { name: /^Keep/ })).toBeDisabled();
  await page.getByRole("navigation", { name: "Stations" }).getByRole("link", { name: "Limits" }).click();
  await page.getByRole("textbox", { name: "Cleared by" }).fill("Dr Vane");
  await expect(page.getByRole("region", { name: "Limits in force" })).toContainText("Chest pain");
  await page.getByRole("button", { name: "Record the clearance" }).click();
  await expect(page.getByRole("alert").filter({ hasText: /role is missing/i })).toBeVisible(); // no answer is no clinician
  await page.getByRole("button", { name: /Their role$/ }).click();
  await page
    .getByRole("option", { name: /doctor/i })
    .first()
    .click();
  await page.getByRole("button", { name: "Record the clearance" }).click();
  await expect(page.getByRole("region", { name: /^Warning sign/ })).toBeHidden();
  await openClient(page, "Odd Strand", "Fit");
  await expect(page.getByRole("button", { name: /^Keep/ })).toBeEnabled();
});

test("units change everywhere at once", async ({ trainer: page }) => {
  await openClient(page, "Maren Holt", "Fit");
  await page.getByRole("button", { name: "Show imperial units" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("5 ft 6 in");
  await expect(page.getByRole("group", { name: "Levers" })).toContainText(/\d in/);
  await page.getByRole("button", { name: "Show metric units" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("168 cm");
});

test("a cushion is measured once for the studio, and a thing that is none is refused", async ({ trainer: page }) => {
  await page.goto("/clients");
  await expect(page.getByText("One cushion raises a seat by 4 cm, our guess")).toBeVisible();
  await page.getByRole("button", { name: "measure it" }).click();
  const keep = page.getByRole("button", { name: "Keep this thickness" });
  await expectAccessible(page);
  await keep.click(); // nothing entered is nothing kept
  await expect(page.getByText("One cushion raises a seat by 4 cm, our guess")).toBeVisible();
  await page.getByRole("textbox", { name: "One cushion, sat on" }).fill("5.5");
  await keep.click();
  await expect(page.getByText("One cushion raises a seat by 5.5 cm, as measured here")).toBeVisible();
  await page.getByRole("button", { name: "measure again" }).click();
  await page.getByRole("textbox", { name: "One cushion, sat on" }).fill("4");
  await keep.click();
  await expect(page.getByText("One cushion raises a seat by 4 cm, as measured here")).toBeVisible();
});

test("a client that a list shows is not thereby looked at, nor asked of the studio", async ({ trainer: page }) => {
  const reads = async (): Promise<number> =>
    Number((await sql<{ n: string }>("select count(*) as n from audit_event where verb = 'read'"))[0]?.n);
  const before = await reads();
  const asked: string[] = [];
  page.on("request", (request) => {
    if (request.headers()["rsc"]) asked.push(request.url());
  });
  for (const list of ["/", "/clients"]) {
    await page.goto(list);
    await expect(page.getByRole("link", { name: /Maren Holt/ }).first()).toBeVisible();
    await page.waitForLoadState("networkidle");
  }
  expect(asked).toEqual([]);
  expect(await reads()).toBe(before);
});

test("of a studio of hundreds those who need an eye come first, and anybody is found by name", async ({ trainer: page }) => {
  const [studio] = await sql<{ id: string }>(`select id from studio where name like 'Studio above%'`);
  const mine = [studio?.id];
  await sql(
    `with made as (insert into client (studio_id, id, created_by) select $1, gen_random_uuid(), 'test' from generate_series(1, 220) returning id)
     insert into client_revision (studio_id, id, created_by, client_id, name, birth_year, sex, goal)
       select $1, gen_random_uuid(), 'test', id, 'Zz number ' || row_number() over (), 1960, 'female', 'to be many' from made`,
    mine,
  );
  try {
    await page.goto("/clients");
    await expect(page.getByRole("status").filter({ hasText: "Those who need an eye come first" })).toContainText(
      /\d+ more are in the studio/,
    );
    expect(await page.getByRole("listitem").filter({ hasText: "Zz number" }).count()).toBeLessThan(200);
    await page.getByRole("textbox", { name: "Search" }).fill("zz number 217");
    await page.keyboard.press("Enter");
    await expect(page.getByRole("status").filter({ hasText: "Found by “zz number 217”." })).toBeVisible();
    await expect(page.getByRole("link", { name: /Zz number 217/ })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole("link", { name: "Everybody" }).click();
    await expect(page.getByRole("status").filter({ hasText: "Those who need an eye come first" })).toBeVisible();
  } finally {
    await sql(`delete from client_revision where studio_id = $1 and created_by = 'test' and goal = 'to be many'`, mine);
    await sql(`delete from client c where studio_id = $1 and not exists (select 1 from client_revision v where v.client_id = c.id)`, mine);
  }
});

test.describe("kept on a tablet", () => {
  test.use({ serviceWorkers: "allow" });
  test("of many documents asked for at once the last come as facts, which the device draws, without a connection as well", async ({
    trainer: page,
    complaints,
  }) => {
    await openClient(page, "Maren Holt", "Fit");
    const fit = page.url();
    const isDrawn = (html: string): boolean => html.includes('aria-label="Set-up"');
    const crowd = (): Promise<string[]> =>
      Promise.all(Array.from({ length: 12 }, () => page.request.get(fit).then((answer) => answer.text())));
    const documents = await crowd();
    const left = documents.filter((html) => !isDrawn(html));
    expect(left.length).toBeGreaterThan(0);
    expect(left.length).toBeLessThan(documents.length);
    for (const html of left) expect(html).toContain("Working it out");
    expect(isDrawn(await (await page.request.get(fit)).text())).toBe(true); // alone again

    // a reload amid a crowd: what the tablet keeps of it are the facts
    await page.evaluate(() => navigator.serviceWorker.ready);
    const kept = (): Promise<string> =>
      page.evaluate(async () => (await (await caches.match(location.href, { ignoreVary: true }))?.text()) ?? "");
    await expect
      .poll(async () => {
        await Promise.all([crowd(), page.reload()]);
        const html = await kept();
        return html !== "" && !isDrawn(html);
      })
      .toBe(true);
    const drawing = page.getByRole("region", { name: "Set-up" }).locator("svg").first();
    await expect(drawing).toBeVisible();
    await page.waitForLoadState("networkidle");
    await page.context().setOffline(true);
    await page.reload();
    await expect(drawing).toBeVisible();
    await expect(page.getByRole("button", { name: /^Build/ })).toBeEnabled();
    await page.context().setOffline(false);
    complaints.length = 0; // that there was no connection
  });
});

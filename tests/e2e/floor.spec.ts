import type { Page } from "@playwright/test";
import { endSession, expect, expectAccessible, openClient, signIn, sql, test } from "./studio";

test.use({ serviceWorkers: "allow" });

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
/** Nothing that is tapped is smaller than a finger. */
async function expectTouchable(page: Page): Promise<void> {
  const small = await page
    .getByRole("main")
    .getByRole("button")
    .evaluateAll((all) =>
      all
        .map((each) => ({ name: each.textContent, box: each.getBoundingClientRect() }))
        .filter(({ box }) => box.width > 0 && (box.height < 40 || box.width < 40))
        .map(({ name, box }) => `${name} ${Math.round(box.width)} x ${Math.round(box.height)}`),
    );
  expect(small).toEqual([]);
}
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
  const ahead = () => sql("select 1 from audit_event where verb = 'put-on-a-tablet'");
  await expect.poll(async () => (await ahead()).length).toBeGreaterThan(0); // and by that nobody has looked
  await context.setOffline(true);
  await page
    .getByRole("region", { name: "Who comes today" })
    .getByRole("link", { name: /loor: Thora Vane/ })
    .click();
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
  await expect(page.getByText("Saved in the studio")).toBeVisible(); // the next test comes with another tablet
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

test("eight exercises and a drop set on a tablet held upright, by touch, with no connection from start to end", async ({
  trainer: page,
  browser,
}) => {
  // a load that falls within its last sets, planned with the rest
  await openClient(page, "Tord Vinge", "Fit");
  await page.getByRole("button", { name: "Hinge", exact: true }).click();
  await page.getByRole("grid").getByText("Hex-bar deadlift").click();
  await page.getByRole("button", { name: "Change the dose" }).click();
  await page.getByText("A drop set: the last 2 sets at once with 16 kg, 13 kg").click();
  await page.getByRole("button", { name: "Done" }).click();
  await page.getByRole("button", { name: /^Keep/ }).click();
  await expect(page.getByRole("heading", { name: "Today's session" })).toBeVisible();
  await page.getByRole("navigation", { name: "Stations" }).getByRole("link", { name: "Plan" }).click();
  await page.getByRole("button", { name: "Build it anew" }).click();
  await expect(page.getByRole("list", { name: "Session" })).toContainText("the last 2 sets at once with 16 kg, 13 kg");
  await page.getByRole("button", { name: "Keep the plan" }).click();
  await expect(page.getByRole("button", { name: "Kept" })).toBeVisible();

  const hand = await browser.newContext({ viewport: { width: 800, height: 1280 }, hasTouch: true });
  const tablet = await hand.newPage();
  await signIn(tablet);
  await tablet
    .getByRole("region", { name: "Who comes today" })
    .getByRole("link", { name: /loor: Tord Vinge/ })
    .tap();
  await tablet.getByRole("button", { name: "Start the session" }).tap();
  await tablet
    .getByRole("button", { name: /^Pain 0/ })
    .first()
    .tap();
  await tablet.getByText("No", { exact: true }).tap();
  await hand.setOffline(true);
  await tablet.getByRole("button", { name: "As planned" }).tap();
  const exercises = tablet.getByRole("group", { name: "Exercises" }).getByRole("button");
  expect(await exercises.count()).toBeGreaterThanOrEqual(8);
  await expectTouchable(tablet);

  const panel = tablet.getByRole("region", { name: "Tempo" });
  const painTap = () =>
    tablet.getByRole("group", { name: "Pain during this set" }).getByRole("button", { name: "Pain 1", exact: true }).tap();
  // by the timer, and then each drop at once
  await exercises.filter({ hasText: "Hex-bar deadlift" }).tap();
  await panel.getByRole("button", { name: /^Start/ }).tap();
  await expect(panel).toContainText(/Lower, \d/);
  await painTap();
  await expect(panel).toContainText("At once: set 2 of 3");
  const rows = tablet.getByRole("table", { name: "Sets" }).locator("tbody tr");
  await expect(rows.nth(1)).toContainText("with 16 kg");
  await expect(rows.nth(2)).toContainText("with 13 kg");
  // everything else as it comes
  let taps = 0;
  for (; taps < 60; taps++) {
    const next = panel.getByRole("button", { name: /^Next:/ });
    if (await next.isVisible()) await next.tap();
    if (!(await panel.getByText("Done already").isVisible())) break;
    await panel.getByText("Done already").tap();
    await painTap();
  }
  expect(taps).toBeGreaterThan(12);
  await expect(exercises.filter({ hasText: "Hex-bar deadlift" })).toContainText("3 of 3 sets");
  await endSession(tablet);
  await expect(tablet.getByText(`${taps + 1} sets kept.`)).toBeVisible();
  await hand.setOffline(false);
  await expect(tablet.getByText("Saved in the studio")).toBeVisible({ timeout: 30_000 });
  const stored = await sql<{ loadKg: number | null }>(
    `select (p.setting ->> 'loadKg')::float as "loadKg" from performed_set p join training_session s on s.id = p.session_id and s.studio_id = p.studio_id
       join client_revision c on c.client_id = s.client_id and c.studio_id = s.studio_id
      where c.name = 'Tord Vinge' and s.day = (select max(day) from training_session t where t.client_id = s.client_id) order by p.ended_at`,
  );
  expect(stored).toHaveLength(taps + 1);
  expect(stored.slice(0, 3).map(({ loadKg }) => loadKg)).toEqual([20, 16, 13]);
  await hand.close();
});

test("the weak side goes first and the other is asked about; a set may be done once more, and none after pain", async ({
  trainer: page,
}) => {
  await openClient(page, "Runa Skov", "Floor");
  await page.getByRole("button", { name: "Start the session" }).click();
  await checkIn(page);
  const exercise = (name: string) => page.getByRole("group", { name: "Exercises" }).getByRole("button", { name });
  await exercise("Small supported lunge, right").click();
  await logSet(page);
  await page.getByRole("dialog", { name: "The left comes first" }).getByRole("button", { name: "Go to the left" }).click();
  await expect(exercise("Small supported lunge, left")).toHaveAttribute("aria-pressed", "true");
  await logSet(page);
  await pain(page, 1);
  await expect(exercise("Small supported lunge, right")).toHaveAttribute("aria-pressed", "true");
  await exercise("Two-leg hinge").click();
  for (let done = 0; done < 2; done++) {
    await logSet(page);
    await pain(page, 1);
  }
  await expect(page.getByText("Done already")).toBeHidden();
  await menu(page, "One more set");
  await logSet(page);
  await pain(page, 1);
  await expect(exercise("Two-leg hinge")).toContainText("3 sets, 2 planned");
  await page.getByRole("button", { name: "sharp", exact: true }).click();
  await page.getByRole("button", { name: "Stop this exercise for today" }).click();
  await exercise("Two-leg hinge").click();
  await page.getByRole("button", { name: "More for this exercise" }).click();
  await expect(page.getByRole("menuitem", { name: "Add an exercise" })).toBeVisible();
  await expect(page.getByRole("menuitem", { name: "One more set" })).toBeHidden();
  await page.keyboard.press("Escape");
  await expect(page.getByText("Saved in the studio")).toBeVisible();
});

test("a picture of a repetition stays on the tablet until the client agrees, and is gone once it is taken back", async ({
  trainer: page,
}) => {
  await openClient(page, "Runa Skov", "Floor");
  await menu(page, "A picture of a repetition");
  await page.locator("input[type=file]").setInputFiles("docs/screenshots/floor.png");
  await page.getByText("from the side", { exact: true }).click();
  await page.getByLabel("A word on it").fill("Heel stays down");
  await expectAccessible(page);
  await page.getByRole("button", { name: "Keep it on this tablet" }).click();
  const here = page.getByRole("region", { name: "Pictures on this tablet alone" });
  await expect(here).toContainText("Heel stays down");
  await page.reload();
  await expect(here).toContainText("Heel stays down");
  const stored = async () => (await sql<{ count: number }>("select count(*)::int as count from session_picture"))[0]?.count;
  expect(await stored()).toBe(0);
  await here.getByRole("button", { name: /^The client agrees/ }).click();
  await expect(here).toBeHidden();
  expect(await stored()).toBe(1);
  await endSession(page);
  await page.getByRole("navigation", { name: "Stations" }).getByRole("link", { name: "Review" }).click();
  const pictures = page.getByRole("region", { name: "Pictures" });
  await expect(pictures).toContainText("from the side");
  await expect.poll(() => pictures.getByRole("img").evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(100);
  await expectAccessible(page);
  await pictures.getByRole("button", { name: /^Erase the picture/ }).click();
  await page.getByRole("button", { name: "Erase it" }).click();
  await expect(pictures).toBeHidden();
  expect(await stored()).toBe(0);
});

import type { Page } from "@playwright/test";
import { decideFirst, endSession, expect, expectAccessible, nightPasses, openClient, sql, test } from "./studio";

/** On Ansel, whose demo has a squat and a helper: hinge, bridge and step come beside them. */
const CLIENT = "Ansel Birk";
const pattern = (page: Page, name: string) => page.getByRole("button", { name, exact: true });

/** Keeps what Fit proposes, or with the levers as they stand; says why where it is asked. */
async function keep(page: Page): Promise<void> {
  await page.getByRole("button", { name: /^Keep/ }).click();
  const why = page.getByRole("dialog", { name: "Keep it all the same" });
  await expect(why.or(page.getByRole("button", { name: "Start the session" }))).toBeVisible();
  if (await why.isVisible()) {
    await expect(why.getByRole("button", { name: "Keep it all the same" })).toBeDisabled();
    await why.getByRole("textbox", { name: "Why" }).fill("first time in this pattern");
    await why.getByRole("button", { name: "Keep it all the same" }).click();
  }
  await expect(page.getByRole("button", { name: "Start the session" })).toBeVisible();
}

test("a hinge, a bridge, a step and a helper are fitted, kept beside the squat, and run in one session", async ({ trainer: page }) => {
  const kinds = { Hinge: "Two-leg hinge", Bridge: "Two-leg floor bridge", Step: "Step-up with a rail", Helper: /knee extension/i };
  for (const [tab, row] of Object.entries(kinds)) {
    await openClient(page, CLIENT, "Fit");
    await pattern(page, tab).click();
    const find = page.getByRole("searchbox", { name: "Find in this list" });
    if (typeof row === "string") {
      await find.fill(row);
      await page
        .getByRole("row", { name: new RegExp(`^${row}`) })
        .first()
        .click();
      await find.fill("");
    }
    await expect(page.getByRole("heading", { name: row }).first()).toBeVisible();
    await expect(page.getByRole("region", { name: "Set-up" }).getByRole("group").first()).toBeVisible();
    await expect(page.getByRole("region", { name: "The stair" }).getByRole("button").nth(1)).toBeVisible();
    await expectAccessible(page);
    await keep(page);
  }
  const today = page.getByRole("region", { name: "Today's session" });
  await expect(today.getByRole("checkbox")).toHaveCount(5);
  for (const row of Object.values(kinds)) await expect(today).toContainText(row);
  await page.getByRole("button", { name: "Start the session" }).click();
  await page.getByRole("button", { name: "Pain 2", exact: true }).click();
  await page.getByText("No", { exact: true }).click();
  await page.getByRole("button", { name: "As planned" }).click();
  const exercises = page.getByRole("group", { name: "Exercises" });
  await expect(exercises.getByRole("button")).toHaveCount(5);

  // the hinge: sharp pain stops the countdown, and one question waits for its answer
  await exercises.getByRole("button", { name: /Two-leg hinge/ }).click();
  await page.getByRole("button", { name: /^Start/ }).click();
  await page.getByRole("button", { name: "Sharp" }).click();
  const question = page.getByRole("alertdialog", { name: "What now" });
  await expect(question).toContainText("Sharp pain. What now?");
  await expect(page.getByRole("region", { name: "Tempo" })).toBeHidden();
  await expectAccessible(page);
  await question.getByRole("button", { name: "Stop this exercise for today" }).click();
  await expect(exercises.getByRole("button", { name: /Two-leg hinge/ })).toContainText("stopped for today");

  // the bridge: pain over the number asks the same, and easing answers it
  await exercises.getByRole("button", { name: /floor bridge/ }).click();
  await page.getByRole("button", { name: /^Start/ }).click();
  await page.getByRole("button", { name: /^Pain 6/ }).click();
  await expect(question).toContainText("Pain over the agreed number: 6");
  await question.getByRole("button", { name: /^Ease/ }).click();
  await expect(page.getByText(/from the next set on/)).toBeVisible();
  await endSession(page);
  await expect(page.getByText("2 sets kept.")).toBeVisible();
  await expect(page.getByText("Saved in the studio")).toBeVisible();

  // each exercise that was done gets its own decision: two eases after sharp pain, one after a number
  await nightPasses(CLIENT);
  await page.getByRole("navigation", { name: "Stations" }).getByRole("link", { name: "Morning" }).click();
  const decisions = page.getByRole("region", { name: "Decision" });
  const answer = page.getByRole("group", { name: "Pain this morning" });
  const hinge = page.getByRole("region", { name: /Decision: Two-leg hinge/ });
  await expect(decisions.first()).toBeVisible();
  for (let older = 0; older < 3 && !(await hinge.isVisible()); older++) await decideFirst(page);
  await answer.getByRole("button", { name: "Pain 2", exact: true }).click();
  await page.getByRole("button", { name: "No: save the morning" }).click();
  await expect(answer).toBeHidden();
  await expect(hinge).toContainText(/Ease|Rest/);
  await expect(page.getByRole("region", { name: /Decision: Two-leg floor bridge/ })).toContainText(/Ease|Rest/);
  while ((await decisions.count()) > 0) await decideFirst(page);
  const kept = await sql<{ pattern: string }>(
    "select distinct r.pattern from rung r join client_revision v on v.client_id = r.client_id join studio s on s.id = v.studio_id where v.name = $1 and s.name like 'Studio above%' order by 1",
    [CLIENT],
  );
  expect(kept.map((row) => row.pattern)).toEqual(["bridge", "helper", "hinge", "squat", "step"]);
});

test("what was entered wrongly is put right: a complaint, a set of another day, and a client that should not be there", async ({
  trainer: page,
}) => {
  await openClient(page, CLIENT, "Limits");
  const client = page.getByRole("region", { name: "Client" });
  await client
    .getByRole("button", { name: /^Correct (?!details)/ })
    .first()
    .click();
  const form = page.getByRole("dialog");
  await expectAccessible(page);
  await form.getByRole("textbox", { name: "What hurts" }).fill("Both knees, the right more");
  await form.getByRole("button", { name: /^(Keep|Save)/ }).click();
  await expect(client).toContainText("Both knees, the right more");

  await page.getByRole("navigation", { name: "Stations" }).getByRole("link", { name: "Review" }).click();
  await page.getByRole("button", { name: "Correct a session" }).click();
  await expect(page.getByRole("dialog")).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press("Escape");

  const BY_MISTAKE = "Entered By Mistake"; // nobody that another test looks for
  await sql(
    `with mine as (select id from studio where name like 'Studio above%'),
       made as (insert into client (studio_id, id, created_by) select id, gen_random_uuid(), 'test' from mine returning studio_id, id)
     insert into client_revision (studio_id, id, created_by, client_id, name, birth_year, sex, goal)
       select studio_id, gen_random_uuid(), 'test', id, $1, 1960, 'female', '' from made`,
    [BY_MISTAKE],
  );
  await openClient(page, BY_MISTAKE, "Limits");
  await client.getByRole("button", { name: "Put away or erase" }).click();
  const erase = page.getByRole("dialog").getByRole("button", { name: /^Erase/ });
  await expect(erase).toBeDisabled();
  await page.getByRole("textbox", { name: /to erase$/ }).fill(BY_MISTAKE);
  await erase.click();
  await expect(page.getByRole("heading", { name: "Clients" })).toBeVisible();
  await expect(page.getByText(BY_MISTAKE)).toBeHidden();
  const left = await sql(
    "select 1 from client_revision v join studio s on s.id = v.studio_id where v.name = $1 and s.name like 'Studio above%'",
    [BY_MISTAKE],
  );
  expect(left).toEqual([]);
});

import { expect, openClient, sql, test } from "./studio";

/** Everything that is typed or chosen on the way; buttons that only go on are none. */
const MOST_ENTRIES = 12;

test("from a new name to a first safe set in twelve entries, and nothing is built before the last question", async ({ trainer: page }) => {
  let entries = 0;
  const fill = async (name: RegExp | string, value: string): Promise<void> => {
    await page.getByRole("textbox", { name }).fill(value);
    entries++;
  };
  const tap = async (name: string): Promise<void> => {
    await page.getByText(name, { exact: true }).click();
    entries++;
  };
  const startedMs = Date.now();
  await page.goto("/clients/new");
  await fill("Name", "Żaneta Ærø");
  await fill(/^Year of birth/, "1963");
  await tap("Female");
  await fill(/^Stature/, "164,5");
  await fill(/^Mass/, "70");
  await tap("Right kneecap");
  await page.getByRole("button", { name: "Add the client" }).click();

  // without the clearance question no session is built, and the refusal opens it
  await expect(page.getByRole("heading", { level: 1, name: /Żaneta/ })).toBeVisible();
  for (const question of ["Any of these, now or in the last weeks?", "What is known of joints, back, heart and pregnancy?"]) {
    await page.getByRole("region", { name: question }).getByRole("button", { name: "None of these" }).click();
    entries++;
    await expect(page.getByRole("region", { name: question }).getByRole("button", { name: /^Answer/ })).toHaveText("change");
  }
  await tap("No");
  await page.getByRole("button", { name: "Keep the answer" }).click();
  await expect(page.getByRole("status", { name: "Where it stands" })).toContainText("Has a clinician");
  await tap("Nobody has been asked");
  await page.getByRole("button", { name: "Keep the answer" }).click();
  await page.getByRole("link", { name: "one calm seat" }).click();
  await expect(page.getByRole("button", { name: "Stayed calm" })).toBeVisible();
  for (let i = 0; i < 3; i++) await page.getByRole("button", { name: "Stayed calm" }).click();
  await page.getByRole("button", { name: /^Enough: keep/ }).click();
  entries++; // the seat
  const then = page.getByRole("region", { name: "The calm seat is kept" });
  await expect(then).toContainText("ceiling of the kneecap");
  await expect(then.getByRole("textbox", { name: "Sit-to-stands just done" })).toHaveValue("3");
  await then.getByRole("button", { name: "Log it as the first set" }).click();
  await expect(then.getByRole("alert")).toContainText(/Pain/);
  await fill(/^Pain, 0 to 10/, "1");
  await then.getByRole("button", { name: "Log it as the first set" }).click();
  await expect(then.getByRole("status")).toContainText("Logged as today's first set");
  console.log(`fast path: ${entries} entries, ${Math.round((Date.now() - startedMs) / 1000)} s of a machine's typing`);
  expect(entries).toBeLessThanOrEqual(MOST_ENTRIES);

  const sets = await sql(
    "select f.payload ->> 'repetitions' as repetitions, f.payload ->> 'painScore' as pain from floor_event f join training_session s on s.studio_id = f.studio_id and s.id = f.session_id join client_revision c on c.client_id = s.client_id where c.name = 'Żaneta Ærø' and f.kind = 'set-ended'",
  );
  expect(sets).toEqual([{ repetitions: "3", pain: "1" }]);
  await openClient(page, "Żaneta", "Limits");
  await expect(page.getByRole("region", { name: "Ceilings" })).toContainText("from a calm pose, today, provisional until a calm morning");
});

import type { Browser, Page } from "@playwright/test";
import { address, decideFirst, expect, expectAccessible, openClient, sql, test } from "./studio";

test.use({ serviceWorkers: "allow" });

/** The other studio's one client: what is told here is in nobody's way. */
const CLIENT = "Ansel Birk";
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true };

async function signInOther(page: Page): Promise<void> {
  await page.goto("/sign-in");
  await page.getByLabel("E-mail").fill("other@ponderis.example");
  await page.getByLabel("Password").fill("harbour-scale");
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByRole("heading", { name: "Today", exact: true })).toBeVisible();
}
const phone = async (browser: Browser): Promise<Page> => (await browser.newContext({ ...PHONE, baseURL: address })).newPage();
/** A finger with glasses on: nothing to tap under 44 px, no text under 16. */
async function expectLarge(page: Page): Promise<void> {
  const small = await page.getByRole("button").evaluateAll((all) =>
    all
      .map((each) => ({ name: each.textContent, box: each.getBoundingClientRect(), text: parseFloat(getComputedStyle(each).fontSize) }))
      .filter(({ box, text }) => box.width > 0 && (box.height < 44 || text < 16))
      .map(({ name }) => name),
  );
  expect(small).toEqual([]);
}

test("from Today to the client's page, the morning told there, and the decision; sets looked at; the link ended", async ({
  page,
  browser,
}) => {
  test.setTimeout(180_000);
  await sql(
    `delete from response r using client_revision v, studio s where s.id = v.studio_id and s.name like 'Millpond%' and v.client_id = r.client_id and v.studio_id = r.studio_id
      and r.session_id = (select id from training_session t where t.client_id = r.client_id and t.studio_id = r.studio_id order by day desc limit 1)`,
  );
  await signInOther(page);
  await expect(page.getByRole("region", { name: "Morning not known" })).toContainText(CLIENT);
  await expectAccessible(page);
  await openClient(page, CLIENT, "Plan", "demo-inland");
  const keep = page.getByRole("button", { name: /^(Keep the plan|Kept)$/ });
  if (await keep.isEnabled()) await keep.click();
  await page.getByRole("link", { name: "Their own page on the phone" }).click();
  await page.getByRole("textbox", { name: "Number" }).fill("+00 555 020");
  await page.getByRole("button", { name: "Keep how they are reached" }).click();
  await page.getByRole("button", { name: /^Make (the|a new) link/ }).click();
  const link = await page.getByRole("textbox", { name: "Private link" }).inputValue();
  await page.getByRole("textbox", { name: "Words" }).fill("This is a bad exercise: {link}");
  await page.getByRole("button", { name: "Send" }).click();
  await expect(page.getByText("judges or promises")).toBeVisible();
  await page.getByRole("textbox", { name: "Words" }).fill("Your page: {link}");
  await page.getByRole("button", { name: "Send" }).click();
  await expect(page.getByText("Sent, by the stand-in")).toBeVisible();
  await expectAccessible(page);
  const kept = await sql<{ row: string }>("select m::text || l::text as row from message m, private_link l");
  expect(kept.some(({ row }) => row.includes(link.split(".").at(-1) ?? "?"))).toBe(false); // the secret is nowhere

  const client = await phone(browser);
  await client.goto(link);
  await client.getByLabel("The year you were born").fill("1900");
  await client.getByRole("button", { name: "Go on" }).tap();
  await expect(client.getByText("That is not the year")).toBeVisible();
  const [born] = await sql<{ birth_year: number }>("select birth_year from client_revision where name = $1 limit 1", [CLIENT]);
  await client.getByLabel("The year you were born").fill(String(born?.birth_year));
  await client.getByRole("button", { name: "Go on" }).tap();
  await client.getByRole("button", { name: "I agree" }).tap();
  await expectAccessible(client);
  await expectLarge(client);
  await client.getByRole("button", { name: "As usual, or better" }).tap();
  await client.getByRole("button", { name: "No", exact: true }).tap();
  await client.getByRole("button", { name: "None of these" }).tap();
  await expect(client.getByText("Thank you.")).toBeVisible();
  await expect(client.getByRole("heading", { name: "Today at home" })).toBeVisible();
  await expectAccessible(client);

  await page.goto("/");
  await expect(page.getByRole("region", { name: "Morning not known" })).toBeHidden();
  await openClient(page, CLIENT, "Morning", "demo-inland");
  await expect(page.getByRole("region", { name: "Morning after" })).toContainText("told by the client");
  await decideFirst(page);

  // days pass, so that today is no rest day
  await sql("update training_session t set day = t.day - 6 from studio s where s.id = t.studio_id and s.name like 'Millpond%'");
  await client.reload();
  await client.getByRole("region", { name: "Today at home" }).getByRole("button").first().tap();
  await expectLarge(client);
  await client.getByRole("button", { name: "Set done" }).tap();
  await client.getByRole("button", { name: "Pain 1", exact: true }).tap();
  // what asks little and was never calm is one light set, and its last
  const unsaid = client.getByRole("button", { name: "I cannot say" });
  if (await unsaid.isVisible()) await unsaid.tap();
  await expect(client.getByText("still only on this phone")).toBeHidden();
  await page.reload();
  await page.getByRole("button", { name: "I have looked: count them" }).click();
  await expect(page.getByRole("region", { name: "Done at home" })).toBeHidden();

  await page.goto((await page.getByRole("link", { name: "Morning" }).getAttribute("href"))?.replace(/morning$/, "own-page") ?? "");
  await page.getByRole("button", { name: "Stop the link" }).click();
  await expect(page.getByText("No link yet")).toBeVisible();
  await client.goto(link);
  await expect(client.getByRole("heading", { name: "This link has ended" })).toBeVisible();
  await client.context().close();
});

test("a page without a connection is there for today, keeps what is told, and a sign closes it at once", async ({
  browser,
  trainer: page,
}) => {
  const [found] = await sql<{ studio: string; client: string }>(
    "select v.studio_id as studio, v.client_id as client from client_revision v join studio s on s.id = v.studio_id where v.name = 'Runa Skov' and s.name like 'Studio above%' limit 1",
  );
  const [secret, nextSecret] = ["e2e-".padEnd(43, "x"), "e2e-".padEnd(43, "y")];
  const makeLink = (to: string) =>
    sql(
      `insert into private_link (studio_id, id, created_by, client_id, opens, token_hash) values ($1, gen_random_uuid(), 'test', $2, 'page', encode(sha256(convert_to($3, 'utf8')), 'hex'))`,
      [found?.studio, found?.client, to],
    );
  await makeLink(secret);
  const client = await phone(browser);
  await client.goto(`/me/${found?.studio}.${secret}`);
  // she did something at home yesterday: how this morning is comes first
  const asUsual = client.getByRole("button", { name: "As usual, or better" });
  await asUsual.or(client.getByRole("heading", { name: "Today at home" })).waitFor();
  if (await asUsual.isVisible()) {
    await asUsual.tap();
    await client.getByRole("button", { name: "No", exact: true }).tap();
    await client.getByRole("button", { name: "None of these" }).tap();
  }
  await expect(client.getByRole("heading", { name: "Today at home" })).toBeVisible();
  await expect(client.getByText("still only on this phone")).toBeHidden();
  await client.reload();
  await client.waitForFunction(
    async (url) => (await caches.match(url, { ignoreVary: true })) !== undefined,
    `${address}/me/${found?.studio}.${secret}`,
  );
  await client.context().setOffline(true);
  await client.reload();
  await client.getByRole("region", { name: "Today at home" }).getByRole("button").first().tap();
  await client.getByRole("button", { name: "Set done" }).tap();
  await client.getByRole("button", { name: "Pain 0", exact: true }).tap();
  await expect(
    client
      .getByText("still only on this phone")
      .or(client.getByRole("button", { name: /Back to the list|I cannot say/ }))
      .first(),
  ).toBeVisible();
  const back = client.getByRole("button", { name: /Back to the list|I cannot say/ });
  if (await back.isVisible()) await back.tap();
  await expect(client.getByText("still only on this phone")).toBeVisible();
  const told = (): Promise<object[]> =>
    sql(
      "select 1 from home_entry where client_id = $1 and kind = 'set' and created_at > now() - interval '3 minutes' and occurred_at > now() - interval '3 minutes'",
      [found?.client],
    );
  const before = (await told()).length;
  // meanwhile the trainer made a new link: the old one says that it has ended, and what is on the phone goes on under the new one
  await makeLink(nextSecret);
  await client.context().setOffline(false);
  await expect(client.getByText("This link has ended")).toBeVisible();
  expect((await told()).length).toBe(before);
  await client.goto(`/me/${found?.studio}.${nextSecret}`);
  await expect(client.getByRole("heading", { name: "Today at home" })).toBeVisible();
  await expect(client.getByText("still only on this phone")).toBeHidden();
  await expect.poll(async () => (await told()).length).toBe(before + 1);
  await sql("delete from response where client_id = $1 and created_at > now() - interval '5 minutes'", [found?.client]); // the morning is asked again
  await sql("delete from home_entry where client_id = $1 and kind = 'morning'", [found?.client]);
  await client.evaluate(async () => {
    // the phone forgets what was told, too
    const names = (await indexedDB.databases()).flatMap(({ name = "" }) => (name.startsWith("ponderis-home") ? [name] : []));
    for (const name of names) {
      const asked = indexedDB.open(name);
      const db = await new Promise<IDBDatabase>((resolve) => (asked.onsuccess = () => resolve(asked.result)));
      const write = db.transaction("entries", "readwrite");
      write.objectStore("entries").clear();
      await new Promise((resolve) => (write.oncomplete = resolve));
      db.close();
    }
  });
  await client.reload();
  await client.getByRole("button", { name: "Yes, one" }).tap(); // before any other question is answered: a sign waits for none
  await expectAccessible(client);
  await client.getByRole("button", { name: "Dizzy or faint" }).tap();
  await client.getByRole("button", { name: "Tell it: this one" }).tap();
  await expect(client.getByRole("heading", { name: "Call the emergency services now." })).toBeVisible();
  await expect(client.getByRole("heading", { name: "Today at home" })).toBeHidden();
  await expect(client.getByText("still only on this phone")).toBeHidden();
  await page.goto("/");
  await expect(page.getByRole("region", { name: "Warning sign" })).toContainText("Runa Skov");
  await sql("delete from home_entry where client_id = $1 and kind = 'sign'", [found?.client]); // the floor's tests are hers
  await client.context().close();
});

import AxeBuilder from "@axe-core/playwright";
import { today as todayIn } from "@internationalized/date";
import { type Cookie, expect, type Locator, type Page, test as base } from "@playwright/test";
import { dayAfter } from "../../src/core/day";
import { Client as Postgres } from "pg";
import { address, killServer, startServer, superUrl } from "./server";

/** Pages that fail a test on any console error, and a signed-in trainer. */
export const test = base.extend<{ trainer: Page; complaints: string[] }, { server: void }>({
  server: [
    async ({}, provide) => {
      await startServer();
      await provide();
      await killServer();
    },
    { scope: "worker", auto: true },
  ],
  complaints: async ({}, provide) => {
    await provide([]);
  },
  trainer: async ({ page, complaints }, provide) => {
    page.on("console", (message) => {
      if (message.type() === "error") complaints.push(`${message.text()} ${message.location().url}`);
    });
    page.on("pageerror", (error) => complaints.push(`${page.url()}: ${String(error)}`));
    await beSignedIn(page);
    await provide(page);
    expect(complaints).toEqual([]);
  },
});

let kept: Cookie[] = [];

/** Signed in, on no page yet: with the cookies of the test before, as long as the studio takes them. Today is a page that costs. */
async function beSignedIn(page: Page): Promise<void> {
  await page.context().addCookies(kept);
  if (kept.length === 0 || !(await isIn(page))) await signIn(page);
  kept = await page.context().cookies();
}
const isIn = async (page: Page): Promise<boolean> => (await page.request.get("/account", { maxRedirects: 0 })).status() === 200;

export async function signIn(page: Page): Promise<void> {
  await page.goto("/sign-in");
  await page.getByLabel("E-mail").fill("trainer@ponderis.example");
  await page.getByLabel("Password").fill("harbour-scale");
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByRole("heading", { name: "Today", exact: true })).toBeVisible();
}

export async function openClient(
  page: Page,
  name: string,
  station: "Screen" | "Assess" | "Limits" | "Fit" | "Plan" | "Floor" | "Morning" | "Review",
  memberId = "demo-quayside",
): Promise<void> {
  const [client] = await sql<{ id: string }>(
    `select r.client_id as id from client_revision r join studio_member m using (studio_id)
      where m.user_id = $2 and r.name ~ $1 order by r.created_at desc limit 1`,
    [name, memberId],
  );
  await page.goto(`/clients/${client?.id}/${station.toLowerCase()}`);
  await expect(page.getByRole("heading", { level: 1, name: new RegExp(name) })).toBeVisible();
  await expect(page.getByRole("navigation", { name: "Stations" }).getByRole("link", { name: station })).toHaveAttribute(
    "aria-current",
    "page",
  );
}

/** WCAG 2.2 AA, as far as a machine can tell. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .options({ resultTypes: ["violations"] }) // what is well need not be told
    .setLegacyMode() // in the page itself, three times as fast: there are no frames of others
    .withTags(["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"])
    .analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(" | ")}`)).toEqual([]);
}

/** What the database holds, behind every policy. */
export async function sql<T extends object>(text: string, values: readonly unknown[] = []): Promise<T[]> {
  const client = new Postgres({ connectionString: superUrl });
  await client.connect();
  try {
    return (await client.query<T>(text, [...values])).rows;
  } finally {
    await client.end();
  }
}

/** A night passes: today's sessions of one client become yesterday's. */
export const nightPasses = (clientName: string): Promise<object[]> =>
  sql(
    `update training_session s set day = s.day - 1 from client_revision c
      where c.studio_id = s.studio_id and c.client_id = s.client_id and c.name = $1 and s.day = (select max(day) from training_session t where t.client_id = s.client_id and t.studio_id = s.studio_id)`,
    [clientName],
  );

export { address, expect };

/** The four questions before training, answered as nothing known and nobody asked. */
export async function answerScreen(page: Page): Promise<void> {
  await expect(page.getByRole("heading", { name: "Any of these, now or in the last weeks?" })).toBeVisible();
  for (const question of ["Any of these, now or in the last weeks?", "What is known of joints, back, heart and pregnancy?"]) {
    await page.getByRole("region", { name: question }).getByRole("button", { name: "None of these" }).click();
    await expect(page.getByRole("region", { name: question }).getByRole("button", { name: /change|Answer/ })).toBeVisible();
  }
  await page.getByText("No", { exact: true }).click();
  await page.getByRole("button", { name: "Keep the answer" }).click();
  await page.getByText("Nobody has been asked", { exact: true }).click();
  await page.getByRole("button", { name: "Keep the answer" }).click();
  await expect(page.getByRole("status", { name: "Where it stands" })).toContainText("A session may be built.");
}

/** Accepts the first decision, and waits until that very card has gone. */
export async function decideFirst(page: Page): Promise<void> {
  const card = await page.getByRole("region", { name: "Decision" }).first().elementHandle();
  await page
    .getByRole("region", { name: "Decision" })
    .first()
    .getByRole("button", { name: /^(Hold|Ease|Build|Rest it|Stop and refer)$/ })
    .click();
  await card?.waitForElementState("hidden");
}

/** Ends the session in hand: at once where all is done, else after it was asked. */
export async function endSession(page: Page): Promise<void> {
  await page.getByRole("button", { name: "End session" }).click();
  const sure = page.getByRole("button", { name: "End it" });
  await sure
    .or(page.getByRole("heading", { name: "Session ended" }))
    .first()
    .waitFor();
  if (await sure.isVisible()) await sure.click();
}

/** Days of the studio, whose zone the tests chose. */
export const dayIn = (timeZone = process.env["DEMO_TIME_ZONE"] ?? "UTC", days = 0): string => todayIn(timeZone).add({ days }).toString();

/** A day so many days from today, typed as the date field takes it: day, month, year. */
export async function typeDay(page: Page, group: Locator, days: number): Promise<void> {
  const [year = "", month = "", date = ""] = dayAfter(dayIn(), days).split("-");
  await group.getByRole("spinbutton").first().click();
  for (const part of [date, month, year]) await page.keyboard.type(part);
}

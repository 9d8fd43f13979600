import { randomUUID } from "node:crypto";
import { base32 } from "@better-auth/utils/base32";
import { createOTP } from "@better-auth/utils/otp";
import type { Browser, Page } from "@playwright/test";
import { address, expect, expectAccessible, sql, test } from "./studio";

/** A second step at the door: codes, recovery codes, passkeys, a studio that asks for them, and a device not seen before. */

const PASSWORD = "anchor and oar";
const elsewhere = async (browser: Browser): Promise<Page> => (await browser.newContext({ baseURL: address })).newPage();
const isIn = (page: Page): Promise<void> => expect(page.getByRole("heading", { name: "Today", exact: true })).toBeVisible();
async function signInAs(page: Page, email: string, code?: string): Promise<void> {
  await page.goto("/sign-in");
  await page.getByLabel("E-mail").fill(email);
  await page.getByLabel("Password").fill(PASSWORD);
  await page.getByRole("button", { name: "Sign in" }).click();
  if (code !== undefined) await tellCode(page, code);
}
async function tellCode(page: Page, code: string): Promise<void> {
  await page.getByLabel("Code", { exact: true }).fill(code);
  await page.getByRole("button", { name: "Sign in" }).click();
}
/** What an authenticator shows, so many half minutes from now: a code counts once, and this test has no half minute to wait. */
const codeOf = (letters: string, ahead = 0): Promise<string> =>
  createOTP(new TextDecoder().decode(base32.decode(letters.replaceAll(" ", "")))).hotp(Math.floor(Date.now() / 30_000) + ahead);

/** Somebody new in the team, signed in on a device of their own. */
async function newMember(trainer: Page, browser: Browser, name: string): Promise<{ page: Page; email: string }> {
  const email = `${randomUUID()}@ponderis.example`;
  await trainer.goto("/studio");
  await trainer.getByRole("textbox", { name: "Name", exact: true }).fill(name);
  await trainer.getByRole("textbox", { name: "E-mail" }).fill(email);
  await trainer.getByRole("button", { name: "Make the link" }).click();
  const page = await elsewhere(browser);
  await page.goto(await trainer.getByRole("textbox", { name: "Invitation" }).inputValue());
  await page.getByRole("textbox", { name: "Password" }).fill(PASSWORD);
  await page.getByRole("button", { name: "Join" }).click();
  await expect(page.getByRole("link", { name: "Sign in" })).toBeVisible();
  await signInAs(page, email);
  await isIn(page);
  return { page, email };
}
async function turnCodesOn(
  page: Page,
  look: (page: Page) => Promise<void> = async () => {},
): Promise<{ letters: string; recovery: string[] }> {
  await page.goto("/account");
  const card = page.getByRole("region", { name: "Codes" });
  await card.getByLabel("Present password").fill(PASSWORD);
  await card.getByRole("button", { name: "Set up codes" }).click();
  const letters = await card.getByRole("code").innerText();
  const recovery = await card.getByRole("list", { name: "Recovery codes" }).getByRole("listitem").allInnerTexts();
  await look(page);
  await card.getByLabel("Code", { exact: true }).fill("000000");
  await card.getByRole("button", { name: "Turn codes on" }).click();
  await expect(card.getByText("does not fit")).toBeVisible();
  await card.getByLabel("Code", { exact: true }).fill(await codeOf(letters));
  await card.getByRole("button", { name: "Turn codes on" }).click();
  await expect(card.getByText("On.", { exact: true })).toBeVisible();
  return { letters, recovery };
}

test("codes: asked for after the password, each counts once, a recovery code too; lost ones are ended by the lead", async ({
  trainer,
  browser,
}) => {
  const { page, email } = await newMember(trainer, browser, "Tamsin Rook");
  const signedIn = async (): Promise<number> =>
    (await sql(`select 1 from audit_event a join "user" u on u.id = a.created_by where u.email = $1 and a.verb like 'signed-in%'`, [email]))
      .length;
  const { letters, recovery } = await turnCodesOn(page, expectAccessible);
  expect(await signedIn()).toBe(1); // turning them on is no sign-in
  expect(recovery).toHaveLength(10);

  const other = await elsewhere(browser);
  await signInAs(other, email);
  await expect(other.getByText("six digits from your telephone")).toBeVisible();
  await expectAccessible(other);
  await other.goto("/"); // the password alone opens nothing
  await expect(other.getByRole("button", { name: "Sign in" })).toBeVisible();
  const code = await codeOf(letters, 1);
  await signInAs(other, email, "000000");
  await expect(other.getByText("does not fit")).toBeVisible();
  await tellCode(other, code);
  await isIn(other);
  expect(await signedIn()).toBe(2);
  const third = await elsewhere(browser);
  await signInAs(third, email, code);
  await expect(third.getByText("has been used")).toBeVisible();
  await third.goto("/");
  await expect(third.getByRole("button", { name: "Sign in" })).toBeVisible();
  await signInAs(third, email, recovery[0]);
  await isIn(third);
  await third.context().clearCookies();
  await signInAs(third, email, recovery[0]);
  await expect(third.getByText("does not fit")).toBeVisible();

  // the device that was there first is told of the ones that came, and says whose they are
  await page.goto("/");
  const told = page.getByRole("status", { name: "A new device" });
  await expect(told).toContainText("on a device not used before");
  await told.getByRole("button", { name: "It was me" }).click();
  await expect(told).toBeHidden();

  await trainer.goto("/studio");
  await trainer.getByRole("button", { name: "Tamsin Rook has lost their codes" }).click();
  await trainer.getByRole("button", { name: "End the codes of Tamsin Rook" }).click();
  await expect(trainer.getByRole("button", { name: "End the codes of Tamsin Rook" })).toBeHidden();
  await signInAs(third, email);
  await isIn(third);
  await trainer.goto("/studio");
  const audit = trainer.getByRole("region", { name: "Who saw and changed what" });
  for (const words of ["turned codes on", "used a recovery code", "signed in on a device not used before", "ended somebody’s codes"])
    await expect(audit).toContainText(words);
  await Promise.all([page, other, third].map((each) => each.context().close()));
});

test("passkeys: a device that is unlocked signs in past the codes; one that nobody unlocked, and one removed, do not", async ({
  trainer,
  browser,
}) => {
  const { page, email } = await newMember(trainer, browser, "Odd Skerry");
  const { recovery } = await turnCodesOn(page);
  const device = await page.context().newCDPSession(page);
  await device.send("WebAuthn.enable");
  const { authenticatorId } = await device.send("WebAuthn.addVirtualAuthenticator", {
    options: {
      protocol: "ctap2",
      transport: "internal",
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  });
  const passkeys = page.getByRole("region", { name: "Passkeys" });
  const addThisDevice = async (password: string): Promise<void> => {
    await passkeys.getByLabel("Present password").fill(password);
    await passkeys.getByRole("button", { name: "Add this device" }).click();
  };
  await addThisDevice("a guess at it"); // an open tablet is no proof of who holds it
  await expect(passkeys.getByText("not the present password")).toBeVisible();
  await addThisDevice(PASSWORD);
  await expect(passkeys.getByRole("button", { name: "Remove it" })).toHaveCount(1);
  const byPasskey = async (): Promise<void> => {
    await page.context().clearCookies();
    await page.goto("/sign-in");
    await page.getByRole("button", { name: "Use a passkey" }).click();
  };
  await byPasskey();
  await isIn(page);

  await page.goto("/account");
  await passkeys.getByRole("button", { name: "Remove it" }).click();
  await expect(passkeys.getByRole("button", { name: "Remove it" })).toHaveCount(0);
  await byPasskey();
  await expect(page.getByText("No passkey of this device signs in here.")).toBeVisible();

  // held, but not unlocked; and the page's own wish for it taken out, as a thief would
  await signInAs(page, email, recovery[0]);
  await isIn(page);
  await page.goto("/account");
  await addThisDevice(PASSWORD);
  await expect(passkeys.getByRole("button", { name: "Remove it" })).toHaveCount(1);
  await device.send("WebAuthn.setUserVerified", { authenticatorId, isUserVerified: false });
  await page.addInitScript(() => {
    const get = navigator.credentials.get.bind(navigator.credentials);
    navigator.credentials.get = (asked) => {
      if (asked?.publicKey) asked.publicKey.userVerification = "discouraged";
      return get(asked);
    };
  });
  await byPasskey();
  await expect(page.getByText("No passkey of this device signs in here.")).toBeVisible();
  await page.goto("/");
  await expect(page.getByRole("button", { name: "Sign in" })).toBeVisible();
  await page.context().close();
});

test("a studio that asks for codes opens nothing to who has none, and everything once they are on; who asks has them first", async ({
  trainer,
  browser,
}) => {
  const { page: lead } = await newMember(trainer, browser, "Runa Holm");
  const { page } = await newMember(trainer, browser, "Eskil Brand");
  await sql(`update studio_member set role = 'lead' where name = 'Runa Holm'`);
  const asks = lead.getByRole("region", { name: "Signing in" });
  const tick = asks.getByText("Everybody signs in with a code as well");
  await lead.goto("/studio");
  await tick.click();
  await expect(asks.getByText("Turn your own codes on first")).toBeVisible();
  await turnCodesOn(lead);
  await lead.goto("/studio");
  await tick.click();
  try {
    await expect(asks.getByRole("checkbox")).toBeChecked();
    await page.goto("/clients");
    await expect(page).toHaveURL(/\/account$/);
    await expect(page.getByText("asks everybody for a code at sign-in")).toBeVisible();
    expect((await page.request.get("/api/export/studio")).status()).toBe(401);
    await turnCodesOn(page);
    await expect(page.getByText("asks everybody for a code at sign-in")).toBeHidden();
    await expect(page.getByText("Your studio asks for them.")).toBeVisible();
    await page.goto("/clients");
    await expect(page.getByRole("heading", { name: "Clients" })).toBeVisible();
    await tick.click();
    await expect(asks.getByRole("checkbox")).not.toBeChecked();
  } finally {
    await sql(`update studio set asks_for_codes = false`);
  }
  await Promise.all([lead.context().close(), page.context().close()]);
});

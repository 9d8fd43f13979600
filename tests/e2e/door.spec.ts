import { connect } from "node:net";
import { address, expect, expectAccessible, signIn, sql, test } from "./studio";

test("another studio's client is not found, and its floor takes nothing", async ({ page }) => {
  const [client] = await sql<{ id: string }>("select client_id as id from client_revision where name = 'Maren Holt'");
  const [session] = await sql<{ id: string; item: string }>(
    "select s.id, i.id as item from training_session s join session_item i on i.session_id = s.id where s.client_id = $1 limit 1",
    [client?.id],
  );
  await page.goto("/sign-in");
  await page.getByLabel("E-mail").fill("other@ponderis.example");
  await page.getByLabel("Password").fill("not the password");
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "do not go together" })).toBeVisible();
  await page.getByLabel("Password").fill("harbour-scale");
  await page.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByRole("heading", { name: "Today", exact: true })).toBeVisible();
  await expect(page.getByText("Maren Holt")).toBeHidden();
  await page.goto(`/clients/${client?.id}/fit`);
  await expect(page.getByRole("heading", { name: "Not here" })).toBeVisible();
  const body = { kind: "session-ended" };
  const now = new Date().toISOString();
  const event = { id: crypto.randomUUID(), deviceId: "x", sequence: 1, sessionId: session?.id, occurredAt: now, body };
  const bad = { ...event, id: crypto.randomUUID(), body: { kind: "conjured" } };
  const sent = await page.request.post("/api/floor", { data: { sentAt: now, events: [bad, event] }, headers: { origin: address } });
  expect(await sent.json()).toEqual({
    received: [],
    refused: [
      { id: bad.id, code: "bad-input" },
      { id: event.id, code: "unknown-session" },
    ],
  });
  expect(await (await page.request.get(`/api/floor/${session?.id}`)).json()).toMatchObject({ events: [] });
});

test("a session that ends while somebody types: they sign in over the page, and the step is taken as it stood", async ({
  page,
  complaints,
}) => {
  await signIn(page);
  const [client] = await sql<{ id: string }>("select client_id as id from client_revision where name = 'Maren Holt' limit 1");
  const kept = (words: string) => sql("select 1 from client_note where words = $1", [words]);
  const note = page.getByRole("textbox", { name: "A note" });
  const [words, later] = [`Typed before the session ended ${Date.now()}`, `Typed, and put off ${Date.now()}`];
  await page.goto(`/clients/${client?.id}/handover`);
  await note.fill(words);
  await page.context().clearCookies();
  await page.getByRole("button", { name: "Keep the note" }).click();
  const asked = page.getByRole("dialog", { name: "You were signed out" });
  await expect(asked).toBeVisible();
  await expectAccessible(page);
  await asked.getByLabel("E-mail").fill("trainer@ponderis.example");
  await asked.getByLabel("Password").fill("not the password");
  await asked.getByRole("button", { name: "Sign in" }).click();
  await expect(asked.getByRole("alert")).toContainText("do not go together");
  expect(await kept(words)).toEqual([]);
  await asked.getByLabel("Password").fill("harbour-scale");
  await asked.getByRole("button", { name: "Sign in" }).click();
  await expect(asked).toBeHidden();
  await expect(page.getByRole("region", { name: "Notes" }).getByText(words)).toBeVisible();
  expect(await kept(words)).toHaveLength(1);

  // put off, it stands as it was; somebody else who signs in here takes no step of hers
  await note.fill(later);
  await page.context().clearCookies();
  await page.getByRole("button", { name: "Keep the note" }).click();
  await expect(asked).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(asked).toBeHidden();
  await expect(page.getByText("You were signed out before this was saved")).toBeVisible();
  await expect(note).toHaveValue(later);
  await page.getByRole("button", { name: "Keep the note" }).click();
  await asked.getByLabel("E-mail").fill("part-timer@ponderis.example");
  await asked.getByLabel("Password").fill("harbour-scale");
  await asked.getByRole("button", { name: "Sign in" }).click();
  await expect(page.getByRole("heading", { name: "Today", exact: true })).toBeVisible();
  expect(await kept(later)).toEqual([]);
  expect(complaints).toEqual([]);
});

test("without signing in there is nothing but the sign-in page, under a strict content policy", async ({ page }) => {
  const response = await page.goto("/clients/new");
  await expect(page).toHaveURL(/sign-in/);
  const policy = response?.headers()["content-security-policy"] ?? "";
  expect(policy).toContain("script-src 'self' 'nonce-");
  expect(policy).not.toMatch(/script-src[^;]*unsafe/);
  expect((await page.request.post("/api/floor", { data: [] })).status()).toBe(401);
});

test("a page is looked at or takes a form, and nothing but http stays open", async ({ trainer: page }) => {
  for (const method of ["PUT", "PATCH", "DELETE"]) {
    const answer = await page.request.fetch("/clients", { method, data: {}, maxRedirects: 0 });
    expect([method, answer.status(), await answer.json()]).toEqual([method, 405, { code: "method-not-allowed" }]);
  }
  const { hostname, port } = new URL(address);
  const openedAs = (path: string): Promise<string> =>
    new Promise((resolve) => {
      const socket = connect(Number(port), hostname, () =>
        socket.write(`GET ${path} HTTP/1.1\r\nHost: x\r\nConnection: Upgrade\r\nUpgrade: websocket\r\n\r\n`),
      );
      socket.setTimeout(10_000, () => resolve("left open")).on("close", () => resolve("closed"));
      socket.on("error", () => resolve("closed")).resume();
    });
  for (const path of ["/clients", "/_next/webpack-hmr"]) expect([path, await openedAs(path)]).toEqual([path, "closed"]);
});

test("the floor's door takes JSON of our own pages, of a bounded size, and nothing else", async ({ trainer: page }) => {
  const post = (data: string, headers: Record<string, string>) =>
    page.request.post("/api/floor", {
      data: Buffer.from(data),
      headers: { origin: address, "content-type": "application/json", ...headers },
    });
  const empty = JSON.stringify({ sentAt: new Date().toISOString(), events: [] });
  expect((await post(empty, {})).status()).toBe(200);
  // what another person tapped on this tablet waits for them, and is not sent as ours
  expect((await post(JSON.stringify({ by: "another", sentAt: new Date().toISOString(), events: [] }), {})).status()).toBe(401);
  expect((await post(empty, { origin: "https://elsewhere.example" })).status()).toBe(403);
  expect((await post(empty, { "content-type": "text/plain" })).status()).toBe(415);
  expect((await post("{", {})).status()).toBe(400);
  expect((await post("[]", {})).status()).toBe(400);
  expect(await (await post("[".repeat(1000) + "]".repeat(1000), {})).json()).toMatchObject({ code: "not-json" });
  const large = await post(`"${"a".repeat(10 * 1024 * 1024)}"`, {});
  expect([large.status(), (await large.body()).length < 200]).toEqual([413, true]);
});

test("another device is signed out from here, and a new password signs every other out", async ({ trainer: page, browser }) => {
  const other = await browser.newContext();
  const device = await other.newPage();
  await signIn(device);
  await page.goto("/");
  await page.getByRole("link", { name: "Account" }).click();
  const devices = page.getByRole("region", { name: "Devices" });
  await expect(devices).toContainText("this device");
  await expectAccessible(page);
  const count = await devices.getByRole("button", { name: "Sign it out" }).count();
  expect(count).toBeGreaterThan(0);
  await devices.getByRole("button", { name: "Sign it out" }).first().click();
  await expect(devices.getByRole("button", { name: "Sign it out" })).toHaveCount(count - 1);
  await device.goto("/");
  await expect(device).toHaveURL(/sign-in/);

  const change = async (from: string, to: string): Promise<void> => {
    await page.getByRole("region", { name: "Password" }).getByRole("textbox", { name: "Present password" }).fill(from);
    await page.getByRole("textbox", { name: "New password" }).fill(to);
    await page.getByRole("button", { name: "Change the password" }).click();
  };
  await change("not this one", "harbour-scale-2");
  await expect(page.getByText("Not changed: the present password is not right")).toBeVisible();
  await signIn(device);
  await change("harbour-scale", "harbour-scale-2");
  await expect(page.getByText("Changed. Every other device is signed out.")).toBeVisible();
  await device.goto("/");
  await expect(device).toHaveURL(/sign-in/);
  await change("harbour-scale-2", "harbour-scale");
  await expect(page.getByRole("region", { name: "Password" }).getByRole("textbox", { name: "Present password" })).toHaveValue("");
  await other.close();
});

test("every answer carries its headers, prefetched pages and routes too, and no nonce but our own", async ({ trainer: page }) => {
  const paths = ["/", "/api/health", "/api/floor/00000000-0000-4000-8000-000000000000", "/floor-sw.js", "/nowhere"];
  for (const path of paths) {
    const { "x-content-type-options": sniff, "permissions-policy": permissions } = (await page.request.get(path)).headers();
    expect([path, sniff, permissions?.includes("camera=()")]).toEqual([path, "nosniff", true]);
  }
  const forged = { "next-router-prefetch": "1", rsc: "1", "x-nonce": "forged", "content-security-policy": "script-src 'nonce-forged'" };
  const prefetched = await page.request.get("/", { headers: forged });
  expect(prefetched.headers()["content-security-policy"]).toContain("script-src 'self' 'nonce-");
  expect(prefetched.headers()["content-security-policy"] + (await prefetched.text())).not.toContain("forged");
  expect((await page.request.get("/api/health")).headers()["content-security-policy"]).toContain("default-src 'none'");
});
